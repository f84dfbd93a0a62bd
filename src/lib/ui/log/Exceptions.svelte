<script lang="ts">
	/** Not quite as prescribed, or something to tell: sets, what was less, where it hurt, symptoms, faults. */
	import { type ChoiceField, SESSION_CHOICES, SESSION_SCORES } from '#lib/contract/session-fields.ts';
	import type { Symptom } from '#lib/core/session/record.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { viewText } from '#lib/wording/steps.ts';
	import type { FaultView } from './exercise.ts';
	import Choice from '../Choice.svelte';
	import Score from '../Score.svelte';
	import FeltIn from './FeltIn.svelte';
	import SetTable from './SetTable.svelte';
	import SymptomFields from './SymptomFields.svelte';
	import { orNone, type SessionState } from './state.svelte.ts';

	interface Props {
		readonly s: SessionState;
		readonly dose: {
			readonly sets: number;
			readonly reps: number;
			readonly loadKg: number;
			readonly unit?: string;
		};
		readonly region: string;
		readonly legs: { readonly own: string; readonly other: string } | null;
		readonly views: readonly FaultView[];
		readonly known: readonly Symptom[];
		/** It is a stretch: which side is tighter, and what stops it, is asked too. */
		readonly stretch: boolean;
		/** What is wrong with a field, by its own name. */
		readonly wrong: (field: string) => string | undefined;
		/** Put before the names of fields, where a form has several exercises. */
		readonly prefix?: string;
	}
	let { s, dose, region, legs, views, known, stretch, wrong, prefix = '' }: Props = $props();
	const CHOICES = $derived(
		(Object.entries(SESSION_CHOICES) as [string, ChoiceField][]).filter(
			([, c]) => c.place === 'exception' || (stretch && c.place === 'stretch')
		)
	);
	const ELSEWHERE = ['knee-left', 'knee-right', 'hip-left', 'hip-right', 'ankle-left', 'ankle-right', 'back'];
	const SHARES = [
		{ value: '', name: 'not seen' },
		{ value: '0.3', name: 'some sets' },
		{ value: '0.5', name: 'half the sets' },
		{ value: '1', name: 'all sets' }
	];
</script>

<SetTable {s} {dose} {legs} {wrong} {prefix} />
<div class="mt-3 grid grid-cols-2 gap-3 max-sm:grid-cols-1">
	{#each CHOICES as [name, c] (name)}<div>
			<Choice
				name="{prefix}{name}"
				label={c.ask}
				bind:value={s.v[name]}
				items={orNone(c.values, c.none)}
			/>{#if wrong(name)}<p class="text-sm text-stop" data-testid="field-wrong">{wrong(name)}</p>{/if}
		</div>{/each}
	<Choice
		name="{prefix}elseRegion"
		label="Pain somewhere else"
		bind:value={s.v.elseRegion}
		items={[
			{ value: '', name: 'no' },
			...ELSEWHERE.filter((r) => r !== region).map((r) => ({ value: r, name: regionName(r) }))
		]}
	/>
</div>
{#if s.v.elseRegion}<Score
		name="{prefix}elsePeak"
		label={SESSION_SCORES.elsePeak.label}
		bind:value={s.v.elsePeak}
		wrong={wrong('elsePeak')}
	/>{/if}
<FeltIn {s} {prefix} {wrong} />
<SymptomFields {s} {known} {prefix} />
<fieldset class="mt-3">
	<legend class="font-semibold">Faults seen</legend>
	{#each views as v (v.from)}
		{#if v.from}<p class="label mt-1">{viewText(v.from)}</p>{/if}
		<div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
			{#each v.faults as f (f.id)}<Choice
					name="{prefix}fault.{f.id}"
					label={f.title}
					bind:value={s.faults[f.id]}
					items={SHARES}
				/>{/each}
		</div>
	{/each}
</fieldset>
