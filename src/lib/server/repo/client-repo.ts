/** Who a client is and what stands before everything: setting, screening, flags, surgery, protocol limits. One query. */
import { sql } from 'kysely';
import type { Side } from '#lib/core/body/axis.ts';
import type { LimitAxis } from '#lib/core/client/protocol.ts';
import type { ScreenAnswers, Severity, Urgency } from '#lib/core/client/screening.ts';
import type { Sex } from '#lib/core/measure/range-kind.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Brace, Clearance, Position } from '#lib/core/exercise/family.ts';
import type { Tolerance } from '#lib/core/fit/context.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import type { PolicyId } from '#lib/contract/policy.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead, ofClient } from '../db/heads.ts';

export interface Setting {
	readonly id: string;
	readonly technique: Technique | null;
	readonly policyId: PolicyId;
	readonly policyVersion: string;
	readonly heightCm: number;
	readonly massKg: number;
	readonly shankCm: number | null;
	readonly thighCm: number | null;
	readonly frontOfKnee: boolean;
	readonly goal: string | null;
	readonly usual: Readonly<Record<string, { readonly intake?: number; readonly longStanding?: boolean }>>;
	readonly units: Units;
	readonly language: string;
	/** What there is at home, by id; weekdays with time for it (0 is Sunday), and minutes a day. */
	readonly homeKit: readonly string[];
	readonly days: readonly number[];
	readonly minutes: number | null;
	readonly trunkCm: number | null;
	readonly footCm: number | null;
	/** Heel of the usual shoe. */
	readonly shoeHeelCm: number | null;
	/** Positions that were asked about; what is not named is unknown. */
	readonly positions: Readonly<Partial<Record<Position, Tolerance>>>;
	readonly clearances: readonly Clearance[];
	readonly brace: Brace;
}

export type Units = 'metric' | 'imperial';

export interface Flag {
	readonly id: string;
	readonly code: string;
	readonly region: string | null;
	readonly severity: Severity;
	readonly urgency: Urgency | null;
	readonly day: Day;
	readonly open: boolean;
	readonly closedOn: Day | null;
	readonly closing: { readonly by: 'licensed' | 'external'; readonly note: string; readonly clearedBy: string | null; readonly clearedOn: Day | null; readonly document: string | null } | null;
}

export interface Limit {
	readonly id: string;
	readonly axis: LimitAxis;
	readonly side: Side;
	readonly maxDeg: number;
	readonly source: string;
	readonly reviewOn: Day | null;
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
	readonly screening: { readonly date: Day; readonly complete: boolean; readonly answers: ScreenAnswers } | null;
	readonly flags: readonly Flag[];
	readonly surgery: readonly { readonly id: string; readonly region: string; readonly date: Day; readonly limitsEntered: boolean }[];
	readonly limits: readonly Limit[];
}

interface Row {
	id: string;
	tz: string;
	opened_on: string;
	name: string;
	born: string;
	occupation: string | null;
	sex: Sex | null;
	setting: { id: string; technique: Technique | null; policy_id: PolicyId; policy_version: string; height_mm: number; mass_g: number; shank_mm: number | null; thigh_mm: number | null; front_of_knee: boolean; goal: string | null; usual: Setting['usual']; units: Units; language: string; home_kit: string[]; days: number[]; minutes: number | null; trunk_mm: number | null; foot_mm: number | null; shoe_heel_mm: number | null; positions: Setting['positions']; clearances: Clearance[]; brace: Brace } | null;
	screening: { local_day: string; complete: boolean; answers: ScreenAnswers } | null;
	flags: { id: string; code: string; region: string | null; severity: Severity; urgency: Urgency | null; local_day: string; closing: ClosingRow | null }[];
	surgery: { id: string; region: string; local_day: string; limits_entered: boolean }[];
	limits: { id: string; axis: LimitAxis; side: Side; max_tenths: number; source: string; review_on: string | null }[];
}

interface ClosingRow {
	local_day: string;
	note: string;
	closed_by: 'licensed' | 'external';
	cleared_by: string | null;
	cleared_on: string | null;
	document: string | null;
}

