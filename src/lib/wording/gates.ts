/** A gate in words: "2×10 clean on Free squat (shown: 1×10)". */
import type { Gate } from '#lib/core/exercise/family.ts';
import type { GateState } from '#lib/core/fit/gate.ts';
import { TECHNIQUE_NAME } from './names.ts';
import { stepTitle } from './steps.ts';

export function gateAsks(gate: Gate): string {
	switch (gate.kind) {
		case 'clean-reps':
			return `${gate.sets}×${gate.reps} clean on ${stepTitle(gate.step)}`;
		case 'easy-reps':
			return `${gate.reps} at effort ${gate.effortMax} or less on ${stepTitle(gate.step)}`;
		case 'sides-within':
			return `weaker side ${Math.round(gate.share * 100)} % of the stronger on ${stepTitle(gate.step)}`;
		case 'technique':
			return `the ${TECHNIQUE_NAME[gate.technique]} technique`;
	}
}

export const gateText = (g: GateState): string => `${gateAsks(g.gate)} (so far: ${g.shown})`;
