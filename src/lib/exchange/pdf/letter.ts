/** One page for whoever referred: what was measured and how it has changed beyond error, what stands, which flags were raised. It diagnoses nothing. */
import { Sheet } from './sheet.ts';

export interface Letter {
	readonly client: string;
	readonly born: string;
	readonly practice: string;
	readonly date: string;
	readonly signedBy: string;
	readonly regions: readonly string[];
	readonly since: string;
	readonly flags: readonly string[];
	/** What, first, last, the change by published rules. */
	readonly measured: readonly (readonly [what: string, first: string, last: string, change: string])[];
	readonly pains: readonly string[];
	readonly exercises: readonly string[];
	readonly goals: readonly string[];
	/** In the practitioner's own words. */
	readonly words: readonly string[];
}

const NOTHING = 'none';

export function letterPdf(l: Letter): Promise<Uint8Array<ArrayBuffer>> {
	const sheet = new Sheet({
		title: `Report, ${l.client}`,
		author: l.practice,
		language: 'en',
		foot: `${l.client}, born ${l.born} · ${l.practice} · ${l.date}`
	});
	sheet.heading('Report on exercise therapy');
	sheet.line(`${l.client}, born ${l.born}`);
	sheet.quiet(`${l.practice} · ${l.date} · here since ${l.since} · ${l.regions.join(', ')}`);
	for (const w of l.words) sheet.line(w);
	sheet.section('Flags that are open');
	if (l.flags.length === 0) sheet.line(NOTHING);
	else sheet.caution(l.flags);
	sheet.section('Measured: first, last, and the change against the error of the method');
	sheet.rows([150, 70, 70, 209], l.measured.length === 0 ? [[NOTHING, '', '', '']] : l.measured);
	sheet.section('Pain, 0 to 10');
	for (const p of l.pains) sheet.line(p);
	sheet.section('What is given now');
	for (const e of l.exercises.length === 0 ? [NOTHING] : l.exercises) sheet.line(`· ${e}`);
	if (l.goals.length > 0) sheet.section('Goals');
	for (const g of l.goals) sheet.line(`· ${g}`);
	sheet.rule();
	sheet.line(`Signed: ${l.signedBy}`);
	sheet.quiet(
		'Measurements and a plan of exercise, no diagnosis. The treating clinician and local protocols come first.'
	);
	return sheet.done();
}
