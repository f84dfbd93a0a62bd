/** The visits of a client as a list: latest first, what was done, and the worst of each region. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { worstByRegion } from '#lib/core/session/work.ts';
import { regionName } from '#lib/wording/names.ts';
import type { ClientRecord } from '../record/load.ts';

export interface VisitView {
	readonly id: string;
	readonly day: Day;
	/** Seen by somebody of the practice; else done alone. */
	readonly observed: boolean;
	readonly done: readonly string[];
	readonly worst: readonly string[];
	readonly notes: readonly string[];
}

/** What was written of a visit. */
export interface VisitNote {
	readonly visitId: string;
	readonly body: string;
}

export function visitsOf(r: ClientRecord, notes: readonly VisitNote[] = []): readonly VisitView[] {
	const titles = new Map(r.everGiven.flatMap((e) => e.prescriptions.map((p) => [p.id, p.snapshot.title])));
	const visits = new Map<string, ClientRecord['logs'][number][]>();
	for (const l of r.logs) visits.set(l.visitId, [...(visits.get(l.visitId) ?? []), l]);
	return [...visits.entries()]
		.map(([id, logs]): VisitView => {
			return {
				id,
				day: logs[0]?.session.date ?? '',
				observed: logs.some((l) => l.session.observed),
				done: logs.map(
					(l) =>
						`${titles.get(l.prescriptionId) ?? 'an exercise'} ${l.session.sets.map((s) => s.reps).join(' + ') || 'nothing'}`
				),
				worst: [...worstByRegion(logs.map((l) => l.session))].map(
					([region, peak]) => `${regionName(region)} ${peak}`
				),
				notes: notes.filter((n) => n.visitId === id).map((n) => n.body)
			};
		})
		.sort((a, b) => (a.day > b.day ? -1 : a.day < b.day ? 1 : 0));
}
