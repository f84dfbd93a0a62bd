/**
 * How a region is as a whole, judged once per morning and not once per exercise: settled, up, unsettled, rising or flare.
 *
 * The next morning of the last session and the latest morning are both read; the worse stands. Unusual activity on that day or
 * the day before explains a bad morning: it holds instead of regressing.
 * @source ageberg-2010 back to usual by next morning (from memory)
 * @source silbernagel-2007 up to 5 next morning, no rise from week to week (from memory); the weekly statistic is the median of
 * rolling 7 days, at least 3 values: practice setting
 */
import { dayNumber } from '../base/calendar-day.ts';
import { median } from '../base/statistics.ts';
import type { RecordedEvent, Session } from '../session/record.ts';
import type { Policy } from './policy.ts';
import { swellingRank, type MorningSeries } from './usual.ts';

export type RegionKind = 'settled' | 'up' | 'unsettled' | 'rising' | 'flare' | 'unknown';

export interface RegionState {
	readonly kind: RegionKind;
	readonly usual: number;
	/** Day number and value of the morning that decided, if any. */
	readonly morning?: { readonly day: number; readonly value: number; readonly swelling: number };
	readonly explained: boolean;
	/** Days the open flare has lasted. */
	readonly flareDays: number;
	/** A second unsettled morning within 7 days. */
	readonly again: boolean;
	readonly medians: readonly (number | undefined)[];
}

type MorningKind = 'settled' | 'up' | 'unsettled';

/** One morning against usual. Undefined when the value the policy asks for is missing. */
export function morningKind(
	series: MorningSeries,
	n: number,
	usual: number,
	policy: Policy
): MorningKind | undefined {
	const value = series.valueAt(n);
	const morning = series.at.get(n);
	if (value === undefined || morning === undefined) return undefined;
	const swelling = swellingRank(morning);
	const rise = value - usual;
	if (swelling >= 2) return 'unsettled';
	if (policy.morningRule === 'up-to-five') {
		if (value > 5 && rise > 0) return 'unsettled';
		return swelling === 1 ? 'up' : 'settled';
	}
	if (rise >= policy.morningRegress) return 'unsettled';
	return rise >= policy.morningHold || swelling === 1 ? 'up' : 'settled';
}

const RANK: Readonly<Record<MorningKind, number>> = { settled: 0, up: 1, unsettled: 2 };
const LATEST_COUNTS_DAYS = 7;
const WEEK_VALUES = 3;

/** Medians of the rolling weeks ending at n: this week, last week, the one before. */
export function weeklyMedians(series: MorningSeries, n: number): readonly (number | undefined)[] {
	return [0, 1, 2].map((w) => {
		const values: number[] = [];
		for (let d = n - 7 * w - 6; d <= n - 7 * w; d++) {
			const v = series.valueAt(d);
			if (v !== undefined) values.push(v);
		}
		return values.length >= WEEK_VALUES ? median(values) : undefined;
	});
}

export function regionState(
	series: MorningSeries,
	sessions: readonly Session[],
	judged: Session | undefined,
	policy: Policy,
	events: readonly RecordedEvent[],
	todayN: number
): RegionState {
	const reference = judged === undefined ? todayN : dayNumber(judged.date);
	const usual = series.usualOn(reference).value;
	const next = judged === undefined ? undefined : dayNumber(judged.date) + 1;
	const latest = series.days[series.days.length - 1];
	const candidates = [
		next,
		latest !== undefined && todayN - latest <= LATEST_COUNTS_DAYS && latest >= reference ? latest : undefined
	];
	let kind: MorningKind | undefined;
	let morning: RegionState['morning'];
	for (const n of candidates) {
		if (n === undefined || n > todayN) continue;
		const k = morningKind(series, n, usual, policy);
		if (k === undefined || (kind !== undefined && RANK[k] <= RANK[kind])) continue;
		kind = k;
		morning = {
			day: n,
			value: series.valueAt(n) as number,
			swelling: swellingRank(series.at.get(n) as never)
		};
	}
	if (kind === 'up' && policy.morningRegressTwice && twiceInThree(series, sessions, policy))
		kind = 'unsettled';
	const explained = morning !== undefined && kind !== 'settled' && isExplained(events, morning.day);
	if (explained && kind === 'unsettled') kind = 'up';
	const medians = weeklyMedians(
		series,
		next !== undefined && series.valueAt(next) !== undefined ? next : reference
	);
	const flare = series.flares[series.flares.length - 1];
	const open =
		flare !== undefined && flare.open && latest !== undefined && todayN - latest <= LATEST_COUNTS_DAYS;
	const flareDays = open ? (latest as number) - flare.from + 1 : 0;
	const base = {
		usual,
		explained,
		flareDays,
		medians,
		again: unsettledAgain(series, usual, policy, morning?.day),
		...(morning ? { morning } : {})
	};
	if (open) return { ...base, kind: 'flare' };
	if (kind === 'unsettled') return { ...base, kind };
	if (isRising(medians, policy) && !explained) return { ...base, kind: 'rising' };
	return { ...base, kind: kind ?? 'unknown' };
}

/** The hold line met on the next mornings of at least two of the last three sessions. */
function twiceInThree(series: MorningSeries, sessions: readonly Session[], policy: Policy): boolean {
	const risen = sessions.slice(-3).filter((s) => {
		const n = dayNumber(s.date);
		const k = morningKind(series, n + 1, series.usualOn(n).value, policy);
		return k === 'up' || k === 'unsettled';
	});
	return risen.length >= 2;
}

const isExplained = (events: readonly RecordedEvent[], n: number): boolean =>
	events.some(
		(e) => e.kind === 'unusual-activity' && (dayNumber(e.date) === n || dayNumber(e.date) === n - 1)
	);

export function isRising(medians: readonly (number | undefined)[], policy: Policy): boolean {
	const [now, last, before] = medians;
	if (now === undefined || last === undefined || before === undefined) return false;
	return now - last >= policy.trendStep && last - before >= policy.trendStep;
}

function unsettledAgain(
	series: MorningSeries,
	usual: number,
	policy: Policy,
	day: number | undefined
): boolean {
	if (day === undefined || morningKind(series, day, usual, policy) !== 'unsettled') return false;
	return series.days.some(
		(n) => n < day && day - n <= 7 && morningKind(series, n, usual, policy) === 'unsettled'
	);
}
