<script lang="ts">
	/** One exercise as it is done: drawn large and moving, one big button, the ways out of the ordinary under it. */
	import type { MineWork } from '#lib/contract/mine.ts';
	import { kgText } from '#lib/wording/units.ts';
	import Score from '../Score.svelte';
	import { mineHere } from './context.ts';
	import Breaths from './Breaths.svelte';
	import Countdown from './Countdown.svelte';
	import DidDifferent from './DidDifferent.svelte';
	import FeltWhere from './FeltWhere.svelte';
	import LessLoad from './LessLoad.svelte';
	import { watchHold } from '../measure/hold-sensor.ts';
	import MovingFrames from './MovingFrames.svelte';
	import { endOfTime } from './signal.ts';
	import { doseOf, didOf, isBegun, type Did, type Run } from './run.ts';
	import Tap from './Tap.svelte';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly w: MineWork;
		readonly run: Run;
		readonly sound: boolean;
		readonly moving: boolean;
		readonly change: (more: Partial<Did>) => void;
		/** A set of it is done. */
		readonly oneSet: () => void;
		/** What is done in turn with it. */
		readonly withIt: readonly string[];
		/** Until when they rest, ms of the clock; null while they work. */
		readonly restUntil: number | null;
		readonly setRest: (until: number | null) => void;
		/** The rest ran out; left out, the next set is on. */
		readonly restOver?: () => void;
		readonly next: () => void;
		/** Height of the figure in px. */
		readonly height?: number;
	}
	let {
		w,
		run,
		sound,
		moving,
		change,
		oneSet,
		withIt,
		restUntil,
		setRest,
		restOver = () => setRest(null),
		next,
		height = 210
	}: Props = $props();
	const { say } = mineHere();
	const did = $derived(didOf(run, w));
	const dose = $derived(doseOf(run, w));
	const logged = $derived(w.exerciseId !== null);
	const finished = $derived(did.sets >= dose.sets || did.lastReps !== null);
	let holdUntil = $state<number | null>(null);
	/** The phone is on them: it notices when they move. */
	let watching = $state(false);
	$effect(() => {
		if (!watching || holdUntil === null || w.unit !== 'sec') return;
		return watchHold(
			(n) => {
				holdUntil = null;
				endOfTime(sound);
				told = say('movedAfter', { n });
			},
			() => {
				watching = false;
				told = say('noSensor');
			}
		);
	});
	let out = $state<'' | 'different' | 'hurts' | 'less'>('');
	let flipped = $state(false);
	let heard = $state(false);
	let told = $state('');
	let missing = $state(false);
	const unit = $derived(
		{ reps: '', sec: ' s', steps: ` ${say('unitSteps')}`, breaths: ` ${say('unitBreaths')}` }[w.unit]
	);
	/** A clock runs for it: a hold, or breaths. */
	const timed = $derived(w.unit === 'sec' || w.unit === 'breaths');
	function setDone(): void {
		holdUntil = null;
		oneSet();
	}
	function hurts(pain: number): void {
		const said = w.hurts[pain];
		out = '';
		if (said === undefined) return;
		const word = { stop: say('stop'), gentler: say('gentler'), 'go-on': say('goOnHurts') }[said.answer];
		told = `${word} ${said.answer === 'gentler' ? said.text : ''}`.trim();
		change({
			hurt: Math.max(pain, did.hurt ?? 0),
			...(said.answer === 'stop' && !finished ? { lastReps: did.lastReps ?? 0, because: 'pain' } : {})
		});
		holdUntil = null;
		// Whoever rests while they say so rests on.
		if (said.answer === 'stop') setRest(null);
	}
	function goOn(): void {
		missing = logged && isBegun(did) && did.effort === '';
		if (!missing) next();
	}
	function leave(): void {
		change({ left: true });
		next();
	}
</script>

