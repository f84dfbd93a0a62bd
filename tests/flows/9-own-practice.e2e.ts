/**
 * A practice of one's own, from an empty machine: founded by its one-time address, people by invitation, rooms, settings, a first client; a trainer's
 * licence and membership that end; a backup, everything lost, and everything back.
 */
import { recordDay } from '#lib/core/base/zone-day.ts';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { Fhir } from 'fhir';
import { strFromU8, unzipSync } from 'fflate';
import { base32, codeAt } from '../totp.ts';
import { startCluster } from '../../scripts/cluster.mjs';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { longDay } from '#lib/wording/typed-day.ts';
import { accessible, choose, score, screenByKey } from './people.ts';

const PORT = 4398;
const ORIGIN = `http://127.0.0.1:${PORT}`;
const root = join(import.meta.dirname, '../..');
const home = join(tmpdir(), `bolster-own-${process.pid}`);
const env = {
	...process.env,
	BOLSTER_HOME: home,
	BOLSTER_BACKUPS: join(home, 'backups'),
	SIGN_IN_PER_MINUTE: '1000'
};
let server: ChildProcess | undefined;
let founding = '';
/** The path of the first client, known once they are registered. */
let firstClient = '';
let decided = { same: 0, other: 0 };

/** Starts the practice and answers what it printed once it serves. */
async function start(): Promise<string> {
	const child = spawn(process.execPath, ['scripts/start.mjs', '--port', String(PORT)], { cwd: root, env });
	server = child;
	let said = '';
	for (const stream of [child.stdout, child.stderr]) stream.on('data', (d: Buffer) => (said += d.toString()));
	await expect.poll(() => said, { timeout: 120_000 }).toContain('Ctrl-C stops it.');
	return said;
}
async function stop(): Promise<void> {
	const child = server;
	server = undefined;
	if (child === undefined || child.exitCode !== null || child.signalCode !== null) return;
	const gone = new Promise((done) => child.on('exit', done));
	child.kill('SIGTERM');
	const late = setTimeout(() => child.kill('SIGKILL'), 60_000);
	await gone;
	clearTimeout(late);
}
const script = (name: string, ...args: string[]) => {
	const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${name}.mjs`, ...args], {
		cwd: root,
		env,
		encoding: 'utf8'
	});
	return { status, said: stdout + stderr };
};
const go = async (page: Page, path: string): Promise<void> => {
	await page.goto(path.startsWith('http') ? path : `${ORIGIN}${path}`);
	await page.waitForSelector('html[data-ready]');
};
async function signIn(page: Page, email: string, password: string): Promise<void> {
	await go(page, '/sign-in');
	await page.getByLabel('E-mail').fill(email);
	await page.getByLabel('Password').fill(password);
	await page.getByRole('button', { name: 'Sign in' }).click();
}
const OWNER = ['owner@quay.example', 'salt on the rail'] as const;
const PHYSIO = ['nell@quay.example', 'gulls over the slip'] as const;

test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
	founding = /http:\S+\/setup\/\S+/.exec(await start())?.[0] ?? '';
});
test.afterAll(async () => {
	await stop();
	rmSync(home, { recursive: true, force: true });
});

test('the address that was printed founds the practice, once; another opens nothing', async ({ page }) => {
	test.setTimeout(240_000);
	expect((await page.request.get(`${ORIGIN}/readyz`)).status()).toBe(200);
	await go(page, '/setup/not-the-address');
	await expect(page.getByText('This address is used, too old')).toBeVisible();
	await go(page, founding);
	await page.getByLabel('Name of the practice').fill('Slipway Physio');
	await page.getByLabel('Time zone').fill('Middle of nowhere');
	await page.getByLabel('Your name').fill('Oda Marram');
	await page.getByLabel('E-mail').fill(OWNER[0]);
	await page.getByLabel('Password', { exact: true }).fill('short');
	await page.getByLabel('Once more').fill('shorter');
	await page.getByLabel('I am a licensed physiotherapist').uncheck();
	await page.getByRole('button', { name: 'Found the practice' }).click();
	for (const wrong of [
		'A time zone by its name, such as Europe/London.',
		'At least 10 characters; a few words are good.'
	])
		await expect(page.getByText(wrong).first()).toBeVisible();
	await page.getByLabel('Time zone').fill('Europe/London');
	await page.getByLabel('Password', { exact: true }).fill(OWNER[1]);
	await page.getByLabel('Once more').fill(OWNER[1]);
	await accessible(page);
	await page.getByRole('button', { name: 'Found the practice' }).click();
	await expect(page).toHaveURL(/\/practice\/people$/);
	await expect(page.getByTestId('member')).toHaveText([/Oda Marram \(you\)/]);
	await go(page, founding);
	await expect(page.getByText('This address is used, too old')).toBeVisible();
});

test('two are invited by link; each joins with a password of their own; a link opens once', async ({
	page,
	browser
}) => {
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	const invited = async (name: string, email: string, role: string, licence: boolean): Promise<string> => {
		await page.getByRole('button', { name: 'Invite somebody' }).click();
		await page.getByLabel('Name', { exact: true }).fill(name);
		await page.getByLabel('E-mail', { exact: true }).fill(email);
		await page.getByLabel(role, { exact: true }).check();
		if (licence) {
			await page.getByRole('button', { name: 'Invite', exact: true }).click();
			await expect(page.getByText('A physiotherapist signs under a licence').first()).toBeVisible();
			await page.getByLabel('Licence').fill('PH 1234');
			await page.getByLabel('Valid until').fill('31 Dec 2099');
			await page.getByLabel(role, { exact: true }).check();
		}
		await page.getByRole('button', { name: 'Invite', exact: true }).click();
		await expect(page.getByTestId('done')).toContainText(`Give this address to ${name}`);
		const link = await page.getByTestId('link').textContent();
		await go(page, '/practice/people');
		return (link ?? '').trim();
	};
	const physio = await invited('Nell Carrow', PHYSIO[0], 'licensed physiotherapist', true);
	const trainer = await invited('Tam Dunnage', 'tam@quay.example', 'trainer', false);
	const gone = await invited('Nobody Now', 'gone@quay.example', 'trainer', false);
	await expect(page.getByTestId('invitation')).toHaveCount(3);
	await page.getByRole('button', { name: 'Take back Nobody Now' }).click();
	await expect(page.getByTestId('invitation')).toHaveCount(2);
	await accessible(page);
	for (const [link, password, at] of [
		[physio, PHYSIO[1], /\/$/],
		[trainer, 'rope and a bucket', /\/$/]
	] as const) {
		const other = await (await browser.newContext()).newPage();
		await go(other, link);
		await other.getByLabel('Choose a password').fill(password);
		await other.getByLabel('Once more').fill(`${password}!`);
		await other.getByRole('button', { name: 'Join' }).click();
		await expect(other.getByText('The two are not the same').first()).toBeVisible();
		await other.getByLabel('Choose a password').fill(password);
		await other.getByLabel('Once more').fill(password);
		await accessible(other);
		await other.getByRole('button', { name: 'Join' }).click();
		await expect(other).toHaveURL(at);
		await go(other, link);
		await expect(other.getByText('This invitation was used, taken back')).toBeVisible();
		await other.context().close();
	}
	const late = await (await browser.newContext()).newPage();
	await go(late, gone);
	await expect(late.getByText('This invitation was used, taken back')).toBeVisible();
	await late.context().close();
});

test('rooms and settings: what stands there, from a file too; what is wrong is refused by its line', async ({
	page
}) => {
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	await go(page, '/practice/rooms');
	await expect(page.getByText('Nothing stands here yet')).toBeVisible();
	await page.getByRole('button', { name: 'Something more' }).click();
	await page.getByLabel('Called').fill('Dining chair');
	await page.getByLabel('Size, as printed').fill('18');
	await page.getByLabel('in', { exact: true }).selectOption('kg');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('A seat is measured in cm or in.').first()).toBeVisible();
	await page.getByLabel('in', { exact: true }).selectOption('in');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByTestId('done')).toContainText('Kept: Dining chair.');
	await expect(page.getByTestId('item')).toContainText(['18 in']);
	await page.getByRole('button', { name: 'From a file' }).click();
	const file = (text: string) => ({
		name: 'rooms.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(`room,kind,label,value,unit,count,out_of_order\n${text}`)
	});
	await page
		.locator('input[type=file]')
		.setInputFiles(file('Gym,step,Block,15,cm,2,\nGym,sofa,Sofa,40,cm,1,\n'));
	await page.getByRole('button', { name: 'Take the file' }).click();
	await expect(page.getByText('Line 3: “sofa” is no kind of thing').first()).toBeVisible();
	await page
		.locator('input[type=file]')
		.setInputFiles(file('Gym,step,Block,15,cm,2,\nGym,weight,Bell,8,kg,2,\nGym,bed,Couch,60,cm,1,\n'));
	await page.getByRole('button', { name: 'Take the file' }).click();
	await expect(page.getByTestId('done')).toContainText('Kept 3 items');
	await accessible(page);
	const csv = await (await page.request.get(`${ORIGIN}/practice/rooms/rooms.csv`)).text();
	expect(csv).toContain('Gym,weight,Bell,8,kg,2,\r\n');
	await go(page, '/practice/settings');
	await page.getByLabel('Number to call in an emergency').fill('112');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByTestId('done')).toContainText('emergency number');
	await accessible(page);
});

test('the physiotherapist registers the first client; clinical pages are not the owner’s, nor people theirs', async ({
	page,
	browser
}) => {
	await signIn(page, ...PHYSIO);
	await expect(page).toHaveURL(`${ORIGIN}/`);
	expect((await page.request.get(`${ORIGIN}/practice/people`)).status()).toBe(403);
	await go(page, '/clients/new');
	await page.getByLabel('Name', { exact: true }).fill('First Of Many');
	await page.getByLabel('Born').fill('3 Mar 1961');
	await page.getByLabel('Height').fill('168');
	await page.getByLabel('Mass').fill('70');
	await page.getByLabel(/^keeping a health record here/).check();
	await page.getByRole('button', { name: 'Register and screen' }).click();
	await expect(page).toHaveURL(/\/screen$/);
	const screen = page.url();
	firstClient = new URL(screen).pathname.replace(/\/screen$/, '');
	const owner = await (await browser.newContext()).newPage();
	await signIn(owner, ...OWNER);
	await expect(owner).toHaveURL(/\/practice\/people$/);
	expect((await owner.request.get(screen)).status()).toBe(403);
	// A licence that ended yesterday signs nothing from the next click on.
	await owner.getByRole('button', { name: 'Change Nell Carrow' }).click();
	await owner.getByLabel('Valid until').first().fill('1 Jan 2020');
	await owner.getByRole('button', { name: 'Keep' }).click();
	await expect(owner.getByTestId('member').filter({ hasText: 'Nell' })).toContainText('signs nothing');
	expect((await page.request.get(screen)).status()).toBe(403);
	await owner.getByRole('button', { name: 'Change Nell Carrow' }).click();
	await owner.getByLabel('Valid until').first().fill('31 Dec 2099');
	await owner.getByRole('button', { name: 'Keep' }).click();
	await expect(owner.getByTestId('done')).toContainText('Kept: Nell Carrow');
	await expect(owner.getByLabel('no longer of this practice')).toHaveCount(0);
	expect((await page.request.get(screen)).status()).toBe(200);
	await owner.context().close();
});

/** What the application is told, as the practice keeps it, with the day standing where a test puts it. */
async function onADay(
	day: string,
	host = '127.0.0.1',
	more: Readonly<Record<string, string>> = {}
): Promise<{ readonly origin: string; readonly end: () => Promise<void> }> {
	const cluster = await startCluster(home);
	const origin = `http://${host}:${PORT - 2}`;
	const child = spawn(process.execPath, ['build/index.js'], {
		cwd: root,
		env: {
			...env,
			DATABASE_URL: cluster.appUrl('bolster'),
			AUTH_DATABASE_URL: cluster.signInUrl('bolster'),
			AUTH_SECRET: cluster.authSecret,
			BOLSTER_TODAY: day,
			ORIGIN: origin,
			HOST: '127.0.0.1',
			PORT: String(PORT - 2),
			NODE_ENV: 'production',
			LOG_LEVEL: 'warn',
			...more
		},
		stdio: ['ignore', 'ignore', 'inherit']
	});
	await expect
		.poll(
			() =>
				fetch(`${origin}/readyz`).then(
					(r) => r.status,
					() => 0
				),
			{ timeout: 60_000 }
		)
		.toBe(more.LEAST_FREE_MB === undefined ? 200 : 503);
	return {
		origin,
		end: async () => {
			const gone = new Promise((done) => child.on('exit', done));
			child.kill('SIGTERM');
			await gone;
		}
	};
}

