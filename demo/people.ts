/**
 * The made-up practice: a boat-yard town nobody lives in, its rooms, its staff, and clients of different knees, hips and
 * backs. Any likeness to a person is chance.
 */
import type { DemoClient } from './client.ts';
import type { Equipment } from '#lib/core/exercise/family.ts';

export const PRACTICE = { name: 'Tidewater Rooms (demo)', tz: 'Europe/London', units: 'metric' } as const;

export const STAFF = [
	{
		key: 'physio',
		name: 'Ines Quarrel',
		email: 'physio@tidewater.example',
		password: 'heron-on-the-jetty',
		roles: ['physiotherapist'],
		licence: 'DEMO-4471'
	},
	{
		key: 'trainer',
		name: 'Joss Bellwether',
		email: 'trainer@tidewater.example',
		password: 'kettle-by-the-quay',
		roles: ['trainer'],
		licence: null
	},
	{
		key: 'owner',
		name: 'Petra Lowmarsh',
		email: 'owner@tidewater.example',
		password: 'lantern-at-low-tide',
		roles: ['owner'],
		licence: null
	}
] as const;

export const EQUIPMENT: readonly {
	kind: 'seat' | 'pad' | 'wedge' | 'weight' | Equipment;
	label: string;
	value: number;
	unit: 'cm' | 'kg' | 'rank';
	count: number;
}[] = [
	{ kind: 'seat', label: 'Low bench', value: 40, unit: 'cm', count: 2 },
	{ kind: 'seat', label: 'Dining chair', value: 46, unit: 'cm', count: 4 },
	{ kind: 'seat', label: 'Plinth, lowest', value: 52, unit: 'cm', count: 1 },
	{ kind: 'bed', label: 'Treatment couch', value: 1, unit: 'cm', count: 2 },
	{ kind: 'pad', label: 'Firm pad', value: 3, unit: 'cm', count: 3 },
	{ kind: 'pad', label: 'Block', value: 5, unit: 'cm', count: 2 },
	{ kind: 'wedge', label: 'Cork wedge', value: 3, unit: 'cm', count: 1 },
	{ kind: 'wedge', label: 'Tall wedge', value: 4.5, unit: 'cm', count: 1 },
	...[8, 12, 15, 20].map((cm) => ({
		kind: 'step' as const,
		label: 'Block step',
		value: cm,
		unit: 'cm' as const,
		count: 1
	})),
	...(
		[
			'stick',
			'bench',
			'bolster',
			'roller',
			'ball',
			'cuff',
			'leg-press',
			'extension-machine',
			'curl-machine',
			'straps',
			'block',
			'toe-wedge'
		] as const
	).map((kind) => ({ kind, label: kind, value: 1, unit: 'cm' as const, count: 1 })),
	{ kind: 'band', label: 'Sand loop', value: 2, unit: 'rank', count: 4 },
	{ kind: 'band', label: 'Slate loop', value: 3, unit: 'rank', count: 4 },
	{ kind: 'band', label: 'Night loop', value: 4, unit: 'rank', count: 2 },
	...[4, 6, 8, 10, 12, 16, 20].map((kg) => ({
		kind: 'weight' as const,
		label: 'Bell',
		value: kg,
		unit: 'kg' as const,
		count: 1
	}))
];

const both = (a: number, b: number, c: number) => ({ left: [a, b, c], right: [a, b, c] }) as const;

