/**
 * Wrong tries at a password. Whoever guesses from one place is slowed there; an account that is guessed at from many places is slowed for places that guessed,
 * and somebody who comes from elsewhere signs in as ever, until guesses come from everywhere.
 */
import type { Auth } from './auth.ts';

export interface Tries {
	/** Of the last quarter of an hour, from this place and from all. */
	readonly here: number;
	readonly everywhere: number;
	readonly lastAt: Date | null;
}

/** So many are forgotten words; after them one a minute. */
export const FREE_TRIES = 5;
/** So many from everywhere are an attack on the account. */
export const ATTACKED_AT = 40;
export const WAIT_MS = 60_000;

/** Is the next try refused unread? */
export function slowed({ here, everywhere, lastAt }: Tries, now: number): boolean {
	const waits = lastAt !== null && now - lastAt.getTime() < WAIT_MS;
	return everywhere >= ATTACKED_AT || (here >= FREE_TRIES && waits);
}

export async function triesOf({ pool }: Auth, email: string, address: string): Promise<Tries> {
	const { rows } = await pool.query<{ here: number; everywhere: number; last_at: Date | null }>(
		'select * from public.wrong_tries($1, $2)',
		[email, address]
	);
	return {
		here: rows[0]?.here ?? 0,
		everywhere: rows[0]?.everywhere ?? 0,
		lastAt: rows[0]?.last_at ?? null
	};
}

/** `in`, `wrong`, `slowed`, `reset`: for the log of the practices they are of, and for counting. */
export const noteSignIn = async (
	{ pool }: Auth,
	email: string,
	address: string,
	what: 'in' | 'wrong' | 'slowed' | 'reset'
): Promise<void> => void (await pool.query('select public.note_sign_in($1, $2, $3)', [email, address, what]));
