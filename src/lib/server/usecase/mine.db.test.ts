/** A client's own page: who its link lets in and how far, and what it takes in. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { as, client, cloneOf, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { addDays, weekday } from '#lib/core/base/calendar-day.ts';
import type { OutboxItem } from '#lib/contract/mine.ts';
import { PRACTICE_TABLES } from '../db/migrate.ts';
import { append } from '../db/append.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { regionsOf } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { toLog } from '../view/to-log.ts';
import type { Letter } from '../mail/mail.ts';
import type { Context } from './actor.ts';
import { arrive } from './arrive.ts';
import { saveComplaint } from './ask.ts';
import { checkIn } from './check-in.ts';
import { endLink, giveLink, linkShown } from './client-link.ts';
import { prescribe } from './prescribe.ts';
import { showClient } from './show-client.ts';
import { showMine } from './show-mine.ts';
import { signDecision } from './sign-decision.ts';
import { queueReminders, sendReminder, type Reminder } from './nudge.ts';
import { signWeek } from './sign-week.ts';
import { takeIn } from './take-in.ts';

let d: TestDatabase;
let physio: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
});
afterAll(() => d.close());

const HOUSE = { emergency: '112', emergencyWords: '', weekStart: 1 };
const consent = (clientId: string, given: boolean) =>
	physio.inPractice((t) =>
		append(t, 'consent', {
			...{ id: randomUUID(), client_id: clientId, purpose: 'phone-link', given, local_day: physio.today }
		})
	);
async function linked(
	name: string,
	token: string = randomUUID()
): Promise<{ r: ClientRecord; id: string; token: string }> {
	const r = await client(physio, name);
	await consent(r.head.id, true);
	const before = await physio.inPractice((t) => linkShown(t, r.head.id));
	const id = randomUUID();
	value(
		await giveLink(
			{ ...physio, now: new Date() },
			{ id, clientId: r.head.id, tokenHash: token, days: 30, basedOn: before.link?.id ?? null }
		)
	);
	return { r, id, token };
}
/** A device of a link, and whose page it shows. */
async function opened(token: string): Promise<{ client_id: string; link_id: string } | undefined> {
	const device = randomUUID();
	const { rows } = await d.pool.query<{ done: boolean }>('select open_device($1, $2, $3) as done', [
		...[token, device, randomUUID()]
	]);
	return rows[0]?.done === true ? at(device) : undefined;
}
const at = async (device: string) =>
	(await d.pool.query<{ client_id: string; link_id: string }>('select * from client_at($1)', [device]))
		.rows[0];

async function own(name: string): Promise<{ ctx: Context; r: ClientRecord; linkId: string }> {
	const { r, id } = await linked(name);
	const { practiceId } = physio.actor;
	const ctx: Context = {
		...physio,
		actor: {
			...{ memberId: id, practiceId, name: r.head.name, practice: 'demo', client: r.head.id },
			...{ licensed: false, trainer: false, owner: false }
		},
		inPractice: inPracticeOf(d.db, practiceId, id, { client: r.head.id })
	};
	return { ctx, r, linkId: id };
}

