/** Which way to go: the cause in the record, then the cheapest dial that answers it. Common practice throughout. */
import { describe, expect, it } from 'vitest';
import { edge, KNEE, mornings, record, session, TODAY } from '../../../../tests/records.ts';
import { factsOf } from './facts.ts';
import type { DecideInput } from './input.ts';
import { LOSES_POSITION } from './lost-position.ts';
import { judge } from './judge.ts';
import { causeOfFault, causeOfPain, wayToRegress, type Cause } from './regress.ts';
import type { ProposedChange } from './trace.ts';

const loaded = record().exercise;
const exercise = (patch: Partial<DecideInput['exercise']>): DecideInput =>
	record({ exercise: { ...loaded, ...patch } });
const way = (input: DecideInput, cause: Cause): ProposedChange => wayToRegress(factsOf(input), cause);

describe('which way to regress', () => {
	it('pain late in the movement: the seat goes up by a solved notch, the dose stays', () => {
		expect(way(record(), 'pain-late')).toMatchObject({
			kind: 'dial',
			dial: 'surface',
			from: 50,
			to: 53,
			result: { dose: { sets: 2, reps: 10 } }
		});
	});
	it('pain only with load: the next lighter bell, then none', () => {
		const goblet = { dose: { ...loaded.dose, loadKg: 12 }, rackKg: [4, 8, 12, 16] };
		expect(way(exercise(goblet), 'pain-loaded')).toMatchObject({ dial: 'load', from: 12, to: 8 });
		expect(way(exercise({ ...goblet, rackKg: [12] }), 'pain-loaded')).toMatchObject({ dial: 'load', to: 0 });
	});
	it('without load the same cause takes a set', () => {
		expect(way(record(), 'pain-loaded')).toMatchObject({ dial: 'dose', from: '2×10', to: '1×10' });
	});
	it('only next morning: one set fewer, and repetitions when one set is left', () => {
		expect(way(record(), 'morning')).toMatchObject({ dial: 'dose', to: '1×10' });
		expect(way(exercise({ dose: { ...loaded.dose, sets: 1 } }), 'morning')).toMatchObject({
			dial: 'dose',
			to: '1×6'
		});
		expect(way(exercise({ dose: { ...loaded.dose, sets: 1, reps: 3 } }), 'morning')).toMatchObject({
			dial: 'frequency'
		});
	});
	it('form lost after the first repetitions: down to the clean count', () => {
		const input = record({
			sessions: [
				session('2026-03-18', {
					sets: [
						{ reps: 10, effort: 6, cleanReps: 7 },
						{ reps: 10, effort: 6, cleanReps: 6 }
					]
				})
			]
		});
		expect(way(input, 'form')).toMatchObject({ dial: 'dose', to: '2×6' });
	});
	it('a position that is lost: the clean count, down to one, in more sets, and never more work in all', () => {
		const lost = (dose: { sets: number; reps: number }, clean: number, share = 1): ProposedChange =>
			way(
				record({
					exercise: { ...loaded, dose: { ...loaded.dose, ...dose } },
					sessions: [
						session('2026-03-18', {
							sets: Array.from({ length: dose.sets }, () => ({
								reps: dose.reps,
								effort: 6,
								cleanReps: clean
							})),
							faults: { [LOSES_POSITION]: share }
						})
					]
				}),
				'form'
			);
		expect(lost({ sets: 3, reps: 5 }, 2)).toMatchObject({ dial: 'dose', to: '5×2' });
		expect(lost({ sets: 1, reps: 5 }, 1)).toMatchObject({ dial: 'dose', to: '5×1' });
		expect(lost({ sets: 2, reps: 5 }, 3)).toMatchObject({ dial: 'dose', to: '3×3' });
		// Another fault: two clean are too few to go on with, and no set is added.
		expect(lost({ sets: 3, reps: 5 }, 2, 0)).not.toMatchObject({ to: '5×2' });
		expect(lost({ sets: 2, reps: 10 }, 6, 0)).toMatchObject({ to: '2×6' });
	});
	it('heel lifting: a wedge where one was solved, never where the front of the knee is the sore place', () => {
		const wedge = { dial: 'surface' as const, to: 3, setup: { thighDeg: 70, heelWedgeCm: 3 } };
		const depth = { dial: 'depth' as const, to: 60, setup: { thighDeg: 60 } };
		const at = (frontOfKneeSore: boolean): ProposedChange =>
			way(exercise({ gentler: [wedge, depth], setup: { thighDeg: 70 }, frontOfKneeSore }), 'heel');
		expect(at(false).result.setup?.heelWedgeCm).toBe(3);
		expect(at(true)).toMatchObject({ dial: 'depth', result: { setup: { thighDeg: 60 } } });
	});
	it('guarding: a smaller movement at the same dose', () => {
		expect(way(record(), 'guarding')).toMatchObject({
			kind: 'dial',
			result: { dose: { sets: 2, reps: 10 } }
		});
	});
	it('with no notch left on any dial: the easier step', () => {
		const step = { dial: 'support' as const, to: 'raised-seat', step: 'raised-seat', setup: { seatCm: 56 } };
		expect(way(exercise({ gentler: [step] }), 'pain-late')).toMatchObject({
			kind: 'step',
			to: 'raised-seat',
			result: { step: 'raised-seat', setup: { seatCm: 56 } }
		});
	});
	it('a fault turns its own dial', () => {
		expect(
			[
				'heel-lifts',
				'knee-drifts-in',
				'pelvis-tucks',
				'trunk-tips',
				'loses-balance',
				'rushed',
				'unheard-of'
			].map(causeOfFault)
		).toEqual(['heel', 'knee-drift', 'back', 'trunk', 'wobble', 'form', 'form']);
	});
	it('where it hurt is the cause', () => {
		const at = (patch: Parameters<typeof session>[1]): Cause => causeOfPain(session(TODAY, patch));
		expect([
			at({ painAt: 'late' }),
			at({ painAt: 'early' }),
			at({ painAt: 'throughout' }),
			at({}),
			at({ painAt: 'late', painOnlyLoaded: true })
		]).toEqual(['pain-late', 'pain-early', 'pain-early', 'pain', 'pain-loaded']);
	});
});

