<script lang="ts">
	import SourceLink from '#lib/ui/SourceLink.svelte';
	import { dayNumber } from '#lib/core/base/calendar-day.ts';
	import { MAIN_AXES, SIDES, type Axis, type Side } from '#lib/core/body/axis.ts';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import PainChart from '#lib/ui/PainChart.svelte';
	import RangeTrend from '#lib/ui/RangeTrend.svelte';
	import Stroke from '#lib/ui/Stroke.svelte';
	import { shortDay } from '#lib/wording/days.ts';
	import { changeText } from '#lib/wording/measure.ts';
	import { AXIS_NAME, regionName } from '#lib/wording/names.ts';

	let { data } = $props();
	const points = (axis: Axis) =>
		data.ranges
			.filter((m) => m.axis === axis)
			.map((m) => ({ day: dayNumber(m.day), value: m.tolerable, side: m.side }));
	function change(axis: Axis, side: Side): string {
		const own = data.ranges.filter((m) => m.axis === axis && m.side === side);
		const [first, last] = [own[0], own[own.length - 1]];
		if (first === undefined || last === undefined) return 'not measured';
		const d = Math.round(last.tolerable - first.tolerable);
		return `${Math.round(first.tolerable)}° to ${Math.round(last.tolerable)}° (${d >= 0 ? '+' : '−'}${Math.abs(d)}°)`;
	}
</script>

<svelte:head><title>Trend · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page">
	{#each data.exercises as r (r.id)}
		<section aria-label="Pain">
			<h2 class="first-letter:uppercase">
				{regionName(r.region)}{data.exercises.length > 1 ? `, ${r.title}` : ''}: pain before, worst, after,
				next morning
			</h2>
			{#if r.sessions.length === 0}<p class="label">No session logged yet.</p>{:else}<PainChart
					sessions={r.sessions}
					policy={data.policy}
					usual={r.usual}
				/>{/if}
		</section>
	{/each}
	{#if data.exercises.length === 0}<p>
			Nothing prescribed yet, so nothing to show. <a href="/clients/{data.head.id}/ladder">To the ladder</a>.
		</p>{/if}
	<div class="mt-5 grid grid-cols-[22rem_1fr] gap-9 max-lg:grid-cols-1">
		<section aria-label="Range over time">
			<h2>Usual morning pain since the intake</h2>
			{#each data.mornings as m (m.region)}
				<div class="rule mb-4 py-2">
					<p>
						<span class="inline-block font-semibold first-letter:uppercase">{regionName(m.region)}</span>: {m.intake}
						to {m.now}
					</p>
					<p class="label">{changeText(m.change, m.intake, 'points')}</p>
					<details class="text-sm">
						<summary class="cursor-pointer text-accent">Each rule ({m.populations.join(', ')})</summary>
						<table class="plain">
							<tbody>
								{#each m.change.rules as rule (rule.rule)}<tr
										><td
											>{rule.met ? '●' : '○'}
											{rule.kind === 'error' ? 'beyond error' : (rule.tier ?? 'matters')}</td
										><td>{rule.needed}{rule.of === 'percent' ? ' %' : ''}</td><td
											><SourceLink source={rule.source} /></td
										></tr
									>{/each}
							</tbody>
						</table>
					</details>
				</div>
			{/each}
			<h2>Tolerable range over time</h2>
			{#each MAIN_AXES as axis (axis)}
				<div class="rule py-2">
					<h3 class="text-base">{AXIS_NAME[axis]}</h3>
					{#if points(axis).length > 0}<RangeTrend points={points(axis)} />{/if}
					<p class="label">
						{#each SIDES as side, i (side)}{i > 0 ? ' · ' : ''}{side} {change(axis, side)}{/each}
					</p>
				</div>
			{/each}
		</section>
		<section aria-label="Decisions">
			<div class="flex items-baseline gap-4">
				<h2>Decisions</h2>
				{#if data.mayReplay}<a href="?replay=all" data-sveltekit-noscroll>Replay all</a>{/if}
			</div>
			{#if data.history.length === 0}<p class="label">None signed yet.</p>{/if}
			<ol data-testid="history">
				{#each data.history as d (d.id)}
					<li
						class="rule grid grid-cols-[5.5rem_1.7rem_1fr_7.5rem] gap-3 py-1.5 text-sm max-sm:grid-cols-[4rem_1.7rem_1fr]"
					>
						<span class="label">{shortDay(d.day).slice(4)}</span>
						<Stroke decision={d.decision} size={20} />
						<span
							>{#if data.exercises.length > 1}<span class="label block">{d.of}</span>{/if}{d.answer ===
							'accepted'
								? d.sentence
								: d.outcome}{#if d.answer !== 'accepted'}<span class="label block"
									>{d.answer}; proposed: {d.sentence} {d.reason ?? ''}</span
								>{/if}{#if d.recordChanged}<span class="block text-caution">record changed since</span
								>{/if}</span
						>
						<span class="label text-right max-sm:col-span-3 max-sm:text-left">
							{d.by}<br />
							{#if d.replay === null && !data.mayReplay}<span></span>{:else if d.replay === null}<a
									href="?replay={d.id}"
									data-sveltekit-noscroll>Replay</a
								>{:else if d.replay.same}<span class="text-tolerated">same trace</span>{:else}<span
									class="text-caution">differs since {d.replay.since}</span
								>{/if}
						</span>
					</li>
				{/each}
			</ol>
		</section>
	</div>
</main>
