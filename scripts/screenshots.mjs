/** npm run screenshots: the main views from a running demo (npm run demo in another terminal) into docs/screenshots/. */
import { join } from 'node:path';
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { CHROMIUM, CHROMIUM_ARGS } from './browser.mjs';
import { root } from './ensure.mjs';
import { STAFF } from './sign-ins.mjs';

const { port } = JSON.parse(
	readFileSync(join(process.env.BOLSTER_HOME ?? join(root, '.bolster'), 'demo.json'), 'utf8')
);
const base = `http://127.0.0.1:${port}`;
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
const VIEWS = [
	['today', '', '', 'desk'],
	['screen', 'Saskia', 'screen', 'desk'],
	['ask', 'Wren', 'ask', 'desk'],
	['measure', 'Wren', 'measure', 'desk'],
	['envelope', 'Wren', 'envelope', 'desk'],
	['plan', 'Nerys', 'plan', 'desk'],
	['week', 'Nerys', 'week', 'desk'],
	['ladders', 'Wren', 'ladders', 'desk'],
	['ladder', 'Wren', 'ladder', 'desk'],
	['library', '', '/library', 'desk'],
	['slip-hold', 'Wren', 'decide', 'desk'],
	['trend', 'Nerys', 'trend', 'desk'],
	['record', 'Nerys', 'record', 'desk'],
	['session-phone', 'Nerys', 'session', 'phone'],
	['people', '', '/practice/people', 'owner'],
	// Last: it sets a limit.
	['slip-suspended', 'Saskia', 'decide', 'dark']
];
for (const kind of ['desk', 'phone', 'owner', 'dark']) {
	const who = kind === 'owner' ? STAFF[2] : STAFF[0];
	const context = await browser.newContext({
		viewport: kind === 'phone' ? { width: 390, height: 844 } : { width: 1280, height: 800 },
		colorScheme: kind === 'dark' ? 'dark' : 'light',
		locale: 'en-GB'
	});
	const page = await context.newPage();
	await page.goto(`${base}/sign-in`);
	await page.fill('[name=email]', who.email);
	await page.fill('[name=password]', who.password);
	await page.click('button:has-text("Sign in")');
	await page.waitForURL(kind === 'owner' ? /people$/ : `${base}/`);
	for (const [name, client, view, of] of VIEWS.filter((v) => v[3] === kind)) {
		await page.goto(`${base}/`);
		if (view.startsWith('/')) await page.goto(`${base}${view}`);
		if (client) {
			const href = await page.getAttribute(`a:has-text("${client}")`, 'href');
			await page.goto(`${base}${href.replace(/[a-z]+$/, view)}`);
		}
		if (
			name === 'slip-suspended' &&
			(await page.getByTestId('sentence').textContent())?.startsWith('Stop: right knee bend') !== true
		) {
			await page.goto(page.url().replace(/decide.*$/, 'screen'));
			await page.getByText('A limit without an operation').click();
			const limit = page.locator('form[action="?/limit"]');
			await limit.getByLabel('To').fill('70');
			await limit.getByLabel('On whose word').fill('surgeon’s letter of today');
			await limit.getByRole('button', { name: 'Set the limit' }).click();
			await page.getByTestId('suspended').waitFor();
			await page.goto(page.url().replace(/screen.*$/, 'decide'));
		}
		await page.mouse.move(0, 0);
		await page.waitForTimeout(700);
		await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`) });
		console.log(`docs/screenshots/${name}.png (${of})`);
	}
	await context.close();
}
/** The client's own page, on a phone of theirs: its link is given on the desk first. */
const desk = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
const given = await desk.newPage();
await given.goto(`${base}/sign-in`);
await given.fill('[name=email]', STAFF[0].email);
await given.fill('[name=password]', STAFF[0].password);
await given.click('button:has-text("Sign in")');
await given.waitForURL(`${base}/`);
const href = await given.getAttribute('a:has-text("Nerys")', 'href');
await given.goto(`${base}${href.replace(/[a-z]+$/, 'hand')}`);
await given.waitForSelector('html[data-ready]');
await given.click('button:has-text("Give the link"), button:has-text("Another link")');
const link = await given.getByTestId('link').textContent();
const phone = await browser.newContext({
	...{ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true, locale: 'en-GB' }
});
const mine = await phone.newPage();
await mine.goto(link);
await mine.click('button:has-text("Open my page")');
await mine.waitForURL(/mine$/);
await mine.waitForTimeout(1500);
await mine.screenshot({ path: join(root, 'docs/screenshots/own-page-phone.png') });
await mine.click('a:has-text("Begin")');
await mine.locator('fieldset').first().waitFor();
for (const group of await mine.locator('fieldset').all())
	await group.locator('label:has(input[value="1"])').first().click();
await mine.click('button:has-text("No, nothing of it")');
await mine.getByTestId('run-exercise').waitFor();
await mine.click('button:has-text("Leave it out")');
await mine.waitForTimeout(1200);
await mine.screenshot({ path: join(root, 'docs/screenshots/own-session-phone.png') });
console.log('docs/screenshots/own-page-phone.png, own-session-phone.png');

/** The floor: who was asked at the door, one of them resting. */
for (const name of ['Wren', 'Nerys', 'Bertil', 'Perpetua']) {
	await given.goto(`${base}/`);
	const of = await given.getAttribute(`a:has-text("${name}")`, 'href');
	await given.goto(`${base}${of.replace(/[a-z]+$/, 'arrive')}`);
	await given.waitForSelector('html[data-ready]');
	for (const scale of await given.locator('fieldset:has(input[type=radio][value="10"])').all())
		await scale.locator('label:has(input[value="1"])').click();
	for (const no of await given.locator('label:has(input[type=radio][value="no"])').all()) await no.click();
	await given.click('button:has-text("What today?")');
	await given.getByTestId('arrival').waitFor();
}
await given.goto(`${base}/floor`);
const rows = given.getByTestId('on-floor');
await rows.first().waitFor();
for (const row of await rows.all()) {
	await row.getByRole('button', { name: /open$/ }).click();
	const leave = given.getByRole('button', { name: 'Leave it out' });
	for (let n = 0; n < 8 && !/set 1 of [2-9]/.test(await row.textContent()) && (await leave.count()) > 0; n++)
		await leave.click();
}
await given.getByRole('button', { name: 'Set done' }).nth(1).click();
await given.getByRole('button', { name: 'Set done' }).last().click();
await rows.nth(2).getByRole('button', { name: /open$/ }).click();
await given.getByRole('button', { name: 'That hurts', exact: true }).click();
await given.getByRole('button', { name: 'That hurts 3' }).click();
await given.mouse.move(0, 0);
await given.evaluate(() => scrollTo(0, 0));
await given.waitForTimeout(900);
await given.screenshot({ path: join(root, 'docs/screenshots/floor.png') });
console.log('docs/screenshots/floor.png');
await browser.close();
