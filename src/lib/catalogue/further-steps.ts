/**
 * Steps that came to the ladders later: each with the ladder and the step it stands behind, and the edges that lead to it. As data alone: adding the next
 * needs no code.
 * @source common-practice steps, gates, doses, faults and cues
 */
import type { Dial } from '../core/exercise/dial.ts';
import type { Gate, Step } from '../core/exercise/family.ts';
import type { KeyPose } from '../core/figure/key-pose.ts';
import { clean, confident, DOSE, faultFree, held, sides, step } from './make.ts';
import { hook, POSES, standing, supine } from './poses.ts';

export interface Further {
	readonly family: string;
	readonly after: string;
	readonly step: Step;
	/** Steps of the ladder that lead here, by the dial that is turned. */
	readonly from?: Readonly<Record<string, Dial>>;
}

const FIRM = 'Keep a firm support in reach of one hand.';
const AGAINST_WALL = 'The chair stands against a wall and cannot slide.';
const HOLD = [['counter', 'chair', 'wall']] as const;
const WEIGHT = [['weight', 'household-weight']] as const;
const STACKED: Gate = { kind: 'technique', technique: 'stacked' };
const KNEE_FORWARD: Gate = { kind: 'technique', technique: 'knee-forward' };
const EASY_SEAT: Gate = { kind: 'easy-reps', step: 'standard-seat', reps: 8, effortMax: 6 };
const WEDGE = 'A higher wedge loads the front of the knee more: not a step back for front-of-knee pain.';
const SQUAT_FAULTS = [
	'knee-drifts-in',
	'knee-leads',
	'heel-lifts',
	'pelvis-tucks',
	'trunk-tips',
	'breath-held'
];
const LUNGE_FAULTS = ['knee-drifts-in', 'heel-lifts', 'trunk-tips', 'trunk-twists', 'loses-balance'];
const CALF = ['wobbles', 'rushed', 'toes-lift'];
const SPRING = ['hard-landing', 'knee-drifts-in', 'trunk-tips'];