describe('a link', () => {
	it('is given where the client agreed to it, and opens their page on a device', async () => {
		const r = await client(physio, 'Wren');
		await consent(r.head.id, false);
		const refused = await giveLink(physio, {
			...{ id: randomUUID(), clientId: r.head.id, tokenHash: 'x', days: 30 as const, basedOn: null }
		});
		expect(refused).toMatchObject({ ok: false, refusal: { why: 'invalid' } });
		const { token } = await linked('Wren');
		expect((await opened(token))?.client_id).toBe(r.head.id);
		expect(await opened('guessed')).toBeUndefined();
		expect(await opened('')).toBeUndefined();
	});
	it('ends when another takes its place, when it is taken back, on its day, and when the client no longer agrees: on open devices too', async () => {
		const one = await linked('Bertil');
		const device = randomUUID();
		await d.pool.query('select open_device($1, $2, $3)', [one.token, device, randomUUID()]);
		expect((await at(device))?.client_id).toBe(one.r.head.id);
		const two = await linked('Bertil');
		expect([await at(device), await opened(one.token)]).toEqual([undefined, undefined]);
		await d.pool.query('select open_device($1, $2, $3)', [two.token, `${device}2`, randomUUID()]);
		await consent(one.r.head.id, false);
		expect([await at(`${device}2`), await opened(two.token)]).toEqual([undefined, undefined]);
		await consent(one.r.head.id, true);
		expect((await at(`${device}2`))?.client_id).toBe(one.r.head.id);
		await d.owner.query(`update client_link set expires_at = now() - interval '1 second' where id = $1`, [
			two.id
		]);
		expect([await at(`${device}2`), await opened(two.token)]).toEqual([undefined, undefined]);
		await d.owner.query(`update client_link set expires_at = now() + interval '1 day' where id = $1`, [
			two.id
		]);
		const end = { id: randomUUID(), clientId: one.r.head.id, basedOn: two.id };
		value(await endLink(physio, end));
		expect([await at(`${device}2`), await opened(two.token)]).toEqual([undefined, undefined]);
		expect(await endLink(physio, { ...end, id: randomUUID() })).toMatchObject({ ok: false });
		expect((await physio.inPractice((t) => linkShown(t, one.r.head.id))).link).toBeNull();
	});
	it('takes the place of the one the page showed; of an old page it is refused', async () => {
		const { r, token } = await linked('Tamsin');
		const stale = {
			id: randomUUID(),
			clientId: r.head.id,
			tokenHash: 'other',
			days: 30 as const,
			basedOn: null
		};
		expect(await giveLink({ ...physio, now: new Date() }, stale)).toMatchObject({
			refusal: { why: 'conflict' }
		});
		expect(await opened(token)).toBeDefined();
	});
	it('ends with the record put away', async () => {
		const { token, r } = await linked('Saskia');
		await d.owner.query(`update client set status = 'archived' where id = $1`, [r.head.id]);
		expect(await opened(token)).toBeUndefined();
		await d.owner.query(`update client set status = 'active' where id = $1`, [r.head.id]);
		expect(await opened(token)).toBeDefined();
	});
});

