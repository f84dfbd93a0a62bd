/**
 * Function tests: short protocols in our own words, what is written down, and the norms and changes that speak of them.
 * @source oarsi-2013 the walking and rising set; ats-2002 six-minute walk and its stop signs; cdc-steadi chair stand, up and go, four stages
 */
import type { Extra, TestSpec } from '../core/measure/function-test.ts';
import { TEST_CHANGES } from './change-rules.ts';
import {
	CHAIR_STAND,
	FIVE_TIMES,
	FOUR_STAGE,
	GAIT_SPEED,
	HEEL_RISE,
	HIP_ABDUCTION,
	HIP_ROTATION,
	KNEE_STRENGTH,
	ONE_LEG_BRIDGE,
	ONE_LEG_CLOSED,
	ONE_LEG_OPEN,
	REACH,
	SIDE_BRIDGE,
	SIX_MINUTES,
	STEP_DOWN_QUALITY,
	TRUNK_BACK,
	TRUNK_FRONT,
	UP_AND_GO
} from './norms.ts';

const tick = (id: string, label: string): Extra => ({ id, label, unit: '', possible: [0, 1], tick: true });
const seconds = (id: string, label: string, needed?: true): Extra => ({
	id,
	label,
	unit: 's',
	possible: [0, 60],
	...(needed ? { needed } : {})
});
const LEVER: Extra = { id: 'leverCm', label: 'lever arm', unit: 'cm', possible: [5, 60], needed: true };
const changes = (id: string): TestSpec['changes'] => TEST_CHANGES[id] ?? [];
type Bare = Omit<TestSpec, 'extras' | 'norms' | 'changes'> &
	Partial<Pick<TestSpec, 'extras' | 'norms' | 'changes'>>;
const test = (t: Bare): TestSpec => ({ extras: [], norms: [], changes: changes(t.id), ...t });
const hop = (id: string, title: string, how: string): TestSpec =>
	test({
		id,
		title,
		group: 'hops and reach',
		unit: 'cm',
		better: 'higher',
		sided: true,
		take: 'typed',
		possible: [5, 1200],
		protocol: [how, 'Land on the same leg and hold two seconds. Best of two counted hops.'],
		caution: 'Only for those cleared for impact, with the landing seen sound.',
		sources: ['noyes-1991', 'reid-2007']
	});
const force = (id: string, title: string, where: string, norms: TestSpec['norms']): TestSpec =>
	test({
		id,
		title,
		group: 'strength',
		unit: 'N',
		better: 'higher',
		sided: true,
		take: 'force',
		possible: [5, 2000],
		protocol: [
			where,
			'Push slowly to full over two seconds and hold three. Best of three, the gauge held still.',
			'Lever: from the joint line to the middle of the pad.'
		],
		extras: [LEVER],
		norms,
		changes: changes('strength'),
		sources: ['thorborg-2010']
	});
const hold = (id: string, title: string, how: string, sided: boolean, norms: TestSpec['norms']): TestSpec =>
	test({
		id,
		title,
		group: 'trunk',
		unit: 's',
		better: 'higher',
		sided,
		take: 'timer',
		possible: [0, 600],
		protocol: [how, 'The clock stops when the position is lost, at pain beyond acceptable, or at 240 s.'],
		ceiling: 240,
		norms,
		sources: ['mcgill-1999']
	});

