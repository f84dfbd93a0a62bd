/**
 * A practice of one's own, as its flows share it: its server, who is of it, and what one file finds out for the next. The files go in the order of their letters,
 * and what one leaves the next one finds; whichever comes first begins it.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { startCluster } from '../../scripts/cluster.mjs';

export const PORT = 4398;
export const ORIGIN = `http://127.0.0.1:${PORT}`;
export const root = join(import.meta.dirname, '../..');
/** One folder for all files, whatever process they run in; the lane's end takes it away. */
export const home = process.env.OWN_HOME ?? '';
export const env = {
	...process.env,
	BOLSTER_HOME: home,
	BOLSTER_BACKUPS: join(home, 'backups'),
	SIGN_IN_PER_MINUTE: '1000'
};

/** What later files go on from. */
interface Known {
	readonly founding?: string;
	/** The path of the first client. */
	readonly client?: string;
	readonly decided?: { readonly same: number; readonly other: number };
}
const notes = `${home}-known.json`;
export const known = (): Known =>
	existsSync(notes) ? (JSON.parse(readFileSync(notes, 'utf8')) as Known) : {};
export const remember = (more: Known): void => writeFileSync(notes, JSON.stringify({ ...known(), ...more }));
export const firstClient = (): string => known().client ?? '';

let server: ChildProcess | undefined;

/** Starts the practice and answers what it printed once it serves. */
export async function start(): Promise<string> {
	const child = spawn(process.execPath, ['scripts/start.mjs', '--port', String(PORT)], { cwd: root, env });
	server = child;
	let said = '';
	for (const stream of [child.stdout, child.stderr]) stream.on('data', (d: Buffer) => (said += d.toString()));
	await expect.poll(() => said, { timeout: 120_000 }).toContain('Ctrl-C stops it.');
	return said;
}
export async function stop(): Promise<void> {
	const child = server;
	server = undefined;
	if (child === undefined || child.exitCode !== null || child.signalCode !== null) return;
	const gone = new Promise((done) => child.on('exit', done));
	child.kill('SIGTERM');
	const late = setTimeout(() => child.kill('SIGKILL'), 60_000);
	await gone;
	clearTimeout(late);
}
export const script = (name: string, ...args: string[]) => {
	const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${name}.mjs`, ...args], {
		cwd: root,
		env,
		encoding: 'utf8'
	});
	return { status, said: stdout + stderr };
};
export const go = async (page: Page, path: string): Promise<void> => {
	await page.goto(path.startsWith('http') ? path : `${ORIGIN}${path}`);
	await page.waitForSelector('html[data-ready]');
};
export async function signIn(page: Page, email: string, password: string): Promise<void> {
	await go(page, '/sign-in');
	await page.getByLabel('E-mail').fill(email);
	await page.getByLabel('Password').fill(password);
	await page.getByRole('button', { name: 'Sign in' }).click();
}
export const OWNER = ['owner@quay.example', 'salt on the rail'] as const;
export const PHYSIO = ['nell@quay.example', 'gulls over the slip'] as const;

/** A file of these flows: its tests go in their order, on a server that it starts and stops. */
export function serving(begun: (said: string) => void = () => undefined): void {
	test.describe.configure({ mode: 'serial' });
	test.beforeAll(async () => begun(await start()));
	test.afterAll(stop);
}

/** Registers somebody, and answers the address of their screening. */
export async function register(page: Page, name: string): Promise<string> {
	await go(page, '/clients/new');
	await page.getByLabel('Name', { exact: true }).fill(name);
	await page.getByLabel('Born').fill('3 Mar 1961');
	await page.getByLabel('Height').fill('168');
	await page.getByLabel('Mass').fill('70');
	await page.getByLabel(/^keeping a health record here/).check();
	await page.getByRole('button', { name: 'Register and screen' }).click();
	await expect(page).toHaveURL(/\/screen$/);
	return page.url();
}

/** What the application is told, as the practice keeps it, with the day standing where a test puts it. */
export async function onADay(
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
export async function replayed(
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
