/** What was heard back, and what was not: links of clients' own pages, an evening, for some clients of the demo. */
import { randomBytes } from 'node:crypto';
import { addDays, type Day } from '#lib/core/base/calendar-day.ts';
import { regionsOf } from '#lib/server/record/facts-of.ts';
import { loadRecords } from '#lib/server/record/load.ts';
import type { Context } from '#lib/server/usecase/actor.ts';
import { giveLink } from '#lib/server/usecase/client-link.ts';
import { tellEvening } from '#lib/server/usecase/tell-evening.ts';

/** Given so many days ago and not opened: to whom has a week, and to whom has none. */
const LINKS = [
	['Bertil', 5],
	['Caspian', 4]
] as const;
const EVENINGS = [
	['Gideon', 6, 1],
	['Ffion', 7, 0]
] as const;

/** @param as the physiotherapist on a day */
export async function hearBack(
	as: (day: Day) => Context,
	today: Day,
	idOn: (day: Day) => string
): Promise<void> {
	const records = await as(today).inPractice((t) => loadRecords(t));
	const called = (name: string) => records.find((r) => r.head.name.startsWith(name));
	for (const [name, ago] of LINKS) {
		const r = called(name);
		if (r === undefined) continue;
		const day = addDays(today, -ago);
		// It ends by a real clock: nobody has its token, and another can be given at any time.
		const ctx = { ...as(day), now: new Date() };
		const tokenHash = randomBytes(32).toString('hex');
		const link = { id: idOn(day), clientId: r.head.id, tokenHash, days: 90 as const, basedOn: null };
		const done = await giveLink(ctx, link, new Date(`${day}T15:00:00Z`));
		if (!done.ok) throw new Error(`${name}: ${done.refusal.message}`);
	}
	for (const [name, pain, ago] of EVENINGS) {
		const r = called(name);
		if (r === undefined) continue;
		const day = addDays(today, -ago);
		const regions = regionsOf(r).map((region) => ({ id: idOn(day), region, pain }));
		const told = { id: idOn(day), clientId: r.head.id, day, soreness: 4, regions };
		const done = await tellEvening(as(today), told, new Date(`${day}T19:00:00Z`));
		if (!done.ok) throw new Error(`${name}: ${done.refusal.message}`);
	}
}
