/**
 * A client's own page, on a phone: the week is signed, the link handed over, the session done without a network with one "that hurts", sent when there is one; the next
 * morning told the same way; Today and the slip show it. And what must not happen: a guess that opens, an entry that is lost when its link ends.
 */
import { expect, test, type BrowserContext, type Page } from '@playwright/test';
import { accessible, openClient, sendByHand, signIn, tilt, visit } from './people.ts';

const CLIENT = 'Nerys';
const PHONE = {
	viewport: { width: 390, height: 844 },
	isMobile: true,
	hasTouch: true,
	locale: 'en-GB'
} as const;
let phone: BrowserContext;
let mine: Page;
/** The exercise that hurt. */
let hurtId = '';

test.beforeAll(async ({ browser }) => {
	phone = await browser.newContext(PHONE);
	mine = await phone.newPage();
});
test.afterAll(() => phone.close());
test.describe.configure({ mode: 'serial' });

/** Signed in on a desk, a link given; answers its path. */
async function handedOver(page: Page): Promise<string> {
	await signIn(page);
	await openClient(page, CLIENT, 'hand');
	await page.getByRole('button', { name: /Give the link|Another link in its place/ }).click();
	return new URL((await page.getByTestId('link').textContent()) ?? '').pathname;
}
/** Opened on the phone, and everything it needs put aside. */
async function opened(path: string): Promise<void> {
	await visit(mine, path);
	await mine.getByRole('button', { name: 'Open my page' }).click();
	await expect(mine).toHaveURL(/\/mine$/);
	await asideFor('/mine/do');
}
const asideFor = (path: string): Promise<void> =>
	expect
		.poll(() => mine.evaluate(async (p) => (await caches.match(p)) !== undefined, path), { timeout: 60_000 })
		.toBe(true);
const tap = (name: string | RegExp): Promise<void> => mine.getByRole('button', { name }).first().click();
/** Numbers of all scores in view. */
async function scores(value: number): Promise<void> {
	const groups = mine.locator('fieldset:has(input[type=radio][value="10"])');
	await expect(groups.first()).toBeVisible();
	for (const group of await groups.all()) {
		const target = group.locator(`label:has(input[value="${value}"])`);
		await target.evaluate((e) => e.scrollIntoView({ block: 'center' }));
		await target.click();
	}
}

test('a week is proposed for the days there are, moved, and signed; a day too many is said', async ({
	page
}) => {
	await signIn(page);
	await openClient(page, CLIENT, 'week');
	for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'])
		await page
			.getByRole('checkbox', { name: day, exact: true })
			.setChecked(['Tue', 'Thu', 'Sat'].includes(day));
	await page.getByRole('textbox', { name: 'Minutes' }).fill('30');
	await page.getByRole('button', { name: 'Propose anew' }).click();
	await expect(page.getByTestId('week-state')).toContainText('a proposal');
	await page.waitForSelector('html[data-ready]');
	const days = page.getByTestId('week-day');
	await expect(days).toHaveCount(7);
	const thursday = page.getByRole('region', { name: 'Thu', exact: true });
	await expect(thursday).toContainText(/\d+ min/);
	await expect(page.getByRole('region', { name: 'Wed', exact: true })).toContainText('off');
	await accessible(page);
	// Taken out of one day, the clock of that day follows.
	const before = await thursday.getByRole('heading').textContent();
	await thursday
		.getByRole('button', { name: /^Take / })
		.last()
		.click();
	await expect(thursday.getByRole('heading')).not.toHaveText(before ?? '');
	await expect(page.getByTestId('week-state')).toContainText('moved by hand');
	await page.getByRole('button', { name: 'Sign this week' }).click();
	await expect(page.getByTestId('done')).toContainText('The week is signed');
	await expect(page.getByTestId('week-state')).toContainText('signed Thu 12 Mar');
	await expect(page.getByTestId('budget')).toContainText('kN·m');
});

test('a link that is guessed opens nothing; looking at one changes nothing; opened, it shows today', async ({
	page
}) => {
	await visit(mine, '/mine');
	await expect(mine.getByRole('heading')).toContainText('not open on this device');
	await visit(mine, `/mine/open/${'x'.repeat(43)}`);
	await tap('Open my page');
	await expect(mine.getByRole('alert')).toContainText('opens nothing');
	const path = await handedOver(page);
	await accessible(page);
	await visit(mine, path);
	await visit(mine, '/mine');
	await expect(mine.getByRole('heading')).toContainText('not open on this device');
	await opened(path);
	await expect(mine.getByTestId('today-work').first()).toBeVisible();
	await accessible(mine);
	// Nothing of the practice's own pages.
	await mine.goto('/clients');
	await expect(mine).toHaveURL(/sign-in/);
	await visit(mine, '/mine');
});

