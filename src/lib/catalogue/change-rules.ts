/**
 * Changes that count, by measure: more than error (detectable change) and important to the client. From memory. Where sources differ
 * both are kept; the population says for whom.
 * @source farrar-2001 · childs-2005 · salaffi-2004 · dworkin-2008 · piva-2009 · crossley-2004 · abbott-2014 · stratford-1995 · chatman-1997 · maughan-2010
 * @source wright-2011 · gill-2008 · goldberg-2012 · kennedy-2005 · alghadir-2015 · almeida-2010 · perera-2006 · konor-2012 · powden-2015 · reid-2007 · thorborg-2010 · jakobsen-2010
 */
import type { ChangeRule } from '../core/measure/change.ts';

const matters = (
	id: string,
	amount: number,
	populations: readonly string[],
	source: string,
	more: Partial<ChangeRule> = {}
): ChangeRule => ({ id, kind: 'matters', amount, of: 'points', populations, source, ...more });
const error = (
	id: string,
	amount: number,
	populations: readonly string[],
	source: string,
	more: Partial<ChangeRule> = {}
): ChangeRule => ({ id, kind: 'error', amount, of: 'points', populations, source, ...more });
const PERCENT = { of: 'percent' } as const;

/** Pain 0–10. Populations: chronic · back · front-of-knee · musculoskeletal. */
export const PAIN_CHANGES: readonly ChangeRule[] = [
	matters('farrar-raw', 2, ['chronic'], 'farrar-2001'),
	matters('farrar-percent', 30, ['chronic'], 'farrar-2001', PERCENT),
	matters('salaffi-slightly', 1, ['chronic', 'musculoskeletal'], 'salaffi-2004', { tier: 'slightly better' }),
	matters('salaffi-slightly-percent', 15, ['chronic', 'musculoskeletal'], 'salaffi-2004', {
		...PERCENT,
		tier: 'slightly better'
	}),
	matters('salaffi-much', 2, ['chronic', 'musculoskeletal'], 'salaffi-2004', { tier: 'much better' }),
	matters('salaffi-much-percent', 33, ['chronic', 'musculoskeletal'], 'salaffi-2004', {
		...PERCENT,
		tier: 'much better'
	}),
	matters('immpact-moderate', 30, ['chronic'], 'dworkin-2008', { ...PERCENT, tier: 'moderate' }),
	matters('immpact-substantial', 50, ['chronic'], 'dworkin-2008', { ...PERCENT, tier: 'substantial' }),
	error('back-2', 2, ['back'], 'childs-2005'),
	matters('front-of-knee-1.2', 1.2, ['front-of-knee'], 'piva-2009'),
	matters('front-of-knee-2', 2, ['front-of-knee'], 'crossley-2004'),
	matters('outpatients-small', 1.5, ['musculoskeletal'], 'abbott-2014', { tier: 'small' }),
	matters('outpatients-medium', 3, ['musculoskeletal'], 'abbott-2014', { tier: 'medium' }),
	matters('outpatients-large', 3.5, ['musculoskeletal'], 'abbott-2014', { tier: 'large' })
];

/** For whom a change of pain in a region is judged. */
export function painPopulations(
	region: string,
	{ frontOfKnee, longStanding }: { readonly frontOfKnee: boolean; readonly longStanding: boolean }
): readonly string[] {
	const place =
		region.startsWith('knee') && frontOfKnee ? ['front-of-knee'] : region.startsWith('back') ? ['back'] : [];
	return ['musculoskeletal', ...place, ...(longStanding ? ['chronic'] : [])];
}

/** The rules that hold for any of these populations. */
export const painChangesFor = (populations: readonly string[]): readonly ChangeRule[] =>
	PAIN_CHANGES.filter((r) => r.populations.some((p) => populations.includes(p)));

