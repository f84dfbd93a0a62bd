/** Accounts made for somebody who was invited or who founds a practice; their password is theirs alone. */
import type { Auth } from './auth.ts';

export interface NewAccount {
	readonly name: string;
	readonly email: string;
	readonly password: string;
}

/** Makes an account; undefined where the address has one already. */
export async function createAccount(
	{ auth }: Auth,
	{ name, email, password }: NewAccount
): Promise<string | undefined> {
	const { internalAdapter, password: passwords } = await auth.$context;
	if ((await internalAdapter.findUserByEmail(email)) !== null) return undefined;
	const user = await internalAdapter.createUser(
		{ name, email, emailVerified: true },
		{ method: 'email-password' }
	);
	await internalAdapter.linkAccount({
		userId: user.id,
		providerId: 'credential',
		accountId: user.id,
		password: await passwords.hash(password)
	});
	return user.id;
}

/** The account of an address; undefined where there is none. That it is theirs, signing in says. */
export async function accountAt({ auth }: Auth, email: string): Promise<string | undefined> {
	const { internalAdapter } = await auth.$context;
	return (await internalAdapter.findUserByEmail(email))?.user.id;
}

/** Takes back an account that was made for nothing. */
export async function removeAccount({ auth }: Auth, userId: string): Promise<void> {
	const { internalAdapter } = await auth.$context;
	await internalAdapter.deleteUser(userId);
}
