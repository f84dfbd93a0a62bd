<script lang="ts">
	/** What was done where it was not as given: how many sets, how many of the last, and why. */
	import Because from './Because.svelte';
	import { mineHere } from './context.ts';
	import type { Did } from './run.ts';

	interface Props {
		readonly did: Did;
		/** As it was to be done. */
		readonly dose: { readonly sets: number; readonly reps: number };
		readonly change: (more: Partial<Did>) => void;
	}
	let { did, dose, change }: Props = $props();
	const { say } = mineHere();
	/** A whole number they can have done. */
	const repsOf = (typed: string): number => Math.min(dose.reps, Math.max(0, Math.round(Number(typed) || 0)));
</script>

<div class="grid gap-2 border-l-3 border-edge pl-3">
	<label class="flex items-center justify-between gap-3"
		>{say('didSets')}<select
			class="min-h-12 rounded-md border border-edge bg-sheet px-3"
			value={String(did.sets)}
			onchange={(e) => change({ sets: Number(e.currentTarget.value) })}
			>{#each { length: dose.sets + 1 }, n (n)}<option value={String(n)}>{n}</option>{/each}</select
		></label
	>
	{#if did.sets < dose.sets}<label class="flex items-center justify-between gap-3"
			>{say('didReps', { reps: dose.reps })}<input
				type="number"
				inputmode="numeric"
				min="0"
				max={dose.reps}
				class="min-h-12 w-20 rounded-md border border-edge bg-sheet px-3"
				value={did.lastReps ?? ''}
				onchange={(e) => change({ lastReps: repsOf(e.currentTarget.value) })}
			/></label
		>
		<Because value={did.because} change={(because) => change({ because })} />{/if}
</div>
