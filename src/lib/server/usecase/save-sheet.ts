/**
 * Saves a measure sheet: ranges, function tests and totals, all of it or nothing; the same sheet twice is one. What looks wrong but
 * could be right (a range far from all others, sides swapped against the last sheet) is asked about once and saved when confirmed.
 */
import { parseSheet, type Sheet, type SheetRange, type SheetTest } from '#lib/contract/measure-form.ts';
import { FUNCTION_TESTS, testSpec } from '#lib/catalogue/function-tests.ts';
import { questionnaire } from '#lib/catalogue/questionnaires.ts';
import { methodOf, RANGES } from '#lib/catalogue/ranges.ts';
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Side } from '#lib/core/body/axis.ts';
import { walkGate } from '#lib/core/client/acute.ts';
import type { TestSpec } from '#lib/core/measure/function-test.ts';
import { acceptTotal } from '#lib/core/measure/questionnaire.ts';
import { farFromAll, looksSwapped, measuredRange, type MeasuredRange } from '#lib/core/measure/range.ts';
import { RANGE_IDS, type RangeId } from '#lib/core/measure/range-kind.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import type { Measurement } from '../repo/sheet-repo.ts';
import { conflict, invalid, type Context, type Outcome } from './actor.ts';
import { refuseHere } from './command.ts';
import { toldCommand } from './told-command.ts';

/** A sheet to save; `confirmed` are the kinds of range whose sides were confirmed to be as entered. */
export type NewSheet = Omit<Sheet, 'confirmed'> & Partial<Pick<Sheet, 'confirmed'>>;

const SHEET_CHANGED = 'This sheet was already saved with other values; reload to see them.';

export const saveSheet = (
	ctx: Context,
	clientId: string,
	sheet: NewSheet,
	recordedAt?: Date
): Promise<Outcome<number>> => sheetCommand.told(ctx, { clientId, sheet }, recordedAt);

/** A sheet is known by the first of the ids that came with it. */
const sheetId = (s: NewSheet): string => [...s.ranges, ...s.tests, ...s.totals][0]?.id ?? '';

const sheetCommand = toldCommand<{ readonly clientId: string; readonly sheet: NewSheet }, number>({
	verb: 'measure',
	id: ({ sheet }) => (sheetId(sheet) === '' ? NOTHING : sheetId(sheet)),
	check: ({ sheet }, ctx) => sheetTrouble(sheet, ctx),
	read: (form, r) => {
		const typed = new Map([...form].map(([name, value]) => [name, String(value)]));
		const sheet = parseSheet(typed, r.body, RANGES, FUNCTION_TESTS);
		return sheet.ok ? ok({ sheet: sheet.value }) : sheet;
	},
	run: async ({ clientId, sheet }, { t, recordedAt }, r) => {
		const ranges = sheet.ranges.map((v) => ({ v, r: rangeOf(v) }));
		const last = r.measurements;
		const confirmed = sheet.confirmed ?? [];
		const far = farRange(last, ranges, confirmed);
		if (far !== undefined)
			return invalid(
				`${far.v.axis}.far`,
				`${RANGES[far.v.axis].name}${RANGES[far.v.axis].midline === true ? '' : `, ${far.v.side}`}: far from every other reading. Sure? ${Math.round(far.r.end)}°. Correct it, or tick that it is as entered.`
			);
		const swapped = swappedKind(last, ranges, confirmed);
		if (swapped !== undefined)
			return invalid(
				`${swapped}.swap`,
				`${RANGES[swapped].name}: left and right look swapped against the last sheet. Correct them, or tick that they are as entered.`
			);
		await write(t, clientId, sheet, ranges, recordedAt);
		return ok(sheet.ranges.length + sheet.tests.length + sheet.totals.length);
	}
});

/** The same, as its form is typed. */
export const sheetTyped = sheetCommand.typed;

/** An empty sheet has no id; it is refused before one is needed. */
const NOTHING = '00000000-0000-7000-8000-000000000000';

