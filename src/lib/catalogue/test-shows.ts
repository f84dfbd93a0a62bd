/**
 * What a function test shows of a step: seconds of a stance count for the stance's own gate.
 * @source cdc-steadi four stages; common-practice the one-leg stance
 */
export interface TestShows {
	readonly test: string;
	/** The test's value, or one of its extras. */
	readonly from: 'value' | string;
	readonly step: string;
}

export const TEST_SHOWS: readonly TestShows[] = [
	{ test: 'one-leg-open', from: 'value', step: 'single-leg-stance' },
	{ test: 'four-stage-balance', from: 'sideBySide', step: 'side-by-side-stance' },
	{ test: 'four-stage-balance', from: 'semiTandem', step: 'staggered-stance' },
	{ test: 'four-stage-balance', from: 'value', step: 'tandem-stance' },
	{ test: 'four-stage-balance', from: 'oneLeg', step: 'single-leg-stance' }
];
