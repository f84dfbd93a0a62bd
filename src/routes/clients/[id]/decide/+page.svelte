<script lang="ts">
	import SourceLink from '#lib/ui/SourceLink.svelte';
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { findStep } from '#lib/catalogue/families.ts';
	import { doseText, gentlerDose } from '#lib/core/dose/dose.ts';
	import { stepOf, type ExerciseFamily, type Step } from '#lib/core/exercise/family.ts';
	import { lengthIn } from '#lib/core/movement/context.ts';
	import type { Length } from '#lib/core/movement/set-up-length.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import FigureView from '#lib/ui/FigureView.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import Stroke from '#lib/ui/Stroke.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { onKeys } from '#lib/ui/keys.ts';
	import { figureOfStep } from '#lib/ui/scene.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { moreUprightDeg } from '#lib/core/fit/more-upright.ts';
	import { ruleName } from '#lib/wording/rules.ts';
	import { LENGTH_NAME, setupText, uprightText } from '#lib/wording/setup.ts';
	import { DECISION_WORD, POLICY_NAME, regionName } from '#lib/wording/names.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	/** The slip on the table: the one asked for, else the most pressing. */
	const slip = $derived(
		data.slips.find((s) => s.exerciseId === (page.url.searchParams.get('exercise') ?? staying)) ??
			data.slips[0]
	);
	/** The slip that was just signed stays on the table until the next one is asked for. */
	let staying = $state('');
	const holding = $derived(data.head.flags.filter((f) => f.severity !== 'caution'));
	type Given = (typeof data.slips)[number]['now'];
	/** The ladder a step stands on: the catalogue's, or the practice's own. */
	const familyOf = (id: string): ExerciseFamily | undefined =>
		findStep(id)?.family ?? data.own.find((f) => stepOf(f, id) !== undefined);
	const stepIn = (id: string): Step | undefined => {
		const family = familyOf(id);
		return family === undefined ? undefined : stepOf(family, id);
	};
	function drawn(given: { step: string; setup?: Given['setup'] | undefined }) {
		const step = stepIn(given.step);
		return step === undefined
			? null
			: {
					title: step.title,
					figure: figureOfStep(step, data.ctx, given.setup ?? null),
					upright: uprightText(moreUprightDeg(step, data.ctx, given.setup ?? null))
				};
	}
	/** What is being signed instead, and of which slip: another slip on the table closes it. */
	let opened = $state<{ readonly kind: 'altered' | 'overridden'; readonly of: string } | null>(null);
	const mode = $derived(opened !== null && opened.of === slip?.exerciseId ? opened.kind : 'none');
	let instead = $state({ step: '', sets: '', reps: '', loadKg: '', length: '', reason: '' });
	let lengthOf = $state<Length | null>(null);
	function begin(kind: 'altered' | 'overridden'): void {
		if (slip === undefined) return;
		const from = kind === 'altered' && slip.next !== null ? slip.next : slip.now;
		const dose = kind === 'altered' ? (gentlerDose(from.dose) ?? from.dose) : from.dose;
		instead = {
			step: from.step,
			sets: String(dose.sets),
			reps: String(dose.reps),
			loadKg: String(dose.loadKg),
			length: String(lengthIn(from.setup)?.value ?? ''),
			reason: ''
		};
		lengthOf = lengthIn(from.setup)?.of ?? null;
		opened = mode === kind ? null : { kind, of: slip.exerciseId };
	}
	const keys = onKeys({
		a: () => document.querySelector<HTMLButtonElement>('[data-accept] button:not(:disabled)')?.click(),
		g: () => begin('altered'),
		o: () => begin('overridden'),
		u: () => document.querySelector<HTMLButtonElement>('[data-undo] button')?.click(),
		n: () => {
			const next = data.slips[(data.slips.findIndex((s) => s === slip) + 1) % data.slips.length];
			staying = '';
			if (next !== undefined && next !== slip)
				void goto(`?exercise=${next.exerciseId}`, { noScroll: true, keepFocus: true });
		}
	});
	const wrong = $derived(wrongAt(form));
	let lost = $state('');
	const settled = sending(
		(text) => (lost = text),
		() => (opened = null)
	);
	const stay = (): void => void (staying = slip?.exerciseId ?? '');
	let note = $state('');
