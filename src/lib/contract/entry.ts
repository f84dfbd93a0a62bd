/** What was entered of a client, and taking it out, as a page and a form. */
import { z } from 'zod';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ENTRY_KINDS, type EntryKind } from '#lib/core/client/entry-kind.ts';
import { text, uuid } from './basics.ts';

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

const LEAST_REASON = 5;

export const takeOutForm = z.object({
	id: uuid,
	kind: z.enum(ENTRY_KINDS, 'This is no entry of the record.'),
	entryId: uuid,
	reason: text(300).refine((s) => s.length >= LEAST_REASON, 'Say in a few words what was wrong with it.')
});
/** The fields of a correction are columns; each kind has its own, and what is no column of it is not read. */
export const correctForm = takeOutForm.extend({ sure: z.literal('on').optional() });

export type TakeOut = z.infer<typeof takeOutForm>;
