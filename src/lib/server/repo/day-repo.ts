/** What belongs to a day: morning check-ins and events. One query for both. */
import { sql } from 'kysely';
import type { Morning, RecordedEvent } from '#lib/core/session/record.ts';
import type { Told } from '#lib/core/session/told.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead, ofClient, withoutNulls, type Whose } from '../db/heads.ts';

export interface DayRecord {
	readonly clientId: string;
	readonly checkinId: string | null;
	readonly morning: Morning | null;
	/** Of an evening, or of a morning that spoke of muscles. */
	readonly told: Told | null;
	readonly event: RecordedEvent | null;
}

interface Row {
	what: 'morning' | 'evening' | 'event';
	id: string;
	client_id: string;
	local_day: string;
	region: string | null;
	pain: number | null;
	swelling: Morning['swelling'] | null;
	stiffness_min: number | null;
	soreness: number | null;
	provocation: number | null;
	recalled: boolean | null;
	fever: boolean | null;
	calf: boolean | null;
	cannot_stand: boolean | null;
	kind: RecordedEvent['kind'] | null;
}

function toldOf(r: Row): Told | null {
	const { what: moment, local_day: date, region } = r;
	if (moment === 'event' || region === null) return null;
	const pain = moment === 'evening' && r.pain !== null ? { pain: r.pain } : {};
	const soreness = r.soreness === null ? {} : { soreness: r.soreness };
	if (r.soreness === null && moment === 'morning') return null;
	return { date, moment, region, ...pain, ...soreness };
}

export async function days(t: PracticeTransaction, whose?: Whose): Promise<readonly DayRecord[]> {
	const { rows } = await sql<Row>`
		select c.moment as what, c.id, c.client_id, c.local_day, c.region, c.pain, c.swelling, c.stiffness_min, c.soreness, c.provocation, c.recalled, c.fever, c.calf, c.cannot_stand, null as kind
		from checkin c where ${isHead('checkin', 'c')} and ${ofClient('c', whose)}
		union all
		select 'event', e.id, e.client_id, e.local_day, null, null, null, null, null, null, null, null, null, null, e.kind
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
		told: toldOf(r),
		event: r.what === 'event' && r.kind !== null ? { date: r.local_day, kind: r.kind } : null
	}));
}

export interface ToldEvening {
	readonly id: string;
	readonly soreness: number | null;
}

/** The evening that was told of a day, the row of each region. */
export async function eveningsOn(
	t: PracticeTransaction,
	clientId: string,
	day: string
): Promise<ReadonlyMap<string, ToldEvening>> {
	const { rows } = await sql<ToldEvening & { region: string }>`
		select c.id, c.region, c.soreness from checkin c
		where c.practice_id = ${t.practiceId} and c.client_id = ${clientId} and c.local_day = ${day} and c.moment = 'evening' and ${isHead('checkin', 'c')}`.execute(
		t.trx
	);
	return new Map(rows.map((r) => [r.region, r]));
}
