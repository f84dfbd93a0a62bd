/** Exercises with all their prescriptions. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Side } from '#lib/core/body/axis.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';
import type { SolvedSetup } from '#lib/core/movement/context.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { ofClient, type Whose } from '../db/heads.ts';

export type PrescriptionKind =
	'start' | 'advance' | 'regress' | 'retry' | 'alter' | 'set-aside' | 'stop' | 'resume' | 'undo' | 'end';

/** In use; stopped until somebody licensed clears it; set aside for a while; ended for good. */
export type PrescriptionState = 'active' | 'stopped' | 'set-aside' | 'ended';

/** What a prescription showed when it was written, so that a retired step still renders. */
export interface Snapshot {
	readonly title: string;
	readonly what: string;
	readonly cues: readonly string[];
	readonly cautions: readonly string[];
	readonly faults: readonly { readonly id: string; readonly title: string }[];
	readonly catalogue: string;
}

export interface Prescription {
	readonly id: string;
	readonly day: Day;
	readonly step: string;
	readonly dose: PrescribedDose;
	readonly setup: SolvedSetup | null;
	readonly snapshot: Snapshot;
	readonly state: PrescriptionState;
	readonly kind: PrescriptionKind;
	readonly replaces: string | null;
	readonly restores: string | null;
	readonly decisionId: string | null;
	/** What a licensed user passed over with the reason, by the keys of breaks and gates. */
	readonly passedOver: readonly string[];
	readonly reason: string | null;
	readonly particulars: Particulars;
}

export interface Exercise {
	readonly id: string;
	readonly clientId: string;
	readonly family: string;
	readonly region: string;
	readonly side: Side | null;
	readonly purpose: string;
	/** Root first; the last one is the head. */
	readonly prescriptions: readonly Prescription[];
	/** Hash of the slip that was answered last and stands; absent where none was. */
	readonly answered?: string;
}

interface Row {
	id: string;
	client_id: string;
	family: string;
	region: string;
	side: Side | null;
	purpose: string;
	answered: string | null;
	prescriptions: {
		id: string;
		local_day: string;
		step: string;
		dose: PrescribedDose;
		setup: SolvedSetup | null;
		snapshot: Snapshot;
		state: Prescription['state'];
		kind: PrescriptionKind;
		replaces_id: string | null;
		restores_id: string | null;
		decision_id: string | null;
		passed_over: readonly string[];
		reason: string | null;
		particulars: Particulars;
	}[];
}

export async function exercises(t: PracticeTransaction, whose?: Whose): Promise<readonly Exercise[]> {
	const { rows } = await sql<Row>`
		select e.id, e.client_id, e.family, e.region, e.side, e.purpose,
			(select d.inputs_hash from decision d where d.practice_id = e.practice_id and d.exercise_id = e.id and d.answer <> 'undone'
				and not exists (select 1 from decision u where u.practice_id = d.practice_id and u.replaces_id = d.id) order by d.recorded_at desc limit 1) as answered,
			coalesce((select jsonb_agg(to_jsonb(p)) from prescription p where p.practice_id = e.practice_id and p.exercise_id = e.id and not p.voided), '[]') as prescriptions
		from exercise e where ${ofClient('e', whose)} order by e.id`.execute(t.trx);
	return rows.map((r) => ({
		id: r.id,
		clientId: r.client_id,
		family: r.family,
		region: r.region,
		side: r.side,
		purpose: r.purpose,
		...(r.answered === null ? {} : { answered: r.answered }),
		prescriptions: inOrder(
			r.prescriptions.map((p) => ({
				id: p.id,
				day: p.local_day,
				step: p.step,
				dose: p.dose,
				setup: p.setup,
				snapshot: p.snapshot,
				state: p.state,
				kind: p.kind,
				replaces: p.replaces_id,
				restores: p.restores_id,
				decisionId: p.decision_id,
				passedOver: p.passed_over,
				reason: p.reason,
				particulars: p.particulars
			}))
		)
	}));
}

/** Follows the chain of successors from the root; never sorts by id, since device clocks lie. */
function inOrder(all: readonly Prescription[]): readonly Prescription[] {
	const next = new Map(all.map((p) => [p.replaces, p]));
	const out: Prescription[] = [];
	for (let p = next.get(null); p !== undefined && out.length <= all.length; p = next.get(p.id)) out.push(p);
	return out;
}
