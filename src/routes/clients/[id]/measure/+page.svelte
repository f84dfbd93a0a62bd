<script lang="ts">
	import { enhance } from '$app/forms';
	import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import { degreesTyped } from '#lib/contract/measure-form.ts';
	import { hash32 } from '#lib/core/base/random.ts';
	import { sideOf } from '#lib/core/body/region-side.ts';
	import { RANGE_IDS, usualFor, usualSpan } from '#lib/core/measure/range-kind.ts';
	import { streamCsv } from '#lib/exchange/stream-csv.ts';
	import Act from '#lib/ui/Act.svelte';
	import DayField from '#lib/ui/DayField.svelte';
	import DeviceDock from '#lib/ui/DeviceDock.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Note from '#lib/ui/Note.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import BodyForm from '#lib/ui/measure/BodyForm.svelte';
	import RangeAside from '#lib/ui/measure/RangeAside.svelte';
	import RangeSheet from '#lib/ui/measure/RangeSheet.svelte';
	import TestSheet from '#lib/ui/measure/TestSheet.svelte';
	import TotalRow from '#lib/ui/measure/TotalRow.svelte';
	import WayForm from '#lib/ui/measure/WayForm.svelte';
	import {
		enteredIn,
		putDegrees,
		putOutcome,
		putValue,
		togetherIn,
		type Focus,
		type SheetValues
	} from '#lib/ui/measure/sheet-values.ts';
	import { streamAnalysis } from '#lib/ui/measure/streams.svelte.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongOf } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	let values: SheetValues = $state({});
	$effect.pre(() => {
		// What was refused comes back as it was typed.
		if (form && 'typed' in form)
			for (const [k, v] of Object.entries(form.typed))
				if (/^(test|[a-zA-Z]+)\./.test(k) && values[k] === undefined) values[k] = v;
	});
	let day = $state('');
	$effect.pre(() => {
		if (day === '') day = data.head.today;
	});
	const wrong = $derived(wrongOf(form));
	const at = (name: string): string | undefined => wrong?.all[name];
	let lost = $state('');
	const say = (text: string): void => void (lost = text);
	let instrument = $state('');
	let total = $state('');
	const saved = sending(say, () => {
		for (const k of Object.keys(values)) values[k] = '';
		instrument = '';
		total = '';
	});
	const count = $derived(enteredIn(values) + (total.trim() === '' ? 0 : 1));
	const together = $derived(togetherIn(values, data.who));

	let focused = $state.raw({ kind: 'kneeFlexion', side: 'right' } as Focus);
	const target = $derived(
		'kind' in focused
			? `${RANGES[focused.kind].name}${RANGES[focused.kind].midline === true ? '' : ` ${focused.side}`}`
			: `${focused.test.title}${focused.side === null ? '' : ` ${focused.side}`}`
	);
	const wants = $derived('kind' in focused ? 'angle' : focused.test.unit === 'N' ? 'force' : 'press');
	const usual = $derived(
		'kind' in focused ? usualSpan(usualFor(RANGES[focused.kind], data.who.age, data.who.sex)) : undefined
	);
	const lastRange = $derived('kind' in focused ? data.last[focused.kind]?.[focused.side] : undefined);
	/** About what a simulated device shows: the last reading, or what is usual. */
	const about = $derived.by(() => {
		if ('kind' in focused) return lastRange?.tolerable ?? usual?.low ?? 60;
		const { test, side } = focused;
		const before = data.tests.filter((t) => t.test === test.id && t.side === side).pop()?.value;
		return before ?? (test.unit === 'N' ? 260 : 11);
	});
	/** Degrees to draw: as typed, or as read last. */
	const bent = $derived.by(() => {
		if (!('kind' in focused)) return undefined;
		const { kind, side } = focused;
		for (const f of ['tolerable', 'end', 'onset']) {
			const d = degreesTyped(RANGES[kind], values[`${kind}.${side}.${f}`] ?? '', data.body);
			if (d.ok && d.value !== undefined) return d.value;
		}
		return lastRange?.tolerable;
	});
	const analyse = streamAnalysis();

	/** Ids in the order of the sheet: two a range, two a test, then the total, the body, the way of working, the sheet itself. */
	const TESTS_FROM = 2 * RANGE_IDS.length;
	const REST_FROM = TESTS_FROM + 2 * FUNCTION_TESTS.length;
	const idAt = (i: number): string => data.ids[REST_FROM + i] as string;
