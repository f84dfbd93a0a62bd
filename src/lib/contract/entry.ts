/** What was entered of a client, and taking it out, as a page and a form. */
import { z } from 'zod';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { correctable, type Correctable } from '#lib/core/client/correctable.ts';
import { ENTRY_KINDS, type EntryKind } from '#lib/core/client/entry-kind.ts';
import {
	reasonGiven,
	text,
	typed,
	typedWhole,
	unparsed,
	uuid,
	type FieldIssue,
	type Unparsed
} from './basics.ts';

export interface EntryView {
	readonly kind: EntryKind;
	readonly id: string;
	readonly day: Day;
	readonly text: string;
	readonly by: string;
	/** It stands; another took its place; it was taken out. */
	readonly state: 'stands' | 'replaced' | 'out';
	/** By whom and why it no longer stands. */
	readonly after: string;
	/** Why this member may not take it out; null where they may. */
	readonly closed: string | null;
	/** What can be put right in its place; empty where it is taken out and entered anew. */
	readonly fields: readonly {
		readonly column: string;
		readonly label: string;
		readonly unit: string;
		readonly value: string;
	}[];
}

export const WHAT_WAS_WRONG = 'Say in a few words what was wrong with it.';

export const takeOutForm = z.object({
	id: uuid,
	kind: z.enum(ENTRY_KINDS, 'This is no entry of the record.'),
	entryId: uuid,
	reason: reasonGiven(WHAT_WAS_WRONG)
});
/** Of a correction beside its fields: which entry, why, and whether what looks wrong was confirmed. */
export const correctForm = takeOutForm.extend({ sure: z.literal('on').optional() });

export type TakeOut = z.infer<typeof takeOutForm>;

/** What is put right, by column, in the column's own unit. */
export type Columns = Readonly<Record<string, string | number>>;

const fieldOf = (c: Correctable) =>
	c.per === undefined
		? text(c.most ?? 0)
		: (c.per === 1 ? typedWhole : typed)(c.label, c.low ?? -Infinity, c.high ?? Infinity, c.unit);

/** The fields of a correction are columns; each kind has its own, what is no column of it is not read, and what is left empty stays as it is. */
export function parseCorrection(
	kind: EntryKind,
	form: ReadonlyMap<string, string>
): { readonly ok: true; readonly value: Columns } | Unparsed {
	const issues: FieldIssue[] = [];
	const value: Record<string, string | number> = {};
	for (const [column, typedIn] of form) {
		const c = correctable(kind, column);
		if (c === undefined) continue;
		const parsed = fieldOf(c).safeParse(typedIn);
		if (!parsed.success) issues.push({ field: c.column, message: parsed.error.issues[0]?.message ?? '' });
		else if (typeof parsed.data === 'number') value[c.column] = Math.round(parsed.data * (c.per ?? 1));
		else if (parsed.data !== undefined && parsed.data !== '') value[c.column] = parsed.data;
	}
	return issues.length > 0 ? unparsed(issues) : { ok: true, value };
}
