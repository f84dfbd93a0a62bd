/**
 * Sign-in with e-mail and password on the auth library, in its own schema and pool. Rate limits live in the database; sessions
 * expire after 12 hours, or 2 without use. No sign-up over the network.
 */
import { betterAuth } from 'better-auth';
import pg from 'pg';
import { survive } from '../db/connect.ts';

/** Header with the caller's address, set by the hook and nobody else. */
export const ADDRESS_HEADER = 'x-bolster-address';

export interface AuthOptions {
	readonly url: string;
	readonly secret: string;
	readonly origin: string;
	readonly signUp?: boolean;
	/** Sign-ins a minute from one address. */
	readonly perMinute?: number;
}

/** A session ends after so long without use; one that is used is renewed. What it lasts in all stands with the session. */
export const IDLE_SECONDS = 2 * 3600;
const RENEWED_AFTER_SECONDS = 300;

/** A secret of this many letters at least; a short one, or none, would be a public one. */
const LEAST_SECRET = 32;

export function makeAuth({ url, secret, origin, signUp = false, perMinute = 10 }: AuthOptions) {
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
	const auth = betterAuth({
		appName: 'Bolster',
		baseURL: origin,
		secret,
		database: pool,
		telemetry: { enabled: false },
		trustedOrigins: [origin],
		emailAndPassword: { enabled: true, disableSignUp: !signUp, minPasswordLength: 10 },
		session: { expiresIn: IDLE_SECONDS, updateAge: RENEWED_AFTER_SECONDS },
		rateLimit: {
			enabled: true,
			storage: 'database',
			window: 60,
			max: 100,
			customRules: { '/sign-in/email': { window: 60, max: perMinute } }
		},
		advanced: {
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
		url: process.env.DATABASE_URL ?? '',
		secret: process.env.AUTH_SECRET ?? '',
		origin: process.env.ORIGIN ?? 'http://127.0.0.1:5173',
		perMinute: Number(process.env.SIGN_IN_PER_MINUTE ?? 10)
	});
	return held.bolsterAuth;
}
