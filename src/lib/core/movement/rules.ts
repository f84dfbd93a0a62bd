/** What a policy says of ranges when a step is fitted. Degrees and days. */
export interface FitRules {
	/** Which part of a measured range counts as tolerated. */
	readonly base: 'painFree' | 'tolerable';
	readonly marginDeg: number;
	/** Margin where an unloaded measurement is used for loaded work. */
	readonly loadedMarginDeg: number;
	readonly staleDays: number;
}
