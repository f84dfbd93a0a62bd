/**
 * Balance, impact, mobility, isometrics, tissue, trunk, warm-up and cool-down.
 * @source common-practice ladders, gates, doses, faults and cues
 */
import type { ExerciseFamily, Gate, Step } from '../core/exercise/family.ts';
import { clean, confident, DOSE, faultFree, faultsOf, held, mastered, step } from './make.ts';
import { POSES, standing, supine } from './poses.ts';

const REACH = 'Keep a firm support in reach of one hand; after a fall, at every step.';
const SWAY = ['loses-balance', 'wobbles', 'breath-held'];
const balanceSteps: readonly Step[] = [
	step('side-by-side-stance', 'Feet together', 'Together', 'Feet side by side, hands free.', {
		dials: { base: 'both' },
		posture: { movement: 'pose', from: POSES.sideBySide, to: POSES.sideBySide },
		dose: DOSE.stance,
		counts: 'sec',
		next: { 'staggered-stance': 'base' },
		cautions: [REACH],
		faults: SWAY
	}),
	step(
		'staggered-stance',
		'Staggered stance',
		'Staggered',
		'One foot half ahead; 10–15 s hands free on both sides with little extra movement. What follows waits for it.',
		{
			dials: { base: 'staggered' },
			posture: { movement: 'pose', from: POSES.staggered, to: POSES.staggered },
			gates: [held('side-by-side-stance', 10)],
			dose: DOSE.stance,
			counts: 'sec',
			easier: 'side-by-side-stance',
			next: { 'stance-passes': 'attention', 'tandem-stance': 'base' },
			cautions: [REACH],
			faults: SWAY
		}
	),
	step(
		'stance-passes',
		'Stance with passes',
		'Passes',
		'Staggered, elbows at 90°; an object goes side to side, the chest keeps facing ahead; a pass ends at the middle. Twenty, then the other foot ahead.',
		{
			dials: { base: 'staggered', attention: 'pass' },
			posture: { movement: 'pose', from: POSES.staggered, to: POSES.passReach },
			gates: [held('staggered-stance', 10), faultFree('staggered-stance', 'wobbles')],
			dose: DOSE.passes,
			easier: 'staggered-stance',
			next: { 'weighted-passes': 'attention' },
			kit: [['ball', 'pillow', 'household-weight']],
			cautions: [REACH],
			faults: [...SWAY, 'trunk-twists']
		}
	),
	step(
		'weighted-passes',
		'Passes with a weight',
		'Weight',
		'The same with a weight; only as heavy as the client feels sure of.',
		{
			dials: { base: 'staggered', attention: 'weight-passed' },
			posture: { movement: 'pose', from: POSES.staggered, to: POSES.passWeight, load: { kg: 2, at: 'none' } },
			gates: [clean('stance-passes', 1, 20), confident('stance-passes', 7)],
			dose: DOSE.passes,
			easier: 'stance-passes',
			kit: [['weight', 'household-weight']],
			cautions: [REACH],
			faults: [...SWAY, 'trunk-twists']
		}
	),
	step('tandem-stance', 'Heel to toe', 'Tandem', 'One foot straight ahead of the other, ten seconds.', {
		dials: { base: 'split' },
		posture: { movement: 'pose', from: POSES.tandem, to: POSES.tandem },
		gates: [held('staggered-stance', 10)],
		dose: DOSE.stance,
		counts: 'sec',
		easier: 'staggered-stance',
		next: { 'single-leg-stance': 'base' },
		cautions: [REACH],
		faults: SWAY
	}),
	step('single-leg-stance', 'One leg', 'One leg', 'Stand on one leg, hips level.', {
		dials: { base: 'one' },
		posture: { movement: 'pose', from: standing, to: POSES.oneLeg, oneSided: true },
		gates: [held('tandem-stance', 10)],
		dose: DOSE.stance,
		counts: 'sec',
		easier: 'tandem-stance',
		next: { 'single-leg-head-turns': 'attention' },
		cautions: [REACH],
		faults: [...SWAY, 'pelvis-drops']
	}),
	step('single-leg-head-turns', 'One leg with head turns', 'Head turns', 'Eyes and head move last of all.', {
		dials: { base: 'one', attention: 'head-turns' },
		posture: { movement: 'pose', from: POSES.oneLeg, to: POSES.oneLegTurn, oneSided: true },
		gates: [held('single-leg-stance', 20)],
		dose: DOSE.stance,
		counts: 'sec',
		easier: 'single-leg-stance',
		cautions: [REACH],
		faults: [...SWAY, 'pelvis-drops']
	})
];
export const balance: ExerciseFamily = {
	id: 'balance',
	title: 'Balance',
	purposes: ['balance', 'walking'],
	cautions: ['Stop for dizziness; a limp that is no longer noticed goes to the clinician.'],
	steps: balanceSteps,
	faults: faultsOf(balanceSteps),
	cues: { ordinary: ['Tripod of heel, big toe, little toe', 'Eyes on one spot', 'Breathe on'] }
};

