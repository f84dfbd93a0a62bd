/** Signing in: passwords that change or were forgotten, a second factor, a device that knows its holder. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { base32, codeAt } from '../totp.ts';
import { accessible } from './people.ts';
import { go, home, onADay, ORIGIN, OWNER, PHYSIO, serving, signIn } from './own-practice.ts';

serving();

test('a password is changed and other sessions end', async ({ page, browser }) => {
	const elsewhere = await (await browser.newContext()).newPage();
	await signIn(elsewhere, ...PHYSIO);
	await expect(elsewhere).toHaveURL(`${ORIGIN}/`);
	await signIn(page, ...PHYSIO);
	await expect(page).toHaveURL(`${ORIGIN}/`);
	await go(page, '/me');
	expect(await page.getByTestId('session').count()).toBeGreaterThan(1);
	await page.getByLabel('Password of now').fill('not this one');
	await page.getByLabel('New password').fill('a lamp in the loft');
	await page.getByLabel('Once more').fill('a lamp in the loft');
	await page.getByRole('button', { name: 'Change it' }).click();
	await expect(page.getByText('This is not your password of now.').first()).toBeVisible();
	await page.getByLabel('Password of now').fill(PHYSIO[1]);
	await page.getByLabel('New password').fill('a lamp in the loft');
	await page.getByLabel('Once more').fill('a lamp in the loft');
	await page.getByRole('button', { name: 'Change it' }).click();
	await expect(page.getByTestId('done')).toContainText('Everywhere else you are signed out.');
	await expect(page.getByTestId('session')).toHaveCount(1);
	await accessible(page);
	await elsewhere.goto(`${ORIGIN}/`);
	await expect(elsewhere).toHaveURL(/\/sign-in/);
	await elsewhere.context().close();
});

/** The letter that was made last for somebody, from the mailbox that stands in for a mail server. */
function letterTo(address: string): { readonly subject: string; readonly text: string } {
	const all = readdirSync(join(home, 'mail'))
		.sort()
		.reverse()
		.map(
			(f) =>
				JSON.parse(readFileSync(join(home, 'mail', f), 'utf8')) as {
					to: string;
					subject: string;
					text: string;
				}
		);
	const found = all.find((l) => l.to === address);
	if (found === undefined) throw new Error(`no letter to ${address}`);
	return found;
}

test('a password that was forgotten is set anew by a letter, once; guesses are slowed where they are made', async ({
	page,
	browser
}) => {
	const elsewhere = await (await browser.newContext()).newPage();
	await signIn(elsewhere, PHYSIO[0], 'a lamp in the loft');
	await expect(elsewhere).toHaveURL(`${ORIGIN}/`);
	await go(page, '/sign-in');
	await page.getByRole('link', { name: 'Forgotten the password?' }).click();
	for (const email of ['nobody@quay.example', PHYSIO[0]]) {
		await go(page, '/reset');
		await page.getByLabel('E-mail').fill(email);
		await page.getByRole('button', { name: 'Send the letter' }).click();
		await expect(page.getByText('If this address has an account')).toBeVisible();
	}
	await accessible(page);
	expect(() => letterTo('nobody@quay.example')).toThrow();
	const link = /http:\S+\/reset\/\S+/.exec(letterTo(PHYSIO[0]).text)?.[0] ?? '';
	await go(page, link);
	await page.getByLabel('New password').fill('a gate in the wall');
	await page.getByLabel('Once more').fill('a gate in the walls');
	await page.getByRole('button', { name: 'Set it' }).click();
	await expect(page.getByText('The two are not the same').first()).toBeVisible();
	await page.getByLabel('New password').fill('a gate in the wall');
	await page.getByLabel('Once more').fill('a gate in the wall');
	await accessible(page);
	await page.getByRole('button', { name: 'Set it' }).click();
	await expect(page.getByTestId('done')).toContainText('Everywhere you were signed in you are signed out.');
	await elsewhere.goto(`${ORIGIN}/`);
	await expect(elsewhere).toHaveURL(/\/sign-in/);
	await elsewhere.context().close();
	await go(page, link);
	await page.getByLabel('New password').fill('a gate in the fence');
	await page.getByLabel('Once more').fill('a gate in the fence');
	await page.getByRole('button', { name: 'Set it' }).click();
	await expect(page.getByText('This address was used, or is older').first()).toBeVisible();
	// The old one is no more, and five guesses are all that are free.
	for (let i = 0; i < 5; i++) {
		await signIn(page, PHYSIO[0], 'a lamp in the loft');
		await expect(page.getByText('E-mail and password do not match.')).toBeVisible();
	}
	await signIn(page, PHYSIO[0], 'a gate in the wall');
	await expect(page.getByText('Too many attempts. Wait a minute')).toBeVisible();
	// The owner comes from the same address and is not kept waiting; setting it anew by letter is the way in.
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	await go(page, '/practice/mail');
	await expect(page.getByTestId('letter').first()).toContainText('A new password');
	await expect(page.getByText('/reset/')).toHaveCount(0);
	await accessible(page);
	await page.getByRole('button', { name: 'Sign out' }).click();
	await go(page, '/reset');
	await page.getByLabel('E-mail').fill(PHYSIO[0]);
	await page.getByRole('button', { name: 'Send the letter' }).click();
	await expect(page.getByText('If this address has an account')).toBeVisible();
	await go(page, /http:\S+\/reset\/\S+/.exec(letterTo(PHYSIO[0]).text)?.[0] ?? '');
	await page.getByLabel('New password').fill('a lamp in the loft');
	await page.getByLabel('Once more').fill('a lamp in the loft');
	await page.getByRole('button', { name: 'Set it' }).click();
	await expect(page.getByTestId('done')).toBeVisible();
	await signIn(page, PHYSIO[0], 'a lamp in the loft');
	await expect(page).toHaveURL(`${ORIGIN}/`);
});

