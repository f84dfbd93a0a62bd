/** Small order statistics, used for usual pain, weekly medians and bands. */

/** Median with .5 kept (2, 3 → 2.5); undefined for no values. */
export function median(values: readonly number[]): number | undefined {
	if (values.length === 0) return undefined;
	const s = [...values].sort((a, b) => a - b);
	const mid = s.length >> 1;
	const high = s[mid] as number;
	return s.length % 2 === 1 ? high : ((s[mid - 1] as number) + high) / 2;
}

/** Quantile by linear interpolation between order statistics (Hyndman & Fan type 7), q in [0, 1]. */
export function quantile(sorted: readonly number[], q: number): number {
	const h = (sorted.length - 1) * q;
	const i = Math.floor(h);
	const a = sorted[i] as number;
	const b = sorted[Math.min(i + 1, sorted.length - 1)] as number;
	return a + (b - a) * (h - i);
}