const SQUATS: readonly Further[] = [
	{
		family: 'squat',
		after: 'standard-seat',
		from: { 'standard-seat': 'lever' },
		step: step(
			'banded-seat-squat',
			'Chair squat with a band',
			'Seat, band',
			'A band above the knees, push out, down to a chair and up.',
			{
				dials: { support: 'none', surface: 'standard-seat', lever: 'band' },
				posture: {
					movement: 'sit-to-stand',
					stance: 'both',
					depth: { seatCm: 46 },
					adjust: 'seat',
					everyday: true
				},
				gates: [clean('standard-seat', 1, 10)],
				dose: DOSE.ten,
				easier: 'standard-seat',
				kit: ['chair', 'band'],
				cautions: [AGAINST_WALL],
				faults: ['knee-drifts-in', 'knee-leads', 'heel-lifts', 'momentum-cheat', 'breath-held']
			}
		)
	},
	{
		family: 'squat',
		after: 'banded-seat-squat',
		from: { 'standard-seat': 'attention' },
		step: step(
			'rise-and-reach',
			'Rise and reach',
			'Rise, reach',
			'Stand and reach both arms up as one motion, without weight.',
			{
				dials: { support: 'none', surface: 'standard-seat', attention: 'arms-move' },
				posture: {
					movement: 'sit-to-stand',
					stance: 'both',
					depth: { seatCm: 46 },
					adjust: 'seat',
					everyday: true
				},
				gates: [EASY_SEAT],
				dose: [
					{ sets: 1, reps: 8 },
					{ sets: 2, reps: 10 }
				],
				easier: 'standard-seat',
				next: { 'rise-and-press': 'load' },
				kit: ['chair'],
				cautions: [AGAINST_WALL],
				faults: ['momentum-cheat', 'segmented-rise', 'back-arches', 'breath-held']
			}
		)
	},
	{
		family: 'squat',
		after: 'momentum-rise',
		from: { 'momentum-rise': 'load' },
		step: step(
			'loaded-momentum-rise',
			'Momentum rise with a weight',
			'Swing, load',
			'One weight held at the chest, then two at the sides; two to five kilograms.',
			{
				dials: { support: 'none', surface: 'raised-seat', load: 'light' },
				posture: {
					movement: 'sit-to-stand',
					stance: 'both',
					depth: { seatCm: 52 },
					adjust: 'seat',
					everyday: true,
					momentum: 'swing',
					load: { kg: 2, at: 'goblet' }
				},
				gates: [clean('momentum-rise', 2, 10)],
				dose: DOSE.learning,
				easier: 'momentum-rise',
				kit: ['chair', WEIGHT[0]],
				cautions: [AGAINST_WALL],
				faults: ['heel-lifts', 'trunk-twists', 'breath-held', 'rushed']
			}
		)
	},
	{
		family: 'squat',
		after: 'counter-squat',
		from: { 'counter-squat': 'tempo' },
		step: step(
			'stacked-hold',
			'Quarter squat, stacked and held',
			'Stacked hold',
			'At a counter, a slight tuck, ribs over the pelvis: hold. Abdominals not felt: hold longer, then reach ahead, then breathe out longer.',
			{
				dials: { support: 'two-hands', depth: 'quarter', surface: 'no-seat', tempo: 'hold' },
				posture: {
					movement: 'squat',
					stance: 'both',
					depth: { thighDeg: 40 },
					adjust: 'depth',
					technique: 'stacked'
				},
				gates: [clean('counter-squat', 1, 5), STACKED],
				dose: [
					{ sets: 3, reps: 5 },
					{ sets: 3, reps: 10 }
				],
				counts: 'sec',
				easier: 'counter-squat',
				next: { 'stacked-short-squat': 'support' },
				kit: ['counter'],
				cautions: ['The position lost ends the hold: set it anew.'],
				faults: ['position-lost-midset', 'work-not-felt', 'breath-held', 'knee-drifts-in'],
				cues: ['Ribs over pelvis', 'Long breath out', 'Stop where the position is lost']
			}
		)
	},
	{
		family: 'squat',
		after: 'stacked-hold',
		step: step(
			'stacked-short-squat',
			'Short squat, stacked',
			'Stacked, short',
			'Small squats, never quite to standing: no rest on top.',
			{
				dials: { support: 'none', depth: 'quarter', surface: 'no-seat', tempo: 'hold' },
				posture: {
					movement: 'squat',
					stance: 'both',
					depth: { thighDeg: 50 },
					adjust: 'depth',
					technique: 'stacked'
				},
				gates: [held('stacked-hold', 10), STACKED],
				dose: [
					{ sets: 5, reps: 2 },
					{ sets: 3, reps: 5 }
				],
				easier: 'stacked-hold',
				cautions: ['The position lost ends the set; more sets rather than more repetitions.'],
				faults: ['position-lost-midset', 'work-not-felt', 'breath-held', 'knee-drifts-in', 'rushed'],
				cues: ['Ribs over pelvis', 'Breathe out as you rise', 'Stop where the position is lost']
			}
		)
	},
	{
		family: 'squat',
		after: 'goblet-squat',
		from: { 'goblet-squat': 'load' },
		step: step(
			'shoulder-loaded-squat',
			'Squat, weight on the shoulders',
			'Shoulders',
			'One weight on a shoulder, then two.',
			{
				dials: { support: 'none', depth: 'quarter', surface: 'no-seat', load: 'moderate' },
				posture: {
					movement: 'squat',
					stance: 'both',
					depth: { thighDeg: 75 },
					adjust: 'depth',
					load: { kg: 8, at: 'front-rack' }
				},
				gates: [clean('goblet-squat', 3, 10)],
				dose: DOSE.eight,
				easier: 'goblet-squat',
				kit: WEIGHT,
				faults: [...SQUAT_FAULTS, 'back-arches']
			}
		)
	},
	{
		family: 'squat',
		after: 'single-leg-squat',
		from: { 'single-leg-squat': 'surface' },
		step: step(
			'heels-raised-single-leg-squat',
			'Squat on one leg, heel raised',
			'One leg, heel up',
			'Slow, over the whole range of the ankle; for those taught knees forward.',
			{
				dials: { support: 'none', surface: 'heel-wedge', base: 'one' },
				posture: {
					movement: 'squat',
					stance: 'one',
					depth: { thighDeg: 65 },
					adjust: 'depth',
					heelWedgeCm: 5,
					technique: 'knee-forward'
				},
				gates: [clean('single-leg-squat', 3, 10), KNEE_FORWARD],
				dose: [
					{ sets: 1, reps: 3 },
					{ sets: 3, reps: 5 }
				],
				easier: 'single-leg-squat',
				kit: ['wedge'],
				cautions: [FIRM, WEDGE],
				faults: ['knee-drifts-in', 'pelvis-drops', 'loses-balance', 'trunk-tips', 'rushed'],
				tempo: [4, 0, 4]
			}
		)
	}
];

