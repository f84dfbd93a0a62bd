/** Several clients at once: who is at what, what hurts, whose rest is over; kept through a reload, and logged as each one's session. */
import { expect, test, type Locator, type Page } from '@playwright/test';
import { accessible, atTheDoor, signIn, visit } from './people.ts';

const rowOf = (page: Page, name: string): Locator => page.getByTestId('on-floor').filter({ hasText: name });

test('two train at once: rests run side by side, what hurts stands in the line, and each is logged', async ({
	page
}) => {
	await page.clock.install();
	await signIn(page, 'trainer');
	await visit(page, '/floor');
	await expect(page.getByText('Nobody is on it.').or(page.getByTestId('on-floor').first())).toBeVisible();
	const bertil = await atTheDoor(page, 'Bertil');
	const wren = await atTheDoor(page, 'Wren');
	await visit(page, `/floor?with=${bertil}`);
	await expect(page.getByTestId('on-floor')).toHaveCount(1);
	const bringIn = page.getByRole('searchbox', { name: 'Bring in' });
	// The other is brought in by a part of the name; who stands there is not offered.
	await bringIn.fill('bertil');
	await bringIn.press('Enter');
	await expect(page.getByText('Nobody else of that name comes here.')).toBeVisible();
	await bringIn.fill('WREN');
	await page.getByRole('button', { name: 'Find', exact: true }).click();
	await accessible(page);
	await page.getByRole('list', { name: 'Bring in: found' }).getByRole('link', { name: /^Wren/ }).click();
	await expect(page.getByTestId('on-floor')).toHaveCount(2);
	await accessible(page);
	const [b, w] = [rowOf(page, 'Bertil'), rowOf(page, 'Wren')];
	const panel = page.getByTestId('floor-panel');
	// To an exercise of Bertil's with more than one set.
	await b.getByRole('button', { name: /open$/ }).click();
	for (let n = 0; n < 12 && !/set 1 of [2-9]/.test((await b.textContent()) ?? ''); n++)
		await panel.getByRole('button', { name: 'Leave it out' }).click();
	await b.getByRole('button', { name: 'Set done' }).click();
	await expect(b).toHaveAttribute('data-state', 'resting');
	await expect(b).toContainText('set 2 of');
	// Meanwhile the other works on, and it hurts.
	await w.getByRole('button', { name: /open$/ }).click();
	for (
		let n = 0;
		n < 12 && (await panel.getByRole('button', { name: 'That hurts', exact: true }).count()) === 0;
		n++
	)
		await panel.getByRole('button', { name: 'Leave it out' }).click();
	await panel.getByRole('button', { name: 'That hurts', exact: true }).click();
	await panel.getByRole('button', { name: 'That hurts 3' }).click();
	await expect(w.getByTestId('floor-hurt')).toContainText('hurt 3');
	// The page goes; all of it stays, and the rest runs on by the clock.
	await page.reload();
	await page.waitForSelector('html[data-ready]');
	await expect(b).toHaveAttribute('data-state', 'resting');
	await expect(w.getByTestId('floor-hurt')).toContainText('hurt 3');
	await page.clock.fastForward('10:00');
	await expect(b).toHaveAttribute('data-state', 'rest-over');
	await b.getByRole('button', { name: 'Go on' }).click();
	await expect(b).toHaveAttribute('data-state', 'working');
	// Wren's is finished and logged.
	await w.getByRole('button', { name: /open$/ }).click();
	await panel.getByRole('button', { name: 'Done as given' }).click();
	await panel
		.locator('fieldset', { hasText: 'How hard was it' })
		.locator('label:has(input[value="6"])')
		.click();
	await panel.getByRole('button', { name: 'in the muscle' }).click();
	for (let n = 0; n < 12 && (await panel.getByTestId('run-exercise').count()) > 0; n++) {
		const leave = panel.getByRole('button', { name: n === 0 ? 'Next exercise' : 'Leave it out' });
		await leave.click();
	}
	for (const group of await panel.locator('fieldset:has(input[type=radio][value="10"])').all())
		await group.locator('label:has(input[value="2"])').click();
	await panel.getByRole('button', { name: 'Keep it' }).click();
	await expect(panel.getByTestId('floor-said')).toContainText('Logged one exercise');
	await expect(w).toHaveAttribute('data-state', 'logged');
	await visit(page, `/clients/${wren}/plan`);
	await expect(page.getByTestId('planned').filter({ hasText: 'last done today, worst 3' })).toHaveCount(1);
});
