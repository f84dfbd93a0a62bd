<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { FAMILIES } from '#lib/catalogue/families.ts';
	import { AXES, POSSIBLE_RANGE, type Axis, type Side } from '#lib/core/body/axis.ts';
	import { stepOf, type ExerciseFamily } from '#lib/core/exercise/family.ts';
	import { depthFor, errorOf, fitFamily, standOf, type FitContext, type SolvedSetup } from '#lib/core/fit/fit.ts';
	import { axisLimit } from '#lib/core/fit/limits.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import SetupCard from '#lib/ui/SetupCard.svelte';
	import Stroke from '#lib/ui/Stroke.svelte';
	import Waterline from '#lib/ui/Waterline.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { onKeys } from '#lib/ui/keys.ts';
	import type { SetupAnswer } from '#lib/workers/setup.worker.ts';
	import SetupWorker from '#lib/workers/setup.worker.ts?worker';
	import { ago } from '#lib/wording/days.ts';
	import { AXIS_NAME, regionName, sideWord } from '#lib/wording/names.ts';

	let { data, form } = $props();
	const family = FAMILIES.squat as ExerciseFamily;
	const sore = $derived(data.regions[0] ?? '');
	let axis = $state<Axis>('kneeFlexion');
	let side = $state<Side>('right');
	let chosen = $state('');
	/** Ranges tried out here, in degrees tolerable; empty is as measured. */
	let tried: Record<string, string> = $state({});
	let ready = '';
	$effect.pre(() => {
		// A new client, not a new answer: start where the sore place is.
		if (ready === data.head.id) return;
		ready = data.head.id;
		axis = /^(hip|back)/.test(sore) ? 'thighTrunkFlexion' : /^ankle/.test(sore) ? 'weightBearingDorsiflexion' : 'kneeFlexion';
		side = sore.endsWith('left') ? 'left' : 'right';
		chosen = data.now?.step ?? 'raised-seat';
		tried = {};
	});

	const ctx = $derived.by((): FitContext => {
		const envelope = structuredClone($state.snapshot(data.ctx.envelope)) as Record<string, Record<string, { painFree: number; tolerable: number; end: number; date: string; loaded: boolean }>>;
		for (const [key, text] of Object.entries(tried)) {
			const value = Number(text.replace(',', '.'));
			const [a, s] = key.split('.') as [Axis, Side];
			const [low, high] = POSSIBLE_RANGE[a];
			if (text.trim() === '' || !(value >= low && value <= high)) continue;
			const known = envelope[a]?.[s];
			envelope[a] = { ...envelope[a], [s]: { painFree: value, tolerable: value, end: Math.max(value, known?.end ?? value), date: data.head.today, loaded: known?.loaded ?? false } };
		}
		return { ...data.ctx, envelope };
	});
	const trying = $derived(Object.values(tried).some((t) => t.trim() !== ''));
	const fits = $derived(fitFamily(family, ctx));
	const step = $derived(stepOf(family, chosen) ?? family.steps[0]);
	const fit = $derived(fits.find((f) => f.step === step?.id));
	/** A wedge chosen instead of a shallower squat, for the step it was chosen for. */
	let wedgeChoice = $state<{ step: string; cm: number } | null>(null);
	const wedgeCm = $derived(wedgeChoice !== null && wedgeChoice.step === step?.id ? wedgeChoice.cm : null);
	const setup = $derived.by((): SolvedSetup | null => {
		if (step === undefined || fit === undefined) return null;
		const { depth } = step.posture;
		if (wedgeCm !== null && 'thighDeg' in depth) return { thighDeg: depth.thighDeg, heelWedgeCm: wedgeCm };
		return fit.setup;
	});
	const lengths = $derived(step === undefined ? null : depthFor(step, setup));
	const limit = $derived(axisLimit(axis, side, ctx.envelope, ctx.protocolLimits ?? [], ctx.rules, ctx.today, false));
	const error = $derived(step === undefined ? 3 : errorOf(axis, standOf(step, ctx)));
	const gatesOf = (id: string): { met: boolean; text: string }[] => data.gates[id] ?? [];
	const reached = $derived(family.steps.findIndex((s) => s.id === data.now?.step));
	/** Gates matter for what lies ahead; a step that was passed or started from is not locked. */
	const locked = $derived(new Set(family.steps.filter((s, i) => i > reached && gatesOf(s.id).some((g) => !g.met)).map((s) => s.id)));

	let worker: Worker | undefined = $state();
	let answer = $state<SetupAnswer | null>(null);
	let asked = 0;
	onMount(() => {
		const w = new SetupWorker();
		w.onmessage = (e: MessageEvent<SetupAnswer>) => {
			if (e.data.ask === asked) answer = e.data;
		};
		worker = w;
		return () => w.terminate();
	});
	$effect(() => {
		if (worker === undefined || step === undefined || fit === undefined) return;
		const question = { ask: ++asked, family: family.id, step: step.id, ctx: $state.snapshot(ctx), depth: depthFor(step, setup) };
		const timer = setTimeout(() => worker?.postMessage(question), 40);
		return () => clearTimeout(timer);
	});

	let lost = $state('');
	let sets = $state('1');
	let reps = $state('10');
	let load = $state('0');
	let reason = $state('');
	let doseFor = '';
	$effect.pre(() => {
		if (step === undefined || doseFor === step.id) return;
		doseFor = step.id;
		const now = data.now?.step === step.id ? data.now.dose : undefined;
		sets = String(now?.sets ?? step.usualDose.start.sets);
		reps = String(now?.reps ?? step.usualDose.start.reps);
		load = String(now?.loadKg ?? step.posture.load?.kg ?? 0);
	});
	const move = (by: number): void => {
		const i = family.steps.findIndex((s) => s.id === chosen);
		chosen = family.steps[Math.max(0, Math.min(family.steps.length - 1, i + by))]?.id ?? chosen;
	};
	const nextAxis = (): void => void (axis = AXES[(AXES.indexOf(axis) + 1) % AXES.length] as Axis);
	const keys = onKeys({
		ArrowRight: () => move(1),
		ArrowLeft: () => move(-1),
		a: nextAxis,
		s: () => void (side = side === 'left' ? 'right' : 'left'),
		p: () => document.querySelector<HTMLButtonElement>('[data-prescribe] button')?.focus()
	});
	const needsReason = $derived(fit !== undefined && (fit.verdict === 'blocked' || fit.verdict === 'unmeasured'));
	const wrong = (name: string): string | undefined => (form && 'field' in form && form.field === name ? form.message : undefined);
	const measured = $derived(data.ctx.envelope[axis]?.[side]);
