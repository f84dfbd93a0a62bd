/** Who may: closing a red flag, resuming after a stop, overriding; and the walk by keyboard alone, in the dark. */
import { expect, test } from '@playwright/test';
import { accessible, openClient, score, signIn, visit } from './people.ts';

test.describe.configure({ mode: 'serial' });

test('a trainer may agree, not override, and sees why', async ({ page }) => {
	await signIn(page, 'trainer');
	await openClient(page, 'Odile', 'decide');
	await expect(page.getByTestId('sentence')).toHaveText('Stop: locking yesterday.');
	await expect(
		page.getByText('Signing stops this exercise until a licensed user clears it.').first()
	).toBeVisible();
	await expect(page.getByRole('button', { name: /Override/ })).toBeDisabled();
	await expect(page.getByRole('button', { name: /Gentler/ })).toBeDisabled();
	await page.keyboard.press('a');
	await expect(page.getByTestId('done')).toContainText('Signed.');
	const id = page.url().split('/')[4];
	await visit(page, `/clients/${id}/log`);
	await expect(page.getByTestId('held')).toContainText('Stopped: a licensed user clears it first.');
});

test('a licensed user resumes after the stop, with a reason that is kept', async ({ page }) => {
	await signIn(page);
	const id = await openClient(page, 'Odile', 'decide');
	await page.keyboard.press('o');
	await page.getByLabel('Sets').fill('1');
	await page.getByLabel('Reason (needed)').fill('no');
	await page.getByRole('button', { name: 'Sign the override' }).click();
	await expect(page.getByText('An override needs its reason in a few words.').first()).toBeVisible();
	await expect(page.getByLabel('Sets')).toHaveValue('1');
	await page.getByLabel('Reason (needed)').fill('examined today, no locking, full extension');
	await page.getByRole('button', { name: 'Sign the override' }).click();
	await expect(page.getByTestId('done')).toContainText('Signed. Overridden');
	// Locking opened a flag for review: closed by the same licensed user, the way is free.
	await expect(page.getByTestId('sentence')).toContainText('Wait: a flag waits for review');
	await page.getByLabel('Closed because').fill('examined, no locking');
	await page.getByRole('button', { name: 'Close the flag' }).click();
	await expect(page.getByTestId('sentence')).toHaveText('Wait: no session since the last change.');
	await visit(page, `/clients/${id}/trend`);
	await expect(page.getByTestId('history')).toContainText('examined today, no locking');
});

test('a red flag holds everything until a licensed user closes it with a note', async ({ page }) => {
	await signIn(page);
	await openClient(page, 'Fergal', 'decide');
	await expect(page.getByRole('region', { name: 'Before everything' })).toContainText('Urgent: night pain');
	const rail = page.getByRole('navigation', { name: 'Work on this client', exact: true });
	await expect(rail.getByRole('link', { name: /^Screen/ })).toContainText('1 flag');
	await expect(page.getByTestId('next')).toContainText('Look at the open flag: night pain');
	await expect(page.getByTestId('sentence')).toHaveText('Refer: an open red flag: night pain.');
	await page.getByRole('button', { name: 'Close the flag' }).click();
	await expect(page.getByText('Say in a few words why the flag is closed.').first()).toBeVisible();
	await page.getByLabel('Closed because').fill('seen by the GP, imaging clear');
	await page.getByRole('button', { name: 'Close the flag' }).click();
	await expect(page.getByTestId('done')).toContainText('Flag closed.');
	await expect(page.getByTestId('sentence')).not.toContainText('Refer');
});