const LUNGES: readonly Further[] = [
	{
		family: 'lunge',
		after: 'front-raised-split-squat',
		from: { 'front-raised-split-squat': 'load' },
		step: step(
			'loaded-front-raised-split-squat',
			'Split squat, front foot raised, weights',
			'Raised, kg',
			'Weights hang at the sides, shoulders back.',
			{
				dials: { support: 'none', base: 'split', surface: 'low-step', load: 'moderate' },
				posture: { movement: 'split-squat', frontElevationCm: 10, load: { kg: 8, at: 'sides' } },
				gates: [
					clean('front-raised-split-squat', 2, 10),
					sides('front-raised-split-squat', 0.8),
					faultFree('front-raised-split-squat', 'shoulders-round')
				],
				dose: DOSE.eight,
				easier: 'front-raised-split-squat',
				kit: ['step', WEIGHT[0]],
				cautions: [FIRM],
				faults: [...LUNGE_FAULTS, 'breath-held'],
				serves: ['buttock', 'thigh-front', 'floor', 'balance']
			}
		)
	},
	{
		family: 'lunge',
		after: 'front-raised-split-squat',
		step: step(
			'held-side-lunge',
			'Side lunge, held',
			'Side, held',
			'A counter ahead, both feet flat, hips go back over one leg; small is fine.',
			{
				dials: { support: 'two-hands', base: 'split', direction: 'sideways' },
				posture: {
					movement: 'squat',
					stance: 'staggered',
					depth: { thighDeg: 50 },
					adjust: 'depth',
					toeOutDeg: 10
				},
				gates: [clean('counter-squat', 1, 8)],
				dose: DOSE.eachSide,
				next: { 'side-lunge': 'support' },
				kit: ['counter'],
				cautions: ['The support is fixed: a counter, a rail, a wall bar.'],
				faults: ['knee-drifts-in', 'heel-lifts', 'trunk-twists', 'trunk-tips'],
				cues: ['Both feet flat and pointing ahead', 'Sit back over one heel', 'The long leg stays long'],
				drawn: { from: POSES.wideStand, to: POSES.sideLunge },
				serves: ['thigh-front', 'buttock', 'hip-inner', 'floor', 'balance']
			}
		)
	},
	{
		family: 'lunge',
		after: 'side-lunge',
		from: { 'side-lunge': 'load' },
		step: step(
			'goblet-side-lunge',
			'Side lunge, weight at the chest',
			'Side, kg',
			'A light weight at the chest, or a vest.',
			{
				dials: { support: 'none', base: 'split', direction: 'sideways', load: 'goblet' },
				posture: {
					movement: 'squat',
					stance: 'staggered',
					depth: { thighDeg: 70 },
					adjust: 'depth',
					toeOutDeg: 10,
					load: { kg: 4, at: 'goblet' }
				},
				gates: [clean('side-lunge', 3, 10), faultFree('side-lunge', 'trunk-tips')],
				dose: DOSE.eight,
				easier: 'side-lunge',
				kit: [['weight', 'household-weight', 'vest']],
				faults: ['knee-drifts-in', 'heel-lifts', 'trunk-twists', 'trunk-tips', 'loses-balance'],
				cues: ['Both feet flat and pointing ahead', 'Sit back over one heel', 'The long leg stays long'],
				drawn: { from: POSES.wideStand, to: POSES.sideLunge },
				serves: ['thigh-front', 'buttock', 'hip-inner', 'floor', 'balance']
			}
		)
	}
];

