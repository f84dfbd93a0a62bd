<script lang="ts">
	import SourceLink from '#lib/ui/SourceLink.svelte';
	import { dayNumber } from '#lib/core/base/calendar-day.ts';
	import { MAIN_AXES, SIDES, type Axis, type Side } from '#lib/core/body/axis.ts';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import PainChart from '#lib/ui/PainChart.svelte';
	import RangeTrend from '#lib/ui/RangeTrend.svelte';
	import Stroke from '#lib/ui/Stroke.svelte';
	import Climbs from '#lib/ui/trend/Climbs.svelte';
	import MeasuredRows from '#lib/ui/trend/MeasuredRows.svelte';
	import PainTable from '#lib/ui/trend/PainTable.svelte';
	import { shortDay } from '#lib/wording/days.ts';
	import { distanceText } from '#lib/wording/goals.ts';
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
	{#if data.pains.length === 0}<p>
			Nothing prescribed yet, so nothing to show. <a href="/clients/{data.head.id}/ladder">To the ladder</a>.
		</p>{/if}
	<div class="grid gap-x-8 gap-y-4 {data.pains.length > 1 ? 'grid-cols-2 max-lg:grid-cols-1' : ''}">
		{#each data.pains as r (r.region)}
			<section aria-label="Pain">
				<h2 class="first-letter:uppercase">
					{regionName(r.region)}: pain before, worst, after, next morning
				</h2>
				{#if r.days.length === 0}<p class="label">No session logged yet.</p>{:else}<PainChart
						sessions={r.days}
						policy={data.policy}
						usual={r.usual}
					/>
					<PainTable days={r.days} label="Pain of the {regionName(r.region)}" />{/if}
			</section>
		{/each}
	</div>
	{#if data.climbs.length > 0}<section class="mt-6" aria-label="Dose and height">
			<h2>Up the ladders, with what was decided</h2>
			<Climbs climbs={data.climbs} today={data.head.today} />
		</section>{/if}
	{#if data.goals.length > 0}<section class="mt-6" aria-label="Goals">
			<div class="flex flex-wrap items-baseline gap-x-4">
				<h2>Goals, and how far they are</h2>
				{#if data.mean}<span class="label"
						>mean {data.mean.first.toFixed(1)} → {data.mean.now.toFixed(1)} of 10</span
					>{/if}
			</div>
			<ul>
				{#each data.goals as g (g.id)}<li
						class="rule grid grid-cols-[18rem_10rem_1fr] gap-x-4 py-1.5 max-sm:grid-cols-1"
						data-testid="goal"
					>
						<span class="font-semibold"
							>{g.label}{#if g.side}<span class="label ml-1 font-normal">{g.side}</span>{/if}</span
						>
						<span>{g.scores.map((x) => x.score).join(' → ')} <span class="label">of 10</span></span>
						<span>{g.point ? distanceText(g) : ''}</span>
					</li>{/each}
			</ul>
		</section>{/if}
	{#if data.tests.length > 0}<section class="mt-6" aria-label="Tests">
			<h2>Tests and strength</h2>
			<MeasuredRows label="Tests and strength" rows={data.tests} />
		</section>{/if}
	{#if data.totals.length > 0}<section class="mt-6" aria-label="Questionnaires">
			<h2>Questionnaires</h2>
			<MeasuredRows label="Questionnaires" rows={data.totals} norms={false} />
		</section>{/if}
	<div class="mt-6 grid grid-cols-[22rem_1fr] gap-9 max-lg:grid-cols-1">
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
							>{#if data.climbs.length > 1}<span class="label block">{d.of}</span>{/if}{d.answer ===
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
