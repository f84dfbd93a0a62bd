<script lang="ts">
	/** One exercise logged: as prescribed in a few taps, or by exception. */
	import { enhance } from '$app/forms';
	import { type ScoreField, SESSION_SCORES } from '#lib/contract/session-fields.ts';
	import { regionName } from '#lib/wording/names.ts';
	import Act from '../Act.svelte';
	import DayField from '../DayField.svelte';
	import Fold from '../Fold.svelte';
	import Score from '../Score.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';
	import Exceptions from './Exceptions.svelte';
	import { doseToday, type ExerciseToLog } from './exercise.ts';
	import type { SessionState } from './state.svelte.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly s: SessionState;
		readonly exercise: ExerciseToLog;
		readonly today: string;
		day: string;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
		readonly logged: () => void;
	}
	let { s, exercise, today, day = $bindable(), wrong, say, logged }: Props = $props();
	const { head, legs } = $derived(exercise);
	const dose = $derived(doseToday(exercise));
	/** Holds are timed set by set, so their sets stand open. */
	const exceptions = $derived(s.opened ?? dose.unit === 'sec');
	const scoresOf = (place: ScoreField['place']) =>
		(Object.entries(SESSION_SCORES) as [string, ScoreField][]).filter(([, f]) => f.place === place);
	const ids = $derived({
		id: exercise.ids.id,
		visitId: exercise.ids.visitId,
		exerciseId: exercise.id,
		prescriptionId: head.id,
		region: exercise.region
	});
</script>

{#snippet scores(place: ScoreField['place'])}{#each scoresOf(place) as [name, f] (name)}<Score
			{name}
			label={f.label}
			ends={f.ends}
			bind:value={s.v[name]}
			wrong={wrong(name)}
		/>{/each}{/snippet}
{#snippet tick(name: 'observed' | 'clean' | 'otherSame', field: string, label: string, disabled = false)}<Tick
		touch
		name={field}
		{label}
		bind:checked={s[name]}
		{disabled}
	/>{/snippet}
<form
	method="POST"
	action="?/log"
	class="mt-3"
	use:keepForm={'log'}
	use:enhance={sending(say, logged)}
	novalidate
>
	{#each Object.entries(ids) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
	<div class="rule flex flex-wrap items-end gap-5 py-2">
		<DayField name="day" label="Day" bind:value={day} wrong={wrong('day')} width="w-40" {today} />
		{@render tick('observed', 'observed', 'seen by me')}
		{@render tick('clean', 'cleanThroughout', 'clean throughout', !s.observed)}
		{#if legs}{@render tick(
				'otherSame',
				'otherSame',
				`${legs.other} leg the same`,
				!s.observed || !s.clean
			)}{/if}
	</div>
	{@render scores('work')}
	<p class="mt-1 font-semibold">Pain, {regionName(exercise.region)}</p>
	{@render scores('pain')}
	{@render scores('after')}
	<div class="rule py-2">
		<Fold
			title="Not quite as prescribed, or something to tell"
			bind:open={() => exceptions, (open) => (s.opened = open)}
			class="min-h-12 py-2 text-[18px] font-semibold text-ink"
		>
			<Exceptions
				{s}
				{dose}
				region={exercise.region}
				{legs}
				views={exercise.views}
				known={exercise.known}
				stretch={exercise.stretch}
				{wrong}
			/>
		</Fold>
	</div>
	<div class="sticky bottom-0 -mx-3 max-lg:bottom-14 border-t bg-paper px-3 py-3">
		<Act big>{exceptions ? 'Log the session' : 'Log as prescribed'}</Act>
	</div>
</form>
