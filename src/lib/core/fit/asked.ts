/**
 * What a step asks of a body in a set-up, whatever its movement: degrees by axis of the working leg and of the other, relative moments,
 * and whether the pose stands at all. One table over the movements; the models are in `posture`.
 */
import { AXES, MODEL_ERROR, type Axis } from '../body/axis.ts';
import { unreachable } from '../base/result.ts';
import type { Needs, Step } from '../exercise/family.ts';
import type { StepPosture } from '../exercise/step-posture.ts';
import { isSquat } from '../exercise/step-posture.ts';
import { bridge } from '../posture/bridge.ts';
import { heelRaise } from '../posture/heel-raise.ts';
import { hinge } from '../posture/hinge.ts';
import { kneeExtension } from '../posture/knee-extension.ts';
import { legPress } from '../posture/leg-press.ts';
import { leastInBand, shortInBand } from '../posture/inverse-in-band.ts';
import type { CheckId, Limits, SquatProblem } from '../posture/problem.ts';
import { splitSquat, type SplitSquatProblem } from '../posture/split-squat.ts';
import { asSquat, type StepDownProblem } from '../posture/step-down.ts';
import { stepUp } from '../posture/step-up.ts';
import type { Demand, MovementCheckId } from '../posture/verdict.ts';
import { asksOfPoses, leastKneeOfPoses } from '../figure/key-pose.ts';
import type { FitContext, SolvedSetup } from './context.ts';
import { firstWay } from './lunge-ways.ts';
import { benchFor, handleFor } from './usual-setup.ts';
import { ankleCap, depthFor, isSquatStep, standAt, techniqueFor } from './squat-stand.ts';

export interface JointMoments {
	readonly knee?: number;
	readonly hip?: number;
	readonly back?: number;
	readonly ankle?: number;
}

export interface Asked {
	/** Of the working leg, or of both. */
	readonly demand: Demand;
	/** Of the other leg, where the legs do different things. */
	readonly other: Demand | null;
	/** Relative, N·m per leg; for comparing set-ups. */
	readonly moments: JointMoments;
	/** Balance and reach hold; ranges are judged elsewhere. */
	readonly stands: boolean;
	readonly failing: readonly (CheckId | MovementCheckId)[];
}

/** Hip back is measured with the pelvis held; in a stride the pelvis and low back give about so much more, degrees. @source common-practice */
export const PELVIS_GIVES = 10;

/** Extra knee bend while the foot swings over a step's edge, degrees. @source common-practice 20–25° */
export const SWING_CLEARANCE = 20;

const SQUAT_AXES: readonly Axis[] = ['kneeFlexion', 'thighTrunkFlexion', 'weightBearingDorsiflexion'];
const AXES_OF: Readonly<Record<Exclude<StepPosture['movement'], 'pose'>, readonly Axis[]>> = {
	squat: SQUAT_AXES,
	'sit-to-stand': SQUAT_AXES,
	'step-up': SQUAT_AXES,
	'step-down': SQUAT_AXES,
	'split-squat': [...SQUAT_AXES, 'hipExtension', 'bigToeExtension'],
	hinge: ['kneeFlexion', 'thighTrunkFlexion', 'straightLegRaise'],
	bridge: ['kneeFlexion'],
	'knee-extension': ['kneeFlexion'],
	'leg-press': ['kneeFlexion', 'thighTrunkFlexion'],
	'heel-raise': ['weightBearingDorsiflexion', 'bigToeExtension', 'kneeFlexion']
};

const axesKnown = new WeakMap<StepPosture, readonly Axis[]>();
/** Steps that ask the same axes share one array, so that what is worked out for it is found again. */
const same = new Map<string, readonly Axis[]>();

/** The axes a step asks for, in the order they are shown; the same array each time. */
export function axesOf(step: Step): readonly Axis[] {
	if (step.needs !== undefined) return axesOfNeeds(step.needs);
	const known = axesKnown.get(step.posture);
	if (known !== undefined) return known;
	const asks = axesOfPosture(step.posture);
	const axes = same.get(asks.join()) ?? asks;
	same.set(asks.join(), axes);
	axesKnown.set(step.posture, axes);
	return axes;
}

const axesOfNeed = new WeakMap<Needs, readonly Axis[]>();

/** The axes of what a step needs, in the order of the axes; the same array for the same axes. */
function axesOfNeeds(needs: Needs): readonly Axis[] {
	const known = axesOfNeed.get(needs);
	if (known !== undefined) return known;
	const asks = AXES.filter(
		(a) => needs.working[a] !== undefined || needs.other[a] !== undefined || needs.end.includes(a)
	);
	const axes = same.get(asks.join()) ?? asks;
	same.set(asks.join(), axes);
	axesOfNeed.set(needs, axes);
	return axes;
}