/** How often a decision of the record was taken again from its inputs, and came out the same. */
async function replayed(
	page: Page,
	client: string
): Promise<{ readonly same: number; readonly other: number }> {
	await go(page, `${client}/trend`);
	await page.getByRole('link', { name: 'Replay all' }).click();
	const history = page.getByTestId('history');
	await expect(history.getByText('same trace').first()).toBeVisible();
	return {
		same: await history.getByText('same trace').count(),
		other: await history.getByText('differs since').count()
	};
}

test('a week of work: prescribed, given to a trainer, done, heard back, signed by them, and theirs no more', async ({
	page,
	browser
}) => {
	test.setTimeout(300_000);
	const today = new Date().toISOString().slice(0, 10);
	const week = await onADay(today);
	const at = (path: string) => `${week.origin}${path}`;
	const nextDay = () => page.request.post(at('/demo/next-day'), { headers: { origin: week.origin } });
	try {
		await go(page, at('/sign-in'));
		await page.getByLabel('E-mail').fill(PHYSIO[0]);
		await page.getByLabel('Password').fill(PHYSIO[1]);
		await page.getByRole('button', { name: 'Sign in' }).click();
		await expect(page).toHaveURL(at('/'));
		await go(page, at(`${firstClient}/screen`));
		await screenByKey(page, []);
		await page.keyboard.press('Enter');
		await expect(page.getByTestId('done')).toBeVisible();
		await go(page, at(`${firstClient}/ask`));
		await page.getByLabel('or from the list').selectOption('hip-right');
		await page.getByLabel('Usual morning, 0–10').fill('1');
		await page.getByLabel('Worst, 0–10').fill('3');
		await page.getByRole('button', { name: 'Save right hip' }).click();
		await expect(page.getByTestId('done')).toContainText('Saved: right hip');
		await go(page, at(`${firstClient}/measure`));
		for (const [label, v] of [
			['Knee bend left end', '130'],
			['Knee bend right end', '130'],
			['Sitting fold left tolerable', '110'],
			['Sitting fold right tolerable', '110'],
			['Hip turned out left end', '45'],
			['Hip turned out right end', '40']
		] as const)
			await page.getByLabel(label).fill(v);
		await page.keyboard.press('Enter');
		await expect(page.getByTestId('done')).toContainText('Saved 6 readings.');
		await go(page, at(`${firstClient}/ladder?family=abduction&step=clamshell`));
		await page.locator('[data-prescribe] button').click();
		await expect(page.getByTestId('done')).toContainText('Prescribed');
		await go(page, at(`${firstClient}/plan`));
		await page.getByRole('button', { name: 'Give a trainer something to do' }).click();
		await page.getByLabel('Trainer').selectOption({ label: 'Tam Dunnage' });
		await page.getByLabel('Until').fill('31 Dec 2020');
		await page.getByRole('button', { name: 'Give it' }).click();
		await expect(page.getByText('This day is past already.').first()).toBeVisible();
		await page.getByLabel('Until').fill(longDay(addDays(today, 28)));
		await page.getByLabel('Calls when').fill('the hip is above 4');
		await page.getByRole('button', { name: 'Give it' }).click();
		await expect(page.getByTestId('delegation')).toContainText(
			'Tam Dunnage prescribes and signs Side of the hip'
		);
		const tam = await (await browser.newContext()).newPage();
		await go(tam, at('/sign-in'));
		await tam.getByLabel('E-mail').fill('tam@quay.example');
		await tam.getByLabel('Password').fill('rope and a bucket');
		await tam.getByRole('button', { name: 'Sign in' }).click();
		await expect(tam).toHaveURL(at('/'));
		// Three sessions in a week, every other day, each with its next morning.
		for (const visit of [1, 2, 3]) {
			await go(tam, at(`${firstClient}/log`));
			for (const [label, value] of [
				['Effort', 3],
				['Before', 1],
				['Worst', 1],
				['After', 1],
				['Confidence', 9],
				['Muscle soreness', 1]
			] as const)
				await score(tam, label, value);
			await tam.getByLabel('seen by me').check();
			await tam.getByLabel('clean throughout').check();
			await tam.getByRole('button', { name: 'Log as prescribed' }).click();
			await expect(tam.getByTestId('done')).toContainText('Logged.');
			await go(tam, at(`${firstClient}/decide`));
			await expect(tam.getByTestId('sentence')).toContainText('Wait: the morning after');
			await nextDay();
			await go(tam, at(`${firstClient}/morning`));
			await score(tam, 'Pain this morning', 1);
			await choose(tam, 'none');
			await tam.getByRole('button', { name: /the morning$/ }).click();
			await expect(tam.getByTestId('done')).toHaveText('Entered.');
			if (visit < 3) await nextDay();
		}
		await go(tam, at(`${firstClient}/decide`));
		await expect(tam.getByTestId('sentence')).toContainText('Advance');
		await tam.keyboard.press('a');
		await expect(tam.getByTestId('done')).toContainText('Signed. Advance');
		// Ended, it is used no more, and who has gone is of no practice, and is told so.
		await go(page, at(`${firstClient}/plan`));
		await page.getByRole('button', { name: 'End what Tam Dunnage may' }).click();
		await expect(page.getByTestId('delegation')).toHaveCount(0);
		await go(tam, at(`${firstClient}/ladder?family=abduction&step=clamshell`));
		await expect(tam.getByTestId('closed')).toContainText(
			'Prescribing for this client is not delegated to you'
		);
		await expect(tam.locator('[data-prescribe] button')).toBeDisabled();
		decided = await replayed(page, at(firstClient));
		expect(decided).toEqual({ same: 1, other: 0 });
		await tam.context().close();
	} finally {
		await week.end();
	}
	// Who has gone is of no practice, and is told so.
	const owner = await (await browser.newContext()).newPage();
	await signIn(owner, ...OWNER);
	await expect(owner).toHaveURL(/\/practice\/people$/);
	await owner.getByRole('button', { name: 'Change Tam Dunnage' }).click();
	await owner.getByLabel('no longer of this practice').check();
	await owner.getByRole('button', { name: 'Keep' }).click();
	await expect(owner.getByTestId('member').filter({ hasText: 'Tam' })).toContainText('until');
	await owner.context().close();
	const gone = await (await browser.newContext()).newPage();
	await signIn(gone, 'tam@quay.example', 'rope and a bucket');
	await expect(gone.getByText('of no practice just now')).toBeVisible();
	await gone.context().close();
});

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

