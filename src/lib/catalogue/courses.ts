/**
 * The courses the trade uses: what is done first, what waits for it, what stands in. Data; adding one is a row.
 * @source common-practice every course
 */
import type { Course, OwnCourse, Stage, StageStep } from '../core/fit/course.ts';

const or = (step: string, ...instead: readonly string[]): StageStep => ({ step, instead });
const stage = (id: string, title: string, ...steps: readonly (string | StageStep)[]): Stage => ({
	id,
	title,
	steps: steps.map((s) => (typeof s === 'string' ? { step: s } : s))
});
const rounds = (step: string): StageStep => ({ step, rounds: true });
const sources = ['common-practice'] as const;

export const COURSES: readonly Course[] = [
	{
		id: 'back-spared-legs',
		title: 'Leg day that spares the back',
		what: 'Strong legs with nothing on the spine: isolated work first, then the press, then one leg.',
		order: 'isolated-first',
		spares: ['spine-load', 'loaded-spine-bending', 'loaded-twist'],
		sources,
		stages: [
			stage(
				'single',
				'One joint at a time',
				or('seated-curl', 'standing-curl', 'prone-curl'),
				or('long-arc', 'mid-arc', 'short-arc'),
				'bridge'
			),
			stage('press', 'Both legs', or('leg-press', 'standard-seat'), 'counter-squat', 'clamshell'),
			stage(
				'one-leg',
				'One leg',
				'held-split-squat',
				or('front-raised-split-squat', 'split-squat'),
				'single-leg-bridge'
			)
		]
	},
	{
		id: 'knee-two-phases',
		title: 'A knee in two phases',
		what: 'Quiet and awake first, then back to chairs and steps.',
		order: 'standing-then-floor',
		sources,
		stages: [
			stage(
				'quiet',
				'Quiet and awake',
				'quad-set',
				'heel-slide',
				'straight-leg-raise',
				'bridge',
				or('clamshell', 'wall-press'),
				'raised-seat'
			),
			stage(
				'back',
				'Chairs and steps',
				'standard-seat',
				'low-step-up',
				'heel-raise',
				or('short-arc', 'mid-arc')
			)
		]
	},
	{
		id: 'stiff-hip',
		title: 'A stiff hip in stages',
		what: 'Squeeze and press beside a wall, then weight from foot to foot, then a fold, then a press.',
		order: 'learning',
		sources,
		stages: [
			stage('squeeze', 'Squeeze and press', or('pillow-squeeze', 'hook-squeeze'), 'wall-press'),
			stage('carry', 'Carry the weight', 'stance-passes', 'free-hinge'),
			stage('press', 'Stand and press', 'rise-and-press')
		]
	},
	{
		id: 'band-hips',
		title: 'Hips with a band, in rounds',
		what: 'Three of the side hip as a round: without a band, then with one; one round, three, five.',
		order: 'standing-then-floor',
		sources,
		stages: [
			stage(
				'bare',
				'Without a band',
				rounds('clamshell'),
				rounds('side-lying-lift'),
				rounds('standing-abduction')
			),
			stage(
				'band',
				'With a band',
				rounds('banded-clamshell'),
				rounds('banded-standing-abduction'),
				rounds('monster-walk')
			)
		]
	},
	{
		id: 'runner-begins',
		title: 'Strength for a beginning runner',
		what: 'Calf, hip and one-leg control before the first jog.',
		order: 'standing-then-floor',
		sources,
		stages: [
			stage('both', 'Both feet', 'heel-raise', 'free-squat', 'bridge', 'tandem-stance'),
			stage(
				'one',
				'One foot, held',
				'one-foot-heel-raise-held',
				'step-up',
				'single-leg-stance',
				'single-leg-bridge'
			),
			stage('free', 'One foot, free', 'one-foot-heel-raise', 'step-down-tap', 'reverse-lunge'),
			stage('jog', 'The first jog', or('jog', 'march'))
		]
	},
	{
		id: 'landing-first',
		title: 'Landing before jumping',
		what: 'A squat that holds, springy calves, a bounce; jumps last, and only where impact was cleared.',
		order: 'standing-then-floor',
		sources,
		stages: [
			stage('hold', 'A squat that holds', 'free-squat', 'heel-raise', 'march'),
			stage('bounce', 'Bounce', or('jog', 'march'), 'edge-heel-raise'),
			stage('jump', 'Two feet', or('squat-jump', 'slow-heels-raised-squat'))
		]
	},
	{
		id: 'mobility-300',
		title: 'Ankle, knee and hip in 300 s a week',
		what: 'Each muscle group to 300 seconds a week; the long holds come when the short ones are easy.',
		order: 'standing-then-floor',
		sources,
		stages: [
			stage(
				'short',
				'Standing and short',
				'calf-stretch',
				'quad-stretch',
				or('standing-hip-flexor-stretch', 'hip-flexor-stretch'),
				'hamstring-bend',
				'groin-opener'
			),
			stage(
				'long',
				'Long and low',
				'three-way-ankle',
				or('figure-four', 'knee-to-chest'),
				or('ninety-ninety', 'figure-four')
			),
			stage('turn', 'Turning', or('hip-axle', 'ninety-ninety'))
		]
	},
	{
		id: 'toes-spared',
		title: 'One leg, toes spared',
		what: 'For toes that cannot bend: sideways instead of a stride, heels from the floor by band.',
		order: 'standing-then-floor',
		spares: ['toes-bent'],
		sources,
		stages: [
			stage('held', 'Held', 'staggered-seat', 'held-side-lunge', 'band-foot-push', 'bridge'),
			stage('free', 'Free', 'side-lunge', 'step-up', 'single-leg-bridge')
		]
	},
	{
		id: 'heels-raised',
		title: 'To a squat with raised heels',
		what: 'Knees-forward work, late in the session, from a held squat to a weight at the chest.',
		order: 'rolling-first',
		sources,
		stages: [
			stage('held', 'Held', or('roll-front-thigh', 'quad-stretch'), 'heel-raise', 'counter-squat'),
			stage('free', 'Free', 'free-squat', 'step-down-tap'),
			stage('raised', 'Heels raised', 'slow-heels-raised-squat'),
			stage('weight', 'With a weight', 'heels-raised-goblet')
		]
	},
	{
		id: 'bend-and-rise',
		title: 'Bend and rise for a fearful back',
		what: 'Bending is built, never taken away: seated, hands on thighs, free, then with something in the hands.',
		order: 'learning',
		sources,
		stages: [
			stage('breathe', 'Breathe and fold', 'brace-and-breath', or('seated-hinge', 'kneeling-hinge')),
			stage('fold', 'Fold standing', 'hands-on-thighs-hinge', 'standard-seat', 'bridge'),
			stage('free', 'Fold free', 'wall-reach-hinge', 'free-hinge'),
			stage('carry', 'Carry', 'hinge-loaded')
		]
	},
	{
		id: 'learning-order',
		title: 'In the order one learns it',
		what: 'Stance, fold, trunk, breath, brace, buttock: each on the one before.',
		order: 'learning',
		sources,
		stages: [
			stage('stance', 'Stance', 'side-by-side-stance', 'weight-shift'),
			stage('fold', 'Fold', or('seated-hinge', 'kneeling-hinge')),
			stage('trunk', 'Trunk', or('bird-dog', 'arm-set')),
			stage('breath', 'Breath', 'brace-and-breath'),
			stage('brace', 'Brace', 'standing-brace-and-breath'),
			stage('buttock', 'Buttock', 'bridge', or('clamshell', 'wall-press'))
		]
	}
];

/** A practice's own beside those of the trade; ids of the two never meet. */
export const courseAmong = (own: readonly OwnCourse[], id: string): OwnCourse | undefined =>
	[...COURSES, ...own].find((c) => c.id === id);

/** One that is retired stays for whoever is on it, and is begun no more. */
export const isBegun = (course: OwnCourse): boolean => course.retired !== true;
