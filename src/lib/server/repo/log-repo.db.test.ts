/** Sessions read since a number of the record are the sessions read whole: order, what was put in the place of another, what was taken out. Common practice. */
import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { logOf } from '../../../../tests/log-of.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from '../usecase/actor.ts';
import { logVisit } from '../usecase/log-visit.ts';
import { voidLog } from '../usecase/void-log.ts';
import { takeOut } from './entry-repo.ts';
import { logs, logsSince, type Placed } from './log-repo.ts';
import { recordVersion } from './record-version-repo.ts';

let d: TestDatabase;
let physio: Context;
demoForEach((made) => ({ d, physio } = made));
let r: ClientRecord;
let known: { readonly logs: readonly Placed[]; readonly change: number };

const whole = () => physio.inPractice((t) => logs(t, r.head.id));
const numberNow = async (t: PracticeTransaction): Promise<number> =>
	(await recordVersion(t, r.head.id))?.own.exercise_log ?? NaN;
/** What is read since. */
const since = () => physio.inPractice((t) => logsSince(t, r.head.id, known.logs, known.change));

beforeEach(async () => {
	r = await client(physio, 'Wren');
	known = await physio.inPractice(async (t) => ({
		change: await numberNow(t),
		logs: await logs(t, r.head.id)
	}));
});

const logged = async (day: string): Promise<string> => {
	const log = logOf(await reloaded(physio, r.head.id), day);
	value(await logVisit(physio, log));
	return log.id;
};
const taken = async (id: string): Promise<void> =>
	void value(
		await voidLog(physio, { id: randomUUID(), clientId: r.head.id, logId: id, reason: 'logged twice' })
	);

describe('sessions since a number', () => {
	it('are none where none was written, and what was known', async () => {
		expect(known.logs.length).toBeGreaterThan(5);
		expect(await since()).toEqual(known.logs);
	});
	it('of today, of a day between and of one day stand where they stand in the whole', async () => {
		await logged(physio.today);
		await logged(addDays(physio.today, -3));
		await logged(addDays(physio.today, -3));
		expect(await since()).toEqual(await whole());
		expect((await whole()).length).toBe(known.logs.length + 3);
	});
	it('take out what was known, and what was written and taken out since', async () => {
		const [first] = known.logs;
		await taken(first!.id);
		const brief = await logged(physio.today);
		await taken(brief);
		const stays = await logged(physio.today);
		const read = await since();
		expect(read).toEqual(await whole());
		expect(read.map((l) => l.id)).not.toContain(first!.id);
		expect(read.map((l) => l.id)).not.toContain(brief);
		expect(read.at(-1)?.id).toBe(stays);
	});
	it('are not there twice where one was read before its number was', async () => {
		await logged(physio.today);
		known = { ...known, logs: await whole() };
		expect(await since()).toEqual(await whole());
	});
	it('of another client are not theirs', async () => {
		const amos = await client(physio, 'Amos');
		value(await logVisit(physio, logOf(amos, physio.today)));
		expect(await since()).toEqual(known.logs);
	});
	it('go with what was put in the place of another', async () => {
		const old = known.logs.at(-1)!;
		await physio.inPractice(async (t) => {
			const { rows } = await d.owner.query<Record<string, unknown>>(
				'select * from exercise_log where id = $1',
				[old.id]
			);
			await takeOut(t, 'session', rows[0]!, { id: randomUUID(), reason: 'another day' });
		});
		expect(await since()).toEqual(await whole());
		expect(await since()).toHaveLength(known.logs.length - 1);
	});
});

describe('the number of a session', () => {
	it('is below the number its record has from then on, and above the one it had', async () => {
		await logged(physio.today);
		const [last] = (await whole()).slice(-1);
		const now = await physio.inPractice(numberNow);
		expect(last!.change).toBeGreaterThan(known.change);
		expect(last!.change).toBeLessThan(now);
	});
	it('sorts sessions of one moment in the order in which they were written', async () => {
		const ids = [await logged(physio.today), await logged(physio.today), await logged(physio.today)];
		await d.owner.query(`update exercise_log set recorded_at = now() where id = any($1)`, [ids]);
		expect((await whole()).slice(-3).map((l) => l.id)).toEqual(ids);
	});
});