const CLEARED: Gate = { kind: 'clearance', what: 'impact' };
const LAND = ['hard-landing', 'knee-drifts-in', 'trunk-tips', 'loses-balance'];
const TWIN = 'A low-impact twin is always offered: march or step instead.';
const impactSteps: readonly Step[] = [
	step('march', 'March', 'March', 'Knees up on the spot: the default of every warm-up.', {
		dials: { impact: 'march' },
		posture: { movement: 'pose', from: standing, to: POSES.march, oneSided: true },
		dose: DOSE.minutes,
		counts: 'sec',
		next: { jog: 'impact', 'squat-jump': 'impact' },
		faults: ['trunk-tips', 'rushed'],
		serves: ['warm-up', 'walking', 'balance']
	}),
	step('jog', 'Jog or bounce', 'Jog', 'On the spot, light.', {
		dials: { impact: 'jog' },
		posture: {
			movement: 'pose',
			asks: { bigToeExtension: 40 },
			from: POSES.march,
			to: POSES.jog,
			oneSided: true
		},
		gates: [CLEARED, clean('free-squat', 2, 10)],
		dose: DOSE.minutes,
		counts: 'sec',
		easier: 'march',
		next: { 'lateral-hop-touch': 'impact' },
		cautions: [TWIN],
		faults: [...LAND],
		serves: ['warm-up', 'running', 'power']
	}),
	step(
		'squat-jump',
		'Squat jump',
		'Squat jump',
		'Feet point ahead, hips back, land softly in the same squat.',
		{
			dials: { impact: 'landing' },
			posture: { movement: 'pose', asks: { bigToeExtension: 40 }, from: POSES.flight, to: POSES.dip },
			gates: [CLEARED, mastered('free-squat')],
			dose: DOSE.power,
			easier: 'march',
			next: { 'lateral-hop': 'impact', 'split-jump': 'impact' },
			cautions: [TWIN, 'Leaking on landing: stop impact, offer a pelvic-health review.'],
			faults: LAND,
			serves: ['power', 'running', 'thigh-front']
		}
	),
	step(
		'lateral-hop-touch',
		'Sideways hop with a touch',
		'Hop, touch',
		'Hop sideways, the other foot touches down for balance.',
		{
			dials: { impact: 'hop-touch' },
			posture: {
				movement: 'pose',
				asks: { bigToeExtension: 40 },
				from: POSES.hopSideAir,
				to: POSES.hopSide,
				oneSided: true
			},
			gates: [CLEARED, mastered('single-leg-to-seat')],
			dose: DOSE.power,
			easier: 'jog',
			next: { 'lateral-hop': 'impact' },
			cautions: [TWIN],
			faults: LAND,
			serves: ['power', 'running', 'balance']
		}
	),
	step('lateral-hop', 'Sideways hop', 'Hop', 'Without the touch; stick each landing for two seconds.', {
		dials: { impact: 'hop' },
		posture: {
			movement: 'pose',
			asks: { bigToeExtension: 40 },
			from: POSES.hopSideAir,
			to: POSES.hopSide,
			oneSided: true
		},
		gates: [CLEARED, clean('lateral-hop-touch', 3, 8)],
		dose: DOSE.power,
		easier: 'lateral-hop-touch',
		cautions: [TWIN],
		faults: LAND,
		serves: ['power', 'running', 'balance']
	}),
	step(
		'split-jump',
		'Split jump',
		'Split jump',
		'Feet change in the air; only when squat jump and walking lunge are both clean.',
		{
			dials: { impact: 'switch' },
			posture: { movement: 'pose', from: POSES.splitAir, to: POSES.splitLow, asks: { bigToeExtension: 60 } },
			gates: [CLEARED, mastered('squat-jump'), mastered('walking-lunge')],
			dose: DOSE.power,
			easier: 'squat-jump',
			cautions: [TWIN],
			faults: [...LAND, 'knee-bangs-floor'],
			serves: ['power', 'running']
		}
	)
];
export const impact: ExerciseFamily = {
	id: 'impact',
	title: 'Impact',
	purposes: ['power', 'running'],
	cautions: [
		'Only for those cleared for impact. Stop for leaking, heaviness, or pain at the shin or groin that grows with each landing.'
	],
	steps: impactSteps,
	faults: faultsOf(impactSteps),
	cues: {
		ordinary: ['Land as if nobody may hear', 'Knees over the middle toes', 'Stop while it is still soft']
	}
};

