<script lang="ts">
	import { hash32 } from '#lib/core/base/random.ts';
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { POLICY_IDS } from '#lib/catalogue/policies.ts';
	import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
	import { QUESTIONNAIRES, questionnaire } from '#lib/catalogue/questionnaires.ts';
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import type { Side } from '#lib/core/body/axis.ts';
	import { sideOf } from '#lib/core/body/region-side.ts';
	import { judgeTest, TEST_GROUPS, type TestSpec } from '#lib/core/measure/function-test.ts';
	import { acceptTotal, totalChange } from '#lib/core/measure/questionnaire.ts';
	import { RANGE_IDS, usualFor, usualSpan, type RangeId } from '#lib/core/measure/range-kind.ts';
	import { TECHNIQUES } from '#lib/core/posture/problem.ts';
	import { degreesTyped } from '#lib/contract/measure-form.ts';
	import { streamCsv } from '#lib/exchange/stream-csv.ts';
	import { BRACE } from '#lib/catalogue/brace.ts';
	import { BRACES } from '#lib/core/exercise/family.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import DeviceDock from '#lib/ui/DeviceDock.svelte';
	import DayField from '#lib/ui/DayField.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import RangeFigure from '#lib/ui/RangeFigure.svelte';
	import RangeRow from '#lib/ui/RangeRow.svelte';
	import Said from '#lib/ui/Said.svelte';
	import TestRow from '#lib/ui/TestRow.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import type { StreamOutcome } from '#lib/ui/stream-outcome.ts';
	import type { StreamAnswer } from '#lib/workers/stream.worker.ts';
	import StreamWorker from '#lib/workers/stream.worker.ts?worker';
	import { changeText, togetherText } from '#lib/wording/measure.ts';
	import { POLICY_NAME, TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import { refusedText, wrongOf } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	const JOINTS = ['knee', 'hip and trunk', 'hip', 'ankle', 'big toe'] as const;
	let values: Record<string, string> = $state({});
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
	const sore = $derived<Side | null>(sideOf(data.regions[0] ?? '') ?? null);
	let lost = $state('');
	const say = (text: string): void => void (lost = text);
	const saved = sending(say, () => {
		for (const k of Object.keys(values)) values[k] = '';
		instrument = '';
		total = '';
	});
	let instrument = $state('');
	let total = $state('');
	const count = $derived(
		Object.entries(values).filter(
			([k, v]) => v.trim() !== '' && v !== 'on' && !k.endsWith('.method') && !k.endsWith('.id')
		).length + (total.trim() === '' ? 0 : 1)
	);

	/** What a device measures for: the field in focus. */
	type Focus =
		{ readonly kind: RangeId; readonly side: Side } | { readonly test: TestSpec; readonly side: Side | null };
	let focused = $state.raw({ kind: 'kneeFlexion', side: 'right' } as Focus);
	const kind = $derived('kind' in focused ? RANGES[focused.kind] : undefined);
	const target = $derived(
		'kind' in focused
			? `${RANGES[focused.kind].name} ${focused.side}`
			: `${focused.test.title}${focused.side === null ? '' : ` ${focused.side}`}`
	);
	const wants = $derived('kind' in focused ? 'angle' : focused.test.unit === 'N' ? 'force' : 'press');
	const usual = $derived(
		kind === undefined ? undefined : usualSpan(usualFor(kind, data.who.age, data.who.sex))
	);
	const lastRange = $derived('kind' in focused ? data.last[focused.kind]?.[focused.side] : undefined);
	const about = $derived.by(() => {
		if ('kind' in focused) return lastRange?.tolerable ?? usual?.low ?? 60;
		const { test, side } = focused;
		const before = data.tests.filter((t) => t.test === test.id && t.side === side).pop()?.value;
		return before ?? (test.unit === 'N' ? 260 : 11);
	});
	const bent = $derived.by(() => {
		if (!('kind' in focused)) return undefined;
		for (const f of ['tolerable', 'end', 'onset']) {
			const d = degreesTyped(
				RANGES[focused.kind],
				values[`${focused.kind}.${focused.side}.${f}`] ?? '',
				data.body
			);
			if (d.ok && d.value !== undefined) return d.value;
		}
		return lastRange?.tolerable;
	});

	let worker: Worker | undefined;
	/** Questions on their way to the worker, by number; nothing on the page depends on them. */
	const waiting: Record<number, (a: StreamAnswer) => void> = {};
	onMount(() => {
		worker = new StreamWorker();
		worker.onmessage = ({ data: a }: MessageEvent<StreamAnswer>) => {
			waiting[a.ask]?.(a);
			delete waiting[a.ask];
		};
		return () => worker?.terminate();
	});
	let asked = 0;
	async function analyse(question: object): Promise<StreamOutcome> {
		const ask = ++asked;
		const answer = await new Promise<StreamAnswer>((done) => {
			waiting[ask] = done;
			worker?.postMessage({ ask, ...question });
		});
		if ('refused' in answer) return { kind: 'refused', message: answer.refused };
		return answer.quantity === 'angle' ? { kind: 'angle', ...answer } : { kind: 'force', ...answer };
	}
	function put(o: StreamOutcome): void {
		if (o.kind === 'angle' && o.answer.kind === 'movement' && 'kind' in focused) {
			const { kind: id, side } = focused;
			const degrees = (n: number): string =>
				`${RANGES[id].signed === true && n > 0 ? '+' : ''}${Math.round(n)}`;
			if (RANGES[id].readCm !== true) {
				values[`${id}.${side}.end`] = degrees(o.answer.movement.peakDeg);
				if (o.answer.movement.onsetDeg !== undefined)
					values[`${id}.${side}.onset`] = degrees(o.answer.movement.onsetDeg);
			}
		}
		if (o.kind === 'force' && o.answer.kind === 'force' && 'test' in focused)
			putValue(String(Math.round(o.answer.peakN)));
	}
	function putValue(text: string): void {
		if (!('test' in focused)) return;
		const prefix =
			focused.side === null ? `test.${focused.test.id}` : `test.${focused.test.id}.${focused.side}`;
		values[`${prefix}.value`] = text;
		values[`${prefix}.method`] = 'device';
	}
	const seed = $derived(hash32(`${data.head.id} ${target}`));

	const chosen = $derived(questionnaire(instrument));
	const lastTotal = $derived(data.totals.filter((t) => t.instrument === instrument).pop());
	const totalText = $derived.by(() => {
		if (chosen === undefined) return '';
		const about_ = `${chosen.range[0]}–${chosen.range[1]}, ${chosen.better === 'higher' ? 'more' : 'less'} is better${chosen.licence === 'licensed' ? '; the practice needs its own licence' : ''}${chosen.note ? `; ${chosen.note}` : ''}`;
		const n = Number(total.replace(',', '.'));
		if (total.trim() === '' || Number.isNaN(n)) return about_;
		const ok = acceptTotal(chosen, n);
		if (!ok.ok) return ok.refusal.message;
		return lastTotal === undefined
			? about_
			: `${changeText(totalChange(chosen, lastTotal.total, n), lastTotal.total, 'points')}; ${about_}`;
	});
	const typedNumber = (name: string): number | undefined => {
		const t = (values[name] ?? '').trim().replace(',', '.');
		return t === '' || !Number.isFinite(Number(t)) ? undefined : Number(t);
	};
	const readAs = (id: string, norm: string): string | undefined => {
		const v = typedNumber(`test.${id}.value`);
		const spec = FUNCTION_TESTS.find((t) => t.id === id);
		return v === undefined || spec === undefined
			? undefined
			: judgeTest(
					spec,
					v,
					{ hands: values[`test.${id}.hands`] === 'on' ? 1 : undefined },
					data.who
				).readings.find((r) => r.norm === norm)?.class;
	};
	const together = $derived(
		togetherText(
			(id, side) => typedNumber(`test.${id}.${side === undefined ? '' : `${side}.`}value`),
			(id, extra) => typedNumber(`test.${id}.${extra}`),
			readAs
		)
	);
	const testIds = (i: number): string[] =>
		data.ids.slice(2 * RANGE_IDS.length + 2 * i, 2 * RANGE_IDS.length + 2 * i + 2);
	const openGroup = (group: string): boolean =>
		FUNCTION_TESTS.some(
			(t) =>
				t.group === group &&
				(data.tests.some((r) => r.test === t.id) ||
					Object.keys(values).some(
						(k) =>
							k.startsWith(`test.${t.id}.`) &&
							(values[k] ?? '') !== '' &&
							!k.endsWith('.id') &&
							!k.endsWith('.method')
					))
		);

	let body = $state({
		heightCm: '',
		massKg: '',
		shankCm: '',
		thighCm: '',
		trunkCm: '',
		footCm: '',
		shoeHeelCm: ''
	});
	$effect.pre(() => {
		if (body.heightCm !== '') return;
		const s = data.setting;
		const text = (n: number | null): string => (n === null ? '' : String(n));
		body = {
			heightCm: text(s.heightCm),
			massKg: text(s.massKg),
			shankCm: text(s.shankCm),
			thighCm: text(s.thighCm),
			trunkCm: text(s.trunkCm),
			footCm: text(s.footCm),
			shoeHeelCm: text(s.shoeHeelCm)
		};
	});
	let technique = $derived(data.setting.technique ?? '');
	let policyId = $derived<string>(data.setting.policyId);
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
<main class="page grid grid-cols-[1fr_18.5rem] gap-6 max-2xl:grid-cols-1">
	<form method="POST" action="?/sheet" use:enhance={saved} use:keepForm={'sheet'} novalidate>
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
		<div
			class="grid grid-cols-[10.5rem_15rem_15rem_1fr] gap-x-3 pt-1 text-xs text-quiet max-lg:hidden"
			aria-hidden="true"
		>
			<span></span>
			{#each ['Left', 'Right'] as s (s)}<span
					><span class="block text-sm font-bold text-ink">{s}</span><span class="flex gap-1"
						>{#each ['onset', 'tolerable', 'end', 'pain'] as h (h)}<span
								class="w-[3.1rem] text-center leading-tight whitespace-nowrap">{h}</span
							>{/each}</span
					></span
				>{/each}
			<span class="self-end">difference, usual</span>
		</div>
		{#each JOINTS as joint (joint)}
			{#each RANGE_IDS.filter((id) => RANGES[id].joint === joint) as id (id)}
				{@const i = RANGE_IDS.indexOf(id)}
				<RangeRow
					kind={RANGES[id]}
					ids={[data.ids[2 * i] as string, data.ids[2 * i + 1] as string]}
					body={data.body}
					age={data.who.age}
					sex={data.who.sex}
					today={data.head.today}
					last={data.last[id] ?? {}}
					{values}
					{wrong}
					onfocus={(side) => (focused = { kind: id, side })}
				/>
			{/each}
		{/each}
		<h2 class="mt-6">Function tests</h2>
		<p class="label">
			Against published norms of {data.who.sex ?? 'no sex given'}, {data.who.age} years. Outside a table’s ages
			there is no norm.
		</p>
		{#each TEST_GROUPS as group (group)}
			<Fold
				title={group.replace(/^./, (c) => c.toUpperCase())}
				needed={openGroup(group)}
				class="mt-1 cursor-pointer py-1 font-semibold text-accent"
			>
				{#each FUNCTION_TESTS.filter((t) => t.group === group) as spec (spec.id)}
					<TestRow
						{spec}
						ids={testIds(FUNCTION_TESTS.indexOf(spec))}
						who={data.who}
						{sore}
						last={data.tests.filter((t) => t.test === spec.id)}
						today={data.head.today}
						{values}
						{wrong}
						onfocus={(side) => (focused = { test: spec, side })}
					/>
				{/each}
			</Fold>
		{/each}
		{#each together as t (t)}<p class="mt-1 border-l-4 border-edge bg-sheet px-3 py-1" data-testid="together">
				{t}
			</p>{/each}
		<h2 class="mt-6">Questionnaire total</h2>
		<div class="rule flex flex-wrap items-end gap-4 pt-2">
			<input type="hidden" name="total.id" value={data.ids[data.ids.length - 3]} />
			<Choice
				name="total.instrument"
				label="Questionnaire"
				bind:value={instrument}
				items={[
					{ value: '', name: 'none' },
					...QUESTIONNAIRES.map((q) => ({ value: q.id, name: `${q.name} (${q.about})` }))
				]}
			/>
			<Field
				name="total.version"
				label="Version: language, year"
				autocomplete="off"
				wrong={at('total.version')}
				width="w-40"
			/>
			<Field
				name="total.value"
				label="Total"
				inputmode="decimal"
				bind:value={total}
				wrong={at('total.value')}
				width="w-20"
			/>
		</div>
		<p class="label mt-1">
			{at('total.instrument') ?? (totalText || 'Only the total, its version and the day are kept; no items.')}
		</p>
		<div class="sticky bottom-0 mt-4 max-lg:bottom-14 flex items-center gap-4 border-t bg-paper py-2">
			<Act>Save the sheet</Act><span class="label"
				>{count === 0 ? 'nothing entered yet' : `${count} ${count === 1 ? 'value' : 'values'} entered`}</span
			><a href="/clients/{data.head.id}/envelope">See the envelope</a>
		</div>
	</form>
	<aside
		class="grid content-start gap-5 self-start max-2xl:order-first max-sm:order-last 2xl:sticky 2xl:top-4 max-2xl:grid-cols-2 max-sm:grid-cols-1"
	>
		{#if 'kind' in focused}
			<div class="sheet p-4 max-2xl:[&_svg]:max-h-32 max-sm:hidden">
				<h3>{target}</h3>
				<RangeFigure kind={focused.kind} degrees={bent} mirror={focused.side === 'left'} />
				<p class="label">
					{bent === undefined
						? RANGES[focused.kind].how
						: `${Math.round(bent)}°${usual ? `; usual ${Math.round(usual.low)}${usual.high === usual.low ? '' : `–${Math.round(usual.high)}`}°` : ''}`}
				</p>
			</div>
		{/if}
		<DeviceDock
			{target}
			{about}
			{wants}
			{seed}
			{analyse}
			csvOf={streamCsv}
			{put}
			putSeconds={(s) => putValue(s.toFixed(1))}
		/>
		<Fold
			title="Body and shoes"
			needed={wrong !== undefined && wrong.field in body}
			class="cursor-pointer font-semibold"
		>
			<form
				method="POST"
				action="?/body"
				class="mt-2 grid gap-3"
				use:enhance={sending(say)}
				use:keepForm={'body'}
				novalidate
			>
				<input type="hidden" name="id" value={data.ids[data.ids.length - 2]} />
				<div class="grid grid-cols-2 gap-3">
					<Field
						name="heightCm"
						label="Height"
						unit="cm"
						inputmode="decimal"
						bind:value={body.heightCm}
						wrong={at('heightCm')}
						width="w-18"
					/>
					<Field
						name="massKg"
						label="Mass"
						unit="kg"
						inputmode="decimal"
						bind:value={body.massKg}
						wrong={at('massKg')}
						width="w-18"
					/>
					<Field
						name="shankCm"
						label="Shank, if measured"
						unit="cm"
						inputmode="decimal"
						bind:value={body.shankCm}
						wrong={at('shankCm')}
						width="w-18"
					/>
					<Field
						name="thighCm"
						label="Thigh, if measured"
						unit="cm"
						inputmode="decimal"
						bind:value={body.thighCm}
						wrong={at('thighCm')}
						width="w-18"
					/>
					<Field
						name="trunkCm"
						label="Trunk, if measured"
						unit="cm"
						inputmode="decimal"
						bind:value={body.trunkCm}
						wrong={at('trunkCm')}
						width="w-18"
					/>
					<Field
						name="footCm"
						label="Foot, if measured"
						unit="cm"
						inputmode="decimal"
						bind:value={body.footCm}
						wrong={at('footCm')}
						width="w-18"
					/>
					<Field
						name="shoeHeelCm"
						label="Heel of the shoe"
						unit="cm"
						inputmode="decimal"
						bind:value={body.shoeHeelCm}
						wrong={at('shoeHeelCm')}
						width="w-18"
					/>
				</div>
				<p class="label">
					Measured segments take most of the error out of a solved seat; a raised heel works like a wedge.
				</p>
				<div><Act kind="quiet">Save body</Act></div>
			</form>
		</Fold>
		<Fold
			title="Way of working"
			needed={wrong?.field === 'policyId' || wrong?.field === 'technique'}
			class="cursor-pointer font-semibold"
		>
			<form
				method="POST"
				action="?/way"
				class="mt-2 grid gap-3"
				use:enhance={sending(say)}
				use:keepForm={'way'}
			>
				<input type="hidden" name="id" value={data.ids[data.ids.length - 1]} />
				<Choice
					name="technique"
					label="Technique taught"
					bind:value={technique}
					disabled={!data.licensed}
					items={[
						{ value: '', name: 'none: the ordinary rise' },
						...TECHNIQUES.map((t) => ({ value: t, name: TECHNIQUE_NAME[t] }))
					]}
				/>
				<Choice
					name="brace"
					label="Bracing"
					value={data.setting.brace}
					disabled={!data.licensed}
					items={BRACES.map((b) => ({ value: b, name: BRACE[b].title }))}
				/>
				<Choice
					name="policyId"
					label="Pain policy"
					bind:value={policyId}
					disabled={!data.licensed}
					items={POLICY_IDS.map((p) => ({ value: p, name: POLICY_NAME[p] ?? p }))}
				/>
				{#if at('policyId')}<p class="text-sm text-stop">{at('policyId')}</p>{/if}
				{#if data.licensed}<div><Act kind="quiet">Save way of working</Act></div>{:else}<p class="label">
						Technique, bracing and policy are a licensed user’s choice.
					</p>{/if}
			</form>
		</Fold>
	</aside>
</main>
