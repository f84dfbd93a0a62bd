/**
 * Repetitions in an angle stream: how many, how far, how fast, how alike; or an honest "cannot tell" with the number that forbids it.
 *
 * The stream is smoothed over a fifth of a second and cut at its turning points: a turn counts once the angle has come back by more
 * than a threshold (four deviations of the noise, a third of the usual swing, at least 8°). Peaks are taken against the line between
 * the rests around them, so that a slowly drifting sensor moves count and angle by nothing to first order. Where a movement starts
 * and ends cannot be seen, since it starts slowly: it is run out from where it passes 14 % and 50 %, by the way this person moves.
 * @source flash-hogan-1985 the smooth profile this rests on (from memory); practice-setting thresholds
 */
import { median } from '../base/statistics.ts';
import { onGrid, smoothed, streamHealth, type Stream, type StreamHealth } from './stream.ts';

export interface Repetition {
	/** Degrees, drift taken out. */
	readonly startDeg: number;
	readonly peakDeg: number;
	/** Where it was marked as starting to hurt. */
	readonly painDeg?: number;
	readonly downSec: number;
	readonly pauseSec: number;
	readonly upSec: number;
}

export interface Movement {
	readonly repetitions: readonly Repetition[];
	readonly peakDeg: number;
	readonly onsetDeg?: number;
	readonly downSec: number;
	readonly pauseSec: number;
	readonly upSec: number;
	/** Spread of the peaks, degrees (standard deviation). */
	readonly consistencyDeg: number;
	/** How much less the last third reaches than the first third, per cent of the swing. */
	readonly dropOffPercent: number;
}

export type CannotTell = 'too-short' | 'broken-off' | 'lost-packets' | 'gap' | 'too-noisy' | 'no-movement';

export type AngleAnswer =
	| {
			readonly kind: 'movement';
			readonly movement: Movement;
			readonly health: StreamHealth;
			/** The stream ended in the middle of a repetition, which is not counted. */ readonly cutShort: boolean;
	  }
	| {
			readonly kind: 'cannot-tell';
			readonly why: CannotTell;
			readonly value: number;
			readonly limit: number;
			readonly health: StreamHealth;
	  };

const LEAST_SECONDS = 2;
const MOST_LOST = 0.15;
const LONGEST_GAP_SEC = 0.4;
const MOST_NOISE = 4;
const NOISE_OF_SWING = 1 / 12;
const LEAST_SWING = 8;
const SMOOTH_SEC = 0.05;

export function repetitionsIn(stream: Stream): AngleAnswer {
	const health = streamHealth(stream);
	const no = (why: CannotTell, value: number, limit: number): AngleAnswer => ({
		kind: 'cannot-tell',
		why,
		value,
		limit,
		health
	});
	if (health.seconds < LEAST_SECONDS) return no('too-short', health.seconds, LEAST_SECONDS);
	if (health.lostShare > MOST_LOST) return no('lost-packets', health.lostShare, MOST_LOST);
	if (health.longestGapSec > LONGEST_GAP_SEC) return no('gap', health.longestGapSec, LONGEST_GAP_SEC);
	if (health.noise > MOST_NOISE) return no('too-noisy', health.noise, MOST_NOISE);
	const x = smoothed(onGrid(stream), Math.round(SMOOTH_SEC * stream.hz));
	const rough = turns(x, Math.max(LEAST_SWING, 4 * health.noise));
	const swings = swingsOf(x, rough);
	const swing = median(swings);
	const still = (): AngleAnswer =>
		stream.complete
			? no('no-movement', spread(x), LEAST_SWING)
			: no('broken-off', health.seconds, LEAST_SECONDS);
	if (swing === undefined) return still();
	if (health.noise > swing * NOISE_OF_SWING) return no('too-noisy', health.noise, swing * NOISE_OF_SWING);
	const cut = turns(x, Math.max(LEAST_SWING, 4 * health.noise, swing / 3));
	const whole = wholeRepetitions(x, cut);
	if (whole.length === 0) return still();
	const measured = whole.map((r) => measureOne(x, r, stream, health.noise));
	const stretch = wholeOverStretch(shapeOf(measured.flatMap((m) => m.edges)));
	const zero = restLevel(x, (whole[0] as Whole).from, (whole[0] as Whole).peak, health.noise);
	const repetitions = measured.map((m) => ({
		startDeg: zero,
		peakDeg: zero + m.excursion,
		...(m.painDeg === undefined ? {} : { painDeg: zero + m.painDeg }),
		...timesOf(m.edges, stretch, stream.hz)
	}));
	return {
		kind: 'movement',
		movement: summary(repetitions),
		health,
		cutShort: !stream.complete || cut.some((t) => t.kind === 'top' && !whole.some((w) => w.peak === t.at))
	};
}

