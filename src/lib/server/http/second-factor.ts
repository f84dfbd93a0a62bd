/** One's own second factor: begun with the password, in force once a first code was right, ended with the password. */
import type { RequestEvent } from '@sveltejs/kit';
import { toString as drawn } from 'qrcode';
import { authService } from '../auth/auth.ts';
import { keepCookies } from './ask-auth.ts';

export interface SecondBegun {
	/** The picture that an authenticator reads, as SVG, and the same in letters. */
	readonly picture: string;
	readonly letters: string;
	/** Each good once, for the day the phone is lost. */
	readonly codes: readonly string[];
}

const refused = (e: unknown): boolean => [400, 401].includes((e as { statusCode?: number }).statusCode ?? 0);

export async function hasSecond({ request }: RequestEvent): Promise<boolean> {
	const found = await authService().auth.api.getSession({ headers: request.headers });
	return (found?.user as { twoFactorEnabled?: boolean | null } | undefined)?.twoFactorEnabled === true;
}

/** Undefined where the password is not it, or where there is one already. */
export async function beginSecond(
	{ request }: RequestEvent,
	password: string
): Promise<SecondBegun | undefined> {
	try {
		const made = await authService().auth.api.enableTwoFactor({
			body: { password, method: 'totp' },
			headers: request.headers
		});
		if (!('totpURI' in made) || made.totpURI === undefined) return undefined;
		return {
			picture: await drawn(made.totpURI, { type: 'svg', margin: 2 }),
			letters: new URL(made.totpURI).searchParams.get('secret') ?? '',
			codes: made.backupCodes ?? []
		};
	} catch (e) {
		if (refused(e)) return undefined;
		throw e;
	}
}

/** In force from the first right code on. */
export async function confirmSecond(event: RequestEvent, code: string): Promise<boolean> {
	try {
		const { headers } = await authService().auth.api.verifyTOTP({
			body: { code: code.replaceAll(/\s/g, '') },
			headers: event.request.headers,
			returnHeaders: true
		});
		keepCookies(event, headers.getSetCookie());
		return true;
	} catch (e) {
		if (refused(e)) return false;
		throw e;
	}
}

export async function endSecond(event: RequestEvent, password: string): Promise<boolean> {
	try {
		const { headers } = await authService().auth.api.disableTwoFactor({
			body: { password },
			headers: event.request.headers,
			returnHeaders: true
		});
		keepCookies(event, headers.getSetCookie());
		return true;
	} catch (e) {
		if (refused(e)) return false;
		throw e;
	}
}
