/** What Today keeps: a kept row is always what judging anew would say, and whoever changes a record meanwhile wins. */
import { CLIENTS } from '../../../../demo/people.ts';
import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { describe, expect, it } from 'vitest';
import {
	client,
	counted,
	demoForEach,
	value,
	waiting,
	type TestDatabase
} from '../../../../tests/database.ts';
import { AS_USUAL } from '#lib/wording/written-as.ts';
import { loadRecords } from '../record/load.ts';
import { keepJudged, unjudge, takeOld, unjudged } from '../repo/standing-repo.ts';
import { rebuild } from '../thread/rebuild.ts';
import { judgedRow, readRow, todayRow } from '../view/today-row.ts';
import type { Context } from './actor.ts';
import { arrive } from './arrive.ts';
import { changeSetting } from './change-setting.ts';
import { checkIn } from './check-in.ts';
import { closeFlag } from './flags.ts';
import { judgeAnew, judgedBy, judgeOld } from './judge-anew.ts';
import { logVisit } from './log-visit.ts';
import { saveFamilies } from './own-families.ts';
import { setLimit } from './protocols.ts';
import { showToday } from './show-today.ts';
import { writing } from './writing.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
demoForEach((made) => ({ d, physio } = made));

const old = (on = TODAY) => physio.inPractice((t) => unjudged(t, on, judgedBy()));
const rows = async (ctx = physio) => value(await showToday(ctx)).rows;

/** What judging everybody from the record alone says, in the order of Today. */
async function rebuilt(ctx: Context): Promise<unknown[]> {
	return ctx.inPractice(async (t) => {
		const all = (await loadRecords(t)).map((r) => ({
			clientId: r.head.id,
			name: r.head.name,
			...todayRow(r, ctx.today)
		}));
		return all
			.sort((a, b) => a.rank - b.rank || (a.name < b.name ? -1 : 1))
			.map(({ rank: _, clientId, name, ...row }) => ({ ...readRow(row, ctx.today), clientId, name }));
	});
}
const kept = async (ctx = physio) => (await rows(ctx)).map(({ old: _, ...row }) => row);

