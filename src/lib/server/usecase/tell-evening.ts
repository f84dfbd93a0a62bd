/**
 * How a day ended: pain of each region that evening and soreness of the muscles. It counts with the session of its day, whenever it comes; a second entry for
 * the same evening corrects the first. Pain that would close a region closes it for the rest of that day.
 */
import { dayNumber } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { closesRegion } from '#lib/core/decision/pain-zones.ts';
import { parseEvening, type EveningInput } from '#lib/contract/evening-form.ts';
import { regionName } from '#lib/wording/names.ts';
import { append } from '../db/append.ts';
import { linesOf, regionsOf, usualNow } from '../record/facts-of.ts';
import { eveningsOn } from '../repo/day-repo.ts';
import { conflict, invalid } from './actor.ts';
import { eveningRow } from './evening-row.ts';
import { toldCommand } from './told-command.ts';

const CHANGED = 'This evening was already entered with other values; reload to correct it.';

export const { told: tellEvening, typed: eveningTyped } = toldCommand<
	EveningInput & { readonly clientId: string },
	{ readonly corrected: boolean; readonly closes: readonly string[] }
>({
	verb: 'check in',
	id: (e) => e.id,
	check: (e, ctx) =>
		dayNumber(e.day) <= dayNumber(ctx.today)
			? undefined
			: invalid('day', `The evening of ${e.day} has not come yet; today is ${ctx.today}.`),
	read: (form, r) => parseEvening(form, regionsOf(r), regionName),
	run: async (e, { t, ctx, recordedAt }, r) => {
		const known = await eveningsOn(t, e.clientId, e.day);
		for (const { id, region, pain } of e.regions) {
			if (r.head.setting.usual[region] === undefined)
				return invalid('region', `${region} is not under treatment for this client.`);
			const told = { id, clientId: e.clientId, day: e.day, region, pain, soreness: e.soreness };
			const row = eveningRow(told, ctx.today, known.get(region));
			if ((await append(t, 'checkin', row, recordedAt)) === 'conflict') return conflict(CHANGED);
		}
		if (e.event !== undefined) {
			const { id, kind } = e.event;
			const row = { id, client_id: e.clientId, local_day: e.day, kind };
			if ((await append(t, 'day_event', row, recordedAt)) === 'conflict') return conflict(CHANGED);
		}
		const closes = e.regions
			.filter((x) => closesRegion(x.pain, usualNow(r, x.region, e.day), linesOf(r)))
			.map((x) => x.region);
		return ok({ corrected: known.size > 0, closes: e.day === ctx.today ? closes : [] });
	}
});
