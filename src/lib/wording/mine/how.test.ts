/** How an exercise is done, in German: every step of the catalogue has a name, and nothing that English says is left out. */
import { describe, expect, it } from 'vitest';
import { CHOICE_ROWS } from '#lib/catalogue/choices.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';
import { particularsText } from '../plan.ts';
import { CHOICES_DE } from './choices-de.ts';
import { cautionIn, cueIn, doseIn, particularsIn, setupIn, tighterIn, titleIn, whatIn } from './how.ts';
import { CAUTIONS_DE, CUES_DE } from './said-de.ts';
import { STEPS_DE } from './steps-de.ts';
import { WHAT_DE } from './what-de.ts';

const ALL = Object.values(FAMILIES).flatMap((f) => f.steps);

describe('in German', () => {
	it('every step of the catalogue has a name of its own, and no name is of a step that is not there', () => {
		const ids = new Set(ALL.map((s) => s.id));
		expect([...ids].filter((id) => STEPS_DE[id] === undefined)).toEqual([]);
		expect(Object.keys(STEPS_DE).filter((id) => !ids.has(id))).toEqual([]);
		expect(new Set(Object.values(STEPS_DE)).size).toBe(Object.keys(STEPS_DE).length);
	});
	const said = (of: 'cues' | 'cautions'): ReadonlySet<string> =>
		new Set([
			...ALL.flatMap((s) => s[of] ?? []),
			...Object.values(FAMILIES).flatMap((f) => (of === 'cues' ? Object.values(f.cues).flat() : f.cautions))
		]);
	it.each([
		['essentials', said('cues'), CUES_DE],
		['cautions', said('cautions'), CAUTIONS_DE],
		['what a step is', new Set(ALL.map((s) => s.id)), WHAT_DE]
	] as const)('%s: each has its words, and no words are of what is not there', (_, there, words) => {
		expect([...there].filter((x) => words[x] === undefined)).toEqual([]);
		expect(Object.keys(words).filter((x) => !there.has(x))).toEqual([]);
		expect(Object.values(words).filter((x) => x.trim() === '')).toEqual([]);
	});
	it('every choice and every place of it has its words', () => {
		const ids = new Set(CHOICE_ROWS.map((r) => r.choice.id));
		expect(Object.keys(CHOICES_DE).filter((id) => !ids.has(id))).toEqual([]);
		for (const { choice } of CHOICE_ROWS)
			expect(Object.keys(CHOICES_DE[choice.id]?.of ?? {}).sort(), choice.id).toEqual(
				choice.of.map((p) => p.id).sort()
			);
		expect(setupIn('de', { seatCm: 46, chosen: { pause: '2', own: 'place' } })).toBe(
			'Sitz 46 cm, Pause 2 s, own place'
		);
		expect(setupIn('en', { seatCm: 46, chosen: { pause: '2' } })).toBe('seat 46 cm, pause 2 s');
	});
	it('what a practice wrote itself stays as it was written', () => {
		const bridge = ALL.find((s) => s.id === 'bridge');
		expect(whatIn('de', 'bridge', bridge?.what ?? '')).toBe(WHAT_DE['bridge']);
		expect(whatIn('de', 'bridge', 'Lift as we said.')).toBe('Lift as we said.');
		expect(whatIn('en', 'bridge', bridge?.what ?? '')).toBe(bridge?.what);
		expect([cueIn('de', 'Heel heavy'), cueIn('en', 'Heel heavy'), cueIn('de', 'Ours')]).toEqual([
			'Die Ferse schwer',
			'Heel heavy',
			'Ours'
		]);
		expect(cautionIn('de', 'Ours')).toBe('Ours');
	});
	it('a step of the practice keeps its name', () => {
		expect(titleIn('de', 'own-step', 'Treppe am Hafen')).toBe('Treppe am Hafen');
		expect(titleIn('de', 'bridge', 'Bridge')).toBe('Brücke');
		expect(titleIn('en', 'bridge', 'Bridge')).toBe('Bridge');
	});
	it('lengths, doses and loads read with a comma', () => {
		expect(setupIn('de', { seatCm: 46.5 })).toBe('Sitz 46,5 cm');
		expect(setupIn('de', { thighDeg: 70 })).toBe('Oberschenkel 70°');
		expect(setupIn('de', null)).toBe('');
		expect(setupIn('en', { seatCm: 46.5 })).toBe('seat 46.5 cm');
		expect(doseIn('de', { sets: 3, reps: 10, loadKg: 7.5 })).toBe('3×10 7,5 kg');
		expect(doseIn('de', { sets: 1, reps: 5, loadKg: 0, unit: 'breaths' })).toBe('1×5 Atemzüge');
		expect(doseIn('de', { sets: 3, reps: 12, loadKg: 0, school: 'rounds' })).toBe('3 Runden zu 12');
		expect(doseIn('de', { sets: 1, reps: 30, loadKg: 0, unit: 'sec', school: 'rounds' })).toBe(
			'1 Runde zu 30 s'
		);
		expect(doseIn('en', { sets: 3, reps: 10, loadKg: 7.5 })).toBe('3×10 7.5 kg');
	});
	it('says as much of what was prescribed as English does, each alone and all together', () => {
		const all: Particulars = {
			...{ band: 'light', holdSec: 5, tempo: '3-1-3-0', effortPct: 60, workSec: 45, restSec: 15, effort: 6 },
			...{ blockMin: 10, daysPerWeek: 3, where: 'home', painPerSide: true }
		};
		for (const p of [all, { ...all, asNeeded: true as const }, {}, { daysPerWeek: 1 }])
			expect(particularsIn('de', p)).toHaveLength(particularsText(p).length);
		for (const [k, v] of Object.entries(all))
			expect(particularsIn('de', { [k]: v } as Particulars), k).toHaveLength(1);
		expect(particularsIn('de', { daysPerWeek: 1 })).toEqual(['an 1 Tag der Woche']);
	});
	it('says the tighter side of a stretch and what stops it, each alone and both, as much in either language', () => {
		const both = { first: 'left', stoppedBy: 'hip' } as const;
		expect(tighterIn('en', both)).toEqual([
			'left first, the tighter side, and a little more',
			'the hip stops it'
		]);
		expect(tighterIn('de', both)).toEqual([
			'links zuerst, die steifere Seite, und etwas mehr',
			'die Hüfte hält auf'
		]);
		for (const language of ['en', 'de'] as const) {
			expect(tighterIn(language, null)).toEqual([]);
			expect(tighterIn(language, { ...both, first: null })).toHaveLength(1);
			expect(tighterIn(language, { ...both, stoppedBy: null })).toHaveLength(1);
		}
	});
});
