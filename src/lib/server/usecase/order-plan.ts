/** The order of a plan, arranged by hand: each exercise of the plan in one group. Two who arrange at once: the second is told. */
import { GROUPS, type PlanOrder } from '#lib/core/exercise/plan-order.ts';
import { ok } from '#lib/core/base/result.ts';
import { append } from '../db/append.ts';
import { conflict, notFound } from './actor.ts';
import { command } from './command.ts';

export interface Arranged {
	readonly id: string;
	readonly clientId: string;
	/** The arrangement it was made from; null where there was none. */
	readonly basedOn: string | null;
	readonly groups: PlanOrder;
}

const CHANGED = 'The plan was changed meanwhile; reload to arrange it as it is now.';

export const orderPlan = command<Arranged, true>({
	verb: 'prescribe',
	id: (a) => a.id,
	client: (a) => a.clientId,
	run: async ({ id, clientId, basedOn, groups }, { t, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		const named = GROUPS.flatMap((g) => groups[g]);
		const inPlan = new Set(r.exercises.map((e) => e.id));
		if (new Set(named).size !== named.length || named.some((x) => !inPlan.has(x))) return conflict(CHANGED);
		if ((r.head.planOrder?.id ?? null) !== basedOn) return conflict(CHANGED);
		const row = { id, client_id: clientId, groups: JSON.stringify(groups), replaces_id: basedOn };
		return (await append(t, 'plan_order', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});