describe('kept and rebuilt', () => {
	it('are the same after every kind of act, and each act leaves exactly its client to be judged', async () => {
		expect(await kept()).toEqual(await rebuilt(physio));
		expect(await old()).toEqual([]);
		const wren = await client(physio, 'Wren');
		const clientId = wren.head.id;
		const e = wren.exercises[0]!;
		const head = e.prescriptions.at(-1)!;
		const flag = (await physio.inPractice((t) => loadRecords(t))).flatMap((r) =>
			r.head.flags.filter((f) => f.open && f.severity !== 'caution').map((f) => ({ r, f }))
		)[0]!;
		const session = {
			date: TODAY,
			observed: true,
			prescribed: { sets: head.dose.sets, reps: head.dose.reps, loadKg: head.dose.loadKg },
			sets: Array.from({ length: head.dose.sets }, () => ({
				reps: head.dose.reps,
				effort: 5,
				cleanReps: head.dose.reps
			})),
			pains: [{ region: e.region, before: 1, peak: 7, after: 6 }],
			symptoms: [],
			faults: {},
			soreness: 1,
			confidence: 8
		};
		const acts: readonly (readonly [string, () => Promise<{ readonly ok: boolean }>])[] = [
			[
				clientId,
				() =>
					arrive(physio, {
						id: randomUUID(),
						clientId,
						day: TODAY,
						pains: { [e.region]: 3 },
						fever: 'no',
						fall: 'no',
						newSwelling: 'no',
						calf: 'no'
					})
			],
			[
				clientId,
				() =>
					logVisit(physio, {
						id: randomUUID(),
						visitId: randomUUID(),
						clientId,
						exerciseId: e.id,
						prescriptionId: head.id,
						session
					})
			],
			[
				clientId,
				() =>
					checkIn(physio, {
						id: randomUUID(),
						clientId,
						day: '2026-03-11',
						regions: [{ id: randomUUID(), region: e.region, pain: 6, swelling: 'none' }],
						events: []
					})
			],
			[clientId, () => changeSetting(physio, clientId, randomUUID(), { technique: 'parallel' })],
			[
				clientId,
				() =>
					setLimit(physio, {
						id: randomUUID(),
						clientId,
						axis: 'kneeFlexion',
						side: 'right',
						maxDeg: 40,
						source: 'letter'
					})
			],
			[
				flag.r.head.id,
				() =>
					closeFlag(physio, {
						id: randomUUID(),
						clientId: flag.r.head.id,
						flagId: flag.f.id,
						note: 'Seen by me, a mistake.',
						mistaken: true
					})
			]
		];
		for (const [of, act] of acts) {
			expect(await act(), String(act)).toMatchObject({ ok: true });
			expect((await old()).map((u) => u.clientId)).toEqual([of]);
			expect(await kept()).toEqual(await rebuilt(physio));
			expect(await old()).toEqual([]);
		}
	});
	it('an act that was refused leaves the row as it is; own ladders leave everybody to be judged', async () => {
		await rows();
		const { head } = await client(physio, 'Wren');
		expect(
			await setLimit(physio, {
				id: randomUUID(),
				clientId: head.id,
				axis: 'kneeFlexion',
				side: 'right',
				source: 'letter'
			})
		).toMatchObject({ ok: false });
		expect(await saveFamilies(physio, '{"no":"ladder"}')).toMatchObject({
			ok: true,
			value: { faults: expect.anything() as unknown }
		});
		expect(await old()).toEqual([]);
		await physio.inPractice((t) => unjudge(t));
		expect(await old()).toHaveLength(CLIENTS.length);
	});
	it('another day, another engine and a row thrown away are judged anew', async () => {
		await rows();
		expect(await old('2026-03-13')).toHaveLength(CLIENTS.length);
		// A clock that went back: what was said for tomorrow is not said today.
		expect(await old('2026-03-11')).toHaveLength(CLIENTS.length);
		expect(await physio.inPractice((t) => unjudged(t, TODAY, 'another'))).toHaveLength(CLIENTS.length);
		await d.owner.query('delete from standing');
		expect(await old()).toHaveLength(CLIENTS.length);
		expect(await kept({ ...physio, today: '2026-03-13' })).toEqual(
			await rebuilt({ ...physio, today: '2026-03-13' })
		);
	});
	it('rebuilt by the command line, rows are what they were', async () => {
		const before = await rows();
		await d.owner.query(`update standing set today_row = '{}', rank = 99`);
		expect(await rebuild(d.ownerUrl, () => TODAY)).toMatchObject([{ clients: CLIENTS.length }]);
		expect(await rows()).toEqual(before);
	});
	it('an answer made from what was known before a change is dropped', async () => {
		await rows();
		const { head } = await client(physio, 'Wren');
		await physio.inPractice((t) => unjudge(t, head.id));
		const amos = await client(physio, 'Amos');
		await physio.inPractice((t) => unjudge(t, amos.head.id));
		const before = await old();
		await physio.inPractice((t) => unjudge(t, head.id));
		const records = [await client(physio, 'Wren'), amos];
		const answers = before.map((of) => {
			const r = records.find((x) => x.head.id === of.clientId)!;
			return { ...of, ...judgedRow(r, TODAY) };
		});
		expect(answers).toHaveLength(2);
		// Of those that are kept together the others stand.
		const kept = await physio.inPractice((t) => keepJudged(t, answers, TODAY, judgedBy()));
		expect(kept).toEqual([amos.head.id]);
		expect((await old()).map((u) => u.clientId)).toEqual([head.id]);
		await judgeAnew(physio.inPractice, await old(), TODAY);
		expect(await old()).toEqual([]);
	});
});

