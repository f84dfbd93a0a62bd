<script lang="ts">
	/** What was in the plan and has ended: what, how long, and why. */
	import type { EndedWork } from '#lib/contract/plan-view.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName } from '#lib/wording/names.ts';
	import PauseForm from './PauseForm.svelte';

	interface Props {
		readonly ended: readonly EndedWork[];
		readonly wrongOf: (exerciseId: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { ended, wrongOf, say }: Props = $props();
</script>

<section class="no-print mt-5" aria-label="Ended">
	<h3 class="font-bold">Ended</h3>
	<ul>
		{#each ended as e (e.exerciseId)}
			<li class="rule py-2" data-testid="ended">
				<p class="flex flex-wrap items-baseline gap-x-3">
					<strong>{e.title}</strong><span>{e.dose}</span><span class="label"
						>for the {regionName(e.region)}</span
					>
				</p>
				<p class="label">
					{shortDay(e.from)} to {shortDay(e.until)} · {e.sessions === 0
						? 'never done'
						: e.sessions === 1
							? 'done once'
							: `done ${e.sessions} times`}
				</p>
				<p>{e.reason}</p>
				<PauseForm w={e} to="active" wrong={wrongOf(e.exerciseId)} {say} />
			</li>
		{/each}
	</ul>
</section>
