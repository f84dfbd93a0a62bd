<script lang="ts">
	/**
	 * The waterline: a family's steps from gentle to hard as bars of what they ask on one axis; what the client tolerates lies
	 * across. Under water is reachable; what rises above says by how much, and where a set-up would bring it.
	 */
	import { POSSIBLE_RANGE, type Axis, type Side } from '#lib/core/body/axis.ts';
	import { stepOf, type ExerciseFamily } from '#lib/core/exercise/family.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import type { StepFit } from '#lib/core/fit/fit.ts';
	import { usableOf, type AxisLimit } from '#lib/core/movement/limits.ts';
	import { VERDICT_WORD } from '#lib/wording/names.ts';
	import { lengthValue } from '#lib/wording/setup.ts';
	import FigureView from './FigureView.svelte';
	import { MARK, TONE } from './verdict-marks.ts';
	import { figureOfStep } from './scene.ts';

	interface Props {
		readonly family: ExerciseFamily;
		readonly fits: readonly StepFit[];
		readonly ctx: FitContext;
		readonly axis: Axis;
		readonly side: Side;
		readonly limit: AxisLimit;
		readonly error: number;
		readonly chosen: string;
		readonly current: string | null;
		readonly locked: ReadonlySet<string>;
		readonly choose: (step: string) => void;
	}
	let { family, fits, ctx, axis, side, limit, error, chosen, current, locked, choose }: Props = $props();

	const H = 250;
	const W = 49;
	const LEFT = 34;
	/** Gutter at the right for the level's own number, so that it hides no bar's. */
	const RIGHT = 62;
	const level = $derived(usableOf(limit, error)?.deg ?? null);
	const values = $derived([...fits.map((f) => f.demand[axis] ?? 0), ...(level === null ? [] : [level])]);
	const low = $derived(Math.max(POSSIBLE_RANGE[axis][0], Math.floor((Math.min(...values) - 15) / 10) * 10));
	const high = $derived(Math.ceil((Math.max(...values) + 6) / 10) * 10);
	const y = $derived(
		(v: number) => 18 + (H - 18) * (1 - (Math.max(low, Math.min(high, v)) - low) / (high - low))
	);
	const ticks = $derived(
		Array.from(
			{ length: Math.floor((high - low) / 20) + 1 },
			(_, i) => Math.ceil(low / 20) * 20 + 20 * i
		).filter((t) => t <= high)
	);
	const width = $derived(LEFT + fits.length * W + RIGHT);
	const end = $derived(width - RIGHT);
	function word(f: StepFit): string {
		if (f.verdict === 'set-up')
			return f.setup?.thighDeg !== undefined ? `${f.setup.thighDeg}° deep` : lengthValue(f.setup);
		if (f.missing.length > 0) return 'no kit';
		if (f.positions.some((p) => p.answer === 'no')) return 'position';
		const first = f.limiting[0];
		if (f.withheld.length > 0) return 'withheld';
		if (f.verdict === 'blocked') return first === undefined ? 'blocked' : `short ${Math.ceil(first.short)}°`;
		return VERDICT_WORD[f.verdict];
	}
</script>

