/** What another client has in use, as a pattern: ladders and steps, nothing else of them. The reading is entered in the access log of that client. */
import { ok } from '#lib/core/base/result.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import type { Context, Outcome } from './actor.ts';
import { showClient } from './show-client.ts';

/** Whose plan may be a pattern for a client's. */
export { patterns as patternsFor } from '../repo/plan-repo.ts';

export interface PlanPattern {
	readonly clientId: string;
	readonly name: string;
	readonly work: readonly { readonly family: string; readonly step: string; readonly title: string }[];
}

export async function planOf(ctx: Context, clientId: string): Promise<Outcome<PlanPattern>> {
	const shown = await showClient(ctx, clientId, 'plan, as a pattern', () => null);
	if (!shown.ok) return shown;
	const { record } = shown.value;
	return ok({
		clientId,
		name: record.head.name,
		work: record.exercises.flatMap((e) => {
			const { head } = effectiveChain(e.prescriptions);
			return head.state === 'active'
				? [{ family: e.family, step: head.step, title: head.snapshot.title }]
				: [];
		})
	});
}
