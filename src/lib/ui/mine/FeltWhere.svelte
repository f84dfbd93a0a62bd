<script lang="ts">
	/** Where the work was felt: in the muscle it is for, in the joint, or in both. Not answering is an answer too. */
	import { mineHere } from './context.ts';
	import type { Did } from './run.ts';

	interface Props {
		readonly felt: Did['felt'];
		readonly change: (felt: Did['felt']) => void;
	}
	let { felt, change }: Props = $props();
	const { say } = mineHere();
	const WHERE = [
		['muscle', 'feltMuscle'],
		['joint', 'feltJoint'],
		['both', 'feltBoth']
	] as const;
</script>

<fieldset>
	<legend class="font-semibold">{say('felt')}</legend>
	<div class="mt-1 grid grid-cols-3 gap-1">
		{#each WHERE as [value, key] (value)}<button
				type="button"
				aria-pressed={felt === value}
				class="min-h-12 rounded-md border border-edge font-semibold aria-pressed:border-accent aria-pressed:bg-accent aria-pressed:text-accent-ink"
				onclick={() => change(felt === value ? '' : value)}>{say(key)}</button
			>{/each}
	</div>
</fieldset>
