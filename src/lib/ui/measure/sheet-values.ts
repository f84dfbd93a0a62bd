/** What a measure sheet holds while it is typed, by field name, and what can be read off it before it is saved. */
import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
import type { Side } from '#lib/core/body/axis.ts';
import { judgeTest, type TestPerson, type TestSpec } from '#lib/core/measure/function-test.ts';
import { RANGES } from '#lib/catalogue/ranges.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import { togetherText } from '#lib/wording/measure.ts';
import type { StreamOutcome } from '../stream-outcome.ts';

export type SheetValues = Record<string, string>;
/** What a device measures for: the field in focus. */
export type Focus =
	{ readonly kind: RangeId; readonly side: Side } | { readonly test: TestSpec; readonly side: Side | null };

const isOwn = (k: string): boolean => !k.endsWith('.method') && !k.endsWith('.stop') && !k.endsWith('.id');

/** How many values were entered. */
export const enteredIn = (values: SheetValues): number =>
	Object.entries(values).filter(([k, v]) => isOwn(k) && v.trim() !== '' && v !== 'on').length;

/** Was something of a group of tests typed? */
export const typedIn = (group: string, values: SheetValues): boolean =>
	FUNCTION_TESTS.some(
		(t) =>
			t.group === group &&
			Object.entries(values).some(([k, v]) => k.startsWith(`test.${t.id}.`) && v !== '' && isOwn(k))
	);

function numberIn(values: SheetValues, name: string): number | undefined {
	const t = (values[name] ?? '').trim().replace(',', '.');
	return t === '' || !Number.isFinite(Number(t)) ? undefined : Number(t);
}

/** What several tests say together, while they are typed. */
export function togetherIn(values: SheetValues, who: TestPerson): readonly string[] {
	const classOf = (id: string, norm: string): string | undefined => {
		const value = numberIn(values, `test.${id}.value`);
		const spec = FUNCTION_TESTS.find((t) => t.id === id);
		if (value === undefined || spec === undefined) return undefined;
		const hands = values[`test.${id}.hands`] === 'on' ? 1 : undefined;
		return judgeTest(spec, value, { hands }, who).readings.find((r) => r.norm === norm)?.class;
	};
	return togetherText(
		(id, side) => numberIn(values, `test.${id}.${side === undefined ? '' : `${side}.`}value`),
		(id, extra) => numberIn(values, `test.${id}.${extra}`),
		classOf
	);
}

const nameOf = ({ test, side }: Extract<Focus, { test: TestSpec }>): string =>
	side === null ? `test.${test.id}` : `test.${test.id}.${side}`;

/** A number of a test that a device or a clock gave. */
export function putValue(values: SheetValues, focus: Focus, text: string): void {
	if (!('test' in focus)) return;
	values[`${nameOf(focus)}.value`] = text;
	values[`${nameOf(focus)}.method`] = 'device';
}

/** What a device measured, in the fields it was measured for. */
/** @param phone it was measured with the phone laid on the limb, which has an error of its own */
export function putOutcome(values: SheetValues, focus: Focus, o: StreamOutcome, phone = false): void {
	if (o.kind === 'force' && o.answer.kind === 'force')
		putValue(values, focus, String(Math.round(o.answer.peakN)));
	if (o.kind !== 'angle' || o.answer.kind !== 'movement') return;
	const { peakDeg, onsetDeg } = o.answer.movement;
	const put = putDegrees(values, focus, peakDeg, phone ? 'phone' : 'device');
	if (put && onsetDeg !== undefined && 'kind' in focus)
		values[`${focus.kind}.${focus.side}.onset`] = degreesOf(focus.kind, onsetDeg);
}

const degreesOf = (id: RangeId, n: number): string =>
	`${RANGES[id].signed === true && n > 0 ? '+' : ''}${Math.round(n)}`;

/** An angle as the end of the range in focus; false of a test, or of a range that is read in cm: it is none of theirs. */
export function putDegrees(
	values: SheetValues,
	focus: Focus,
	deg: number,
	method: 'phone' | 'device'
): boolean {
	if (!('kind' in focus) || RANGES[focus.kind].readCm === true) return false;
	values[`${focus.kind}.${focus.side}.end`] = degreesOf(focus.kind, deg);
	values[`${focus.kind}.method`] = method;
	return true;
}
