/** Everything that was entered of a client, latest day first, as a page shows it. */
import { CONTACT_ROLES, type Contact } from '#lib/contract/note-form.ts';
import type { EntryView } from '#lib/contract/entry.ts';
import { correctableIn, valueAt, type Correctable } from '#lib/core/client/correctable.ts';
import { regionName } from '#lib/wording/names.ts';
import { entryText } from '#lib/wording/entries.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { entries, type Entry } from '../repo/entry-repo.ts';
import type { VisitNote } from '../view/visits.ts';
import type { Actor } from './actor.ts';
import { closedTo } from './take-out.ts';

/** Entries of one page. */
export const PAGE_SIZE = 60;

const valueOf = (kept: unknown, per: number | undefined): string =>
	kept === null || kept === undefined ? '' : per === undefined ? String(kept) : String(Number(kept) / per);

/** A pain says of which region it is. */
function labelOf({ column, label }: Correctable, row: Entry['content']): string {
	const [list, i] = column.split('.');
	return list === 'pains' ? `${label}, ${regionName(String(valueAt(row, `pains.${i}.region`)))}` : label;
}

function viewOf(e: Entry, actor: Actor): EntryView {
	const { after } = e;
	return {
		kind: e.kind,
		id: e.id,
		day: e.day,
		text: entryText(e.kind, e.content),
		by: e.by,
		state: after === null ? 'stands' : after.voided ? 'out' : 'replaced',
		after:
			after === null
				? ''
				: `${after.voided ? 'taken out' : 'another took its place'}, by ${after.by}${after.reason === null || after.reason === '' ? '' : `: ${after.reason}`}`,
		closed: after === null ? (closedTo(actor, e.kind, e.byId, e.content) ?? null) : null,
		fields:
			after !== null
				? []
				: correctableIn(e.kind, e.content).map((c) => ({
						column: c.column,
						label: labelOf(c, e.content),
						unit: c.unit ?? '',
						value: valueOf(valueAt(e.content, c.column), c.per)
					}))
	};
}

/** Notes of visits, those that stand, oldest first. */
export async function visitNotes(t: PracticeTransaction, clientId: string): Promise<readonly VisitNote[]> {
	const all = await entries(t, clientId, { only: 'note', size: 1000 });
	return all
		.filter((e) => e.after === null && e.content.visit_id !== null)
		.map((e) => ({ visitId: String(e.content.visit_id), body: String(e.content.body) }))
		.reverse();
}

/** Whom to call, those that stand. */
export async function contactsOf(t: PracticeTransaction, clientId: string): Promise<readonly Contact[]> {
	const all = await entries(t, clientId, { only: 'contact', size: 1000 });
	return CONTACT_ROLES.flatMap((role) =>
		all
			.filter((e) => e.after === null && e.content.role === role)
			.map((e) => ({ role, name: String(e.content.name), phone: String(e.content.phone) }))
	);
}

export async function entryViews(
	t: PracticeTransaction,
	clientId: string,
	actor: Actor,
	asked: { readonly from: number; readonly only?: string }
): Promise<{ readonly entries: readonly EntryView[]; readonly more: boolean }> {
	const found = await entries(t, clientId, { ...asked, size: PAGE_SIZE + 1 });
	return { entries: found.slice(0, PAGE_SIZE).map((e) => viewOf(e, actor)), more: found.length > PAGE_SIZE };
}
