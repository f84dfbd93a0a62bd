/**
 * What is known binds, over random whole clients: any ladder, body, ranges measured or not, protocol, caution, position and history. Nothing that is
 * proposed or offered breaks a protocol limit, a withheld tag, a position or a clearance; and entering a limit never makes an answer bolder. The
 * counts say that the interesting cases were reached.
 */
import { RANGES } from '#lib/catalogue/ranges.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clientOf, limitSpec, specs, TODAY, type Spec } from '../../../../tests/clients.ts';
import { ambitionOf } from '#lib/core/decision/judge.ts';
import { stepOf } from '#lib/core/exercise/family.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { closedFor } from '#lib/core/safety/closed.ts';
import { breaksOf, STANDING_VERDICTS, type Break } from '#lib/core/safety/standing.ts';
import { fitContextOf, standingFactsOf, standingOf } from './fit-of.ts';
import type { ClientRecord } from './load.ts';
import { slipOf } from './slip-of.ts';
import { reached } from '../../../../tests/cases.ts';

const RUNS = 1200;
const seeded = { seed: 20260320, numRuns: Math.max(50, Math.round(RUNS / Number(process.env.FC_RUNS ?? 1))) };

/** Everything that holds a prescription of this client, judged from its parts and not by the function that proposed it. */
function held(
	r: ClientRecord,
	to: { readonly step: string; readonly setup?: object; readonly dose: { readonly loadKg: number } }
): readonly Break[] {
	const e = r.exercises[0];
	const family = e === undefined ? undefined : r.families[e.family];
	const step = family === undefined ? undefined : stepOf(family, to.step);
	if (e === undefined || family === undefined || step === undefined) throw new Error('no exercise');
	return breaksOf(
		{ family, step, setup: to.setup ?? null, loadKg: to.dose.loadKg, since: '9999-12-31' },
		standingFactsOf(r, TODAY, family, step, e.side)
	).breaks;
}

const slip = (r: ClientRecord) => slipOf(r, r.exercises[0]!, TODAY, 0);
const DAY_TODAY = { day: 0 } as const;
const rank = (r: ClientRecord): number => {
	const s = standingOf(r, r.exercises[0]!, TODAY);
	return s === null ? -1 : ['stands', 'watch', 'swap', 'short', 'suspended'].indexOf(s.verdict);
};

describe('nothing proposed would not stand', () => {
	it('every change of every slip stands, or is a stop or a set-aside', () => {
		const seen = new Map<string, number>();
		fc.assert(
			fc.property(specs, (s) => {
				const r = clientOf(s);
				const { trace } = slip(r);
				const change = trace.change;
				const key = `${trace.decision}${change === null ? '' : ` ${change.kind}`}`;
				seen.set(key, (seen.get(key) ?? 0) + 1);
				if (change === null || change.kind === 'set-aside' || change.kind === 'frequency') return;
				const breaks = held(r, change.result).filter((b) => b.by !== 'tolerated');
				expect(
					breaks,
					`${trace.rule} ${change.kind} → ${change.result.step} ${JSON.stringify(change.result.setup)}`
				).toEqual([]);
			}),
			seeded
		);
		for (const key of ['advance dose', 'advance step', 'stop mend', 'stop', 'hold', 'regress dial'])
			expect(seen.get(key) ?? 0, `${key} of ${[...seen].join('; ')}`).toBeGreaterThan(reached(3));
	});
	it('broken work never advances: a protocol, a flag or a clearance stops it, whatever else is in the record', () => {
		let broken = 0;
		fc.assert(
			fc.property(specs, (s) => {
				const r = clientOf(s);
				if (rank(r) < STANDING_VERDICTS.length - 1) return;
				broken++;
				expect(slip(r).trace).toMatchObject({ decision: 'stop', rule: 'stop.limit' });
			}),
			seeded
		);
		expect(broken).toBeGreaterThan(reached(seeded.numRuns / 8));
	});
	it('a mend is no harder, stands, and is of the same ladder or a way of the same purpose', () => {
		let mends = 0;
		fc.assert(
			fc.property(specs, (s) => {
				const r = clientOf(s);
				const e = r.exercises[0]!;
				const mend = standingOf(r, e, TODAY)?.mend;
				if (mend === null || mend === undefined) return;
				mends++;
				const family = r.families[mend.family]!;
				const step = stepOf(family, mend.step)!;
				const facts = standingFactsOf(r, TODAY, family, step, e.side);
				const loadKg = Math.min(e.prescriptions[0]!.dose.loadKg, mend.loadKg ?? Infinity);
				expect(
					breaksOf({ family, step, setup: mend.setup, loadKg, since: '9999-12-31' }, facts).breaks.filter(
						(b) => b.tag !== 'over-load'
					)
				).toEqual([]);
				expect(['fits', 'set-up', 'watch']).toContain(fitStep(step, facts.ctx).verdict);
			}),
			seeded
		);
		expect(mends).toBeGreaterThan(reached(seeded.numRuns / 10));
	});
});

describe('entering a limit never makes anything bolder', () => {
	const withLimit = (s: Spec, l: Spec['limits'][number]): Spec => ({
		...s,
		limits: [...s.limits, { ...l, ...DAY_TODAY }]
	});
	it('not the slip', () => {
		let tighter = 0;
		fc.assert(
			fc.property(specs, limitSpec, (s, l) => {
				const before = ambitionOf(slip(clientOf(s)).trace);
				const after = ambitionOf(slip(clientOf(withLimit(s, l))).trace);
				expect(after).toBeLessThanOrEqual(before);
				// A limit of this leg restarts its streaks: the sessions before it are history. One of the back is not of the leg.
				if (before === 4 && l.side === s.side && RANGES[l.axis].joint !== 'back')
					expect(after).toBeLessThan(4);
				if (after < before) tighter++;
			}),
			seeded
		);
		expect(tighter).toBeGreaterThan(reached(seeded.numRuns / 20));
	});
	it('not what stands, measured or not', () => {
		fc.assert(
			fc.property(specs, limitSpec, (s, l) => {
				expect(rank(clientOf(withLimit(s, l)))).toBeGreaterThanOrEqual(rank(clientOf(s)));
			}),
			seeded
		);
	});
	it('not a fit, and not what is closed to prescribing', () => {
		fc.assert(
			fc.property(specs, limitSpec, (s, l) => {
				const [a, b] = [clientOf(s), clientOf(withLimit(s, l))];
				const e = a.exercises[0]!;
				const family = a.families[e.family]!;
				const step = stepOf(family, e.prescriptions[0]!.step)!;
				const passes = (r: ClientRecord): boolean =>
					['fits', 'set-up', 'watch'].includes(fitStep(step, fitContextOf(r, TODAY, e.side)).verdict);
				expect(Number(passes(b))).toBeLessThanOrEqual(Number(passes(a)));
				const closed = (r: ClientRecord) =>
					closedFor({ family, step, setup: e.prescriptions[0]!.setup, loadKg: 0, since: TODAY }, true, {
						...standingFactsOf(r, TODAY, family, step, e.side),
						unmet: [],
						treatsBack: false
					}).length;
				if (closed(a) > 0) expect(closed(b)).toBeGreaterThan(0);
			}),
			seeded
		);
	});
});
