<script lang="ts">
	/** Why less was done. */
	import { INCOMPLETE } from '#lib/core/session/record.ts';
	import { mineHere } from './context.ts';

	interface Props {
		readonly value: string;
		readonly change: (because: string) => void;
	}
	let { value, change }: Props = $props();
	const { say } = mineHere();
</script>

<label class="flex items-center justify-between gap-3"
	>{say('because')}<select
		class="min-h-12 rounded-md border border-edge bg-sheet px-3"
		value={value || 'other'}
		onchange={(e) => change(e.currentTarget.value)}
		>{#each INCOMPLETE as b (b)}<option value={b}>{say(b)}</option>{/each}</select
	></label
>
