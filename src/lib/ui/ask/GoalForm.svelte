<script lang="ts">
	/** Something the client wants to do again, scored, tied to a point on a ladder where there is one. */
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';

	interface Props {
		readonly id: string;
		readonly activities: readonly {
			readonly id: string;
			readonly title: string;
			readonly ladder: { readonly family: string; readonly step: string } | null;
		}[];
		readonly points: readonly { readonly value: string; readonly name: string }[];
		readonly say: (text: string) => void;
		readonly wrong: (field: string) => string | undefined;
		/** The refusal is of this form, not of a goal's own row. */
		readonly refusedHere: boolean;
	}
	let { id, activities, points, say, wrong, refusedHere }: Props = $props();
	let activity = $state('');
	const tied = $derived(activities.find((a) => a.id === activity)?.ladder);
	let tie = $derived(tied ? `${tied.family}:${tied.step}` : '');
	const places = $derived([
		{ value: '', name: 'no ladder: range only' },
		...points.map(({ value, name }) => ({ value, name })),
		...(tied && !points.some((p) => p.value === `${tied.family}:${tied.step}`)
			? [{ value: `${tied.family}:${tied.step}`, name: `step ladder: ${tied.step.replaceAll('-', ' ')}` }]
			: [])
	]);
</script>

<form
	method="POST"
	action="?/goal"
	class="rule flex flex-wrap items-end gap-3 pt-3"
	use:enhance={sending(say, () => (activity = ''))}
	use:keepForm={'goal'}
	novalidate
>
	<input type="hidden" name="id" value={id} /><input type="hidden" name="replaces" value="" />
	<Choice
		name="activity"
		label="Activity"
		bind:value={activity}
		items={[{ value: '', name: 'choose …' }, ...activities.map((a) => ({ value: a.id, name: a.title }))]}
	/>
	<Field name="label" label="In the client’s words" autocomplete="off" wrong={wrong('label')} width="w-52" />
	<Choice
		name="side"
		label="Side"
		value=""
		items={[
			{ value: '', name: 'both' },
			{ value: 'left', name: 'left' },
			{ value: 'right', name: 'right' }
		]}
	/>
	<Field
		name="score"
		label="Able, 0–10"
		inputmode="numeric"
		wrong={refusedHere ? wrong('score') : undefined}
		width="w-16"
	/>
	<Field
		name="confidence"
		label="Confident, 0–10"
		inputmode="numeric"
		wrong={refusedHere ? wrong('confidence') : undefined}
		width="w-16"
	/>
	<Choice name="tie" label="Point on a ladder" bind:value={tie} items={places} />
	<Field
		name="heightCm"
		label="At height"
		unit="cm"
		inputmode="decimal"
		wrong={wrong('heightCm') ?? wrong('height')}
		width="w-16"
	/>
	<Field name="sets" label="Sets" inputmode="numeric" wrong={wrong('sets')} width="w-14" />
	<Field name="reps" label="Reps" inputmode="numeric" wrong={wrong('reps')} width="w-14" />
	<Act kind="quiet">Keep goal</Act>
</form>
