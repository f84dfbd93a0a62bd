/** The first three steps of the work: register and screen, ask, measure by keyboard and by device, and what it does to the ladder. */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { accessible, screenByKey, signIn, visit } from './people.ts';

test.describe.configure({ mode: 'serial' });

const NAME = 'Corin Vanterpool';
let id = '';

test('registers an adult with consent; what is wrong is named and nothing typed is lost', async ({
	page
}) => {
	await signIn(page);
	await page.getByRole('link', { name: 'Register a client' }).click();
	await page.waitForURL(/clients\/new/);
	await page.getByLabel('Name', { exact: true }).fill(NAME);
	await page.getByLabel('Born').fill('2012-05-01');
	await page.getByLabel('Sex, for the norms').selectOption('male');
	await page.getByLabel('Work or day').fill('net mender');
	await page.getByLabel('Height').fill('1.76');
	await page.getByLabel('Mass').fill('81');
	await page.getByLabel('chair').check();
	await page.getByRole('button', { name: 'Register and screen' }).click();
	await expect(page.getByText('Height: 1.76 is outside 120 to 230 cm.').first()).toBeVisible();
	await page.getByLabel('Height').fill('176');
	await page.getByRole('button', { name: 'Register and screen' }).click();
	await expect(page.getByText('Bolster is for adults').first()).toBeVisible();
	await expect(page.getByLabel('Name', { exact: true })).toHaveValue(NAME);
	await page.getByLabel('Born').fill('1958-05-01');
	await page.getByRole('button', { name: 'Register and screen' }).click();
	await expect(page.getByTestId('field-wrong')).toContainText('consent');
	await accessible(page);
	await page.getByLabel(/keeping a health record/).check();
	await page.getByRole('button', { name: 'Register and screen' }).click();
	await page.waitForURL(/\/clients\/[0-9a-f-]+\/screen/);
	id = page.url().split('/')[4] ?? '';
	await expect(page.getByRole('heading', { level: 1 })).toContainText(NAME);
});

test('screens by keyboard: one urgent and one caution answer, each a flag with its action', async ({
	page
}) => {
	await signIn(page);
	await visit(page, `/clients/${id}/screen`);
	// One question left out: unknown is not no.
	await page.locator('[data-row="night-pain"] input').first().focus();
	await page.keyboard.press('u');
	await page.getByRole('button', { name: 'Save the screening' }).click();
	await expect(page.getByTestId('done')).toContainText('questions still open');
	await screenByKey(page, ['calf-swelling', 'pelvic-floor']);
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('done')).toContainText(
		'Opened: swollen or tender calf, pelvic-floor symptoms.'
	);
	const flags = page.getByTestId('flag');
	await expect(flags).toHaveCount(2);
	await expect(flags.nth(0)).toContainText('Urgent: swollen or tender calf');
	await expect(flags.nth(0)).toContainText('Same-day medical assessment');
	await expect(flags.nth(1)).toContainText('Impact is withheld until seen');
	await accessible(page);
	await visit(page, '/');
	await expect(page.getByRole('link', { name: new RegExp(NAME) })).toContainText(
		'A flag is open: swollen or tender calf'
	);
});

test('the urgent flag is closed by an external clearance, with name, day and document', async ({ page }) => {
	await signIn(page);
	await visit(page, `/clients/${id}/screen`);
	const flag = page.getByTestId('flag').filter({ hasText: 'calf' });
	await flag.getByText('Close it').click();
	await flag.getByLabel('cleared outside').check();
	await flag.getByLabel('Cleared by (name, role)').fill('Dr B. Example, vascular clinic');
	await flag.getByLabel('On', { exact: true }).fill('2026-03-12');
	await flag.getByRole('button', { name: 'Close the flag' }).click();
	await expect(flag.getByText('Which document says so').first()).toBeVisible();
	await expect(flag.getByLabel('Cleared by (name, role)')).toHaveValue('Dr B. Example, vascular clinic');
	await flag.getByLabel('Document').fill('scan report 1203');
	await flag.getByRole('button', { name: 'Close the flag' }).click();
	await expect(page.getByTestId('done')).toContainText('Flag closed');
	await expect(page.getByTestId('flag')).toHaveCount(1);
	await page.getByText('1 closed').click();
	await expect(page.getByText(/by Dr B. Example, vascular clinic, .*scan report 1203/).first()).toBeVisible();
});

