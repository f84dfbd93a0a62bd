/**
 * A device stream: numbered samples at a known rate, some of which may be missing, and marks pressed on the way. Times in
 * milliseconds from the start of the stream, angles in degrees, force in newtons.
 */
export interface Sample {
	/** Running number from 0; a gap in it is a lost packet. */
	readonly n: number;
	readonly tMs: number;
	readonly value: number;
}

export interface Mark {
	readonly tMs: number;
	/** Pressed when it starts to hurt, or for start and stop. */
	readonly kind: 'pain' | 'press';
}

export interface Stream {
	readonly hz: number;
	readonly samples: readonly Sample[];
	readonly marks: readonly Mark[];
	/** The stream was ended by its device; false when it broke off. */
	readonly complete: boolean;
}

export interface StreamHealth {
	readonly seconds: number;
	readonly lostShare: number;
	readonly longestGapSec: number;
	/** Standard deviation of the noise, unit of the value. */
	readonly noise: number;
}

/** Share of samples lost, longest gap, and noise from second differences, which movement hardly touches. */
export function streamHealth({ hz, samples }: Stream): StreamHealth {
	const first = samples[0];
	const last = samples[samples.length - 1];
	if (first === undefined || last === undefined)
		return { seconds: 0, lostShare: 0, longestGapSec: 0, noise: 0 };
	const sent = last.n - first.n + 1;
	let gap = 0;
	const second: number[] = [];
	for (let i = 1; i < samples.length; i++) {
		const a = samples[i - 1] as Sample;
		const b = samples[i] as Sample;
		gap = Math.max(gap, b.n - a.n - 1);
		const c = samples[i + 1];
		if (c !== undefined && b.n === a.n + 1 && c.n === b.n + 1)
			second.push(Math.abs(a.value - 2 * b.value + c.value));
	}
	second.sort((a, b) => a - b);
	const middle = second[second.length >> 1] ?? 0;
	// Second differences of white noise have √6 its deviation; 1.4826 turns a median of absolute values into a deviation.
	return {
		seconds: sent / hz,
		lostShare: 1 - samples.length / sent,
		longestGapSec: gap / hz,
		noise: (1.4826 * middle) / Math.sqrt(6)
	};
}

/** The stream on its even grid, gaps bridged by straight lines. */
export function onGrid({ samples }: Stream): Float64Array {
	const first = samples[0];
	const last = samples[samples.length - 1];
	if (first === undefined || last === undefined) return new Float64Array(0);
	const grid = new Float64Array(last.n - first.n + 1);
	let before = first;
	for (const s of samples) {
		const steps = s.n - before.n;
		for (let k = 1; k <= steps; k++)
			grid[before.n - first.n + k] = before.value + ((s.value - before.value) * k) / steps;
		if (steps === 0) grid[s.n - first.n] = s.value;
		before = s;
	}
	return grid;
}

/** Centred moving mean over `half` samples to each side, shortened at the ends. */
export function smoothed(x: Float64Array, half: number): Float64Array {
	const sum = new Float64Array(x.length + 1);
	for (let i = 0; i < x.length; i++) sum[i + 1] = (sum[i] as number) + (x[i] as number);
	return x.map((_, i) => {
		const low = Math.max(0, i - half);
		const high = Math.min(x.length - 1, i + half);
		return ((sum[high + 1] as number) - (sum[low] as number)) / (high - low + 1);
	});
}
