/**
 * Founding a practice and joining one: the account, then the membership; what fails half-way leaves no account behind. Who has an account proves it by
 * signing in, where guesses are counted.
 */
import type { RequestEvent } from '@sveltejs/kit';
import { accountAt, createAccount, removeAccount, type NewAccount } from '../auth/accounts.ts';
import { authService } from '../auth/auth.ts';
import {
	acceptInvitation,
	foundPractice,
	invitationOf,
	type Founding,
	type Invited
} from '../usecase/memberships.ts';
import { signIn } from './sign-in.ts';

export type Joined = 'in' | 'wrong-password' | 'too-many' | 'too-late' | 'second-factor';

/** What an invitation says, and whether the address has an account already, with a password of its own. */
export async function invitedBy(
	tokenHash: string
): Promise<(Invited & { readonly known: boolean }) | undefined> {
	const invited = await invitationOf(tokenHash);
	if (invited === undefined) return undefined;
	return { ...invited, known: (await accountAt(authService(), invited.email)) !== undefined };
}

/** Makes the account, or signs in to the one there is; then `become` a member with it, or nothing was. */
async function withAccount(
	event: RequestEvent,
	account: NewAccount,
	become: (userId: string) => Promise<boolean>
): Promise<Joined> {
	const service = authService();
	const made = await createAccount(service, account);
	const known = made ?? (await accountAt(service, account.email));
	// Who is signed in with this account has given all it asks for.
	const here = known !== undefined && event.locals.userId === known;
	const answer = here ? 'in' : await signIn(event, account);
	if (answer !== 'in') {
		if (made !== undefined) await removeAccount(service, made);
		return answer === 'wrong' ? 'wrong-password' : answer === 'second' ? 'second-factor' : answer;
	}
	if (known !== undefined && (await become(known))) return 'in';
	if (made !== undefined) await removeAccount(service, made);
	return 'too-late';
}

export async function join(
	event: RequestEvent,
	tokenHash: string,
	memberId: string,
	password: string
): Promise<Joined> {
	const invited = await invitationOf(tokenHash);
	if (invited === undefined) return 'too-late';
	const { email, name } = invited;
	return withAccount(
		event,
		{ email, name, password },
		async (userId) => (await acceptInvitation(tokenHash, memberId, userId)) !== undefined
	);
}

export const found = (
	event: RequestEvent,
	f: Omit<Founding, 'userId'>,
	{ email, password }: Omit<NewAccount, 'name'>
): Promise<Joined> =>
	withAccount(event, { email, name: f.name, password }, (userId) => foundPractice({ ...f, userId }));
