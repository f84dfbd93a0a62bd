/**
 * Published tables and cut-offs, cell for cell, from memory; none has been checked against its paper.
 * @source cdc-steadi · rikli-jones-1999 · bohannon-2006 · bohannon-2010 · guralnik-1994 · tiedemann-2008 · buatois-2008 · ewgsop2-2019 · awgs-2019
 * @source steffen-2002 · shumway-cook-2000 · podsiadlo-1991 · springer-2007 · vellas-1997 · bohannon-2011 · enright-1998 · hebert-losier-2017
 * @source lunsford-1995 · jan-2005 · piva-2006 · rabin-2010 · freckleton-2014 · plisky-2006 · butler-2013 · pietrosimone-2016 · manini-2007
 * @source khayambashi-2016 · biering-sorensen-1984 · mcgill-1999 · mcgill-low-back
 */
import type { Cell, Norm } from '../core/measure/norm.ts';

/** Rows by age band, female and male. */
const rows = <T>(
	...r: readonly (readonly [low: number, high: number, female: T, male: T])[]
): readonly Cell<T>[] => r.map(([low, high, female, male]) => ({ ages: [low, high] as const, female, male }));
const both = <T>(...r: readonly (readonly [low: number, high: number, value: T])[]): readonly Cell<T>[] =>
	r.map(([low, high, any]) => ({ ages: [low, high] as const, any }));
const everyone = <T>(any: T): readonly Cell<T>[] => [{ any }];
const m = (mean: number, sd?: number) => ({ mean, ...(sd === undefined ? {} : { sd }) });

export const CHAIR_STAND: readonly Norm[] = [
	{
		id: 'chair-stand-cut',
		kind: 'cut',
		worse: '<',
		classes: ['below-average', 'not-below-average'],
		source: 'cdc-steadi',
		population: 'community, 60–94',
		rows: rows(
			[60, 64, 12, 14],
			[65, 69, 11, 12],
			[70, 74, 10, 12],
			[75, 79, 10, 11],
			[80, 84, 9, 10],
			[85, 89, 8, 8],
			[90, 94, 4, 7]
		)
	},
	{
		id: 'chair-stand-range',
		kind: 'band',
		better: 'higher',
		source: 'rikli-jones-1999',
		population: '25th–75th percentile, community-dwelling, 60–94',
		rows: rows<readonly [number, number]>(
			[60, 64, [12, 17], [14, 19]],
			[65, 69, [11, 16], [12, 18]],
			[70, 74, [10, 15], [12, 17]],
			[75, 79, [10, 15], [11, 17]],
			[80, 84, [9, 14], [10, 15]],
			[85, 89, [8, 13], [8, 14]],
			[90, 94, [4, 11], [7, 12]]
		)
	}
];

export const FIVE_TIMES: readonly Norm[] = [
	{
		id: 'five-times-2006',
		kind: 'cut',
		worse: '>',
		classes: ['worse-than-average', 'not-worse-than-average'],
		source: 'bohannon-2006',
		population: 'elders, meta-analysis',
		rows: both([60, 69, 11.4], [70, 79, 12.6], [80, 89, 14.8])
	},
	{
		id: 'five-times-2010',
		kind: 'mean',
		better: 'lower',
		source: 'bohannon-2010',
		population: 'healthy, 14–85',
		note: 'a healthier sample than the meta-analysis',
		rows: both(
			[14, 19, m(6.5, 1.2)],
			[20, 29, m(6, 1.4)],
			[30, 39, m(6.1, 1.4)],
			[40, 49, m(7.6, 1.8)],
			[50, 59, m(7.7, 2.6)],
			[60, 69, m(7.8, 2.4)],
			[70, 79, m(9.3, 2.1)],
			[80, 85, m(10.8, 2.6)]
		)
	},
	{
		id: 'five-times-falls-12',
		kind: 'cut',
		worse: '>',
		classes: ['further-assessment', 'not-at-risk'],
		source: 'tiedemann-2008',
		population: 'community, 74 and over',
		rows: both([74, 120, 12])
	},
	{
		id: 'five-times-falls-15',
		kind: 'cut',
		worse: '>=',
		classes: ['at-risk', 'not-at-risk'],
		source: 'buatois-2008',
		population: 'community, 65 and over',
		rows: both([65, 120, 15])
	},
	{
		id: 'five-times-low-strength',
		kind: 'cut',
		worse: '>',
		classes: ['low', 'not-low'],
		source: 'ewgsop2-2019',
		population: 'older adults, European consensus',
		rows: both([60, 120, 15])
	},
	{
		id: 'five-times-low-strength-asia',
		kind: 'cut',
		worse: '>=',
		classes: ['low', 'not-low'],
		source: 'awgs-2019',
		population: 'older adults, Asian consensus',
		rows: both([60, 120, 12])
	}
];

