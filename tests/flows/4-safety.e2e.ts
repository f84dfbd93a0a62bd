/** What stands before a session: the arrival card, and every emergency answer, which stops everything. */
import { expect, test, type Page } from '@playwright/test';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { accessible, choose, openClient, QUESTIONS, score, screenByKey, signIn, visit } from './people.ts';

test.describe.configure({ mode: 'serial' });

const AFTER_FALL = [
	'Hip or groin pain since, or a leg that cannot take weight',
	'A leg that looks shorter or turned out',
	'The head was hit, and blood thinners are taken',
	'Drowsy, confused or vomiting since',
	'Any other new pain'
] as const;

test('the arrival card: go, lighter, not today, and asks what was left open', async ({ page }) => {
	await signIn(page, 'trainer');
	await page.setViewportSize({ width: 390, height: 844 });
	const wren = await openClient(page, 'Wren', 'arrive');
	const ask = page.getByRole('button', { name: 'What today?' });
	await score(page, 'Right knee now, usual 2', 4);
	await ask.click();
	// Everything that is open is said at once.
	await expect(page.getByTestId('field-wrong')).toHaveCount(4);
	await expect(page.getByTestId('field-wrong').first()).toContainText(
		'Fever: answer yes, no, a cold without fever, or unknown.'
	);
	for (const q of QUESTIONS) await choose(page, `${q}: no`);
	await ask.click();
	await expect(page.getByTestId('arrival')).toContainText(
		'Lighter today, about 60 % of the work: right knee is 4, its usual is 2.'
	);
	await choose(page, 'A fall since the last time: yes');
	await ask.click();
	await expect(page.getByTestId('arrival')).toContainText('Ask first: what followed the fall.');
	const after = page.getByTestId('after-fall');
	for (const q of AFTER_FALL) await choose(page, `${q}: no`);
	await expect(after).toBeVisible();
	await ask.click();
	await expect(page.getByTestId('alarm')).toContainText('A fall, and nothing new hurts');
	await expect(page.getByTestId('arrival')).toContainText('Lighter today');
	await choose(page, 'Fever, or feeling ill: yes');
	await ask.click();
	await expect(page.getByTestId('arrival')).toContainText('Not today: fever or feeling ill.');
	await accessible(page);
	await visit(page, '/');
	await expect(page.getByRole('link', { name: /Wren Hollis/ })).toContainText('not today');
	await visit(page, `/clients/${wren}/arrive`);
	await expect(page.getByText('Answered today already: Not today').first()).toBeVisible();
});

/** Nothing is prescribed, and nobody trains. */
async function everythingWaits(page: Page, clientId: string, flag: string): Promise<void> {
	await visit(page, `/clients/${clientId}/ladder`);
	await page.getByRole('button', { name: /^Raised seat:/ }).click();
	await expect(page.getByRole('button', { name: /^Prescribe/ })).toBeDisabled();
	await expect(
		page.getByText(`A flag is open: ${flag}. Nothing is prescribed until it is closed.`)
	).toBeVisible();
	await visit(page, `/clients/${clientId}/arrive`);
	await score(page, 'Left hip now, usual 1', 0);
	for (const q of QUESTIONS) await choose(page, `${q}: no`);
	await page.getByRole('button', { name: 'What today?' }).click();
	await expect(page.getByTestId('arrival')).toContainText(`Not today: a flag is open: ${flag}.`);
}

test('every emergency answer stops everything until a licensed user closes it', async ({ page }) => {
	test.setTimeout(480_000);
	await signIn(page);
	const tamsin = await openClient(page, 'Tamsin', 'screen');
	await visit(page, `/clients/${tamsin}/decide`);
	await expect(page.getByTestId('sentence')).toContainText('Advance');
	const emergencies = SCREENING.filter((x) => x.urgency === 'emergency');
	for (const [at, c] of emergencies.entries()) {
		await visit(page, `/clients/${tamsin}/screen`);
		await screenByKey(page, [c.id]);
		await page.keyboard.press('Enter');
		await expect(page.getByTestId('emergency')).toContainText('get help now');
		await expect(page.getByRole('region', { name: 'Before everything' })).toContainText(
			`Emergency: ${c.name}`
		);
		await visit(page, `/clients/${tamsin}/decide`);
		await expect(page.getByTestId('sentence')).toHaveText(`Refer: an open red flag: ${c.name}.`);
		// Every one opens the same flag (held below the pages for each); the other pages are walked with the first and the last.
		if (at === 0 || at === emergencies.length - 1) await everythingWaits(page, tamsin, c.name);
		await visit(page, `/clients/${tamsin}/screen`);
		await page.getByTestId('flag').getByText('Close it').click();
		await page.getByLabel('Closed because').fill('ruled out in hospital today');
		await page.getByRole('button', { name: 'Close the flag' }).click();
		await expect(page.getByTestId('done')).toContainText('Flag closed');
	}
	await visit(page, `/clients/${tamsin}/decide`);
	// A flag that was no mistake makes the sessions before it history: nothing advances on them.
	await expect(page.getByTestId('sentence')).toHaveText('Wait: no session since the last change.');
});
