<script lang="ts">
	/** All families at a glance: where the client is, what is open, what is locked and by what; and a plan by purpose from what is open. */
	import { enhance } from '$app/forms';
	import { FAMILIES } from '#lib/catalogue/families.ts';
	import { POSITIONS, type ExerciseFamily, type Purpose, type Tag } from '#lib/core/exercise/family.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import { fitFamily } from '#lib/core/fit/fit.ts';
	import { candidatesOf, isOpen, passes, type Candidate } from '#lib/core/fit/open.ts';
	import { planFor } from '#lib/core/fit/substitutes.ts';
	import { doseText } from '#lib/core/dose/dose.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import FigureView from '#lib/ui/FigureView.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { figureOfStep } from '#lib/ui/scene.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { MARK, TONE } from '#lib/ui/verdict-marks.ts';
	import { onKeys } from '#lib/ui/keys.ts';
	import { goto } from '$app/navigation';
	import { CLEARANCE_NAME } from '#lib/wording/gates.ts';
	import { inTheWay } from '#lib/wording/fit.ts';
	import { POSITION_NAME, PURPOSE_NAME, VERDICT_WORD } from '#lib/wording/names.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import { refusedText } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	let place = $state<'both' | 'practice' | 'home'>('both');
	let without: Tag[] = $state([]);
	let lost = $state('');
	const ctx = $derived<FitContext>({ ...data.ctx, equipment: data.kit[place] });

	interface Row {
		readonly family: ExerciseFamily;
		readonly steps: readonly Candidate[];
		readonly marks: readonly {
			readonly id: string;
			readonly title: string;
			readonly mark: string;
			readonly word: string;
			readonly tone: string;
			readonly now: boolean;
		}[];
		readonly shown: Candidate;
		readonly isNow: boolean;
		readonly why: string;
	}
	const gateOf = (id: string) => data.gates[id]?.find((g) => !g.met);

	function rowOf(family: ExerciseFamily): Row {
		const fits = fitFamily(family, ctx);
		const now = data.now[family.id];
		const steps = candidatesOf(family, fits, now?.step, (id) => gateOf(id) === undefined);
		const marks = steps.map((c) => {
			const locked = passes(c.fit) && !c.open;
			const word = locked
				? `locked: ${gateOf(c.step.id)?.text}`
				: passes(c.fit)
					? VERDICT_WORD[c.fit.verdict]
					: inTheWay(c.fit) || VERDICT_WORD[c.fit.verdict];
			return {
				id: c.step.id,
				title: c.step.title,
				mark: locked ? '○' : MARK[c.fit.verdict],
				word,
				tone: locked ? 'text-quiet' : TONE[c.fit.verdict],
				now: c.step.id === now?.step
			};
		});
		const current = steps.find((c) => c.step.id === now?.step);
		const shown = current ?? steps.find(isOpen) ?? steps[0];
		if (shown === undefined) throw new Error(`${family.id} has no step`);
		const ahead = shown.step.next
			.map((e) => steps.find((c) => c.step.id === e.to))
			.find((c) => c !== undefined && !isOpen(c));
		return { family, steps, marks, shown, isNow: current !== undefined, why: whyNot(steps, ahead) };
	}
	/** What holds the whole ladder, or its next step. */
	function whyNot(steps: readonly Candidate[], ahead: Candidate | undefined): string {
		if (!steps.some(isOpen)) return steps.map((c) => inTheWay(c.fit)).find((w) => w !== '') ?? '';
		if (ahead === undefined) return '';
		return passes(ahead.fit)
			? `next waits for ${gateOf(ahead.step.id)?.asks ?? ''}`
			: `next: ${inTheWay(ahead.fit)}`;
	}
	const rows = $derived([...Object.values(FAMILIES), ...data.own].map(rowOf));
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
		planFor(PLAN, candidates, { tags: without }, new Set(Object.values(data.now).map((n) => n.step)))
	);
	const AVOID: readonly (readonly [Tag, string])[] = [
		['spine-load', 'load on the spine'],
		['impact', 'impact'],
		['floor-transfer', 'the floor'],
		['toes-bent', 'bent toes'],
		['open-chain-knee', 'free-leg knee work']
	];
	let at = $state(0);
	const keys = onKeys({
		j: () => void (at = Math.min(rows.length - 1, at + 1)),
		k: () => void (at = Math.max(0, at - 1)),
		Enter: () => void goto(`/clients/${data.head.id}/ladder?family=${rows[at]?.family.id}`)
	});
	const was = (p: string): string => data.positions[p as keyof typeof data.positions] ?? 'unknown';
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
		<Said refused={lost || refusedText(form)} done={form && 'done' in form ? form.done : undefined} />
		<ul class="mt-2 grid grid-cols-2 gap-x-6 max-md:grid-cols-1" aria-label="Families">
			{#each rows as r, i (r.family.id)}
				<li class="rule">
					<a
						href="/clients/{data.head.id}/ladder?family={r.family.id}"
						data-testid="family-{r.family.id}"
						class="grid grid-cols-[58px_1fr] items-center gap-x-3 rounded-md py-0.5 text-ink no-underline hover:bg-wash {i ===
						at
							? 'outline-2 -outline-offset-2 outline-accent'
							: ''}"
					>
						<span class="flex justify-center"
							><FigureView
								figure={figureOfStep(r.shown.step, ctx, r.shown.fit.setup)}
								label=""
								height={46}
							/></span
						>
						<span class="min-w-0">
							<span class="flex items-baseline gap-2"
								><strong class="shrink-0">{r.family.title}</strong><span
									class="truncate text-sm {r.isNow ? 'font-semibold' : 'text-quiet'}"
									>{r.isNow ? 'now' : 'start'}: {r.shown.step.title}{r.shown.fit.setup === null
										? ''
										: `, ${setupText(data.now[r.family.id]?.setup ?? r.shown.fit.setup)}`}{r.isNow &&
									data.now[r.family.id]
										? `, ${doseText(data.now[r.family.id]!.dose)}`
										: ''}</span
								></span
							>
							<span
								class="flex flex-wrap items-center gap-x-[2px] text-[12.5px] leading-none"
								aria-label={r.marks.map((m) => `${m.title}: ${m.word}`).join('; ')}
								role="img"
								>{#each r.marks as m (m.id)}<span
										class="{m.tone} {m.now ? 'rounded-sm outline-1 outline-ink' : ''}"
										title="{m.title}: {m.word}"
										aria-hidden="true">{m.mark}</span
									>{/each}<span class="ml-1.5 whitespace-nowrap text-quiet"
									>{r.steps.filter(isOpen).length} of {r.steps.length} open</span
								></span
							>
							{#if data.now[r.family.id]?.held}<span
									class="block h-[17px] truncate text-[13px] leading-[17px] font-semibold text-stop"
									title={data.now[r.family.id]?.held}>{data.now[r.family.id]?.held}</span
								>{:else}<span
									class="block h-[17px] truncate text-[13px] leading-[17px] text-quiet"
									title={r.why}>{r.why}</span
								>{/if}
						</span>
					</a>
				</li>
			{/each}
		</ul>
	</div>
	<aside class="sheet border-l px-6 pt-4 pb-10 max-xl:border-t max-xl:border-l-0 max-sm:px-4">
		<h2>From what is open</h2>
		<p class="label">
			For each purpose where this client is, or the entry of a ladder; never the hardest that fits. Choose,
			then prescribe on its ladder.
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
			<legend class="label">Without</legend>{#each AVOID as [tag, name] (tag)}<label
					class="flex min-h-8 items-center gap-1.5"
					><input
						type="checkbox"
						value={tag}
						bind:group={without}
						class="size-4 accent-(--accent)"
					/>{name}</label
				>{/each}
		</fieldset>
		<ol class="mt-1" data-testid="plan">
			{#each plan as p (p.purpose)}
				<li class="rule grid grid-cols-[44px_1fr] items-center gap-2 py-1" data-purpose={p.purpose}>
					{#if p.pick}
						<span class="flex justify-center"
							><FigureView
								figure={figureOfStep(p.pick.step, ctx, p.pick.fit.setup)}
								label=""
								height={40}
							/></span
						>
						<span
							><span class="label block">{PURPOSE_NAME[p.purpose]}</span><a
								class="underline"
								href="/clients/{data.head.id}/ladder?family={p.pick.family.id}&step={p.pick.step.id}"
								>{p.pick.step.title}</a
							>{p.pick.fit.setup === null ? '' : `, ${setupText(p.pick.fit.setup)}`}</span
						>
					{:else}
						<span></span><span
							><span class="label block">{PURPOSE_NAME[p.purpose]}</span><span class="text-quiet"
								>nothing open</span
							></span
						>
					{/if}
				</li>
			{/each}
		</ol>
		<Fold title="Positions the client can be in">
			<form method="POST" action="?/positions" use:enhance={sending((text) => (lost = text))}>
				<input type="hidden" name="id" value={data.ids[0]} />
				{#each POSITIONS as p (p)}
					<Choice
						name={p}
						label={POSITION_NAME[p].replace(/^./, (c) => c.toUpperCase())}
						value={was(p)}
						items={[
							{ value: 'unknown', name: 'not asked' },
							{ value: 'yes', name: 'yes' },
							{ value: 'no', name: 'no' }
						]}
					/>
				{/each}
				<div class="mt-2"><Act>Save positions</Act></div>
			</form>
		</Fold>
		{#if data.head.licensed}
			<Fold title="Cleared for">
				<form method="POST" action="?/cleared" use:enhance={sending((text) => (lost = text))}>
					<input type="hidden" name="id" value={data.ids[1]} />
					{#each Object.entries(CLEARANCE_NAME) as [id, name] (id)}<label
							class="flex min-h-9 items-center gap-2"
							><input
								type="checkbox"
								name="clearance"
								value={id}
								checked={(data.clearances as readonly string[]).includes(id)}
								class="size-5 accent-(--accent)"
							/>{name}</label
						>{/each}
					<div class="mt-1"><Act>Save clearance</Act></div>
				</form>
			</Fold>
		{/if}
	</aside>
</main>
