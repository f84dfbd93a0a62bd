/**
 * Knee and ankle: extension, flexion, press, calf.
 *
 * Two ways of bending and straightening the free leg ship side by side: the habit of beginning with the last degrees to straight, and the
 * published one, in which the last 45° load the kneecap and a graft most, so that a sore front of the knee begins at 60–90°.
 * @source common-practice ladders, gates, doses; steinkamp-1993 where open and closed work load the kneecap (from memory)
 */
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';
import { clean, DOSE, faultsOf, held, mastered, sides, step } from './make.ts';
import { POSES } from './poses.ts';

const EXTEND = ['rushed', 'breath-held', 'work-not-felt'];
const INNER =
	'The last degrees to straight load the front of the knee most: with pain there begin at 60–90° instead.';
const BOTH_SOURCES = ['common-practice', 'steinkamp-1993'];

const extensionSteps: readonly Step[] = [
	step(
		'quad-set',
		'Thigh tightening',
		'Tighten',
		'Leg straight on the floor: press the back of the knee down, hold three to five seconds.',
		{
			dials: { position: 'supine' },
			posture: { movement: 'pose', from: POSES.quadSetFrom, to: POSES.quadSetTo, oneSided: true },
			dose: DOSE.squeeze,
			next: { 'short-arc': 'lever' },
			kit: ['towel'],
			faults: EXTEND,
			serves: ['thigh-front', 'relief']
		}
	),
	step(
		'short-arc',
		'Short arc',
		'Short arc',
		'Over a roll: the last 15–30° to straight. The old habit; see the caution for the front of the knee.',
		{
			dials: { position: 'supine', lever: 'straight' },
			posture: { movement: 'knee-extension', fromDeg: 30, toDeg: 0, by: 'limb' },
			gates: [clean('quad-set', 1, 10)],
			dose: DOSE.ten,
			easier: 'quad-set',
			next: { 'long-arc': 'position' },
			kit: [['bolster', 'roller', 'pillow']],
			cautions: [INNER],
			faults: EXTEND,
			drawn: { from: POSES.shortArcFrom, to: POSES.shortArcTo },
			sources: BOTH_SOURCES
		}
	),
	step(
		'mid-arc',
		'Mid arc, 90 to 45°',
		'Mid arc',
		'Seated, from 90° up to 45°: the gentler half for a sore front of the knee.',
		{
			dials: { position: 'seated', lever: 'bent' },
			posture: { movement: 'knee-extension', fromDeg: 90, toDeg: 45, by: 'limb' },
			dose: DOSE.ten,
			next: { 'long-arc': 'lever' },
			kit: ['chair'],
			faults: EXTEND,
			sources: BOTH_SOURCES
		}
	),
	step(
		'long-arc',
		'Long arc',
		'Long arc',
		'Seated, from 90° to straight, hold two to three seconds, lower slowly.',
		{
			dials: { position: 'seated', lever: 'straight' },
			posture: { movement: 'knee-extension', fromDeg: 90, toDeg: 0, by: 'limb' },
			gates: [clean('mid-arc', 1, 10)],
			dose: DOSE.ten,
			easier: 'mid-arc',
			next: { 'cuff-long-arc': 'load', 'leg-extension': 'load' },
			kit: ['chair'],
			cautions: [INNER],
			faults: [...EXTEND, 'trunk-tips'],
			tempo: [3, 2, 2],
			sources: BOTH_SOURCES
		}
	),
	step(
		'cuff-long-arc',
		'Long arc with a cuff',
		'Cuff',
		'A weight cuff at the ankle: heaviest straight, nothing at 90°.',
		{
			dials: { position: 'seated', lever: 'straight', load: 'light' },
			posture: { movement: 'knee-extension', fromDeg: 90, toDeg: 0, by: 'cuff', load: { kg: 2, at: 'none' } },
			gates: [clean('long-arc', 3, 10)],
			dose: DOSE.eight,
			easier: 'long-arc',
			kit: ['chair', 'cuff'],
			cautions: [INNER],
			faults: [...EXTEND, 'trunk-tips'],
			sources: BOTH_SOURCES
		}
	),
	step(
		'leg-extension',
		'Leg extension machine',
		'Machine',
		'Back flush, no gap, pad above the ankle, controlled both ways. The resistance is about the same all the way.',
		{
			dials: { position: 'seated', lever: 'straight', load: 'moderate' },
			posture: {
				movement: 'knee-extension',
				fromDeg: 90,
				toDeg: 10,
				by: 'machine',
				load: { kg: 10, at: 'none' }
			},
			gates: [clean('long-arc', 3, 10), { kind: 'clearance', what: 'machine-extension' }],
			dose: DOSE.eight,
			easier: 'long-arc',
			kit: ['extension-machine'],
			cautions: [INNER, 'After ligament surgery only the angles of the protocol.'],
			faults: [...EXTEND, 'trunk-tips'],
			sources: BOTH_SOURCES
		}
	)
];