describe('judged aside', () => {
	it('whoever changes a record while it is judged waits for nobody, and wins', async () => {
		const { id } = (await client(physio, 'Wren')).head;
		await physio.inPractice((t) => unjudge(t, id));
		const one = (await old()).filter((c) => c.clientId === id);
		let changed = false;
		// Before the first transaction of the judging ends, somebody else's change is written whole.
		const meanwhile: Context['inPractice'] = (work) =>
			physio.inPractice(async (t) => {
				const done = await work(t);
				if (!changed)
					await physio.inPractice(async (other) => {
						await sql`set local lock_timeout = '2s'`.execute(other.trx);
						await unjudge(other, id);
					});
				changed = true;
				return done;
			});
		await judgeAnew(meanwhile, one, TODAY);
		expect((await old()).map((c) => c.clientId)).toContain(id);
		await judgeAnew(physio.inPractice, await old(), TODAY);
		expect(await old()).toEqual([]);
	});
	it('by one of several at once, each client once', async () => {
		await physio.inPractice((t) => unjudge(t));
		const judged = await Promise.all([1, 2, 3].map(() => judgeOld(physio.inPractice, TODAY)));
		expect(judged.reduce((a, b) => a + b)).toBe(CLIENTS.length);
		expect(await old()).toEqual([]);
		const { rows: left } = await d.owner.query('select 1 from standing where judging_until is not null');
		expect(left).toEqual([]);
	});
	it('not by another while one is at it; what changes meanwhile, or was left lying, is anybody’s', async () => {
		const { id } = (await client(physio, 'Wren')).head;
		const take = (most = 20) => physio.inPractice((t) => takeOld(t, TODAY, judgedBy(), most));
		await physio.inPractice((t) => unjudge(t));
		expect(await take(2)).toHaveLength(2);
		expect(await take(2)).toHaveLength(2);
		expect(await take()).toHaveLength(CLIENTS.length - 4);
		expect(await take()).toEqual([]);
		// A reading does not wait for whoever took it.
		expect(await old()).toHaveLength(CLIENTS.length);
		await physio.inPractice((t) => unjudge(t, id));
		expect((await take()).map((x) => x.clientId)).toEqual([id]);
		await d.owner.query(`update standing set judging_until = now() - interval '1 second'`);
		expect(await take()).toHaveLength(CLIENTS.length);
		await physio.inPractice((t) => unjudge(t));
		expect(await take()).toHaveLength(CLIENTS.length);
		await physio.inPractice((t) => unjudge(t));
		await judgeOld(physio.inPractice, TODAY);
		expect(await take()).toEqual([]);
	});
	it('of those that changed just now: who changes meanwhile is asked for anew, and judged with all that are old', async () => {
		const [wren, amos] = [(await client(physio, 'Wren')).head.id, (await client(physio, 'Amos')).head.id];
		const changing = (): Context['inPractice'] => {
			let changed = false;
			return async (work) => {
				const done = await physio.inPractice(work);
				const kept = await physio.inPractice((t) => unjudged(t, TODAY, judgedBy()));
				if (!changed && kept.length === 0) {
					changed = true;
					await physio.inPractice((t) => unjudge(t, amos));
				}
				return done;
			};
		};
		const judgedOf = async (few: boolean) => {
			await judgeOld(physio.inPractice, TODAY);
			await physio.inPractice((t) => unjudge(t, wren));
			const judged = await judgeOld(changing(), TODAY, few);
			return [judged, (await old()).map((c) => c.clientId)];
		};
		expect(await judgedOf(true)).toEqual([1, [amos]]);
		expect(await judgedOf(false)).toEqual([2, []]);
	});
	it('nor by another who asks in the same moment', async () => {
		const take = () => physio.inPractice((t) => takeOld(t, TODAY, judgedBy(), 20));
		await physio.inPractice((t) => unjudge(t));
		let second: ReturnType<typeof take> | undefined;
		await physio.inPractice(async (t) => {
			expect(await takeOld(t, TODAY, judgedBy(), 20)).toHaveLength(CLIENTS.length);
			second = take();
			// It waits for the rows that are being taken.
			await waiting(d, 1);
		});
		expect(await second).toEqual([]);
		await physio.inPractice((t) => unjudge(t));
		await judgeOld(physio.inPractice, TODAY);
	});
	it('in one order, as all are marked old, so that none of them waits for the other', async () => {
		await physio.inPractice((t) => unjudge(t));
		const all = await old();
		const ids = all.map((c) => c.clientId).sort();
		for (const work of [
			() => judgeAnew(physio.inPractice, all, TODAY),
			() => physio.inPractice((t) => unjudge(t))
		]) {
			// However they lie in the table.
			for (const id of [...ids].reverse())
				await d.owner.query('update standing set version = version where id = $1', [id]);
			let beside: Promise<void> | undefined;
			await physio.inPractice(async (t) => {
				const lock = (of: readonly string[]) =>
					sql`select 1 from standing where id = any(${of}::uuid[]) order by id for update nowait`.execute(
						t.trx
					);
				await lock(ids.slice(0, 1));
				beside = work();
				await waiting(d, 1);
				// It waits for the first and holds none of the others.
				await lock(ids.slice(1));
			});
			await beside;
		}
		await judgeOld(physio.inPractice, TODAY);
		expect(await old()).toEqual([]);
	});
	it('in the words in which the practice writes now, whoever asked for it when', async () => {
		await d.owner.query(`update practice set units = 'imperial', date_order = 'month-day'`);
		await physio.inPractice((t) => unjudge(t));
		// Asked for while it wrote otherwise.
		await writing(AS_USUAL, () => judgeOld(physio.inPractice, TODAY));
		const { rows: kept } = await d.owner.query<{ judged_by: string }>('select judged_by from standing');
		expect(new Set(kept.map((k) => k.judged_by.split('|').slice(-2).join(' ')))).toEqual(
			new Set(['imperial month-day'])
		);
		await d.owner.query(`update practice set units = 'metric', date_order = 'day-month'`);
		await physio.inPractice((t) => unjudge(t));
		await judgeOld(physio.inPractice, TODAY);
	});
});

