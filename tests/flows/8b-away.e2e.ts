/**
 * A practitioner without a network: the floor and a client's session were put aside on the device, are opened and done with the network off, kept, and sent by themselves when
 * it is back; once each, in nobody else's name; and nothing of a record stays when somebody signs out.
 */
import { expect, test, type BrowserContext, type Page } from '@playwright/test';
import { atTheDoor, openClient, sendByHand, signInByForm, visit } from './people.ts';

const CLIENT = 'Wren';
let device: BrowserContext;
let page: Page;
let id = '';

test.beforeAll(async ({ browser }) => {
	device = await browser.newContext({ viewport: { width: 820, height: 1180 } });
	page = await device.newPage();
});
test.afterAll(() => device.close());
test.describe.configure({ mode: 'serial' });

async function keepHere(): Promise<void> {
	await page.getByRole('checkbox', { name: 'works without a network' }).check();
	await expect(page.getByTestId('aside')).toContainText('On this device', { timeout: 60_000 });
}
async function asideCount(): Promise<number> {
	return page.evaluate(async () =>
		(await caches.has('away-pages')) ? (await (await caches.open('away-pages')).keys()).length : 0
	);
}
/** What is begun and not finished, in both stores of the device. */
async function draftCount(): Promise<number> {
	return page.evaluate(
		() =>
			new Promise<number>((done) => {
				const quick = Object.keys(localStorage).filter((k) => k.includes('floor:')).length;
				const opening = indexedDB.open('bolster-mine');
				opening.onsuccess = () => {
					const asked = opening.result.transaction('drafts').objectStore('drafts').getAllKeys();
					asked.onsuccess = () => {
						opening.result.close();
						done(quick + asked.result.filter((k) => String(k).startsWith('floor:')).length);
					};
				};
			})
	);
}
async function reload(): Promise<void> {
	await page.reload();
	await page.waitForSelector('html[data-ready]');
}
/** Sessions of today that the plan of the client knows. */
async function doneToday(): Promise<number> {
	await visit(page, `/clients/${id}/plan`);
	return page.getByTestId('planned').filter({ hasText: 'last done today' }).count();
}

test('the floor is opened and logged with the network off, and goes by itself', async () => {
	await signInByForm(page, 'trainer');
	id = await atTheDoor(page, CLIENT);
	await visit(page, `/floor?with=${id}`);
	await keepHere();
	await device.setOffline(true);
	await reload();
	const panel = page.getByTestId('floor-panel');
	for (
		let n = 0;
		n < 12 && (await panel.getByRole('button', { name: 'That hurts', exact: true }).count()) === 0;
		n++
	)
		await panel.getByRole('button', { name: 'Leave it out' }).click();
	await panel.getByRole('button', { name: 'That hurts', exact: true }).click();
	await panel.getByRole('button', { name: 'That hurts 2' }).click();
	// The tab is killed in the middle: what was tapped stands.
	await page.close();
	page = await device.newPage();
	await visit(page, `/floor?with=${id}`);
	await expect(page.getByTestId('floor-hurt')).toContainText('hurt 2');
	const again = page.getByTestId('floor-panel');
	await again.getByRole('button', { name: 'Done as given' }).click();
	await again
		.locator('fieldset', { hasText: 'How hard was it' })
		.locator('label:has(input[value="5"])')
		.click();
	for (let n = 0; n < 12 && (await again.getByTestId('run-exercise').count()) > 0; n++)
		await again.getByRole('button', { name: n === 0 ? 'Next exercise' : 'Leave it out' }).click();
	for (const group of await again.locator('fieldset:has(input[type=radio][value="10"])').all())
		await group.locator('label:has(input[value="2"])').click();
	await again.getByRole('button', { name: 'Keep it' }).click();
	await expect(again.getByTestId('floor-said')).toContainText('Kept on this device');
	await expect(page.getByTestId('away-waiting')).toContainText(CLIENT);
	// The battery goes: the page comes back with it still waiting.
	await reload();
	await expect(page.getByTestId('away-waiting')).toContainText(CLIENT);
	await sendByHand(page);
	await expect(page.getByTestId('away-waiting')).toHaveCount(0);
	expect(await doneToday()).toBe(1);
});

