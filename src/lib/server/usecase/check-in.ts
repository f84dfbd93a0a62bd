/** Next-morning pain and swelling of a chosen day. A second entry for the same day and region corrects the first, with its reason. */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { DayEvent, Swelling } from '#lib/core/session/record.ts';
import { append } from '../db/append.ts';
import { clientHeads, lockClient } from '../repo/client-repo.ts';
import { days } from '../repo/day-repo.ts';
import { allow, conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';

export interface RegionMorning {
	readonly id: string;
	readonly region: string;
	readonly pain: number;
	readonly swelling: Swelling;
	readonly stiffnessMin?: number;
	readonly provocation?: number;
}

export interface NewCheckin {
	readonly clientId: string;
	readonly day: Day;
	readonly regions: readonly RegionMorning[];
	readonly events: readonly { readonly id: string; readonly kind: DayEvent }[];
}

const RECALLED_DAYS = 3;

export async function checkIn(ctx: Context, c: NewCheckin, recordedAt?: Date): Promise<Outcome<{ readonly corrected: boolean }>> {
	const may = allow(ctx.actor, 'check in');
	if (!may.ok) return may;
	const age = dayNumber(ctx.today) - dayNumber(c.day);
	if (age < 0) return invalid('day', `The morning of ${c.day} has not come yet; today is ${ctx.today}.`);
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, c.clientId))) return notFound;
		const [head] = await clientHeads(t, c.clientId);
		if (head === undefined) return notFound;
		const known = (await days(t, c.clientId)).filter((d) => d.morning?.date === c.day);
		let corrected = false;
		for (const r of c.regions) {
			if (head.setting.usual[r.region] === undefined) return invalid('region', `${r.region} is not under treatment for this client.`);
			const before = known.find((k) => k.morning?.region === r.region && k.checkinId !== r.id);
			const repeated = known.some((k) => k.checkinId === r.id);
			const row = {
				id: r.id,
				client_id: c.clientId,
				local_day: c.day,
				moment: 'morning',
				region: r.region,
				pain: r.pain,
				stiffness_min: r.stiffnessMin ?? null,
				swelling: r.swelling,
				provocation: r.provocation ?? null,
				recalled: age >= RECALLED_DAYS,
				...(before !== undefined && !repeated ? { replaces_id: before.checkinId, reason: 'corrected' } : {})
			};
			const written = await append(t, 'checkin', row, recordedAt);
			if (written === 'conflict') return conflict('This morning was already entered with other values; reload to correct it.');
			corrected ||= before !== undefined;
		}
		for (const e of c.events) await append(t, 'day_event', { id: e.id, client_id: c.clientId, local_day: c.day, kind: e.kind }, recordedAt);
		return ok({ corrected });
	});
}
