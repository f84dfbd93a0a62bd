/** Who a client is and what stands before everything: setting, screening, flags, surgery, protocol limits. One query. */
import { sql } from 'kysely';
import type { Axis, Side } from '#lib/core/body/axis.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
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
}

export interface Flag {
	readonly id: string;
	readonly code: string;
	readonly region: string | null;
	readonly severity: 'red' | 'review';
	readonly day: Day;
	readonly open: boolean;
	readonly closedOn: Day | null;
}

export interface Limit {
	readonly id: string;
	readonly axis: Axis;
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
	readonly setting: Setting;
	readonly screening: { readonly date: Day; readonly complete: boolean } | null;
	readonly flags: readonly Flag[];
	readonly surgery: readonly { readonly region: string; readonly date: Day; readonly limitsEntered: boolean }[];
	readonly limits: readonly Limit[];
}

interface Row {
	id: string;
	tz: string;
	opened_on: string;
	name: string;
	born: string;
	occupation: string | null;
	setting: { id: string; technique: Technique | null; policy_id: PolicyId; policy_version: string; height_mm: number; mass_g: number; shank_mm: number | null; thigh_mm: number | null; front_of_knee: boolean; goal: string | null; usual: Setting['usual'] } | null;
	screening: { local_day: string; complete: boolean } | null;
	flags: { id: string; code: string; region: string | null; severity: 'red' | 'review'; local_day: string; closed_on: string | null }[];
	surgery: { region: string; local_day: string; limits_entered: boolean }[];
	limits: { id: string; axis: Axis; side: Side; max_tenths: number; source: string; review_on: string | null }[];
}

/** Clients with a setting, by name; one when an id is given. Another practice's client is simply not there. */
export async function clientHeads(t: PracticeTransaction, clientId?: string): Promise<readonly ClientHead[]> {
	const { rows } = await sql<Row>`
		select c.id, c.tz, c.opened_on, p.name, p.born, p.occupation,
			(select to_jsonb(s) from client_setting s where s.practice_id = c.practice_id and s.client_id = c.id and ${isHead('client_setting', 's')} order by s.recorded_at desc limit 1) as setting,
			(select to_jsonb(s) from screening s where s.practice_id = c.practice_id and s.client_id = c.id and ${isHead('screening', 's')} order by s.local_day desc, s.recorded_at desc limit 1) as screening,
			coalesce((select jsonb_agg(to_jsonb(f) || jsonb_build_object('closed_on', (select k.local_day from flag_closing k where k.practice_id = f.practice_id and k.flag_id = f.id)) order by f.local_day) from flag f where f.practice_id = c.practice_id and f.client_id = c.id and ${isHead('flag', 'f')}), '[]') as flags,
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
		setting: {
			id: s.id,
			technique: s.technique,
			policyId: s.policy_id,
			policyVersion: s.policy_version,
			heightCm: s.height_mm / 10,
			massKg: s.mass_g / 1000,
			shankCm: s.shank_mm === null ? null : s.shank_mm / 10,
			thighCm: s.thigh_mm === null ? null : s.thigh_mm / 10,
			frontOfKnee: s.front_of_knee,
			goal: s.goal,
			usual: s.usual
		},
		screening: r.screening === null ? null : { date: r.screening.local_day, complete: r.screening.complete },
		flags: r.flags.map((f) => ({ id: f.id, code: f.code, region: f.region, severity: f.severity, day: f.local_day, open: f.closed_on === null, closedOn: f.closed_on })),
		surgery: r.surgery.map((x) => ({ region: x.region, date: x.local_day, limitsEntered: x.limits_entered })),
		limits: r.limits.map((l) => ({ id: l.id, axis: l.axis, side: l.side, maxDeg: l.max_tenths / 10, source: l.source, reviewOn: l.review_on }))
	};
}

/** Locks a client for the rest of the transaction; false when there is no such client here. */
export async function lockClient(t: PracticeTransaction, clientId: string): Promise<boolean> {
	const row = await t.trx.selectFrom('client').select('id').where('practice_id', '=', t.practiceId).where('id', '=', clientId).forUpdate().executeTakeFirst();
	return row !== undefined;
}
