/**
 * Puts one entry right in its place: the new value follows the old one, with the reason, and the old one stays to be read. Whoever may take an entry out
 * may put it right; what could not have been entered cannot be corrected to either; a range far from all others is asked about first.
 */
import { testSpec } from '#lib/catalogue/function-tests.ts';
import { questionnaire } from '#lib/catalogue/questionnaires.ts';
import { RANGES } from '#lib/catalogue/ranges.ts';
import { ok } from '#lib/core/base/result.ts';
import { CORRECTABLE, type Correctable } from '#lib/core/client/correctable.ts';
import type { EntryKind } from '#lib/core/client/entry-kind.ts';
import { acceptTotal } from '#lib/core/measure/questionnaire.ts';
import { farFromAll, measuredRange } from '#lib/core/measure/range.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import { loadRecords, type ClientRecord } from '../record/load.ts';
import { entry, putRight } from '../repo/entry-repo.ts';
import { conflict, invalid, notFound, refuseFor, type Outcome } from './actor.ts';
import { replaceSetting } from './change-setting.ts';
import { command, type Run } from './command.ts';
import { newId } from './new-id.ts';
import { closedTo } from './take-out.ts';

export interface Correction {
	readonly id: string;
	readonly clientId: string;
	readonly kind: EntryKind;
	readonly entryId: string;
	readonly reason: string;
	/** What was typed, by column; a column that is left out stays as it is. */
	readonly values: Readonly<Record<string, string>>;
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
		const [r] = await loadRecords(t, x.clientId);
		if (found === undefined || r === undefined) return notFound;
		const closed = closedTo(ctx.actor, x.kind, found.byId, found.content);
		if (closed !== undefined) return refuseFor(closed, 'reason');
		const patch = patchOf(x, found.content);
		if (!patch.ok) return patch;
		if (Object.keys(patch.value).length === 0)
			return invalid('reason', 'Nothing is changed: type what is right, or take the entry out.');
		const wrong = wrongIn(r, x, { ...found.content, ...patch.value });
		if (wrong !== undefined) return wrong;
		if ((await putRight(t, x.kind, found.content, { ...x, patch: patch.value })) === 'conflict')
			return conflict('This entry no longer stands: it was corrected or taken out meanwhile.');
		return x.kind === 'complaint' ? usualFollows(run, r, { ...found.content, ...patch.value }) : ok(true);
	}
});

/** The columns that change, in the column's own unit; a field that is no number or out of bounds is refused. */
function patchOf(x: Correction, before: Row): Outcome<Readonly<Record<string, string | number>>> {
	const out: Record<string, string | number> = {};
	for (const c of CORRECTABLE[x.kind]) {
		const typed = x.values[c.column]?.trim();
		if (typed === undefined || typed === '') continue;
		const value = c.per === undefined ? textOf(c, typed) : numberOf(c, c.per, typed);
		if (!value.ok) return value;
		if (value.value !== before[c.column]) out[c.column] = value.value;
	}
	return ok(out);
}

const textOf = (c: Correctable, typed: string): Outcome<string> =>
	typed.length > (c.most ?? Infinity)
		? invalid(c.column, `At most ${c.most} characters.`)
		: typed.includes('\0')
			? invalid(c.column, 'Text may not hold a NUL character.')
			: ok(typed);

function numberOf(c: Correctable, per: number, typed: string): Outcome<number> {
	const n = Number(typed.replace(',', '.').replace('−', '-'));
	const bounds = `${c.low} to ${c.high}${c.unit === undefined ? '' : ` ${c.unit}`}`;
	if (!/^[-−+]?\d+([.,]\d+)?$/.test(typed) || !Number.isFinite(n))
		return invalid(c.column, `${c.label}: “${typed.slice(0, 20)}” is not a number; give ${bounds}.`);
	if (n < (c.low ?? -Infinity) || n > (c.high ?? Infinity))
		return invalid(c.column, `${c.label}: ${n} is outside ${bounds}.`);
	if (per === 1 && !Number.isInteger(n))
		return invalid(c.column, `${c.label}: give a whole number, ${bounds}.`);
	return ok(Math.round(n * per));
}

/** What could not have been entered, by the rules of its kind; a value far from all others is asked about. */
function wrongIn(r: ClientRecord, x: Correction, row: Row): Outcome<never> | undefined {
	switch (x.kind) {
		case 'range':
			return wrongRange(r, x, row);
		case 'test': {
			const spec = testSpec(String(row.test));
			const value = Number(row.value_hundredths) / 100;
			if (spec === undefined) return undefined;
			const [low, high] = spec.possible;
			if (value < low || value > high)
				return invalid(
					'value_hundredths',
					`${spec.title}: ${value} is outside ${low} to ${high} ${spec.unit}.`
				);
			return spec.whole === true && !Number.isInteger(value)
				? invalid('value_hundredths', `${spec.title} is counted in whole ${spec.unit}.`)
				: undefined;
		}
		case 'total': {
			const spec = questionnaire(String(row.instrument));
			const accepted = spec === undefined ? undefined : acceptTotal(spec, Number(row.total_hundredths) / 100);
			return accepted === undefined || accepted.ok
				? undefined
				: invalid('total_hundredths', accepted.refusal.message);
		}
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
