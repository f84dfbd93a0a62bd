/** Who a client is and what stands before everything: setting, screening, flags, surgery, protocol limits. One query. */
import { sql, type RawBuilder } from 'kysely';
import type { Side } from '#lib/core/body/axis.ts';
import type { ArrivalAnswer, ArrivalKept } from '#lib/core/decision/arrival.ts';
import type { ProtocolWhen } from '#lib/core/client/envelope.ts';
import type { LimitAxis, Phase } from '#lib/core/client/protocol.ts';
import type { Symptom } from '#lib/core/session/record.ts';
import type { ScreenAnswers, Severity, Urgency } from '#lib/core/client/screening.ts';
import type { Sex } from '#lib/core/measure/range-kind.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { PlanOrder } from '#lib/core/exercise/plan-order.ts';
import type { SignedWeek, WeekContent } from '#lib/core/plan/signed-week.ts';
import type { LinkKept } from '#lib/core/client/due.ts';
import type { Surgery as SurgeryShown } from '#lib/contract/view.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import type { Story } from '#lib/core/client/story.ts';
import type { Repeated } from '#lib/core/client/repeated.ts';
import { isHead, ofClient, type Whose } from '../db/heads.ts';
import { type Setting, settingOf, type SettingRow } from './setting-row.ts';

export interface Flag {
	readonly id: string;
	readonly code: string;
	readonly region: string | null;
	readonly severity: Severity;
	readonly urgency: Urgency | null;
	readonly day: Day;
	readonly open: boolean;
	readonly closedOn: Day | null;
	readonly closing: {
		readonly by: 'licensed' | 'external';
		readonly mistaken: boolean;
		readonly note: string;
		readonly clearedBy: string | null;
		readonly clearedOn: Day | null;
		readonly document: string | null;
	} | null;
}

export interface Limit {
	readonly id: string;
	readonly axis: LimitAxis;
	readonly side: Side;
	readonly minDeg?: number;
	readonly maxDeg?: number;
	readonly when: ProtocolWhen;
	readonly source: string;
	readonly reviewOn: Day | null;
	/** Day it was entered; it restarts the streaks of its region. */
	readonly since: Day | null;
}

/** An operation as it is shown, and what the record asks of it besides. */
export interface Surgery extends SurgeryShown {
	/** Day it was entered; it restarts the streaks of its region. */
	readonly enteredOn: Day | null;
	readonly protocol: (NonNullable<SurgeryShown['protocol']> & { readonly id: string }) | null;
}

/** What an arrival card closed and said, as it was kept; older cards say nothing of it. */
export type ArrivalSaid = Partial<ArrivalKept>;

export interface Arrived {
	readonly id: string;
	readonly day: Day;
	readonly answer: ArrivalAnswer;
	readonly said: ArrivalSaid;
	/** Why a licensed user opened the day all the same. */
	readonly openedBecause: string | null;
	/** When it was filled in, or opened, ISO. */
	readonly at: string;
	readonly pains: readonly { readonly region: string; readonly now?: number }[];
}

/** A symptom that a licensed user agreed is as usual for this client, until a day. */
export interface KnownSymptom {
	readonly region: string;
	readonly symptom: Symptom;
	readonly until: Day;
}

