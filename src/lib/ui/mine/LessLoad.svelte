<script lang="ts">
	/** The weight is let down: to how much, and after how many of this set. */
	import type { MineWork } from '#lib/contract/mine.ts';
	import { typedMetric, unitName } from '#lib/wording/units.ts';
	import Because from './Because.svelte';
	import { mineHere } from './context.ts';
	import { lessFrom, type Did } from './run.ts';

	interface Props {
		readonly w: MineWork;
		readonly dose: { readonly sets: number; readonly reps: number };
		readonly did: Did;
		readonly change: (more: Partial<Did>) => void;
	}
	let { w, dose, did, change }: Props = $props();
	const { say } = mineHere();
	let after = $state('0');
	let kg = $state('');
	const letDown = (): void => change(lessFrom(w, dose, did, Number(after), typedMetric(kg, 'kg') ?? ''));
	const FIELD = 'min-h-12 w-20 rounded-md border border-edge bg-sheet px-3';
</script>

<div class="grid gap-2 border-l-3 border-edge pl-3">
	<label class="flex items-center justify-between gap-3"
		>{say('lessTo', { unit: unitName('kg') })}<input
			class={FIELD}
			inputmode="decimal"
			maxlength="6"
			bind:value={kg}
			oninput={letDown}
		/></label
	>
	<label class="flex items-center justify-between gap-3"
		>{say('lessAfter')}<select class={FIELD} bind:value={after} onchange={letDown}
			>{#each { length: dose.reps }, n (n)}<option value={String(n)}>{n}</option>{/each}</select
		></label
	>
	<Because value={did.because} change={(because) => change({ because })} />
</div>
