/**
 * Stand-ins for outside devices: an inclinometer on a limb, a hand-held force gauge, a stopwatch pedal. Each makes the stream such a
 * device would send, from a fixed seed and a known truth, with noise, drift and lost packets. Degrees, newtons, milliseconds.
 */
import { seeded } from '../base/random.ts';
import type { Mark, Sample, Stream } from './stream.ts';

export interface AngleTruth {
	readonly reps: number;
	readonly startDeg: number;
	readonly peakDeg: number;
	/** Peak of each later repetition is so much less. */
	readonly lessEachDeg?: number;
	readonly downSec: number;
	readonly pauseSec: number;
	readonly upSec: number;
	readonly restSec: number;
	readonly profile?: 'cosine' | 'minimum-jerk';
	/** Pain is marked on the way down at this angle. */
	readonly painAtDeg?: number;
}

export interface Faults {
	readonly noise: number;
	readonly driftPerMin: number;
	readonly lostShare: number;
}

const HZ = 50;

/** Standard normal numbers by the polar method (Marsaglia). */
function normal(random: () => number): () => number {
	return () => {
		for (;;) {
			const u = 2 * random() - 1;
			const v = 2 * random() - 1;
			const s = u * u + v * v;
			if (s > 0 && s < 1) return u * Math.sqrt((-2 * Math.log(s)) / s);
		}
	};
}

const PROFILE = {
	cosine: (t: number): number => (1 - Math.cos(Math.PI * t)) / 2,
	'minimum-jerk': (t: number): number => t * t * t * (10 - 15 * t + 6 * t * t)
} as const;

/** Share of the swing at a time within one repetition. */
function shareAt(t: number, w: AngleTruth): number {
	const ease = PROFILE[w.profile ?? 'cosine'];
	if (t < w.downSec) return ease(t / w.downSec);
	if (t < w.downSec + w.pauseSec) return 1;
	const up = (t - w.downSec - w.pauseSec) / w.upSec;
	return up < 1 ? 1 - ease(up) : 0;
}

const finished = (values: readonly number[], f: Faults, seed: number, marks: readonly Mark[]): Stream => {
	const random = seeded(seed);
	const bell = normal(random);
	const all = values.map((value, n): Sample => ({
		n,
		tMs: Math.round((1000 * n) / HZ),
		value: Math.round(100 * (value + f.noise * bell() + (f.driftPerMin * n) / HZ / 60)) / 100
	}));
	return {
		hz: HZ,
		samples: all.filter((_, i) => i === 0 || i === all.length - 1 || random() >= f.lostShare),
		marks,
		complete: true
	};
};

export function angleStream(w: AngleTruth, f: Faults, seed: number): Stream {
	const one = w.downSec + w.pauseSec + w.upSec + w.restSec;
	const total = w.restSec + w.reps * one;
	const marks: Mark[] = [];
	const values = Array.from({ length: Math.round(total * HZ) + 1 }, (_, n) => {
		const t = n / HZ - w.restSec;
		const rep = Math.floor(t / one);
		if (t < 0 || rep >= w.reps) return w.startDeg;
		const swing = w.peakDeg - (w.lessEachDeg ?? 0) * rep - w.startDeg;
		const angle = w.startDeg + swing * shareAt(t - rep * one, w);
		if (w.painAtDeg !== undefined && marks.length === rep && angle >= w.painAtDeg)
			marks.push({ tMs: Math.round((1000 * n) / HZ), kind: 'pain' });
		return angle;
	});
	return finished(values, f, seed, marks);
}

export interface ForceTruth {
	readonly peakN: number;
	/** Held level after the first peak. */
	readonly steadyN: number;
	readonly riseSec: number;
	readonly holdSec: number;
}

export function forceStream(w: ForceTruth, f: Faults, seed: number): Stream {
	const total = 1 + w.riseSec + w.holdSec + 1;
	const values = Array.from({ length: Math.round(total * HZ) + 1 }, (_, n) => {
		const t = n / HZ - 1;
		if (t < 0) return 0;
		if (t < w.riseSec) return w.peakN * PROFILE.cosine(t / w.riseSec);
		const held = t - w.riseSec;
		if (held < 0.4) return w.peakN + (w.steadyN - w.peakN) * PROFILE.cosine(held / 0.4);
		return held < w.holdSec ? w.steadyN : Math.max(0, w.steadyN * (1 - (held - w.holdSec) / 0.5));
	});
	return finished(values, f, seed, []);
}

/** A pedal pressed at these seconds. */
export const pedalStream = (atSec: readonly number[]): Stream => ({
	hz: HZ,
	samples: [],
	marks: atSec.map((s) => ({ tMs: Math.round(1000 * s), kind: 'press' as const })),
	complete: true
});
