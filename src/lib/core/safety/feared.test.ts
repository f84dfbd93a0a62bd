/** A feared movement: smallest step first, confidence leading. Graded exposure, common practice. */
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '../../catalogue/families.ts';
import { POLICIES } from '../../catalogue/policies.ts';
import { fearedLadders } from '../client/story.ts';
import { factsOf } from '../decision/facts.ts';
import { judge } from '../decision/judge.ts';
import { stepOf, type ExerciseFamily } from '../exercise/family.ts';
import { context, facts, given } from '../../../../tests/standing.ts';
import { record, session } from '../../../../tests/records.ts';
import { closedFor } from './closed.ts';
import { beginsSmaller, smallestStep } from './feared.ts';

const hinge = FAMILIES.hinge as ExerciseFamily;
const step = (id: string) => stepOf(hinge, id)!;

describe('begins at its smallest step', () => {
	it('the first that body and room allow', () => {
		expect(smallestStep(hinge, context())?.id).toBe('seated-hinge');
		// A chair that is not there: kneeling is the next.
		const noChair = context({ equipment: ['pillow', 'wall'] });
		const first = smallestStep(hinge, noChair);
		expect(first?.id).not.toBe('seated-hinge');
	});
	it('of a ladder that has none that the room allows there is none, and nothing is closed for it', () => {
		const seated = { ...hinge, steps: [step('seated-hinge')] };
		const noChair = context({ equipment: ['wall'] });
		expect(smallestStep(seated, noChair)).toBeUndefined();
		expect(beginsSmaller(seated, step('seated-hinge'), undefined, noChair)).toBeUndefined();
	});
	it('a ladder that a gate holds from its first step begins there', () => {
		expect(smallestStep(FAMILIES.lunge as ExerciseFamily, context())?.id).toBe('held-split-squat');
	});
	it('what is farther is closed until the ladder was begun', () => {
		expect(beginsSmaller(hinge, step('free-hinge'), undefined, context())?.id).toBe('seated-hinge');
		expect(beginsSmaller(hinge, step('seated-hinge'), undefined, context())).toBeUndefined();
		expect(beginsSmaller(hinge, step('free-hinge'), 'seated-hinge', context())).toBeUndefined();
	});
	it('to a trainer; a licensed user gives a reason', () => {
		const by = (id: string, feared?: { readonly reached: string | undefined }) =>
			closedFor(given({ family: hinge, step: step(id), setup: null }), false, {
				...facts(context()),
				unmet: [],
				treatsBack: false,
				...(feared === undefined ? {} : { feared })
			}).map((c) => [c.by, c.who, c.text]);
		expect(by('free-hinge', { reached: undefined })).toEqual([
			['feared', 'licensed', step('seated-hinge').title]
		]);
		expect(by('free-hinge', { reached: 'seated-hinge' })).toEqual([]);
		expect(by('free-hinge')).toEqual([]);
	});
});

describe('climbs by confidence', () => {
	const unsure = (feared: boolean, confidence: number | undefined) => {
		const { confidence: _, ...said } = session('2026-03-16');
		const with_ = (date: string) => ({ ...said, date, ...(confidence === undefined ? {} : { confidence }) });
		const base = record({ policy: POLICIES.quota, sessions: [with_('2026-03-16'), with_('2026-03-18')] });
		return judge({ ...base, exercise: { ...base.exercise, ...(feared ? { feared: true as const } : {}) } });
	};
	it('the quota school asks for none, but of a feared movement', () => {
		expect(unsure(false, undefined).decision).toBe('advance');
		expect(unsure(true, undefined).decision).not.toBe('advance');
		expect(unsure(true, 5).decision).toBe('advance');
	});
	it('two sessions of 4 or less lead back a step', () => {
		expect(unsure(false, 4).decision).toBe('advance');
		expect(unsure(true, 4)).toMatchObject({ decision: 'regress', rule: 'regress.guarding' });
	});
	it('a policy that asks for more keeps its own line', () => {
		const strict = { ...POLICIES['pain-monitored'], confidenceMin: 8 };
		const base = record({ policy: strict });
		expect(factsOf({ ...base, exercise: { ...base.exercise, feared: true } }).policy.confidenceMin).toBe(8);
	});
});

it('of several stories each ladder once, the least sure first', () => {
	const feared = (family: string, confidence: number) => ({ family, confidence });
	expect(
		fearedLadders([
			{ feared: [feared('hinge', 4), feared('lunge', 6)] },
			{ feared: [feared('hinge', 2), feared('step', 3)] }
		])
	).toEqual([feared('hinge', 2), feared('step', 3), feared('lunge', 6)]);
});
