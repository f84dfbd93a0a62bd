<script lang="ts">
	/** The set-up card of one step: solved height with its error, built from what the room has, drawn, with cues and cautions. */
	import { AXES, type Axis, type Side } from '#lib/core/body/axis.ts';
	import { faultsIn, type ExerciseFamily, type Step } from '#lib/core/exercise/family.ts';
	import type { TechniqueRow, WedgeOption } from '#lib/core/fit/compare-techniques.ts';
	import { depthFor, limitsFor, techniqueFor, type FitContext, type SolvedSetup, type StepFit } from '#lib/core/fit/fit.ts';
	import { buildSeat } from '#lib/core/fit/furniture.ts';
	import type { Band } from '#lib/core/posture/band.ts';
	import { AXIS_NAME, CHECK_NAME, TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import FigureView from './FigureView.svelte';
	import { figureOfStep } from './scene.ts';

	import type { Snippet } from 'svelte';

	interface Props {
		readonly family: ExerciseFamily;
		readonly step: Step;
		readonly fit: StepFit;
		readonly ctx: FitContext;
		readonly side: Side;
		readonly gates: readonly { readonly met: boolean; readonly text: string }[];
		readonly band: Band | null;
		readonly techniques: readonly TechniqueRow[];
		/** The set-up in force: as solved, or with the wedge that was chosen. */
		readonly setup: SolvedSetup | null;
		readonly wedge: WedgeOption | null;
		readonly frontOfKnee: boolean;
		readonly wedged: boolean;
		readonly useWedge: (cm: number | null) => void;
		/** The prescribing row, between the verdict and the figure. */
		readonly prescribe: Snippet;
	}
	let { prescribe, setup, wedge, frontOfKnee, wedged, useWedge, family, step, fit, ctx, side, gates, band, techniques }: Props = $props();

	const depth = $derived(depthFor(step, setup));
	const limiting = $derived([...new Set(fit.limiting.map((l) => l.axis))] as Axis[]);
	const drawn = $derived(figureOfStep(step, ctx, setup, limiting.slice(0, 1)));
	const used = $derived(techniqueFor(step, ctx.technique, ctx.teach) ?? 'ordinary');
	const cues = $derived(family.cues[used]);
	const faults = $derived(faultsIn(family, step, used));
	const build = $derived('seatCm' in depth && ctx.furniture ? (fit.setup?.build ?? buildSeat(depth.seatCm, ctx.furniture)) : undefined);
	const spread = $derived(band === null || !Number.isFinite(band.low) ? null : Math.max(1, Math.round((band.high - band.low) / 2)));
	/** The error belongs to what was solved: to the set-up itself, or to how low this body could go. */
	const reachText = $derived.by((): string => {
		if (spread === null) return '';
		const own = techniques.find((t) => t.technique === used);
		const solved = own === undefined || own.reach === null ? '' : own.unit === 'cm' ? `lowest inside the limits ${Math.ceil(own.reach)} cm ± ${spread} · ` : `± ${spread} · `;
		if (fit.verdict === 'set-up' && !wedged) return solved;
		if (own === undefined || own.reach === null) return '';
		return own.unit === 'cm' ? `lowest for this body ${Math.ceil(own.reach)} ± ${spread} · ` : `deepest for this body ${Math.floor(own.reach)}° ± ${spread} · `;
	});
	const limits = $derived(limitsFor(step, ctx));
	function usable(axis: Axis): string {
		const known = limits.filter((l) => l.axis === axis && l.kind === 'known').map((l) => (l.kind === 'known' ? l.limit - l.margin : Infinity));
		return known.length === 0 ? 'not measured' : `${Math.round(Math.min(...known))}°`;
	}
	const over = $derived(fit.limiting.filter((l) => l.short > 0));
	const angles = $derived<Record<Axis, number>>({
		kneeFlexion: drawn.posture.angles.kneeFlexion,
		thighTrunkFlexion: drawn.posture.angles.thighTrunkFlexion,
		weightBearingDorsiflexion: drawn.posture.angles.weightBearingDorsiflexion
	});
	const padsText = $derived(build === undefined ? '' : build.pads.map((p) => `${p} cm`).join(' + '));
</script>

<section aria-label="Set-up card" data-testid="setup-card">
	<h2>{step.title}</h2>
	<p class="label">{step.what}</p>
	<div class="mt-2 flex flex-wrap items-baseline gap-x-3">
		<span class="text-4xl font-bold" data-testid="solved">{'seatCm' in depth ? `${depth.seatCm} cm` : 'thighDeg' in depth ? `${depth.thighDeg}° thigh` : ''}</span>
		<span class="label">{reachText}knee {Math.round(angles.kneeFlexion)}° of {usable('kneeFlexion')}</span>
	</div>
	<p class="text-sm">
		{#if fit.verdict === 'fits'}Fits as it stands{fit.seen ? `: seen doing it, settled` : ''}.
		{:else if fit.verdict === 'set-up'}Fits when set up like this; as it stands the {over[0] ? `${over[0].side} ${AXIS_NAME[over[0].axis].toLowerCase()} is ${Math.ceil(over[0].short)}° short` : 'range is short'}.
		{:else if fit.verdict === 'watch'}Inside the limit, but closer than the model’s own error. Watch it.
		{:else if fit.verdict === 'blocked'}Blocked: {over[0] ? `${over[0].side} ${AXIS_NAME[over[0].axis].toLowerCase()} asks ${Math.round(over[0].demand)}°, ${Math.ceil(over[0].short)}° more than ${over[0].by === 'protocol' ? 'the protocol limit allows' : 'is usable'}` : 'no set-up balances within the limits'}.
		{:else}Not measured: {fit.unmeasured.map((u) => `${u.side} ${AXIS_NAME[u.axis].toLowerCase()}${u.reason === 'stale' ? ' (too old)' : ''}`).join(', ')}.{/if}
	</p>
	{#if wedge}
		<p class="mt-1 text-sm" data-testid="wedge">
			{#if wedged}<strong>On a {setup?.heelWedgeCm} cm heel wedge.</strong> <button type="button" class="cursor-pointer text-accent underline" onclick={() => useWedge(null)}>Without</button>
			{:else}Or the full depth on a heel wedge of {Math.ceil(wedge.neededCm * 10) / 10} cm ({wedge.band.low.toFixed(1)} to {wedge.band.high.toFixed(1)}):
				{#if wedge.haveCm === null}none here is high enough.{:else}<button type="button" class="cursor-pointer text-accent underline" onclick={() => useWedge(wedge.haveCm)}>use the {wedge.haveCm} cm one</button>.{/if}{/if}
			{#if frontOfKnee}<span class="text-caution">It loads the front of the knee more, which is the sore place here.</span>{/if}
		</p>
	{/if}
	{@render prescribe()}
	<FigureView figure={drawn.figure} heights mirror={side === 'left'} height={215} tight label="{step.title} drawn to scale: knee {Math.round(angles.kneeFlexion)} degrees, sitting fold {Math.round(angles.thighTrunkFlexion)}, ankle {Math.round(angles.weightBearingDorsiflexion)}" />
	{#if build !== undefined}
		<p class="text-sm">
			<strong>Build it:</strong>
			{build.seat} cm seat{padsText ? ` + ${padsText}` : ''}{build.short > 0 ? `; ${build.short} cm too low, nothing here reaches` : build.reaches > ('seatCm' in depth ? depth.seatCm : 0) ? `, which stands ${build.reaches} cm` : ''}. Start there; raise it 2–3 cm if it hurts.
		</p>
	{:else}
		<p class="text-sm"><strong>Start there;</strong> confirm it on the client’s own symptoms, and go shallower if it hurts.</p>
	{/if}
	<table class="plain my-2 text-sm">
		<thead><tr><th>Asks of both sides</th><th>needs</th><th>usable</th></tr></thead>
		<tbody>
			{#each AXES as axis (axis)}
				<tr><td>{AXIS_NAME[axis]}</td><td class="font-semibold">{Math.round(angles[axis])}°</td><td>{usable(axis)}</td></tr>
			{/each}
		</tbody>
	</table>
	{#if gates.length > 0}
		<ul class="my-2 text-sm" aria-label="Gates">
			{#each gates as g (g.text)}<li class={g.met ? 'text-tolerated' : 'text-caution'}>{g.met ? '✓ gate met' : '○ gate open'}: {g.text}</li>{/each}
		</ul>
	{/if}
	<ol class="my-2 list-decimal pl-5 text-sm">{#each cues as cue (cue)}<li>{cue}</li>{/each}</ol>
	<p class="text-sm"><span class="label">Watch for:</span> {faults.slice(0, 4).map((f) => f.title.toLowerCase()).join(', ')}</p>
	<ul class="my-2 border-l-4 border-caution pl-3 text-sm">
		{#each [...step.cautions, ...family.cautions] as c (c)}<li>{c}</li>{/each}
	</ul>
	<details class="mt-2" open={techniques.length > 0}>
		<summary class="cursor-pointer font-semibold">Techniques side by side</summary>
		<table class="plain text-sm" data-testid="techniques">
			<thead><tr><th></th><th>{techniques[0]?.unit === 'deg' ? 'deepest' : 'lowest'}</th><th>knee N·m</th><th>hip N·m</th><th>stopped by</th></tr></thead>
			<tbody>
				{#each techniques as t (t.technique)}
					<tr class={t.technique === used ? 'font-bold' : ''}>
						<td>{TECHNIQUE_NAME[t.technique]}</td>
						<td>{t.reach === null ? 'none' : t.unit === 'cm' ? `${Math.ceil(t.reach)} cm` : `${Math.floor(t.reach)}°`}</td>
						<td>{Math.round(t.moments.kneePerLeg)}</td>
						<td>{Math.round(t.moments.hipPerLeg)}</td>
						<td>{t.limiting.map((l) => CHECK_NAME[l]).join(', ') || '–'}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="label">Per leg, at this {'seatCm' in depth ? 'seat' : 'depth'}; quasi-static and planar, for comparing set-ups only. A hip moment near zero means the load shifts to the knee, never “no hip load”.</p>
	</details>
	<details class="mt-2">
		<summary class="cursor-pointer font-semibold">Where these numbers come from</summary>
		<ul class="list-disc pl-5 text-sm">
			<li>Angles: a planar linkage of this body in the {TECHNIQUE_NAME[used].toLowerCase()}, solved for balance. Lengths {ctx.body.measured.length === 0 ? 'from stature' : `measured: ${ctx.body.measured.map((m) => m.replace('Cm', '')).join(', ')}; the rest from stature`} (<a href="/sources#drillis-contini-1966">drillis-contini-1966</a>), masses (<a href="/sources#winter-2009">winter-2009</a>).</li>
			<li>Usable: {ctx.rules.base === 'painFree' ? 'the onset of pain' : 'what is tolerable'} or the protocol limit, whichever is less, minus the policy’s margin of {step.posture.load === undefined ? ctx.rules.marginDeg : ctx.rules.loadedMarginDeg}°{step.posture.load === undefined ? '' : ' for loaded work'} (<a href="/sources#practice-setting">practice-setting</a>).</li>
			{#if band}<li>Error: 5th to 95th percentile of {band.samples} bodies and balance points drawn around this one, {band.low.toFixed(1)} to {band.high.toFixed(1)}; always the same draw for the same question. The model’s own error and the day’s form are not in it.</li>{/if}
			{#if drawn.posture.assumed.length > 0}<li>Assumed: {drawn.posture.assumed.join(', ')}.</li>{/if}
			<li>Hip is the angle between thigh and trunk, pelvis and back included; bare feet; joint centres level is 90° of thigh.</li>
		</ul>
	</details>
</section>
