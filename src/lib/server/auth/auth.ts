/**
 * Sign-in with e-mail, password and, where somebody wants it, a second factor, on the auth library, in its own schema and pool. Rate limits live in the
 * database; sessions expire after 12 hours, or 2 without use. No sign-up over the network. A forgotten password is set anew by a letter.
 */
import { betterAuth } from 'better-auth';
import { passkey } from '@better-auth/passkey';
import { APIError } from 'better-auth/api';
import { twoFactor } from 'better-auth/plugins';
import pg from 'pg';
import { survive } from '../db/connect.ts';
import { prepareRepeated } from '../db/prepared.ts';
import { sendLetter } from '../mail/mail.ts';

/** Header with the caller's address, set by the hook and nobody else. */
export const ADDRESS_HEADER = 'x-bolster-address';

export interface AuthOptions {
	readonly url: string;
	readonly secret: string;
	readonly origin: string;
	readonly signUp?: boolean;
	/** Sign-ins a minute from one address, right and wrong: a clinic has one for all. Guesses are slowed by `tries.ts`. */
	readonly perMinute?: number;
}

/** A session ends after so long without use; one that is used is renewed. What it lasts in all stands with the session. */
export const IDLE_SECONDS = 2 * 3600;
const RENEWED_AFTER_SECONDS = 300;

/** A letter that sets a password anew is good for so long. */
export const RESET_SECONDS = 30 * 60;

/** A secret of this many letters at least; a short one, or none, would be a public one. */
const LEAST_SECRET = 32;

/** A key that asked its holder for nothing proves only that somebody has the device: refused, for a passkey signs in past the second factor. */
function sureOfHolder(verified: boolean | undefined): void {
	if (verified !== true) throw new APIError('UNAUTHORIZED', { code: 'HOLDER_NOT_ASKED' });
}
const passkeys = () =>
	passkey({
		rpName: 'Bolster',
		authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
		registration: {
			afterVerification: ({ verification }) => sureOfHolder(verification.registrationInfo?.userVerified)
		},
		authentication: {
			afterVerification: ({ verification }) => sureOfHolder(verification.authenticationInfo.userVerified)
		}
	});

export function makeAuth({ url, secret, origin, signUp = false, perMinute = 60 }: AuthOptions) {
	if (secret.length < LEAST_SECRET)
		throw new Error(
			`AUTH_SECRET is missing or shorter than ${LEAST_SECRET} letters: cookies would carry a secret everybody knows. \`npm start\` makes and keeps one.`
		);
	const pool = new pg.Pool({
		connectionString: url,
		max: 4,
		options: '-c search_path=auth',
		connectionTimeoutMillis: 5000
	});
	survive(pool);
	prepareRepeated(pool);
	const auth = betterAuth({
		appName: 'Bolster',
		baseURL: origin,
		secret,
		database: pool,
		telemetry: { enabled: false },
		trustedOrigins: [origin],
		emailAndPassword: {
			enabled: true,
			disableSignUp: !signUp,
			minPasswordLength: 10,
			resetPasswordTokenExpiresIn: RESET_SECONDS,
			revokeSessionsOnPasswordReset: true,
			sendResetPassword: async ({ user, token }) => {
				const link = `${origin}/reset/${token}`;
				const text = [
					`Somebody, most likely you, asked to set a new password for ${user.email}.`,
					`Within ${RESET_SECONDS / 60} minutes, once:\n${link}`,
					'If it was not you, do nothing: your password stays as it is.\n'
				].join('\n\n');
				await sendLetter({ to: user.email, subject: 'A new password', text, secret: link });
			}
		},
		plugins: [twoFactor({ issuer: 'Bolster', skipVerificationOnEnable: false }), passkeys()],
		session: { expiresIn: IDLE_SECONDS, updateAge: RENEWED_AFTER_SECONDS },
		rateLimit: {
			enabled: true,
			storage: 'database',
			window: 60,
			max: 100,
			customRules: {
				'/sign-in/email': { window: 60, max: perMinute },
				'/request-password-reset': { window: 60, max: 5 },
				'/reset-password': { window: 60, max: 10 },
				'/passkey/verify-authentication': { window: 60, max: perMinute },
				'/two-factor/verify-totp': { window: 60, max: 10 },
				'/two-factor/verify-backup-code': { window: 60, max: 10 }
			}
		},
		advanced: {
			// A session with its user is one question.
			database: { joins: true },
			ipAddress: { ipAddressHeaders: [ADDRESS_HEADER] },
			useSecureCookies: origin.startsWith('https:'),
			defaultCookieAttributes: { sameSite: 'lax', httpOnly: true }
		},
		logger: { disabled: true }
	});
	return { auth, pool };
}

export type Auth = ReturnType<typeof makeAuth>;
const held = globalThis as { bolsterAuth?: Auth };

export function authService(): Auth {
	held.bolsterAuth ??= makeAuth({
		// A role of its own where there is one: it alone reads passwords and sessions.
		url: process.env.AUTH_DATABASE_URL ?? process.env.DATABASE_URL ?? '',
		secret: process.env.AUTH_SECRET ?? '',
		origin: process.env.ORIGIN ?? 'http://127.0.0.1:5173',
		perMinute: Number(process.env.SIGN_IN_PER_MINUTE ?? 60)
	});
	return held.bolsterAuth;
}
