<script lang="ts">
	/** A device whose clock is far off is told so: what it does without a network would fall on another day. */
	import { onMount } from 'svelte';
	import { clockOff } from '#lib/core/base/zone-day.ts';
	import { house } from './house.ts';

	let off = $state<number>();
	onMount(() => (off = clockOff(Date.now(), house().now)));
	const HOUR_MS = 3_600_000;
	const hours = $derived(Math.round(Math.abs(off ?? 0) / HOUR_MS));
</script>

{#if off !== undefined}<p
		role="status"
		class="no-print border-b border-caution bg-sheet px-7 py-2 text-caution max-sm:px-4"
		data-testid="clock"
	>
		The clock of this device is {hours}
		{hours === 1 ? 'hour' : 'hours'}
		{off > 0 ? 'ahead' : 'behind'}. Days here are taken from the practice’s clock; set the device’s, so that
		what it times is right.
	</p>{/if}
