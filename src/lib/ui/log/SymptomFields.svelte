<script lang="ts">
	/** What goes beyond ordinary pain, with the questions that some of it raises. */
	import { SESSION_CHOICES } from '#lib/contract/session-fields.ts';
	import { ASKS_SADDLE } from '#lib/core/safety/alarm.ts';
	import { type Symptom, SYMPTOMS } from '#lib/core/session/record.ts';
	import { SYMPTOM_NAME } from '#lib/wording/names.ts';
	import Choice from '../Choice.svelte';
	import { orNone, type SessionState } from './state.svelte.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly s: SessionState;
		/** Symptoms that a licensed user agreed are as usual for this client. */
		readonly known: readonly Symptom[];
		/** Put before the names of fields, where a form has several exercises. */
		readonly prefix?: string;
	}
	let { s, known, prefix = '' }: Props = $props();
	const asked = $derived([
		...(s.symptoms.includes('radiating') ? (['radiatingLower'] as const) : []),
		...(ASKS_SADDLE.some((x) => s.symptoms.includes(x)) ? (['caudaEquina'] as const) : [])
	]);
</script>

<fieldset class="mt-3">
	<legend class="font-semibold">Beyond ordinary pain</legend>
	<div class="grid grid-cols-2 gap-x-4 max-sm:grid-cols-1">
		{#each SYMPTOMS as x (x)}
			<div>
				<Tick touch name="{prefix}symptoms" value={x} label={SYMPTOM_NAME[x] ?? x} bind:among={s.symptoms} />
				{#if s.symptoms.includes(x) && known.includes(x)}<Tick
						touch
						class="ml-8"
						name="{prefix}asUsual"
						value={x}
						label="as usual"
						bind:among={s.usual}
					/>{/if}
			</div>
		{/each}
	</div>
	{#each asked as name (name)}<Choice
			name="{prefix}{name}"
			label={SESSION_CHOICES[name].ask}
			bind:value={s.v[name]}
			items={orNone(SESSION_CHOICES[name].values, SESSION_CHOICES[name].none)}
		/>{/each}
</fieldset>