test('a session page is written with the network off: an alarm is said at once, what is missing is asked', async () => {
	await visit(page, `/clients/${id}/session`);
	await expect(page.getByTestId('aside')).toContainText('On this device', { timeout: 60_000 });
	await device.setOffline(true);
	await reload();
	await expect(page.getByText('No network just now')).toBeVisible();
	const row = page.getByTestId('exercise').filter({ hasText: 'Effort, as prescribed' }).first();
	await row
		.locator('fieldset', { hasText: 'Effort, as prescribed' })
		.locator('label:has(input[value="4"])')
		.click();
	await page.getByRole('button', { name: /^Log \d/ }).click();
	// Pain was not said: nothing is kept, and it says what.
	await expect(page.getByRole('alert').filter({ hasText: 'Nothing was kept.' })).toBeVisible();
	expect(await page.getByTestId('away-waiting').count()).toBe(0);
	for (const group of await page.locator('fieldset:has(input[name^="pain."][value="10"])').all())
		await group.locator('label:has(input[value="1"])').click();
	await row.getByRole('button', { name: /^Not quite as prescribed/ }).click();
	await row.getByRole('checkbox', { name: 'chest pain', exact: true }).check();
	await page.getByRole('button', { name: /^Log \d/ }).click();
	await expect(page.getByTestId('emergency')).toBeVisible();
	await expect(page.getByTestId('away-waiting')).toContainText(CLIENT);
});

test('somebody else who signs in here sends nothing of it; its own member does, once', async () => {
	// The page goes before the network comes: one that is open sends by itself, in the name of who is still signed in.
	await page.goto('about:blank');
	await device.setOffline(false);
	await device.clearCookies();
	await signInByForm(page, 'physio');
	await page.waitForSelector('html[data-ready]');
	await expect(page.getByText('of somebody else waits on this device')).toBeVisible();
	await expect(page.getByTestId('away-waiting')).toHaveCount(0);
	await visit(page, `/clients/${id}/screen`);
	await expect(page.getByText(/red flag/i).first()).toHaveCount(0);
	// Begun on the floor and left there: whoever signs out takes it off the device.
	await visit(page, `/floor?with=${id}`);
	await page.getByTestId('floor-panel').getByRole('button', { name: 'Leave it out' }).click();
	await expect.poll(draftCount).toBeGreaterThan(0);
	await page.getByRole('button', { name: 'Sign out' }).click();
	await expect.poll(asideCount).toBe(0);
	await expect.poll(draftCount).toBe(0);
	await signInByForm(page, 'trainer');
	await page.waitForSelector('html[data-ready]');
	await expect(page.getByTestId('away-alarm')).toContainText(CLIENT);
	await expect(page.getByTestId('away-waiting')).toHaveCount(0);
	await reload();
	await expect(page.getByText('waits on this device')).toHaveCount(0);
	// What was kept offline binds now: the plan is closed.
	await visit(page, `/floor?with=${id}`);
	await expect(page.getByTestId('floor-panel')).toContainText(/red flag|Not today/);
});

