<script lang="ts">
	import { isMidline } from '#lib/core/body/axis.ts';
	/** The one number of a step for this client, and whether it fits. */
	import type { StepFit } from '#lib/core/fit/fit.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import { errorOf } from '#lib/core/movement/of-step.ts';
	import type { Step } from '#lib/core/exercise/family.ts';
	import { rangeIn, sideWord, sideBefore } from '#lib/wording/names.ts';
	import { lengthValue } from '#lib/wording/setup.ts';
	import type { CardReading } from './reading.ts';

	interface Props {
		readonly step: Step;
		readonly fit: StepFit;
		readonly ctx: FitContext;
		readonly card: CardReading;
		/** How far this body could go, with its error, in words; empty before it is worked out. */
		readonly reach: string;
	}
	let { step, fit, ctx, card, reach }: Props = $props();
	const over = $derived(fit.limiting.find((l) => l.short > 0));
	const main = $derived(card.axes.find((a) => a.axis === 'kneeFlexion') ?? card.axes[0]);
	const big = $derived(
		card.length === null
			? ''
			: card.length.of === 'thighDeg'
				? `${Math.round(card.length.value)}° thigh`
				: lengthValue(card.given)
	);
	/** Which joint comes close, by how much, against which error. */
	const watch = $derived.by((): string => {
		const near = fit.limiting[0];
		if (near === undefined) return 'Inside the limit, but closer than the model’s own error.';
		return `${isMidline(near.axis) ? 'The' : sideWord(near.side)} ${rangeIn(near.axis)}: ${Math.max(0, Math.round(-near.short))}° inside what is usable, closer than the model’s own error of ${errorOf(near.axis, step, ctx)}°.`;
	});
	const blocked = $derived(
		over === undefined
			? 'no set-up balances within the limits'
			: `${sideBefore(over.axis, over.side)}${rangeIn(over.axis)} asks ${Math.round(over.demand)}°, ${Math.ceil(over.short)}° more than ${over.by === 'protocol' ? 'the protocol limit allows' : 'is usable'}`
	);
	const asItStands = $derived(
		over === undefined
			? 'range is short'
			: `the ${sideBefore(over.axis, over.side)}${rangeIn(over.axis)} is ${Math.ceil(over.short)}° short`
	);
	const unmeasured = $derived(
		fit.unmeasured
			.map(
				(u) => `${sideBefore(u.axis, u.side)}${rangeIn(u.axis)}${u.reason === 'stale' ? ' (too old)' : ''}`
			)
			.join(', ')
	);
	const said = $derived(
		{
			fits: `Fits as it stands${fit.seen ? ': seen doing it, settled' : ''}.`,
			'set-up': `Fits when set up like this; as it stands ${asItStands}.`,
			watch: `${watch} Watch it.`,
			blocked: `Blocked: ${blocked}.`,
			unmeasured: `Not measured: ${unmeasured}.`
		}[fit.verdict]
	);
</script>

<div class="mt-2 flex flex-wrap items-baseline gap-x-3">
	<span class="text-4xl font-bold" data-testid="solved">{big}</span>
	<span class="label"
		>{reach}{main === undefined ? '' : `${rangeIn(main.axis)} ${main.asks} of ${main.usable}`}</span
	>
</div>
<p class="text-sm">{said}</p>
