/**
 * Streams against the truth they were made from (generated truth, seeds fixed): ordinary noise is half a degree, two degrees of drift
 * a minute, three packets lost in a hundred (common practice for small sensors). Smooth movements after Flash & Hogan 1985 (memory).
 */
import { describe, expect, it } from 'vitest';
import { forceOf } from './force-curve.ts';
import { repetitionsIn, type AngleAnswer, type Movement } from './repetitions.ts';
import { angleStream, forceStream, pedalStream, type AngleTruth, type Faults } from './simulated-device.ts';
import { onGrid, streamHealth, type Stream } from './stream.ts';

const ORDINARY: Faults = { noise: 0.5, driftPerMin: 2, lostShare: 0.03 };
const SQUAT: AngleTruth = {
	reps: 10,
	startDeg: 4,
	peakDeg: 92,
	downSec: 2,
	pauseSec: 0.6,
	upSec: 1.6,
	restSec: 0.8
};
const moved = (a: AngleAnswer): Movement => {
	if (a.kind !== 'movement') throw new Error(`cannot tell: ${a.why}`);
	return a.movement;
};
const SEEDS = [1, 2, 3, 4, 5, 6];

describe('repetitions in an angle stream', () => {
	it.each(['cosine', 'minimum-jerk'] as const)(
		'%s: count exact, angle within 2°, times within 0.1 s, at ordinary noise',
		(profile) => {
			for (const [downSec, pauseSec, upSec] of [
				[1.5, 0.4, 1.2],
				[2, 0, 1.6],
				[2, 0.6, 1.6],
				[2.6, 1, 2],
				[3, 2, 2]
			] as const)
				for (const seed of SEEDS) {
					const truth = { ...SQUAT, profile, downSec, pauseSec, upSec };
					const m = moved(repetitionsIn(angleStream(truth, ORDINARY, seed)));
					const at = `${profile} ${downSec}/${pauseSec}/${upSec} seed ${seed}`;
					expect(m.repetitions.length, at).toBe(10);
					expect(Math.abs(m.peakDeg - 92), at).toBeLessThan(2);
					for (const r of m.repetitions) expect(Math.abs(r.peakDeg - 92), at).toBeLessThan(2);
					expect(Math.abs(m.downSec - downSec), `${at} down ${m.downSec}`).toBeLessThan(0.1);
					expect(Math.abs(m.pauseSec - pauseSec), `${at} pause ${m.pauseSec}`).toBeLessThan(0.1);
					expect(Math.abs(m.upSec - upSec), `${at} up ${m.upSec}`).toBeLessThan(0.1);
				}
		}
	);
	it('counts 1 to 25 exactly, from small ankle movements to deep knees, sides and starts as they are', () => {
		for (const reps of [1, 2, 3, 7, 15, 25])
			for (const [startDeg, peakDeg] of [
				[0, 25],
				[4, 92],
				[-10, 130],
				[10, 45]
			] as const)
				for (const seed of SEEDS.slice(0, 3))
					expect(
						moved(repetitionsIn(angleStream({ ...SQUAT, reps, startDeg, peakDeg }, ORDINARY, seed)))
							.repetitions.length,
						`${reps} × ${startDeg}–${peakDeg} seed ${seed}`
					).toBe(reps);
	});
	it('finds where it was marked to start hurting within 2°', () => {
		for (const seed of SEEDS)
			expect(
				Math.abs(
					(moved(repetitionsIn(angleStream({ ...SQUAT, painAtDeg: 70 }, ORDINARY, seed))).onsetDeg ?? 0) - 70
				)
			).toBeLessThan(2);
		expect(moved(repetitionsIn(angleStream(SQUAT, ORDINARY, 1))).onsetDeg).toBeUndefined();
	});
	it('sees the drop-off of a tiring set, none in an even one, and how alike the repetitions are', () => {
		const tiring = moved(repetitionsIn(angleStream({ ...SQUAT, reps: 9, lessEachDeg: 2 }, ORDINARY, 3)));
		// First third against last third: six repetitions apart, 12° of a swing near 80.
		expect(tiring.dropOffPercent).toBeGreaterThan(12);
		expect(tiring.dropOffPercent).toBeLessThan(18);
		const even = moved(repetitionsIn(angleStream({ ...SQUAT, reps: 9 }, ORDINARY, 3)));
		expect(Math.abs(even.dropOffPercent)).toBeLessThan(1.5);
		expect(even.consistencyDeg).toBeLessThan(1);
		expect(tiring.consistencyDeg).toBeGreaterThan(4);
	});
	it('drift of ten degrees a minute moves neither count nor angle beyond 2°', () => {
		const m = moved(
			repetitionsIn(angleStream({ ...SQUAT, reps: 12 }, { noise: 0.5, driftPerMin: 10, lostShare: 0.03 }, 2))
		);
		expect(m.repetitions.length).toBe(12);
		expect(Math.abs(m.peakDeg - 92)).toBeLessThan(2);
	});
	it('a stream that stops in the middle counts what was finished and says it was cut short', () => {
		const whole = angleStream(SQUAT, ORDINARY, 4);
		// In the pause of the fourth repetition: 0.8 + 3·5 + 2.3 s.
		const cut = { ...whole, samples: whole.samples.filter((s) => s.tMs < 18_100), complete: false };
		const answer = repetitionsIn(cut);
		expect(moved(answer).repetitions.length).toBe(3);
		expect(answer).toMatchObject({ cutShort: true });
		expect(
			repetitionsIn({ ...whole, samples: whole.samples.filter((s) => s.tMs < 2500), complete: false })
		).toMatchObject({ kind: 'cannot-tell', why: 'broken-off' });
	});
	it('says honestly that it cannot tell: too short, packets lost, a gap, too noisy, no movement', () => {
		const why = (s: Stream): string => {
			const a = repetitionsIn(s);
			return a.kind === 'cannot-tell' ? a.why : 'told';
		};
		const s = angleStream(SQUAT, ORDINARY, 5);
		expect(why({ ...s, samples: s.samples.slice(0, 60) })).toBe('too-short');
		expect(why({ ...s, samples: [] })).toBe('too-short');
		expect(why(angleStream(SQUAT, { ...ORDINARY, lostShare: 0.3 }, 5))).toBe('lost-packets');
		expect(why({ ...s, samples: s.samples.filter((x) => x.tMs < 5000 || x.tMs > 5800) })).toBe('gap');
		expect(why(angleStream(SQUAT, { ...ORDINARY, noise: 6 }, 5))).toBe('too-noisy');
		expect(why(angleStream({ ...SQUAT, peakDeg: 20 }, { ...ORDINARY, noise: 2.5 }, 5))).toBe('too-noisy');
		expect(why(angleStream({ ...SQUAT, peakDeg: 7 }, ORDINARY, 5))).toBe('no-movement');
	});
	it('noise, loss and gaps are measured as they were made', () => {
		for (const noise of [0.3, 1, 2])
			expect(
				Math.abs(
					streamHealth(angleStream(SQUAT, { noise, driftPerMin: 0, lostShare: 0 }, 6)).noise / noise - 1
				)
			).toBeLessThan(0.15);
		const lossy = streamHealth(angleStream(SQUAT, { ...ORDINARY, lostShare: 0.1 }, 6));
		expect(Math.abs(lossy.lostShare - 0.1)).toBeLessThan(0.02);
		const grid = onGrid({
			hz: 50,
			marks: [],
			complete: true,
			samples: [
				{ n: 4, tMs: 80, value: 1 },
				{ n: 7, tMs: 140, value: 4 }
			]
		});
		expect([...grid]).toEqual([1, 2, 3, 4]);
	});
});