export const FUNCTION_TESTS: readonly TestSpec[] = [
	test({
		id: 'knee-girth',
		title: 'Girth of the knee',
		group: 'at rest',
		unit: 'cm',
		better: 'lower',
		sided: true,
		take: 'typed',
		possible: [20, 70],
		protocol: [
			'Lying, knee straight, tape one centimetre above the kneecap, snug; the same hand and tape each time.'
		],
		sources: ['jakobsen-2010']
	}),
	test({
		id: 'resting-pressure',
		title: 'Blood pressure at rest, upper',
		group: 'at rest',
		unit: 'mmHg',
		better: 'lower',
		sided: false,
		take: 'typed',
		possible: [60, 280],
		whole: true,
		protocol: [
			'Five minutes seated, back and arm supported, cuff at the height of the heart. The last reading of a day counts.'
		],
		caution:
			'Over 180/110: nothing heavy and nothing held today. Over 200/110: not today, and a call to the doctor the same day.',
		extras: [
			{ id: 'diastolic', label: 'lower', unit: 'mmHg', possible: [30, 180], needed: true },
			{ id: 'restingPulse', label: 'resting pulse', unit: '/min', possible: [30, 220] }
		],
		sources: ['acsm-2015']
	}),
	test({
		id: 'chair-stand-30s',
		title: '30-second chair stand',
		group: 'rising and walking',
		unit: 'reps',
		better: 'higher',
		sided: false,
		take: 'counter',
		possible: [0, 60],
		whole: true,
		protocol: [
			'Chair about 43 cm against a wall, arms crossed on the chest, feet flat.',
			'Full stands in 30 s; more than half-way up when time ends counts. One or two for practice.',
			'If the arms must be used the score is 0.'
		],
		extras: [tick('hands', 'arms were used')],
		norms: CHAIR_STAND,
		sources: ['cdc-steadi', 'rikli-jones-1999', 'oarsi-2013']
	}),
	test({
		id: 'sit-to-stand-5x',
		title: 'Five times sit to stand',
		group: 'rising and walking',
		unit: 's',
		better: 'lower',
		sided: false,
		take: 'timer',
		possible: [2, 180],
		protocol: [
			'Chair 43–45 cm, arms crossed, five full stands as fast as is safe.',
			'Say whether the clock stops standing after the fifth, or sitting.'
		],
		extras: [tick('stopsSitting', 'clock stopped on sitting')],
		norms: FIVE_TIMES,
		sources: ['guralnik-1994', 'bohannon-2006']
	}),
	test({
		id: 'timed-up-and-go',
		title: 'Timed up and go',
		group: 'rising and walking',
		unit: 's',
		better: 'lower',
		sided: false,
		take: 'timer',
		possible: [2, 180],
		protocol: [
			'Armchair about 46 cm, usual shoes and aid, usual pace.',
			'Rise, walk 3 m, turn, return, sit; the clock runs from “go” to seated.'
		],
		extras: [tick('aid', 'with a walking aid')],
		norms: UP_AND_GO,
		sources: ['cdc-steadi', 'kennedy-2005']
	}),
	test({
		id: 'walk-40m',
		title: '40 m fast walk',
		group: 'rising and walking',
		unit: 's',
		better: 'lower',
		sided: false,
		take: 'timer',
		possible: [10, 300],
		protocol: ['4 × 10 m as quickly as is safe; the turns beyond each line are not timed.'],
		extras: [tick('aid', 'with a walking aid')],
		sources: ['oarsi-2013']
	}),
	test({
		id: 'gait-4m',
		title: '4 m walk, usual pace',
		group: 'rising and walking',
		unit: 's',
		better: 'lower',
		sided: false,
		take: 'timer',
		possible: [1.5, 120],
		protocol: ['Usual pace from a standing start over 4 m; better of two.'],
		extras: [tick('aid', 'with a walking aid')],
		norms: GAIT_SPEED,
		sources: ['guralnik-1994', 'bohannon-2011']
	}),
	test({
		id: 'stair-climb',
		title: 'Stair climb',
		group: 'rising and walking',
		unit: 's',
		better: 'lower',
		sided: false,
		take: 'timer',
		possible: [2, 300],
		protocol: [
			'Up and down one flight, quickly but safely, rail allowed.',
			'Times only compare on the same stairs: steps and rise are needed.'
		],
		extras: [
			{ id: 'steps', label: 'steps', unit: '', possible: [3, 30], needed: true },
			{ id: 'riseCm', label: 'rise', unit: 'cm', possible: [8, 30], needed: true },
			{ id: 'upSec', label: 'time up alone', unit: 's', possible: [1, 200] }
		],
		sources: ['oarsi-2013', 'kennedy-2005']
	}),
	test({
		id: 'six-minute-walk',
		title: 'Six-minute walk',
		group: 'rising and walking',
		unit: 'm',
		better: 'higher',
		sided: false,
		take: 'typed',
		possible: [10, 1100],
		protocol: ['30 m corridor, as far as possible in six minutes, rests allowed.'],
		caution:
			'Not with unstable angina or a heart attack in the last month; ask first above a resting pulse of 120 or pressure over 180/100. Stop for chest pain, intolerable breathlessness, leg cramp, staggering, sweating, pallor.',
		extras: [
			{ id: 'restingPulse', label: 'resting pulse', unit: '/min', possible: [30, 220] },
			{ id: 'systolic', label: 'pressure, upper', unit: 'mmHg', possible: [60, 260] },
			{ id: 'diastolic', label: 'lower', unit: 'mmHg', possible: [30, 160] }
		],
		norms: SIX_MINUTES,
		sources: ['ats-2002', 'enright-1998']
	}),
	test({
		id: 'four-stage-balance',
		title: 'Four-stage balance',
		group: 'balance',
		unit: 's',
		better: 'higher',
		sided: false,
		take: 'timer',
		possible: [0, 60],
		ceiling: 10,
		protocol: [
			'Eyes open, no aid, each stance up to 10 s, a support in reach: side by side, instep beside big toe, heel to toe, one leg.',
			'Stop at the first that cannot be held. The large field is heel to toe (tandem).'
		],
		extras: [
			seconds('sideBySide', 'side by side'),
			seconds('semiTandem', 'semi-tandem'),
			seconds('oneLeg', 'one leg')
		],
		norms: FOUR_STAGE,
		sources: ['cdc-steadi', 'guralnik-1994']
	}),
	test({
		id: 'one-leg-open',
		title: 'One-leg stance, eyes open',
		group: 'balance',
		unit: 's',
		better: 'higher',
		sided: true,
		take: 'timer',
		possible: [0, 120],
		ceiling: 45,
		protocol: [
			'Arms crossed, the other foot beside the ankle without touching; best of three, clock stopped at 45 s.'
		],
		norms: ONE_LEG_OPEN,
		sources: ['springer-2007']
	}),
	test({
		id: 'one-leg-closed',
		title: 'One-leg stance, eyes closed',
		group: 'balance',
		unit: 's',
		better: 'higher',
		sided: true,
		take: 'timer',
		possible: [0, 120],
		ceiling: 45,
		protocol: ['As with eyes open, somebody beside the client; best of three.'],
		norms: ONE_LEG_CLOSED,
		sources: ['springer-2007']
	}),
	test({
		id: 'heel-rise',
		title: 'Heel-rise count',
		group: 'endurance',
		unit: 'reps',
		better: 'higher',
		sided: true,
		take: 'counter',
		possible: [0, 80],
		whole: true,
		protocol: [
			'One leg, knee straight, fingertips on a wall, one rise every two seconds.',
			'Stop when height, pace or the straight knee is lost.'
		],
		norms: HEEL_RISE,
		sources: ['hebert-losier-2017', 'lunsford-1995', 'jan-2005']
	}),
	test({
		id: 'lateral-step-down',
		title: 'Lateral step-down quality',
		group: 'endurance',
		unit: 'points',
		better: 'lower',
		sided: true,
		take: 'typed',
		possible: [0, 6],
		whole: true,
		protocol: [
			'20 cm step, hands on the waist, five repetitions, heel to the floor and back.',
			'One point each: arms used to balance; trunk leans; pelvis tips or turns; other foot takes weight. Knee over the second toe’s inner side 1, over the foot’s inner edge 2.'
		],
		norms: STEP_DOWN_QUALITY,
		sources: ['piva-2006', 'rabin-2010']
	}),
	test({
		id: 'single-leg-bridge',
		title: 'Single-leg bridge count',
		group: 'endurance',
		unit: 'reps',
		better: 'higher',
		sided: true,
		take: 'counter',
		possible: [0, 80],
		whole: true,
		protocol: [
			'Heel on a 60 cm box, knee about 20°, other leg off; full height each time, until it is lost.'
		],
		norms: ONE_LEG_BRIDGE,
		sources: ['freckleton-2014']
	}),
	test({
		id: 'single-leg-rise',
		title: 'Single-leg rise count',
		group: 'endurance',
		unit: 'reps',
		better: 'higher',
		sided: true,
		take: 'counter',
		possible: [0, 80],
		whole: true,
		protocol: ['From a seat that bends the knee about 90°, arms crossed, until the form or pace is lost.'],
		sources: ['common-practice']
	}),
	hop('hop-single', 'Single hop', 'One hop for distance, hands free.'),
	hop('hop-triple', 'Triple hop', 'Three hops in a row for distance.'),
	hop('hop-crossover', 'Crossover hop', 'Three hops across a 15 cm strip.'),
	test({
		id: 'hop-6m-timed',
		title: '6 m timed hop',
		group: 'hops and reach',
		unit: 's',
		better: 'lower',
		sided: true,
		take: 'timer',
		possible: [1, 30],
		protocol: ['One-leg hops over 6 m as fast as is safe. Less time is better: the index is turned over.'],
		caution: 'Only for those cleared for impact.',
		sources: ['noyes-1991', 'reid-2007']
	}),
	test({
		id: 'reach',
		title: 'Reach in three directions',
		group: 'hops and reach',
		unit: 'cm',
		better: 'higher',
		sided: true,
		take: 'typed',
		possible: [10, 150],
		protocol: [
			'Standing on one leg, the other foot reaches forward, back and inward, back and outward, and returns. Best of three.',
			'Limb length: front hip bone to the inner ankle bone, of the standing leg. The large field is forward.'
		],
		extras: [
			{ id: 'posteromedial', label: 'back and inward', unit: 'cm', possible: [10, 180] },
			{ id: 'posterolateral', label: 'back and outward', unit: 'cm', possible: [10, 180] },
			{ id: 'limbCm', label: 'limb length', unit: 'cm', possible: [60, 120] }
		],
		norms: REACH,
		sources: ['plisky-2006', 'butler-2013', 'smith-2015']
	}),
	force(
		'strength-knee-extension',
		'Knee straightening',
		'Sitting, knee at 90°, pad just above the ankle.',
		KNEE_STRENGTH
	),
	force(
		'strength-knee-flexion',
		'Knee bending',
		'Sitting or on the front, knee at 90°, pad behind the ankle.',
		[]
	),
	force(
		'strength-hip-abduction',
		'Hip out',
		'On the side or back, pad above the outer ankle or knee.',
		HIP_ABDUCTION
	),
	force('strength-hip-adduction', 'Hip in', 'On the back, pad above the inner ankle or knee.', []),
	force(
		'strength-hip-rotation',
		'Hip turning out',
		'Sitting, hip and knee at 90°, pad above the inner ankle.',
		HIP_ROTATION
	),
	hold(
		'trunk-back',
		'Back extensor hold',
		'Lying on the front, trunk free over the edge, held level, arms crossed.',
		false,
		TRUNK_BACK
	),
	hold(
		'trunk-front',
		'Front hold',
		'Sitting leaned back at about 60°, knees and hips at 90°, back rest drawn away.',
		false,
		TRUNK_FRONT
	),
	test({
		id: 'finger-to-floor',
		title: 'Finger to floor',
		group: 'trunk',
		unit: 'cm',
		better: 'lower',
		sided: false,
		take: 'typed',
		possible: [-30, 90],
		protocol: [
			'Standing, knees straight, feet together; bending forward as far as it lets, middle finger to the floor. On a step below its edge is minus.'
		],
		sources: ['common-practice']
	}),
	hold('side-bridge', 'Side bridge', 'On one forearm and the feet, body straight.', true, SIDE_BRIDGE)
];

export const testSpec = (id: string): TestSpec | undefined => FUNCTION_TESTS.find((t) => t.id === id);
