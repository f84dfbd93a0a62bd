/** Measured ranges: tenths of a degree in the table, degrees outside. */
import { sql } from 'kysely';
import { AXES, type Axis, type Side } from '#lib/core/body/axis.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Envelope, Tolerated } from '#lib/core/client/envelope.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead, ofClient } from '../db/heads.ts';

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
}

interface Row {
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
}

/** All measurements, oldest first. */
export async function measurements(t: PracticeTransaction, clientId?: string): Promise<readonly Measurement[]> {
	const { rows } = await sql<Row>`
		select m.id, m.client_id, m.axis, m.side, m.onset_tenths, m.tolerable_tenths, m.end_tenths, m.pain, m.local_day, m.method, m.raw_value, m.loaded
		from measurement m where ${isHead('measurement', 'm')} and ${ofClient('m', clientId)} order by m.local_day, m.recorded_at`.execute(t.trx);
	return rows.map((r) => ({
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
		loaded: r.loaded
	}));
}

/** The latest of each axis and side; movements that no set-up is solved on stay out. */
export function measuredEnvelope(all: readonly Measurement[]): Envelope {
	const out: { [A in Axis]?: { [S in Side]?: Tolerated } } = {};
	for (const m of all) {
		const axis = AXES.find((a) => a === m.axis);
		if (axis !== undefined) out[axis] = { ...out[axis], [m.side]: { painFree: m.onset, tolerable: m.tolerable, end: m.end, date: m.day, loaded: m.loaded, from: 'measured' } };
	}
	return out;
}
