/** What one session shows: work done, hardest effort, clean share, peaks. Missing values stay missing. */
import { addDays, type Day } from '../base/calendar-day.ts';
import type { Morning, Region, Session, SetEntry } from './record.ts';

/** Repetitions of a set that were done with the load they were asked with: none of a lighter set, those before a drop of one that was let down. */
function asAsked(set: SetEntry, askedKg: number | undefined): number {
	if (askedKg === undefined) return set.reps;
	if ((set.loadKg ?? askedKg) < askedKg) return 0;
	return set.drop === undefined || set.drop.toKg >= askedKg
		? set.reps
		: Math.min(set.reps, set.drop.afterReps);
}

/** Share of the prescribed repetitions that were done with the prescribed load, capped at 1. */
export function shareDone(s: Session): number {
	const asked = s.prescribed.sets * s.prescribed.reps;
	const done = s.sets.reduce(
		(sum, set) => sum + Math.min(asAsked(set, s.prescribed.loadKg), s.prescribed.reps),
		0
	);
	return asked <= 0 ? 1 : Math.min(1, done / asked);
}

/** The hardest effort of all sets; undefined when any set lacks one. */
export function hardestEffort(s: Session): number | undefined {
	let hardest: number | undefined;
	for (const set of s.sets) {
		if (set.effort === undefined) return undefined;
		hardest = Math.max(hardest ?? 0, set.effort);
	}
	return hardest;
}

/**
 * Share of the repetitions done before the first fault of their set; undefined when any set does not say. A fault that was seen while every
 * repetition is called clean takes its own share off: the careful side of a contradiction.
 */
export function cleanShare(s: Session): number | undefined {
	let reps = 0;
	let clean = 0;
	for (const set of s.sets) {
		if (set.cleanReps === undefined) return undefined;
		reps += set.reps;
		clean += Math.min(set.cleanReps, set.reps);
	}
	if (reps === 0) return undefined;
	return clean < reps ? clean / reps : 1 - Math.max(0, ...Object.values(s.faults ?? {}));
}

export const painIn = (s: Session, region: Region): Session['pains'][number] | undefined =>
	s.pains.find((p) => p.region === region);

/** Peak less before, in a region: what the session itself added. */
export function painAdded(s: Session, region: Region): number {
	const p = painIn(s, region);
	return p?.peak === undefined ? 0 : p.peak - (p.before ?? 0);
}

const worse = (a: number | null, b: number | null): number | null =>
	a === null ? b : b === null ? a : Math.max(a, b);

export interface PainDay extends PainAround {
	readonly date: Day;
}

/** The pain of a region by day, oldest first: of several sessions on a day the worst of each. */
export function painByDay(
	sessions: readonly Session[],
	region: Region,
	mornings: readonly Morning[]
): readonly PainDay[] {
	const days = new Map<Day, PainDay>();
	for (const s of sessions) {
		const now = painAround(s, region, mornings);
		const known = days.get(s.date) ?? now;
		days.set(s.date, {
			date: s.date,
			before: worse(known.before, now.before),
			peak: worse(known.peak, now.peak),
			after: worse(known.after, now.after),
			evening: worse(known.evening, now.evening),
			next: worse(known.next, now.next)
		});
	}
	return [...days.values()].sort((a, b) => (a.date < b.date ? -1 : 1));
}

/** The worst of each region over several sessions; a region of which nothing was said is left out. */
export function worstByRegion(sessions: readonly Session[]): ReadonlyMap<Region, number> {
	const worst = new Map<Region, number>();
	for (const { region, peak } of sessions.flatMap((s) => s.pains))
		if (peak !== undefined) worst.set(region, Math.max(worst.get(region) ?? 0, peak));
	return worst;
}

type PainAround = Readonly<Record<'before' | 'peak' | 'after' | 'evening' | 'next', number | null>>;

/** Pain of a region before, at its worst, after, that evening, and on the morning that followed; null where it was not said. */
export function painAround(s: Session, region: Region, mornings: readonly Morning[]): PainAround {
	const p = painIn(s, region);
	const after = addDays(s.date, 1);
	const next = mornings.find((m) => m.date === after && m.region === region);
	return {
		before: p?.before ?? null,
		peak: p?.peak ?? null,
		after: p?.after ?? null,
		evening: p?.evening ?? null,
		next: next?.pain ?? null
	};
}
