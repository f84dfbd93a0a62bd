/** What goes along with a client's archive, in plain words; and why a record is erased. */
import type { EraseBecause, EraseTrouble } from '../core/client/erasure.ts';
import { longDay } from './typed-day.ts';

export const archiveText = (of: {
	readonly name: string;
	readonly practice: string;
	readonly madeAt: string;
	readonly tables: readonly { readonly table: string; readonly rows: number }[];
	readonly files: number;
}): string =>
	[
		`Everything ${of.practice} keeps about ${of.name}, as of ${of.madeAt}.`,
		'',
		'record.fhir.json   the record for another program, as a FHIR R4 bundle (health-data standard of HL7)',
		'tables/            the record as it is kept, one CSV file a table (RFC 4180, UTF-8); opens in any spreadsheet',
		'exercises.pdf      the sheet of what is done now, with figures and set-ups, as it is handed out',
		...(of.files === 0 ? [] : [`attachments/       ${of.files} letters and pictures`]),
		'',
		'In the tables a row that took the place of another names it in replaces_id; voided rows were taken out.',
		'Lengths are in mm, masses in g, ranges in tenths of a degree, test results in hundredths of their unit.',
		'',
		...of.tables.map((t) => `${t.table}: ${t.rows}`),
		''
	].join('\r\n');

export const BECAUSE_TEXT: Readonly<Record<EraseBecause, string>> = {
	'kept-long-enough': 'kept as long as it must be',
	mistaken: 'registered by mistake'
};

export const eraseTroubleText = (trouble: EraseTrouble, years: number): string =>
	trouble.code === 'too-early'
		? `A record is kept for ${years} years after the last work on it: this one may be erased from ${longDay(trouble.from)}.`
		: 'There are sessions or decisions in this record: it was not registered by mistake.';
