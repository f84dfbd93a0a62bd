/**
 * One client's plan as a start for another: the same ladders, each step fitted anew. Where the step itself is not open here, the farthest
 * open one before it stands in; where none is, nothing.
 */
import { type Candidate, isOpen } from './open.ts';

export interface Pattern {
	readonly family: string;
	readonly step: string;
}

export interface FromPattern extends Pattern {
	readonly pick: Candidate | null;
}

export const asPattern = (
	pattern: readonly Pattern[],
	candidates: readonly Candidate[]
): readonly FromPattern[] =>
	pattern.map((p): FromPattern => {
		const ladder = candidates.filter((c) => c.family.id === p.family);
		const far = ladder.findIndex((c) => c.step.id === p.step);
		return {
			...p,
			pick:
				ladder
					.slice(0, far + 1)
					.filter(isOpen)
					.pop() ?? null
		};
	});
