/** What is due, as Today counts, chooses and says it. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, value, type TestDatabase } from '../../../../tests/database.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { withoutMorning, type Due } from '#lib/core/client/due.ts';
import { append } from '../db/append.ts';
import { unjudged } from '../repo/standing-repo.ts';
import type { Context } from './actor.ts';
import { checkIn } from './check-in.ts';
import { endLink, giveLink } from './client-link.ts';
import { judgedBy } from './judge-anew.ts';
import { prescribe } from './prescribe.ts';
import { showToday } from './show-today.ts';
import { signWeek } from './sign-week.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
demoForEach((made) => ({ d, physio } = made));

const today = async (day = TODAY, asked: Parameters<typeof showToday>[1] = {}) =>
	value(await showToday({ ...physio, today: day }, asked));
const rowOf = async (name: string, day = TODAY) =>
	(await today(day)).rows.find((r) => r.name.startsWith(name))!;
const count = async (what: Due, day = TODAY) =>
	(await today(day)).dueNow.find((c) => c.what === what)?.clients ?? 0;

async function linked(name: string, token: string = randomUUID()) {
	const { head } = await client(physio, name);
	const clientId = head.id;
	await physio.inPractice((t) =>
		append(t, 'consent', {
			...{ id: randomUUID(), client_id: clientId, purpose: 'phone-link', given: true, local_day: TODAY }
		})
	);
	const id = randomUUID();
	const days = 30 as const;
	value(
		await giveLink(
			{ ...physio, now: new Date(`${TODAY}T10:00:00Z`) },
			{ id, clientId, tokenHash: token, days, basedOn: null }
		)
	);
	// The demo's day is long past for a clock; the link is good for the doors all the same.
	return { clientId, id, token };
}

describe('what is due', () => {
	it('is counted as it is chosen, each client once, and chosen with everything else that is', async () => {
		const day = addDays(TODAY, 6);
		const all = await today(day);
		expect(all.dueNow.length).toBeGreaterThan(1);
		for (const { what, clients } of all.dueNow) {
			const some = await today(day, { due: what });
			expect([what, some.found]).toEqual([what, clients]);
			if (what !== 'silent') expect(some.rows).toEqual(all.rows.filter((r) => r.due.includes(what)));
			else expect(some.rows.every((r) => r.notes.some((n) => n.startsWith('silent')))).toBe(true);
		}
		const [first] = (await today(day, { due: all.dueNow[0]!.what })).rows;
		const found = await today(day, { due: all.dueNow[0]!.what, search: first!.name });
		expect(found.found).toBe(1);
	});
	it('silence is counted from the eighth day, as it is said', async () => {
		const last = (await rowOf('Wren')).lastSession!;
		expect((await rowOf('Wren', addDays(last, 7))).notes.join()).not.toMatch(/silent/);
		const eighth = addDays(last, 8);
		expect((await rowOf('Wren', eighth)).notes).toContain('silent 8 days');
		expect((await today(eighth, { due: 'silent' })).rows.map((r) => r.name)).toContain('Wren Hollis');
	});
	it('a morning is missing until it is told', async () => {
		const tomorrow = addDays(TODAY, 1);
		const [first] = (await today(tomorrow, { due: 'morning' })).rows;
		const r = await client(physio, first!.name.split(' ')[0]!);
		const [day] = withoutMorning(
			r.logs.map((l) => l.session.date),
			r.mornings.map((m) => m.date),
			tomorrow
		).slice(-1);
		const before = await count('morning', tomorrow);
		expect(first!.notes.join()).toContain('no morning told after');
		const told = {
			...{ id: randomUUID(), clientId: r.head.id, day: addDays(day!, 1), events: [] },
			regions: Object.keys(r.head.setting.usual).map((region) => ({
				...{ id: randomUUID(), region, pain: 1, swelling: 'none' as const }
			}))
		};
		value(await checkIn({ ...physio, today: tomorrow }, told));
		expect(await count('morning', tomorrow)).toBe(before - 1);
	});
	it('a week is owed once a page of their own shows exercises, and again when the plan is another', async () => {
		expect((await rowOf('Wren')).due).not.toContain('week');
		const before = await count('week');
		const { clientId } = await linked('Wren');
		expect((await rowOf('Wren')).notes).toContain('no week signed for their page');
		expect(await count('week')).toBe(before + 1);
		const r = await client(physio, 'Wren');
		const e = r.exercises[0]!;
		const week = { school: 'usual' as const, inTurn: false, learning: false, minutes: null };
		value(
			await signWeek(physio, {
				...{ id: randomUUID(), clientId, basedOn: null },
				week: { ...week, days: [{ weekday: 1, turns: [[{ exerciseId: e.id }]] }] }
			})
		);
		expect((await rowOf('Wren')).due).not.toContain('week');
		const { step, setup } = e.prescriptions.at(-1)!;
		value(
			await prescribe(physio, {
				...{ id: randomUUID(), exerciseId: randomUUID(), endId: randomUUID(), clientId, inPlaceOf: e.id },
				...{ family: e.family, region: e.region, step, sets: 1, reps: 5, loadKg: 0, reason: 'less for now' },
				...(setup === null ? {} : { setup })
			})
		);
		expect((await rowOf('Wren')).notes).toContain('plan changed since the week was signed');
	});
	it('a link nobody opened is asked for after three days; opening it says so at once; taken back it is none', async () => {
		const { clientId, id, token } = await linked('Wren');
		const third = addDays(TODAY, 3);
		expect((await rowOf('Wren', addDays(TODAY, 2))).due).not.toContain('link');
		expect((await rowOf('Wren', third)).notes).toContain('link given Thu 12 Mar, not opened yet');
		await d.owner.query(`update client_link set expires_at = now() + interval '30 days' where id = $1`, [id]);
		const { rows } = await d.pool.query<{ done: boolean }>('select open_device($1, $2, $3) as done', [
			...[token, randomUUID(), randomUUID()]
		]);
		expect(rows[0]?.done).toBe(true);
		const old = await physio.inPractice((t) => unjudged(t, third, judgedBy()));
		expect(old.map((o) => o.clientId)).toEqual([clientId]);
		expect((await rowOf('Wren', third)).due).not.toContain('link');
		value(await endLink(physio, { id: randomUUID(), clientId, basedOn: id }));
		expect((await client(physio, 'Wren')).head.link).toBeNull();
	});
	it('a link is looked after a week before it ends', async () => {
		const { id } = await linked('Wren');
		const { until } = (await client(physio, 'Wren')).head.link!;
		expect(until).toBe('2026-04-11');
		await d.owner.query(
			`insert into client_device (practice_id, id, client_id, link_id, token_hash)
			select practice_id, gen_random_uuid(), client_id, id, 'device' from client_link where id = $1`,
			[id]
		);
		await d.owner.query('update standing set valid_until = null');
		expect((await rowOf('Wren', '2026-04-04')).due).not.toContain('link');
		expect((await rowOf('Wren', '2026-04-05')).notes).toContain('link to their page ends Sat 11 Apr');
		expect((await rowOf('Wren', '2026-04-12')).notes).toContain('link to their page ended Sat 11 Apr');
	});
	it('is not counted of who was put away', async () => {
		const day = addDays(TODAY, 20);
		const before = await count('silent', day);
		const { head } = await client(physio, 'Wren');
		await d.owner.query(`update client set status = 'archived' where id = $1`, [head.id]);
		expect(await count('silent', day)).toBe(before - 1);
	});
});