test('a password is changed and other sessions end', async ({ page, browser }) => {
	const elsewhere = await (await browser.newContext()).newPage();
	await signIn(elsewhere, ...PHYSIO);
	await expect(elsewhere).toHaveURL(`${ORIGIN}/`);
	await signIn(page, ...PHYSIO);
	await expect(page).toHaveURL(`${ORIGIN}/`);
	await go(page, '/me');
	expect(await page.getByTestId('session').count()).toBeGreaterThan(1);
	await page.getByLabel('Password of now').fill('not this one');
	await page.getByLabel('New password').fill('a lamp in the loft');
	await page.getByLabel('Once more').fill('a lamp in the loft');
	await page.getByRole('button', { name: 'Change it' }).click();
	await expect(page.getByText('This is not your password of now.').first()).toBeVisible();
	await page.getByLabel('Password of now').fill(PHYSIO[1]);
	await page.getByLabel('New password').fill('a lamp in the loft');
	await page.getByLabel('Once more').fill('a lamp in the loft');
	await page.getByRole('button', { name: 'Change it' }).click();
	await expect(page.getByTestId('done')).toContainText('Everywhere else you are signed out.');
	await expect(page.getByTestId('session')).toHaveCount(1);
	await accessible(page);
	await elsewhere.goto(`${ORIGIN}/`);
	await expect(elsewhere).toHaveURL(/\/sign-in/);
	await elsewhere.context().close();
});

