/**
 * Key poses of the lying, seated, kneeling, plank and standing exercises that are not solved. Degrees from straight down, + forward;
 * the trunk from upright. Own drawings.
 * @source common-practice
 */
import type { KeyPose, PoseProp } from '../core/figure/key-pose.ts';

const STAND = { thigh: 2, shank: -2 } as const;
const FLAT = { thigh: 90, shank: 90, foot: 178 } as const;
/** Foot flat on the floor in lying, the knee bent 70°: as comfortable as most sore knees allow. */
const HOOK = { thigh: 123, shank: 53, foot: 90 } as const;
const KNEEL = { thigh: 0, shank: -90, foot: -88 } as const;
const with_ = (pose: KeyPose, ...props: readonly PoseProp[]): KeyPose => ({ ...pose, props });

export const standing: KeyPose = { trunk: 2, near: STAND, arm: -4, forearm: 8 };
const atCounter: KeyPose = { trunk: 6, near: STAND, far: STAND, arm: 38, forearm: 88, props: ['counter'] };

export const supine: KeyPose = { trunk: -90, near: FLAT, arm: 88, forearm: 90 };
export const hook: KeyPose = { trunk: -90, near: HOOK, arm: 88, forearm: 90 };
export const hookArmsUp: KeyPose = { ...hook, arm: 178, forearm: 180 };

