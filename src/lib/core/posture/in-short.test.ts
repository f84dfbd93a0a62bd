/** The short form of a solution says what the long one says: angles, moments, and which of balance and reach fail. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodyOf } from '../body/body.ts';
import { postureInBand, shortInBand } from './inverse-in-band.ts';
import { STANCES, TECHNIQUES, type SquatProblem } from './problem.ts';

const RANGES = new Set(['kneeFlexion', 'thighTrunkFlexion', 'weightBearingDorsiflexion', 'kneePastToe']);

describe('a posture in short', () => {
	it('agrees with the posture written out, for any squat or rise, and whatever was solved before it', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 145, max: 200 }),
				fc.constantFrom(...TECHNIQUES),
				fc.constantFrom(...STANCES),
				fc.integer({ min: 5, max: 120 }),
				fc.integer({ min: 15, max: 90 }),
				fc.boolean(),
				fc.integer({ min: 0, max: 6 }),
				fc.integer({ min: 5, max: 45 }),
				(heightCm, technique, stance, thighDeg, seatCm, isSeat, heelWedgeCm, ankle) => {
					const body = bodyOf({ heightCm, massKg: 70 });
					if (!body.ok) throw new Error(body.refusal.message);
					const problem: SquatProblem = {
						body: body.value,
						movement: isSeat ? 'sit-to-stand' : 'squat',
						stance,
						heelWedgeCm,
						depth: isSeat ? { seatCm } : { thighDeg },
						limits: { weightBearingDorsiflexionDeg: ankle },
						...(isSeat && thighDeg % 2 === 0 ? {} : { technique })
					};
					const whole = postureInBand(problem, [problem.limits ?? {}]);
					const short = shortInBand(problem, [problem.limits ?? {}]);
					expect(short.angles).toEqual(whole.angles);
					expect(short.moments).toEqual(whole.moments);
					expect([...short.failing].sort()).toEqual(
						whole.checks
							.filter((c) => !RANGES.has(c.id) && c.slack < -1e-6)
							.map((c) => c.id)
							.sort()
					);
				}
			),
			{ seed: 91, numRuns: 400 }
		);
	});
});
