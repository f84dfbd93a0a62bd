/**
 * More range is never held against anybody: one axis up, everything else equal, no verdict gets worse and no solved length gets gentler.
 * Over every step of the catalogue, every school of technique and bodies of 150 to 195 cm.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '../../catalogue/families.ts';
import { POLICIES } from '../../catalogue/policies.ts';
import { AXES, type Axis } from '../body/axis.ts';
import { bodyOf } from '../body/body.ts';
import type { Envelope, Tolerated } from '../client/envelope.ts';
import { fitRulesOf } from '../decision/policy.ts';
import type { Step } from '../exercise/family.ts';
import { TECHNIQUES } from '../posture/problem.ts';
import { lengthIn, type FitContext } from '../movement/context.ts';
import { fitSteps, type StepFit } from './fit.ts';
import { reached } from '../../../../tests/cases.ts';

const STEPS = Object.values(FAMILIES).flatMap((f) => f.steps);
const RULES = fitRulesOf(POLICIES['pain-monitored']);
const RANK = { blocked: 0, unmeasured: 0, 'set-up': 1, watch: 2, fits: 3 } as const;
const LOW: Readonly<Record<Axis, number>> = {
	kneeFlexion: 40,
	thighTrunkFlexion: 55,
	weightBearingDorsiflexion: 2,
	straightLegRaise: 30,
	hipExtension: -10,
	bigToeExtension: 10,
	hipAbduction: 0,
	hipInternalRotation: 0,
	hipExternalRotation: 0,
	forwardBow: 5
};
const HIGH: Readonly<Record<Axis, number>> = {
	kneeFlexion: 150,
	thighTrunkFlexion: 155,
	weightBearingDorsiflexion: 45,
	straightLegRaise: 100,
	hipExtension: 40,
	bigToeExtension: 90,
	hipAbduction: 45,
	hipInternalRotation: 45,
	hipExternalRotation: 45,
	forwardBow: 110
};

const range = (deg: number, free: boolean): Tolerated => ({
	painFree: free ? deg : deg - 2,
	tolerable: deg,
	end: deg,
	date: '2026-03-01',
	loaded: false
});
const envelopeOf = (o: Readonly<Record<Axis, number>>, free: boolean): Envelope =>
	Object.fromEntries(AXES.map((a) => [a, { left: range(o[a], free), right: range(o[a], free) }]));

const client = fc.record({
	ranges: fc.record(
		Object.fromEntries(AXES.map((a) => [a, fc.integer({ min: LOW[a], max: HIGH[a] })])) as Record<
			Axis,
			fc.Arbitrary<number>
		>
	),
	heightCm: fc.integer({ min: 150, max: 195 }),
	technique: fc.constantFrom(undefined, ...TECHNIQUES),
	teach: fc.boolean(),
	free: fc.boolean(),
	side: fc.constantFrom(undefined, 'left' as const, 'right' as const),
	/** What the room can build; left out, any height. */
	room: fc.constantFrom(
		undefined,
		{ seats: [42, 46, 52], pads: [{ cm: 3, count: 3 }], steps: [5, 10, 15, 20] },
		{ seats: [44], pads: [] }
	),
	axis: fc.constantFrom(...AXES),
	more: fc.integer({ min: 1, max: 30 })
});

const lengthOf = (f: StepFit) => lengthIn(f.setup);
/** Rounding to whole centimetres and degrees. */
const ROUNDING = { cm: 0.5, deg: 1 } as const;

function worse(step: Step, less: StepFit, wider: StepFit): string | null {
	if (RANK[wider.verdict] < RANK[less.verdict]) return `${step.id}: ${less.verdict} became ${wider.verdict}`;
	const [a, b] = [lengthOf(less), lengthOf(wider)];
	if (less.verdict !== 'set-up' || wider.verdict !== 'set-up' || a === null || b === null) return null;
	return (a.value - b.value) * a.harder > ROUNDING[a.unit]
		? `${step.id}: ${a.of} ${a.value} became ${b.value}`
		: null;
}

describe('one axis up, everything else equal', () => {
	it('no step of the catalogue gets a worse verdict or a gentler set-up', () => {
		const compared: Record<string, number> = {};
		fc.assert(
			fc.property(client, ({ ranges, heightCm, technique, teach, free, side, room, axis, more }) => {
				const body = bodyOf({ heightCm, massKg: 70 });
				if (!body.ok) throw new Error(body.refusal.message);
				const ctx = (o: Readonly<Record<Axis, number>>): FitContext => ({
					body: body.value,
					rules: RULES,
					today: '2026-03-06',
					envelope: envelopeOf(o, free),
					teach,
					...(technique === undefined ? {} : { technique }),
					...(side === undefined ? {} : { side }),
					...(room === undefined ? {} : { furniture: room })
				});
				const [less, wider] = [
					fitSteps(STEPS, ctx(ranges)),
					fitSteps(STEPS, ctx({ ...ranges, [axis]: ranges[axis] + more }))
				];
				const faults = STEPS.flatMap((s, i) => worse(s, less[i] as StepFit, wider[i] as StepFit) ?? []);
				for (const f of less) compared[f.verdict] = (compared[f.verdict] ?? 0) + 1;
				expect(faults, `${axis} ${ranges[axis]} + ${more}`).toEqual([]);
			}),
			{ seed: 91, numRuns: Number(process.env.FC_RUNS ?? 300) }
		);
		// Every verdict was reached often enough to mean something.
		for (const v of ['blocked', 'set-up', 'watch', 'fits'])
			expect(compared[v], v).toBeGreaterThan(reached(1000));
	});
});
