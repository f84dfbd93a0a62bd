/**
 * Side and inner hip.
 * @source common-practice ladders, gates, doses, faults and cues
 */
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';
import { anyOf, clean, DOSE, faultsOf, felt, held, step } from './make.ts';
import { POSES } from './poses.ts';

const LIE = ['pelvis-rolls', 'trunk-twists', 'work-not-felt', 'rushed'];
const WALK = ['knee-drifts-in', 'trunk-tips', 'work-not-felt', 'rushed'];
const SIDE = ['pelvis-drops', 'pelvis-rolls', 'breath-held', 'guarding'];

const abductionSteps: readonly Step[] = [
	step(
		'wall-press',
		'Wall press',
		'Wall press',
		'Beside a wall the near knee presses in at half strength for three to five seconds; felt on both hips.',
		{
			dials: { position: 'standing-held' },
			posture: { movement: 'pose', from: POSES.wallPressFrom, to: POSES.wallPressTo, oneSided: true },
			dose: [
				{ sets: 1, reps: 8 },
				{ sets: 1, reps: 10 }
			],
			kit: ['wall'],
			faults: ['trunk-tips', 'pelvis-drops', 'work-not-felt', 'breath-held'],
			serves: ['hip-side', 'relief', 'balance', 'walking'],
			next: { 'standing-abduction': 'position' }
		}
	),
	step(
		'clamshell',
		'Clamshell',
		'Clamshell',
		'Heels in line with the buttocks, the pelvis keeps facing front; five are enough when clean.',
		{
			dials: { position: 'side-lying' },
			posture: { movement: 'pose', from: POSES.sideLieBent, to: POSES.clamOpen, oneSided: true },
			dose: DOSE.learning,
			next: { 'side-lying-lift': 'lever', 'banded-clamshell': 'lever' },
			kit: ['pillow'],
			faults: LIE
		}
	),
	step(
		'side-lying-lift',
		'Side lift, knees bent',
		'Bent lift',
		'The whole bent leg lifts level, knee and foot together.',
		{
			dials: { position: 'side-lying', lever: 'bent' },
			posture: { movement: 'pose', from: POSES.sideLieBent, to: POSES.sideLieBentLift, oneSided: true },
			gates: [felt('clamshell')],
			dose: DOSE.ten,
			easier: 'clamshell',
			next: { 'straight-leg-lift': 'lever', 'standing-abduction': 'position' },
			kit: ['pillow'],
			faults: LIE
		}
	),
	step('banded-clamshell', 'Clamshell with a band', 'Band', 'A band above the knees.', {
		dials: { position: 'side-lying', lever: 'band' },
		posture: {
			movement: 'pose',
			from: { ...POSES.sideLieBent, props: ['band-knees'] },
			to: { ...POSES.clamOpen, props: ['band-knees'] },
			oneSided: true
		},
		gates: [clean('clamshell', 2, 10)],
		dose: DOSE.ten,
		easier: 'clamshell',
		kit: ['band', 'pillow'],
		faults: LIE
	}),
	step(
		'straight-leg-lift',
		'Side lift, leg straight',
		'Straight lift',
		'Leg long and a little behind the body, toes ahead, heel leads.',
		{
			dials: { position: 'side-lying', lever: 'straight' },
			posture: { movement: 'pose', from: POSES.sideLie, to: POSES.sideLieLift, oneSided: true },
			gates: [clean('side-lying-lift', 2, 10)],
			dose: DOSE.ten,
			easier: 'side-lying-lift',
			next: { 'ankle-band-lift': 'lever' },
			kit: ['pillow'],
			faults: LIE
		}
	),
	step('ankle-band-lift', 'Side lift, band at the ankles', 'Ankle band', 'The longest lever of these.', {
		dials: { position: 'side-lying', lever: 'band-ankle' },
		posture: {
			movement: 'pose',
			from: { ...POSES.sideLie, props: ['band-ankles'] },
			to: { ...POSES.sideLieLift, props: ['band-ankles'] },
			oneSided: true
		},
		gates: [clean('straight-leg-lift', 3, 10)],
		dose: DOSE.ten,
		easier: 'straight-leg-lift',
		kit: ['band', 'pillow'],
		faults: LIE
	}),
	step(
		'standing-abduction',
		'Standing leg out',
		'Standing out',
		'Held, stance knee soft; the standing side works as much as the moving one.',
		{
			dials: { position: 'standing' },
			posture: { movement: 'pose', from: POSES.standAbductFrom, to: POSES.standAbductTo, oneSided: true },
			gates: [anyOf(felt('wall-press'), clean('side-lying-lift', 2, 10))],
			dose: DOSE.ten,
			easier: 'wall-press',
			next: { 'banded-standing-abduction': 'lever', 'monster-walk': 'lever' },
			kit: [['counter', 'chair', 'wall']],
			faults: ['trunk-tips', 'pelvis-drops', 'work-not-felt'],
			serves: ['hip-side', 'balance', 'walking']
		}
	),
	step(
		'banded-standing-abduction',
		'Standing leg out with a band',
		'Out, band',
		'A band at the ankles, slow back.',
		{
			dials: { position: 'standing', lever: 'band-ankle' },
			posture: {
				movement: 'pose',
				from: { ...POSES.standAbductFrom, props: ['band-ankles'] },
				to: { ...POSES.standAbductTo, props: ['band-ankles'] },
				oneSided: true
			},
			gates: [clean('standing-abduction', 3, 10)],
			dose: DOSE.ten,
			easier: 'standing-abduction',
			kit: ['band', ['counter', 'chair', 'wall']],
			faults: ['trunk-tips', 'pelvis-drops', 'work-not-felt'],
			serves: ['hip-side', 'balance', 'walking']
		}
	),
	step(
		'monster-walk',
		'Band walk, above the knees',
		'Band walk',
		'Mini squat, ten to fifteen steps each way, the band never slack.',
		{
			dials: { position: 'standing', lever: 'band' },
			posture: {
				movement: 'pose',
				from: { ...POSES.monsterFrom, props: ['band-knees'] },
				to: { ...POSES.monsterTo, props: ['band-knees'] }
			},
			gates: [clean('standing-abduction', 2, 10)],
			dose: DOSE.walk,
			counts: 'steps',
			easier: 'standing-abduction',
			next: { 'monster-walk-shins': 'lever' },
			kit: ['band'],
			faults: WALK,
			serves: ['hip-side', 'walking', 'thigh-front']
		}
	),
	step('monster-walk-shins', 'Band walk, mid-shin', 'Shin band', 'The band at mid-shin.', {
		dials: { position: 'standing', lever: 'band-shin' },
		posture: {
			movement: 'pose',
			from: { ...POSES.monsterFrom, props: ['band-shins'] },
			to: { ...POSES.monsterTo, props: ['band-shins'] }
		},
		gates: [clean('monster-walk', 3, 15)],
		dose: DOSE.walk,
		counts: 'steps',
		easier: 'monster-walk',
		next: { 'monster-walk-ankles': 'lever' },
		kit: ['band'],
		faults: WALK,
		serves: ['hip-side', 'walking', 'thigh-front']
	}),
	step('monster-walk-ankles', 'Band walk, ankles', 'Ankle band', 'The band at the ankles.', {
		dials: { position: 'standing', lever: 'band-ankle' },
		posture: {
			movement: 'pose',
			from: { ...POSES.monsterFrom, props: ['band-ankles'] },
			to: { ...POSES.monsterTo, props: ['band-ankles'] }
		},
		gates: [clean('monster-walk-shins', 3, 15)],
		dose: DOSE.walk,
		counts: 'steps',
		easier: 'monster-walk-shins',
		kit: ['band'],
		faults: WALK,
		serves: ['hip-side', 'walking', 'thigh-front']
	}),
	step(
		'side-plank-knees',
		'Side plank from the knees',
		'From knees',
		'On the forearm, or on the hand if the elbow is sore; knees bent.',
		{
			dials: { position: 'plank', lever: 'bent' },
			posture: { movement: 'pose', from: POSES.sideLieBent, to: POSES.sidePlankKnees, oneSided: true },
			dose: DOSE.hold,
			counts: 'sec',
			next: { 'side-plank': 'lever' },
			faults: SIDE,
			serves: ['hip-side', 'trunk']
		}
	),
	step('side-plank', 'Side plank', 'Side plank', 'From the feet, one line.', {
		dials: { position: 'plank', lever: 'straight' },
		posture: { movement: 'pose', from: POSES.sidePlankDown, to: POSES.sidePlank, oneSided: true },
		gates: [held('side-plank-knees', 20)],
		dose: DOSE.hold,
		counts: 'sec',
		easier: 'side-plank-knees',
		next: { 'side-plank-lift': 'attention' },
		faults: SIDE,
		serves: ['hip-side', 'trunk']
	}),
	step(
		'side-plank-lift',
		'Side plank with a leg lift',
		'Leg lift',
		'The upper leg lifts while the line stays.',
		{
			dials: { position: 'plank', lever: 'straight', attention: 'arms-move' },
			posture: { movement: 'pose', from: POSES.sidePlank, to: POSES.sidePlankLift, oneSided: true },
			gates: [held('side-plank', 30)],
			dose: DOSE.eachSide,
			easier: 'side-plank',
			faults: SIDE,
			serves: ['hip-side', 'trunk']
		}
	)
];

