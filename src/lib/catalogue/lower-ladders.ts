/**
 * Steps and lunges: going up, coming down, and the split stance.
 * @source common-practice ladders, gates, doses, faults and cues
 */
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';
import {
	anyOf,
	clean,
	confident,
	DOSE,
	faultFree,
	faultsOf,
	feltClear,
	held,
	mastered,
	sides,
	step
} from './make.ts';
import { POSES } from './poses.ts';

const STEP_FAULTS = ['knee-drifts-in', 'pelvis-drops', 'heel-lifts', 'trunk-tips', 'rushed', 'loses-balance'];
const LUNGE_FAULTS = [
	'knee-drifts-in',
	'heel-lifts',
	'trunk-tips',
	'pelvis-drops',
	'loses-balance',
	'knee-bangs-floor'
];
const SORE_AFTER = 'Expect sore thighs after the first days of stepping down: warn the client.';
const FIRM = 'Keep a firm support in reach of one hand.';

const stepSteps: readonly Step[] = [
	step(
		'low-step-up',
		'Low step-up, held',
		'Low, held',
		'Whole foot on a step lower than you think; a hand on something firm.',
		{
			dials: { support: 'two-hands', surface: 'low-step' },
			posture: { movement: 'step-up', stepCm: 8 },
			dose: DOSE.learning,
			next: { 'lateral-step-up': 'direction', 'step-up-held': 'surface' },
			kit: ['step', ['counter', 'chair', 'wall']],
			cautions: [FIRM],
			faults: STEP_FAULTS
		}
	),
	step(
		'lateral-step-up',
		'Sideways step-up, held',
		'Sideways',
		'Stand beside the step and go up sideways; the other leg only follows.',
		{
			dials: { support: 'two-hands', surface: 'low-step', direction: 'sideways' },
			posture: { movement: 'lateral-step-up', stepCm: 8 },
			gates: [clean('low-step-up', 1, 8)],
			dose: DOSE.learning,
			easier: 'low-step-up',
			next: { 'step-up-held': 'surface' },
			kit: ['step', ['counter', 'chair', 'wall']],
			cautions: [FIRM],
			faults: STEP_FAULTS
		}
	),
	step('step-up-held', 'Step-up, held', 'Held', 'The height of an ordinary stair, a hand on the rail.', {
		dials: { support: 'two-hands', surface: 'step' },
		posture: { movement: 'step-up', stepCm: 15 },
		gates: [clean('low-step-up', 1, 10), ...feltClear('low-step-up')],
		dose: DOSE.learning,
		easier: 'low-step-up',
		next: { 'step-up': 'support' },
		kit: ['step', ['counter', 'chair', 'wall']],
		cautions: [FIRM],
		faults: STEP_FAULTS
	}),
	step('step-up', 'Step-up', 'Step-up', 'Pause on top, look again at knee and pelvis, step down as slowly.', {
		dials: { support: 'none', surface: 'step' },
		posture: { movement: 'step-up', stepCm: 17 },
		gates: [clean('step-up-held', 2, 10), faultFree('step-up-held', 'knee-drifts-in')],
		dose: DOSE.ten,
		easier: 'step-up-held',
		next: { 'step-down-tap': 'direction', 'high-step-up': 'surface', 'loaded-step-up': 'load' },
		kit: ['step'],
		cautions: [FIRM],
		faults: STEP_FAULTS,
		tempo: [2, 1, 2]
	}),
	step(
		'loaded-step-up',
		'Step-up with weights',
		'Weights',
		'A weight in each hand, same height, same slowness.',
		{
			dials: { support: 'none', surface: 'step', load: 'moderate' },
			posture: { movement: 'step-up', stepCm: 17, load: { kg: 8, at: 'sides' } },
			gates: [clean('step-up', 3, 10), sides('step-up', 0.8)],
			dose: DOSE.eight,
			easier: 'step-up',
			kit: ['step', ['weight', 'household-weight']],
			cautions: [FIRM],
			faults: STEP_FAULTS
		}
	),
	step(
		'high-step-up',
		'High step-up',
		'High step',
		'A step as high as stays clean, no push from the foot behind.',
		{
			dials: { support: 'none', surface: 'high-step' },
			posture: { movement: 'step-up', stepCm: 28 },
			gates: [clean('step-up', 3, 10)],
			dose: DOSE.eachSide,
			easier: 'step-up',
			kit: ['step'],
			cautions: [FIRM],
			faults: STEP_FAULTS
		}
	),
	step(
		'step-down-tap',
		'Step-down with a heel tap',
		'Heel tap',
		'From a low step the free heel taps the floor and comes back; trunk upright. The heel that stands may be on a wedge.',
		{
			dials: { support: 'none', surface: 'step', direction: 'forward' },
			posture: { movement: 'step-down', stepCm: 12, freeLegDeg: 25 },
			gates: [clean('step-up', 2, 10), held('single-leg-stance', 10)],
			dose: DOSE.learning,
			easier: 'step-up',
			next: { 'high-step-down': 'surface' },
			kit: ['step'],
			cautions: [SORE_AFTER, FIRM],
			faults: STEP_FAULTS,
			tempo: [4, 0, 2],
			sources: ['common-practice']
		}
	),
	step(
		'high-step-down',
		'Higher step-down',
		'Step-down',
		'The same from an ordinary stair, four seconds down.',
		{
			dials: { support: 'none', surface: 'high-step', direction: 'forward' },
			posture: { movement: 'step-down', stepCm: 18, freeLegDeg: 25 },
			gates: [clean('step-down-tap', 3, 10), sides('step-down-tap', 0.8)],
			dose: DOSE.eachSide,
			easier: 'step-down-tap',
			kit: ['step'],
			cautions: [SORE_AFTER, FIRM],
			faults: STEP_FAULTS,
			tempo: [4, 0, 2]
		}
	)
];

