/** A practice of one’s own, from an empty machine: founded by its one-time address, people by invitation, rooms, settings, a first client. */
import { expect, test } from '@playwright/test';
import { accessible } from './people.ts';
import { go, known, ORIGIN, OWNER, PHYSIO, register, remember, serving, signIn } from './own-practice.ts';

serving((said) => remember({ founding: /http:\S+\/setup\/\S+/.exec(said)?.[0] ?? '' }));

test('the address that was printed founds the practice, once; another opens nothing', async ({ page }) => {
	test.setTimeout(240_000);
	expect((await page.request.get(`${ORIGIN}/readyz`)).status()).toBe(200);
	await go(page, '/setup/not-the-address');
	await expect(page.getByText('This address is used, too old')).toBeVisible();
	await go(page, known().founding ?? '');
	await page.getByLabel('Name of the practice').fill('Slipway Physio');
	await page.getByLabel('Time zone').fill('Middle of nowhere');
	await page.getByLabel('Your name').fill('Oda Marram');
	await page.getByLabel('E-mail').fill(OWNER[0]);
	await page.getByLabel('Password', { exact: true }).fill('short');
	await page.getByLabel('Once more').fill('shorter');
	await page.getByLabel('I am a licensed physiotherapist').uncheck();
	await page.getByRole('button', { name: 'Found the practice' }).click();
	for (const wrong of [
		'A time zone by its name, such as Europe/London.',
		'At least 10 characters; a few words are good.'
	])
		await expect(page.getByText(wrong).first()).toBeVisible();
	await page.getByLabel('Time zone').fill('Europe/London');
	await page.getByLabel('Password', { exact: true }).fill(OWNER[1]);
	await page.getByLabel('Once more').fill(OWNER[1]);
	await accessible(page);
	await page.getByRole('button', { name: 'Found the practice' }).click();
	await expect(page).toHaveURL(/\/practice\/people$/);
	await expect(page.getByTestId('member')).toHaveText([/Oda Marram \(you\)/]);
	await go(page, known().founding ?? '');
	await expect(page.getByText('This address is used, too old')).toBeVisible();
});

test('two are invited by link; each joins with a password of their own; a link opens once', async ({
	page,
	browser
}) => {
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	const invited = async (name: string, email: string, role: string, licence: boolean): Promise<string> => {
		await page.getByRole('button', { name: 'Invite somebody' }).click();
		await page.getByLabel('Name', { exact: true }).fill(name);
		await page.getByLabel('E-mail', { exact: true }).fill(email);
		await page.getByLabel(role, { exact: true }).check();
		if (licence) {
			await page.getByRole('button', { name: 'Invite', exact: true }).click();
			await expect(page.getByText('A physiotherapist signs under a licence').first()).toBeVisible();
			await page.getByLabel('Licence').fill('PH 1234');
			await page.getByLabel('Valid until').fill('31 Dec 2099');
			await page.getByLabel(role, { exact: true }).check();
		}
		await page.getByRole('button', { name: 'Invite', exact: true }).click();
		await expect(page.getByTestId('done')).toContainText(`Give this address to ${name}`);
		const link = await page.getByTestId('link').textContent();
		await go(page, '/practice/people');
		return (link ?? '').trim();
	};
	const physio = await invited('Nell Carrow', PHYSIO[0], 'licensed physiotherapist', true);
	const trainer = await invited('Tam Dunnage', 'tam@quay.example', 'trainer', false);
	const gone = await invited('Nobody Now', 'gone@quay.example', 'trainer', false);
	await expect(page.getByTestId('invitation')).toHaveCount(3);
	await page.getByRole('button', { name: 'Take back Nobody Now' }).click();
	await expect(page.getByTestId('invitation')).toHaveCount(2);
	await accessible(page);
	for (const [link, password, at] of [
		[physio, PHYSIO[1], /\/$/],
		[trainer, 'rope and a bucket', /\/$/]
	] as const) {
		const other = await (await browser.newContext()).newPage();
		await go(other, link);
		await other.getByLabel('Choose a password').fill(password);
		await other.getByLabel('Once more').fill(`${password}!`);
		await other.getByRole('button', { name: 'Join' }).click();
		await expect(other.getByText('The two are not the same').first()).toBeVisible();
		await other.getByLabel('Choose a password').fill(password);
		await other.getByLabel('Once more').fill(password);
		await accessible(other);
		await other.getByRole('button', { name: 'Join' }).click();
		await expect(other).toHaveURL(at);
		await go(other, link);
		await expect(other.getByText('This invitation was used, taken back')).toBeVisible();
		await other.context().close();
	}
	const late = await (await browser.newContext()).newPage();
	await go(late, gone);
	await expect(late.getByText('This invitation was used, taken back')).toBeVisible();
	await late.context().close();
});

