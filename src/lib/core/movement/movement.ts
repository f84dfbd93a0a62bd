/**
 * One interface for everything a step can be solved or posed as. A movement says which axes it asks, what it asks in a set-up, how its own length is
 * solved, how it is drawn, and what is wrong with a posture as data. The models are in `posture`; the table of all movements is `movements.ts`.
 */
import type { Axis } from '../body/axis.ts';
import type { Body } from '../body/body.ts';
import type { Step } from '../exercise/family.ts';
import type { StepPosture } from '../exercise/step-posture.ts';
import type { CheckId, Limits } from '../posture/problem.ts';
import type { Demand, MovementCheckId } from '../posture/verdict.ts';
import type { FitContext, LungeWay, SolvedSetup } from './context.ts';
import type { Picture } from './drawing/drawn.ts';
import type { Length } from './set-up-length.ts';

/** Relative, N·m per leg; for comparing set-ups. */
export interface JointMoments {
	readonly knee?: number;
	readonly hip?: number;
	readonly back?: number;
	readonly ankle?: number;
}

export interface Asked {
	/** Of the working leg, or of both, degrees by axis. */
	readonly demand: Demand;
	/** Of the other leg, where the legs do different things. */
	readonly other: Demand | null;
	readonly moments: JointMoments;
	/** Balance and reach hold; ranges are judged elsewhere. */
	readonly stands: boolean;
	readonly failing: readonly (CheckId | MovementCheckId)[];
}

/** A step of this movement for a client. */
export interface Of<P extends StepPosture> {
	readonly step: Step;
	readonly p: P;
	readonly ctx: FitContext;
}

/** … in a set-up. `bounds`, strictest first, steer how a technique is done; they are judged by the caller. */
export interface At<P extends StepPosture> extends Of<P> {
	readonly setup: SolvedSetup | null;
	readonly bounds: readonly Limits[];
}

/** … to be solved inside limits of the working leg and of the other; `run` does each distinct piece of work once. */
export interface Inside<P extends StepPosture> extends Of<P> {
	readonly limits: Limits;
	readonly rearLimits: Limits;
	readonly run: (work: () => number) => number;
}

/** Methods, so that a movement of one posture stands in a table of all. */
export interface Movement<P extends StepPosture = StepPosture> {
	/** The axes it asks for, in the order they are shown. */
	axes(p: P): readonly Axis[];
	/** Least knee bend on the way through, degrees; left out, it ends straight. */
	leastKnee?(p: P): number;
	/** Sides do different things, or one works while the other helps. */
	oneSided(p: P): boolean;
	/** The model's answer rests on a technique. */
	readonly byTechnique: boolean;
	/** The length that is solved for a client; null where none is. */
	length(p: P): Length | null;
	/** The set-up it is usually given in. */
	usual(p: P, body: Body): SolvedSetup;
	asks(at: At<P>): Asked;
	/** The least a set-up can have asked of whoever did it, where a technique leaves room. */
	least?(at: At<P>): Demand | null;
	/** The hardest set-up inside limits; null where none is inside. Left out where no length is solved. */
	hardest?(inside: Inside<P>): SolvedSetup | null;
	/** The gentlest set-up there is; left out, the hardest that holds without the model's error. */
	gentlest?(of: Of<P>): SolvedSetup | null;
	/** The same posture without its usual end, so that the solver answers what limits allow. */
	unended?(p: P): P;
	/** What the body gives beside the joint in the leg behind, degrees: not asked of what is tolerated. */
	readonly rearGives?: Readonly<Partial<Record<Axis, number>>>;
	/** The ways it may be done; the first that serves best is taken. */
	ways?(step: Step, ctx: FitContext): readonly LungeWay[];
	/** A wider error than the model's own, degrees. */
	widerError?(axis: Axis, of: Of<P>): number | undefined;
	picture(at: At<P>, limiting: readonly Axis[]): Picture;
	/** Lengths and angles outside what the model and the room can do, in words. */
	faults(p: P): readonly string[];
}

/** Range checks are judged against limits elsewhere: what is left says whether the pose stands. */
const BALANCE: ReadonlySet<string> = new Set([
	'comAheadOfHeelLimit',
	'comBehindToeLimit',
	'reach',
	'anatomicalKnee',
	'trunkLean'
]);

export function asked(
	demand: Demand,
	moments: JointMoments,
	checks: readonly { readonly id: CheckId | MovementCheckId; readonly slack: number }[],
	other: Demand | null = null
): Asked {
	const failing = checks.filter((c) => BALANCE.has(c.id) && c.slack < -1e-6).map((c) => c.id);
	return { demand, other, moments, stands: failing.length === 0, failing };
}

/** Moments of a model whose weight comes from the floor, as they are compared. */
export const jointMoments = (m: {
	readonly kneePerLeg: number;
	readonly hipPerLeg: number;
	readonly lumbosacral?: number;
}): JointMoments => ({ knee: m.kneePerLeg, hip: m.hipPerLeg, back: m.lumbosacral ?? 0 });

/** Whole centimetres or degrees towards the safe side of a solved value. */
export const upTo = (value: number): number => Math.floor(value + 1e-6);
export const notBelow = (value: number): number => Math.ceil(value - 1e-6);

/** A fault of a number outside its range, or none. */
export const within = (
	what: string,
	value: number | undefined,
	[low, high]: readonly [number, number],
	unit: string
): string[] =>
	value === undefined || (value >= low && value <= high)
		? []
		: [`${what} ${value} ${unit} is outside ${low}–${high}`];

/** The axes of a body on its feet whose knees and hips bend. */
export const SQUAT_AXES: readonly Axis[] = ['kneeFlexion', 'thighTrunkFlexion', 'weightBearingDorsiflexion'];
