/** A bridge at its top: the feet are placed as near as the knee allows. */
import type { BridgePosture } from '../../exercise/step-posture.ts';
import { bridge } from '../../posture/bridge.ts';
import { bridgeFeet } from '../../posture/inverse-movements.ts';
import { framed } from '../drawing/drawn.ts';
import { asked, jointMoments, type Movement, notBelow, within } from '../movement.ts';
import { framesOfBridge } from './frames.ts';
import { bridgeAt, bridgeOf } from './problem.ts';

const AXES_ASKED = ['kneeFlexion'] as const;

export const BRIDGE: Movement<BridgePosture> = {
	axes: () => AXES_ASKED,
	leastKnee: (p) => p.kneeDeg,
	oneSided: (p) => p.legs === 1,
	byTechnique: false,
	length: () => 'feetCm',
	usual: () => ({}),
	asks: ({ p, ctx, setup }) => {
		const q = bridge(bridgeAt(p, ctx.body, setup));
		return asked({ kneeFlexion: q.kneeFlexion }, jointMoments(q.moments), q.checks);
	},
	hardest: ({ p, ctx, limits }) => {
		const feet = bridgeFeet({ ...bridgeOf(p, ctx.body), limits }, p.kneeDeg);
		return feet.status === 'never-feasible' ? null : { feetCm: notBelow(feet.value) };
	},
	picture: (at, limiting) => framed(at.ctx.body, framesOfBridge(at), limiting),
	faults: (p) => [
		...within('knee', p.kneeDeg, [10, 130], '°'),
		...within('bench', p.shoulderCm, [20, 60], 'cm'),
		...within('feet', p.footCm, [0, 60], 'cm')
	]
};