test('an operation waits for its protocol, and takes only the limits it gives', async ({ page }) => {
	await signIn(page);
	await visit(page, `/clients/${id}/screen`);
	await page.getByText('Record an operation').click();
	await page.getByLabel('Where').selectOption('knee-left');
	await page.getByRole('button', { name: 'Record', exact: true }).click();
	await expect(page.getByText('Give the day of the operation').first()).toBeVisible();
	await page.locator('#f-operatedOn').fill('2025-12-01');
	await page.getByRole('button', { name: 'Record', exact: true }).click();
	await expect(page.getByText('Everything waits for it.').first()).toBeVisible();
	// Pressed once more, it is no second operation.
	await expect(page.locator('#f-operatedOn')).toHaveValue('');
	await page.getByRole('button', { name: 'Record', exact: true }).click();
	await expect(page.getByText('Give the day of the operation').first()).toBeVisible();
	await page.getByLabel('Whose protocol, of which day').fill('Quay hospital sheet, 2 Dec');
	const phase = (field: string) => page.locator(`[name="phase.0.${field}"]`);
	await page.getByRole('button', { name: 'Enter the protocol' }).click();
	await expect(page.getByText('How much weight may the leg take?').first()).toBeVisible();
	await phase('weightBearing').selectOption('full');
	await phase('window.0.axis').selectOption('kneeFlexion');
	await page.getByRole('button', { name: 'Enter the protocol' }).click();
	await expect(page.getByText('How many degrees does the protocol allow?').first()).toBeVisible();
	await phase('window.0.maxDeg').fill('125');
	// Left half-written, it is as it was left: by Back, and after a reload; its second phase too.
	await page.getByRole('button', { name: 'Another phase' }).click();
	const second = page.locator('[name="phase.1.fromWeek"]');
	await second.fill('20');
	await page.getByRole('link', { name: /^Ask/ }).first().click();
	await expect(page).toHaveURL(/\/ask$/);
	await page.goBack();
	await expect(second).toHaveValue('20');
	await page.reload();
	await expect(second).toHaveValue('20');
	await expect(phase('window.0.maxDeg')).toHaveValue('125');
	await expect(phase('weightBearing')).toHaveValue('full');
	// What is half-written in a fold stands open; what nothing is typed in stays folded.
	const alone = page.getByRole('button', { name: 'A limit without an operation' });
	const most = page.locator('form[action="?/limit"] [name="maxDeg"]');
	await expect(most).toBeHidden();
	await alone.click();
	await most.fill('88');
	await page.reload();
	await expect(most).toBeVisible();
	await expect(most).toHaveValue('88');
	await most.fill('');
	await page.reload();
	await expect(second).toHaveValue('20');
	await expect(most).toBeHidden();
	await second.fill('');
	await page.getByRole('button', { name: 'Enter the protocol' }).click();
	await expect(page.getByTestId('done')).toContainText('Protocol entered with 1 phase.');
	await expect(page.getByTestId('operation-now')).toContainText('left knee: week 15, phase 1');
	await accessible(page);
});

