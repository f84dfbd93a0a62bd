<script lang="ts">
	/** Whether this device keeps the page for when there is no network. Asked, since a record then stands on the device. */
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import { forget, isWanted, putAside, want } from './put-aside.ts';
	import Tick from '../Tick.svelte';

	let wanted = $state(false);
	let stands = $state<boolean | null>(null);
	const here = $derived(page.url.pathname + page.url.search);
	onMount(() => void (wanted = isWanted()));
	// Each time somebody comes by with a network, it stands aside as it is now.
	$effect(() => {
		if (!wanted || !navigator.onLine) return;
		stands = null;
		void putAside(here).then(
			(ok) => (stands = ok),
			() => (stands = false)
		);
	});
	async function change(on: boolean): Promise<void> {
		wanted = on;
		if (on) await want(here).catch(() => false);
		else await forget();
	}
</script>

<Tick touch label="works without a network" bind:checked={() => wanted, (on) => void change(on === true)} />
<span class="label" role="status" data-testid="aside"
	>{!wanted
		? ''
		: stands === null
			? 'putting it aside …'
			: stands
				? 'On this device until you sign out.'
				: 'This browser cannot keep it.'}</span
>
