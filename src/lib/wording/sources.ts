/** A source by name and year, as one says it: "Ageberg 2010", "ACSM 2009", "common practice". */

/** Names that are not written with one capital: bodies by their letters, people by their own. */
const NAME: Readonly<Record<string, string>> = {
	aaos: 'AAOS',
	acog: 'ACOG',
	acsm: 'ACSM',
	asbmr: 'ASBMR',
	ats: 'ATS',
	awgs: 'AWGS',
	cdc: 'CDC',
	steadi: 'STEADI',
	girft: 'GIRFT',
	ifompt: 'IFOMPT',
	nice: 'NICE',
	ng158: 'NG158',
	ng226: 'NG226',
	ng59: 'NG59',
	oarsi: 'OARSI',
	mcgill: 'McGill',
	ewgsop2: 'EWGSOP2',
	rfc: 'RFC',
	sorensen: 'Sørensen',
	thomee: 'Thomeé'
};
/** Kinds of source that are no publication. */
const PLAIN: ReadonlySet<string> = new Set([
	'common-practice',
	'practice-setting',
	'local-protocol',
	'red-flags-common'
]);
const PLAIN_NAME: Readonly<Record<string, string>> = { 'red-flags-common': 'common red flags' };

const capital = (word: string): string => NAME[word] ?? word.charAt(0).toUpperCase() + word.slice(1);

export function sourceName(key: string): string {
	if (PLAIN.has(key)) return PLAIN_NAME[key] ?? key.replaceAll('-', ' ');
	return key.split('-').map(capital).join(' ');
}

/** How sure a source is remembered; what is no publication has nothing to be remembered. */
export const gradeText = (grade: string): string => (grade === '–' ? '' : `from memory, graded ${grade}`);
