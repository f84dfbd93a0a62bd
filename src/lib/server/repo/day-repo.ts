/** What belongs to a day: morning check-ins and events. One query for both. */
import { sql } from 'kysely';
import type { Morning, RecordedEvent } from '#lib/core/session/record.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead, ofClient, withoutNulls, type Whose } from '../db/heads.ts';

export interface DayRecord {
	readonly clientId: string;
	readonly checkinId: string | null;
	readonly morning: Morning | null;
	readonly event: RecordedEvent | null;
}

interface Row {
	what: 'morning' | 'event';
	id: string;
	client_id: string;
	local_day: string;
	region: string | null;
	pain: number | null;
	swelling: Morning['swelling'] | null;
	stiffness_min: number | null;
	provocation: number | null;
	recalled: boolean | null;
	fever: boolean | null;
	calf: boolean | null;
	cannot_stand: boolean | null;
	kind: RecordedEvent['kind'] | null;
}

export async function days(t: PracticeTransaction, whose?: Whose): Promise<readonly DayRecord[]> {
	const { rows } = await sql<Row>`
		select 'morning' as what, c.id, c.client_id, c.local_day, c.region, c.pain, c.swelling, c.stiffness_min, c.provocation, c.recalled, c.fever, c.calf, c.cannot_stand, null as kind
		from checkin c where c.moment = 'morning' and ${isHead('checkin', 'c')} and ${ofClient('c', whose)}
		union all
		select 'event', e.id, e.client_id, e.local_day, null, null, null, null, null, null, null, null, null, e.kind
		from day_event e where ${isHead('day_event', 'e')} and ${ofClient('e', whose)}
		order by 4, 2`.execute(t.trx);
	return rows.map((r) => ({
		clientId: r.client_id,
		checkinId: r.what === 'morning' ? r.id : null,
		morning:
			r.what === 'morning'
				? (withoutNulls({
						date: r.local_day,
						region: r.region,
						pain: r.pain,
						swelling: r.swelling,
						stiffnessMin: r.stiffness_min,
						provocation: r.provocation,
						fever: r.fever,
						calf: r.calf,
						cannotStand: r.cannot_stand,
						...(r.recalled ? { recalled: true } : {})
					}) as Morning)
				: null,
		event: r.what === 'event' && r.kind !== null ? { date: r.local_day, kind: r.kind } : null
	}));
}
