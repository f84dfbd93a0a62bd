<script lang="ts">
	/** Visits, latest first: what was done and the worst of each region. */
	import { shortDay } from '#lib/wording/days.ts';
	import LongRows from '../LongRows.svelte';

	interface Props {
		readonly visits: readonly {
			readonly id: string;
			readonly day: string;
			readonly observed: boolean;
			readonly done: readonly string[];
			readonly worst: readonly string[];
			readonly notes: readonly string[];
		}[];
	}
	let { visits }: Props = $props();
	const where = (v: { readonly observed: boolean }): string => (v.observed ? 'here' : 'at home');
</script>

{#if visits.length === 0}<p class="rule mt-3 py-3">
		No visit yet. The first stands here once a session is logged.
	</p>
{:else}<LongRows
		label="Visits"
		find="Find an exercise, a note or a region"
		rows={visits}
		of={() => ({ 'data-testid': 'visit' })}
		columns={[
			{ head: 'day', value: (v) => v.day },
			{ head: 'where', value: where },
			{ head: 'done', value: (v) => [...v.done, ...v.notes].join(' ') },
			{ head: 'worst', value: (v) => v.worst.join(', ') || null }
		]}
	>
		{#snippet cells(v)}
			<td class="align-top whitespace-nowrap">{shortDay(v.day)}</td>
			<td class="label align-top">{where(v)}</td>
			<td class="align-top"
				>{v.done.join('; ')}{#each v.notes as note, i (i)}<span class="label block whitespace-pre-line"
						>{note}</span
					>{/each}</td
			>
			<td class="align-top whitespace-nowrap">{v.worst.join(', ') || '–'}</td>
		{/snippet}
	</LongRows>{/if}
