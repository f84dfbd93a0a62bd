/** What FHIR resources share: references inside the bundle, codes that are known, texts where no code is, and nothing that is empty. */
import type { CodeableConcept, FhirResource, Quantity, Reference } from 'fhir/r4';

/** Addresses of resources in a bundle; nothing answers there. */
export const BASE = 'https://bolster.invalid/fhir';
/** Our own codes, where no published code is certain. */
export const LOCAL = 'urn:bolster:codes';
const LOINC = 'http://loinc.org';
const UCUM = 'http://unitsofmeasure.org';

/** @source loinc Codes that are certain; each ends in its own check digit. */
export const LOINC_CODES = {
	pain: ['72514-3', 'Pain severity - 0-10 verbal numeric rating [Score] - Reported'],
	height: ['8302-2', 'Body height'],
	mass: ['29463-7', 'Body weight']
} as const;

/** A published code with the local one beside it, which says what the published one leaves open. */
export const coded = (what: keyof typeof LOINC_CODES, local: string, text: string): CodeableConcept => ({
	coding: [
		{ system: LOINC, code: LOINC_CODES[what][0], display: LOINC_CODES[what][1] },
		{ system: LOCAL, code: local }
	],
	text
});

export const localCode = (code: string, text: string): CodeableConcept => ({
	coding: [{ system: LOCAL, code }],
	text
});

/** UCUM units in use. */
export const UNITS = {
	deg: 'deg',
	cm: 'cm',
	m: 'm',
	kg: 'kg',
	s: 's',
	min: 'min',
	N: 'N',
	mmHg: 'mm[Hg]',
	reps: '{reps}',
	points: '{score}'
} as const;
export type Unit = keyof typeof UNITS;

export const quantity = (value: number, unit: Unit): Quantity => ({
	value,
	unit,
	system: UCUM,
	code: UNITS[unit]
});

export const to = (type: FhirResource['resourceType'], id: string): Reference => ({
	reference: `${type}/${id}`
});

/** Leaves out what is empty: FHIR has neither null nor an empty text, list or object. */
export function withoutEmpty<T>(value: T): T {
	if (Array.isArray(value)) {
		const list = (value as unknown[]).map(withoutEmpty).filter((v) => v !== undefined);
		return (list.length === 0 ? undefined : list) as T;
	}
	if (value === null || value === '') return undefined as T;
	if (typeof value !== 'object') return value;
	const kept = Object.entries(value)
		.map(([k, v]) => [k, withoutEmpty(v as unknown)] as const)
		.filter(([, v]) => v !== undefined);
	return (kept.length === 0 ? undefined : Object.fromEntries(kept)) as T;
}
