/** A step of one's own while it is written: what each field begins with and turns into holds, and goes out as it came in. Common practice. */
import { describe, expect, it } from 'vitest';
import { CHOICE_ROWS } from '#lib/catalogue/choices.ts';
import { checkOwn } from '#lib/catalogue/check-own.ts';
import { findStep } from '#lib/catalogue/families.ts';
import { readFamilies } from '#lib/contract/own-family.ts';
import type { Step } from '#lib/core/exercise/family.ts';
import { CHOICES_THERE, numbersOfPlace, withPlace, withPlaceNumber } from './choice-writing.ts';
import {
	feltGate,
	GATE_NAME,
	GATE_NUMBERS,
	gateOf,
	SHOWN_NAME,
	withNumber,
	type OwnGate
} from './gate-writing.ts';
import { begunFrom, firstWritten, withAnother, withField, written } from './writing.ts';

const begun = (step: string, patch: Partial<Step> = {}): string => {
	const found = findStep(step)!;
	const family = begunFrom(found.family, found.step, 'Our own');
	return written({ ...family, steps: [{ ...family.steps[0], ...patch }] });
};
const wrong = (content: string): string => {
	const read = readFamilies(content);
	return (read.ok ? checkOwn(read.families) : read.faults).map((f) => `${f.place}: ${f.message}`).join('\n');
};

describe('gates', () => {
	const kinds = Object.keys(GATE_NAME) as OwnGate['kind'][];
	it('of every kind hold as they begin, and keep their step when the kind changes', () => {
		for (const kind of kinds) {
			// A hold is asked of what counts seconds.
			const of = kind === 'held' ? 'tandem-stance' : 'clamshell';
			const gate = gateOf(
				kind,
				{ kind: 'mastered', step: of },
				'bridge',
				findStep('clamshell')!.step.faults[0]!
			);
			const content = begun('single-leg-bridge', { gates: [gate] });
			expect(wrong(content), kind).toBe(wrong(begun('single-leg-bridge')));
			expect((firstWritten(content)!.steps[0]!.gates as unknown[])[0]).toEqual(gate);
			if (kind in SHOWN_NAME) expect(gate).toMatchObject({ step: of });
			for (const n of GATE_NUMBERS[kind])
				expect(withNumber(gate, n, 1), `${kind} ${n.key}`).toMatchObject({ [n.key]: 1 });
		}
	});
	it('of what is felt take a muscle and a joint apart, and give either back', () => {
		const any = { kind: 'felt', step: 'bridge' } as const;
		const buttock = feltGate(any, { muscle: 'buttock' });
		expect(buttock).toEqual({ ...any, muscle: 'buttock' });
		expect(feltGate(buttock, { jointFree: true })).toEqual({ ...buttock, jointFree: true });
		expect(feltGate({ ...buttock, jointFree: true }, { muscle: '' })).toEqual({ ...any, jointFree: true });
		expect(feltGate({ ...buttock, jointFree: true }, { jointFree: false })).toEqual(buttock);
		expect(feltGate(any, { muscle: 'elbow' })).toEqual(any);
	});
	it('an optional number that is emptied is left out; one that is needed is refused by its place', () => {
		const [most] = GATE_NUMBERS['pain-at-most'];
		const gate = withNumber({ kind: 'pain-at-most', step: 'bridge' }, most!, 2);
		expect(gate).toEqual({ kind: 'pain-at-most', step: 'bridge', most: 2 });
		expect(withNumber(gate, most!, '')).toEqual({ kind: 'pain-at-most', step: 'bridge' });
		const [sec] = GATE_NUMBERS.held;
		const bad = withNumber({ kind: 'held', step: 'bridge', sec: 30 }, sec!, '');
		expect(wrong(begun('single-leg-bridge', { gates: [bad] }))).toMatch(/own-our-own: gates\.0/);
	});
	it('of a step that is none is refused with its name', () => {
		expect(wrong(begun('bridge', { gates: [{ kind: 'mastered', step: 'no-such' }] }))).toContain('no-such');
	});
});

describe('choices', () => {
	it('of the catalogue hold on a step they are of', () => {
		for (const { choice, steps } of CHOICE_ROWS) {
			const { choices: _, ...plain } = findStep(steps[0]!)!.step;
			const [before, after] = [begun(steps[0]!, plain), begun(steps[0]!, { ...plain, choices: [choice] })];
			const own = { id: 'own-our-own', title: 'Our own', gates: [], next: [], easier: null };
			const fields = { ...own, sources: ['practice-setting'] };
			const held = (text: string): string =>
				wrong(Object.entries(fields).reduce((t, [k, v]) => withField(t, ['steps', 0, k], v), text));
			expect(held(after), `${choice.id} on ${steps[0]}`).toBe(held(before));
		}
		expect(CHOICES_THERE).toHaveLength(CHOICE_ROWS.length);
	});
	it('keep a usual place when it is taken out, and take other numbers', () => {
		const { choice } = CHOICE_ROWS.find((r) => r.choice.id === 'pause')!;
		const less = withPlace(
			choice,
			choice.of.findIndex((p) => p.id === choice.usual),
			null
		);
		expect(less.of.map((p) => p.id)).toEqual(choice.of.map((p) => p.id).filter((id) => id !== choice.usual));
		expect(less.usual).toBe(less.of[0]!.id);
		const place = choice.of.find((p) => p.pauseSec !== undefined)!;
		expect(withPlaceNumber(place, 'pauseSec', 3).pauseSec).toBe(3);
		const wedge = CHOICE_ROWS.flatMap((r) => r.choice.of).find((p) => p.posture?.heelWedgeCm !== undefined)!;
		const [[key] = []] = numbersOfPlace(wedge);
		expect(withPlaceNumber(wedge, key!, 2.5)).toMatchObject({ posture: { heelWedgeCm: 2.5 } });
		expect(withPlaceNumber(wedge, key!, 2.5).id).toBe(wedge.id);
	});
});

describe('a ladder', () => {
	it('takes one step more under an id of its own, with edges and ways back between them', () => {
		const { family, step } = findStep('bridge')!;
		const two = withAnother(withAnother(begun('bridge'), family, step, 'Our own'), family, step, 'Our own');
		const ids = firstWritten(two)!.steps.map((s) => s.id);
		expect(ids).toEqual(['own-our-own', 'own-our-own-2', 'own-our-own-3']);
		const turned = withField(two, ['steps', 0, 'next'], [{ to: ids[1], dial: 'load' }]);
		const tied = withField(turned, ['steps', 1, 'back'], [{ to: 'clamshell', for: ['back'] }]);
		const read = readFamilies(withField(tied, ['steps', 1, 'easier'], ids[0]));
		expect(read.ok && read.families[0]?.steps[1]).toMatchObject({
			easier: 'own-our-own',
			back: [{ to: 'clamshell', for: ['back'] }]
		});
		expect(withAnother('{', family, step, 'x')).toBe('{');
	});
	it('of what is not whole no field is shown', () => {
		const whole = begun('bridge');
		expect(firstWritten(whole)).not.toBeNull();
		for (const key of ['posture', 'usualDose', 'gates', 'next', 'tags'])
			expect(firstWritten(withField(whole, ['steps', 0, key], undefined)), key).toBeNull();
	});
});