test('maps two pains, one on the body map by keyboard, one from the list', async ({ page }) => {
	await signIn(page);
	await visit(page, `/clients/${id}/ask`);
	const start = page.getByRole('button', { name: 'right knee, front' });
	await start.focus();
	await page.keyboard.press('ArrowUp');
	await expect(page.getByRole('button', { name: 'right thigh, front' })).toBeFocused();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'Right knee: new' })).toBeVisible();
	await page.getByLabel('Usual morning, 0–10').fill('6');
	await page.getByLabel('Worst, 0–10').fill('4');
	await page.getByLabel('When in the movement').focus();
	await page.keyboard.press('ArrowLeft');
	await expect(page.getByRole('img', { name: 'The movement, in the middle' })).toBeVisible();
	await page.getByRole('button', { name: 'Save right knee' }).click();
	await expect(page.getByText('above the worst of 4 cannot be').first()).toBeVisible();
	await page.getByLabel('Usual morning, 0–10').fill('2');
	await page.getByRole('button', { name: 'Save right knee' }).click();
	await expect(page.getByTestId('done')).toContainText('Saved: right knee, usual morning 2, worst 4.');
	await page.getByLabel('or from the list').selectOption('back');
	await page.getByLabel('Usual morning, 0–10').fill('1');
	await page.getByLabel('Worst, 0–10').fill('3');
	await page.getByRole('button', { name: 'Save back' }).click();
	await expect(page.getByTestId('done')).toContainText('Saved: back');
	await expect(page.getByRole('button', { name: 'right knee, front, worst 4' })).toBeVisible();
	await expect(page.getByRole('heading', { level: 1 })).toContainText('right knee, back');
	await accessible(page);
});

test('ties two goals to ladders: a low chair and the stairs', async ({ page }) => {
	await signIn(page);
	await visit(page, `/clients/${id}/ask`);
	const form = page.locator('form[action="?/goal"]').last();
	await form.getByLabel('Activity').selectOption('low-chair');
	await expect(form.getByLabel('Point on a ladder')).toHaveValue('squat:standard-seat');
	await form.getByLabel('In the client’s words').fill('Net-loft bench');
	await form.getByLabel('At height').fill('44');
	await form.getByRole('button', { name: 'Keep goal' }).click();
	await expect(page.getByText('Able now: choose 0 to 10.').first()).toBeVisible();
	await form.getByLabel('Able, 0–10').fill('3');
	await form.getByLabel('Confident, 0–10').fill('5');
	await form.getByRole('button', { name: 'Keep goal' }).click();
	await expect(page.getByTestId('done')).toContainText('Goal kept: Net-loft bench, 3 of 10.');
	await form.getByLabel('Activity').selectOption('stairs-up');
	await form.getByLabel('In the client’s words').fill('Loft stairs');
	await form.getByLabel('Able, 0–10').fill('4');
	await form.getByLabel('At height').fill('18');
	await form.getByRole('button', { name: 'Keep goal' }).click();
	await expect(page.getByTestId('goal')).toHaveCount(2);
	await expect(page.getByTestId('distance').nth(0)).toContainText('Standard seat, 44 cm');
	await expect(page.getByTestId('goal').nth(1)).toContainText('Step up, 18 cm');
	await expect(page.getByTestId('goal').nth(1)).toContainText('not measured');
});

test('before measuring, every step is unmeasured and the envelope says what would unlock them', async ({
	page
}) => {
	await signIn(page);
	await visit(page, `/clients/${id}/envelope`);
	// What asks no range of knee, fold or ankle is open already; of the squat ladder nothing is.
	await expect(page.getByTestId('open-steps')).toHaveText(/^\d+ of 178 steps$/);
	await expect(page.getByTestId('kneeFlexion-right')).toContainText('not measured yet');
	await visit(page, `/clients/${id}/ladder`);
	await expect(page.getByRole('button', { name: /^Free squat/ })).toContainText('not measured');
	// The caution that was found withholds impact, and caps what makes one hold the breath: all seventeen squats wait for a value, none is withheld.
	await expect(
		page.getByRole('list', { name: 'Steps, gentle to hard' }).getByText('not measured')
	).toHaveCount(24);
	await expect(page.getByRole('list', { name: 'Steps, gentle to hard' }).getByText('withheld')).toHaveCount(
		0
	);
	await visit(page, `/clients/${id}/ladder?family=impact`);
	await expect(
		page.getByRole('list', { name: 'Steps, gentle to hard' }).getByText('withheld').first()
	).toBeVisible();
});

