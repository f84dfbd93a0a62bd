/** Goals as points: what daily life asks (published ranges, from memory), edges and centimetres to go, what a range would unlock. */
import { describe, expect, it } from 'vitest';
import { ACTIVITIES, activity } from '../../catalogue/activities.ts';
import { FAMILIES } from '../../catalogue/families.ts';
import { bodyOf } from '../body/body.ts';
import type { Envelope } from '../client/envelope.ts';
import { taskAnswer, taskRanges, type TaskDemand } from '../client/goal.ts';
import type { ExerciseFamily } from '../exercise/family.ts';
import type { FitContext } from '../movement/context.ts';
import { fitFamily } from './fit.ts';
import { goalDistance, pathLength } from './goal-distance.ts';
import { retestPlan, unlocks } from './unlocks.ts';

const family = FAMILIES.squat as ExerciseFamily;
const TODAY = '2026-03-12';
const at = (tolerable: number, date = TODAY) => ({
	painFree: tolerable - 10,
	tolerable,
	end: tolerable + 10,
	date,
	loaded: false
});
const envelope = (knee: number, fold = 135, ankle = 40): Envelope => ({
	kneeFlexion: { left: at(155), right: at(knee) },
	thighTrunkFlexion: { left: at(fold), right: at(fold) },
	weightBearingDorsiflexion: { left: at(ankle), right: at(ankle) }
});
function context(e: Envelope): FitContext {
	const body = bodyOf({ heightCm: 168, massKg: 70 });
	if (!body.ok) throw new Error('no body');
	return {
		body: body.value,
		rules: { base: 'tolerable', marginDeg: 5, loadedMarginDeg: 10, staleDays: 28 },
		today: TODAY,
		envelope: e
	};
}
const task = (id: string, source?: string): TaskDemand => {
	const d = activity(id)?.demands;
	return (source === undefined ? d?.[0] : d?.find((x) => x.source === source)) as TaskDemand;
};
const knees = (id: string, e: Envelope, source?: string) =>
	taskRanges(task(id, source), e, ['right'], 4)
		.filter((r) => r.axis === 'kneeFlexion')
		.map((r) => r.answer)[0];

describe('a knee of 92° (Johnston & Smidt, Rowe 2000, Kettelkamp)', () => {
	const e = envelope(92);
	it('walks, does the stairs, is borderline for an ordinary chair by one degree, and has no bath', () => {
		expect([
			knees('walk-level', e),
			knees('stairs-up', e),
			knees('stairs-down', e),
			knees('ordinary-chair', e),
			knees('bath', e)
		]).toEqual(['yes', 'yes', 'yes', 'borderline', 'no']);
	});
	it('two sources disagree about the stairs: 83° and 94°', () => {
		expect([knees('stairs-up', e, 'johnston-1970'), knees('stairs-up', e, 'protopapadaki-2007')]).toEqual([
			'yes',
			'borderline'
		]);
	});
	it('what was not measured is not said to be there', () => {
		expect(knees('walk-level', {})).toBe('not-measured');
		expect(
			taskAnswer(taskRanges(task('ordinary-chair'), { kneeFlexion: { right: at(140) } }, ['right'], 4))
		).toBe('not-measured');
		expect(taskAnswer([])).toBe('not-measured');
	});
	it('more range never makes a task less available', () => {
		const order = ['no', 'borderline', 'yes'];
		for (const a of ACTIVITIES)
			for (const d of a.demands.filter((x) => x.knee !== undefined)) {
				const answers = [40, 70, 92, 110, 130, 150].map((k) =>
					order.indexOf(
						taskRanges(d, envelope(k), ['right'], 4).find((r) => r.axis === 'kneeFlexion')?.answer ?? ''
					)
				);
				expect(answers, a.id).toEqual([...answers].sort((x, y) => x - y));
			}
	});
});