const STRETCH = ['back-arches', 'breath-held', 'guarding'];
const mobilitySteps: readonly Step[] = [
	step(
		'quad-stretch',
		'Front of thigh, standing',
		'Thigh',
		'Held; heel to buttock, tuck, squeeze the buttock.',
		{
			dials: { position: 'standing-held' },
			posture: { movement: 'pose', from: standing, to: POSES.quadStretch, oneSided: true },
			dose: DOSE.stretch,
			counts: 'sec',
			kit: [['wall', 'counter', 'chair']],
			faults: STRETCH
		}
	),
	step(
		'kneeling-quad-stretch',
		'Front of thigh, kneeling',
		'Kneeling',
		'Sit back towards the heels propped on blocks, then lean back only until the knee wants to lift.',
		{
			dials: { position: 'tall-kneeling' },
			posture: { movement: 'pose', from: POSES.kneelTall, to: POSES.sitBackKneel },
			dose: DOSE.stretch,
			counts: 'sec',
			kit: [['pillow', 'towel']],
			faults: STRETCH
		}
	),
	step('hip-flexor-stretch', 'Front of hip', 'Hip front', 'Half kneeling: tuck, sink, then the arm over.', {
		dials: { position: 'tall-kneeling', depth: 'half' },
		posture: { movement: 'pose', from: POSES.halfKneel, to: POSES.halfKneelSink, oneSided: true },
		dose: DOSE.stretch,
		counts: 'sec',
		kit: [['pillow', 'towel']],
		faults: STRETCH
	}),
	step(
		'hamstring-bend',
		'Back of thigh',
		'Hamstring',
		'Knees nearly straight, flat back, hands slide down as far as the back stays flat.',
		{
			dials: { position: 'standing' },
			posture: { movement: 'hinge', handleCm: 60, scales: true, close: { kneeDeg: 5 } },
			dose: DOSE.stretch,
			counts: 'sec',
			faults: ['back-rounds', 'breath-held', 'guarding']
		}
	),
	step(
		'figure-four',
		'Figure four',
		'Figure four',
		'On the back, ankle over the other knee, draw both in. The position of socks and shoes.',
		{
			dials: { position: 'supine' },
			posture: { movement: 'pose', from: POSES.figureFourFrom, to: POSES.figureFourTo, oneSided: true },
			dose: DOSE.stretch,
			counts: 'sec',
			faults: STRETCH
		}
	),
	step(
		'ninety-ninety',
		'Ninety-ninety',
		'90–90',
		'Sitting on the floor, both knees and the front hip at 90°; hands behind for support, then hands free; three full breaths at the end.',
		{
			dials: { position: 'seated' },
			posture: {
				movement: 'pose',
				from: POSES.ninetyFrom,
				to: POSES.ninetyTo,
				oneSided: true,
				asks: { kneeFlexion: 90, thighTrunkFlexion: 100 }
			},
			dose: DOSE.threeBreaths,
			counts: 'breaths',
			next: { 'hip-axle': 'attention' },
			faults: STRETCH
		}
	),
	step(
		'hip-axle',
		'Hip axle',
		'Hip axle',
		'In ninety-ninety the leading leg stays still; the rear leg is lifted through and back, four to six a side.',
		{
			dials: { position: 'seated', attention: 'arms-move' },
			posture: {
				movement: 'pose',
				from: POSES.ninetyFrom,
				to: POSES.ninetyLift,
				oneSided: true,
				asks: { kneeFlexion: 90, thighTrunkFlexion: 100 }
			},
			gates: [clean('ninety-ninety', 1, 3)],
			dose: DOSE.drill,
			easier: 'ninety-ninety',
			faults: STRETCH
		}
	),
	step(
		'three-way-ankle',
		'Three-way ankle',
		'Ankle',
		'Foot raised on a step, the knee goes over eleven, twelve and one o’clock, three or four each: a set for each direction. Note which side is tighter and what limits.',
		{
			dials: { position: 'standing', depth: 'half' },
			posture: { movement: 'pose', from: POSES.ankleFrom, to: POSES.ankleTo, oneSided: true },
			dose: DOSE.directions,
			kit: [['step', 'chair']],
			faults: ['heel-lifts', 'knee-drifts-in']
		}
	),
	step('groin-opener', 'Groin opener', 'Groin', 'Wide stance, shift over one leg and stay.', {
		dials: { position: 'standing', base: 'split' },
		posture: { movement: 'pose', from: POSES.wideStand, to: POSES.wideShift, oneSided: true },
		dose: DOSE.stretch,
		counts: 'sec',
		faults: ['foot-slides', 'trunk-twists', 'breath-held']
	}),
	step('knee-to-chest', 'Knee to chest', 'Knee to chest', 'On the back, one knee in, the other leg long.', {
		dials: { position: 'supine', depth: 'half' },
		posture: { movement: 'pose', from: supine, to: POSES.kneeToChest, oneSided: true },
		dose: DOSE.stretch,
		counts: 'sec',
		faults: STRETCH,
		serves: ['mobility', 'relief']
	}),
	step('calf-stretch', 'Calf stretch', 'Calf', 'Hands on a wall, rear heel down.', {
		dials: { position: 'standing-held', base: 'split' },
		posture: { movement: 'pose', from: standing, to: POSES.calfStretch, oneSided: true },
		dose: DOSE.stretch,
		counts: 'sec',
		kit: ['wall'],
		faults: ['heel-lifts', 'foot-slides', 'breath-held']
	})
];
export const mobility: ExerciseFamily = {
	id: 'mobility',
	title: 'Mobility',
	purposes: ['mobility', 'floor'],
	cautions: [
		'Seconds count toward the week: 300 for each muscle group. Note which side is tighter and what limits.'
	],
	steps: mobilitySteps,
	faults: faultsOf(mobilitySteps),
	cues: { ordinary: ['To the first pull, no further', 'Three slow breaths', 'Weaker or tighter side first'] }
};