/** A typical sheet: 24 values, in the order the fields come. */
const SHEET: readonly (readonly [label: string, value: string])[] = [
	['Knee bend left onset', '118'],
	['Knee bend left tolerable', '126'],
	['Knee bend left end', '132'],
	['Knee bend right onset', '92'],
	['Knee bend right tolerable', '108'],
	['Knee bend right end', '121'],
	['Knee straight left end', '0'],
	['Knee straight right end', '-4'],
	['Sitting fold left tolerable', '118'],
	['Sitting fold left end', '126'],
	['Sitting fold right tolerable', '116'],
	['Sitting fold right end', '126'],
	['Hip bend left end', '118'],
	['Hip bend right end', '116'],
	['Hip turned in left end', '34'],
	['Hip turned in right end', '30'],
	['Ankle, weight on left end', '10.5'],
	['Ankle, weight on right end', '9'],
	['Big toe up left end', '62'],
	['Big toe up right end', '60'],
	['30-second chair stand, reps', '11'],
	['Timed up and go, s', '11.4'],
	['One-leg stance, eyes open left, s', '22'],
	['One-leg stance, eyes open right, s', '9.5']
];

test('fills a sheet of 24 values by keyboard alone in under two minutes, with the pace of a hand', async ({
	page
}) => {
	test.setTimeout(300_000);
	await signIn(page);
	await visit(page, `/clients/${id}/measure`);
	for (const group of ['Rising and walking', 'Balance']) await page.getByText(group, { exact: true }).click();
	const labelled = (): Promise<string> =>
		page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
	const started = Date.now();
	// What the hand takes is counted key by key, not slept; the machine's own share is a figure, not a check.
	const TAB = 50;
	const LOOK = 700;
	const KEY = 150;
	let hand = 0;
	await page.getByLabel('Knee bend left onset').focus();
	for (const [label, value] of SHEET) {
		// Tab as a hand would, until the field is reached: no mouse, no jumping.
		for (let i = 0; i < 90 && (await labelled()) !== label; i++) {
			await page.keyboard.press('Tab');
			hand += TAB;
		}
		expect(await labelled()).toBe(label);
		await page.keyboard.type(value);
		hand += LOOK + KEY * value.length;
	}
	await expect(page.getByText('24 values entered').first()).toBeVisible();
	await expect(page.getByText('right 11° less').first()).toBeVisible();
	await expect(
		page.getByTestId('reading').filter({ hasText: 'below average, against 12 (CDC STEADI' })
	).toBeVisible();
	await expect(page.getByTestId('reading').filter({ hasText: 'not at risk, against 12' })).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('done')).toHaveText('Saved 18 readings.');
	const seconds = (Date.now() - started) / 1000;
	console.log(
		`sheet of 24 values by keyboard: ${seconds.toFixed(0)} s, of which the hand took ${(hand / 1000).toFixed(0)} s`
	);
	expect(hand / 1000).toBeLessThan(120);
	await accessible(page);
});

