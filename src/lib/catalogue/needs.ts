/**
 * What posed and mobility steps truly need, by axis and leg: the least that lets the act be done at its easiest setting. The drawing bends to the
 * client; these numbers do not follow it.
 *
 * K knee bend, F sitting fold, A ankle with weight on, S straight-leg raise, H hip back (pelvis held), T big toe up, O hip out, R hip turned out,
 * I hip turned in, B bow of the trunk; degrees. `~` smaller movement counts, down to the number. `end` goes to the client's own end of an axis: of what is tolerated it asks nothing, and a protocol
 * window on it closes the step.
 * @source common-practice every number
 */
import type { Axis } from '../core/body/axis.ts';
import type { Needs, Step } from '../core/exercise/family.ts';

const AXIS: Readonly<Record<string, Axis>> = {
	K: 'kneeFlexion',
	F: 'thighTrunkFlexion',
	A: 'weightBearingDorsiflexion',
	S: 'straightLegRaise',
	H: 'hipExtension',
	T: 'bigToeExtension',
	O: 'hipAbduction',
	R: 'hipExternalRotation',
	I: 'hipInternalRotation',
	B: 'forwardBow'
};
const axisOf = (letter: string): Axis => {
	const axis = AXIS[letter];
	if (axis === undefined) throw new Error(`no axis ${letter}`);
	return axis;
};

const words = (text: string): readonly string[] => (text === '' ? [] : text.split(' '));
const asked = (text: string): Needs['working'] =>
	Object.fromEntries(words(text).map((w) => [axisOf(w[0] ?? ''), Number(w.slice(1).replace('~', ''))]));

/** Working leg, other leg (`same` where both do it), and the axes that each takes to its end. */
function needs(working: string, other: string, end = '', otherEnd = other === 'same' ? end : ''): Needs {
	const own = asked(working);
	const both = other === 'same';
	const scales = words(`${working}${both ? '' : ` ${other}`}`.trim())
		.filter((w) => w.endsWith('~'))
		.map((w) => axisOf(w[0] ?? ''));
	return {
		working: own,
		other: both ? own : asked(other),
		end: words(end).map(axisOf),
		otherEnd: words(otherEnd).map(axisOf),
		scales
	};
}

