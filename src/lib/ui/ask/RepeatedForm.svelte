<script lang="ts">
	/** A back bent one way several times, and what that did to the leg. */
	import { BACK_WAYS, LEG_ANSWERS, type BackPreference } from '#lib/core/client/repeated.ts';
	import { ago } from '#lib/wording/days.ts';
	import { LEG_NAME, repeatedText, WAY_NAME, wayText } from '#lib/wording/history.ts';
	import Act from '../Act.svelte';
	import AddForm from '../AddForm.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';

	interface Props {
		readonly formId: string;
		readonly today: string;
		readonly found: BackPreference;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, today, found, wrong, say }: Props = $props();
	// svelte-ignore state_referenced_locally
	let day = $state(today);
	const shut = $derived(found.avoids.length > 0);
</script>

<section aria-label="Repeated movement" class="mt-4">
	<h3>Repeated movement</h3>
	{#if found.latest.length > 0}<ul class="text-base">
			{#each found.latest as t (t.way)}<li>
					{repeatedText(t)} <span class="label">{ago(t.day, today)}</span>
				</li>{/each}
		</ul>{/if}
	{#if wayText(found) !== ''}<p class={shut ? 'text-caution' : ''} data-testid="back-way">
			{wayText(found)}
		</p>{/if}
	<AddForm action="?/repeated" id={formId} {say} keep="repeated" class="mt-1 flex flex-wrap items-end gap-3">
		<Choice
			name="way"
			label="Bending"
			value="backward"
			items={BACK_WAYS.map((v) => ({ value: v, name: WAY_NAME[v] }))}
		/>
		<Field
			of="repeated"
			name="repetitions"
			label="Times"
			inputmode="numeric"
			value="10"
			wrong={wrong('repetitions')}
			width="w-16"
		/>
		<Choice
			name="leg"
			label="Pain in the leg"
			value="same"
			items={LEG_ANSWERS.map((v) => ({ value: v, name: LEG_NAME[v] }))}
		/>
		<DayField name="day" label="Day" bind:value={day} wrong={wrong('day')} width="w-36" {today} />
		<Act kind="quiet">Keep the answer</Act>
	</AddForm>
	{#if wrong('way')}<p class="text-sm text-stop">{wrong('way')}</p>{/if}
</section>
