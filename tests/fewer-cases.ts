/** For mutants: properties run at most so many cases, so that a run of hundreds of mutants ends. */
import { vi } from 'vitest';

const MOST = Number(process.env.FC_RUNS ?? '30');

vi.mock('fast-check', async (original) => {
	const actual = (await original()) as { default: Record<string, unknown> } & Record<string, unknown>;
	const assert = actual.assert as (property: unknown, params?: { numRuns?: number }) => unknown;
	const fewer = (property: unknown, params: { numRuns?: number } = {}): unknown =>
		assert(property, { ...params, numRuns: Math.min(MOST, params.numRuns ?? MOST) });
	return { ...actual, assert: fewer, default: { ...actual.default, assert: fewer } };
});
