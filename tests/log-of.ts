/** Sessions to log in tests: as prescribed, nothing amiss. */
import { randomUUID } from 'node:crypto';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Session } from '#lib/core/session/record.ts';
import type { ClientRecord } from '#lib/server/record/load.ts';
import type { NewLog } from '#lib/server/usecase/log-visit.ts';

/** The prescription of a client's first exercise. */
export const headOf = (r: ClientRecord) => r.exercises[0]!.prescriptions.at(-1)!;
/** A session of a client's first exercise, done as prescribed, with what differs. */
export function logOf(r: ClientRecord, today: Day, patch: Partial<Session> = {}): NewLog {
	const e = r.exercises[0]!;
	const { id, dose } = headOf(r);
	const session: Session = {
		date: today,
		observed: true,
		prescribed: { sets: dose.sets, reps: dose.reps, loadKg: dose.loadKg },
		sets: Array.from({ length: dose.sets }, () => ({ reps: dose.reps, effort: 5, cleanReps: dose.reps })),
		pains: [{ region: e.region, before: 1, peak: 1, after: 1 }],
		symptoms: [],
		faults: {},
		soreness: 1,
		confidence: 8,
		...patch
	};
	return {
		id: randomUUID(),
		visitId: randomUUID(),
		clientId: r.head.id,
		exerciseId: e.id,
		prescriptionId: id,
		session
	};
}