export const UP_AND_GO: readonly Norm[] = [
	{
		id: 'up-and-go-12',
		kind: 'cut',
		worse: '>=',
		classes: ['at-risk', 'not-at-risk'],
		source: 'cdc-steadi',
		population: 'older adults',
		rows: both([60, 120, 12])
	},
	{
		id: 'up-and-go-mean',
		kind: 'band',
		better: 'lower',
		source: 'bohannon-2006',
		population: 'meta-analysis; interval of a mean, not a normal range',
		rows: both<readonly [number, number]>([60, 69, [7.1, 9]], [70, 79, [8.2, 10.2]], [80, 99, [10, 12.7]])
	},
	{
		id: 'up-and-go-community',
		kind: 'mean',
		better: 'lower',
		source: 'steffen-2002',
		population: 'community, no aid',
		rows: rows([60, 69, m(8), m(8)], [70, 79, m(9), m(9)], [80, 89, m(11), m(10)])
	},
	{
		id: 'up-and-go-13.5',
		kind: 'cut',
		worse: '>=',
		classes: ['at-risk', 'not-at-risk'],
		source: 'shumway-cook-2000',
		population: 'community fallers against non-fallers',
		note: 'weak on its own: it does not tell who will fall',
		rows: both([60, 120, 13.5])
	},
	{
		id: 'up-and-go-bands',
		kind: 'bands',
		inclusive: false,
		bands: [
			{ upTo: 10, class: 'freely-mobile' },
			{ upTo: 20, class: 'mostly-independent' }
		],
		above: 'needs-help',
		source: 'podsiadlo-1991',
		population: 'frail elders, coarse bands',
		rows: both([60, 120, true])
	}
];

export const FOUR_STAGE: readonly Norm[] = [
	{
		id: 'tandem-10',
		kind: 'cut',
		worse: '<',
		classes: ['at-risk', 'not-at-risk'],
		source: 'cdc-steadi',
		population: 'older adults; tandem held 10 s',
		rows: both([60, 120, 10])
	}
];

/** Best of three, clock stopped at 45 s. */
export const ONE_LEG_OPEN: readonly Norm[] = [
	{
		id: 'one-leg-open-mean',
		kind: 'mean',
		better: 'higher',
		source: 'springer-2007',
		population: 'best of three, clock stopped at 45 s',
		rows: rows(
			[18, 39, m(45), m(44.4)],
			[40, 49, m(42.1), m(41.6)],
			[50, 59, m(40.9), m(41.5)],
			[60, 69, m(30.4), m(33.8)],
			[70, 79, m(16.7), m(25.9)],
			[80, 99, m(10.6), m(8.7)]
		)
	},
	{
		id: 'one-leg-5',
		kind: 'cut',
		worse: '<',
		classes: ['at-risk', 'not-at-risk'],
		source: 'vellas-1997',
		population: 'older adults, injurious falls',
		rows: both([60, 120, 5])
	}
];
export const ONE_LEG_CLOSED: readonly Norm[] = [
	{
		id: 'one-leg-closed-mean',
		kind: 'mean',
		better: 'higher',
		source: 'springer-2007',
		population: 'best of three',
		rows: rows(
			[18, 39, m(13.1), m(16.9)],
			[40, 49, m(13.5), m(12)],
			[50, 59, m(7.9), m(8.6)],
			[60, 69, m(3.6), m(5.1)],
			[70, 79, m(3.7), m(2.6)],
			[80, 99, m(2.1), m(1.8)]
		)
	}
];

