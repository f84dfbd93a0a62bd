/**
 * Takes one entry out of the record, with its reason: one's own, or anybody's for a licensed user. The entry stays to be read; what rested on it is
 * judged anew. What a licensed user alone may enter or open, a licensed user alone takes out; a sore place only when nothing in the plan is for it.
 */
import type { TakeOut } from '#lib/contract/entry.ts';
import type { EntryKind } from '#lib/core/client/entry-kind.ts';
import { ok } from '#lib/core/base/result.ts';
import { signsOf } from '#lib/core/client/acute.ts';
import type { Extras } from '#lib/core/measure/function-test.ts';
import { regionName } from '#lib/wording/names.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import type { ClientRecord } from '../record/load.ts';
import { entries, entry, takeOut } from '../repo/entry-repo.ts';
import { conflict, notFound, refuseFor, type Actor, type Outcome } from './actor.ts';
import { replaceSetting } from './change-setting.ts';
import { command, type Run } from './command.ts';
import { newId } from './new-id.ts';

const LICENSED: ReadonlySet<EntryKind> = new Set(['operation', 'limit', 'arrival']);

/** A reading of pressure or pulse binds its day, as an arrival card does. */
const bindsDay = (kind: EntryKind, row: Readonly<Record<string, unknown>>): boolean =>
	kind === 'test' &&
	signsOf(String(row.test), Number(row.value_hundredths) / 100, (row.extras ?? {}) as Extras) !== undefined;

/** A way of bending that sent pain further down stays closed until a licensed user says otherwise. */
const bindsWay = (kind: EntryKind, row: Readonly<Record<string, unknown>>): boolean =>
	kind === 'repeated' && row.leg === 'further-down';

/** Why this member may not take an entry out; undefined where they may. */
export function closedTo(
	actor: Actor,
	kind: EntryKind,
	byId: string,
	row: Readonly<Record<string, unknown>>
): string | undefined {
	if (actor.licensed) return undefined;
	if (LICENSED.has(kind) || bindsDay(kind, row) || bindsWay(kind, row))
		return 'A licensed user takes this out.';
	return byId === actor.memberId
		? undefined
		: 'A colleague entered this; they or a licensed user take it out.';
}

export const takeOutEntry = command<TakeOut & { readonly clientId: string }, true>({
	verb: 'put right',
	id: (x) => x.id,
	client: (x) => x.clientId,
	run: async (x, run) => {
		const { t, ctx } = run;
		const found = await entry(t, x.clientId, x.kind, x.entryId);
		const r = await run.record();
		if (found === undefined || r === undefined) return notFound;
		const closed = closedTo(ctx.actor, x.kind, found.byId, found.content);
		if (closed !== undefined) return refuseFor(closed, 'reason');
		if ((await takeOut(t, x.kind, found.content, x)) === 'conflict')
			return conflict('This entry no longer stands: it was corrected or taken out meanwhile.');
		return x.kind === 'complaint' ? withoutRegion(run, r, String(found.content.region)) : ok(true);
	}
});

/** A region of which no complaint stands is treated no more. */
async function withoutRegion({ t, ctx }: Run, r: ClientRecord, region: string): Promise<Outcome<true>> {
	const worked = r.exercises.filter((e) => e.region === region);
	if (worked.length > 0)
		return conflict(
			`The plan works the ${regionName(region)}: end ${worked.map((e) => effectiveChain(e.prescriptions).head.snapshot.title).join(', ')} first.`
		);
	const others = await entries(t, r.head.id, { only: 'complaint', size: 1000 });
	if (others.some((e) => e.after === null && e.content.region === region)) return ok(true);
	const { [region]: _, ...usual } = r.head.setting.usual;
	return (await replaceSetting(t, r.head, newId(ctx.now), { ...r.head.setting, usual })) === 'conflict'
		? conflict('Somebody changed these settings meanwhile; reload to see them.')
		: ok(true);
}
