<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import { todayAddress } from '#lib/contract/today-form.ts';
	import Stroke from '#lib/ui/Stroke.svelte';
	import TodayChoice from '#lib/ui/TodayChoice.svelte';
	import TodayDue from '#lib/ui/TodayDue.svelte';
	import { onKeys } from '#lib/ui/keys.ts';
	import { ago } from '#lib/wording/days.ts';
	import { DECISION_WORD } from '#lib/wording/names.ts';
	import { othersText } from '#lib/wording/today.ts';

	let { data } = $props();
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
	/** While clients are judged aside, the list is asked for again. */
	const AGAIN_MS = 1500;
	$effect(() => {
		if (data.judging === 0) return;
		const timer = setTimeout(() => void invalidateAll(), AGAIN_MS);
		return () => clearTimeout(timer);
	});
	const last = $derived(Math.max(1, Math.ceil(data.found / data.pages)));
	const pageLink = (page: number): string =>
		todayAddress({
			search: data.search,
			show: data.show,
			part: data.part,
			due: data.due,
			order: data.order,
			page
		});
	const chosen = $derived(data.search !== '' || data.show !== '' || data.part !== '' || data.due !== '');
	const word = (d: (typeof data.rows)[number]['decision']): string =>
		d === 'quiet' ? 'Start' : DECISION_WORD[d];
	const rest = (sentence: string): string =>
		sentence.replace(/^[A-Z][a-z]+: /, '').replace(/^./, (c) => c.toUpperCase());
</script>

<svelte:head><title>Today · Bolster</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp
	keys={[
		['j k', 'next, previous client'],
		['o, Enter', 'open where the work is']
	]}
/>
<main class="page">
	<div class="mb-3 flex flex-wrap items-baseline gap-x-4">
		<h1>Today</h1>
		<p class="text-quiet">
			{data.all} clients by need; {data.waiting}
			{data.waiting === 1 ? 'waits' : 'wait'} for an answer
		</p>
		<TodayChoice
			search={data.search}
			show={data.show}
			part={data.part}
			due={data.due}
			order={data.order}
			found={data.found}
		/>
		<a href="/clients/new" class="max-sm:ml-auto">Register a client</a>
	</div>
	<TodayDue
		counts={data.dueNow}
		chosen={data.due}
		link={(due) =>
			todayAddress({
				search: data.search,
				show: data.show,
				part: data.part,
				due,
				order: data.order,
				page: 1
			})}
	/>
	{#if data.judging > 0}<p
			class="mb-2 border-l-4 border-edge bg-sheet px-3 py-1.5"
			role="status"
			data-testid="judging"
		>
			{data.judging} clients are being judged for today. What stands here fills in by itself; rows marked
			<em>earlier</em> say what was known before.
		</p>{/if}
	{#if data.all === 0}
		<p class="rule py-6">No clients yet. <a href="/clients/new">Register the first one.</a></p>
	{:else if data.found === 0}
		<p class="rule py-6">
			{data.show === '' && data.part === '' && data.due === ''
				? `Nobody here is called “${data.search}”.`
				: 'Nobody here now.'}
			<a href="/">All clients</a>
		</p>
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
					<span class="flex items-center gap-2.5 font-bold"
						><Stroke decision={row.decision} />{word(row.decision)}</span
					>
					<span
						><span class="font-semibold">{row.name}</span><span class="label block"
							>{row.regions}{row.step ? ` · ${row.step}` : ''}</span
						></span
					>
					<span class="max-lg:col-span-2">
						{row.decision === 'advance' ? `${row.step}: ${rest(row.sentence)}` : rest(row.sentence)}
						{#if row.others.length > 0}<span class="label block">also {othersText(row.others)}</span>{/if}
						{#if row.notes.length > 0}<span class="block text-sm text-caution">{row.notes.join(' · ')}</span
							>{/if}
					</span>
					<span class="label text-right max-lg:col-span-2 max-lg:text-left"
						>{row.old
							? 'earlier'
							: row.answered
								? 'answered'
								: row.lastSession
									? `last session ${ago(row.lastSession, data.today)}`
									: ''}</span
					>
				</a>
			</li>
		{/each}
	</ol>
	{#if last > 1}
		<nav aria-label="Pages" class="rule flex items-baseline gap-4 py-3">
			{#if data.page > 1}<a href={pageLink(data.page - 1)} rel="prev">More pressing</a>{/if}
			<span class="text-quiet"
				>{(data.page - 1) * data.pages + 1}–{Math.min(data.found, data.page * data.pages)} of {data.found}{chosen
					? ' chosen'
					: ''}</span
			>
			{#if data.page < last}<a href={pageLink(data.page + 1)} rel="next">Less pressing</a>{/if}
		</nav>
	{/if}
</main>
