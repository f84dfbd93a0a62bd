/**
 * A force curve: its peak and the mean of its steadiest strong part, newtons; or "cannot tell". One jerk is no strength: the peak is
 * that of a tenth-of-a-second mean, and the steady part must stay within a tenth of its mean for two seconds.
 * @source practice-setting window and spread
 */
import { onGrid, smoothed, streamHealth, type Stream, type StreamHealth } from './stream.ts';

export type ForceAnswer =
	| {
			readonly kind: 'force';
			readonly peakN: number;
			readonly steadyN: number | null;
			readonly steadyFromSec: number | null;
			readonly health: StreamHealth;
	  }
	| {
			readonly kind: 'cannot-tell';
			readonly why: 'too-short' | 'lost-packets' | 'gap' | 'too-noisy' | 'no-push';
			readonly value: number;
			readonly limit: number;
			readonly health: StreamHealth;
	  };

const WINDOW_SEC = 2;
const STEADY_SPREAD = 0.1;
const STRONG_SHARE = 0.7;
const LEAST_N = 10;
const MOST_LOST = 0.15;
const LONGEST_GAP_SEC = 0.4;

export function forceOf(stream: Stream): ForceAnswer {
	const health = streamHealth(stream);
	const no = (
		why: Extract<ForceAnswer, { kind: 'cannot-tell' }>['why'],
		value: number,
		limit: number
	): ForceAnswer => ({ kind: 'cannot-tell', why, value, limit, health });
	if (health.seconds < 1) return no('too-short', health.seconds, 1);
	if (health.lostShare > MOST_LOST) return no('lost-packets', health.lostShare, MOST_LOST);
	if (health.longestGapSec > LONGEST_GAP_SEC) return no('gap', health.longestGapSec, LONGEST_GAP_SEC);
	const x = smoothed(onGrid(stream), Math.round(0.05 * stream.hz));
	const peakN = x.reduce((m, v) => Math.max(m, v), 0);
	if (peakN < LEAST_N) return no('no-push', peakN, LEAST_N);
	if (health.noise > peakN / 4) return no('too-noisy', health.noise, peakN / 4);
	const steady = steadiest(x, Math.round(WINDOW_SEC * stream.hz), peakN, health.noise);
	return {
		kind: 'force',
		peakN,
		steadyN: steady?.mean ?? null,
		steadyFromSec: steady === undefined ? null : steady.from / stream.hz,
		health
	};
}

/** The window with the highest mean among those that stay within a tenth of it and above 70 % of the peak. */
function steadiest(
	x: Float64Array,
	width: number,
	peak: number,
	noise: number
): { readonly from: number; readonly mean: number } | undefined {
	let best: { from: number; mean: number } | undefined;
	for (let from = 0; from + width <= x.length; from += 5) {
		let [sum, low, high] = [0, Infinity, -Infinity];
		for (let i = from; i < from + width; i++) {
			const v = x[i] as number;
			sum += v;
			low = Math.min(low, v);
			high = Math.max(high, v);
		}
		const mean = sum / width;
		const allowed = STEADY_SPREAD * mean + 3 * noise;
		if (mean < STRONG_SHARE * peak || high - mean > allowed || mean - low > allowed) continue;
		if (best === undefined || mean > best.mean) best = { from, mean };
	}
	return best;
}