export const GAIT_SPEED: readonly Norm[] = [
	{
		id: 'gait-comfortable',
		kind: 'mean',
		better: 'higher',
		of: 'speed',
		source: 'bohannon-2011',
		population: 'comfortable pace, 41 studies',
		rows: rows(
			[20, 29, m(1.341), m(1.358)],
			[30, 39, m(1.337), m(1.433)],
			[40, 49, m(1.39), m(1.434)],
			[50, 59, m(1.313), m(1.433)],
			[60, 69, m(1.241), m(1.339)],
			[70, 79, m(1.132), m(1.262)],
			[80, 99, m(0.943), m(0.968)]
		)
	},
	{
		id: 'gait-low',
		kind: 'cut',
		of: 'speed',
		worse: '<=',
		classes: ['low', 'not-low'],
		source: 'ewgsop2-2019',
		population: 'older adults, European consensus',
		rows: both([60, 120, 0.8])
	},
	{
		id: 'gait-low-asia',
		kind: 'cut',
		of: 'speed',
		worse: '<',
		classes: ['low', 'not-low'],
		source: 'awgs-2019',
		population: 'older adults, Asian consensus',
		rows: both([60, 120, 1])
	}
];

export const SIX_MINUTES: readonly Norm[] = [
	{
		id: 'six-minutes-lower-limit',
		kind: 'cut',
		of: 'overLowerLimit',
		worse: '<',
		classes: ['low', 'not-low'],
		source: 'enright-1998',
		population: 'healthy, 40–80; below the lower limit of normal',
		rows: both([40, 80, 0])
	},
	{
		id: 'six-minutes-community',
		kind: 'mean',
		better: 'higher',
		source: 'steffen-2002',
		population: 'community, 60–89',
		rows: rows([60, 69, m(538), m(572)], [70, 79, m(471), m(527)], [80, 89, m(392), m(417)])
	}
];

export const HEEL_RISE: readonly Norm[] = [
	{
		id: 'heel-rise-25',
		kind: 'cut',
		worse: '<',
		classes: ['below-average', 'not-below-average'],
		source: 'lunsford-1995',
		population: '20–59, traditional 25',
		rows: both([20, 59, 25])
	},
	{
		id: 'heel-rise-sedentary',
		kind: 'mean',
		better: 'higher',
		source: 'jan-2005',
		population: 'sedentary healthy, 21–80',
		note: 'far apart from the other tables in older adults: compare the sides first',
		rows: rows([21, 40, m(16.1), m(22.1)], [41, 60, m(9.3), m(12.1)], [61, 80, m(2.7), m(4.1)])
	},
	{
		id: 'heel-rise-by-age',
		kind: 'band',
		better: 'higher',
		source: 'hebert-losier-2017',
		population: 'healthy 20–89, digits not certain: a band of ±3',
		note: 'not a hard cut; compare the sides first',
		rows: rows<readonly [number, number]>(
			[20, 29, [27, 33], [34, 40]],
			[30, 39, [24, 30], [29, 35]],
			[40, 49, [21, 27], [25, 31]],
			[50, 59, [18, 24], [20, 26]],
			[60, 69, [16, 22], [16, 22]],
			[70, 79, [13, 19], [11, 17]],
			[80, 89, [10, 16], [7, 13]]
		)
	}
];

export const STEP_DOWN_QUALITY: readonly Norm[] = [
	{
		id: 'step-down-three',
		kind: 'bands',
		inclusive: true,
		bands: [
			{ upTo: 1, class: 'good' },
			{ upTo: 3, class: 'medium' }
		],
		above: 'poor',
		source: 'piva-2006',
		population: '20 cm step, three classes',
		rows: everyone(true)
	},
	{
		id: 'step-down-two',
		kind: 'bands',
		inclusive: true,
		bands: [{ upTo: 1, class: 'good' }],
		above: 'not-good',
		source: 'rabin-2010',
		population: 'the same score in two classes',
		rows: everyone(true)
	}
];

export const ONE_LEG_BRIDGE: readonly Norm[] = [
	{
		id: 'hamstring-bridge',
		kind: 'bands',
		inclusive: true,
		bands: [
			{ upTo: 19, class: 'poor' },
			{ upTo: 30, class: 'between' }
		],
		above: 'good',
		source: 'freckleton-2014',
		population: 'football players, heel on a 60 cm box; under 20 poor, about 25 average, over 30 good',
		rows: everyone(true)
	}
];

