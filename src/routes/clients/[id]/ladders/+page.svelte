<script lang="ts">
	/** All families at a glance: where the client is, what is open, what is locked and by what; and a plan by purpose from what is open. */

	import { familiesFor } from '#lib/ui/families.ts';
	import type { Purpose, Tag } from '#lib/core/exercise/family.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import { asPattern } from '#lib/core/fit/as-pattern.ts';
	import { planFor } from '#lib/core/fit/substitutes.ts';
	import Choice from '#lib/ui/Choice.svelte';
	import FindClient from '#lib/ui/FindClient.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import CanDo from '#lib/ui/ladders/CanDo.svelte';
	import FamilyRow from '#lib/ui/ladders/FamilyRow.svelte';
	import PlanList from '#lib/ui/ladders/PlanList.svelte';
	import { rowsByPattern, rowsByPurpose } from '#lib/ui/ladders/plan-rows.ts';
	import { equippedWith } from '#lib/core/fit/equipped.ts';
	import { familyRow } from '#lib/ui/ladders/family-row.ts';
	import Said from '#lib/ui/Said.svelte';
	import { onKeys } from '#lib/ui/keys.ts';
	import { wayText } from '#lib/wording/history.ts';
	import { goto } from '$app/navigation';
	import { refusedText } from '#lib/ui/wrong.ts';
	import Tick from '#lib/ui/Tick.svelte';

	let { data, form } = $props();
	let place = $state<'both' | 'practice' | 'home'>('both');
	let without: Tag[] = $state([]);
	let lost = $state('');
	const ctx = $derived<FitContext>(equippedWith(data.ctx, data.kit[place]));

	const gateOf = (id: string) => data.waits[id];
	const rows = $derived(
		Object.values(familiesFor(data.own, ctx.leftOut)).map((f) =>
			familyRow(f, ctx, data.now[f.id]?.step, gateOf)
		)
	);
	const candidates = $derived(rows.flatMap((r) => r.steps));
	const PLAN: readonly Purpose[] = [
		'warm-up',
		'balance',
		'thigh-front',
		'buttock',
		'thigh-back',
		'hip-side',
		'calf',
		'trunk',
		'mobility'
	];
	const plan = $derived(
		planFor(
			PLAN,
			candidates,
			{ tags: without, prefers: data.way.prefers },
			new Set(Object.values(data.now).map((n) => n.step))
		)
	);
	const planRows = $derived(
		data.pattern === null
			? rowsByPurpose(plan)
			: rowsByPattern(
					asPattern(data.pattern.work, candidates),
					new Map(data.pattern.work.map((w) => [w.step, w.title]))
				)
	);
	const inUse = ({ exercises: n }: { readonly exercises: number }): string =>
		`, ${n === 1 ? '1 exercise' : `${n} exercises`}`;
	const AVOID: readonly (readonly [Tag, string])[] = [
		['spine-load', 'load on the spine'],
		['impact', 'impact'],
		['floor-transfer', 'the floor'],
		['toes-bent', 'bent toes'],
		['open-chain-knee', 'free-leg knee work']
	];
	const backText = $derived(wayText(data.way));
	/** What else stands on a ladder. */
	const alsoOn = (family: string): readonly string[] =>
		data.inPlan
			.filter((n) => n.family === family && n.exerciseId !== data.now[family]?.exerciseId)
			.map((n) => n.title);
	let at = $state(0);
	const keys = onKeys({
		j: () => void (at = Math.min(rows.length - 1, at + 1)),
		k: () => void (at = Math.max(0, at - 1)),
		Enter: () => void goto(`/clients/${data.head.id}/ladder?family=${rows[at]?.family.id}`)
	});
</script>

<svelte:head><title>Ladders · {data.head.name}</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp
	keys={[
		['j k', 'next, previous family'],
		['Enter', 'open its ladder'],
		['0 … 9', 'other pages of this client']
	]}
/>
<main class="grid grid-cols-[1fr_21rem] max-xl:grid-cols-1">
	<div class="min-w-0 px-7 pt-4 pb-10 max-sm:px-4">
		<div class="flex flex-wrap items-end justify-between gap-x-5">
			<h2>Every ladder</h2>
			<p class="label">
				<span class="text-tolerated">● fits</span> · <span class="text-accent">◆ set up</span> ·
				<span class="text-caution">▲ watch</span> · ○ waits for a gate · ✕ in the way · ? measure
			</p>
		</div>
		{#if backText !== ''}<p class="label mt-1 text-ink" data-testid="back-way">{backText}</p>{/if}
		<Said refused={lost || refusedText(form)} done={form && 'done' in form ? form.done : undefined} />
		<ul class="mt-2 grid grid-cols-2 gap-x-6 max-md:grid-cols-1" aria-label="Families">
			{#each rows as r, i (r.family.id)}
				<FamilyRow
					clientId={data.head.id}
					row={r}
					now={data.now[r.family.id]}
					also={alsoOn(r.family.id)}
					{ctx}
					focused={i === at}
					feared={data.feared.find((f) => f.family === r.family.id)?.confidence}
				/>
			{/each}
		</ul>
	</div>
	<aside class="sheet border-l px-6 pt-4 pb-10 max-xl:border-t max-xl:border-l-0 max-sm:px-4">
		<h2>From what is open</h2>
		<p class="label">
			{data.pattern === null
				? 'For each purpose where this client is, or the entry of a ladder; never the hardest that fits.'
				: `The ladders of ${data.pattern.name}, fitted anew to this client.`}
		</p>
		<div class="mt-1 flex flex-wrap items-end gap-x-4 gap-y-1">
			<Choice
				name="place"
				label="Equipment"
				bind:value={place}
				items={[
					{ value: 'both', name: 'here and at home' },
					{ value: 'practice', name: 'here' },
					{ value: 'home', name: 'at home' }
				]}
			/>
		</div>
		<fieldset class="mt-1 flex flex-wrap gap-x-4 text-sm">
			<legend class="label">Without</legend>{#each AVOID as [tag, name] (tag)}<Tick
					value={tag}
					label={name}
					bind:among={without}
				/>{/each}
		</fieldset>
		<FindClient
			class="mt-1"
			label="As a start, the plan of"
			found={data.patterns}
			to={(clientId) => `?from=${clientId}`}
			beside={inUse}
			nobody="Nobody else of that name has work in use."
		/>
		{#if data.pattern !== null}<a href="?" data-sveltekit-noscroll class="text-sm">by purpose again</a>{/if}
		<PlanList
			clientId={data.head.id}
			rows={planRows}
			{ctx}
			regions={data.regions}
			given={data.inPlan}
			formId={data.ids[2] ?? ''}
			rowIds={data.rowIds}
			holds={data.holds}
			say={(text) => (lost = text)}
		/>
		<CanDo
			ids={data.ids}
			positions={data.positions}
			clearances={data.clearances}
			licensed={data.head.licensed}
			say={(text) => (lost = text)}
		/>
	</aside>
</main>