/** The letter that was made last for somebody, from the mailbox that stands in for a mail server. */
function letterTo(address: string): { readonly subject: string; readonly text: string } {
	const all = readdirSync(join(home, 'mail'))
		.sort()
		.reverse()
		.map(
			(f) =>
				JSON.parse(readFileSync(join(home, 'mail', f), 'utf8')) as {
					to: string;
					subject: string;
					text: string;
				}
		);
	const found = all.find((l) => l.to === address);
	if (found === undefined) throw new Error(`no letter to ${address}`);
	return found;
}

test('a password that was forgotten is set anew by a letter, once; guesses are slowed where they are made', async ({
	page,
	browser
}) => {
	const elsewhere = await (await browser.newContext()).newPage();
	await signIn(elsewhere, PHYSIO[0], 'a lamp in the loft');
	await expect(elsewhere).toHaveURL(`${ORIGIN}/`);
	await go(page, '/sign-in');
	await page.getByRole('link', { name: 'Forgotten the password?' }).click();
	for (const email of ['nobody@quay.example', PHYSIO[0]]) {
		await go(page, '/reset');
		await page.getByLabel('E-mail').fill(email);
		await page.getByRole('button', { name: 'Send the letter' }).click();
		await expect(page.getByText('If this address has an account')).toBeVisible();
	}
	await accessible(page);
	expect(() => letterTo('nobody@quay.example')).toThrow();
	const link = /http:\S+\/reset\/\S+/.exec(letterTo(PHYSIO[0]).text)?.[0] ?? '';
	await go(page, link);
	await page.getByLabel('New password').fill('a gate in the wall');
	await page.getByLabel('Once more').fill('a gate in the walls');
	await page.getByRole('button', { name: 'Set it' }).click();
	await expect(page.getByText('The two are not the same').first()).toBeVisible();
	await page.getByLabel('New password').fill('a gate in the wall');
	await page.getByLabel('Once more').fill('a gate in the wall');
	await accessible(page);
	await page.getByRole('button', { name: 'Set it' }).click();
	await expect(page.getByTestId('done')).toContainText('Everywhere you were signed in you are signed out.');
	await elsewhere.goto(`${ORIGIN}/`);
	await expect(elsewhere).toHaveURL(/\/sign-in/);
	await elsewhere.context().close();
	await go(page, link);
	await page.getByLabel('New password').fill('a gate in the fence');
	await page.getByLabel('Once more').fill('a gate in the fence');
	await page.getByRole('button', { name: 'Set it' }).click();
	await expect(page.getByText('This address was used, or is older').first()).toBeVisible();
	// The old one is no more, and five guesses are all that are free.
	for (let i = 0; i < 5; i++) {
		await signIn(page, PHYSIO[0], 'a lamp in the loft');
		await expect(page.getByText('E-mail and password do not match.')).toBeVisible();
	}
	await signIn(page, PHYSIO[0], 'a gate in the wall');
	await expect(page.getByText('Too many attempts. Wait a minute')).toBeVisible();
	// The owner comes from the same address and is not kept waiting; setting it anew by letter is the way in.
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	await go(page, '/practice/mail');
	await expect(page.getByTestId('letter').first()).toContainText('A new password');
	await expect(page.getByText('/reset/')).toHaveCount(0);
	await accessible(page);
	await page.getByRole('button', { name: 'Sign out' }).click();
	await go(page, '/reset');
	await page.getByLabel('E-mail').fill(PHYSIO[0]);
	await page.getByRole('button', { name: 'Send the letter' }).click();
	await expect(page.getByText('If this address has an account')).toBeVisible();
	await go(page, /http:\S+\/reset\/\S+/.exec(letterTo(PHYSIO[0]).text)?.[0] ?? '');
	await page.getByLabel('New password').fill('a lamp in the loft');
	await page.getByLabel('Once more').fill('a lamp in the loft');
	await page.getByRole('button', { name: 'Set it' }).click();
	await expect(page.getByTestId('done')).toBeVisible();
	await signIn(page, PHYSIO[0], 'a lamp in the loft');
	await expect(page).toHaveURL(`${ORIGIN}/`);
});

