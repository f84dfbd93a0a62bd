/**
 * The ways a lunge may be done: heel of the rear foot and shank of the front leg. The same few for everybody, so that what holds with stiff toes
 * or a stiff ankle holds with free ones too; those that toes and ankle do not allow are left out, and the first that serves best is taken.
 * @source common-practice
 */
import { MODEL_ERROR, type Axis, type Side } from '../../body/axis.ts';
import type { Technique } from '../../posture/problem.ts';
import type { FitContext, LungeWay } from '../context.ts';
import { axisLimit, type WorkKind } from '../limits.ts';

/** Heel up by so much, degrees, the usual first: below the last the foot is flat. */
const REAR_PITCHES = [60, 55, 50, 45] as const;
/** Shank of the front leg by technique, degrees, the technique as taught first. */
const FRONT_SHANKS: Readonly<Record<Technique, readonly number[]>> = {
	'sit-back': [0],
	parallel: [15, 10, 5],
	'knee-forward': [38, 32, 26, 20, 15],
	stacked: [5, 0]
};
const STANDING: WorkKind = { loaded: false, openChain: false, weightBearing: true };

/** What is usable of an axis on the stricter of some sides, degrees. */
function usable(axis: Axis, sides: readonly Side[], ctx: FitContext): number {
	return Math.min(
		...sides.map((side) => {
			const l = axisLimit(axis, side, ctx.envelope, ctx.protocolLimits ?? [], ctx.rules, ctx.today, STANDING);
			return Math.min(
				l.kind === 'known' ? l.limit - l.margin : Infinity,
				(l.allowed?.maxDeg ?? Infinity) - MODEL_ERROR[axis]
			);
		})
	);
}

const allowedOf = (choices: readonly number[], most: number): readonly number[] => {
	const allowed = choices.filter((c) => c <= most + 1e-9);
	return allowed.length === 0 ? choices.slice(-1) : allowed;
};

const known = new WeakMap<FitContext, Map<Technique, readonly LungeWay[]>>();

/** The ways that toes behind and ankle in front allow; the gentlest of each where none does. */
export function lungeWays(ctx: FitContext, technique: Technique): readonly LungeWay[] {
	if (ctx.lunge !== undefined) return [ctx.lunge];
	const byTechnique = known.get(ctx) ?? new Map<Technique, readonly LungeWay[]>();
	known.set(ctx, byTechnique);
	const found = byTechnique.get(technique);
	if (found !== undefined) return found;
	const both: readonly Side[] = ['left', 'right'];
	const behind = ctx.side === undefined ? both : both.filter((s) => s !== ctx.side);
	const inFront = ctx.side === undefined ? both : [ctx.side];
	const pitches = allowedOf(REAR_PITCHES, usable('bigToeExtension', behind, ctx));
	const shanks = allowedOf(FRONT_SHANKS[technique], usable('weightBearingDorsiflexion', inFront, ctx));
	const ways = shanks.flatMap((frontShankDeg) =>
		pitches.map((rearPitchDeg): LungeWay => ({ rearPitchDeg, frontShankDeg }))
	);
	byTechnique.set(technique, ways);
	return ways;
}

export const firstWay = (ctx: FitContext, technique: Technique): LungeWay =>
	lungeWays(ctx, technique)[0] ?? {
		rearPitchDeg: REAR_PITCHES[0],
		frontShankDeg: FRONT_SHANKS[technique][0] ?? 0
	};

const inWays = new WeakMap<FitContext, Map<LungeWay, FitContext>>();

/** The same context with a lunge done in one way; the same object each time. */
export function inWay(ctx: FitContext, lunge: LungeWay): FitContext {
	const byWay = inWays.get(ctx) ?? new Map<LungeWay, FitContext>();
	inWays.set(ctx, byWay);
	const found = byWay.get(lunge) ?? { ...ctx, lunge };
	byWay.set(lunge, found);
	return found;
}
