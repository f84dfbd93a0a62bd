/**
 * A technique as a band of shanks. Held against a plain search over shanks a twentieth of a degree apart, and against facts of the trade
 * (common practice: feet drawn back spare the hip, feet under the knees spare the knee).
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEG, RAD } from '../base/angle.ts';
import { bodyOf, type Body } from '../body/body.ts';
import { chainOf, shankPastToe, type Chain } from './chain.ts';
import { TECHNIQUE_BAND } from './constants.ts';
import {
	heelWedgeInBand,
	leastInBand,
	lowestSeatInBand,
	deepestSquatInBand,
	highestStepDownInBand,
	postureInBand,
	seatInBand,
	squatInBand,
	wedgeInBand
} from './inverse-in-band.ts';
import { heelWedge, lowestSeat } from './inverse.ts';
import { hipHeight, newPose, poseAt, type DepthKind } from './pose.ts';
import { posture } from './posture.ts';
import { TECHNIQUES, type Limits, type Stand, type Technique } from './problem.ts';
import { holdsAtDepth, shanksAtDepth, shownAtDepth } from './technique-band.ts';
import { reached } from '../../../../tests/cases.ts';

function body(heightCm = 170, massKg = 70): Body {
	const b = bodyOf({ heightCm, massKg });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}

/** Is there a shank, on a grid of a twentieth of a degree, that keeps everything? Every condition written out once more, `spare` degrees of each kept free. */
function holdsSomewhere(chain: Chain, kind: DepthKind, depth: number, spare: number): boolean {
	const pose = newPose();
	const { technique: t } = chain;
	const most = Math.min(
		t === 'ordinary' ? TECHNIQUE_BAND.ordinaryShank : 65,
		(chain.dorsiflexionMax + chain.wedge) * DEG - spare,
		t === 'sit-back' ? shankPastToe(chain, 0) * DEG - spare : 65
	);
	for (let deg = 0; deg <= most; deg += 0.05) {
		poseAt(chain, pose, kind, depth, deg * RAD);
		const lean = pose.trunk * DEG;
		const inBand =
			t === 'parallel'
				? Math.abs(lean - deg) <= TECHNIQUE_BAND.parallel - spare || (deg < 5 && lean >= -5 && lean < deg)
				: t === 'knee-forward'
					? lean <= deg - spare
					: t === 'stacked'
						? lean <= TECHNIQUE_BAND.stacked - spare
						: true;
		const bent = (pose.shank + pose.thigh) * DEG;
		const balanced = pose.comX >= chain.rearX + spare / 100 && pose.comX <= chain.frontX - spare / 100;
		if (
			inBand &&
			balanced &&
			pose.overshootM === 0 &&
			bent <= Math.min(chain.kneeLimit, 165) - spare &&
			(pose.thigh + pose.trunk) * DEG <= chain.hipLimit - spare
		)
			return true;
	}
	return false;
}

const stands = fc.record({
	heightCm: fc.integer({ min: 150, max: 195 }),
	technique: fc.constantFrom<Technique | undefined>(undefined, ...TECHNIQUES),
	knee: fc.integer({ min: 30, max: 160 }),
	hip: fc.integer({ min: 40, max: 150 }),
	ankle: fc.integer({ min: 0, max: 45 }),
	wedge: fc.constantFrom(0, 0, 2, 5),
	seatCm: fc.integer({ min: 5, max: 75 }),
	thighDeg: fc.integer({ min: 10, max: 130 }),
	onSeat: fc.boolean()
});
type Given = typeof stands extends fc.Arbitrary<infer T> ? T : never;

const standFor = ({ heightCm, technique, knee, hip, ankle, wedge }: Given): Stand => ({
	body: body(heightCm),
	movement: technique === undefined ? 'sit-to-stand' : 'squat',
	...(technique === undefined ? {} : { technique }),
	heelWedgeCm: wedge,
	limits: { kneeFlexionDeg: knee, thighTrunkFlexionDeg: hip, weightBearingDorsiflexionDeg: ankle }
});
const depthFor = (chain: Chain, g: Given): readonly [DepthKind, number] =>
	g.onSeat || g.technique === undefined ? ['hip', hipHeight(chain, g.seatCm)] : ['thigh', g.thighDeg * RAD];