const spread = (x: Float64Array): number =>
	x.reduce((m, v) => Math.max(m, v), -Infinity) - x.reduce((m, v) => Math.min(m, v), Infinity);

interface Turn {
	readonly kind: 'top' | 'bottom';
	readonly at: number;
}

/** Turning points that are followed by a way back of at least `threshold`; both ends count as bottoms where they are low. */
function turns(x: Float64Array, threshold: number): Turn[] {
	const out: Turn[] = [];
	let low = 0;
	let high = 0;
	let rising: boolean | null = null;
	for (let i = 1; i < x.length; i++) {
		const v = x[i] as number;
		if (v > (x[high] as number)) high = i;
		if (v < (x[low] as number)) low = i;
		if (rising !== true && v - (x[low] as number) >= threshold) {
			out.push({ kind: 'bottom', at: low });
			rising = true;
			high = i;
		} else if (rising !== false && (x[high] as number) - v >= threshold) {
			if (rising === true) out.push({ kind: 'top', at: high });
			rising = false;
			low = i;
		}
	}
	if (rising === false && out.length > 0) out.push({ kind: 'bottom', at: low });
	return out;
}

function swingsOf(x: Float64Array, t: readonly Turn[]): number[] {
	return t.slice(1).map((b, i) => Math.abs((x[b.at] as number) - (x[(t[i] as Turn).at] as number)));
}

interface Whole {
	readonly from: number;
	readonly peak: number;
	readonly to: number;
}

/** Bottom, top, bottom: a movement that came back. */
function wholeRepetitions(x: Float64Array, t: readonly Turn[]): Whole[] {
	return t.flatMap((turn, i): Whole[] => {
		const [before, after] = [t[i - 1], t[i + 1]];
		if (turn.kind !== 'top' || before === undefined || after === undefined) return [];
		// Come back at least half-way: a stream that stops at the bottom of a movement is no repetition.
		const up = (x[turn.at] as number) - (x[before.at] as number);
		const back = (x[turn.at] as number) - (x[after.at] as number);
		return back >= up / 2 ? [{ from: before.at, peak: turn.at, to: after.at }] : [];
	});
}

/** The level rested at around index `at`: the mean of what stays within a hundredth of the swing, so that no movement is taken in. */
function restLevel(x: Float64Array, at: number, peak: number, noise: number): number {
	const base = x[at] as number;
	const near = Math.max(0.5 + 1.3 * noise, Math.abs((x[peak] as number) - base) / 100);
	let sum = base;
	let count = 1;
	for (const step of [-1, 1])
		for (let i = at + step; i >= 0 && i < x.length && Math.abs(i - at) < 60; i += step) {
			const v = x[i] as number;
			if (Math.abs(v - base) > near) break;
			sum += v;
			count++;
		}
	return sum / count;
}

/** Indices, in parts, at which one edge of a movement passes 4 %, 14 % and 50 % of the swing. */
interface Edge {
	readonly low: number;
	readonly high: number;
	readonly half: number;
}

interface Measured {
	readonly excursion: number;
	readonly painDeg?: number;
	/** Leaving rest, reaching the top, leaving the top, home again. */
	readonly edges: readonly [Edge, Edge, Edge, Edge];
}

function measureOne(x: Float64Array, { from, peak, to }: Whole, stream: Stream, noise: number): Measured {
	const [restA, restB] = [restLevel(x, from, peak, noise), restLevel(x, to, peak, noise)];
	const rest = (i: number): number => restA + ((restB - restA) * (i - from)) / Math.max(1, to - from);
	const top = plateau(x, peak, from, to, rest);
	const share = (i: number): number => ((x[i] as number) - rest(i)) / top;
	const fromTop = (i: number): number => 1 - share(i);
	const edges = [
		edgeOf(share, peak, from),
		edgeOf(fromTop, from, peak),
		edgeOf(fromTop, to, peak),
		edgeOf(share, peak, to)
	] as const;
	const firstMs = stream.samples[0]?.tMs ?? 0;
	const indexOf = (tMs: number): number =>
		Math.min(x.length - 1, Math.max(0, Math.round(((tMs - firstMs) / 1000) * stream.hz)));
	const pain = stream.marks.find((m) => m.kind === 'pain' && indexOf(m.tMs) >= from && indexOf(m.tMs) <= to);
	const at = pain === undefined ? undefined : indexOf(pain.tMs);
	return { excursion: top, edges, ...(at === undefined ? {} : { painDeg: (x[at] as number) - rest(at) }) };
}