<section aria-label={w.title} data-testid="run-exercise">
	<h2 class="text-2xl">{w.title}</h2>
	<p class="text-xl font-bold" data-testid="dose">
		{dose.sets} × {dose.reps}{unit}{w.loadKg > 0
			? ` · ${kgText(did.less?.toKg ?? w.loadKg)}`
			: ''}{#if run.lighter || w.lighter}<span class="text-base font-normal text-caution">
				{say('lighter')}</span
			>{/if}
	</p>
	{#if w.how.length > 0}<p>{w.how.join(' · ')}</p>{/if}
	{#if withIt.length > 0}<p class="label" data-testid="in-turn">
			{say('inTurn', { titles: withIt.join(', ') })}
		</p>{/if}
	<div class="relative my-2 flex justify-center">
		<MovingFrames
			frames={w.frames}
			tempo={w.tempo}
			label="{w.title}: {w.what}"
			mirror={w.mirror !== flipped}
			{moving}
			{heard}
			{height}
		/>
		{#if moving && w.unit === 'reps'}<Tick
				touch
				class="absolute top-12 right-0 px-2"
				label={say('beat')}
				bind:checked={heard}
			/>{/if}
		<button
			type="button"
			class="absolute top-0 right-0 min-h-12 px-2 text-accent underline"
			onclick={() => (flipped = !flipped)}>{say('mirror')}</button
		>
	</div>
	<ul class="list-disc pl-5">
		{#each w.cues as cue (cue)}<li>{cue}</li>{/each}
	</ul>
	{#if w.note}<p class="mt-1 border-l-4 border-accent pl-3"><strong>{say('notes')}:</strong> {w.note}</p>{/if}
	{#if told}<p class="mt-2 border-l-4 border-stop pl-3 font-semibold" role="status" data-testid="told">
			{told}
		</p>{/if}

	<div class="sticky bottom-0 -mx-4 mt-3 grid gap-2 border-t bg-paper px-4 py-2">
		{#if !finished}
			{#if restUntil !== null}
				<p class="text-center">{say('rest', { sec: w.restSec })}</p>
				{#key restUntil}<Countdown until={restUntil} {sound} over={restOver} />{/key}
				<Tap onclick={() => setRest(null)}>{say('restOver')}</Tap>
			{:else if holdUntil !== null}
				{#if w.unit === 'breaths'}<Breaths count={dose.reps * w.sides} {sound} over={setDone} />
				{:else}<Countdown until={holdUntil} {sound} over={setDone} />{/if}
				<Tap onclick={setDone}>{say('setDone')}</Tap>
			{:else}
				{#if dose.sets > 1 || timed}
					<p class="text-center font-semibold">{say('set', { at: did.sets + 1, all: dose.sets })}</p>
					{#if w.unit === 'sec'}<Tick touch label={say('watchMe')} bind:checked={watching} />{/if}
					{#if timed}<Tap onclick={() => (holdUntil = Date.now() + dose.reps * w.sides * 1000)}
							>{say('begun')}</Tap
						>{/if}
					{#if !timed}<Tap onclick={setDone}>{say('setDone')}</Tap>{/if}
				{/if}
				<Tap
					kind={dose.sets > 1 || timed ? 'quiet' : 'primary'}
					onclick={() => change({ sets: dose.sets, lastReps: null })}>{say('doneAsGiven')}</Tap
				>
			{/if}
		{:else}
			{#if logged}<Score
					name="effort"
					label={say('effort')}
					ends={say('effortEnds').split('|') as [string, string]}
					bind:value={() => did.effort, (v) => change({ effort: v ?? '' })}
					wrong={missing && did.effort === '' ? say('sayEffort') : undefined}
				/>
				<FeltWhere felt={did.felt} change={(felt) => change({ felt })} />{/if}
			<Tap onclick={goOn}>{say('next')}</Tap>
		{/if}
	</div>
	{#if logged}
		<div class="mt-3 flex flex-wrap gap-x-5">
			<button type="button" class="min-h-12 font-semibold text-stop underline" onclick={() => (out = 'hurts')}
				>{say('hurts')}</button
			>
			<button type="button" class="min-h-12 text-accent underline" onclick={() => (told = say('easyText'))}
				>{say('easy')}</button
			>
			<button
				type="button"
				class="min-h-12 text-accent underline"
				aria-expanded={out === 'different'}
				onclick={() => (out = out === 'different' ? '' : 'different')}>{say('different')}</button
			>
			{#if w.loadKg > 0}<button
					type="button"
					class="min-h-12 text-accent underline"
					aria-expanded={out === 'less'}
					onclick={() => (out = out === 'less' ? '' : 'less')}>{say('lessLoad')}</button
				>{/if}
			<button type="button" class="min-h-12 text-accent underline" onclick={leave}>{say('skip')}</button>
		</div>
	{:else}<button type="button" class="min-h-12 text-accent underline" onclick={leave}>{say('skip')}</button
		>{/if}
	{#if out === 'hurts'}
		<fieldset>
			<legend class="font-semibold">{say('hurtsHow')}</legend>
			<div class="mt-1 grid grid-cols-11 gap-0.5">
				{#each w.hurts as _, n (n)}<button
						type="button"
						class="tile text-lg"
						aria-label="{say('hurts')} {n}"
						onclick={() => hurts(n)}>{n}</button
					>{/each}
			</div>
		</fieldset>
	{:else if out === 'less'}
		<LessLoad {w} {dose} {did} {change} />
	{:else if out === 'different'}
		<DidDifferent {did} {dose} {change} />
	{/if}
	{#each w.cautions as c (c)}<p class="border-l-4 border-caution pl-3 text-base">{c}</p>{/each}
</section>
