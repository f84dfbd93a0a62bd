<script lang="ts">
	/** The set-up card of one step: solved height with its error, built from what the room has, drawn, with cues and cautions. */
	import type { Axis } from '#lib/core/body/axis.ts';
	import {
		cuesFor,
		faultsIn,
		type Brace,
		type ExerciseFamily,
		type Step
	} from '#lib/core/exercise/family.ts';
	import type { JointMoments } from '#lib/core/movement/movement.ts';
	import { askedBy, axesOf, errorOf } from '#lib/core/movement/of-step.ts';
	import { SETUP_LENGTHS } from '#lib/core/movement/set-up-length.ts';
	import type { TechniqueRow, WedgeOption } from '#lib/core/fit/compare-techniques.ts';
	import { lengthIn, type FitContext, type SolvedSetup } from '#lib/core/movement/context.ts';
	import { moreUprightDeg } from '#lib/core/fit/more-upright.ts';
	import { shortAt, type StepFit } from '#lib/core/fit/fit.ts';
	import { boundsOf, limitsFor } from '#lib/core/fit/limits-for.ts';
	import { usableOf } from '#lib/core/movement/limits.ts';
	import { buildSeat } from '#lib/core/movement/furniture.ts';
	import { setupFor } from '#lib/core/fit/gentler.ts';
	import { isSquatStep, techniqueFor } from '#lib/core/movement/squat/stand.ts';
	import type { Band } from '#lib/core/posture/band.ts';
	import { BRACE } from '#lib/catalogue/brace.ts';
	import { AXIS_NAME, CHECK_NAME, JOINT_NAME, TECHNIQUE_NAME, sideWord } from '#lib/wording/names.ts';
	import { missingText, positionsText } from '#lib/wording/fit.ts';
	import { easedText, withheldText } from '#lib/wording/screening.ts';
	import { HARDER_WORD, LENGTH_NAME, lengthValue, SOFTEN, uprightText } from '#lib/wording/setup.ts';
	import MovingFigure from './MovingFigure.svelte';
	import { movingOfStep } from './scene.ts';

	import type { Snippet } from 'svelte';

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
		readonly more?: Snippet;
	}
	let {
		prescribe,
		more,
		reach,
		dialled,
		dial,
		mirrored,
		mirrorIt,
		setup,
		wedge,
		frontOfKnee,
		brace,
		wedged,
		useWedge,
		family,
		step,
		fit,
		ctx,
		gates,
		band,
		techniques
	}: Props = $props();

	const over = $derived(fit.limiting.filter((l) => l.short > 0));
	const given = $derived(setup ?? setupFor(step, fit, ctx.body));
	const length = $derived(lengthIn(given));
	const limiting = $derived([
		...new Set((over.length > 0 ? over : fit.limiting).map((l) => l.axis))
	] as Axis[]);
	const asked = $derived(askedBy(step, ctx, given, boundsOf(step, ctx)));
	const upright = $derived(uprightText(moreUprightDeg(step, ctx, given)));
	const moments = $derived<JointMoments>(asked.moments);
	const picture = $derived(movingOfStep(step, ctx, given, limiting.slice(0, 1)));
	const used = $derived(techniqueFor(step, ctx.technique, ctx.teach) ?? 'ordinary');
	const cues = $derived(cuesFor(family, step, used));
	const faults = $derived(faultsIn(family, step, used));
	const build = $derived(
		given.seatCm !== undefined && ctx.furniture
			? (fit.setup?.build ?? buildSeat(given.seatCm, ctx.furniture))
			: undefined
	);
	const spread = $derived(
		band === null || !Number.isFinite(band.low) ? null : Math.max(1, Math.round((band.high - band.low) / 2))
	);
	/** The error belongs to what was solved: to the set-up itself, or to how far this body could go. */
	const reachText = $derived.by((): string => {
		if (spread === null || length === null || reach === null) return '';
		const value = length.harder > 0 ? Math.floor(reach.value) : Math.ceil(reach.value);
		const unit = reach.unit === 'deg' ? '°' : ' cm';
		const word = HARDER_WORD[length.of];
		if (fit.verdict === 'set-up' && !wedged && dialled === null)
			return `${word} inside the limits ${value}${unit} ± ${spread} · `;
		return `${word} for this body ${value}${unit} ± ${spread} · `;
	});
	/** What the set-up that is shown asks beyond what is usable; by hand it may be more than was solved. */
	const shorts = $derived(dialled === null && !wedged ? [] : shortAt(step, ctx, given));
	const limits = $derived(limitsFor(step, ctx));
	function usable(axis: Axis): string {
		const known = limits
			.filter((l) => l.axis === axis)
			.flatMap((l) => usableOf(l, errorOf(axis, step, ctx))?.deg ?? []);
		return known.length === 0 ? 'not measured' : `${Math.round(Math.min(...known))}°`;
	}
	const withheld = $derived(withheldText(fit.withheld));
	const missing = $derived(missingText(fit));
	const no = $derived(positionsText(fit, 'no'));
	const ask = $derived(positionsText(fit, 'unknown'));
	const shownAxes = $derived(
		axesOf(step).filter((a) => asked.demand[a] !== undefined || asked.other?.[a] !== undefined)
	);
	const mainAxis = $derived<Axis | undefined>(
		shownAxes.includes('kneeFlexion') ? 'kneeFlexion' : shownAxes[0]
	);
	const degrees = (a: Axis): string =>
		[asked.demand[a], asked.other?.[a]]
			.map((v, i) =>
				v === undefined
					? null
					: asked.other !== null && asked.demand[a] !== undefined && asked.other[a] !== undefined
						? `${i === 0 ? 'front' : 'rear'} ${Math.round(v)}°`
						: `${Math.round(v)}°`
			)
			.filter((v) => v !== null)
			.join(', ');
	const demandText = $derived(shownAxes.map((a) => `${AXIS_NAME[a].toLowerCase()} ${degrees(a)}`).join(', '));
	/** Where the trunk carries: a load, a bend, a plank. */
	const braced = $derived(
		step.tags.includes('spine-load') || ['hinge', 'trunk', 'bridge'].includes(family.id)
	);
	/** A step taught in one way only, for a client who is taught another. */
	const contradicts = $derived.by((): string => {
		const own = isSquatStep(step) ? step.posture.technique : undefined;
		return own === undefined || ctx.technique === undefined || own === ctx.technique
			? ''
			: `This step is taught ${TECHNIQUE_NAME[own].toLowerCase()}, this client ${TECHNIQUE_NAME[ctx.technique].toLowerCase()}: the two contradict. Say which counts here.`;
	});
	/** Which joint comes close, by how much, against which error. */
	const watchText = $derived.by((): string => {
		const near = fit.limiting[0];
		if (near === undefined) return 'Inside the limit, but closer than the model’s own error.';
		return `${sideWord(near.side)} ${AXIS_NAME[near.axis].toLowerCase()}: ${Math.max(0, Math.round(-near.short))}° inside what is usable, closer than the model’s own error of ${errorOf(near.axis, step, ctx)}°.`;
	});
	const signed = (n: number): string => String(Math.round(n)).replace('-', '−');
	const padsText = $derived(build === undefined ? '' : build.pads.map((p) => `${p} cm`).join(' + '));
