/**
 * Signing in has a role of its own: it alone reads passwords, sessions, keys and second factors, and writes down who tried. Said anew at each start, after migrating and
 * restoring; safe to repeat. On a server of one's own without that role the application's plain role keeps both.
 */
import pg from 'pg';

/** What the sign-in library reads and writes. */
const TABLES = ['user', 'session', 'account', 'verification', 'rateLimit', 'twoFactor', 'passkey'] as const;
const DOORS = ['wrong_tries(text, text)', 'note_sign_in(text, text, text)'] as const;
const NAMED = TABLES.map((t) => `auth."${t}"`).join(', ');

const given = (role: string): string => `grant usage on schema auth to ${role};
grant select, insert, update, delete on ${NAMED} to ${role};
grant execute on function ${DOORS.join(', ')} to ${role};`;

const TAKEN = `revoke all on ${NAMED} from bolster_app;
revoke usage on schema auth from bolster_app;
revoke execute on function ${DOORS.join(', ')} from bolster_app;`;

/** @param apart does signing in come with its own role (`AUTH_DATABASE_URL`)? Without it the application's role signs in too. */
export async function separateSignIn(ownerUrl: string, apart: boolean): Promise<void> {
	const client = new pg.Client({ connectionString: ownerUrl });
	await client.connect();
	try {
		await client.query(`begin; ${apart ? given('bolster_signin') + TAKEN : given('bolster_app')} commit;`);
	} finally {
		await client.end();
	}
}
