/**
 * Usual pain of a region on a day: the median (.5 rounds up) of its morning values in the 7 days before, at least 5 of them; with
 * fewer, the intake's usual morning, and the answer is provisional; with neither, 0, the strictest. In a flare it stays frozen at
 * its value before the flare, and flare mornings never feed it.
 *
 * Flare: two mornings running at usual + 2 or more; it ends after two mornings at usual + 1 or less.
 * @source practice-setting
 */
import { dayNumber, type Day } from '../base/calendar-day.ts';
import { median } from '../base/statistics.ts';
import type { Morning, Region } from '../session/record.ts';
import type { MorningRule } from './policy.ts';

export interface Usual {
	readonly value: number;
	readonly provisional: boolean;
}

export interface Flare {
	/** Day number of the first morning, and of the last one judged (or the end). */
	readonly from: number;
	readonly to: number;
	readonly open: boolean;
	readonly usual: Usual;
}

export interface MorningSeries {
	readonly region: Region;
	readonly days: readonly number[];
	readonly at: ReadonlyMap<number, Morning>;
	readonly valueAt: (n: number) => number | undefined;
	readonly flares: readonly Flare[];
	readonly usualOn: (n: number) => Usual;
}

const FLARE_RISE = 2;
const ENOUGH = 5;

/** A morning's value under the rule: the provocation test for tendons, else pain. */
export const morningValue = (m: Morning | undefined, rule: MorningRule): number | undefined =>
	rule === 'provocation' ? m?.provocation : m?.pain;

/**
 * All mornings of a region up to today, with its usual on any day and its flares. After `anchor` (the last session) usual stays
 * what it was on that day: a morning is judged against the session it belongs to, and a worse one never raises its own yardstick.
 */
export function morningSeries(
	mornings: readonly Morning[],
	region: Region,
	intake: number | undefined,
	rule: MorningRule,
	today: Day,
	anchor: Day = today
): MorningSeries {
	const at = new Map<number, Morning>();
	const end = dayNumber(today);
	for (const m of mornings) {
		const n = dayNumber(m.date);
		if (m.region !== region || !(n <= end)) continue;
		const known = at.get(n);
		// Two entries for one morning: the worse one stands, whatever order they came in.
		if (known === undefined || worse(m, known, rule)) at.set(n, m);
	}
	const days = [...at.keys()].sort((a, b) => a - b);
	const valueAt = (n: number): number | undefined => morningValue(at.get(n), rule);
	const flares: Flare[] = [];
	const inFlare = (n: number): Flare | undefined => flares.find((f) => n >= f.from && (f.open || n <= f.to));
	const fixed = dayNumber(anchor);
	const measured = (day: number): Usual => {
		const n = Math.min(day, fixed);
		const values: number[] = [];
		for (let d = n - 7; d < n; d++) {
			const v = valueAt(d);
			if (v !== undefined && inFlare(d) === undefined) values.push(v);
		}
		const middle = values.length >= ENOUGH ? median(values) : undefined;
		return middle === undefined
			? { value: intake ?? 0, provisional: true }
			: { value: Math.floor(middle + 0.5), provisional: false };
	};
	findFlares(days, valueAt, measured, flares);
	return { region, days, at, valueAt, flares, usualOn: (n) => inFlare(n)?.usual ?? measured(n) };
}

function worse(a: Morning, b: Morning, rule: MorningRule): boolean {
	const [x, y] = [morningValue(a, rule) ?? -1, morningValue(b, rule) ?? -1];
	return x !== y ? x > y : swellingRank(a) > swellingRank(b);
}

/** 0 none … 3 hot; −1 not asked. */
export const swellingRank = (m: Morning): number =>
	m.swelling === undefined ? -1 : ['none', 'a-little', 'clearly-more', 'hot'].indexOf(m.swelling);

function findFlares(
	days: readonly number[],
	valueAt: (n: number) => number | undefined,
	usual: (n: number) => Usual,
	flares: Flare[]
): void {
	let open: { from: number; usual: Usual; calm: number } | undefined;
	for (const n of days) {
		const v = valueAt(n);
		if (v === undefined) continue;
		if (open !== undefined) {
			open.calm = v <= open.usual.value + 1 ? open.calm + 1 : 0;
			const ended = open.calm >= 2;
			flares[flares.length - 1] = { from: open.from, to: n, open: !ended, usual: open.usual };
			if (ended) open = undefined;
			continue;
		}
		const before = valueAt(n - 1);
		// Usual is never below 0: two calm mornings begin no flare, whatever it is.
		if (before === undefined || Math.min(before, v) < FLARE_RISE) continue;
		const u = usual(n - 1);
		if (before >= u.value + FLARE_RISE && v >= u.value + FLARE_RISE) {
			open = { from: n - 1, usual: u, calm: 0 };
			flares.push({ from: n - 1, to: n, open: true, usual: u });
		}
	}
}