</script>

<svelte:head><title>Ladder · {data.head.name}</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp keys={[['← →', 'gentler, harder step'], ['a', 'next joint action'], ['s', 'other side'], ['p', 'to prescribe'], ['1 … 6', 'other pages of this client']]} />
<main class="grid grid-cols-[1fr_22rem] max-xl:grid-cols-1">
	<div class="min-w-0 px-7 pt-4 pb-10 max-sm:px-4">
		<div class="flex flex-wrap items-end justify-between gap-x-5 gap-y-1">
			<h2>{family.title}</h2>
			<div class="flex gap-3">
				<Choice name="axis" label="Joint action" hideLabel bind:value={axis} items={AXES.map((a) => ({ value: a, name: AXIS_NAME[a] }))} />
				<Choice name="side" label="Side" hideLabel bind:value={side} items={[{ value: 'right', name: 'Right side' }, { value: 'left', name: 'Left side' }]} />
			</div>
		</div>
				<p class="label mt-1">
					{AXIS_NAME[axis]} each step asks, against what the {side} side can use now:
					{#if limit.kind === 'known'}
						<strong class="text-ink">{Math.round(limit.limit - limit.margin)}°</strong>
						({limit.by === 'protocol' ? 'protocol limit' : measured?.from === 'observed' ? 'seen in sessions' : measured?.from === 'painful-set' ? 'lowered by a painful set' : trying ? 'tried' : 'measured'}
						{Math.round(limit.limit)}°{measured && !trying ? `, ${ago(measured.date, data.head.today)}` : ''}, less {limit.margin}° margin; ± {error}° model error)
					{:else}<strong class="text-caution">{limit.reason === 'stale' ? 'too old, measure again' : 'not measured'}</strong>{/if}
				</p>
		<div class="mt-2"><Waterline {family} {fits} {ctx} {axis} {side} {limit} {error} {chosen} current={data.now?.step ?? null} {locked} choose={(s) => (chosen = s)} /></div>
		<p class="label mt-1"><span class="text-tolerated">● fits</span> · <span class="text-accent">◆ set up as written</span> · <span class="text-caution">▲ closer than the error</span> · ✕ short · ? not measured · dashes: after the set-up</p>
		<div class="rule mt-3 flex flex-wrap items-end gap-x-5 gap-y-2 pt-3" role="group" aria-label="Try a range">
			<p class="label w-20">Try a range, degrees</p>
			{#each AXES as a (a)}
				<div class="flex items-end gap-1.5">
					{#each ['right', 'left'] as const as s (s)}
						<Field name="try.{a}.{s}" label="{a === 'weightBearingDorsiflexion' ? 'Ankle' : AXIS_NAME[a]} {sideWord(s).charAt(0)}" bind:value={tried[`${a}.${s}`]} placeholder={String(Math.round(data.ctx.envelope[a]?.[s]?.tolerable ?? 0) || '–')} inputmode="decimal" width="w-14" />
					{/each}
				</div>
			{/each}
			{#if trying}<button type="button" class="cursor-pointer pb-2 text-accent underline" onclick={() => (tried = {})}>As measured</button>{/if}
			<a href="/clients/{data.head.id}/measure" class="pb-2">Enter a measurement</a>
		</div>
		{#if data.slip}
			<a href="/clients/{data.head.id}/decide" class="rule mt-3 flex items-center gap-3 py-3 text-ink no-underline hover:bg-wash"><Stroke decision={data.slip.decision} /><span>{data.slip.sentence}</span><span class="ml-auto text-accent">Decide</span></a>
		{/if}
	</div>
	<aside class="sheet border-l px-6 pt-4 pb-10 max-xl:border-t max-xl:border-l-0 max-sm:px-4">
		{#if step && fit}
			<SetupCard {family} {step} {fit} {ctx} {side} gates={gatesOf(step.id)} band={answer?.step === step.id ? answer.band : null} techniques={answer?.step === step.id ? answer.techniques : []} {setup} wedge={answer?.step === step.id ? answer.wedge : null} frontOfKnee={data.frontOfKnee} wedged={wedgeCm !== null} useWedge={(cm) => (wedgeChoice = cm === null ? null : { step: step.id, cm })}>
				{#snippet prescribe()}
			<form method="POST" action="?/prescribe" use:keepForm={'prescribe'} use:enhance={sending((text) => (lost = text))} class="my-3 border-y py-3" novalidate>
				<input type="hidden" name="id" value={data.ids.id} />
				<input type="hidden" name="exerciseId" value={data.ids.exerciseId} />
				<input type="hidden" name="step" value={step.id} />
				<input type="hidden" name="region" value={sore} />
				<input type="hidden" name="seatCm" value={lengths && 'seatCm' in lengths ? lengths.seatCm : ''} />
				<input type="hidden" name="thighDeg" value={lengths && 'thighDeg' in lengths ? lengths.thighDeg : ''} />
				<input type="hidden" name="heelWedgeCm" value={wedgeCm ?? step.posture.heelWedgeCm ?? ''} />
				<div class="flex flex-wrap items-end gap-2.5">
					<Field name="sets" label="Sets" bind:value={sets} inputmode="numeric" wrong={wrong('sets')} width="w-12" />
					<Field name="reps" label="Reps" bind:value={reps} inputmode="numeric" wrong={wrong('reps')} width="w-12" />
					<Field name="loadKg" label="Load" bind:value={load} unit="kg" inputmode="decimal" wrong={wrong('loadKg')} width="w-13" />
					<div data-prescribe class="whitespace-nowrap"><Act>Prescribe {sets} × {reps}</Act></div>
				</div>
				{#if needsReason}<div class="mt-2"><Field name="reason" label="Reason for prescribing it all the same" bind:value={reason} wrong={wrong('reason')} width="w-full" /></div>{/if}
				<div class="mt-2"><Said refused={lost || (form && 'message' in form && !['sets', 'reps', 'loadKg', 'reason'].includes(form.field ?? '') ? form.message : undefined)} done={form && 'done' in form ? form.done : undefined} /></div>
				<p class="label">for the {regionName(sore)}{trying ? '; the tried range is not saved, the check is against what was measured' : ''}</p>
			</form>
				{/snippet}
			</SetupCard>
		{/if}
	</aside>
</main>
