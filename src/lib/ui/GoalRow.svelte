<script lang="ts">
	/** One goal: its scores, whether they changed beyond error, and how far it is. */
	import { enhance } from '$app/forms';
	import type { GoalView } from '#lib/contract/view.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { distanceText, taskText } from '#lib/wording/goals.ts';
	import Act from './Act.svelte';
	import Field from './Field.svelte';
	import { sending } from './sending.ts';

	interface Props {
		readonly goal: GoalView;
		readonly id: string;
		readonly dropId: string;
		readonly say: (text: string) => void;
		readonly wrong: string | undefined;
	}
	let { goal, id, dropId, say, wrong }: Props = $props();
	const first = $derived(goal.scores[0]);
	const counts = $derived(
		goal.change === null
			? ''
			: goal.change.beyondError === 'none'
				? 'inside error'
				: `${goal.change.direction} beyond error${goal.change.beyondError === 'some' ? ' by some rules' : ''}`
	);
</script>

<li
	class="rule grid grid-cols-[15rem_8rem_1fr_auto] items-start gap-x-4 py-2 max-lg:grid-cols-1"
	data-testid="goal"
>
	<span
		><strong>{goal.label}</strong>{#if goal.side}<span class="label block">{goal.side}</span>{/if}</span
	>
	<span
		>{#if first && goal.scores.length > 1}<span class="label mr-1">{first.score} →</span>{/if}<strong
			>{goal.score}</strong
		> <span class="label">of 10</span>{#if counts}<span class="label block">{counts}</span
			>{/if}{#if goal.confidence !== null}<span class="label block">confident {goal.confidence}</span
			>{/if}</span
	>
	<span>
		{#if goal.point}<span data-testid="distance">{distanceText(goal)}</span>{/if}
		{#each goal.ranges as r (r.source)}<span class="label block">{taskText(r)}</span>{/each}
		{#if first}<span class="label block">since {shortDay(first.day)}</span>{/if}
	</span>
	<span class="flex items-end gap-2">
		<form method="POST" action="?/goal" class="flex items-end gap-2" use:enhance={sending(say)}>
			<input type="hidden" name="id" value={id} /><input type="hidden" name="replaces" value={goal.id} />
			<input type="hidden" name="activity" value={goal.activity} /><input
				type="hidden"
				name="label"
				value={goal.label}
			/><input type="hidden" name="side" value={goal.side ?? ''} />
			<input type="hidden" name="tie" value={goal.point ? `${goal.point.family}:${goal.point.step}` : ''} />
			<input type="hidden" name="heightCm" value={goal.point?.heightCm ?? ''} /><input
				type="hidden"
				name="sets"
				value={goal.point?.sets ?? ''}
			/><input type="hidden" name="reps" value={goal.point?.reps ?? ''} />
			<Field
				of={goal.id}
				name="score"
				label="Able"
				inputmode="numeric"
				width="w-14"
				aria-label="{goal.label}, able today"
				{wrong}
			/>
			<Field
				of={goal.id}
				name="confidence"
				label="Confident"
				inputmode="numeric"
				width="w-14"
				aria-label="{goal.label}, confident today"
			/>
			<Act kind="quiet">Score</Act>
		</form>
		<form method="POST" action="?/drop" use:enhance={sending(say)}>
			<input type="hidden" name="id" value={dropId} /><input
				type="hidden"
				name="goalId"
				value={goal.id}
			/><button class="cursor-pointer pb-2 text-sm text-accent underline">drop</button>
		</form>
	</span>
</li>
