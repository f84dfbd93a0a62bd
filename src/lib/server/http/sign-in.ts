/**
 * Signing in and out through the auth library's handler, which counts attempts; its cookies become the page's own. Guesses are counted besides, by account
 * and place, and every signing in and every wrong try is written down.
 */
import type { RequestEvent } from '@sveltejs/kit';
import { authService } from '../auth/auth.ts';
import { noteSignIn, slowed, triesOf } from '../auth/tries.ts';
import { askAuth, keepCookies, TOO_MANY } from './ask-auth.ts';

/** `second`: the password was right, and the account asks for its second factor. */
export type SignInAnswer = 'in' | 'second' | 'wrong' | 'too-many';

export async function signIn(
	event: RequestEvent,
	credentials: { readonly email: string; readonly password: string }
): Promise<SignInAnswer> {
	const service = authService();
	const { email } = credentials;
	const address = event.getClientAddress();
	if (slowed(await triesOf(service, email, address), Date.now())) {
		await noteSignIn(service, email, address, 'slowed');
		return 'too-many';
	}
	const answer = await askAuth(event, '/sign-in/email', credentials);
	if (answer.status === TOO_MANY) return 'too-many';
	if (!answer.ok) {
		await noteSignIn(service, email, address, 'wrong');
		return 'wrong';
	}
	keepCookies(event, answer.headers.getSetCookie());
	const { twoFactorRedirect } = (await answer.json()) as { twoFactorRedirect?: boolean };
	if (twoFactorRedirect === true) return 'second';
	await noteSignIn(service, email, address, 'in');
	return 'in';
}

/** `over`: the password has to be given anew. */
export type SecondAnswer = 'in' | 'wrong' | 'over' | 'too-many';

const SIX_DIGITS = /^\d{6}$/;

/** The second factor after a right password: six digits of the moment, or one of the codes kept for the day the phone is lost. */
export async function signInSecond(event: RequestEvent, typed: string): Promise<SecondAnswer> {
	const code = typed.replaceAll(/\s/g, '');
	const path = SIX_DIGITS.test(code) ? '/two-factor/verify-totp' : '/two-factor/verify-backup-code';
	const answer = await askAuth(event, path, { code });
	if (answer.status === TOO_MANY) return 'too-many';
	if (answer.ok) {
		keepCookies(event, answer.headers.getSetCookie());
		const { user } = (await answer.json()) as { user?: { email?: string } };
		await noteSignIn(authService(), user?.email ?? '', event.getClientAddress(), 'in');
		return 'in';
	}
	const { code: why } = (await answer.json().catch(() => ({}))) as { code?: string };
	return why === 'INVALID_CODE' || why === 'INVALID_BACKUP_CODE' ? 'wrong' : 'over';
}

/** A letter with a one-time address goes out where there is such an account; the answer is the same where there is none. */
export async function askReset(event: RequestEvent, email: string): Promise<'asked' | 'too-many'> {
	const answer = await askAuth(event, '/request-password-reset', { email });
	return answer.status === TOO_MANY ? 'too-many' : 'asked';
}

/** Sets a password anew, once; every session of the account ends. */
export async function resetPassword(
	event: RequestEvent,
	token: string,
	newPassword: string
): Promise<'set' | 'too-late' | 'too-many'> {
	const { auth } = authService();
	const context = await auth.$context;
	const held = await context.internalAdapter.findVerificationValue(`reset-password:${token}`);
	const answer = await askAuth(event, '/reset-password', { token, newPassword });
	if (answer.status === TOO_MANY) return 'too-many';
	if (!answer.ok) return 'too-late';
	const user = held ? await context.internalAdapter.findUserById(held.value) : null;
	if (user !== null) await noteSignIn(authService(), user.email, event.getClientAddress(), 'reset');
	return 'set';
}

export async function signOut({ request, cookies }: RequestEvent): Promise<void> {
	await authService()
		.auth.api.signOut({ headers: request.headers })
		.catch(() => undefined);
	for (const { name } of cookies.getAll())
		if (name.startsWith('better-auth')) cookies.delete(name, { path: '/' });
}
