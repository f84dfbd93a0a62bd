/**
 * Which steps carry which tag: what is true of a step beyond its angles, for cautions, protocols and positions to hold on to. One table, read
 * from the tag, so that a practitioner can check a row at a glance. `hip-out` and `heel-raised` stand for protocol windows on movements
 * that no set-up is solved on.
 * @source common-practice every row
 */
import type { Step, Tag } from '../core/exercise/family.ts';

const ids = (...lines: readonly string[]): readonly string[] => lines.flatMap((l) => l.split(' '));

export const STEPS_WITH: Readonly<Record<Tag, readonly string[]>> = {
	'one-leg': ids(
		'heels-raised-single-leg-squat loaded-front-raised-split-squat held-side-lunge goblet-side-lunge one-foot-bent-heel-raise-held one-foot-bent-heel-raise high-knees heel-kicks skip-high',
		'staggered-seat toe-touch-squat single-leg-to-seat single-leg-squat low-step-up lateral-step-up',
		'step-up-held step-up loaded-step-up high-step-up step-down-tap high-step-down held-split-squat',
		'split-squat goblet-split-squat reverse-lunge-held reverse-lunge loaded-reverse-lunge',
		'front-raised-split-squat side-lunge forward-lunge walking-lunge crossed-lunge stick-lunge-1',
		'stick-lunge-2 stick-lunge-3 staggered-hinge single-leg-hinge single-leg-bridge',
		'weighted-single-leg-bridge wall-press standing-abduction banded-standing-abduction standing-curl',
		'single-leg-press one-foot-heel-raise-held one-foot-edge-heel-raise one-foot-heel-raise',
		'single-leg-stance single-leg-head-turns lateral-hop-touch lateral-hop split-jump quad-stretch',
		'hip-gate knee-hug quad-pull straight-leg-kick standing-hip-extension'
	),
	unsteady: ids(
		'heels-raised-single-leg-squat loaded-front-raised-split-squat goblet-side-lunge one-foot-bent-heel-raise high-knees heel-kicks cross-steps skip-high',
		'stance-passes weighted-passes tandem-stance single-leg-stance single-leg-head-turns',
		'toe-touch-squat single-leg-to-seat single-leg-squat step-up loaded-step-up high-step-up',
		'step-down-tap high-step-down split-squat goblet-split-squat reverse-lunge loaded-reverse-lunge',
		'front-raised-split-squat side-lunge forward-lunge walking-lunge crossed-lunge stick-lunge-1',
		'stick-lunge-2 stick-lunge-3 wide-shift-lunge staggered-hinge single-leg-hinge',
		'one-foot-heel-raise monster-walk monster-walk-shins monster-walk-ankles march jog squat-jump',
		'lateral-hop-touch lateral-hop split-jump hip-gate knee-hug quad-pull straight-leg-kick',
		'squatted-side-step'
	),
	'narrow-base': ids('narrow-squat'),
	// Weights at the sides of an upright trunk: a sore back alone does not withhold them.
	'hanging-load': ids('loaded-step-up loaded-front-raised-split-squat loaded-reverse-lunge'),
	'spine-load': ids(
		'shoulder-loaded-squat loaded-front-raised-split-squat goblet-side-lunge loaded-momentum-rise',
		'rise-and-press goblet-squat heels-raised-goblet loaded-step-up goblet-split-squat',
		'loaded-reverse-lunge hinge-loaded raised-handle-deadlift low-handle-deadlift',
		'straight-knee-hinge-loaded'
	),
	'loaded-spine-bending': ids(
		'hinge-loaded raised-handle-deadlift low-handle-deadlift straight-knee-hinge-loaded'
	),
	'spine-end-bend': ids('hamstring-bend knee-to-chest figure-four plank-knee-in'),
	'spine-backward': ids(
		'lunge-to-plank-extension rise-and-reach standing-hip-flexor-stretch machine-prone-curl',
		'standing-hip-extension kneeling-hip-extension plank-hip-extension hip-flexor-stretch',
		'kneeling-quad-stretch stick-lunge-2 stick-lunge-3 prone-curl cuff-prone-curl roll-front-thigh',
		'rise-and-press'
	),
	'loaded-twist': ids('weighted-passes'),
	'trunk-strain': ids(
		'lunge-to-plank-extension side-plank-leg-hold knee-plank plank plank-hip-extension plank-knee-in side-plank side-plank-lift'
	),
	impact: ids('skip-high', 'jog squat-jump lateral-hop-touch lateral-hop split-jump'),
	'high-impact': ids('skip-high', 'squat-jump lateral-hop-touch lateral-hop split-jump'),
	'arms-overhead': ids('rise-and-reach', 'rise-and-press stick-lunge-2 hip-flexor-stretch wide-shift-lunge'),
	'breath-holding': ids(
		'side-plank-leg-hold shoulder-loaded-squat loaded-front-raised-split-squat',
		'rise-and-press goblet-squat heels-raised-goblet low-handle-deadlift loaded-bench-bridge',
		'raised-handle-deadlift goblet-split-squat leg-press single-leg-press wall-sit-hold plank',
		'side-plank side-plank-lift'
	),
	'long-hold': ids(
		'side-plank-leg-hold wall-slide-hold wall-sit-hold leg-extension-hold heel-raise-hold bridge-hold knee-plank plank',
		'side-plank-knees side-plank'
	),
	'head-low': ids('hung-feet-bridge hamstring-bend single-leg-hinge low-handle-deadlift feet-raised-bridge'),
	'toes-bent': ids(
		'lunge-to-plank-extension loaded-front-raised-split-squat one-foot-bent-heel-raise-held one-foot-bent-heel-raise standing-hip-flexor-stretch skip-high',
		'held-split-squat split-squat goblet-split-squat reverse-lunge-held reverse-lunge',
		'loaded-reverse-lunge front-raised-split-squat forward-lunge walking-lunge crossed-lunge',
		'stick-lunge-1 stick-lunge-2 stick-lunge-3 plank-hip-extension plank-knee-in seated-heel-raise',
		'heel-raise bent-knee-heel-raise edge-heel-raise one-foot-heel-raise-held',
		'one-foot-edge-heel-raise one-foot-heel-raise split-jump heel-raise-hold plank quad-pull jog',
		'squat-jump lateral-hop-touch lateral-hop'
	),
	'heel-raised': ids(
		'one-foot-bent-heel-raise-held one-foot-bent-heel-raise skip-high',
		'seated-heel-raise heel-raise bent-knee-heel-raise edge-heel-raise one-foot-heel-raise-held',
		'one-foot-edge-heel-raise one-foot-heel-raise heel-raise-hold jog squat-jump lateral-hop-touch',
		'lateral-hop split-jump'
	),
	'end-range-rotation': ids('ninety-switch wide-shift-lunge figure-four ninety-ninety hip-axle hip-gate'),
	'adduction-past-midline': ids('cross-steps', 'crossed-lunge inner-thigh-lift'),
	'hip-out': ids(
		'side-plank-leg-hold held-side-lunge goblet-side-lunge',
		'clamshell banded-clamshell side-lying-lift straight-leg-lift ankle-band-lift standing-abduction',
		'banded-standing-abduction side-lunge wide-shift-lunge wide-squat groin-opener monster-walk',
		'monster-walk-shins monster-walk-ankles squatted-side-step lateral-hop lateral-hop-touch'
	),
	'end-stretch': ids(
		'ninety-switch one-leg-sit-back standing-hip-flexor-stretch knee-straightening-stretch',
		'quad-stretch kneeling-quad-stretch hip-flexor-stretch hamstring-bend figure-four ninety-ninety',
		'hip-axle three-way-ankle groin-opener knee-to-chest calf-stretch stick-lunge-1 stick-lunge-2',
		'stick-lunge-3 wide-shift-lunge knee-hug quad-pull straight-leg-kick'
	),
	'locks-out': ids(
		'straight-leg-raise knee-straightening-stretch',
		'quad-set short-arc long-arc cuff-long-arc straight-knee-hinge straight-knee-hinge-loaded',
		'leg-press single-leg-press'
	),
	kneeling: ids(
		'one-leg-sit-back stick-lunge-2 kneeling-hinge kneeling-hip-extension kneeling-quad-stretch hip-flexor-stretch',
		'bird-dog knee-plank'
	),
	prone: ids('machine-prone-curl', 'prone-curl cuff-prone-curl roll-front-thigh'),
	supine: ids(
		'hung-feet-bridge straight-leg-raise heel-slide knee-straightening-stretch',
		'bridge far-feet-bridge banded-bridge weighted-bridge arms-up-bridge single-leg-bridge',
		'weighted-single-leg-bridge feet-raised-bridge bridge-hold hook-squeeze quad-set short-arc',
		'figure-four knee-to-chest brace-and-breath rest-legs-up'
	),
	'side-lying': ids(
		'side-plank-leg-hold clamshell side-lying-lift banded-clamshell straight-leg-lift ankle-band-lift side-plank-knees',
		'side-plank side-plank-lift inner-thigh-lift roll-outer-thigh'
	),
	'floor-transfer': ids(
		'hung-feet-bridge lunge-to-plank-extension side-plank-leg-hold ninety-switch one-leg-sit-back straight-leg-raise heel-slide knee-straightening-stretch band-foot-push roll-outer-back-thigh',
		'kneeling-hinge bridge far-feet-bridge banded-bridge weighted-bridge arms-up-bridge',
		'single-leg-bridge weighted-single-leg-bridge feet-raised-bridge kneeling-hip-extension',
		'plank-hip-extension plank-knee-in clamshell side-lying-lift banded-clamshell straight-leg-lift',
		'ankle-band-lift side-plank-knees side-plank side-plank-lift hook-squeeze inner-thigh-lift',
		'quad-set short-arc prone-curl cuff-prone-curl bridge-hold kneeling-quad-stretch',
		'hip-flexor-stretch figure-four ninety-ninety hip-axle knee-to-chest brace-and-breath bird-dog',
		'knee-plank plank roll-outer-thigh roll-front-thigh roll-back-thigh rest-legs-up bench-bridge',
		'loaded-bench-bridge stick-lunge-2'
	),
	'weight-on-hands': ids(
		'lunge-to-plank-extension side-plank-leg-hold ninety-switch one-leg-sit-back roll-outer-back-thigh',
		'kneeling-hip-extension plank-hip-extension plank-knee-in side-plank-knees side-plank',
		'side-plank-lift kneeling-quad-stretch bird-dog knee-plank plank roll-outer-thigh',
		'roll-front-thigh roll-back-thigh ninety-ninety hip-axle'
	),
	'knee-over-toe': ids(
		'heels-raised-single-leg-squat',
		'slow-heels-raised-squat heels-raised-goblet step-down-tap high-step-down forward-lunge',
		'walking-lunge three-way-ankle'
	),
	'open-chain-knee': ids('short-arc mid-arc long-arc cuff-long-arc leg-extension leg-extension-hold'),
	'no-weight': ids(
		'straight-leg-raise heel-slide knee-straightening-stretch machine-prone-curl band-foot-push arm-set',
		'clamshell banded-clamshell side-lying-lift straight-leg-lift ankle-band-lift inner-thigh-lift',
		'hook-squeeze pillow-squeeze quad-set short-arc mid-arc long-arc cuff-long-arc leg-extension',
		'leg-extension-hold seated-curl prone-curl cuff-prone-curl figure-four knee-to-chest',
		'brace-and-breath rest-legs-up standing-abduction standing-curl standing-hip-extension'
	)
};

