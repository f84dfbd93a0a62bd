/**
 * Everything that was entered of a client, as it stands in its tables: what stands, what was put in its place, what was taken out and why. Taking
 * out appends a voided successor with the same content; nothing is ever removed.
 */
import { sql, type RawBuilder } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { EntryKind } from '#lib/core/client/entry-kind.ts';
import { append, type Append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

const TABLE = {
	range: 'measurement',
	test: 'test_result',
	total: 'questionnaire_total',
	session: 'exercise_log',
	morning: 'checkin',
	event: 'day_event',
	complaint: 'complaint',
	goal: 'goal',
	operation: 'surgery',
	limit: 'protocol_limit',
	arrival: 'arrival',
	note: 'note',
	contact: 'contact',
	story: 'story',
	repeated: 'repeated_movement',
	attachment: 'attachment'
} as const satisfies Readonly<Record<EntryKind, string>>;
const KINDS = Object.keys(TABLE) as readonly EntryKind[];

export interface Entry {
	readonly kind: EntryKind;
	readonly id: string;
	readonly day: Day;
	readonly by: string;
	readonly byId: string;
	/** The row as it is kept, by its columns. */
	readonly content: Readonly<Record<string, unknown>>;
	/** What came after it: taken out, or another value in its place. */
	readonly after: { readonly voided: boolean; readonly reason: string | null; readonly by: string } | null;
}

interface Row {
	kind: EntryKind;
	id: string;
	local_day: Day | null;
	recorded_day: Day;
	member: string | null;
	written_by: string;
	content: Record<string, unknown>;
	after_voided: boolean | null;
	after_reason: string | null;
	after_member: string | null;
}

/** Sessions have their day from their visit and their name from what was given. */
const more = (kind: EntryKind): RawBuilder<unknown> =>
	kind === 'session'
		? sql`to_jsonb(x) || (select jsonb_build_object('local_day', v.local_day, 'title', p.snapshot->>'title') from visit v, prescription p where v.practice_id = x.practice_id and v.id = x.visit_id and p.practice_id = x.practice_id and p.id = x.prescription_id)`
		: kind === 'note'
			? sql`to_jsonb(x) || jsonb_build_object(
				'title', (select p.snapshot->>'title' from prescription p
					where p.practice_id = x.practice_id and p.exercise_id = x.exercise_id order by p.recorded_at desc limit 1),
				'visit_day', (select v.local_day from visit v where v.practice_id = x.practice_id and v.id = x.visit_id),
				'flag', (select f.code from flag f where f.practice_id = x.practice_id and f.id = x.flag_id))`
			: kind === 'attachment'
				? sql`jsonb_build_object('id', x.id, 'local_day', x.local_day, 'kind', x.kind, 'title', x.title, 'media', x.media, 'size', x.size)`
				: sql`to_jsonb(x)`;

const oneKind = (kind: EntryKind, clientId: string): RawBuilder<unknown> =>
	sql`select ${kind}::text as kind, x.id, x.recorded_at, x.written_by, ${more(kind)} as content, s.voided as after_voided, s.reason as after_reason, s.written_by as after_by
		from ${sql.table(TABLE[kind])} x left join ${sql.table(TABLE[kind])} s on s.practice_id = x.practice_id and s.replaces_id = x.id
		where x.client_id = ${clientId} and not x.voided`;

/** Latest day first; `from` and `size` page through them. */
export async function entries(
	t: PracticeTransaction,
	clientId: string,
	{
		from = 0,
		size = 100,
		only
	}: { readonly from?: number; readonly size?: number; readonly only?: string } = {}
): Promise<readonly Entry[]> {
	const kinds = only === undefined ? KINDS : KINDS.filter((k) => k === only);
	if (kinds.length === 0) return [];
	const all = sql.join(
		kinds.map((k) => oneKind(k, clientId)),
		sql` union all `
	);
	const { rows } = await sql<Row>`
		select e.kind, e.id, (e.content->>'local_day')::date as local_day, e.recorded_at::date as recorded_day, m.name as member, e.written_by, e.content,
			e.after_voided, e.after_reason, a.name as after_member
		from (${all}) e left join member m on m.id = e.written_by left join member a on a.id = e.after_by
		order by 3 desc nulls last, e.recorded_at desc, e.id limit ${size} offset ${from}`.execute(t.trx);
	return rows.map((r) => ({
		kind: r.kind,
		id: r.id,
		day: r.local_day ?? r.recorded_day,
		by: r.member ?? 'unknown',
		byId: r.written_by,
		content: r.content,
		after:
			r.after_voided === null
				? null
				: {
						voided: r.after_voided,
						reason: r.after_reason,
						by: r.after_member ?? 'unknown'
					}
	}));
}

/** One entry of a client; undefined where there is none of this kind. */
export async function entry(
	t: PracticeTransaction,
	clientId: string,
	kind: EntryKind,
	id: string
): Promise<{ readonly byId: string; readonly content: Record<string, unknown> } | undefined> {
	// A file that is taken out is not copied: what stands in its row is empty.
	const columns = kind === 'attachment' ? sql`x.*, ''::bytea as bytes` : sql`x.*`;
	const { rows } = await sql<Record<string, unknown>>`
		select ${columns} from ${sql.table(TABLE[kind])} x where x.client_id = ${clientId} and x.id = ${id} and not x.voided`.execute(
		t.trx
	);
	const [row] = rows;
	return row === undefined ? undefined : { byId: String(row.written_by), content: row };
}

const KEPT_BY_APPEND = new Set([
	'practice_id',
	'id',
	'written_by',
	'recorded_at',
	'change',
	'content_hash',
	'replaces_id',
	'voided',
	'reason'
]);

/** The content of a row as it is written again: without what appending keeps, JSON as text. */
const again = (content: Readonly<Record<string, unknown>>): Record<string, unknown> =>
	Object.fromEntries(
		Object.entries(content)
			.filter(([k]) => !KEPT_BY_APPEND.has(k))
			.map(([k, v]) => [
				k,
				v !== null && typeof v === 'object' && !(v instanceof Date) && !Buffer.isBuffer(v)
					? JSON.stringify(v)
					: v
			])
	);

interface Follows {
	readonly id: string;
	readonly reason: string;
}

/** Appends the same content, voided, after an entry; a second one is a conflict. */
export const takeOut = (
	t: PracticeTransaction,
	kind: EntryKind,
	content: Readonly<Record<string, unknown>>,
	{ id, reason }: Follows
): Promise<Append> =>
	append(t, TABLE[kind], {
		...again(content),
		id,
		replaces_id: String(content.id),
		voided: true,
		reason
	} as never);

/** Appends the content with some columns changed, after an entry, with the reason; a second one is a conflict. */
export const putRight = (
	t: PracticeTransaction,
	kind: EntryKind,
	content: Readonly<Record<string, unknown>>,
	{ id, reason, patch }: Follows & { readonly patch: Readonly<Record<string, unknown>> }
): Promise<Append> =>
	append(t, TABLE[kind], {
		...again({ ...content, ...patch }),
		id,
		replaces_id: String(content.id),
		reason
	} as never);
