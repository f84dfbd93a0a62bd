/** A session on a client's own page, as far as it is done. Pure: kept as it stands after every tap, and turned into the fields of its form at the end. */
import type { AlarmNow } from '#lib/core/safety/alarm.ts';
import type { MineWork } from '#lib/contract/mine.ts';
import { lighterDose, type Arrival } from '#lib/core/decision/arrival.ts';
import { closedToday } from '#lib/core/decision/closed-today.ts';
import { JOINTS } from '#lib/core/session/joints.ts';
import type { Tag } from '#lib/core/exercise/family.ts';

export interface Did {
	readonly sets: number;
	/** Of the last set, where it was not the whole of it. */
	readonly lastReps: number | null;
	readonly because: string;
	readonly effort: string;
	/** The worst that "that hurts" was said of it. */
	readonly hurt: number | null;
	readonly left: boolean;
	/** Where it was felt; empty where nobody asked. */
	readonly felt: '' | 'muscle' | 'joint' | 'both';
	/** The weight was let down: in which set, from 0, after how many of it, to how much. */
	readonly less: { readonly set: number; readonly after: number; readonly toKg: number } | null;
}
export const NOTHING: Did = {
	...{ sets: 0, lastReps: null, because: '', effort: '', hurt: null, left: false },
	...{ felt: '', less: null }
};

export interface Run {
	readonly id: string;
	readonly visitId: string;
	readonly day: string;
	readonly phase: 'now' | 'work' | 'after';
	/** Which exercise is on, from 0. */
	readonly at: number;
	readonly did: Readonly<Record<string, Did>>;
	readonly logIds: Readonly<Record<string, string>>;
	/** "knee-right.before" → "2". */
	readonly pains: Readonly<Record<string, string>>;
	/** How sure of these exercises, 0–10. */
	readonly sure?: string;
	/** What coming in closed, and whether the day is lighter. */
	readonly closes: Arrival['closes'];
	readonly lighter: boolean;
	/** How they came closed the day: what is done about it at once, null where nothing is. It holds until the day is over. */
	readonly notToday?: { readonly now: AlarmNow | null };
}

export const keyOf = (w: MineWork): string => w.exerciseId ?? `alone:${w.title}`;
export const didOf = (run: Run, w: MineWork): Did => ({ ...NOTHING, ...run.did[keyOf(w)] });

export function begin(work: readonly MineWork[], day: string, freshId: () => string): Run {
	return {
		...{ id: freshId(), visitId: freshId(), day, phase: 'now', at: 0, did: {}, pains: {} },
		logIds: Object.fromEntries(
			work.flatMap((w) => (w.exerciseId === null ? [] : [[w.exerciseId, freshId()]]))
		),
		...{ closes: [], lighter: false }
	};
}

/** Is it not for today: held when the page was made, or closed by how they came? */
export const isClosed = (run: Run, w: MineWork): boolean =>
	w.held ||
	(w.region === null
		? run.closes === 'day'
		: closedToday(
				{ closes: run.closes, reasons: [{ code: 'pain' }] },
				{ region: w.region, tags: w.tags as Tag[] }
			).length > 0);

/** What is done of it today: less on a lighter day; what came lighter from the practice already is not lightened twice. */
export const doseOf = (run: Run, { sets, reps, lighter }: MineWork): { sets: number; reps: number } =>
	run.lighter && !lighter ? lighterDose({ sets, reps }) : { sets, reps };

/** Until when they rest after a set, ms of the clock; null after the last, or where there is no rest. */
export const restAfter = (done: number, sets: number, restSec: number, now: number): number | null =>
	done + 1 < sets && restSec > 0 ? now + restSec * 1000 : null;

export const withDid = (run: Run, w: MineWork, more: Partial<Did>): Run => ({
	...run,
	did: { ...run.did, [keyOf(w)]: { ...didOf(run, w), ...more } }
});

/** There is something left of it to do. */
const isUnfinished = (run: Run, w: MineWork): boolean => {
	const { sets, lastReps, left } = didOf(run, w);
	return !left && lastReps === null && sets < doseOf(run, w).sets && !isClosed(run, w);
};

/** Nothing is left to do of it, nor to say. */
const isOver = (run: Run, w: MineWork): boolean => {
	const { sets, lastReps, left, effort } = didOf(run, w);
	const done = lastReps !== null || sets >= doseOf(run, w).sets;
	return left || (done && (w.exerciseId === null || effort !== ''));
};

/** What is done in turn with one, itself among it, by their places. */
const turnAt = (work: readonly MineWork[], at: number): readonly number[] => {
	const turn = work[at]?.turn ?? -1;
	return turn < 0 ? [at] : work.flatMap((w, i) => (w.turn === turn ? [i] : []));
};

/** What is done in turn with an exercise besides it. */
export const inTurnWith = (work: readonly MineWork[], at: number): readonly MineWork[] =>
	turnAt(work, at).flatMap((i) => (i === at ? [] : [work[i] as MineWork]));

/**
 * A set is done: of work in turn the next one comes, with a rest where the round is over; of work alone its rest. After the last set of an exercise how hard it was
 * is asked first.
 */
export function setDone(
	run: Run,
	work: readonly MineWork[],
	now: number
): { readonly run: Run; readonly restUntil: number | null } {
	const w = work[run.at];
	if (w === undefined) return { run, restUntil: null };
	const { sets } = didOf(run, w);
	const dose = doseOf(run, w);
	const done = withDid(run, w, { sets: Math.min(dose.sets, sets + 1) });
	if (sets + 1 >= dose.sets) return { run: done, restUntil: null };
	const turn = turnAt(work, run.at);
	const here = turn.indexOf(run.at);
	const round = [...turn.slice(here + 1), ...turn.slice(0, here)];
	const next = round.find((i) => isUnfinished(done, work[i] as MineWork));
	if (next === undefined) return { run: done, restUntil: restAfter(sets, dose.sets, w.restSec, now) };
	const rest = next > run.at ? 0 : Math.max(...turn.map((i) => work[i]?.restSec ?? 0));
	return { run: { ...done, at: next }, restUntil: rest > 0 ? now + rest * 1000 : null };
}