function rangeOf(v: SheetRange): MeasuredRange {
	const r = measuredRange(RANGES[v.axis], v.range);
	if (!r.ok) throw new Error('a range was not checked');
	return r.value;
}

function rangeTrouble({ axis, side, range }: SheetRange): Outcome<never> | undefined {
	const kind = RANGES[axis];
	const once = kind.midline === true;
	if (once && side !== 'left')
		return invalid(`${axis}.${side}.end`, `There is one ${kind.name.toLowerCase()}, not one a side.`);
	const r = measuredRange(kind, range);
	if (r.ok) return undefined;
	const { field = 'end', message } = r.refusal;
	const where = once ? '' : side === 'left' ? 'Left: ' : 'Right: ';
	return invalid(`${axis}.${side}.${field}`, `${where}${message}`);
}

function sheetTrouble(sheet: NewSheet, ctx: Context): Outcome<never> | undefined {
	if (dayNumber(sheet.day) > dayNumber(ctx.today))
		return invalid('day', `The day ${sheet.day} is in the future; today is ${ctx.today}.`);
	const count = sheet.ranges.length + sheet.tests.length + sheet.totals.length;
	if (count === 0) return invalid('', 'Nothing was entered: give at least one value.');
	for (const v of sheet.ranges) {
		const wrong = rangeTrouble(v);
		if (wrong !== undefined) return wrong;
	}
	for (const taken of sheet.tests) {
		const wrong = testTrouble(taken);
		if (wrong !== undefined) return invalid(...wrong);
	}
	for (const total of sheet.totals) {
		const spec = questionnaire(total.instrument);
		const accepted = spec === undefined ? undefined : acceptTotal(spec, total.total);
		if (accepted === undefined) return invalid('total.instrument', 'Choose a questionnaire from the list.');
		if (!accepted.ok) return invalid('total.value', accepted.refusal.message);
	}
	return undefined;
}

/** A sheet of ranges alone. */
export const saveMeasurements = (
	ctx: Context,
	clientId: string,
	day: Day,
	ranges: readonly SheetRange[],
	recordedAt?: Date
): Promise<Outcome<number>> => saveSheet(ctx, clientId, { day, ranges, tests: [], totals: [] }, recordedAt);

type Taken = Pick<SheetTest, 'test' | 'side' | 'value' | 'extras'>;

/** Why a result cannot be kept: its field on the sheet, and what is wrong; undefined where nothing is. */
export function testTrouble(taken: Taken): [string, string] | undefined {
	const spec = testSpec(taken.test);
	if (spec === undefined) return ['', `There is no test ${taken.test}.`];
	const field = taken.side === null ? `test.${spec.id}.value` : `test.${spec.id}.${taken.side}.value`;
	const [low, high] = spec.possible;
	if (!(taken.value >= low && taken.value <= high))
		return [field, `${spec.title}: ${taken.value} is outside ${low} to ${high} ${spec.unit}.`];
	if (spec.whole === true && !Number.isInteger(taken.value))
		return [field, `${spec.title} is counted in whole ${spec.unit}.`];
	for (const e of spec.extras) {
		const x = taken.extras[e.id];
		const at = field.replace(/value$/, e.id);
		if (x === undefined && e.needed === true)
			return [at, `${spec.title} needs ${e.label}: without it the result cannot be compared.`];
		if (x !== undefined && !(x >= e.possible[0] && x <= e.possible[1]))
			return [
				at,
				`${spec.title}, ${e.label}: ${x} is outside ${e.possible[0]} to ${e.possible[1]} ${e.unit}.`
			];
	}
	return gateTrouble(spec, taken, field);
}

/** A six-minute walk above its resting lines is not a result to keep without saying so. */
function gateTrouble(spec: TestSpec, { extras }: Taken, field: string): [string, string] | undefined {
	if (spec.id !== 'six-minute-walk') return undefined;
	const { restingPulse: pulse, systolic, diastolic } = extras;
	const gate = walkGate({
		...(pulse === undefined ? {} : { pulse }),
		...(systolic === undefined ? {} : { systolic }),
		...(diastolic === undefined ? {} : { diastolic })
	});
	return gate.allowed
		? undefined
		: [
				field,
				`The six-minute walk is not started with a resting pulse over 120 or pressure over 180/100 (${gate.reasons.join(', ').replaceAll('-', ' ')}): ask a doctor first. Write the pressure down as blood pressure at rest: it binds the day.`
			];
}