test('the envelope has changed, and with it the squat ladder and the distance to the goals', async ({
	page
}) => {
	await signIn(page);
	await visit(page, `/clients/${id}/envelope`);
	await expect(page.getByTestId('kneeFlexion-right')).toContainText(
		'108° ± 4 tolerable, 92° pain-free, end 121°'
	);
	await expect(page.getByTestId('kneeFlexion-left')).toContainText('protocol limit 125°');
	const [open] = ((await page.getByTestId('open-steps').textContent()) ?? '').split(' ');
	expect(Number(open)).toBeGreaterThan(5);
	await accessible(page);
	await visit(page, `/clients/${id}/ladder`);
	await expect(page.getByTestId('level')).toHaveText('103°');
	await expect(page.getByRole('button', { name: /^Raised seat:/ })).toContainText(/fits|watch/);
	await expect(page.getByRole('button', { name: /^Free squat/ })).toContainText(/fits|watch|deep|short/);
	await visit(page, `/clients/${id}/ask`);
	await expect(page.getByTestId('distance').nth(0)).toContainText('nothing prescribed on the way yet');
	await expect(page.getByTestId('goal').nth(1)).toContainText('range is there, ');
});

test('a simulated inclinometer bends the knee three times and fills the field in focus', async ({ page }) => {
	await signIn(page);
	await visit(page, `/clients/${id}/measure`);
	await page.getByLabel('Knee bend right tolerable').focus();
	const dock = page.getByRole('region', { name: 'Device' });
	await expect(dock.getByText('for Knee bend right').first()).toBeVisible();
	await dock.getByLabel('Pace of the stand-in').selectOption('20');
	await dock.getByRole('button', { name: 'Start the device' }).click();
	await expect(page.getByTestId('device-told')).toContainText(/3 repetitions to 1(0[3-9]|1[0-3])°/);
	const told = (await page.getByTestId('device-told').textContent()) ?? '';
	expect(told).toMatch(/down 1\.[789] s, pause 0\.[678], up 1\.[456]/);
	const saving = page.waitForEvent('download');
	await dock.getByRole('button', { name: 'Save as CSV' }).click();
	const file = await (await saving).path();
	expect(readFileSync(file, 'utf8').split('\r\n')[0]).toBe('n,t_ms,angle_deg,mark');
	await dock.getByRole('button', { name: 'Put into Knee bend right' }).click();
	const end = Number(await page.getByLabel('Knee bend right end').inputValue());
	expect(end).toBeGreaterThanOrEqual(103);
	expect(end).toBeLessThanOrEqual(113);
	expect(Number(await page.getByLabel('Knee bend right onset').inputValue())).toBeLessThan(end);
	// The file gives the same answer as the stream.
	await dock.getByLabel('Open a recorded CSV').setInputFiles(file);
	await expect(page.getByTestId('device-told')).toHaveText(told);
	await page.getByRole('button', { name: 'Save the sheet' }).click();
	await expect(page.getByTestId('done')).toHaveText('Saved 1 reading.');
});

test('a force gauge and a pedal fill a strength and a timed test', async ({ page }) => {
	await signIn(page);
	await visit(page, `/clients/${id}/measure`);
	const dock = page.getByRole('region', { name: 'Device' });
	await page.getByText('Strength', { exact: true }).click();
	await page.getByLabel('Knee straightening left, N', { exact: true }).focus();
	await dock.getByLabel('Pace of the stand-in').selectOption('20');
	await dock.getByRole('button', { name: 'Start the device' }).click();
	await expect(page.getByTestId('device-told')).toContainText(/peak 2\d\d N; steady 2\d\d N/);
	await dock.getByRole('button', { name: 'Put into Knee straightening left' }).click();
	await page.getByLabel('Knee straightening left, lever arm').fill('34');
	await expect(page.getByTestId('reading')).toContainText('N·m/kg');
	await page.getByLabel('Timed up and go, s').focus();
	await dock.getByRole('button', { name: 'Start the device' }).click();
	await expect(page.getByLabel('Timed up and go, s')).toHaveValue(/^1[01]\.\d$/);
	await page.getByRole('button', { name: 'Save the sheet' }).click();
	await expect(page.getByTestId('done')).toHaveText('Saved 2 readings.');
});

