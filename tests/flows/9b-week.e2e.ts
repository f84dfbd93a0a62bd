/** A week of work in a practice of one’s own, by a trainer whose delegation and membership end. */
import { expect, test } from '@playwright/test';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { longDay } from '#lib/wording/typed-day.ts';
import { choose, score, screenByKey } from './people.ts';
import {
	firstClient,
	go,
	onADay,
	OWNER,
	PHYSIO,
	remember,
	replayed,
	serving,
	signIn
} from './own-practice.ts';

serving();

test('a week of work: prescribed, given to a trainer, done, heard back, signed by them, and theirs no more', async ({
	page,
	browser
}) => {
	test.setTimeout(300_000);
	const today = new Date().toISOString().slice(0, 10);
	const week = await onADay(today);
	const at = (path: string) => `${week.origin}${path}`;
	const nextDay = () => page.request.post(at('/demo/next-day'), { headers: { origin: week.origin } });
	try {
		await go(page, at('/sign-in'));
		await page.getByLabel('E-mail').fill(PHYSIO[0]);
		await page.getByLabel('Password').fill(PHYSIO[1]);
		await page.getByRole('button', { name: 'Sign in' }).click();
		await expect(page).toHaveURL(at('/'));
		await go(page, at(`${firstClient()}/screen`));
		await screenByKey(page, []);
		await page.keyboard.press('Enter');
		await expect(page.getByTestId('done')).toBeVisible();
		await go(page, at(`${firstClient()}/ask`));
		await page.getByLabel('or from the list').selectOption('hip-right');
		await page.getByLabel('Usual morning, 0–10').fill('1');
		await page.getByLabel('Worst, 0–10').fill('3');
		await page.getByRole('button', { name: 'Save right hip' }).click();
		await expect(page.getByTestId('done')).toContainText('Saved: right hip');
		await go(page, at(`${firstClient()}/measure`));
		for (const [label, v] of [
			['Knee bend left end', '130'],
			['Knee bend right end', '130'],
			['Sitting fold left tolerable', '110'],
			['Sitting fold right tolerable', '110'],
			['Hip turned out left end', '45'],
			['Hip turned out right end', '40']
		] as const)
			await page.getByLabel(label).fill(v);
		await page.keyboard.press('Enter');
		await expect(page.getByTestId('done')).toContainText('Saved 6 readings.');
		await go(page, at(`${firstClient()}/ladder?family=abduction&step=clamshell`));
		await page.locator('[data-prescribe] button').click();
		await expect(page.getByTestId('done')).toContainText('Prescribed');
		await go(page, at(`${firstClient()}/plan`));
		await page.getByRole('button', { name: 'Give a trainer something to do' }).click();
		await page.getByLabel('Trainer').selectOption({ label: 'Tam Dunnage' });
		await page.getByLabel('Until').fill('31 Dec 2020');
		await page.getByRole('button', { name: 'Give it' }).click();
		await expect(page.getByText('This day is past already.').first()).toBeVisible();
		await page.getByLabel('Until').fill(longDay(addDays(today, 28)));
		await page.getByLabel('Calls when').fill('the hip is above 4');
		await page.getByRole('button', { name: 'Give it' }).click();
		await expect(page.getByTestId('delegation')).toContainText(
			'Tam Dunnage prescribes and signs Side of the hip'
		);
		const tam = await (await browser.newContext()).newPage();
		await go(tam, at('/sign-in'));
		await tam.getByLabel('E-mail').fill('tam@quay.example');
		await tam.getByLabel('Password').fill('rope and a bucket');
		await tam.getByRole('button', { name: 'Sign in' }).click();
		await expect(tam).toHaveURL(at('/'));
		// Three sessions in a week, every other day, each with its next morning.
		for (const visit of [1, 2, 3]) {
			await go(tam, at(`${firstClient()}/log`));
			for (const [label, value] of [
				['Effort', 3],
				['Before', 1],
				['Worst', 1],
				['After', 1],
				['Confidence', 9],
				['Muscle soreness', 1]
			] as const)
				await score(tam, label, value);
			await tam.getByLabel('seen by me').check();
			await tam.getByLabel('clean throughout').check();
			await tam.getByRole('button', { name: 'Log as prescribed' }).click();
			await expect(tam.getByTestId('done')).toContainText('Logged.');
			await go(tam, at(`${firstClient()}/decide`));
			await expect(tam.getByTestId('sentence')).toContainText('Wait: the morning after');
			await nextDay();
			await go(tam, at(`${firstClient()}/morning`));
			await score(tam, 'Pain this morning', 1);
			await choose(tam, 'none');
			await tam.getByRole('button', { name: /the morning$/ }).click();
			await expect(tam.getByTestId('done')).toHaveText('Entered.');
			if (visit < 3) await nextDay();
		}
		await go(tam, at(`${firstClient()}/decide`));
		await expect(tam.getByTestId('sentence')).toContainText('Advance');
		await tam.keyboard.press('a');
		await expect(tam.getByTestId('done')).toContainText('Signed. Advance');
		// Ended, it is used no more, and who has gone is of no practice, and is told so.
		await go(page, at(`${firstClient()}/plan`));
		await page.getByRole('button', { name: 'End what Tam Dunnage may' }).click();
		await expect(page.getByTestId('delegation')).toHaveCount(0);
		await go(tam, at(`${firstClient()}/ladder?family=abduction&step=clamshell`));
		await expect(tam.getByTestId('closed')).toContainText(
			'Prescribing for this client is not delegated to you'
		);
		await expect(tam.locator('[data-prescribe] button')).toBeDisabled();
		const decided = await replayed(page, at(firstClient()));
		remember({ decided });
		expect(decided).toEqual({ same: 1, other: 0 });
		await tam.context().close();
	} finally {
		await week.end();
	}
	// Who has gone is of no practice, and is told so.
	const owner = await (await browser.newContext()).newPage();
	await signIn(owner, ...OWNER);
	await expect(owner).toHaveURL(/\/practice\/people$/);
	await owner.getByRole('button', { name: 'Change Tam Dunnage' }).click();
	await owner.getByLabel('no longer of this practice').check();
	await owner.getByRole('button', { name: 'Keep' }).click();
	await expect(owner.getByTestId('member').filter({ hasText: 'Tam' })).toContainText('until');
	await owner.context().close();
	const gone = await (await browser.newContext()).newPage();
	await signIn(gone, 'tam@quay.example', 'rope and a bucket');
	await expect(gone.getByText('of no practice just now')).toBeVisible();
	await gone.context().close();
});