</script>

<svelte:head><title>Measure · {data.head.name}</title></svelte:head>
<KeyHelp
	keys={[
		['Tab', 'next value: left, then right'],
		['↑ ↓', 'the same value of the movement above, below'],
		['t', 'in a timed test: start and stop the clock'],
		['+', 'in a counted test: one more'],
		['Enter', 'save the sheet'],
		['0 … 9', 'other pages of this client']
	]}
/>
<main
	class="page grid grid-cols-[1fr_18.5rem] grid-rows-[auto_1fr] gap-x-6 gap-y-4 max-2xl:grid-cols-1 max-2xl:grid-rows-none"
>
	<form
		method="POST"
		action="?/sheet"
		class="2xl:row-span-2"
		use:enhance={saved}
		use:keepForm={'sheet'}
		novalidate
	>
		<input type="hidden" name="id" value={idAt(3)} />
		<div class="mb-1 flex flex-wrap items-end gap-x-5 gap-y-1">
			<h2>Ranges</h2>
			<DayField
				name="day"
				label="Measured on"
				bind:value={day}
				wrong={at('day')}
				width="w-40"
				today={data.head.today}
			/>
			<p class="label max-w-lg">
				Onset is where pain starts, tolerable where it becomes too much, end where it stops. Faint is what was
				read last; leave empty what was not measured.
			</p>
		</div>
		<Said refused={lost || refusedText(form)} done={form && 'done' in form ? form.done : undefined} />
		<RangeSheet
			ids={data.ids}
			body={data.body}
			age={data.who.age}
			sex={data.who.sex}
			today={data.head.today}
			last={data.last}
			sore={data.regions}
			{values}
			{wrong}
			onfocus={(kind, side) => (focused = { kind, side })}
		/>
		<TestSheet
			ids={data.ids.slice(TESTS_FROM)}
			who={data.who}
			sore={sideOf(data.regions[0] ?? '') ?? null}
			taken={data.tests}
			today={data.head.today}
			{values}
			{wrong}
			onfocus={(test, side) => (focused = { test, side })}
		/>
		{#each together as t (t)}<Note kind="plain" class="mt-1" data-testid="together">{t}</Note>{/each}
		<TotalRow id={idAt(0)} totals={data.totals} {at} bind:instrument bind:total />
		<div class="sticky bottom-0 mt-4 max-lg:bottom-14 flex items-center gap-4 border-t bg-paper py-2">
			<Act>Save the sheet</Act><span class="label"
				>{count === 0 ? 'nothing entered yet' : `${count} ${count === 1 ? 'value' : 'values'} entered`}</span
			><a href="/clients/{data.head.id}/envelope">See the envelope</a>
		</div>
	</form>
	<aside
		aria-label="The value in focus"
		class="grid content-start gap-4 max-2xl:order-first max-2xl:grid-cols-2 max-sm:order-last max-sm:grid-cols-1 2xl:sticky 2xl:top-4"
	>
		{#if 'kind' in focused}<RangeAside
				{target}
				kind={focused.kind}
				side={focused.side}
				degrees={bent}
				{usual}
			/>{/if}
		<DeviceDock
			{target}
			{about}
			{wants}
			seed={hash32(`${data.head.id} ${target}`)}
			{analyse}
			csvOf={streamCsv}
			put={(o, phone) => putOutcome(values, focused, o, phone)}
			putDegrees={(deg) => putDegrees(values, focused, deg, 'phone')}
			putSeconds={(s) => putValue(values, focused, s.toFixed(1))}
		/>
	</aside>
	<aside
		aria-label="Body and way of working"
		class="grid content-start gap-2 max-2xl:grid-cols-2 max-sm:grid-cols-1"
	>
		<Fold
			title="Body and shoes"
			needed={wrong !== undefined && wrong.field in data.setting && wrong.field.match(/Cm$|Kg$/) !== null}
			class="font-semibold"
		>
			<BodyForm id={idAt(1)} setting={data.setting} {at} {say} />
		</Fold>
		<Fold
			title="Way of working"
			needed={wrong?.field === 'policyId' || wrong?.field === 'technique'}
			class="font-semibold"
		>
			<WayForm id={idAt(2)} setting={data.setting} licensed={data.licensed} {at} {say} />
		</Fold>
	</aside>
</main>
