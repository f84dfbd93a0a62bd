/** Leg press: the nearest sled that knee and fold allow. The plate can be tilted for the ankle. */
import type { LegPressPosture } from '../../exercise/step-posture.ts';
import { deepestSledCm } from '../../posture/inverse-movements.ts';
import { legPress } from '../../posture/leg-press.ts';
import type { Limits } from '../../posture/problem.ts';
import type { Body } from '../../body/body.ts';
import { framed } from '../drawing/drawn.ts';
import { asked, jointMoments, type Movement, notBelow, within } from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';
import { framesOfLegPress } from './frames.ts';

const AXES_ASKED = ['kneeFlexion', 'thighTrunkFlexion'] as const;
/** A sled farther than this share of the leg, in percent, bends no knee. @source common-practice */
const FARTHEST_SLED = 95;
const farthest = (body: Body): number => FARTHEST_SLED * (body.shankM + body.thighM);
const withoutAnkle = ({ weightBearingDorsiflexionDeg: _, ...rest }: Limits): Limits => rest;

export const LEG_PRESS: Movement<LegPressPosture> = {
	axes: () => AXES_ASKED,
	oneSided: (p) => p.legs === 1,
	byTechnique: false,
	length: () => 'sledCm',
	usual: ({ sledCm }) => ({ sledCm }),
	asks: ({ p, ctx: { body }, setup }) => {
		const { railDeg, backDeg, legs } = p;
		const sledCm = setup?.sledCm ?? p.sledCm;
		const q = legPress({ body, sledCm, railDeg, backDeg, legs, loadKg: p.load?.kg ?? 0 });
		const { kneeFlexion, thighTrunkFlexion } = q;
		return asked({ kneeFlexion, thighTrunkFlexion }, jointMoments(q.moments), q.checks);
	},
	hardest: ({ p, ctx: { body }, limits, run }) => {
		const { railDeg, backDeg } = p;
		const nearest = run(() => deepestSledCm({ body, limits: withoutAnkle(limits), railDeg, backDeg }));
		const sledCm = Math.max(p.sledCm, notBelow(nearest));
		return sledCm <= farthest(body) ? { sledCm } : null;
	},
	gentlest: ({ ctx }) => ({ sledCm: Math.floor(farthest(ctx.body)) }),
	unended: (p) => ({ ...p, sledCm: SETUP_LENGTHS.sledCm.possible[0] }),
	picture: (at, limiting) => framed(at.ctx.body, framesOfLegPress(at), limiting),
	faults: (p) => [
		...within('sled', p.sledCm, SETUP_LENGTHS.sledCm.possible, 'cm'),
		...within('rail', p.railDeg, [0, 60], '°')
	]
};
