<script lang="ts">
	/** The way of a first visit: what is done, what is next, what follows. It goes once an exercise is given. */
	import Stepper from 'flowbite-svelte/Stepper.svelte';
	import { goto } from '$app/navigation';
	import type { FirstStep } from '#lib/contract/view.ts';

	interface Props {
		readonly clientId: string;
		readonly steps: readonly FirstStep[];
	}
	let { clientId, steps }: Props = $props();
	const at = $derived(steps.findIndex((s) => s.status === 'current') + 1);
	function open({ current }: { current: number }): void {
		const to = steps[current - 1]?.to;
		if (to !== undefined) void goto(`/clients/${clientId}/${to}`);
	}
</script>

<nav aria-label="First visit" class="no-print border-b px-7 py-1.5 max-sm:px-4">
	<Stepper
		steps={steps.map(({ label, status }, i) => ({ id: i + 1, label, status }))}
		current={at}
		onStepClick={open}
		class="flex-wrap text-base text-quiet dark:text-quiet"
		classes={{
			item: `text-inherit dark:text-inherit not-last:after:mx-2 not-last:after:inline-block not-last:after:w-6 not-last:after:border-b not-last:after:border-edge max-sm:not-last:after:mx-1 max-sm:not-last:after:w-2`,
			content:
				'min-h-10 aria-[current=step]:font-bold aria-[current=step]:text-accent [&>span]:me-1 [&>svg]:me-1 [&>svg]:size-4'
		}}
	/>
</nav>