describe('distance to a 42 cm chair', () => {
	const on = (step: string, sets = 1, reps = 8) => ({ step, dose: { sets, reps } });
	it('ten rises are reached with ten, not with eight; on another step the dose is not compared', () => {
		const ten = (current: ReturnType<typeof on>) =>
			goalDistance(
				family,
				{ family: 'squat', step: 'standard-seat', heightCm: 46, reps: 10 },
				current,
				context(envelope(145))
			);
		expect(ten(on('standard-seat', 1, 8))).toMatchObject({
			reached: false,
			dose: { wanted: { sets: 1, reps: 10 }, now: { sets: 1, reps: 8 }, met: false }
		});
		expect(ten(on('standard-seat', 3, 9))).toMatchObject({ reached: false });
		expect(ten(on('standard-seat', 1, 10))).toMatchObject({ reached: true, dose: { met: true } });
		expect(ten(on('raised-seat', 3, 20))).toMatchObject({ reached: false, dose: { now: null, met: false } });
	});
	it('counts edges from the current step and centimetres from the lowest seat of today, to the seat the ladder itself solves', () => {
		const ctx = context(envelope(85));
		const d = goalDistance(
			family,
			{ family: 'squat', step: 'standard-seat', heightCm: 42 },
			on('raised-seat'),
			ctx
		);
		expect(d).toMatchObject({ edges: 1, reached: false });
		const seat = fitFamily(family, ctx).find((f) => f.step === 'standard-seat')?.setup?.seatCm;
		expect(d?.heightNow).toBe(seat);
		expect(d?.cmToGo).toBe((seat as number) - 42);
		expect(d?.short).toMatchObject({ axis: 'kneeFlexion', side: 'right' });
	});
	it('comes nearer with every ten degrees, and is reached when it fits and is the step of today', () => {
		const left = [80, 90, 100, 110].map(
			(k) =>
				goalDistance(
					family,
					{ family: 'squat', step: 'standard-seat', heightCm: 42 },
					on('raised-seat'),
					context(envelope(k))
				)?.cmToGo as number
		);
		for (let i = 1; i < left.length; i++) expect(left[i]).toBeLessThanOrEqual(left[i - 1] as number);
		expect(left[0]).toBeGreaterThan(left[3] as number);
		expect(
			goalDistance(
				family,
				{ family: 'squat', step: 'standard-seat', heightCm: 46 },
				on('standard-seat'),
				context(envelope(145))
			)
		).toMatchObject({ reached: true, cmToGo: 0, edges: 0 });
	});
	it('a step the family does not know has no distance; a step no path leads to has no edges', () => {
		expect(
			goalDistance(family, { family: 'squat', step: 'no-such' }, on('raised-seat'), context(envelope(100)))
		).toBeUndefined();
		expect(pathLength(family, 'standard-seat', 'raised-seat')).toBeNull();
		expect(pathLength(family, 'raised-seat-hands', 'standard-seat')).toBe(2);
	});
});

describe('what a range would unlock, and when it is taken again', () => {
	it('an ankle that was never measured names every step that waits only for it', () => {
		const { weightBearingDorsiflexion: _, ...rest } = envelope(140, 150);
		const fits = fitFamily(family, context(rest));
		const ankle = unlocks(fits).find((u) => u.axis === 'weightBearingDorsiflexion');
		expect(ankle?.sidesToMeasure).toEqual(['left', 'right']);
		expect(ankle?.byMeasuring.length).toBe(fits.filter((f) => f.verdict === 'unmeasured').length);
		expect(ankle?.byMeasuring.length).toBeGreaterThan(2);
	});
	it('the degrees it names are enough: with them no step is short any more', () => {
		const before = fitFamily(family, context(envelope(88)));
		const knee = unlocks(before).find((u) => u.axis === 'kneeFlexion');
		expect(knee?.byDegrees.length).toBeGreaterThan(0);
		for (const { step, degrees } of knee?.byDegrees ?? []) {
			expect(degrees.left).toBeUndefined();
			const after = fitFamily(family, context(envelope(88 + (degrees.right ?? 0)))).find(
				(f) => f.step === step
			);
			expect(
				after?.limiting.filter((l) => l.axis === 'kneeFlexion' && l.short > 0.01),
				step
			).toEqual([]);
		}
	});
	it('the limiting joint comes again at half the time, the others when stale; missing today', () => {
		const plan = retestPlan(
			{ ...envelope(88), weightBearingDorsiflexion: { left: at(40) } },
			fitFamily(family, context(envelope(88))),
			context({}).rules,
			TODAY
		);
		expect(plan.find((p) => p.axis === 'kneeFlexion' && p.side === 'right')).toMatchObject({
			why: 'limiting',
			due: '2026-03-26'
		});
		expect(plan.find((p) => p.axis === 'kneeFlexion' && p.side === 'left')).toMatchObject({
			why: 'routine',
			due: '2026-04-09'
		});
		expect(plan[0]).toMatchObject({ axis: 'weightBearingDorsiflexion', side: 'right', why: 'missing' });
		const old = retestPlan(
			{ kneeFlexion: { right: at(100, '2026-02-01') } },
			[],
			context({}).rules,
			TODAY
		).find((p) => p.axis === 'kneeFlexion' && p.side === 'right');
		expect(old).toMatchObject({ why: 'stale', due: '2026-03-01', overdueDays: 11 });
	});
});