export const kneeExtensionFamily: ExerciseFamily = {
	id: 'knee-extension',
	title: 'Straightening the knee',
	purposes: ['thigh-front', 'walking'],
	cautions: [
		'Caution with kneecap tracking trouble, a sore kneecap tendon, or an arthritic knee: isometric first, or another way of the same purpose.'
	],
	steps: extensionSteps,
	faults: faultsOf(extensionSteps),
	cues: { ordinary: ['Sit tall, back flush', 'Straighten without a jerk', 'Lower more slowly than you lift'] }
};

const CURL = ['back-arches', 'pelvis-rolls', 'rushed', 'work-not-felt'];
const flexionSteps: readonly Step[] = [
	step(
		'seated-curl',
		'Seated curl',
		'Seated',
		'The back is best supported here; the choice for sore backs.',
		{
			dials: { position: 'seated' },
			posture: {
				movement: 'pose',
				from: POSES.seatCurlFrom,
				to: POSES.seatCurlTo,
				load: { kg: 10, at: 'none' }
			},
			dose: DOSE.eight,
			kit: ['curl-machine'],
			faults: CURL,
			next: { 'standing-curl': 'position' }
		}
	),
	step(
		'prone-curl',
		'Lying curl',
		'Lying',
		'A roll under the pelvis, brace before lying down, hips stay straight, only as far as comfortable, slowly down.',
		{
			dials: { position: 'prone' },
			posture: { movement: 'pose', from: POSES.prone, to: POSES.proneCurl, oneSided: true },
			dose: DOSE.eight,
			kit: [['pillow', 'towel']],
			cautions: ['Sore backs choose seated before lying.'],
			faults: CURL,
			next: { 'cuff-prone-curl': 'load' }
		}
	),
	step('cuff-prone-curl', 'Lying curl with a cuff', 'Cuff', 'The same with a cuff at the ankle.', {
		dials: { position: 'prone', load: 'light' },
		posture: {
			movement: 'pose',
			from: { ...POSES.prone, props: ['pillow-pelvis', 'cuff'] },
			to: { ...POSES.proneCurl, props: ['pillow-pelvis', 'cuff'] },
			oneSided: true,
			load: { kg: 2, at: 'none' }
		},
		gates: [clean('prone-curl', 2, 10)],
		dose: DOSE.eight,
		easier: 'prone-curl',
		kit: ['cuff', ['pillow', 'towel']],
		faults: CURL
	}),
	step(
		'standing-curl',
		'Standing curl',
		'Standing',
		'Held, the heel goes to about 90°; any pain: leave it.',
		{
			dials: { position: 'standing-held' },
			posture: { movement: 'pose', from: POSES.standKickFrom, to: POSES.standCurlTo, oneSided: true },
			endsAbove: 0,
			dose: DOSE.ten,
			kit: [['counter', 'chair', 'wall']],
			faults: CURL
		}
	)
];

export const kneeFlexion: ExerciseFamily = {
	id: 'knee-flexion',
	title: 'Bending the knee',
	purposes: ['thigh-back', 'walking'],
	cautions: ['Cramp at the back of the thigh: less bend, slower.'],
	steps: flexionSteps,
	faults: faultsOf(flexionSteps),
	cues: { ordinary: ['Hips stay still', 'Heel to buttock without a jerk', 'Down more slowly than up'] }
};

const PRESS = ['buttocks-leave-pad', 'knee-drifts-in', 'heel-lifts', 'breath-held', 'rushed'];
const pressSteps: readonly Step[] = [
	step(
		'leg-press',
		'Leg press',
		'Leg press',
		'Back rest set so that the pelvis stays down; whole foot; no pause at the bottom; controlled both ways.',
		{
			dials: { load: 'moderate' },
			posture: {
				movement: 'leg-press',
				sledCm: 62,
				railDeg: 40,
				backDeg: 25,
				legs: 2,
				load: { kg: 50, at: 'none' }
			},
			dose: DOSE.eight,
			next: { 'single-leg-press': 'base' },
			kit: ['leg-press'],
			cautions: ['The sled stops where the buttocks would lift.', 'No pause at the bottom with a sore back.'],
			faults: PRESS,
			tempo: [3, 0, 2]
		}
	),
	step(
		'single-leg-press',
		'Leg press on one leg',
		'One leg',
		'Half the load or less, the other foot waits.',
		{
			dials: { load: 'moderate', base: 'one' },
			posture: {
				movement: 'leg-press',
				sledCm: 62,
				railDeg: 40,
				backDeg: 25,
				legs: 1,
				load: { kg: 20, at: 'none' }
			},
			gates: [mastered('leg-press')],
			dose: DOSE.eachSide,
			easier: 'leg-press',
			kit: ['leg-press'],
			cautions: ['The sled stops where the buttock would lift.'],
			faults: [...PRESS, 'pelvis-rolls'],
			tempo: [3, 0, 2]
		}
	)
];

export const legPressFamily: ExerciseFamily = {
	id: 'leg-press',
	title: 'Leg press',
	purposes: ['thigh-front', 'buttock', 'sit-to-stand', 'stairs'],
	cautions: ['Keep hands off the safety catch until the feet carry the sled.'],
	steps: pressSteps,
	faults: faultsOf(pressSteps),
	cues: { ordinary: ['Whole foot on the plate', 'Pelvis stays heavy', 'Push without locking the knees'] }
};

