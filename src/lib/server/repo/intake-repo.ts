/** What was asked: complaints by region, goals with their history of scores, consents. One query for all three. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Side } from '#lib/core/body/axis.ts';
import { type Goal, type LadderPoint, SCORED_AGAIN } from '#lib/core/client/goal.ts';
import type { PainAt, YesNoUnknown } from '#lib/core/session/record.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead } from '../db/heads.ts';

export interface Complaint {
	readonly id: string;
	readonly region: string;
	readonly spot: string;
	readonly day: Day;
	readonly usualMorning: number;
	readonly worst: number;
	readonly easing: string | null;
	readonly stiffnessMin: number | null;
	readonly painAt: PainAt | null;
	readonly loaded: YesNoUnknown;
	readonly position: string | null;
}

export interface Intake {
	readonly complaints: readonly Complaint[];
	readonly goals: readonly Goal[];
	readonly consents: readonly { readonly purpose: string; readonly given: boolean; readonly day: Day }[];
}

interface GoalRow {
	id: string;
	replaces_id: string | null;
	voided: boolean;
	activity: string;
	label: string;
	side: Side | null;
	point: LadderPoint | null;
	score: number;
	confidence: number | null;
	local_day: string;
	reason: string | null;
}

interface Row {
	complaints: {
		id: string;
		region: string;
		spot: string;
		local_day: string;
		usual_morning: number;
		worst: number;
		easing: string | null;
		stiffness_min: number | null;
		pain_at: PainAt | null;
		loaded: YesNoUnknown;
		position: string | null;
	}[];
	goals: GoalRow[];
	consents: { purpose: string; given: boolean; local_day: string }[];
}

export async function intakeOf(t: PracticeTransaction, clientId: string): Promise<Intake> {
	const own = sql`practice_id = ${t.practiceId} and client_id = ${clientId}`;
	const { rows } = await sql<Row>`select
		coalesce((select jsonb_agg(to_jsonb(c) order by c.recorded_at, c.id) from complaint c where ${own} and ${isHead('complaint', 'c')}), '[]') as complaints,
		coalesce((select jsonb_agg(to_jsonb(g) order by g.recorded_at, g.id) from goal g where ${own}), '[]') as goals,
		coalesce((select jsonb_agg(to_jsonb(c) order by c.recorded_at, c.id) from consent c where ${own}), '[]') as consents`.execute(
		t.trx
	);
	const r = rows[0] as Row;
	return {
		complaints: r.complaints.map((c) => ({
			id: c.id,
			region: c.region,
			spot: c.spot,
			day: c.local_day,
			usualMorning: c.usual_morning,
			worst: c.worst,
			easing: c.easing,
			stiffnessMin: c.stiffness_min,
			painAt: c.pain_at,
			loaded: c.loaded,
			position: c.position
		})),
		goals: goalsOf(r.goals),
		consents: r.consents.map((c) => ({ purpose: c.purpose, given: c.given, day: c.local_day }))
	};
}

/** Each goal is a chain of scorings, and of what put one right; the last of a chain is the goal as it stands, unless it was dropped. */
function goalsOf(rows: readonly GoalRow[]): Goal[] {
	const byId = new Map(rows.map((r) => [r.id, r]));
	const replaced = new Set(rows.map((r) => r.replaces_id));
	return rows.flatMap((head): Goal[] => {
		if (replaced.has(head.id) || head.voided) return [];
		const chain: GoalRow[] = [];
		for (
			let r: GoalRow | undefined = head;
			r !== undefined;
			r = r.replaces_id === null ? undefined : byId.get(r.replaces_id)
		)
			// What was put right takes the place of the one that was mistyped.
			if (chain[0] === undefined || chain[0].reason === SCORED_AGAIN) chain.unshift(r);
			else chain[0] = { ...chain[0], reason: r.reason };
		const { id, activity, label, side, point, score, confidence } = head;
		return [
			{
				id,
				activity,
				label,
				side,
				point,
				score,
				confidence,
				scores: chain.map((c) => ({ day: c.local_day, score: c.score }))
			}
		];
	});
}
