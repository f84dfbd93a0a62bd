/** Logged sessions: a visit with the exercises done in it, field for field as the core reads them: one table says which column keeps which key, for reading and writing. */
import { sql, type Insertable, type RawBuilder } from 'kysely';
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
function sessionOf(
	row: Readonly<Record<LogColumn, unknown>>,
	visit: Pick<Session, 'date' | 'observed'>
): Session {
	const session: Record<string, unknown> = { ...visit };
	for (const key of KEYS) {
		const value = row[COLUMNS[key][0]];
		if (value !== null) session[key] = value;
	}
	for (const mark of MARKED) if (row[MARKS[mark]] === true) session[mark] = true;
	return session as unknown as Session;
}

interface Row extends Record<LogColumn, unknown> {
	id: string;
	client_id: string;
	exercise_id: string;
	prescription_id: string;
	visit_id: string;
	written_by: string;
	change: number;
	voided: boolean;
	replaces_id: string | null;
	local_day: string;
	started_at: Date;
	observed: boolean;
}

/** A session with its place among the others: by its day, by when its visit began, in the order of writing. */
export interface Placed extends Logged {
	readonly startedAt: number;
	readonly change: number;
}

const OWN = sql.join(LOG_COLUMNS.map((c) => sql.ref(`l.${c}`)));

async function rowsWhere(t: PracticeTransaction, which: RawBuilder<boolean>): Promise<readonly Row[]> {
	const { rows } = await sql<Row>`
		select l.id, l.client_id, l.exercise_id, l.prescription_id, l.visit_id, l.written_by, l.change, l.voided, l.replaces_id, v.local_day, v.started_at, v.observed, ${OWN}
		from exercise_log l join visit v on v.practice_id = l.practice_id and v.id = l.visit_id
		where ${which} order by v.local_day, v.started_at, l.change`.execute(t.trx);
	return rows;
}

const placed = (r: Row): Placed => ({
	id: r.id,
	clientId: r.client_id,
	exerciseId: r.exercise_id,
	prescriptionId: r.prescription_id,
	visitId: r.visit_id,
	writtenBy: r.written_by,
	startedAt: r.started_at.getTime(),
	change: r.change,
	session: sessionOf(r, { date: r.local_day, observed: r.observed })
});

/** All logs, oldest first. */
export const logs = async (t: PracticeTransaction, whose?: Whose): Promise<readonly Placed[]> =>
	(await rowsWhere(t, sql`${isHead('exercise_log', 'l')} and ${ofClient('l', whose)}`)).map(placed);

/** All logs of a client who had these at a number of their record: what was written since is read, and takes what it replaces away. */
export async function logsSince(
	t: PracticeTransaction,
	clientId: string,
	known: readonly Placed[],
	change: number
): Promise<readonly Placed[]> {
	const rows = await rowsWhere(t, sql`${ofClient('l', clientId)} and l.change > ${change}`);
	const gone = new Set(rows.flatMap((r) => (r.replaces_id === null ? [r.id] : [r.id, r.replaces_id])));
	const replaced = new Set(rows.map((r) => r.replaces_id));
	const heads = rows.filter((r) => !r.voided && !replaced.has(r.id)).map(placed);
	return [...known.filter((l) => !gone.has(l.id)), ...heads].sort(inOrder);
}

function inOrder(a: Placed, b: Placed): number {
	if (a.session.date !== b.session.date) return a.session.date < b.session.date ? -1 : 1;
	return a.startedAt - b.startedAt || a.change - b.change;
}
