/**
 * What a week is built with besides what is prescribed: which muscles a stretch stretches, which ladders move one joint alone, and what a session is warmed
 * up with.
 * @source common-practice every row
 */
import type { Stretched } from '../core/plan/work.ts';

export const STRETCHES: Readonly<Record<string, readonly Stretched[]>> = {
	'quad-stretch': ['thigh-front'],
	'kneeling-quad-stretch': ['thigh-front'],
	'hip-flexor-stretch': ['hip-front'],
	'standing-hip-flexor-stretch': ['hip-front'],
	'hamstring-bend': ['thigh-back'],
	'knee-straightening-stretch': ['thigh-back'],
	'figure-four': ['buttock'],
	'ninety-ninety': ['buttock'],
	'hip-axle': ['buttock'],
	'ninety-switch': ['buttock'],
	'one-leg-sit-back': ['thigh-front'],
	'knee-to-chest': ['buttock'],
	'groin-opener': ['hip-inner'],
	'wide-shift-lunge': ['hip-inner'],
	'calf-stretch': ['calf'],
	'three-way-ankle': ['calf']
};

/** Ladders that move one joint and keep the rest still. */
export const ISOLATED: ReadonlySet<string> = new Set([
	...['knee-extension', 'knee-flexion', 'abduction', 'adduction', 'calf', 'trunk', 'isometrics']
]);

/**
 * In the order they are taken; of each, the first that is open to the client: a twin without impact stands behind what has it. `seconds` for what is counted by the
 * clock.
 */
export const WARM_UPS: readonly { readonly steps: readonly string[]; readonly seconds?: number }[] = [
	{ steps: ['jog', 'march'], seconds: 60 },
	{ steps: ['hip-gate'] },
	{ steps: ['knee-hug'] },
	{ steps: ['skip-high', 'high-knees'], seconds: 30 },
	{ steps: ['straight-leg-kick'] },
	{ steps: ['heel-kicks'], seconds: 30 }
];

/** Stretches that a session is ended with, 1 × 30 s a side. */
export const COOL_DOWN = [
	...['quad-stretch', 'calf-stretch', 'hamstring-bend', 'figure-four', 'standing-hip-flexor-stretch'],
	'groin-opener'
] as const;
