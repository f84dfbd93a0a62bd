/**
 * Choices inside a step. Every ranked one asks more in the direction it claims, by the physics of the posture models where they can say it
 * (@source common-practice for the direction; the models are checked against published figures in `posture/*.test.ts`), else by its dial.
 */
import { describe, expect, it } from 'vitest';
import { bodyOf } from '../core/body/body.ts';
import type { Axis } from '../core/body/axis.ts';
import {
	asChosen,
	asHardChosen,
	asWritten,
	choiceFaults,
	fartherChoice,
	patched,
	placeOf,
	settled,
	turned
} from '../core/exercise/choice.ts';
import type { Choice } from '../core/exercise/family.ts';
import { notchIndex } from '../core/exercise/dial.ts';
import type { Step } from '../core/exercise/family.ts';
import { gentlerNotches, setupFor, turnedNotches } from '../core/fit/gentler.ts';
import { fitStep, shortAt } from '../core/fit/fit.ts';
import { nobody } from '../core/fit/stands.ts';
import { pictureOf } from '../core/fit/picture.ts';
import { standing } from '../core/safety/standing.ts';
import { movementOf } from '../core/movement/movements.ts';
import { askedBy, usualSetup } from '../core/movement/of-step.ts';
import { CHOICE_ROWS, placeTitle } from './choices.ts';
import { FAMILIES, findStep } from './families.ts';

const step = (id: string): Step => findStep(id)!.step;
const ctx = nobody();
const choice = (s: Step, id: string): Choice => s.choices!.find((c) => c.id === id)!;

describe('every choice of the catalogue', () => {
	it('names steps there are, and each step says its choices once', () => {
		for (const { choice: c, steps } of CHOICE_ROWS) {
			expect(steps.length, c.id).toBeGreaterThan(0);
			for (const id of steps) expect(findStep(id)?.step.choices, id).toContain(c);
			expect(c.of.map((p) => p.id)).toContain(c.usual);
		}
		const withSome = Object.values(FAMILIES).flatMap((f) => f.steps.filter((s) => s.choices !== undefined));
		expect(withSome.length).toBeGreaterThanOrEqual(60);
	});
	it.each(CHOICE_ROWS.map((r) => [r.choice.id, r] as const))(
		'%s: each place can be drawn on its steps, with finite numbers, and named',
		(_, { choice: c, steps }) => {
			for (const id of steps)
				for (const p of c.of) {
					const s = asChosen(step(id), { [c.id]: p.id });
					const picture = pictureOf(s, ctx, setupFor(s, fitStep(s, ctx), ctx.body));
					expect(JSON.stringify(picture.at(1)), `${id} ${p.id}`).not.toMatch(/null|NaN/);
					expect(placeTitle(c.id, p.id)).toBe(`${c.title} ${p.title}`);
				}
		}
	);
	it('a ranked one never turns another dial harder, and its own never gentler', () => {
		for (const { choice: c, steps } of CHOICE_ROWS.filter((r) => r.choice.ranked))
			for (const id of steps)
				c.of.slice(1).forEach((p, i) => {
					const [before, after] = [patched(step(id), c.of[i]!), patched(step(id), p)];
					expect(notchIndex(after.dials, c.dial), `${id} ${p.id}`).toBeGreaterThanOrEqual(
						notchIndex(before.dials, c.dial)
					);
				});
	});
});

