/** The work: goals, what was prescribed with what took its place, the plan that holds it, what was done, what was decided. */
import type { CarePlan, ClinicalImpression, Goal, Observation, Procedure, ServiceRequest } from 'fhir/r4';
import { doseText } from '../../core/dose/dose.ts';
import type { SetEntry } from '../../core/session/record.ts';
import { regionName, SYMPTOM_NAME } from '../../wording/names.ts';
import { setupText } from '../../wording/setup.ts';
import { coded, localCode, quantity, to } from './resource.ts';
import type { FhirSource } from './source.ts';

export const goals = (s: FhirSource): readonly Goal[] =>
	s.goals.map((g) => ({
		resourceType: 'Goal',
		id: g.id,
		lifecycleStatus: 'active',
		description: { text: g.label },
		subject: to('Patient', s.client.id),
		...(g.scores[0] === undefined ? {} : { startDate: g.scores[0].day })
	}));

/** Of an order's life FHIR has its own words; what another prescription took the place of is over. */
const STATUS = { active: 'active', stopped: 'on-hold', 'set-aside': 'on-hold', ended: 'completed' } as const;

export const orders = (s: FhirSource): readonly ServiceRequest[] =>
	s.exercises.flatMap((e) => {
		const last = e.prescriptions.at(-1)?.id;
		return e.prescriptions.map((p): ServiceRequest => {
			const set = setupText(p.setup);
			return {
				resourceType: 'ServiceRequest',
				id: p.id,
				status: p.id === last ? STATUS[p.state] : 'completed',
				intent: 'order',
				code: { text: p.title },
				subject: to('Patient', s.client.id),
				authoredOn: p.day,
				bodySite: [{ text: regionName(e.region) }],
				...(p.replaces === null ? {} : { replaces: [to('ServiceRequest', p.replaces)] }),
				quantityQuantity:
					p.dose.unit === undefined
						? quantity(p.dose.sets * p.dose.reps, 'reps')
						: { value: p.dose.sets * p.dose.reps, unit: p.dose.unit },
				patientInstruction: `${doseText(p.dose)}${set === '' ? '' : `, ${set}`}`
			};
		});
	});

export function plan(s: FhirSource): readonly CarePlan[] {
	const standing = s.exercises
		.map((e) => e.prescriptions.at(-1))
		.filter((p) => p !== undefined && p.state !== 'ended');
	if (standing.length === 0) return [];
	return [
		{
			resourceType: 'CarePlan',
			id: `${s.client.id}-plan`,
			status: 'active',
			intent: 'plan',
			title: 'Exercises as they stand',
			subject: to('Patient', s.client.id),
			goal: s.goals.map((g) => to('Goal', g.id)),
			activity: standing.map((p) => ({ reference: to('ServiceRequest', p?.id ?? '') }))
		}
	];
}

const setText = (x: SetEntry): string =>
	`${x.reps}${x.loadKg === undefined ? '' : ` at ${x.loadKg} kg`}${x.effort === undefined ? '' : `, effort ${x.effort}`}`;

/** What was done in a session: one exercise each. */
export const done = (s: FhirSource): readonly Procedure[] =>
	s.sessions.map(({ id, prescriptionId, title, session }) => ({
		resourceType: 'Procedure',
		id,
		status: session.incompleteBecause === undefined ? 'completed' : 'stopped',
		...(session.incompleteBecause === undefined ? {} : { statusReason: { text: session.incompleteBecause } }),
		basedOn: [to('ServiceRequest', prescriptionId)],
		code: localCode('exercise-done', title),
		subject: to('Patient', s.client.id),
		performedDateTime: session.date,
		note: [
			{ text: `Sets: ${session.sets.map(setText).join('; ') || 'none'}` },
			...(session.symptoms ?? []).map((x) => ({ text: `Told: ${SYMPTOM_NAME[x] ?? x}` })),
			...(session.againstAdvice === true ? [{ text: 'Done while it was held.' }] : [])
		]
	}));

const WHEN = { before: 'before', peak: 'at its worst', after: 'after', evening: 'that evening' } as const;

/** Pain of a session by region: before, at its worst, after, that evening, each its own, as they may not be compared. */
export const sessionPains = (s: FhirSource): readonly Observation[] =>
	s.sessions.flatMap(({ id, session }) =>
		session.pains.flatMap((p) =>
			(Object.keys(WHEN) as (keyof typeof WHEN)[]).flatMap((when): Observation[] => {
				const pain = p[when];
				return pain === undefined
					? []
					: [
							{
								resourceType: 'Observation',
								id: `${id}-${p.region}-${when}`.slice(0, 64),
								status: 'final',
								code: coded('pain', `pain-in-session-${when}`, `Pain of the session, ${WHEN[when]}`),
								subject: to('Patient', s.client.id),
								partOf: [to('Procedure', id)],
								effectiveDateTime: session.date,
								bodySite: { text: regionName(p.region) },
								valueInteger: pain
							}
						];
			})
		)
	);

/** Signed decisions, in the words that were signed. */
export const decisions = (s: FhirSource): readonly ClinicalImpression[] =>
	s.decisions.map((d) => ({
		resourceType: 'ClinicalImpression',
		id: d.id,
		status: d.answer === 'undone' ? 'entered-in-error' : 'completed',
		code: localCode('exercise-decision', 'Decision on an exercise'),
		subject: to('Patient', s.client.id),
		effectiveDateTime: d.day,
		date: d.recordedAt,
		assessor: { display: d.by },
		summary: d.text
	}));
