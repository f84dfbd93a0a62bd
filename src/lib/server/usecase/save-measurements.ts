/** Saves a measure sheet: all values or none; the same sheet twice is one. */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Axis, Side } from '#lib/core/body/axis.ts';
import { measuredRange, type RangeInput } from '#lib/core/measure/range.ts';
import { append } from '../db/append.ts';
import { lockClient } from '../repo/client-repo.ts';
import { allow, conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';

export interface MeasuredValue {
	readonly id: string;
	readonly axis: Axis;
	readonly side: Side;
	readonly range: RangeInput;
	readonly method: string;
	/** Knee to wall as read, cm. */
	readonly rawCm?: number;
	readonly loaded: boolean;
}

export async function saveMeasurements(ctx: Context, clientId: string, day: Day, values: readonly MeasuredValue[], recordedAt?: Date): Promise<Outcome<number>> {
	const may = allow(ctx.actor, 'measure');
	if (!may.ok) return may;
	if (dayNumber(day) > dayNumber(ctx.today)) return invalid('day', `The day ${day} is in the future; today is ${ctx.today}.`);
	if (values.length === 0) return invalid('', 'Nothing was entered: give at least one value.');
	const rows: { v: MeasuredValue; r: { painFree: number; tolerable: number; end: number; pain: number } }[] = [];
	for (const v of values) {
		const r = measuredRange(v.axis, v.range);
		if (!r.ok) return invalid(`${v.axis}.${v.side}.${r.refusal.field ?? 'end'}`, `${v.side === 'left' ? 'Left' : 'Right'}: ${r.refusal.message}`);
		rows.push({ v, r: r.value });
	}
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, clientId))) return notFound;
		for (const { v, r } of rows) {
			const tenths = (deg: number): number => Math.round(deg * 10);
			const row = {
				id: v.id,
				client_id: clientId,
				axis: v.axis,
				side: v.side,
				onset_tenths: tenths(r.painFree),
				tolerable_tenths: tenths(r.tolerable),
				end_tenths: tenths(r.end),
				pain: Math.round(r.pain),
				local_day: day,
				method: v.method,
				raw_value: v.rawCm === undefined ? null : Math.round(v.rawCm * 10),
				loaded: v.loaded
			};
			if ((await append(t, 'measurement', row, recordedAt)) === 'conflict') return conflict('This sheet was already saved with other values; reload to see them.');
		}
		return ok(rows.length);
	});
}