export const stepFamily: ExerciseFamily = {
	id: 'step',
	title: 'Steps up and down',
	purposes: ['stairs', 'thigh-front', 'buttock', 'balance'],
	cautions: [
		'Stop for giving way, locking, or sharp pain under the kneecap.',
		'A planted leg that wobbles goes back to foot and balance work first.'
	],
	steps: stepSteps,
	faults: faultsOf(stepSteps),
	cues: {
		ordinary: [
			'Whole foot on the step',
			'Push the step away; the leg behind is only a passenger',
			'Down as slowly as up'
		],
		'knee-forward': [
			'Whole foot on the step',
			'Knee over the middle toes, trunk tall',
			'Down as slowly as up'
		],
		stacked: ['Ribs over pelvis', 'Breathe out as you rise', 'Stop where the position is lost']
	}
};

const lungeSteps: readonly Step[] = [
	step(
		'held-split-squat',
		'Split squat, held',
		'Held',
		'Long stance, one finger on a wall counts. Straight down between the feet.',
		{
			dials: { support: 'two-hands', base: 'split' },
			posture: { movement: 'split-squat', thighDeg: 55 },
			gates: [clean('low-step-up', 1, 8)],
			dose: DOSE.learning,
			next: { 'split-squat': 'support' },
			kit: [['counter', 'chair', 'wall']],
			cautions: [FIRM],
			faults: LUNGE_FAULTS
		}
	),
	step(
		'split-squat',
		'Split squat',
		'Split squat',
		'Straight down, tailbone down, crown up; next to no weight on the rear leg.',
		{
			dials: { support: 'none', base: 'split' },
			posture: { movement: 'split-squat', thighDeg: 75 },
			gates: [clean('held-split-squat', 2, 10), clean('step-up-held', 1, 10), ...feltClear('step-up-held')],
			dose: DOSE.learning,
			easier: 'held-split-squat',
			next: {
				'reverse-lunge-held': 'direction',
				'front-raised-split-squat': 'surface',
				'goblet-split-squat': 'load'
			},
			cautions: [FIRM],
			faults: LUNGE_FAULTS
		}
	),
	step(
		'goblet-split-squat',
		'Split squat, weight at the chest',
		'Goblet',
		'One weight at the chest, elbows in.',
		{
			dials: { support: 'none', base: 'split', load: 'goblet' },
			posture: { movement: 'split-squat', thighDeg: 75, load: { kg: 8, at: 'goblet' } },
			gates: [
				clean('split-squat', 3, 10),
				sides('split-squat', 0.8),
				faultFree('split-squat', 'shoulders-round')
			],
			dose: DOSE.eight,
			easier: 'split-squat',
			kit: [['weight', 'household-weight']],
			cautions: [FIRM],
			faults: LUNGE_FAULTS
		}
	),
	step(
		'reverse-lunge-held',
		'Lunge back, held',
		'Back, held',
		'Step back along a rail and return. Rearward is gentler on the knee: no forward momentum.',
		{
			dials: { support: 'two-hands', base: 'split', direction: 'rearward' },
			posture: { movement: 'split-squat', thighDeg: 70 },
			gates: [clean('split-squat', 1, 10), confident('split-squat', 5)],
			dose: DOSE.learning,
			easier: 'split-squat',
			next: { 'reverse-lunge': 'support' },
			kit: [['counter', 'chair', 'wall']],
			cautions: [
				FIRM,
				'A flat rear foot is not gentler: it opens nothing and risks more. Go sideways instead.'
			],
			faults: LUNGE_FAULTS
		}
	),
	step(
		'reverse-lunge',
		'Lunge back',
		'Lunge back',
		'Step back onto the ball of the foot, lower, push back to stand.',
		{
			dials: { support: 'none', base: 'split', direction: 'rearward' },
			posture: { movement: 'split-squat', thighDeg: 78 },
			gates: [clean('reverse-lunge-held', 2, 10), faultFree('reverse-lunge-held', 'loses-balance')],
			dose: DOSE.ten,
			easier: 'reverse-lunge-held',
			next: { 'loaded-reverse-lunge': 'load', 'side-lunge': 'direction', 'forward-lunge': 'direction' },
			cautions: ['A flat rear foot is not gentler: go sideways instead.'],
			faults: LUNGE_FAULTS
		}
	),
	step(
		'loaded-reverse-lunge',
		'Lunge back with weights',
		'Weights',
		'A weight in each hand, or one at the chest.',
		{
			dials: { support: 'none', base: 'split', direction: 'rearward', load: 'moderate' },
			posture: { movement: 'split-squat', thighDeg: 78, load: { kg: 8, at: 'sides' } },
			gates: [
				mastered('reverse-lunge'),
				sides('reverse-lunge', 0.8),
				faultFree('reverse-lunge', 'shoulders-round')
			],
			dose: DOSE.eight,
			easier: 'reverse-lunge',
			kit: [['weight', 'household-weight']],
			faults: LUNGE_FAULTS
		}
	),
	step(
		'front-raised-split-squat',
		'Split squat, front foot raised',
		'Front raised',
		'A riser under the front foot gives depth to the buttock; trunk in line with the shin; rear toes stay high.',
		{
			dials: { support: 'none', base: 'split', surface: 'low-step' },
			posture: { movement: 'split-squat', frontElevationCm: 10 },
			gates: [clean('split-squat', 3, 10)],
			dose: DOSE.eachSide,
			easier: 'split-squat',
			kit: ['step'],
			cautions: [FIRM],
			faults: LUNGE_FAULTS,
			serves: ['buttock', 'thigh-front', 'floor', 'balance']
		}
	),
	step(
		'side-lunge',
		'Side lunge',
		'Sideways',
		'Both feet flat, hips go back over one leg, the other stays long. The choice for toes that cannot bend.',
		{
			dials: { support: 'none', base: 'split', direction: 'sideways' },
			posture: {
				movement: 'squat',
				stance: 'staggered',
				depth: { thighDeg: 70 },
				adjust: 'depth',
				toeOutDeg: 10
			},
			gates: [clean('free-squat', 1, 10)],
			dose: DOSE.learning,
			easier: 'held-side-lunge',
			faults: ['knee-drifts-in', 'heel-lifts', 'trunk-twists', 'trunk-tips', 'loses-balance'],
			cues: ['Both feet flat and pointing ahead', 'Sit back over one heel', 'The long leg stays long'],
			drawn: { from: POSES.wideStand, to: POSES.sideLunge },
			serves: ['thigh-front', 'buttock', 'hip-inner', 'floor', 'balance']
		}
	),
	step(
		'forward-lunge',
		'Lunge forward',
		'Forward',
		'Slow: step, pause, square up, brace, hinge a little, lower. Some drop it for good: rearward gives the same.',
		{
			dials: { support: 'none', base: 'split', direction: 'forward' },
			posture: { movement: 'split-squat', thighDeg: 78 },
			gates: [mastered('reverse-lunge')],
			dose: DOSE.eachSide,
			easier: 'reverse-lunge',
			next: { 'walking-lunge': 'impact' },
			cautions: ['Two schools: never needed, or last and slow.'],
			faults: [...LUNGE_FAULTS, 'rushed'],
			tempo: [3, 1, 2]
		}
	),
	step('walking-lunge', 'Walking lunge', 'Walking', 'Lunge after lunge across the room, a stop between.', {
		dials: { support: 'none', base: 'split', direction: 'forward', impact: 'march' },
		posture: { movement: 'split-squat', thighDeg: 80 },
		// Where the forward lunge is left out for good, the loaded one back speaks for it.
		gates: [
			anyOf(clean('forward-lunge', 2, 10), clean('loaded-reverse-lunge', 2, 10)),
			anyOf(sides('forward-lunge', 0.8), sides('loaded-reverse-lunge', 0.8))
		],
		dose: DOSE.eachSide,
		easier: 'forward-lunge',
		next: { 'crossed-lunge': 'direction' },
		faults: [...LUNGE_FAULTS, 'rushed']
	}),
	step(
		'crossed-lunge',
		'Crossed lunge',
		'Crossed',
		'One leg crosses behind, hips stay square, the outer hip works and stretches.',
		{
			dials: { support: 'none', base: 'split', direction: 'crossed', impact: 'march' },
			posture: { movement: 'split-squat', thighDeg: 65 },
			gates: [mastered('walking-lunge')],
			dose: DOSE.eachSide,
			easier: 'walking-lunge',
			faults: LUNGE_FAULTS,
			serves: ['buttock', 'hip-side', 'balance']
		}
	),
	step(
		'stick-lunge-1',
		'Stick lunge, first round',
		'Stick 1',
		'A stick of 180 cm, pushed into the floor by the rear shoulder; dip as far as the front heel stays down, twice each side.',
		{
			dials: { support: 'one-hand', base: 'split', depth: 'quarter' },
			posture: { movement: 'split-squat', thighDeg: 50 },
			dose: DOSE.dips,
			next: { 'stick-lunge-2': 'depth' },
			kit: ['stick'],
			cautions: [FIRM],
			faults: ['heel-lifts', 'loses-balance', 'trunk-tips'],
			serves: ['mobility', 'balance', 'floor']
		}
	),
	step(
		'stick-lunge-2',
		'Stick lunge, second round',
		'Stick 2',
		'The rear leg straightened first; then the knee may rest; grow tall; open the arm, three breaths.',
		{
			dials: { support: 'one-hand', base: 'split', depth: 'half' },
			posture: { movement: 'split-squat' },
			gates: [clean('stick-lunge-1', 1, 2)],
			dose: DOSE.threeBreaths,
			counts: 'breaths',
			easier: 'stick-lunge-1',
			next: { 'stick-lunge-3': 'tempo' },
			kit: ['stick'],
			cautions: ['A folded towel under the knee that rests.'],
			faults: ['heel-lifts', 'loses-balance', 'trunk-tips', 'back-arches'],
			serves: ['mobility', 'balance', 'floor']
		}
	),
	step(
		'stick-lunge-3',
		'Stick lunge, third round',
		'Stick 3',
		'The stick by the front arch; no touch of the floor: three breaths at the bottom.',
		{
			dials: { support: 'one-hand', base: 'split', depth: 'half', tempo: 'hold' },
			posture: { movement: 'split-squat' },
			gates: [clean('stick-lunge-2', 1, 3)],
			dose: DOSE.threeBreaths,
			counts: 'breaths',
			easier: 'stick-lunge-2',
			kit: ['stick'],
			faults: ['heel-lifts', 'loses-balance', 'trunk-tips'],
			serves: ['mobility', 'balance', 'floor'],
			tempo: [3, 3, 3]
		}
	),
	step(
		'wide-shift-lunge',
		'Wide shift',
		'Wide shift',
		'Step wide rather than far; pelvis over the lead leg and turned to the rear leg, feet straight, the groin opens. Then the tuck, then the arms: one part at a time.',
		{
			dials: { support: 'one-hand', base: 'split', direction: 'sideways' },
			posture: { movement: 'squat', stance: 'staggered', depth: { thighDeg: 50 }, adjust: 'depth' },
			dose: DOSE.drill,
			kit: ['stick'],
			faults: ['foot-slides', 'trunk-twists', 'knee-drifts-in'],
			cues: ['Feet and pelvis first', 'Feet stay straight', 'Tuck only when the groin has opened'],
			drawn: { from: POSES.wideStand, to: POSES.wideShift },
			serves: ['mobility', 'hip-inner']
		}
	)
];

export const lunge: ExerciseFamily = {
	id: 'lunge',
	title: 'Lunge and split stance',
	purposes: ['floor', 'thigh-front', 'buttock', 'balance', 'stairs'],
	cautions: [
		'Stop for giving way, locking, or sharp pain under the kneecap.',
		'When stuck, go back to the previous round.'
	],
	steps: lungeSteps,
	faults: faultsOf(lungeSteps),
	cues: {
		ordinary: ['Straight down, like a lift', 'Front foot whole on the floor', 'Rear leg a kickstand'],
		'sit-back': ['Hips back over the front heel', 'Front shin stays upright', 'Rear leg a kickstand'],
		parallel: [
			'Trunk and front shin lean the same way',
			'Front foot whole on the floor',
			'Rear leg a kickstand'
		],
		'knee-forward': ['Front knee travels over the toes', 'Heel stays heavy', 'Trunk stays tall'],
		stacked: ['Tailbone down, crown up', 'Ribs over pelvis', 'Rear leg works and stretches']
	}
};