test('with a second factor the password alone signs nobody in', async ({ page, browser }) => {
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	await go(page, '/me');
	await page.getByRole('button', { name: 'Set one up' }).click();
	await page.getByLabel('Your password, to be sure').fill('not this one');
	await page.getByRole('button', { name: 'Set it up' }).click();
	await expect(page.getByText('This is not your password of now.').first()).toBeVisible();
	await page.getByLabel('Your password, to be sure').fill(OWNER[1]);
	await page.getByRole('button', { name: 'Set it up' }).click();
	const second = page.getByRole('region', { name: 'Second factor' });
	const secret = base32((await second.locator('code').first().textContent()) ?? '');
	const kept = (await second.locator('code').nth(1).textContent()) ?? '';
	await accessible(page);
	await page.getByLabel('The six digits it shows now').fill('12');
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByText('This is not the code of the moment.').first()).toBeVisible();
	await page.getByLabel('The six digits it shows now').fill(codeAt(secret, Date.now()));
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByTestId('done')).toContainText('your second factor too');
	for (const code of [() => codeAt(secret, Date.now()), () => kept]) {
		const other = await (await browser.newContext()).newPage();
		await signIn(other, ...OWNER);
		await expect(other).toHaveURL(/\/sign-in\/second/);
		await other.goto(`${ORIGIN}/practice/people`);
		await expect(other).toHaveURL(/\/sign-in\?/);
		await signIn(other, ...OWNER);
		await other.waitForSelector('html[data-ready]');
		await other.getByLabel('Code of the moment').fill('000 000');
		await other.getByRole('button', { name: 'Sign in' }).click();
		await expect(other.getByText('This is not the code of the moment.')).toBeVisible();
		await other.getByLabel('Code of the moment').fill(code());
		await accessible(other);
		await other.getByRole('button', { name: 'Sign in' }).click();
		await expect(other).toHaveURL(/\/practice\/people$/);
		await other.context().close();
	}
	await go(page, '/me');
	await page.getByRole('button', { name: 'Do without it' }).first().click();
	await page.getByLabel('Your password, to be sure').fill(OWNER[1]);
	await page.getByRole('button', { name: 'Do without it' }).last().click();
	await expect(page.getByTestId('done')).toContainText('your password alone');
});

