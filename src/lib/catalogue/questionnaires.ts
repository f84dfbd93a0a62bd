/**
 * Questionnaires of which only total, version and date may be kept: range, direction and change values. No item, answer or scoring
 * text is shipped; the practice holds its own licence where one is needed.
 * @source questionnaire-appendix ranges, directions and change values as commonly published (from memory)
 */
import type { Better } from '../core/measure/symmetry.ts';

export interface Questionnaire {
	readonly id: string;
	readonly name: string;
	readonly about: string;
	readonly range: readonly [number, number];
	readonly better: Better;
	/** Change beyond error and change that matters, points; null where none is commonly quoted. */
	readonly error: number | null;
	readonly matters: number | null;
	readonly licence: 'free' | 'licensed' | 'check';
	readonly note?: string;
}

const q = (
	id: string,
	name: string,
	about: string,
	range: readonly [number, number],
	better: Better,
	error: number | null,
	matters: number | null,
	licence: Questionnaire['licence'],
	note?: string
): Questionnaire => ({
	id,
	name,
	about,
	range,
	better,
	error,
	matters,
	licence,
	...(note === undefined ? {} : { note })
});

export const QUESTIONNAIRES: readonly Questionnaire[] = [
	q(
		'koos',
		'KOOS, one subscale',
		'knee',
		[0, 100],
		'higher',
		null,
		8,
		'free',
		'one total a subscale; name the subscale in the version'
	),
	q(
		'hoos',
		'HOOS, one subscale',
		'hip',
		[0, 100],
		'higher',
		10,
		9,
		'free',
		'one total a subscale; name the subscale in the version'
	),
	q(
		'koos-ps',
		'KOOS-PS',
		'knee',
		[0, 100],
		'lower',
		null,
		null,
		'free',
		'original scoring: 0 is no difficulty; some reverse it'
	),
	q(
		'hoos-ps',
		'HOOS-PS',
		'hip',
		[0, 100],
		'lower',
		null,
		null,
		'free',
		'original scoring: 0 is no difficulty; some reverse it'
	),
	q(
		'womac',
		'WOMAC Likert 3.1, total',
		'hip or knee',
		[0, 96],
		'lower',
		null,
		12,
		'licensed',
		'important from about 12 % of the first value'
	),
	q('odi', 'ODI, per cent', 'back', [0, 100], 'lower', 10, 10, 'licensed'),
	q('rmdq', 'RMDQ', 'back', [0, 24], 'lower', 5, 5, 'free'),
	q('lefs', 'LEFS', 'leg', [0, 80], 'higher', 9, 9, 'check'),
	q(
		'tsk-17',
		'TSK-17',
		'fear of movement',
		[17, 68],
		'lower',
		null,
		null,
		'check',
		'37 and more is called high'
	),
	q('tsk-11', 'TSK-11', 'fear of movement', [11, 44], 'lower', null, 4, 'check'),
	q('start-back', 'STarT Back, total', 'back', [0, 9], 'lower', null, null, 'licensed'),
	q('akps', 'AKPS', 'front of knee', [0, 100], 'higher', null, 8, 'check'),
	q('visa-p', 'VISA-P', 'kneecap tendon', [0, 100], 'higher', null, 13, 'check'),
	q('visa-a', 'VISA-A', 'Achilles tendon', [0, 100], 'higher', null, 6.5, 'check'),
	q('ikdc', 'IKDC subjective', 'knee', [0, 100], 'higher', 8.8, 11.5, 'licensed'),
	q('hagos', 'HAGOS, one subscale', 'hip and groin', [0, 100], 'higher', null, null, 'check'),
	q('ihot-33', 'iHOT-33', 'hip', [0, 100], 'higher', null, 6.1, 'check'),
	q('ohs', 'Oxford Hip', 'hip', [0, 48], 'higher', 5, 5, 'licensed', 'since 2007: 48 is best'),
	q('oks', 'Oxford Knee', 'knee', [0, 48], 'higher', 5, 5, 'licensed', 'since 2007: 48 is best'),
	q('fabq-pa', 'FABQ, physical activity', 'fear', [0, 24], 'lower', null, null, 'check'),
	q('fabq-w', 'FABQ, work', 'fear', [0, 42], 'lower', null, null, 'check'),
	q('pcs', 'PCS', 'worry about pain', [0, 52], 'lower', null, null, 'licensed'),
	q('pseq', 'PSEQ', 'confidence with pain', [0, 60], 'higher', null, 5.5, 'check'),
	q('acl-rsi', 'ACL-RSI', 'readiness', [0, 100], 'higher', null, null, 'check')
];

export const questionnaire = (id: string): Questionnaire | undefined =>
	QUESTIONNAIRES.find((x) => x.id === id);
