/** Founding a practice and joining one: the account, then the membership; what fails half-way leaves no account behind. */
import { accountOf, createAccount, isKnown, removeAccount } from '../auth/accounts.ts';
import { authService } from '../auth/auth.ts';
import {
	acceptInvitation,
	foundPractice,
	invitationOf,
	type Founding,
	type Invited
} from '../usecase/memberships.ts';

export type Joined = 'in' | 'wrong-password' | 'too-late';

/** What an invitation says, and whether the address has an account already, with a password of its own. */
export async function invitedBy(
	tokenHash: string
): Promise<(Invited & { readonly known: boolean }) | undefined> {
	const invited = await invitationOf(tokenHash);
	return invited === undefined
		? undefined
		: { ...invited, known: await isKnown(authService(), invited.email) };
}

export async function join(tokenHash: string, memberId: string, password: string): Promise<Joined> {
	const service = authService();
	const invited = await invitationOf(tokenHash);
	if (invited === undefined) return 'too-late';
	const { email, name } = invited;
	const made = await createAccount(service, { email, name, password });
	const userId = made ?? (await accountOf(service, { email, password }));
	if (userId === undefined) return 'wrong-password';
	if ((await acceptInvitation(tokenHash, memberId, userId)) !== undefined) return 'in';
	if (made !== undefined) await removeAccount(service, made);
	return 'too-late';
}

export async function found(
	f: Omit<Founding, 'userId'>,
	{ email, password }: { readonly email: string; readonly password: string }
): Promise<Joined> {
	const service = authService();
	const made = await createAccount(service, { email, name: f.name, password });
	const userId = made ?? (await accountOf(service, { email, password }));
	if (userId === undefined) return 'wrong-password';
	if (await foundPractice({ ...f, userId })) return 'in';
	if (made !== undefined) await removeAccount(service, made);
	return 'too-late';
}
