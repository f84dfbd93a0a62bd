<script lang="ts">
	import { goto } from '$app/navigation';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Stroke from '#lib/ui/Stroke.svelte';
	import { onKeys } from '#lib/ui/keys.ts';
	import { ago } from '#lib/wording/days.ts';
	import { DECISION_WORD } from '#lib/wording/names.ts';

	let { data } = $props();
	const waiting = $derived(data.rows.filter((r) => !r.answered && r.decision !== 'quiet' && r.decision !== 'wait').length);
	let at = $state(0);
	const links: (HTMLAnchorElement | undefined)[] = $state([]);
	function move(step: number): void {
		at = Math.max(0, Math.min(data.rows.length - 1, at + step));
		links[at]?.focus();
	}
	const keys = onKeys({
		j: () => move(1),
		k: () => move(-1),
		ArrowDown: () => move(1),
		ArrowUp: () => move(-1),
		o: () => {
			const row = data.rows[at];
			if (row) void goto(`/clients/${row.clientId}/${row.to}`);
		}
	});
	const word = (d: (typeof data.rows)[number]['decision']): string => (d === 'quiet' ? 'Start' : DECISION_WORD[d]);
	const rest = (sentence: string): string => sentence.replace(/^[A-Z][a-z]+: /, '').replace(/^./, (c) => c.toUpperCase());
</script>

<svelte:head><title>Today · Bolster</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp keys={[['j k', 'next, previous client'], ['o, Enter', 'open where the work is']]} />
<main class="page">
	<div class="mb-3 flex flex-wrap items-baseline gap-x-4">
		<h1>Today</h1>
		<p class="text-quiet">{data.rows.length} clients by need; {waiting} {waiting === 1 ? 'waits' : 'wait'} for an answer</p>
		<a href="/clients/new" class="ml-auto">Register a client</a>
	</div>
	{#if data.rows.length === 0}
		<p class="rule py-6">No clients yet. <a href="/clients/new">Register the first one.</a></p>
	{/if}
	<ol data-testid="today">
		{#each data.rows as row, i (row.clientId)}
			<li class="rule">
				<a
					bind:this={links[i]}
					href="/clients/{row.clientId}/{row.to}"
					onfocus={() => (at = i)}
					class="grid grid-cols-[8.5rem_15rem_1fr_11.5rem] items-start gap-x-4 px-2 py-2.5 text-ink no-underline hover:bg-wash focus-visible:bg-wash max-lg:grid-cols-[7.5rem_1fr] max-lg:gap-y-1"
				>
					<span class="flex items-center gap-2.5 font-bold"><Stroke decision={row.decision} />{word(row.decision)}</span>
					<span><span class="font-semibold">{row.name}</span><span class="label block">{row.regions}{row.step ? ` · ${row.step}` : ''}</span></span>
					<span class="max-lg:col-span-2">
						{row.decision === 'advance' ? `${row.step}: ${rest(row.sentence)}` : rest(row.sentence)}
						{#if row.others.length > 0}<span class="label block">also {row.others.map((o) => `${o.step}: ${DECISION_WORD[o.decision].toLowerCase()}`).join(' · ')}</span>{/if}
						{#if row.notes.length > 0}<span class="block text-sm text-caution">{row.notes.join(' · ')}</span>{/if}
					</span>
					<span class="label text-right max-lg:text-left">{row.answered ? 'answered' : row.lastSession ? `last session ${ago(row.lastSession, data.today)}` : ''}</span>
				</a>
			</li>
		{/each}
	</ol>
</main>
