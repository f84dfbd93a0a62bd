<script lang="ts">
	/** The techniques side by side: how far each goes for this client, and what stops it. */
	import type { TechniqueRow } from '#lib/core/fit/compare-techniques.ts';
	import type { Technique } from '#lib/core/posture/problem.ts';
	import { CHECK_NAME, TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import { cmText } from '#lib/wording/units.ts';
	import Rows from '../Rows.svelte';

	interface Props {
		readonly techniques: readonly TechniqueRow[];
		readonly used: Technique | 'ordinary';
	}
	let { techniques, used }: Props = $props();
	const deep = $derived(techniques[0]?.unit === 'deg');
	const reachOf = ({ reach, unit }: TechniqueRow): string =>
		reach === null ? 'none' : unit === 'cm' ? cmText(Math.ceil(reach)) : `${Math.floor(reach)}°`;
</script>

<Rows
	heads={['', deep ? 'deepest' : 'lowest', 'knee N·m', 'hip N·m', 'stopped by']}
	data-testid="techniques"
	aria-label="Techniques side by side"
>
	{#each techniques as t (t.technique)}
		<tr class={t.technique === used ? 'font-bold' : ''}>
			<td>{TECHNIQUE_NAME[t.technique]}</td>
			<td>{reachOf(t)}</td>
			<td>{Math.round(t.moments.knee ?? 0)}</td>
			<td>{Math.round(t.moments.hip ?? 0)}</td>
			<td>{t.limiting.map((l) => CHECK_NAME[l]).join(', ') || '–'}</td>
		</tr>
	{/each}
</Rows>
{#if techniques.length === 0}<p class="label">
		Nothing to compare: the main ranges of this step are not measured, or it is taught in one way.
	</p>{/if}
<p class="label">
	Per leg, at this {deep ? 'depth' : 'seat'}; quasi-static and planar, for comparing set-ups only. A hip
	moment near zero means the load shifts to the knee, never “no hip load”.
</p>
