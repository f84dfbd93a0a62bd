<script lang="ts">
	/** A written ladder as fields: its words, the lengths of a step's set-up, its dose; and in folds all that a step has besides. */
	import { FAULTS } from '#lib/catalogue/faults.ts';
	import { EQUIPMENT, TAGS, type ExerciseFamily, type Step } from '#lib/core/exercise/family.ts';
	import { EQUIPMENT_NAME } from '#lib/wording/names.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import type { OwnGate } from './gate-writing.ts';
	import { toggled } from './lists.ts';
	import OwnChoices from './OwnChoices.svelte';
	import OwnGates from './OwnGates.svelte';
	import OwnHow from './OwnHow.svelte';
	import OwnWays from './OwnWays.svelte';
	import { numberOr, numbersOf } from './writing.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly family: ExerciseFamily;
		readonly row: Step;
		/** Which step of the family. */
		at: number;
		/** Every step there is besides: the catalogue's and the practice's. */
		readonly elsewhere: readonly { readonly value: string; readonly name: string }[];
		readonly set: (path: readonly (string | number)[], value: unknown) => void;
	}
	let { family, row, at = $bindable(), elsewhere, set }: Props = $props();
	const inStep = (key: keyof Step, value: unknown): void => set(['steps', at, key], value);
	const own = $derived(
		family.steps.filter((s) => s.id !== row.id).map((s) => ({ value: s.id, name: s.title }))
	);
	const steps = $derived([...own, ...elsewhere]);
	const faults = $derived([...family.faults, ...FAULTS].map((f) => ({ value: f.id, name: f.title })));
	/** All of these are needed; where either of several does, the text says it. */
	const kit = $derived((row.equipment ?? []).filter((e) => typeof e === 'string'));
	const many = (list: readonly unknown[] | undefined): string =>
		list === undefined || list.length === 0 ? '' : ` (${list.length})`;
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
{#key `${family.id}/${at}`}
	<Fold title="How it is counted and done, cues, cautions"><OwnHow {row} set={inStep} /></Fold>
	<Fold title="Choices inside it{many(row.choices)}"
		><OwnChoices choices={row.choices ?? []} set={(to) => inStep('choices', to)} /></Fold
	>
	<Fold title="What must be shown before it opens{many(row.gates)}"
		><OwnGates
			gates={row.gates as readonly OwnGate[]}
			{steps}
			{faults}
			set={(to) => inStep('gates', to)}
		/></Fold
	>
	<Fold title="Ways back, and where it leads{many([...(row.back ?? []), ...row.next])}"
		><OwnWays easier={row.easier} back={row.back ?? []} next={row.next} {steps} {own} set={inStep} /></Fold
	>
	<Fold title="What it carries, and what it needs{many([...row.tags, ...(row.equipment ?? [])])}">
		<fieldset class="flex flex-wrap gap-x-4 text-sm">
			<legend class="label">Carries</legend>
			{#each TAGS as t (t)}<Tick
					label={t.replaceAll('-', ' ')}
					bind:checked={
						() => row.tags.includes(t), (on) => inStep('tags', toggled(row.tags, t, on === true) ?? [])
					}
				/>{/each}
		</fieldset>
		<fieldset class="mt-2 flex flex-wrap gap-x-4 text-sm">
			<legend class="label">Needs all of</legend>
			{#each EQUIPMENT as k (k)}<Tick
					label={EQUIPMENT_NAME[k]}
					bind:checked={
						() => kit.includes(k), (on) => inStep('equipment', toggled(row.equipment, k, on === true))
					}
				/>{/each}
		</fieldset>
	</Fold>
{/key}
