<script lang="ts">
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import { AXES, type Axis, isMidline, type Side } from '#lib/core/body/axis.ts';
	import EnvelopeBar from '#lib/ui/EnvelopeBar.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import { ago, shortDay } from '#lib/wording/days.ts';
	import { AXIS_NAME, rangeIn, sideBefore, sideWord } from '#lib/wording/names.ts';
	import { withheldText } from '#lib/wording/screening.ts';
	import { stepTitle } from '#lib/wording/steps.ts';

	let { data } = $props();
	const v = $derived(data.view);
	const FROM = {
		measured: 'measured',
		observed: 'seen doing it, settled',
		'painful-set': 'lowered by a painful set'
	} as const;
	const WHY = {
		missing: 'never measured',
		stale: 'too old to count',
		limiting: 'limits steps',
		routine: 'routine'
	} as const;
	const steps = (n: number): string => `${n} ${n === 1 ? 'step' : 'steps'}`;
	const degreesText = (axis: Axis, d: Readonly<Partial<Record<'left' | 'right', number>>>): string =>
		Object.entries(d)
			.map(([s, n]) => `${sideBefore(axis, s as Side)}${n}°`)
			.join(', ');
	const nextDue = $derived(v.retest[0]);
	/** Asked by some movements only, and not measured. */
	const usual = $derived(AXES.filter((a) => !v.rows.some((r) => r.axis === a)));
</script>

