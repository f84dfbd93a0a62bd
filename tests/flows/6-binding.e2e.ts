/** What is known binds: a limit suspends the work on every page until its mend is signed; a day that is closed stays closed; a gate has no way round. */
import { expect, test } from '@playwright/test';
import { accessible, choose, openClient, score, screenByKey, signIn, visit } from './people.ts';

test.describe.configure({ mode: 'serial' });

test('a limit entered today suspends the work on Today, Arrive, Log and the slip; the signed mend lets it go on', async ({
	page
}) => {
	await signIn(page);
	const id = await openClient(page, 'Saskia', 'screen');
	await page.getByText('A limit without an operation').click();
	const form = page.locator('form[action="?/limit"]');
	await form.getByRole('button', { name: 'Set the limit' }).click();
	await expect(page.getByText('How many degrees does the protocol allow?').first()).toBeVisible();
	await form.getByLabel('To').fill('70');
	await form.getByLabel('On whose word').fill('Dr B. Example, letter of today');
	await form.getByRole('button', { name: 'Set the limit' }).click();
	await expect(page.getByTestId('done')).toContainText('Limit set.');
	await expect(page.getByTestId('suspended')).toContainText('Suspended: right knee bend asks');
	// The same limit once more, on another form: two rows, and the tabs still answer.
	await visit(page, `/clients/${id}/screen`);
	await page.getByText('A limit without an operation').click();
	await form.getByLabel('To').fill('70');
	await form.getByLabel('On whose word').fill('Dr B. Example, letter of today');
	await form.getByRole('button', { name: 'Set the limit' }).click();
	await expect(page.getByText('Protocol limit: Right knee bend to 70°')).toHaveCount(2);
	await accessible(page);
	await visit(page, '/');
	await expect(page.getByRole('link', { name: /Saskia Dunmere/ })).toContainText('the protocol allows 70°');
	await visit(page, `/clients/${id}/arrive`);
	await expect(page.getByTestId('held')).toContainText('Suspended');
	await visit(page, `/clients/${id}/ladders`);
	await expect(page.getByTestId('family-squat')).toContainText('Suspended');
	await visit(page, `/clients/${id}/log`);
	await expect(page.getByTestId('held')).toContainText('the protocol allows 70°');
	await expect(page.getByRole('button', { name: 'Log as prescribed' })).toBeHidden();
	// Recording is never closed.
	await page.getByText('Log what was done all the same').click();
	for (const [label, v] of [
		['Effort', 5],
		['Before', 2],
		['Worst', 2],
		['After', 2],
		['Confidence', 8],
		['Muscle soreness', 1]
	] as const)
		await score(page, label, v);
	await page.getByRole('button', { name: 'Log as prescribed' }).click();
	await expect(page.getByTestId('done')).toContainText('against advice');
	await page.getByText('See why, and sign the mend').click();
	await expect(page.getByTestId('sentence')).toContainText('Stop: right knee bend asks');
	await accessible(page);
	await page.keyboard.press('a');
	await expect(page.getByTestId('done')).toContainText('Signed. Mended:');
	await expect(page.getByTestId('sentence')).toHaveText('Wait: no session since the last change.');
	await visit(page, `/clients/${id}/log`);
	await expect(page.getByTestId('held')).toHaveCount(0);
	await expect(page.getByRole('button', { name: 'Log as prescribed' })).toBeVisible();
});

test('undo says what it undoes and takes the newest of this client', async ({ page }) => {
	await signIn(page);
	await openClient(page, 'Saskia', 'decide');
	await expect(page.getByText(/Last signed for this client, Thu 12 Mar.*Mended:/).first()).toBeVisible();
	await page.keyboard.press('u');
	await expect(page.getByTestId('done')).toContainText('Undone');
	await expect(page.getByTestId('sentence')).toContainText('Stop: right knee bend asks');
	await page.keyboard.press('a');
	await expect(page.getByTestId('done')).toContainText('Signed. Mended:');
});