export const REACH: readonly Norm[] = [
	{
		id: 'reach-composite-94',
		kind: 'cut',
		of: 'composite',
		worse: '<',
		classes: ['low', 'not-low'],
		source: 'plisky-2006',
		population: 'school basketball, girls',
		rows: everyone(94)
	},
	{
		id: 'reach-composite-89.6',
		kind: 'cut',
		of: 'composite',
		worse: '<',
		classes: ['low', 'not-low'],
		source: 'butler-2013',
		population: 'college football',
		rows: everyone(89.6)
	}
];

export const KNEE_STRENGTH: readonly Norm[] = [
	{
		id: 'knee-torque-3',
		kind: 'cut',
		of: 'torquePerKg',
		worse: '<',
		classes: ['low', 'not-low'],
		source: 'pietrosimone-2016',
		population: 'young, after ligament surgery; 3.0–3.1 N·m/kg',
		rows: both([18, 45, 3])
	},
	{
		id: 'knee-torque-mobility',
		kind: 'cut',
		of: 'torquePerKg',
		worse: '<',
		classes: ['at-risk', 'not-at-risk'],
		source: 'manini-2007',
		population: '70–79, isokinetic 60°/s; high risk of losing mobility',
		rows: rows([70, 79, 1.01, 1.13])
	},
	{
		id: 'knee-torque-safe',
		kind: 'cut',
		of: 'torquePerKg',
		worse: '<=',
		classes: ['not-certain', 'not-at-risk'],
		source: 'manini-2007',
		population: '70–79, isokinetic 60°/s; low risk above it',
		rows: rows([70, 79, 1.34, 1.71])
	}
];
export const HIP_ABDUCTION: readonly Norm[] = [
	{
		id: 'hip-abduction-35.4',
		kind: 'cut',
		of: 'bodyWeightPercent',
		worse: '<=',
		classes: ['at-risk', 'not-at-risk'],
		source: 'khayambashi-2016',
		population: 'competitive athletes, force in % of body weight',
		rows: everyone(35.4)
	}
];
export const HIP_ROTATION: readonly Norm[] = [
	{
		id: 'hip-rotation-20.3',
		kind: 'cut',
		of: 'bodyWeightPercent',
		worse: '<=',
		classes: ['at-risk', 'not-at-risk'],
		source: 'khayambashi-2016',
		population: 'competitive athletes, force in % of body weight',
		rows: everyone(20.3)
	}
];

const YOUNG = [18, 30] as const;
const young = (female: number, male: number): readonly Cell<{ readonly mean: number }>[] => [
	{ ages: YOUNG, female: m(female), male: m(male) }
];
export const TRUNK_BACK: readonly Norm[] = [
	{
		id: 'back-hold-danish',
		kind: 'bands',
		inclusive: false,
		bands: [
			{ upTo: 176, class: 'at-risk' },
			{ upTo: 198.01, class: 'between' }
		],
		above: 'not-at-risk',
		source: 'biering-sorensen-1984',
		population: 'men 30–60; under 176 s and over 198 s',
		rows: [{ ages: [30, 60], male: true }]
	},
	{
		id: 'back-hold-1999',
		kind: 'mean',
		better: 'higher',
		source: 'mcgill-1999',
		population: 'healthy young',
		rows: young(189, 146)
	},
	{
		id: 'back-hold-later',
		kind: 'mean',
		better: 'higher',
		source: 'mcgill-low-back',
		population: 'healthy young, later table',
		rows: young(185, 161)
	}
];
export const TRUNK_FRONT: readonly Norm[] = [
	{
		id: 'front-hold-1999',
		kind: 'mean',
		better: 'higher',
		source: 'mcgill-1999',
		population: 'healthy young',
		rows: young(149, 144)
	},
	{
		id: 'front-hold-later',
		kind: 'mean',
		better: 'higher',
		source: 'mcgill-low-back',
		population: 'healthy young, later table',
		rows: young(134, 136)
	}
];
export const SIDE_BRIDGE: readonly Norm[] = [
	{
		id: 'side-bridge-1999',
		kind: 'mean',
		better: 'higher',
		source: 'mcgill-1999',
		population: 'healthy young; right side',
		rows: young(72, 94)
	},
	{
		id: 'side-bridge-later',
		kind: 'mean',
		better: 'higher',
		source: 'mcgill-low-back',
		population: 'healthy young, later table; right side',
		rows: young(75, 95)
	}
];
