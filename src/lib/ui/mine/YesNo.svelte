<script lang="ts">
	/** Yes, no, and where it may be unknown that too: three thumbs wide. */
	import { mineHere } from './context.ts';

	interface Props {
		readonly name: string;
		readonly label: string;
		value: string;
	}
	let { name, label, value = $bindable() }: Props = $props();
	const { say } = mineHere();
	const ANSWERS = ['yes', 'no', 'unknown'] as const;
</script>

<fieldset class="py-1">
	<legend class="font-semibold">{label}</legend>
	<div class="mt-1 grid grid-cols-3 gap-1">
		{#each ANSWERS as a (a)}<label class="tile px-1 text-center"
				><input type="radio" {name} value={a} bind:group={value} class="sr-only" />{say(a)}</label
			>{/each}
	</div>
</fieldset>