function axesOfPosture(p: StepPosture): readonly Axis[] {
	if (p.movement === 'pose') return Object.keys(asksOfPoses(p)) as Axis[];
	if (p.movement === 'heel-raise')
		return AXES_OF['heel-raise'].filter((a) =>
			a === 'weightBearingDorsiflexion'
				? p.dropDeg !== undefined || p.kneeDeg !== undefined
				: a === 'kneeFlexion'
					? p.kneeDeg !== undefined
					: true
		);
	return AXES_OF[p.movement];
}

/** The least knee bend on the way through a step, degrees: what a protocol that keeps the knee from straightening is held against. */
export function leastKneeOf(step: Step): number {
	const p = step.posture;
	switch (p.movement) {
		case 'knee-extension':
			return Math.min(p.fromDeg, p.toDeg);
		case 'bridge':
			return p.kneeDeg;
		case 'pose':
			return leastKneeOfPoses(p);
		default:
			// Standing up, stepping and pressing end straight.
			return 0;
	}
}

/** Error of a demand: a feet-back rise swings on the trunk, so its hip band is wider. @source common-practice posture bands */
export const errorOf = (axis: Axis, step: Step, ctx: FitContext): number =>
	axis === 'thighTrunkFlexion' &&
	step.posture.movement === 'sit-to-stand' &&
	techniqueFor(step, ctx.technique, ctx.teach) === undefined
		? 9
		: MODEL_ERROR[axis];

/** The split squat of a step in a set-up. */
export function splitOf(
	step: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limits: Limits
): SplitSquatProblem {
	const p = step.posture;
	if (p.movement !== 'split-squat') throw new Error(`${step.id} is no split squat`);
	const thighDeg = setup?.thighDeg ?? p.thighDeg;
	const technique = techniqueFor(step, ctx.technique, ctx.teach) ?? 'parallel';
	const way = ctx.lunge ?? firstWay(ctx, technique);
	return {
		body: ctx.body,
		technique,
		limits,
		rearPitchDeg: way.rearPitchDeg,
		shankDeg: way.frontShankDeg,
		...(thighDeg === undefined ? {} : { thighDeg }),
		...(p.stride === undefined ? {} : { strideCm: 100 * p.stride * ctx.body.heightM }),
		...(p.frontElevationCm === undefined ? {} : { frontElevationCm: p.frontElevationCm }),
		...(p.load === undefined ? {} : { load: p.load })
	};
}

/** The step-down of a step in a set-up. */
export function stepDownOf(step: Step, ctx: FitContext, setup: SolvedSetup | null): StepDownProblem {
	const p = step.posture;
	if (p.movement !== 'step-down') throw new Error(`${step.id} is no step-down`);
	return {
		body: ctx.body,
		stepCm: setup?.stepCm ?? p.stepCm,
		technique: techniqueFor(step, ctx.technique, ctx.teach) ?? 'parallel',
		freeLegDeg: p.freeLegDeg,
		...(p.heelWedgeCm === undefined ? {} : { heelWedgeCm: p.heelWedgeCm }),
		...(p.load === undefined ? {} : { load: p.load })
	};
}

/** Range checks are judged against limits elsewhere: what is left says whether the pose stands. */
const BALANCE: ReadonlySet<string> = new Set([
	'comAheadOfHeelLimit',
	'comBehindToeLimit',
	'reach',
	'anatomicalKnee',
	'trunkLean'
]);
const failingOf = (
	checks: readonly { readonly id: CheckId | MovementCheckId; readonly slack: number }[]
): readonly (CheckId | MovementCheckId)[] =>
	checks.filter((c) => BALANCE.has(c.id) && c.slack < -1e-6).map((c) => c.id);

const asked = (
	demand: Demand,
	moments: JointMoments,
	checks: readonly { readonly id: CheckId | MovementCheckId; readonly slack: number }[],
	other: Demand | null = null
): Asked => {
	const failing = failingOf(checks);
	return { demand, other, moments, stands: failing.length === 0, failing };
};

function askedOfSquat(problem: SquatProblem, bounds: readonly Limits[]): Asked {
	const { angles, moments, failing } = shortInBand(problem, bounds);
	const { kneeFlexion, thighTrunkFlexion, weightBearingDorsiflexion } = angles;
	return {
		demand: { kneeFlexion, thighTrunkFlexion, weightBearingDorsiflexion },
		other: null,
		moments: { knee: moments.kneePerLeg, hip: moments.hipPerLeg, back: moments.lumbosacral },
		stands: failing.length === 0,
		failing
	};
}

const NO_MOMENTS: JointMoments = {};
const NOTHING: readonly (CheckId | MovementCheckId)[] = [];

/**
 * Asks the model. `bounds`, strictest first, only steer how a technique is done: the first inside which it can be decides. They are judged by
 * the caller. Left out, the technique is done as it is taught.
 */
