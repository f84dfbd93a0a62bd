/** A further exercise on the ladder of one that stands. Common practice. */
import { describe, expect, it } from 'vitest';
import { squat } from '../../../../tests/standing.ts';
import { besideBinds, type StandsBeside } from './beside.ts';

const [gentle, middle, far] = [squat.steps[0]!.id, squat.steps[4]!.id, squat.steps[7]!.id];
const stands = (patch: Partial<StandsBeside> = {}): StandsBeside => ({
	step: middle,
	state: 'active',
	bySlip: false,
	goesBack: false,
	...patch
});
const answer = (step: string, ...standing: StandsBeside[]) => besideBinds(squat, step, standing)?.answer;

describe('beside what stands', () => {
	it.each([
		['nothing binds where it stands well', far, stands(), undefined],
		['the same step in use is given already', middle, stands(), 'given'],
		['the same step, ended, is not', middle, stands({ state: 'ended' }), undefined],
		['a stop binds every step, gentler ones too', gentle, stands({ state: 'stopped' }), 'stopped'],
		['set aside by a slip: not as far', middle, stands({ state: 'set-aside', bySlip: true }), 'set-aside'],
		['set aside by a slip: gentler is free', gentle, stands({ state: 'set-aside', bySlip: true }), undefined],
		['set aside by hand binds nothing', far, stands({ state: 'set-aside' }), undefined],
		['a slip that goes back: nothing as far', far, stands({ goesBack: true }), 'goes-back'],
		['a slip that goes back: gentler is free', gentle, stands({ goesBack: true }), undefined]
	] as const)('%s', (_, step, one, is) => expect(answer(step, one)).toBe(is));
	it('the worst of several counts, in whatever order they stand', () => {
		const [back, stopped] = [stands({ goesBack: true }), stands({ step: gentle, state: 'stopped' })];
		expect(answer(far, back, stopped)).toBe('stopped');
		expect(answer(far, stopped, back)).toBe('stopped');
		expect(answer(middle, stopped, stands())).toBe('given');
	});
});
