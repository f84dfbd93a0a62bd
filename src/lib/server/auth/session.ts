/** Whose session a request carries: renewed while it is used, ended after two hours without use and after twelve in all. */
import { authService, type Auth } from './auth.ts';

/** A session lasts this long in all, however busy. */
export const LONGEST_MS = 12 * 3_600_000;

export const isOver = (begunAt: Date, now: number): boolean => now - begunAt.getTime() >= LONGEST_MS;

export interface SessionFound {
	readonly userId: string | undefined;
	/** What the session is known by; only of one that goes on. */
	readonly token?: string;
	/** Set-Cookie lines to send along. */
	readonly cookies: readonly string[];
}

export async function sessionOf(headers: Headers, { auth }: Auth = authService()): Promise<SessionFound> {
	const { headers: set, response: found } = await auth.api.getSession({ headers, returnHeaders: true });
	const cookies = set?.getSetCookie() ?? [];
	if (found === null) return { userId: undefined, cookies };
	if (!isOver(found.session.createdAt, Date.now()))
		return { userId: found.user.id, token: found.session.token, cookies };
	await auth.api.revokeSession({ body: { token: found.session.token }, headers }).catch(() => undefined);
	return { userId: undefined, cookies: [] };
}
