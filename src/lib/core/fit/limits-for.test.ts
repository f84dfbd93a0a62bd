/** Which limits a step is held against: of its own sides and kind of work, none lent to another that is asked of the same client. */
import { describe, expect, it } from 'vitest';
import { both, context, range } from '../../../../tests/standing.ts';
import { FAMILIES } from '../../catalogue/families.ts';
import { AXES, SIDES } from '../body/axis.ts';
import type { ProtocolLimit } from '../client/envelope.ts';
import { stepOf, type ExerciseFamily, type Needs, type Step } from '../exercise/family.ts';
import { apart, bothLimits, boundsOf, kindOf, KINDS, limitOn, limitsFor } from './limits-for.ts';

const step = (family: string, id: string): Step => stepOf(FAMILIES[family] as ExerciseFamily, id)!;
const seat = step('squat', 'standard-seat');
const bare: Step = { ...seat, tags: [] };
const NEEDS: Needs = { working: {}, other: {}, end: [], otherEnd: [], scales: [] };

describe('the kind of work', () => {
	it('is loaded, open at the foot, without weight: each by itself and together', () => {
		const load = {
			posture: { ...seat.posture, load: { kg: 5, place: 'chest' } }
		} as unknown as Partial<Step>;
		const kind = (patch: Partial<Step>) => KINDS[kindOf({ ...bare, ...patch })];
		const none = { loaded: false, openChain: false, weightBearing: true };
		expect(kind({})).toEqual(none);
		expect(kind(load)).toEqual({ ...none, loaded: true });
		expect(kind({ tags: ['open-chain-knee'] })).toEqual({ ...none, openChain: true });
		expect(kind({ tags: ['no-weight'] })).toEqual({ ...none, weightBearing: false });
		expect(kind({ ...load, tags: ['open-chain-knee', 'no-weight'] })).toEqual({
			...{ loaded: true, openChain: true, weightBearing: false }
		});
		expect(new Set(KINDS.map((k) => JSON.stringify(k))).size).toBe(8);
	});
});

describe('the sides', () => {
	it('are apart where the legs do different things, by posture or by what is asked of each', () => {
		const asked = { kneeFlexion: 90 };
		const needs = (working: Needs['working'], other: Needs['other']) =>
			apart({ ...seat, needs: { ...NEEDS, working, other } });
		expect([apart(seat), needs(asked, asked), needs(asked, { kneeFlexion: 20 })]).toEqual([
			false,
			false,
			true
		]);
		expect(apart(step('step', 'low-step-up'))).toBe(true);
	});
	it('that work and that help each have their own; of both legs each has both', () => {
		const ctx = context();
		const sides = (s: Step) => {
			const { working, other } = bothLimits(s, ctx);
			return [working, other].map((l) => [...new Set(l.map((x) => x.side))]);
		};
		const one: Step = { ...seat, needs: { ...NEEDS, working: { kneeFlexion: 90 } } };
		expect([sides(seat), sides(one), sides(seat)]).toEqual([
			[
				['left', 'right'],
				['left', 'right']
			],
			[['right'], ['left']],
			[
				['left', 'right'],
				['left', 'right']
			]
		]);
		expect(limitsFor(one, ctx)).toBe(bothLimits(one, ctx).working);
		expect(bothLimits(seat, ctx)).toBe(bothLimits(seat, ctx));
	});
});

describe('a limit', () => {
	it('is of its axis, its side and its work, whatever was asked before in the same context', () => {
		const envelope = Object.fromEntries(
			AXES.map((axis, i) => [axis, { left: range(20 + 2 * i), right: range(21 + 2 * i) }])
		);
		const protocolLimits: ProtocolLimit[] = [
			{ axis: 'kneeFlexion', side: 'right', maxDeg: 60, when: 'open-chain' },
			{ axis: 'kneeFlexion', side: 'right', maxDeg: 50, when: 'loaded' }
		];
		const ctx = context({ envelope, protocolLimits });
		const loaded = { ...bare, posture: { ...seat.posture, load: { kg: 5 } } } as unknown as Step;
		const works: readonly Step[] = [
			bare,
			{ ...bare, tags: ['open-chain-knee'] },
			{ ...bare, tags: ['no-weight'] },
			loaded
		];
		for (const s of works)
			for (const [i, axis] of AXES.entries())
				for (const side of SIDES) {
					const l = limitOn(axis, side, s, ctx);
					expect([l.axis, l.side, l.kind === 'known' ? l.tolerated.tolerable : null]).toEqual([
						...[axis, side, (side === 'left' ? 20 : 21) + 2 * i]
					]);
				}
		expect(works.map((s) => limitOn('kneeFlexion', 'right', s, ctx).allowed?.maxDeg)).toEqual([
			undefined,
			60,
			undefined,
			50
		]);
	});
	it('of a client without a protocol is what was measured, with the error kept free and then without', () => {
		const ctx = context({ envelope: { kneeFlexion: both(range(100)) } });
		expect(limitOn('kneeFlexion', 'left', seat, ctx).allowed).toBeUndefined();
		const [kept, bareLimit] = boundsOf(seat, ctx);
		expect(JSON.stringify(kept)).not.toBe(JSON.stringify(bareLimit));
	});
});
