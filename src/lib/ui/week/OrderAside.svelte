<script lang="ts">
	/** Days with more of one kind than is ordered while one waits: ordered whole beside the page, as far as it is said, and put in where that is shorter. */
	import { onMount } from 'svelte';
	import Progressbar from 'flowbite-svelte/Progressbar.svelte';
	import type { OrderSchool } from '#lib/core/plan/session-order.ts';
	import type { Work } from '#lib/core/plan/work.ts';
	import type { OrderAnswer, OrderQuestion } from '#lib/workers/order.worker.ts';
	import OrderWorker from '#lib/workers/order.worker.ts?worker';
	import { arranged, shorterThan, turnsOf, type ArrangedDay } from './arrangement.ts';

	interface Props {
		readonly days: readonly ArrangedDay[];
		readonly work: ReadonlyMap<string, Work>;
		readonly school: OrderSchool;
		readonly inTurn: boolean;
		/** Nobody moved anything meanwhile. */
		readonly untouched: () => boolean;
		readonly put: (days: readonly ArrangedDay[]) => void;
	}
	let { days, work, school, inTurn, untouched, put }: Props = $props();
	let share = $state<number | null>(0);
	let said = $state('');

	function done(answer: OrderAnswer & { readonly kind: 'done' }): void {
		share = null;
		const shorter = shorterThan(days, arranged(answer.days), work);
		const left = answer.days.some((d) => !d.exact) ? ' More than eighteen are ordered part by part.' : '';
		if (shorter.length === 0) said = `Ordered whole: no shorter way was found.${left}`;
		else if (!untouched())
			said = `A shorter order was found; it was moved by hand meanwhile, and stays.${left}`;
		else {
			said = `Ordered whole: a shorter way was found and put in.${left}`;
			put(shorter);
		}
	}
	onMount(() => {
		const worker = new OrderWorker();
		worker.onmessage = ({ data }: MessageEvent<OrderAnswer>) => {
			if (data.kind === 'progress') share = data.share;
			else done(data);
		};
		worker.onerror = () => {
			share = null;
			said = 'More than fourteen of one kind in a session: ordered part by part.';
		};
		const asked = days
			.filter((d) => d.turns.length > 0)
			.map((d) => ({ weekday: d.weekday, work: turnsOf(d, work).flat() }));
		// As plain data: what a page holds may be watched, and is not taken as it is.
		worker.postMessage(JSON.parse(JSON.stringify({ days: asked, school, inTurn })) as OrderQuestion);
		return () => worker.terminate();
	});
</script>

<div class="max-w-md" role="status" data-testid="order-aside">
	{#if share !== null}<p class="label">More than fourteen of one kind in a session: ordering it whole …</p>
		<Progressbar progress={Math.round(100 * share)} size="h-2" />
	{:else}<p class="label">{said}</p>{/if}
</div>