test('a stream that breaks off, one that is all noise, a file with other columns: told, and nothing lost', async ({
	page
}) => {
	await signIn(page);
	await visit(page, `/clients/${id}/measure`);
	const dock = page.getByRole('region', { name: 'Device' });
	await page.getByLabel('Knee bend right onset').fill('90');
	await page.getByLabel('Knee bend right onset').focus();
	await dock.getByLabel('Pace of the stand-in').selectOption('20');
	for (const [how, said] of [
		['middle', 'Cannot tell: the stream broke off'],
		['noise', 'Cannot tell: noise of']
	] as const) {
		await page.route('**/devices/**', (route) =>
			route.continue({ url: `${route.request().url()}&breaks=${how}` })
		);
		await dock.getByRole('button', { name: 'Start the device' }).click();
		await expect(page.getByTestId('device-told')).toContainText(said);
		await page.unroute('**/devices/**');
	}
	await page.route('**/devices/**', (route) => route.abort());
	await dock.getByRole('button', { name: 'Start the device' }).click();
	await expect(page.getByTestId('device-said')).toContainText('The device does not answer');
	await dock
		.getByLabel('Open a recorded CSV')
		.setInputFiles({ name: 'other.csv', mimeType: 'text/csv', buffer: Buffer.from('time,angle\n0,1\n') });
	await expect(page.getByTestId('device-said')).toContainText(
		'other.csv: Line 1: The columns are “time, angle”; they should be n, t_ms, angle_deg, mark'
	);
	await expect(page.getByLabel('Knee bend right onset')).toHaveValue('90');
});

test('wrong units, swapped sides, an age without a norm: asked about by name, kept when confirmed', async ({
	page
}) => {
	await signIn(page);
	await visit(page, `/clients/${id}/measure`);
	const save = page.getByRole('button', { name: 'Save the sheet' });
	await page.getByLabel('Knee bend right end').fill('1.2');
	await expect(page.getByText('If this is radians it is 69°').first()).toBeVisible();
	await save.click();
	await expect(page.getByTestId('field-wrong')).toContainText('give degrees');
	await page.getByLabel('Knee bend right end').fill('186');
	await save.click();
	await expect(page.getByTestId('field-wrong')).toContainText('186 is outside');
	await page.getByLabel('Knee bend left tolerable').fill('107');
	await page.getByLabel('Knee bend right end').fill('');
	await page.getByLabel('Knee bend right tolerable').fill('127');
	await save.click();
	await expect(page.getByTestId('field-wrong')).toContainText(
		'left and right look swapped against the last sheet'
	);
	await expect(page.getByLabel('Knee bend left tolerable')).toHaveValue('107');
	await page.getByLabel('left and right are as entered').check();
	await save.click();
	await expect(page.getByTestId('done')).toHaveText('Saved 2 readings.');
	// A heel rise at 67 has no norm in a table of 20 to 59, and two others that disagree.
	await page.getByText('Endurance', { exact: true }).click();
	await page.getByLabel('Heel-rise count right, reps').fill('10');
	await page.getByText('sources disagree').click();
	await expect(page.getByText('no norm for this age (Lunsford 1995)').first()).toBeVisible();
});

test('a trainer closes no flag, and lost network keeps what was typed', async ({ page, context }) => {
	await signIn(page, 'trainer');
	await visit(page, `/clients/${id}/screen`);
	const flag = page.getByTestId('flag');
	await flag.getByText('Close it').click();
	await expect(flag.getByLabel('by me, licensed')).toBeDisabled();
	await visit(page, `/clients/${id}/measure`);
	await page.getByLabel('Hip out left end').fill('38');
	await context.setOffline(true);
	await page.getByRole('button', { name: 'Save the sheet' }).click();
	await expect(page.getByTestId('refused')).toContainText('Nothing is lost');
	await expect(page.getByLabel('Hip out left end')).toHaveValue('38');
	await context.setOffline(false);
	await page.getByRole('button', { name: 'Save the sheet' }).click();
	await expect(page.getByTestId('done')).toHaveText('Saved 1 reading.');
});