const HINGES: readonly Further[] = [
	{
		family: 'hinge',
		after: 'kneeling-hinge',
		step: step(
			'arm-set',
			'Arms set',
			'Arms set',
			'Sitting tall, arms drawn down and back, armpits firm, three to five seconds: before any first load.',
			{
				dials: { position: 'seated' },
				posture: {
					movement: 'pose',
					from: { ...POSES.seatTall, arm: 24, forearm: 30 },
					to: { ...POSES.seatTall, arm: -10, forearm: -4 }
				},
				dose: [
					{ sets: 1, reps: 5 },
					{ sets: 2, reps: 8 }
				],
				kit: ['chair'],
				faults: ['breath-held', 'over-braced', 'work-not-felt'],
				cues: ['Down and back, not together', 'Armpits firm', 'Breathe on'],
				serves: ['trunk', 'lifting']
			}
		)
	},
	{
		family: 'hinge',
		after: 'free-hinge',
		from: { 'free-hinge': 'attention' },
		step: step(
			'stick-hinge',
			'Hinge with a stick on the back',
			'Stick',
			'A stick touches head, upper back and tailbone all the way. Late, not first: it is much to attend to.',
			{
				dials: { position: 'standing', support: 'none', attention: 'arms-move' },
				posture: { movement: 'hinge', handleCm: 58, scales: true, close: { kneeDeg: 20 } },
				gates: [clean('free-hinge', 1, 10)],
				dose: [
					{ sets: 1, reps: 8 },
					{ sets: 2, reps: 10 }
				],
				easier: 'free-hinge',
				kit: ['stick'],
				faults: ['back-rounds', 'back-arches', 'breath-held', 'over-braced'],
				cautions: ['Stop where the back begins to round.']
			}
		)
	}
];

const KNEES: readonly Further[] = [
	{
		family: 'knee-extension',
		after: 'quad-set',
		from: { 'quad-set': 'lever' },
		step: step(
			'straight-leg-raise',
			'Straight leg raise',
			'Leg raise',
			'Lying, one knee bent: tighten the thigh first, then lift the straight leg to the height of the other knee.',
			{
				dials: { position: 'supine', lever: 'straight' },
				posture: {
					movement: 'pose',
					from: POSES.quadSetFrom,
					to: { ...POSES.quadSetTo, near: { thigh: 122, shank: 122, foot: 212 } },
					oneSided: true
				},
				gates: [clean('quad-set', 1, 10)],
				dose: DOSE.eight,
				easier: 'quad-set',
				faults: ['back-arches', 'rushed', 'breath-held', 'work-not-felt'],
				cues: ['Thigh tight before the heel leaves', 'Knee stays straight', 'Down more slowly than up'],
				serves: ['thigh-front', 'walking']
			}
		)
	},
	{
		family: 'knee-flexion',
		after: 'cuff-prone-curl',
		step: step(
			'heel-slide',
			'Heel slide',
			'Heel slide',
			'Lying, the heel slides towards the buttock, a strap may help, five seconds at the end.',
			{
				dials: { position: 'supine' },
				posture: {
					movement: 'pose',
					from: { ...supine, near: { thigh: 90, shank: 90, foot: 178 } },
					to: { ...hook, far: { thigh: 90, shank: 90, foot: 178 } },
					oneSided: true
				},
				dose: [
					{ sets: 1, reps: 10 },
					{ sets: 2, reps: 15 }
				],
				kit: [['towel', 'pillow']],
				cautions: ['After an operation only as far as the protocol says.'],
				faults: ['back-arches', 'rushed', 'breath-held'],
				serves: ['mobility', 'relief']
			}
		)
	},
	{
		family: 'knee-flexion',
		after: 'heel-slide',
		from: { 'prone-curl': 'load' },
		step: step(
			'machine-prone-curl',
			'Lying curl on a machine',
			'Machine',
			'Brace, climb on, feet under the pad, the roll under the pelvis last; a bent bench needs no roll.',
			{
				dials: { position: 'prone', load: 'moderate' },
				posture: {
					movement: 'pose',
					from: { ...POSES.prone, props: ['pillow-pelvis'] },
					to: { ...POSES.proneCurl, props: ['pillow-pelvis'] },
					load: { kg: 10, at: 'none' }
				},
				gates: [clean('prone-curl', 2, 10)],
				dose: DOSE.eight,
				easier: 'seated-curl',
				kit: ['curl-machine'],
				cautions: ['Sore backs choose seated before lying.'],
				faults: ['back-arches', 'pelvis-rolls', 'rushed', 'work-not-felt'],
				tempo: [3, 1, 2]
			}
		)
	}
];

