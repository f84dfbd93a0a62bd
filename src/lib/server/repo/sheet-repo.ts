/**
 * The measure sheet: ranges (tenths of a degree in the table, degrees outside), function tests and totals of questionnaires (hundredths
 * of their unit in the table, the unit outside).
 */
import { sql } from 'kysely';
import { AXES, type Axis, isMidline, type Side } from '#lib/core/body/axis.ts';
import type { Extras } from '#lib/core/measure/function-test.ts';
import type { RangeId, Stop } from '#lib/core/measure/range-kind.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Envelope, Tolerated } from '#lib/core/client/envelope.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead, ofClient, type Whose } from '../db/heads.ts';

export interface Measurement {
	readonly id: string;
	readonly clientId: string;
	readonly axis: RangeId;
	readonly side: Side;
	readonly onset: number;
	readonly tolerable: number;
	readonly end: number;
	readonly pain: number;
	readonly day: Day;
	readonly method: string;
	/** What was read off, where it was turned into degrees: knee to wall in cm. */
	readonly rawCm: number | null;
	readonly loaded: boolean;
	/** What stopped it at its end; null where that was not noted. */
	readonly stop: Stop | null;
}

interface MeasurementRow {
	id: string;
	client_id: string;
	axis: RangeId;
	side: Side;
	onset_tenths: number;
	tolerable_tenths: number;
	end_tenths: number;
	pain: number;
	local_day: string;
	method: string;
	raw_value: number | null;
	loaded: boolean;
	limited_by: Stop | null;
}

/** All measurements, oldest first. */
export async function measurements(t: PracticeTransaction, whose?: Whose): Promise<readonly Measurement[]> {
	const { rows } = await sql<MeasurementRow>`
		select m.id, m.client_id, m.axis, m.side, m.onset_tenths, m.tolerable_tenths, m.end_tenths, m.pain, m.local_day, m.method, m.raw_value, m.loaded, m.limited_by
		from measurement m where ${isHead('measurement', 'm')} and ${ofClient('m', whose)} order by m.local_day, m.recorded_at`.execute(
		t.trx
	);
	return rows.map(measurementFrom);
}

const measurementFrom = (r: MeasurementRow): Measurement => ({
	id: r.id,
	clientId: r.client_id,
	axis: r.axis,
	side: r.side,
	onset: r.onset_tenths / 10,
	tolerable: r.tolerable_tenths / 10,
	end: r.end_tenths / 10,
	pain: r.pain,
	day: r.local_day,
	method: r.method,
	rawCm: r.raw_value === null ? null : r.raw_value / 10,
	loaded: r.loaded,
	stop: r.limited_by ?? null
});

/** The latest of each axis and side; movements that no set-up is solved on stay out. */
export function measuredEnvelope(
	all: readonly Measurement[],
	realChange: (method: string) => number
): Envelope {
	const out: { [A in Axis]?: { [S in Side]?: Tolerated } } = {};
	for (const m of all) {
		const axis = AXES.find((a) => a === m.axis);
		if (axis === undefined) continue;
		const read: Tolerated = {
			painFree: m.onset,
			tolerable: m.tolerable,
			end: m.end,
			date: m.day,
			loaded: m.loaded,
			from: 'measured',
			...(m.pain > 0 ? { endHurts: true } : {}),
			realChangeDeg: realChange(m.method)
		};
		// Of a movement of the back there is one reading; it holds for the work of either side.
		out[axis] = isMidline(axis) ? { left: read, right: read } : { ...out[axis], [m.side]: read };
	}
	return out;
}

export interface TestResult {
	readonly id: string;
	readonly clientId: string;
	readonly test: string;
	readonly side: Side | null;
	readonly value: number;
	readonly extras: Extras;
	readonly method: string;
	readonly day: Day;
	/** When it was written down, ISO. */
	readonly at: string;
}

export interface Total {
	readonly id: string;
	readonly instrument: string;
	readonly version: string;
	readonly total: number;
	readonly day: Day;
}

interface TestRow {
	id: string;
	client_id: string;
	test: string;
	side: Side | null;
	value_hundredths: number;
	extras: Extras;
	method: string;
	local_day: string;
	recorded_at: string | Date;
}

const testFrom = (r: TestRow): TestResult => ({
	id: r.id,
	clientId: r.client_id,
	test: r.test,
	side: r.side,
	value: r.value_hundredths / 100,
	extras: r.extras,
	method: r.method,
	day: r.local_day,
	at: new Date(r.recorded_at).toISOString()
});

/** All results, of one client or of all, oldest first. */
export async function testResults(t: PracticeTransaction, whose?: Whose): Promise<readonly TestResult[]> {
	const { rows } = await sql<TestRow>`
		select r.id, r.client_id, r.test, r.side, r.value_hundredths, r.extras, r.method, r.local_day, r.recorded_at from test_result r
		where r.practice_id = ${t.practiceId} and ${isHead('test_result', 'r')} and ${ofClient('r', whose)} order by r.local_day, r.recorded_at, r.id`.execute(
		t.trx
	);
	return rows.map(testFrom);
}

/** All totals of a client, oldest first. */
export async function totals(t: PracticeTransaction, clientId: string): Promise<readonly Total[]> {
	const { rows } = await sql<{
		id: string;
		instrument: string;
		version: string;
		total_hundredths: number;
		local_day: string;
	}>`
		select q.id, q.instrument, q.version, q.total_hundredths, q.local_day from questionnaire_total q
		where q.practice_id = ${t.practiceId} and ${isHead('questionnaire_total', 'q')} and ${ofClient('q', clientId)} order by q.local_day, q.recorded_at, q.id`.execute(
		t.trx
	);
	return rows.map((r) => ({
		id: r.id,
		instrument: r.instrument,
		version: r.version,
		total: r.total_hundredths / 100,
		day: r.local_day
	}));
}

export interface Sheet {
	readonly ranges: readonly Measurement[];
	readonly tests: readonly TestResult[];
}

/** Ranges and function tests, of one client or of all, oldest first, in one query: a client page reads both each time. */
export async function sheet(t: PracticeTransaction, whose?: Whose): Promise<Sheet> {
	const { rows } = await sql<{ ranges: MeasurementRow[]; tests: TestRow[] }>`select
		coalesce((select jsonb_agg(to_jsonb(m) order by m.local_day, m.recorded_at) from measurement m where m.practice_id = ${t.practiceId} and ${isHead('measurement', 'm')} and ${ofClient('m', whose)}), '[]') as ranges,
		coalesce((select jsonb_agg(to_jsonb(r) order by r.local_day, r.recorded_at, r.id) from test_result r where r.practice_id = ${t.practiceId} and ${isHead('test_result', 'r')} and ${ofClient('r', whose)}), '[]') as tests`.execute(
		t.trx
	);
	const { ranges = [], tests = [] } = rows[0] ?? {};
	return { ranges: ranges.map(measurementFrom), tests: tests.map(testFrom) };
}
