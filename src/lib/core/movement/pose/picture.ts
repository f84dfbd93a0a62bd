/** Two key poses drawn, limbs turned from one to the other. */
import type { Axis } from '../../body/axis.ts';
import type { Body } from '../../body/body.ts';
import { betweenPoses, type KeyPose, pointsOfPose } from '../../figure/key-pose.ts';
import { propsOfPose } from '../../figure/pose-props.ts';
import { framed, type Picture } from '../drawing/drawn.ts';

/** What is held where a pose names no load, kg. */
const SOMETHING_LIGHT = 4;

export function posePicture(
	body: Body,
	{ from, to }: { readonly from: KeyPose; readonly to: KeyPose },
	kg: number = SOMETHING_LIGHT,
	limiting: readonly Axis[]
): Picture {
	return framed(
		body,
		(t) => {
			const pose = betweenPoses(from, to, t);
			const points = pointsOfPose(body, pose);
			return { points, props: propsOfPose(body, points, pose.props ?? [], kg), labels: [] };
		},
		limiting,
		[0, 1]
	);
}
