/** What is posed and not solved: two key poses, with what they ask beyond what they show. */
import { POSSIBLE_RANGE, type Axis } from '../../body/axis.ts';
import type { PosedPosture } from '../../exercise/step-posture.ts';
import { asksOfPoses, leastKneeOfPoses, poseFaults } from '../../figure/key-pose.ts';
import { asked, type Movement, within } from '../movement.ts';
import { posePicture } from './picture.ts';

export const POSE: Movement<PosedPosture> = {
	axes: (p) => Object.keys(asksOfPoses(p)) as Axis[],
	leastKnee: leastKneeOfPoses,
	oneSided: (p) => p.oneSided === true,
	byTechnique: false,
	length: () => null,
	usual: () => ({}),
	asks: ({ p }) => asked(asksOfPoses(p), {}, []),
	picture: ({ p, ctx }, limiting) => posePicture(ctx.body, p, p.load?.kg, limiting),
	faults: (p) => [
		...[p.from, p.to].flatMap(poseFaults),
		...(Object.entries(p.asks ?? {}) as [Axis, number][]).flatMap(([axis, deg]) =>
			within(axis, deg, POSSIBLE_RANGE[axis], '°')
		)
	]
};
