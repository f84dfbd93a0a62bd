/**
 * What stands on a ladder for a region binds a further exercise beside it: a new one is no way round a stop, a signed slip or a step back. The worst
 * answer counts, whatever the order: the same step is given already, one is stopped, one as far was set aside by a slip, one as far goes back.
 */
import type { ExerciseFamily } from '../exercise/family.ts';

export interface StandsBeside {
	readonly step: string;
	readonly state: 'active' | 'stopped' | 'set-aside' | 'ended';
	/** What stands was decided by a signed slip. */
	readonly bySlip: boolean;
	/** Its slip of today stops, refers or goes back. */
	readonly goesBack: boolean;
}

export const BESIDE = ['given', 'stopped', 'set-aside', 'goes-back'] as const;
export type BesideAnswer = (typeof BESIDE)[number];

/** Why a further exercise on this step is not simply given, and which one says so; undefined where none does. */
export function besideBinds<T extends StandsBeside>(
	family: ExerciseFamily,
	step: string,
	standing: readonly T[]
): { readonly answer: BesideAnswer; readonly by: T } | undefined {
	const at = (id: string): number => family.steps.findIndex((s) => s.id === id);
	const answerOf = (e: T): BesideAnswer | undefined => {
		if (e.state === 'active' && e.step === step) return 'given';
		if (e.state === 'stopped') return 'stopped';
		if (at(step) < at(e.step)) return undefined;
		if (e.state === 'set-aside' && e.bySlip) return 'set-aside';
		return e.state === 'active' && e.goesBack ? 'goes-back' : undefined;
	};
	const found = standing.flatMap((by) => {
		const answer = answerOf(by);
		return answer === undefined ? [] : [{ answer, by }];
	});
	return BESIDE.map((answer) => found.find((f) => f.answer === answer)).find((f) => f !== undefined);
}
