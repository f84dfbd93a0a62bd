<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { FAMILIES } from '#lib/catalogue/families.ts';
	import { MAIN_AXES, POSSIBLE_RANGE, type Axis, type Side } from '#lib/core/body/axis.ts';
	import { envelopeTrying } from '#lib/core/client/envelope.ts';
	import { stepOf, type Equipment, type ExerciseFamily, type Step } from '#lib/core/exercise/family.ts';
	import { axesOf, errorOf } from '#lib/core/movement/of-step.ts';
	import { lengthIn, type FitContext, type SolvedSetup } from '#lib/core/movement/context.ts';
	import { LENGTHS } from '#lib/core/movement/set-up-length.ts';
	import { fitFamily, fitStep } from '#lib/core/fit/fit.ts';
	import { setupFor } from '#lib/core/fit/gentler.ts';
	import { axisLimit, usableOf } from '#lib/core/movement/limits.ts';
	import { isSquatStep } from '#lib/core/movement/squat/stand.ts';
	import { candidatesOf } from '#lib/core/fit/open.ts';
	import { substitutes, type Avoid } from '#lib/core/fit/substitutes.ts';
	import { sideOf } from '#lib/core/body/region-side.ts';
	import { asksGates, closedFor, type Closed } from '#lib/core/safety/closed.ts';
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
	import { AXIS_NAME, EQUIPMENT_NAME, regionName, sideWord, VERDICT_WORD } from '#lib/wording/names.ts';
	import { closedText } from '#lib/wording/safety.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	const families = $derived<Readonly<Record<string, ExerciseFamily>>>({
		...FAMILIES,
		...Object.fromEntries(data.own.map((f) => [f.id, f]))
	});
	const family = $derived(families[data.family] as ExerciseFamily);
	/** The region that is prescribed for: the sorest, unless another was chosen. */
	let wantedRegion = $state('');
	const sore = $derived(data.regions.includes(wantedRegion) ? wantedRegion : (data.regions[0] ?? ''));
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
		const sameClient = ready.startsWith(data.head.id);
		ready = here;
		const own = /^(hip|back)/.test(sore)
			? 'thighTrunkFlexion'
			: /^ankle/.test(sore)
				? 'weightBearingDorsiflexion'
				: 'kneeFlexion';
		const asks = new Set(family.steps.flatMap((s) => axesOf(s)));
		axis = asks.has(own) || asks.size === 0 ? own : ([...asks][0] as Axis);
		side = sideOf(sore) ?? 'right';
		chosen =
			stepOf(family, data.wanted ?? '')?.id ??
			data.now?.step ??
			(family.id === 'squat' ? 'raised-seat' : (family.steps[0]?.id ?? ''));
		if (!sameClient) tried = {};
	});

	const ctx = $derived.by((): FitContext => {
		let envelope = data.ctx.envelope;
		for (const [key, text] of Object.entries(tried)) {
			const value = Number(text.replace(',', '.'));
			const [a, s] = key.split('.') as [Axis, Side];
			const [low, high] = POSSIBLE_RANGE[a];
			if (text.trim() !== '' && value >= low && value <= high)
				envelope = envelopeTrying(envelope, a, s, value, data.head.today);
		}
		return { ...data.ctx, envelope };
	});
	const trying = $derived(Object.values(tried).some((t) => t.trim() !== ''));
	const fits = $derived(fitFamily(family, ctx));
	/** The family's own axes, main ones first. */
	const axes = $derived([...new Set(family.steps.flatMap((s) => axesOf(s)))]);
	const catalogueStep = $derived(stepOf(family, chosen) ?? family.steps[0]);
	/** Load turned by hand is the step with that load. */
	let loadKg = $state('0');
	const step = $derived.by((): Step | undefined => {
		const s = catalogueStep;
		const kg = Number(loadKg.replace(',', '.'));
		if (
			s === undefined ||
			s.posture.load === undefined ||
			!(kg >= 0 && kg <= 200) ||
			kg === s.posture.load.kg
		)
			return s;
		return { ...s, posture: { ...s.posture, load: { ...s.posture.load, kg } } } as Step;
	});
	const fit = $derived(
		step === catalogueStep || step === undefined ? fits.find((f) => f.step === step?.id) : fitStep(step, ctx)
	);
	/** A wedge chosen instead of a shallower squat, for the step it was chosen for. */
	let wedgeChoice = $state<{ step: string; cm: number } | null>(null);
	const wedgeCm = $derived(wedgeChoice !== null && wedgeChoice.step === step?.id ? wedgeChoice.cm : null);
	/** A length turned by hand, for the step it was turned on. */
	let turned = $state<{ step: string; value: number } | null>(null);
	const dialled = $derived(turned !== null && turned.step === step?.id ? turned.value : null);
	let flipped = $state(false);
	const setup = $derived.by((): SolvedSetup | null => {
		if (step === undefined || fit === undefined) return null;
		const wedge =
			wedgeCm !== null && isSquatStep(step) && 'thighDeg' in step.posture.depth
				? { thighDeg: step.posture.depth.thighDeg, heelWedgeCm: wedgeCm }
				: null;
		const base = wedge ?? fit.setup;
		const own = lengthIn(base ?? setupFor(step, fit, ctx.body));
		if (dialled === null || own === null) return base;
		const { build: _, ...rest }: SolvedSetup = base ?? setupFor(step, fit, ctx.body);
		return { ...rest, [own.of]: dialled };
	});
	const lengths = $derived(
		step === undefined || fit === undefined ? null : (setup ?? setupFor(step, fit, ctx.body))
	);
	const error = $derived(step === undefined ? 3 : errorOf(axis, step, ctx));
	const limit = $derived(
		axisLimit(axis, side, ctx.envelope, ctx.protocolLimits ?? [], ctx.rules, ctx.today, {
			loaded: false,
			openChain: false,
			weightBearing: true
		})
	);
	const line = $derived(usableOf(limit, error));
	const gatesOf = (id: string): (typeof data.gates)[string] => data.gates[id] ?? [];
	/** All that closes the step before its button is pressed; as it was measured, not as it is tried. */
	const closed = $derived.by((): readonly Closed[] => {
		if (step === undefined || lengths === null) return [];
		const of = sideOf(sore);
		const unmet = asksGates(family, step.id, data.now?.region === sore ? data.now.step : undefined)
			? gatesOf(step.id).filter((g) => !g.met)
			: [];
		const kg = Number(loadKg.replace(',', '.'));
		const wanted = { family, step, setup: lengths, loadKg: kg >= 0 ? kg : 0, since: data.head.today };
		const here = { ...data.ctx, ...(of === undefined ? {} : { side: of }) };
		const byHand = dialled !== null || wedgeCm !== null;
		return closedFor(wanted, byHand, {
			ctx: here,
			clearances: data.clearances,
			substitutes: () => [],
			unmet,
			treatsBack: data.treatsBack
		});
	});
	const closedWhy = $derived([...new Set(closed.map(closedText))]);
	const nobody = $derived(closed.some((c) => c.who === 'nobody'));
	const holds = $derived(data.holds[sore] ?? null);
	const locked = $derived(
		new Set(
			candidatesOf(family, fits, data.now?.step, (id) => gatesOf(id).every((g) => g.met))
				.filter((c) => !c.open)
				.map((c) => c.step.id)
		)
	);

	/** The edges from the chosen step, each with what it waits for. */
	const edges = $derived(
		(catalogueStep?.next ?? []).flatMap((e) => {
			const to = stepOf(family, e.to);
			const f = fits.find((x) => x.step === e.to);
			if (to === undefined || f === undefined) return [];
			const shut = gatesOf(e.to)
				.filter((g) => !g.met)
				.map((g) => g.text);
			const fitting = f.verdict === 'blocked' || f.verdict === 'unmeasured' ? [VERDICT_WORD[f.verdict]] : [];
			return [{ id: e.to, title: to.title, dial: e.dial, waits: [...fitting, ...shut].join('; ') }];
		})
	);

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
		const question = {
			ask: ++asked,
			step: $state.snapshot(step) as Step,
			ctx: $state.snapshot(ctx),
			setup: $state.snapshot(setup)
		};
		const timer = setTimeout(() => worker?.postMessage(question), 40);
		return () => clearTimeout(timer);
	});

	const COUNT_LABEL = { reps: 'Reps', sec: 'Seconds', steps: 'Steps', breaths: 'Breaths' } as const;
	let lost = $state('');
	let sets = $state('1');
	let reps = $state('10');
	let reason = $state('');
	let doseFor = '';
	$effect.pre(() => {
		if (step === undefined || doseFor === step.id) return;
		doseFor = step.id;
		const now = data.now?.step === step.id ? data.now.dose : undefined;
		sets = String(now?.sets ?? step.usualDose.start.sets);
		reps = String(now?.reps ?? step.usualDose.start.reps);
		loadKg = String(now?.loadKg ?? catalogueStep?.posture.load?.kg ?? 0);
	});
	const move = (by: number): void => {
		const i = family.steps.findIndex((s) => s.id === chosen);
		chosen = family.steps[Math.max(0, Math.min(family.steps.length - 1, i + by))]?.id ?? chosen;
	};
	const nextAxis = (): void =>
		void (axis = axes[(axes.indexOf(axis) + 1) % Math.max(1, axes.length)] ?? axis);
	const keys = onKeys({
		ArrowRight: () => move(1),
		ArrowLeft: () => move(-1),
		a: nextAxis,
		s: () => void (side = side === 'left' ? 'right' : 'left'),
		m: () => void (flipped = !flipped),
		p: () => document.querySelector<HTMLButtonElement>('[data-prescribe] button')?.focus()
	});
	let busy = $state<Equipment[]>([]);
	const soreJoint = $derived(sore.split('-')[0] as NonNullable<Avoid['sore']>);
	const gatesMet = (id: string): boolean => gatesOf(id).every((g) => g.met);
	const candidates = $derived(
		Object.values(families).flatMap((f) =>
			candidatesOf(f, f.id === family.id ? fits : fitFamily(f, ctx), data.nowBy[f.id]?.step, gatesMet)
		)
	);
	let swapping = $state(false);
	const swaps = $derived(
		!swapping || step === undefined || fit === undefined
			? []
			: substitutes({ family, step, fit, open: true }, candidates, ctx, { busy, sore: soreJoint })
	);
	const stepKit = $derived([
		...new Set((step?.equipment ?? []).flatMap((any) => (typeof any === 'string' ? [any] : [...any])))
	]);
	const wrong = $derived(wrongAt(form));
	const measured = $derived(data.ctx.envelope[axis]?.[side]);
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
		<div class="flex flex-wrap items-end justify-between gap-x-5 gap-y-1">
			<h2>
				<a href="/clients/{data.head.id}/ladders" class="mr-2 text-base font-normal">All ladders</a
				>{family.title}
			</h2>
			<div class="flex gap-3">
				<Choice
					name="axis"
					label="Joint action"
					hideLabel
					bind:value={axis}
					items={(axes.length === 0 ? MAIN_AXES : axes).map((a) => ({ value: a, name: AXIS_NAME[a] }))}
				/>
				<Choice
					name="family"
					label="Family"
					hideLabel
					value={family.id}
					onchange={(e: Event) =>
						void goto(
							`/clients/${data.head.id}/ladder?family=${(e.currentTarget as HTMLSelectElement).value}`
						)}
					items={Object.values(families).map((f) => ({ value: f.id, name: f.title }))}
				/>
				<Choice
					name="side"
					label="Side"
					hideLabel
					bind:value={side}
					items={[
						{ value: 'right', name: 'Right side' },
						{ value: 'left', name: 'Left side' }
					]}
				/>
			</div>
		</div>
		<p class="label mt-1">
			{AXIS_NAME[axis]} each step asks, against what the {side} side can use now:
			{#if line?.by === 'protocol'}
				<strong class="text-ink">{Math.round(line.deg)}°</strong> (protocol limit {limit.allowed?.maxDeg}°,
				less {error}° model error{limit.kind === 'known' ? '' : '; the joint itself is not measured'})
			{:else if limit.kind === 'known'}
				<strong class="text-ink">{Math.round(limit.limit - limit.margin)}°</strong>
				({measured?.from === 'observed'
					? 'seen in sessions'
					: measured?.from === 'painful-set'
						? 'lowered by a painful set'
						: trying
							? 'tried'
							: 'measured'}
				{Math.round(limit.limit)}°{measured && !trying ? `, ${ago(measured.date, data.head.today)}` : ''},
				less {limit.margin}° margin; ± {error}° model error)
			{:else}<strong class="text-caution"
					>{limit.reason === 'stale' ? 'too old, measure again' : 'not measured'}</strong
				>{/if}
		</p>
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
		<p class="label mt-1">
			<span class="text-tolerated">● fits</span> · <span class="text-accent">◆ set up as written</span> ·
			<span class="text-caution">▲ closer than the error</span> · ✕ short · ? not measured · dashes: after the set-up
		</p>
		<div
			class="rule mt-3 flex flex-wrap items-end gap-x-5 gap-y-2 pt-3"
			role="group"
			aria-label="Try a range"
		>
			<p class="label w-20">Try a range, degrees</p>
			{#each axes as a (a)}
				<div class="flex items-end gap-1.5">
					{#each ['right', 'left'] as const as s (s)}
						<Field
							name="try.{a}.{s}"
							label="{a === 'weightBearingDorsiflexion' ? 'Ankle' : AXIS_NAME[a]} {sideWord(s).charAt(0)}"
							bind:value={tried[`${a}.${s}`]}
							placeholder={String(Math.round(data.ctx.envelope[a]?.[s]?.tolerable ?? 0) || '–')}
							inputmode="decimal"
							width="w-14"
						/>
					{/each}
				</div>
			{/each}
			{#if trying}<button
					type="button"
					class="cursor-pointer pb-2 text-accent underline"
					onclick={() => (tried = {})}>As measured</button
				>{/if}
			<a href="/clients/{data.head.id}/measure" class="pb-2">Enter a measurement</a>
		</div>
		{#if edges.length > 0}
			<ul class="rule mt-3 pt-2 text-sm" aria-label="What comes next" data-testid="edges">
				{#each edges as e (e.id)}
					<li class="py-0.5">
						<span class="label">next, turning {e.dial}:</span>
						<button type="button" class="cursor-pointer text-accent underline" onclick={() => (chosen = e.id)}
							>{e.title}</button
						>
						<span class={e.waits ? 'text-caution' : 'text-tolerated'}
							>{e.waits === '' ? 'open' : e.waits}</span
						>
					</li>
				{/each}
			</ul>
		{/if}
		{#if data.now?.held}<p
				class="mt-3 border-l-4 border-stop bg-sheet px-3 py-2 text-stop"
				data-testid="held"
			>
				{data.now.held}
			</p>{/if}
		{#if data.slip}
			<a
				href="/clients/{data.head.id}/decide"
				class="rule mt-3 flex items-center gap-3 py-3 text-ink no-underline hover:bg-wash"
				><Stroke decision={data.slip.decision} /><span>{data.slip.sentence}</span><span
					class="ml-auto text-accent">Decide</span
				></a
			>
		{/if}
	</div>
	<aside class="sheet border-l px-6 pt-4 pb-10 max-xl:border-t max-xl:border-l-0 max-sm:px-4">
		{#if step && fit}
			<SetupCard
				{family}
				{step}
				{fit}
				{ctx}
				gates={gatesOf(step.id)}
				reach={answer?.step === step.id ? answer.reach : null}
				{dialled}
				dial={(value) => (turned = value === null ? null : { step: step.id, value })}
				mirrored={(side === 'left') !== flipped}
				mirrorIt={() => (flipped = !flipped)}
				band={answer?.step === step.id ? answer.band : null}
				techniques={answer?.step === step.id ? answer.techniques : []}
				{setup}
				wedge={answer?.step === step.id ? answer.wedge : null}
				frontOfKnee={data.frontOfKnee}
				brace={data.brace}
				wedged={wedgeCm !== null}
				useWedge={(cm) => (wedgeChoice = cm === null ? null : { step: step.id, cm })}
			>
				{#snippet prescribe()}
					<form
						method="POST"
						action="?/prescribe"
						use:keepForm={'prescribe'}
						use:enhance={sending((text) => (lost = text))}
						class="no-print my-3 border-y py-3"
						novalidate
					>
						<input type="hidden" name="id" value={data.ids.id} />
						<input type="hidden" name="exerciseId" value={data.exerciseIn[sore] ?? data.ids.exerciseId} />
						<input type="hidden" name="step" value={step.id} />
						<input type="hidden" name="family" value={family.id} />
						{#each LENGTHS as name (name)}<input type="hidden" {name} value={lengths?.[name] ?? ''} />{/each}
						<input type="hidden" name="heelWedgeCm" value={lengths?.heelWedgeCm ?? wedgeCm ?? ''} />
						<div class="flex flex-wrap items-end gap-2.5">
							<Field
								name="sets"
								label="Sets"
								bind:value={sets}
								inputmode="numeric"
								wrong={wrong('sets')}
								width="w-12"
							/>
							<Field
								name="reps"
								label={COUNT_LABEL[step.counts ?? 'reps']}
								bind:value={reps}
								inputmode="numeric"
								wrong={wrong('reps')}
								width="w-12"
							/>
							<Field
								name="loadKg"
								label="Load"
								bind:value={loadKg}
								unit="kg"
								inputmode="decimal"
								wrong={wrong('loadKg')}
								width="w-13"
							/>
							{#if data.regions.length > 1}<Choice
									name="region"
									label="For"
									value={sore}
									onchange={(e: Event) => (wantedRegion = (e.currentTarget as HTMLSelectElement).value)}
									items={data.regions.map((r) => ({ value: r, name: regionName(r) }))}
								/>{:else}<input type="hidden" name="region" value={sore} />{/if}
							<div data-prescribe class="whitespace-nowrap">
								<Act disabled={holds !== null || nobody || (closed.length > 0 && !data.head.licensed)}
									>Prescribe {sets} × {reps}{step.counts === 'sec' ? ' s' : ''}</Act
								>
							</div>
						</div>
						{#if holds !== null}<p
								class="mt-2 border-l-4 border-stop bg-sheet px-3 py-1.5 text-stop"
								data-testid="closed"
							>
								{holds}
							</p>
						{:else if closed.length > 0}<p
								class="mt-2 border-l-4 px-3 py-1.5 text-sm {nobody
									? 'border-stop text-stop'
									: 'border-caution text-caution'}"
								data-testid="closed"
							>
								<strong>Closed:</strong>
								{closedWhy.join('; ')}. {nobody
									? 'The protocol comes first.'
									: data.head.licensed
										? 'A licensed reason opens it, and is kept.'
										: 'A licensed user may open it, with a reason.'}
							</p>{/if}
						{#if wrong('reason') !== undefined || (closed.length > 0 && !nobody && data.head.licensed)}<div
								class="mt-2"
							>
								<Field
									name="reason"
									label="Reason for prescribing it all the same"
									bind:value={reason}
									wrong={wrong('reason')}
									width="w-full"
								/>
							</div>{/if}
						<div class="mt-2">
							<Said
								refused={lost || refusedText(form)}
								done={form && 'done' in form ? form.done : undefined}
							/>
						</div>
						<p class="label">
							for the {regionName(sore)}{trying
								? '; the tried range is not saved, the check is against what was measured'
								: ''}
						</p>
					</form>
				{/snippet}
				{#snippet more()}
					<details class="mt-2" bind:open={swapping}>
						<summary class="cursor-pointer font-semibold">Another way of the same purpose</summary>
						{#if stepKit.length > 0}
							<div class="flex flex-wrap gap-x-4 text-sm">
								<span class="label">Taken just now:</span>{#each stepKit as e (e)}<label
										class="flex min-h-8 items-center gap-1.5"
										><input
											type="checkbox"
											value={e}
											bind:group={busy}
											class="size-4 accent-(--accent)"
										/>{EQUIPMENT_NAME[e]}</label
									>{/each}
							</div>
						{/if}
						<ol class="text-sm" data-testid="swaps">
							{#each swaps as s (s.step.id)}
								<li class="rule flex items-baseline gap-2 py-1">
									<a
										class="underline"
										href="/clients/{data.head.id}/ladder?family={s.family.id}&step={s.step.id}"
										>{s.step.title}</a
									>
									<span class="text-quiet"
										>{Math.round(s.serves * 100)} % of its purpose{s.load === null
											? ''
											: `, ${soreJoint} ${Math.round(s.load)} N·m`} · {VERDICT_WORD[s.fit.verdict]}{s.fit
											.setup === null
											? ''
											: `, ${setupText(s.fit.setup)}`}</span
									>
								</li>
							{:else}<li class="label">Nothing else of this purpose is open with what is free.</li>{/each}
						</ol>
					</details>
				{/snippet}
			</SetupCard>
		{/if}
	</aside>
</main>
