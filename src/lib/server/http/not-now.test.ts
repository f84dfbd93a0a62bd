/** Which failures of the database are "try again", and which are ours. Codes: PostgreSQL 15, appendix A; the pool's words as its package writes them. */
import { once } from 'node:events';
import { createServer } from 'node:net';
import { isHttpError } from '@sveltejs/kit';
import pg from 'pg';
import { expect, it } from 'vitest';
import type { Context } from '../usecase/actor.ts';
import { BUSY, notNow, orNotNow, SILENT } from './not-now.ts';

type InPractice = Context['inPractice'];

const failing =
	(e: unknown): InPractice =>
	() =>
		Promise.reject(e);
const answered = async (e: unknown): Promise<unknown> =>
	orNotNow(failing(e))(async () => 1).catch((x: unknown) => x);

it.each([
	['refused', { code: 'ECONNREFUSED' }],
	['reset', { code: 'ECONNRESET' }],
	['written to a closed line', { code: 'EPIPE' }],
	['shut down by its administrator', { code: '57P01' }],
	['still starting', { code: '57P03' }],
	['connection failure', { code: '08006' }],
	['too many connections', { code: '53300' }],
	['broken under a statement', new Error('Connection terminated unexpectedly')]
])('a database that is %s is silent: 503, and why', async (_, e) => {
	const said = await answered(e);
	expect(isHttpError(said, 503)).toBe(true);
	expect(said).toMatchObject({ body: { message: SILENT } });
});

it('a real pool: who waits on a line that never greets meets silence, who waits behind them a crowd', async () => {
	const mute = createServer(() => undefined).listen(0, '127.0.0.1');
	await once(mute, 'listening');
	const { port } = mute.address() as { port: number };
	const pool = new pg.Pool({ host: '127.0.0.1', port, max: 1, connectionTimeoutMillis: 100 });
	const failed = (): Promise<unknown> => pool.connect().catch((x: unknown) => x);
	const [first, behind] = await Promise.all([failed(), failed()]);
	mute.close();
	expect([notNow(first), notNow(behind)]).toEqual([SILENT, BUSY]);
});

it.each([
	['written twice', { code: '23505' }],
	['not understood', { code: '42P01' }],
	['a fault of ours', new Error('no context')],
	['a number for a code', { code: 8006 }],
	['nothing', undefined]
])('%s is none of that, and goes on as it is', async (_, e) => {
	expect(notNow(e)).toBeUndefined();
	expect(await answered(e)).toBe(e);
});

it('what is answered is answered', async () => {
	expect(await orNotNow((work) => work({} as never))(async () => 7)).toBe(7);
});