test('fever at arrival closes the day on the log; a trainer cannot open it, a licensed user can with a reason', async ({
	page
}) => {
	await signIn(page, 'trainer');
	const id = await openClient(page, 'Saskia', 'arrive');
	await score(page, 'Left knee now, usual 1', 1);
	for (const q of ['A fall since the last time', 'New swelling', 'One calf newly swollen, tender or warm'])
		await choose(page, `${q}: no`);
	await choose(page, 'Fever, or feeling ill: yes');
	await page.getByRole('button', { name: 'What today?' }).click();
	await expect(page.getByTestId('arrival')).toContainText('Not today: fever or feeling ill.');
	await visit(page, `/clients/${id}/log`);
	await expect(page.getByTestId('held')).toContainText(
		'Not today, by the arrival card: fever or feeling ill.'
	);
	await visit(page, `/clients/${id}/decide`);
	await expect(page.getByTestId('sentence')).toContainText('fever or illness');
	await visit(page, `/clients/${id}/arrive`);
	await expect(page.getByText('A licensed user may open it, with a reason.').first()).toBeVisible();
	await expect(page.getByText('Open what the card closed')).toHaveCount(0);
	await signIn(page);
	await visit(page, `/clients/${id}/arrive`);
	await page.getByText('Open what the card closed, with a reason').click();
	await page.getByRole('button', { name: 'Open the day' }).click();
	await expect(page.getByTestId('refused')).toContainText('Give the reason for opening the day');
	await page.getByLabel('Reason').fill('no fever by thermometer, mistaken');
	await page.getByRole('button', { name: 'Open the day' }).click();
	await expect(page.getByTestId('done')).toContainText('Opened');
	await visit(page, `/clients/${id}/log`);
	await expect(page.getByTestId('held')).toHaveCount(0);
});

test('a hot knee next morning: same-day words, a flag, and the limb refers', async ({ page }) => {
	await signIn(page, 'trainer');
	await page.setViewportSize({ width: 390, height: 844 });
	const id = await openClient(page, 'Saskia', 'morning');
	await score(page, 'Pain this morning', 8);
	await choose(page, 'hot');
	await page.getByLabel('So painful that it can hardly be moved or stood on?').selectOption('no');
	await page.getByRole('button', { name: /the morning$/ }).click();
	await expect(page.getByTestId('alarm').first()).toContainText('Seen by a doctor the same day.');
	await accessible(page);
	await visit(page, `/clients/${id}/decide`);
	await expect(page.getByTestId('sentence')).toContainText('Refer: left knee was hot');
});

test('a trainer sees a gate closed with what opens it, and has no way past it', async ({ page }) => {
	await signIn(page, 'trainer');
	await openClient(page, 'Tamsin', 'ladder?family=squat&step=goblet-squat');
	await expect(page.getByTestId('closed')).toContainText('3×10 clean on Free squat');
	await expect(page.getByRole('button', { name: /^Prescribe/ })).toBeDisabled();
});

test('fragile bones: no loaded bend is offered in any plan, and its card is closed', async ({ page }) => {
	await signIn(page);
	const id = await openClient(page, 'Wren', 'screen');
	await screenByKey(page, ['osteoporosis']);
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('done')).toContainText('Opened: fragile bones.');
	await visit(page, `/clients/${id}/ladders`);
	await expect(page.getByTestId('plan').getByRole('listitem')).toHaveCount(9);
	await expect(page.getByTestId('plan')).not.toContainText(/deadlift|loaded hinge/i);
	await visit(page, `/clients/${id}/ladder?family=hinge&step=raised-handle-deadlift`);
	await expect(page.getByTestId('closed')).toContainText(
		'withheld: it is loaded spine bending, and fragile bones is open'
	);
});

test('keys are silent behind a dialog and on controls; what was typed survives another page', async ({
	page
}) => {
	await signIn(page);
	const id = await openClient(page, 'Bertil', 'ladders');
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog')).toBeVisible();
	await page.keyboard.press('4');
	await expect(page).toHaveURL(/ladders$/);
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: 'Positions the client can be in' }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: 'Save positions' })).toBeVisible();
	await expect(page).toHaveURL(/ladders$/);
	await visit(page, `/clients/${id}/log`);
	await score(page, 'Effort', 6);
	await score(page, 'Worst', 3);
	await page.getByRole('heading', { level: 1 }).click();
	await page.keyboard.press('8');
	await expect(page).toHaveURL(/morning$/);
	await page.goBack();
	await expect(page.getByRole('radio', { name: 'Effort 6', exact: true })).toBeChecked();
	await expect(page.getByRole('radio', { name: 'Worst 3', exact: true })).toBeChecked();
});

