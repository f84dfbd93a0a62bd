/** Sessions kept on a practitioner's device: against a browser's store (package `fake-indexeddb`), every answer and none. */
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { all, drop, keep, retry, send, type Waiting } from './box.ts';
import { isAwayPage, isOld, MOST_AGE_MS } from './pages.ts';
import type { Posted } from './send.ts';

let n = 0;
const session = (member = 'physio'): Omit<Waiting, 'parked'> => ({
	...{ id: `s${String(++n).padStart(3, '0')}`, member, clientId: `c${n}`, client: 'Wren', day: '2026-03-12' },
	...{ fields: [['id', `s${n}`]], at: n }
});
const KEPT: Posted = { state: 'kept', text: 'Logged one exercise.', alarms: ['chest pain'] };
const waiting = async (): Promise<readonly string[]> => (await all()).map((w) => w.id);

beforeEach(async () => {
	for (const w of await all()) await drop(w.id);
});

describe('what was kept', () => {
	it('goes oldest first, once the server has it, and its answer comes back', async () => {
		const [a, b] = [session(), session()];
		await keep(b);
		await keep(a);
		const posted: string[] = [];
		const answers = await send('physio', (clientId) => {
			posted.push(clientId);
			return Promise.resolve(KEPT);
		});
		expect(posted).toEqual([a.clientId, b.clientId]);
		expect(answers.get(a.id)).toEqual(KEPT);
		expect(await waiting()).toEqual([]);
	});
	it.each([{ state: 'no-network' }, { state: 'signed-out' }] as const)(
		'stays, all of it, where the answer is $state, and nothing more is tried',
		async (posted) => {
			const [a, b] = [session(), session()];
			await keep(a);
			await keep(b);
			let tries = 0;
			await send('physio', () => {
				tries++;
				return Promise.resolve(posted);
			});
			expect(tries).toBe(1);
			expect(await waiting()).toEqual([a.id, b.id]);
			expect((await all()).every((w) => w.parked === null)).toBe(true);
		}
	);
	it('is parked with why where it was refused, does not hold up the next, and is sent again only when asked', async () => {
		const [a, b] = [session(), session()];
		await keep(a);
		await keep(b);
		const refuseFirst = (clientId: string): Promise<Posted> =>
			Promise.resolve(clientId === a.clientId ? { state: 'refused', why: 'The plan was changed.' } : KEPT);
		await send('physio', refuseFirst);
		expect(await all()).toMatchObject([{ id: a.id, parked: 'The plan was changed.' }]);
		await send('physio', () => Promise.reject(new Error('a parked one is not sent')));
		await retry(a.id);
		await retry('nowhere');
		await send('physio', () => Promise.resolve(KEPT));
		expect(await waiting()).toEqual([]);
	});
	it('is never sent in somebody else’s name', async () => {
		const own = session('physio');
		await keep(own);
		await send('trainer', () => Promise.reject(new Error('of another member')));
		expect(await waiting()).toEqual([own.id]);
	});
	it('asked twice at once it is sent once; kept twice it is one', async () => {
		const a = session();
		await keep(a);
		await keep(a);
		let tries = 0;
		const slow = async (): Promise<Posted> => {
			tries++;
			await new Promise((r) => setTimeout(r, 20));
			return KEPT;
		};
		await Promise.all([send('physio', slow), send('physio', slow)]);
		expect(tries).toBe(1);
	});
	it('what a page watches is kept as plain data', async () => {
		const a = session();
		await keep({ ...a, fields: new Proxy([['day', 'x'] as const], {}) });
		expect((await all())[0]?.fields).toEqual([['day', 'x']]);
	});
});

describe('pages put aside', () => {
	it('are a client’s session and the floor, and nothing else of a client', () => {
		const id = '01890a5d-ac96-774b-bcce-b302099a8057';
		expect([isAwayPage(`/clients/${id}/session`), isAwayPage('/floor')]).toEqual([true, true]);
		for (const path of [`/clients/${id}/plan`, `/clients/${id}`, '/clients/x/session', '/', '/floor/x'])
			expect(isAwayPage(path), path).toBe(false);
	});
	it('are of their day: older, or without a date, they are not shown', () => {
		const now = Date.parse('2026-03-12T12:00:00Z');
		const before = (ms: number): string => new Date(now - ms).toUTCString();
		expect(isOld(before(MOST_AGE_MS), now)).toBe(false);
		expect(isOld(before(MOST_AGE_MS + 1000), now)).toBe(true);
		expect([isOld(null, now), isOld('yesterday', now)]).toEqual([true, true]);
		// From three in the afternoon through the evening, and no more next morning at half past nine.
		const afternoon = new Date('2026-03-12T15:00:00Z').toUTCString();
		const at = (when: string): boolean => isOld(afternoon, Date.parse(when));
		expect([at('2026-03-12T23:00:00Z'), at('2026-03-13T09:30:00Z')]).toEqual([false, true]);
	});
});