const CALVES: readonly Further[] = [
	{
		family: 'calf',
		after: 'bent-knee-heel-raise',
		from: { 'bent-knee-heel-raise': 'base' },
		step: step(
			'one-foot-bent-heel-raise-held',
			'Heel raise on one bent leg, held',
			'One bent, held',
			'One foot, the knee bent about 30°, hands help the balance only.',
			{
				dials: { support: 'two-hands', position: 'standing', lever: 'bent', base: 'one' },
				posture: { movement: 'heel-raise', pitchDeg: 24, legs: 1, kneeDeg: 30 },
				gates: [clean('bent-knee-heel-raise', 3, 15)],
				dose: DOSE.calf,
				easier: 'bent-knee-heel-raise',
				next: { 'one-foot-bent-heel-raise': 'support' },
				kit: HOLD,
				faults: CALF,
				tempo: [2, 2, 1]
			}
		)
	},
	{
		family: 'calf',
		after: 'one-foot-bent-heel-raise-held',
		step: step(
			'one-foot-bent-heel-raise',
			'Heel raise on one bent leg, free',
			'One bent, free',
			'No hands: the deep calf and balance together.',
			{
				dials: { support: 'none', position: 'standing', lever: 'bent', base: 'one' },
				posture: { movement: 'heel-raise', pitchDeg: 24, legs: 1, kneeDeg: 30 },
				gates: [clean('one-foot-bent-heel-raise-held', 3, 15), held('single-leg-stance', 10)],
				dose: DOSE.calf,
				easier: 'one-foot-bent-heel-raise-held',
				faults: [...CALF, 'loses-balance'],
				tempo: [2, 2, 1]
			}
		)
	},
	{
		family: 'calf',
		after: 'seated-heel-raise',
		step: step(
			'band-foot-push',
			'Foot push against a band',
			'Foot push',
			'Long sitting, a band round the ball of the foot: push away and let come slowly. Spares the toes.',
			{
				dials: { position: 'seated' },
				posture: {
					movement: 'pose',
					from: { trunk: -12, near: { thigh: 88, shank: 88, foot: 168 }, arm: 40, forearm: 84 },
					to: { trunk: -12, near: { thigh: 88, shank: 88, foot: 140 }, arm: 40, forearm: 84 },
					oneSided: true
				},
				dose: [
					{ sets: 2, reps: 15 },
					{ sets: 3, reps: 20 }
				],
				kit: ['band'],
				faults: ['rushed', 'work-not-felt'],
				cues: ['Push with the whole forefoot', 'Slowly back', 'Toes stay long'],
				serves: ['calf', 'walking']
			}
		)
	}
];

