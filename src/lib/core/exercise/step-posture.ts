/**
 * How a step stands in the model: the movement it is solved as, with its usual set-up, or two key poses where nothing needs solving.
 * Each movement has at most one length that is solved for a client (seat, depth, step, handle, sled, feet).
 */
import type { Axis } from '../body/axis.ts';
import type { KeyPose } from '../figure/key-pose.ts';
import type { Depth, Load, Stance, Technique } from '../posture/problem.ts';
import type { HingeClosure } from '../posture/hinge.ts';

export interface SquatPosture {
	readonly movement: 'squat' | 'sit-to-stand';
	readonly stance: Stance;
	readonly depth: Depth;
	readonly adjust: 'seat' | 'depth';
	readonly heelWedgeCm?: number;
	readonly toeOutDeg?: number;
	readonly load?: Load;
	/** The only technique this step is taught in; else the client's own. */
	readonly technique?: Technique;
	/** Seat steps for daily life are solved for the ordinary rise when no technique is being taught. */
	readonly everyday?: boolean;
	/** A rise on the swing of the trunk, whatever technique is taught. */
	readonly momentum?: 'swing';
}

export interface StepUpPosture {
	readonly movement: 'step-up';
	readonly stepCm: number;
	readonly load?: Load;
}

export interface StepDownPosture {
	readonly movement: 'step-down';
	readonly stepCm: number;
	/** Free leg beside the edge (about 15°) or in front of it (about 25°). */
	readonly freeLegDeg: number;
	readonly heelWedgeCm?: number;
	readonly load?: Load;
}

/** Up sideways onto a step, the other leg beside it only following. */
export interface LateralStepUpPosture {
	readonly movement: 'lateral-step-up';
	readonly stepCm: number;
	readonly heelWedgeCm?: number;
	readonly load?: Load;
}

export interface SplitPosture {
	readonly movement: 'split-squat';
	/** Front thigh of the step as it is usually given; left out, down to the floor. */
	readonly thighDeg?: number;
	/** Stride as a share of stature. */
	readonly stride?: number;
	readonly frontElevationCm?: number;
	readonly load?: Load;
	readonly technique?: Technique;
}

export interface HingePosture {
	readonly movement: 'hinge';
	/** Height of the handle, or of the hands where nothing is held, cm. */
	readonly handleCm: number;
	/** The height is a place on the body (mid-thigh, knee, shin), given for a stature of 170 cm. */
	readonly scales?: true;
	readonly close: HingeClosure;
	readonly bar?: 'hang' | 'midfoot';
	readonly oneLeg?: true;
	readonly load?: Load;
}

export interface BridgePosture {
	readonly movement: 'bridge';
	/** Knee bend wanted at the top; the feet are placed for it. */
	readonly kneeDeg: number;
	readonly legs: 1 | 2;
	/** Upper back on a bench. */
	readonly shoulderCm?: number;
	/** The bench meets the shoulder blades, given for a stature of 170 cm. */
	readonly scales?: true;
	/** Feet on a raised surface. */
	readonly footCm?: number;
	readonly load?: Load;
}

export interface KneeExtensionPosture {
	readonly movement: 'knee-extension';
	/** Arc, degrees of knee bend. */
	readonly fromDeg: number;
	readonly toDeg: number;
	readonly by: 'limb' | 'cuff' | 'machine';
	readonly load?: Load;
}

export interface LegPressPosture {
	readonly movement: 'leg-press';
	readonly sledCm: number;
	readonly railDeg: number;
	readonly backDeg: number;
	readonly legs: 1 | 2;
	readonly load?: Load;
}

export interface HeelRaisePosture {
	readonly movement: 'heel-raise';
	readonly pitchDeg: number;
	readonly legs: 1 | 2;
	readonly kneeDeg?: number;
	/** Heels drop below a step's edge by so many degrees. */
	readonly dropDeg?: number;
	readonly load?: Load;
}

/** Two key poses, with what they ask beyond what the poses show. */
export interface PosedPosture {
	readonly movement: 'pose';
	readonly from: KeyPose;
	readonly to: KeyPose;
	readonly oneSided?: true;
	readonly load?: Load;
	/** Ranges the poses do not show: toes, hip back, rotation stays out of the axes. */
	readonly asks?: Readonly<Partial<Record<Axis, number>>>;
}

export type StepPosture =
	| SquatPosture
	| StepUpPosture
	| StepDownPosture
	| LateralStepUpPosture
	| SplitPosture
	| HingePosture
	| BridgePosture
	| KneeExtensionPosture
	| LegPressPosture
	| HeelRaisePosture
	| PosedPosture;

export const isSquat = (p: StepPosture): p is SquatPosture =>
	p.movement === 'squat' || p.movement === 'sit-to-stand';