describe('by physics', () => {
	const body = bodyOf({ heightCm: 170, massKg: 70 });
	if (!body.ok) throw new Error('body');
	const here = { ...ctx, body: body.value };
	const demandAt = (id: string, c: string, place: string, axis: Axis): number => {
		const s = asChosen(step(id), { [c]: place });
		return askedBy(s, here, usualSetup(s, here.body)).demand[axis]!;
	};
	const rising = (values: readonly number[]): void => {
		values.slice(1).forEach((v, i) => expect(v).toBeGreaterThan(values[i]! + 0.2));
	};
	it('a lower wedge asks more of the ankle: 5, 3, 1 cm', () => {
		// The same depth; what the wedge gave, the ankle gives: asin(Δ/foot) is 4–5° for 2 cm under a foot's heel-to-ball of some 24 cm.
		const s = step('heels-raised-goblet');
		const ankles = ['5', '3', '1'].map((place) => {
			const as = asChosen(s, { wedge: place });
			return askedBy({ ...as, posture: { ...as.posture, technique: 'parallel' } as Step['posture'] }, here, {
				thighDeg: 60,
				heelWedgeCm: Number(place)
			}).demand.weightBearingDorsiflexion!;
		});
		rising(ankles);
		expect(ankles[2]! - ankles[0]!).toBeGreaterThan(6);
		expect(ankles[2]! - ankles[0]!).toBeLessThan(16);
	});
	it('a higher wedge under a step-down lets the ankle off', () => {
		const ankles = ['0', '2', '5'].map((p) =>
			demandAt('step-down-tap', 'heel', p, 'weightBearingDorsiflexion')
		);
		rising([...ankles].reverse());
	});
	it('who hovers has air under them, and a chair farther behind is drawn farther behind', () => {
		const seatOf = (chosen: Readonly<Record<string, string>>): string => {
			const s = asChosen(step('standard-seat'), chosen);
			const shapes = pictureOf(s, here, usualSetup(s, here.body)).at(1).shapes;
			return shapes.find((x) => x.id === 'seat')?.d ?? '';
		};
		const [x, y] = [0, 1].map((i) => (d: string) => Number(/M\s*([-\d.]+)[ ,]([-\d.]+)/.exec(d)?.[i + 1]));
		const [touched, hovered] = [seatOf({ touch: 'touch' }), seatOf({ touch: 'hover' })];
		expect(y!(hovered) - y!(touched)).toBeCloseTo(3, 1);
		expect(x!(hovered)).toBeCloseTo(x!(touched), 1);
		const places = ['0', '5', '10'].map((p) => x!(seatOf({ behind: p })));
		rising([...places].reverse());
		expect(places[0]! - places[2]!).toBeCloseTo(10, 1);
	});
	it('weights that hang at the sides lean the trunk more than one at the chest, which is already ahead', () => {
		rising(
			['chest', 'sides'].map((p) => demandAt('loaded-momentum-rise', 'carried', p, 'thighTrunkFlexion'))
		);
	});
	it('sitting higher folds less: by the angle whose sine is the height over a thigh of 40 cm (hand-worked)', () => {
		for (const id of ['ninety-ninety', 'hip-axle', 'ninety-switch'])
			for (const cm of [10, 5, 0])
				expect(
					asChosen(step(id), { 'sits-on': `${cm}` }).needs?.working.thighTrunkFlexion,
					`${id} ${cm}`
				).toBe(80 - Math.round((Math.asin(cm / 40) * 180) / Math.PI));
		rising(['20', '10', '0'].map((p) => demandAt('one-leg-sit-back', 'pillows', p, 'kneeFlexion')));
	});
	it('a higher front foot bends the front hip more', () => {
		rising(
			['5', '10', '15', '20'].map((p) =>
				demandAt('front-raised-split-squat', 'riser', p, 'thighTrunkFlexion')
			)
		);
	});
	it('curls bend farther, the short arc is longer, leaning back asks more of the thigh', () => {
		rising(['half', '90', 'full'].map((p) => demandAt('prone-curl', 'curl-to', p, 'kneeFlexion')));
		rising(['15', '30'].map((p) => demandAt('short-arc', 'arc', p, 'kneeFlexion')));
		rising(
			['upright', 'blocks', 'elbows', 'lying'].map((p) =>
				demandAt('kneeling-quad-stretch', 'back', p, 'kneeFlexion')
			)
		);
	});
	it('toes turned out shorten the leg as it is seen from the side, so knees and ankles go less far forward', () => {
		for (const axis of ['kneeFlexion', 'weightBearingDorsiflexion'] as const)
			rising(['25', '10', '0'].map((p) => demandAt('free-squat', 'toes', p, axis)));
	});
	it('a knee nearly straight asks the hamstrings of a hinge for more', () => {
		const at = (p: string): number => demandAt('free-hinge', 'hinge-knee', p, 'straightLegRaise');
		expect(at('straight')).toBeGreaterThan(at('soft'));
	});
	it('a pause is seconds at the hard point', () => {
		expect(asChosen(step('free-squat'), { pause: '2' }).tempo).toEqual([2, 2, 2]);
		expect(asChosen(step('front-raised-split-squat'), { riser: '20' }).tempo).toEqual(
			step('front-raised-split-squat').tempo
		);
	});
});

