/**
 * Which steps carry which tag, and what each caution does with it: both tables written by hand from the trade's list (common practice) and compared
 * with the catalogue, both ways.
 */
import { describe, expect, it } from 'vitest';
import { TAGS, type Tag } from '../core/exercise/family.ts';
import { FAMILIES } from './families.ts';
import { SCREENING } from './screening.ts';
import { ON_A_BED } from './tags.ts';

const STEPS = Object.values(FAMILIES).flatMap((f) => f.steps);
const split = (s: string): string[] => s.trim().split(/\s+/).sort();
const LUNGES =
	'split-squat goblet-split-squat reverse-lunge loaded-reverse-lunge front-raised-split-squat side-lunge forward-lunge walking-lunge crossed-lunge stick-lunge-1 stick-lunge-2 stick-lunge-3 wide-shift-lunge';
const HOP = 'squat-jump lateral-hop-touch lateral-hop split-jump';
const MONSTER = 'monster-walk monster-walk-shins monster-walk-ankles';
const LIE =
	'bridge far-feet-bridge banded-bridge weighted-bridge arms-up-bridge single-leg-bridge weighted-single-leg-bridge feet-raised-bridge bridge-hold';

/** By hand: the tags that cautions and protocols rest on. */
const BY_HAND: Readonly<Partial<Record<Tag, string>>> = {
	'loaded-spine-bending':
		'hinge-loaded raised-handle-deadlift low-handle-deadlift straight-knee-hinge-loaded',
	'spine-end-bend': 'hamstring-bend knee-to-chest figure-four plank-knee-in',
	'spine-backward':
		'lunge-to-plank-extension rise-and-reach standing-hip-flexor-stretch machine-prone-curl standing-hip-extension kneeling-hip-extension plank-hip-extension hip-flexor-stretch kneeling-quad-stretch stick-lunge-2 stick-lunge-3 prone-curl cuff-prone-curl roll-front-thigh rise-and-press',
	'loaded-twist': 'weighted-passes',
	'hanging-load': 'loaded-step-up loaded-front-raised-split-squat loaded-reverse-lunge',
	'spine-load':
		'shoulder-loaded-squat loaded-front-raised-split-squat goblet-side-lunge loaded-momentum-rise rise-and-press goblet-squat heels-raised-goblet loaded-step-up goblet-split-squat loaded-reverse-lunge hinge-loaded raised-handle-deadlift low-handle-deadlift straight-knee-hinge-loaded',
	impact: `skip-high jog ${HOP}`,
	'high-impact': `skip-high ${HOP}`,
	'adduction-past-midline': 'cross-steps crossed-lunge inner-thigh-lift',
	'end-range-rotation': 'ninety-switch figure-four ninety-ninety hip-axle wide-shift-lunge hip-gate',
	'side-lying':
		'side-plank-leg-hold clamshell banded-clamshell side-lying-lift straight-leg-lift ankle-band-lift inner-thigh-lift side-plank-knees side-plank side-plank-lift roll-outer-thigh',
	'narrow-base': 'narrow-squat',
	supine: `hung-feet-bridge straight-leg-raise heel-slide knee-straightening-stretch ${LIE} hook-squeeze quad-set short-arc figure-four knee-to-chest brace-and-breath rest-legs-up`,
	prone: 'machine-prone-curl prone-curl cuff-prone-curl roll-front-thigh',
	'trunk-strain':
		'lunge-to-plank-extension side-plank-leg-hold knee-plank plank plank-hip-extension plank-knee-in side-plank side-plank-lift',
	'breath-holding':
		'side-plank-leg-hold shoulder-loaded-squat loaded-front-raised-split-squat rise-and-press goblet-squat heels-raised-goblet low-handle-deadlift loaded-bench-bridge raised-handle-deadlift goblet-split-squat leg-press single-leg-press wall-sit-hold plank side-plank side-plank-lift',
	'long-hold':
		'side-plank-leg-hold wall-slide-hold wall-sit-hold leg-extension-hold heel-raise-hold bridge-hold knee-plank plank side-plank-knees side-plank',
	'head-low': 'hung-feet-bridge hamstring-bend single-leg-hinge low-handle-deadlift feet-raised-bridge',
	'locks-out':
		'straight-leg-raise knee-straightening-stretch quad-set short-arc long-arc cuff-long-arc straight-knee-hinge straight-knee-hinge-loaded leg-press single-leg-press',
	unsteady: `heels-raised-single-leg-squat loaded-front-raised-split-squat goblet-side-lunge one-foot-bent-heel-raise high-knees heel-kicks cross-steps skip-high stance-passes weighted-passes tandem-stance single-leg-stance single-leg-head-turns toe-touch-squat single-leg-to-seat single-leg-squat step-up loaded-step-up high-step-up step-down-tap high-step-down ${LUNGES} staggered-hinge single-leg-hinge one-foot-heel-raise ${MONSTER} march jog ${HOP} hip-gate knee-hug quad-pull straight-leg-kick squatted-side-step`,
	kneeling:
		'one-leg-sit-back kneeling-hinge kneeling-hip-extension kneeling-quad-stretch hip-flexor-stretch bird-dog knee-plank stick-lunge-2',
	'open-chain-knee': 'short-arc mid-arc long-arc cuff-long-arc leg-extension leg-extension-hold',
	'no-weight':
		'straight-leg-raise heel-slide knee-straightening-stretch machine-prone-curl band-foot-push arm-set clamshell banded-clamshell side-lying-lift straight-leg-lift ankle-band-lift inner-thigh-lift hook-squeeze pillow-squeeze quad-set short-arc mid-arc long-arc cuff-long-arc leg-extension leg-extension-hold seated-curl prone-curl cuff-prone-curl figure-four knee-to-chest brace-and-breath rest-legs-up standing-abduction standing-curl standing-hip-extension'
};