/** Height above rest at the top: the mean of the tenth of the repetition that stays highest, so that noise does not win. */
function plateau(
	x: Float64Array,
	peak: number,
	from: number,
	to: number,
	rest: (i: number) => number
): number {
	const highest = (x[peak] as number) - rest(peak);
	let sum = 0;
	let count = 0;
	for (let i = from; i <= to; i++) {
		const v = (x[i] as number) - rest(i);
		if (v >= 0.99 * highest) {
			sum += v;
			count++;
		}
	}
	return count === 0 ? highest : sum / count;
}

const LOW = 0.04;
const HIGH = 0.14;
const HALF = 0.5;

/** The crossings of an edge, walking down from where the share is high (`from`) to where it is zero (`to`): nearest to zero wins. */
function edgeOf(share: (i: number) => number, from: number, to: number): Edge {
	const half = passes(share, HALF, from, to);
	const high = passes(share, HIGH, half, to);
	return { half, high, low: passes(share, LOW, high, to) };
}

/** First index, in parts, at which the share falls below a level on the way. */
function passes(share: (i: number) => number, level: number, from: number, to: number): number {
	const step = from <= to ? 1 : -1;
	const begin = step === 1 ? Math.floor(from) : Math.ceil(from);
	for (let i = begin; i !== to; i += step) {
		const [a, b] = [share(i), share(i + step)];
		if (b < level) return a <= level ? i : i + step * ((a - level) / (a - b));
	}
	return to;
}

/**
 * How an edge begins tells how far before its half it began. Of three smooth ways to move, the ratio of the stretch 14–50 % to the
 * stretch 4–14 % and the whole first half over the stretch 14–50 %: minimum jerk 2.02 and 2.29, raised cosine 2.21 and 1.95, even
 * speed 3.6 and 1.39. Between them the second is read off by straight lines.
 */
const SHAPES = [
	[2.024, 2.293],
	[2.207, 1.954],
	[3.6, 1.389]
] as const;

function wholeOverStretch(shape: number): number {
	const [a, b, c] = SHAPES;
	if (shape <= a[0]) return a[1];
	if (shape >= c[0]) return c[1];
	const [p, q] = shape < b[0] ? [a, b] : [b, c];
	return p[1] + ((q[1] - p[1]) * (shape - p[0])) / (q[0] - p[0]);
}

/** One shape for the whole stream: a person moves alike from one repetition to the next, and the median sheds the noise. */
function shapeOf(edges: readonly Edge[]): number {
	const ratios = edges.flatMap((e) =>
		Math.abs(e.high - e.low) > 0.5 ? [Math.abs(e.half - e.high) / Math.abs(e.high - e.low)] : []
	);
	return median(ratios) ?? SHAPES[1][0];
}

/** Seconds of down, pause and up, from edges run out to zero. */
function timesOf(
	edges: Measured['edges'],
	stretch: number,
	hz: number
): { readonly downSec: number; readonly pauseSec: number; readonly upSec: number } {
	const [start, reach, leave, home] = edges.map((e) => e.half + stretch * (e.high - e.half)) as [
		number,
		number,
		number,
		number
	];
	const sec = (a: number, b: number): number => Math.max(0, (b - a) / hz);
	return { downSec: sec(start, reach), pauseSec: sec(reach, leave), upSec: sec(leave, home) };
}

function summary(repetitions: readonly Repetition[]): Movement {
	const mid = (pick: (r: Repetition) => number): number => median(repetitions.map(pick)) as number;
	const peaks = repetitions.map((r) => r.peakDeg);
	const mean = peaks.reduce((a, b) => a + b, 0) / peaks.length;
	const third = Math.max(1, Math.floor(peaks.length / 3));
	const part = (p: readonly number[]): number => p.reduce((a, b) => a + b, 0) / p.length;
	const swing = mean - mid((r) => r.startDeg);
	const onset = median(repetitions.flatMap((r) => (r.painDeg === undefined ? [] : [r.painDeg])));
	return {
		repetitions,
		peakDeg: mid((r) => r.peakDeg),
		...(onset === undefined ? {} : { onsetDeg: onset }),
		downSec: mid((r) => r.downSec),
		pauseSec: mid((r) => r.pauseSec),
		upSec: mid((r) => r.upSec),
		consistencyDeg:
			peaks.length < 2 ? 0 : Math.sqrt(peaks.reduce((s, p) => s + (p - mean) ** 2, 0) / (peaks.length - 1)),
		dropOffPercent:
			peaks.length < 3 || swing <= 0
				? 0
				: (100 * (part(peaks.slice(0, third)) - part(peaks.slice(-third)))) / swing
	};
}
