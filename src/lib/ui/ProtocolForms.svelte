<script lang="ts">
	/** Operations and the limits of their protocols: as the protocol gives them, never filled in from what is typical. */
	import { enhance } from '$app/forms';
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import { SIDES, type Side } from '#lib/core/body/axis.ts';
	import { REGIONS } from '#lib/core/body/place.ts';
	import { LIMIT_AXES, type LimitAxis } from '#lib/core/client/protocol.ts';
	import { MOST_LIMITS } from '#lib/contract/screen-form.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName, sideWord } from '#lib/wording/names.ts';
	import Act from './Act.svelte';
	import Choice from './Choice.svelte';
	import Field from './Field.svelte';
	import Fold from './Fold.svelte';
	import { sending } from './sending.ts';

	interface Props {
		readonly surgery: readonly { readonly id: string; readonly region: string; readonly date: string; readonly limitsEntered: boolean }[];
		readonly limits: readonly { readonly id: string; readonly axis: LimitAxis; readonly side: Side; readonly maxDeg: number; readonly source: string; readonly reviewOn: string | null }[];
		readonly ids: readonly string[];
		readonly licensed: boolean;
		readonly today: string;
		readonly wrong: { readonly field: string; readonly message: string } | undefined;
		readonly say: (text: string) => void;
	}
	let { surgery, limits, ids, licensed, today, wrong, say }: Props = $props();
	const at = (field: string): string | undefined => (wrong?.field === field ? wrong.message : undefined);
	const waiting = $derived(surgery.filter((s) => !s.limitsEntered));
	const rows = Array.from({ length: MOST_LIMITS }, (_, i) => i);
</script>

<section aria-label="Operations and limits" class="grid gap-2">
	<h2>Operations and limits</h2>
	{#each limits as l (l.id)}
		<div class="rule py-1.5 text-sm">
			<strong>{sideWord(l.side)} {RANGES[l.axis].name.toLowerCase()} to {l.maxDeg}°</strong>, {l.source}{l.reviewOn ? `, review ${shortDay(l.reviewOn)}` : ''}
			{#if licensed}
				<details>
					<summary class="cursor-pointer text-accent">Lift it</summary>
					<form method="POST" action="?/lift" class="mt-1 flex items-end gap-2" use:enhance={sending(say)}>
						<input type="hidden" name="id" value={ids[0]} /><input type="hidden" name="limitId" value={l.id} />
						<Field of={l.id} name="reason" label="On whose word" wrong={at('reason')} width="w-44" /><Act kind="quiet">Lift</Act>
					</form>
				</details>
			{/if}
		</div>
	{/each}
	{#each waiting as s (s.id)}
		<div class="rule py-2">
			<p class="font-semibold text-caution">{regionName(s.region)}, operated {shortDay(s.date)}: protocol not entered. Everything waits for it.</p>
			{#if licensed}
				<form method="POST" action="?/protocol" class="mt-2 grid gap-2" use:enhance={sending(say)}>
					<input type="hidden" name="id" value={ids[0]} /><input type="hidden" name="surgeryId" value={s.id} />
					<Field of={s.id} name="source" label="Whose protocol, of which day" wrong={at('source')} width="w-72" />
					<Field of={s.id} name="reviewOn" label="Review on" type="date" min={today} wrong={at('reviewOn')} width="w-38" />
					{#each rows as i (i)}
						<div class="flex items-end gap-2">
							<input type="hidden" name="limit.{i}.id" value={ids[2 + i]} />
							<Choice of={s.id} name="limit.{i}.axis" label="Limit {i + 1}" hideLabel={i > 0} value="" items={[{ value: '', name: 'no limit' }, ...LIMIT_AXES.map((a) => ({ value: a, name: RANGES[a].name }))]} />
							<Choice of={s.id} name="limit.{i}.side" label="Side" hideLabel={i > 0} value={s.region.endsWith('left') ? 'left' : 'right'} items={SIDES.map((x) => ({ value: x, name: x }))} />
							<Field of={s.id} name="limit.{i}.maxDeg" label="At most" hideLabel={i > 0} unit="°" inputmode="decimal" wrong={at(`limit.${i}.maxDeg`)} width="w-16" />
						</div>
					{/each}
					<p class="label">Only what the protocol says. Without a limit on it, nothing is assumed.</p>
					<div><Act kind="quiet">Enter the protocol</Act></div>
				</form>
			{:else}<p class="label">A licensed user enters it.</p>{/if}
		</div>
	{/each}
	<Fold title="Record an operation" needed={wrong?.field === 'operatedOn' || wrong?.field === 'region'} class="cursor-pointer text-sm text-accent">
		<form method="POST" action="?/surgery" class="mt-2 flex flex-wrap items-end gap-2" use:enhance={sending(say)}>
			<input type="hidden" name="id" value={ids[1]} />
			<Choice name="region" label="Where" items={REGIONS.map((r) => ({ value: r, name: regionName(r) }))} value="knee-right" />
			<Field name="operatedOn" label="On" type="date" max={today} wrong={at('operatedOn')} width="w-38" />
			<Act kind="quiet">Record</Act>
		</form>
	</Fold>
</section>