test('rooms and settings: what stands there, from a file too; what is wrong is refused by its line', async ({
	page
}) => {
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	await go(page, '/practice/rooms');
	await expect(page.getByText('Nothing stands here yet')).toBeVisible();
	await page.getByRole('button', { name: 'Something more' }).click();
	await page.getByLabel('Called').fill('Dining chair');
	await page.getByLabel('Size, as printed').fill('18');
	await page.getByLabel('in', { exact: true }).selectOption('kg');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('A seat is measured in cm or in.').first()).toBeVisible();
	await page.getByLabel('in', { exact: true }).selectOption('in');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByTestId('done')).toContainText('Kept: Dining chair.');
	await expect(page.getByTestId('item')).toContainText(['18 in']);
	await page.getByRole('button', { name: 'From a file' }).click();
	const file = (text: string) => ({
		name: 'rooms.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(`room,kind,label,value,unit,count,out_of_order\n${text}`)
	});
	await page
		.locator('input[type=file]')
		.setInputFiles(file('Gym,step,Block,15,cm,2,\nGym,sofa,Sofa,40,cm,1,\n'));
	await page.getByRole('button', { name: 'Take the file' }).click();
	await expect(page.getByText('Line 3: “sofa” is no kind of thing').first()).toBeVisible();
	await page
		.locator('input[type=file]')
		.setInputFiles(file('Gym,step,Block,15,cm,2,\nGym,weight,Bell,8,kg,2,\nGym,bed,Couch,60,cm,1,\n'));
	await page.getByRole('button', { name: 'Take the file' }).click();
	await expect(page.getByTestId('done')).toContainText('Kept 3 items');
	await accessible(page);
	const csv = await (await page.request.get(`${ORIGIN}/practice/rooms/rooms.csv`)).text();
	expect(csv).toContain('Gym,weight,Bell,8,kg,2,\r\n');
	await go(page, '/practice/settings');
	await page.getByLabel('Number to call in an emergency').fill('112');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByTestId('done')).toContainText('emergency number');
	await accessible(page);
});

test('the physiotherapist registers the first client; clinical pages are not the owner’s, nor people theirs', async ({
	page,
	browser
}) => {
	await signIn(page, ...PHYSIO);
	await expect(page).toHaveURL(`${ORIGIN}/`);
	expect((await page.request.get(`${ORIGIN}/practice/people`)).status()).toBe(403);
	const screen = await register(page, 'First Of Many');
	remember({ client: new URL(screen).pathname.replace(/\/screen$/, '') });
	// The way of a first visit, until an exercise is given.
	const first = page.getByRole('navigation', { name: 'First visit' });
	await expect(first.getByRole('listitem')).toHaveText([/Screen/, /Ask/, /Measure/, /First exercise/]);
	await expect(first.locator('[aria-current=step]')).toHaveText(/Screen/);
	await first.getByRole('button', { name: 'Measure' }).click();
	await expect(page).toHaveURL(/\/measure$/);
	await expect(first.locator('[aria-current=step]')).toHaveText(/Screen/);
	await accessible(page);
	const owner = await (await browser.newContext()).newPage();
	await signIn(owner, ...OWNER);
	await expect(owner).toHaveURL(/\/practice\/people$/);
	expect((await owner.request.get(screen)).status()).toBe(403);
	// A licence that ended yesterday signs nothing from the next click on.
	await owner.getByRole('button', { name: 'Change Nell Carrow' }).click();
	await owner.getByLabel('Valid until').first().fill('1 Jan 2020');
	await owner.getByRole('button', { name: 'Keep' }).click();
	await expect(owner.getByTestId('member').filter({ hasText: 'Nell' })).toContainText('signs nothing');
	expect((await page.request.get(screen)).status()).toBe(403);
	await owner.getByRole('button', { name: 'Change Nell Carrow' }).click();
	await owner.getByLabel('Valid until').first().fill('31 Dec 2099');
	await owner.getByRole('button', { name: 'Keep' }).click();
	await expect(owner.getByTestId('done')).toContainText('Kept: Nell Carrow');
	await expect(owner.getByLabel('no longer of this practice')).toHaveCount(0);
	expect((await page.request.get(screen)).status()).toBe(200);
	await owner.context().close();
});