test('a device that knows its holder signs in by itself; one that asks for nothing does not', async ({
	page,
	browser
}) => {
	// Browsers make passkeys where the address is a name.
	const named = await onADay(new Date().toISOString().slice(0, 10), 'localhost');
	try {
		await signIn(page, ...OWNER);
		await expect(page).toHaveURL(/\/practice\/people$/);
		await go(page, '/me');
		await expect(page.getByText('this one is a number')).toBeVisible();
		const device = await (await browser.newContext()).newPage();
		const cdp = await device.context().newCDPSession(device);
		await cdp.send('WebAuthn.enable');
		const { authenticatorId } = await cdp.send('WebAuthn.addVirtualAuthenticator', {
			options: {
				protocol: 'ctap2',
				transport: 'internal',
				hasResidentKey: true,
				hasUserVerification: true,
				isUserVerified: true,
				automaticPresenceSimulation: true
			}
		});
		const at = (path: string) => `${named.origin}${path}`;
		await go(device, at('/sign-in'));
		await device.getByLabel('E-mail').fill(OWNER[0]);
		await device.getByLabel('Password').fill(OWNER[1]);
		await device.getByRole('button', { name: 'Sign in', exact: true }).click();
		await expect(device).toHaveURL(/\/practice\/people$/);
		await go(device, at('/me'));
		await device.getByRole('button', { name: 'Add this device' }).click();
		await device.getByLabel('What you call it').fill('desk');
		const keys = device.getByRole('region', { name: 'Passkeys' });
		await keys.getByLabel('Your password').fill('not this one');
		await device.getByRole('button', { name: 'Add it' }).click();
		await expect(device.getByText('This is not your password of now.').first()).toBeVisible();
		await keys.getByLabel('Your password').fill(OWNER[1]);
		await device.getByRole('button', { name: 'Add it' }).click();
		await expect(device.getByTestId('done')).toContainText('This device signs you in from now on.');
		await expect(device.getByTestId('passkey')).toContainText('desk');
		await accessible(device);
		await device.context().clearCookies();
		await go(device, at('/sign-in'));
		await device.getByRole('button', { name: 'With a passkey' }).click();
		await expect(device).toHaveURL(/\/practice\/people$/);
		// Its holder is not asked: the key is right, and signs nobody in.
		await cdp.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: false });
		const { credentials } = await cdp.send('WebAuthn.getCredentials', { authenticatorId });
		expect(credentials).toHaveLength(1);
		await device.context().clearCookies();
		await go(device, at('/sign-in'));
		await device.getByRole('button', { name: 'With a passkey' }).click();
		await expect(device.getByTestId('refused')).toBeVisible();
		await device.goto(at('/practice/people'));
		await expect(device).toHaveURL(/\/sign-in/);
		// Taken away, it is nobody's.
		await go(page, '/me');
		await page.getByRole('button', { name: 'Take away the passkey of desk' }).click();
		await expect(page.getByTestId('passkey')).toHaveCount(0);
		await cdp.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: true });
		await device.getByRole('button', { name: 'With a passkey' }).click();
		await expect(device.getByTestId('refused')).toContainText('does not sign anybody in here');
		await device.context().close();
	} finally {
		await named.end();
	}
});

