<script lang="ts">
	/** The set-up card of one step: solved height with its error, built from what the room has, drawn, with cues and cautions. */
	import type { Snippet } from 'svelte';
	import Tabs from 'flowbite-svelte/Tabs.svelte';
	import type { Chosen } from '#lib/core/exercise/family.ts';
	import type { Brace, ExerciseFamily, Step } from '#lib/core/exercise/family.ts';
	import type { TechniqueRow, WedgeOption } from '#lib/core/fit/compare-techniques.ts';
	import type { StepFit } from '#lib/core/fit/fit.ts';
	import type { FitContext, SolvedSetup } from '#lib/core/movement/context.ts';
	import { hasTechnique } from '#lib/core/movement/of-step.ts';
	import type { Band } from '#lib/core/posture/band.ts';
	import { placesThatFit } from '#lib/core/fit/places.ts';
	import { AXIS_NAME, rangeIn } from '#lib/wording/names.ts';
	import { reachText } from '#lib/wording/setup.ts';
	import { inProse } from '#lib/wording/units.ts';
	import MovingFigure from '../MovingFigure.svelte';
	import Rows from '../Rows.svelte';
	import { movingOfStep } from '../scene.ts';
	import BuildIt from './BuildIt.svelte';
	import CardNotes from './CardNotes.svelte';
	import Choices from './Choices.svelte';
	import CardTab from './CardTab.svelte';
	import CardVerdict from './CardVerdict.svelte';
	import Coaching from './Coaching.svelte';
	import DialRow from './DialRow.svelte';
	import Moments from './Moments.svelte';
	import NumbersFrom from './NumbersFrom.svelte';
	import { demandText, readCard } from './reading.ts';
	import Techniques from './Techniques.svelte';
	import WedgeOffer from './WedgeOffer.svelte';

	interface Props {
		readonly family: ExerciseFamily;
		readonly step: Step;
		readonly fit: StepFit;
		readonly ctx: FitContext;
		readonly gates: readonly { readonly met: boolean; readonly text: string }[];
		readonly band: Band | null;
		readonly techniques: readonly TechniqueRow[];
		/** How far this body could go within its limits, whatever the step asks. */
		readonly reach: { readonly value: number; readonly unit: 'cm' | 'deg' } | null;
		/** A length that was turned by hand, and the way to turn it. */
		readonly dialled: number | null;
		readonly dial: (value: number | null) => void;
		/** Another place of a choice inside the step. */
		readonly pick: (chosen: Chosen) => void;
		readonly mirrored: boolean;
		readonly mirrorIt: () => void;
		/** The set-up in force: as solved, or with the wedge that was chosen. */
		readonly setup: SolvedSetup | null;
		readonly wedge: WedgeOption | null;
		readonly frontOfKnee: boolean;
		readonly brace: Brace;
		readonly wedged: boolean;
		readonly useWedge: (cm: number | null) => void;
		/** The prescribing row, between the verdict and the figure. */
		readonly prescribe: Snippet;
		/** Other ways of the same purpose, made when they are looked at. */
		readonly swaps: Snippet;
	}
	let { family, step, fit, ctx, setup, ...p }: Props = $props();

	const places = $derived(placesThatFit(step, ctx));
	const byHand = $derived(p.dialled !== null || p.wedged);
	const card = $derived(readCard({ family, step, fit, ctx, setup, byHand }));
	const picture = $derived(movingOfStep(step, ctx, card.given, card.limiting.slice(0, 1)));
	/** The error belongs to what was solved: to the set-up itself, or to how far this body could go. */
	const reach = $derived(
		reachText(
			card.length,
			p.reach,
			p.band,
			fit.verdict === 'set-up' && !byHand ? 'inside the limits' : 'for this body'
		)
	);
</script>

<section aria-label="Set-up card" data-testid="setup-card">
	<h2>{step.title}</h2>
	<p class="label">{inProse(step.what)}</p>
	<CardNotes {fit} upright={card.upright} />
	<CardVerdict {step} {fit} {ctx} {card} {reach} />
	{#if p.wedge}<WedgeOffer
			wedge={p.wedge}
			inUse={p.wedged ? (setup?.heelWedgeCm ?? null) : null}
			frontOfKnee={p.frontOfKnee}
			use={p.useWedge}
		/>{/if}
	<Choices {step} {places} pick={p.pick} folded />
	{@render p.prescribe()}
	<MovingFigure
		{picture}
		tempo={step.tempo ?? [2, 0, 2]}
		mirror={p.mirrored}
		height={205}
		label="{step.title} drawn to scale: {demandText(card) || 'as described'}"
	/>
	<DialRow {card} {byHand} dialled={p.dialled} dial={p.dial} mirrorIt={p.mirrorIt} />
	<BuildIt {card} />
	<Rows heads={['Asks', 'needs', 'usable']} class="my-2" aria-label="What it asks">
		{#each card.axes as { axis, asks, usable } (axis)}
			<tr><td>{AXIS_NAME[axis]}</td><td class="font-semibold">{asks}</td><td>{usable}</td></tr>
		{/each}
	</Rows>
	{#if fit.assumed.length > 0}<p class="label">
			Taken as usual, not measured: {fit.assumed.map(rangeIn).join(', ')}.
		</p>{/if}
	<Moments moments={card.asked.moments} shared={step.posture.movement === 'split-squat'} />
	<Coaching {family} {step} {card} gates={p.gates} brace={p.brace} />
	<Tabs
		tabStyle="underline"
		divider={false}
		class="no-print mt-3 flex flex-wrap gap-x-4 border-b"
		classes={{ content: 'mt-2 bg-transparent p-0 dark:bg-transparent text-base text-ink dark:text-ink' }}
	>
		{#if hasTechnique(step.posture)}<CardTab title="Techniques">
				<Techniques techniques={p.techniques} used={card.technique} />
			</CardTab>{/if}
		{@render p.swaps()}
		<CardTab title="Numbers">
			<NumbersFrom {step} {ctx} band={p.band} used={card.technique} />
		</CardTab>
	</Tabs>
</section>