const STANDING: readonly Further[] = [
	{
		family: 'balance',
		after: 'side-by-side-stance',
		step: step(
			'weight-shift',
			'Weight shift',
			'Weight shift',
			'Feet apart: the weight goes to the balls, the middle, the heels, and back.',
			{
				dials: { base: 'both' },
				posture: {
					movement: 'pose',
					from: { ...standing, trunk: 0 },
					to: { ...standing, trunk: 6, near: { thigh: 5, shank: 1 } }
				},
				dose: [
					{ sets: 1, reps: 6 },
					{ sets: 2, reps: 10 }
				],
				cautions: ['Keep a firm support in reach of one hand; after a fall, at every step.'],
				faults: ['loses-balance', 'toes-lift', 'breath-held'],
				cues: ['From the ankles, in one piece', 'Find the middle and stay', 'Breathe on']
			}
		)
	},
	{
		family: 'mobility',
		after: 'hip-flexor-stretch',
		step: step(
			'standing-hip-flexor-stretch',
			'Front of hip, standing',
			'Hip front, up',
			'For those who cannot kneel: a long step, the rear heel up, tuck and sink a little.',
			{
				dials: { position: 'standing-held', base: 'split' },
				posture: {
					movement: 'pose',
					from: {
						trunk: 0,
						near: { thigh: -12, shank: -16, foot: 66 },
						far: { thigh: 18, shank: -4 },
						arm: 38,
						forearm: 88,
						props: ['counter']
					},
					to: {
						trunk: -2,
						near: { thigh: -20, shank: -24, foot: 60 },
						far: { thigh: 30, shank: -6 },
						arm: 38,
						forearm: 88,
						props: ['counter']
					},
					oneSided: true
				},
				dose: DOSE.stretch,
				counts: 'sec',
				kit: HOLD,
				faults: ['back-arches', 'rushed'],
				cues: ['Tuck first', 'Sink, do not lean', 'Breathe out longer than in']
			}
		)
	},
	{
		family: 'mobility',
		after: 'calf-stretch',
		step: step(
			'knee-straightening-stretch',
			'Knee straightening, heel propped',
			'Heel propped',
			'Lying or sitting, the heel propped, the thigh loose: the knee sinks by its own weight.',
			{
				dials: { position: 'supine' },
				posture: {
					movement: 'pose',
					from: { ...POSES.quadSetFrom, near: { thigh: 94, shank: 88, foot: 172 }, props: ['bolster-heels'] },
					to: { ...POSES.quadSetTo, near: { thigh: 91, shank: 91, foot: 180 }, props: ['bolster-heels'] },
					oneSided: true
				},
				dose: [
					{ sets: 2, reps: 30 },
					{ sets: 3, reps: 60 }
				],
				counts: 'sec',
				kit: [['bolster', 'pillow', 'towel']],
				cautions: ['After an operation only as far as the protocol says.'],
				faults: ['rushed', 'breath-held'],
				cues: ['Thigh loose', 'Heel heavy', 'Breathe on'],
				serves: ['mobility', 'relief']
			}
		)
	},
	{
		family: 'trunk',
		after: 'brace-and-breath',
		from: { 'brace-and-breath': 'position' },
		step: step(
			'standing-brace-and-breath',
			'Brace and breath, standing',
			'Brace, standing',
			'Hands on belly and low back: neither changes in a small squat.',
			{
				dials: { position: 'standing' },
				posture: {
					movement: 'pose',
					from: { ...standing, arm: 20, forearm: 76 },
					to: { trunk: 12, near: { thigh: 26, shank: -14 }, arm: 26, forearm: 82 }
				},
				gates: [clean('brace-and-breath', 1, 5)],
				dose: DOSE.breaths,
				counts: 'breaths',
				easier: 'brace-and-breath',
				faults: ['breath-held', 'over-braced', 'back-arches']
			}
		)
	},
	{
		family: 'trunk',
		after: 'standing-brace-and-breath',
		step: step(
			'pelvic-floor-squeeze',
			'Pelvic floor squeeze',
			'Pelvic floor',
			'Standing stacked: lift and hold, three seconds, later ten, and let go wholly. After the position, not before.',
			{
				dials: { position: 'standing', tempo: 'hold' },
				posture: { movement: 'pose', from: standing, to: { ...standing, trunk: 0 } },
				gates: [held('stacked-hold', 10)],
				dose: DOSE.learning,
				faults: ['breath-held', 'over-braced', 'work-not-felt'],
				cues: ['Lift, do not push', 'Breathe on', 'Let go wholly'],
				cautions: ['What leaks or drags is told to the clinician.']
			}
		)
	},
	{
		family: 'tissue',
		after: 'roll-back-thigh',
		step: step(
			'roll-outer-back-thigh',
			'Roll, outer back of the thigh',
			'Outer back',
			'The third roll: from the back a little outward, slowly, stopping where it is sore.',
			{
				dials: { position: 'seated' },
				posture: {
					movement: 'pose',
					from: POSES.rollBack,
					to: { ...POSES.rollBack, trunk: (POSES.rollBack.trunk ?? 0) - 6 },
					oneSided: true
				},
				dose: DOSE.minutes,
				counts: 'sec',
				kit: ['roller'],
				faults: ['breath-held', 'rushed']
			}
		)
	}
];

/** Warm-ups on the spot or walking; each has its walking twin, which is the march. */
const TWIN = 'A low-impact twin is always offered: the same walking.';
/** One leg past the midline, seen from the front. */
const CROSSED: KeyPose = {
	view: 'front',
	trunk: 0,
	near: { thigh: -20, shank: -16 },
	far: { thigh: 4, shank: 6 },
	arm: 30,
	forearm: 10
};