const ROWS: readonly (readonly [
	steps: string,
	working: string,
	other: string,
	end?: string,
	otherEnd?: string
])[] = [
	['side-by-side-stance staggered-stance tandem-stance stance-passes weighted-passes', '', ''],
	['single-leg-stance single-leg-head-turns', '', 'K30'],
	['bird-dog kneeling-hip-extension', 'K90 F80 H-10', 'K90 F80'],
	['plank', 'H-10 T50', 'same'],
	['plank-hip-extension', 'H5~', 'H-10 T50'],
	['plank-knee-in', 'K90~ F90~ T50 H-10', 'T50 H-10'],
	['knee-plank', 'K30 H-10', 'same'],
	['roll-front-thigh side-plank side-plank-lift', 'H-10', 'same'],
	['side-plank-knees', 'K45 H-10', 'same'],
	['clamshell banded-clamshell', 'K60 F30~ R15~', 'K60 F30'],
	['side-lying-lift', 'K30 F20 O10~', 'K30 F20'],
	['straight-leg-lift ankle-band-lift', 'H-10 O10~', 'K30'],
	['inner-thigh-lift', 'H-10', 'K60 F60'],
	// By hand 90, with a strap 60.
	['quad-stretch', 'K60 H-10', '', 'K H'],
	['quad-pull', 'K60 H-10', 'T25', 'K H'],
	['kneeling-quad-stretch', 'K100', 'same', 'K H'],
	['one-leg-sit-back', 'K100 F80', 'K30', 'K F'],
	['lunge-to-plank-extension', 'H5~ T50', 'K80 F100 A15'],
	['side-plank-leg-hold', 'K30~ F30~ O10~', 'H-10'],
	['hip-flexor-stretch', 'K90 H-10', 'K80 F80 A5', 'H'],
	['ninety-ninety hip-axle ninety-switch', 'K80 F80', 'K80 F60', 'R', 'I'],
	['kneeling-hinge', 'K95 F40~ B10~', 'same'],
	// From an ordinary seat 95, from a high one 80.
	['seated-hinge', 'K60 F80~ B10~', 'same'],
	['standing-curl', 'K45~ H-10', ''],
	['prone-curl cuff-prone-curl', 'K45~ H-10', 'H-10'],
	['seated-curl', 'K60~ F80 S55', 'same'],
	['march', 'K45~ F45~', ''],
	['hip-gate', 'K60 F60~', ''],
	['knee-hug', 'K60', '', 'F'],
	['wall-slide-hold', 'K30 F30', 'same'],
	['wall-sit-hold', 'K60~ F60~', 'same'],
	['wall-press', 'K30 F20', ''],
	['standing-abduction banded-standing-abduction', 'O10~', ''],
	['standing-hip-extension', 'K45~ H5~', ''],
	// From a high seat 70.
	['pillow-squeeze', 'K70 F70', 'same'],
	['hook-squeeze', 'K60 F30', 'same'],
	['squatted-side-step monster-walk monster-walk-shins monster-walk-ankles', 'K30~ F30~ A10', 'same'],
	['lateral-hop lateral-hop-touch', 'K45 F40 A20 T40', 'K45'],
	['jog', 'K45 F30 A15 T40', 'K70~ H0'],
	['squat-jump', 'K70~ F70~ A20 T40', 'same'],
	['split-jump', 'K70~ F70~ A15', 'K70~ H5 T50'],
	['three-way-ankle', 'K70 F60', '', 'A'],
	['calf-stretch', 'H-10', 'K30 A10', 'A'],
	['hamstring-bend', 'F30~ B30~', 'same', 'S F'],
	['straight-leg-kick', 'S30~', ''],
	['figure-four', 'F70 K60', 'F60 K60', 'R F'],
	['knee-to-chest', 'K60', 'F30 K60', 'F'],
	['groin-opener', 'K40 F40 A10', '', 'O', 'O'],
	['quad-set', '', ''],
	['brace-and-breath', 'K60 F30', 'same'],
	['rest-legs-up', 'K70 F75', 'same'],
	['seated-heel-raise', 'K70 F80 T25', 'same'],
	['roll-back-thigh', 'F55 S45', 'same'],
	['roll-outer-thigh', '', 'K45 F30'],
	['arm-set', 'K60 F80~', 'same'],
	['weight-shift', '', ''],
	['straight-leg-raise', 'S30~', 'K60 F30'],
	['heel-slide', 'K30~ F20~', ''],
	['machine-prone-curl', 'K45~ H-10', 'same'],
	['band-foot-push', 'F70 S55', 'F70'],
	['standing-hip-flexor-stretch', 'H-10 T40', 'K30 F30 A5', 'H'],
	['knee-straightening-stretch', '', 'K60 F30'],
	['standing-brace-and-breath', 'K30~ F30~', 'same'],
	['pelvic-floor-squeeze', '', ''],
	['roll-outer-back-thigh', 'F55 S45', 'same'],
	['high-knees', 'K45~ F45~', ''],
	['heel-kicks', 'K45~', ''],
	['cross-steps', 'K30~ F20~', 'same'],
	['skip-high', 'K60~ F60~ A15 T40', 'K45~']
];

const NEEDS: ReadonlyMap<string, Needs> = new Map(
	ROWS.flatMap(([steps, ...row]) => words(steps).map((id) => [id, needs(...row)] as const))
);

/** The step with what it needs, where that is written and not solved. */
export function needed(step: Step): Step {
	const own = NEEDS.get(step.id);
	return own === undefined ? step : { ...step, needs: own };
}

/** Steps that the table speaks of, for tests. */
export const NEEDED_STEPS: readonly string[] = [...NEEDS.keys()];
