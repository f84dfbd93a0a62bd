/** A practice's own steps as data: what is refused says the line, the place and the mend; what comes out goes in again. */
import { describe, expect, it } from 'vitest';
import { checkOwn } from '../catalogue/check-own.ts';
import { FAMILIES } from '../catalogue/families.ts';
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';
import { search, searchIndex } from '../core/exercise/search.ts';
import { standFaults } from '../core/fit/stands.ts';
import { readFamilies } from './own-family.ts';
import { lineOf } from './read-list.ts';

const seat = FAMILIES.squat?.steps.find((s) => s.id === 'standard-seat') as Step;
const own = (patch: Partial<Step> = {}, more: readonly Step[] = []): ExerciseFamily => ({
	id: 'own-sofa',
	title: 'Sofa ladder',
	purposes: ['sit-to-stand'],
	steps: [
		{
			...seat,
			id: 'own-sofa-rise',
			title: 'Sofa rise',
			short: 'Sofa',
			gates: [{ kind: 'clean-reps', step: 'standard-seat', sets: 1, reps: 8 }],
			next: [],
			easier: null,
			posture: {
				movement: 'sit-to-stand',
				stance: 'both',
				depth: { seatCm: 40 },
				adjust: 'seat',
				everyday: true
			},
			sources: ['practice-setting'],
			...patch
		},
		...more
	],
	faults: [],
	cues: { ordinary: ['Edge first', 'Push the floor away'] },
	cautions: []
});
const file = (f: unknown): string => JSON.stringify(f, null, 2);
const faults = (f: unknown) => {
	const r = readFamilies(file(f));
	return r.ok ? [] : r.faults;
};

describe('reading a file of families', () => {
	it('takes one or a list, and gives back what it was', () => {
		for (const content of [own(), [own(), { ...own({ id: 'own-punt-rise' }), id: 'own-punt' }]]) {
			const r = readFamilies(file(content));
			expect(r.ok && r.families).toEqual(Array.isArray(content) ? content : [content]);
			if (r.ok) expect(checkOwn(r.families)).toEqual([]);
		}
	});
	it('every family of the catalogue can be written in it, under own ids', () => {
		for (const f of Object.values(FAMILIES)) {
			const rename = (id: string): string => (f.steps.some((s) => s.id === id) ? `own-${id}` : id);
			const mine = {
				...f,
				id: `own-${f.id}`,
				steps: f.steps.map((s) => ({
					...s,
					id: rename(s.id),
					easier: s.easier === null ? null : rename(s.easier),
					next: s.next.map((e) => ({ ...e, to: rename(e.to) })),
					gates: s.gates.map((g) => ('step' in g ? { ...g, step: rename(g.step) } : g)),
					sources: ['common-practice']
				}))
			};
			const r = readFamilies(file(mine));
			expect(r.ok ? [] : r.faults, f.id).toEqual([]);
			if (r.ok)
				expect(
					checkOwn(r.families).map((x) => `${x.place}: ${x.message}`),
					f.id
				).toEqual([]);
		}
	});
	it('a file that says both legs go to the same end is read as it was meant', () => {
		const needs = (end: object) => ({ working: {}, other: {}, end: ['hipExtension'], scales: [], ...end });
		const one = own().steps[0] as object;
		const read = (end: object) => {
			const r = readFamilies(
				file({ ...own(), steps: [{ ...one, needs: needs(end) }, ...own().steps.slice(1)] })
			);
			return r.ok ? r.families[0]?.steps[0]?.needs?.otherEnd : r.faults;
		};
		expect(read({ bothEnd: true })).toEqual(['hipExtension']);
		expect(read({ bothEnd: false })).toEqual([]);
		expect(read({ otherEnd: ['kneeFlexion'] })).toEqual(['kneeFlexion']);
	});
	it('says the line of a bracket that is missing, a key that is misspelt, a number that is none', () => {
		const broken = file(own()).replace('"title": "Sofa ladder",', '"title": "Sofa ladder"');
		const r = readFamilies(broken);
		expect(r.ok).toBe(false);
		if (!r.ok) expect(r.faults[0]?.message).toMatch(/not JSON/);
		const text = file([
			own(),
			{ ...own(), id: 'own-other', steps: [{ ...own().steps[0], id: 'own-x', seatcm: 44 }] }
		]);
		const bad = readFamilies(text);
		expect(bad.ok).toBe(false);
		if (bad.ok) return;
		expect(bad.faults).toHaveLength(1);
		expect(bad.faults[0]).toMatchObject({ place: 'own-other/own-x: seatcm' });
		expect(text.split('\n')[(bad.faults[0]?.line as number) - 1]).toContain('seatcm');
		const number = faults(own({ usualDose: { start: { sets: 0, reps: 5 }, target: { sets: 3, reps: 10 } } }));
		expect(
			file(own({ usualDose: { start: { sets: 0, reps: 5 }, target: { sets: 3, reps: 10 } } })).split('\n')[
				(number[0]?.line as number) - 1
			]
		).toContain('"sets": 0');
	});
	it('an id of the catalogue is not taken: own ids begin with own-', () => {
		expect(faults(own({ id: 'sofa-rise' }))[0]).toMatchObject({
			message: expect.stringContaining('own-') as string
		});
	});
	it('finds lines inside strings with brackets, quotes and commas in them', () => {
		const text = file({ a: 'x, "y" ] }', b: [{ c: 1 }, { c: '[,' }, { d: 2 }] });
		expect(text.split('\n')[lineOf(text, ['b', '2', 'd']) - 1]).toContain('"d": 2');
		expect(text.split('\n')[lineOf(text, ['b', '1', 'c']) - 1]).toContain('[,');
	});
});

