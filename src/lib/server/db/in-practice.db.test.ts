/** The way to the record: what is done in it stands whole or not at all, its settings are those of whoever asks, and a connection that broke says so. Common practice. */
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { as, cloneOf, type TestDatabase } from '../../../../tests/database.ts';
import type { Context } from '../usecase/actor.ts';
import { notNow } from '../http/not-now.ts';
import { inPracticeOf, type PracticeTransaction } from './in-practice.ts';

let d: TestDatabase;
let physio: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
});
afterAll(() => d.close());

const rename = (t: PracticeTransaction, name: string) =>
	t.trx.updateTable('equipment').set({ label: name }).where('practice_id', '=', t.practiceId).execute();
const named = async (name: string): Promise<number> =>
	(await d.owner.query<{ n: number }>('select count(*)::int as n from equipment where label = $1', [name]))
		.rows[0]?.n ?? 0;

describe('what is done in a practice', () => {
	it('stands when it is done, and not where it is thrown out of', async () => {
		await expect(
			physio.inPractice(async (t) => {
				await rename(t, 'half');
				throw new Error('half-way');
			})
		).rejects.toThrow('half-way');
		expect(await named('half')).toBe(0);
		await physio.inPractice((t) => rename(t, 'whole'));
		expect(await named('whole')).toBeGreaterThan(0);
	});
	it('goes on after a question the database refused, on the same connection too', async () => {
		for (let i = 0; i < 12; i++)
			await expect(physio.inPractice((t) => sql`select 1 / 0`.execute(t.trx))).rejects.toThrow(
				'division by zero'
			);
		expect(await physio.inPractice(async (t) => (await sql`select 1`.execute(t.trx)).rows)).toHaveLength(1);
		const { rows } = await d.owner.query(
			`select 1 from pg_stat_activity where datname = current_database() and state like 'idle in transaction%'`
		);
		expect(rows).toEqual([]);
	});
	it('is said by its own settings, whatever stands in them', async () => {
		const { practiceId, memberId } = physio.actor;
		const odd = `o'clock \\' ; drop table client; --`;
		const said = await inPracticeOf(d.db, practiceId, memberId, { session: odd })((t) =>
			sql<
				Record<string, string>
			>`select current_setting('bolster.practice') as practice, current_setting('bolster.member') as member,
				current_setting('bolster.client') as client, current_setting('bolster.session') as session`.execute(t.trx)
		);
		expect(said.rows).toEqual([{ practice: practiceId, member: memberId, client: '', session: odd }]);
	});
	it('says that the database went away, where it does under a question', async () => {
		const broken = await physio
			.inPractice((t) => sql`select pg_terminate_backend(pg_backend_pid())`.execute(t.trx))
			.catch((e: unknown) => e);
		// Its own words (admin_shutdown: PostgreSQL, appendix A), not those of the rolling back that came after.
		expect(broken).toMatchObject({ code: '57P01' });
		expect(notNow(broken)).toMatch(/^The database is not answering/);
		expect(await physio.inPractice(async (t) => (await sql`select 1`.execute(t.trx)).rows)).toHaveLength(1);
	});
});
