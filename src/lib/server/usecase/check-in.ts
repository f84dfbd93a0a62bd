/**
 * Next-morning pain and swelling of a chosen day, with what else alarms. A second entry for the same day and region corrects the first, with its
 * reason. What was reported is answered at once: a hot joint or a swollen calf is seen the same day, and pain may close its region today.
 */
import { addDays, dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { closesRegion } from '#lib/core/decision/pain-zones.ts';
import { alarmsInMorning, unique, type Raised } from '#lib/core/safety/alarm.ts';
import type { DayEvent, Morning, Swelling } from '#lib/core/session/record.ts';
import { parseMorning } from '#lib/contract/morning-form.ts';
import { regionName } from '#lib/wording/names.ts';
import { append } from '../db/append.ts';
import { eveningsOn } from '../repo/day-repo.ts';
import { conflict, invalid } from './actor.ts';
import { eveningRow, RECALLED_DAYS } from './evening-row.ts';
import { openAlarms } from './open-alarms.ts';
import { toldCommand } from './told-command.ts';
import { linesOf, regionsOf, usualNow } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';

export interface RegionMorning {
	readonly id: string;
	readonly region: string;
	readonly pain: number;
	readonly swelling: Swelling;
	readonly stiffnessMin?: number;
	readonly provocation?: number;
	readonly calf?: boolean;
	readonly cannotStand?: boolean;
	/** Of the evening before, told with the morning. */
	readonly evening?: { readonly id: string; readonly pain: number };
}

export interface NewCheckin {
	readonly id: string;
	readonly clientId: string;
	readonly day: Day;
	readonly fever?: boolean;
	/** Of the muscles, 0–10. */
	readonly soreness?: number;
	readonly regions: readonly RegionMorning[];
	readonly events: readonly { readonly id: string; readonly kind: DayEvent }[];
	/** Whether what stands of the day was shown where this was typed: what was not seen is not replaced. Undefined where nobody was asked. */
	readonly saw?: boolean;
}

export interface CheckedIn {
	readonly corrected: boolean;
	readonly raised: readonly Raised[];
	/** Regions whose pain closes them for the day. */
	readonly closes: readonly string[];
	readonly fever: boolean;
}

const UNSEEN =
	'This day has an entry that was not on the page when you typed: it is not replaced unseen. Reload, what you typed stays; an older day is put right in the record.';
const CHANGED = 'This morning was already entered with other values; reload to correct it.';

export const { told: checkIn, typed: morningTyped } = toldCommand<NewCheckin, CheckedIn>({
	verb: 'check in',
	id: (c) => c.id,
	check: (c, ctx) =>
		!(dayNumber(c.day) <= dayNumber(ctx.today))
			? invalid('day', `The morning of ${c.day} has not come yet; today is ${ctx.today}.`)
			: undefined,
	read: (form, r) => parseMorning(form, regionsOf(r), regionName),
	run: async (c, { t, ctx, recordedAt }, r) => {
		const age = dayNumber(ctx.today) - dayNumber(c.day);
		const evening = addDays(c.day, -1);
		const evenings = await eveningsOn(t, c.clientId, evening);
		const known = (region: string): string | undefined => r.checkins.get(`${c.day}|${region}`);
		if (c.saw === false && c.regions.some((m) => known(m.region) !== undefined)) return conflict(UNSEEN);
		let corrected = false;
		for (const m of c.regions) {
			if (r.head.setting.usual[m.region] === undefined)
				return invalid('region', `${m.region} is not under treatment for this client.`);
			const before = known(m.region);
			const row = {
				...rowOf(c, m, age),
				...(before === undefined ? {} : { replaces_id: before, reason: 'corrected' })
			};
			if ((await append(t, 'checkin', row, recordedAt)) === 'conflict') return conflict(CHANGED);
			corrected ||= before !== undefined;
			if (m.evening === undefined) continue;
			const { region } = m;
			const told = { ...m.evening, clientId: c.clientId, day: evening, region };
			const late = eveningRow(told, ctx.today, evenings.get(region));
			if ((await append(t, 'checkin', late, recordedAt)) === 'conflict') return conflict(CHANGED);
		}
		for (const e of c.events)
			if (
				(await append(
					t,
					'day_event',
					{ id: e.id, client_id: c.clientId, local_day: c.day, kind: e.kind },
					recordedAt
				)) === 'conflict'
			)
				return conflict(CHANGED);
		const raised = unique(c.regions.flatMap((m) => alarmsInMorning(morningOf(c, m))));
		await openAlarms(t, ctx, { clientId: c.clientId, day: c.day, flags: r.head.flags }, raised, recordedAt);
		return ok({
			corrected,
			raised,
			closes: c.day === ctx.today ? closing(r, c) : [],
			fever: c.fever === true
		});
	}
});

const morningOf = (c: NewCheckin, m: RegionMorning): Morning => ({
	date: c.day,
	region: m.region,
	pain: m.pain,
	swelling: m.swelling,
	...(m.calf === true ? { calf: true } : {}),
	...(m.cannotStand === true ? { cannotStand: true } : {}),
	...(c.fever === true ? { fever: true } : {})
});

const closing = (r: ClientRecord, c: NewCheckin): readonly string[] =>
	c.regions
		.filter((m) => closesRegion(m.pain, usualNow(r, m.region, c.day), linesOf(r)))
		.map((m) => m.region);

const rowOf = (c: NewCheckin, m: RegionMorning, age: number) => ({
	id: m.id,
	client_id: c.clientId,
	local_day: c.day,
	moment: 'morning',
	region: m.region,
	pain: m.pain,
	stiffness_min: m.stiffnessMin ?? null,
	soreness: c.soreness ?? null,
	swelling: m.swelling,
	provocation: m.provocation ?? null,
	recalled: age >= RECALLED_DAYS,
	fever: c.fever ?? null,
	calf: m.calf ?? null,
	cannot_stand: m.cannotStand ?? null
});
