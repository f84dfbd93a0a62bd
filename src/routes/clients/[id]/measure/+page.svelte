<script lang="ts">
	import { enhance } from '$app/forms';
	import { AXES, SIDES, USUAL_RANGE, type Axis, type Side } from '#lib/core/body/axis.ts';
	import { dorsiflexionFromWall } from '#lib/core/posture/lunge-test.ts';
	import { FIELDS, type SheetField } from '#lib/contract/measure-form.ts';
	import { measuredRange } from '#lib/core/measure/range.ts';
	import { POLICY_IDS } from '#lib/catalogue/policies.ts';
	import { TECHNIQUES } from '#lib/core/posture/problem.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import RangeFigure from '#lib/ui/RangeFigure.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { ago } from '#lib/wording/days.ts';
	import { AXIS_HOW, AXIS_NAME, POLICY_NAME, sideWord, TECHNIQUE_NAME } from '#lib/wording/names.ts';

	let { data, form } = $props();
	const WALL = 'weightBearingDorsiflexion';
	const typedBefore = (name: string): string => (form && 'typed' in form ? (form.typed[name] ?? '') : '');
	let values: Record<string, string> = $state(Object.fromEntries(AXES.flatMap((a) => SIDES.flatMap((s) => FIELDS.map((f) => [`${a}.${s}.${f}`, typedBefore(`${a}.${s}.${f}`)])))));
	let day = $state('');
	$effect.pre(() => {
		if (day === '') day = data.head.today;
	});
	const wrong = (name: string): string | undefined => (form && 'field' in form && form.field === name ? form.message : undefined);
	const latest = (axis: Axis, side: Side) => data.latest.find((m) => m.axis === axis && m.side === side);
	const number = (text: string | undefined): number | undefined => (text === undefined || text.trim() === '' ? undefined : Number(text.replace(',', '.')));

	/** Degrees of what is typed; knee to wall by this body's geometry. */
	function degrees(axis: Axis, side: Side, field: SheetField): number | undefined {
		const n = number(values[`${axis}.${side}.${field}`]);
		if (n === undefined || Number.isNaN(n)) return undefined;
		return axis === WALL && field !== 'pain' ? dorsiflexionFromWall(data.ctx.body, n) : n;
	}
	const ends = (axis: Axis, side: Side): number | undefined => degrees(axis, side, 'end') ?? degrees(axis, side, 'tolerable') ?? latest(axis, side)?.end;
	function difference(axis: Axis): string {
		const [l, r] = [ends(axis, 'left'), ends(axis, 'right')];
		if (l === undefined || r === undefined) return '';
		const d = Math.round(l - r);
		return d === 0 ? 'sides equal' : `${d > 0 ? 'right' : 'left'} ${Math.abs(d)}° less`;
	}
	function trouble(axis: Axis, side: Side): string | undefined {
		const range: { onset?: number; tolerable?: number; end?: number } = {};
		for (const f of ['onset', 'tolerable', 'end'] as const) {
			const n = degrees(axis, side, f);
			if (n !== undefined) range[f] = Math.round(n * 10) / 10;
		}
		if (Object.keys(range).length === 0) return undefined;
		const r = measuredRange(axis, range);
		return r.ok ? undefined : r.refusal.message;
	}
	let focused: { axis: Axis; side: Side } = $state({ axis: 'kneeFlexion', side: 'right' });
	const shown = $derived(degrees(focused.axis, focused.side, 'tolerable') ?? degrees(focused.axis, focused.side, 'end') ?? latest(focused.axis, focused.side)?.tolerable);
	const id = (axis: Axis, side: Side): string => data.ids[AXES.indexOf(axis) * 2 + SIDES.indexOf(side)] as string;
	let body = $state({ heightCm: '', massKg: '', shankCm: '', thighCm: '' });
	$effect.pre(() => {
		if (body.heightCm === '') {
			const b = data.body;
			body = { heightCm: String(b.heightCm), massKg: String(b.massKg), shankCm: b.shankCm === null ? '' : String(b.shankCm), thighCm: b.thighCm === null ? '' : String(b.thighCm) };
		}
	});
	let technique = $derived(data.body.technique ?? '');
	let policyId = $derived<string>(data.body.policyId);
	let lost = $state('');
	const say = (text: string): void => void (lost = text);
	const saved = sending(say, () => {
		for (const k of Object.keys(values)) values[k] = '';
	});
</script>