test('a client’s record goes along as one file, who looked is read, and one that was registered by mistake is erased by two', async ({
	page,
	browser
}) => {
	await signIn(page, PHYSIO[0], 'a lamp in the loft');
	await expect(page).toHaveURL(`${ORIGIN}/`);
	await go(page, '/clients/new');
	await page.getByLabel('Name', { exact: true }).fill('Registered Twice');
	await page.getByLabel('Born').fill('3 Mar 1961');
	await page.getByLabel('Height').fill('168');
	await page.getByLabel('Mass').fill('70');
	await page.getByLabel(/^keeping a health record here/).check();
	await page.getByRole('button', { name: 'Register and screen' }).click();
	await expect(page).toHaveURL(/\/screen$/);
	const client = page.url().replace(/\/screen$/, '');
	// What a backup of this moment holds comes back with it, and is erased again.
	expect(script('backup').said).toContain('Backed up and checked');
	const archive = await page.request.get(`${client}/archive`);
	expect(archive.headers()['content-disposition']).toContain('Registered-Twice-');
	const files = unzipSync(new Uint8Array(await archive.body()));
	expect(Object.keys(files)).toEqual(
		expect.arrayContaining(['README.txt', 'record.fhir.json', 'tables/person.csv', 'tables/consent.csv'])
	);
	expect(new Fhir().validate(JSON.parse(strFromU8(files['record.fhir.json']!)) as never).valid).toBe(true);
	await go(page, `${client}/record`);
	await page.getByRole('button', { name: 'Take along, who looked, erase' }).click();
	await page.getByLabel('Ask for its erasure').selectOption('kept-long-enough');
	await page.getByLabel('Who asks for it, and why').fill('registered twice at the desk');
	await page.getByRole('button', { name: 'Ask', exact: true }).click();
	await expect(page.getByText('this one may be erased from').first()).toBeVisible();
	await page.getByLabel('Ask for its erasure').selectOption('mistaken');
	await page.getByRole('button', { name: 'Ask', exact: true }).click();
	await expect(page.getByTestId('done')).toContainText('A second person agrees');
	await accessible(page);
	await page.getByRole('link', { name: 'Who looked at this record' }).click();
	await expect(page.getByTestId('look').first()).toContainText('Nell Carrow');
	await page.getByLabel('Sessions, decisions, letters').check();
	await page.getByRole('button', { name: 'Agree and erase' }).click();
	await expect(page.getByText('Somebody else agrees').first()).toBeVisible();
	const owner = await (await browser.newContext()).newPage();
	await signIn(owner, ...OWNER);
	await expect(owner).toHaveURL(/\/practice\/people$/);
	await go(owner, '/practice/records');
	await owner.getByRole('button', { name: 'Agree and erase' }).click();
	await expect(owner.getByText('Tick that you are sure').first()).toBeVisible();
	await owner.getByLabel('Sessions, decisions, letters').check();
	await accessible(owner);
	await owner.getByRole('button', { name: 'Agree and erase' }).click();
	await expect(owner.getByTestId('done')).toContainText('Erased:');
	await owner.context().close();
	expect((await page.request.get(`${client}/plan`)).status()).toBe(404);
	expect(readFileSync(join(home, 'erasures.jsonl'), 'utf8')).toContain(client.split('/').at(-1));
});

test('with the disk nearly full nothing is taken and it is said why; what was typed stays, and reading goes on', async ({
	page
}) => {
	// More than any disk has: the server asks for it as soon as something is sent.
	const full = await onADay(new Date().toISOString().slice(0, 10), '127.0.0.1', {
		BOLSTER_HOME: home,
		LEAST_FREE_MB: '1e12'
	});
	try {
		await go(page, `${full.origin}/sign-in`);
		await page.getByLabel('E-mail').fill(OWNER[0]);
		await page.getByLabel('Password').fill(OWNER[1]);
		await page.getByRole('button', { name: 'Sign in' }).click();
		await expect(page).toHaveURL(`${full.origin}/practice/people`);
		await go(page, `${full.origin}/practice/settings`);
		const name = page.getByLabel('Name', { exact: true });
		const was = await name.inputValue();
		await name.fill('Kept By Half');
		await page.getByRole('button', { name: 'Keep' }).click();
		await expect(page.getByText('The disk of the server is nearly full').first()).toBeVisible();
		await expect(name).toHaveValue('Kept By Half');
		const read = await page.context().newPage();
		await go(read, `${full.origin}/practice/settings`);
		await expect(read.getByLabel('Name', { exact: true })).toHaveValue(was);
	} finally {
		await full.end();
	}
});

