/** The catalogue held to its schema, each fault also planted once; and held to physics. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { cuesFor, type ExerciseFamily, type Step } from '../core/exercise/family.ts';
import { TECHNIQUES } from '../core/posture/problem.ts';
import { isSquat } from '../core/exercise/step-posture.ts';
import { validateFamily } from '../core/movement/validate-family.ts';
import { policyFaults } from '../core/decision/policy.ts';
import { bodyOf } from '../core/body/body.ts';
import { posture } from '../core/posture/posture.ts';
import { ACTIVITIES } from './activities.ts';
import {
	ACTIVITY_CHANGES,
	ACTIVITY_MEAN_CHANGES,
	PAIN_CHANGES,
	SYMMETRY_CHANGES,
	TEST_CHANGES
} from './change-rules.ts';
import { FAMILIES, findStep } from './families.ts';
import { FUNCTION_TESTS } from './function-tests.ts';
import { POLICIES } from './policies.ts';
import { METHODS, RANGES } from './ranges.ts';
import { SCREENING } from './screening.ts';
import { squat } from './squat.ts';

const sourcesText = readFileSync(new URL('../../../docs/sources.md', import.meta.url), 'utf8');
const sources = new Set([...sourcesText.matchAll(/^\| `([a-z0-9-]+)`/gm)].map((m) => m[1] as string));
const lock = readFileSync(new URL('./ids.lock', import.meta.url), 'utf8')
	.trim()
	.split('\n');

/** What one family is held to: sources, and the steps of all others. */
const known = (own: string) => ({
	sources,
	elsewhere: new Map(
		Object.values(FAMILIES)
			.filter((f) => f.id !== own)
			.flatMap((f) => f.steps.map((s) => [s.id, s] as const))
	)
});

describe('the shipped catalogue', () => {
	for (const family of Object.values(FAMILIES))
		it(`${family.id} holds to its invariants`, () => {
			expect(validateFamily(family, known(family.id))).toEqual([]);
		});
	it('carries the whole of the trade: 18 families, at least 130 steps, every id once', () => {
		const ids = Object.values(FAMILIES).flatMap((f) => f.steps.map((s) => s.id));
		expect(Object.keys(FAMILIES)).toHaveLength(18);
		expect(ids.length).toBeGreaterThanOrEqual(130);
		expect(new Set(ids).size).toBe(ids.length);
		for (const id of ids) expect(findStep(id)?.step.id).toBe(id);
	});
	it('every card has two or three essentials, a dose that grows, and something to watch for', () => {
		for (const f of Object.values(FAMILIES))
			for (const s of f.steps) {
				for (const technique of ['ordinary', ...TECHNIQUES] as const)
					expect([2, 3], s.id).toContain(cuesFor(f, s, technique).length);
				const { start, target } = s.usualDose;
				expect(start.sets * start.reps, s.id).toBeLessThanOrEqual(target.sets * target.reps);
				expect(s.faults.length, s.id).toBeGreaterThan(0);
			}
	});
	it('no wording blames or frightens: nothing is worn out, nobody is lazy', () => {
		const words = JSON.stringify(FAMILIES);
		expect(words).not.toMatch(/worn out|no cartilage|lazy|bad knee|damage/i);
	});
	it('ids in the lock file are never dropped, and new ones are entered', () => {
		const ids = Object.values(FAMILIES).flatMap((f) => f.steps.map((s) => `${f.id}/${s.id}`));
		expect([...ids].sort()).toEqual([...lock].sort());
	});
	it('policies hold together', () => {
		for (const p of Object.values(POLICIES)) expect(policyFaults(p)).toEqual([]);
		expect(policyFaults({ ...POLICIES.quota, stopAt: 7 })).toHaveLength(1);
	});
	it('every @source key in the code is in docs/sources.md', () => {
		const files = import.meta.glob('../**/*.ts', { query: '?raw', import: 'default', eager: true }) as Record<
			string,
			string
		>;
		const cited = Object.entries(files).flatMap(([file, text]) =>
			[...text.matchAll(/@source ([a-z]+-[a-z0-9-]+)/g)].map((m) => ({ file, key: m[1] as string }))
		);
		expect(cited.length).toBeGreaterThan(10);
		expect(cited.filter((c) => !sources.has(c.key))).toEqual([]);
	});
});

