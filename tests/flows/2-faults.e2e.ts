/** What bad input, foreign ids, lost sessions, two signers and a restarted database get. */
import { readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { startCluster } from '../../scripts/cluster.mjs';
import { accessible, openClient, score, signIn, signInByForm, visit } from './people.ts';

test('wrong password, then too little: nobody gets in, and the page says why', async ({ page }) => {
	await page.goto('/clients/x/ladder');
	await expect(page).toHaveURL(/sign-in\?to=%2Fclients%2Fx%2Fladder/);
	await page.getByLabel('E-mail').fill('physio@tidewater.example');
	await page.getByLabel('Password').fill('not-the-password');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByTestId('refused')).toContainText('do not match');
	await expect(page.getByLabel('E-mail')).toHaveValue('physio@tidewater.example');
});

test.describe('before the scripts have arrived', () => {
	test.use({ javaScriptEnabled: false });
	test('a wrong password keeps the address', async ({ page }) => {
		await page.goto('/sign-in');
		await page.getByLabel('E-mail').fill('physio@tidewater.example');
		await page.getByLabel('Password').fill('not-the-password');
		await page.getByRole('button', { name: 'Sign in' }).click();
		await expect(page.getByTestId('refused')).toContainText('do not match');
		await expect(page.getByLabel('E-mail')).toHaveValue('physio@tidewater.example');
	});
	test('signing in works as a plain form', async ({ page }) => {
		await signInByForm(page);
		await expect(page.getByRole('link', { name: /Wren Hollis/ })).toBeVisible();
	});
});

test('security headers, a nonce policy, and no request leaves the machine', async ({ page }) => {
	const outside: string[] = [];
	page.on('request', (r) => {
		if (
			!r.url().startsWith('http://127.0.0.1:') &&
			!r.url().startsWith('data:') &&
			!r.url().startsWith('blob:')
		)
			outside.push(r.url());
	});
	const errors: string[] = [];
	page.on('console', (m) => m.type() === 'error' && errors.push(m.text()));
	await signIn(page);
	await openClient(page, 'Wren', 'ladder');
	const response = await page.reload();
	const headers = response?.headers() ?? {};
	expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-/);
	expect(headers['content-security-policy']).toContain("object-src 'none'");
	expect(headers['x-content-type-options']).toBe('nosniff');
	expect(headers['referrer-policy']).toBe('same-origin');
	expect(headers['cache-control']).toContain('no-store');
	expect(outside).toEqual([]);
	expect(errors).toEqual([]);
});

test('a foreign or malformed client id is a plain 404 with an id to report', async ({ page }) => {
	await signIn(page);
	for (const id of ['0190b6c5-7a60-7000-8000-000000000000', 'nonsense']) {
		const response = await page.goto(`/clients/${id}/ladder`);
		expect(response?.status()).toBe(404);
		await expect(page.getByText('There is no such client in this practice.').first()).toBeVisible();
	}
});

test('posts from another site, a megabyte, and NUL characters are refused and change nothing', async ({
	page,
	request
}) => {
	await signIn(page);
	const id = await openClient(page, 'Wren', 'decide');
	const cookies = (await page.context().cookies()).map((c) => `${c.name}=${c.value}`).join('; ');
	const post = (path: string, body: string, headers: Record<string, string>) =>
		request.post(path, { data: body, headers: { cookie: cookies, ...headers } });
	const form = { 'content-type': 'application/x-www-form-urlencoded' };
	const own = { origin: `http://127.0.0.1:${process.env.FLOW_PORT ?? 4399}` };
	expect(
		(
			await post(`/clients/${id}/decide?/answer`, 'x=1', { ...form, origin: 'https://elsewhere.example' })
		).status()
	).toBe(403);
	expect(
		(
			await post(`/clients/${id}/decide`, '{}', {
				'content-type': 'application/json',
				origin: 'https://elsewhere.example'
			})
		).status()
	).toBe(403);
	expect(
		(
			await post(`/clients/${id}/measure?/sheet`, `day=${'9'.repeat(1_100_000)}`, { ...form, ...own })
		).status()
	).toBe(413);
	const nul = await post(
		`/clients/${id}/ladder?/prescribe`,
		`id=0190b6c5-7a60-7000-8000-000000000001&exerciseId=0190b6c5-7a60-7000-8000-000000000002&family=squat&step=%00&region=knee-right&sets=1&reps=5&loadKg=0&seatCm=&thighDeg=&heelWedgeCm=`,
		{ ...form, ...own, accept: 'application/json' }
	);
	expect(await nul.text()).toContain('NUL');
});

