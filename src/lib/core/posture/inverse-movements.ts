/**
 * Inverse solutions of the movements beside squat and rise: highest step, highest step-down, lowest handle, deepest sled, deepest split
 * squat, nearest feet of a bridge. From limits to the hardest set-up inside them. Values in cm (thigh in degrees); the walk goes from
 * easy to hard and stops at the first violation.
 */
import { RAD } from '../base/angle.ts';
import { footDistanceFor, type BridgeProblem } from './bridge.ts';
import { hangingHandCm, hinge, hingeSlack, type HingeProblem } from './hinge.ts';
import { machineOf, worstAt } from './inverse.ts';
import { highestStepDownInBand, postureInBand } from './inverse-in-band.ts';
import { legPress, pressAngles, type LegPressProblem } from './leg-press.ts';
import type { CheckId } from './problem.ts';
import { splitSquat, splitSquatSlack, type SplitSquatProblem } from './split-squat.ts';
import { asSquat, stepDown, type StepDownProblem } from './step-down.ts';
import { stepUp, stepUpSlack, type StepUpProblem } from './step-up.ts';
import { room, type MovementCheckId } from './verdict.ts';
import { ROUGH, walk, type SolveStatus, type Walked } from './walk.ts';

export interface MovementSolution {
	readonly status: SolveStatus;
	/** NaN when never feasible. */
	readonly value: number;
	readonly unit: 'cm' | 'deg';
	/** Checks within 1° or 0.5 cm of their limit at the solution. */
	readonly limiting: readonly (MovementCheckId | CheckId)[];
}

interface Sized {
	readonly id: MovementCheckId | CheckId;
	readonly slack: number;
	readonly unit: 'deg' | 'cm';
}

/** Width of the cell at which a written-out answer ends, cm or degrees. */
const FINE = 1e-5;

function answer(
	{ status, at }: Walked,
	unit: 'cm' | 'deg',
	checksAt: (value: number) => readonly Sized[]
): MovementSolution {
	const checks = checksAt(at);
	if (status === 'never-feasible') {
		const worst = checks.reduce<Sized | undefined>(
			(w, c) => (w === undefined || c.slack < w.slack ? c : w),
			undefined
		);
		return { status, value: NaN, unit, limiting: worst === undefined ? [] : [worst.id] };
	}
	const near = checks
		.filter((c) => c.slack <= (c.unit === 'deg' ? 1 : 0.5) && Number.isFinite(c.slack) && c.id !== 'reach')
		.map((c) => c.id);
	return { status, value: at, unit, limiting: status === 'limited' ? near : [] };
}

/** The highest step (2–60 cm) that can be climbed inside the limits. @example 165 cm, 65 kg, knee ≤ 80, ankle ≤ 30 → 20.9 cm (golden table G26) */
export function highestStep(p: Omit<StepUpProblem, 'stepCm'>): MovementSolution {
	return answer(stepUpWalk(p, FINE), 'cm', (stepCm) => stepUp({ ...p, stepCm }).checks);
}
export const highestStepCm = (p: Omit<StepUpProblem, 'stepCm'>): number => valueOf(stepUpWalk(p, ROUGH));

const stepUpWalk = (p: Omit<StepUpProblem, 'stepCm'>, precision: number): Walked =>
	walk({ easy: 2, hard: 60, steps: 29, slackAt: stepUpSlack(p) }, precision);
const valueOf = ({ status, at }: Walked): number => (status === 'never-feasible' ? NaN : at);

/** The highest step (1–50 cm) that can be stepped down from under control. */
export function highestStepDown(p: Omit<StepDownProblem, 'stepCm'>): MovementSolution {
	return answer(stepDownWalk(p, FINE), 'cm', (stepCm) => stepDown({ ...p, stepCm }).checks);
}
/** As `highestStepDown`, over the technique's band and in whole cm. */
export function stepDownInBand(p: Omit<StepDownProblem, 'stepCm'>): MovementSolution {
	const cm = highestStepDownInBand(p);
	const found: Walked = Number.isNaN(cm)
		? { status: 'never-feasible', at: 1 }
		: { status: cm === 50 ? 'unlimited' : 'limited', at: cm };
	return answer(found, 'cm', (stepCm) => postureInBand(asSquat({ ...p, stepCm }), [p.limits ?? {}]).checks);
}

function stepDownWalk(p: Omit<StepDownProblem, 'stepCm'>, precision: number): Walked {
	const m = machineOf(asSquat({ ...p, stepCm: 0 }), false);
	const top =
		p.body.ankleHeightM +
		(p.body.shankM + p.body.thighM) * Math.cos((p.freeLegDeg ?? 15) * RAD) -
		(p.pelvicDropCm ?? 0) / 100;
	return walk(
		{ easy: 1, hard: 50, steps: 49, slackAt: (stepCm) => worstAt(m, 'hip', top - stepCm / 100) },
		precision
	);
}

