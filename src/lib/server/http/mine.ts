/**
 * The way to a client's own page: its link is swapped for a cookie of the device, which scripts cannot read and which goes to this page alone. Guesses are slowed by
 * where they come from, never by what was guessed at: nobody can shut somebody else out.
 */
import type { Cookies, RequestEvent } from '@sveltejs/kit';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { authService } from '../auth/auth.ts';
import { noteSignIn, slowed, triesOf } from '../auth/tries.ts';
import { clientAt, openDevice } from '../usecase/client-link.ts';
import { clientContext, type ClientHere } from '../usecase/client-context.ts';
import { newId } from '../usecase/new-id.ts';
import { orNotNow } from './not-now.ts';
import { freshToken, hashOf } from './token.ts';

export const MINE = '/mine';
const COOKIE = 'mine';
const A_YEAR = 365 * 24 * 3600;

/** Wrong links are counted under this, in place of an account. */
const GUESSED_AT = 'own page';

export const isMine = (pathname: string): boolean => pathname === MINE || pathname.startsWith(`${MINE}/`);

/** Whose page this device shows; undefined where its link is over, was taken back, or never was. */
export async function mineAt(
	cookies: Cookies,
	now: Date,
	dayIn: (tz: string) => Day
): Promise<ClientHere | undefined> {
	const token = cookies.get(COOKIE);
	const at = token === undefined ? undefined : await clientAt(hashOf(token));
	if (at === undefined) return undefined;
	const { context, house } = clientContext(at, now, dayIn);
	return { context: { ...context, inPractice: orNotNow(context.inPractice) }, house };
}

export async function openMine(event: RequestEvent, token: string): Promise<'open' | 'none' | 'too-many'> {
	const service = authService();
	const address = event.getClientAddress();
	const tries = await triesOf(service, GUESSED_AT, address);
	if (slowed({ ...tries, everywhere: 0 }, Date.now())) return 'too-many';
	const device = freshToken();
	if (!(await openDevice(hashOf(token), hashOf(device), newId(new Date())))) {
		await noteSignIn(service, GUESSED_AT, address, 'wrong');
		return 'none';
	}
	event.cookies.set(COOKIE, device, {
		path: MINE,
		httpOnly: true,
		sameSite: 'lax',
		secure: event.url.protocol === 'https:',
		maxAge: A_YEAR
	});
	return 'open';
}
