/** The properties every decision must have, over thousands of random histories of all four policies (fast-check, fixed seed). */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { histories, KNEE, morning, record, session } from '../../../../tests/records.ts';
import { addDays, dayNumber } from '../base/calendar-day.ts';
import { canonical } from '../base/canonical.ts';
import { doseVolume } from '../dose/dose.ts';
import type { Session } from '../session/record.ts';
import { decide, withMorning } from './decide.ts';
import type { DecideInput } from './input.ts';
import { ambitionOf, judge } from './judge.ts';
import type { Trace } from './trace.ts';
import { reached, WHOLE_RUN } from '../../../../tests/cases.ts';

const runs = { seed: 20260306, numRuns: 3000 };
const lastOf = (input: DecideInput): Session | undefined =>
	[...input.sessions].sort((a, b) => dayNumber(a.date) - dayNumber(b.date)).pop();

/** Everything of a trace but the order of its evidence. */
const same = (t: Trace): string => canonical(t);

describe('properties of the decision', () => {
	it.runIf(WHOLE_RUN)('histories of every kind occur, so that the properties bite', () => {
		const seen = new Set<string>();
		fc.assert(
			fc.property(histories, (h) => {
				seen.add(judge(h).rule);
			}),
			runs
		);
		for (const rule of [
			'advance',
			'hold.building',
			'hold.region',
			'hold.flare',
			'regress.pain',
			'regress.morning',
			'wait.morning',
			'wait.no-sessions',
			'stop.symptom',
			'stop.pain',
			'refer.emergency',
			'hold.soreness'
		])
			expect([...seen]).toContain(rule);
	});
	it('1 an open red flag, or an unscreened client, never gets hold or advance', () => {
		fc.assert(
			fc.property(histories, fc.boolean(), (h, flag) => {
				const { screening, ...unscreened } = h.client;
				const client = flag
					? {
							...h.client,
							...(screening ? { screening } : {}),
							flags: [{ id: 'x', severity: 'red' as const, open: true }]
						}
					: unscreened;
				expect(['hold', 'advance']).not.toContain(judge({ ...h, client }).decision);
			}),
			runs
		);
	});
	it('2 more pain in the last session, or the next morning, never gives a bolder answer', () => {
		fc.assert(
			fc.property(
				histories,
				fc.constantFrom('peak', 'after', 'evening', 'morning'),
				fc.integer({ min: 1, max: 5 }),
				(h, what, more) => {
					const last = lastOf(h);
					fc.pre(last !== undefined);
					const own = last.pains.find((p) => p.region === KNEE);
					const date = addDays(last.date, 1);
					const next = h.mornings.find((m) => m.date === date);
					const now = what === 'morning' ? next?.pain : own?.[what];
					fc.pre(now !== undefined && now < 10);
					const to = Math.min(10, now + more);
					const worse: DecideInput =
						what === 'morning'
							? { ...withMorning(h, last, to), today: h.today }
							: {
									...h,
									sessions: h.sessions.map((s) =>
										s === last
											? { ...s, pains: s.pains.map((p) => (p === own ? { ...p, [what]: to } : p)) }
											: s
									)
								};
					expect(ambitionOf(judge(worse))).toBeLessThanOrEqual(ambitionOf(judge(h)));
				}
			),
			runs
		);
	});
	it('3 advance turns one dial only: dose or step, never both harder, and only an edge whose gate and fit are open', () => {
		fc.assert(
			fc.property(histories, (h) => {
				const t = judge(h);
				if (t.decision !== 'advance' || t.change === null) return;
				if (t.change.kind === 'dose') {
					expect(t.change.result.step).toBe(h.exercise.step);
					expect(t.change.result.setup).toEqual(h.exercise.setup);
				} else {
					const edge = h.nextSteps?.find((e) => e.step === t.change?.to);
					expect(edge?.gateOpen).toBe(true);
					expect(['fits', 'set-up', 'watch']).toContain(edge?.verdict);
					expect(doseVolume(t.change.result.dose)).toBeLessThanOrEqual(doseVolume(h.exercise.dose));
				}
			}),
			runs
		);
	});
	it('4 regress never asks for more than today', () => {
		fc.assert(
			fc.property(histories, (h) => {
				const t = judge(h);
				if (t.decision !== 'regress' || t.change === null) return;
				const { result } = t.change;
				expect(doseVolume(result.dose)).toBeLessThanOrEqual(doseVolume(h.exercise.dose));
				expect(result.dose.loadKg).toBeLessThanOrEqual(h.exercise.dose.loadKg);
				if (result.setup?.seatCm !== undefined)
					expect(result.setup.seatCm).toBeGreaterThanOrEqual(h.exercise.setup?.seatCm ?? 0);
			}),
			runs
		);
	});
	it('5 the order of the record does not matter', () => {
		fc.assert(
			fc.property(histories, fc.infiniteStream(fc.integer({ min: 0, max: 1_000_000 })), (h, stream) => {
				const keys = stream[Symbol.iterator]();
				const shuffle = <T>(xs: readonly T[]): T[] =>
					xs
						.map((x) => ({ x, k: keys.next().value as number }))
						.sort((a, b) => a.k - b.k)
						.map((p) => p.x);
				expect(
					same(
						judge({
							...h,
							sessions: shuffle(h.sessions),
							mornings: shuffle(h.mornings),
							changes: shuffle(h.changes),
							others: shuffle(h.others)
						})
					)
				).toBe(same(judge(h)));
			}),
			{ ...runs, numRuns: 1000 }
		);
	});
	it('5 swapping left and right swaps only labels', () => {
		const swap = <T>(x: T): T =>
			JSON.parse(
				JSON.stringify(x).replace(/knee-(left|right)|hip-(left|right)/g, (m) =>
					m.endsWith('left') ? m.replace('left', 'right') : m.replace('right', 'left')
				)
			) as T;
		fc.assert(
			fc.property(histories, (h) => {
				const [a, b] = [judge(h), judge(swap(h))];
				expect(same(swap(a))).toBe(same(b));
			}),
			{ ...runs, numRuns: 1000 }
		);
	});
	it('6 dropping sessions older than every window changes nothing', () => {
		const old = session('2025-06-01', { symptoms: [] }, { peak: 7, after: 7 });
		fc.assert(
			fc.property(histories, (h) => {
				const withOld = { ...h, sessions: [old, ...h.sessions] };
				expect(judge(withOld).decision).toBe(judge(h).decision);
			}),
			runs
		);
	});
	it('6 taking any value away never leads to advance', () => {
		fc.assert(
			fc.property(
				histories,
				fc.constantFrom(
					'peak',
					'after',
					'effort',
					'cleanReps',
					'soreness',
					'confidence',
					'symptoms',
					'faults',
					'morning',
					'swelling'
				),
				fc.nat(20),
				(h, what, at) => {
					fc.pre(judge(h).decision !== 'advance');
					const i = h.sessions.length === 0 ? 0 : at % h.sessions.length;
					const drop = (o: object, key: string): object =>
						Object.fromEntries(Object.entries(o).filter(([k]) => k !== key));
					const strip = (s: Session): Session =>
						(what === 'peak' || what === 'after'
							? { ...s, pains: s.pains.map((p) => drop(p, what)) }
							: what === 'effort' || what === 'cleanReps'
								? { ...s, sets: s.sets.map((x) => drop(x, what)) }
								: drop(s, what)) as Session;
					const date = h.sessions[i] === undefined ? '' : addDays(h.sessions[i].date, 1);
					const less: DecideInput =
						what === 'morning'
							? { ...h, mornings: h.mornings.filter((m) => m.date !== date) }
							: what === 'swelling'
								? {
										...h,
										mornings: h.mornings.map((m) => (m.date === date ? (drop(m, 'swelling') as typeof m) : m))
									}
								: { ...h, sessions: h.sessions.map((s, k) => (k === i ? strip(s) : s)) };
					const answer = judge(less);
					// A reported stop, symptom or over-the-line pain that is taken away must not turn into an advance either.
					expect(answer.decision === 'advance' ? answer.rule : 'ok').toBe('ok');
				}
			),
			runs
		);
	});
	it('7 replay: the same stored inputs give the same trace, byte for byte', () => {
		fc.assert(
			fc.property(histories, (h) => {
				expect(same(decide(JSON.parse(canonical(h)) as DecideInput))).toBe(same(decide(h)));
			}),
			{ ...runs, numRuns: 300 }
		);
	});
	it('8 no reported flip is wrong, and none smaller exists among those tried', () => {
		let flips = 0;
		fc.assert(
			fc.property(histories, (h) => {
				const t = decide(h);
				const f = t.nearestFlip;
				const last = lastOf(h);
				if (f === null || last === undefined || f.from === null) return;
				flips++;
				const moved = (to: number): DecideInput => {
					if (f.input === 'morning') return withMorning(h, last, to);
					const change = (s: Session): Session =>
						f.input === 'peak' || f.input === 'after'
							? { ...s, pains: s.pains.map((p) => (p.region === KNEE ? { ...p, [f.input]: to } : p)) }
							: f.input === 'effort'
								? { ...s, sets: s.sets.map((x) => ({ ...x, effort: to })) }
								: { ...s, [f.input]: to };
					return { ...h, sessions: h.sessions.map((s) => (s === last ? change(s) : s)) };
				};
				expect(judge(moved(f.to)).decision).toBe(f.decision);
				expect(f.decision).not.toBe(t.decision);
				const size = Math.abs(f.to - f.from);
				for (let step = 1; step < size; step++)
					for (const to of [f.from - step, f.from + step])
						if (to >= 0 && to <= 10) expect(judge(moved(to)).decision).toBe(t.decision);
			}),
			{ ...runs, numRuns: 400 }
		);
		expect(flips).toBeGreaterThan(reached(100));
	});
	it('a good knee stays good: the plain record advances', () => {
		expect(judge(record()).decision).toBe('advance');
		expect(
			judge(record({ mornings: [...record().mornings.slice(0, -1), morning('2026-03-19', 3)] })).decision
		).toBe('hold');
	});
});