export const abduction: ExerciseFamily = {
	id: 'abduction',
	title: 'Side of the hip',
	purposes: ['hip-side', 'balance', 'walking'],
	cautions: ['A sore outer hip does not lie on it and does not cross the midline.'],
	steps: abductionSteps,
	faults: faultsOf(abductionSteps),
	cues: { ordinary: ['Pelvis faces front', 'Slow out, slower back', 'Feel it beside the back pocket'] }
};

const SQUEEZE = ['breath-held', 'work-not-felt', 'guarding'];
const adductionSteps: readonly Step[] = [
	step(
		'hook-squeeze',
		'Squeeze lying',
		'Lying',
		'On the back, knees bent, a pillow between the knees; half strength.',
		{
			dials: { position: 'supine' },
			posture: { movement: 'pose', from: POSES.hookSqueeze, to: POSES.hookSqueeze },
			dose: DOSE.squeeze,
			next: { 'pillow-squeeze': 'position' },
			kit: [['pillow', 'ball']],
			faults: SQUEEZE,
			serves: ['hip-inner', 'relief']
		}
	),
	step(
		'pillow-squeeze',
		'Pillow squeeze',
		'Pillow',
		'Seated, a folded pillow, feet narrow so that knees are over ankles; half strength, three to five seconds. Good on stiff mornings or after a walk.',
		{
			dials: { position: 'seated' },
			posture: { movement: 'pose', from: POSES.seatedSqueeze, to: POSES.seatedSqueeze },
			dose: DOSE.squeeze,
			easier: 'hook-squeeze',
			next: { 'inner-thigh-lift': 'lever' },
			kit: ['chair', ['pillow', 'ball', 'towel']],
			faults: SQUEEZE,
			serves: ['hip-inner', 'relief']
		}
	),
	step(
		'inner-thigh-lift',
		'Inner thigh lift',
		'Inner lift',
		'Lying on the side, the lower straight leg lifts.',
		{
			dials: { position: 'seated', lever: 'straight' },
			posture: { movement: 'pose', from: POSES.sideLie, to: POSES.innerLift, oneSided: true },
			gates: [clean('pillow-squeeze', 2, 15)],
			dose: DOSE.ten,
			easier: 'pillow-squeeze',
			kit: ['pillow'],
			faults: ['pelvis-rolls', 'work-not-felt', 'rushed']
		}
	)
];

export const adduction: ExerciseFamily = {
	id: 'adduction',
	title: 'Inside of the hip',
	purposes: ['hip-inner', 'walking'],
	cautions: ['Groin pain that grows with each day of it: stop, and ask.'],
	steps: adductionSteps,
	faults: faultsOf(adductionSteps),
	cues: { ordinary: ['Half strength', 'Breathe on', 'Let go slowly'] }
};
