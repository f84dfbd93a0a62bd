<script lang="ts">
	/** Symptoms that a licensed user agrees are as usual for this client, until a day: they hold the work and raise no alarm. */
	import { enhance } from '$app/forms';
	import type { Symptom } from '#lib/core/session/record.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName, SYMPTOM_NAME } from '#lib/wording/names.ts';
	import Act from './Act.svelte';
	import Choice from './Choice.svelte';
	import DayField from './DayField.svelte';
	import Fold from './Fold.svelte';
	import { sending } from './sending.ts';
	import type { Wrong } from './wrong.ts';

	interface Props {
		readonly known: readonly { readonly region: string; readonly symptom: Symptom; readonly until: string }[];
		readonly may: readonly Symptom[];
		readonly regions: readonly string[];
		readonly id: string;
		readonly licensed: boolean;
		readonly today: string;
		readonly wrong: Wrong | undefined;
		readonly say: (text: string) => void;
	}
	let { known, may, regions, id, licensed, today, wrong, say }: Props = $props();
	const at = (field: string): string | undefined => wrong?.all[field];
</script>

<section aria-label="Known symptoms">
	<h2>As usual</h2>
	{#each known as k (k.region + k.symptom + k.until)}<p class="rule py-1.5 text-sm">
			{regionName(k.region)}: {SYMPTOM_NAME[k.symptom]}, known until {shortDay(k.until)}
		</p>{:else}<p class="label">No symptom is agreed to be as usual: each one reported is new.</p>{/each}
	{#if licensed && regions.length > 0}
		<Fold
			title="Agree one"
			needed={at('until') !== undefined || at('symptom') !== undefined}
			class="cursor-pointer text-sm text-accent"
		>
			<form
				method="POST"
				action="?/known"
				class="mt-2 flex flex-wrap items-end gap-2"
				use:enhance={sending(say)}
			>
				<input type="hidden" name="id" value={id} />
				<Choice
					of="k"
					name="region"
					label="Where"
					value={regions[0] ?? ''}
					items={regions.map((r) => ({ value: r, name: regionName(r) }))}
				/>
				<Choice
					of="k"
					name="symptom"
					label="Symptom"
					value="giving-way"
					items={may.map((s) => ({ value: s, name: SYMPTOM_NAME[s] ?? s }))}
				/>
				<DayField
					of="k"
					name="until"
					label="Known until"
					wrong={at('until') ?? at('symptom')}
					width="w-40"
					{today}
					ahead
				/>
				<Act kind="quiet">Agree</Act>
			</form>
		</Fold>
	{/if}
</section>
