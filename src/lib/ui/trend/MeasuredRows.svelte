<script lang="ts">
	/** What was measured over time: values in a line, the change that counts, and what is usual. */
	import { shortDay } from '#lib/wording/days.ts';
	import Rows from '../Rows.svelte';

	interface Props {
		readonly label: string;
		readonly rows: readonly {
			readonly id: string;
			readonly title: string;
			readonly side: string | null;
			readonly unit: string;
			readonly values: readonly { readonly day: string; readonly value: number }[];
			readonly change: string;
			readonly norm: string;
		}[];
		readonly norms?: boolean;
	}
	let { label, rows, norms = true }: Props = $props();
	const MOST = 6;
	const round = (n: number): string => String(Math.round(n * 10) / 10);
</script>

<Rows heads={['', 'values', 'change', ...(norms ? ['against'] : [])]} aria-label={label}>
	{#each rows as r (r.id)}
		<tr data-testid="measured">
			<td class="align-top font-semibold"
				>{r.title}{#if r.side}<span class="label ml-1 font-normal">{r.side}</span>{/if}</td
			>
			<td
				class="align-top whitespace-nowrap"
				title={r.values.map((v) => `${shortDay(v.day)}: ${round(v.value)} ${r.unit}`).join('; ')}
				>{r.values
					.slice(-MOST)
					.map((v) => round(v.value))
					.join(' → ')} <span class="label">{r.unit}</span></td
			>
			<td class="align-top text-sm">{r.change === '' ? 'measured once' : r.change}</td>
			{#if norms}<td class="label align-top">{r.norm}</td>{/if}
		</tr>
	{/each}
</Rows>