const WARM: readonly Further[] = (
	[
		['high-knees', 'High knees', 'High knees', 'Knees up in turn, walking or on the spot.', POSES.march],
		[
			'heel-kicks',
			'Heel kicks',
			'Heel kicks',
			'Heels towards the buttocks in turn, walking or on the spot.',
			{
				trunk: 4,
				near: { thigh: 2, shank: -96, foot: -6 },
				far: { thigh: 2, shank: -2 },
				arm: -24,
				forearm: 50
			}
		],
		[
			'cross-steps',
			'Cross steps',
			'Cross steps',
			'Sideways, one foot past the midline before and behind the other.',
			CROSSED
		]
	] as const
).map(([id, title, short, what, pose]): Further => ({
	family: 'warm-up',
	after: 'straight-leg-kick',
	step: step(id, title, short, what, {
		dials: { impact: 'march' },
		posture: {
			movement: 'pose',
			from: pose === CROSSED ? POSES.sideBySide : standing,
			to: pose,
			oneSided: true
		},
		dose: [
			{ sets: 1, reps: 30 },
			{ sets: 2, reps: 30 }
		],
		counts: 'sec',
		cautions: [TWIN],
		faults: ['trunk-tips', 'rushed'],
		cues: ['Tall and light', 'Small before large', 'Breathe on'],
		serves: ['warm-up']
	})
}));

const SKIP: Further = {
	family: 'warm-up',
	after: 'straight-leg-kick',
	step: step('skip-high', 'High skips', 'Skips', 'A skip with the knee high, landing softly.', {
		dials: { impact: 'landing' },
		posture: { movement: 'pose', from: POSES.march, to: POSES.flight, oneSided: true },
		gates: [{ kind: 'clearance', what: 'impact' }, confident('march', 7)],
		dose: [
			{ sets: 1, reps: 30 },
			{ sets: 2, reps: 30 }
		],
		counts: 'sec',
		cautions: [TWIN],
		faults: SPRING,
		cues: ['Tall and light', 'Land softly', 'Breathe on'],
		serves: ['warm-up', 'power']
	})
};

