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
		{#each ANSWERS as a (a)}<label
				class="grid min-h-12 cursor-pointer place-items-center rounded-md border border-edge px-1 text-center font-semibold has-checked:border-accent has-checked:bg-accent has-checked:text-accent-ink has-focus-visible:outline-3 has-focus-visible:outline-(--focus)"
				><input type="radio" {name} value={a} bind:group={value} class="sr-only" />{say(a)}</label
			>{/each}
	</div>
</fieldset>
