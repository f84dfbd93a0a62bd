/**
 * The chain: all numbers of one stand problem that do not change while its depth does. Radians, metres, kg; x from the rear edge
 * of the flat heel, fore–aft lengths already shortened by the toe-out angle.
 */
import { RAD } from '../base/angle.ts';
import { MASS, PROPORTION, type Body } from '../body/body.ts';
import { balanceTargetOf, rearOf, techniqueOf } from './balance.ts';
import { ASSUMED_DORSIFLEXION, FOOT, FREE_LEG_FORWARD, LEAN, WORKING_SHARE } from './constants.ts';
import type { Stand, Technique } from './problem.ts';
import { defaultArms, upperBody, type UpperBody } from './upper-body.ts';

export interface Chain {
	readonly stand: Stand;
	readonly body: Body;
	readonly technique: Technique | 'ordinary';
	readonly upper: UpperBody;
	readonly cosOut: number;
	readonly totalKg: number;
	readonly shankKg: number;
	readonly thighKg: number;
	readonly footKg: number;
	readonly freeKg: number;
	readonly freeKgM: number;
	readonly share: number;
	/** Foot geometry; rewritten when a wedge is scanned. */
	wedge: number;
	ankleX: number;
	ankleY: number;
	heelX: number;
	heelY: number;
	toeX: number;
	footX: number;
	targetX: number;
	stackedX: number;
	rearX: number;
	frontX: number;
	/** Steepest shank the technique allows (toe line, dorsiflexion), radians. */
	shankCap: number;
	readonly leanMax: number;
	readonly dorsiflexionMax: number;
	readonly kneeLimit: number;
	readonly hipLimit: number;
	readonly ankleLimit: number;
	readonly leanLimit: number;
	readonly pastToeLimit: number;
}

/** Prepares a chain. `hasSeat` chooses the arms when none are given. */
export function chainOf(stand: Stand, hasSeat: boolean): Chain {
	const { body, stance = 'both' } = stand;
	const M = body.massKg;
	const legs = stance === 'one' ? 1 : 2;
	const technique = techniqueOf(stand);
	const upper = upperBody(body, stand.arms ?? defaultArms(stand.movement, hasSeat, stand.load), stand.load);
	const forward = stance === 'one' ? Math.sin((stand.freeLegForwardDeg ?? FREE_LEG_FORWARD) * RAD) : 0;
	const { thighM: Lt, shankM: Ls } = body;
	const chain: Chain = {
		stand,
		body,
		technique,
		upper,
		cosOut: Math.cos((stand.toeOutDeg ?? 0) * RAD),
		totalKg: M + (stand.load !== undefined && stand.load.at !== 'none' ? stand.load.kg : 0),
		shankKg: legs * MASS.shank * M,
		thighKg: legs * MASS.thigh * M,
		footKg: legs * MASS.foot * M,
		freeKg: stance === 'one' ? (MASS.foot + MASS.shank + MASS.thigh) * M : 0,
		freeKgM: M * forward * (MASS.thigh * 0.433 * Lt + MASS.shank * (Lt + 0.433 * Ls) + MASS.foot * (Lt + Ls)),
		share: WORKING_SHARE[stance],
		wedge: 0,
		ankleX: 0,
		ankleY: 0,
		heelX: 0,
		heelY: 0,
		toeX: 0,
		footX: 0,
		targetX: 0,
		stackedX: 0,
		rearX: 0,
		frontX: 0,
		shankCap: 0,
		leanMax: (stand.hands === true ? LEAN.held : LEAN.max) * RAD,
		...limitsOf(stand)
	};
	const ball = FOOT.ball * body.footM;
	setWedge(chain, Math.asin(Math.min(1, (stand.heelWedgeCm ?? 0) / 100 / ball)));
	return chain;
}

type ChainLimits = Pick<
	Chain,
	'dorsiflexionMax' | 'kneeLimit' | 'hipLimit' | 'ankleLimit' | 'leanLimit' | 'pastToeLimit'
>;

/** What the chain keeps within: limits of the joints less the margin; what is not known limits nothing, but for the ankle's usual range. */
function limitsOf({ limits = {}, marginDeg = 0 }: Stand): ChainLimits {
	const less = (limit: number | undefined): number => (limit === undefined ? Infinity : limit - marginDeg);
	const ankleLimit = less(limits.weightBearingDorsiflexionDeg);
	return {
		dorsiflexionMax: (Number.isFinite(ankleLimit) ? ankleLimit : ASSUMED_DORSIFLEXION) * RAD,
		kneeLimit: less(limits.kneeFlexionDeg),
		hipLimit: less(limits.thighTrunkFlexionDeg),
		ankleLimit,
		leanLimit: limits.trunkLeanDeg ?? Infinity,
		pastToeLimit: limits.kneePastToeCm ?? Infinity
	};
}

/** Puts a heel wedge of the given pitch (radians) under the foot: heel up, ball on the floor. */
export function setWedge(chain: Chain, pitch: number): void {
	const { footM: Lf, ankleHeightM: ha } = chain.body;
	const ballX = FOOT.ball * Lf;
	const ankleToBall = (FOOT.ball - FOOT.ankle) * Lf;
	const sin = Math.sin(pitch);
	const cos = Math.cos(pitch);
	const c = chain.cosOut;
	const heel = ballX - ballX * cos;
	const at = (share: number): number => c * (heel + share * (Lf - heel));
	chain.wedge = pitch;
	chain.heelX = c * heel;
	chain.heelY = ballX * sin;
	chain.toeX = c * Lf;
	chain.ankleX = c * (ballX - ankleToBall * cos + ha * sin);
	chain.ankleY = ankleToBall * sin + ha * cos;
	chain.footX = at(FOOT.centre);
	chain.targetX = at(balanceTargetOf(chain.stand));
	chain.stackedX = at(
		FOOT.stackedTarget +
			(chain.stand.balanceTarget === undefined ? 0 : chain.stand.balanceTarget - FOOT.target)
	);
	// Hands that hold something firm keep the weight from falling back.
	chain.rearX = chain.stand.hands === true ? -Infinity : at(rearOf(chain.stand));
	chain.frontX = at(FOOT.front);
	chain.shankCap = shankCap(chain);
}

function shankCap(chain: Chain): number {
	const spent = chain.dorsiflexionMax + chain.wedge;
	if (chain.technique === 'knee-forward' || chain.technique === 'stacked') return spent;
	// A stiff ankle rises with the shank more upright, and pays with more fold.
	if (chain.technique === 'ordinary') return Math.max(0, Math.min(LEAN.ordinaryShank * RAD, spent));
	if (chain.technique !== 'sit-back') return Infinity;
	// The toe line: the front of the knee stays above the toe tip.
	const line = shankPastToe(chain, 0);
	return chain.ankleLimit === Infinity ? line : Math.min(line, spent);
}

/** The shank (radians) with which the front of the knee is so many metres ahead of the toe tip, measured in the leg's own plane. */
export function shankPastToe(chain: Chain, pastM: number): number {
	const room = pastM + (chain.toeX - chain.ankleX) / chain.cosOut - PROPORTION.patella * chain.body.heightM;
	return Math.asin(Math.max(-1, Math.min(1, room / chain.body.shankM)));
}
