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

/** The worse of the mornings that count: the one after the judged session, and the latest. */
function worstMorning(
	series: MorningSeries,
	candidates: readonly (number | undefined)[],
	usual: number,
	policy: Policy,
	todayN: number
): { readonly kind?: MorningKind; readonly morning?: NonNullable<RegionState['morning']> } {
	let worst: { kind: MorningKind; morning: NonNullable<RegionState['morning']> } | undefined;
	for (const n of candidates) {
		if (n === undefined || n > todayN) continue;
		const kind = morningKind(series, n, usual, policy);
		if (kind === undefined || (worst !== undefined && RANK[kind] <= RANK[worst.kind])) continue;
		const value = series.valueAt(n) as number;
		worst = { kind, morning: { day: n, value, swelling: swellingRank(series.at.get(n) as never) } };
	}
	return worst ?? {};
}

export function regionState(
	series: MorningSeries,
	sessions: readonly Session[],
	judged: Session | undefined,
	policy: Policy,
	events: readonly RecordedEvent[],
	todayN: number
): RegionState {
	const [reference, next] = judged === undefined ? [todayN, undefined] : daysAfter(judged);
	const usual = series.usualOn(reference).value;
	const latest = series.days[series.days.length - 1];
	const counts = latest !== undefined && todayN - latest <= LATEST_COUNTS_DAYS;
	const worst = worstMorning(
		series,
		[next, counts && latest >= reference ? latest : undefined],
		usual,
		policy,
		todayN
	);
	const { morning } = worst;
	const twice = worst.kind === 'up' && policy.morningRegressTwice && twiceInThree(series, sessions, policy);
	const told = twice ? 'unsettled' : worst.kind;
	const explained = morning !== undefined && told !== 'settled' && isExplained(events, morning.day);
	const medians = weeklyMedians(series, settledOn(series, next) ?? reference);
	const flareDays = counts ? openFlareDays(series, latest) : 0;
	const base = {
		usual,
		explained,
		flareDays,
		medians,
		again: unsettledAgain(series, usual, policy, morning?.day),
		...(morning ? { morning } : {})
	};
	return { ...base, kind: flareDays > 0 ? 'flare' : shownAs(told, explained, isRising(medians, policy)) };
}

/** What is explained by an unusual day is no more than up, and no rise; a rise shows where nothing worse does. */
function shownAs(told: MorningKind | undefined, explained: boolean, rising: boolean): RegionState['kind'] {
	if (told === 'unsettled' && !explained) return 'unsettled';
	if (rising && !explained) return 'rising';
	return told === 'unsettled' ? 'up' : (told ?? 'unknown');
}

/** The next morning, once it is in. */
const settledOn = (series: MorningSeries, next: number | undefined): number | undefined =>
	next !== undefined && series.valueAt(next) !== undefined ? next : undefined;

const daysAfter = ({ date }: Session): readonly [number, number] => [dayNumber(date), dayNumber(date) + 1];

/** Days of the flare that is open, up to the latest morning; 0 where none is. */
function openFlareDays({ flares }: MorningSeries, latest: number): number {
	const flare = flares[flares.length - 1];
	return flare !== undefined && flare.open ? latest - flare.from + 1 : 0;
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