<svelte:head><title>Measure · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['Tab', 'next value, left then right'], ['Enter', 'save the sheet'], ['1 … 6', 'other pages of this client']]} />
<main class="page grid grid-cols-[1fr_19rem] gap-8 max-lg:grid-cols-1">
	<form method="POST" action="?/ranges" use:enhance={saved} use:keepForm={'ranges'} novalidate>
		<div class="mb-2 flex flex-wrap items-end gap-5">
			<h2>Ranges</h2>
			<Field name="day" label="Measured on" type="date" max={data.head.today} bind:value={day} wrong={wrong('day')} width="w-40" />
			<p class="label max-w-96">Onset is where pain starts, tolerable where it becomes too much, end where it stops. Leave empty what was not measured.</p>
		</div>
		<Said refused={lost || (form && 'message' in form && !form.field ? form.message : undefined)} done={form && 'done' in form ? form.done : undefined} />
		{#each AXES as axis (axis)}
			<fieldset class="rule mt-2 pt-2">
				<legend class="sr-only">{AXIS_NAME[axis]}</legend>
				<div class="flex flex-wrap items-baseline gap-x-4">
					<h3>{AXIS_NAME[axis]}</h3>
					<span class="label">{AXIS_HOW[axis]}{axis === WALL ? '; in cm, turned into degrees by this shank' : ''}</span>
					<span class="label">usual {Math.round(USUAL_RANGE[axis])}°</span>
					<span class="label text-ink">{difference(axis)}</span>
				</div>
				<div class="grid grid-cols-2 gap-x-8 max-sm:grid-cols-1">
					{#each SIDES as side (side)}
						{@const last = latest(axis, side)}
						<div onfocusin={() => (focused = { axis, side })} class="py-1.5">
							<input type="hidden" name="{axis}.{side}.id" value={id(axis, side)} />
							<div class="flex items-end gap-2.5">
								<span class="w-10 pb-2 font-semibold">{sideWord(side)}</span>
								{#each FIELDS as field (field)}
									{@const name = `${axis}.${side}.${field}`}
									<Field
										{name}
										label={field}
										bind:value={values[name]}
										inputmode="decimal"
										autocomplete="off"
										width="w-17"
										aria-label="{AXIS_NAME[axis]} {side} {field}"
										aria-invalid={wrong(name) ? 'true' : undefined}
									/>
								{/each}
								{#if axis === WALL && (degrees(axis, side, 'end') ?? degrees(axis, side, 'tolerable')) !== undefined}
									<span class="pb-2 font-semibold">{Math.round(degrees(axis, side, 'end') ?? degrees(axis, side, 'tolerable') ?? 0)}°</span>
								{/if}
							</div>
							{#each FIELDS as field (field)}{#if wrong(`${axis}.${side}.${field}`)}<p class="text-sm text-stop" data-testid="field-wrong">{wrong(`${axis}.${side}.${field}`)}</p>{/if}{/each}
							{#if trouble(axis, side) && !FIELDS.some((f) => wrong(`${axis}.${side}.${f}`))}<p class="text-sm text-caution">{trouble(axis, side)}</p>{/if}
							<p class="label pl-12">
								{#if last}last {last.onset}° · {last.tolerable}° · {last.end}°{last.rawCm === null ? '' : ` (${last.rawCm} cm)`}, pain {last.pain}, {ago(last.day, data.head.today)}{:else}not measured yet{/if}
							</p>
						</div>
					{/each}
				</div>
			</fieldset>
		{/each}
		<div class="mt-4 flex items-center gap-4"><Act>Save ranges</Act><a href="/clients/{data.head.id}/ladder">See the ladder move</a></div>
	</form>
	<aside class="max-lg:order-first">
		<div class="sheet p-4">
			<h3>{AXIS_NAME[focused.axis]}, {focused.side}</h3>
			<RangeFigure axis={focused.axis} degrees={shown} mirror={focused.side === 'left'} />
			<p class="label">{shown === undefined ? 'Type a range and the figure bends along.' : `${Math.round(shown)}° tolerable; usual ${Math.round(USUAL_RANGE[focused.axis])}°`}</p>
		</div>
		<form method="POST" action="?/body" class="mt-6 grid gap-3" use:enhance={sending(say)} use:keepForm={'body'} novalidate>
			<h2>Body</h2>
			<input type="hidden" name="id" value={data.ids[6]} />
			<div class="flex gap-4">
				<Field name="heightCm" label="Height" unit="cm" inputmode="decimal" bind:value={body.heightCm} wrong={wrong('heightCm')} width="w-20" />
				<Field name="massKg" label="Mass" unit="kg" inputmode="decimal" bind:value={body.massKg} wrong={wrong('massKg')} width="w-20" />
			</div>
			<div class="flex gap-4">
				<Field name="shankCm" label="Shank, if measured" unit="cm" inputmode="decimal" bind:value={body.shankCm} wrong={wrong('shankCm')} width="w-20" />
				<Field name="thighCm" label="Thigh, if measured" unit="cm" inputmode="decimal" bind:value={body.thighCm} wrong={wrong('thighCm')} width="w-20" />
			</div>
			<p class="label">Measuring shank and thigh takes most of the error out of a solved seat.</p>
			<div><Act kind="quiet">Save body</Act></div>
		</form>
		<form method="POST" action="?/way" class="mt-6 grid gap-3" use:enhance={sending(say)} use:keepForm={'way'}>
			<h2>Way of working</h2>
			<input type="hidden" name="id" value={data.ids[7]} />
			<Choice name="technique" label="Technique taught" bind:value={technique} disabled={!data.licensed} items={[{ value: '', name: 'none: the ordinary rise' }, ...TECHNIQUES.map((t) => ({ value: t, name: TECHNIQUE_NAME[t] }))]} />
			<Choice name="policyId" label="Pain policy" bind:value={policyId} disabled={!data.licensed} items={POLICY_IDS.map((p) => ({ value: p, name: POLICY_NAME[p] ?? p }))} />
			{#if wrong('policyId')}<p class="text-sm text-stop">{wrong('policyId')}</p>{/if}
			{#if data.licensed}<div><Act kind="quiet">Save way of working</Act></div>{:else}<p class="label">Technique and policy are a licensed user’s choice.</p>{/if}
		</form>
	</aside>
</main>