describe('tags', () => {
	it.each(Object.entries(BY_HAND) as [Tag, string][])(
		'%s is on the steps it is true of, and on no other',
		(tag, steps) =>
			expect(
				STEPS.filter((s) => s.tags.includes(tag))
					.map((s) => s.id)
					.sort()
			).toEqual(split(steps))
	);
	it('every tag is on at least one step', () =>
		expect(TAGS.filter((t) => !STEPS.some((s) => s.tags.includes(t)))).toEqual([]));
	it('what can be done on a bed is lying work that would otherwise be on the floor; no plank, no roller', () => {
		const onBed = STEPS.filter((s) => s.onBed === true);
		expect(onBed.map((s) => s.id).sort()).toEqual([...ON_A_BED].sort());
		for (const s of onBed) {
			expect(s.tags, s.id).toContain('floor-transfer');
			expect(
				s.tags.some((t) => ['supine', 'prone', 'side-lying'].includes(t)),
				s.id
			).toBe(true);
			expect(
				s.tags.some((t) => ['weight-on-hands', 'trunk-strain', 'kneeling'].includes(t)),
				s.id
			).toBe(false);
		}
	});
	it('lying on the side says on which: the moving leg’s, or the other', () => {
		const own = STEPS.filter((s) => s.liesOn === 'own')
			.map((s) => s.id)
			.sort();
		expect(own).toEqual(
			split('inner-thigh-lift side-plank-knees side-plank side-plank-lift roll-outer-thigh')
		);
		expect(STEPS.every((s) => (s.liesOn !== undefined) === s.tags.includes('side-lying'))).toBe(true);
	});
});

/** By hand: what each caution withholds, keeps no heavier, and keeps with support. */
const CAUTIONS: Readonly<
	Record<
		string,
		{ readonly withhold?: string; readonly until?: string; readonly cap?: string; readonly support?: string }
	>
> = {
	osteoporosis: {
		withhold: 'loaded-spine-bending spine-end-bend loaded-twist high-impact',
		support: 'unsteady'
	},
	'outer-hip-tendon': { withhold: 'side-lying adduction-past-midline', support: 'narrow-base one-leg' },
	pregnancy: { withhold: 'prone impact trunk-strain', cap: 'breath-holding supine' },
	'pelvic-floor': { withhold: 'impact', cap: 'breath-holding trunk-strain' },
	'loose-joints': { cap: 'end-stretch locks-out' },
	'high-blood-pressure': { withhold: 'breath-holding long-hold head-low' },
	'toes-do-not-bend': { withhold: 'toes-bent' },
	'hip-precautions': { withhold: 'adduction-past-midline end-range-rotation' },
	'fell-this-year': { support: 'unsteady floor-transfer' },
	'joint-replaced': { until: 'high-impact' }
};

describe('cautions', () => {
	it.each(Object.entries(CAUTIONS))(
		'%s does what the list says, and nothing else',
		(id, { withhold = '', until = '', cap = '', support = '' }) => {
			const c = SCREENING.find((x) => x.id === id);
			const tags = (list: readonly string[] | undefined): string[] => [...(list ?? [])].sort();
			const wanted = (s: string): string[] => (s === '' ? [] : split(s));
			expect([
				tags(c?.withhold),
				tags(c?.withholdUntil?.tags),
				tags(c?.cap?.tags),
				tags(c?.support?.tags)
			]).toEqual([wanted(withhold), wanted(until), wanted(cap), wanted(support)]);
		}
	);
	it('no caution of the screening acts on steps without being on the list', () => {
		const acting = SCREENING.filter(
			(c) =>
				c.withhold !== undefined ||
				c.withholdUntil !== undefined ||
				c.cap !== undefined ||
				c.support !== undefined
		).map((c) => c.id);
		expect(acting.filter((id) => CAUTIONS[id] === undefined)).toEqual([]);
	});
});

describe('faults', () => {
	it('every fault of every step names its cause and its dial', () => {
		for (const f of Object.values(FAMILIES))
			for (const s of f.steps)
				for (const id of s.faults)
					expect(f.faults.find((x) => x.id === id)?.cause, `${s.id} ${id}`).toBeDefined();
	});
});

describe('entries', () => {
	it('at least four of five ladders have a first step without gates that is stood, sat or lain on a bed', () => {
		const ladders = Object.values(FAMILIES);
		const easy = ladders.filter((f) =>
			f.steps.some(
				(s) =>
					s.gates.length === 0 &&
					!s.tags.some((t) => ['kneeling', 'prone', 'weight-on-hands', 'impact'].includes(t)) &&
					!(s.tags.includes('floor-transfer') && !s.tags.includes('supine') && !s.tags.includes('side-lying'))
			)
		);
		expect(easy.length / ladders.length).toBeGreaterThanOrEqual(0.8);
	});
});