<div class="overflow-x-auto">
	<div style:width="{width}px">
		<svg {width} height={H + 6} aria-hidden="true" class="block">
			<defs>
				<pattern id="above" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
					><path d="M0 0V6" stroke="var(--edge)" stroke-width="1.3" /></pattern
				>
			</defs>
			{#if level !== null}
				<rect x={LEFT} y={y(level)} width={end - LEFT} height={H - y(level)} fill="var(--water)" />
			{/if}
			{#each ticks as t (t)}
				<path d="M{LEFT} {y(t)}H{end}" stroke="var(--hairline)" />
				<text x={LEFT - 5} y={y(t) + 4} text-anchor="end" font-size="11" fill="var(--quiet)">{t}°</text>
			{/each}
			{#each fits as f, i (f.step)}
				{@const x = LEFT + i * W + 8}
				{@const asks = f.demand[axis]}
				{@const top = asks === undefined ? H : y(asks)}
				{@const water = level === null ? H : Math.max(top, y(level))}
				<rect
					{x}
					y={water}
					width={W - 16}
					height={Math.max(0, H - water)}
					fill={f.step === chosen ? 'var(--accent)' : 'var(--bar)'}
					opacity={f.verdict === 'unmeasured' ? 0.5 : 1}
				/>
				{#if water > top}<rect
						{x}
						y={top}
						width={W - 16}
						height={water - top}
						fill="url(#above)"
						stroke={f.step === chosen ? 'var(--accent)' : 'var(--edge)'}
					/>{/if}
				{#if f.demandSetUp?.[axis] !== undefined}<path
						d="M{x - 3} {y(f.demandSetUp[axis] ?? 0)}h{W - 10}"
						stroke={f.step === chosen ? 'var(--ink)' : 'var(--accent)'}
						stroke-width="2.4"
						stroke-dasharray="4 3"
					/>{/if}
				<text
					x={x + (W - 16) / 2}
					y={top - 5}
					text-anchor="middle"
					font-size="11.5"
					font-weight="600"
					fill="var(--ink)"
					stroke="var(--paper)"
					stroke-width="3"
					paint-order="stroke">{asks === undefined ? '–' : `${Math.round(asks)}°`}</text
				>
			{/each}
			{#if level !== null}
				<rect
					x={LEFT}
					y={y(level + error)}
					width={end - LEFT}
					height={Math.max(0, y(level - error) - y(level + error))}
					fill="var(--tolerated)"
					opacity="0.14"
				/>
				<path d="M{LEFT} {y(level)}H{end + 4}" stroke="var(--tolerated)" stroke-width="2.4" />
				<text x={end + 7} y={y(level) - 5} font-size="12" fill="var(--tolerated)">{side}</text>
				<text
					x={end + 7}
					y={y(level) + 13}
					font-size="17"
					font-weight="700"
					fill="var(--tolerated)"
					data-testid="level">{Math.round(level)}°</text
				>
				<text x={end + 7} y={y(level) + 27} font-size="11" fill="var(--tolerated)">usable</text>
			{/if}
			<path d="M{LEFT} {H}H{end}" stroke="var(--ink)" stroke-width="1.5" />
		</svg>
		<ul class="flex" style:padding-left="{LEFT}px" aria-label="Steps, gentle to hard">
			{#each fits as f (f.step)}
				{@const step = stepOf(family, f.step)}
				{#if step}
					{@const drawn = figureOfStep(step, ctx, f.setup)}
					<li style:width="{W}px">
						<button
							type="button"
							onclick={() => choose(f.step)}
							aria-pressed={f.step === chosen}
							aria-label="{step.title}: {f.demand[axis] === undefined
								? 'asks nothing here'
								: `${Math.round(f.demand[axis] ?? 0)} degrees`}, {word(f)}{locked.has(f.step)
								? ', gate not met'
								: ''}{f.step === current ? ', prescribed now' : ''}"
							class="w-full cursor-pointer rounded-md px-0.5 pt-1 pb-1.5 text-center hover:bg-wash {f.step ===
							chosen
								? 'bg-wash'
								: ''}"
						>
							<span class="pointer-events-none mx-auto block w-[44px]"
								><FigureView figure={drawn} label="" height={54} /></span
							>
							<span
								class="mt-0.5 block h-[30px] text-[11px] leading-[1.25] {f.step === current
									? 'font-bold underline decoration-2 underline-offset-2'
									: ''}">{step.short}</span
							>
							<span class="block text-[11.5px] leading-tight font-semibold {TONE[f.verdict]}"
								><span aria-hidden="true">{MARK[f.verdict]}</span> {word(f)}</span
							>
							<span class="block h-[14px] text-[10.5px] leading-[14px] text-quiet"
								>{f.step === current ? 'now' : locked.has(f.step) ? 'gate' : ''}</span
							>
						</button>
					</li>
				{/if}
			{/each}
		</ul>
	</div>
</div>