/** The page goes after a tap; what was done stays. */
async function pageGoes(title: string): Promise<void> {
	await mine.reload();
	await mine.waitForSelector('html[data-ready]');
	await expect(mine.getByTestId('run-exercise').getByRole('heading')).toHaveText(title);
}

test('a session without a network, with one that hurts, outlives the page and is sent when there is one', async ({
	page
}) => {
	await phone.setOffline(true);
	await mine.getByRole('link', { name: 'Begin' }).click();
	await scores(1);
	await tap('No, nothing of it');
	await expect(mine.getByTestId('run-exercise')).toBeVisible();
	let hurt = '';
	for (let n = 0; n < 24; n++) {
		if (!(await mine.getByTestId('run-exercise').isVisible())) break;
		const title = (await mine.getByTestId('run-exercise').getByRole('heading').textContent()) ?? '';
		const hurts = mine.getByRole('button', { name: 'That hurts', exact: true });
		if (hurt === '' && (await hurts.isVisible())) {
			await hurts.click();
			await tap('That hurts 8');
			await expect(mine.getByTestId('told')).toContainText(/Stop this one|gentler/);
			hurt = title;
			await pageGoes(title);
		}
		const done = mine.getByRole('button', { name: 'Done as given' });
		if (await done.isVisible()) await done.click();
		await pageGoes(title);
		await expect(done).toHaveCount(0);
		if (await mine.getByText('How hard was it').isVisible()) {
			await scores(6);
			await pageGoes(title);
			await expect(mine.getByRole('radio', { name: 'How hard was it 6' })).toBeChecked();
		}
		await tap('Next exercise');
	}
	expect(hurt).not.toBe('');
	await scores(2);
	await tap('Keep it');
	await expect(mine.getByTestId('kept-here')).toBeVisible();
	await mine.reload();
	await mine.waitForSelector('html[data-ready]');
	await expect(mine.getByTestId('waiting')).toContainText('2 entries wait');
	await sendByHand(mine);
	await expect(mine.getByTestId('waiting')).toHaveCount(0);
	await expect(mine.getByTestId('parked')).toHaveCount(0);
	await visit(mine, '/mine/evening');
	await scores(7);
	await tap('Keep it');
	await expect(mine.getByTestId('kept')).toBeVisible();
	await visit(mine, '/mine');
	await expect(mine.getByText('This evening is in.')).toBeVisible();
	await signIn(page);
	await openClient(page, CLIENT, 'record');
	await expect(page.locator('main')).toContainText(hurt);
	await openClient(page, CLIENT, 'plan');
	const planned = page.getByTestId('planned').filter({ hasText: hurt });
	await expect(planned).toContainText(/last done today, worst 8/);
	hurtId = /exercise=([0-9a-f-]{36})/.exec(await planned.innerHTML())?.[1] ?? '';
	expect(hurtId).not.toBe('');
});

test('what waits outlives its link: taken back, nothing is lost, and with another it is sent', async ({
	page
}) => {
	await visit(mine, '/mine/morning');
	await phone.setOffline(true);
	await scores(4);
	for (const none of await mine.locator('label:has(input[value="none"])').all()) await none.click();
	await tap('Keep it');
	await expect(mine.getByTestId('kept-here')).toBeVisible();
	await signIn(page);
	await openClient(page, CLIENT, 'hand');
	await page.getByRole('button', { name: 'Take it back' }).click();
	await expect(page.getByTestId('done')).toContainText('Taken back');
	await phone.setOffline(false);
	await visit(mine, '/mine');
	await expect(mine.getByRole('heading')).toContainText('not open on this device');
	await opened(await handedOver(page));
	await expect(mine.getByTestId('waiting')).toHaveCount(0);
	await expect(mine.getByText('This morning is in.')).toBeVisible();
	await openClient(page, CLIENT, 'morning');
	await expect(page.getByRole('table')).toContainText('4');
});