interface Entered {
	readonly v: SheetRange;
	readonly r: MeasuredRange;
}
type Kept = readonly Measurement[];

/** A reading that is far from all others of its movement, and was not confirmed. */
function farRange(
	last: Kept,
	ranges: readonly Entered[],
	confirmed: readonly RangeId[]
): Entered | undefined {
	return ranges.find((x) => {
		if (confirmed.includes(x.v.axis)) return false;
		const kept = last.filter((m) => m.axis === x.v.axis && m.id !== x.v.id);
		const own = kept.filter((m) => m.side === x.v.side).map((m) => m.end);
		const other = kept.filter((m) => m.side !== x.v.side).map((m) => m.end);
		const beside = ranges.filter((o) => o !== x && o.v.axis === x.v.axis).map((o) => o.r.end);
		return farFromAll(x.r.end, own, [...other, ...beside]);
	});
}

/** A movement whose sides look swapped against the last sheet, and were not confirmed. */
function swappedKind(
	last: Kept,
	ranges: readonly Entered[],
	confirmed: readonly RangeId[]
): RangeId | undefined {
	const known = new Set(last.map((m) => m.id));
	return RANGE_IDS.find((id) => {
		if (confirmed.includes(id)) return false;
		const now = (side: Side) => ranges.find(({ v }) => v.axis === id && v.side === side && !known.has(v.id));
		const before = (side: Side): number | undefined =>
			last.filter((m) => m.axis === id && m.side === side).pop()?.tolerable;
		const [l, r, bl, br] = [now('left'), now('right'), before('left'), before('right')];
		if (l === undefined || r === undefined || bl === undefined || br === undefined) return false;
		const { errorDeg } = methodOf(l.v.method);
		return looksSwapped({ left: l.r.tolerable, right: r.r.tolerable }, { left: bl, right: br }, errorDeg);
	});
}

async function write(
	t: PracticeTransaction,
	clientId: string,
	sheet: NewSheet,
	ranges: readonly { v: SheetRange; r: MeasuredRange }[],
	recordedAt?: Date
): Promise<void> {
	const tenths = (deg: number): number => Math.round(deg * 10);
	// A conflict half-way rolls the whole sheet back.
	const kept = (written: string): void => {
		if (written === 'conflict') refuseHere(conflict(SHEET_CHANGED));
	};
	for (const { v, r } of ranges) {
		const row = {
			id: v.id,
			client_id: clientId,
			axis: v.axis,
			side: v.side,
			onset_tenths: tenths(r.painFree),
			tolerable_tenths: tenths(r.tolerable),
			end_tenths: tenths(r.end),
			pain: Math.round(r.pain),
			local_day: sheet.day,
			method: v.method,
			raw_value: v.rawCm === undefined ? null : Math.round(v.rawCm * 10),
			loaded: v.loaded,
			...(v.stop === undefined ? {} : { limited_by: v.stop })
		};
		kept(await append(t, 'measurement', row, recordedAt));
	}
	const at = { client_id: clientId, local_day: sheet.day };
	for (const x of sheet.tests) {
		const extras = JSON.stringify(
			Object.fromEntries(Object.entries(x.extras).filter(([, n]) => n !== undefined))
		);
		const { id, test, side, method } = x;
		const row = { id, ...at, test, side, value_hundredths: Math.round(x.value * 100), extras, method };
		kept(await append(t, 'test_result', row, recordedAt));
	}
	for (const { id, instrument, version, total } of sheet.totals) {
		const row = { id, ...at, instrument, version, total_hundredths: Math.round(total * 100) };
		kept(await append(t, 'questionnaire_total', row, recordedAt));
	}
}