describe('a force curve', () => {
	it('peak and steady mean within 3 % of the truth', () => {
		for (const seed of SEEDS)
			for (const [peakN, steadyN] of [
				[320, 290],
				[120, 110],
				[600, 600]
			] as const) {
				const f = forceOf(
					forceStream(
						{ peakN, steadyN, riseSec: 1.5, holdSec: 3.5 },
						{ noise: peakN / 100, driftPerMin: 0, lostShare: 0.03 },
						seed
					)
				);
				if (f.kind !== 'force') throw new Error(f.why);
				expect(Math.abs(f.peakN / peakN - 1)).toBeLessThan(0.03);
				expect(Math.abs((f.steadyN ?? 0) / steadyN - 1)).toBeLessThan(0.03);
			}
	});
	it('a jerk has a peak and no steady part; nothing pushed, and noise, cannot be told', () => {
		expect(
			forceOf(
				forceStream(
					{ peakN: 300, steadyN: 60, riseSec: 0.4, holdSec: 0.6 },
					{ noise: 2, driftPerMin: 0, lostShare: 0 },
					1
				)
			)
		).toMatchObject({ kind: 'force', steadyN: null });
		expect(
			forceOf(
				forceStream(
					{ peakN: 4, steadyN: 4, riseSec: 1, holdSec: 3 },
					{ noise: 0.5, driftPerMin: 0, lostShare: 0 },
					1
				)
			)
		).toMatchObject({ why: 'no-push' });
		expect(
			forceOf(
				forceStream(
					{ peakN: 60, steadyN: 60, riseSec: 1, holdSec: 3 },
					{ noise: 40, driftPerMin: 0, lostShare: 0 },
					1
				)
			)
		).toMatchObject({ why: 'too-noisy' });
		expect(forceOf(pedalStream([1, 2]))).toMatchObject({ why: 'too-short' });
	});
});