test('a session logged by mistake is taken out with its reason, and the slip forgets it', async ({
	page
}) => {
	await signIn(page);
	const id = await openClient(page, 'Bertil', 'decide');
	await visit(page, `/clients/${id}/log`);
	for (const [label, v] of [
		['Effort', 9],
		['Before', 2],
		['Worst', 9],
		['After', 6]
	] as const)
		await score(page, label, v);
	await page.getByRole('button', { name: 'Log as prescribed' }).click();
	await expect(page.getByTestId('done')).toContainText('Logged.');
	await visit(page, `/clients/${id}/decide`);
	await expect(page.getByTestId('sentence')).toContainText('peaked at 9 today; the stop line is 8');
	await visit(page, `/clients/${id}/log`);
	await page.getByRole('button', { name: 'Logged by mistake' }).first().click();
	await page.getByRole('button', { name: 'Take it out' }).click();
	await expect(page.getByText('Say in a few words what was wrong with it.').first()).toBeVisible();
	await page.getByLabel('What was wrong with it').fill('typed for the wrong client');
	await page.getByRole('button', { name: 'Take it out' }).click();
	await expect(page.getByTestId('done')).toContainText('Taken out.');
	await visit(page, `/clients/${id}/decide`);
	await expect(page.getByTestId('sentence')).not.toContainText('peaked at 9');
});

test('technique and policy are chosen by a licensed user and change the ladder', async ({ page }) => {
	await signIn(page);
	const id = await openClient(page, 'Wren', 'measure');
	await page.getByText('Way of working', { exact: true }).click();
	await page.getByLabel('Pain policy').selectOption('pain-free');
	await page.getByRole('button', { name: 'Save way of working' }).click();
	await expect(page.getByText('not offered with a usual morning of 2').first()).toBeVisible();
	await page.getByLabel('Pain policy').selectOption('pain-monitored');
	await page.getByLabel('Technique taught').selectOption('knee-forward');
	await page.getByRole('button', { name: 'Save way of working' }).click();
	await expect(page.getByTestId('done')).toContainText('Saved technique, brace and policy.');
	await expect(page.getByRole('region', { name: 'Client' })).toContainText('Knees forward');
	await visit(page, `/clients/${id}/ladder`);
	await page.getByRole('button', { name: /^Free squat/ }).click();
	await expect(page.getByTestId('setup-card')).toContainText('Knees travel over the toes');
});

test('a stiff ankle is offered a solved wedge, with its caution where the front of the knee is sore', async ({
	page
}) => {
	await signIn(page);
	await openClient(page, 'Saskia', 'ladder');
	await page.getByLabel('Knee bend L').fill('140');
	await page.getByLabel('Ankle L').fill('26');
	await page.getByLabel('Ankle R').fill('26');
	await page.getByRole('button', { name: /^Free squat/ }).click();
	const wedge = page.getByTestId('wedge');
	await expect(wedge).toContainText('the full depth on a heel wedge of');
	await expect(wedge).toContainText('the sore place here');
	const shallow = Number.parseInt((await page.getByTestId('solved').textContent()) ?? '');
	await wedge.getByRole('button', { name: /use the .* cm one/ }).click();
	await expect(wedge).toContainText(/On a (3|4\.5) cm heel wedge/);
	expect(Number.parseInt((await page.getByTestId('solved').textContent()) ?? '')).toBeGreaterThan(shallow);
	await page.getByRole('button', { name: 'As measured' }).click();
	await expect(page.getByLabel('Ankle R')).toHaveValue('');
});

test('by keyboard alone: from Today to a slip, its ladder and back', async ({ page }) => {
	await signIn(page, 'trainer');
	for (let i = 0; i < 12; i++) {
		await page.keyboard.press('j');
		if ((await page.evaluate(() => document.activeElement?.textContent ?? '')).includes('Amos')) break;
	}
	await page.keyboard.press('Enter');
	await page.waitForURL(/decide/);
	await expect(page.getByTestId('sentence')).toContainText('a flare');
	await page.keyboard.press('5');
	await page.waitForURL(/ladder/);
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('?');
	await expect(page.getByRole('heading', { name: 'Keys of this screen' })).toBeVisible();
	await page.keyboard.press('Escape');
	await page.keyboard.press('9');
	await page.waitForURL(/decide/);
	await expect(page.getByTestId('sentence')).toBeVisible();
});

