/** An evening, told: it counts with the session of its day, once, whoever tells it and whenever; and Today speaks of a sore one. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { as, client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { lastSessionDay } from '../record/facts-of.ts';
import { decideInputOf } from '../record/slip-of.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { checkIn } from './check-in.ts';
import { showToday } from './show-today.ts';
import { tellEvening } from './tell-evening.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
demoForEach((made) => ({ d, physio } = made));

const evening = (r: ClientRecord, day: string, pain: number, more: object = {}) => ({
	...{ id: randomUUID(), clientId: r.head.id, day },
	regions: Object.keys(r.head.setting.usual).map((region) => ({ id: randomUUID(), region, pain })),
	...more
});
const wren = async () => {
	const r = await client(physio, 'Wren');
	return { r, day: lastSessionDay(r)!, region: Object.keys(r.head.setting.usual)[0]! };
};
/** The evening as the slip of the first exercise sees it. */
async function seen(r: ClientRecord, day: string): Promise<number | undefined> {
	const now = await reloaded(physio, r.head.id);
	const { input } = decideInputOf(now, now.exercises[0]!, TODAY, 0);
	return input.sessions.find((s) => s.date === day)?.pains.find((p) => p.region === now.exercises[0]!.region)
		?.evening;
}

describe('an evening', () => {
	it('counts with the session of its day on the slip; told again it corrects, and both are kept', async () => {
		const { r, day } = await wren();
		expect(await seen(r, day)).toBeUndefined();
		expect(value(await tellEvening(physio, evening(r, day, 6))).corrected).toBe(false);
		expect(await seen(r, day)).toBe(6);
		expect(value(await tellEvening(physio, evening(r, day, 3))).corrected).toBe(true);
		expect(await seen(r, day)).toBe(3);
		const { rows } = await d.owner.query<{ n: number }>(
			`select count(*) as n from checkin where client_id = $1 and moment = 'evening'`,
			[r.head.id]
		);
		expect(rows[0]?.n).toBe(2 * Object.keys(r.head.setting.usual).length);
	});
	it('sent twice is one; the same id with other content is a conflict', async () => {
		const { r, day } = await wren();
		const told = evening(r, day, 4);
		value(await tellEvening(physio, told));
		value(await tellEvening(physio, told));
		expect(
			await tellEvening(physio, { ...told, regions: told.regions.map((x) => ({ ...x, pain: 9 })) })
		).toMatchObject({ refusal: { why: 'conflict' } });
		expect(await seen(r, day)).toBe(4);
	});
	it('is no morning: the morning after stays missing, and a morning is no evening', async () => {
		const { r, day } = await wren();
		const mornings = r.mornings.length;
		value(await tellEvening(physio, evening(r, day, 4)));
		expect((await reloaded(physio, r.head.id)).mornings).toHaveLength(mornings);
	});
	it('of a day to come, of a place not under treatment, or by an owner who treats nobody is refused', async () => {
		const { r } = await wren();
		const refused = async (told: ReturnType<typeof evening>, ctx = physio) => tellEvening(ctx, told);
		expect(await refused(evening(r, addDays(TODAY, 1), 2))).toMatchObject({ refusal: { why: 'invalid' } });
		const elsewhere = { regions: [{ id: randomUUID(), region: 'ankle-left', pain: 2 }] };
		expect(await refused(evening(r, TODAY, 2, elsewhere))).toMatchObject({ refusal: { why: 'invalid' } });
		const owner = await as(d, 'owner');
		const only = { ...owner, actor: { ...owner.actor, licensed: false, trainer: false } };
		expect(await refused(evening(r, TODAY, 2), only)).toMatchObject({ refusal: { why: 'not-allowed' } });
	});
	it('so sore that it closes its place is said at once, and on Today until the day after', async () => {
		const { r, region } = await wren();
		expect(value(await tellEvening(physio, evening(r, TODAY, 8))).closes).toContain(region);
		const notes = async (day: string) =>
			value(await showToday({ ...physio, today: day })).rows.find((x) => x.clientId === r.head.id)!;
		expect((await notes(TODAY)).notes.join()).toContain('8 this evening');
		expect((await notes(addDays(TODAY, 1))).notes.join()).toContain('8 yesterday evening');
		expect((await notes(addDays(TODAY, 2))).due).not.toContain('evening');
		value(await tellEvening(physio, evening(r, TODAY, 2)));
		expect((await notes(TODAY)).due).not.toContain('evening');
	});
	it('soreness that is told next morning counts with the session before it', async () => {
		const { r, day } = await wren();
		const sore = async () => {
			const now = await reloaded(physio, r.head.id);
			const { input } = decideInputOf(now, now.exercises[0]!, TODAY, 0);
			return input.sessions.find((s) => s.date === day)?.soreness;
		};
		const before = (await sore()) ?? 0;
		expect(before).toBeLessThan(9);
		value(
			await checkIn(physio, {
				...{ id: randomUUID(), clientId: r.head.id, day: addDays(day, 1), soreness: 9, events: [] },
				regions: Object.keys(r.head.setting.usual).map((region) => ({
					...{ id: randomUUID(), region, pain: 1, swelling: 'none' as const }
				}))
			})
		);
		expect(await sore()).toBe(9);
	});
	it('told with the morning after is the same evening, and corrects one that was told at once', async () => {
		const { r, day } = await wren();
		value(await tellEvening(physio, evening(r, day, 2)));
		const told = (pain: number) => ({
			...{ id: randomUUID(), clientId: r.head.id, day: addDays(day, 1), events: [] },
			regions: Object.keys(r.head.setting.usual).map((region) => ({
				...{ id: randomUUID(), region, pain: 1, swelling: 'none' as const },
				evening: { id: randomUUID(), pain }
			}))
		});
		value(await checkIn(physio, told(7)));
		expect(await seen(r, day)).toBe(7);
		const { evening: _, ...without } = told(7).regions[0]!;
		value(await checkIn(physio, { ...told(7), regions: [without] }));
		expect(await seen(r, day)).toBe(7);
	});
	it('put right with the morning after, it keeps the soreness that was told with it', async () => {
		const { r, day } = await wren();
		value(await tellEvening(physio, evening(r, day, 2, { soreness: 8 })));
		value(
			await checkIn(physio, {
				...{ id: randomUUID(), clientId: r.head.id, day: addDays(day, 1), events: [] },
				regions: Object.keys(r.head.setting.usual).map((region) => ({
					...{ id: randomUUID(), region, pain: 1, swelling: 'none' as const },
					evening: { id: randomUUID(), pain: 3 }
				}))
			})
		);
		const now = await reloaded(physio, r.head.id);
		const told = now.told.filter((x) => x.moment === 'evening' && x.date === day);
		expect(told.map((x) => [x.pain, x.soreness])).toEqual(told.map(() => [3, 8]));
		expect(told.length).toBeGreaterThan(0);
	});
	it('from the third day on it was told from memory', async () => {
		const { r, day } = await wren();
		const recalled = async (today: string) => {
			value(await tellEvening({ ...physio, today }, evening(r, day, 2)));
			const { rows } = await d.owner.query<{ recalled: boolean }>(
				`select recalled from checkin where client_id = $1 and moment = 'evening' order by recorded_at desc, id desc limit 1`,
				[r.head.id]
			);
			return rows[0]?.recalled;
		};
		expect(await recalled(addDays(day, 2))).toBe(false);
		expect(await recalled(addDays(day, 3))).toBe(true);
	});
	it('of an earlier day closes nothing any more', async () => {
		const { r } = await wren();
		expect(value(await tellEvening(physio, evening(r, addDays(TODAY, -1), 10))).closes).toEqual([]);
	});
});
