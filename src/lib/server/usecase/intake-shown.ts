/** What pages read besides the record: what was asked, tests and totals. Within a page's own transaction, after who may was asked. */
import type { PracticeTransaction } from '../db/in-practice.ts';
import { intakeOf, type Intake } from '../repo/intake-repo.ts';
import { testResults, totals, type TestResult, type Total } from '../repo/sheet-repo.ts';

export type { Intake };

export const intakeShown = (t: PracticeTransaction, clientId: string): Promise<Intake> =>
	intakeOf(t, clientId);

export async function testsShown(
	t: PracticeTransaction,
	clientId: string
): Promise<{ readonly results: readonly TestResult[]; readonly totals: readonly Total[] }> {
	return { results: await testResults(t, clientId), totals: await totals(t, clientId) };
}
