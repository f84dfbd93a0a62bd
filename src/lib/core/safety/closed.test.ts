/** What closes a step before its button: who may open it, and what is not asked again. Common practice; gates and clearances by safety rules of this catalogue. */
import { describe, expect, it } from 'vitest';
import { context, envelope, facts, given, limit, press, seat, squat } from '../../../../tests/standing.ts';
import { stepOf } from '../exercise/family.ts';
import type { FitContext } from '../movement/context.ts';
import { asksGates, closedFor, farthestOn, gateKey } from './closed.ts';
import type { Prescribed, StandingFacts } from './standing.ts';

describe('closed before the button', () => {
	const closed = (
		patch: Partial<FitContext>,
		unmet: Parameters<typeof closedFor>[2]['unmet'] = [],
		treatsBack = false,
		step = seat,
		clearances: StandingFacts['clearances'] = []
	) =>
		closedFor(given({ step }), false, { ...facts(context(patch), clearances), unmet, treatsBack }).map(
			(c) => [c.by, c.who]
		);
	it('a protocol opens to nobody, everything else to a licensed user', () => {
		expect(closed(limit(70))).toContainEqual(['protocol', 'nobody']);
		expect(closed({ envelope: {} })).toEqual([['unmeasured', 'licensed']]);
		expect(closed({}, [{ gate: { kind: 'felt', step: 'x' }, text: 't' }])).toEqual([['gate', 'licensed']]);
		expect(closed({})).toEqual([]);
		// What a flag, a clearance, a position or the room closes, a licensed user opens.
		expect(
			closed({ withheld: [{ tag: 'one-leg', because: 'fragile' }] }, [], false, {
				...seat,
				tags: ['one-leg']
			})
		).toEqual([['flag', 'licensed']]);
		expect(closed({}, [], false, { ...seat, gates: [{ kind: 'clearance', what: 'impact' }] })).toEqual([
			['clearance', 'licensed']
		]);
		expect(closed({ equipment: [] })).toContainEqual(['equipment', 'licensed']);
	});
	it('work that loads the spine waits for a clearance where a back is treated', () => {
		const goblet = stepOf(squat, 'goblet-squat')!;
		expect(closed({}, [], true, goblet)).toContainEqual(['loaded-spine', 'licensed']);
		expect(closed({}, [], true, goblet, ['loaded-spine']).map(([by]) => by)).not.toContain('loaded-spine');
		expect(closed({}, [], false, goblet).map(([by]) => by)).not.toContain('loaded-spine');
		expect(closed({}, [], true)).toEqual([]);
		// Weights that hang at the sides are another thing for it: a sore back alone does not withhold them. Common practice.
		const hanging = { ...goblet, tags: [...goblet.tags, 'hanging-load' as const] };
		expect(closed({}, [], true, hanging).map(([by]) => by)).not.toContain('loaded-spine');
	});
	it('the farthest of some steps is the last on the ladder, whatever their order; of none there is none', () => {
		const [first, second, third] = squat.steps.map((x) => x.id);
		expect(farthestOn(squat, [third!, first!])).toBe(third);
		expect(farthestOn(squat, [second!])).toBe(second);
		expect(farthestOn(squat, [first!, second!])).toBe(second);
		expect(farthestOn(squat, [])).toBeUndefined();
		expect(farthestOn(squat, ['of-another-ladder'])).toBeUndefined();
	});
	it('gates are told apart by what they ask', () =>
		expect([
			gateKey({ kind: 'felt', step: 'a' }),
			gateKey({ kind: 'felt', step: 'a', muscle: 'calf' }),
			gateKey({ kind: 'mastered', step: 'a' }),
			gateKey({
				kind: 'any-of',
				gates: [
					{ kind: 'felt', step: 'a' },
					{ kind: 'mastered', step: 'b' }
				]
			}),
			gateKey({ kind: 'clearance', what: 'impact' }),
			gateKey({ kind: 'technique', technique: 'stacked' }),
			gateKey({ kind: 'stage', course: 'knee', stage: 'load' })
		]).toEqual([
			'gate:felt:a',
			'gate:felt:a/calf',
			'gate:mastered:a',
			'gate:any-of:felt/a+mastered/b',
			'gate:clearance:impact',
			'gate:technique:stacked',
			'gate:stage:knee/load'
		]));
});

describe('beyond what is usable', () => {
	const by = (p: Prescribed, chosen: boolean, patch: Partial<FitContext>) =>
		closedFor(p, chosen, { ...facts(context(patch)), unmet: [], treatsBack: false }).map((c) => c.by);
	const stiff = (knee: number) => ({ envelope: envelope(knee) });
	it('a set-up that was chosen is judged for itself: past the range it is closed, solved inside it is open', () => {
		expect(by(given({ setup: { seatCm: 40 } }), true, stiff(90))).toEqual(['range']);
		expect(by(given({ setup: { seatCm: 60 } }), true, stiff(90))).toEqual([]);
		// A step that fits as it stands does not open a seat that was turned lower by hand.
		expect([46, 38, 30].map((seatCm) => by(given({ setup: { seatCm } }), true, stiff(115)))).toEqual([
			[],
			[],
			['range']
		]);
	});
	it('a set-up that was solved is closed only where nothing helps', () => {
		expect(by(given(), false, stiff(90))).toEqual([]);
		expect(by(given(), false, stiff(20))).toEqual(['range']);
	});
	it('seen doing it opens it, whatever was measured', () => {
		const seen = (knee: number) => ({
			...stiff(knee),
			observed: [{ step: 'leg-press', setup: { sledCm: 40 }, date: '2026-03-10' }]
		});
		expect(by(press(), true, stiff(30))).toEqual(['range']);
		expect(by(press(), true, seen(30))).toEqual([]);
	});
	it('what holds comes alone: a range or a missing measurement is not said beside a protocol', () => {
		expect(by(given(), false, { ...stiff(20), ...limit(40) })).not.toContain('range');
		expect(by(given(), false, { envelope: {}, ...limit(40) })).not.toContain('unmeasured');
	});
	it('what was passed over once is closed again when it is given anew', () => {
		const off = { withheld: [{ tag: 'unsteady' as const, because: 'falls' }] };
		const step = { ...seat, tags: ['unsteady' as const] };
		const key = closedFor(given({ step }), false, { ...facts(context(off)), unmet: [], treatsBack: false })[0]
			?.key;
		expect(key).toBe('flag:falls:unsteady');
		expect(by(given({ step, passedOver: [key ?? ''] }), false, off)).toContain('flag');
	});
	it('a clearance is said once: not as a gate besides', () => {
		const unmet = [{ gate: { kind: 'clearance' as const, what: 'impact' as const }, text: 'cleared' }];
		expect(
			closedFor(given(), false, { ...facts(context()), unmet, treatsBack: false }).map((c) => c.by)
		).toEqual([]);
	});
});

describe('gates of a step', () => {
	it('are asked only of what lies farther on the ladder than what was reached', () => {
		const [first, second, third] = squat.steps.map((s) => s.id) as [string, string, string];
		expect(asksGates(squat, second, first)).toBe(true);
		expect(asksGates(squat, second, second)).toBe(false);
		expect(asksGates(squat, second, third)).toBe(false);
		expect(asksGates(squat, first, undefined)).toBe(true);
	});
});