describe('what holds', () => {
	it('is what a search over every shank finds: the largest that is allowed asks the least', () => {
		const seen = { holds: 0, fails: 0 };
		fc.assert(
			fc.property(stands, (g) => {
				const chain = chainOf(standFor(g), g.onSeat || g.technique === undefined);
				const [kind, depth] = depthFor(chain, g);
				const holds = holdsAtDepth(chain, newPose(), kind, depth);
				if (holdsSomewhere(chain, kind, depth, 0.1)) expect(holds).toBe(true);
				if (holds) expect(holdsSomewhere(chain, kind, depth, -0.1)).toBe(true);
				seen[holds ? 'holds' : 'fails']++;
			}),
			{ seed: 61, numRuns: 1500 }
		);
		expect(Math.min(seen.holds, seen.fails)).toBeGreaterThan(reached(250));
	});
	it('is shown as near to the technique as it can be, inside every limit; what does not hold is short or falls somewhere', () => {
		fc.assert(
			fc.property(stands, (g) => {
				const stand = standFor(g);
				const chain = chainOf(stand, g.onSeat || g.technique === undefined);
				const [kind, depth] = depthFor(chain, g);
				const shown = newPose();
				const holds = shownAtDepth(chain, shown, kind, depth);
				expect(holds).toBe(holdsAtDepth(chain, newPose(), kind, depth));
				const at = postureInBand(
					{ ...stand, depth: kind === 'thigh' ? { thighDeg: g.thighDeg } : { seatCm: g.seatCm } },
					[stand.limits as Limits]
				);
				expect(at.angles.shank).toBeCloseTo(shown.shank * DEG, 6);
				expect(at.feasible).toBe(holds);
			}),
			{ seed: 62, numRuns: 1500 }
		);
	});
});

describe('an ordinary rise', () => {
	const rise = (limits: Limits, extra: Partial<Stand> = {}) =>
		postureInBand({ body: body(), movement: 'sit-to-stand', depth: { seatCm: 46 }, ...extra }, [limits]);
	it('is shown with the feet back as usual where everything is free', () =>
		expect(
			rise({ kneeFlexionDeg: 140, thighTrunkFlexionDeg: 150, weightBearingDorsiflexionDeg: 40 }).angles.shank
		).toBeCloseTo(18, 6));
	it('stands more upright for a stiff ankle or a stiff knee, and pays with fold', () => {
		const free = rise({});
		for (const limits of [{ weightBearingDorsiflexionDeg: 10 }, { kneeFlexionDeg: 90 }]) {
			const spared = rise(limits);
			expect(spared.feasible).toBe(true);
			expect(spared.angles.shank).toBeLessThan(free.angles.shank);
			expect(spared.angles.thighTrunkFlexion).toBeGreaterThan(free.angles.thighTrunkFlexion);
		}
	});
	it('leans the shank further, to 25° and no more, for a stiff hip', () => {
		const least = rise({ thighTrunkFlexionDeg: rise({}).angles.thighTrunkFlexion - 3 });
		expect(least.feasible).toBe(true);
		expect(least.angles.shank).toBeGreaterThan(18);
		expect(rise({ thighTrunkFlexionDeg: 60 }).feasible).toBe(false);
		const chain = chainOf({ body: body(), movement: 'sit-to-stand' }, true);
		const pose = newPose();
		holdsAtDepth(chain, pose, 'hip', hipHeight(chain, 46));
		expect(pose.shank * DEG).toBeCloseTo(25, 6);
	});
	it('with both hands on something firm stays near upright: less fold; the hands carry the rest as a pull at the shoulder', () => {
		const [free, held] = [rise({}), rise({}, { hands: true })];
		expect(held.feasible).toBe(true);
		expect(held.angles.trunkLean).toBeLessThanOrEqual(15 + 1e-6);
		expect(held.angles.thighTrunkFlexion).toBeLessThan(free.angles.thighTrunkFlexion - 10);
		// Statics from the floor up: ground force through the foot's target, the pull taken off, must give the knee's moment found from the top down.
		const { knee, shoulder } = held.points;
		const chain = chainOf({ body: body(), movement: 'sit-to-stand', hands: true }, true);
		const x = (held.comFootPercent / 100) * body().footM;
		const pull = (70 * 9.81 * (chain.targetX - x)) / shoulder.y;
		const below =
			9.81 *
			(chain.footKg * (knee.x - chain.footX) +
				chain.shankKg * (knee.x - (chain.ankleX + 0.567 * (knee.x - chain.ankleX))));
		const fromGround = 70 * 9.81 * (knee.x - chain.targetX) - below + pull * knee.y;
		expect(pull).toBeGreaterThan(0);
		expect(2 * held.moments.kneePerLeg).toBeCloseTo(fromGround, 4);
	});
});

describe('what a set-up shows of range', () => {
	it('is the least any way of it asks: no shank of the band asks less of an axis', () => {
		fc.assert(
			fc.property(stands, (g) => {
				const { limits: _, ...stand } = standFor(g);
				const onSeat = g.onSeat || g.technique === undefined;
				const least = leastInBand({
					...stand,
					depth: onSeat ? { seatCm: g.seatCm } : { thighDeg: Math.min(g.thighDeg, 95) }
				});
				if (least === null) return;
				const chain = chainOf({ ...stand, limits: {} }, onSeat);
				const [kind, depth] = depthFor(chain, { ...g, thighDeg: Math.min(g.thighDeg, 95) });
				const pose = newPose();
				const [low, high] = shanksAtDepth(chain, pose, kind, depth) as [number, number];
				for (let i = 0; i <= 20; i++) {
					poseAt(chain, pose, kind, depth, low + ((high - low) * i) / 20);
					expect((pose.shank + pose.thigh) * DEG).toBeGreaterThanOrEqual(least.kneeFlexion - 1e-6);
					expect((pose.thigh + pose.trunk) * DEG).toBeGreaterThanOrEqual(least.thighTrunkFlexion - 1e-6);
				}
				expect(least.weightBearingDorsiflexion).toBeCloseTo((low - chain.wedge) * DEG, 6);
			}),
			{ seed: 64, numRuns: 400 }
		);
	});
	it('of an ordinary rise is that with the shanks nearly upright, as far as the trunk leans', () => {
		const least = leastInBand({ body: body(), movement: 'sit-to-stand', depth: { seatCm: 46 } });
		expect(least?.weightBearingDorsiflexion).toBeLessThan(6);
		expect(least?.kneeFlexion).toBeLessThan(
			posture({ body: body(), movement: 'sit-to-stand', depth: { seatCm: 46 } }).angles.kneeFlexion - 8
		);
	});
});