describe('a transaction of a client’s page', () => {
	it('sees nobody else in any table of the practice', async () => {
		const { ctx, r } = await own('Wren');
		const COMMON = ['practice', 'equipment', 'own_family', 'own_course'];
		await ctx.inPractice(async ({ trx }) => {
			for (const table of PRACTICE_TABLES.filter((t) => !COMMON.includes(t))) {
				const { rows } = await d.owner.query<{ column_name: string }>(
					'select column_name from information_schema.columns where table_name = $1',
					[table]
				);
				const has = rows.some((x) => x.column_name === 'client_id');
				const seen = await trx
					.selectFrom(table as 'checkin')
					.selectAll()
					.execute();
				// The version of what all records share stands under the practice's own id.
				const own = [r.head.id, ...(table === 'record_version' ? [ctx.actor.practiceId] : [])];
				const others = seen.filter(
					(row) => !own.includes(has ? row.client_id : (row as unknown as { id: string }).id)
				);
				if (table === 'flag_closing') expect(seen.length, table).toBe(0);
				else expect(others, table).toEqual([]);
			}
		});
	});
	it('writes what a client tells, for themselves, and nothing a practitioner writes', async () => {
		const { ctx, r } = await own('Wren');
		const other = (await client(physio, 'Bertil')).head.id;
		const event = (clientId: string) => ({
			...{ id: randomUUID(), client_id: clientId, local_day: '2026-03-01', kind: 'illness' }
		});
		expect(await ctx.inPractice((t) => append(t, 'day_event', event(r.head.id)))).toBe('written');
		await expect(ctx.inPractice((t) => append(t, 'day_event', event(other)))).rejects.toThrow(
			/row-level security/
		);
		// Nor what is the practice's, which it reads.
		const mine = { id: randomUUID(), content: '{}', local_day: '2026-03-01' };
		await expect(
			ctx.inPractice((t) => append(t, 'own_family', { ...mine, family: 'own-x' }))
		).rejects.toThrow(/row-level security/);
		await expect(
			ctx.inPractice((t) => append(t, 'own_course', { ...mine, course: 'own-x' }))
		).rejects.toThrow(/row-level security/);
		const row = { id: randomUUID(), client_id: r.head.id, local_day: '2026-03-01' };
		await expect(
			ctx.inPractice((t) => append(t, 'left_out', { ...row, step: 'free-squat', because: 'x' }))
		).rejects.toThrow(/row-level security/);
		await expect(
			ctx.inPractice((t) => append(t, 'consent', { ...row, purpose: 'letters', given: true }))
		).rejects.toThrow(/row-level security/);
		await expect(
			ctx.inPractice((t) => t.trx.updateTable('practice').set({ emergency: '000' }).execute())
		).resolves.toMatchObject([{ numUpdatedRows: 0n }]);
	});
	it('writes nothing once its link is over', async () => {
		const { ctx, r, linkId } = await own('Nerys');
		await d.owner.query(`update client_link set expires_at = now() - interval '1 second' where id = $1`, [
			linkId
		]);
		const row = { id: randomUUID(), client_id: r.head.id, local_day: '2026-03-01', kind: 'illness' };
		await expect(ctx.inPractice((t) => append(t, 'day_event', row))).rejects.toThrow(
			/by a link that is none/
		);
	});
	it('may do what a client may, of themselves: any other command is refused, another client is not there', async () => {
		const { ctx, r } = await own('Wren');
		const other = (await client(physio, 'Bertil')).head.id;
		expect(await showClient(ctx, r.head.id, 'x', () => null)).toMatchObject({
			refusal: { why: 'not-allowed' }
		});
		expect(await showClient(ctx, other, 'x', () => null, 'show own page')).toMatchObject({
			refusal: { why: 'not-found' }
		});
		const morning = { id: randomUUID(), clientId: other, day: physio.today, regions: [], events: [] };
		expect(await checkIn(ctx, morning)).toMatchObject({ refusal: { why: 'not-found' } });
		expect(await prescribe(ctx, { id: randomUUID(), clientId: r.head.id } as never)).toMatchObject({
			refusal: { why: 'not-allowed' }
		});
		expect(await signDecision(ctx, { id: randomUUID(), clientId: r.head.id } as never)).toMatchObject({
			refusal: { why: 'not-allowed' }
		});
	});
});

describe('the page', () => {
	it('shows today’s work drawn, what pain in it means, and nothing of slips or flags but that it is not for today', async () => {
		const { ctx, r } = await own('Nerys');
		const page = value(await showMine(ctx, HOUSE));
		expect(page.work.filter((w) => w.exerciseId !== null).length).toBeGreaterThan(1);
		for (const w of page.work.filter((x) => x.exerciseId !== null)) {
			expect(w.frames.length).toBeGreaterThan(1);
			expect(w.hurts).toHaveLength(11);
			// More pain is never answered bolder.
			const rank = w.hurts.map((h) => ['go-on', 'gentler', 'stop'].indexOf(h.answer));
			expect(rank[10], w.title).toBeGreaterThanOrEqual(rank[0]!);
			expect(rank[10], w.title).toBeGreaterThan(0);
		}
		expect(JSON.stringify(page)).not.toContain('proposal');
		expect(page.arrival.map((p) => p.region)).toEqual(regionsOf(r));
	});
});

describe('a day off', () => {
	it('lets what comes next be brought forward only after a day off', async () => {
		const { ctx, r } = await own('Bertil');
		const next = {
			weekday: weekday(addDays(physio.today, 2)),
			turns: [[{ exerciseId: r.exercises[0]!.id }]]
		};
		const plan = { school: 'usual', inTurn: true, learning: false, minutes: null, days: [next] } as const;
		value(await signWeek(physio, { id: randomUUID(), clientId: r.head.id, basedOn: null, week: plan }));
		const on = async (today: string) => value(await showMine({ ...ctx, today }, HOUSE));
		const last = r.logs
			.map((l) => l.session.date)
			.sort()
			.at(-1)!;
		const later = [1, 2, 3, 4, 5, 6, 7, 8]
			.map((n) => addDays(last, n))
			.find((d) => d > addDays(last, 1) && weekday(d) !== next.weekday)!;
		expect(await on(later)).toMatchObject({ dayOff: true, mayBring: true });
		const day = [last, addDays(last, 1)].find((d) => weekday(d) !== next.weekday)!;
		expect(await on(day)).toMatchObject({ dayOff: true, mayBring: false });
	});
});

