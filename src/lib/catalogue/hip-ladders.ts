/**
 * Hinges and bridges: bending from the hips, and straightening them.
 * @source common-practice ladders, gates, doses, faults and cues
 */
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';
import {
	anyOf,
	calm,
	clean,
	confident,
	DOSE,
	easy,
	faultFree,
	faultsOf,
	felt,
	held,
	mastered,
	sides,
	step
} from './make.ts';
import { POSES } from './poses.ts';

const HINGE_FAULTS = [
	'back-rounds',
	'back-arches',
	'guarding',
	'breath-held',
	'over-braced',
	'back-feels-worked'
];
const SOFT = { kneeDeg: 20 } as const;
const STRAIGHT = { kneeDeg: 5 } as const;
const ROUND = 'Stop where the back begins to round.';
const LIFT = ['thigh-back', 'buttock', 'lifting', 'trunk'] as const;

const hingeSteps: readonly Step[] = [
	step(
		'seated-hinge',
		'Seated hinge',
		'Seated',
		'On a chair, feet wide: fold from the hips with a long back and come up. For those who cannot kneel.',
		{
			dials: { position: 'seated' },
			posture: { movement: 'pose', from: POSES.seatTall, to: POSES.seatFold },
			dose: DOSE.learning,
			next: { 'hands-on-thighs-hinge': 'position' },
			kit: ['chair'],
			faults: HINGE_FAULTS
		}
	),
	step(
		'kneeling-hinge',
		'Kneeling hinge',
		'Kneeling',
		'Tall kneeling, sit back towards the heels with a long back. The unthreatening start for a fearful back.',
		{
			dials: { position: 'tall-kneeling' },
			posture: { movement: 'pose', from: POSES.kneelTall, to: POSES.kneelBack },
			dose: DOSE.learning,
			next: { 'hands-on-thighs-hinge': 'position' },
			kit: [['pillow', 'towel']],
			faults: HINGE_FAULTS
		}
	),
	step(
		'hands-on-thighs-hinge',
		'Hinge, hands on the thighs',
		'Hands on thighs',
		'Hands slide down the thighs to the knees: they carry part of the trunk.',
		{
			dials: { position: 'standing', support: 'two-hands' },
			posture: { movement: 'hinge', handleCm: 68, scales: true, close: SOFT },
			// Who cannot kneel begins seated, and the other way round.
			gates: [
				anyOf(clean('seated-hinge', 1, 8), clean('kneeling-hinge', 1, 8)),
				anyOf(confident('seated-hinge', 5), confident('kneeling-hinge', 5))
			],
			dose: DOSE.learning,
			easier: 'seated-hinge',
			next: { 'wall-reach-hinge': 'support' },
			faults: HINGE_FAULTS,
			cautions: [ROUND],
			drawn: {
				from: POSES.thighHands,
				to: { trunk: 46, near: { thigh: 26, shank: 6 }, arm: 10, forearm: 2, head: -8 }
			}
		}
	),
	step(
		'wall-reach-hinge',
		'Hinge to a wall',
		'To a wall',
		'Stand in front of a wall, fingers in the hip crease; the buttocks reach for the wall.',
		{
			dials: { position: 'standing', support: 'fingertips' },
			posture: { movement: 'hinge', handleCm: 66, scales: true, close: SOFT },
			gates: [clean('hands-on-thighs-hinge', 1, 10)],
			dose: DOSE.learning,
			easier: 'hands-on-thighs-hinge',
			next: { 'free-hinge': 'support' },
			kit: ['wall'],
			faults: HINGE_FAULTS,
			cautions: [ROUND]
		}
	),
	step(
		'free-hinge',
		'Hinge',
		'Hinge',
		'Ten to fifteen with ease and no pain that matters, before any weight.',
		{
			dials: { position: 'standing', support: 'none' },
			posture: { movement: 'hinge', handleCm: 58, scales: true, close: SOFT },
			gates: [
				clean('wall-reach-hinge', 1, 10),
				faultFree('wall-reach-hinge', 'back-rounds'),
				confident('wall-reach-hinge', 5)
			],
			dose: DOSE.ten,
			easier: 'wall-reach-hinge',
			next: {
				'hinge-loaded': 'load',
				'raised-handle-deadlift': 'load',
				'straight-knee-hinge': 'lever',
				'staggered-hinge': 'base'
			},
			faults: HINGE_FAULTS,
			cautions: [ROUND]
		}
	),
	step(
		'hinge-loaded',
		'Hinge with dumbbells',
		'Dumbbells',
		'Weights close to the thighs; eight to ten, more when light.',
		{
			dials: { position: 'standing', support: 'none', load: 'light' },
			posture: { movement: 'hinge', handleCm: 52, scales: true, close: SOFT, load: { kg: 6, at: 'sides' } },
			gates: [clean('free-hinge', 1, 10), easy('free-hinge', 10, 5), calm('free-hinge')],
			dose: DOSE.eight,
			easier: 'free-hinge',
			kit: [['weight', 'household-weight']],
			faults: HINGE_FAULTS,
			cautions: [ROUND]
		}
	),
	step(
		'raised-handle-deadlift',
		'Lift from a raised handle',
		'Raised handle',
		'The load stands on end or on blocks, so that the way is short.',
		{
			dials: { position: 'standing', support: 'none', load: 'moderate' },
			posture: {
				movement: 'hinge',
				handleCm: 48,
				close: { kneeDeg: 35 },
				bar: 'midfoot',
				load: { kg: 7, at: 'hands' }
			},
			gates: [clean('free-hinge', 2, 10), calm('free-hinge')],
			dose: DOSE.eight,
			easier: 'free-hinge',
			next: { 'low-handle-deadlift': 'surface' },
			kit: [['weight', 'household-weight']],
			faults: HINGE_FAULTS,
			cautions: [ROUND, 'Put the load down when the back tires, not when it hurts.']
		}
	),
	step(
		'low-handle-deadlift',
		'Lift from a low handle',
		'Low handle',
		'A flat bell; stopping a few centimetres short is allowed.',
		{
			dials: { position: 'standing', support: 'none', load: 'moderate', surface: 'low-handle' },
			posture: {
				movement: 'hinge',
				handleCm: 28,
				close: { kneeDeg: 50 },
				bar: 'midfoot',
				load: { kg: 7, at: 'hands' }
			},
			gates: [clean('raised-handle-deadlift', 3, 10), faultFree('raised-handle-deadlift', 'back-rounds')],
			dose: DOSE.eight,
			easier: 'raised-handle-deadlift',
			kit: [['weight', 'household-weight']],
			faults: HINGE_FAULTS,
			cautions: [ROUND]
		}
	),
	step(
		'straight-knee-hinge',
		'Hinge, knees straight',
		'Straight knees',
		'Knees straight, not locked back; ten, then three tens, then light weights. Locked or soft: schools differ.',
		{
			dials: { position: 'standing', support: 'none', lever: 'straight' },
			posture: { movement: 'hinge', handleCm: 62, scales: true, close: STRAIGHT },
			gates: [clean('free-hinge', 3, 10)],
			dose: DOSE.ten,
			easier: 'free-hinge',
			next: { 'straight-knee-hinge-loaded': 'load' },
			faults: HINGE_FAULTS,
			cautions: [ROUND]
		}
	),
	step(
		'straight-knee-hinge-loaded',
		'Straight-knee hinge, light weights',
		'Straight, loaded',
		'The same with light weights.',
		{
			dials: { position: 'standing', support: 'none', lever: 'straight', load: 'light' },
			posture: {
				movement: 'hinge',
				handleCm: 56,
				scales: true,
				close: STRAIGHT,
				load: { kg: 6, at: 'sides' }
			},
			gates: [clean('straight-knee-hinge', 3, 10)],
			dose: DOSE.eight,
			easier: 'straight-knee-hinge',
			kit: [['weight', 'household-weight']],
			faults: HINGE_FAULTS,
			cautions: [ROUND]
		}
	),
	step(
		'staggered-hinge',
		'Hinge, one foot a kickstand',
		'Kickstand',
		'The rear toes only touch; the front hip does the work.',
		{
			dials: { position: 'standing', support: 'none', base: 'staggered' },
			posture: { movement: 'hinge', handleCm: 58, scales: true, close: SOFT },
			gates: [clean('free-hinge', 2, 10)],
			dose: DOSE.eachSide,
			easier: 'free-hinge',
			next: { 'single-leg-hinge': 'base' },
			faults: [...HINGE_FAULTS, 'pelvis-rolls', 'loses-balance'],
			cautions: [ROUND]
		}
	),
	step(
		'single-leg-hinge',
		'Hinge on one leg',
		'One leg',
		'The free leg goes back in line with the trunk; hips stay level. A finger on a wall counts.',
		{
			dials: { position: 'standing', support: 'none', base: 'one' },
			posture: { movement: 'hinge', handleCm: 50, scales: true, close: SOFT, oneLeg: true },
			gates: [clean('staggered-hinge', 2, 10), held('single-leg-stance', 10), sides('staggered-hinge', 0.8)],
			dose: DOSE.eachSide,
			easier: 'staggered-hinge',
			faults: [...HINGE_FAULTS, 'pelvis-rolls', 'loses-balance'],
			cautions: [ROUND, 'Keep a firm support in reach of one hand.']
		}
	)
];