</script>

<section aria-label="Set-up card" data-testid="setup-card">
	<h2>{step.title}</h2>
	<p class="label">{step.what}</p>
	{#if missing}<p class="mt-1 border-l-4 border-edge bg-sheet px-3 py-1.5">Not at hand: {missing}.</p>{/if}
	{#if upright}<p class="mt-1 text-sm" data-testid="upright">
			{upright[0]?.toUpperCase()}{upright.slice(1)}: it spares knee or ankle and asks a longer lean. Show it:
			the numbers hold for this way only.
		</p>{/if}
	{#if fit.onBed}<p class="label mt-1" data-testid="on-bed">
			On the bed or couch: nobody has to get down to the floor.
		</p>{/if}
	{#if no}<p class="mt-1 border-l-4 border-caution bg-sheet px-3 py-1.5 text-caution">
			Not tolerated: {no}. Another way of the same purpose is below.
		</p>{/if}
	{#if ask}<p class="mt-1 text-sm text-caution">Ask first: {ask}.</p>{/if}
	{#if withheld}<p class="mt-1 border-l-4 border-caution bg-sheet px-3 py-1.5 text-caution">
			Withheld: {withheld}.
		</p>{/if}
	{#if fit.eased.length > 0}<p
			class="mt-1 border-l-4 border-caution bg-sheet px-3 py-1.5 text-sm text-caution"
		>
			{easedText(fit.eased)}
		</p>{/if}
	<div class="mt-2 flex flex-wrap items-baseline gap-x-3">
		<span class="text-4xl font-bold" data-testid="solved"
			>{length === null
				? ''
				: length.of === 'thighDeg'
					? `${Math.round(length.value)}° thigh`
					: lengthValue(given)}</span
		>
		<span class="label"
			>{reachText}{mainAxis === undefined
				? ''
				: `${JOINT_NAME[mainAxis]} ${degrees(mainAxis)} of ${usable(mainAxis)}`}</span
		>
	</div>
	<p class="text-sm">
		{#if fit.verdict === 'fits'}Fits as it stands{fit.seen ? `: seen doing it, settled` : ''}.
		{:else if fit.verdict === 'set-up'}Fits when set up like this; as it stands the {over[0]
				? `${over[0].side} ${AXIS_NAME[over[0].axis].toLowerCase()} is ${Math.ceil(over[0].short)}° short`
				: 'range is short'}.
		{:else if fit.verdict === 'watch'}{watchText} Watch it.
		{:else if fit.verdict === 'blocked'}Blocked: {over[0]
				? `${over[0].side} ${AXIS_NAME[over[0].axis].toLowerCase()} asks ${Math.round(over[0].demand)}°, ${Math.ceil(over[0].short)}° more than ${over[0].by === 'protocol' ? 'the protocol limit allows' : 'is usable'}`
				: 'no set-up balances within the limits'}.
		{:else}Not measured: {fit.unmeasured
				.map((u) => `${u.side} ${AXIS_NAME[u.axis].toLowerCase()}${u.reason === 'stale' ? ' (too old)' : ''}`)
				.join(', ')}.{/if}
	</p>
	{#if wedge}
		<p class="mt-1 text-sm" data-testid="wedge">
			{#if wedged}<strong>On a {setup?.heelWedgeCm} cm heel wedge.</strong>
				<button type="button" class="cursor-pointer text-accent underline" onclick={() => useWedge(null)}
					>Without</button
				>
			{:else}Or the full depth on a heel wedge of {Math.ceil(wedge.neededCm * 10) / 10} cm ({wedge.band.low.toFixed(
					1
				)} to {wedge.band.high.toFixed(1)}):
				{#if wedge.haveCm === null}none here is high enough.{:else}<button
						type="button"
						class="cursor-pointer text-accent underline"
						onclick={() => useWedge(wedge.haveCm)}>use the {wedge.haveCm} cm one</button
					>.{/if}{/if}
			{#if frontOfKnee}<span class="text-caution"
					>It loads the front of the knee more, which is the sore place here.</span
				>{/if}
		</p>
	{/if}
	{@render prescribe()}
	<MovingFigure
		{picture}
		tempo={step.tempo ?? [2, 0, 2]}
		mirror={mirrored}
		height={205}
		label="{step.title} drawn to scale: {demandText || 'as described'}"
	/>
	<div class="no-print flex flex-wrap items-center gap-x-3 text-sm">
		{#if length !== null}
			<label class="flex grow items-center gap-2"
				><span class="label">Turn by hand: {LENGTH_NAME[length.of]}</span>
				<input
					type="range"
					min={SETUP_LENGTHS[length.of].slider[0]}
					max={SETUP_LENGTHS[length.of].slider[1]}
					step="1"
					value={length.value}
					oninput={(e) => dial(Number(e.currentTarget.value))}
					class="min-h-9 grow accent-(--accent)"
					aria-label="{LENGTH_NAME[length.of]}, {length.unit === 'deg' ? 'degrees' : 'cm'}"
					data-testid="dial"
				/></label
			>
			{#if dialled !== null}<button
					type="button"
					class="min-h-9 cursor-pointer text-accent underline"
					onclick={() => dial(null)}>As solved</button
				>{/if}
		{/if}
		<button type="button" class="min-h-9 cursor-pointer text-accent underline" onclick={mirrorIt}
			>Mirror</button
		>
	</div>
	{#if dialled !== null || wedged}
		<p class="text-sm {shorts.length > 0 ? 'text-caution' : 'text-tolerated'}" data-testid="dial-verdict">
			{shorts.length === 0
				? 'Inside what is usable.'
				: `${shorts[0]?.side} ${AXIS_NAME[shorts[0]?.axis ?? 'kneeFlexion'].toLowerCase()} ${Math.ceil(shorts[0]?.short ?? 0)}° beyond what ${shorts[0]?.by === 'protocol' ? 'the protocol limit allows' : 'is usable'}.`}{asked.stands
				? ''
				: ` It does not stand: ${asked.failing.map((f) => CHECK_NAME[f]).join(', ')}.`}
		</p>
	{/if}
	{#if build !== undefined}
		<p class="text-sm">
			<strong>Build it:</strong>
			{build.seat} cm seat{padsText ? ` + ${padsText}` : ''}{build.short > 0
				? `; ${build.short} cm too low, nothing here reaches`
				: build.reaches > (given.seatCm ?? 0)
					? `, which stands ${build.reaches} cm`
					: ''}. Start there; raise it 2–3 cm if it hurts.
		</p>
	{:else}
		<p class="text-sm">
			<strong>Start there;</strong> confirm it on the client’s own symptoms{length === null
				? ''
				: `, and ${SOFTEN[length.of]}`}.{length?.of === 'feetCm'
				? ' Feet are counted from the shoulder to the ankle.'
				: ''}
		</p>
	{/if}
	<table class="plain my-2 text-sm">
		<thead><tr><th>Asks</th><th>needs</th><th>usable</th></tr></thead>
		<tbody>
			{#each shownAxes as axis (axis)}
				<tr
					><td>{AXIS_NAME[axis]}</td><td class="font-semibold">{degrees(axis)}</td><td>{usable(axis)}</td></tr
				>
			{/each}
		</tbody>
	</table>
	{#if fit.assumed.length > 0}<p class="label">
			Taken as usual, not measured: {fit.assumed.map((a) => AXIS_NAME[a].toLowerCase()).join(', ')}.
		</p>{/if}
	{#if moments.knee !== undefined}<p class="text-sm" data-testid="moments">
			<span class="label">Relative moments, N·m a leg:</span> knee {signed(moments.knee)}, hip {signed(
				moments.hip ?? 0
			)}{moments.back === undefined ? '' : `, low back ${signed(moments.back)}`}{moments.ankle === undefined
				? ''
				: `, ankle ${signed(moments.ankle)}`}{(moments.knee ?? 0) < -0.5
				? '; minus at the knee: the back of the thigh holds it'
				: ''}{step.posture.movement === 'split-squat'
				? ' (how two feet share it is assumed: read it ± half)'
				: ''}
		</p>{/if}
	{#if gates.length > 0}
		<ul class="my-2 text-sm" aria-label="Gates">
			{#each gates as g (g.text)}<li class={g.met ? 'text-tolerated' : 'text-caution'}>
					{g.met ? '✓ gate met' : '○ gate open'}: {g.text}
				</li>{/each}
		</ul>
	{/if}
	<ol class="my-2 list-decimal pl-5 text-sm">
		{#each cues as cue (cue)}<li>{cue}</li>{/each}
	</ol>
	{#if braced}<p class="text-sm">
			<span class="label">Brace, {BRACE[brace].title.toLowerCase()}:</span>
			{BRACE[brace].cue}.
		</p>{/if}
	{#if contradicts}<p class="text-sm text-caution">{contradicts}</p>{/if}
	<p class="text-sm">
		<span class="label">Watch for:</span>
		{faults
			.slice(0, 4)
			.map((f) => f.title.toLowerCase())
			.join(', ')}
	</p>
	<ul class="my-2 border-l-4 border-caution pl-3 text-sm">
		{#each [...step.cautions, ...family.cautions] as c (c)}<li>{c}</li>{/each}
	</ul>
	{#if techniques.length > 0}
		<details class="mt-2" open={techniques.length > 0}>
			<summary class="cursor-pointer font-semibold">Techniques side by side</summary>
			<table class="plain text-sm" data-testid="techniques">
				<thead
					><tr
						><th></th><th>{techniques[0]?.unit === 'deg' ? 'deepest' : 'lowest'}</th><th>knee N·m</th><th
							>hip N·m</th
						><th>stopped by</th></tr
					></thead
				>
				<tbody>
					{#each techniques as t (t.technique)}
						<tr class={t.technique === used ? 'font-bold' : ''}>
							<td>{TECHNIQUE_NAME[t.technique]}</td>
							<td
								>{t.reach === null
									? 'none'
									: t.unit === 'cm'
										? `${Math.ceil(t.reach)} cm`
										: `${Math.floor(t.reach)}°`}</td
							>
							<td>{Math.round(t.moments.knee ?? 0)}</td>
							<td>{Math.round(t.moments.hip ?? 0)}</td>
							<td>{t.limiting.map((l) => CHECK_NAME[l]).join(', ') || '–'}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			<p class="label">
				Per leg, at this {given.seatCm === undefined ? 'depth' : 'seat'}; quasi-static and planar, for
				comparing set-ups only. A hip moment near zero means the load shifts to the knee, never “no hip load”.
			</p>
		</details>
	{/if}
	{@render more?.()}
	<details class="mt-2">
		<summary class="cursor-pointer font-semibold">Where these numbers come from</summary>
		<ul class="list-disc pl-5 text-sm">
			<li>
				The step, its gates and dose: {#each step.sources as source, i (source)}{i > 0 ? ', ' : ''}<a
						href="/sources#{source}">{source}</a
					>{/each}.
			</li>
			<li>
				Angles: {step.posture.movement === 'pose'
					? 'read off the pose that is drawn; nothing is solved.'
					: `a planar linkage of this body${used === 'ordinary' ? '' : ` in the ${TECHNIQUE_NAME[used].toLowerCase()} technique`}, solved for balance and reach.`}
				Lengths {ctx.body.measured.length === 0
					? 'from stature'
					: `measured: ${ctx.body.measured.map((m) => m.replace('Cm', '')).join(', ')}; the rest from stature`}
				(<a href="/sources#drillis-contini-1966">drillis-contini-1966</a>), masses (<a
					href="/sources#winter-2009">winter-2009</a
				>).
			</li>
			<li>
				Usable: {ctx.rules.base === 'painFree' ? 'the onset of pain' : 'what is tolerable'} or the protocol limit,
				whichever is less, minus the policy’s margin of {step.posture.load === undefined
					? ctx.rules.marginDeg
					: ctx.rules.loadedMarginDeg}°{step.posture.load === undefined ? '' : ' for loaded work'} (<a
					href="/sources#practice-setting">practice-setting</a
				>).
			</li>
			{#if band}<li>
					Error: 5th to 95th percentile of {band.samples} bodies and balance points drawn around this one, {band.low.toFixed(
						1
					)} to {band.high.toFixed(1)}; always the same draw for the same question. The model’s own error and
					the day’s form are not in it.
				</li>{/if}
			<li>
				Hip is the angle between thigh and trunk, pelvis and back included; bare feet; joint centres level is
				90° of thigh.
			</li>
		</ul>
	</details>
</section>
