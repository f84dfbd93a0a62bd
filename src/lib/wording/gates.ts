/** A gate in words: "2×10 clean on Free squat (shown: 1×10)". */
import type { Clearance, Gate } from '#lib/core/exercise/family.ts';
import type { GateState } from '#lib/core/fit/gate.ts';
import { PURPOSE_NAME, TECHNIQUE_NAME } from './names.ts';
import { where } from './parts.ts';
import { stepTitle } from './steps.ts';
import { FAULTS } from '#lib/catalogue/faults.ts';

export const CLEARANCE_NAME: Readonly<Record<Clearance, string>> = {
	impact: 'impact',
	'machine-extension': 'machine leg extension',
	'loaded-spine': 'work that loads the spine'
};

const faultName = (id: string): string => FAULTS.find((f) => f.id === id)?.title ?? id;

export function gateAsks(gate: Gate): string {
	switch (gate.kind) {
		case 'clean-reps':
			return `${gate.sets}×${gate.reps} clean on ${stepTitle(gate.step)}`;
		case 'easy-reps':
			return `${gate.reps} at effort ${gate.effortMax} or less on ${stepTitle(gate.step)}`;
		case 'sides-within':
			return `weaker side ${Math.round(gate.share * 100)} % of the stronger on ${stepTitle(gate.step)}`;
		case 'held':
			return `${stepTitle(gate.step)} ${gate.sec} s, both sides`;
		case 'mastered':
			return `${stepTitle(gate.step)} at its full dose, clean`;
		case 'fault-free':
			return `${stepTitle(gate.step)} free of “${faultName(gate.fault).toLowerCase()}”`;
		case 'felt':
			return feltAsks(gate);
		case 'pain-at-most':
			return `pain ${gate.most === undefined ? 'no more than usual or safe' : `${gate.most} at most`} in ${stepTitle(gate.step)}`;
		case 'any-of':
			return gate.gates.map(gateAsks).join(', or ');
		case 'confidence':
			return `confidence ${gate.least} of 10 in ${stepTitle(gate.step)}`;
		case 'clearance':
			return `cleared for ${CLEARANCE_NAME[gate.what]} by a licensed user`;
		case 'stage':
			return `every step of “${gate.stage}” first (${gate.course})`;
		case 'technique':
			return `the ${TECHNIQUE_NAME[gate.technique]} technique`;
	}
}

function feltAsks({ muscle, step, jointFree }: Gate & { readonly kind: 'felt' }): string {
	const what = muscle === undefined ? 'the right muscle' : `the ${PURPOSE_NAME[muscle]}`;
	return `${what} felt in ${stepTitle(step)}${where(jointFree, ', and nothing in a joint')}`;
}

export const gateText = (g: GateState): string => `${gateAsks(g.gate)} (so far: ${g.shown})`;