const item = (
	r: ClientRecord,
	kind: OutboxItem['kind'],
	fields: Record<string, string>,
	more: Partial<OutboxItem> = {}
) =>
	({
		...{ id: randomUUID(), kind, contract: 1, client: r.head.id, fields: Object.entries(fields) },
		...more
	}) satisfies OutboxItem;

function sessionOf(r: ClientRecord, day: string, more: Record<string, string> = {}): Record<string, string> {
	const e = r.exercises[0]!;
	const { head } = effectiveChain(e.prescriptions);
	return {
		...{ visitId: randomUUID(), day, 'e.0.id': randomUUID(), 'e.0.exerciseId': e.id },
		...{ 'e.0.prescriptionId': head.id, 'e.0.effort': '5' },
		...{ [`pain.${e.region}.before`]: '1', [`pain.${e.region}.peak`]: '2', [`pain.${e.region}.after`]: '1' },
		...more
	};
}

describe('what the page kept', () => {
	it('is taken in once, however often it is sent; a session nobody saw is unseen whatever the page says', async () => {
		const { ctx, r } = await own('Wren');
		const one = item(
			r,
			'session',
			sessionOf(r, physio.today, { observed: 'on', 'e.0.cleanThroughout': 'on' })
		);
		expect(await takeIn(ctx, r.head.id, one)).toMatchObject({ state: 'kept' });
		expect(await takeIn(ctx, r.head.id, one)).toMatchObject({ state: 'kept' });
		const after = await reloaded(physio, r.head.id);
		const logged = after.logs.filter((l) => l.session.date === physio.today);
		expect(logged).toHaveLength(r.logs.filter((l) => l.session.date === physio.today).length + 1);
		expect(logged.at(-1)?.session.observed).toBe(false);
	});
	it('whose answer was lost is what it was, though the record changed since: the day became lighter, another joint is under treatment', async () => {
		const { ctx, r } = await own('Wren');
		const day = addDays(physio.today, -2);
		const heard = (x: OutboxItem) => takeIn(ctx, r.head.id, x);
		const done = item(r, 'session', sessionOf(r, day));
		expect(await heard(done)).toMatchObject({ state: 'kept' });
		const [region = ''] = regionsOf(r);
		const cold = { fever: 'cold', fall: 'no', newSwelling: 'no', calf: 'no' } as const;
		const came = { id: randomUUID(), clientId: r.head.id, day, pains: { [region]: 1 }, ...cold };
		expect(value(await arrive(physio, came)).answer).toBe('lighter');
		expect(await heard(done)).toMatchObject({ state: 'kept' });

		const morning = item(r, 'morning', {
			...{ day, [`${region}.id`]: randomUUID(), [`${region}.pain`]: '2', [`${region}.swelling`]: 'none' }
		});
		expect(await heard(morning)).toMatchObject({ state: 'kept' });
		const hurts = { region: 'ankle-left', spot: 'around', usualMorning: 1, worst: 3, loaded: 'no' } as const;
		const ids = { id: randomUUID(), settingId: randomUUID(), clientId: r.head.id };
		value(await saveComplaint(physio, { ...ids, ...hurts }));
		expect(regionsOf(await reloaded(physio, r.head.id))).toContain('ankle-left');
		expect(await heard(morning)).toMatchObject({ state: 'kept' });
	});
	it('of yesterday, under a prescription that was changed since, is taken', async () => {
		const { ctx, r } = await own('Bertil');
		const e = r.exercises[0]!;
		const old = e.prescriptions[0]!;
		const sent = item(
			r,
			'session',
			sessionOf(r, addDays(physio.today, -1), { 'e.0.prescriptionId': old.id })
		);
		expect(await takeIn(ctx, r.head.id, sent)).toMatchObject({ state: 'kept' });
	});
	it('that cannot be taken is parked with why: another’s, of a day to come, without its fields, changed after it was sent', async () => {
		const { ctx, r } = await own('Wren');
		const why = async (x: OutboxItem): Promise<string> => {
			const sent = await takeIn(ctx, r.head.id, x);
			return sent.state === 'parked' ? sent.message : 'kept';
		};
		const bertil = await client(physio, 'Bertil');
		expect(await why(item(bertil, 'session', sessionOf(bertil, physio.today)))).toContain('somebody else');
		expect(await why(item(r, 'session', sessionOf(r, addDays(physio.today, 1))))).toContain('in the future');
		expect(await why(item(r, 'morning', {}))).toContain('day of the morning');
		expect(await why(item(r, 'symptoms', { day: physio.today, region: regionsOf(r)[0]! }))).toContain(
			'Say which'
		);
		const arrived = { fever: 'no', fall: 'no', newSwelling: 'no', calf: 'no' };
		expect(await why(item(r, 'arrival', { ...arrived, day: addDays(physio.today, 1) }))).toContain(
			'not come yet'
		);
		expect(await why(item(r, 'arrival', { ...arrived, day: 'yesterday' }))).not.toBe('kept');
		const one = item(r, 'session', sessionOf(r, physio.today));
		expect(await why(one)).toBe('kept');
		const other = one.fields.map(([k, v]) => (k === 'e.0.effort' ? [k, '9'] : [k, v])) as [string, string][];
		expect(await why({ ...one, fields: other })).toContain('sent before with other content');
	});
	it('of symptoms on a day to come, or of a place that is not treated, is parked and opens nothing', async () => {
		const { ctx, r } = await own('Tamsin');
		const told = (day: string, region: string) =>
			takeIn(ctx, r.head.id, item(r, 'symptoms', { day, region, symptoms: 'chest-pain' }));
		expect(await told(addDays(physio.today, 1), regionsOf(r)[0]!)).toMatchObject({ state: 'parked' });
		expect(await told(physio.today, 'ankle-left')).toMatchObject({ state: 'parked' });
		expect(
			(await reloaded(physio, r.head.id)).head.flags.some((f) => f.code === 'emergency-chest-pain')
		).toBe(false);
	});
	it('that alarms is answered at once, and opens its flag for the practice', async () => {
		const { ctx, r } = await own('Wren');
		const region = regionsOf(r)[0]!;
		const told = item(r, 'symptoms', { day: physio.today, region, symptoms: 'chest-pain' });
		expect(await takeIn(ctx, r.head.id, told)).toMatchObject({ state: 'kept', said: { now: 'emergency' } });
		const after = await reloaded(physio, r.head.id);
		expect(after.head.flags.find((f) => f.open && f.code === 'emergency-chest-pain')).toMatchObject({
			severity: 'red',
			urgency: 'emergency'
		});
		const page = value(await showMine(ctx, HOUSE));
		expect(page.flag).toBe('emergency-chest-pain');
		expect(page.work.every((w) => w.exerciseId === null || w.held)).toBe(true);
		// The practitioner's session holds it too.
		const held = toLog(after, physio.today, []).map((e) => e.held?.by);
		expect(held.every((by) => by === 'flag')).toBe(true);
	});
});

