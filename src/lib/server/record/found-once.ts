/** What is looked up in a record again and again, found once: sessions by exercise, and whose prescription a session was done under. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { onceFor } from '#lib/core/base/once-for.ts';
import type { Morning, Session } from '#lib/core/session/record.ts';
import { puttingTold } from '#lib/core/session/told.ts';
import { written } from '#lib/wording/written-as.ts';
import type { Exercise, Prescription } from '../repo/exercise-repo.ts';
import type { Logged } from '../repo/log-repo.ts';
import type { ClientRecord } from './load.ts';

/** A record never changes. */
export const oncePerRecord = <T>(work: (r: ClientRecord) => T): ((r: ClientRecord) => T) => onceFor(work);

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

/** A record without what was given and done: who they are, where they train, how their mornings were. */
export type Ground = Pick<ClientRecord, 'head' | 'body' | 'policy' | 'room' | 'mornings'>;

/** The same where what was given and done has no part in it: found again after each session that is logged. */
export function oncePerGround<T>(work: (r: Ground, today: Day) => T): (r: Ground, today: Day) => T {
	type Known = Map<string, { readonly value: T }>;
	const known = onceFor((_head: Ground['head']) =>
		onceFor((_body: Ground['body']) =>
			onceFor((_policy: Ground['policy']) =>
				onceFor((_room: Ground['room']) => onceFor((_mornings: Ground['mornings']): Known => new Map()))
			)
		)
	);
	return (r, today) => {
		const { units, dateOrder } = written();
		const of = known(r.head)(r.body)(r.policy)(r.room)(r.mornings);
		const at = `${today}|${units}|${dateOrder}`;
		const found = of.get(at);
		if (found !== undefined) return found.value;
		const value = work(r, today);
		of.set(at, { value });
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

const asTold = onceFor(puttingTold);

/** A session with what was told of it afterwards; itself where nothing was. */
export const toldOf = (r: ClientRecord, { session }: Pick<Logged, 'session'>): Session =>
	asTold(r.told)(session);

const byRegion = onceFor((mornings: readonly Morning[]) => {
	const out = new Map<string, Morning[]>();
	for (const m of mornings) {
		const own = out.get(m.region);
		if (own === undefined) out.set(m.region, [m]);
		else own.push(m);
	}
	return out;
});
const NO_MORNING: readonly Morning[] = [];

/** Mornings of a region, in the order of the record; the same list for every exercise of it, and until there is another morning. */
export const morningsOf = (r: ClientRecord, region: string): readonly Morning[] =>
	byRegion(r.mornings).get(region) ?? NO_MORNING;

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
