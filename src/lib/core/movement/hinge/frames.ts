/** A hinge to a handle, on blocks where it stands on them. */
import { point } from '../../base/vector.ts';
import { weightRadius, type Prop } from '../../figure/prop.ts';
import { hangingHandCm, hinge } from '../../posture/hinge.ts';
import type { At } from '../movement.ts';
import { byBow, hingeIn } from './problem.ts';
import type { HingePosture } from '../../exercise/step-posture.ts';
import { mix, block, label, withArms, type FrameAt } from '../drawing/frame.ts';

export function framesOfHinge({ step, p, ctx, setup }: At<HingePosture>): FrameAt {
	const { body } = ctx;
	const { load } = p;
	const end = hingeIn(p, body, setup);
	const { handleCm } = end;
	const top = hangingHandCm(body) - 4;
	const at = (cm: number) => hinge({ ...end, handleCm: cm });
	return (t) => {
		const s = at(mix(Math.max(top, handleCm), handleCm, t)).stick;
		const points = withArms(body, s);
		const hand = points.hand ?? points.shoulder;
		const r = weightRadius(load?.kg ?? 0);
		const bell: readonly Prop[] =
			load === undefined
				? []
				: [
						{ kind: 'disc', role: 'load', at: point(hand.x, hand.y - r), r },
						{
							kind: 'rod',
							role: 'load',
							a: point(hand.x - 0.03, hand.y),
							b: point(hand.x + 0.03, hand.y),
							r: 0.012
						}
					];
		const below = handleCm / 100 - 2 * r;
		const blocks: readonly Prop[] =
			load !== undefined && p.bar === 'midfoot' && below > 0.04
				? [block(hand.x - 0.13, hand.x + 0.13, below)]
				: [];
		const support: readonly Prop[] =
			step.dials.support === 'two-hands'
				? [
						{
							kind: 'rod',
							role: 'support',
							a: point(hand.x + 0.03, 0),
							b: point(hand.x + 0.03, hand.y + 0.03),
							r: 0.016
						}
					]
				: [];
		return {
			points,
			props: [...blocks, ...support, ...bell],
			labels: byBow(p) ? [] : [label(hand.x + 0.22, handleCm / 100 - 0.06, handleCm, 'handle')]
		};
	};
}
