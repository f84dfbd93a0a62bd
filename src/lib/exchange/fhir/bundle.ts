/**
 * A client's whole record as a FHIR R4 (4.0.1) bundle of the type `collection`. Published codes only where they are certain, else texts with local codes.
 * Every reference resolves inside the bundle. @source hl7-fhir-r4 resource definitions and required bindings
 */
import type { Bundle, FhirResource } from 'fhir/r4';
import { observations } from './measured.ts';
import { BASE, withoutEmpty } from './resource.ts';
import type { FhirSource } from './source.ts';
import { consents, flags, operations, patient, screening } from './who.ts';
import { decisions, done, goals, orders, plan, sessionPains } from './work.ts';

const resourcesOf = (s: FhirSource): readonly FhirResource[] => [
	{ resourceType: 'Organization', id: s.practice.id, name: s.practice.name },
	patient(s),
	...[
		consents,
		screening,
		flags,
		operations,
		observations,
		goals,
		orders,
		plan,
		done,
		sessionPains,
		decisions
	].flatMap((of): readonly FhirResource[] => of(s))
];

export const bundleOf = (s: FhirSource): Bundle => ({
	resourceType: 'Bundle',
	type: 'collection',
	timestamp: s.madeAt,
	entry: resourcesOf(s).map((resource) => ({
		fullUrl: `${BASE}/${resource.resourceType}/${resource.id ?? ''}`,
		resource: withoutEmpty(resource)
	}))
});