/** The lowest handle (cm) that can be reached inside the limits. @example 180 cm, 20 kg, knee 20°, straight-leg raise 70 → 51.4 cm (G34) */
export function lowestHandle(p: Omit<HingeProblem, 'handleCm'>): MovementSolution {
	return answer(handleWalk(p, FINE), 'cm', (handleCm) => hinge({ ...p, handleCm }).checks);
}
export const lowestHandleCm = (p: Omit<HingeProblem, 'handleCm'>): number => valueOf(handleWalk(p, ROUGH));

/** From just under the hanging hand; the highest handles are out of reach for bent knees, so the walk starts where one is in reach. */
function handleWalk(p: Omit<HingeProblem, 'handleCm'>, precision: number): Walked {
	const slackAt = hingeSlack(p);
	const top = hangingHandCm(p.body) - 3;
	let easy = top;
	for (let i = 0; i < 12 && slackAt(easy) < 0 && easy > 0.6 * top; i++) easy -= 2;
	return walk({ easy, hard: 0, steps: 24, slackAt }, precision);
}

/** The nearest sled (cm, hip to ankle along the rail) with the pelvis still down. */
export function deepestSled(p: Omit<LegPressProblem, 'sledCm'>): MovementSolution {
	return answer(sledWalk(p, FINE), 'cm', (sledCm) => legPress({ ...p, sledCm }).checks);
}
export const deepestSledCm = (p: Omit<LegPressProblem, 'sledCm'>): number => valueOf(sledWalk(p, ROUGH));

function sledWalk(p: Omit<LegPressProblem, 'sledCm'>, precision: number): Walked {
	const { limits, marginDeg = 0, body } = p;
	const [knee, fold, ankle] = [
		room(limits?.kneeFlexionDeg, marginDeg),
		room(limits?.thighTrunkFlexionDeg, marginDeg),
		room(limits?.weightBearingDorsiflexionDeg, marginDeg)
	];
	const slackAt = (sledCm: number): number => {
		const a = pressAngles({ ...p, sledCm });
		return Math.min(knee - a.kneeFlexion, fold - a.thighTrunkFlexion, ankle - a.dorsiflexion);
	};
	return walk({ easy: 97 * (body.shankM + body.thighM), hard: 15, steps: 40, slackAt }, precision);
}

/** The deepest split squat, front thigh in degrees from vertical; as far as the rear knee just off the floor. */
export function lowestSplitSquat(p: Omit<SplitSquatProblem, 'thighDeg'>): MovementSolution {
	return answer(splitWalk(p, FINE), 'deg', (thighDeg) => splitSquat({ ...p, thighDeg }).checks);
}
export const lowestSplitSquatDeg = (p: Omit<SplitSquatProblem, 'thighDeg'>): number =>
	valueOf(splitWalk(p, ROUGH));

/** Only the ankle steers a technique's shank; the rest would stop the walk before it begins. */
const ankleOnly = (l: SplitSquatProblem['limits']): NonNullable<SplitSquatProblem['limits']> =>
	l?.weightBearingDorsiflexionDeg === undefined
		? {}
		: { weightBearingDorsiflexionDeg: l.weightBearingDorsiflexionDeg };

function splitWalk(p: Omit<SplitSquatProblem, 'thighDeg'>, precision: number): Walked {
	const { bottomDeg, slackAt } = splitSquatSlack(p);
	const { slackAt: reachAt } = splitSquatSlack({ ...p, rearLimits: {}, limits: ankleOnly(p.limits) });
	// A long stride is out of reach of the rear leg until the hips are low enough.
	let easy = 10;
	while (easy < bottomDeg - 5 && reachAt(easy) < 0) easy += 5;
	return walk({ easy, hard: bottomDeg, steps: 30, slackAt }, precision);
}

/** Feet as near to the shoulders as the knee's limit allows, cm; feet farther away bend it less. */
export function bridgeFeet(
	p: Omit<BridgeProblem, 'footDistCm' | 'kneeDeg'>,
	wantedKneeDeg = 117
): MovementSolution {
	const limit = p.limits?.kneeFlexionDeg;
	const kneeDeg = Math.min(wantedKneeDeg, limit === undefined ? Infinity : limit - (p.marginDeg ?? 0));
	const value = footDistanceFor(p, Math.max(15, kneeDeg));
	if (kneeDeg < 15) return { status: 'never-feasible', value: NaN, unit: 'cm', limiting: ['kneeFlexion'] };
	return {
		status: kneeDeg < wantedKneeDeg ? 'limited' : 'unlimited',
		value,
		unit: 'cm',
		limiting: kneeDeg < wantedKneeDeg ? ['kneeFlexion'] : []
	};
}
