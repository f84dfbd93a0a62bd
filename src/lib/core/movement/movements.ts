/** All movements, by name; a posture without a row does not compile. */
import type { StepPosture } from '../exercise/step-posture.ts';
import { BRIDGE } from './bridge/movement.ts';
import { HEEL_RAISE } from './heel-raise/movement.ts';
import { HINGE } from './hinge/movement.ts';
import { KNEE_EXTENSION } from './knee-extension/movement.ts';
import { LATERAL_STEP_UP } from './lateral-step-up/movement.ts';
import { LEG_PRESS } from './leg-press/movement.ts';
import type { Movement } from './movement.ts';
import { POSE } from './pose/movement.ts';
import { SPLIT_SQUAT } from './split-squat/movement.ts';
import { SQUAT } from './squat/movement.ts';
import { STEP_DOWN } from './step-down/movement.ts';
import { STEP_UP } from './step-up/movement.ts';

export type MovementName = StepPosture['movement'];

/** The posture that a movement reads. */
type PostureOf<M extends MovementName, P extends StepPosture = StepPosture> = P extends unknown
	? M extends P['movement']
		? P
		: never
	: never;

export const MOVEMENTS = {
	squat: SQUAT,
	'sit-to-stand': SQUAT,
	'step-up': STEP_UP,
	'step-down': STEP_DOWN,
	'lateral-step-up': LATERAL_STEP_UP,
	'split-squat': SPLIT_SQUAT,
	hinge: HINGE,
	bridge: BRIDGE,
	'knee-extension': KNEE_EXTENSION,
	'leg-press': LEG_PRESS,
	'heel-raise': HEEL_RAISE,
	pose: POSE
} satisfies { readonly [M in MovementName]: Movement<PostureOf<M>> };

/** The movement of a posture. */
export const movementOf = (p: StepPosture): Movement => MOVEMENTS[p.movement] as Movement;
