/** One's own account: the password, and where one is signed in. */
import type { RequestEvent } from '@sveltejs/kit';
import { authService } from '../auth/auth.ts';
import { keepCookies } from './ask-auth.ts';

export interface OwnSession {
	readonly id: string;
	readonly begunAt: Date;
	readonly usedAt: Date;
	readonly address: string;
	/** What the browser calls itself, shortened. */
	readonly browser: string;
	readonly here: boolean;
}

const BROWSER = 80;

/** Where one is signed in, this one first. */
export async function ownSessions({ request }: RequestEvent): Promise<readonly OwnSession[]> {
	const { auth } = authService();
	const [found, here] = await Promise.all([
		auth.api.listSessions({ headers: request.headers }),
		auth.api.getSession({ headers: request.headers })
	]);
	return found
		.map((s) => ({
			id: s.id,
			begunAt: s.createdAt,
			usedAt: s.updatedAt,
			address: s.ipAddress ?? '',
			browser: (s.userAgent ?? '').slice(0, BROWSER),
			here: s.id === here?.session.id
		}))
		.sort((a, b) => Number(b.here) - Number(a.here) || b.usedAt.getTime() - a.usedAt.getTime());
}

/** Ends one of one's own sessions; false where it is gone, or somebody else's. */
export async function endSession({ request }: RequestEvent, id: string): Promise<boolean> {
	const { auth } = authService();
	const found = (await auth.api.listSessions({ headers: request.headers })).find((s) => s.id === id);
	if (found === undefined) return false;
	await auth.api.revokeSession({ body: { token: found.token }, headers: request.headers });
	return true;
}

/** Another password, and the end of every other session; false where the one of now is not it. */
export async function changePassword(
	event: RequestEvent,
	{ current, password }: { readonly current: string; readonly password: string }
): Promise<boolean> {
	try {
		const { headers } = await authService().auth.api.changePassword({
			body: { currentPassword: current, newPassword: password, revokeOtherSessions: true },
			headers: event.request.headers,
			returnHeaders: true
		});
		keepCookies(event, headers.getSetCookie());
		return true;
	} catch (e) {
		if ((e as { statusCode?: number }).statusCode === 400) return false;
		throw e;
	}
}