/** What the trade does past the ends of these ladders. */
const LAST: readonly Further[] = [
	{
		family: 'bridge',
		after: 'feet-raised-bridge',
		from: { 'feet-raised-bridge': 'surface' },
		step: step(
			'hung-feet-bridge',
			'Bridge, feet in straps',
			'Feet hung',
			'Heels in hanging straps at knee height: lift, and keep the feet from swinging.',
			{
				dials: { support: 'none', surface: 'feet-hung' },
				posture: { movement: 'bridge', kneeDeg: 95, legs: 2, footCm: 35 },
				gates: [clean('feet-raised-bridge', 3, 10)],
				dose: DOSE.eight,
				easier: 'feet-raised-bridge',
				kit: ['straps'],
				cautions: ['The straps are fixed overhead and tried with the hands first.'],
				faults: ['back-arches', 'work-not-felt', 'breath-held', 'wobbles'],
				serves: ['thigh-back', 'buttock', 'trunk']
			}
		)
	},
	{
		family: 'bridge',
		after: 'plank-knee-in',
		from: { 'plank-knee-in': 'depth' },
		step: step(
			'lunge-to-plank-extension',
			'Deep lunge, leg sweeps up',
			'Lunge, sweep',
			'Hands down inside a deep lunge: the rear leg sweeps up long behind, and sets down softly.',
			{
				dials: { position: 'plank', attention: 'arms-move', depth: 'level' },
				posture: {
					movement: 'pose',
					from: {
						trunk: 72,
						near: { thigh: -70, shank: -74, foot: 6 },
						far: { thigh: 84, shank: -28, foot: 90 },
						arm: 6,
						forearm: 4,
						head: 10
					},
					to: {
						trunk: 80,
						near: { thigh: -104, shank: -104, foot: -14 },
						far: { thigh: 78, shank: -28, foot: 90 },
						arm: 6,
						forearm: 4,
						head: 10
					},
					oneSided: true
				},
				gates: [clean('plank-knee-in', 2, 10)],
				dose: [
					{ sets: 1, reps: 5 },
					{ sets: 2, reps: 8 }
				],
				easier: 'plank-knee-in',
				faults: ['back-arches', 'pelvis-rolls', 'breath-held', 'rushed'],
				cues: ['Hands under the shoulders', 'Long behind, no higher than the line', 'Breathe on'],
				serves: ['buttock', 'trunk', 'mobility']
			}
		)
	},
	{
		family: 'abduction',
		after: 'side-plank',
		from: { 'side-plank': 'tempo' },
		step: step(
			'side-plank-leg-hold',
			'Side plank, upper leg held',
			'Leg held',
			'The upper leg bent and raised, held there while the line stays.',
			{
				dials: { position: 'plank', lever: 'straight', tempo: 'hold' },
				posture: {
					movement: 'pose',
					from: POSES.sidePlank,
					to: {
						...POSES.sidePlank,
						near: { thigh: 118, shank: 66, short: [0.8, 0.6] },
						far: POSES.sidePlank.near
					},
					oneSided: true
				},
				gates: [held('side-plank', 20)],
				dose: [
					{ sets: 2, reps: 10 },
					{ sets: 3, reps: 20 }
				],
				counts: 'sec',
				easier: 'side-plank',
				faults: ['pelvis-rolls', 'trunk-tips', 'breath-held'],
				serves: ['hip-side', 'trunk']
			}
		)
	},
	{
		family: 'calf',
		after: 'band-foot-push',
		from: { 'band-foot-push': 'position' },
		step: step(
			'edge-to-level-heel-raise',
			'Heels from below an edge to level',
			'Edge to level',
			'Forefeet on an edge: the heels rise from below it to level, no higher. Spares the toes.',
			{
				dials: { support: 'two-hands', position: 'standing', surface: 'edge' },
				posture: { movement: 'heel-raise', pitchDeg: 0, legs: 2, dropDeg: 12 },
				gates: [clean('band-foot-push', 2, 15)],
				dose: [
					{ sets: 2, reps: 10 },
					{ sets: 3, reps: 15 }
				],
				easier: 'band-foot-push',
				kit: ['step', ['counter', 'chair', 'wall']],
				faults: ['wobbles', 'rushed'],
				cautions: ['A sore heel cord at its bone stays level: no drop below the edge.'],
				tempo: [3, 1, 2]
			}
		)
	},
	{
		family: 'mobility',
		after: 'hip-axle',
		from: { 'ninety-ninety': 'attention' },
		step: step(
			'ninety-switch',
			'Ninety-ninety, switched',
			'90–90 switch',
			'From one ninety-ninety to the other; the leading knee stays down longest.',
			{
				dials: { position: 'seated', attention: 'arms-move' },
				posture: {
					movement: 'pose',
					from: POSES.ninetyFrom,
					to: {
						...POSES.ninetyFrom,
						trunk: -3,
						near: { thigh: 116, shank: 16, short: [0.8, 0.62] },
						far: { thigh: -116, shank: -16, short: [0.8, 0.62] }
					},
					asks: { kneeFlexion: 90, thighTrunkFlexion: 100 }
				},
				gates: [clean('ninety-ninety', 1, 3)],
				dose: DOSE.drill,
				easier: 'ninety-ninety',
				faults: ['breath-held', 'guarding', 'rushed']
			}
		)
	},
	{
		family: 'mobility',
		after: 'kneeling-quad-stretch',
		step: step(
			'one-leg-sit-back',
			'Sit back on one shin',
			'Sit back',
			'One shin folded under, on pillows as high as it takes; lean back onto the hands.',
			{
				dials: { position: 'tall-kneeling' },
				posture: {
					movement: 'pose',
					from: {
						trunk: -4,
						near: { thigh: 48, shank: -92, foot: -90 },
						far: { thigh: 84, shank: 54, foot: 124 },
						arm: 12,
						forearm: 58,
						props: ['pillow-pelvis']
					},
					to: {
						trunk: -24,
						near: { thigh: 48, shank: -92, foot: -90 },
						far: { thigh: 84, shank: 54, foot: 124 },
						arm: -26,
						forearm: -8,
						props: ['pillow-pelvis']
					},
					oneSided: true
				},
				dose: DOSE.stretch,
				counts: 'sec',
				kit: ['pillow'],
				cautions: ['A knee that catches or is sore behind stays higher, or does another stretch.'],
				faults: ['breath-held', 'guarding', 'back-arches']
			}
		)
	}
];

export const FURTHER: readonly Further[] = [
	...SQUATS,
	...LUNGES,
	...HINGES,
	...KNEES,
	...CALVES,
	...STANDING,
	...WARM,
	SKIP,
	...LAST
];
