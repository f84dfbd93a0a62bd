/**
 * The model against its own golden table (G01–G22), computed once by an independent prototype of the same formulation, and
 * against angle ranges remembered from the literature. Tolerances: 0.1°, 0.1 cm, 0.5 N·m.
 */
import { describe, expect, it } from 'vitest';
import golden from '../../../../tests/golden/posture-golden.json' with { type: 'json' };
import { bodyOf, type Body } from '../body/body.ts';
import { heelWedge, lowestSeat, wedgePitchDeg, type Solution } from './inverse.ts';
import { dorsiflexionFromWall } from './lunge-test.ts';
import { posture, type Posture } from './posture.ts';
import type { Depth, Limits, LoadPlace, Stand, Technique } from './problem.ts';

interface GoldenInput {
	depth?: { thigh: number };
	school?: Technique;
	limits?: { knee?: number; df?: number; hip?: number; lean?: number };
	margin?: number;
	load?: { kind: LoadPlace; mass: number };
	wedgeCm?: number;
	toeOut?: number;
	seatCm?: number;
	toeWallCm?: number;
}
type Out = Record<string, number | string | boolean>;
interface Case {
	id: string;
	fn: string;
	heightCm: number;
	massKg: number;
	input: GoldenInput;
	out: Out;
}

const cases = golden.cases as unknown as Case[];

function body(heightCm: number, massKg: number): Body {
	const b = bodyOf({ heightCm, massKg });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}

function standOf(c: Case, movement: Stand['movement']): Stand {
	const { limits = {}, school, load, wedgeCm, toeOut, margin } = c.input;
	const given: Limits = {
		...(limits.knee === undefined ? {} : { kneeFlexionDeg: limits.knee }),
		...(limits.df === undefined ? {} : { weightBearingDorsiflexionDeg: limits.df }),
		...(limits.hip === undefined ? {} : { thighTrunkFlexionDeg: limits.hip }),
		...(limits.lean === undefined ? {} : { trunkLeanDeg: limits.lean })
	};
	return {
		body: body(c.heightCm, c.massKg),
		movement,
		limits: given,
		...(school === undefined ? {} : { technique: school }),
		...(load === undefined ? {} : { load: { kg: load.mass, at: load.kind } }),
		...(wedgeCm === undefined ? {} : { heelWedgeCm: wedgeCm }),
		...(toeOut === undefined ? {} : { toeOutDeg: toeOut }),
		...(margin === undefined ? {} : { marginDeg: margin })
	};
}

const seen = (p: Posture): Out => ({
	knee: p.angles.kneeFlexion,
	hip: p.angles.thighTrunkFlexion,
	df: p.angles.weightBearingDorsiflexion,
	lean: p.angles.trunkLean,
	shank: p.angles.shank,
	thigh: p.angles.thigh,
	kneePastToe: p.kneePastToeCm,
	comFoot: p.comFootPercent,
	seat: p.seatCm,
	M_knee: p.moments.kneePerLeg,
	M_hip: p.moments.hipPerLeg,
	M_L5: p.moments.lumbosacral,
	ok: p.feasible
});

const LIMITING: Record<string, string> = {
	'hip flexion': 'thighTrunkFlexion',
	'knee flexion': 'kneeFlexion'
};

function answer(c: Case): { out: Out; solution?: Solution } {
	const depth: Depth =
		c.input.seatCm !== undefined ? { seatCm: c.input.seatCm } : { thighDeg: c.input.depth?.thigh ?? NaN };
	if (c.fn === 'squat') return { out: seen(posture({ ...standOf(c, 'squat'), depth })) };
	if (c.fn === 'sitToStand') return { out: seen(posture({ ...standOf(c, 'sit-to-stand'), depth })) };
	if (c.fn === 'lowestSeat') {
		const solution = lowestSeat(standOf(c, 'sit-to-stand'));
		return { solution, out: { ...seen(solution.at), seatCm: solution.value, status: solution.status } };
	}
	if (c.fn === 'wblt')
		return { out: { shank: dorsiflexionFromWall(body(c.heightCm, c.massKg), c.input.toeWallCm ?? NaN) } };
	const stand = standOf(c, 'squat');
	const solution = heelWedge(stand, depth);
	const status = solution.status === 'never-feasible' ? solution.status : 'ok';
	return {
		solution,
		out: {
			...seen(solution.at),
			wedgeCm: solution.value,
			wedgeDeg: wedgePitchDeg(stand, solution.value),
			status
		}
	};
}

const covered = cases.filter((c) =>
	['squat', 'sitToStand', 'lowestSeat', 'wedgeNeeded', 'wblt'].includes(c.fn)
);

describe('golden table of the sagittal model', () => {
	it('holds the 22 squat and sit-to-stand rows and the lunge test', () => {
		expect(covered.map((c) => c.id)).toEqual([
			...Array.from({ length: 22 }, (_, i) => `G${String(i + 1).padStart(2, '0')}`),
			'G39'
		]);
	});

	for (const c of covered)
		it(`${c.id}: ${c.fn} at ${c.heightCm} cm, ${c.massKg} kg`, () => {
			const { out, solution } = answer(c);
			for (const [key, want] of Object.entries(c.out)) {
				if (key === 'limiting') {
					expect(solution?.limiting).toContain(LIMITING[want as string]);
					continue;
				}
				const got = out[key];
				if (typeof want === 'number') {
					const tolerance = key.startsWith('M_') ? 0.5 : 0.1;
					expect(
						Math.abs((got as number) - want),
						`${key}: want ${want}, got ${String(got)}`
					).toBeLessThanOrEqual(tolerance);
				} else expect(got, key).toBe(want);
			}
		});
});

describe('worked example: 168 cm, 70 kg, knee ≤ 80°, dorsiflexion ≤ 22°, thigh–trunk ≤ 95°', () => {
	const b = body(168, 70);
	const limits: Limits = { kneeFlexionDeg: 80, weightBearingDorsiflexionDeg: 22, thighTrunkFlexionDeg: 95 };
	const table: [Technique, number, number][] = [
		['sit-back', 64.0, 67.7],
		['parallel', 70.8, 75.6],
		['knee-forward', 62.8, 67.7],
		['stacked', 58.8, 62.4]
	];
	for (const [technique, at0, at5] of table)
		it(`${technique}: lowest seat ${at0} cm without margin, ${at5} cm with 5°`, () => {
			for (const [marginDeg, want] of [
				[0, at0],
				[5, at5]
			] as const) {
				const got = lowestSeat({ body: b, movement: 'sit-to-stand', technique, limits, marginDeg }).value;
				expect(got).toBeCloseTo(want, 0);
				expect(Math.abs(got - want)).toBeLessThanOrEqual(0.1);
			}
		});
	it('feet back 18°, knee ≤ 80°, thigh–trunk ≤ 100°: 57.3 cm', () => {
		const got = lowestSeat({
			body: b,
			movement: 'sit-to-stand',
			limits: { kneeFlexionDeg: 80, thighTrunkFlexionDeg: 100 }
		});
		expect(Math.abs(got.value - 57.3)).toBeLessThanOrEqual(0.1);
	});
});