export const POSES = {
	// Bridge family, other positions.
	allFours: { trunk: 66, near: KNEEL, far: KNEEL, arm: 0, forearm: 0, head: 12 },
	kickBent: {
		trunk: 66,
		near: { thigh: -78, shank: -170, foot: -82 },
		far: KNEEL,
		arm: 0,
		forearm: 0,
		head: 12
	},
	standKickFrom: atCounter,
	standKickTo: { ...atCounter, trunk: 10, near: { thigh: -22, shank: -108, foot: -20 } },
	plankForearm: { trunk: 80, near: { thigh: -80, shank: -80, foot: 4 }, arm: 0, forearm: 88, head: 8 },
	plankKick: {
		trunk: 80,
		near: { thigh: -98, shank: -98, foot: -12 },
		far: { thigh: -80, shank: -80, foot: 4 },
		arm: 0,
		forearm: 88,
		head: 8
	},
	plankKneeIn: {
		trunk: 80,
		near: { thigh: 40, shank: -72, foot: 10 },
		far: { thigh: -80, shank: -80, foot: 4 },
		arm: 0,
		forearm: 88,
		head: 8
	},
	plankKnees: { trunk: 72, near: { thigh: -62, shank: -94, foot: -92 }, arm: 0, forearm: 88, head: 8 },
	birdDog: {
		trunk: 72,
		near: { thigh: -86, shank: -88, foot: -4 },
		far: KNEEL,
		arm: 96,
		forearm: 98,
		head: 12
	},
	// Side hip, seen from the front.
	wallPressFrom: {
		view: 'front',
		trunk: 0,
		near: { thigh: 2, shank: 2 },
		far: { thigh: -2, shank: -2 },
		arm: 8,
		forearm: 6,
		props: ['wall-front']
	},
	wallPressTo: {
		view: 'front',
		trunk: 0,
		near: { thigh: 14, shank: -6, short: [0.86, 0.8] },
		far: { thigh: -2, shank: -2 },
		arm: 10,
		forearm: 8,
		props: ['wall-front']
	},
	sideLie: {
		view: 'front',
		trunk: -90,
		near: { thigh: 90, shank: 90 },
		far: { thigh: 90, shank: 90 },
		arm: 60,
		forearm: 90
	},
	sideLieLift: {
		view: 'front',
		trunk: -90,
		near: { thigh: 122, shank: 122 },
		far: { thigh: 90, shank: 90 },
		arm: 60,
		forearm: 90
	},
	sideLieBent: {
		view: 'front',
		trunk: -90,
		near: { thigh: 96, shank: 80, short: [0.72, 0.45] },
		far: { thigh: 90, shank: 78, short: [0.72, 0.45] },
		arm: 60,
		forearm: 90
	},
	sideLieBentLift: {
		view: 'front',
		trunk: -90,
		near: { thigh: 128, shank: 112, short: [0.76, 0.45] },
		far: { thigh: 90, shank: 78, short: [0.72, 0.45] },
		arm: 60,
		forearm: 90
	},
	clamOpen: {
		view: 'front',
		trunk: -90,
		near: { thigh: 140, shank: 36, short: [0.62, 0.5] },
		far: { thigh: 90, shank: 78, short: [0.72, 0.45] },
		arm: 60,
		forearm: 90
	},
	standAbductFrom: {
		view: 'front',
		trunk: 0,
		near: { thigh: 2, shank: 2 },
		far: { thigh: -2, shank: -2 },
		arm: 24,
		forearm: 10
	},
	standAbductTo: {
		view: 'front',
		trunk: -3,
		near: { thigh: 30, shank: 30 },
		far: { thigh: -1, shank: -1, short: [0.99, 0.98] },
		arm: 24,
		forearm: 10
	},
	monsterFrom: {
		view: 'front',
		trunk: 0,
		near: { thigh: 16, shank: 4, short: [0.84, 0.96] },
		far: { thigh: -16, shank: -4, short: [0.84, 0.96] },
		arm: 20,
		forearm: -30
	},
	monsterTo: {
		view: 'front',
		trunk: 0,
		near: { thigh: 34, shank: 14, short: [0.84, 0.96] },
		far: { thigh: -18, shank: -4, short: [0.84, 0.96] },
		arm: 20,
		forearm: -30
	},
	sidePlankKnees: {
		view: 'front',
		trunk: -68,
		near: { thigh: 70, shank: 84, short: [1, 0.35] },
		far: { thigh: 70, shank: 84, short: [1, 0.35] },
		arm: 176,
		forearm: 178
	},
	sidePlankDown: {
		view: 'front',
		trunk: -76,
		near: { thigh: 96, shank: 96 },
		far: { thigh: 96, shank: 96 },
		arm: 176,
		forearm: 178
	},
	sidePlank: {
		view: 'front',
		trunk: -72,
		near: { thigh: 74, shank: 74 },
		far: { thigh: 74, shank: 74 },
		arm: 176,
		forearm: 178
	},
	sidePlankLift: {
		view: 'front',
		trunk: -72,
		near: { thigh: 104, shank: 104 },
		far: { thigh: 74, shank: 74 },
		arm: 176,
		forearm: 178
	},
	// Inner hip.
	seatedSqueeze: {
		trunk: -2,
		near: { thigh: 88, shank: 2 },
		far: { thigh: 88, shank: 2 },
		arm: 12,
		forearm: 60,
		seatCm: 46,
		props: ['seat', 'pillow-knees']
	},
	hookSqueeze: with_(hook, 'pillow-knees'),
	innerLift: {
		view: 'front',
		trunk: -90,
		near: { thigh: 100, shank: 60, short: [0.7, 0.6] },
		far: { thigh: 98, shank: 98 },
		arm: 60,
		forearm: 90
	},
	// Front of thigh, lying.
	quadSetFrom: { trunk: -88, near: { thigh: 93, shank: 87, foot: 170 }, far: HOOK, arm: 88, forearm: 90 },
	quadSetTo: { trunk: -88, near: { thigh: 90, shank: 90, foot: 190 }, far: HOOK, arm: 88, forearm: 90 },
	shortArcFrom: {
		trunk: -90,
		near: { thigh: 116, shank: 84, foot: 172 },
		far: HOOK,
		arm: 88,
		forearm: 90,
		props: ['bolster-knees']
	},
	shortArcTo: {
		trunk: -90,
		near: { thigh: 116, shank: 114, foot: 204 },
		far: HOOK,
		arm: 88,
		forearm: 90,
		props: ['bolster-knees']
	},
	// Back of thigh.
	standCurlTo: { ...atCounter, near: { thigh: 0, shank: -86, foot: 4 } },
	prone: {
		trunk: 90,
		near: { thigh: -90, shank: -92, foot: -92 },
		arm: 130,
		forearm: 90,
		head: 0,
		props: ['pillow-pelvis']
	},
	proneCurl: {
		trunk: 90,
		near: { thigh: -90, shank: -176, foot: -90 },
		far: { thigh: -90, shank: -92, foot: -92 },
		arm: 130,
		forearm: 90,
		props: ['pillow-pelvis']
	},
	seatCurlFrom: {
		trunk: -6,
		near: { thigh: 90, shank: 84, foot: 172 },
		arm: 20,
		forearm: 60,
		seatCm: 62,
		props: ['machine']
	},
	seatCurlTo: {
		trunk: -6,
		near: { thigh: 90, shank: -4, foot: 84 },
		arm: 20,
		forearm: 60,
		seatCm: 62,
		props: ['machine']
	},
	// Hinge, other positions.
	seatTall: {
		trunk: 0,
		near: { thigh: 88, shank: 12, foot: 90 },
		arm: 10,
		forearm: 60,
		seatCm: 46,
		props: ['seat']
	},
	seatFold: {
		trunk: 20,
		near: { thigh: 88, shank: 12, foot: 90 },
		arm: 6,
		forearm: 50,
		seatCm: 46,
		head: -8,
		props: ['seat']
	},
	kneelTall: { trunk: 0, near: KNEEL, arm: -4, forearm: 6 },
	kneelBack: { trunk: 40, near: { thigh: 36, shank: -90, foot: -88 }, arm: 60, forearm: 70, head: -8 },
	thighHands: { trunk: 12, near: { thigh: 8, shank: -6 }, arm: 14, forearm: 6 },
	// Balance.
	sideBySide: { view: 'front', trunk: 0, near: { thigh: -3, shank: -1 }, arm: 24, forearm: 8 },
	staggered: {
		trunk: 0,
		near: { thigh: 12, shank: 10 },
		far: { thigh: -10, shank: -14, foot: 88 },
		arm: -2,
		forearm: 10
	},
	passReach: {
		trunk: 2,
		near: { thigh: 12, shank: 10 },
		far: { thigh: -10, shank: -14, foot: 88 },
		arm: 56,
		forearm: 86,
		props: ['ball-hands']
	},
	passWeight: {
		trunk: 2,
		near: { thigh: 12, shank: 10 },
		far: { thigh: -10, shank: -14, foot: 88 },
		arm: 56,
		forearm: 86,
		props: ['weight-hands']
	},
	tandem: {
		trunk: 0,
		near: { thigh: 16, shank: 14 },
		far: { thigh: -14, shank: -18, foot: 88 },
		arm: -2,
		forearm: 10
	},
	oneLeg: { trunk: 0, near: STAND, far: { thigh: 42, shank: -44, foot: 40 }, arm: -4, forearm: 12 },
	oneLegTurn: {
		trunk: 0,
		near: STAND,
		far: { thigh: 42, shank: -44, foot: 40 },
		arm: -4,
		forearm: 12,
		head: 14
	},
	// Impact and warm-up.
	march: { trunk: 0, near: { thigh: 62, shank: -10 }, far: STAND, arm: -28, forearm: 60 },
	jog: {
		trunk: 8,
		near: { thigh: 54, shank: -40, foot: 46 },
		far: { thigh: -16, shank: -40, foot: 20 },
		arm: -38,
		forearm: 62
	},
	dip: { trunk: 34, near: { thigh: 64, shank: -30, foot: 90 }, arm: -24, forearm: -4, head: -14 },
	flight: { trunk: 2, near: { thigh: 2, shank: -4, foot: 32 }, arm: 150, forearm: 168, raisedCm: 16 },
	hopSide: {
		view: 'front',
		trunk: 4,
		near: { thigh: 8, shank: 2, short: [0.92, 0.97] },
		far: { thigh: -6, shank: -12, short: [0.8, 0.6] },
		arm: 40,
		forearm: -30
	},
	hopSideAir: {
		view: 'front',
		trunk: -4,
		near: { thigh: 20, shank: 14, short: [0.96, 0.98] },
		far: { thigh: -14, shank: -4, short: [0.84, 0.6] },
		arm: 46,
		forearm: -20,
		raisedCm: 10
	},
	splitLow: {
		trunk: 8,
		near: { thigh: 78, shank: -10, foot: 90 },
		far: { thigh: -14, shank: -84, foot: 20 },
		arm: 20,
		forearm: 70
	},
	splitAir: {
		trunk: 4,
		near: { thigh: 38, shank: 2, foot: 62 },
		far: { thigh: -26, shank: -34, foot: 36 },
		arm: 30,
		forearm: 90,
		raisedCm: 14
	},
	kneeHug: { trunk: -2, near: { thigh: 112, shank: 0, foot: 84 }, far: STAND, arm: 44, forearm: 84 },
	quadPull: {
		trunk: 2,
		near: { thigh: -2, shank: -132, foot: -60 },
		far: { thigh: 2, shank: -2, foot: 66 },
		arm: -30,
		forearm: -24
	},
	kick: { trunk: 2, near: { thigh: 64, shank: 62, foot: 148 }, far: STAND, arm: 60, forearm: 72 },
	gate: {
		view: 'front',
		trunk: 0,
		near: { thigh: 66, shank: -6, short: [0.6, 1] },
		far: { thigh: 0, shank: 0 },
		arm: 30,
		forearm: 10
	},
	squatSide: {
		view: 'front',
		trunk: 0,
		near: { thigh: 40, shank: 4, short: [0.72, 0.92] },
		far: { thigh: -32, shank: -18, short: [0.76, 0.94] },
		arm: 24,
		forearm: -40
	},
	// Lunges seen from the front, and with a stick.
	wideStand: {
		view: 'front',
		trunk: 0,
		near: { thigh: 20, shank: 20 },
		far: { thigh: -20, shank: -20 },
		arm: 14,
		forearm: 6
	},
	sideLunge: {
		view: 'front',
		trunk: 10,
		near: { thigh: 52, shank: -4, short: [0.74, 0.86] },
		far: { thigh: -44, shank: -44 },
		arm: 10,
		forearm: -40
	},
	wideShift: {
		view: 'front',
		trunk: 4,
		near: { thigh: 34, shank: 8, short: [0.86, 0.96] },
		far: { thigh: -40, shank: -40 },
		arm: 120,
		forearm: 140
	},
	// Mobility.
	quadStretch: {
		trunk: 0,
		near: { thigh: -6, shank: -140, foot: -66 },
		far: STAND,
		arm: -26,
		forearm: -18,
		props: ['wall-front']
	},
	sitBackKneel: {
		trunk: -12,
		near: { thigh: 42, shank: -92, foot: -90 },
		arm: -30,
		forearm: -24,
		props: ['blocks-hands']
	},
	halfKneel: {
		trunk: 0,
		near: { thigh: 0, shank: -92, foot: -88 },
		far: { thigh: 92, shank: 0, foot: 90 },
		arm: 10,
		forearm: 40
	},
	halfKneelSink: {
		trunk: -6,
		near: { thigh: -22, shank: -94, foot: -88 },
		far: { thigh: 88, shank: -16, foot: 90 },
		arm: 170,
		forearm: 178
	},
	figureFourFrom: {
		trunk: -90,
		near: { thigh: 132, shank: 60, foot: 110, short: [1, 0.6] },
		far: HOOK,
		arm: 88,
		forearm: 96
	},
	figureFourTo: {
		trunk: -88,
		near: { thigh: 158, shank: 70, foot: 120, short: [1, 0.6] },
		far: { thigh: 168, shank: 84, foot: 150 },
		arm: 100,
		forearm: 120
	},
	ninetyFrom: {
		view: 'front',
		trunk: -6,
		near: { thigh: 82, shank: 40, short: [0.95, 0.5] },
		far: { thigh: -84, shank: -96, short: [0.9, 0.75] },
		arm: 46,
		forearm: 30
	},
	/** The rear leg off the floor, shank first. */
	ninetyLift: {
		view: 'front',
		trunk: 6,
		near: { thigh: 82, shank: 40, short: [0.95, 0.5] },
		far: { thigh: -100, shank: -112, short: [0.85, 0.8] },
		arm: 46,
		forearm: 30
	},
	ninetyTo: {
		view: 'front',
		trunk: 14,
		near: { thigh: 82, shank: 40, short: [0.95, 0.5] },
		far: { thigh: -84, shank: -96, short: [0.9, 0.75] },
		arm: 20,
		forearm: 10
	},
	ankleFrom: {
		trunk: 8,
		near: { thigh: 72, shank: -6, foot: 90 },
		far: { thigh: -6, shank: -10, foot: 88 },
		arm: 40,
		forearm: 70,
		props: ['step-near']
	},
	ankleTo: {
		trunk: 12,
		near: { thigh: 78, shank: -30, foot: 90 },
		far: { thigh: -16, shank: -18, foot: 84 },
		arm: 40,
		forearm: 70,
		props: ['step-near']
	},
	kneeToChest: { trunk: -90, near: { thigh: 168, shank: 66, foot: 156 }, far: FLAT, arm: 104, forearm: 128 },
	calfStretch: {
		trunk: 14,
		near: { thigh: -14, shank: -14, foot: 90 },
		far: { thigh: 30, shank: -6, foot: 90 },
		arm: 74,
		forearm: 88,
		props: ['wall-front']
	},
	// Isometrics, tissue, trunk, rest.
	wallSlide: {
		trunk: -2,
		near: { thigh: 34, shank: 6, foot: 90 },
		arm: 2,
		forearm: 10,
		props: ['wall-behind']
	},
	wallSit: {
		trunk: -1,
		near: { thigh: 78, shank: -4, foot: 90 },
		arm: 4,
		forearm: 20,
		props: ['wall-behind']
	},
	rollOuter: {
		view: 'front',
		trunk: -74,
		near: { thigh: 92, shank: 80, short: [0.8, 0.6] },
		far: { thigh: 84, shank: 84 },
		arm: 150,
		forearm: 160,
		props: ['roller-far']
	},
	rollFront: {
		trunk: 78,
		near: { thigh: -88, shank: -92, foot: -92 },
		arm: 0,
		forearm: 86,
		head: 8,
		raisedCm: 4,
		props: ['roller-near']
	},
	rollBack: {
		trunk: -34,
		near: { thigh: 92, shank: 88, foot: 176 },
		arm: -30,
		forearm: -24,
		raisedCm: 3,
		props: ['roller-near']
	},
	breatheUp: { ...hook, arm: 116, forearm: 40 },
	restLegsUp: { trunk: -90, near: { thigh: 178, shank: 92, foot: 180 }, arm: 96, forearm: 92 }
} as const satisfies Readonly<Record<string, KeyPose>>;
