<script lang="ts">
	/** For each purpose what a plan from what is open would take. */
	import type { Planned } from '#lib/core/fit/substitutes.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import { PURPOSE_NAME } from '#lib/wording/names.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import FigureView from '../FigureView.svelte';
	import { figureOfStep } from '../scene.ts';

	interface Props {
		readonly clientId: string;
		readonly plan: readonly Planned[];
		readonly ctx: FitContext;
	}
	let { clientId, plan, ctx }: Props = $props();
</script>

<ol class="mt-1" data-testid="plan">
	{#each plan as p (p.purpose)}
		<li class="rule grid grid-cols-[44px_1fr] items-center gap-2 py-1" data-purpose={p.purpose}>
			{#if p.pick}
				<span class="flex justify-center"
					><FigureView figure={figureOfStep(p.pick.step, ctx, p.pick.fit.setup)} label="" height={40} /></span
				>
				<span
					><span class="label block">{PURPOSE_NAME[p.purpose]}</span><a
						class="underline"
						href="/clients/{clientId}/ladder?family={p.pick.family.id}&step={p.pick.step.id}"
						>{p.pick.step.title}</a
					>{p.pick.fit.setup === null ? '' : `, ${setupText(p.pick.fit.setup)}`}</span
				>
			{:else}
				<span></span><span
					><span class="label block">{PURPOSE_NAME[p.purpose]}</span><span class="text-quiet"
						>nothing open</span
					></span
				>
			{/if}
		</li>
	{/each}
</ol>
