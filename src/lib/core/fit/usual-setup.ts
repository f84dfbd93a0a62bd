/** The set-up a step is usually given in, for a body: its own length before anything is solved, and its wedge. */
import type { Body } from '../body/body.ts';
import type { Step } from '../exercise/family.ts';
import type { BridgePosture, HingePosture } from '../exercise/step-posture.ts';
import { lengthIn, type SolvedSetup } from './context.ts';

/** Stature for which places on the body are written down, m. */
const WRITTEN_FOR = 1.7;

/** A height for a body, whole cm: a place on the body grows with it, a weight on blocks does not. */
const heightFor = (cm: number, scales: true | undefined, body: Body): number =>
	scales === true ? Math.round((cm * body.heightM) / WRITTEN_FOR) : cm;

export const handleFor = ({ handleCm, scales }: HingePosture, body: Body): number =>
	heightFor(handleCm, scales, body);

/** The bench of a bridge: its edge under the shoulder blades, whatever the body. Nothing where the back lies on the floor. */
export const benchFor = ({ shoulderCm, scales }: BridgePosture, body: Body): { shoulderCm?: number } =>
	shoulderCm === undefined ? {} : { shoulderCm: heightFor(shoulderCm, scales, body) };

export function usualSetup(step: Step, body: Body): SolvedSetup {
	const p = step.posture;
	switch (p.movement) {
		case 'squat':
		case 'sit-to-stand':
			return {
				...('seatCm' in p.depth
					? { seatCm: p.depth.seatCm }
					: 'thighDeg' in p.depth
						? { thighDeg: p.depth.thighDeg }
						: {}),
				...(p.heelWedgeCm === undefined ? {} : { heelWedgeCm: p.heelWedgeCm })
			};
		case 'step-up':
			return { stepCm: p.stepCm };
		case 'step-down':
			return { stepCm: p.stepCm, ...(p.heelWedgeCm === undefined ? {} : { heelWedgeCm: p.heelWedgeCm }) };
		case 'split-squat':
			return p.thighDeg === undefined ? {} : { thighDeg: p.thighDeg };
		case 'hinge':
			return { handleCm: handleFor(p, body) };
		case 'leg-press':
			return { sledCm: p.sledCm };
		default:
			return {};
	}
}

/** The step's own length as it is usually given; null where it has none, or goes as far as it goes. */
export const usualLength = (step: Step, body: Body): number | null =>
	lengthIn(usualSetup(step, body))?.value ?? null;