describe('what own steps are held to', () => {
	const messages = (
		f: ExerciseFamily | readonly ExerciseFamily[],
		before: readonly ExerciseFamily[] = []
	): string =>
		checkOwn(Array.isArray(f) ? (f as ExerciseFamily[]) : [f as ExerciseFamily], before)
			.map((x) => `${x.place}: ${x.message}`)
			.join('\n');
	const second: Step = {
		...(own().steps[0] as Step),
		id: 'own-sofa-low',
		title: 'Low sofa',
		dials: { support: 'none', surface: 'no-seat' },
		gates: []
	};
	it('a loop, two dials on an edge, a gate nobody can meet: named with the place', () => {
		const loop = own({ next: [{ to: 'own-sofa-low', dial: 'surface' }] }, [
			{ ...second, next: [{ to: 'own-sofa-rise', dial: 'surface' }] }
		]);
		expect(messages(loop)).toMatch(/own-sofa\/own-sofa-rise: the ladder loops back/);
		expect(
			messages(
				own({ next: [{ to: 'own-sofa-low', dial: 'surface' }] }, [
					{ ...second, dials: { support: 'none', surface: 'no-seat', load: 'goblet' } }
				])
			)
		).toMatch(/turns surface and load|surface and load harder/);
		expect(
			messages(own({ gates: [{ kind: 'clean-reps', step: 'standard-seat', sets: 9, reps: 10 }] }))
		).toMatch(/could never open/);
	});
	it('a figure that cannot stand is refused, with what to change', () => {
		// A hinge to the floor with straight arms and straight knees is out of a body's reach; a very long stride too.
		expect(messages(own({ posture: { movement: 'split-squat', stride: 0.7, thighDeg: 30 } }))).toMatch(
			/cannot stand: a limb does not reach/
		);
		expect(
			messages(
				own({
					posture: {
						movement: 'pose',
						from: { trunk: 0, near: { thigh: 0, shank: 90 } },
						to: { trunk: 0, near: { thigh: 0, shank: 0 } }
					}
				})
			)
		).toMatch(/knee bends 90° the wrong way/);
		for (const f of Object.values(FAMILIES)) expect(standFaults(f), f.id).toEqual([]);
	});
	it('a step that was given is retired, not left out', () => {
		const before = [own({}, [second])];
		expect(messages(own(), before)).toMatch(/own-sofa-low: this step was here before; mark it "retired"/);
		expect(messages(own({}, [{ ...second, retired: { replacedBy: 'own-sofa-rise' } }]), before)).toBe('');
	});
	it('two own families do not share a step id', () => {
		expect(messages([own(), { ...own(), id: 'own-twin' }])).toMatch(/another family has a step of this id/);
	});
});

describe('searching', () => {
	const index = searchIndex(Object.values(FAMILIES));
	const ids = (q: string) => search(index, q).map((e) => e.step.id);
	it('finds by the beginning of words, in any order, titles first', () => {
		expect(ids('one leg bridge')[0]).toBe('single-leg-bridge');
		expect(ids('brid one')).toContain('single-leg-bridge');
		expect(ids('STAIRS').length).toBeGreaterThan(5);
		expect(ids('band').every((id) => search(index, 'band').find((e) => e.step.id === id) !== undefined)).toBe(
			true
		);
		expect(ids('clam')).toEqual(['clamshell', 'banded-clamshell']);
	});
	it('every word must be there; nothing asked is everything; nonsense is nothing', () => {
		expect(ids('bridge stairs unicorn')).toEqual([]);
		expect(ids('  ')).toHaveLength(index.length);
		for (const e of index) expect(ids(e.step.title), e.step.id).toContain(e.step.id);
	});
});
