<script lang="ts">
	/** What the week asks in all: stretch seconds, sets, and what knee, hip and back are asked against the last seven days. */
	import { STRETCH_SEC, type Budget, type Load } from '#lib/core/plan/budget.ts';
	import { loadText, muscleName, stretchText } from '#lib/wording/week.ts';
	import Rows from '../Rows.svelte';

	interface Props {
		readonly budget: Budget;
		readonly lastWeek: Load;
	}
	let { budget, lastWeek }: Props = $props();
	const JOINTS = ['knee', 'hip', 'back'] as const;
	const short = (s: Budget['stretch'][number]): boolean =>
		Math.min(s.seconds.left, s.seconds.right) < STRETCH_SEC;
</script>

<div class="grid gap-x-10 gap-y-2 lg:grid-cols-3" data-testid="budget">
	<Rows heads={['Asked of', 'in the week']} aria-label="What joints are asked">
		{#each JOINTS.filter((j) => budget.load[j] > 0) as j (j)}<tr
				><td class="first-letter:uppercase">{j}</td><td>{loadText(j, budget.load, lastWeek)}</td></tr
			>{:else}<tr><td colspan="2">nothing that is solved</td></tr>{/each}
	</Rows>
	<Rows heads={['Muscle', 'sets']} aria-label="Sets by muscle">
		{#each budget.sets as { muscle, sets } (muscle)}<tr
				><td class="first-letter:uppercase">{muscleName(muscle)}</td><td>{sets}</td></tr
			>{:else}<tr><td colspan="2">no strength work</td></tr>{/each}
	</Rows>
	<Rows heads={['Stretched', 'seconds']} aria-label="Stretch seconds by muscle">
		{#each budget.stretch as s (s.muscle)}<tr
				><td class="first-letter:uppercase">{muscleName(s.muscle)}</td><td
					class={short(s) ? 'text-caution' : ''}>{stretchText(s)}</td
				></tr
			>{:else}<tr><td colspan="2">no stretches</td></tr>{/each}
	</Rows>
	{#if budget.uncounted.length > 0}<p class="label lg:col-span-3">
			Not counted for the joints, since nothing of it is solved: {budget.uncounted.join(', ')}.
		</p>{/if}
</div>
