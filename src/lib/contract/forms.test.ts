/** Forms: what bad input gets. Every refusal names its field and what would be right. */
import { describe, expect, it } from 'vitest';
import { bodyOf } from '../core/body/body.ts';
import { parseLog } from './log-form.ts';
import { parseSheet } from './measure-form.ts';
import { parseMorning } from './morning-form.ts';
import { prescribeForm } from './setup-form.ts';
import { text, typed } from './basics.ts';

const ID = '0190b6c5-7a60-7000-8000-00000000000';
const b = bodyOf({ heightCm: 168, massKg: 70 });
if (!b.ok) throw new Error('body');
const NAMES = { kneeFlexion: 'Knee bend', thighTrunkFlexion: 'Sitting fold', weightBearingDorsiflexion: 'Ankle' };
const form = (o: Record<string, string | readonly string[]>): FormData => {
	const f = new FormData();
	for (const [k, v] of Object.entries(o)) for (const x of typeof v === 'string' ? [v] : v) f.append(k, x);
	return f;
};

describe('typed numbers', () => {
	it('take a comma, refuse words, wrong units and the absurd', () => {
		const knee = typed('Knee', 0, 165, 'degrees');
		expect(knee.parse('97,5')).toBe(97.5);
		expect(knee.parse(' ')).toBeUndefined();
		for (const bad of ['ninety', '1e3', '97°', '0x10', '--5', '1 2', 'NaN', 'Infinity']) expect(knee.safeParse(bad).success, bad).toBe(false);
		expect(knee.safeParse('170').error?.issues[0]?.message).toBe('Knee: 170 is outside 0 to 165 degrees.');
		expect(knee.safeParse('abc').error?.issues[0]?.message).toContain('give 0 to 165 degrees');
	});
	it('text holds no NUL', () => {
		expect(text(10).safeParse('a\0b').success).toBe(false);
	});
});

describe('the measure sheet', () => {
	const sheet = (o: Record<string, string>) => parseSheet(new Map(Object.entries({ day: '2026-03-12', 'kneeFlexion.right.id': `${ID}1`, 'weightBearingDorsiflexion.left.id': `${ID}2`, ...o })), b.value, NAMES);
	it('reads what was entered and turns knee-to-wall centimetres into degrees', () => {
		const got = sheet({ 'kneeFlexion.right.tolerable': '95', 'weightBearingDorsiflexion.left.end': '10' });
		if (!got.ok) throw new Error(got.refusal.message);
		expect(got.value.values).toMatchObject([
			{ axis: 'kneeFlexion', side: 'right', range: { tolerable: 95 } },
			{ axis: 'weightBearingDorsiflexion', side: 'left', rawCm: 10, loaded: true }
		]);
		expect(got.value.values[1]?.range.end).toBeGreaterThan(34);
		expect(got.value.values[1]?.range.end).toBeLessThan(39);
	});
	it('names the field of text, a day that does not exist, and pain without a range', () => {
		expect(sheet({ 'kneeFlexion.right.end': 'stiff' })).toMatchObject({ refusal: { field: 'kneeFlexion.right.end' } });
		expect(sheet({ day: '2026-02-30' })).toMatchObject({ refusal: { field: 'day' } });
		expect(sheet({ 'kneeFlexion.right.pain': '4' })).toMatchObject({ refusal: { field: 'kneeFlexion.right.end' } });
	});
});