export function askedBy(
	step: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	bounds: readonly Limits[] = []
): Asked {
	const p = step.posture;
	const { body } = ctx;
	if (step.needs !== undefined)
		return {
			demand: step.needs.working,
			other: step.needs.other,
			moments: NO_MOMENTS,
			stands: true,
			failing: NOTHING
		};
	if (isSquatStep(step))
		return askedOfSquat({ ...standAt(step, ctx, setup), depth: depthFor(step, setup) }, bounds);
	if (isSquat(p)) throw new Error('unreachable: a squat posture is a squat step');
	switch (p.movement) {
		case 'step-up': {
			const q = stepUp({
				body,
				stepCm: setup?.stepCm ?? p.stepCm,
				swingClearanceDeg: SWING_CLEARANCE,
				...(p.load === undefined ? {} : { load: p.load })
			});
			return asked(
				q.demand,
				{ knee: q.moments.kneePerLeg, hip: q.moments.hipPerLeg, back: q.moments.lumbosacral },
				q.checks
			);
		}
		case 'step-down':
			return askedOfSquat(asSquat(stepDownOf(step, ctx, setup)), bounds);
		case 'split-squat': {
			const q = splitSquat(splitOf(step, ctx, setup, ankleCap(bounds[0] ?? {})));
			return asked(
				q.demand,
				{ knee: q.moments.kneePerLeg, hip: q.moments.hipPerLeg, back: q.moments.lumbosacral },
				q.checks,
				q.rearDemand
			);
		}
		case 'hinge': {
			const q = hinge({
				body,
				handleCm: setup?.handleCm ?? handleFor(p, body),
				close: p.close,
				loadKg: p.load?.kg ?? 0,
				...(p.bar === undefined ? {} : { bar: p.bar }),
				...(p.oneLeg === true ? { oneLeg: true } : {})
			});
			const { kneeFlexion, thighTrunkFlexion } = q.angles;
			return asked(
				{ kneeFlexion, thighTrunkFlexion, straightLegRaise: q.hamstring },
				{ knee: q.moments.kneePerLeg, hip: q.moments.hipPerLeg, back: q.moments.lumbosacral },
				q.checks
			);
		}
		case 'bridge': {
			const q = bridge({
				body,
				legs: p.legs,
				loadKg: p.load?.kg ?? 0,
				...(setup?.feetCm === undefined ? { kneeDeg: p.kneeDeg } : { footDistCm: setup.feetCm }),
				...benchFor(p, body),
				...(p.footCm === undefined ? {} : { footCm: p.footCm })
			});
			return asked(
				{ kneeFlexion: q.kneeFlexion },
				{ knee: q.moments.kneePerLeg, hip: q.moments.hipPerLeg, back: q.moments.lumbosacral },
				q.checks
			);
		}
		case 'knee-extension': {
			const at = p.toDeg;
			const q = kneeExtension({
				body,
				kneeDeg: at,
				...(p.by === 'cuff'
					? { cuffKg: p.load?.kg ?? 0 }
					: p.by === 'machine'
						? { machineKg: p.load?.kg ?? 0 }
						: {})
			});
			return asked({ kneeFlexion: Math.max(p.fromDeg, p.toDeg) }, { knee: q.total, hip: 0, back: 0 }, []);
		}
		case 'leg-press': {
			const q = legPress({
				body,
				sledCm: setup?.sledCm ?? p.sledCm,
				railDeg: p.railDeg,
				backDeg: p.backDeg,
				legs: p.legs,
				loadKg: p.load?.kg ?? 0
			});
			return asked(
				{ kneeFlexion: q.kneeFlexion, thighTrunkFlexion: q.thighTrunkFlexion },
				{ knee: q.moments.kneePerLeg, hip: q.moments.hipPerLeg, back: 0 },
				q.checks
			);
		}
		case 'heel-raise': {
			const q = heelRaise({
				body,
				pitchDeg: p.pitchDeg,
				legs: p.legs,
				loadKg: p.load?.kg ?? 0,
				...(p.kneeDeg === undefined ? {} : { kneeDeg: p.kneeDeg })
			});
			const drop =
				p.dropDeg === undefined
					? {}
					: { weightBearingDorsiflexion: Math.max(p.dropDeg, q.demand.weightBearingDorsiflexion ?? 0) };
			return asked({ ...q.demand, ...drop }, { knee: 0, hip: 0, back: 0, ankle: q.moment }, []);
		}
		case 'pose':
			return asked(asksOfPoses(p), {}, []);
		default:
			return unreachable(p);
	}
}

/** The least a set-up can have asked of whoever did it, degrees by axis: where a technique leaves room, the gentlest way for each axis. For evidence. */
export function leastAsked(step: Step, ctx: FitContext, setup: SolvedSetup | null): Demand {
	const taught = askedBy(step, ctx, setup).demand;
	const problem = isSquatStep(step)
		? { ...standAt(step, ctx, setup), depth: depthFor(step, setup) }
		: step.posture.movement === 'step-down'
			? asSquat(stepDownOf(step, ctx, setup))
			: null;
	return problem === null ? taught : (leastInBand(problem) ?? taught);
}
