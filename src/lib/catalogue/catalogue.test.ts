/** The catalogue held to its schema, each fault also planted once; and held to physics. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';
import { validateFamily } from '../core/exercise/validate.ts';
import { policyFaults } from '../core/decision/policy.ts';
import { bodyOf } from '../core/body/body.ts';
import { posture } from '../core/posture/posture.ts';
import { FAMILIES } from './families.ts';
import { POLICIES } from './policies.ts';
import { squat } from './squat.ts';

const sourcesText = readFileSync(new URL('../../../docs/sources.md', import.meta.url), 'utf8');
const sources = new Set([...sourcesText.matchAll(/^\| `([a-z0-9-]+)`/gm)].map((m) => m[1] as string));
const lock = readFileSync(new URL('./ids.lock', import.meta.url), 'utf8').trim().split('\n');

describe('the shipped catalogue', () => {
	for (const family of Object.values(FAMILIES))
		it(`${family.id} holds to its invariants`, () => {
			expect(validateFamily(family, sources)).toEqual([]);
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
		const files = import.meta.glob('../**/*.ts', { query: '?raw', import: 'default', eager: true }) as Record<string, string>;
		const cited = Object.entries(files).flatMap(([file, text]) => [...text.matchAll(/@source ([a-z]+-[a-z0-9-]+)/g)].map((m) => ({ file, key: m[1] as string })));
		expect(cited.length).toBeGreaterThan(10);
		expect(cited.filter((c) => !sources.has(c.key))).toEqual([]);
	});
});

describe('planted faults are found', () => {
	const change = (id: string, patch: Partial<Step>): ExerciseFamily => ({ ...squat, steps: (squat.steps as readonly Step[]).map((s) => (s.id === id ? { ...s, ...patch } : s)) });
	const messages = (f: ExerciseFamily): string => validateFamily(f, sources).map((x) => `${x.place}: ${x.message}`).join('\n');
	const planted: [string, ExerciseFamily, RegExp][] = [
		['an unknown next step', change('free-squat', { next: [{ to: 'nowhere', dial: 'load' }] }), /nowhere does not exist/],
		['a loop', change('goblet-squat', { next: [{ to: 'free-squat', dial: 'depth' }] }), /loops back/],
		['an edge that turns another dial', change('counter-squat', { next: [{ to: 'free-squat', dial: 'load' }] }), /says it turns load/],
		['an edge that turns two dials', change('counter-squat', { next: [{ to: 'goblet-squat', dial: 'load' }] }), /support and load/],
		['a gate nobody can meet', change('free-squat', { gates: [{ kind: 'clean-reps', step: 'counter-squat', sets: 9, reps: 10 }] }), /could never open/],
		['an unknown gate', change('free-squat', { gates: [{ kind: 'clean-reps', step: 'nope', sets: 1, reps: 1 }] }), /nope, which does not exist/],
		['an unknown fault', change('free-squat', { faults: ['sneezes'] }), /sneezes/],
		['a step without source', change('free-squat', { sources: [] }), /no source/],
		['an impossible seat', change('standard-seat', { posture: { movement: 'sit-to-stand', stance: 'both', depth: { seatCm: 5 }, adjust: 'seat' } }), /outside 20–80/]
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
			const { movement, stance, depth, technique, heelWedgeCm, toeOutDeg, load } = step.posture;
			const p = posture({
				body: b.value,
				movement,
				stance,
				depth,
				...(technique || step.posture.everyday ? (technique ? { technique } : {}) : { technique: 'parallel' as const }),
				...(heelWedgeCm === undefined ? {} : { heelWedgeCm }),
				...(toeOutDeg === undefined ? {} : { toeOutDeg }),
				...(load === undefined ? {} : { load })
			});
			expect(p.checks.filter((c) => c.slack < -1e-6)).toEqual([]);
		});
	it('the next seat down asks more of the knee', () => {
		const knee = (seatCm: number) => posture({ body: b.value, movement: 'sit-to-stand', depth: { seatCm } }).angles.kneeFlexion;
		expect(knee(58)).toBeLessThan(knee(54));
		expect(knee(54)).toBeLessThan(knee(46));
	});
});