describe('lengths', () => {
	it('over the band are never gentler than with the technique as taught', () => {
		fc.assert(
			fc.property(stands, (g) => {
				const stand = standFor(g);
				// As taught, with an ankle that runs out, these two leave their own band: the trunk leans further than the shank, or than 15°.
				if (stand.technique === 'knee-forward' || stand.technique === 'stacked') return;
				const taught = lowestSeat(stand).value;
				if (Number.isFinite(taught))
					expect(lowestSeatInBand(stand)).toBeLessThanOrEqual(Math.ceil(taught - 1e-6) + 1e-9);
			}),
			{ seed: 63, numRuns: 300 }
		);
	});
	it('stop at the first set-up that does not hold, a whole unit from it', () => {
		const stand: Stand = {
			body: body(),
			movement: 'sit-to-stand',
			limits: { kneeFlexionDeg: 80, thighTrunkFlexionDeg: 110, weightBearingDorsiflexionDeg: 30 }
		};
		const chain = chainOf(stand, true);
		const holds = (cm: number): boolean => holdsAtDepth(chain, newPose(), 'hip', hipHeight(chain, cm));
		const cm = lowestSeatInBand(stand);
		expect([holds(cm), holds(cm - 1)]).toEqual([true, false]);
		expect(lowestSeatInBand(stand, 70)).toBe(70);
		expect(lowestSeatInBand({ ...stand, limits: { weightBearingDorsiflexionDeg: -5 } })).toBeNaN();
		expect(seatInBand(stand)).toMatchObject({ status: 'limited', value: cm, unit: 'cm' });
		expect(seatInBand({ ...stand, limits: { weightBearingDorsiflexionDeg: -5 } })).toMatchObject({
			status: 'never-feasible',
			shortfall: { check: 'weightBearingDorsiflexion' }
		});
		const squat: Stand = {
			body: body(),
			movement: 'squat',
			technique: 'parallel',
			limits: { kneeFlexionDeg: 100, thighTrunkFlexionDeg: 140, weightBearingDorsiflexionDeg: 25 }
		};
		const deg = deepestSquatInBand(squat);
		expect(squatInBand(squat)).toMatchObject({ value: deg, unit: 'deg' });
		expect(deepestSquatInBand(squat, 40)).toBe(Math.min(40, deg));
		expect(
			highestStepDownInBand(
				{
					body: body(),
					limits: { kneeFlexionDeg: 60, thighTrunkFlexionDeg: 120, weightBearingDorsiflexionDeg: 30 }
				},
				8
			)
		).toBeLessThanOrEqual(8);
	});
	it('of a wedge: none where none is needed, no more than the technique as taught asks, none where none helps', () => {
		const stand = (ankle: number): Stand => ({
			body: body(),
			movement: 'squat',
			technique: 'parallel',
			limits: { kneeFlexionDeg: 150, thighTrunkFlexionDeg: 150, weightBearingDorsiflexionDeg: ankle }
		});
		expect(heelWedgeInBand(stand(45), { thighDeg: 90 })).toBe(0);
		const needed = heelWedgeInBand(stand(18), { thighDeg: 90 });
		expect(needed).toBeGreaterThan(1);
		expect(needed).toBeLessThanOrEqual(heelWedge(stand(18), { thighDeg: 90 }).value + 1e-6);
		expect(wedgeInBand(stand(18), { thighDeg: 90 })).toMatchObject({ value: needed, status: 'limited' });
		expect(heelWedgeInBand({ ...stand(18), limits: { kneeFlexionDeg: 60 } }, { thighDeg: 90 })).toBeNaN();
	});
	it('a school at its ideal is the technique as taught', () => {
		for (const technique of TECHNIQUES) {
			const problem = { body: body(), movement: 'squat' as const, technique, depth: { thighDeg: 70 } };
			const [shown, taught] = [postureInBand(problem, [{}]).angles, posture(problem).angles];
			for (const [angle, deg] of Object.entries(taught))
				expect(shown[angle as keyof typeof shown], `${technique} ${angle}`).toBeCloseTo(deg, 6);
		}
	});
});
