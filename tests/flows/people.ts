/** Signing in and finding one's way, shared by the flows. */
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { STAFF } from '../../demo/people.ts';

type Who = (typeof STAFF)[number]['key'];

/** By the form, as everybody does. */
export async function signInByForm(page: Page, key: Who = 'physio'): Promise<void> {
	const who = STAFF.find((s) => s.key === key);
	await page.goto('/sign-in');
	await page.getByLabel('E-mail').fill(who?.email ?? '');
	await page.getByLabel('Password').fill(who?.password ?? '');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page).toHaveURL(/\/$/);
}

type Cookies = Awaited<ReturnType<ReturnType<Page['context']>['cookies']>>;
const signedIn = new Map<Who, Cookies>();

/** Signed in, on Today. The form is filled once a person; after that their session goes on, as it does in the practice. */
export async function signIn(page: Page, key: Who = 'physio'): Promise<void> {
	const known = signedIn.get(key);
	if (known === undefined) {
		await signInByForm(page, key);
		signedIn.set(key, await page.context().cookies());
	} else await page.context().addCookies(known);
	await visit(page, '/');
}

/** Goes to a page and waits until its keys and buttons answer. */
export async function visit(page: Page, path: string): Promise<void> {
	await page.goto(path);
	await page.waitForSelector('html[data-ready]');
}

/** Opens a page of a client, as Today's link names it, and answers the client's id. */
export async function openClient(page: Page, name: string, to: string): Promise<string> {
	if (new URL(page.url()).pathname !== '/') await page.goto('/');
	const id =
		(await page.getByRole('link', { name: new RegExp(name) }).getAttribute('href'))?.split('/')[2] ?? '';
	await visit(page, `/clients/${id}/${to}`);
	return id;
}

/** Nothing serious or critical by axe; by these rules only, where they are given. */
export async function accessible(page: Page, rules: string[] = []): Promise<void> {
	// In the page itself, which has no frames, and what is right is not told: the same rules in a third of the time.
	const axe = new AxeBuilder({ page })
		.setLegacyMode()
		.options({ resultTypes: ['violations'], preload: false });
	const { violations } = await (rules.length === 0 ? axe : axe.withRules(rules)).analyze();
	const bad = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
	expect(
		bad.map(
			(v) =>
				`${v.id}: ${v.nodes
					.map((n) => n.target.join(' '))
					.slice(0, 3)
					.join(' | ')}`
		)
	).toEqual([]);
}

/** Picks a number in a 0–10 row. */
export const score = (page: Page, label: string, value: number): Promise<void> =>
	choose(page, `${label} ${value}`);

/** Taps the visible target of a radio, clear of the bar at the bottom. */
export async function choose(page: Page, name: string): Promise<void> {
	const radio = page.getByRole('radio', { name, exact: true });
	const target = page.locator('label', { has: radio });
	await target.evaluate((e) => e.scrollIntoView({ block: 'center' }));
	await target.click();
	await expect(radio).toBeChecked();
}

/** Answers every question by keyboard: n, and y where it is yes. */
export async function screenByKey(page: Page, yes: readonly string[]): Promise<void> {
	await page
		.locator(`[data-row="${SCREENING.find((c) => c.urgency === 'emergency')?.id}"] input`)
		.first()
		.focus();
	for (const urgency of ['emergency', 'urgent', 'caution'] as const)
		for (const c of SCREENING.filter((x) => x.urgency === urgency))
			await page.keyboard.press(yes.includes(c.id) ? 'y' : 'n');
}

/** What is asked at the door besides pain. */
export const QUESTIONS = [
	'Fever, or feeling ill',
	'A fall since the last time',
	'New swelling',
	'One calf newly swollen, tender or warm'
] as const;

/** Asked at the door: no more than usual. */
export async function atTheDoor(page: Page, name: string): Promise<string> {
	const id = await openClient(page, name, 'arrive');
	for (const group of await page.locator('fieldset:has(input[type=radio][value="10"])').all())
		await group.locator('label:has(input[value="1"])').click();
	for (const q of QUESTIONS) await choose(page, `${q}: no`);
	await page.getByRole('button', { name: 'What today?' }).click();
	await expect(page.getByTestId('arrival')).toContainText('Go:');
	return id;
}

/** Holds the phone at a tilt in degrees: its sensor tells the page so, over and over, until it is held otherwise. */
export const tilt = (page: Page, beta: number): Promise<void> =>
	page.evaluate((to) => {
		const held = window as Window & { tilted?: ReturnType<typeof setInterval> };
		clearInterval(held.tilted);
		const tell = () =>
			dispatchEvent(new DeviceOrientationEvent('deviceorientation', { alpha: 0, beta: to, gamma: 0 }));
		tell();
		held.tilted = setInterval(tell, 50);
	}, beta);

/** There is a network again, and the page was not told: what waits is sent by its button. */
export async function sendByHand(page: Page): Promise<void> {
	await page.evaluate(() =>
		addEventListener('online', (e) => e.stopImmediatePropagation(), { capture: true, once: true })
	);
	await page.context().setOffline(false);
	await page.getByRole('button', { name: 'Send now' }).first().click();
}