test('several exercises of one client: the most pressing slip first, the next by key, each with its own trend', async ({
	page
}) => {
	await signIn(page);
	await expect(page.getByRole('link', { name: /Bertil/ })).toContainText(/also .*Bridge: hold/);
	const id = await openClient(page, 'Bertil', 'decide');
	const slips = page.getByRole('navigation', { name: 'Slips of this client' }).getByRole('link');
	await expect(slips).toHaveCount(3);
	await expect(page.getByTestId('slip')).toHaveCount(1);
	await expect(slips.first()).toHaveAttribute('aria-current', 'true');
	await page.keyboard.press('o');
	await expect(page.getByRole('heading', { name: /^Override/ })).toBeVisible();
	await page.keyboard.press('n');
	await expect(slips.nth(1)).toHaveAttribute('aria-current', 'true');
	// What was begun for one exercise is never signed for another.
	await expect(page.getByRole('heading', { name: /^Override/ })).toHaveCount(0);
	const sentence = await page.getByTestId('sentence').textContent();
	await page.keyboard.press('a');
	await expect(page.getByTestId('done')).toBeVisible();
	await expect(page.getByTestId('slip')).toContainText('Answered by Ines Quarrel');
	await expect(page.getByTestId('sentence')).toHaveText(sentence ?? '');
	await visit(page, `/clients/${id}/trend`);
	await expect(page.getByTestId('climb')).toHaveCount(3);
	await expect(page.getByTestId('history')).toContainText('Heel raise');
});

test('aids for a referral letter: points never clear a calf, a line met sends to X-ray, pressure names what waits', async ({
	page
}) => {
	await signIn(page, 'trainer');
	await openClient(page, 'Saskia', 'screen');
	const aids = page.getByTestId('aids');
	await aids.getByText('For a referral letter').click();
	await expect(aids.getByTestId('clot')).toContainText(
		'0 points: unlikely (two levels), low (three levels). A suspected clot is seen by a doctor the same day'
	);
	await aids.getByLabel('a clot before').check();
	await aids.getByLabel('the whole leg swollen').check();
	await expect(aids.getByTestId('clot')).toContainText('2 points: likely (two levels), moderate');
	await expect(aids.getByTestId('acute-knee')).toContainText('only for a fresh injury');
	await aids.getByLabel('a fresh injury').check();
	await aids.getByLabel('Bends to').fill('90');
	await aids.getByLabel('Steps taken').fill('4');
	await expect(aids.getByTestId('acute-knee')).toContainText('No line is met. That is no all-clear');
	await aids.getByLabel('Bends to').fill('89');
	await expect(aids.getByTestId('acute-knee')).toContainText('Refer for an X-ray: does not bend to 90°');
	await aids.getByLabel('Upper').fill('181');
	await expect(aids.getByTestId('resting')).toContainText(
		'Heavy resistance work: not today, upper pressure over 180'
	);
	await expect(aids.getByTestId('resting')).toContainText('Other effort tests: no line met');
});

const VIEWS = [
	...['screen', 'ask', 'measure', 'envelope', 'arrive', 'plan', 'ladders', 'ladder', 'session', 'log'],
	...['morning', 'decide', 'trend', 'record', 'week', 'hand']
];

test.describe('dark', () => {
	test.use({ colorScheme: 'dark' });
	test('every view of a client keeps its contrast', async ({ page }) => {
		test.setTimeout(300_000);
		await signIn(page);
		const bertil = await openClient(page, 'Bertil', 'plan');
		for (const view of VIEWS)
			await test.step(view, async () => {
				await visit(page, `/clients/${bertil}/${view}`);
				await accessible(page, ['color-contrast']);
			});
	});
});

test('the header names what a protocol holds, and sources open from a slip', async ({ page }) => {
	await signIn(page);
	await openClient(page, 'Amos', 'decide');
	await expect(page.getByRole('region', { name: 'Before everything' })).toContainText(
		'right knee, partial meniscus: week 15, phase 1, was until Mon 2 Mar; phase 2 waits to be confirmed. Holds: right knee bend to 100°'
	);
	await page.getByRole('link', { name: 'Ageberg 2010' }).first().click();
	await expect(page.getByRole('row', { name: /Ageberg 2010/ })).toContainText('back to usual by next day');
});
