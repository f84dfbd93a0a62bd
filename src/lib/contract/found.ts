/** Clients found by a part of their name: a practice has more of them than a list. */

/** So many are listed; who is not among them is found by more of the name. */
export const LISTED = 8;

export interface NamedClient {
	readonly clientId: string;
	readonly name: string;
}

export interface Found<T extends NamedClient = NamedClient> {
	/** What was asked; empty finds everybody. */
	readonly find: string;
	/** The first of them by name. */
	readonly listed: readonly T[];
	/** How many there are. */
	readonly found: number;
}
