/** A morning, entered over one that stands: corrected by whoever saw it, never replaced unseen. */
import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { as, client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { checkIn } from './check-in.ts';

let d: TestDatabase;
let physio: Context;
demoForEach((made) => ({ d, physio } = made));

const told = (r: ClientRecord, day: string, pain: number, more: object = {}) => ({
	...{ id: randomUUID(), clientId: r.head.id, day, events: [] },
	regions: Object.keys(r.head.setting.usual).map((region) => ({
		...{ id: randomUUID(), region, pain, swelling: 'none' as const }
	})),
	...more
});

it('one that came in while another was typed is not replaced unseen; seen, it is corrected', async () => {
	const r = await client(physio, 'Wren');
	const day = physio.today;
	const free = addDays(day, -40);
	const stands = async (on: string) =>
		(await reloaded(physio, r.head.id)).mornings.filter((m) => m.date === on).map((m) => [m.pain, m.fever]);
	// Nothing stood: it is entered, whether or not it was looked for.
	value(await checkIn(physio, told(r, free, 4, { saw: false, fever: true })));
	expect(await stands(free)).toEqual([[4, true]]);
	const trainer = await as(d, 'trainer');
	const blind = told(r, free, 1, { saw: false });
	expect(await checkIn(trainer, blind)).toMatchObject({ ok: false, refusal: { why: 'conflict' } });
	expect(await stands(free)).toEqual([[4, true]]);
	// The same again, with what stands before one's eyes.
	expect(value(await checkIn(trainer, { ...told(r, free, 1), saw: true, fever: true })).corrected).toBe(true);
	expect(await stands(free)).toEqual([[1, true]]);
	// A client's own morning is asked for on no page of ours: it counts as it always did.
	expect(value(await checkIn(physio, told(r, free, 2))).corrected).toBe(true);
});
it('sent twice is one morning, though the first is now seen to stand', async () => {
	const r = await client(physio, 'Wren');
	const once = told(r, addDays(physio.today, -41), 3, { saw: false });
	const [first, again] = [await checkIn(physio, once), await checkIn(physio, once)];
	expect([first.ok, again.ok]).toEqual([true, true]);
});
