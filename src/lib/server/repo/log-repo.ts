/** Logged sessions: a visit with the exercises done in it, field for field as the core reads them. */
import { sql } from 'kysely';
import type { Session } from '#lib/core/session/record.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead, ofClient, withoutNulls, type Whose } from '../db/heads.ts';

export interface Logged {
	readonly id: string;
	readonly clientId: string;
	readonly exerciseId: string;
	readonly prescriptionId: string;
	readonly visitId: string;
	readonly writtenBy: string;
	readonly session: Session;
}

interface Row {
	id: string;
	client_id: string;
	exercise_id: string;
	prescription_id: string;
	visit_id: string;
	written_by: string;
	local_day: string;
	observed: boolean;
	prescribed: Session['prescribed'];
	sets: Session['sets'];
	pains: Session['pains'];
	pain_at: Session['painAt'] | null;
	pain_only_loaded: boolean | null;
	symptoms: Session['symptoms'] | null;
	radiating_lower: boolean | null;
	cauda_equina: Session['caudaEquina'] | null;
	faults: Session['faults'] | null;
	incomplete_because: Session['incompleteBecause'] | null;
	soreness: number | null;
	confidence: number | null;
	felt: Session['felt'] | null;
	as_usual: Session['asUsual'] | null;
	soreness_over_72h: boolean | null;
	against_advice: boolean;
	lighter: boolean;
}

/** All logs, oldest first. */
export async function logs(t: PracticeTransaction, whose?: Whose): Promise<readonly Logged[]> {
	const { rows } = await sql<Row>`
		select l.id, l.client_id, l.exercise_id, l.prescription_id, l.visit_id, l.written_by, v.local_day, v.observed, l.prescribed, l.sets, l.pains, l.pain_at, l.pain_only_loaded, l.symptoms,
			l.radiating_lower, l.cauda_equina, l.faults, l.incomplete_because, l.soreness, l.confidence, l.felt, l.as_usual, l.soreness_over_72h, l.against_advice, l.lighter
		from exercise_log l join visit v on v.practice_id = l.practice_id and v.id = l.visit_id
		where ${isHead('exercise_log', 'l')} and ${ofClient('l', whose)} order by v.local_day, v.started_at, l.recorded_at`.execute(
		t.trx
	);
	return rows.map((r) => ({
		id: r.id,
		clientId: r.client_id,
		exerciseId: r.exercise_id,
		prescriptionId: r.prescription_id,
		visitId: r.visit_id,
		writtenBy: r.written_by,
		session: withoutNulls({
			date: r.local_day,
			observed: r.observed,
			prescribed: r.prescribed,
			sets: r.sets,
			pains: r.pains,
			painAt: r.pain_at,
			painOnlyLoaded: r.pain_only_loaded,
			symptoms: r.symptoms,
			radiatingLower: r.radiating_lower,
			caudaEquina: r.cauda_equina,
			faults: r.faults,
			incompleteBecause: r.incomplete_because,
			soreness: r.soreness,
			confidence: r.confidence,
			felt: r.felt,
			asUsual: r.as_usual,
			sorenessOver72h: r.soreness_over_72h,
			againstAdvice: r.against_advice ? true : null,
			lighter: r.lighter ? true : null
		}) as Session
	}));
}
