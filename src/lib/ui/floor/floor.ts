/** How one client on the floor stands just now. Pure: of what is done and of the clock. */
import type { FloorClient } from '#lib/contract/floor.ts';
import { begin, didOf, doseOf, isClosed, onward, setDone, toLog, type Run } from '../mine/run.ts';

/** Kept on the device after every tap. */
export interface OnFloor {
	readonly run: Run;
	/** Until when they rest, ms of the clock. */
	readonly restUntil: number | null;
	readonly logged: boolean;
}

export type FloorState =
	'held' | 'not-arrived' | 'nothing' | 'working' | 'resting' | 'rest-over' | 'how-was' | 'logged';

/** Begun on the floor: the arrival was asked at the door, its pains are those before. */
export function beginOn(c: FloorClient, freshId: () => string): OnFloor {
	const fresh = begin(c.work, c.today, freshId);
	const run = onward({ ...fresh, pains: c.before, lighter: c.arrived === 'lighter' }, c.work, -1);
	return { run, restUntil: null, logged: false };
}

/** What was kept goes on where the day and the plan are the same. */
export const goesOn = (kept: OnFloor | undefined, c: FloorClient): kept is OnFloor =>
	kept !== undefined &&
	kept.run.day === c.today &&
	c.work.every((w) => w.exerciseId === null || kept.run.logIds[w.exerciseId] !== undefined) &&
	Object.keys(kept.run.logIds).length === c.work.filter((w) => w.exerciseId !== null).length;

export function stateOf(c: FloorClient, on: OnFloor, now: number): FloorState {
	if (on.logged) return 'logged';
	if (c.flag || c.arrived === 'not-today') return 'held';
	if (c.arrived === null) return 'not-arrived';
	if (c.work.every((w) => isClosed(on.run, w))) return 'nothing';
	if (on.run.phase === 'after') return 'how-was';
	if (on.restUntil === null) return 'working';
	return on.restUntil <= now ? 'rest-over' : 'resting';
}

/** Seconds of rest that are left; below nought, how long it has been over. */
export const restLeft = ({ restUntil }: OnFloor, now: number): number =>
	restUntil === null ? 0 : Math.ceil((restUntil - now) / 1000);

/** What they are at: title, and the set that is on. */
export function atWhat(c: FloorClient, { run }: OnFloor): { readonly title: string; readonly set: string } {
	const w = run.phase === 'work' ? c.work[run.at] : undefined;
	if (w === undefined) return { title: '', set: '' };
	const dose = doseOf(run, w);
	const done = Math.min(didOf(run, w).sets, dose.sets);
	return { title: w.title, set: done >= dose.sets ? 'done' : `set ${done + 1} of ${dose.sets}` };
}

/** What hurt so far, the worst first. */
export const whatHurt = (
	c: FloorClient,
	{ run }: OnFloor
): readonly { readonly title: string; readonly pain: number }[] =>
	c.work
		.flatMap((w) => {
			const pain = didOf(run, w).hurt;
			return pain === null ? [] : [{ title: w.title, pain }];
		})
		.sort((a, b) => b.pain - a.pain);

/** Is there something to log? */
export const begun = (c: FloorClient, { run }: OnFloor): boolean => toLog(run, c.work).length > 0;

const TRAINS: ReadonlySet<FloorState> = new Set<FloorState>(['working', 'resting', 'rest-over']);

/** A set is done, of whoever trains; of anybody else, and past the last set, nothing. `asks` where it was the last and how hard it was is to be said. */
export function oneSet(
	c: FloorClient,
	on: OnFloor,
	now: number
): { readonly on: OnFloor; readonly asks: boolean } {
	const w = on.run.phase === 'work' ? c.work[on.run.at] : undefined;
	if (w === undefined || !TRAINS.has(stateOf(c, on, now)) || atWhat(c, on).set === 'done')
		return { on, asks: false };
	const done = setDone(on.run, c.work, now);
	if (didOf(done.run, w).sets < doseOf(on.run, w).sets) return { on: { ...on, ...done }, asks: false };
	// A warm-up is not logged: nothing is asked of it, and what comes next is on.
	return w.exerciseId === null
		? { on: { ...on, run: onward(done.run, c.work), restUntil: null }, asks: false }
		: { on: { ...on, ...done }, asks: true };
}
