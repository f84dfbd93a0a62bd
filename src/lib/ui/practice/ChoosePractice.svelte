<script lang="ts">
	/** Somebody of several practices goes from one to the other. */
	interface Props {
		readonly practices: readonly { readonly id: string; readonly name: string }[];
		readonly here: string;
	}
	let { practices, here }: Props = $props();
</script>

<form method="POST" action="/practice/choose" class="flex items-baseline gap-2">
	{#each practices.filter((p) => p.id !== here) as p (p.id)}
		<button name="practice" value={p.id} class="cursor-pointer text-sm text-accent underline"
			>to {p.name}</button
		>
	{/each}
</form>