describe('norms, ranges, changes, screening and activities', () => {
	/** Every `source` and `sources` of a value, however deep. */
	function named(v: unknown): string[] {
		if (Array.isArray(v)) return v.flatMap(named);
		if (typeof v !== 'object' || v === null) return [];
		return Object.entries(v).flatMap(([k, x]) =>
			k === 'source' && typeof x === 'string'
				? [x]
				: k === 'sources' && Array.isArray(x)
					? (x as string[])
					: named(x)
		);
	}
	it('name sources that are in docs/sources.md, and a planted one is found', () => {
		const all = named([
			FUNCTION_TESTS,
			RANGES,
			METHODS,
			PAIN_CHANGES,
			ACTIVITY_CHANGES,
			ACTIVITY_MEAN_CHANGES,
			TEST_CHANGES,
			SYMMETRY_CHANGES,
			SCREENING,
			ACTIVITIES
		]);
		expect(all.length).toBeGreaterThan(150);
		expect([...new Set(all.filter((k) => !sources.has(k)))]).toEqual([]);
		expect(named({ a: [{ source: 'nowhere-1900' }] }).filter((k) => !sources.has(k))).toEqual([
			'nowhere-1900'
		]);
	});
	it('usual values lie inside what is possible; activities ask nothing that no joint does', () => {
		for (const k of Object.values(RANGES))
			for (const u of k.usual) expect(u.value >= k.possible[0] && u.value <= k.possible[1], k.id).toBe(true);
		for (const a of ACTIVITIES)
			for (const d of a.demands)
				expect((d.knee ?? 0) <= 165 && (d.hip ?? 0) <= 150 && (d.ankle ?? 0) <= 50, a.id).toBe(true);
	});
	it('a ladder that is here knows the step an activity is tied to', () => {
		for (const { ladder } of ACTIVITIES)
			if (ladder !== undefined && FAMILIES[ladder.family] !== undefined)
				expect(FAMILIES[ladder.family]?.steps.some((s) => s.id === ladder.step)).toBe(true);
	});
});

describe('no licensed text', () => {
	it('ships no item of a licensed questionnaire or readiness form', () => {
		const files = import.meta.glob(['../**/*.ts', '../../routes/**/*.svelte'], {
			query: '?raw',
			import: 'default',
			eager: true
		}) as Record<string, string>;
		// Turns of phrase such forms are known by, from memory and cut short.
		const phrases = [
			/my back pain has spread/i,
			/has your doctor ever said/i,
			/i (?:only )?walk short distances because/i,
			/degree of difficulty you have experienced/i,
			/during the (?:past|last) 4 weeks/i
		];
		for (const [file, text] of Object.entries(files))
			if (!file.endsWith('catalogue.test.ts')) for (const p of phrases) expect(text, file).not.toMatch(p);
		expect('Has your doctor ever said …').toMatch(phrases[1] as RegExp);
	});
});

