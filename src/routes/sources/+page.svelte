<script lang="ts">
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
	<table class="plain">
		<thead><tr><th>source</th><th>what</th><th>memory grade</th></tr></thead>
		<tbody
			>{#each data.rows as r (r.key)}<tr id={r.key} class="target:bg-wash"
					><td class="pr-4 whitespace-nowrap">{sourceName(r.key)}</td><td
						>{#each parts(r.what) as part, i (i)}{#if i % 2 === 1}<em>{part}</em>{:else}{part}{/if}{/each}</td
					><td>{r.grade}</td></tr
				>{/each}</tbody
		>
	</table>
</main>
