/** What is looked up in a record again and again, found once: sessions by exercise, and whose prescription a session was done under. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Morning } from '#lib/core/session/record.ts';
import { written } from '#lib/wording/written-as.ts';
import type { Exercise, Prescription } from '../repo/exercise-repo.ts';
import type { Logged } from '../repo/log-repo.ts';
import type { ClientRecord } from './load.ts';

/** Works something out once for a record; a record never changes. */
export function oncePerRecord<T>(work: (r: ClientRecord) => T): (r: ClientRecord) => T {
	const known = new WeakMap<ClientRecord, { readonly value: T }>();
	return (r) => {
		const found = known.get(r);
		if (found !== undefined) return found.value;
		const value = work(r);
		known.set(r, { value });
		return value;
	};
}

/** The same for what a day has a part in, and the way in which words are written; `key` tells several answers of one day apart. */
export function oncePerDay<T, A extends readonly unknown[] = []>(
	work: (r: ClientRecord, today: Day, ...rest: A) => T,
	key: (...rest: A) => string = () => ''
): (r: ClientRecord, today: Day, ...rest: A) => T {
	const known = oncePerRecord(() => new Map<string, { readonly value: T }>());
	return (r, today, ...rest) => {
		const { units, dateOrder } = written();
		const at = `${today}|${units}|${dateOrder}|${key(...rest)}`;
		const found = known(r).get(at);
		if (found !== undefined) return found.value;
		const value = work(r, today, ...rest);
		known(r).set(at, { value });
		return value;
	};
}

const byExercise = oncePerRecord((r) => {
	const out = new Map<string, Logged[]>();
	for (const l of r.logs) {
		const own = out.get(l.exerciseId);
		if (own === undefined) out.set(l.exerciseId, [l]);
		else own.push(l);
	}
	return out;
});
const NONE: readonly Logged[] = [];

/** Sessions of an exercise, in the order of the record. */
export const logsOf = (r: ClientRecord, exerciseId: string): readonly Logged[] =>
	byExercise(r).get(exerciseId) ?? NONE;

const byRegion = oncePerRecord((r) => {
	const out = new Map<string, Morning[]>();
	for (const m of r.mornings) {
		const own = out.get(m.region);
		if (own === undefined) out.set(m.region, [m]);
		else own.push(m);
	}
	return out;
});
const NO_MORNING: readonly Morning[] = [];

/** Mornings of a region, in the order of the record; the same list for every exercise of it. */
export const morningsOf = (r: ClientRecord, region: string): readonly Morning[] =>
	byRegion(r).get(region) ?? NO_MORNING;

const byPrescription = oncePerRecord(
	(r) =>
		new Map(
			r.everGiven.flatMap((exercise) =>
				exercise.prescriptions.map(
					(prescription) => [`${exercise.id} ${prescription.id}`, { exercise, prescription }] as const
				)
			)
		)
);

/** The prescription that a session was done under, and its exercise; undefined where it is no longer there. */
export const givenUnder = (
	r: ClientRecord,
	{ exerciseId, prescriptionId }: Pick<Logged, 'exerciseId' | 'prescriptionId'>
): { readonly exercise: Exercise; readonly prescription: Prescription } | undefined =>
	byPrescription(r).get(`${exerciseId} ${prescriptionId}`);