describe('planted faults are found', () => {
	const change = (id: string, patch: Partial<Step>): ExerciseFamily => ({
		...squat,
		steps: (squat.steps as readonly Step[]).map((s) => (s.id === id ? { ...s, ...patch } : s))
	});
	const messages = (f: ExerciseFamily): string =>
		validateFamily(f, known('squat'))
			.map((x) => `${x.place}: ${x.message}`)
			.join('\n');
	const planted: [string, ExerciseFamily, RegExp][] = [
		[
			'an unknown next step',
			change('free-squat', { next: [{ to: 'nowhere', dial: 'load' }] }),
			/nowhere does not exist/
		],
		['a loop', change('goblet-squat', { next: [{ to: 'free-squat', dial: 'depth' }] }), /loops back/],
		[
			'an edge that turns another dial',
			change('counter-squat', { next: [{ to: 'free-squat', dial: 'load' }] }),
			/says it turns load/
		],
		[
			'an edge that turns two dials',
			change('counter-squat', { next: [{ to: 'goblet-squat', dial: 'load' }] }),
			/support and load/
		],
		[
			'a gate nobody can meet',
			change('free-squat', { gates: [{ kind: 'clean-reps', step: 'counter-squat', sets: 9, reps: 10 }] }),
			/could never open/
		],
		[
			'an unknown gate',
			change('free-squat', { gates: [{ kind: 'clean-reps', step: 'nope', sets: 1, reps: 1 }] }),
			/nope, which does not exist/
		],
		['an unknown fault', change('free-squat', { faults: ['sneezes'] }), /sneezes/],
		['a step without source', change('free-squat', { sources: [] }), /no source/],
		[
			'an impossible seat',
			change('standard-seat', {
				posture: { movement: 'sit-to-stand', stance: 'both', depth: { seatCm: 5 }, adjust: 'seat' }
			}),
			/outside 20–90/
		],
		[
			'a step of another family’s id',
			{ ...squat, steps: [...squat.steps, { ...(squat.steps[0] as Step), id: 'bridge' }] },
			/another family has a step of this id/
		],
		[
			'a hold asked of a step that counts repetitions',
			change('free-squat', { gates: [{ kind: 'held', step: 'counter-squat', sec: 10 }] }),
			/ask for repetitions/
		],
		[
			'a hold longer than its dose',
			change('free-squat', { gates: [{ kind: 'held', step: 'tandem-stance', sec: 90 }] }),
			/could never open/
		],
		[
			'repetitions asked of a hold',
			change('free-squat', { gates: [{ kind: 'clean-reps', step: 'tandem-stance', sets: 1, reps: 5 }] }),
			/counts seconds/
		],
		[
			'a fault nobody watches for',
			change('free-squat', { gates: [{ kind: 'fault-free', step: 'counter-squat', fault: 'hard-landing' }] }),
			/not watched for/
		],
		[
			'confidence out of ten',
			change('free-squat', { gates: [{ kind: 'confidence', step: 'counter-squat', least: 12 }] }),
			/between 0 and 10/
		],
		[
			'a card with five cues',
			change('free-squat', { cues: ['a', 'b', 'c', 'd', 'e'] }),
			/two or three essentials/
		],
		[
			'a figure whose knee bends the wrong way',
			change('free-squat', {
				posture: {
					movement: 'pose',
					from: { trunk: 0, near: { thigh: 0, shank: 60 } },
					to: { trunk: 0, near: { thigh: 0, shank: 0 } }
				}
			}),
			/wrong way/
		],
		[
			'a figure that folds through itself',
			change('free-squat', {
				posture: {
					movement: 'pose',
					from: { trunk: 90, near: { thigh: 120, shank: 0 } },
					to: { trunk: 0, near: { thigh: 0, shank: 0 } }
				}
			}),
			/more than a body can/
		],
		[
			'an ask outside a joint’s range',
			change('free-squat', {
				posture: {
					movement: 'pose',
					from: { trunk: 0, near: { thigh: 0, shank: 0 } },
					to: { trunk: 0, near: { thigh: 0, shank: 0 } },
					asks: { bigToeExtension: 170 }
				}
			}),
			/outside 0–110/
		],
		[
			'a step replaced by nothing known',
			change('free-squat', { retired: { replacedBy: 'nowhere' } }),
			/replaced by nowhere/
		]
	];
	for (const [name, family, want] of planted)
		it(name, () => {
			expect(messages(family)).toMatch(want);
		});
});

describe('physics of the ladder', () => {
	const b = bodyOf({ heightCm: 170, massKg: 70 });
	if (!b.ok) throw new Error('body');
	for (const step of squat.steps as readonly Step[])
		it(`${step.id} stands`, () => {
			const p = step.posture;
			if (!isSquat(p)) throw new Error(step.id);
			const { movement, stance, depth, technique, heelWedgeCm, toeOutDeg, load } = p;
			const solved = posture({
				body: b.value,
				movement,
				stance,
				depth,
				...(technique || p.everyday ? (technique ? { technique } : {}) : { technique: 'parallel' as const }),
				...(heelWedgeCm === undefined ? {} : { heelWedgeCm }),
				...(toeOutDeg === undefined ? {} : { toeOutDeg }),
				...(load === undefined ? {} : { load })
			});
			expect(solved.checks.filter((c) => c.slack < -1e-6)).toEqual([]);
		});
	it('the next seat down asks more of the knee', () => {
		const knee = (seatCm: number) =>
			posture({ body: b.value, movement: 'sit-to-stand', depth: { seatCm } }).angles.kneeFlexion;
		expect(knee(58)).toBeLessThan(knee(54));
		expect(knee(54)).toBeLessThan(knee(46));
	});
});