const CALF = ['wobbles', 'rushed', 'toes-lift'];
const HOLD = [['counter', 'chair', 'wall']] as const;
const calfSteps: readonly Step[] = [
	step(
		'seated-heel-raise',
		'Seated heel raise',
		'Seated',
		'Sitting, both heels up; a bag on the knees when it gets easy.',
		{
			dials: { position: 'seated' },
			posture: {
				movement: 'pose',
				from: POSES.seatTall,
				to: { ...POSES.seatTall, near: { thigh: 91, shank: 10, foot: 66 } },
				asks: { bigToeExtension: 24 }
			},
			dose: DOSE.calf,
			next: { 'heel-raise': 'position' },
			kit: ['chair'],
			faults: CALF
		}
	),
	step(
		'heel-raise',
		'Heel raise, held',
		'Two feet',
		'Two feet, hands on something firm; push through the big toe, two seconds on top.',
		{
			dials: { support: 'two-hands', position: 'standing' },
			posture: { movement: 'heel-raise', pitchDeg: 30, legs: 2 },
			dose: DOSE.calf,
			easier: 'seated-heel-raise',
			next: {
				'bent-knee-heel-raise': 'lever',
				'edge-heel-raise': 'surface',
				'one-foot-heel-raise-held': 'base'
			},
			kit: HOLD,
			faults: CALF,
			tempo: [2, 2, 1]
		}
	),
	step(
		'bent-knee-heel-raise',
		'Heel raise, knees bent',
		'Bent knees',
		'Knees bent about 30°: the deep calf works.',
		{
			dials: { support: 'two-hands', position: 'standing', lever: 'bent' },
			posture: { movement: 'heel-raise', pitchDeg: 24, legs: 2, kneeDeg: 30 },
			dose: DOSE.calf,
			easier: 'heel-raise',
			kit: HOLD,
			faults: CALF,
			tempo: [2, 2, 1]
		}
	),
	step(
		'edge-heel-raise',
		'Heel raise on an edge',
		'On an edge',
		'On a stair edge the heels drop below, then two seconds on top.',
		{
			dials: { support: 'two-hands', position: 'standing', surface: 'edge' },
			posture: { movement: 'heel-raise', pitchDeg: 30, legs: 2, dropDeg: 12 },
			gates: [clean('heel-raise', 3, 15)],
			dose: [
				{ sets: 3, reps: 10 },
				{ sets: 3, reps: 20 }
			],
			easier: 'heel-raise',
			kit: ['step', ['counter', 'chair', 'wall']],
			faults: CALF,
			cautions: ['A sore heel cord at its bone stays level: no drop below the edge.'],
			tempo: [3, 2, 1]
		}
	),
	step(
		'one-foot-heel-raise-held',
		'Heel raise on one foot, held',
		'One foot, held',
		'One foot, hands help the balance only.',
		{
			dials: { support: 'two-hands', position: 'standing', base: 'one' },
			posture: { movement: 'heel-raise', pitchDeg: 28, legs: 1 },
			gates: [clean('heel-raise', 3, 20)],
			dose: DOSE.calf,
			easier: 'heel-raise',
			next: { 'one-foot-heel-raise': 'support', 'one-foot-edge-heel-raise': 'surface' },
			kit: HOLD,
			faults: CALF,
			tempo: [2, 2, 1]
		}
	),
	step(
		'one-foot-edge-heel-raise',
		'Heel raise on one foot, on an edge',
		'One foot, edge',
		'The full way, heel below the edge.',
		{
			dials: { support: 'two-hands', position: 'standing', base: 'one', surface: 'edge' },
			posture: { movement: 'heel-raise', pitchDeg: 28, legs: 1, dropDeg: 12 },
			gates: [clean('one-foot-heel-raise-held', 3, 15), sides('one-foot-heel-raise-held', 0.85)],
			dose: DOSE.calf,
			easier: 'one-foot-heel-raise-held',
			kit: ['step', ['counter', 'chair', 'wall']],
			faults: CALF,
			tempo: [3, 2, 1]
		}
	),
	step(
		'one-foot-heel-raise',
		'Heel raise on one foot, free',
		'One foot, free',
		'No hands: calf and balance together.',
		{
			dials: { position: 'standing', base: 'one', support: 'none' },
			posture: { movement: 'heel-raise', pitchDeg: 28, legs: 1 },
			gates: [clean('one-foot-heel-raise-held', 3, 15), held('single-leg-stance', 10)],
			dose: DOSE.calf,
			easier: 'one-foot-heel-raise-held',
			faults: [...CALF, 'loses-balance'],
			tempo: [2, 2, 1]
		}
	)
];

export const calf: ExerciseFamily = {
	id: 'calf',
	title: 'Calf',
	purposes: ['calf', 'walking', 'balance', 'stairs'],
	cautions: ['A newly swollen or tender calf is not exercised: same-day assessment.'],
	steps: calfSteps,
	faults: faultsOf(calfSteps),
	cues: { ordinary: ['Push through the big toe', 'Two seconds on top', 'Down slowly'] }
};