export const hingeFamily: ExerciseFamily = {
	id: 'hinge',
	title: 'Bending from the hips',
	purposes: LIFT,
	cautions: [
		'Never remove bending for good: build tolerance.',
		'Stop for pain that spreads further down the leg.'
	],
	steps: hingeSteps,
	faults: faultsOf(hingeSteps),
	cues: {
		ordinary: [
			'Hips go back, as if to shut a drawer',
			'Long back from crown to tailbone',
			'Weight stays on the whole foot'
		],
		stacked: ['Ribs over pelvis', 'Breathe out as you come up', 'Stop where the back would round']
	}
};

const BRIDGE_FAULTS = ['back-arches', 'work-not-felt', 'back-feels-worked', 'knee-drifts-in', 'breath-held'];
const bridgeSteps: readonly Step[] = [
	step(
		'bridge',
		'Bridge',
		'Bridge',
		'A straight line from knees to shoulders; higher only arches the back.',
		{
			dials: {},
			posture: { movement: 'bridge', kneeDeg: 105, legs: 2 },
			dose: DOSE.ten,
			next: {
				'banded-bridge': 'lever',
				'weighted-bridge': 'load',
				'arms-up-bridge': 'support',
				'far-feet-bridge': 'surface'
			},
			faults: BRIDGE_FAULTS
		}
	),
	step(
		'far-feet-bridge',
		'Bridge, feet farther away',
		'Feet far',
		'Feet farther from the buttocks: the knee bends less, the back of the thigh works more.',
		{
			dials: { surface: 'feet-far' },
			posture: { movement: 'bridge', kneeDeg: 70, legs: 2 },
			dose: DOSE.ten,
			easier: 'bridge',
			faults: [...BRIDGE_FAULTS],
			serves: ['buttock', 'thigh-back', 'sit-to-stand']
		}
	),
	step(
		'banded-bridge',
		'Bridge with a band',
		'Band',
		'A band above the knees; push out all the way up and down.',
		{
			dials: { lever: 'band' },
			posture: { movement: 'bridge', kneeDeg: 105, legs: 2 },
			gates: [clean('bridge', 2, 10), felt('bridge')],
			dose: DOSE.ten,
			easier: 'bridge',
			kit: ['band'],
			faults: BRIDGE_FAULTS,
			serves: ['buttock', 'hip-side', 'thigh-back']
		}
	),
	step(
		'weighted-bridge',
		'Bridge with a weight',
		'Weight',
		'Pad under the weight, hands hold it on the hips.',
		{
			dials: { load: 'moderate' },
			posture: { movement: 'bridge', kneeDeg: 105, legs: 2, load: { kg: 14, at: 'none' } },
			gates: [clean('bridge', 3, 10), anyOf(felt('bridge'), easy('bridge', 10, 4))],
			dose: DOSE.eight,
			easier: 'bridge',
			kit: ['weight', ['towel', 'pillow']],
			faults: BRIDGE_FAULTS
		}
	),
	step('arms-up-bridge', 'Bridge, arms up', 'Arms up', 'Arms point at the ceiling: less to push with.', {
		dials: { support: 'none' },
		posture: { movement: 'bridge', kneeDeg: 105, legs: 2 },
		gates: [clean('bridge', 2, 10)],
		dose: DOSE.ten,
		easier: 'bridge',
		next: { 'single-leg-bridge': 'base', 'feet-raised-bridge': 'surface' },
		faults: BRIDGE_FAULTS
	}),
	step(
		'single-leg-bridge',
		'Bridge on one leg',
		'One leg',
		'Five a side, then change; three when it is hard.',
		{
			dials: { support: 'none', base: 'one' },
			posture: { movement: 'bridge', kneeDeg: 100, legs: 1 },
			gates: [clean('arms-up-bridge', 2, 10)],
			dose: DOSE.eachSide,
			easier: 'arms-up-bridge',
			next: { 'weighted-single-leg-bridge': 'load' },
			faults: [...BRIDGE_FAULTS, 'pelvis-drops']
		}
	),
	step(
		'weighted-single-leg-bridge',
		'One-leg bridge with a weight',
		'One leg, weight',
		'The weight on the working hip.',
		{
			dials: { support: 'none', base: 'one', load: 'moderate' },
			posture: { movement: 'bridge', kneeDeg: 100, legs: 1, load: { kg: 10, at: 'none' } },
			gates: [clean('single-leg-bridge', 2, 10), sides('single-leg-bridge', 0.85)],
			dose: DOSE.eachSide,
			easier: 'single-leg-bridge',
			kit: ['weight'],
			faults: [...BRIDGE_FAULTS, 'pelvis-drops']
		}
	),
	step('feet-raised-bridge', 'Bridge, feet raised', 'Feet raised', 'Feet on a chair or bench.', {
		dials: { support: 'none', surface: 'feet-raised' },
		posture: { movement: 'bridge', kneeDeg: 95, legs: 2, footCm: 35 },
		gates: [clean('arms-up-bridge', 3, 10)],
		dose: DOSE.ten,
		easier: 'arms-up-bridge',
		kit: [['chair', 'bench']],
		faults: BRIDGE_FAULTS,
		serves: ['thigh-back', 'buttock']
	}),
	step(
		'bench-bridge',
		'Bridge, upper back on a bench',
		'Bench',
		'Upper back on a bench or ball: more way for the hips.',
		{
			dials: { support: 'none', surface: 'back-raised' },
			posture: { movement: 'bridge', kneeDeg: 95, legs: 2, shoulderCm: 40, scales: true },
			gates: [clean('arms-up-bridge', 3, 10)],
			dose: DOSE.ten,
			easier: 'arms-up-bridge',
			next: { 'loaded-bench-bridge': 'load' },
			kit: [['bench', 'ball']],
			faults: BRIDGE_FAULTS
		}
	),
	step(
		'loaded-bench-bridge',
		'Bench bridge with load',
		'Bench, load',
		'A padded bar or weight across the hips.',
		{
			dials: { support: 'none', surface: 'back-raised', load: 'heavy' },
			posture: {
				movement: 'bridge',
				kneeDeg: 95,
				legs: 2,
				shoulderCm: 40,
				scales: true,
				load: { kg: 20, at: 'none' }
			},
			gates: [mastered('bench-bridge')],
			dose: DOSE.eight,
			easier: 'bench-bridge',
			kit: ['bench', ['weight', 'bar']],
			faults: BRIDGE_FAULTS
		}
	),
	step(
		'standing-hip-extension',
		'Standing leg back',
		'Standing back',
		'Held; the bent leg goes back without the back joining in. Both sides work.',
		{
			dials: { position: 'standing-held' },
			posture: { movement: 'pose', from: POSES.standKickFrom, to: POSES.standKickTo, oneSided: true },
			dose: DOSE.ten,
			kit: [['counter', 'chair']],
			faults: ['back-arches', 'leg-straightens', 'trunk-tips', 'work-not-felt'],
			cues: [
				'Stand tall on a soft knee',
				'Heel to the ceiling behind',
				'Only as far as the back stays still'
			],
			serves: ['buttock', 'walking', 'thigh-back']
		}
	),
	step(
		'kneeling-hip-extension',
		'On all fours, leg back',
		'All fours',
		'Knee stays bent, heel pushes the ceiling.',
		{
			dials: { position: 'hands-and-knees' },
			posture: { movement: 'pose', from: POSES.allFours, to: POSES.kickBent, oneSided: true },
			dose: DOSE.ten,
			next: { 'plank-hip-extension': 'position', 'standing-hip-extension': 'position' },
			faults: ['back-arches', 'leg-straightens', 'pelvis-rolls', 'work-not-felt'],
			cues: ['Long back, soft elbows', 'Heel pushes the ceiling', 'Only as far as the back stays still'],
			serves: ['buttock', 'trunk']
		}
	),
	step(
		'plank-hip-extension',
		'Plank, leg back',
		'Plank, back',
		'From a forearm plank lift one straight leg.',
		{
			dials: { position: 'plank' },
			posture: {
				movement: 'pose',
				from: POSES.plankForearm,
				to: POSES.plankKick,
				oneSided: true,
				asks: { bigToeExtension: 60 }
			},
			gates: [held('plank', 20)],
			dose: DOSE.eachSide,
			easier: 'kneeling-hip-extension',
			next: { 'plank-knee-in': 'attention' },
			faults: ['back-arches', 'pelvis-rolls', 'breath-held'],
			cues: ['One line from crown to heel', 'Lift a hand’s width', 'Breathe on'],
			serves: ['buttock', 'trunk', 'thigh-back']
		}
	),
	step(
		'plank-knee-in',
		'Plank, knee in, leg back',
		'Knee in first',
		'Knee in under the chest, then long behind.',
		{
			dials: { position: 'plank', attention: 'arms-move' },
			posture: {
				movement: 'pose',
				from: POSES.plankKneeIn,
				to: POSES.plankKick,
				oneSided: true,
				asks: { bigToeExtension: 60 }
			},
			gates: [clean('plank-hip-extension', 2, 10)],
			dose: DOSE.eachSide,
			easier: 'plank-hip-extension',
			faults: ['back-arches', 'pelvis-rolls', 'breath-held', 'rushed'],
			cues: ['One line from crown to heel', 'Knee in without the back rounding', 'Breathe on'],
			serves: ['buttock', 'trunk']
		}
	)
];

export const bridgeFamily: ExerciseFamily = {
	id: 'bridge',
	title: 'Straightening the hips',
	purposes: ['buttock', 'thigh-back', 'sit-to-stand', 'lifting', 'walking'],
	cautions: ['Felt in the low back: lower, lighter, or another way of the same purpose.'],
	steps: bridgeSteps,
	faults: faultsOf(bridgeSteps),
	cues: {
		ordinary: ['Tuck a little, then lift', 'Straight line, no higher', 'Squeeze for a breath at the top'],
		stacked: ['Ribs stay down', 'Breathe out on the way up', 'Straight line, no higher']
	}
};
