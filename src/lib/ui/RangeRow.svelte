<script lang="ts">
	/** One movement of the sheet, left and right: what is typed, what it means, what is usual, which side has less. */
	import { METHODS } from '#lib/catalogue/ranges.ts';
	import { SIDES, type Side } from '#lib/core/body/axis.ts';
	import type { Body } from '#lib/core/body/body.ts';
	import { measuredRange, RANGE_FIELDS, type RangeInput } from '#lib/core/measure/range.ts';
	import {
		sideDifference,
		sidesRead,
		STOPS,
		usualFor,
		usualSpan,
		type MethodId,
		type RangeKind,
		type Sex
	} from '#lib/core/measure/range-kind.ts';
	import { degreesTyped, FIELDS, type SheetField } from '#lib/contract/measure-form.ts';
	import type { LastRange } from '#lib/contract/view.ts';
	import { ago } from '#lib/wording/days.ts';
	import { usualText } from '#lib/wording/measure.ts';
	import Cell from './Cell.svelte';
	import { wrongUnder, type Wrong } from './wrong.ts';
	import Tick from './Tick.svelte';

	interface Props {
		readonly kind: RangeKind;
		readonly ids: readonly [left: string, right: string];
		readonly body: Body;
		readonly age: number;
		readonly sex: Sex | null;
		readonly today: string;
		readonly last: { readonly [S in Side]?: LastRange };
		readonly values: Record<string, string>;
		readonly wrong: Wrong | undefined;
		readonly onfocus: (side: Side) => void;
	}
	let { kind, ids, body, age, sex, today, last, values, wrong, onfocus }: Props = $props();
	const name = (side: Side, field: SheetField): string => `${kind.id}.${side}.${field}`;
	const shownSides = $derived(sidesRead(kind));
	/** As a device said, until another is chosen. */
	let method = $derived<MethodId>(
		kind.methods.find((m) => m === values[`${kind.id}.method`]) ?? kind.methods[0] ?? 'goniometer'
	);
	const usual = $derived(usualFor(kind, age, sex));
	const span = $derived(usualSpan(usual));
	const spanText = $derived(
		span === undefined
			? ''
			: span.low === span.high
				? `${Math.round(span.low)}°`
				: `${Math.round(span.low)}–${Math.round(span.high)}°`
	);
	/** Degrees of a side as typed, and what is wrong with them; a half-typed number is not scolded. */
	function read(side: Side): { readonly range: RangeInput; readonly trouble: string | undefined } {
		const range: { onset?: number; tolerable?: number; end?: number } = {};
		let trouble: string | undefined;
		for (const f of RANGE_FIELDS) {
			const d = degreesTyped(kind, values[name(side, f)] ?? '', body);
			if (!d.ok) trouble ??= d.refusal;
			else if (d.value !== undefined) range[f] = d.value;
		}
		if (trouble === undefined && Object.keys(range).length > 0) {
			const r = measuredRange(kind, range);
			if (!r.ok) trouble = r.refusal.message;
		}
		return { range, trouble };
	}
	const sides = $derived({ left: read('left'), right: read('right') });
	const reach = (side: Side): number | undefined =>
		sides[side].range.end ?? sides[side].range.tolerable ?? sides[side].range.onset ?? last[side]?.end;
	const difference = $derived.by(() => {
		const [l, r] = [reach('left'), reach('right')];
		if (l === undefined || r === undefined) return '';
		const d = sideDifference(l, r, METHODS[method]);
		return d.less === null
			? 'equal'
			: `${d.less} ${Math.round(Math.abs(d.degrees))}° less${d.beyondError ? '' : ', inside error'}`;
	});
	const asked = $derived(
		wrong?.all[`${kind.id}.swap`] !== undefined
			? 'left and right are as entered'
			: wrong?.all[`${kind.id}.far`] !== undefined
				? 'it is as entered'
				: ''
	);
	const troubles = $derived([...new Set(SIDES.flatMap((s) => sides[s].trouble ?? []))]);
	const refused = $derived(wrongUnder(wrong, `${kind.id}.`));
	/** What was read last stands faintly in the empty field; knee to wall was kept as degrees, and as the cm of its end. */
	function faint(side: Side, field: SheetField): string {
		const m = last[side];
		if (m === undefined) return '';
		if (kind.readCm === true && field !== 'pain')
			return field === 'end' && m.rawCm !== null ? String(m.rawCm) : '';
		return String(m[field]);
	}
	const stoppedBy = $derived(last.left?.stop ?? last.right?.stop ?? '');
	const newest = $derived(
		[last.left?.day, last.right?.day]
			.filter((d) => d !== undefined)
			.sort()
			.pop()
	);