describe('a step as it is chosen', () => {
	const s = step('free-squat');
	it('is the same object for the same choice, and itself for none; usual and unknown places choose nothing', () => {
		expect(asChosen(s, { pause: '2' })).toBe(asChosen(s, { pause: '2', stance: '1' }));
		for (const none of [undefined, {}, { pause: '0' }, { pause: 'x' }, { nope: '2' }])
			expect(asChosen(s, none)).toBe(s);
		const as = asChosen(s, { pause: '5', toes: '25' });
		expect(as).toMatchObject({ id: s.id, chosen: { pause: '5', toes: '25' }, posture: { toeOutDeg: 25 } });
		expect(asChosen(as, { pause: '2' })).toBe(asChosen(s, { pause: '2' }));
		expect(asChosen(as, undefined)).toBe(as);
		expect(asWritten(as)).toBe(s);
		expect(settled(s, { pause: '5', toes: '0', nope: '1' })).toEqual({ pause: '5' });
	});
	it('turns one place, to its end and no farther; a free choice is not turned', () => {
		const pause = choice(s, 'pause');
		expect(turned(s, pause, 1)).toEqual({ pause: '2' });
		expect(turned(s, pause, -1)).toBeUndefined();
		expect(turned(asChosen(s, { pause: '5' }), pause, 1)).toBeUndefined();
		expect(turned(s, choice(s, 'stance'), 1)).toBeUndefined();
		expect(placeOf(pause, { pause: '5' }).title).toBe('5 s');
	});
	it('brings tags, kit and needs of its own, which bind as a step’s do', () => {
		const wide = asChosen(s, { stance: '2' });
		expect(wide.tags).toContain('hip-out');
		const withheld = { ...ctx, withheld: [{ tag: 'hip-out' as const, because: 'flag' }] };
		expect(fitStep(s, withheld).withheld).toEqual([]);
		expect(fitStep(wide, withheld).verdict).toBe('blocked');
		expect(
			fitStep(asChosen(step('high-step-down'), { heel: '5' }), { ...ctx, equipment: ['step'] })
		).toMatchObject({ verdict: 'blocked', missing: [['wedge']] });
		const free = asChosen(step('ninety-ninety'), { hands: 'free' });
		expect(free.tags).not.toContain('weight-on-hands');
	});
	it('a band elsewhere is drawn there, and nowhere else', () => {
		const banded = step('banded-standing-abduction');
		const drawn = (place: string): readonly string[] => {
			const p = asChosen(banded, { 'band-at': place }).posture;
			return p.movement === 'pose' ? (p.to.props ?? []).filter((x) => x.startsWith('band')) : [];
		};
		expect(['knees', 'shins', 'ankles'].map(drawn)).toEqual([
			['band-knees'],
			['band-shins'],
			['band-ankles']
		]);
	});
	it('a place that is withheld suspends what stands, and its mend is the usual place', () => {
		const given = {
			family: FAMILIES.squat!,
			step: s,
			setup: { thighDeg: 60, chosen: { stance: '2' } },
			loadKg: 0,
			since: '2026-01-01'
		};
		const facts = {
			ctx: { ...ctx, ...free(), withheld: [{ tag: 'hip-out' as const, because: 'hip-replaced' }] },
			clearances: [],
			substitutes: () => []
		};
		const found = standing(given, facts);
		expect(found.verdict).toBe('suspended');
		expect(found.mend).toMatchObject({ kind: 'set-up', step: 'free-squat', setup: { thighDeg: 60 } });
		expect(found.mend!.setup.chosen).toBeUndefined();
		expect(standing({ ...given, setup: { thighDeg: 60 } }, facts).verdict).not.toBe('suspended');
	});
	it('a mend never goes to a usual place that is harder than what stood', () => {
		const split = step('front-raised-split-squat');
		const given = (riser: string) => ({
			family: FAMILIES.lunge!,
			step: split,
			setup: { thighDeg: 50, chosen: { riser } },
			loadKg: 0,
			since: '2026-01-01'
		});
		expect(fartherChoice(split, undefined, { riser: '5' })?.[1].id).toBe('10');
		expect(fartherChoice(split, undefined, { riser: '20' })).toBeUndefined();
		// What a mend may go to, asked of the mend itself: a riser withheld by what stands on it.
		const low = { ...split, choices: split.choices!.map((c) => (c.id === 'riser' ? tagged(c) : c)) };
		const facts = {
			ctx: { ...ctx, ...free(), withheld: [{ tag: 'head-low' as const, because: 'x' }] },
			clearances: [],
			substitutes: () => []
		};
		const mended = standing({ ...given('5'), step: low }, facts).mend;
		expect(mended?.kind === 'set-up' ? mended.step : undefined).toBeUndefined();
	});
	it('what was seen done at a gentler place does not say that the harder one was', () => {
		expect(asHardChosen(s, { pause: '2' }, { pause: '5' })).toBe(false);
		expect(asHardChosen(s, { pause: '5' }, { pause: '2' })).toBe(true);
		expect(asHardChosen(s, { toes: '25' }, { toes: '10' })).toBe(false);
		expect(asHardChosen(s, { toes: '25' }, undefined)).toBe(true);
		const seen = (chosen: Record<string, string> | undefined) => ({
			...ctx,
			observed: [{ step: 'free-squat', setup: { thighDeg: 80, ...(chosen && { chosen }) }, date: ctx.today }]
		});
		const five = asChosen(s, { pause: '5' });
		expect(fitStep(five, seen(undefined)).seen).toBeNull();
		expect(fitStep(five, seen({ pause: '5' })).seen).toBe(ctx.today);
	});
	it('a set-up that names its choices is judged, drawn and asked as they say', () => {
		const tap = step('step-down-tap');
		const tight = {
			...ctx,
			...free(),
			envelope: { ...free().envelope, weightBearingDorsiflexion: both(14) }
		};
		const flat = shortAt(tap, tight, { stepCm: 12 });
		const wedged = shortAt(tap, tight, { stepCm: 12, heelWedgeCm: 5, chosen: { heel: '5' } });
		const short = (found: typeof flat): number => Math.max(0, ...found.map((l) => l.short));
		expect(short(flat)).toBeGreaterThan(short(wedged) + 3);
	});
});

