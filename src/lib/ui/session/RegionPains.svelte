<script lang="ts">
	/** Pain of each region that is worked today, asked once: before it, or at its worst and after it. */
	import { SESSION_SCORES } from '#lib/contract/session-fields.ts';
	import { regionName } from '#lib/wording/names.ts';
	import Score from '../Score.svelte';

	interface Props {
		readonly regions: readonly string[];
		readonly when: readonly ('before' | 'peak' | 'after')[];
		/** By "region.when". */
		pains: Record<string, string>;
		readonly wrong: (field: string) => string | undefined;
	}
	let { regions, when, pains = $bindable(), wrong }: Props = $props();
</script>

{#each regions as region (region)}
	<div role="group" aria-label="Pain, {regionName(region)}">
		<p class="mt-2 font-semibold">Pain, {regionName(region)}</p>
		{#each when as at (at)}<Score
				name="pain.{region}.{at}"
				label={SESSION_SCORES[at].label}
				bind:value={pains[`${region}.${at}`]}
				wrong={wrong(`pain.${region}.${at}`)}
			/>{/each}
	</div>
{/each}
