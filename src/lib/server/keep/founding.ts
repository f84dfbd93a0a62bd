/** The one-time address that founds a practice: made by the owner role while there is none, good for a quarter of an hour and once. */
import { createHash, randomBytes } from 'node:crypto';
import pg from 'pg';

export const FOUNDING_MINUTES = 15;

/** A token, of which the database keeps the hash; undefined where there is a practice already. */
export async function foundingToken(ownerUrl: string): Promise<string | undefined> {
	const client = new pg.Client({ connectionString: ownerUrl });
	await client.connect();
	try {
		const { rows } = await client.query<{ any: boolean }>('select exists (select 1 from practice) as any');
		if (rows[0]?.any === true) return undefined;
		const token = randomBytes(32).toString('base64url');
		// An older address opens no longer.
		await client.query('delete from founding');
		await client.query(
			`insert into founding (token_hash, expires_at) values ($1, now() + make_interval(mins => $2))`,
			[createHash('sha256').update(token).digest('hex'), FOUNDING_MINUTES]
		);
		return token;
	} finally {
		await client.end();
	}
}
