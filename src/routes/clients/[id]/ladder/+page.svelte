<script lang="ts">
	import type { Axis, Side } from '#lib/core/body/axis.ts';
	import { firstParticulars } from '#lib/core/dose/particulars.ts';
	import { sideOf } from '#lib/core/body/region-side.ts';
	import { asChosen } from '#lib/core/exercise/choice.ts';
	import { stepOf, type Chosen, type ExerciseFamily } from '#lib/core/exercise/family.ts';
	import { fitFamily, fitStep } from '#lib/core/fit/fit.ts';
	import { setupFor } from '#lib/core/fit/gentler.ts';
	import { isOfBending } from '#lib/core/fit/sore-bend.ts';
	import { errorOf, isOneSided } from '#lib/core/movement/of-step.ts';
	import type { Closed } from '#lib/core/safety/closed.ts';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Waterline from '#lib/ui/Waterline.svelte';
	import SetupCard from '#lib/ui/card/SetupCard.svelte';
	import { onKeys } from '#lib/ui/keys.ts';
	import Edges from '#lib/ui/ladder/Edges.svelte';
	import { familiesFor } from '#lib/ui/families.ts';
	import LeaveOut from '#lib/ui/ladder/LeaveOut.svelte';
	import LadderHead from '#lib/ui/ladder/LadderHead.svelte';
	import NowHeld from '#lib/ui/ladder/NowHeld.svelte';
	import PrescribeForm from '#lib/ui/ladder/PrescribeForm.svelte';
	import SoreBend from '#lib/ui/ladder/SoreBend.svelte';
	import SwapTab from '#lib/ui/ladder/SwapTab.svelte';
	import TryRange from '#lib/ui/ladder/TryRange.svelte';
	import VerdictLegend from '#lib/ui/ladder/VerdictLegend.svelte';
	import UsableLine from '#lib/ui/ladder/UsableLine.svelte';
	import {
		axesOfFamily,
		closedAsMeasured,
		contextTrying,
		edgesFrom,
		firstAxis,
		lockedSteps,
		setupInForce,
		standingLimit,
		stepBeside,
		typedNumber,
		withLoad
	} from '#lib/ui/ladder/reading.ts';
	import { chosenFor } from '#lib/ui/ladder/chosen-for.svelte.ts';
	import { placeIn } from '#lib/ui/ladder/place.svelte.ts';
	import { setupAnswer } from '#lib/ui/ladder/setup-answer.svelte.ts';
	import { beginsWithStep, type TypedDose } from '#lib/ui/ladder/typed-dose.svelte.ts';

	let { data, form } = $props();
	const families = $derived(familiesFor(data.own, data.ctx.leftOut));
	const family = $derived(families[data.family] as ExerciseFamily);
	/** The region that is prescribed for: the sorest, unless another was chosen. */
	let wantedRegion = $state('');
	const sore = $derived(
		data.regions.includes(wantedRegion) ? wantedRegion : (data.now?.region ?? data.regions[0] ?? '')
	);
	const place = placeIn(() => ({
		family: data.family,
		region: sore,
		inPlan: data.inPlan,
		asked: data.asked
	}));
	let axis = $state<Axis>('kneeFlexion');
	let side = $state<Side>('right');
	let chosen = $state('');
	/** Ranges tried out here, in degrees tolerable; empty is as measured. */
	let tried: Record<string, string> = $state({});
	let ready = '';
	$effect.pre(() => {
		// A new client, not a new answer: start where the sore place is.
		const here = `${data.head.id}|${data.family}|${data.wanted ?? ''}`;
		if (ready === here) return;
		if (!ready.startsWith(data.head.id)) tried = {};
		ready = here;
		axis = firstAxis(family, sore);
		side = sideOf(sore) ?? 'right';
		const usual = family.id === 'squat' ? 'raised-seat' : (family.steps[0]?.id ?? '');
		chosen = stepOf(family, data.wanted ?? '')?.id ?? data.now?.step ?? usual;
	});

	const ctx = $derived(contextTrying(data.ctx, tried, data.head.today));
	const trying = $derived(Object.values(tried).some((t) => t.trim() !== ''));
	const fits = $derived(fitFamily(family, ctx));
	const axes = $derived(axesOfFamily(family));
	const catalogueStep = $derived(stepOf(family, chosen) ?? family.steps[0]);
	const typed = $state<TypedDose>({ sets: '1', reps: '10', loadKg: '0' });
	/** What is chosen inside the step; else as it stands in the plan. */
	const picked = chosenFor<Chosen>(() => catalogueStep?.id);
	const standing = $derived(data.inPlan.find((n) => n.step === catalogueStep?.id && n.region === sore));
	const choice = $derived(picked.current ?? standing?.setup?.chosen);
	const step = $derived(withLoad(catalogueStep && asChosen(catalogueStep, choice), typed.loadKg));
	const fit = $derived(
		step === catalogueStep || step === undefined ? fits.find((f) => f.step === step?.id) : fitStep(step, ctx)
	);
	const wedge = chosenFor<number>(() => step?.id);
	const wedgeCm = $derived(wedge.current);
	/** The length, where it was turned by hand. */
	const turned = chosenFor<number>(() => step?.id);
	const dialled = $derived(turned.current);
	let flipped = $state(false);
	const setup = $derived(
		step === undefined || fit === undefined ? null : setupInForce(step, fit, ctx.body, wedgeCm, dialled)
	);
	const lengths = $derived(
		step === undefined || fit === undefined ? null : (setup ?? setupFor(step, fit, ctx.body))
	);
	const error = $derived(step === undefined ? 3 : errorOf(axis, step, ctx));
	const limit = $derived(standingLimit(ctx, axis, side));
	const gatesOf = (id: string): (typeof data.gates)[string] => data.gates[id] ?? [];
	const gatesMet = (id: string): boolean => gatesOf(id).every((g) => g.met);
	/** All that closes the step before its button is pressed; as it was measured, not as it is tried. */
	const closed = $derived<readonly Closed[]>(
		step === undefined || lengths === null
			? []
			: closedAsMeasured(data, family, step, lengths, {
					region: sore,
					loadKg: typedNumber(typed.loadKg),
					chosen: dialled !== null || wedgeCm !== null,
					standing: place.standing.map((n) => n.step)
				})
	);
	const locked = $derived(lockedSteps(family, fits, data.now?.step, gatesMet));
	const edges = $derived(edgesFrom(catalogueStep, family, fits, gatesOf));
	const answered = setupAnswer(() => (step === undefined || fit === undefined ? null : { step, ctx, setup }));
	const answer = $derived(answered.current);

	beginsWithStep(typed, () => ({
		step,
		standing: standing?.dose,
		usualKg: catalogueStep?.posture.load?.kg ?? 0
	}));
	const move = (by: number): void => void (chosen = stepBeside(family, chosen, by));
	const keys = onKeys({
		ArrowRight: () => move(1),
		ArrowLeft: () => move(-1),
		a: () => void (axis = axes[(axes.indexOf(axis) + 1) % Math.max(1, axes.length)] ?? axis),
		s: () => void (side = side === 'left' ? 'right' : 'left'),
		m: () => void (flipped = !flipped),
		p: () => document.querySelector<HTMLButtonElement>('[data-prescribe] button')?.focus()
	});