const HOLDS = ['breath-held', 'guarding', 'position-lost-midset'];
const isometricSteps: readonly Step[] = [
	step('wall-slide-hold', 'High wall sit', 'High wall sit', 'Back on the wall, knees a little bent; hold.', {
		dials: { depth: 'quarter' },
		posture: {
			movement: 'pose',
			from: POSES.wallSlide,
			to: POSES.wallSlide,
			asks: { weightBearingDorsiflexion: 5 }
		},
		dose: DOSE.isometric,
		counts: 'sec',
		next: { 'wall-sit-hold': 'depth' },
		kit: ['wall'],
		faults: HOLDS,
		serves: ['thigh-front', 'relief', 'sit-to-stand']
	}),
	step(
		'wall-sit-hold',
		'Wall sit',
		'Wall sit',
		'Back on the wall, thighs towards level; five holds of up to 45 s.',
		{
			dials: { depth: 'level' },
			posture: {
				movement: 'pose',
				from: POSES.wallSlide,
				to: POSES.wallSit,
				asks: { weightBearingDorsiflexion: 5 }
			},
			gates: [held('wall-slide-hold', 30)],
			dose: DOSE.isometric,
			counts: 'sec',
			easier: 'wall-slide-hold',
			kit: ['wall'],
			faults: HOLDS,
			serves: ['thigh-front', 'relief', 'sit-to-stand']
		}
	),
	step(
		'leg-extension-hold',
		'Leg extension hold',
		'Extension hold',
		'Seated, knee at 60–90°, push against something that does not move; five holds of 45 s at a strong effort.',
		{
			dials: { position: 'seated' },
			posture: {
				movement: 'knee-extension',
				fromDeg: 75,
				toDeg: 70,
				by: 'machine',
				load: { kg: 8, at: 'none' }
			},
			dose: DOSE.isometric,
			counts: 'sec',
			kit: [['extension-machine', 'band', 'towel'], 'chair'],
			faults: HOLDS,
			serves: ['thigh-front', 'relief']
		}
	),
	step('heel-raise-hold', 'Heel raise hold', 'Heel hold', 'Up on both feet, held; stay.', {
		dials: { support: 'two-hands', position: 'standing-held' },
		posture: { movement: 'heel-raise', pitchDeg: 20, legs: 2 },
		dose: DOSE.isometric,
		counts: 'sec',
		kit: [['counter', 'chair', 'wall']],
		faults: ['wobbles', 'breath-held'],
		serves: ['calf', 'relief']
	}),
	step('bridge-hold', 'Bridge hold', 'Bridge hold', 'The top of the bridge, held.', {
		dials: { position: 'supine' },
		posture: { movement: 'bridge', kneeDeg: 105, legs: 2 },
		dose: DOSE.isometric,
		counts: 'sec',
		faults: ['back-arches', 'back-feels-worked', 'breath-held', 'work-not-felt'],
		serves: ['buttock', 'thigh-back', 'relief']
	})
];
export const isometrics: ExerciseFamily = {
	id: 'isometrics',
	title: 'Holds for tendons and flares',
	purposes: ['relief', 'thigh-front', 'buttock', 'calf'],
	cautions: ['Pain in the first holds that eases over the five is usual; pain that grows is not.'],
	steps: isometricSteps,
	faults: faultsOf(isometricSteps),
	cues: { ordinary: ['Build up over two seconds', 'Breathe on while you hold', 'Let go slowly'] }
};