export interface ClientHead {
	readonly id: string;
	readonly tz: string;
	readonly openedOn: Day;
	readonly name: string;
	readonly born: Day;
	readonly occupation: string | null;
	readonly sex: Sex | null;
	readonly setting: Setting;
	readonly screening: {
		readonly date: Day;
		readonly complete: boolean;
		readonly answers: ScreenAnswers;
	} | null;
	readonly flags: readonly Flag[];
	readonly surgery: readonly Surgery[];
	readonly known: readonly KnownSymptom[];
	/** Arrival cards of the last two months that stand, oldest first. */
	readonly arrivals: readonly Arrived[];
	readonly limits: readonly Limit[];
	/** What was told of each sore place. */
	readonly stories: readonly (Story & { readonly id: string; readonly region: string })[];
	/** Repeated movements of the back, oldest first. */
	readonly repeated: readonly Repeated[];
	/** Steps that are never given to this client, with the reason. */
	readonly leftOut: readonly { readonly id: string; readonly step: string; readonly because: string }[];
	/** The course the client is on; null where on none. */
	readonly course: {
		readonly id: string;
		readonly course: string;
		readonly region: string;
		readonly day: Day;
	} | null;
	/** The week that was signed; null where none was. */
	readonly week: SignedWeek | null;
	/** The link of the client's own page that stands; null where none was given, or it was taken back. */
	readonly link: LinkKept | null;
	/** How the plan was arranged by hand; null where nobody did. */
	readonly planOrder: { readonly id: string; readonly groups: PlanOrder } | null;
}

interface Row {
	id: string;
	tz: string;
	opened_on: string;
	name: string;
	born: string;
	occupation: string | null;
	sex: Sex | null;
	setting: SettingRow | null;
	screening: { local_day: string; complete: boolean; answers: ScreenAnswers } | null;
	flags: {
		id: string;
		code: string;
		region: string | null;
		severity: Severity;
		urgency: Urgency | null;
		local_day: string;
		closing: ClosingRow | null;
	}[];
	surgery: {
		id: string;
		region: string;
		local_day: string;
		limits_entered: boolean;
		operation: string | null;
		no_limits_by: string | null;
		entered_on: string | null;
		protocol: { id: string; source: string; review_on: string | null; phases: readonly Phase[] } | null;
	}[];
	limits: {
		id: string;
		axis: LimitAxis;
		side: Side;
		min_tenths: number | null;
		max_tenths: number | null;
		applies: ProtocolWhen;
		source: string;
		review_on: string | null;
		local_day: string | null;
	}[];
	plan_order: { id: string; groups: PlanOrder } | null;
	course: { id: string; course: string; region: string; local_day: Day } | null;
	stories: { id: string; region: string; body: Story }[];
	repeated: (Omit<Repeated, 'day'> & { local_day: Day })[];
	known: KnownSymptom[];
	left_out: { id: string; step: string; because: string }[];
	week: { id: string; local_day: Day; content: WeekContent } | null;
	link: LinkKept | null;
	arrivals: {
		id: string;
		local_day: string;
		answer: ArrivalAnswer;
		said: ArrivalSaid;
		opened_by: string | null;
		recorded_at: string;
		pains: readonly { region: string; now?: number }[];
	}[];
}

interface ClosingRow {
	local_day: string;
	note: string;
	closed_by: 'licensed' | 'external';
	mistaken: boolean;
	cleared_by: string | null;
	cleared_on: string | null;
	document: string | null;
}

type Sql = RawBuilder<unknown>;

/** Some columns as JSON, by their own names. */
const columns = (alias: string, names: readonly string[]): Sql =>
	sql`jsonb_build_object(${sql.join(names.flatMap((n) => [sql.lit(n), sql.ref(`${alias}.${n}`)]))})`;

/** What stands in a table of the client `c`, as x. */
const ofThem = (table: string): Sql =>
	sql`from ${sql.table(table)} x where x.practice_id = c.practice_id and x.client_id = c.id and ${isHead(table, 'x')}`;
const every = (table: string, what: Sql, order: Sql, also: Sql = sql``): Sql =>
	sql`coalesce((select jsonb_agg(${what} order by ${order}) ${ofThem(table)}${also}), '[]')`;
const newest = (table: string, what: Sql, order: Sql): Sql =>
	sql`(select ${what} ${ofThem(table)} order by ${order} limit 1)`;

const WITH_CLOSING: Sql = sql`to_jsonb(x) || jsonb_build_object('closing',
	(select to_jsonb(k) from flag_closing k where k.practice_id = x.practice_id and k.flag_id = x.id))`;

