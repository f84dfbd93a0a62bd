/** The signed decisions of a client, newest first, for a page that already holds the client's record: read once for as long as that stands. */
import type { PracticeTransaction } from '../db/in-practice.ts';
import type { ClientRecord } from '../record/load.ts';
import { decisions, type SignedDecision } from '../repo/decision-repo.ts';

export async function signedDecisions(
	t: PracticeTransaction,
	r: ClientRecord
): Promise<readonly SignedDecision[]> {
	const found = known.get(r) ?? (await decisions(t, r.head.id));
	known.set(r, found);
	return found;
}

/** Another decision is another record. */
const known = new WeakMap<ClientRecord, readonly SignedDecision[]>();
