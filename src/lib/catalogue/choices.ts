/**
 * What can be set inside a step, and which steps it belongs to: one table, read from the choice. Ranked ones go from gentle to hard along the one dial they
 * name; free ones are taste. Adding a choice to a step is a word in a row.
 * @source common-practice every row; the widths, angles and centimetres that nobody states exactly are practice settings
 */
import type { Choice, Place } from '../core/exercise/family.ts';
import type { Dial } from '../core/exercise/dial.ts';
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';

const ids = (...lines: readonly string[]): readonly string[] => lines.flatMap((l) => l.split(' '));
const at = (id: string, title: string, more: Omit<Place, 'id' | 'title'> = {}): Place => ({
	id,
	title,
	...more
});
const ranked = (id: string, title: string, dial: Dial, usual: string, ...of: readonly Place[]): Choice => ({
	...{ id, title, dial, ranked: true, of, usual }
});
const free = (id: string, title: string, dial: Dial, usual: string, ...of: readonly Place[]): Choice => ({
	...{ id, title, dial, ranked: false, of, usual }
});

interface Row {
	readonly choice: Choice;
	readonly steps: readonly string[];
}

const TWO_LEGS = 'counter-squat free-squat banded-squat goblet-squat shoulder-loaded-squat';
const HEELS_RAISED = 'slow-heels-raised-squat heels-raised-goblet';
const SPLITS = 'held-split-squat split-squat goblet-split-squat';
const BRIDGES =
	'bridge far-feet-bridge banded-bridge weighted-bridge arms-up-bridge single-leg-bridge weighted-single-leg-bridge bench-bridge loaded-bench-bridge feet-raised-bridge';
const MOVING = 'reverse-lunge-held reverse-lunge loaded-reverse-lunge forward-lunge';

/** At the hard point; a hold at the pain-free bottom comes before more depth. */
const PAUSE: Choice = {
	...ranked(
		'pause',
		'pause',
		'tempo',
		'0',
		at('0', 'none'),
		at('2', '2 s', { pauseSec: 2, dials: { tempo: 'pause' } }),
		at('5', '5 s', { pauseSec: 5, dials: { tempo: 'pause' } })
	),
	before: 'depth'
};

/** On the hands the body stands steeper: how steep depends on where it rests. */
const plankOn = (body: NonNullable<Place['pose']>): Choice =>
	free(
		'plank-on',
		'on',
		'support',
		'forearms',
		at('forearms', 'the forearms'),
		at('hands', 'the hands', { pose: { ...body, arm: 4, forearm: 4 } })
	);

