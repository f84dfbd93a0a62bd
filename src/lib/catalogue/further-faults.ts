/**
 * What is looked for on which steps besides what a step's own lines name: one table, read from the fault, so that a practitioner can check a row at a
 * glance.
 * @source common-practice every row
 */
import type { ExerciseFamily, Fault, Step } from '../core/exercise/family.ts';
import { FAULTS } from './faults.ts';

const ids = (...lines: readonly string[]): readonly string[] => lines.flatMap((l) => l.split(' '));

const HANG = 'hinge-loaded raised-handle-deadlift low-handle-deadlift straight-knee-hinge-loaded';
const SPLIT = 'held-split-squat split-squat goblet-split-squat';
const CHEST = 'goblet-squat heels-raised-goblet goblet-split-squat goblet-side-lunge';
const SQUATS =
	'counter-squat free-squat banded-squat narrow-squat wide-squat goblet-squat shoulder-loaded-squat slow-heels-raised-squat heels-raised-goblet';
const RISES =
	'raised-seat-hands raised-seat momentum-rise loaded-momentum-rise standard-seat banded-seat-squat rise-and-reach rise-and-press';
const LUNGES =
	'held-split-squat split-squat goblet-split-squat reverse-lunge-held reverse-lunge loaded-reverse-lunge front-raised-split-squat loaded-front-raised-split-squat forward-lunge walking-lunge crossed-lunge held-side-lunge side-lunge goblet-side-lunge';
const STEP_UPS = 'low-step-up lateral-step-up step-up-held step-up loaded-step-up high-step-up';
const STEPS = `${STEP_UPS} step-down-tap high-step-down`;

export const WATCHED: Readonly<Record<string, readonly string[]>> = {
	'knee-drifts-out': ids('standard-seat banded-seat-squat counter-squat free-squat banded-squat'),
	'knees-first': ids('hands-on-thighs-hinge wall-reach-hinge free-hinge stick-hinge', HANG),
	'drifts-forward': ids(SPLIT, 'stick-lunge-1 stick-lunge-2 stick-lunge-3'),
	'knee-dives-on-landing': ids('squat-jump lateral-hop-touch lateral-hop split-jump skip-high'),
	'knee-stays-back': ids('slow-heels-raised-squat heels-raised-goblet heels-raised-single-leg-squat'),
	'trunk-off-shin': ids('counter-squat free-squat goblet-squat'),
	'rear-leg-pushes': ids(SPLIT, 'front-raised-split-squat loaded-front-raised-split-squat'),
	'rear-heel-flat': ids(SPLIT, 'reverse-lunge-held reverse-lunge'),
	'heel-hangs': ids(STEP_UPS, 'step-down-tap high-step-down'),
	'shoulders-round': ids(
		HANG,
		'split-squat goblet-split-squat reverse-lunge loaded-reverse-lunge front-raised-split-squat loaded-front-raised-split-squat'
	),
	'arms-slack': ids(HANG),
	'elbows-flare': ids(CHEST),
	'gaze-off': ids('free-hinge wall-reach-hinge'),
	'under-braced': ids(HANG, 'goblet-squat shoulder-loaded-squat'),
	'hips-lift': ids('prone-curl cuff-prone-curl machine-prone-curl'),
	'back-off-pad': ids('seated-curl leg-extension leg-press single-leg-press'),
	'pulls-with-hands': ids('raised-seat-hands momentum-rise'),
	'feet-too-wide': ids('pillow-squeeze hook-squeeze'),
	'pushes-too-hard': ids('wall-press pillow-squeeze hook-squeeze'),
	'stance-knee-locks': ids(
		'standing-abduction banded-standing-abduction standing-hip-extension standing-curl'
	),
	'knee-sags': ids('straight-leg-raise'),
	'hips-not-square': ids('stick-lunge-1 stick-lunge-2 stick-lunge-3 crossed-lunge'),
	'pelvis-tips-forward': ids('hip-flexor-stretch standing-hip-flexor-stretch quad-stretch'),
	'knee-lifts': ids('figure-four ninety-ninety groin-opener'),
	// Known ones, on more steps.
	'knee-leads': ids(STEPS, LUNGES, 'momentum-rise loaded-momentum-rise'),
	'back-arches': ids(SQUATS),
	'work-not-felt': ids(SQUATS, STEPS, LUNGES),
	'position-lost-midset': ids(SQUATS),
	'toes-lift': ids(STEPS, 'leg-press single-leg-press'),
	wobbles: ids(STEPS),
	'trunk-tips': ids(
		'toe-touch-squat single-leg-to-seat single-leg-squat slow-heels-raised-squat heels-raised-goblet side-lunge'
	),
	'back-feels-worked': ids(
		'seated-curl standing-curl prone-curl cuff-prone-curl machine-prone-curl leg-press single-leg-press leg-extension'
	),
	'back-rounds': ids('ninety-ninety', RISES),
	'foot-slides': ids('stick-lunge-1 stick-lunge-2 stick-lunge-3'),
	'trunk-twists': ids('stick-lunge-1 stick-lunge-2 stick-lunge-3')
};

/** A knee that leads is one on a step and on the swing of a rise whatever is taught. */
const UNTAUGHT: Readonly<Record<string, readonly string[]>> = {
	'knee-leads': ids(STEPS, 'momentum-rise loaded-momentum-rise')
};

/** What a ladder does about a fault otherwise than the others. */
const IN_FAMILY: Readonly<Record<string, Readonly<Record<string, Partial<Fault>>>>> = {
	lunge: {
		'knee-leads': {
			dial: 'cue',
			seenFrom: 'side: the client cannot see their own toes; a longer stride mends it'
		}
	}
};

const OF_STEP = new Map<string, string[]>();
for (const [fault, steps] of Object.entries(WATCHED))
	for (const id of steps) OF_STEP.set(id, [...(OF_STEP.get(id) ?? []), fault]);

const watchedOn = (s: Step): Step => {
	const more = (OF_STEP.get(s.id) ?? []).filter((f) => !s.faults.includes(f));
	const untaught = Object.keys(UNTAUGHT).filter((f) => UNTAUGHT[f]?.includes(s.id) === true);
	return {
		...s,
		faults: [...s.faults, ...more],
		...(untaught.length === 0 ? {} : { faultsUntaught: untaught })
	};
};

/** A ladder with all that is looked for on its steps; the family knows each. */
export function watchedFor(family: ExerciseFamily): ExerciseFamily {
	const steps = family.steps.map(watchedOn);
	const named = new Set(steps.flatMap((s) => s.faults));
	const known = new Set(family.faults.map((f) => f.id));
	return {
		...family,
		steps,
		faults: [...family.faults, ...FAULTS.filter((f) => named.has(f.id) && !known.has(f.id))].map((f) => ({
			...f,
			...IN_FAMILY[family.id]?.[f.id]
		}))
	};
}
