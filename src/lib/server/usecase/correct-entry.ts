/**
 * Puts one entry right in its place: the new value follows the old one, with the reason, and the old one stays to be read. Whoever may take an entry out
 * may put it right; what could not have been entered cannot be corrected to either; a range far from all others is asked about first.
 */
import { questionnaire } from '#lib/catalogue/questionnaires.ts';
import { RANGES } from '#lib/catalogue/ranges.ts';
import type { Columns } from '#lib/contract/entry.ts';
import type { SheetTest } from '#lib/contract/measure-form.ts';
import { ok } from '#lib/core/base/result.ts';
import { changedIn } from '#lib/core/client/correctable.ts';
import type { EntryKind } from '#lib/core/client/entry-kind.ts';
import { acceptTotal } from '#lib/core/measure/questionnaire.ts';
import { farFromAll, measuredRange } from '#lib/core/measure/range.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import type { Session } from '#lib/core/session/record.ts';
import type { ClientRecord } from '../record/load.ts';
import { entry, putRight } from '../repo/entry-repo.ts';
import { conflict, invalid, notFound, refuseFor, type Outcome } from './actor.ts';
import { replaceSetting } from './change-setting.ts';
import { command, type Run } from './command.ts';
import { newId } from './new-id.ts';
import { testTrouble } from './save-sheet.ts';
import { closedTo } from './take-out.ts';

export interface Correction {
	readonly id: string;
	readonly clientId: string;
	readonly kind: EntryKind;
	readonly entryId: string;
	readonly reason: string;
	/** What is right, by column; a column that is left out stays as it is. */
	readonly values: Columns;
	/** A value that looks wrong was confirmed. */
	readonly sure: boolean;
}

type Row = Readonly<Record<string, unknown>>;

export const correctEntry = command<Correction, true>({
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
		const patch = changedIn(x.values, found.content);
		if (patch === undefined)
			return conflict('This entry is not what it was when the page was made; reload to see it.');
		if (Object.keys(patch).length === 0)
			return invalid('reason', 'Nothing is changed: type what is right, or take the entry out.');
		const wrong = wrongIn(r, x, { ...found.content, ...patch });
		if (wrong !== undefined) return wrong;
		if ((await putRight(t, x.kind, found.content, { ...x, patch })) === 'conflict')
			return conflict('This entry no longer stands: it was corrected or taken out meanwhile.');
		return x.kind === 'complaint' ? usualFollows(run, r, { ...found.content, ...patch }) : ok(true);
	}
});

/** What could not have been entered, by the rules of its kind; a value far from all others is asked about. */
function wrongIn(r: ClientRecord, x: Correction, row: Row): Outcome<never> | undefined {
	switch (x.kind) {
		case 'range':
			return wrongRange(r, x, row);
		case 'test': {
			const wrong = testTrouble({
				test: String(row.test),
				side: row.side as SheetTest['side'],
				value: Number(row.value_hundredths) / 100,
				extras: (row.extras ?? {}) as SheetTest['extras']
			});
			return wrong === undefined ? undefined : invalid('value_hundredths', wrong[1]);
		}
		case 'total': {
			const spec = questionnaire(String(row.instrument));
			const accepted = spec === undefined ? undefined : acceptTotal(spec, Number(row.total_hundredths) / 100);
			return accepted === undefined || accepted.ok
				? undefined
				: invalid('total_hundredths', accepted.refusal.message);
		}
		case 'session':
			return wrongSession(row);
		case 'complaint':
			return Number(row.usual_morning) > Number(row.worst)
				? invalid('usual_morning', 'A usual morning above the worst cannot be; one of the two is mistyped.')
				: undefined;
		default:
			return undefined;
	}
}

const FIELD = {
	onset: 'onset_tenths',
	tolerable: 'tolerable_tenths',
	end: 'end_tenths',
	pain: 'pain'
} as const;

function wrongRange(r: ClientRecord, x: Correction, row: Row): Outcome<never> | undefined {
	const axis = row.axis as RangeId;
	const deg = (column: string): number => Number(row[column]) / 10;
	const end = deg('end_tenths');
	const judged = measuredRange(RANGES[axis], {
		onset: deg('onset_tenths'),
		tolerable: deg('tolerable_tenths'),
		end,
		pain: Number(row.pain)
	});
	if (!judged.ok)
		return invalid(FIELD[(judged.refusal.field ?? 'end') as keyof typeof FIELD], judged.refusal.message);
	const others = r.measurements.filter((m) => m.axis === axis && m.id !== x.entryId);
	const ends = (own: boolean): number[] =>
		others.filter((m) => (m.side === row.side) === own).map((m) => m.end);
	return !x.sure && farFromAll(end, ends(true), ends(false))
		? invalid('sure', `Far from every other reading. Sure? ${Math.round(end)}°. Tick that it is as entered.`)
		: undefined;
}

/** A worst below both before and after, and more done clean, or before the load was let down, than was done, cannot be. */
function wrongSession(row: Row): Outcome<never> | undefined {
	const { pains, sets } = row as unknown as Pick<Session, 'pains' | 'sets'>;
	const pain = pains.findIndex(
		({ before, peak = 10, after }) => before !== undefined && peak < before && peak < (after ?? 0)
	);
	if (pain >= 0)
		return invalid(`pains.${pain}.peak`, 'The worst is at least what it was before or after the session.');
	const set = sets.findIndex(
		({ reps, cleanReps = 0, otherClean = 0, drop }) =>
			reps < Math.max(cleanReps, otherClean, drop?.afterReps ?? 0)
	);
	return set < 0
		? undefined
		: invalid(`sets.${set}.reps`, `Set ${set + 1}: more was seen clean, or before the load was let down.`);
}

/** The usual morning that decisions begin from is the corrected one. */
async function usualFollows({ t, ctx }: Run, r: ClientRecord, row: Row): Promise<Outcome<true>> {
	const { setting } = r.head;
	const region = String(row.region);
	const usual = {
		...setting.usual,
		[region]: { ...setting.usual[region], intake: Number(row.usual_morning) }
	};
	return (await replaceSetting(t, r.head, newId(ctx.now), { ...setting, usual })) === 'conflict'
		? conflict('Somebody changed these settings meanwhile; reload to see them.')
		: ok(true);
}
