/** One-time addresses: the token is in the link alone, the database keeps what it hashes to. */
import { createHash, createHmac } from 'node:crypto';

export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** The token of an invitation, from the id its form carries: sent twice it is the same link. */
export const tokenFor = (id: string): string =>
	createHmac('sha256', process.env.AUTH_SECRET ?? '')
		.update(`invitation ${id}`)
		.digest('base64url');