test('a session that expired mid-form: the form survives signing in again', async ({ page, context }) => {
	await signIn(page);
	await openClient(page, 'Wren', 'measure');
	await page.getByLabel('Sitting fold right tolerable').fill('119');
	await page.getByLabel('Sitting fold right pain').fill('3');
	await context.clearCookies();
	await page.getByRole('button', { name: 'Save the sheet' }).click();
	await expect(page).toHaveURL(/sign-in/);
	await expect(page.getByText('What you typed is kept').first()).toBeVisible();
	await page.getByLabel('E-mail').fill('physio@tidewater.example');
	await page.getByLabel('Password').fill('heron-on-the-jetty');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page).toHaveURL(/measure/);
	await expect(page.getByLabel('Sitting fold right tolerable')).toHaveValue('119');
	await expect(page.getByLabel('Sitting fold right pain')).toHaveValue('3');
	await page.getByRole('button', { name: 'Save the sheet' }).click();
	await expect(page.getByTestId('done')).toContainText('Saved 1 reading.');
});

test('whoever signs out takes along what they typed: the next in the tab begins with the page’s own', async ({
	page
}) => {
	// Sessions of their own: signing out ends them.
	await signInByForm(page);
	const id = await openClient(page, 'Wren', 'plan');
	const note = page.getByLabel('Note', { exact: true });
	const toWrite = async (): Promise<void> => {
		await visit(page, `/clients/${id}/record`);
		await page.getByRole('button', { name: 'Write a note' }).click();
	};
	await toWrite();
	await note.fill('half a thought');
	await toWrite();
	await expect(note).toHaveValue('half a thought');
	await page.getByRole('button', { name: 'Sign out' }).click();
	await expect(page).toHaveURL(/\/sign-in/);
	await page.waitForSelector('html[data-ready]');
	await signInByForm(page, 'trainer');
	await toWrite();
	await expect(note).toHaveValue('');
});

test('the network goes while a form is sent: the page stays, sending again is one record', async ({
	page,
	context
}) => {
	await signIn(page);
	await openClient(page, 'Lotte', 'measure');
	await page.getByLabel('Knee bend left end').fill('131');
	await context.setOffline(true);
	await expect(page.getByText('No network just now.').first()).toBeVisible();
	await page.getByRole('button', { name: 'Save the sheet' }).click();
	await expect(page.getByTestId('refused')).toContainText('Nothing is lost');
	await expect(page.getByLabel('Knee bend left end')).toHaveValue('131');
	await context.setOffline(false);
	await page.getByRole('button', { name: 'Save the sheet' }).click();
	await expect(page.getByTestId('done')).toContainText('Saved 1 reading.');
});

test('two people sign the same slip: one wins, the other sees why', async ({ browser }) => {
	const [one, two] = [await browser.newPage(), await browser.newPage()];
	await signIn(one);
	await signIn(two, 'trainer');
	await openClient(one, 'Amos', 'decide');
	await openClient(two, 'Amos', 'decide');
	await one.getByRole('button', { name: /Agree/ }).click();
	await expect(one.getByTestId('done')).toContainText('Signed.');
	await two.getByRole('button', { name: /Agree/ }).click();
	await expect(two.getByTestId('refused')).toContainText('Ines Quarrel answered this slip already');
	await one.close();
	await two.close();
});

test('the database restarted under a request: a clear page, and the retry works', async ({ page }) => {
	await signIn(page);
	const id = await openClient(page, 'Wren', 'morning');
	const { home } = JSON.parse(
		readFileSync(join(tmpdir(), `bolster-flows-${process.env.FLOW_PORT ?? 4399}.json`), 'utf8')
	) as { home: string };
	const cluster = await startCluster(home, { fast: true });
	cluster.stop();
	const down = await page.goto(`/clients/${id}/trend`).finally(() => startCluster(home, { fast: true }));
	expect(down?.status()).toBe(503);
	await expect(page.getByText('The database is not answering just now.').first()).toBeVisible();
	await page.getByRole('link', { name: 'Try again' }).click();
	await expect(page.getByRole('heading', { name: 'Tolerable range over time' })).toBeVisible();
	await visit(page, `/clients/${id}/morning`);
	await score(page, 'Pain this morning', 2);
	await expect(page.getByRole('radio', { name: 'Pain this morning 2', exact: true })).toBeChecked();
});

