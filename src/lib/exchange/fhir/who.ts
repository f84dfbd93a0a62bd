/** Who the client is and what stands before everything: consents, screening, flags, operations. No diagnosis: Bolster makes none. */
import type { Consent, Flag, Patient, Procedure, QuestionnaireResponse } from 'fhir/r4';
import { SCREENING, SCREENING_VERSION } from '../../catalogue/screening.ts';
import { regionName } from '../../wording/names.ts';
import { flagName } from '../../wording/screening.ts';
import { localCode, to } from './resource.ts';
import type { FhirSource } from './source.ts';

export const patient = ({ client, practice }: FhirSource): Patient => ({
	resourceType: 'Patient',
	id: client.id,
	name: [{ text: client.name }],
	gender: client.sex ?? 'unknown',
	birthDate: client.born,
	managingOrganization: { reference: `Organization/${practice.id}` },
	telecom: client.contacts
		.filter((c) => c.role === 'own')
		.map((c) => ({ system: 'phone' as const, value: c.phone })),
	contact: client.contacts
		.filter((c) => c.role !== 'own')
		.map((c) => ({
			relationship: [{ text: c.role }],
			name: { text: c.name },
			telecom: [{ system: 'phone' as const, value: c.phone }]
		}))
});

export const consents = (s: FhirSource): readonly Consent[] =>
	s.consents.map((c) => ({
		resourceType: 'Consent',
		id: c.id,
		status: 'active',
		scope: {
			coding: [{ system: 'http://terminology.hl7.org/CodeSystem/consentscope', code: 'patient-privacy' }]
		},
		category: [localCode(`consent-${c.purpose}`, c.purpose.replaceAll('-', ' '))],
		patient: to('Patient', s.client.id),
		dateTime: c.day,
		policyRule: { text: 'as agreed with the practice' },
		provision: { type: c.given ? 'permit' : 'deny' }
	}));

/** Answers of the screening, each under the id of its question. */
export function screening(s: FhirSource): readonly QuestionnaireResponse[] {
	if (s.screening === null) return [];
	const { day, complete, answers } = s.screening;
	return [
		{
			resourceType: 'QuestionnaireResponse',
			id: `${s.client.id}-scr`,
			identifier: { system: LOCAL_FORM, value: `screening-${SCREENING_VERSION}` },
			status: complete ? 'completed' : 'in-progress',
			subject: to('Patient', s.client.id),
			authored: day,
			item: SCREENING.filter((c) => Object.hasOwn(answers, c.id)).map((c) => ({
				linkId: c.id,
				text: c.ask,
				answer: [{ valueString: answers[c.id] ?? 'unknown' }]
			}))
		}
	];
}
const LOCAL_FORM = 'urn:bolster:forms';

export const flags = (s: FhirSource): readonly Flag[] =>
	s.flags.map((f) => ({
		resourceType: 'Flag',
		id: f.id,
		status: f.open ? 'active' : 'inactive',
		category: [
			{
				coding: [{ system: 'http://terminology.hl7.org/CodeSystem/flag-category', code: 'safety' }]
			}
		],
		code: localCode(
			f.code,
			f.region === null ? flagName(f.code) : `${flagName(f.code)}, ${regionName(f.region)}`
		),
		subject: to('Patient', s.client.id),
		period: { start: f.day, ...(f.closedOn === null ? {} : { end: f.closedOn }) }
	}));

export const operations = (s: FhirSource): readonly Procedure[] =>
	s.operations.map((o) => ({
		resourceType: 'Procedure',
		id: o.id,
		status: 'completed',
		code: { text: o.operation ?? 'operation' },
		subject: to('Patient', s.client.id),
		performedDateTime: o.day,
		bodySite: [{ text: regionName(o.region) }]
	}));
