<script lang="ts">
	/** How a step is counted and done besides, what ends it, and its words: cues and cautions, a line each. */
	import { COUNTS, type Counts, type Step, type Usually } from '#lib/core/exercise/family.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import { numberOr } from './writing.ts';

	interface Props {
		readonly row: Step;
		readonly set: (key: keyof Step, value: unknown) => void;
	}
	let { row, set }: Props = $props();
	const valueOf = (e: Event): string => (e.currentTarget as HTMLInputElement).value;
	const COUNTED: Readonly<Record<Counts, string>> = {
		reps: 'repetitions',
		sec: 'seconds held',
		steps: 'steps walked',
		breaths: 'breaths'
	};
	const USUALLY = [
		['holdSec', 'Hold each, s'],
		['tempo', 'Tempo, as 3-1-2-0'],
		['restSec', 'Rest, s'],
		['workSec', 'Work, s'],
		['effortPct', 'Push, %'],
		['blockMin', 'For minutes'],
		['daysPerWeek', 'Days a week']
	] as const satisfies readonly (readonly [keyof Usually, string])[];
	/** What is emptied is left out, and so is the whole where nothing is left. */
	function usually(key: keyof Usually, typed: string): void {
		const { [key]: _, ...rest } = row.usually ?? {};
		const to =
			typed.trim() === '' ? rest : { ...rest, [key]: key === 'tempo' ? typed.trim() : numberOr(typed) };
		set('usually', Object.keys(to).length === 0 ? undefined : to);
	}
	const lines = (text: string): readonly string[] =>
		text
			.split('\n')
			.map((l) => l.trim())
			.filter((l) => l !== '');
	const LINES = [
		['cues', 'Cues: two or three lines; empty, the ladder’s own'],
		['cautions', 'Cautions, a line each']
	] as const;
</script>

<div class="flex flex-wrap items-end gap-3">
	<Choice
		name="counts"
		label="Counted in"
		value={row.counts ?? 'reps'}
		onchange={(e: Event) => set('counts', valueOf(e) === 'reps' ? undefined : valueOf(e))}
		items={COUNTS.map((c) => ({ value: c, name: COUNTED[c] }))}
	/>
	{#each USUALLY as [key, label] (key)}<Field
			name="usually-{key}"
			{label}
			value={String(row.usually?.[key] ?? '')}
			onchange={(e: Event) => usually(key, valueOf(e))}
			width="w-24"
		/>{/each}
	<Field
		name="ends-above"
		label="Pain above this ends it"
		value={String(row.endsAbove ?? '')}
		onchange={(e: Event) => set('endsAbove', valueOf(e).trim() === '' ? undefined : numberOr(valueOf(e)))}
		inputmode="decimal"
		width="w-20"
	/>
</div>
{#each LINES as [key, label] (key)}
	<label class="label mt-2 block"
		>{label}<textarea
			name="step-{key}"
			rows="3"
			class="block w-full max-w-[38rem] rounded-md border border-edge bg-sheet p-2 text-base text-ink"
			value={(row[key] ?? []).join('\n')}
			onchange={(e) => {
				const to = lines(e.currentTarget.value);
				set(key, key === 'cues' && to.length === 0 ? undefined : to);
			}}></textarea></label
	>
{/each}
