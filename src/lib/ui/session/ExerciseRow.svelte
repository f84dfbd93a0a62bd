<script lang="ts">
	/** One exercise of a session: drawn, with its dose; its effort says that it was done, and what differed is said beside it. */
	import { SESSION_SCORES } from '#lib/contract/session-fields.ts';
	import type { Figure } from '#lib/core/figure/shape.ts';
	import FigureView from '../FigureView.svelte';
	import Fold from '../Fold.svelte';
	import Note from '../Note.svelte';
	import Score from '../Score.svelte';
	import Exceptions from '../log/Exceptions.svelte';
	import { doseLine, doseToday, heldToday, type ExerciseToLog } from '../log/exercise.ts';
	import { LOSES_POSITION } from '#lib/core/decision/lost-position.ts';
	import type { SessionState } from '../log/state.svelte.ts';
	import type { Wrong } from '../wrong.ts';
	import OnTheSpot, { type Drawn } from './OnTheSpot.svelte';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly clientId: string;
		readonly e: ExerciseToLog;
		readonly s: SessionState;
		/** Its place among the fields of the form. */
		readonly at: number;
		readonly observed: boolean;
		readonly figure: Figure | null;
		readonly drawn: (given: Drawn | null) => Figure | null;
		readonly doneToday: boolean;
		readonly refused: Wrong | undefined;
	}
	let { clientId, e, s, at, observed, figure, drawn, doneToday, refused }: Props = $props();
	const prefix = $derived(`e.${at}.`);
	const own = (field: string): string | undefined => refused?.all[`${prefix}${field}`];
	const { head, legs } = $derived(e);
	const held = $derived(heldToday(e));
	const ids = $derived({ id: e.ids.id, exerciseId: e.id, prescriptionId: head.id });
	const how = $derived([...head.how, ...(head.particulars.note ? [head.particulars.note] : [])].join(' · '));
	const told = $derived(
		Object.keys(s.sets).length + s.symptoms.length > 0 || Object.values(s.faults).some((x) => x !== '')
	);
	/** Something inside the fold was refused. */
	const isWrong = $derived(
		Object.keys(refused?.all ?? {}).some((f) => f.startsWith(prefix) && f !== `${prefix}effort`)
	);
</script>

<article
	class="rule py-3 max-sm:w-full max-sm:shrink-0 max-sm:snap-center max-sm:border-0 max-sm:px-1"
	data-testid="exercise"
	aria-label={head.snapshot.title}
>
	<div class="grid grid-cols-[6.5rem_1fr] gap-x-4 sm:grid-cols-[6.5rem_12rem_1fr]">
		<div class="flex justify-center">
			{#if figure}<FigureView
					{figure}
					height={88}
					label="{head.snapshot.title}, {doseLine(e)}"
					mirror={e.region.endsWith('left')}
				/>{/if}
		</div>
		<div class="min-w-0">
			<h3 class="text-lg font-bold">{head.snapshot.title}</h3>
			<p class="text-lg font-bold">{doseLine(e)}</p>
			{#if how}<p class="text-base">{how}</p>{/if}
			{#if e.upright}<p class="text-base">{e.upright[0]?.toUpperCase()}{e.upright.slice(1)}.</p>{/if}
			{#if e.lighter}<p class="text-base text-caution">Lighter today.</p>{/if}
			{#if doneToday}<p class="label" data-testid="done-today">
					logged today; saying its effort logs it once more
				</p>{/if}
		</div>
		{#if !held}<div class="max-sm:col-span-2 sm:self-center">
				<Score
					name="{prefix}effort"
					label="Effort, as prescribed"
					ends={SESSION_SCORES.effort.ends}
					bind:value={s.v.effort}
					wrong={own('effort')}
				/>
			</div>{/if}
	</div>
	{#if held}
		<Note kind="stop" class="mt-2" data-testid="held"
			>{held.text}
			<a class="underline" href="/clients/{clientId}/log?exercise={e.id}">Log what was done all the same</a
			></Note
		>
	{:else}
		{#each Object.entries(ids) as [name, value] (name)}<input
				type="hidden"
				name="{prefix}{name}"
				{value}
			/>{/each}
		<div class="flex flex-wrap items-center gap-x-5">
			<Tick
				touch
				name="{prefix}cleanThroughout"
				label="clean throughout"
				bind:checked={s.clean}
				disabled={!observed}
			/>
			{#if legs}<Tick
					touch
					name="{prefix}otherSame"
					label="{legs.other} leg the same"
					bind:checked={s.otherSame}
					disabled={!observed || !s.clean}
				/>{/if}
			{#if s.said}<button
					type="button"
					class="min-h-12 cursor-pointer text-accent underline"
					onclick={() => s.clear()}>Not done after all</button
				>{/if}
			<OnTheSpot
				exerciseId={e.id}
				title={head.snapshot.title}
				{drawn}
				mirror={e.region.endsWith('left')}
				losesPosition={e.views.some((v) => v.faults.some((f) => f.id === LOSES_POSITION))}
			/>
		</div>
		<Fold
			title={told ? 'Not quite as prescribed: said' : 'Not quite as prescribed, or something to tell'}
			needed={isWrong}
			class="min-h-12 text-base text-accent"
		>
			<Score
				name="{prefix}peak"
				label="Worst pain in this one, if it differs"
				bind:value={s.v.peak}
				wrong={own('peak')}
			/>
			<Score
				name="{prefix}confidence"
				label="Confidence"
				ends={SESSION_SCORES.confidence.ends}
				bind:value={s.v.confidence}
				wrong={own('confidence')}
			/>
			<Score
				name="{prefix}soreness"
				label="Muscle soreness"
				bind:value={s.v.soreness}
				wrong={own('soreness')}
			/>
			<Exceptions
				{s}
				dose={doseToday(e)}
				region={e.region}
				{legs}
				views={e.views}
				known={e.known}
				stretch={e.stretch}
				wrong={own}
				{prefix}
			/>
		</Fold>
	{/if}
</article>
