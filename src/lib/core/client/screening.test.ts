/**
 * Screening: one scenario a category with perfect scores (categories after common guidance, from memory): always refer, and the flag
 * is the cause. Unknown is not no. Worked example 12 and the readiness lines of references §7.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { record } from '../../../../tests/records.ts';
import { SCREENING, screenCategory } from '../../catalogue/screening.ts';
import { FAMILIES } from '../../catalogue/families.ts';
import { bodyOf } from '../body/body.ts';
import { judge } from '../decision/judge.ts';
import type { DecideInput } from '../decision/input.ts';
import type { ExerciseFamily, Step } from '../exercise/family.ts';
import type { FitContext } from '../movement/context.ts';
import { fitStep } from '../fit/fit.ts';
import {
	acuteKnee,
	CLOT_ITEMS,
	clotPoints,
	resistanceGate,
	testGate,
	walkGate,
	type AcuteKnee,
	type ClotItem
} from './acute.ts';
import {
	isComplete,
	raisedFlags,
	screenDue,
	severityOf,
	unanswered,
	withheldTags,
	type ScreenAnswers
} from './screening.ts';

const ALL_NO: ScreenAnswers = Object.fromEntries(SCREENING.map((c) => [c.id, 'no']));
const withAnswers = (answers: ScreenAnswers): DecideInput =>
	record({
		client: {
			...record().client,
			screening: { date: '2026-03-15', complete: isComplete(SCREENING, answers) },
			flags: raisedFlags(SCREENING, answers).map((f) => ({
				id: f.code,
				severity: f.severity,
				urgency: f.urgency,
				open: true
			}))
		}
	});

describe('each red flag with perfect pain, range and function', () => {
	it('the perfect record advances when nothing was reported', () =>
		expect(judge(withAnswers(ALL_NO)).decision).toBe('advance'));
	it.each(SCREENING.filter((c) => c.urgency !== 'caution').map((c) => [c.id, c.urgency] as const))(
		'%s (%s): refer, and closing it brings the advance back',
		(id, urgency) => {
			const flagged = withAnswers({ ...ALL_NO, [id]: 'yes' });
			expect(judge(flagged)).toMatchObject({
				decision: 'refer',
				level: 'client',
				rule:
					urgency === 'emergency'
						? 'refer.emergency'
						: id === 'calf-swelling'
							? 'refer.calf'
							: 'refer.red-flag'
			});
			const closed = {
				...flagged,
				client: { ...flagged.client, flags: flagged.client.flags.map((f) => ({ ...f, open: false })) }
			};
			expect(judge(closed).decision).toBe('advance');
		}
	);
	it.each(SCREENING.filter((c) => c.urgency === 'emergency').map((c) => c.id))(
		'%s unknown or not asked is not no: nothing is decided',
		(id) => {
			const { [id]: _, ...skipped } = ALL_NO;
			for (const answers of [{ ...ALL_NO, [id]: 'unknown' as const }, skipped]) {
				expect(judge(withAnswers(answers))).toMatchObject({ decision: 'wait', rule: 'wait.screen' });
				expect(unanswered(SCREENING, answers)[0]?.id).toBe(id);
			}
		}
	);
	it('an emergency outranks an urgent flag whatever the order', () => {
		const both = withAnswers({ ...ALL_NO, 'calf-swelling': 'yes', 'hot-swollen-joint': 'yes' });
		expect(
			raisedFlags(SCREENING, { 'calf-swelling': 'yes', 'hot-swollen-joint': 'yes' }).map((f) => f.urgency)
		).toEqual(['emergency', 'urgent']);
		for (const flags of [both.client.flags, [...both.client.flags].reverse()])
			expect(judge({ ...both, client: { ...both.client, flags } }).rule).toBe('refer.emergency');
	});
	it('no answers to emergency or urgent categories ever give hold or advance while one is yes (any other answers)', () => {
		const answer = fc.constantFrom('yes', 'no', 'unknown' as const);
		fc.assert(
			fc.property(fc.tuple(...SCREENING.map(() => answer)), (a) => {
				const answers = Object.fromEntries(SCREENING.map((c, i) => [c.id, a[i]])) as ScreenAnswers;
				const red = raisedFlags(SCREENING, answers).some((f) => f.severity === 'red');
				const { decision } = judge(withAnswers(answers));
				expect(decision).toBe(
					red
						? 'refer'
						: isComplete(SCREENING, answers) &&
							  !raisedFlags(SCREENING, answers).some((f) => f.severity === 'review')
							? 'advance'
							: 'wait'
				);
			}),
			{ seed: 5, numRuns: 300 }
		);
	});
});

describe('cautions act through tags and review, not by stopping everything', () => {
	it.each(SCREENING.filter((c) => severityOf(c) === 'caution').map((c) => c.id))(
		'%s leaves the rest of the plan alone',
		(id) => expect(judge(withAnswers({ ...ALL_NO, [id]: 'yes' })).decision).toBe('advance')
	);
	it('a known condition in somebody inactive waits for medical clearance first (ACSM 2015)', () => {
		expect(judge(withAnswers({ ...ALL_NO, 'inactive-with-known-disease': 'yes' }))).toMatchObject({
			decision: 'wait',
			rule: 'wait.review'
		});
	});
	it('an operation opens no flag: it asks for its protocol', () =>
		expect(raisedFlags(SCREENING, { 'recent-surgery': 'yes' })).toEqual([]));
	it('fragile bones and pelvic-floor symptoms withhold what carries their tags, with the reason (Sinaki 1984; Goom 2019)', () => {
		expect(withheldTags(SCREENING, [{ code: 'osteoporosis' }]).map((w) => w.tag)).toContain(
			'loaded-spine-bending'
		);
		expect(withheldTags(SCREENING, [{ code: 'pelvic-floor' }]).map((w) => w.tag)).toContain('impact');
		const body = bodyOf({ heightCm: 170, massKg: 70 });
		if (!body.ok) throw new Error('no body');
		const full = { painFree: 140, tolerable: 145, end: 150, date: '2026-03-10', loaded: true };
		const ankle = { ...full, painFree: 44, tolerable: 46, end: 48 };
		const ctx: FitContext = {
			body: body.value,
			technique: 'parallel',
			rules: { base: 'tolerable', marginDeg: 5, loadedMarginDeg: 10, staleDays: 28 },
			today: '2026-03-12',
			envelope: {
				kneeFlexion: { left: full, right: full },
				thighTrunkFlexion: { left: full, right: full },
				weightBearingDorsiflexion: { left: ankle, right: ankle }
			}
		};
		const family = FAMILIES.squat as ExerciseFamily;
		const calm = family.steps.find((s) => s.id === 'free-squat');
		if (calm === undefined) throw new Error('no free squat');
		const jump: Step = { ...calm, tags: ['impact'] };
		const free = fitStep(jump, ctx);
		const held = fitStep(jump, {
			...ctx,
			withheld: withheldTags(SCREENING, [{ code: 'pelvic-floor' }]),
			observed: [{ step: jump.id, setup: {}, date: '2026-03-11' }]
		});
		expect(free.verdict).not.toBe('blocked');
		expect(held).toMatchObject({
			verdict: 'blocked',
			withheld: [{ tag: 'impact', because: 'pelvic-floor' }]
		});
		for (const step of family.steps.filter(
			(s) => !s.tags.includes('impact') && !s.tags.includes('breath-holding')
		))
			expect(
				fitStep(step, { ...ctx, withheld: withheldTags(SCREENING, [{ code: 'pelvic-floor' }]) })
			).toEqual(fitStep(step, ctx));
	});
});

describe('what a category says', () => {
	it('has an action with its urgency and names no disease', () => {
		const diagnoses =
			/cauda|fracture|septic|thrombos|embol|cancerous|arthritis|meniscus|rupture|necrosis|syndrome/i;
		for (const c of SCREENING) {
			expect(c.action.length, c.id).toBeGreaterThan(20);
			expect(`${c.name} ${c.action}`, c.id).not.toMatch(diagnoses);
			if (c.urgency === 'emergency') expect(c.action, c.id).toMatch(/^Stop now/);
			expect(c.sources.length, c.id).toBeGreaterThan(0);
		}
		expect(new Set(SCREENING.map((c) => c.id)).size).toBe(SCREENING.length);
		expect(screenCategory('no-such')).toBeUndefined();
	});
	it('is asked again after the days the policy gives', () =>
		expect(screenDue('2026-01-01', 90)).toBe('2026-04-01'));
});

describe('clot points (Wells 1997 and 2003, from memory): for the letter, never for clearing', () => {
	it('worked example 12: surgery, calf, oedema, other cause as likely: 1; without the last: 3', () => {
		const items: ClotItem[] = [
			'bedridden-or-surgery',
			'calf-3cm-larger',
			'pitting-oedema',
			'alternative-as-likely'
		];
		expect(clotPoints(items)).toEqual({
			points: 1,
			twoLevel: 'unlikely',
			threeLevel: 'moderate',
			action: 'refer-same-day'
		});
		expect(clotPoints(items.slice(0, 3))).toEqual({
			points: 3,
			twoLevel: 'likely',
			threeLevel: 'high',
			action: 'refer-same-day'
		});
	});
	it('over all 1024 combinations the total is the sum, 1 → 2 turns the class, and every one is referred', () => {
		for (let bits = 0; bits < 1 << CLOT_ITEMS.length; bits++) {
			const items = CLOT_ITEMS.filter((_, i) => bits & (1 << i));
			const sum = items.reduce((s, i) => s + (i === 'alternative-as-likely' ? -2 : 1), 0);
			const a = clotPoints(items);
			expect(a.points).toBe(sum);
			expect(a.twoLevel).toBe(sum >= 2 ? 'likely' : 'unlikely');
			expect(a.action).toBe('refer-same-day');
			expect(clotPoints(items, '1997').points).toBe(sum - (items.includes('previous-clot') ? 1 : 0));
		}
		expect(clotPoints(CLOT_ITEMS.slice(0, 9)).points).toBe(9);
	});
});

describe('acute knee and resting signs (Stiell 1996, ATS 2002, ACSM 2015, from memory)', () => {
	const knee = (patch: Partial<AcuteKnee>): AcuteKnee => ({
		age: 40,
		acute: true,
		kneecapTenderAlone: false,
		fibulaHeadTender: false,
		flexionDeg: 120,
		stepsTaken: 4,
		...patch
	});
	it('any one line sends for an X-ray, at its own edge', () => {
		expect(acuteKnee(knee({})).answer).toBe('no-line-met');
		for (const [patch, over] of [
			[{ age: 54 }, false],
			[{ age: 55 }, true],
			[{ flexionDeg: 90 }, false],
			[{ flexionDeg: 89 }, true],
			[{ stepsTaken: 4 }, false],
			[{ stepsTaken: 3 }, true],
			[{ kneecapTenderAlone: true }, true],
			[{ fibulaHeadTender: true }, true]
		] as const)
			expect(acuteKnee(knee(patch)).answer, JSON.stringify(patch)).toBe(
				over ? 'refer-for-x-ray' : 'no-line-met'
			);
		expect([acuteKnee(knee({ acute: false, age: 60 })).answer, acuteKnee(knee({ age: 17 })).answer]).toEqual([
			'not-applicable',
			'not-applicable'
		]);
	});
	it('200/110 may be tested, 201 not; 180/110 may lift, 181 and 111 not; the walk waits over 120, 180, 100', () => {
		expect([
			testGate({ systolic: 200, diastolic: 110 }).allowed,
			testGate({ systolic: 201 }).allowed,
			testGate({ diastolic: 111 }).allowed
		]).toEqual([true, false, false]);
		expect([
			resistanceGate({ systolic: 180, diastolic: 110 }).allowed,
			resistanceGate({ systolic: 181 }).allowed,
			resistanceGate({ systolic: 180, diastolic: 111 }).allowed
		]).toEqual([true, false, false]);
		expect(walkGate({ pulse: 120, systolic: 180, diastolic: 100 }).allowed).toBe(true);
		for (const s of [{ pulse: 121 }, { systolic: 181 }, { diastolic: 101 }])
			expect(walkGate(s).allowed).toBe(false);
		expect(walkGate({}, true).reasons).toEqual(['heart-event']);
	});
});
