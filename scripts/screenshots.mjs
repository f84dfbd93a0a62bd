/** npm run screenshots: the main views from a running demo (npm run demo in another terminal) into docs/screenshots/. */
import { join } from 'node:path';
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { root } from './ensure.mjs';
import { STAFF } from './sign-ins.mjs';

const { port } = JSON.parse(
	readFileSync(join(process.env.BOLSTER_HOME ?? join(root, '.bolster'), 'demo.json'), 'utf8')
);
const base = `http://127.0.0.1:${port}`;
const browser = await chromium.launch({
	executablePath: '/usr/bin/chromium',
	args: [
		'--headless',
		'--no-sandbox',
		'--disable-gpu',
		'--disable-quic',
		'--no-first-run',
		'--disable-background-networking'
	]
});
const VIEWS = [
	['today', '', '', 'desk'],
	['screen', 'Saskia', 'screen', 'desk'],
	['ask', 'Wren', 'ask', 'desk'],
	['measure', 'Wren', 'measure', 'desk'],
	['envelope', 'Wren', 'envelope', 'desk'],
	['plan', 'Nerys', 'plan', 'desk'],
	['ladders', 'Wren', 'ladders', 'desk'],
	['ladder', 'Wren', 'ladder', 'desk'],
	['library', '', '/library', 'desk'],
	['own-steps', '', '/library/own', 'desk'],
	['slip-hold', 'Wren', 'decide', 'desk'],
	['trend', 'Nerys', 'trend', 'desk'],
	['record', 'Nerys', 'record', 'desk'],
	['clients', '', '/clients?status=all', 'desk'],
	['arrive-phone', 'Wren', 'arrive', 'phone'],
	['morning-phone', 'Saskia', 'morning', 'phone'],
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
		if (name === 'own-steps') {
			await page.getByLabel('Begin from').selectOption('step-down-tap');
			await page.getByLabel('Called').fill('Pontoon edge tap');
			await page.getByRole('button', { name: 'Into the form' }).click();
		}
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
await browser.close();
