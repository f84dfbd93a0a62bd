/**
 * What the rules read, worked out once: sessions in order, those since the last change, the last one, usual pain, region states
 * and who the suspect is. The record's order does not matter.
 */
import { dayNumber } from '../base/calendar-day.ts';
import { canonicalOnce } from '../base/canonical.ts';
import type { Morning, Region, Session } from '../session/record.ts';
import { painAdded } from '../session/work.ts';
import { RESTARTS, type Change, type DecideInput } from './input.ts';
import type { Policy } from './policy.ts';
import { regionState, type RegionState } from './region.ts';
import { morningSeries, type MorningSeries, type Usual } from './usual.ts';

export interface Facts {
	readonly input: DecideInput;
	readonly policy: Policy;
	readonly todayN: number;
	readonly region: Region;
	readonly sessions: readonly Session[];
	readonly since: readonly Session[];
	/** Those of them after what restarts the region's streaks: a limit, an operation, an injection, a flag that was closed. */
	readonly fresh: readonly Session[];
	readonly last: Session | undefined;
	/** The last session before the change, whose next morning arrived after it. */
	readonly late: Session | undefined;
	readonly lastChange: Change | undefined;
	readonly series: MorningSeries;
	readonly usual: Usual;
	readonly state: RegionState;
	readonly suspect: boolean;
	readonly longStanding: boolean;
}

const byDate = <T extends { readonly date: string }>(items: readonly T[]): T[] =>
	items
		.map((item) => ({ item, n: dayNumber(item.date) }))
		.sort((a, b) => a.n - b.n || (canonicalOnce(a.item) < canonicalOnce(b.item) ? -1 : 1))
		.map((x) => x.item);

/** What a feared movement asks of confidence where the policy asks nothing. @source practice-setting the least of the policies that do */
const FEARED_CONFIDENCE = 5;

const policyFor = ({ policy, exercise }: DecideInput): Policy =>
	exercise.feared === true && policy.confidenceMin === null
		? { ...policy, confidenceMin: FEARED_CONFIDENCE }
		: policy;

export function factsOf(input: DecideInput): Facts {
	const { exercise } = input;
	const policy = policyFor(input);
	const todayN = dayNumber(input.today);
	const region = exercise.region;
	const sessions = byDate(input.sessions.filter((s) => dayNumber(s.date) <= todayN));
	const all = byDate(input.changes.filter((c) => dayNumber(c.date) <= todayN));
	const changes = all.filter((c) => !isRestart(c));
	const lastChange = changes[changes.length - 1];
	const restart = Math.max(-Infinity, ...all.filter(isRestart).map((c) => dayNumber(c.date)));
	const since = sessions.filter((s) => isSince(s, lastChange));
	const fresh = since.filter((s) => dayNumber(s.date) > restart);
	const last = since[since.length - 1];
	const counted = new Set(since);
	const before = sessions.filter((s) => !counted.has(s));
	// Older than the streak's window it no longer anchors anything.
	const lastBefore = before.slice(-1).find((s) => todayN - dayNumber(s.date) <= policy.streakDays);
	const judgedDay = last?.date ?? lastBefore?.date;
	const intake = input.client.usual[region]?.intake;
	const series = morningSeries(input.mornings, region, intake, policy.morningRule, input.today, judgedDay);
	const late = last === undefined && isLate(lastBefore, lastChange, series) ? lastBefore : undefined;
	const events = input.events ?? [];
	const state = regionState(series, since, last ?? late, policy, events, todayN);
	const usual = series.usualOn(judgedDay === undefined ? todayN : dayNumber(judgedDay));
	const confirmed = input.client.usual[region]?.longStanding === true;
	return {
		input,
		policy,
		todayN,
		region,
		sessions,
		since,
		fresh,
		last,
		late,
		lastChange,
		series,
		usual,
		state,
		suspect: isSuspect(input, sessions, lastChange, last ?? late),
		longStanding: confirmed && state.kind !== 'rising' && state.kind !== 'flare'
	};
}

const isRestart = (c: Change): boolean => (RESTARTS as readonly string[]).includes(c.kind);

function isSince(s: Session, change: Change | undefined): boolean {
	if (s.sinceChange !== undefined) return s.sinceChange;
	if (change === undefined) return true;
	const gap = dayNumber(s.date) - dayNumber(change.date);
	return change.kind === 'start' ? gap >= 0 : gap > 0;
}

/** The change was made on or before the morning that belongs to the session before it. */
function isLate(session: Session | undefined, change: Change | undefined, series: MorningSeries): boolean {
	if (session === undefined || change === undefined) return false;
	const morning = dayNumber(session.date) + 1;
	return series.valueAt(morning) !== undefined && dayNumber(change.date) < morning;
}

/**
 * One suspect a region: first what was changed in the last two sessions, then the largest peak − before, then the highest demand;
 * the exercise's id breaks the last tie, so that exactly one is named.
 */
function isSuspect(
	input: DecideInput,
	sessions: readonly Session[],
	change: Change | undefined,
	judged: Session | undefined
): boolean {
	const recent = (changedOn: string | undefined): boolean =>
		changedOn !== undefined && sessions.filter((s) => dayNumber(s.date) >= dayNumber(changedOn)).length <= 2;
	const mine = {
		id: input.exercise.id,
		recent: recent(change?.date),
		added: judged === undefined ? 0 : painAdded(judged, input.exercise.region),
		demand: input.demand ?? 0
	};
	return input.others.every((o) => {
		const theirs = recent(o.changedOn);
		if (mine.recent !== theirs) return mine.recent;
		if (mine.added !== o.peakMinusBefore) return mine.added > o.peakMinusBefore;
		if (mine.demand !== o.demand) return mine.demand > o.demand;
		return o.id === undefined || mine.id <= o.id;
	});
}

/** The next morning of a session in the exercise's region. */
export const nextMorning = (f: Facts, s: Session): Morning | undefined =>
	f.series.at.get(dayNumber(s.date) + 1);
export const nextMorningValue = (f: Facts, s: Session): number | undefined =>
	f.series.valueAt(dayNumber(s.date) + 1);