test('an owner without a licence is told what it takes', async ({ page }) => {
	await page.goto('/sign-in');
	await page.getByLabel('E-mail').fill('owner@tidewater.example');
	await page.getByLabel('Password').fill('lantern-at-low-tide');
	await page.getByRole('button', { name: 'Sign in' }).click();
	// Their own work is the practice; a client's page says what it takes.
	await expect(page).toHaveURL(/\/practice\/people$/);
	await expect(page.getByTestId('member')).toHaveCount(3);
	await page.goto('/clients/new');
	await expect(page.getByText('takes a trainer or licensed user').first()).toBeVisible();
	// Whoever was refused is written down, for the owner to read.
	await page.goto('/practice/records');
	await expect(
		page.getByTestId('look').filter({ hasText: 'refused GET /clients/new' }).first()
	).toBeVisible();
});

test('who leaves with a setting typed and not kept is asked; what is refused stands beside its field until it is typed in again', async ({
	page
}) => {
	// The owner alone has no clients: theirs begins with the practice.
	await page.goto('/sign-in');
	await page.getByLabel('E-mail').fill('owner@tidewater.example');
	await page.getByLabel('Password').fill('lantern-at-low-tide');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page).toHaveURL(/\/practice\/people$/);
	await visit(page, '/practice/settings');
	const words = page.getByLabel('What to do besides, in your words');
	const was = await words.inputValue();
	await words.fill('tell the front desk first');
	await page.getByRole('link', { name: 'People' }).click();
	const ask = page.getByRole('dialog', { name: 'Leave without keeping it?' });
	await expect(ask).toBeVisible();
	await accessible(page);
	await ask.getByRole('button', { name: 'Stay' }).click();
	await expect(ask).toBeHidden();
	await expect(page).toHaveURL(/\/practice\/settings$/);
	await expect(words).toHaveValue('tell the front desk first');
	// Refused: everything at once, and each until its field is typed in.
	await page.getByLabel('Name', { exact: true }).fill('');
	await page.getByLabel('A record is kept after the last work').fill('many');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByTestId('refused')).toBeVisible();
	const years = page.getByLabel('A record is kept after the last work');
	await expect(years).toHaveAttribute('aria-invalid', 'true');
	await years.fill('8');
	await expect(years).not.toHaveAttribute('aria-invalid', 'true');
	await expect(page.getByLabel('Name', { exact: true })).toHaveAttribute('aria-invalid', 'true');
	await page.getByRole('link', { name: 'Rooms', exact: true }).click();
	await ask.getByRole('button', { name: 'Leave', exact: true }).click();
	await expect(page).toHaveURL(/\/practice\/rooms$/);
	// Back brings what was typed; nothing of it was kept.
	await page.goBack();
	await expect(words).toHaveValue('tell the front desk first');
	await page.reload();
	await visit(page, '/practice/people');
	await visit(page, '/practice/settings');
	await expect(words).toHaveValue(was);
	// What is kept asks nothing.
	await words.fill('tell the front desk');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByTestId('done')).toBeVisible();
	await page.getByRole('link', { name: 'People' }).click();
	await expect(page).toHaveURL(/\/practice\/people$/);
	await visit(page, '/practice/settings');
	await words.fill(was);
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByTestId('done')).toBeVisible();
});

test('a long list is sorted by its headings and searched; a source says what it is where it is named', async ({
	page
}) => {
	await signIn(page);
	await visit(page, '/clients');
	await page.getByRole('link', { name: 'in use' }).click();
	await expect(page.getByRole('columnheader', { name: 'in use' })).toHaveAttribute('aria-sort', 'descending');
	const used = (await page.getByTestId('client').locator('td:nth-child(5)').allTextContents()).map(Number);
	expect(used).toEqual([...used].sort((a, b) => b - a));
	await visit(page, '/sources');
	const rows = page.getByRole('table', { name: 'Sources' }).locator('tbody tr');
	const all = await rows.count();
	await page.getByRole('button', { name: 'source', exact: true }).click();
	await expect(page.getByRole('columnheader', { name: 'source' })).toHaveAttribute('aria-sort', 'ascending');
	const names = await rows.locator('td:first-child').allTextContents();
	// NG59 before NG158, as one reads it.
	const read = new Intl.Collator('en', { numeric: true });
	expect(names).toEqual([...names].sort(read.compare));
	await page.getByRole('searchbox').fill('bridge');
	await expect.poll(() => rows.count()).toBeLessThan(all);
	await page.getByRole('searchbox').fill('no such word');
	await expect(rows).toHaveText(['Nothing here says that.']);
	await accessible(page);
	await openClient(page, 'Wren', 'decide');
	await page.locator('a[href^="/sources#"]:visible').first().hover();
	await expect(page.getByRole('tooltip')).toContainText(/\w{3}/);
});
