/** Weeks: the clock, the order of a session, the days, what gives way, what it asks in all. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Equipment, Tag } from '../exercise/family.ts';
import { budgetOf, changePct, STRETCH_SEC } from './budget.ts';
import { blocksOf, circuitOf, circuitOrder, circuitSec } from './circuit.ts';
import { changeSec, gapSec, pairSec, restSec, setSec, soloSec, tempoSec } from './seconds.ts';
import { ORDER_SCHOOLS, pairs, rankOf, sessionOrder } from './session-order.ts';
import { daysOf, spread, timesOf, tooClose } from './spread.ts';
import type { Muscle } from '../body/muscle.ts';
import { roleOf, share, type Role, type Work } from './work.ts';
import { arrangedSec, coolDownFor, warmUpFor, weekOf, type WeekAsked } from './week.ts';

let n = 0;
type Given = Partial<Omit<Work, 'step'>> & { tags?: readonly Tag[]; kit?: readonly Equipment[] };
function work({ tags = [], kit = [], ...own }: Given = {}): Work {
	const id = own.id ?? `w${n++}`;
	return {
		id,
		title: id,
		step: { id, title: id, dials: {}, tags, equipment: kit } as unknown as Work['step'],
		role: 'main',
		muscles: [],
		stretches: [],
		dose: { school: 'sets-first', sets: 3, reps: 10, loadKg: 0, target: { sets: 3, reps: 10 } },
		particulars: {},
		sides: 'both-at-once',
		moments: {},
		...own
	};
}
const dose = (sets: number, reps: number, unit?: 'sec' | 'steps' | 'breaths'): Work['dose'] => ({
	...{ school: 'sets-first', sets, reps, loadKg: 0, target: { sets, reps } },
	...(unit === undefined ? {} : { unit })
});

describe('seconds', () => {
	it('of an interval circuit: two pairs, 45 s on and 15 s off, three rounds, are twelve minutes (facts of the trade)', () => {
		const four = Array.from({ length: 4 }, () =>
			work({ dose: dose(3, 1), particulars: { workSec: 45, restSec: 15 } })
		);
		expect(sessionOrder(four, 'usual').seconds).toBe(12 * 60);
	});
	it('of repetitions at their tempo, held, on both sides, with the rests between the sets', () => {
		// 3 × 10 at 3-1-2-0 with 60 s between: 3 · 60 + 2 · 60.
		expect(soloSec(work({ particulars: { tempo: '3-1-2-0', restSec: 60 } }))).toBe(300);
		// 5 × 4 s squeezes of 4 s more, each side, five seconds to change: 2 · 5 · 8 + 5.
		expect(setSec(work({ dose: dose(1, 5), particulars: { holdSec: 4 }, sides: ['left', 'right'] }))).toBe(
			85
		);
		expect(soloSec(work({ dose: dose(2, 30, 'sec'), role: 'stretch' }))).toBe(65);
		expect(setSec(work({ dose: dose(1, 5, 'breaths') }))).toBe(30);
		expect(setSec(work({ dose: dose(1, 20, 'steps') }))).toBe(20);
		expect(soloSec(work({ particulars: { blockMin: 10 }, sides: ['left', 'right'] }))).toBe(600);
	});
	it('reads a tempo, and takes for none what is none', () => {
		expect([tempoSec('4-0-4-0'), tempoSec('3'), tempoSec('slow'), tempoSec(undefined), tempoSec('')]).toEqual(
			[...[8, 3, undefined, undefined, undefined]]
		);
	});
	it('of a change-over: getting up from the floor costs more than rolling over, what is in the hand is not fetched', () => {
		const floor = work({ tags: ['supine'] });
		const side = work({ tags: ['side-lying'] });
		const up = work({ kit: ['band'] });
		expect(changeSec(floor, side)).toBeLessThan(changeSec(floor, work()));
		expect(changeSec(up, work({ kit: ['band'] }))).toBe(0);
		expect(changeSec(work(), up)).toBeGreaterThan(0);
		expect(gapSec(work({ muscles: ['calf'] }), work({ muscles: ['calf'] }))).toBe(60);
	});
	it('of two in turn: each rests while the other works', () => {
		const [a, b] = [work({ muscles: ['thigh-front'] }), work({ muscles: ['thigh-back'] })];
		// Three rounds of 40 + 40; what 60 s of rest want beyond the other's 40 is waited twice.
		expect(pairSec(a, b)).toBe(3 * 80 + 2 * 20);
		expect(pairSec(a, work({ dose: dose(1, 10) }))).toBe(80 + 2 * (60 + 40));
	});
});

describe('the order of a session', () => {
	const roles: readonly Role[] = [
		'warm-up',
		'balance',
		'power',
		'main',
		'accessory',
		'finisher',
		'stretch',
		'rolling'
	];
	const muscles: readonly Muscle[] = ['thigh-front', 'thigh-back', 'buttock', 'hip-side'];
	const any = fc.record({
		role: fc.constantFrom(...roles),
		muscles: fc.uniqueArray(fc.constantFrom(...muscles), { maxLength: 2 }),
		tags: fc.constantFrom<readonly Tag[]>([], ['supine'], ['prone'], ['kneeling']),
		kit: fc.constantFrom<readonly Equipment[]>([], ['band'], ['chair'], ['chair', 'band']),
		sets: fc.integer({ min: 1, max: 3 })
	});
	const made = (some: readonly (typeof any extends fc.Arbitrary<infer T> ? T : never)[]): Work[] =>
		some.map(({ sets, ...w }) => work({ ...w, dose: dose(sets, 10) }));

	/** Every order and every pairing of neighbours, kept to the ranks of the school. */
	function shortest(
		all: readonly Work[],
		school: 'usual' | 'isolated-first' | 'standing-then-floor'
	): number {
		let best = Infinity;
		const go = (left: readonly Work[], last: Work | null, seconds: number): void => {
			if (left.length === 0) best = Math.min(best, seconds);
			const first = Math.min(...left.map((w) => rankOf(w, school)));
			const next = left.filter((w) => rankOf(w, school) === first);
			for (const a of next) {
				const gap = last === null ? 0 : gapSec(last, a);
				go(
					left.filter((w) => w !== a),
					a,
					seconds + gap + soloSec(a)
				);
				for (const b of next)
					if (b !== a && pairs(a, b))
						go(
							left.filter((w) => w !== a && w !== b),
							b,
							seconds + gap + pairSec(a, b)
						);
			}
		};
		go(all, null, 0);
		return best;
	}
	it('is the shortest there is: against every order and every pairing of up to six', () => {
		fc.assert(
			fc.property(
				fc.array(any, { minLength: 1, maxLength: 6 }),
				fc.constantFrom('usual' as const, 'isolated-first' as const, 'standing-then-floor' as const),
				(some, school) => {
					const all = made(some);
					const found = sessionOrder(all, school);
					expect(found.seconds).toBeCloseTo(shortest(all, school), 6);
					expect(arrangedSec(found.turns)).toBeCloseTo(found.seconds, 6);
				}
			),
			{ numRuns: 150 }
		);
	});
	it('holds everything once, keeps the roles in their order, never pairs what shares a muscle', () => {
		fc.assert(
			fc.property(fc.array(any, { maxLength: 14 }), fc.constantFrom(...ORDER_SCHOOLS), (some, school) => {
				const all = made(some);
				const { turns, exact } = sessionOrder(all, school);
				expect(exact).toBe(true);
				const flat = turns.flat();
				expect([...flat].sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual(
					[...all].sort((a, b) => (a.id < b.id ? -1 : 1))
				);
				const ranks = flat.map((w) => rankOf(w, school));
				expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
				for (const [a, b] of turns)
					if (a !== undefined && b !== undefined) expect(share(a.muscles, b.muscles)).toBe(false);
			}),
			{ numRuns: 40 }
		);
	});
	it('pairs opposite work, and leaves it apart where nobody wants it or nothing is gained', () => {
		const [front, back] = [work({ muscles: ['thigh-front'] }), work({ muscles: ['thigh-back'] })];
		expect(sessionOrder([front, back], 'usual').turns).toHaveLength(1);
		expect(sessionOrder([front, back], 'usual', false).turns).toHaveLength(2);
		expect(sessionOrder([front, back], 'as-given').turns).toEqual([[front], [back]]);
		expect(sessionOrder([front, work({ muscles: ['thigh-front', 'buttock'] })], 'usual').turns).toHaveLength(
			2
		);
		const once = work({ muscles: ['calf'], dose: dose(1, 10) });
		expect(pairs(front, once)).toBe(false);
		expect(pairs(front, work({ particulars: { workSec: 45 } }))).toBe(false);
		expect(pairs(front, work({ particulars: { blockMin: 10 } }))).toBe(false);
		expect(pairs(front, work({ role: 'stretch' }))).toBe(false);
		expect(pairs(front, work({ dose: { ...dose(3, 10), school: 'rounds' } }))).toBe(false);
	});
	it('does what is given in rounds round by round, in the order of least changing over, as one block', () => {
		const rounds = (sets: number, more: Given = {}) =>
			work({ ...more, role: 'accessory', dose: { ...dose(sets, 10), school: 'rounds' } });
		const [side, up, prone] = [
			rounds(3, { id: 'side', tags: ['side-lying'], muscles: ['hip-side'] }),
			rounds(3, { id: 'up', kit: ['band'], muscles: ['buttock'] }),
			rounds(3, { id: 'prone', tags: ['prone'], muscles: ['thigh-back'] })
		];
		const main = work({ id: 'main', muscles: ['thigh-front'] });
		const { turns, seconds } = sessionOrder([side, up, prone, main], 'usual');
		expect(turns.map((t) => t.map((w) => w.id))).toEqual([['main'], ['up', 'side', 'prone']]);
		// Three rounds of 3 × 40 s; up to side-lying 15, over to prone 5; between rounds 45 s of rest, more than the way back (15 + 10).
		expect(circuitSec(turns[1]!)).toBe(3 * (3 * 40 + 15 + 5) + 2 * 45);
		expect(arrangedSec(turns)).toBeCloseTo(seconds, 6);
		expect(sessionOrder([side, up, prone], 'usual', false).turns).toHaveLength(3);
		expect(sessionOrder([side, up, prone], 'as-given').turns).toHaveLength(3);
	});
	it('of a circuit no order is shorter, against all of them; rounds that are fewer end sooner', () => {
		fc.assert(
			fc.property(fc.array(any, { minLength: 2, maxLength: 5 }), (some) => {
				const all = made(some).map((w) => ({
					...w,
					role: 'accessory' as const,
					dose: { ...w.dose, school: 'rounds' as const }
				}));
				const found = circuitOrder(all);
				expect([...found].sort((a, b) => (a.id < b.id ? -1 : 1))).toHaveLength(all.length);
				const swapped = all.flatMap((_, i) =>
					all.map((__, j) => {
						const o = [...found];
						[o[i], o[j]] = [o[j] as Work, o[i] as Work];
						return circuitSec(o);
					})
				);
				for (const s of swapped) expect(circuitSec(found)).toBeLessThanOrEqual(s + 1e-9);
			}),
			{ numRuns: 60 }
		);
		const [a, b] = [3, 1].map((sets) =>
			work({ role: 'accessory', dose: { ...dose(sets, 10), school: 'rounds' } })
		) as [Work, Work];
		expect(circuitSec([a, b])).toBe(40 + 40 + 45 + 40 + 45 + 40);
	});
	it('by the clock, alike clocks are one circuit, others are not; six are one, a seventh begins another', () => {
		const clock = (workSec: number, sets = 3) =>
			work({ dose: dose(sets, 1), particulars: { workSec, restSec: 15 } });
		expect(sessionOrder([clock(45), clock(45), clock(30)], 'usual').turns.map((t) => t.length)).toEqual([
			2, 1
		]);
		expect(sessionOrder([clock(45, 3), clock(45, 2)], 'usual').turns).toHaveLength(2);
		expect(circuitOf(clock(45, 1))).toBeNull();
		expect(circuitOf(work({ particulars: { blockMin: 10, workSec: 45 } }))).toBeNull();
		expect(circuitOf(work({ role: 'stretch', dose: { ...dose(3, 10), school: 'rounds' } }))).toBeNull();
		const seven = Array.from({ length: 7 }, () => clock(45));
		expect(blocksOf(seven).map((b) => b.length)).toEqual([6, 1]);
		expect(sessionOrder(seven, 'usual').seconds).toBe(7 * 3 * 60);
	});
	it('puts isolated work, rolling or standing work where the school has it', () => {
		const all = (['main', 'accessory', 'rolling', 'stretch'] as const).map((role) =>
			work({ role, id: role })
		);
		const first = (s: (typeof ORDER_SCHOOLS)[number]): string => sessionOrder(all, s).turns[0]?.[0]?.id ?? '';
		expect(first('usual')).toBe('main');
		expect(first('isolated-first')).toBe('accessory');
		expect(first('rolling-first')).toBe('rolling');
		const lying = work({ role: 'main', tags: ['supine'] });
		const sitting = work({ role: 'main', id: 'sit' });
		const seat = { ...sitting, step: { ...sitting.step, dials: { position: 'seated' as const } } };
		const up = work({ role: 'accessory' });
		expect(sessionOrder([lying, seat, up], 'standing-then-floor', false).turns.flat()).toEqual([
			up,
			seat,
			lying
		]);
	});
	it('leaves what is equally short as it was given', () => {
		const all = Array.from({ length: 6 }, () => work({ muscles: [] }));
		expect(sessionOrder(all, 'usual', false).turns.flat()).toEqual(all);
	});
	it('searches fourteen of one role whole, and says where it did not', () => {
		const many = (k: number): Work[] => Array.from({ length: k }, () => work());
		expect(sessionOrder(many(14), 'usual').exact).toBe(true);
		const more = sessionOrder(many(16), 'usual');
		expect([more.exact, more.turns.flat().length]).toEqual([false, 16]);
		expect(sessionOrder([], 'usual')).toEqual({ turns: [], seconds: 0, exact: true });
	});
	it('aside, sixteen are searched whole, no longer than in parts, and it says how far it is', () => {
		// Two places, four muscles: what shares nothing is done in turn.
		const kinds = ['thigh-front', 'calf', 'buttock', 'trunk'] as const;
		const mixed = Array.from({ length: 16 }, (_, i) =>
			work({
				muscles: [kinds[(i * 7) % 4]!],
				tags: i % 3 === 0 ? ['supine'] : [],
				kit: i % 5 === 0 ? ['chair'] : ['band'],
				dose: dose(2 + (i % 2), 8 + i)
			})
		);
		const told: number[] = [];
		const parts = sessionOrder(mixed, 'usual');
		const whole = sessionOrder(mixed, 'usual', true, { searched: 16, progress: (x) => told.push(x) });
		expect([parts.exact, whole.exact]).toEqual([false, true]);
		expect(whole.seconds).toBeLessThanOrEqual(parts.seconds);
		expect(whole.turns.flat().length).toBe(16);
		expect(told.length).toBeGreaterThan(5);
		expect(told.every((x, at) => x >= (told[at - 1] ?? 0) && x <= 1)).toBe(true);
	});
});

