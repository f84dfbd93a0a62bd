/**
 * The squat family: from standing up out of a raised chair to a squat on one leg.
 * @source common-practice ladder, gates, doses, faults and cues, unless a step says otherwise
 */
import type { ExerciseFamily } from '../core/exercise/family.ts';
import { anyOf, calm, easy, feltClear, watch } from './make.ts';

const TEN = { start: { sets: 1, reps: 10 }, target: { sets: 3, reps: 10 } } as const;
const FROM_FIVE = { start: { sets: 1, reps: 5 }, target: { sets: 3, reps: 10 } } as const;
const SEAT_FAULTS = [
	'knee-drifts-in',
	'knee-leads',
	'heel-lifts',
	'momentum-cheat',
	'trunk-twists',
	'breath-held'
] as const;
const SQUAT_FAULTS = [
	'knee-drifts-in',
	'knee-leads',
	'heel-lifts',
	'pelvis-tucks',
	'trunk-tips',
	'breath-held'
] as const;
const ONE_LEG_FAULTS = [
	'knee-drifts-in',
	'pelvis-drops',
	'loses-balance',
	'heel-lifts',
	'trunk-twists'
] as const;
const COMMON = ['common-practice'] as const;

export const squat = {
	id: 'squat',
	title: 'Standing up and squatting',
	purposes: ['sit-to-stand', 'thigh-front', 'buttock', 'stairs', 'lifting'],
	cautions: [
		'Stop for locking, giving way, sharp pain with loss of movement, or pain spreading further down the leg.',
		'After surgery the surgeon’s or local protocol comes first.'
	],
	steps: [
		{
			id: 'raised-seat-hands',
			title: 'Raised seat, hands help',
			short: 'Raised, hands',
			what: 'Stand up from a raised seat with both hands on a firm support.',
			dials: { support: 'two-hands', surface: 'raised-seat' },
			posture: {
				movement: 'sit-to-stand',
				stance: 'both',
				depth: { seatCm: 58 },
				adjust: 'seat',
				everyday: true
			},
			gates: [],
			usualDose: { start: { sets: 1, reps: 5 }, target: { sets: 1, reps: 10 } },
			easier: null,
			next: [
				{ to: 'raised-seat', dial: 'support' },
				{ to: 'momentum-rise', dial: 'support' }
			],
			tags: [],
			equipment: ['chair'],
			cautions: ['The chair stands against a wall and cannot slide.'],
			faults: [...SEAT_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'raised-seat',
			title: 'Raised seat',
			short: 'Raised seat',
			what: 'Stand up without hands. If hands are needed, raise the seat; do not keep the hands.',
			dials: { support: 'none', surface: 'raised-seat' },
			posture: {
				movement: 'sit-to-stand',
				stance: 'both',
				depth: { seatCm: 54 },
				adjust: 'seat',
				everyday: true
			},
			gates: [{ kind: 'clean-reps', step: 'raised-seat-hands', sets: 1, reps: 5 }],
			usualDose: { start: { sets: 1, reps: 8 }, target: { sets: 2, reps: 10 } },
			easier: 'raised-seat-hands',
			next: [
				{ to: 'standard-seat', dial: 'surface' },
				{ to: 'staggered-seat', dial: 'base' }
			],
			tags: [],
			equipment: ['chair'],
			cautions: ['The chair stands against a wall and cannot slide.'],
			faults: [...SEAT_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'momentum-rise',
			title: 'Momentum rise',
			short: 'Momentum',
			what: 'For stiff or newly operated knees and cold mornings: straight back, swing the trunk forward, push straight up when the weight arrives on the feet. Sit by hips back first.',
			dials: { support: 'none', surface: 'raised-seat' },
			posture: {
				movement: 'sit-to-stand',
				stance: 'both',
				depth: { seatCm: 52 },
				adjust: 'seat',
				everyday: true,
				momentum: 'swing'
			},
			gates: [],
			usualDose: FROM_FIVE,
			easier: 'raised-seat-hands',
			next: [{ to: 'standard-seat', dial: 'surface' }],
			tags: [],
			equipment: ['chair'],
			cautions: ['Pulling on a bar or a wall takes the work from the legs.'],
			faults: ['heel-lifts', 'trunk-twists', 'breath-held', 'rushed'],
			sources: [...COMMON]
		},
		{
			id: 'staggered-seat',
			title: 'Raised seat, one foot a kickstand',
			short: 'Kick-stand',
			what: 'One foot forward as a light kickstand: the first one-sided work.',
			dials: { support: 'none', surface: 'raised-seat', base: 'staggered' },
			posture: {
				movement: 'sit-to-stand',
				stance: 'staggered',
				depth: { seatCm: 54 },
				adjust: 'seat',
				everyday: true
			},
			gates: [{ kind: 'clean-reps', step: 'raised-seat', sets: 1, reps: 5 }],
			usualDose: FROM_FIVE,
			easier: 'raised-seat',
			next: [],
			tags: [],
			equipment: ['chair'],
			cautions: ['Keep a firm support in reach of one hand.'],
			faults: [...SEAT_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'standard-seat',
			title: 'Standard seat',
			short: 'Standard seat',
			what: 'An ordinary chair, 42–46 cm. Stand a few inches off so that the hips go back; touch or hover.',
			dials: { support: 'none', surface: 'standard-seat' },
			posture: {
				movement: 'sit-to-stand',
				stance: 'both',
				depth: { seatCm: 46 },
				adjust: 'seat',
				everyday: true
			},
			gates: [anyOf(easy('raised-seat', 8, 6), easy('momentum-rise', 8, 6))],
			usualDose: FROM_FIVE,
			easier: 'raised-seat',
			next: [
				{ to: 'counter-squat', dial: 'surface' },
				{ to: 'rise-and-press', dial: 'load' }
			],
			tags: [],
			equipment: ['chair'],
			cautions: ['The chair stands against a wall and cannot slide.'],
			faults: [...SEAT_FAULTS],
			sources: ['common-practice', 'janssen-2002']
		},
		{
			id: 'rise-and-press',
			title: 'Rise and press',
			short: 'Rise, press',
			what: 'Stand and press overhead as one fluid motion.',
			dials: { support: 'none', surface: 'standard-seat', load: 'overhead' },
			posture: {
				movement: 'sit-to-stand',
				stance: 'both',
				depth: { seatCm: 46 },
				adjust: 'seat',
				everyday: true,
				load: { kg: 4, at: 'front-rack' }
			},
			gates: [easy('standard-seat', 8, 6), calm('standard-seat')],
			usualDose: { start: { sets: 1, reps: 8 }, target: { sets: 3, reps: 10 } },
			easier: 'standard-seat',
			next: [],
			tags: [],
			equipment: ['chair', ['weight', 'household-weight']],
			cautions: ['Leaning first, or standing and then pressing, means the weight is too heavy.'],
			faults: ['momentum-cheat', 'segmented-rise', 'back-arches', 'breath-held'],
			sources: [...COMMON]
		},
		{
			id: 'counter-squat',
			title: 'Squat held at a counter',
			short: 'At a counter',
			what: 'Hold a counter or bar and sit away from it. Small is fine.',
			dials: { support: 'two-hands', depth: 'quarter', surface: 'no-seat' },
			posture: { movement: 'squat', stance: 'both', depth: { thighDeg: 50 }, adjust: 'depth' },
			gates: [{ kind: 'clean-reps', step: 'standard-seat', sets: 1, reps: 8 }],
			usualDose: FROM_FIVE,
			easier: 'standard-seat',
			next: [{ to: 'free-squat', dial: 'support' }],
			tags: [],
			equipment: ['counter'],
			cautions: ['The support is fixed: a counter, a rail, a wall bar.'],
			faults: [...SQUAT_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'free-squat',
			title: 'Free squat',
			short: 'Free squat',
			what: 'No support, depth solved for this body. A quarter squat already counts.',
			dials: { support: 'none', depth: 'quarter', surface: 'no-seat' },
			posture: { movement: 'squat', stance: 'both', depth: { thighDeg: 70 }, adjust: 'depth' },
			gates: [{ kind: 'clean-reps', step: 'counter-squat', sets: 1, reps: 10 }],
			usualDose: TEN,
			easier: 'counter-squat',
			next: [
				{ to: 'goblet-squat', dial: 'load' },
				{ to: 'banded-squat', dial: 'lever' },
				{ to: 'narrow-squat', dial: 'base' },
				{ to: 'wide-squat', dial: 'depth' },
				{ to: 'slow-heels-raised-squat', dial: 'tempo' },
				{ to: 'toe-touch-squat', dial: 'base' }
			],
			tags: [],
			cautions: [],
			faults: [...SQUAT_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'banded-squat',
			title: 'Banded squat',
			short: 'Banded',
			what: 'A band round the knees, push out: the other way to cue knees that drift in.',
			dials: { support: 'none', depth: 'quarter', surface: 'no-seat', lever: 'band' },
			posture: { movement: 'squat', stance: 'both', depth: { thighDeg: 70 }, adjust: 'depth' },
			gates: [{ kind: 'clean-reps', step: 'free-squat', sets: 1, reps: 10 }],
			usualDose: TEN,
			easier: 'free-squat',
			next: [],
			tags: [],
			equipment: ['band'],
			cautions: [],
			faults: [...SQUAT_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'narrow-squat',
			title: 'Narrow squat',
			short: 'Narrow',
			what: 'Feet close together: more for the outer hip.',
			dials: { support: 'none', depth: 'quarter', surface: 'no-seat', base: 'narrow' },
			posture: { movement: 'squat', stance: 'both', depth: { thighDeg: 65 }, adjust: 'depth' },
			gates: [{ kind: 'clean-reps', step: 'free-squat', sets: 2, reps: 10 }],
			usualDose: TEN,
			easier: 'free-squat',
			next: [],
			tags: [],
			cautions: [],
			faults: [...SQUAT_FAULTS, 'loses-balance'],
			sources: [...COMMON]
		},
		{
			id: 'wide-squat',
			title: 'Wide squat',
			short: 'Wide',
			what: 'Feet wide, toes out only as far as knee and hip follow: more for the inner thigh.',
			dials: { support: 'none', depth: 'half', surface: 'no-seat' },
			posture: { movement: 'squat', stance: 'both', depth: { thighDeg: 75 }, adjust: 'depth', toeOutDeg: 25 },
			gates: [{ kind: 'clean-reps', step: 'free-squat', sets: 2, reps: 10 }],
			usualDose: TEN,
			easier: 'free-squat',
			next: [],
			tags: [],
			cautions: ['Toes turn out only as far as the knee can follow them.'],
			faults: [...SQUAT_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'slow-heels-raised-squat',
			title: 'Slow squat, heels raised',
			short: 'Slow, heels up',
			what: 'Heels on a wedge or plates, 3–4 s down and 3–4 s up, body weight.',
			dials: { support: 'none', depth: 'quarter', surface: 'no-seat', tempo: 'slow' },
			posture: {
				movement: 'squat',
				stance: 'both',
				depth: { thighDeg: 80 },
				adjust: 'depth',
				heelWedgeCm: 5,
				technique: 'knee-forward'
			},
			gates: [
				{ kind: 'clean-reps', step: 'free-squat', sets: 3, reps: 10 },
				{ kind: 'technique', technique: 'knee-forward' }
			],
			usualDose: TEN,
			easier: 'free-squat',
			tempo: [4, 0, 4],
			next: [{ to: 'heels-raised-goblet', dial: 'load' }],
			tags: [],
			equipment: ['wedge'],
			cautions: ['A higher wedge loads the front of the knee more: not a step back for front-of-knee pain.'],
			faults: ['knee-drifts-in', 'pelvis-tucks', 'rushed', 'breath-held'],
			sources: [...COMMON]
		},
		{
			id: 'goblet-squat',
			title: 'Goblet squat',
			short: 'Goblet',
			what: 'Weight at the chest, elbows in.',
			dials: { support: 'none', depth: 'quarter', surface: 'no-seat', load: 'goblet' },
			posture: {
				movement: 'squat',
				stance: 'both',
				depth: { thighDeg: 75 },
				adjust: 'depth',
				load: { kg: 8, at: 'goblet' }
			},
			gates: [{ kind: 'clean-reps', step: 'free-squat', sets: 3, reps: 10 }, ...feltClear('free-squat')],
			usualDose: TEN,
			easier: 'free-squat',
			next: [],
			tags: [],
			equipment: [['weight', 'household-weight']],
			cautions: [],
			faults: [...SQUAT_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'heels-raised-goblet',
			title: 'Goblet squat, heels raised',
			short: 'Goblet, heels up',
			what: 'Late in the session, 12–15 reps. A 4–5 cm wedge is a normal start, more is easier; the arms set the cap.',
			dials: { support: 'none', depth: 'quarter', surface: 'no-seat', tempo: 'slow', load: 'goblet' },
			posture: {
				movement: 'squat',
				stance: 'both',
				depth: { thighDeg: 85 },
				adjust: 'depth',
				heelWedgeCm: 5,
				technique: 'knee-forward',
				load: { kg: 8, at: 'goblet' }
			},
			gates: [{ kind: 'clean-reps', step: 'slow-heels-raised-squat', sets: 3, reps: 10 }],
			usualDose: { start: { sets: 3, reps: 12 }, target: { sets: 4, reps: 15 } },
			easier: 'slow-heels-raised-squat',
			next: [],
			tags: [],
			equipment: ['wedge', ['weight', 'household-weight']],
			cautions: ['A higher wedge loads the front of the knee more: not a step back for front-of-knee pain.'],
			faults: ['knee-drifts-in', 'pelvis-tucks', 'rushed', 'breath-held'],
			sources: [...COMMON]
		},
		{
			id: 'toe-touch-squat',
			title: 'One leg, toes touching',
			short: 'Toe touch',
			what: 'Weight on one leg, the other toes touching; support allowed; both sides the same.',
			dials: { support: 'none', depth: 'quarter', surface: 'no-seat', base: 'toe-touch' },
			posture: { movement: 'squat', stance: 'staggered', depth: { thighDeg: 55 }, adjust: 'depth' },
			gates: [
				{ kind: 'clean-reps', step: 'free-squat', sets: 3, reps: 10 },
				{ kind: 'clean-reps', step: 'staggered-seat', sets: 1, reps: 5 }
			],
			usualDose: FROM_FIVE,
			easier: 'free-squat',
			next: [{ to: 'single-leg-to-seat', dial: 'base' }],
			tags: [],
			cautions: ['Keep a firm support in reach of one hand.'],
			faults: [...ONE_LEG_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'single-leg-to-seat',
			title: 'One leg, down to a seat',
			short: 'One leg, seat',
			what: 'Lower to a seat on one leg and stand up again.',
			dials: { support: 'none', surface: 'standard-seat', base: 'one' },
			posture: { movement: 'squat', stance: 'one', depth: { seatCm: 50 }, adjust: 'seat' },
			gates: [
				{ kind: 'clean-reps', step: 'toe-touch-squat', sets: 3, reps: 10 },
				{ kind: 'sides-within', step: 'toe-touch-squat', share: 0.8 }
			],
			usualDose: FROM_FIVE,
			easier: 'toe-touch-squat',
			next: [{ to: 'single-leg-squat', dial: 'surface' }],
			tags: [],
			equipment: ['chair'],
			cautions: ['Keep a firm support in reach of one hand.'],
			faults: [...ONE_LEG_FAULTS],
			sources: [...COMMON]
		},
		{
			id: 'single-leg-squat',
			title: 'Squat on one leg',
			short: 'One leg',
			what: 'A squat on one leg, as deep as it stays controlled.',
			dials: { support: 'none', surface: 'no-seat', base: 'one' },
			posture: { movement: 'squat', stance: 'one', depth: { thighDeg: 65 }, adjust: 'depth' },
			gates: [
				{ kind: 'clean-reps', step: 'single-leg-to-seat', sets: 3, reps: 10 },
				{ kind: 'sides-within', step: 'single-leg-to-seat', share: 0.8 }
			],
			usualDose: FROM_FIVE,
			easier: 'single-leg-to-seat',
			next: [],
			tags: [],
			cautions: ['Keep a firm support in reach of one hand.'],
			faults: [...ONE_LEG_FAULTS],
			sources: [...COMMON]
		}
	],
	faults: watch(
		'knee-drifts-in',
		'knee-leads',
		'heel-lifts',
		'pelvis-tucks',
		'back-arches',
		'trunk-tips',
		'segmented-rise',
		'momentum-cheat',
		'trunk-twists',
		'pelvis-drops',
		'loses-balance',
		'breath-held',
		'rushed'
	),
	cues: {
		ordinary: [
			'Feet back under the knees',
			'Swing the straight trunk, then push the floor away',
			'Sit down hips first, slowly'
		],
		'sit-back': ['Hips back first, as if to a far chair', 'Shins stay upright', 'Reach forward to balance'],
		parallel: [
			'Trunk and shins lean the same way',
			'Weight over the middle of the foot',
			'Knees follow the middle toes'
		],
		'knee-forward': ['Knees travel over the toes', 'Trunk stays tall', 'Heels stay heavy on floor or wedge'],
		stacked: ['Ribs over pelvis', 'Breathe out as you rise', 'Stop where the position is lost']
	}
} as const satisfies ExerciseFamily;
