<script lang="ts">
	/** One step read without a client: what it is, drawn on an ordinary body, its dials, gates, dose, cues, faults and cautions. */
	import SourceLink from './SourceLink.svelte';
	import { asChosen } from '#lib/core/exercise/choice.ts';
	import type { Chosen } from '#lib/core/exercise/family.ts';
	import { DIALS } from '#lib/core/exercise/dial.ts';
	import { cuesFor, faultsIn, servesOf, type ExerciseFamily, type Step } from '#lib/core/exercise/family.ts';
	import { askedBy, axesOf, hasTechnique } from '#lib/core/movement/of-step.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import { TECHNIQUES } from '#lib/core/posture/problem.ts';
	import { gateAsks } from '#lib/wording/gates.ts';
	import { EQUIPMENT_NAME, PURPOSE_NAME, rangeIn, TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import { particularsText } from '#lib/wording/plan.ts';
	import { backText, stepTitle } from '#lib/wording/steps.ts';
	import { cmText, inProse } from '#lib/wording/units.ts';
	import Choices from './card/Choices.svelte';
	import MovingFigure from './MovingFigure.svelte';
	import { movingOfStep } from './scene.ts';

	interface Props {
		readonly family: ExerciseFamily;
		readonly step: Step;
		readonly ctx: FitContext;
	}
	let { family, step: written, ctx }: Props = $props();
	/** Tried out here, for the step it was chosen for. */
	let picked = $state<{ readonly step: string; readonly chosen: Chosen } | null>(null);
	const step = $derived(picked?.step === written.id ? asChosen(written, picked.chosen) : written);
	const asked = $derived(askedBy(step, ctx, null));
	const picture = $derived(movingOfStep(step, ctx, null));
	const demand = $derived(
		axesOf(step).flatMap((a) =>
			asked.demand[a] === undefined && asked.other?.[a] === undefined
				? []
				: [`${rangeIn(a)} ${Math.round(Math.max(asked.demand[a] ?? -99, asked.other?.[a] ?? -99))}°`]
		)
	);
	const UNIT = { reps: '', sec: ' s', steps: ' steps', breaths: ' breaths' } as const;
	const unit = $derived(UNIT[step.counts ?? 'reps']);
	const kit = $derived(
		(step.equipment ?? []).map((any) =>
			(typeof any === 'string' ? [any] : any).map((e) => EQUIPMENT_NAME[e]).join(' or ')
		)
	);
	const schools = $derived(
		hasTechnique(step.posture) && step.cues === undefined
			? TECHNIQUES.filter((t) => family.cues[t] !== undefined)
			: []
	);
	const usual = $derived(particularsText(step.usually ?? {}));
	const turned = $derived(DIALS.filter((d) => step.dials[d] !== undefined));
</script>

<section aria-label="Step" data-testid="step-sheet">
	<h2>{step.title}</h2>
	<p class="label">
		{family.title} · for {servesOf(family, step)
			.map((p) => PURPOSE_NAME[p] ?? p)
			.join(', ')}
	</p>
	<p class="mt-1">{inProse(step.what)}</p>
	<MovingFigure
		{picture}
		tempo={step.tempo ?? [2, 0, 2]}
		height={220}
		label="{step.title}, drawn on a body of {cmText(170)}"
	/>
	<Choices {step} of="library" pick={(chosen) => (picked = { step: written.id, chosen })} />
	<p class="text-sm">
		<span class="label">Asks of a body of {cmText(170)}:</span>
		{demand.length === 0 ? 'no range that is solved' : demand.join(', ')}
	</p>
	<dl class="my-2 grid grid-cols-[7rem_1fr] gap-x-3 gap-y-1 text-sm">
		<dt class="label">Usual dose</dt>
		<dd>
			{step.usualDose.start.sets}×{step.usualDose.start.reps}{unit} → {step.usualDose.target.sets}×{step
				.usualDose.target.reps}{unit}
		</dd>
		<dt class="label">Opens after</dt>
		<dd>{step.gates.length === 0 ? 'nothing: a way in' : step.gates.map(gateAsks).join('; ')}</dd>
		<dt class="label">Step back</dt>
		<dd>
			{step.easier === null ? 'none below' : stepTitle(step.easier)}{#each step.back ?? [] as b (b)}; {backText(
					b
				)}{/each}
		</dd>
		{#if usual.length > 0}<dt class="label">Usually</dt>
			<dd>{usual.join(', ')}</dd>{/if}
		<dt class="label">Leads to</dt>
		<dd>
			{step.next.length === 0
				? 'the end of this way'
				: step.next.map((e) => `${stepTitle(e.to)} (${e.dial})`).join(', ')}
		</dd>
		<dt class="label">Dials</dt>
		<dd>
			{turned.length === 0
				? 'all at their gentlest'
				: turned.map((d) => `${d} ${String(step.dials[d]).replaceAll('-', ' ')}`).join(', ')}
		</dd>
		<dt class="label">Needs</dt>
		<dd>{kit.length === 0 ? 'nothing' : kit.join(', ')}</dd>
		{#if step.tags.length > 0}<dt class="label">Carries</dt>
			<dd>{step.tags.map((t) => t.replaceAll('-', ' ')).join(', ')}</dd>{/if}
		<dt class="label">Sources</dt>
		<dd>
			{#each step.sources as s, i (s)}{i > 0 ? ', ' : ''}<SourceLink source={s} />{/each}
		</dd>
	</dl>
	{#if schools.length > 0}
		<div class="grid grid-cols-2 gap-x-4 gap-y-2 text-sm max-sm:grid-cols-1">
			{#each schools as t (t)}<div>
					<h3>{TECHNIQUE_NAME[t]}</h3>
					<ol class="list-decimal pl-5">
						{#each cuesFor(family, step, t) as c (c)}<li>{c}</li>{/each}
					</ol>
				</div>{/each}
		</div>
	{:else}
		<ol class="list-decimal pl-5 text-sm">
			{#each cuesFor(family, step, 'ordinary') as c (c)}<li>{c}</li>{/each}
		</ol>
	{/if}
	<h3 class="mt-2">Watch for</h3>
	<ul class="text-sm">
		{#each faultsIn(family, step, 'parallel') as f (f.id)}<li>
				<strong>{f.title}</strong>, seen from {f.seenFrom}; turn the {f.dial} first
			</li>{/each}
	</ul>
	<ul class="my-2 border-l-4 border-caution pl-3 text-sm">
		{#each [...step.cautions, ...family.cautions] as c (c)}<li>{c}</li>{/each}
		<li>Local protocol and the treating clinician come first.</li>
	</ul>
</section>
