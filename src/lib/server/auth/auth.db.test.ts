/** Sign-in: right, wrong, too often, and no signing up over the network. */
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { cloneOf, type TestDatabase } from '../../../../tests/database.ts';
import { ADDRESS_HEADER, IDLE_SECONDS, makeAuth, type Auth } from './auth.ts';
import { isOver, LONGEST_MS, sessionOf } from './session.ts';

const ORIGIN = 'http://127.0.0.1:1';
let d: TestDatabase;
let service: Auth;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	const { rows } = await d.pool.query<{ name: string }>('select current_database() as name');
	service = makeAuth({
		url: inject('apps').replace('DATABASE', rows[0]?.name ?? ''),
		secret: 'x'.repeat(40),
		origin: ORIGIN,
		perMinute: 3
	});
});
afterAll(async () => {
	await service.pool.end();
	await d.close();
});

const send = (path: string, body: object, address: string): Promise<Response> =>
	service.auth.handler(
		new Request(`${ORIGIN}/api/auth${path}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', origin: ORIGIN, [ADDRESS_HEADER]: address },
			body: JSON.stringify(body)
		})
	);

describe('signing in', () => {
	const good = { email: 'physio@tidewater.example', password: 'heron-on-the-jetty' };
	it('takes the right password and sets an HttpOnly cookie', async () => {
		const r = await send('/sign-in/email', good, '10.0.0.1');
		expect(r.status).toBe(200);
		expect(r.headers.getSetCookie().join()).toMatch(/session_token=.*HttpOnly.*SameSite=Lax/i);
	});
	it('refuses a wrong one and an unknown address alike', async () => {
		const [wrong, unknown] = await Promise.all([
			send('/sign-in/email', { ...good, password: 'guessing-this' }, '10.0.0.2'),
			send('/sign-in/email', { email: 'nobody@tidewater.example', password: 'guessing-this' }, '10.0.0.3')
		]);
		expect([wrong.status, unknown.status]).toEqual([401, 401]);
		expect(await wrong.text()).toBe(await unknown.text());
	});
	it('stops counting on luck: the fourth attempt of an address within a minute is refused, another address goes on', async () => {
		const tries: number[] = [];
		for (let i = 0; i < 5; i++)
			tries.push(
				(await send('/sign-in/email', { ...good, password: `wrong-number-${i}` }, '10.0.0.9')).status
			);
		expect(tries.slice(0, 3)).toEqual([401, 401, 401]);
		expect(tries[4]).toBe(429);
		expect((await send('/sign-in/email', good, '10.0.0.10')).status).toBe(200);
	});
	it('a session ends after twelve hours in all, however busy, and after two without use', async () => {
		const r = await send('/sign-in/email', good, '10.0.0.20');
		const headers = new Headers({
			cookie: r.headers
				.getSetCookie()
				.map((c) => c.split(';')[0])
				.join('; ')
		});
		const begun = (ago: string) =>
			d.owner.query(`update auth."session" set "createdAt" = now() - interval '${ago}'`);
		await begun('11 hours 59 minutes');
		expect((await sessionOf(headers, service)).userId).toBeTruthy();
		await begun('12 hours');
		expect((await sessionOf(headers, service)).userId).toBeUndefined();
		// It is over for good, not only for this request.
		await begun('1 hour');
		expect((await sessionOf(headers, service)).userId).toBeUndefined();
		expect([isOver(new Date(0), LONGEST_MS - 1), isOver(new Date(0), LONGEST_MS)]).toEqual([false, true]);
		expect([LONGEST_MS, IDLE_SECONDS]).toEqual([12 * 3_600_000, 7200]);
	});
	it.each(['', 'x'.repeat(31)])('without a secret of its own it does not begin: “%s”', (secret) => {
		expect(() => makeAuth({ url: 'postgres://127.0.0.1:1/none', secret, origin: ORIGIN })).toThrow(
			/a secret everybody knows/
		);
	});
	it('has no sign-up', async () => {
		expect(
			(
				await send(
					'/sign-up/email',
					{ name: 'x', email: 'new@tidewater.example', password: 'long-enough-pw' },
					'10.0.0.4'
				)
			).status
		).toBeGreaterThanOrEqual(400);
	});
});
