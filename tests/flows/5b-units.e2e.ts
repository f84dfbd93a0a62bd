/** A practice that writes inches, pounds and the month first: on every page of a client, typed and shown; what is kept is the same. */
import { expect, test, type Browser, type Page } from '@playwright/test';
import { STAFF } from '../../demo/people.ts';
import { openClient, signIn, visit } from './people.ts';

async function written(browser: Browser, units: string, order: string): Promise<void> {
	const page = await (await browser.newContext()).newPage();
	const owner = STAFF.find((p) => p.key === 'owner');
	await visit(page, '/sign-in');
	await page.getByLabel('E-mail').fill(owner?.email ?? '');
	await page.getByLabel('Password').fill(owner?.password ?? '');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page).toHaveURL(/\/practice\/people$/);
	await visit(page, '/practice/settings');
	await page.getByLabel('Units').selectOption(units);
	await page.getByLabel('Days are written').selectOption(order);
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByTestId('done')).toContainText('Kept');
	await page.context().close();
}

const PAGES = [
	...['plan', 'envelope', 'ladders', 'ladder', 'log', 'decide', 'trend', 'ask', 'week', 'record', 'hand'],
	...['arrive', 'session', 'morning', 'screen', 'measure']
];
/** A number with a metric unit, or a day before its month, in what is seen. Knee to wall is read in cm everywhere. */
const METRIC = /(?<!wall[^\n]{0,40})\b\d+(?:[.,]\d+)? ?(?:cm|kg)\b/gi;
const DAY_FIRST = /\b\d{1,2} (?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)\b/g;

async function seen(page: Page): Promise<string> {
	return page.evaluate(() => {
		const typed = [
			...document.querySelectorAll<HTMLInputElement>('input:is([type=text], [inputmode], :not([type]))')
		].map((i) => `${i.value} ${i.placeholder}`);
		return [document.body.innerText, document.title, ...typed].join('\n');
	});
}

test.describe.configure({ mode: 'serial' });

test('every page of a client is in inches and pounds, with the month first', async ({ page, browser }) => {
	test.setTimeout(300_000);
	await written(browser, 'imperial', 'month-day');
	await signIn(page);
	const found: Record<string, unknown> = {};
	const look = async (of: string): Promise<void> => {
		const text = await seen(page);
		const bad = [...(text.match(METRIC) ?? []), ...(text.match(DAY_FIRST) ?? [])];
		if (bad.length > 0) found[of] = [...new Set(bad)].slice(0, 6);
	};
	await look('today');
	for (const [who, pages] of [
		['Bertil', PAGES],
		['Saskia', ['ladder', 'decide', 'log', 'ask']]
	] as const) {
		const id = await openClient(page, who, 'plan');
		for (const p of pages) {
			await visit(page, `/clients/${id}/${p}`);
			await look(`${who} ${p}`);
		}
		await visit(page, '/');
	}
	await visit(page, '/library');
	await look('library');
	await visit(page, '/floor');
	await look('floor');
	expect(found).toEqual({});
});

test('a height and a load are typed in them; sent back as they stand, nothing has moved', async ({
	page,
	browser
}) => {
	await signIn(page);
	const id = await openClient(page, 'Bertil', 'measure');
	await page.getByRole('button', { name: 'Body and shoes' }).click();
	const height = page.getByLabel('Height', { exact: true });
	const inches = await height.inputValue();
	expect(Number(inches)).toBeGreaterThan(55);
	expect(Number(inches)).toBeLessThan(85);
	const cm = await page.locator('input[type=hidden][name=heightCm]').inputValue();
	expect(Math.abs(Number(cm) - Number(inches) * 2.54)).toBeLessThan(0.13);
	await height.fill('6 ft');
	await page.getByRole('button', { name: 'Save body' }).click();
	await expect(
		page.getByText(/Height: “6 ft” is not a number; give 47\.2 to 90\.6 in\./).first()
	).toBeVisible();
	await height.fill('100');
	await page.getByRole('button', { name: 'Save body' }).click();
	await expect(page.getByText('Height: 100 is outside 47.2 to 90.6 in.').first()).toBeVisible();
	await height.fill(inches);
	await page.getByRole('button', { name: 'Save body' }).click();
	await expect(page.getByTestId('done')).toBeVisible();
	// A load from the ladder, in pounds.
	await visit(page, `/clients/${id}/ladder`);
	const load = page.getByLabel('Load', { exact: true });
	await load.fill('25');
	await expect(page.locator('input[type=hidden][name=loadKg]')).toHaveValue('11.34');
	await written(browser, 'metric', 'day-month');
	await visit(page, `/clients/${id}/measure`);
	await expect(page.getByLabel('Height', { exact: true })).toHaveValue(cm);
});