describe('which way to advance', () => {
	const done = { ...loaded, dose: { ...loaded.dose, sets: 3 } };
	const change = (patch: Partial<DecideInput>): ProposedChange | null =>
		judge(record({ exercise: done, ...patch })).change;
	it('the first open edge, in the ladder’s order; closed ones are passed over', () => {
		expect(
			change({
				nextSteps: [edge({ gateOpen: false }), edge({ step: 'rise-and-press', dial: 'load', loadKg: 4 })]
			})
		).toMatchObject({
			to: 'rise-and-press',
			dial: 'load',
			result: { dose: { loadKg: 4, sets: 1, reps: 5 } }
		});
		expect(
			change({
				nextSteps: [edge({ verdict: 'blocked' }), edge({ verdict: 'watch', step: 'rise-and-press' })]
			})?.to
		).toBe('rise-and-press');
	});
	it('an edge that failed twice in 21 days stays closed', () => {
		const from = { step: 'counter-squat', dose: done.dose };
		const fails = (days: number[]): DecideInput['changes'] => [
			{ date: '2026-02-01', kind: 'start' },
			...days.map((d) => ({ date: `2026-03-${String(d).padStart(2, '0')}`, kind: 'regress' as const, from })),
			{ date: '2026-03-12', kind: 'alter' }
		];
		expect(judge(record({ exercise: done, changes: fails([3, 8]) })).rule).toBe('hold.gate');
		expect(judge(record({ exercise: done, changes: fails([8]) })).rule).toBe('advance');
	});
	it('no edges known at all is a question of measuring, not of patience', () => {
		const { nextSteps: _, ...unknown } = record({ exercise: done });
		expect(judge(unknown).rule).toBe('wait.measure');
	});
	it('a retry is not an advance: pace does not hold it', () => {
		const from = { step: 'counter-squat', dose: done.dose };
		const input = record({
			exercise: done,
			changes: [{ date: '2026-03-10', kind: 'regress', from }],
			advancesUsed: 9
		});
		expect(judge(input)).toMatchObject({ rule: 'advance', change: { kind: 'retry' } });
	});
	it('a trio of band work goes on in rounds: one, three, five, each by its own slip; back to the rounds before when it hurts', () => {
		const round = (sets: number) => ({
			...loaded,
			dose: { school: 'rounds' as const, sets, reps: 10, loadKg: 0, target: { sets: 3, reps: 10 } }
		});
		for (const step of ['clamshell', 'side-lying-lift', 'standing-abduction'])
			for (const [from, to] of [
				[1, 3],
				[3, 5]
			] as const)
				expect(judge(record({ exercise: { ...round(from), step } })).change).toMatchObject({
					kind: 'dose',
					to: `${to} rounds of 10`,
					result: { step, dose: { school: 'rounds', sets: to } }
				});
		expect(way(record({ exercise: round(5) }), 'morning')).toMatchObject({ to: '3 rounds of 10' });
		expect(way(record({ exercise: round(3) }), 'morning')).toMatchObject({ to: '1 round of 10' });
	});
	it('double progression: heavier only where the rack has 2–10 % more', () => {
		const bell = {
			...loaded,
			dose: {
				school: 'double-progression' as const,
				sets: 3,
				reps: 10,
				loadKg: 20,
				target: { sets: 3, reps: 10 }
			}
		};
		const at = (rackKg: number[]): ProposedChange | null =>
			judge(record({ exercise: { ...bell, rackKg } })).change;
		expect(at([20, 22])).toMatchObject({ dial: 'load', result: { dose: { loadKg: 22, reps: 8 } } });
		expect(at([20, 24])).toMatchObject({ dial: 'dose', result: { dose: { loadKg: 20, reps: 11 } } });
	});
});

