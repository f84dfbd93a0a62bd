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

/** Whose account this is, where the password is right. */
export async function accountOf(
	{ auth }: Auth,
	{ email, password }: Omit<NewAccount, 'name'>
): Promise<string | undefined> {
	const { internalAdapter, password: passwords } = await auth.$context;
	const found = await internalAdapter.findUserByEmail(email, { includeAccounts: true });
	const kept = found?.accounts.find((a) => a.providerId === 'credential')?.password;
	if (found === null || kept === undefined || kept === null) return undefined;
	return (await passwords.verify({ hash: kept, password })) ? found.user.id : undefined;
}

/** Takes back an account that was made for nothing. */
export async function removeAccount({ auth }: Auth, userId: string): Promise<void> {
	const { internalAdapter } = await auth.$context;
	await internalAdapter.deleteUser(userId);
}

/** Has this address an account? Asked only by whoever holds an invitation to it. */
export async function isKnown({ auth }: Auth, email: string): Promise<boolean> {
	const { internalAdapter } = await auth.$context;
	return (await internalAdapter.findUserByEmail(email)) !== null;
}
