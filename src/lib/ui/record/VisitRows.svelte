<script lang="ts">
	/** Visits, latest first: what was done and the worst of each region. */
	import { shortDay } from '#lib/wording/days.ts';
	import Rows from '../Rows.svelte';

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
</script>

{#if visits.length === 0}<p class="rule mt-3 py-3">
		No visit yet. The first stands here once a session is logged.
	</p>
{:else}<Rows heads={['day', '', 'done', 'worst']} aria-label="Visits">
		{#each visits as v (v.id)}<tr data-testid="visit">
				<td class="align-top whitespace-nowrap">{shortDay(v.day)}</td>
				<td class="label align-top">{v.observed ? 'here' : 'at home'}</td>
				<td class="align-top"
					>{v.done.join('; ')}{#each v.notes as note, i (i)}<span class="label block whitespace-pre-line"
							>{note}</span
						>{/each}</td
				>
				<td class="align-top whitespace-nowrap">{v.worst.join(', ') || '–'}</td>
			</tr>{/each}
	</Rows>{/if}
