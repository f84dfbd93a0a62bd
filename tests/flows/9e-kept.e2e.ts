/** What is kept stays: a record goes along, is erased by two; a full disk, outright kills; a backup, everything lost, and everything back. */
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { Fhir } from 'fhir';
import { strFromU8, unzipSync } from 'fflate';
import { recordDay } from '#lib/core/base/zone-day.ts';
import { accessible } from './people.ts';
import {
	firstClient,
	go,
	home,
	known,
	onADay,
	ORIGIN,
	OWNER,
	PHYSIO,
	register,
	replayed,
	script,
	serving,
	signIn,
	start,
	stop
} from './own-practice.ts';

serving();

test('a client’s record goes along as one file, who looked is read, and one that was registered by mistake is erased by two', async ({
	page,
	browser
}) => {
	await signIn(page, PHYSIO[0], 'a lamp in the loft');
	await expect(page).toHaveURL(`${ORIGIN}/`);
	const client = (await register(page, 'Registered Twice')).replace(/\/screen$/, '');
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
	const client = firstClient();
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
	expect(await replayed(page, firstClient())).toEqual(known().decided);
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