test('the next morning, told without a network, is on Today; its slip is signed, and the next sheet differs', async ({
	page
}) => {
	await signIn(page);
	const id = await openClient(page, CLIENT, 'plan');
	const sheet = async (): Promise<string> =>
		(await (await page.request.get(`/clients/${id}/hand/handout.pdf`)).body()).toString('latin1');
	const before = await sheet();
	expect(before.startsWith('%PDF-')).toBe(true);
	await page.getByRole('button', { name: 'Next day' }).click();
	await expect(page.getByRole('banner')).toContainText('Fri 13 Mar');
	await visit(mine, '/mine');
	await asideFor('/mine/morning');
	await visit(mine, '/mine/morning');
	await phone.setOffline(true);
	await scores(6);
	for (const none of await mine.locator('label:has(input[value="none"])').all()) await none.click();
	await tap('Keep it');
	await expect(mine.getByTestId('kept-here')).toBeVisible();
	// By itself, the moment there is one.
	await phone.setOffline(false);
	await expect(mine.getByTestId('waiting')).toHaveCount(0);
	await visit(page, '/');
	await expect(page.getByRole('link').filter({ hasText: CLIENT })).toContainText('peaked at 8 yesterday');
	await expect(page.getByRole('link').filter({ hasText: CLIENT })).toContainText('7 yesterday evening');
	// What hurt yesterday, and is sore this morning, is not gone on with: it is signed with one key.
	await openClient(page, CLIENT, `decide?exercise=${hurtId}`);
	await expect(page.getByTestId('sentence')).toContainText(/^(Stop|Regress|Hold|Wait)/);
	await expect(page.getByRole('table', { name: 'Last sessions' })).toContainText('evening 7');
	await page.keyboard.press('a');
	await expect(page.getByTestId('done')).toBeVisible();
	expect(await sheet()).not.toBe(before);
});

test('something wrong is an emergency at once, without a network too; the practice sees it when there is one', async ({
	page
}) => {
	await visit(mine, '/mine');
	await phone.setOffline(true);
	await tap('Something is wrong');
	await mine.getByRole('checkbox', { name: 'Chest pain' }).check();
	await tap('Tell the practice');
	await expect(mine.getByTestId('emergency')).toContainText('now');
	await phone.setOffline(false);
	await visit(mine, '/mine');
	await expect(mine.getByTestId('waiting')).toHaveCount(0);
	await visit(mine, '/mine');
	// It stands until the practice closed its flag.
	await expect(mine.getByTestId('held-all')).toContainText('no exercises until');
	await signIn(page);
	await openClient(page, CLIENT, 'session');
	await expect(page.getByTestId('held').filter({ hasText: 'A flag is open' }).first()).toBeVisible();
});

test('the phone itself measures: laid on the limb, still, moved and back; without a sensor it says so', async ({
	page
}) => {
	// The page's clock goes as far as it is told: however busy the machine, the limb moves evenly.
	await page.clock.install();
	await signIn(page);
	await openClient(page, CLIENT, 'measure');
	await page.clock.pauseAt(new Date(Date.now() + 600_000));
	await page.getByLabel('Knee bend right, end').or(page.getByLabel('Knee bend right end')).first().focus();
	const dock = page.getByRole('region', { name: 'Device', exact: true });
	await dock.getByLabel('Device', { exact: true }).selectOption('phone');
	await dock.getByRole('button', { name: 'Start the device' }).click();
	await expect(dock).toContainText('hold still');
	await page.clock.runFor(2100);
	await expect(page.getByTestId('device-said')).toContainText('gives no orientation');
	await tilt(page, 90);
	await dock.getByRole('button', { name: 'Start the device' }).click();
	await expect(dock).toContainText('hold still');
	// Held still for a second it is where it starts.
	await page.clock.runFor(1500);
	await expect(dock).toContainText('0.0°');
	for (let rep = 0; rep < 3; rep++)
		for (let i = 0; i <= 40; i++) {
			await tilt(page, 90 - 30 * (1 - Math.cos((2 * Math.PI * i) / 40)));
			await page.clock.runFor(60);
		}
	await page.clock.runFor(800);
	await dock.getByRole('button', { name: 'Stop' }).click();
	await expect(page.getByTestId('device-told')).toContainText(/3 repetitions to (6[01]|59)°/);
	// Where it starts and where it ends, each held: the angle between them stands in the field.
	await dock.getByLabel('Device', { exact: true }).selectOption('phone-holds');
	await tilt(page, 90);
	await dock.getByRole('button', { name: 'Start the device' }).click();
	await expect(dock).toContainText('at the start');
	await page.clock.runFor(1500);
	await expect(dock).toContainText('now to the end');
	for (let i = 1; i <= 10; i++) {
		await tilt(page, 90 - 3.5 * i);
		await page.clock.runFor(60);
	}
	await page.clock.runFor(2500);
	await expect(page.getByTestId('device-holds')).toContainText('35° between the two holds, ±');
	await expect(page.getByLabel('Knee bend right end')).toHaveValue('35');
});
