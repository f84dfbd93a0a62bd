<script lang="ts">
	import LongRows from '#lib/ui/LongRows.svelte';
	import { sourceName } from '#lib/wording/sources.ts';

	let { data } = $props();
	/** Text between asterisks is a journal's name. */
	const parts = (what: string): readonly string[] => what.split('*');
</script>

<svelte:head><title>Sources · Bolster</title></svelte:head>
<main class="page max-w-4xl">
	<h1>Sources</h1>
	<p class="my-2 text-quiet">
		Where rules and numbers come from. Literature is from memory and not checked against the papers; practice
		settings are yours to change. Local protocol and the treating clinician come first.
	</p>
	<LongRows
		label="Sources"
		find="Find a name, a year or a word"
		rows={data.rows}
		of={(r) => ({ id: r.key, class: 'target:bg-wash' })}
		columns={[
			{ head: 'source', value: (r) => sourceName(r.key) },
			{ head: 'what', value: (r) => r.what },
			{ head: 'memory grade', value: (r) => r.grade }
		]}
	>
		{#snippet cells(r)}
			<td class="pr-4 whitespace-nowrap">{sourceName(r.key)}</td>
			<td
				>{#each parts(r.what) as part, i (i)}{#if i % 2 === 1}<em>{part}</em>{:else}{part}{/if}{/each}</td
			>
			<td>{r.grade}</td>
		{/snippet}
	</LongRows>
</main>