</script>

<fieldset
	class="rule grid grid-cols-[10.5rem_15rem_15rem_1fr] items-center gap-x-3 py-1 focus-within:bg-wash max-lg:grid-cols-1"
>
	<legend class="sr-only">{kind.name}, {kind.how}</legend>
	<div title={kind.how}>
		<span class="font-semibold">{kind.name}</span>{#if kind.readCm}<span class="label"> cm</span>{/if}
		{#if kind.methods.length > 1}
			<select
				name="{kind.id}.method"
				bind:value={method}
				aria-label="{kind.name}, method"
				tabindex="-1"
				class="block max-w-full rounded border-0 bg-transparent py-0 pr-7 pl-0 text-xs text-quiet"
			>
				{#each kind.methods as m (m)}<option value={m}>{METHODS[m].name} ± {METHODS[m].errorDeg}°</option
					>{/each}
			</select>
		{:else}<input type="hidden" name="{kind.id}.method" value={method} /><span
				class="block text-xs text-quiet">{METHODS[method].name} ± {METHODS[method].errorDeg}°</span
			>{/if}
	</div>
	<div class="flex gap-1 pl-5 text-xs text-quiet lg:hidden" aria-hidden="true">
		{#each FIELDS as f (f)}<span class="w-[3.1rem] text-center max-sm:w-16">{f}</span>{/each}
	</div>
	{#each shownSides as side, i (side)}
		<div class="flex items-center gap-1" onfocusin={() => onfocus(side)}>
			<input type="hidden" name="{kind.id}.{side}.id" value={ids[i]} />
			<span class="w-4 font-semibold lg:hidden" aria-hidden="true"
				>{kind.midline === true ? '' : side === 'left' ? 'L' : 'R'}</span
			>
			{#each FIELDS as field (field)}
				<Cell
					name={name(side, field)}
					label="{kind.name} {kind.midline === true ? '' : `${side} `}{field}"
					bind:value={values[name(side, field)]}
					wrong={wrong?.all[name(side, field)] !== undefined}
					column="{side}.{field}"
					placeholder={faint(side, field)}
				/>
			{/each}
			{#if kind.readCm && reach(side) !== undefined && sides[side].range.end !== undefined}<span
					class="text-sm font-semibold">{Math.round(sides[side].range.end ?? 0)}°</span
				>{/if}
		</div>
	{/each}
	{#if kind.midline}<span class="label max-lg:hidden">one for both sides</span>{/if}
	<div class="text-sm leading-tight">
		<select
			name="{kind.id}.stop"
			bind:value={values[`${kind.id}.stop`]}
			aria-label="{kind.name}, stopped by"
			tabindex="-1"
			class="float-right w-27 rounded border-0 bg-transparent py-0 pr-7 pl-0 text-xs text-quiet"
		>
			<option value="">stopped by …</option>
			{#each STOPS as s (s)}<option value={s}>stopped by {s}</option>{/each}
		</select>
		{#if difference}<span class="block">{difference}</span>{/if}
		<span class="text-quiet" title={usualText(usual)}
			>{spanText === '' ? 'no usual value' : `usual ${spanText}`}</span
		>
		{#if stoppedBy}<span class="text-quiet">· {stoppedBy}</span>{/if}
		{#if newest}<span class="text-quiet">· last {ago(newest, today)}</span>{/if}
	</div>
	{#if refused}<p class="col-span-full text-sm text-stop" data-testid="field-wrong">
			{refused}
		</p>{:else}{#each troubles as t (t)}<p class="col-span-full text-sm text-caution">{t}</p>{/each}{/if}
	{#if asked}<Tick class="col-span-full text-sm" name="confirm.{kind.id}" label={asked} />{/if}
</fieldset>