const ROLL = ['guarding', 'breath-held', 'rushed'];
const tissueSteps: readonly Step[] = [
	step(
		'roll-outer-thigh',
		'Roller, outer thigh',
		'Outer thigh',
		'Slow, a breath on each sore spot; discomfort is acceptable, pain is not.',
		{
			dials: { position: 'side-lying' },
			posture: { movement: 'pose', from: POSES.rollOuter, to: POSES.rollOuter, oneSided: true },
			dose: DOSE.minutes,
			counts: 'sec',
			kit: ['roller'],
			faults: ROLL
		}
	),
	step(
		'roll-front-thigh',
		'Roller, front of thigh',
		'Front thigh',
		'On the forearms, roller under the thighs.',
		{
			dials: { position: 'prone' },
			posture: { movement: 'pose', from: POSES.rollFront, to: POSES.rollFront },
			dose: DOSE.minutes,
			counts: 'sec',
			kit: ['roller'],
			faults: ROLL
		}
	),
	step(
		'roll-back-thigh',
		'Roller, back of thigh',
		'Back thigh',
		'Sitting, hands behind, roller under the thighs.',
		{
			dials: { position: 'seated' },
			posture: { movement: 'pose', from: POSES.rollBack, to: POSES.rollBack },
			dose: DOSE.minutes,
			counts: 'sec',
			kit: ['roller'],
			faults: ROLL
		}
	),
	step(
		'rest-legs-up',
		'Rest, legs on a chair',
		'Legs up',
		'On the back, calves on a chair, slow breath out.',
		{
			dials: { position: 'supine' },
			posture: { movement: 'pose', from: POSES.restLegsUp, to: POSES.restLegsUp },
			dose: DOSE.breaths,
			counts: 'breaths',
			kit: ['chair'],
			faults: ['guarding', 'breath-held']
		}
	)
];
export const tissue: ExerciseFamily = {
	id: 'tissue',
	title: 'Rolling and rest',
	purposes: ['relief', 'mobility'],
	cautions: ['Not on a swollen, bruised or newly tender place.'],
	steps: tissueSteps,
	faults: faultsOf(tissueSteps),
	cues: { ordinary: ['Slow', 'A breath on each spot', 'Discomfort, not pain'] }
};

