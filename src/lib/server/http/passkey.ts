/**
 * Passkeys: made on /me with the password once, then signing in without one. The key of a device asks for finger, face or PIN, so it stands for password and
 * second factor at once; one that asked for nothing is refused (`auth.ts`). A browser takes them only where the address is a name, not a number.
 */
import type { RequestEvent } from '@sveltejs/kit';
import { authService } from '../auth/auth.ts';
import { noteSignIn } from '../auth/tries.ts';
import { askAuth, keepCookies, TOO_MANY } from './ask-auth.ts';

export interface OwnPasskey {
	readonly id: string;
	readonly name: string;
	readonly madeAt: string;
}

/** What the browser is handed to make or show a key, as the WebAuthn standard writes it. */
export type KeyOptions = Readonly<Record<string, unknown>>;

/** Whether a browser would make one here. */
export const takesPasskeys = ({ hostname }: URL): boolean =>
	/[a-z]/i.test(hostname) && !hostname.includes(':');

export async function ownPasskeys(event: RequestEvent): Promise<readonly OwnPasskey[]> {
	const answer = await askAuth(event, '/passkey/list-user-passkeys');
	if (!answer.ok) return [];
	const found = (await answer.json()) as { id: string; name?: string | null; createdAt: string }[];
	return found.map((k) => ({ id: k.id, name: k.name ?? '', madeAt: k.createdAt }));
}

/** Whoever finds a screen unlocked knows no password: undefined where it is not it. */
export async function beginPasskey(event: RequestEvent, password: string): Promise<KeyOptions | undefined> {
	const sure = await askAuth(event, '/verify-password', { password });
	if (!sure.ok) return undefined;
	const answer = await askAuth(event, '/passkey/generate-register-options');
	if (!answer.ok) return undefined;
	keepCookies(event, answer.headers.getSetCookie());
	return (await answer.json()) as KeyOptions;
}

/** Keeps what the device made; false where it is not what was asked for just now. */
export async function keepPasskey(event: RequestEvent, name: string, response: unknown): Promise<boolean> {
	return (await askAuth(event, '/passkey/verify-registration', { name, response })).ok;
}

export async function removePasskey(event: RequestEvent, id: string): Promise<boolean> {
	return (await askAuth(event, '/passkey/delete-passkey', { id })).ok;
}

export async function beginKeySignIn(event: RequestEvent): Promise<KeyOptions | undefined> {
	const answer = await askAuth(event, '/passkey/generate-authenticate-options');
	if (!answer.ok) return undefined;
	keepCookies(event, answer.headers.getSetCookie());
	return (await answer.json()) as KeyOptions;
}

export async function signInByKey(
	event: RequestEvent,
	response: object
): Promise<'in' | 'wrong' | 'too-many'> {
	const answer = await askAuth(event, '/passkey/verify-authentication', { response });
	if (answer.status === TOO_MANY) return 'too-many';
	if (!answer.ok) return 'wrong';
	keepCookies(event, answer.headers.getSetCookie());
	const { user } = (await answer.json()) as { user?: { email?: string } };
	await noteSignIn(authService(), user?.email ?? '', event.getClientAddress(), 'in');
	return 'in';
}
