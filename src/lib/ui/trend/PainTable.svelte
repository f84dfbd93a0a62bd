<script lang="ts">
	/** The pain of a region by day, as a table. */
	import { shortDay } from '#lib/wording/days.ts';
	import type { ChartedSession } from '../pain-chart.ts';
	import Rows from '../Rows.svelte';

	interface Props {
		readonly days: readonly ChartedSession[];
		readonly label: string;
	}
	let { days, label }: Props = $props();
	const shown = (n: number | null): string => (n === null ? '–' : String(n));
</script>

<details class="text-sm">
	<summary class="cursor-pointer text-accent">As a table</summary>
	<Rows heads={['day', 'before', 'worst', 'after', 'evening', 'next morning']} aria-label={label}>
		{#each [...days].reverse() as d (d.date)}<tr
				><td>{shortDay(d.date)}</td><td>{shown(d.before)}</td><td>{shown(d.peak)}</td><td>{shown(d.after)}</td
				><td>{shown(d.evening)}</td><td>{shown(d.next)}</td></tr
			>{/each}
	</Rows>
</details>