/** In lying on the side: the side of the leg that works, or the other. */
const LIES_ON_OWN = new Set(
	ids('inner-thigh-lift side-plank-knees side-plank side-plank-lift roll-outer-thigh')
);

const TAGS_OF = new Map<string, Tag[]>();
for (const [tag, steps] of Object.entries(STEPS_WITH) as [Tag, readonly string[]][])
	for (const id of steps) TAGS_OF.set(id, [...(TAGS_OF.get(id) ?? []), tag]);

/** The step with its tags, and where it lies on a side, on which. */
/** Lying steps that go on a bed or couch as well as on the floor; no planks, no rollers, nothing with the feet on a bench. */
export const ON_A_BED: ReadonlySet<string> = new Set(
	ids(
		'bridge far-feet-bridge banded-bridge weighted-bridge arms-up-bridge single-leg-bridge weighted-single-leg-bridge',
		'bridge-hold clamshell side-lying-lift banded-clamshell straight-leg-lift ankle-band-lift hook-squeeze',
		'inner-thigh-lift quad-set short-arc prone-curl cuff-prone-curl figure-four knee-to-chest brace-and-breath',
		'straight-leg-raise heel-slide knee-straightening-stretch'
	)
);

export function tagged(step: Step): Step {
	const tags = TAGS_OF.get(step.id) ?? [];
	return {
		...step,
		tags,
		...(ON_A_BED.has(step.id) ? { onBed: true } : {}),
		...(tags.includes('side-lying')
			? { liesOn: LIES_ON_OWN.has(step.id) ? ('own' as const) : ('other' as const) }
			: {})
	};
}