test('with a second factor the password alone signs nobody in', async ({ page, browser }) => {
	await signIn(page, ...OWNER);
	await expect(page).toHaveURL(/\/practice\/people$/);
	await go(page, '/me');
	await page.getByRole('button', { name: 'Set one up' }).click();
	await page.getByLabel('Your password, to be sure').fill('not this one');
	await page.getByRole('button', { name: 'Set it up' }).click();
	await expect(page.getByText('This is not your password of now.').first()).toBeVisible();
	await page.getByLabel('Your password, to be sure').fill(OWNER[1]);
	await page.getByRole('button', { name: 'Set it up' }).click();
	const second = page.getByRole('region', { name: 'Second factor' });
	const secret = base32((await second.locator('code').first().textContent()) ?? '');
	const kept = (await second.locator('code').nth(1).textContent()) ?? '';
	await accessible(page);
	await page.getByLabel('The six digits it shows now').fill('12');
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByText('This is not the code of the moment.').first()).toBeVisible();
	await page.getByLabel('The six digits it shows now').fill(codeAt(secret, Date.now()));
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByTestId('done')).toContainText('your second factor too');
	for (const code of [() => codeAt(secret, Date.now()), () => kept]) {
		const other = await (await browser.newContext()).newPage();
		await signIn(other, ...OWNER);
		await expect(other).toHaveURL(/\/sign-in\/second/);
		await other.goto(`${ORIGIN}/practice/people`);
		await expect(other).toHaveURL(/\/sign-in\?/);
		await signIn(other, ...OWNER);
		await other.waitForSelector('html[data-ready]');
		await other.getByLabel('Code of the moment').fill('000 000');
		await other.getByRole('button', { name: 'Sign in' }).click();
		await expect(other.getByText('This is not the code of the moment.')).toBeVisible();
		await other.getByLabel('Code of the moment').fill(code());
		await accessible(other);
		await other.getByRole('button', { name: 'Sign in' }).click();
		await expect(other).toHaveURL(/\/practice\/people$/);
		await other.context().close();
	}
	await go(page, '/me');
	await page.getByRole('button', { name: 'Do without it' }).first().click();
	await page.getByLabel('Your password, to be sure').fill(OWNER[1]);
	await page.getByRole('button', { name: 'Do without it' }).last().click();
	await expect(page.getByTestId('done')).toContainText('your password alone');
});

test('a device that knows its holder signs in by itself; one that asks for nothing does not', async ({
	page,
	browser
}) => {
	// Browsers make passkeys where the address is a name.
	const named = await onADay(new Date().toISOString().slice(0, 10), 'localhost');
	try {
		await signIn(page, ...OWNER);
		await expect(page).toHaveURL(/\/practice\/people$/);
		await go(page, '/me');
		await expect(page.getByText('this one is a number')).toBeVisible();
		const device = await (await browser.newContext()).newPage();
		const cdp = await device.context().newCDPSession(device);
		await cdp.send('WebAuthn.enable');
		const { authenticatorId } = await cdp.send('WebAuthn.addVirtualAuthenticator', {
			options: {
				protocol: 'ctap2',
				transport: 'internal',
				hasResidentKey: true,
				hasUserVerification: true,
				isUserVerified: true,
				automaticPresenceSimulation: true
			}
		});
		const at = (path: string) => `${named.origin}${path}`;
		await go(device, at('/sign-in'));
		await device.getByLabel('E-mail').fill(OWNER[0]);
		await device.getByLabel('Password').fill(OWNER[1]);
		await device.getByRole('button', { name: 'Sign in', exact: true }).click();
		await expect(device).toHaveURL(/\/practice\/people$/);
		await go(device, at('/me'));
		await device.getByRole('button', { name: 'Add this device' }).click();
		await device.getByLabel('What you call it').fill('desk');
		const keys = device.getByRole('region', { name: 'Passkeys' });
		await keys.getByLabel('Your password').fill('not this one');
		await device.getByRole('button', { name: 'Add it' }).click();
		await expect(device.getByText('This is not your password of now.').first()).toBeVisible();
		await keys.getByLabel('Your password').fill(OWNER[1]);
		await device.getByRole('button', { name: 'Add it' }).click();
		await expect(device.getByTestId('done')).toContainText('This device signs you in from now on.');
		await expect(device.getByTestId('passkey')).toContainText('desk');
		await accessible(device);
		await device.context().clearCookies();
		await go(device, at('/sign-in'));
		await device.getByRole('button', { name: 'With a passkey' }).click();
		await expect(device).toHaveURL(/\/practice\/people$/);
		// Its holder is not asked: the key is right, and signs nobody in.
		await cdp.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: false });
		const { credentials } = await cdp.send('WebAuthn.getCredentials', { authenticatorId });
		expect(credentials).toHaveLength(1);
		await device.context().clearCookies();
		await go(device, at('/sign-in'));
		await device.getByRole('button', { name: 'With a passkey' }).click();
		await expect(device.getByTestId('refused')).toBeVisible();
		await device.goto(at('/practice/people'));
		await expect(device).toHaveURL(/\/sign-in/);
		// Taken away, it is nobody's.
		await go(page, '/me');
		await page.getByRole('button', { name: 'Take away the passkey of desk' }).click();
		await expect(page.getByTestId('passkey')).toHaveCount(0);
		await cdp.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: true });
		await device.getByRole('button', { name: 'With a passkey' }).click();
		await expect(device.getByTestId('refused')).toContainText('does not sign anybody in here');
		await device.context().close();
	} finally {
		await named.end();
	}
});