/** A link's last day, where the client lives; its end taken back again is no link. */
const LINK: Sql = sql`jsonb_build_object('day', x.local_day, 'until', (x.expires_at at time zone c.tz)::date,
	'opened', exists (select 1 from client_device d where d.practice_id = x.practice_id and d.link_id = x.id))`;

/** Operations that stand, each with the protocol of its first entry: a corrected one keeps it. */
const OPERATIONS: Sql = sql`coalesce((with recursive chain as (
	select s.id, s.id as root from surgery s where s.practice_id = c.practice_id and s.client_id = c.id and s.replaces_id is null
	union all select s.id, k.root from surgery s join chain k on s.practice_id = c.practice_id and s.replaces_id = k.id)
	select jsonb_agg(to_jsonb(s) || jsonb_build_object('protocol', (
		select to_jsonb(p) from protocol p
		where p.practice_id = c.practice_id and p.surgery_id = k.root and ${isHead('protocol', 'p')} limit 1)) order by s.local_day)
	from chain k join surgery s on s.practice_id = c.practice_id and s.id = k.id where ${isHead('surgery', 's')}), '[]')`;

/** Clients with a setting, by name; one when an id is given. Another practice's client is simply not there, nor is one who was put away unless asked for. */
export async function clientHeads(
	t: PracticeTransaction,
	whose?: Whose,
	putAway = false
): Promise<readonly ClientHead[]> {
	const { rows } = await sql<Row>`
		select c.id, c.tz, c.opened_on, p.name, p.born, p.occupation, p.sex,
			${newest('client_setting', sql`to_jsonb(x)`, sql`x.recorded_at desc`)} as setting,
			${newest('screening', sql`to_jsonb(x)`, sql`x.local_day desc, x.recorded_at desc`)} as screening,
			${every('flag', WITH_CLOSING, sql`x.local_day`)} as flags,
			${OPERATIONS} as surgery,
			${every('arrival', columns('x', ['id', 'local_day', 'answer', 'said', 'opened_by', 'recorded_at', 'pains']), sql`x.local_day, x.recorded_at`)} as arrivals,
			${newest('plan_order', columns('x', ['id', 'groups']), sql`x.recorded_at desc`)} as plan_order,
			${every('story', columns('x', ['id', 'region', 'body']), sql`x.recorded_at`)} as stories,
			${every('repeated_movement', columns('x', ['way', 'leg', 'repetitions', 'local_day']), sql`x.local_day, x.recorded_at`)} as repeated,
			${newest('client_course', columns('x', ['id', 'course', 'region', 'local_day']), sql`x.recorded_at desc`)} as course,
			${newest('client_week', columns('x', ['id', 'local_day', 'content']), sql`x.recorded_at desc`)} as week,
			${newest('client_link', LINK, sql`x.recorded_at desc`)} as link,
			${every('left_out', columns('x', ['id', 'step', 'because']), sql`x.recorded_at`)} as left_out,
			${every('known_symptom', columns('x', ['region', 'symptom', 'until']), sql`x.recorded_at`)} as known,
			${every('protocol_limit', sql`to_jsonb(x)`, sql`x.axis, x.side`, sql` and not x.lifted`)} as limits
		from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id
		where ${putAway ? sql`true` : sql`c.status = 'active'`} and ${ofClient('c', whose, 'id')}
		order by p.name, c.id`.execute(t.trx);
	return rows.filter((r) => r.setting !== null).map(headOf);
}