</script>

<svelte:head><title>Decide · {data.head.name}</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp
	keys={[
		['a', 'agree and sign'],
		['g', 'something gentler'],
		['o', 'override with a reason'],
		['u', 'undo the last decision'],
		['n', 'next exercise of this client'],
		['0 … 9', 'other pages of this client']
	]}
/>
<main class="page max-w-6xl">
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	{#if data.slips.length === 0}
		<h2>Nothing to decide yet</h2>
		<p class="mt-2">Prescribe a step first: <a href="/clients/{data.head.id}/ladder">to the ladder</a>.</p>
	{/if}
	{#if data.slips.length > 1}
		<nav aria-label="Slips of this client" class="mb-3 flex flex-wrap gap-2">
			{#each data.slips as s (s.exerciseId)}
				<a
					href="?exercise={s.exerciseId}"
					data-sveltekit-noscroll
					aria-current={s === slip ? 'true' : undefined}
					class="flex items-center gap-2 rounded-md border border-edge px-3 py-1.5 text-ink no-underline {s ===
					slip
						? 'bg-wash font-bold'
						: ''}"
				>
					<Stroke decision={s.decision} size={20} />{s.title}<span class="label"
						>{DECISION_WORD[s.decision].toLowerCase()}{s.answered ? ', answered' : ''}</span
					>
				</a>
			{/each}
		</nav>
	{/if}
	{#if slip}
		{@const before = drawn(slip.now)}
		<!-- What another rule came before: it stays known. -->
		{@const held =
			slip.rule === 'stop.limit' ? undefined : data.head.held.find((h) => h.exerciseId === slip.exerciseId)}
		{@const after = slip.next === null ? null : drawn(slip.next)}
		<article data-testid="slip" class="mt-1">
			<div class="flex items-start gap-4">
				<div class="pt-1"><Stroke decision={slip.decision} size={40} /></div>
				<div>
					<h2 class="text-2xl" data-testid="sentence">{slip.sentence}</h2>
					{#if slip.flip}<p class="text-lg" data-testid="flip">{slip.flip}</p>{/if}
					{#if slip.outlook}<p class="text-lg">When it comes in: {slip.outlook}</p>{/if}
					{#if held}<p class="font-semibold text-stop" data-testid="also-held">{held.text}</p>{/if}
					{#if slip.passedOver}<p class="text-caution">
							Prescribed past what closes it, by a licensed user: {slip.passedOver}
						</p>{/if}
					{#each slip.alternatives as a (a)}<p class="text-caution">{a}</p>{/each}
					<p class="label">
						{before?.title ?? slip.now.step} for the {regionName(slip.region)} · rule
						{ruleName(slip.rule)}
						· {POLICY_NAME[slip.policy.id] ?? slip.policy.id} policy, version {slip.policy.version} · usual morning
						{slip.usual}{slip.provisional ? ', from the intake: provisional' : ''}
					</p>
				</div>
			</div>
			<div class="mt-3 grid grid-cols-[auto_auto_1fr] items-start gap-6 max-md:grid-cols-1">
				{#if before}
					<figure class="sheet px-4 pt-3 pb-2">
						<FigureView
							figure={before.figure}
							heights
							height={190}
							label="Now: {before.title}"
							mirror={slip.region.endsWith('left')}
						/>
						<figcaption class="text-center">
							<span class="label block">now</span><strong>{doseText(slip.now.dose)}</strong><br /><span
								class="text-sm"
								>{before.title}, {setupText(slip.now.setup)}{before.upright
									? `; ${before.upright}`
									: ''}</span
							>
						</figcaption>
					</figure>
				{/if}
				{#if after && slip.next}
					<figure class="sheet px-4 pt-3 pb-2 outline-2 outline-accent">
						<FigureView
							figure={after.figure}
							heights
							height={190}
							label="Next: {after.title}"
							mirror={slip.region.endsWith('left')}
						/>
						<figcaption class="text-center">
							<span class="label block">next: {slip.change}</span><strong>{doseText(slip.next.dose)}</strong
							><br /><span class="text-sm"
								>{after.title}, {setupText(slip.next.setup)}{after.upright ? `; ${after.upright}` : ''}</span
							>
						</figcaption>
					</figure>
				{:else}
					<p class="label max-w-40 self-center">
						{slip.state === 'stopped'
							? 'Stopped until a licensed user clears it.'
							: slip.decision === 'stop' && slip.next === null
								? 'Signing stops this exercise until a licensed user clears it.'
								: 'Nothing changes in the prescription.'}
					</p>
				{/if}
				<div>
					<h3>Evidence</h3>
					<ul class="mb-3">
						{#each slip.reasons as r, i (i)}<li class="rule flex gap-3 py-1">
								<span aria-hidden="true">{r.met ? '●' : '○'}</span><span class="first-letter:uppercase"
									>{r.text}</span
								><span class="ml-auto text-sm"><SourceLink source={r.source} /></span>
							</li>{/each}
					</ul>
					{#if slip.sessions.length > 0}
						<table class="plain mb-3 text-sm" aria-label="Last sessions">
							<thead
								><tr
									><th>last sessions</th><th>done</th><th>effort</th><th>before</th><th>worst</th><th
										>after</th
									><th>next morning</th><th>form</th></tr
								></thead
							>
							<tbody>
								{#each slip.sessions as s, i (i)}
									<tr class={s.counts ? '' : 'text-quiet'}
										><td>{shortDay(s.date)}{s.counts ? '' : ' (before the change)'}</td><td>{s.work}</td><td
											>{s.effort ?? '–'}</td
										><td>{s.before ?? '–'}</td><td class="font-semibold">{s.peak ?? '–'}</td><td
											>{s.after ?? '–'}</td
										><td class="font-semibold">{s.next ?? 'not in'}</td><td>{s.seen ? 'seen' : 'alone'}</td
										></tr
									>
								{/each}
							</tbody>
						</table>
					{/if}
					<details>
						<summary class="cursor-pointer font-semibold">Every rule, fired or why not</summary>
						<table class="plain text-sm">
							<tbody>
								{#each slip.considered as c (c.rule)}<tr class={c.rule === slip.rule ? 'font-bold' : ''}
										><td class="pr-4 whitespace-nowrap">{ruleName(c.rule)}</td><td
											>{c.rule === slip.rule ? 'fires' : c.fired ? 'also' : 'no'}</td
										><td>{c.why || '–'}</td></tr
									>{/each}
							</tbody>
						</table>
					</details>
				</div>
			</div>
			{#if slip.answered}
				<p class="rule mt-4 pt-3"><strong>Answered by {slip.answered.by}.</strong> {slip.answered.text}</p>
			{:else}
				<form
					method="POST"
					action="?/answer"
					class="rule mt-4 flex flex-wrap items-center gap-3 pt-3"
					use:enhance={settled}
					use:keepForm={'answer'}
					onsubmit={stay}
					novalidate
				>
					<input type="hidden" name="id" value={slip.ids.id} />
					<input type="hidden" name="prescriptionId" value={slip.ids.prescriptionId} />
					<input type="hidden" name="exerciseId" value={slip.exerciseId} />
					<input type="hidden" name="basedOn" value={slip.basedOn} />
					<input type="hidden" name="hash" value={slip.hash} />
					<div data-accept>
						<Act name="answer" value="accepted" disabled={slip.decision === 'wait'}
							><kbd class="mr-2 font-mono opacity-80">A</kbd>Agree: {slip.mend
								? 'sign the mend'
								: DECISION_WORD[slip.decision].toLowerCase()}</Act
						>
					</div>
					<Act
						kind="quiet"
						type="button"
						onclick={() => begin('altered')}
						aria-expanded={mode === 'altered'}
						disabled={slip.decision === 'refer' || (slip.decision === 'stop' && slip.next === null)}
						><kbd class="mr-2 font-mono opacity-80">G</kbd>Gentler</Act
					>
					<Act
						kind="quiet"
						type="button"
						onclick={() => begin('overridden')}
						aria-expanded={mode === 'overridden'}
						disabled={!data.head.licensed}><kbd class="mr-2 font-mono opacity-80">O</kbd>Override</Act
					>
					{#if slip.decision === 'wait'}<span class="label">What it waits for comes first.</span>{/if}
					{#if !data.head.licensed}<span class="label">An override takes a licensed user.</span>{/if}
					{#if mode !== 'none'}
						<div class="sheet flex w-full flex-wrap items-end gap-3 p-4">
							<h3 class="w-full">
								{mode === 'altered'
									? 'Something gentler instead'
									: 'Override: prescribe this instead, with the reason'}
							</h3>
							{#if mode === 'overridden'}
								<Choice
									name="step"
									label="Step"
									bind:value={instead.step}
									items={(familyOf(slip.now.step)?.steps ?? []).map((s) => ({ value: s.id, name: s.title }))}
								/>
							{:else}<input type="hidden" name="step" value={instead.step} />{/if}
							<Field
								name="sets"
								label="Sets"
								bind:value={instead.sets}
								inputmode="numeric"
								wrong={wrong('sets')}
								width="w-16"
							/>
							<Field
								name="reps"
								label="Reps"
								bind:value={instead.reps}
								inputmode="numeric"
								wrong={wrong('reps')}
								width="w-16"
							/>
							<Field
								name="loadKg"
								label="Load"
								unit="kg"
								bind:value={instead.loadKg}
								inputmode="decimal"
								wrong={wrong('loadKg')}
								width="w-18"
							/>
							{#if lengthOf !== null}<Field
									name={lengthOf}
									label={LENGTH_NAME[lengthOf].replace(/^./, (c) => c.toUpperCase())}
									unit={lengthOf === 'thighDeg' ? '°' : 'cm'}
									bind:value={instead.length}
									inputmode="decimal"
									wrong={wrong(lengthOf)}
									width="w-18"
								/>{/if}
							<Field
								name="reason"
								label={mode === 'overridden' ? 'Reason (needed)' : 'Reason'}
								bind:value={instead.reason}
								wrong={wrong('reason')}
								width="w-72"
							/>
							{#if wrong('instead') ?? wrong('step')}<p class="w-full text-stop" data-testid="field-wrong">
									{wrong('instead') ?? wrong('step')}
								</p>{/if}
							<Act name="answer" value={mode}
								>Sign {mode === 'altered' ? 'the gentler one' : 'the override'}</Act
							>
						</div>
					{/if}
				</form>
			{/if}
			{#if data.undoable}
				<form
					method="POST"
					action="?/undo"
					class="mt-3 flex flex-wrap items-center gap-3 text-sm"
					use:enhance={settled}
				>
					<input type="hidden" name="id" value={data.undoIds[0]} />
					<input type="hidden" name="prescriptionId" value={data.undoIds[1]} />
					<input type="hidden" name="decisionId" value={data.undoable.id} />
					<span class="label"
						>Last signed for this client, {shortDay(data.undoable.day)} by {data.undoable.by}: {data.undoable
							.title}. {data.undoable.text}</span
					>
					<span data-undo><button class="cursor-pointer text-accent underline">Undo this one</button></span>
				</form>
			{/if}
		</article>
	{/if}
	{#if holding.length > 0 && data.head.licensed}
		<section class="rule mt-6 pt-3" aria-label="Open flags">
			<h3>Open flags</h3>
			<p class="label">
				What was cleared outside the practice is entered, with its document, under <a
					href="/clients/{data.head.id}/screen">Screen</a
				>.
			</p>
			{#each holding as f (f.id)}
				<form
					method="POST"
					action="?/close-flag"
					class="mt-2 flex flex-wrap items-end gap-3"
					use:enhance={settled}
				>
					<input type="hidden" name="id" value={data.closeId} />
					<input type="hidden" name="flagId" value={f.id} />
					<span class="pb-2 font-semibold text-stop">{f.name}, since {shortDay(f.day)}</span>
					<Field
						of={f.id}
						name="note"
						label="Closed because"
						bind:value={note}
						wrong={wrong('note')}
						width="w-80"
					/>
					<Act kind="danger">Close the flag</Act>
				</form>
			{/each}
		</section>
	{/if}
</main>