describe('reading', () => {
	it('costs the same few queries however many clients there are, once they are judged', async () => {
		await rows();
		const asks = counted(physio);
		value(await showToday(asks.ctx));
		expect(asks.questions()).toBeLessThanOrEqual(4);
	});
	it('finds by a part of the name, as typed; pages go on where the last ended', async () => {
		const found = value(await showToday(physio, { search: 'wREN' }));
		expect(found).toMatchObject({ all: CLIENTS.length, found: 1 });
		expect(found.rows.map((r) => r.name.split(' ')[0])).toEqual(['Wren']);
		expect(value(await showToday(physio, { search: '%' }))).toMatchObject({ found: 0, rows: [] });
		const all = await rows();
		expect(value(await showToday(physio, { from: 3 })).rows).toEqual(all.slice(3));
	});
	it('shows how long nobody was heard of as of today, not of the day it was judged', async () => {
		const silent = async (today: string) =>
			(await rows({ ...physio, today })).flatMap((r) => r.notes.filter((n) => n.startsWith('silent')));
		await silent(TODAY);
		await d.owner.query(`update standing set valid_until = '2027-01-01'`);
		expect(await silent('2026-04-12')).toHaveLength(
			CLIENTS.length -
				(await rows({ ...physio, today: '2026-04-12' })).filter((r) => r.lastSession === null).length
		);
	});
	it('another practice sees and changes nothing of it', async () => {
		await rows();
		const stranger = await d.db.transaction().execute(async (trx) => {
			await sql`select set_config('bolster.practice', ${randomUUID()}, true)`.execute(trx);
			return (await sql`select * from standing`.execute(trx)).rows.length;
		});
		expect(stranger).toBe(0);
	});
});

describe('chosen from what is kept', () => {
	const chosen = async (asked: Parameters<typeof showToday>[1]) => value(await showToday(physio, asked));
	it('by what is to be done, by what waits, by part and by name: each a part of the whole, counted as it is shown', async () => {
		const all = await chosen({});
		for (const show of new Set(all.rows.map((r) => r.decision))) {
			const some = await chosen({ show });
			expect(some.rows).toEqual(all.rows.filter((r) => r.decision === show));
			expect([some.found, some.all]).toEqual([some.rows.length, all.all]);
		}
		const waits = await chosen({ show: 'waiting' });
		expect(waits.found).toBe(all.waiting);
		const knees = await chosen({ part: 'knee' });
		expect(knees.rows).toEqual(all.rows.filter((r) => r.regions.includes('knee')));
		expect(knees.rows.length).toBeGreaterThan(0);
		expect(knees.rows.length).toBeLessThan(all.rows.length);
		expect((await chosen({ part: 'knee', search: 'wren' })).rows.map((r) => r.name)).toEqual(['Wren Hollis']);
		expect((await chosen({ search: '%' })).found).toBe(0);
	});
	it('in the order that is asked: by name, or the longest without a session first', async () => {
		const names = (await chosen({ order: 'name' })).rows.map((r) => r.name);
		expect(names).toEqual([...names].sort((a, b) => (a.toLowerCase() < b.toLowerCase() ? -1 : 1)));
		const days = (await chosen({ order: 'silent' })).rows.map((r) => r.lastSession ?? '');
		expect(days).toEqual([...days].sort());
	});
});
