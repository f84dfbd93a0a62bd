/** One-time addresses: the token is in the link alone, the database keeps what it hashes to. */
import { createHash, createHmac, randomBytes } from 'node:crypto';

export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** The token of an invitation, from the id its form carries: sent twice it is the same link. */
export const tokenFor = (id: string): string =>
	createHmac('sha256', process.env.AUTH_SECRET ?? '')
		.update(`invitation ${id}`)
		.digest('base64url');

/** The token of a client's own page, from the id its form carries. */
export const linkTokenFor = (id: string): string =>
	createHmac('sha256', process.env.AUTH_SECRET ?? '')
		.update(`own page ${id}`)
		.digest('base64url');

/** A token of a device, which nobody has but its cookie. */
export const freshToken = (): string => randomBytes(32).toString('base64url');
