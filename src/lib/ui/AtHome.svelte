<script lang="ts">
	/** What a client has at home, and when there is time. */
	import { KIT_NAME, WEEKDAYS } from '#lib/wording/intake.ts';
	import Field from './Field.svelte';
	import { house } from './house.ts';
	import Tick from './Tick.svelte';

	interface Props {
		readonly kit: readonly string[];
		readonly has?: readonly string[];
		readonly days?: readonly number[];
		readonly minutes?: number | null;
		readonly wrong: string | undefined;
	}
	const week = $derived(house().weekStart === 0 ? [0, 1, 2, 3, 4, 5, 6] : [1, 2, 3, 4, 5, 6, 0]);
	let { kit, has = [], days = [], minutes = null, wrong }: Props = $props();
</script>

<fieldset class="flex flex-wrap gap-x-5 gap-y-1">
	<legend class="label">What there is</legend>{#each kit as k (k)}<Tick
			name="kit"
			value={k}
			label={KIT_NAME[k] ?? k}
			checked={has.includes(k)}
		/>{/each}
</fieldset>
<div class="flex flex-wrap items-end gap-x-8 gap-y-2">
	<fieldset class="flex flex-wrap gap-x-4">
		<legend class="label">Days with time</legend>{#each week as d (d)}<Tick
				name="days"
				value={String(d)}
				label={WEEKDAYS[d] ?? ''}
				checked={days.includes(d)}
			/>{/each}
	</fieldset>
	<Field
		name="minutes"
		label="Minutes on such a day"
		unit="min"
		inputmode="numeric"
		value={minutes === null ? '' : String(minutes)}
		{wrong}
		width="w-16"
	/>
</div>
