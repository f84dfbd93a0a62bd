<script lang="ts">
	/** The keys of this screen: a hint at the foot of a desk, the list with `?`, and the switch for those who want none. */
	import Kbd from 'flowbite-svelte/Kbd.svelte';
	import Dialog from './Dialog.svelte';
	import Toggle from 'flowbite-svelte/Toggle.svelte';
	import { onMount } from 'svelte';
	import { keysAreOn, turnKeys } from './keys.ts';
	import Rows from './Rows.svelte';

	interface Props {
		readonly keys: readonly (readonly [string, string])[];
	}
	let { keys }: Props = $props();
	/** On a client's pages one key leads home. */
	const ofClient = $derived(
		keys.some(([k]) => k === '0 … 9') ? ([['h', 'the plan of this client']] as const) : []
	);
	let open = $state(false);
	let on = $state(true);
	onMount(() => void (on = keysAreOn()));
	function key(e: KeyboardEvent): void {
		const target = e.target as HTMLElement | null;
		if (e.key !== '?' || (target !== null && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))) return;
		open = !open;
	}
</script>

<svelte:window onkeydown={key} />
<button
	type="button"
	onclick={() => (open = !open)}
	class="no-print fixed right-3 bottom-2 z-10 cursor-pointer rounded-md border bg-paper px-2 py-0.5 text-sm text-quiet max-lg:hidden"
	data-testid="keys-hint"><kbd class="font-mono font-semibold">?</kbd> keys{on ? '' : ' are off'}</button
>
<Dialog bind:open title="Keys of this screen">
	<Rows heads={[]} aria-label="Keys">
		{#each [...keys, ...ofClient, ['?', 'this list'] as const] as [k, what] (k)}
			<tr
				><td class="pr-6"
					><Kbd class="border-edge bg-paper px-2 py-0.5 font-mono text-ink dark:bg-paper dark:text-ink"
						>{k}</Kbd
					></td
				><td>{what}</td></tr
			>
		{/each}
	</Rows>
	<Toggle bind:checked={on} onchange={() => turnKeys(on)} class="mt-3 text-base text-ink dark:text-ink"
		>single keys act on this device</Toggle
	>
</Dialog>