describe('a choice inside the step, one place at a time (common practice)', () => {
	const done = { ...loaded, dose: { ...loaded.dose, sets: 3 }, setup: { thighDeg: 60 } };
	const pause = (to: string, before = true) => ({
		dial: 'tempo' as const,
		choice: 'pause',
		to,
		setup: { thighDeg: 60, ...(to === '0' ? {} : { chosen: { pause: to } }) },
		...(before ? { before: 'depth' as const } : {})
	});
	const ways = (exercise: Partial<DecideInput['exercise']>, nextSteps: DecideInput['nextSteps']) =>
		judge(record({ exercise: { ...done, ...exercise }, nextSteps: nextSteps! })).change;
	it('before more depth, and where no edge is open; else the edge goes first', () => {
		const harder = [pause('2')];
		const depth = [edge({ dial: 'depth' })];
		expect(ways({ harder }, depth)).toMatchObject({
			kind: 'choice',
			dial: 'pause',
			from: null,
			to: '2',
			result: { step: 'standard-seat', setup: { thighDeg: 60, chosen: { pause: '2' } } }
		});
		expect(ways({ harder }, [edge({ dial: 'load' })])?.kind).toBe('step');
		expect(ways({ harder: [pause('2', false)] }, depth)?.kind).toBe('step');
		expect(ways({ harder }, [edge({ gateOpen: false })])?.kind).toBe('choice');
		expect(ways({ harder: [] }, depth)?.kind).toBe('step');
	});
	it('the dose begins anew, at no more than three fifths of the work', () => {
		const dose = ways({ harder: [pause('2')] }, [])!.result.dose;
		expect(dose.sets * dose.reps).toBeLessThanOrEqual(18);
		expect(dose).toMatchObject({ loadKg: 0, target: done.dose.target });
	});
	it('the dose goes first, and a place that was left twice in 21 days waits', () => {
		expect(judge(record({ exercise: { ...loaded, harder: [pause('2')] } })).change).toMatchObject({
			kind: 'dose'
		});
		const from = { step: done.step, dose: done.dose, setup: pause('2').setup };
		const changes = (days: number[]): DecideInput['changes'] => [
			{ date: '2026-02-01', kind: 'start' },
			...days.map((d) => ({ date: `2026-03-${String(d).padStart(2, '0')}`, kind: 'regress' as const, from })),
			{ date: '2026-03-12', kind: 'alter' }
		];
		const at = (days: number[]) =>
			judge(record({ exercise: { ...done, harder: [pause('2')] }, nextSteps: [], changes: changes(days) }))
				.change;
		expect(at([3, 8])).toBeNull();
		expect(at([8])?.kind).toBe('choice');
	});
	it('pain late, tired: the pause goes first, one place back', () => {
		const gentler = [pause('2'), { dial: 'depth' as const, to: 52, setup: { thighDeg: 52 } }];
		const now = { ...done, setup: { thighDeg: 60, chosen: { pause: '5' } }, gentler };
		expect(way(exercise(now), 'pain-late')).toMatchObject({
			kind: 'choice',
			dial: 'pause',
			from: '5',
			to: '2',
			result: { dose: done.dose, setup: { chosen: { pause: '2' } } }
		});
		expect(way(exercise({ ...now, dose: { ...done.dose, sets: 1, reps: 3 } }), 'tired').kind).toBe('choice');
	});
	it('who wobbles stands longer after the step', () => {
		const settle = { dial: 'attention' as const, choice: 'settle', to: '2', setup: { thighDeg: 60 } };
		expect(way(exercise({ ...done, gentler: [settle] }), 'wobble')).toMatchObject({ dial: 'settle' });
	});
	it('a sore front of the knee never gets a higher wedge as relief, whatever the cause', () => {
		const higher = {
			dial: 'surface' as const,
			choice: 'wedge',
			to: '5',
			setup: { thighDeg: 70, heelWedgeCm: 5 }
		};
		const lower = { ...higher, to: '1', setup: { thighDeg: 70, heelWedgeCm: 1 } };
		const now = (gentler: DecideInput['exercise']['gentler'], sore: boolean) =>
			exercise({
				...done,
				setup: { thighDeg: 70, heelWedgeCm: 3 },
				gentler: gentler!,
				frontOfKneeSore: sore
			});
		const CAUSES: readonly Cause[] = [
			...([
				'pain-late',
				'pain-early',
				'pain-loaded',
				'pain',
				'morning',
				'form',
				'tired',
				'guarding'
			] as const),
			...(['wobble', 'knee-drift', 'heel', 'back', 'trunk', 'landing', 'joint'] as const)
		];
		for (const cause of CAUSES)
			expect(way(now([higher], true), cause).result.setup?.heelWedgeCm ?? 3, cause).toBeLessThanOrEqual(3);
		expect(way(now([higher], false), 'heel').result.setup?.heelWedgeCm).toBe(5);
		expect(way(now([higher, lower], true), 'pain').result.setup?.heelWedgeCm).toBe(1);
	});
});

