/** Several clients at once: today's work of each as it stands, and who may come onto the floor besides. Each reading is entered in the access log. */
import { ok } from '#lib/core/base/result.ts';
import { MOST_ON_FLOOR, type FloorClient, type FloorView } from '#lib/contract/floor.ts';
import { append } from '../db/append.ts';
import { cardOn } from '../record/facts-of.ts';
import { loadRecords, type ClientRecord } from '../record/load.ts';
import { arrivedOn, clientsNamed } from '../repo/client-list-repo.ts';
import { mineView } from '../view/mine-view.ts';
import { allow, inZone, type Context, type Outcome } from './actor.ts';
import { newId } from './new-id.ts';

/** Read by whoever treats, in the practice's language. */
const NOWHERE = { emergency: '', emergencyWords: '', weekStart: 1, language: 'en' as const };

function onFloor(ctx: Context, r: ClientRecord): FloorClient {
	const { today, tz } = inZone(ctx, r.head.tz);
	const mine = mineView(r, [], { today, tz, now: ctx.now, practice: ctx.actor.practice, ...NOWHERE });
	const pains = (cardOn(r, today)?.pains ?? []).flatMap((p) =>
		p.now === undefined ? [] : [[`${p.region}.before`, String(p.now)] as const]
	);
	return {
		...{ clientId: r.head.id, name: r.head.name, today, work: mine.work, arrived: mine.arrived },
		...{ before: Object.fromEntries(pains), flag: mine.flag !== null }
	};
}

/**
 * @param ids whom to show; null shows who arrived today
 * @param find a part of the name of who may come onto it besides; null asks for nobody
 */
export async function showFloor(
	ctx: Context,
	ids: readonly string[] | null,
	find: string | null = null
): Promise<Outcome<FloorView>> {
	const may = allow(ctx.actor, 'log visit');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		const chosen = ids ?? (await arrivedOn(t, ctx.today)).slice(0, MOST_ON_FLOOR);
		const records = chosen.length === 0 ? [] : await loadRecords(t, chosen);
		const known = new Map(records.map((r) => [r.head.id, r]));
		for (const r of records)
			await append(t, 'access_log', { id: newId(ctx.now), client_id: r.head.id, what: 'the floor' });
		return ok({
			clients: chosen.flatMap((id) => {
				const r = known.get(id);
				return r === undefined ? [] : [onFloor(ctx, r)];
			}),
			others: find === null ? null : await clientsNamed(t, find, [...known.keys()]),
			ofToday: ids === null
		});
	});
}