const TRUNK = ['back-arches', 'breath-held', 'over-braced', 'pelvis-rolls'];
const trunkSteps: readonly Step[] = [
	step(
		'brace-and-breath',
		'Brace and breath',
		'Brace, breathe',
		'On the back: enough tension for this load and no more, quick breath out, low back relaxed.',
		{
			dials: { position: 'supine' },
			posture: { movement: 'pose', from: POSES.breatheUp, to: POSES.breatheUp },
			dose: DOSE.breaths,
			counts: 'breaths',
			next: { 'bird-dog': 'position' },
			faults: ['breath-held', 'over-braced', 'guarding']
		}
	),
	step('bird-dog', 'Bird dog', 'Bird dog', 'On all fours, opposite arm and leg grow long.', {
		dials: { position: 'hands-and-knees' },
		posture: { movement: 'pose', from: POSES.allFours, to: POSES.birdDog, oneSided: true },
		dose: DOSE.eachSide,
		easier: 'brace-and-breath',
		next: { 'knee-plank': 'position' },
		faults: [...TRUNK, 'wobbles']
	}),
	step('knee-plank', 'Plank from the knees', 'Knee plank', 'Forearms and knees, one line.', {
		dials: { position: 'plank' },
		posture: { movement: 'pose', from: POSES.plankKnees, to: POSES.plankKnees },
		gates: [clean('bird-dog', 2, 8)],
		dose: DOSE.hold,
		counts: 'sec',
		easier: 'bird-dog',
		next: { plank: 'lever' },
		faults: TRUNK
	}),
	step('plank', 'Plank', 'Plank', 'Forearms and toes, one line from crown to heel.', {
		dials: { position: 'plank', lever: 'straight' },
		posture: {
			movement: 'pose',
			from: POSES.plankForearm,
			to: POSES.plankForearm,
			asks: { bigToeExtension: 60 }
		},
		gates: [held('knee-plank', 30)],
		dose: DOSE.hold,
		counts: 'sec',
		easier: 'knee-plank',
		faults: TRUNK
	})
];
export const trunk: ExerciseFamily = {
	id: 'trunk',
	title: 'Trunk',
	purposes: ['trunk', 'lifting'],
	cautions: ['Too much bracing compresses a sensitive back: tune it down.'],
	steps: trunkSteps,
	faults: faultsOf(trunkSteps),
	cues: { ordinary: ['Long line', 'Enough tension, no more', 'Breathe on'] }
};

const WARM = ['rushed', 'trunk-tips', 'loses-balance'];
const warmSteps: readonly Step[] = [
	step('hip-gate', 'Gates', 'Gates', 'Knee up, open it to the side, back through the middle.', {
		dials: { impact: 'none' },
		posture: { movement: 'pose', from: POSES.sideBySide, to: POSES.gate, oneSided: true },
		dose: DOSE.eight,
		faults: WARM
	}),
	step('knee-hug', 'Knee hug', 'Knee hug', 'Draw one knee in, stand tall.', {
		dials: { base: 'one' },
		posture: { movement: 'pose', from: standing, to: POSES.kneeHug, oneSided: true },
		dose: DOSE.eight,
		faults: WARM
	}),
	step(
		'quad-pull',
		'Quad pull with heel raise',
		'Quad pull',
		'Heel to buttock and up on the standing toes.',
		{
			dials: { base: 'one', tempo: 'hold' },
			posture: {
				movement: 'pose',
				from: standing,
				to: POSES.quadPull,
				oneSided: true,
				asks: { bigToeExtension: 24 }
			},
			dose: DOSE.eight,
			faults: WARM
		}
	),
	step('straight-leg-kick', 'Straight-leg kick', 'Kick', 'Only as high as the back stays long.', {
		dials: { lever: 'straight' },
		posture: {
			movement: 'pose',
			from: standing,
			to: POSES.kick,
			oneSided: true,
			asks: { straightLegRaise: 65 }
		},
		dose: DOSE.eight,
		faults: [...WARM, 'back-rounds']
	}),
	step('squatted-side-step', 'Squatted side step', 'Side step', 'Low and sideways, a few each way.', {
		dials: { direction: 'sideways' },
		posture: {
			movement: 'pose',
			from: POSES.monsterFrom,
			to: POSES.squatSide,
			asks: { kneeFlexion: 50, thighTrunkFlexion: 50, weightBearingDorsiflexion: 18 }
		},
		dose: DOSE.walk,
		counts: 'steps',
		faults: [...WARM, 'knee-drifts-in']
	})
];
export const warmUp: ExerciseFamily = {
	id: 'warm-up',
	title: 'Warm-up',
	purposes: ['warm-up', 'balance', 'mobility'],
	cautions: ['About three minutes of march first. Afterwards stretch while warm; do not sit down at once.'],
	steps: warmSteps,
	faults: faultsOf(warmSteps),
	cues: { ordinary: ['Easy and rhythmic', 'Stand tall', 'A little more each time'] }
};