</script>

<svelte:head><title>Ladder · {data.head.name}</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp
	keys={[
		['← →', 'gentler, harder step'],
		['a', 'next joint action'],
		['s', 'other side'],
		['m', 'mirror the figure'],
		['p', 'to prescribe'],
		['0 … 9', 'other pages of this client']
	]}
/>
<main class="grid grid-cols-[1fr_22rem] max-xl:grid-cols-1">
	<div class="no-print min-w-0 px-7 pt-4 pb-10 max-sm:px-4">
		<LadderHead
			clientId={data.head.id}
			{family}
			families={Object.values(families)}
			{axes}
			bind:axis
			bind:side
		/>
		<UsableLine
			{axis}
			{side}
			{limit}
			{error}
			measured={data.ctx.envelope[axis]?.[side]}
			{trying}
			today={data.head.today}
		/>
		<div class="mt-2">
			<Waterline
				{family}
				{fits}
				{ctx}
				{axis}
				{side}
				{limit}
				{error}
				{chosen}
				current={data.now?.step ?? null}
				{locked}
				choose={(s) => (chosen = s)}
			/>
		</div>
		<VerdictLegend />
		<TryRange {axes} envelope={data.ctx.envelope} clientId={data.head.id} bind:tried {trying} />
		<Edges {edges} choose={(s) => (chosen = s)} />
		{#if isOfBending(family)}<SoreBend {family} {ctx} choose={(s) => (chosen = s)} />{/if}
		<NowHeld clientId={data.head.id} held={data.now?.held} slip={data.slip} />
	</div>
	<aside class="sheet border-l px-6 pt-4 pb-10 max-xl:border-t max-xl:border-l-0 max-sm:px-4">
		{#if step && fit}
			<SetupCard
				{family}
				{step}
				{fit}
				{ctx}
				{setup}
				gates={gatesOf(step.id)}
				reach={answer?.reach ?? null}
				band={answer?.band ?? null}
				techniques={answer?.techniques ?? []}
				wedge={answer?.wedge ?? null}
				{dialled}
				pick={(to) => (picked.current = to)}
				dial={(value) => (turned.current = value)}
				mirrored={(side === 'left') !== flipped}
				mirrorIt={() => (flipped = !flipped)}
				frontOfKnee={data.frontOfKnee}
				brace={data.brace}
				wedged={wedgeCm !== null}
				useWedge={(cm) => (wedge.current = cm)}
			>
				{#snippet prescribe()}<PrescribeForm
						{form}
						ids={data.ids}
						bands={data.bands}
						inPlan={data.inPlan}
						bind:inPlaceOf={place.id}
						particulars={place.changing?.particulars ??
							firstParticulars(!isOneSided(step.posture), sore, data.regions, step.usually)}
						familyId={family.id}
						{step}
						setup={lengths}
						{wedgeCm}
						regions={data.regions}
						bind:sore={() => sore, (region) => (wantedRegion = region)}
						bind:sets={typed.sets}
						bind:reps={typed.reps}
						bind:loadKg={typed.loadKg}
						{closed}
						holds={data.holds[sore] ?? data.notMine}
						licensed={data.head.licensed}
						{trying}
					/>{/snippet}
				{#snippet swaps()}<SwapTab
						clientId={data.head.id}
						{family}
						families={Object.values(families)}
						{step}
						{fit}
						{ctx}
						now={data.nowBy}
						{gatesMet}
						prefers={data.way.prefers}
						{sore}
					/>{/snippet}
			</SetupCard>
			<LeaveOut {form} ids={data.leaveIds} {step} leftOut={data.leftOut} licensed={data.head.licensed} />
		{/if}
	</aside>
</main>
