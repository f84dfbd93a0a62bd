/** The hinge of a posture for a body, without the height of its handle. */
import type { Body } from '../../body/body.ts';
import type { HingePosture } from '../../exercise/step-posture.ts';
import type { HingeProblem } from '../../posture/hinge.ts';
import { heightFor } from '../place-on-body.ts';

/** Height of a handle for a body, whole cm. */
export const handleFor = ({ handleCm, scales }: HingePosture, body: Body): number =>
	heightFor(handleCm, scales, body);

export const hingeOf = (p: HingePosture, body: Body): Omit<HingeProblem, 'handleCm'> => ({
	body,
	close: p.close,
	loadKg: p.load?.kg ?? 0,
	...(p.bar === undefined ? {} : { bar: p.bar }),
	...(p.oneLeg === true ? { oneLeg: true } : {})
});
