<script lang="ts">
	/** One exercise's way up its ladder: how high, from when to when, and what was decided on the way. */
	import { dayNumber } from '#lib/core/base/calendar-day.ts';
	import type { Decision } from '#lib/core/decision/trace.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { DECISION_WORD } from '#lib/wording/names.ts';
	import Stroke from '../Stroke.svelte';

	interface Props {
		readonly rungs: readonly {
			readonly day: string;
			readonly at: number;
			readonly title: string;
			readonly dose: string;
			readonly setup: string;
			readonly state: string;
		}[];
		readonly of: number;
		readonly decided: readonly {
			readonly day: string;
			readonly decision: Decision;
			readonly answer: string;
		}[];
		readonly from: string;
		readonly today: string;
	}
	let { rungs, of, decided, from, today }: Props = $props();
	const [W, H] = [100, 44];
	const span = $derived(Math.max(1, dayNumber(today) - dayNumber(from)));
	const x = (day: string): number => (W * (dayNumber(day) - dayNumber(from))) / span;
	const y = (at: number): number => H - 3 - ((H - 6) * at) / Math.max(1, of);
	/** A level line from each rung to the next; broken where it was not in use. */
	const line = $derived(
		rungs
			.map((r, i) => {
				const until = rungs[i + 1]?.day ?? today;
				return r.state === 'active' && r.at > 0
					? `M${x(r.day).toFixed(2)} ${y(r.at).toFixed(2)}H${x(until).toFixed(2)}`
					: '';
			})
			.join('')
	);
	const steps = $derived(
		rungs
			.slice(1)
			.map((r, i) => {
				const before = rungs[i];
				return before !== undefined && before.state === 'active' && r.state === 'active' && before.at !== r.at
					? `M${x(r.day).toFixed(2)} ${y(before.at).toFixed(2)}V${y(r.at).toFixed(2)}`
					: '';
			})
			.join('')
	);
	/** Strokes on one day stand in one place. */
	const marks = $derived([...new Map(decided.map((d) => [d.day, d])).values()]);
	/** Doses where they change, as far as there is room for them. */
	const LABEL = 9;
	const doses = $derived.by(() => {
		const out: { readonly left: number; readonly top: number; readonly text: string }[] = [];
		for (const [i, r] of rungs.entries()) {
			const left = x(r.day);
			const before = out[out.length - 1];
			if (r.state !== 'active' || r.at === 0 || (i > 0 && rungs[i - 1]?.dose === r.dose)) continue;
			if (left > 100 - LABEL || (before !== undefined && left - before.left < LABEL)) continue;
			out.push({ left, top: (100 * y(r.at)) / H, text: r.dose });
		}
		return out;
	});
	const last = $derived(rungs[rungs.length - 1]);
</script>

<div
	class="relative"
	role="img"
	aria-label="{last?.title ?? ''}, step {last?.at ?? 0} of {of}; {decided.length} decisions"
>
	<svg viewBox="0 0 {W} {H}" preserveAspectRatio="none" class="h-16 w-full" aria-hidden="true">
		<path
			d="M0 {y(1)}H{W}M0 {y(of)}H{W}"
			stroke="var(--edge)"
			stroke-width="0.6"
			stroke-dasharray="1 2"
			vector-effect="non-scaling-stroke"
		/>
		<path
			d={line}
			stroke="var(--tolerated)"
			stroke-width="4"
			vector-effect="non-scaling-stroke"
			fill="none"
		/>
		<path
			d={steps}
			stroke="var(--tolerated)"
			stroke-width="1.5"
			vector-effect="non-scaling-stroke"
			fill="none"
		/>
	</svg>
	<div class="absolute inset-x-0 top-0 h-16" aria-hidden="true">
		{#each doses as d (d.left)}<span
				class="absolute -translate-y-full pb-1 text-xs leading-none whitespace-nowrap text-quiet"
				style="left: {d.left}%; top: {d.top}%">{d.text}</span
			>{/each}
	</div>
	<div class="relative h-5">
		{#each marks as d (d.day)}<span
				class="absolute -translate-x-1/2"
				style="left: {Math.min(98, Math.max(2, x(d.day)))}%"
				title="{shortDay(d.day)}: {DECISION_WORD[d.decision]}{d.answer === 'accepted' ? '' : `, ${d.answer}`}"
				><Stroke decision={d.decision} size={15} /></span
			>{/each}
	</div>
</div>
