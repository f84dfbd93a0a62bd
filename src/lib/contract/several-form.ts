/** Several steps ticked on one list, as a form: rows "take.0", "family.0", "step.0", "exerciseId.0", … for one region. */
import { z } from 'zod';
import { text, unparsed, uuid, type Unparsed } from './basics.ts';

/** Rows of one list at most. */
export const MOST_ROWS = 40;

const head = z.object({ id: uuid, region: text(40).min(1, 'Choose the region it is for.') });
const row = z.object({
	id: uuid,
	exerciseId: uuid,
	family: text(40).min(1, 'Choose a family.'),
	step: text(60).min(1, 'Choose a step.')
});

export interface Picked extends z.infer<typeof row> {
	readonly region: string;
}
export type SeveralForm =
	{ readonly ok: true; readonly id: string; readonly picked: readonly Picked[] } | Unparsed;

/** What was ticked; nothing ticked is refused. */
export function parseSeveral(form: FormData): SeveralForm {
	const first = head.safeParse({ id: form.get('id'), region: form.get('region') });
	if (!first.success)
		return unparsed(first.error.issues.map((i) => ({ field: i.path.join('.'), message: i.message })));
	const picked: Picked[] = [];
	for (let i = 0; i < MOST_ROWS; i++) {
		if (form.get(`take.${i}`) !== 'on') continue;
		const one = row.safeParse(
			Object.fromEntries(Object.keys(row.shape).map((k) => [k, form.get(`${k}.${i}`)]))
		);
		if (!one.success)
			return unparsed([
				{ field: `take.${i}`, message: 'This row has lost what it stood for; reload the page.' }
			]);
		picked.push({ ...one.data, region: first.data.region });
	}
	if (picked.length === 0) return unparsed([{ field: '', message: 'Tick at least one exercise.' }]);
	return { ok: true, id: first.data.id, picked };
}
