<script lang="ts">
	/** Dose and height on the ladder over time, an exercise a row, with the decisions marked; the same as a table. */
	import type { ComponentProps } from 'svelte';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName } from '#lib/wording/names.ts';
	import Rows from '../Rows.svelte';
	import ClimbChart from './ClimbChart.svelte';

	interface Props {
		readonly climbs: readonly (Pick<ComponentProps<typeof ClimbChart>, 'rungs' | 'of' | 'decided'> & {
			readonly exerciseId: string;
			readonly ladder: string;
			readonly region: string;
		})[];
		readonly today: string;
	}
	let { climbs, today }: Props = $props();
	const from = $derived(climbs.flatMap((c) => c.rungs.map((r) => r.day)).sort()[0] ?? today);
	const STATE = { active: '', stopped: 'stopped', 'set-aside': 'set aside', ended: 'ended' } as const;
</script>

<div class="flex justify-between text-sm text-quiet">
	<span>{shortDay(from)}</span><span>{shortDay(today)}</span>
</div>
{#each climbs as c (c.exerciseId)}
	{@const last = c.rungs[c.rungs.length - 1]}
	<div
		class="rule grid grid-cols-[15rem_1fr] items-center gap-x-4 py-1 max-sm:grid-cols-1"
		data-testid="climb"
	>
		<div class="leading-tight">
			<strong>{last?.title ?? c.ladder}</strong>
			<span class="label block"
				>{regionName(c.region)} · {last?.dose ?? ''}{last?.setup ? `, ${last.setup}` : ''}</span
			>
			<span class="label block"
				>step {last?.at ?? 0} of {c.of}{last && last.state !== 'active'
					? `, ${STATE[last.state as keyof typeof STATE]}`
					: ''}</span
			>
		</div>
		<ClimbChart {...c} {from} {today} />
	</div>
{/each}
<details class="mt-2 text-sm">
	<summary class="cursor-pointer text-accent">As a table</summary>
	<Rows heads={['day', 'exercise', 'step', 'dose', 'set-up']} aria-label="Dose and height over time">
		{#each climbs as c (c.exerciseId)}{#each c.rungs as r, i (i)}<tr
					><td class="whitespace-nowrap">{shortDay(r.day)}</td><td>{r.title}</td><td>{r.at} of {c.of}</td><td
						>{r.state === 'active' ? r.dose : STATE[r.state as keyof typeof STATE]}</td
					><td>{r.setup}</td></tr
				>{/each}{/each}
	</Rows>
</details>
