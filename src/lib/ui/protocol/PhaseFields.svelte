<script lang="ts">
	/** One phase of a protocol: its weeks, weight, load, windows and what is forbidden. */
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import { SIDES, type Side } from '#lib/core/body/axis.ts';
	import { WEIGHT_BEARING, type Phase } from '#lib/core/client/protocol.ts';
	import { TAGS } from '#lib/core/exercise/family.ts';
	import { WEIGHT_NAME, WHEN_NAME } from '#lib/wording/protocol.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import Tick from '../Tick.svelte';
	import type { Wrong } from '../wrong.ts';

	interface Props {
		/** Counted from 0. */
		readonly n: number;
		readonly of: string;
		readonly phase: Phase | undefined;
		readonly side: Side;
		readonly wrong: Wrong | undefined;
	}
	let { n, of, phase, side, wrong }: Props = $props();
	const at = (field: string): string | undefined => wrong?.all[`phase.${n}.${field}`];
	const name = (field: string): string => `phase.${n}.${field}`;
	const shown = (v: number | null | undefined): string => (v === undefined || v === null ? '' : String(v));
	const ROWS = 3;
	const axes = [
		{ value: '', name: 'no window' },
		...Object.values(RANGES).map((r) => ({ value: r.id as string, name: r.name }))
	];
</script>

<fieldset class="sheet grid gap-2 px-3 py-2">
	<legend class="px-1 text-sm font-semibold">Phase {n + 1}</legend>
	<div class="flex flex-wrap items-end gap-2">
		<Field
			{of}
			name={name('fromWeek')}
			label="From week"
			value={phase === undefined ? (n === 0 ? '1' : '') : shown(phase.fromWeek + 1)}
			inputmode="numeric"
			wrong={at('fromWeek')}
			width="w-14"
		/>
		<Field
			{of}
			name={name('toWeek')}
			label="To week"
			value={shown(phase?.toWeek)}
			inputmode="numeric"
			wrong={at('toWeek')}
			width="w-14"
		/>
		<Choice
			{of}
			name={name('weightBearing')}
			label="Weight on the leg"
			value={phase?.weightBearing ?? ''}
			items={[
				{ value: '', name: 'choose' },
				...WEIGHT_BEARING.map((w) => ({ value: w as string, name: WEIGHT_NAME[w] }))
			]}
		/>
		<Field
			{of}
			name={name('partialKg')}
			label="Part of it"
			unit="kg"
			value={shown(phase?.partialKg)}
			inputmode="numeric"
			wrong={at('partialKg')}
			width="w-14"
		/>
	</div>
	{#if at('weightBearing')}<p class="text-sm text-stop" data-testid="field-wrong">
			{at('weightBearing')}
		</p>{/if}
	{#each { length: ROWS }, i (i)}
		{@const w = phase?.windows[i]}
		<div class="flex flex-wrap items-end gap-2">
			<Choice
				{of}
				name={name(`window.${i}.axis`)}
				label="Window {i + 1}"
				hideLabel={i > 0}
				value={w?.axis ?? ''}
				items={axes}
			/>
			<Choice
				{of}
				name={name(`window.${i}.side`)}
				label="Side"
				hideLabel={i > 0}
				value={w?.side ?? side}
				items={SIDES.map((x) => ({ value: x, name: x }))}
			/>
			<Field
				{of}
				name={name(`window.${i}.minDeg`)}
				label="From"
				hideLabel={i > 0}
				unit="°"
				value={shown(w?.minDeg)}
				inputmode="numeric"
				wrong={at(`window.${i}.minDeg`)}
				width="w-13"
			/>
			<Field
				{of}
				name={name(`window.${i}.maxDeg`)}
				label="To"
				hideLabel={i > 0}
				unit="°"
				value={shown(w?.maxDeg)}
				inputmode="numeric"
				wrong={at(`window.${i}.maxDeg`)}
				width="w-13"
			/>
			<Choice
				{of}
				name={name(`window.${i}.when`)}
				label="In"
				hideLabel={i > 0}
				value={w?.when ?? 'always'}
				items={Object.entries(WHEN_NAME).map(([value, text]) => ({ value, name: text }))}
			/>
		</div>
		{#if at(`window.${i}.axis`)}<p class="text-sm text-stop" data-testid="field-wrong">
				{at(`window.${i}.axis`)}
			</p>{/if}
	{/each}
	<Fold
		title="Load, brace, and what is forbidden"
		needed={phase !== undefined &&
			(phase.forbidden.length > 0 || phase.highestLoadKg !== undefined || phase.brace !== undefined)}
		class="cursor-pointer text-sm text-accent"
	>
		<div class="mt-1 flex flex-wrap items-end gap-2">
			<Field
				{of}
				name={name('highestLoadKg')}
				label="Highest load"
				unit="kg"
				value={shown(phase?.highestLoadKg)}
				inputmode="numeric"
				wrong={at('highestLoadKg')}
				width="w-14"
			/>
			<Field {of} name={name('brace')} label="Brace" value={phase?.brace ?? ''} width="w-44" />
		</div>
		<div class="mt-1 grid grid-cols-2 text-sm">
			{#each TAGS.filter((t) => t !== 'no-weight') as t (t)}<Tick
					name={name('forbidden')}
					value={t}
					label={t.replaceAll('-', ' ')}
					checked={phase?.forbidden.includes(t) ?? false}
				/>{/each}
		</div>
	</Fold>
</fieldset>