describe('the log', () => {
	const good = { id: `${ID}1`, visitId: `${ID}2`, exerciseId: `${ID}3`, prescriptionId: `${ID}4`, day: '2026-03-12', observed: 'on', cleanThroughout: 'on', region: 'knee-right', effort: '5', before: '1', peak: '2', after: '1', confidence: '8', soreness: '2' };
	const log = (o: Record<string, string | readonly string[]> = {}) => parseLog(form({ ...good, ...o }), { sets: 2, reps: 10, loadKg: 0 });
	it('as prescribed fills every set, clean when seen', () => {
		expect(log()).toMatchObject({ ok: true, value: { session: { observed: true, sets: [{ reps: 10, effort: 5, cleanReps: 10 }, { reps: 10, effort: 5, cleanReps: 10 }], symptoms: [], faults: {} } } });
		const { observed: _, ...unseen } = good;
		const got = parseLog(form(unseen), { sets: 1, reps: 10, loadKg: 0 });
		expect(got.ok && got.value.session.sets[0]).toEqual({ reps: 10, effort: 5 });
	});
	it('per set, faults, symptoms and pain elsewhere are by exception', () => {
		const got = log({ 'set.1.reps': '6', 'set.1.effort': '8', 'set.1.clean': '4', symptoms: ['catching', 'weakness'], 'fault.heel-lifts': '0.5', 'fault.rushed': '', elseRegion: 'hip-left', elsePeak: '3', incompleteBecause: 'tired', painAt: 'late' });
		expect(got).toMatchObject({ ok: true, value: { session: { sets: [{ reps: 10 }, { reps: 6, effort: 8, cleanReps: 4 }], symptoms: ['catching', 'weakness'], faults: { 'heel-lifts': 0.5 }, incompleteBecause: 'tired', pains: [{ region: 'knee-right' }, { region: 'hip-left', peak: 3 }] } } });
	});
	it('names what is missing or impossible', () => {
		const { effort: _, ...lacking } = good;
		expect(parseLog(form(lacking), { sets: 1, reps: 10, loadKg: 0 })).toMatchObject({ ok: false, field: 'effort', message: 'Effort: choose 0 to 10.' });
		expect(log({ 'set.0.reps': '4', 'set.0.clean': '9' })).toMatchObject({ ok: false, field: 'set.0.clean' });
		expect(log({ 'set.0.reps': '4.5' })).toMatchObject({ ok: false, field: 'set.0.reps' });
		expect(log({ symptoms: 'sneezing' })).toMatchObject({ ok: false, field: 'symptoms' });
		expect(log({ before: '5', peak: '2', after: '5' })).toMatchObject({ ok: false, field: 'peak' });
		expect(log({ elseRegion: 'hip-left' })).toMatchObject({ ok: false, field: 'elsePeak' });
		expect(log({ region: 'soul' })).toMatchObject({ ok: false, field: 'region' });
		expect(log({ id: 'x' })).toMatchObject({ ok: false, field: 'id' });
	});
});

describe('the morning and the prescription', () => {
	it('needs pain and swelling of every region', () => {
		const at = (o: Record<string, string>) => parseMorning(form({ day: '2026-03-12', 'back.id': `${ID}1`, ...o }), ['back'], (r) => r);
		expect(at({ 'back.pain': '2' })).toMatchObject({ ok: false, field: 'back.swelling' });
		expect(at({ 'back.swelling': 'none' })).toMatchObject({ ok: false, field: 'back.pain' });
		expect(at({ 'back.pain': '2', 'back.swelling': 'none', 'back.stiffness': '10' })).toMatchObject({ ok: true, value: { regions: [{ pain: 2, stiffnessMin: 10 }] } });
		expect(at({ 'back.pain': '2', 'back.swelling': 'none', events: '' })).toMatchObject({ ok: true, value: { events: [] } });
		expect(at({ 'back.pain': '2', 'back.swelling': 'none', events: 'sneeze', eventId: `${ID}2` })).toMatchObject({ ok: false, field: 'events' });
	});
	it('a dose is whole numbers inside its bounds', () => {
		const at = (sets: string, reps: string) => prescribeForm.safeParse({ id: `${ID}1`, exerciseId: `${ID}2`, step: 'free-squat', region: 'knee-right', sets, reps });
		expect(at('2', '10').success).toBe(true);
		for (const [s, r] of [['0', '10'], ['2', '31'], ['1.5', '10'], ['', '10'], ['two', '10']] as const) expect(at(s, r).success, `${s}×${r}`).toBe(false);
	});
});
