/**
 * Is a gate met? Judged against what the record shows the client has done: the best clean work per step and side.
 */
import type { Gate } from '../exercise/family.ts';
import type { Side } from '../body/axis.ts';
import type { Technique } from '../posture/problem.ts';

/** Best clean work on a step: most sets reaching each rep count is kept as the reps of each set, best session. */
export interface Shown {
	readonly step: string;
	readonly side: Side | 'both';
	/** Clean reps of each set in one session. */
	readonly cleanReps: readonly number[];
	readonly effortMax: number | undefined;
}

export interface GateState {
	readonly gate: Gate;
	readonly met: boolean;
	/** What has been shown so far, for the sentence. */
	readonly shown: string;
}

export function gateState(gate: Gate, shown: readonly Shown[], technique: Technique | undefined): GateState {
	switch (gate.kind) {
		case 'technique':
			return { gate, met: technique === gate.technique, shown: technique ?? 'ordinary rise' };
		case 'clean-reps': {
			const on = shown.filter((s) => s.step === gate.step);
			const sets = (s: Shown): number => s.cleanReps.filter((r) => r >= gate.reps).length;
			const best = on.reduce((m, s) => Math.max(m, sets(s)), 0);
			const reps = on.reduce((m, s) => Math.max(m, ...s.cleanReps), 0);
			return { gate, met: best >= gate.sets, shown: on.length === 0 ? 'not done yet' : `${best}×${gate.reps} (best set ${reps})` };
		}
		case 'easy-reps': {
			const on = shown.filter((s) => s.step === gate.step);
			const met = on.some((s) => s.effortMax !== undefined && s.effortMax <= gate.effortMax && s.cleanReps.some((r) => r >= gate.reps));
			const reps = on.reduce((m, s) => Math.max(m, ...s.cleanReps), 0);
			return { gate, met, shown: on.length === 0 ? 'not done yet' : `best set ${reps}` };
		}
		case 'sides-within': {
			const best = (side: Side): number =>
				shown.filter((s) => s.step === gate.step && s.side === side).reduce((m, s) => Math.max(m, s.cleanReps.reduce((a, b) => a + b, 0)), 0);
			const [l, r] = [best('left'), best('right')];
			const share = Math.max(l, r) === 0 ? 0 : Math.min(l, r) / Math.max(l, r);
			return { gate, met: share >= gate.share, shown: `${Math.round(100 * share)} % (left ${l}, right ${r})` };
		}
	}
}