/** Mean of the client's own activities, 0–10 able. Populations: any · knee · back · musculoskeletal. */
export const ACTIVITY_MEAN_CHANGES: readonly ChangeRule[] = [
	error('mean-2', 2, ['any'], 'stratford-1995'),
	error('mean-knee-1.5', 1.5, ['knee'], 'chatman-1997'),
	matters('mean-back-2', 2, ['back'], 'maughan-2010'),
	matters('mean-small', 1.3, ['musculoskeletal'], 'abbott-2014', { tier: 'small' }),
	matters('mean-medium', 2.3, ['musculoskeletal'], 'abbott-2014', { tier: 'medium' }),
	matters('mean-large', 2.7, ['musculoskeletal'], 'abbott-2014', { tier: 'large' })
];
/** One activity, 0–10 able. */
export const ACTIVITY_CHANGES: readonly ChangeRule[] = [
	error('single-3', 3, ['any'], 'stratford-1995'),
	error('single-knee-2.5', 2.5, ['knee'], 'chatman-1997')
];

const ANY = ['any'] as const;
const HIP = ['hip osteoarthritis'] as const;
const BEFORE_REPLACEMENT = ['before or after joint replacement'] as const;

export const TEST_CHANGES: Readonly<Record<string, readonly ChangeRule[]>> = {
	'chair-stand-30s': [
		error('chair-stand-error', 1.6, BEFORE_REPLACEMENT, 'gill-2008'),
		matters('chair-stand-borderline', 2, HIP, 'wright-2011', { tier: 'borderline' }),
		matters('chair-stand-clear', 2.6, HIP, 'wright-2011', { tier: 'clear' })
	],
	'knee-girth': [
		error('girth-same-tester', 1, BEFORE_REPLACEMENT, 'jakobsen-2010'),
		error('girth-two-testers', 1.6, BEFORE_REPLACEMENT, 'jakobsen-2010', { tier: 'two testers' })
	],
	'sit-to-stand-5x': [error('five-times-error', 2.5, ['older women'], 'goldberg-2012', { strict: true })],
	'timed-up-and-go': [
		error('up-and-go-error', 2.49, BEFORE_REPLACEMENT, 'kennedy-2005'),
		error('up-and-go-error-knee', 1.1, ['knee osteoarthritis'], 'alghadir-2015'),
		matters('up-and-go-low', 0.8, HIP, 'wright-2011', { tier: 'low end' }),
		matters('up-and-go-high', 1.4, HIP, 'wright-2011', { tier: 'high end' })
	],
	'walk-40m': [
		error('walk-40-error', 4.04, BEFORE_REPLACEMENT, 'kennedy-2005', { tier: 'self-paced 2 × 20 m' })
	],
	'stair-climb': [
		error('stairs-error', 5.49, BEFORE_REPLACEMENT, 'kennedy-2005', { tier: '9 steps up and down' }),
		error('stairs-error-11', 2.6, ['after knee replacement'], 'almeida-2010', { tier: '11 steps' })
	],
	'six-minute-walk': [
		error('six-minutes-error', 61.34, BEFORE_REPLACEMENT, 'kennedy-2005'),
		matters('six-minutes-small', 20, ['older adults'], 'perera-2006', { tier: 'small' }),
		matters('six-minutes-substantial', 50, ['older adults'], 'perera-2006', { tier: 'substantial' })
	],
	'knee-to-wall': [
		error('wall-best', 1.1, ANY, 'konor-2012', { tier: 'one tester, best case' }),
		error('wall-worst', 1.5, ANY, 'konor-2012', { tier: 'one tester' }),
		error('wall-review', 1.9, ANY, 'powden-2015', { tier: 'one tester, review' }),
		error('wall-two', 1.6, ['two testers'], 'powden-2015', { tier: 'two testers' })
	],
	strength: [error('strength-15', 15, ANY, 'thorborg-2010', PERCENT)]
};

/** Change of a limb-symmetry index that is more than error, points of per cent. */
export const SYMMETRY_CHANGES: Readonly<Record<string, ChangeRule>> = {
	'hop-single': error('hop-single-error', 8.1, ANY, 'reid-2007'),
	'hop-triple': error('hop-triple-error', 10, ANY, 'reid-2007'),
	'hop-crossover': error('hop-crossover-error', 12.3, ANY, 'reid-2007'),
	'hop-6m-timed': error('hop-timed-error', 13, ANY, 'reid-2007')
};