/** The next exercise that is not closed, after one: what was begun in turn with it first; past the last, how it was is asked. */
export function onward(run: Run, work: readonly MineWork[], from = run.at): Run {
	const begun = turnAt(work, from).find(
		(i) => i < from && isBegun(didOf(run, work[i] as MineWork)) && isUnfinished(run, work[i] as MineWork)
	);
	const next = begun ?? work.findIndex((w, i) => i > from && !isClosed(run, w) && !isOver(run, w));
	return next === -1 ? { ...run, phase: 'after' } : { ...run, phase: 'work', at: next };
}

/** Begun: a repetition was done of it, or it hurt before one was. */
export const isBegun = ({ sets, lastReps, hurt }: Did): boolean =>
	sets + (lastReps ?? 0) > 0 || hurt !== null;

/** What is logged. */
export const toLog = (run: Run, work: readonly MineWork[]): readonly MineWork[] =>
	work.filter((w) => w.exerciseId !== null && isBegun(didOf(run, w)));

export const regionsOf = (run: Run, work: readonly MineWork[]): readonly string[] => [
	...new Set(toLog(run, work).flatMap((w) => [w.region ?? [], w.other ?? []].flat()))
];

/** The weight let down in the set that is on; what is no less, or no number, takes it back. */
export function lessFrom(
	w: MineWork,
	dose: { readonly sets: number; readonly reps: number },
	did: Did,
	after: number,
	kg: string
): Pick<Did, 'less'> {
	const toKg = Number(kg);
	if (kg.trim() === '' || !(toKg >= 0 && toKg < w.loadKg)) return { less: null };
	const set = Math.min(did.sets, dose.sets - 1);
	return { less: { set, after: Math.min(Math.max(0, Math.round(after)), dose.reps - 1), toKg } };
}

type Fields = readonly (readonly [name: string, value: string])[];

/** The weight of the set that it was let down in, and of those after. */
function lessOf(w: MineWork, { less, sets, lastReps }: Did): Fields {
	if (less === null) return [];
	const kg = String(less.toKg);
	// Of a set that was broken off sooner, at its end.
	const after = less.set < sets ? less.after : Math.min(less.after, lastReps ?? 0);
	const first: Fields =
		after === 0
			? [[`set.${less.set}.load`, kg]]
			: [
					[`set.${less.set}.dropAfter`, String(after)],
					[`set.${less.set}.dropTo`, kg]
				];
	const later = Array.from({ length: Math.max(0, w.sets - less.set - 1) }, (_, i) => less.set + 1 + i);
	return [...first, ...later.map((s) => [`set.${s}.load`, kg] as const)];
}

function feltOf({ region }: MineWork, { felt }: Did): Fields {
	if (felt === '') return [];
	const part = (region ?? '').split('-')[0] ?? '';
	const joint = (JOINTS as readonly string[]).includes(part) ? part : 'other';
	return [
		['feltMuscle', felt === 'joint' ? 'no' : 'yes'],
		['feltJoint', felt === 'muscle' ? 'none' : joint]
	];
}

/** Of sets that were not done whole, what was done of them. */
function setsOf(w: MineWork, did: Did): Fields {
	const out: [string, string][] = [];
	for (let s = did.sets; s < w.sets; s++)
		out.push([`set.${s}.reps`, s === did.sets && did.lastReps !== null ? String(did.lastReps) : '0']);
	return out;
}

/** How sure they were, why it was less, and the worst it hurt. */
function endOf(run: Run, w: MineWork, did: Did): Fields {
	const less = did.sets < doseOf(run, w).sets || did.lastReps !== null || did.less !== null;
	const worst = Math.max(did.hurt ?? 0, Number(run.pains[`${w.region}.peak`] ?? 0));
	return [
		...((run.sure ?? '') === '' ? [] : [['confidence', run.sure as string] as const]),
		...(less ? [['incompleteBecause', did.because === '' ? 'other' : did.because] as const] : []),
		...(did.hurt === null ? [] : [['peak', String(worst)] as const])
	];
}

/** The fields of its form; what is missing is named by the first that is. */
export function fieldsOf(
	run: Run,
	work: readonly MineWork[]
): { readonly fields: [string, string][] } | { readonly missing: 'effort' | 'pain' } {
	const done = toLog(run, work);
	if (done.some((w) => didOf(run, w).effort === '')) return { missing: 'effort' };
	const fields: [string, string][] = [
		['visitId', run.visitId],
		['day', run.day]
	];
	for (const [i, w] of done.entries()) {
		const did = didOf(run, w);
		const put = (name: string, value: string): void => void fields.push([`e.${i}.${name}`, value]);
		put('id', run.logIds[w.exerciseId as string] as string);
		put('exerciseId', w.exerciseId as string);
		put('prescriptionId', w.prescriptionId as string);
		put('effort', did.effort);
		for (const [name, value] of [
			...setsOf(w, did),
			...lessOf(w, did),
			...feltOf(w, did),
			...endOf(run, w, did)
		])
			put(name, value);
	}
	for (const region of regionsOf(run, work))
		for (const when of ['before', 'peak', 'after'] as const) {
			const pain = run.pains[`${region}.${when}`] ?? '';
			if (pain === '') return { missing: 'pain' };
			fields.push([`pain.${region}.${when}`, pain]);
		}
	return { fields };
}