describe('days', () => {
	const week = [0, 1, 2, 3, 4, 5, 6];
	it('of strength stand 48 hours apart, over the turn of the week too', () => {
		fc.assert(
			fc.property(fc.subarray(week), fc.integer({ min: 1, max: 7 }), (days, times) => {
				const s = spread(days, times, 2, false);
				expect(s.length).toBeLessThanOrEqual(Math.min(times, 3));
				for (const [i, d] of s.entries()) {
					const next = s[i + 1] ?? (s[0] as number) + 7;
					expect(next - d).toBeGreaterThanOrEqual(2);
				}
				// No more would do: any further day stands beside one that is there, or it was enough.
				if (s.length < Math.min(times, 3) && s.length > 0)
					expect(days.some((d) => s.every((x) => Math.min(Math.abs(x - d), 7 - Math.abs(x - d)) >= 2))).toBe(
						false
					);
			})
		);
	});
	it('of a learning week are four with a day off between; of the week after, three', () => {
		expect(spread(week, 4, 2, true)).toEqual([0, 2, 4, 6]);
		expect(spread(week, 4, 2, false)).toHaveLength(3);
		expect([timesOf(work(), true), timesOf(work(), false)]).toEqual([4, 3]);
	});
	it('are all of them for what is daily, as many as prescribed for the rest, none for what is done as needed', () => {
		const stretch = work({ role: 'stretch' });
		const twice = work({ particulars: { daysPerWeek: 2 } });
		const needed = work({ particulars: { asNeeded: true } });
		const days = daysOf([stretch, twice, work({ id: 'thrice' }), needed], {
			days: [0, 1, 3, 4, 6],
			learning: false
		});
		expect(days.get(stretch.id)).toEqual([0, 1, 3, 4, 6]);
		expect(days.get(twice.id)).toHaveLength(2);
		expect(days.get('thrice')).toEqual(expect.arrayContaining([...(days.get(twice.id) ?? [])]));
		expect(days.has(needed.id)).toBe(false);
	});
});

