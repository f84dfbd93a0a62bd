/** Every page by every role, and every form of a practice with what no hand types. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { ORIGIN, OWNER, PHYSIO, root, serving, signIn } from './own-practice.ts';

serving();

/** Every page and file of the server, found in the source: what is added is in here by itself. */
const routes = readdirSync(join(root, 'src/routes'), { recursive: true, encoding: 'utf8' })
	.filter((f) => /\+(page|server)\.(server\.)?ts$|\+page\.svelte$/.test(f))
	.map((f) => `/${f.split('/').slice(0, -1).join('/')}`)
	.filter((p, i, all) => all.indexOf(p) === i)
	.sort();
const OPEN = [
	...['/sign-in', '/sign-in/second', '/sign-in/passkey', '/sign-out', '/healthz', '/readyz'],
	...['/setup/[token]', '/join/[token]', '/reset', '/reset/[token]']
];
/** A client's own page knows its device, and nobody who is signed in. */
const MINE = routes.filter((p) => p === '/mine' || p.startsWith('/mine/'));
const HEADERS = [
	'x-content-type-options',
	'x-frame-options',
	'referrer-policy',
	'permissions-policy',
	'x-request-id'
];

test('every page by every role: a stranger goes to sign in, a foreign client is none, every reply has its headers', async ({
	page,
	browser
}) => {
	const foreign = '019b3154-ce00-71c2-83ab-75d79c0044c3';
	const at = (route: string): string =>
		route
			.replace('[id]', foreign)
			.replace('[file]', foreign)
			.replace('[token]', 'none')
			.replace('[device]', 'sim-gauge');
	expect(routes.length).toBeGreaterThan(25);
	const nobody = (await browser.newContext()).request;
	await signIn(page, ...PHYSIO);
	await expect(page).toHaveURL(`${ORIGIN}/`);
	const owner = await (await browser.newContext()).newPage();
	await signIn(owner, ...OWNER);
	await expect(owner).toHaveURL(/people$/);
	for (const route of routes) {
		const address = `${ORIGIN}${at(route)}`;
		const asked = (r: typeof nobody) => r.get(address, { maxRedirects: 0 });
		const [none, physio, own] = [await asked(nobody), await asked(page.request), await asked(owner.request)];
		for (const r of [none, physio, own]) expect(r.status(), route).toBeLessThan(500);
		for (const r of [physio, own])
			if (r.status() !== 303) for (const h of HEADERS) expect(r.headers()[h], `${route} ${h}`).toBeTruthy();
		if (MINE.includes(route)) {
			// A page says that it is not open here; a file is not there; what is only sent to is not read.
			for (const r of [none, physio, own]) {
				expect([200, 404, 405], route).toContain(r.status());
				if (r.status() === 200) expect(await r.text(), route).toMatch(/not open on this device|Open my page/);
			}
			const sent = await nobody.post(address, { data: { items: [] }, headers: { origin: ORIGIN } });
			expect([401, 405, 415], route).toContain(sent.status());
			continue;
		}
		if (!OPEN.includes(route))
			expect([none.status(), none.headers().location ?? ''], route).toEqual([
				303,
				expect.stringContaining('/sign-in')
			]);
		// The address of a client by itself only leads on to the plan, whoever asks.
		if (route === '/clients/[id]') continue;
		if (route.includes('/[id]'))
			expect([physio.status(), own.status()], route).toEqual([404, expect.any(Number)]);
		if (route.startsWith('/clients')) expect(own.status(), route).toBeGreaterThanOrEqual(400);
	}
	await owner.context().close();
});

test('what no hand types gets an answer of ours on every form of the practice', async ({ page }) => {
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/people$/);
	const FIELDS = [
		...[
			'id',
			'memberId',
			'invitationId',
			'itemId',
			'session',
			'practice',
			'before',
			'name',
			'email',
			'roles'
		],
		...[
			'licenceNo',
			'licensedUntil',
			'ended',
			'kind',
			'label',
			'value',
			'unit',
			'count',
			'room',
			'outOfOrder',
			'file'
		],
		...['tz', 'units', 'emergency', 'policy', 'technique', 'current', 'password', 'again'],
		...['emergencyWords', 'weekStart', 'dateOrder', 'screeningWeeks', 'retestWeeks', 'brace', 'trainerSigns'],
		...['retentionYears', 'clientId', 'because', 'why', 'requestId', 'sure', 'code', 'made', 'key']
	];
	const ACTIONS = [
		...['/practice/people?/invite', '/practice/people?/member', '/practice/people?/take-back'],
		...['/practice/rooms?/item', '/practice/rooms?/file', '/practice/settings', '/practice/choose'],
		...[
			'/me?/password',
			'/me?/end',
			'/me?/second',
			'/me?/confirm',
			'/me?/without',
			'/me?/key',
			'/me?/keep-key',
			'/me?/remove-key',
			'/setup/none',
			'/join/none'
		],
		...['/practice/records?/ask', '/practice/records?/agree', '/practice/records?/back', '/sign-in/second'],
		...['/reset', '/reset/none', '/sign-in']
	];
	const NASTY = [
		'',
		'-5',
		'1e9',
		'__proto__',
		'a\u0000b',
		'\ud800',
		'x'.repeat(3000),
		'2026-02-30',
		'[]',
		'owner'
	];
	for (const action of ACTIONS)
		for (const nasty of NASTY) {
			const r = await page.request.post(`${ORIGIN}${action}`, {
				headers: { origin: ORIGIN, accept: 'application/json', 'x-sveltekit-action': 'true' },
				form: Object.fromEntries(FIELDS.map((f) => [f, nasty])),
				maxRedirects: 0
			});
			expect(r.status(), `${action} ${nasty.slice(0, 12)}`).toBeLessThan(500);
			expect(await r.text(), `${action} ${nasty.slice(0, 12)}`).not.toMatch(/"status":5\d\d/);
		}
});