test('a client’s browser is killed after each tap of a session without a network: nothing of it is lost, and it is sent once', async ({
	browser
}) => {
	await openClient(page, 'Odile', 'hand');
	await page.getByRole('button', { name: /Give the link|Another link in its place/ }).click();
	const link = new URL((await page.getByTestId('link').textContent()) ?? '').pathname;
	const phone = await browser.newContext({
		viewport: { width: 390, height: 844 },
		isMobile: true,
		hasTouch: true
	});
	let mine = await phone.newPage();
	await visit(mine, link);
	await mine.getByRole('button', { name: 'Open my page' }).click();
	await expect(mine).toHaveURL(/\/mine$/);
	await expect
		.poll(() => mine.evaluate(async () => (await caches.match('/mine/do')) !== undefined), {
			timeout: 60_000
		})
		.toBe(true);
	await phone.setOffline(true);
	await visit(mine, '/mine/do');
	/** What stands on the page, but for clocks. */
	const stands = (): Promise<unknown> =>
		mine.locator('main').evaluate((main) => ({
			titles: [...main.querySelectorAll('h1, h2, [data-testid=progress], [data-testid=dose]')].map((x) =>
				x.textContent?.trim()
			),
			ticked: [...main.querySelectorAll('input[type=radio]:checked')].map(
				(x) => `${(x as HTMLInputElement).name} ${(x as HTMLInputElement).value}`
			),
			pressed: [...main.querySelectorAll('[aria-pressed=true]')].map((x) => x.textContent?.trim())
		}));
	async function killed(): Promise<void> {
		const before = await stands();
		await mine.close();
		mine = await phone.newPage();
		await visit(mine, '/mine/do');
		await expect.poll(stands).toEqual(before);
	}
	async function tap(name: string | RegExp): Promise<void> {
		await mine
			.getByRole('button', { name, exact: typeof name === 'string' })
			.first()
			.click();
		await killed();
	}
	async function scores(value: number): Promise<void> {
		// The page is another after each tap.
		const groups = () => mine.locator('fieldset:has(input[type=radio][value="10"])');
		await expect(groups().first()).toBeVisible();
		for (let i = 0; i < (await groups().count()); i++) {
			const target = groups().nth(i).locator(`label:has(input[value="${value}"])`);
			await target.evaluate((e) => e.scrollIntoView({ block: 'center' }));
			await target.click();
			await killed();
		}
	}
	await expect(mine.getByRole('button', { name: 'No, nothing of it' })).toBeVisible();
	await scores(1);
	await tap('No, nothing of it');
	let through = 0;
	for (let n = 0; n < 24 && (await mine.getByTestId('run-exercise').count()) > 0; n++) {
		const hard = mine.getByRole('button', { name: 'That hurts', exact: true });
		// Two exercises tap by tap, the rest left out.
		if (through >= 2 || (await hard.count()) === 0) {
			await mine.getByRole('button', { name: 'Leave it out' }).click();
			continue;
		}
		through++;
		if (await mine.getByRole('button', { name: 'Set done', exact: true }).isVisible()) await tap('Set done');
		await tap('Done as given');
		await scores(5);
		await tap('in the muscle');
		await tap('Next exercise');
	}
	expect(through).toBeGreaterThan(0);
	await scores(2);
	await mine.getByRole('button', { name: 'Keep it' }).click();
	await expect(mine.getByTestId('kept-here')).toBeVisible();
	// And the door: what closed the day closes it, however often the page is shut and opened.
	await visit(mine, '/mine/do');
	await scores(1);
	await mine.getByRole('button', { name: 'Yes, something' }).first().click();
	await mine.locator('fieldset', { hasText: /fever/i }).locator('label:has(input[value="yes"])').click();
	await mine.getByRole('button', { name: 'Begin' }).click();
	await expect(mine.getByText(/not today/i).first()).toBeVisible();
	await killed();
	await expect(mine.getByRole('button', { name: 'No, nothing of it' })).toHaveCount(0);
	await phone.setOffline(false);
	await visit(mine, '/mine');
	await expect(mine.getByTestId('waiting')).toHaveCount(0);
	await expect(mine.getByTestId('parked')).toHaveCount(0);
	await phone.close();
	await openClient(page, 'Odile', 'plan');
	await expect(page.getByTestId('planned').filter({ hasText: 'last done today' })).toHaveCount(through);
});
