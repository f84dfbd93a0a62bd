<script lang="ts">
	/** What is done today: the step, its dose and set-up, what is watched, and when to stop. */
	import type { ExerciseToLog } from './exercise.ts';
	import { doseLine } from './exercise.ts';

	interface Props {
		readonly exercise: ExerciseToLog;
	}
	let { exercise }: Props = $props();
	const { head } = $derived(exercise);
	const { cautions, cues, title } = $derived(head.snapshot);
</script>

<h2 class="text-xl">{title}</h2>
<p class="text-2xl font-bold">{doseLine(exercise)}</p>
{#if head.how.length > 0}<p>{head.how.join(' · ')}</p>{/if}
{#if head.particulars.note}<p class="italic">{head.particulars.note}</p>{/if}
{#if exercise.upright}<p>{exercise.upright[0]?.toUpperCase()}{exercise.upright.slice(1)}.</p>{/if}
{#if exercise.lighter}<p class="text-caution">Lighter today.</p>{/if}
{#if exercise.needs.length > 0}<p class="label">
		For an advance it still needs: {exercise.needs.join('; ')}.
	</p>{/if}
<ol class="my-1 list-decimal pl-6 text-base">
	{#each cues as cue (cue)}<li>{cue}</li>{/each}
</ol>
<p class="border-l-4 border-caution pl-3 text-base">
	{cautions.find((c) => c.startsWith('Stop')) ?? cautions[0]}
</p>