test('whatever is killed outright, what was said to be kept is there, once, and nothing by half', async ({
	page
}) => {
	test.setTimeout(400_000);
	await signIn(page, PHYSIO[0], 'a lamp in the loft');
	await expect(page).toHaveURL(`${ORIGIN}/`);
	const client = firstClient;
	// The practice's day, which begins later than midnight.
	const day = recordDay('Europe/London', new Date());
	const kept: string[] = [];
	const tried: string[] = [];
	let n = 0;
	/** Writes notes until told to stop; those that were answered as kept are remembered. */
	const writing = async (stopped: () => boolean): Promise<void> => {
		while (!stopped()) {
			const body = `note ${++n} of many`;
			tried.push(body);
			const id = randomUUID();
			const answer = await page.request
				.post(`${ORIGIN}${client}/record?/note`, {
					headers: { origin: ORIGIN, accept: 'application/json', 'x-sveltekit-action': 'true' },
					form: { id, day, body, about: '' },
					timeout: 5000
				})
				.then((r) => r.text())
				.catch(() => '');
			if (answer.includes('The note stands in the record')) kept.push(body);
			else await new Promise((r) => setTimeout(r, 50));
		}
	};
	const dataFolder = (): string =>
		(JSON.parse(readFileSync(join(home, 'cluster.json'), 'utf8')) as { data: string }).data;
	const postmaster = (): number =>
		Number(readFileSync(join(dataFolder(), 'postmaster.pid'), 'utf8').split('\n')[0]);
	const serving = (): number =>
		(JSON.parse(readFileSync(join(home, 'practice.json'), 'utf8')) as { pid: number }).pid;
	// Moments from a fixed seed; the program, its database, both.
	for (const [ms, victims] of [
		[150, ['node']],
		[420, ['database']],
		[90, ['node', 'database']],
		[700, ['database']]
	] as const) {
		const until = kept.length;
		let over = false;
		const work = writing(() => over);
		await expect.poll(() => kept.length, { timeout: 20_000 }).toBeGreaterThan(until);
		await new Promise((r) => setTimeout(r, ms));
		for (const v of victims) process.kill(v === 'node' ? serving() : postmaster(), 'SIGKILL');
		await new Promise((r) => setTimeout(r, 300));
		over = true;
		await work;
		await stop();
		expect(await start()).toContain('Bolster serves at');
	}
	await go(page, `${client}/record?kind=note`);
	const there = (await (await page.request.get(`${ORIGIN}${client}/archive`)).body()) as Buffer;
	const notes = strFromU8(unzipSync(new Uint8Array(there))['tables/note.csv']!);
	for (const body of kept) expect(notes.split(body).length - 1, body).toBe(1);
	expect(kept.length).toBeGreaterThan(4);
	// What was cut off is there whole or not at all.
	for (const body of tried)
		expect(notes.split(`${body}"`).length + notes.split(`${body},`).length).toBeLessThanOrEqual(3);
});

test('a backup that was read back; everything lost; everything back, and a cut-short one refused', async ({
	page
}) => {
	test.setTimeout(400_000);
	const made = script('backup');
	expect(made.said).toContain('Backed up and checked');
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	await go(page, '/practice/backups');
	await expect(page.getByTestId('backup').first()).toBeVisible();
	await expect(page.getByTestId('backup-warning')).toHaveCount(0);
	await accessible(page);
	expect(script('restore', join(home, 'backups', 'none.dump')).said).toContain('stop it first');
	await stop();
	const doctor = script('doctor');
	expect([doctor.status, doctor.said]).toEqual([
		0,
		expect.stringContaining('the last good one is 0 hours old')
	]);
	const [file] = readdirSync(join(home, 'backups'))
		.filter((n) => n.endsWith('.dump'))
		.sort()
		.reverse();
	const kept = join(home, 'backups', file ?? '');
	const short = join(tmpdir(), `${file}`);
	spawnSync('cp', [kept, short]);
	spawnSync('cp', [`${kept}.json`, `${short}.json`]);
	truncateSync(short, 20_000);
	expect(script('restore', short).said).toContain('it was cut short or changed');
	// Everything the server had is gone; the backup was copied elsewhere.
	spawnSync('cp', ['-r', join(home, 'backups'), `${home}-copy`]);
	rmSync(join(home, 'pg'), { recursive: true, force: true });
	rmSync(join(home, 'cluster.json'), { force: true });
	const restored = script('restore', join(`${home}-copy`, file ?? ''));
	expect([restored.status, restored.said]).toEqual([0, expect.stringContaining('Restored.')]);
	expect(await start()).not.toContain('There is no practice yet');
	await signIn(page, PHYSIO[0], 'a lamp in the loft');
	await expect(page).toHaveURL(`${ORIGIN}/`);
	await go(page, '/clients');
	await expect(page.getByTestId('client')).toContainText(['First Of Many']);
	// Erased after an earlier backup: that one, put in place, erases them again.
	await expect(page.getByText('Registered Twice')).toHaveCount(0);
	// Every decision is taken again from what came back, and comes out as it was signed.
	expect(await replayed(page, firstClient)).toEqual(decided);
	await stop();
	const [older] = readdirSync(`${home}-copy`)
		.filter((n) => n.endsWith('.dump'))
		.sort();
	const again = script('restore', join(`${home}-copy`, older ?? ''));
	expect(again.said).toContain('Erased anew, as it had been before: 1');
	await start();
	await signIn(page, PHYSIO[0], 'a lamp in the loft');
	await expect(page).toHaveURL(`${ORIGIN}/`);
	await go(page, '/clients');
	await expect(page.getByTestId('client')).toContainText(['First Of Many']);
	await expect(page.getByText('Registered Twice')).toHaveCount(0);
	rmSync(`${home}-copy`, { recursive: true, force: true });
	rmSync(short, { force: true });
	rmSync(`${short}.json`, { force: true });
});
