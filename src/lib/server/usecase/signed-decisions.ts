/** The signed decisions of a client, newest first, for a page that already holds the client's transaction. */
import type { PracticeTransaction } from '../db/in-practice.ts';
import { decisions, type SignedDecision } from '../repo/decision-repo.ts';

export const signedDecisions = (
	t: PracticeTransaction,
	clientId: string
): Promise<readonly SignedDecision[]> => decisions(t, clientId);