export const CLIENTS: readonly DemoClient[] = [
	{
		key: 'wren',
		name: 'Wren Hollis',
		born: '1967-09-14',
		sex: 'female',
		occupation: 'ferry engineer',
		heightCm: 168,
		massKg: 70,
		region: 'knee-right',
		usual: 2,
		technique: null,
		homeKit: ['chair', 'band', 'step'],
		homeHeights: { seats: [44, 47], steps: [17] },
		complaint: {
			spot: 'front',
			worst: 5,
			painAt: 'late',
			loaded: 'yes',
			position: 'standing',
			easing: 'walking it off',
			stiffnessMin: 10
		},
		goals: [
			{
				activity: 'low-chair',
				label: 'Galley bench without hands',
				score: 4,
				confidence: 5,
				side: 'right',
				point: { family: 'squat', step: 'standard-seat', heightCm: 45, sets: 1, reps: 10 }
			},
			{
				activity: 'stairs-up',
				label: 'Engine-room stairs',
				score: 5,
				confidence: 6,
				side: 'right',
				point: { family: 'step', step: 'step-up', heightCm: 17 }
			}
		],
		tests: [
			{ test: 'chair-stand-30s', first: 11, gain: 3 },
			{ test: 'sit-to-stand-5x', first: 12.8, gain: -2.6 },
			{ test: 'one-leg-open', side: 'left', first: 32, gain: 3 },
			{ test: 'one-leg-open', side: 'right', first: 18.5, gain: 6 },
			{ test: 'heel-rise', side: 'left', first: 21, gain: 1 },
			{ test: 'heel-rise', side: 'right', first: 14, gain: 3 },
			{ test: 'strength-knee-extension', side: 'left', first: 320, gain: 10, extras: { leverCm: 34 } },
			{ test: 'strength-knee-extension', side: 'right', first: 232, gain: 34, extras: { leverCm: 34 } }
		],
		more: {
			hipFlexion: [118, 116],
			hipInternalRotation: [34, 30],
			kneeExtension: [0, -4],
			ankleDorsiflexion: [14, 12],
			bigToeExtension: [64, 62]
		},
		policyId: 'pain-monitored',
		frontOfKnee: true,
		goal: 'Stand up from the 45 cm galley bench without hands',
		firstStep: 'raised-seat',
		ranges: {
			kneeFlexion: { left: [118, 132, 138], right: [84, 99, 118] },
			thighTrunkFlexion: both(118, 126, 132),
			weightBearingDorsiflexion: both(34, 38, 40)
		},
		ending: 'hold-up'
	},
	{
		key: 'tamsin',
		name: 'Tamsin Okoro-Vale',
		born: '1981-02-03',
		sex: 'female',
		occupation: 'sail maker',
		heightCm: 174,
		massKg: 66,
		region: 'hip-left',
		usual: 1,
		technique: 'parallel',
		homeKit: ['chair', 'band'],
		complaint: {
			spot: 'groin',
			worst: 4,
			painAt: 'late',
			loaded: 'yes',
			position: 'squatting',
			easing: 'lying on the other side'
		},
		goals: [
			{
				activity: 'pick-up',
				label: 'Squat to the cutting floor',
				score: 5,
				confidence: 7,
				side: 'left',
				point: { family: 'squat', step: 'free-squat' }
			}
		],
		tests: [
			{ test: 'single-leg-bridge', side: 'left', first: 18, gain: 4 },
			{ test: 'single-leg-bridge', side: 'right', first: 27, gain: 1 },
			{ test: 'strength-hip-abduction', side: 'left', first: 168, gain: 22, extras: { leverCm: 42 } },
			{ test: 'strength-hip-abduction', side: 'right', first: 214, gain: 4, extras: { leverCm: 42 } }
		],
		more: { hipInternalRotation: [22, 36], hipAbduction: [36, 44] },
		policyId: 'pain-monitored',
		frontOfKnee: false,
		goal: 'Squat to the cutting floor',
		firstStep: 'standard-seat',
		ranges: {
			kneeFlexion: both(132, 138, 142),
			thighTrunkFlexion: { left: [124, 138, 142], right: [134, 144, 148] },
			weightBearingDorsiflexion: both(40, 43, 45)
		},
		ending: 'advance'
	},
	{
		key: 'bertil',
		name: 'Bertil Sandhope',
		born: '1954-06-21',
		sex: 'male',
		occupation: 'retired harbour pilot',
		heightCm: 181,
		massKg: 92,
		region: 'knee-left',
		usual: 2,
		technique: null,
		homeKit: ['chair', 'counter'],
		homeHeights: { seats: [43, 50], steps: [] },
		cautions: ['fell-this-year'],
		complaint: {
			spot: 'inner',
			worst: 6,
			painAt: 'late',
			loaded: 'yes',
			position: 'standing',
			easing: 'sitting with the leg up',
			stiffnessMin: 20
		},
		goals: [
			{
				activity: 'ordinary-chair',
				label: 'Ten rises before breakfast',
				score: 3,
				confidence: 4,
				side: 'left',
				point: { family: 'squat', step: 'standard-seat', heightCm: 46, sets: 1, reps: 10 }
			}
		],
		tests: [
			{ test: 'chair-stand-30s', first: 8, gain: 3 },
			{ test: 'timed-up-and-go', first: 13.4, gain: -1.6 },
			{
				test: 'four-stage-balance',
				first: 7.8,
				gain: 1.4,
				extras: { sideBySide: 10, semiTandem: 10, oneLeg: 0 }
			},
			{ test: 'gait-4m', first: 4.9, gain: -0.4 }
		],
		more: { kneeExtension: [-6, -2] },
		policyId: 'pain-monitored',
		frontOfKnee: false,
		goal: 'Ten rises before breakfast',
		firstStep: 'raised-seat-hands',
		also: [
			{ family: 'bridge', step: 'bridge', daysAgo: 8, done: [6, 4, 1] },
			{ family: 'calf', step: 'heel-raise', daysAgo: 8, done: [6, 4] }
		],
		ranges: {
			kneeFlexion: { left: [80, 98, 112], right: [100, 116, 125] },
			thighTrunkFlexion: both(112, 124, 130),
			weightBearingDorsiflexion: both(28, 32, 34)
		},
		ending: 'regress-pain'
	},
	{
		key: 'odile',
		name: 'Odile Marchbank',
		born: '1993-11-30',
		sex: 'female',
		occupation: 'boat painter',
		heightCm: 163,
		massKg: 58,
		region: 'knee-right',
		usual: 1,
		technique: 'knee-forward',
		homeKit: ['chair', 'step', 'band'],
		complaint: {
			spot: 'outer',
			worst: 5,
			painAt: 'return',
			loaded: 'yes',
			position: 'kneeling',
			easing: 'straightening it'
		},
		goals: [
			{ activity: 'own', label: 'Kneel and rise along a hull', score: 4, confidence: 5, side: 'right' }
		],
		tests: [
			{ test: 'lateral-step-down', side: 'left', first: 2, gain: -1 },
			{ test: 'lateral-step-down', side: 'right', first: 4, gain: -1 }
		],
		policyId: 'pain-monitored',
		frontOfKnee: false,
		goal: 'Kneel and rise along a hull',
		firstStep: 'standard-seat',
		ranges: {
			kneeFlexion: { left: [135, 140, 145], right: [112, 128, 136] },
			thighTrunkFlexion: both(126, 136, 140),
			weightBearingDorsiflexion: both(38, 41, 43)
		},
		ending: 'stop-locking'
	},
	{
		key: 'fergal',
		name: 'Fergal Penhallow',
		born: '1976-04-08',
		sex: 'male',
		occupation: 'lock keeper',
		heightCm: 178,
		massKg: 84,
		region: 'back',
		usual: 3,
		technique: 'stacked',
		homeKit: ['chair'],
		complaint: {
			spot: 'low',
			worst: 6,
			painAt: 'early',
			loaded: 'yes',
			position: 'bending',
			easing: 'lying down',
			stiffnessMin: 25
		},
		goals: [{ activity: 'pick-up', label: 'Work the lock gates for a shift', score: 4, confidence: 3 }],
		tests: [
			{ test: 'trunk-back', first: 88, gain: 12 },
			{ test: 'side-bridge', side: 'left', first: 54, gain: 4 },
			{ test: 'side-bridge', side: 'right', first: 49, gain: 6 }
		],
		policyId: 'pain-monitored',
		frontOfKnee: false,
		goal: 'Work the lock gates for a shift',
		firstStep: 'raised-seat',
		ranges: {
			kneeFlexion: both(128, 136, 140),
			thighTrunkFlexion: both(92, 112, 122),
			weightBearingDorsiflexion: both(33, 36, 38)
		},
		ending: 'red-flag'
	},
	{
		key: 'saskia',
		name: 'Saskia Dunmere',
		born: '1988-07-17',
		sex: 'female',
		occupation: 'rope splicer',
		heightCm: 170,
		massKg: 64,
		region: 'knee-left',
		usual: 1,
		technique: null,
		homeKit: ['step', 'band'],
		cautions: ['pelvic-floor'],
		complaint: { spot: 'front', worst: 4, painAt: 'late', loaded: 'yes', position: 'stairs', easing: 'rest' },
		goals: [
			{
				activity: 'stairs-up',
				label: 'Chandlery stairs with a coil',
				score: 6,
				confidence: 7,
				side: 'left',
				point: { family: 'step', step: 'step-up', heightCm: 18 }
			}
		],
		tests: [
			{ test: 'hop-6m-timed', side: 'left', first: 2.6, gain: -0.2 },
			{ test: 'hop-6m-timed', side: 'right', first: 2.2, gain: 0 }
		],
		policyId: 'pain-monitored',
		frontOfKnee: true,
		goal: 'Chandlery stairs with a coil on the shoulder',
		firstStep: 'raised-seat',
		ranges: {
			kneeFlexion: { left: [104, 118, 130], right: [130, 138, 142] },
			thighTrunkFlexion: both(122, 132, 138),
			weightBearingDorsiflexion: both(36, 39, 41)
		},
		ending: 'wait-morning'
	},
	{
		key: 'amos',
		name: 'Amos Tarrant-Ley',
		born: '1962-12-05',
		sex: 'male',
		occupation: 'oyster grower',
		heightCm: 176,
		massKg: 88,
		region: 'knee-right',
		usual: 2,
		technique: null,
		homeKit: ['chair', 'band'],
		complaint: {
			spot: 'inner',
			worst: 6,
			painAt: 'late',
			loaded: 'yes',
			position: 'standing',
			easing: 'cold pack',
			stiffnessMin: 15
		},
		goals: [
			{
				activity: 'low-chair',
				label: 'Up from the low punt seat',
				score: 3,
				confidence: 4,
				side: 'right',
				point: { family: 'squat', step: 'standard-seat', heightCm: 40 }
			}
		],
		tests: [
			{ test: 'chair-stand-30s', first: 10, gain: 1 },
			{ test: 'sit-to-stand-5x', first: 14.1, gain: -1 }
		],
		policyId: 'pain-monitored',
		frontOfKnee: false,
		goal: 'Up from the low punt seat',
		firstStep: 'raised-seat',
		ranges: {
			kneeFlexion: { left: [112, 124, 130], right: [92, 110, 122] },
			thighTrunkFlexion: both(114, 126, 132),
			weightBearingDorsiflexion: both(31, 35, 37)
		},
		limit: {
			axis: 'kneeFlexion',
			side: 'right',
			maxDeg: 100,
			source: 'Harbour hospital protocol sheet, partial meniscus',
			operation: 'partial meniscus',
			operatedOn: -100,
			reviewIn: 20,
			phases: [
				{ fromWeek: 0, toWeek: 13 },
				{ fromWeek: 13, toWeek: null, maxDeg: 120 }
			]
		},
		ending: 'flare'
	},
	{
		key: 'lotte',
		name: 'Lotte Brindle',
		born: '1971-01-26',
		sex: 'female',
		occupation: 'tide-table printer',
		heightCm: 165,
		massKg: 73,
		region: 'hip-right',
		usual: 2,
		technique: 'sit-back',
		homeKit: ['chair'],
		complaint: {
			spot: 'outer',
			worst: 5,
			painAt: 'late',
			loaded: 'unknown',
			position: 'sitting',
			easing: 'moving about'
		},
		goals: [
			{
				activity: 'low-chair',
				label: 'Low sofa at her sister’s',
				score: 5,
				confidence: 6,
				side: 'right',
				point: { family: 'squat', step: 'standard-seat', heightCm: 42 }
			}
		],
		tests: [
			{ test: 'one-leg-open', side: 'left', first: 30, gain: 2 },
			{ test: 'one-leg-open', side: 'right', first: 21, gain: 3 }
		],
		policyId: 'pain-monitored',
		frontOfKnee: false,
		goal: 'Low sofa at her sister’s',
		firstStep: 'raised-seat',
		ranges: {
			kneeFlexion: both(120, 130, 135),
			thighTrunkFlexion: { left: [118, 128, 134], right: [98, 114, 124] },
			weightBearingDorsiflexion: both(33, 36, 38)
		},
		ending: 'silent'
	},
	{
		key: 'nerys',
		name: 'Nerys Fallowfield',
		born: '1962-06-20',
		sex: 'female',
		occupation: 'harbour pilot',
		heightCm: 170,
		massKg: 71,
		region: 'knee-left',
		usual: 2,
		technique: null,
		homeKit: ['chair', 'band', 'step'],
		complaint: {
			spot: 'inner',
			worst: 5,
			painAt: 'late',
			loaded: 'yes',
			position: 'stairs',
			easing: 'sitting down',
			stiffnessMin: 10
		},
		second: {
			region: 'back',
			usual: 2,
			complaint: {
				spot: 'low',
				worst: 5,
				painAt: 'early',
				loaded: 'yes',
				position: 'bending',
				easing: 'walking',
				stiffnessMin: 20
			}
		},
		notes: [
			{
				daysAgo: 20,
				body: 'Afraid of the pilot ladder since she slipped on one in autumn; begins with the low step.'
			},
			{
				daysAgo: 9,
				region: 'back',
				body: 'Her doctor spoke of wear and tear; no picture was taken. Sleeps through now.'
			}
		],
		stories: [
			{
				region: 'back',
				story: {
					began: 'slowly',
					how: 'after a winter on deck, bending over the rail',
					course: 'comes-and-goes',
					said: [{ kind: 'diagnosis', text: 'simple low back pain', by: 'Quayside surgery', on: null }],
					medicines: 'paracetamol on bad days',
					earlierCare: 'rest and heat; neither helped for long',
					demands: 'pilot ladders, bags of 10 kg, long sitting on the bridge',
					feared: [
						{ family: 'lunge', confidence: 3 },
						{ family: 'hinge', confidence: 4 }
					]
				}
			}
		],
		repeated: [
			{ daysAgo: 9, way: 'forward', leg: 'same', repetitions: 10 },
			{ daysAgo: 9, way: 'backward', leg: 'better', repetitions: 10 }
		],
		backRanges: { forwardBow: [45, 65, 80], spineExtension: [15, 18, 20] },
		letter: { daysAgo: 20, title: 'Letter of the surgery', kind: 'letter' },
		contacts: [
			{ role: 'emergency', name: 'Idwal, at home', phone: '01999 555 014' },
			{ role: 'doctor', name: 'Quayside surgery', phone: '01999 555 020' }
		],
		goals: [
			{
				activity: 'stairs-up',
				label: 'Pilot ladder up a ship’s side',
				score: 3,
				confidence: 4,
				side: 'left',
				point: { family: 'step', step: 'step-up', heightCm: 20 }
			}
		],
		tests: [
			{ test: 'chair-stand-30s', first: 12, gain: 3 },
			{ test: 'one-leg-open', side: 'left', first: 17, gain: 6 },
			{ test: 'one-leg-open', side: 'right', first: 24, gain: 3 },
			{ test: 'trunk-back', first: 72, gain: 14 }
		],
		policyId: 'pain-monitored',
		frontOfKnee: false,
		goal: 'Climb the pilot ladder',
		firstStep: 'raised-seat',
		also: [
			{ family: 'step', step: 'low-step-up', daysAgo: 20, done: [15, 10, 6, 3] },
			{
				family: 'abduction',
				step: 'wall-press',
				daysAgo: 20,
				done: [15, 10, 6, 3],
				particulars: { holdSec: 5, daysPerWeek: 3 }
			},
			{
				family: 'abduction',
				step: 'clamshell',
				daysAgo: 13,
				done: [10, 6, 3],
				particulars: { band: 'light', tempo: '2-1-2-0', note: 'Hips stay stacked.' }
			},
			{
				family: 'calf',
				step: 'heel-raise',
				daysAgo: 13,
				done: [10, 6, 3],
				particulars: { restSec: 60, where: 'both' }
			},
			{ family: 'hinge', step: 'seated-hinge', region: 'back', daysAgo: 16, done: [13, 10, 6, 3] },
			{
				family: 'trunk',
				step: 'bird-dog',
				region: 'back',
				daysAgo: 16,
				done: [13, 10, 6, 3],
				particulars: { holdSec: 5, where: 'home' }
			},
			{ family: 'mobility', step: 'knee-to-chest', region: 'back', daysAgo: 16, done: [13, 6] }
		],
		ranges: {
			kneeFlexion: { left: [96, 114, 126], right: [120, 132, 138] },
			thighTrunkFlexion: both(104, 120, 128),
			weightBearingDorsiflexion: both(33, 37, 39)
		},
		ending: 'advance'
	}
];
