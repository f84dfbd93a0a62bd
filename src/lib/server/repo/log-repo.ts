/** Logged sessions: a visit with the exercises done in it, field for field as the core reads them: one table says which column keeps which key, for reading and writing. */
import { sql, type Insertable } from 'kysely';
import type { Session } from '#lib/core/session/record.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead, ofClient, type Whose } from '../db/heads.ts';
import type { Tables } from '../db/tables.ts';

export interface Logged {
	readonly id: string;
	readonly clientId: string;
	readonly exerciseId: string;
	readonly prescriptionId: string;
	readonly visitId: string;
	readonly writtenBy: string;
	readonly session: Session;
}

/** Keys that are a column of their own; JSON where it is more than one value. */
const COLUMNS = {
	prescribed: ['prescribed', 'json'],
	sets: ['sets', 'json'],
	pains: ['pains', 'json'],
	painAt: ['pain_at', 'plain'],
	painOnlyLoaded: ['pain_only_loaded', 'plain'],
	symptoms: ['symptoms', 'json'],
	radiatingLower: ['radiating_lower', 'plain'],
	caudaEquina: ['cauda_equina', 'plain'],
	faults: ['faults', 'json'],
	incompleteBecause: ['incomplete_because', 'plain'],
	soreness: ['soreness', 'plain'],
	confidence: ['confidence', 'plain'],
	felt: ['felt', 'json'],
	asUsual: ['as_usual', 'json'],
	sorenessOver72h: ['soreness_over_72h', 'plain']
} as const satisfies Partial<Record<keyof Session, readonly [string, 'plain' | 'json']>>;
/** True, or not said at all. */
const MARKS = { againstAdvice: 'against_advice', lighter: 'lighter' } as const satisfies Partial<
	Record<keyof Session, string>
>;

type Key = keyof typeof COLUMNS;
type Mark = keyof typeof MARKS;
const KEYS = Object.keys(COLUMNS) as readonly Key[];
const MARKED = Object.keys(MARKS) as readonly Mark[];

type LogColumn = (typeof COLUMNS)[Key][0] | (typeof MARKS)[Mark];
/** The columns of a session, to be selected. */
const LOG_COLUMNS: readonly LogColumn[] = [...KEYS.map((k) => COLUMNS[k][0]), ...MARKED.map((k) => MARKS[k])];

/** A session as its columns. */
export const columnsOf = (s: Session): Pick<Insertable<Tables['exercise_log']>, LogColumn> =>
	Object.fromEntries([
		...KEYS.map((k) => {
			const [column, as] = COLUMNS[k];
			const value = s[k];
			return [column, value === undefined ? null : as === 'json' ? JSON.stringify(value) : value] as const;
		}),
		...MARKED.map((k) => [MARKS[k], s[k] === true] as const)
	]) as unknown as Pick<Insertable<Tables['exercise_log']>, LogColumn>;

/** A session from its columns; day and who saw it are the visit's. */
const sessionOf = (
	row: Readonly<Record<LogColumn, unknown>>,
	visit: Pick<Session, 'date' | 'observed'>
): Session =>
	({
		...visit,
		...Object.fromEntries(
			KEYS.flatMap((k) => (row[COLUMNS[k][0]] === null ? [] : [[k, row[COLUMNS[k][0]]]]))
		),
		...Object.fromEntries(MARKED.flatMap((k) => (row[MARKS[k]] === true ? [[k, true]] : [])))
	}) as unknown as Session;

interface Row extends Record<LogColumn, unknown> {
	id: string;
	client_id: string;
	exercise_id: string;
	prescription_id: string;
	visit_id: string;
	written_by: string;
	local_day: string;
	observed: boolean;
}

const OWN = sql.join(LOG_COLUMNS.map((c) => sql.ref(`l.${c}`)));

/** All logs, oldest first. */
export async function logs(t: PracticeTransaction, whose?: Whose): Promise<readonly Logged[]> {
	const { rows } = await sql<Row>`
		select l.id, l.client_id, l.exercise_id, l.prescription_id, l.visit_id, l.written_by, v.local_day, v.observed, ${OWN}
		from exercise_log l join visit v on v.practice_id = l.practice_id and v.id = l.visit_id
		where ${isHead('exercise_log', 'l')} and ${ofClient('l', whose)} order by v.local_day, v.started_at, l.recorded_at`.execute(
		t.trx
	);
	return rows.map((r) => ({
		id: r.id,
		clientId: r.client_id,
		exerciseId: r.exercise_id,
		prescriptionId: r.prescription_id,
		visitId: r.visit_id,
		writtenBy: r.written_by,
		session: sessionOf(r, { date: r.local_day, observed: r.observed })
	}));
}