export const CHOICE_ROWS: readonly Row[] = [
	{
		choice: ranked(
			'touch',
			'seat',
			'tempo',
			'touch',
			at('touch', 'touched'),
			at('hover', 'hovered over', { dials: { tempo: 'hold' }, seat: { below: 3 } })
		),
		steps: ids('raised-seat standard-seat banded-seat-squat rise-and-reach single-leg-to-seat')
	},
	{
		choice: free(
			'behind',
			'chair stands',
			'surface',
			'5',
			at('0', 'at the heels', { seat: { behind: -5 } }),
			at('5', '5 cm behind'),
			at('10', '10 cm behind', { seat: { behind: 5 } })
		),
		steps: ids('raised-seat standard-seat banded-seat-squat')
	},
	{ choice: PAUSE, steps: ids(TWO_LEGS, 'narrow-squat wide-squat', SPLITS, BRIDGES) },
	{
		choice: free(
			'stance',
			'feet',
			'base',
			'1',
			at('0.7', 'close', { feet: { widths: 0.7 }, tags: ['narrow-base'] }),
			at('1', 'hip-wide', { feet: { widths: 1 } }),
			at('1.4', '1.4 widths', { feet: { widths: 1.4 } }),
			at('2', 'wide', { feet: { widths: 2 }, tags: ['hip-out'] })
		),
		steps: ids(TWO_LEGS, HEELS_RAISED, 'standard-seat raised-seat')
	},
	{
		choice: free(
			'toes',
			'toes',
			'base',
			'0',
			at('0', 'ahead', { posture: { toeOutDeg: 0 }, feet: { outDeg: 0 } }),
			at('10', '10° out', { posture: { toeOutDeg: 10 }, feet: { outDeg: 10 } }),
			at('25', '25° out', { posture: { toeOutDeg: 25 }, feet: { outDeg: 25 } })
		),
		steps: ids(TWO_LEGS, HEELS_RAISED, 'standard-seat raised-seat')
	},
	{
		// Gentle for the ankle is a high wedge; it is no relief for a sore front of the knee.
		choice: ranked(
			'wedge',
			'wedge',
			'surface',
			'5',
			at('5', '5 cm', { posture: { heelWedgeCm: 5 } }),
			at('3', '3 cm', { posture: { heelWedgeCm: 3 } }),
			at('1', '1 cm', { posture: { heelWedgeCm: 1 } })
		),
		steps: ids(HEELS_RAISED, 'heels-raised-single-leg-squat')
	},
	{
		choice: ranked(
			'heel',
			'heel',
			'surface',
			'0',
			at('0', 'flat'),
			at('2', 'on 2 cm', { posture: { heelWedgeCm: 2 }, kit: ['wedge'] }),
			at('5', 'on 5 cm', { posture: { heelWedgeCm: 5 }, kit: ['wedge'] })
		),
		steps: ids('lateral-step-up step-down-tap high-step-down')
	},
	{
		choice: ranked(
			'sides',
			'sides',
			'rhythm',
			'alternate',
			at('alternate', 'in turn'),
			at('one', 'one, then the other', { dials: { rhythm: 'one-side' } })
		),
		steps: ids(MOVING)
	},
	{
		choice: free(
			'rear-knee',
			'rear knee',
			'depth',
			'hover',
			at('hover', 'hovers'),
			at('touch', 'touches the floor', { tags: ['kneeling'], kit: [['pillow', 'towel']] })
		),
		steps: ids('split-squat goblet-split-squat reverse-lunge stick-lunge-3')
	},
	{
		choice: ranked(
			'settle',
			'after the step',
			'attention',
			'2',
			at('2', 'stand 2 s'),
			at('1', 'stand 1 s', { dials: { attention: 'arms-move' } }),
			at('0', 'go on at once', { dials: { attention: 'pass' } })
		),
		steps: ids(MOVING, 'walking-lunge')
	},
	{
		choice: ranked(
			'riser',
			'front foot',
			'surface',
			'10',
			at('5', 'on 5 cm', { posture: { frontElevationCm: 5 } }),
			at('10', 'on 10 cm', { posture: { frontElevationCm: 10 } }),
			at('15', 'on 15 cm', { posture: { frontElevationCm: 15 } }),
			at('20', 'on 20 cm', { posture: { frontElevationCm: 20 } })
		),
		steps: ids('front-raised-split-squat loaded-front-raised-split-squat')
	},
	{
		choice: ranked(
			'rear-foot',
			'rear foot',
			'attention',
			'helps',
			at('helps', 'helps'),
			at('hardly', 'hardly helps', { dials: { attention: 'arms-move' } })
		),
		steps: ids('front-raised-split-squat loaded-front-raised-split-squat')
	},
	{
		choice: ranked(
			'second-dip',
			'rear knee',
			'support',
			'rests',
			at('rests', 'rests'),
			at('hovers', 'hovers', { dials: { support: 'none' }, without: ['kneeling'] })
		),
		steps: ids('stick-lunge-2')
	},
	{
		choice: ranked(
			'shift',
			'as far as',
			'attention',
			'shift',
			at('shift', 'the shift'),
			at('turned', 'the pelvis turned', { dials: { attention: 'arms-move' } }),
			at('tuck', 'the tuck', { dials: { attention: 'arms-move' } }),
			at('toe-wedges', 'toes on wedges', { dials: { attention: 'pass' }, kit: ['toe-wedge'] }),
			at('rear-heel', 'the rear heel light', { dials: { attention: 'pass' } }),
			at('arms', 'arms and rounding', { dials: { attention: 'pass' } })
		),
		steps: ids('wide-shift-lunge')
	},
	{
		choice: ranked(
			'hands',
			'hands',
			'support',
			'behind',
			at('behind', 'behind'),
			at('ahead', 'ahead', { dials: { support: 'one-hand' }, pose: { arm: 18, forearm: -14 } }),
			at('free', 'free', {
				dials: { support: 'none' },
				without: ['weight-on-hands'],
				pose: { arm: 14, forearm: -96 }
			})
		),
		steps: ids('ninety-ninety')
	},
	{
		choice: ranked(
			'arms',
			'arms',
			'lever',
			'rest',
			at('rest', 'at rest'),
			at('fists-back', 'fists drawn back', {
				dials: { lever: 'bent' },
				pose: { arm: 0, forearm: 60 }
			}),
			at('ahead', 'clasped ahead', { dials: { lever: 'straight' }, pose: { arm: 90, forearm: 90 } }),
			at('overhead', 'overhead', {
				dials: { lever: 'straight' },
				pose: { arm: 176, forearm: 178 },
				tags: ['arms-overhead']
			})
		),
		steps: ids('ninety-ninety')
	},
	{
		choice: ranked(
			'lean-on',
			'hands',
			'support',
			'block',
			at('block', 'on a block or behind'),
			at('leg', 'on the lead leg', {
				dials: { support: 'none' },
				without: ['weight-on-hands'],
				pose: { arm: 26, forearm: 44 }
			})
		),
		steps: ids('hip-axle')
	},
	{
		choice: ranked(
			'back',
			'leaning back',
			'depth',
			'upright',
			at('upright', 'not at all'),
			at('blocks', 'hips on blocks', {
				kit: [['block', 'pillow']],
				dials: { depth: 'half' },
				needs: { kneeFlexion: 115 },
				pose: { trunk: -15, thigh: 25 }
			}),
			at('elbows', 'elbows on blocks', {
				kit: [['block', 'pillow']],
				dials: { depth: 'level' },
				needs: { kneeFlexion: 135 },
				pose: { trunk: -45, thigh: 45 }
			}),
			at('lying', 'lying back', {
				dials: { depth: 'as-controlled' },
				needs: { kneeFlexion: 150 },
				pose: { trunk: -76, thigh: 60, arm: 84, forearm: 88 },
				tags: ['supine']
			})
		),
		steps: ids('kneeling-quad-stretch')
	},
	{
		choice: free(
			'ankle-from',
			'done',
			'position',
			'standing',
			at('standing', 'standing'),
			at('kneeling', 'kneeling', { tags: ['kneeling', 'floor-transfer'] })
		),
		steps: ids('three-way-ankle')
	},
	{ choice: plankOn({ trunk: 69, thigh: -69, shank: -69 }), steps: ids('plank') },
	{ choice: plankOn({ trunk: 60, thigh: -56 }), steps: ids('knee-plank') },
	{
		choice: ranked(
			'free-leg',
			'free leg',
			'lever',
			'bent',
			at('bent', 'bent'),
			at('straight', 'straight', { dials: { lever: 'straight' } })
		),
		steps: ids('single-leg-bridge weighted-single-leg-bridge')
	},
	{
		choice: ranked(
			'rest-on',
			'shoulders on',
			'attention',
			'bench',
			at('bench', 'a bench', { kit: ['bench'] }),
			at('ball', 'a ball', { dials: { attention: 'arms-move' }, tags: ['unsteady'], kit: ['ball'] })
		),
		steps: ids('bench-bridge')
	},
	{
		choice: ranked(
			'band-at',
			'band',
			'lever',
			'ankles',
			at('knees', 'above the knees', { dials: { lever: 'band' }, pose: { props: ['band-knees'] } }),
			at('shins', 'round the shins', { dials: { lever: 'band-shin' }, pose: { props: ['band-shins'] } }),
			at('ankles', 'round the ankles', { dials: { lever: 'band-ankle' } })
		),
		steps: ids('banded-standing-abduction')
	},
	{
		choice: ranked(
			'band-lift',
			'band',
			'lever',
			'none',
			at('none', 'none'),
			at('shins', 'round the shins', {
				dials: { lever: 'band-shin' },
				kit: ['band'],
				pose: { props: ['band-shins'] }
			}),
			at('ankles', 'round the ankles', {
				dials: { lever: 'band-ankle' },
				kit: ['band'],
				pose: { props: ['band-ankles'] }
			})
		),
		steps: ids('straight-leg-lift')
	},
	{
		choice: free(
			'room',
			'room',
			'direction',
			'long',
			at('long', 'all in one direction'),
			at('short', '3–5 steps and back')
		),
		steps: ids('monster-walk monster-walk-shins monster-walk-ankles squatted-side-step')
	},
	{
		choice: ranked(
			'pillow',
			'pillow',
			'depth',
			'thick',
			at('thick', 'thick'),
			at('thin', 'thin', { dials: { depth: 'half' } })
		),
		steps: ids('pillow-squeeze hook-squeeze')
	},
	{
		choice: ranked(
			'off-wall',
			'from the wall',
			'base',
			'close',
			at('close', 'close'),
			at('half-step', 'half a step off', { dials: { base: 'one' } })
		),
		steps: ids('wall-press')
	},
	{
		choice: ranked(
			'in-line',
			'feet',
			'base',
			'wide',
			at('wide', 'a hip apart', { feet: { widths: 1 } }),
			at('half', 'half a hip', { feet: { widths: 0.5 } }),
			at('line', 'in line', { feet: { widths: 0.1 }, tags: ['unsteady'] })
		),
		steps: ids('staggered-stance')
	},
	{
		choice: free(
			'bar-knee',
			'knees',
			'depth',
			'as-taught',
			at('as-taught', 'as the handle asks'),
			at('45', '45°', { posture: { kneeDeg: 45 } })
		),
		steps: ids('raised-handle-deadlift low-handle-deadlift')
	},
	{
		choice: free(
			'hinge-knee',
			'knees',
			'depth',
			'soft',
			at('soft', 'soft'),
			at('straight', 'nearly straight', { posture: { kneeDeg: 8 }, tags: ['locks-out'] })
		),
		steps: ids('hands-on-thighs-hinge wall-reach-hinge free-hinge stick-hinge hinge-loaded staggered-hinge')
	},
	{
		choice: ranked(
			'curl-to',
			'bend',
			'depth',
			'half',
			at('half', 'half way'),
			at('90', 'to 90°', { dials: { depth: 'half' }, needs: { kneeFlexion: 90 } }),
			at('full', 'all the way', { dials: { depth: 'as-controlled' }, needs: { kneeFlexion: 120 } })
		),
		steps: ids('seated-curl prone-curl cuff-prone-curl machine-prone-curl standing-curl')
	},
	{
		choice: ranked(
			'carried',
			'carried',
			'load',
			'chest',
			at('chest', 'one at the chest'),
			at('sides', 'two at the sides', {
				dials: { load: 'moderate' },
				loadAt: 'sides',
				tags: ['hanging-load']
			})
		),
		steps: ids('loaded-momentum-rise')
	},
	{
		choice: ranked(
			'weights',
			'on the shoulders',
			'load',
			'one',
			at('one', 'one weight'),
			at('two', 'two weights', { dials: { load: 'heavy' } })
		),
		steps: ids('shoulder-loaded-squat')
	},
	{
		choice: free(
			'taken',
			'taken',
			'position',
			'seated',
			at('seated', 'sitting'),
			at('kneeling', 'kneeling', { tags: ['kneeling', 'floor-transfer'] }),
			at('standing', 'standing')
		),
		steps: ids('arm-set')
	},
	{
		choice: free(
			'lies-on',
			'bench',
			'position',
			'flat',
			at('flat', 'flat, with a roll'),
			at('bent', 'bent, no roll', { without: ['spine-backward'] })
		),
		steps: ids('machine-prone-curl')
	},
	{
		// Higher hips fold less over thighs whose knees stay down: the angle whose sine is the height over a thigh of some 40 cm.
		choice: ranked(
			'sits-on',
			'sits',
			'depth',
			'0',
			at('10', '10 cm up', { needs: { thighTrunkFlexion: 66 }, kit: [['block', 'pillow']] }),
			at('5', '5 cm up', { needs: { thighTrunkFlexion: 73 }, kit: [['block', 'pillow']] }),
			at('0', 'on the floor')
		),
		steps: ids('ninety-ninety hip-axle ninety-switch')
	},
	{
		choice: ranked(
			'pillows',
			'pillows',
			'depth',
			'20',
			at('20', '20 cm high'),
			at('10', '10 cm high', {
				dials: { depth: 'half' },
				needs: { kneeFlexion: 125 },
				pose: { thigh: 58 }
			}),
			at('0', 'none', { dials: { depth: 'level' }, needs: { kneeFlexion: 145 }, pose: { thigh: 68 } })
		),
		steps: ids('one-leg-sit-back')
	},
	{
		choice: ranked(
			'arc',
			'arc',
			'depth',
			'30',
			at('15', 'from 15°', { posture: { fromDeg: 15 } }),
			at('30', 'from 30°', { posture: { fromDeg: 30 } })
		),
		steps: ids('short-arc')
	}
];

const OF_STEP = new Map<string, Choice[]>();
for (const { choice, steps } of CHOICE_ROWS)
	for (const step of steps) OF_STEP.set(step, [...(OF_STEP.get(step) ?? []), choice]);

const withChoices = (s: Step): Step => {
	const choices = OF_STEP.get(s.id);
	return choices === undefined ? s : { ...s, choices };
};

/** A ladder with what can be set inside its steps. */
export const chosenIn = (family: ExerciseFamily): ExerciseFamily => ({
	...family,
	steps: family.steps.map(withChoices)
});

const TITLES: ReadonlyMap<string, readonly [choice: string, place: string]> = new Map(
	CHOICE_ROWS.flatMap(({ choice: c }) =>
		c.of.map((p) => [`${c.id}|${p.id}`, [c.title, p.title] as const] as const)
	)
);

/** A place as one says it: "pause 2 s", "feet wide"; of a choice that is a practice's own, by its ids. */
export const placeTitle = (choice: string, place: string): string =>
	(TITLES.get(`${choice}|${place}`) ?? [choice, place]).join(' ');
