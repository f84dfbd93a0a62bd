<script lang="ts">
	/** When in the movement it hurts: the movement drawn, and a slider through it. */
	import type { Body } from '#lib/core/body/body.ts';
	import { PAIN_AT_NAME } from '#lib/wording/intake.ts';
	import FigureView from '../FigureView.svelte';
	import { MOMENTS, movementFigure } from '../movement-figure.ts';

	interface Props {
		readonly body: Body;
		/** As it was said before. */
		readonly known: string;
		readonly mirror: boolean;
		moved: number | undefined;
	}
	let { body, known, mirror, moved = $bindable() }: Props = $props();
	const before = $derived(Math.max(0, MOMENTS.indexOf(known as (typeof MOMENTS)[number])));
	const moment = $derived(MOMENTS[moved ?? before] ?? 'late');
</script>

<div class="grid grid-cols-[13rem_1fr] items-center gap-4 max-sm:grid-cols-1">
	<FigureView
		figure={movementFigure(body, moment)}
		label="The movement, {PAIN_AT_NAME[moment]}"
		height={150}
		{mirror}
		tight
	/>
	<div>
		<label class="label" for="moment"
			>When in the movement: <strong class="text-ink">{PAIN_AT_NAME[moment]}</strong></label
		>
		<input
			id="moment"
			type="range"
			min="0"
			max={MOMENTS.length - 1}
			step="1"
			value={MOMENTS.indexOf(moment)}
			oninput={(e) => (moved = Number(e.currentTarget.value))}
			aria-valuetext={PAIN_AT_NAME[moment]}
			class="block w-full max-w-96 accent-(--accent)"
		/>
		<div class="label flex max-w-96 justify-between">
			<span>early</span><span>middle</span><span>late</span><span>return</span><span>all</span>
		</div>
		<input type="hidden" name="painAt" value={moment} />
	</div>
</div>