/** Clients with a setting, by name; one when an id is given. Another practice's client is simply not there. */
export async function clientHeads(t: PracticeTransaction, clientId?: string): Promise<readonly ClientHead[]> {
	const { rows } = await sql<Row>`
		select c.id, c.tz, c.opened_on, p.name, p.born, p.occupation, p.sex,
			(select to_jsonb(s) from client_setting s where s.practice_id = c.practice_id and s.client_id = c.id and ${isHead('client_setting', 's')} order by s.recorded_at desc limit 1) as setting,
			(select to_jsonb(s) from screening s where s.practice_id = c.practice_id and s.client_id = c.id and ${isHead('screening', 's')} order by s.local_day desc, s.recorded_at desc limit 1) as screening,
			coalesce((select jsonb_agg(to_jsonb(f) || jsonb_build_object('closing', (select to_jsonb(k) from flag_closing k where k.practice_id = f.practice_id and k.flag_id = f.id)) order by f.local_day) from flag f where f.practice_id = c.practice_id and f.client_id = c.id and ${isHead('flag', 'f')}), '[]') as flags,
			coalesce((select jsonb_agg(to_jsonb(s) order by s.local_day) from surgery s where s.practice_id = c.practice_id and s.client_id = c.id and ${isHead('surgery', 's')}), '[]') as surgery,
			coalesce((select jsonb_agg(to_jsonb(l) order by l.axis, l.side) from protocol_limit l where l.practice_id = c.practice_id and l.client_id = c.id and ${isHead('protocol_limit', 'l')} and not l.lifted), '[]') as limits
		from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id
		where c.status = 'active' and ${ofClient('c', clientId, 'id')}
		order by p.name, c.id`.execute(t.trx);
	return rows.filter((r) => r.setting !== null).map(headOf);
}

function headOf(r: Row): ClientHead {
	const s = r.setting as NonNullable<Row['setting']>;
	return {
		id: r.id,
		tz: r.tz,
		openedOn: r.opened_on,
		name: r.name,
		born: r.born,
		occupation: r.occupation,
		sex: r.sex,
		setting: {
			id: s.id,
			technique: s.technique,
			policyId: s.policy_id,
			policyVersion: s.policy_version,
			heightCm: s.height_mm / 10,
			massKg: s.mass_g / 1000,
			shankCm: cmOf(s.shank_mm),
			thighCm: cmOf(s.thigh_mm),
			frontOfKnee: s.front_of_knee,
			goal: s.goal,
			usual: s.usual,
			units: s.units,
			language: s.language,
			homeKit: s.home_kit,
			days: s.days,
			minutes: s.minutes,
			trunkCm: cmOf(s.trunk_mm),
			footCm: cmOf(s.foot_mm),
			shoeHeelCm: cmOf(s.shoe_heel_mm),
			positions: s.positions,
			clearances: s.clearances,
			brace: s.brace
		},
		screening: r.screening === null ? null : { date: r.screening.local_day, complete: r.screening.complete, answers: r.screening.answers },
		flags: r.flags.map(flagOf),
		surgery: r.surgery.map((x) => ({ id: x.id, region: x.region, date: x.local_day, limitsEntered: x.limits_entered })),
		limits: r.limits.map((l) => ({ id: l.id, axis: l.axis, side: l.side, maxDeg: l.max_tenths / 10, source: l.source, reviewOn: l.review_on }))
	};
}

const cmOf = (mm: number | null): number | null => (mm === null ? null : mm / 10);
const mmOf = (cm: number | null): number | null => (cm === null ? null : Math.round(cm * 10));

function flagOf({ id, code, region, severity, urgency, local_day: day, closing: k }: Row['flags'][number]): Flag {
	const closing = k === null ? null : { by: k.closed_by, note: k.note, clearedBy: k.cleared_by, clearedOn: k.cleared_on, document: k.document };
	return { id, code, region, severity, urgency, day, open: k === null, closedOn: k === null ? null : k.local_day, closing };
}

/** A setting as the columns of its row. */
export const settingColumns = (s: Omit<Setting, 'id'>) => ({
	technique: s.technique,
	policy_id: s.policyId,
	policy_version: s.policyVersion,
	height_mm: Math.round(s.heightCm * 10),
	mass_g: Math.round(s.massKg * 1000),
	shank_mm: mmOf(s.shankCm),
	thigh_mm: mmOf(s.thighCm),
	trunk_mm: mmOf(s.trunkCm),
	foot_mm: mmOf(s.footCm),
	shoe_heel_mm: mmOf(s.shoeHeelCm),
	front_of_knee: s.frontOfKnee,
	goal: s.goal,
	usual: JSON.stringify(s.usual),
	units: s.units,
	language: s.language,
	home_kit: JSON.stringify(s.homeKit),
	days: JSON.stringify(s.days),
	minutes: s.minutes,
	positions: JSON.stringify(s.positions),
	clearances: JSON.stringify(s.clearances),
	brace: s.brace
});

/** Locks a client for the rest of the transaction; false when there is no such client here. */
export async function lockClient(t: PracticeTransaction, clientId: string): Promise<boolean> {
	const row = await t.trx.selectFrom('client').select('id').where('practice_id', '=', t.practiceId).where('id', '=', clientId).forUpdate().executeTakeFirst();
	return row !== undefined;
}
