<script lang="ts">
	/** Every number of the card opened to its rule, its source and its error. */
	import type { Step } from '#lib/core/exercise/family.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import type { Band } from '#lib/core/posture/band.ts';
	import type { Technique } from '#lib/core/posture/problem.ts';
	import { TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import SourceLink from '../SourceLink.svelte';

	interface Props {
		readonly step: Step;
		readonly ctx: FitContext;
		readonly band: Band | null;
		readonly used: Technique | 'ordinary';
	}
	let { step, ctx, band, used }: Props = $props();
	const loaded = $derived(step.posture.load !== undefined);
	const lengths = $derived(
		ctx.body.measured.length === 0
			? 'from stature'
			: `measured: ${ctx.body.measured.map((m) => m.replace('Cm', '')).join(', ')}; the rest from stature`
	);
	const angles = $derived(
		step.posture.movement === 'pose'
			? 'read off the pose that is drawn; nothing is solved.'
			: `a planar linkage of this body${used === 'ordinary' ? '' : ` in the ${TECHNIQUE_NAME[used].toLowerCase()} technique`}, solved for balance and reach.`
	);
</script>

<ul class="list-disc pl-5 text-sm" data-testid="numbers-from">
	<li>
		The step, its gates and dose: {#each step.sources as source, i (source)}{i > 0 ? ', ' : ''}<SourceLink
				{source}
			/>{/each}.
	</li>
	<li>
		Angles: {angles} Lengths {lengths} (<SourceLink source="drillis-contini-1966" />), masses (<SourceLink
			source="winter-2009"
		/>).
	</li>
	<li>
		Usable: {ctx.rules.base === 'painFree' ? 'the onset of pain' : 'what is tolerable'} or the protocol limit, whichever
		is less, minus the policy’s margin of {loaded
			? `${ctx.rules.loadedMarginDeg}° for loaded work`
			: `${ctx.rules.marginDeg}°`} where pain limits (<SourceLink source="practice-setting" />).
	</li>
	{#if band}<li>
			Error: 5th to 95th percentile of {band.samples} bodies and balance points drawn around this one, {band.low.toFixed(
				1
			)} to {band.high.toFixed(1)}; always the same draw for the same question. The model’s own error and the
			day’s form are not in it.
		</li>{/if}
	<li>
		Hip is the angle between thigh and trunk, pelvis and back included; bare feet; joint centres level is 90°
		of thigh.
	</li>
</ul>
