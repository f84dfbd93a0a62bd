<script lang="ts">
	/** The fields of what is signed instead. */
	import { chosenField } from '#lib/contract/setup-form.ts';
	import { placeOf } from '#lib/core/exercise/choice.ts';
	import type { Step } from '#lib/core/exercise/family.ts';
	import { LENGTH_NAME } from '#lib/wording/setup.ts';
	import { inProse } from '#lib/wording/units.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import type { AnswerKind, AnswerState } from './answer-state.svelte.ts';

	interface Props {
		readonly kind: AnswerKind;
		readonly answer: AnswerState;
		/** The ladder of the step that stands, to override within. */
		readonly steps: readonly Step[];
		readonly wrong: (field: string) => string | undefined;
	}
	let { kind, answer, steps, wrong }: Props = $props();
	const overriding = $derived(kind === 'overridden');
	/** Of a step that is not among these nothing is set otherwise. */
	const choices = $derived(steps.find((s) => s.id === answer.instead.step)?.choices ?? []);
	/** Every one by name, the usual too: what is not named stays as it stands. */
	const chosen = $derived(Object.fromEntries(choices.map((c) => [c.id, placeOf(c, answer.chosen).id])));
	const NUMBERS = [
		['sets', 'Sets', 'numeric', 'w-16', undefined],
		['reps', 'Reps', 'numeric', 'w-16', undefined],
		['loadKg', 'Load', 'decimal', 'w-18', 'kg']
	] as const;
	const refused = $derived(wrong('instead') ?? wrong('step'));
</script>

<div class="sheet flex w-full flex-wrap items-end gap-3 p-4">
	<h3 class="w-full">
		{overriding ? 'Override: prescribe this instead, with the reason' : 'Something gentler instead'}
	</h3>
	{#if overriding}
		<Choice
			name="step"
			label="Step"
			bind:value={answer.instead.step}
			items={steps.map((s) => ({ value: s.id, name: s.title }))}
		/>
	{:else}<input type="hidden" name="step" value={answer.instead.step} />{/if}
	{#each NUMBERS as [name, label, inputmode, width, unit] (name)}<Field
			{name}
			{label}
			{inputmode}
			{width}
			{...unit === undefined ? {} : { unit }}
			bind:value={answer.instead[name]}
			wrong={wrong(name)}
		/>{/each}
	{#if answer.lengthOf !== null}<Field
			name={answer.lengthOf}
			label={LENGTH_NAME[answer.lengthOf].replace(/^./, (c) => c.toUpperCase())}
			unit={answer.lengthOf === 'thighDeg' ? '°' : 'cm'}
			bind:value={answer.instead.length}
			inputmode="decimal"
			wrong={wrong(answer.lengthOf)}
			width="w-18"
		/>{/if}
	{#each choices as c (c.id)}<Choice
			name="place-{c.id}"
			label={c.title.replace(/^./, (x) => x.toUpperCase())}
			value={placeOf(c, answer.chosen).id}
			onchange={(e: Event) =>
				(answer.chosen = { ...answer.chosen, [c.id]: (e.currentTarget as HTMLSelectElement).value })}
			items={c.of.map((p) => ({ value: p.id, name: inProse(p.title) }))}
		/>{/each}
	<input type="hidden" name="chosen" value={chosenField(chosen)} />
	<Field
		name="reason"
		label={overriding ? 'Reason (needed)' : 'Reason'}
		bind:value={answer.instead.reason}
		wrong={wrong('reason')}
		width="w-72"
	/>
	{#if refused}<p class="w-full text-stop" data-testid="field-wrong">{refused}</p>{/if}
	<Act name="answer" value={kind}>Sign {overriding ? 'the override' : 'the gentler one'}</Act>
</div>
