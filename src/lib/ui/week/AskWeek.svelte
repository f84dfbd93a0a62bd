<script lang="ts">
	/** What a proposal is made for: days, minutes, school of order. Sent, the week is proposed anew. */
	import { ORDER_SCHOOLS } from '#lib/core/plan/session-order.ts';
	import type { WeekAskedFor } from '#lib/contract/week-form.ts';
	import { WEEKDAYS } from '#lib/wording/intake.ts';
	import { SCHOOL_NAME } from '#lib/wording/week.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly asked: WeekAskedFor;
		readonly week: readonly number[];
	}
	let { asked, week }: Props = $props();
</script>

<form
	method="GET"
	class="no-print flex flex-wrap items-end gap-x-5 gap-y-2"
	aria-label="What the week is made for"
>
	<input type="hidden" name="anew" value="on" />
	<fieldset class="flex flex-wrap gap-x-3">
		<legend class="label">Days with time</legend>{#each week as d (d)}<Tick
				name="days"
				value={String(d)}
				label={WEEKDAYS[d] ?? ''}
				checked={asked.days.includes(d)}
			/>{/each}
	</fieldset>
	<Field
		name="minutes"
		label="Minutes"
		inputmode="numeric"
		value={asked.minutes === null ? '' : String(asked.minutes)}
		width="w-16"
	/>
	<Choice
		name="school"
		label="Order"
		items={ORDER_SCHOOLS.map((s) => ({ value: s, name: SCHOOL_NAME[s] }))}
		value={asked.school}
	/>
	<Tick name="learning" value="on" label="learning week" checked={asked.learning} />
	<Tick name="apart" value="on" label="nothing in turn" checked={!asked.inTurn} />
	<Act kind="quiet">Propose anew</Act>
</form>
