/** What goes past a slip: a harder place of a choice too, on a practice's own step as on the catalogue's. Common practice. */
import { expect, it } from 'vitest';
import { findStep } from '#lib/catalogue/families.ts';
import { bolderThan } from './bolder.ts';

const own = { ...findStep('free-squat')!.step, id: 'own-jetty-squat' };
const at = (chosen: Record<string, string> | undefined) => ({
	step: own.id,
	dose: { school: 'sets-first' as const, sets: 1, reps: 8, loadKg: 0, target: { sets: 3, reps: 10 } },
	setup: { thighDeg: 60, ...(chosen === undefined ? {} : { chosen }) }
});
const why = (p: Record<string, string> | undefined, proposed: Record<string, string> | undefined) =>
	bolderThan(at(p), at(proposed), [own.id], own);

it('a harder place is bolder; the same, a gentler one and what is only taste are not', () => {
	expect(why({ pause: '5' }, { pause: '2' })).toBe('pause 5 s is harder than what is proposed.');
	expect(why({ pause: '2' }, undefined)).toContain('pause 2 s is harder');
	expect(why({ pause: '2' }, { pause: '2' })).toBeUndefined();
	expect(why(undefined, { pause: '2' })).toBeUndefined();
	expect(why({ stance: '2' }, undefined)).toBeUndefined();
});
