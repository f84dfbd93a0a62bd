/**
 * Where a stand brings the centre of mass, and how far back it may stay, as shares of foot length from the heel. A technique keeps it over the foot; an
 * ordinary rise leaves the seat at the heels' edge; a rise on momentum leaves it while the weight is still behind them.
 * @source common-practice the shares; ordinary and swinging rise as the model's bands give published ranges of rises from 43–46 cm
 */
import { FOOT } from './constants.ts';
import type { Stand, Technique } from './problem.ts';

export const techniqueOf = ({ technique, movement }: Stand): Technique | 'ordinary' =>
	technique ?? (movement === 'sit-to-stand' ? 'ordinary' : 'parallel');

const RISES = {
	ordinary: { target: FOOT.ordinaryTarget, rear: FOOT.ordinaryRear },
	swing: { target: FOOT.swingTarget, rear: FOOT.swingRear },
	taught: { target: FOOT.target, rear: FOOT.rear }
} as const;

const riseOf = (stand: Stand): keyof typeof RISES =>
	techniqueOf(stand) === 'ordinary' ? (stand.momentum ?? 'ordinary') : 'taught';

export const balanceTargetOf = (stand: Stand): number => stand.balanceTarget ?? RISES[riseOf(stand)].target;
export const rearOf = (stand: Stand): number => RISES[riseOf(stand)].rear;
