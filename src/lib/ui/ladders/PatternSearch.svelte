<script lang="ts">
	/** Another client's ladders as a start, found by a part of their name. Its question stands in the address, so it is asked without a script too. */
	interface Props {
		readonly patterns: {
			readonly find: string;
			readonly listed: readonly {
				readonly clientId: string;
				readonly name: string;
				readonly exercises: number;
			}[];
			readonly found: number;
		} | null;
		/** Whose plan is the start now. */
		readonly from: string | undefined;
	}
	let { patterns, from }: Props = $props();
	const more = $derived(patterns === null ? 0 : patterns.found - patterns.listed.length);
</script>

<form
	method="GET"
	role="search"
	class="mt-1 flex flex-wrap items-end gap-2"
	data-sveltekit-noscroll
	data-sveltekit-keepfocus
>
	<label class="label"
		>As a start, the plan of<input
			name="find"
			type="search"
			value={patterns?.find ?? ''}
			placeholder="part of a name"
			class="block w-44 rounded-md border border-edge bg-sheet px-2 py-1 text-base text-ink"
		/></label
	>
	<button class="min-h-8 cursor-pointer rounded border border-edge px-2 text-sm text-accent">Find</button>
	{#if from !== undefined}<a href="?" data-sveltekit-noscroll class="text-sm">by purpose again</a>{/if}
</form>
{#if patterns !== null}
	<ul class="mt-1 text-sm" aria-label="Whose plan">
		{#each patterns.listed as p (p.clientId)}
			<li>
				<a href="?from={p.clientId}" data-sveltekit-noscroll>{p.name}</a>, {p.exercises === 1
					? '1 exercise'
					: `${p.exercises} exercises`}
			</li>
		{:else}
			<li class="text-quiet">Nobody else of that name has work in use.</li>
		{/each}
		{#if more > 0}<li class="text-quiet">and {more} more: type more of the name</li>{/if}
	</ul>
{/if}