describe('a reminder of a missing morning', () => {
	const at = (hour: number, day = physio.today) => ({
		now: new Date(`2026-03-12T${String(hour).padStart(2, '0')}:30:00Z`),
		fixed: day,
		origin: 'https://rooms.example'
	});
	/** Queued and sent in one go. */
	async function sendNudges(when: ReturnType<typeof at>): Promise<void> {
		const jobs: Reminder[] = [];
		await queueReminders(d.pool, when, async (job) => void jobs.push(job));
		for (const job of jobs) await sendReminder(d.pool, job, when, send);
	}
	const letters: Letter[] = [];
	const send = (l: Letter): Promise<boolean> => {
		letters.push(l);
		return Promise.resolve(true);
	};
	const nudged = async (hour: number, day?: string): Promise<readonly string[]> => {
		letters.length = 0;
		await sendNudges(at(hour, day));
		return letters.map((l) => l.to);
	};
	async function withAddress(name: string, email: string): Promise<ClientRecord> {
		const { r, id } = await linked(name);
		await d.owner.query('update client_link set email = $2 where id = $1', [id, email]);
		return r;
	}
	const letter = (clientId: string, given: boolean) =>
		physio.inPractice((t) =>
			append(t, 'consent', {
				...{ id: randomUUID(), client_id: clientId, purpose: 'letters', given, local_day: physio.today }
			})
		);
	it('goes once, by day, to whom had a session yesterday and no morning; to nobody in quiet hours or who wants no letters', async () => {
		const r = await withAddress('Odile', 'odile@harbour.example');
		await letter(r.head.id, true);
		const yesterday = addDays(physio.today, -1);
		expect(r.logs.some((l) => l.session.date === yesterday)).toBe(true);
		await d.owner.query(`delete from checkin where client_id = $1 and local_day = $2`, [
			r.head.id,
			physio.today
		]);
		expect(await nudged(8)).toEqual([]);
		expect(await nudged(17)).toEqual([]);
		await d.owner.query('update practice set quiet_from = 10, quiet_to = 13');
		expect(await nudged(11)).toEqual([]);
		await d.owner.query('update practice set quiet_from = 20, quiet_to = 9');
		await letter(r.head.id, false);
		expect(await nudged(11)).toEqual([]);
		await letter(r.head.id, true);
		// Two servers at once send one.
		letters.length = 0;
		await Promise.all([sendNudges(at(11)), sendNudges(at(11))]);
		expect(letters.map((l) => l.to)).toEqual(['odile@harbour.example']);
		expect(letters[0]?.text).toContain('https://rooms.example/mine/morning');
		// Of what is treated it says nothing.
		expect(`${letters[0]?.subject}${letters[0]?.text}`).not.toMatch(/knee|hip|back|pain/i);
		expect(await nudged(12)).toEqual([]);
	});
	it('goes to nobody whose morning is in, who had no session, or whose link is over', async () => {
		const r = await withAddress('Odile', 'odile@harbour.example');
		await d.owner.query('delete from nudge');
		expect(await nudged(11)).toEqual(['odile@harbour.example']);
		await d.owner.query('delete from nudge');
		expect(await nudged(11, addDays(physio.today, 3))).toEqual([]);
		const morning = { id: randomUUID(), region: regionsOf(r)[0]!, pain: 2, swelling: 'none' as const };
		value(
			await checkIn(physio, {
				...{ id: randomUUID(), clientId: r.head.id, day: physio.today },
				regions: [morning],
				events: []
			})
		);
		expect(await nudged(11)).toEqual([]);
		await d.owner.query(`delete from checkin where client_id = $1 and local_day = $2`, [
			r.head.id,
			physio.today
		]);
		await d.owner.query(`update client_link set expires_at = now() where client_id = $1`, [r.head.id]);
		expect(await nudged(11)).toEqual([]);
	});
	it('what was withdrawn, answered or grew late while it waited is not sent; a server that is down is an error to try again', async () => {
		const r = await withAddress('Odile', 'odile@harbour.example');
		await d.owner.query('delete from nudge');
		const job: Reminder = { practiceId: physio.actor.practiceId, clientId: r.head.id, day: physio.today };
		const sent = (hour = 11, taken = true) =>
			sendReminder(d.pool, job, at(hour), (l) => {
				letters.push(l);
				return Promise.resolve(taken);
			});
		letters.length = 0;
		expect(await sent()).toBe('sent');
		await expect(sent(11, false)).rejects.toThrow(/did not take it/);
		expect(await sent(22)).toBe('too late');
		await letter(r.head.id, false);
		expect(await sent()).toBe('not wanted any more');
		await letter(r.head.id, true);
		expect(letters).toHaveLength(2);
	});
	it('goes as a text where there is a number and no address', async () => {
		const { id } = await linked('Odile');
		await d.owner.query(`update client_link set phone = '+31 6 5550 1234' where id = $1`, [id]);
		await d.owner.query('delete from nudge');
		expect(await nudged(11)).toEqual(['+31 6 5550 1234']);
		expect(letters[0]).toMatchObject({ by: 'text' });
	});
});
