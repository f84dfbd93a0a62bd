/** Sign-in: right, wrong, too often, and no signing up over the network. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { base32, codeAt } from '../../../../tests/totp.ts';
import { cloneOf, type TestDatabase } from '../../../../tests/database.ts';
import { ADDRESS_HEADER, IDLE_SECONDS, makeAuth, type Auth } from './auth.ts';
import { isOver, LONGEST_MS, sessionOf } from './session.ts';
import { ATTACKED_AT, FREE_TRIES, noteSignIn, slowed, triesOf, WAIT_MS, type Tries } from './tries.ts';

const ORIGIN = 'http://127.0.0.1:1';
let d: TestDatabase;
let service: Auth;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	service = makeAuth({
		url: d.signInUrl,
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

describe('wrong tries', () => {
	const at = (patch: Partial<Tries>): boolean =>
		slowed({ here: 0, everywhere: 0, lastAt: new Date(0), ...patch }, WAIT_MS - 1);
	it('are free to five from one place, then one a minute; from everywhere to forty', () => {
		expect([at({ here: 4 }), at({ here: 5 })]).toEqual([false, true]);
		expect(slowed({ here: 5, everywhere: 5, lastAt: new Date(0) }, WAIT_MS)).toBe(false);
		expect([at({ everywhere: 39 }), at({ everywhere: 40 })]).toEqual([false, true]);
		expect(at({ here: 9, lastAt: null })).toBe(false);
		expect([FREE_TRIES, ATTACKED_AT, WAIT_MS]).toEqual([5, 40, 60_000]);
	});
	it('slow whoever guesses, not a colleague elsewhere, and tell nobody which accounts there are', async () => {
		const [mine, theirs] = ['physio@tidewater.example', 'no-such@tidewater.example'];
		for (const email of [mine, theirs]) {
			for (let i = 0; i < 5; i++) await noteSignIn(service, email.toUpperCase(), '10.9.0.1', 'wrong');
			const here = await triesOf(service, email, '10.9.0.1');
			expect(here).toMatchObject({ here: 5, everywhere: 5 });
			expect(slowed(here, Date.now())).toBe(true);
			expect(slowed(await triesOf(service, email, '10.9.0.2'), Date.now())).toBe(false);
		}
		// A right one clears its own place, a password set anew clears all.
		await noteSignIn(service, mine, '10.9.0.2', 'wrong');
		await noteSignIn(service, mine, '10.9.0.1', 'in');
		expect(await triesOf(service, mine, '10.9.0.1')).toMatchObject({ here: 0, everywhere: 1 });
		await noteSignIn(service, mine, '10.9.0.3', 'reset');
		expect(await triesOf(service, mine, '10.9.0.2')).toMatchObject({ everywhere: 0 });
		await d.owner.query(`update auth.wrong_try set at = now() - interval '15 minutes 1 second'`);
		expect(await triesOf(service, theirs, '10.9.0.1')).toMatchObject({ here: 0, everywhere: 0 });
		const { rows } = await d.owner.query<{ what: string; n: number }>(
			'select what, count(*)::int as n from sign_in group by what order by what'
		);
		expect(rows).toEqual([
			{ what: 'in', n: 1 },
			{ what: 'reset', n: 1 },
			{ what: 'wrong', n: 6 }
		]);
		await expect(service.pool.query('select * from auth.wrong_try')).rejects.toThrow(/permission denied/);
	});
});

describe('a second factor', () => {
	it('the codes of the test are those of the published table', () => {
		const secret = Buffer.from('12345678901234567890');
		// RFC 6238 appendix B, SHA-1, the last six of eight digits.
		expect([59, 1111111109, 1234567890, 20000000000].map((s) => codeAt(secret, s * 1000))).toEqual([
			'287082',
			'081804',
			'005924',
			'353130'
		]);
	});
	it('is in force from the first right code: then the password alone signs nobody in', async () => {
		const credentials = { email: 'trainer@tidewater.example', password: 'kettle-by-the-quay' };
		const cookieOf = (r: Response): string =>
			r.headers
				.getSetCookie()
				.map((c) => c.split(';')[0])
				.filter((c) => !c!.endsWith('='))
				.join('; ');
		const asked = (path: string, body: object, cookie: string) =>
			service.auth.handler(
				new Request(`${ORIGIN}/api/auth${path}`, {
					method: 'POST',
					headers: {
						'content-type': 'application/json',
						origin: ORIGIN,
						[ADDRESS_HEADER]: '10.8.0.1',
						cookie
					},
					body: JSON.stringify(body)
				})
			);
		const first = await asked('/sign-in/email', credentials, '');
		expect(first.status).toBe(200);
		const cookie = cookieOf(first);
		expect((await asked('/two-factor/enable', { password: 'not-this-one' }, cookie)).status).toBe(400);
		const made = (await (
			await asked('/two-factor/enable', { password: credentials.password }, cookie)
		).json()) as { totpURI: string; backupCodes: string[] };
		const secret = base32(new URL(made.totpURI).searchParams.get('secret')!);
		// Begun and never confirmed binds nothing.
		expect(
			((await (await asked('/sign-in/email', credentials, '')).json()) as { twoFactorRedirect?: boolean })
				.twoFactorRedirect
		).toBeUndefined();
		const confirmed = await asked('/two-factor/verify-totp', { code: codeAt(secret, Date.now()) }, cookie);
		expect(confirmed.status).toBe(200);
		await d.owner.query('delete from auth."rateLimit"');
		const half = await asked('/sign-in/email', credentials, '');
		expect(await half.json()).toMatchObject({ twoFactorRedirect: true });
		const halfCookie = cookieOf(half);
		expect((await sessionOf(new Headers({ cookie: halfCookie }), service)).userId).toBeUndefined();
		expect((await asked('/two-factor/verify-totp', { code: '000000' }, halfCookie)).status).toBe(401);
		const whole = await asked('/two-factor/verify-backup-code', { code: made.backupCodes[0] }, halfCookie);
		expect(whole.status).toBe(200);
		expect((await sessionOf(new Headers({ cookie: cookieOf(whole) }), service)).userId).toBeTruthy();
		// A kept code is good once.
		await d.owner.query('delete from auth."rateLimit"');
		const again = cookieOf(await asked('/sign-in/email', credentials, ''));
		expect((await asked('/two-factor/verify-backup-code', { code: made.backupCodes[0] }, again)).status).toBe(
			401
		);
	});
});