<svelte:head><title>Envelope · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page">
	<div class="flex flex-wrap items-baseline gap-x-5">
		<h2>What is tolerated now</h2>
		<p class="text-quiet">
			<strong class="text-ink" data-testid="open-steps">{v.open} of {steps(v.steps)}</strong> of the ladders
			in use are open{v.allowed > v.open ? `, range and room allow ${v.allowed}` : ''}; {v.base === 'painFree'
				? 'pain-free range'
				: 'tolerable range'} less {v.marginDeg}°
		</p>
		{#if nextDue}<p
				class="ml-auto {nextDue.overdueDays > 0 || nextDue.why === 'missing' ? 'text-caution' : 'text-quiet'}"
			>
				next: {rangeIn(nextDue.axis)}
				{sideBefore(nextDue.axis, nextDue.side)}{nextDue.why === 'missing'
					? 'not measured yet'
					: `due ${shortDay(nextDue.due)}`}
			</p>{/if}
	</div>
	<p class="label">
		Green pain-free, grey to tolerable, pale to the end; the whisker is the error of the method, the blue line
		what may be used, the shaded band what is usual.
	</p>
	<div class="mt-2 grid grid-cols-[1fr_23rem] gap-8 max-xl:grid-cols-1">
		<div>
			{#each AXES.filter((a) => v.rows.some((r) => r.axis === a)) as axis (axis)}
				<section class="rule py-2" aria-label={AXIS_NAME[axis]}>
					<h3>{AXIS_NAME[axis]} <span class="label font-normal">{RANGES[axis].how}</span></h3>
					{#each v.rows.filter((r) => r.axis === axis) as row (row.side)}
						<div
							class="grid grid-cols-[3rem_minmax(11rem,1fr)_20.5rem] items-center gap-x-4 max-lg:grid-cols-[3.5rem_1fr]"
							data-testid="{axis}-{row.side}"
						>
							<span class="font-semibold">{isMidline(row.axis) ? '' : sideWord(row.side)}</span>
							<EnvelopeBar {row} />
							<p class="text-sm max-lg:col-start-2">
								{#if row.known}
									<strong title={row.method ? `error of one reading: ${row.method.source}` : ''}
										>{Math.round(row.known.tolerable)}°{row.method ? ` ± ${row.method.errorDeg}` : ''}</strong
									>
									tolerable, {Math.round(row.known.painFree)}° pain-free, end {Math.round(row.known.end)}°
									<span class="block text-quiet"
										>{FROM[row.known.from]}, {ago(row.known.day, data.head.today)}{row.method
											? `, ${row.method.name}`
											: ''}{row.rawCm !== null ? `, ${row.rawCm} cm` : ''}{row.seen > 0
											? `; ${row.seen} settled ${row.seen === 1 ? 'session' : 'sessions'} seen`
											: ''}</span
									>
									{#if row.known.stale}<span class="block text-caution"
											>older than it may be used: measure again</span
										>{:else if row.usable !== null}<span class="block"
											>usable <strong>{Math.round(row.usable)}°</strong>{row.protocolMax !== null
												? `, protocol limit ${row.protocolMax}°`
												: ''}</span
										>{/if}
								{:else}
									<span class="text-caution">not measured yet</span>{row.protocolMax !== null
										? `; protocol limit ${row.protocolMax}°`
										: ''}
								{/if}
							</p>
						</div>
					{/each}
				</section>
			{/each}
			{#if usual.length > 0}<p class="rule label py-2">
					Taken as usual until measured: {usual.map(rangeIn).join(', ')}. Only some movements ask them.
				</p>{/if}
			{#if v.others.length > 0}
				<h3 class="mt-5">Other ranges, at their end</h3>
				<table class="plain max-w-3xl">
					<thead
						><tr
							><th>Movement</th><th>Left</th><th>Right</th><th>Difference</th><th>Usual</th><th>Measured</th
							></tr
						></thead
					>
					<tbody>
						{#each v.others as o (o.id)}
							<tr>
								<td>{RANGES[o.id].name}</td>
								<td>{o.left === null ? '–' : `${o.left}°`}</td>
								<td>{o.right === null ? (RANGES[o.id].midline === true ? '' : '–') : `${o.right}°`}</td>
								<td
									>{o.difference === null || o.difference.less === null
										? '–'
										: `${o.difference.less} ${Math.abs(o.difference.degrees)}° less${o.difference.beyondError ? '' : ', inside error'}`}</td
								>
								<td
									>{o.usual === null
										? 'no norm'
										: o.usual.low === o.usual.high
											? `${Math.round(o.usual.low)}°`
											: `${Math.round(o.usual.low)}–${Math.round(o.usual.high)}°`}</td
								>
								<td>{ago(o.day, data.head.today)}</td>
							</tr>
						{/each}
					</tbody>
				</table>
			{/if}
		</div>
		<aside class="grid content-start gap-6">
			<section aria-label="What would unlock more">
				<h2>What would open more</h2>
				{#if v.unlocks.length === 0}<p class="label">No single range stands in the way of a step.</p>{/if}
				{#each v.unlocks as u (u.axis)}
					<div class="rule py-2" data-testid="unlock">
						{#if u.byMeasuring.length > 0}<p>
								<strong>{AXIS_NAME[u.axis]} would unlock {steps(u.byMeasuring.length)}</strong> once measured {u.sidesToMeasure.join(
									' and '
								)}: <span class="text-quiet">{u.byMeasuring.map(stepTitle).join(', ')}</span>
							</p>{/if}
						{#if u.byDegrees.length > 0}
							<p>
								<strong>{AXIS_NAME[u.axis]} alone holds {steps(u.byDegrees.length)}</strong> as they stand:
							</p>
							<ul class="text-sm">
								{#each u.byDegrees as d (d.step)}<li>
										{stepTitle(d.step)} <span class="text-quiet">{degreesText(u.axis, d.degrees)} more</span>
									</li>{/each}
							</ul>
						{/if}
					</div>
				{/each}
				{#each v.withheld as w (w.step)}<p class="rule py-1.5 text-sm text-caution">
						{stepTitle(w.step)}: withheld, {withheldText(w.withheld)}
					</p>{/each}
			</section>
			<section aria-label="Retest plan">
				<h2>Retest plan</h2>
				<table class="plain">
					<tbody>
						{#each v.retest as t (`${t.axis} ${t.side}`)}
							<tr class={t.overdueDays > 0 || t.why === 'missing' ? 'text-caution' : ''}>
								<td>{AXIS_NAME[t.axis]} {sideBefore(t.axis, t.side)}</td>
								<td
									>{t.why === 'missing' ? 'today' : shortDay(t.due)}{t.overdueDays > 0
										? `, ${t.overdueDays} days over`
										: ''}</td
								>
								<td class="text-sm text-quiet">{WHY[t.why]}</td>
							</tr>
						{/each}
					</tbody>
				</table>
				<p class="no-print mt-2"><a href="/clients/{data.head.id}/measure">Open the measure sheet</a></p>
			</section>
		</aside>
	</div>
</main>
