/** The queue of reminders against a real database: one letter a client and day, through a restart and a mail server that is down for a while. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { as, client, cloneOf, value, type TestDatabase } from '../../../../tests/database.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { append } from '../db/append.ts';
import type { Letter } from '../mail/mail.ts';
import type { Context } from '../usecase/actor.ts';
import { giveLink } from '../usecase/client-link.ts';
import { startReminders, type Reminders } from './reminders.ts';

let d: TestDatabase;
let physio: Context;
const letters: Letter[] = [];
let taken = true;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
	const r = await client(physio, 'Odile');
	for (const purpose of ['phone-link', 'letters'])
		await physio.inPractice((t) =>
			append(t, 'consent', {
				...{ id: randomUUID(), client_id: r.head.id, purpose, given: true, local_day: physio.today }
			})
		);
	value(
		await giveLink(
			{ ...physio, now: new Date() },
			{
				...{ id: randomUUID(), clientId: r.head.id, tokenHash: 'x', days: 30 as const, basedOn: null },
				email: 'odile@harbour.example'
			}
		)
	);
	expect(r.logs.some((l) => l.session.date === addDays(physio.today, -1))).toBe(true);
	await d.owner.query('delete from checkin where client_id = $1 and local_day = $2', [
		r.head.id,
		physio.today
	]);
});
afterAll(() => d.close());
beforeEach(async () => {
	letters.length = 0;
	taken = true;
	await d.owner.query('delete from nudge');
	await d.owner.query('delete from job.job');
});

const started = (everySec = 1): Promise<Reminders> =>
	startReminders({
		...{ url: d.appUrl, origin: 'https://rooms.example', everySec, retrySec: 1 },
		now: () => new Date('2026-03-12T11:30:00Z'),
		fixed: () => physio.today,
		said: () => undefined,
		send: (l) => {
			letters.push(l);
			return Promise.resolve(taken);
		}
	});
const states = async (): Promise<readonly string[]> =>
	(await d.owner.query<{ state: string }>('select state::text from job.job')).rows.map((r) => r.state);
const eventually = (what: () => Promise<boolean> | boolean): Promise<void> =>
	expect.poll(what, { timeout: 30_000, interval: 200 }).toBe(true);

describe('reminders', () => {
	it('are queued once a day, whoever asks, and sent once; the job holds no name and no address', async () => {
		const [one, two] = [await started(), await started()];
		const queued = await Promise.all([one.tick(), two.tick()]);
		expect(queued[0] + queued[1]).toBe(1);
		expect(await one.tick()).toBe(0);
		await eventually(async () => (await states()).join() === 'completed');
		expect(letters.map((l) => l.to)).toEqual(['odile@harbour.example']);
		const { rows } = await d.owner.query<{ text: string }>('select j::text as text from job.job j');
		expect(rows[0]?.text).not.toMatch(/odile|harbour|example/i);
		await Promise.all([one.stop(), two.stop()]);
	});
	it('that were queued before a restart are sent after it', async () => {
		const before = await started(600);
		// Its worker looked already; what is queued now waits for its next look, which never comes.
		await new Promise((r) => setTimeout(r, 500));
		expect(await before.tick()).toBe(1);
		await before.stop();
		expect(letters).toEqual([]);
		const after = await started();
		await eventually(() => letters.length === 1);
		await after.stop();
	});
	it('that the mail server did not take are tried again, and sent once it does', async () => {
		taken = false;
		const jobs = await started();
		expect(await jobs.tick()).toBe(1);
		await eventually(() => letters.length >= 2);
		taken = true;
		await eventually(async () => (await states()).join() === 'completed');
		await jobs.stop();
	});
});