test('a limit stays in sight on a slip where another rule comes before it', async ({ page }) => {
	await signIn(page);
	const id = await openClient(page, 'Fergal', 'decide');
	// An open flag refers him, whatever else is known.
	await visit(page, `/clients/${id}/screen`);
	await screenByKey(page, ['saddle-or-bladder-change']);
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('emergency')).toContainText('get help now');
	await page.getByText('A limit without an operation').click();
	const form = page.locator('form[action="?/limit"]');
	await form.getByLabel('To').fill('50');
	await form.getByLabel('On whose word').fill('Dr B. Example, letter of today');
	await form.getByRole('button', { name: 'Set the limit' }).click();
	await expect(page.getByTestId('done')).toContainText('Limit set.');
	await visit(page, `/clients/${id}/decide`);
	await expect(page.getByTestId('sentence')).toContainText('Refer: an open red flag');
	await expect(page.getByTestId('also-held')).toContainText('right knee bend asks');
});

test('what is chosen inside a step is drawn, given and named; a course gives its stage, and what comes later waits for it', async ({
	page
}) => {
	await signIn(page);
	const id = await openClient(page, 'Nerys', 'ladder?family=squat&step=counter-squat');
	const card = page.getByTestId('setup-card');
	const before = await card.getByTestId('solved').textContent();
	// One line says how it stands; opened, it can be set.
	await card.getByRole('button', { name: /^pause none · feet hip-wide/ }).click();
	await card.getByText('25° out', { exact: true }).click();
	await card.getByText('2 s', { exact: true }).click();
	await expect(card.getByRole('img', { name: /^Feet hip-wide, toes 25° out/ })).toBeVisible();
	await expect(card.getByRole('button', { name: 'Move, 2–2–2 s' })).toBeVisible();
	expect(before).not.toBe('');
	await accessible(page);
	const place = page.getByLabel('In place of');
	if (await place.isVisible()) await place.selectOption({ label: 'nothing: a further exercise' });
	const why = page.getByLabel('Reason for prescribing it all the same');
	if (await why.isVisible()) await why.fill('did it here, easily');
	await page.locator('[data-prescribe] button').click();
	await expect(page.getByTestId('done')).toContainText('Prescribed');
	await visit(page, `/clients/${id}/plan`);
	await expect(page.getByTestId('planned').filter({ hasText: 'counter' })).toContainText(
		/thigh \d+°, toes 25° out, pause 2 s/
	);
	// The course is chosen in the library's list or here; its stage is given in one go.
	await page.getByRole('button', { name: 'Put on a course' }).click();
	await page.getByRole('combobox', { name: 'Course' }).selectOption({ label: 'A knee in two phases' });
	await page.getByRole('button', { name: 'Begin', exact: true }).click();
	await expect(page.getByTestId('done')).toContainText('On the course: A knee in two phases.');
	const course = page.getByTestId('course');
	await expect(course.getByTestId('stage')).toHaveCount(2);
	await accessible(page);
	const give = page.getByRole('button', { name: /^Prescribe what is missing of this stage/ });
	const missing = Number(/\d+$/.exec(await give.innerText())?.[0]);
	expect(missing).toBeGreaterThan(1);
	await give.click();
	await expect(page.getByTestId('done')).toContainText(`Prescribed ${missing} of this stage.`);
	await expect(course.getByText('; in the plan').first()).toBeVisible();
	await visit(page, `/clients/${id}/ladder?family=knee-extension&step=short-arc`);
	await expect(page.getByTestId('closed')).toContainText('every step of “Quiet and awake” first');
	await visit(page, `/clients/${id}/plan`);
	await page.getByRole('button', { name: 'Leave the course' }).click();
	await expect(page.getByTestId('done')).toContainText('What was prescribed from it stands.');
	await visit(page, `/library?course=toes-spared`);
	await expect(page.getByTestId('course')).toContainText('carries nothing of toes bent');
	await page.getByLabel('Spares').selectOption('wrists');
	await expect(page.getByTestId('found')).toHaveText(/^\d+ of 178 steps$/);
	await accessible(page);
});
