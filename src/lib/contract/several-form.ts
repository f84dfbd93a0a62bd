/** Rows ticked on one list, as a form: "take.0" with its fields "family.0", "step.0", …: steps to prescribe, slips to sign. */
import { z } from 'zod';
import { text, unparsed, uuid, type Unparsed } from './basics.ts';

/** Rows of one list at most. */
export const MOST_ROWS = 40;

const head = z.object({ id: uuid, region: text(40).min(1, 'Choose the region it is for.') });
const step = z.object({
	id: uuid,
	exerciseId: uuid,
	family: text(40).min(1, 'Choose a family.'),
	step: text(60).min(1, 'Choose a step.'),
	/** Its sets are rounds of a circuit. */
	rounds: z.enum(['', 'on']).nullish()
});
const slip = z.object({
	id: uuid,
	prescriptionId: uuid,
	exerciseId: uuid,
	basedOn: uuid,
	hash: text(64).min(1, 'This slip has lost its mark; reload the page.')
});

type Rows<T> = { readonly ok: true; readonly rows: readonly T[] } | Unparsed;

/** What was ticked; a row that is broken is refused by its number. */
function tickedRows<S extends z.ZodObject>(form: FormData, row: S, nothing: string): Rows<z.infer<S>> {
	const rows: z.infer<S>[] = [];
	for (let i = 0; i < MOST_ROWS; i++) {
		if (form.get(`take.${i}`) !== 'on') continue;
		const one = row.safeParse(
			Object.fromEntries(Object.keys(row.shape).map((k) => [k, form.get(`${k}.${i}`)]))
		);
		if (!one.success)
			return unparsed([
				{ field: `take.${i}`, message: 'This row has lost what it stood for; reload the page.' }
			]);
		rows.push(one.data);
	}
	return rows.length === 0 ? unparsed([{ field: '', message: nothing }]) : { ok: true, rows };
}

export interface Picked extends Omit<z.infer<typeof step>, 'rounds'> {
	readonly region: string;
	readonly rounds?: true;
}
export type SeveralForm =
	{ readonly ok: true; readonly id: string; readonly picked: readonly Picked[] } | Unparsed;

/** Steps to prescribe for the one region; nothing ticked is refused. */
export function parseSeveral(form: FormData): SeveralForm {
	const first = head.safeParse({ id: form.get('id'), region: form.get('region') });
	if (!first.success)
		return unparsed(first.error.issues.map((i) => ({ field: i.path.join('.'), message: i.message })));
	const { id, region } = first.data;
	const found = tickedRows(form, step, 'Tick at least one exercise.');
	if (!found.ok) return found;
	const picked = found.rows.map(({ rounds, ...row }): Picked => ({
		...row,
		region,
		...(rounds === 'on' ? { rounds: true } : {})
	}));
	return { ok: true, id, picked };
}

export type SlipsForm =
	{ readonly ok: true; readonly id: string; readonly slips: readonly z.infer<typeof slip>[] } | Unparsed;

/** Slips to sign as they were shown; nothing ticked is refused. */
export function parseSlips(form: FormData): SlipsForm {
	const id = uuid.safeParse(form.get('id'));
	if (!id.success) return unparsed([{ field: '', message: 'The form has lost its ids; reload the page.' }]);
	const found = tickedRows(form, slip, 'Tick at least one slip.');
	return found.ok ? { ok: true, id: id.data, slips: found.rows } : found;
}