/** A choice whose gentlest place alone is withheld. */
const tagged = (c: Choice): Choice => ({
	...c,
	of: c.of.map((p, i) => (i === 0 ? { ...p, tags: ['head-low' as const] } : p))
});

const both = (deg: number) => {
	const side = { painFree: deg, tolerable: deg, end: deg + 10, date: ctx.today, loaded: false };
	return { left: side, right: side };
};
const free = () => ({
	envelope: {
		kneeFlexion: both(145),
		thighTrunkFlexion: both(135),
		weightBearingDorsiflexion: both(42),
		straightLegRaise: both(90)
	}
});

describe('turned by a rule', () => {
	it('one place harder or gentler, and what was solved stays', () => {
		const s = step('free-squat');
		const [up] = turnedNotches(s, { thighDeg: 61 }, ctx, 1);
		expect(up).toMatchObject({
			choice: 'pause',
			dial: 'tempo',
			before: 'depth',
			to: '2',
			setup: { thighDeg: 61, chosen: { pause: '2' } }
		});
		const down = gentlerNotches(s, { thighDeg: 61, chosen: { pause: '2' } }, undefined, ctx);
		expect(down[0]).toMatchObject({ choice: 'pause', to: '0', setup: { thighDeg: 61 } });
		expect(down[0]!.setup).not.toHaveProperty('chosen');
	});
	it('a wedge that is turned is the set-up’s own wedge', () => {
		const [up] = turnedNotches(step('heels-raised-goblet'), { thighDeg: 70, heelWedgeCm: 5 }, ctx, 1);
		expect(up).toMatchObject({ to: '3', setup: { heelWedgeCm: 3, chosen: { wedge: '3' } } });
	});
});

describe('what is wrong with a choice is said with its mend', () => {
	const s = step('free-squat');
	const of = (c: Partial<Choice>): readonly string[] =>
		choiceFaults({ ...s, choices: [{ ...choice(s, 'pause'), ...c }] }, (p) => movementOf(p).faults(p));
	it.each([
		[{ of: [{ id: '0', title: 'none' }] }, /has one place/],
		[{ usual: '9' }, /usual place 9 is none of its places/],
		[
			{
				of: [
					{ id: '0', title: 'a' },
					{ id: '0', title: 'b' }
				]
			},
			/share an id/
		],
		[
			{
				of: [
					{ id: '0', title: 'a' },
					{ id: '1', title: 'b', dials: { tempo: 'pause' as const, base: 'one' as const } }
				]
			},
			/turns tempo and base; one dial a choice/
		],
		[
			{
				of: [
					{ id: '0', title: 'a', dials: { tempo: 'pause' as const } },
					{ id: '1', title: 'b', dials: { tempo: 'slow' as const } }
				]
			},
			/1 turns tempo back/
		],
		[
			{
				of: [
					{ id: '0', title: 'a' },
					{ id: '1', title: 'b', posture: { seatCm: 40 } }
				]
			},
			/sets seatCm, which a squat does not have/
		],
		[
			{
				of: [
					{ id: '0', title: 'a' },
					{ id: '1', title: 'b', posture: { heelWedgeCm: 30 } }
				]
			},
			/wedge 30 cm is outside/
		]
	] satisfies readonly (readonly [Partial<Choice>, RegExp])[])('%#', (c, text) => {
		expect(of(c).join()).toMatch(text);
	});
	it('twice, and none at all', () => {
		const pause = choice(s, 'pause');
		expect(choiceFaults({ ...s, choices: [pause, pause] }, () => []).join()).toContain('stands twice');
		expect(of({})).toEqual([]);
	});
});
