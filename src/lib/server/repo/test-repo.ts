/** Function tests and totals of questionnaires: hundredths of their unit in the table, the unit outside. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Side } from '#lib/core/body/axis.ts';
import type { Extras } from '#lib/core/measure/function-test.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead, ofClient } from '../db/heads.ts';

export interface TestResult {
	readonly id: string;
	readonly clientId: string;
	readonly test: string;
	readonly side: Side | null;
	readonly value: number;
	readonly extras: Extras;
	readonly method: string;
	readonly day: Day;
}

export interface Total {
	readonly id: string;
	readonly instrument: string;
	readonly version: string;
	readonly total: number;
	readonly day: Day;
}

/** All results, of one client or of all, oldest first. */
export async function testResults(t: PracticeTransaction, clientId?: string): Promise<readonly TestResult[]> {
	const { rows } = await sql<{ id: string; client_id: string; test: string; side: Side | null; value_hundredths: number; extras: Extras; method: string; local_day: string }>`
		select r.id, r.client_id, r.test, r.side, r.value_hundredths, r.extras, r.method, r.local_day from test_result r
		where r.practice_id = ${t.practiceId} and ${isHead('test_result', 'r')} and ${ofClient('r', clientId)} order by r.local_day, r.recorded_at, r.id`.execute(t.trx);
	return rows.map((r) => ({ id: r.id, clientId: r.client_id, test: r.test, side: r.side, value: r.value_hundredths / 100, extras: r.extras, method: r.method, day: r.local_day }));
}

/** All totals of a client, oldest first. */
export async function totals(t: PracticeTransaction, clientId: string): Promise<readonly Total[]> {
	const { rows } = await sql<{ id: string; instrument: string; version: string; total_hundredths: number; local_day: string }>`
		select q.id, q.instrument, q.version, q.total_hundredths, q.local_day from questionnaire_total q
		where q.practice_id = ${t.practiceId} and ${isHead('questionnaire_total', 'q')} and ${ofClient('q', clientId)} order by q.local_day, q.recorded_at, q.id`.execute(t.trx);
	return rows.map((r) => ({ id: r.id, instrument: r.instrument, version: r.version, total: r.total_hundredths / 100, day: r.local_day }));
}
