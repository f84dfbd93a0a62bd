<script lang="ts">
	/** A written ladder as fields: its words, the lengths of a step's set-up, its dose. */
	import type { ExerciseFamily, Step } from '#lib/core/exercise/family.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import { numberOr, numbersOf } from './writing.ts';

	interface Props {
		readonly family: ExerciseFamily;
		readonly row: Step;
		/** Which step of the family. */
		at: number;
		readonly set: (path: readonly (string | number)[], value: unknown) => void;
	}
	let { family, row, at = $bindable(), set }: Props = $props();
	const valueOf = (e: Event): string => (e.currentTarget as HTMLInputElement).value;
	const WORDS = [
		['title', 'Step', 'w-56'],
		['short', 'Short', 'w-36'],
		['what', 'What is done', 'w-[38rem] max-w-full']
	] as const;
	type Numbered = readonly [name: string, label: string, value: unknown, path: readonly (string | number)[]];
	const lengthsOf = (o: object, name: string, path: readonly string[]): readonly Numbered[] =>
		numbersOf(o).map(([key, value]) => [
			`${name}-${key}`,
			key.replace(/(Cm|Deg)$/, ' ($1)').toLowerCase(),
			value,
			[...path, key]
		]);
	const numbers = $derived<readonly Numbered[]>([
		...('depth' in row.posture ? lengthsOf(row.posture.depth, 'depth', ['posture', 'depth']) : []),
		...lengthsOf(row.posture, 'posture', ['posture']),
		...(['start', 'target'] as const).flatMap((when) =>
			(['sets', 'reps'] as const).map((what): Numbered => [
				`${when}-${what}`,
				`${when} ${what}`,
				row.usualDose[when][what],
				['usualDose', when, what]
			])
		)
	]);
</script>

<div class="flex flex-wrap items-end gap-3">
	<Field
		name="family-title"
		label="Ladder"
		value={family.title}
		onchange={(e: Event) => set(['title'], valueOf(e))}
		width="w-64"
	/>
	{#if family.steps.length > 1}<Choice
			name="which"
			label="Step"
			value={String(at)}
			onchange={(e: Event) => (at = Number(valueOf(e)))}
			items={family.steps.map((s, i) => ({ value: String(i), name: s.title }))}
		/>{/if}
	{#each WORDS as [key, label, width] (key)}<Field
			name="step-{key}"
			{label}
			{width}
			value={row[key]}
			onchange={(e: Event) => set(['steps', at, key], valueOf(e))}
		/>{/each}
</div>
<div class="mt-2 flex flex-wrap items-end gap-3" role="group" aria-label="Set-up and dose">
	{#each numbers as [name, label, value, path] (name)}<Field
			{name}
			{label}
			value={String(value)}
			oninput={(e: Event) => set(['steps', at, ...path], numberOr(valueOf(e)))}
			inputmode="decimal"
			width="w-20"
		/>{/each}
</div>