function headOf(r: Row): ClientHead {
	const s = r.setting as SettingRow;
	return {
		id: r.id,
		tz: r.tz,
		openedOn: r.opened_on,
		name: r.name,
		born: r.born,
		occupation: r.occupation,
		sex: r.sex,
		setting: settingOf(s),
		screening:
			r.screening === null
				? null
				: { date: r.screening.local_day, complete: r.screening.complete, answers: r.screening.answers },
		flags: r.flags.map(flagOf),
		surgery: r.surgery.map(surgeryOf),
		planOrder: r.plan_order,
		week: r.week === null ? null : { ...r.week.content, id: r.week.id, day: r.week.local_day },
		link: r.link,
		stories: r.stories.map(({ id, region, body }) => ({ ...body, id, region })),
		repeated: r.repeated.map(({ local_day: day, ...x }) => ({ ...x, day })),
		known: r.known,
		course:
			r.course === null
				? null
				: { id: r.course.id, course: r.course.course, region: r.course.region, day: r.course.local_day },
		leftOut: r.left_out,
		arrivals: r.arrivals.map((a) => ({
			id: a.id,
			day: a.local_day,
			answer: a.answer,
			said: a.said,
			openedBecause: a.opened_by,
			at: new Date(a.recorded_at).toISOString(),
			pains: a.pains
		})),
		limits: r.limits.map(limitOf)
	};
}

const limitOf = (l: Row['limits'][number]): Limit => ({
	id: l.id,
	axis: l.axis,
	side: l.side,
	...(l.min_tenths === null ? {} : { minDeg: l.min_tenths / 10 }),
	...(l.max_tenths === null ? {} : { maxDeg: l.max_tenths / 10 }),
	when: l.applies,
	source: l.source,
	reviewOn: l.review_on,
	since: l.local_day
});

const surgeryOf = (s: Row['surgery'][number]): Surgery => ({
	id: s.id,
	region: s.region,
	date: s.local_day,
	operation: s.operation,
	limitsEntered: s.limits_entered,
	noLimits: s.no_limits_by,
	enteredOn: s.entered_on,
	protocol:
		s.protocol === null
			? null
			: {
					id: s.protocol.id,
					source: s.protocol.source,
					reviewOn: s.protocol.review_on,
					phases: s.protocol.phases
				}
});

function flagOf({
	id,
	code,
	region,
	severity,
	urgency,
	local_day: day,
	closing: k
}: Row['flags'][number]): Flag {
	const closing =
		k === null
			? null
			: {
					by: k.closed_by,
					mistaken: k.mistaken,
					note: k.note,
					clearedBy: k.cleared_by,
					clearedOn: k.cleared_on,
					document: k.document
				};
	return {
		id,
		code,
		region,
		severity,
		urgency,
		day,
		open: k === null,
		closedOn: k === null ? null : k.local_day,
		closing
	};
}

/** A client lives in another zone from now on. */
export async function moveClient(t: PracticeTransaction, clientId: string, tz: string): Promise<void> {
	await t.trx
		.updateTable('client')
		.set({ tz })
		.where('practice_id', '=', t.practiceId)
		.where('id', '=', clientId)
		.execute();
}

/** Who a client is, as it is right now; what stood before is told by whoever changes it. */
export async function replacePerson(
	t: PracticeTransaction,
	clientId: string,
	person: Pick<ClientHead, 'name' | 'born' | 'sex' | 'occupation'>
): Promise<void> {
	await t.trx
		.updateTable('person')
		.set(person)
		.where('practice_id', '=', t.practiceId)
		.where('client_id', '=', clientId)
		.execute();
}

/** An arrival card by its id, with all that was said. */
export const arrivalRow = (t: PracticeTransaction, id: string) =>
	t.trx
		.selectFrom('arrival')
		.selectAll()
		.where('practice_id', '=', t.practiceId)
		.where('id', '=', id)
		.executeTakeFirstOrThrow();

/** A flag of a client by its id: its day. */
export const flagRow = (t: PracticeTransaction, clientId: string, id: string) =>
	t.trx
		.selectFrom('flag')
		.select(['id', 'local_day'])
		.where('id', '=', id)
		.where('client_id', '=', clientId)
		.executeTakeFirst();