describe('days running', () => {
	const [squat, stretch] = [work({ id: 'squat' }), work({ id: 'stretch', role: 'stretch' })];
	const on = (...days: readonly number[]) =>
		Array.from({ length: 7 }, (_, d) => (days.includes(d) ? [squat, stretch] : [stretch]));
	it('are said of strength, once, and not of what is daily; over the turn of the week only where it comes again', () => {
		expect(tooClose(on(0, 2, 4), false)).toEqual([]);
		expect(tooClose(on(1, 2, 3), false)).toEqual([squat]);
		expect(tooClose(on(0, 2, 4, 6), false)).toEqual([squat]);
		expect(tooClose(on(0, 2, 4, 6), true)).toEqual([]);
	});
});

describe('a week', () => {
	const asked = (w: readonly Work[], more: Partial<WeekAsked> = {}): WeekAsked => ({
		work: w,
		days: [0, 1, 2, 3, 4, 5, 6],
		learning: false,
		minutes: null,
		school: 'usual',
		inTurn: true,
		warmUps: [],
		coolDowns: [],
		...more
	});
	const strength = (): Work[] =>
		(['thigh-front', 'thigh-back', 'hip-side', 'calf'] as const).map((m) => work({ muscles: [m] }));
	it('fits the minutes: the most dispensable gives way first, and is named; nothing goes without a word', () => {
		const stretch = work({ role: 'stretch', dose: dose(4, 60, 'sec'), id: 'long stretch' });
		const all = [...strength(), stretch];
		const free = weekOf(asked(all));
		expect(free.gaveWay).toEqual([]);
		expect(free.days).toHaveLength(7);
		const tight = weekOf(asked(all, { minutes: 10 }));
		for (const d of tight.days) expect(d.turns.flat().length === 1 || d.seconds <= 600).toBe(true);
		for (const w of all) {
			const kept = tight.days.filter((d) => d.turns.flat().some((x) => x.id === w.id)).length;
			const gone = tight.gaveWay.find((g) => g.work === w);
			expect(kept).toBe(gone?.kept ?? (w === stretch ? 7 : 3));
		}
		expect(tight.gaveWay.map((g) => g.work)).toContain(stretch);
		// With days to go round, each is done at least once rather than the same always.
		for (const g of tight.gaveWay) expect(g.kept).toBeGreaterThan(0);
	});
	it('warms up for what works, ends with stretches of it that are not there already; a day of stretches has neither', () => {
		const march = work({ role: 'warm-up', dose: dose(1, 60, 'sec'), id: 'march' });
		const kick = work({ role: 'warm-up', muscles: ['thigh-back'], dose: dose(1, 8), id: 'kick' });
		const quad = work({ role: 'stretch', stretches: ['thigh-front'], id: 'quad' });
		const calf = work({ role: 'stretch', stretches: ['calf'], id: 'calf' });
		const squat = work({ muscles: ['thigh-front'] });
		expect(warmUpFor([squat], [march, kick])).toEqual([march]);
		expect(warmUpFor([quad], [march])).toEqual([]);
		expect(warmUpFor([squat, work({ role: 'warm-up' })], [march])).toEqual([]);
		const long = work({ role: 'warm-up', dose: dose(1, 170, 'sec') });
		expect(warmUpFor([squat], [march, long])).toEqual([march]);
		expect(coolDownFor([squat], [calf, quad])).toEqual([quad]);
		expect(coolDownFor([squat, work({ role: 'stretch', stretches: ['thigh-front'] })], [quad])).toEqual([]);
		const w = weekOf(asked([squat, calf], { warmUps: [march], coolDowns: [quad] }));
		expect(
			w.days
				.find((d) => d.day === 0)
				?.turns.flat()
				.map((x) => x.id)
		).toEqual(['march', squat.id, 'calf', 'quad']);
		expect(w.days.find((d) => d.day === 1)?.turns.flat()).toEqual([calf]);
	});
	it('counts stretches against 300 s a muscle, a side for itself; sets by muscle; what joints are asked, and what is not solved', () => {
		const both = work({
			role: 'stretch',
			stretches: ['calf'],
			dose: dose(2, 30, 'sec'),
			sides: ['left', 'right']
		});
		const left = work({ role: 'stretch', stretches: ['calf'], dose: dose(1, 30, 'sec'), sides: ['left'] });
		const squat = work({ muscles: ['thigh-front'], moments: { knee: 50, hip: 40 } });
		const posed = work({ muscles: ['hip-side'], title: 'posed' });
		const b = budgetOf([
			{ work: both, times: 5 },
			{ work: left, times: 2 },
			{ work: squat, times: 3 },
			{ work: posed, times: 1 }
		]);
		expect(b.stretch).toEqual([{ muscle: 'calf', seconds: { left: 360, right: 300 } }]);
		expect(STRETCH_SEC).toBe(300);
		expect(b.sets).toEqual([
			{ muscle: 'thigh-front', sets: 9 },
			{ muscle: 'hip-side', sets: 3 }
		]);
		expect(b.load).toEqual({ knee: 90 * 50, hip: 90 * 40, back: 0 });
		expect(b.uncounted).toEqual(['posed']);
		expect([changePct(110, 100), changePct(5, 0)]).toEqual([10, null]);
	});
	it('says where strength finds no day, and keeps what is done as needed outside', () => {
		const needed = work({ particulars: { asNeeded: true } });
		expect(weekOf(asked([work(), needed], { days: [] })).tooFewDays).toBe(true);
		const w = weekOf(asked([work(), needed]));
		expect([w.tooFewDays, w.asNeeded]).toEqual([false, [needed]]);
		expect(w.days.flatMap((d) => d.turns.flat())).not.toContain(needed);
	});
});

describe('the place of an exercise', () => {
	const at = (
		serves: Parameters<typeof roleOf>[0]['serves'],
		more: Partial<Parameters<typeof roleOf>[0]> = {}
	) => roleOf({ step: { tags: [] }, purpose: serves[0] ?? '', serves, isolated: false, ...more });
	it('comes from what it serves, what it is given for, and its tags', () => {
		expect(at(['thigh-front', 'buttock'])).toBe('main');
		expect(at(['thigh-front'], { isolated: true })).toBe('accessory');
		expect(at(['calf', 'walking'])).toBe('accessory');
		expect(at(['thigh-front'], { step: { tags: ['knee-over-toe'] } })).toBe('finisher');
		expect(at(['relief'], { step: { tags: [], equipment: ['roller'] } })).toBe('rolling');
		expect(at(['thigh-front', 'relief'], { purpose: 'relief' })).toBe('relief');
		expect(at(['warm-up', 'balance'])).toBe('warm-up');
		expect(at(['mobility'])).toBe('stretch');
		expect(at(['balance'])).toBe('balance');
		expect(at(['power'])).toBe('power');
		expect(restSec(work({ role: 'power' }))).toBeGreaterThan(restSec(work({ role: 'stretch' })));
	});
});
