/** The record of a client as the FHIR bundle reads it. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { FhirSource } from '#lib/exchange/fhir/source.ts';
import type { SignedDecision } from '../repo/decision-repo.ts';
import type { Intake } from '../repo/intake-repo.ts';
import type { Total } from '../repo/sheet-repo.ts';
import { toldOf } from '../record/found-once.ts';
import type { ClientRecord } from '../record/load.ts';

export interface BesideRecord {
	readonly practice: FhirSource['practice'];
	readonly madeAt: string;
	readonly intake: Intake;
	readonly consents: FhirSource['consents'];
	readonly totals: readonly Total[];
	readonly decisions: readonly SignedDecision[];
	readonly contacts: FhirSource['client']['contacts'];
	/** The day height and mass were set as they stand. */
	readonly builtOn: Day;
}

const clientOf = ({ head }: ClientRecord, contacts: BesideRecord['contacts']): FhirSource['client'] => ({
	id: head.id,
	name: head.name,
	born: head.born,
	sex: head.sex,
	contacts
});

const exercisesOf = (r: ClientRecord): FhirSource['exercises'] =>
	r.everGiven.map((e) => ({
		id: e.id,
		region: e.region,
		prescriptions: e.prescriptions.map((p) => ({
			id: p.id,
			day: p.day,
			title: p.snapshot.title,
			dose: p.dose,
			setup: p.setup,
			state: p.state,
			replaces: p.replaces
		}))
	}));

function sessionsOf(r: ClientRecord): FhirSource['sessions'] {
	const titles = new Map(r.everGiven.flatMap((e) => e.prescriptions.map((p) => [p.id, p.snapshot.title])));
	return r.logs.map((l) => ({
		id: l.id,
		prescriptionId: l.prescriptionId,
		title: titles.get(l.prescriptionId) ?? 'exercise',
		session: toldOf(r, l)
	}));
}

const decisionsOf = (all: readonly SignedDecision[]): FhirSource['decisions'] =>
	all.map((d) => ({
		id: d.id,
		day: d.day,
		recordedAt: d.recordedAt.toISOString(),
		text: [d.outcome.text, d.reason].filter((x) => x !== null && x !== '').join(' '),
		answer: d.undone ? 'undone' : d.answer,
		by: d.by
	}));

export function fhirSourceOf(r: ClientRecord, beside: BesideRecord): FhirSource {
	const { head } = r;
	return {
		madeAt: beside.madeAt,
		practice: beside.practice,
		client: clientOf(r, beside.contacts),
		body: {
			id: head.setting.id,
			day: beside.builtOn,
			heightCm: head.setting.heightCm,
			massKg: head.setting.massKg
		},
		screening:
			head.screening === null
				? null
				: {
						day: head.screening.date,
						complete: head.screening.complete,
						answers: head.screening.answers as Readonly<Record<string, string>>
					},
		flags: head.flags.map(({ id, code, region, day, open, closedOn }) => ({
			...{ id, code, region, day, open, closedOn }
		})),
		operations: head.surgery.map((s) => ({
			id: s.id,
			region: s.region,
			day: s.date,
			operation: s.operation ?? null
		})),
		consents: beside.consents,
		ranges: r.measurements,
		tests: r.tests,
		totals: beside.totals,
		mornings: r.mornings.map((m) => ({ ...m, id: r.checkins.get(`${m.date}|${m.region}`) ?? '' })),
		goals: beside.intake.goals,
		exercises: exercisesOf(r),
		sessions: sessionsOf(r),
		decisions: decisionsOf(beside.decisions)
	};
}