describe('ways back by what it comes from (common practice)', () => {
	const to = (step: string, patch: object = {}) => ({
		dial: 'support' as const,
		to: step,
		step,
		back: true as const,
		setup: { thighDeg: 40 },
		...patch
	});
	const easier = { dial: 'support' as const, to: 'raised-seat', step: 'raised-seat', setup: { seatCm: 56 } };
	const from = (gentler: DecideInput['exercise']['gentler']) =>
		exercise({ gentler: gentler!, dose: { ...loaded.dose, sets: 1, reps: 3 } });
	it('the first that suits goes before the easier step; one for another cause is passed over', () => {
		const both = [easier, to('held-side-lunge', { causes: ['pain-late'] }), to('mid-arc')];
		expect(way(from(both), 'pain-late')).toMatchObject({
			kind: 'step',
			to: 'held-side-lunge',
			result: { step: 'held-side-lunge', setup: { thighDeg: 40 } }
		});
		expect(way(from(both), 'tired').to).toBe('mid-arc');
		expect(way(from([easier, to('x', { causes: ['back'] })]), 'tired').to).toBe('raised-seat');
	});
	it('a way back for one cause is no answer to another dial', () => {
		const only = [to('held-side-lunge', { causes: ['pain-late'] })];
		expect(way(from(only), 'wobble').kind).not.toBe('step');
	});
	it('one of another ladder sets the exercise aside and names what comes instead', () => {
		const stance = to('single-leg-stance', { causes: ['wobble'], family: 'balance' });
		expect(way(from([easier, stance]), 'wobble')).toMatchObject({
			kind: 'set-aside',
			dial: 'way-back',
			to: 'single-leg-stance',
			result: { step: loaded.step }
		});
		expect(way(from([easier, stance]), 'tired').to).toBe('raised-seat');
	});
	it('a dial that there still is goes before it', () => {
		const depth = { dial: 'depth' as const, to: 40, setup: { thighDeg: 40 } };
		expect(way(from([depth, to('held-side-lunge')]), 'pain-late')).toMatchObject({ kind: 'dial' });
	});
});

describe('who is the suspect', () => {
	const unsettled = [
		...mornings('2026-03-08', 11, 2),
		{ date: '2026-03-19', region: KNEE, pain: 4, swelling: 'none' as const }
	];
	const four = [session('2026-03-12'), session('2026-03-14'), session('2026-03-16'), session('2026-03-18')];
	const rule = (patch: Partial<DecideInput>): string =>
		judge(record({ mornings: unsettled, sessions: four, ...patch })).rule;
	it('what was changed in the last two sessions comes before anything else', () => {
		const others = [{ id: 'o', changedOn: '2026-03-01', peakMinusBefore: 4, demand: 100 }];
		expect(rule({ others, changes: [{ date: '2026-03-15', kind: 'advance' }], sessions: four })).toBe(
			'regress.morning'
		);
		expect(rule({ others: [{ ...others[0]!, changedOn: '2026-03-17' }] })).toBe('hold.region');
	});
	it('then what added most pain, then the highest demand on the region', () => {
		const other = (peakMinusBefore: number, demand: number) => [
			{ id: 'o', changedOn: '2026-03-01', peakMinusBefore, demand }
		];
		expect(rule({ others: other(2, 0) })).toBe('hold.region');
		expect(rule({ others: other(0, 90), demand: 95 })).toBe('regress.morning');
		expect(rule({ others: other(0, 99), demand: 95 })).toBe('hold.region');
	});
	it('exactly one is named when all else is equal', () => {
		const alike = (id: string) => [{ id, changedOn: '2026-03-01', peakMinusBefore: 0, demand: 0 }];
		expect([rule({ others: alike('z') }), rule({ others: alike('a') })]).toEqual([
			'regress.morning',
			'hold.region'
		]);
	});
});
