/** A session of several exercises as one form: what is shared, what is each exercise's own, and what bad input gets. Common practice. */
import { describe, expect, it } from 'vitest';
import { parseWholeSession, type GivenToday } from './whole-session-form.ts';

const ID = (n: number): string => `0190b6c5-7a60-7000-8000-${String(n).padStart(12, '0')}`;
const SQUAT = ID(31);
const BRIDGE = ID(32);
const given: Record<string, GivenToday> = {
	[SQUAT]: { sets: 2, reps: 10, loadKg: 8, region: 'knee-right', perSide: false },
	[BRIDGE]: { sets: 1, reps: 8, loadKg: 0, region: 'back', perSide: false }
};
const own = (at: number, prescriptionId: string, fields: Record<string, string> = {}) =>
	Object.fromEntries(
		Object.entries({ id: ID(10 + at), exerciseId: ID(20 + at), prescriptionId, ...fields }).map(([k, v]) => [
			`e.${at}.${k}`,
			v
		])
	);
const pains = (region: string, before: string, peak: string, after: string) => ({
	[`pain.${region}.before`]: before,
	[`pain.${region}.peak`]: peak,
	[`pain.${region}.after`]: after
});
const form = (...parts: Record<string, string>[]): FormData => {
	const f = new FormData();
	for (const [k, v] of Object.entries(
		Object.assign({ id: ID(1), visitId: ID(2), day: '2026-03-12' }, ...parts) as Record<string, string>
	))
		f.append(k, v);
	return f;
};
const parse = (f: FormData) => parseWholeSession(f, (id) => given[id]);
const value = (f: FormData) => {
	const p = parse(f);
	if (!p.ok) throw new Error(p.message);
	return p.logs;
};
const both = [pains('knee-right', '1', '3', '2'), pains('back', '0', '0', '0')];
const issuesOf = (f: FormData): Record<string, string> => {
	const p = parse(f);
	return p.ok ? {} : Object.fromEntries(p.issues.map((i) => [i.field, i.message]));
};

describe('a session of several', () => {
	it('day, visit and who saw it are shared; pain goes by region; what was not touched is left out', () => {
		const logs = value(form(own(0, SQUAT, { effort: '5' }), own(1, BRIDGE), ...both, { observed: 'on' }));
		expect(logs).toHaveLength(1);
		expect(logs[0]).toMatchObject({
			visitId: ID(2),
			prescriptionId: SQUAT,
			session: {
				observed: true,
				sets: [
					{ reps: 10, effort: 5 },
					{ reps: 10, effort: 5 }
				],
				pains: [{ region: 'knee-right', before: 1, peak: 3, after: 2 }]
			}
		});
	});
	it('each exercise keeps its own effort, sets, symptoms and clean mark', () => {
		const logs = value(
			form(
				own(0, SQUAT, { effort: '5', cleanThroughout: 'on', 'set.1.reps': '6', symptoms: 'catching' }),
				own(1, BRIDGE, { effort: '3' }),
				...both,
				{ observed: 'on' }
			)
		);
		expect(logs[0]?.session.sets).toEqual([
			{ reps: 10, effort: 5, cleanReps: 10 },
			{ reps: 6, effort: 5, cleanReps: 6 }
		]);
		expect(logs[0]?.session.symptoms).toEqual(['catching']);
		expect(logs[1]?.session.sets).toEqual([{ reps: 8, effort: 3 }]);
		expect(logs[1]?.session.symptoms).toEqual([]);
	});
	it('a worst pain said with an exercise is its own; the region’s holds for the rest', () => {
		given[BRIDGE] = { ...given[BRIDGE]!, region: 'knee-right' };
		const logs = value(
			form(own(0, SQUAT, { effort: '5', peak: '6' }), own(1, BRIDGE, { effort: '3' }), both[0]!)
		);
		expect(logs.map((l) => l.session.pains[0]?.peak)).toEqual([6, 3]);
		given[BRIDGE] = { ...given[BRIDGE]!, region: 'back' };
	});
	it('a symptom without an effort is asked for its effort, never dropped', () => {
		expect(issuesOf(form(own(0, SQUAT, { symptoms: 'locking' }), ...both))).toHaveProperty(['e.0.effort']);
	});
	it('a pain of a region that was worked is needed, said once for two exercises', () => {
		given[BRIDGE] = { ...given[BRIDGE]!, region: 'knee-right' };
		const p = parse(form(own(0, SQUAT, { effort: '5' }), own(1, BRIDGE, { effort: '5' })));
		given[BRIDGE] = { ...given[BRIDGE]!, region: 'back' };
		expect(p.ok ? [] : p.issues.map((i) => i.field)).toEqual([
			'pain.knee-right.before',
			'pain.knee-right.peak',
			'pain.knee-right.after'
		]);
	});
	it('nothing said, an unknown prescription, a bad set: each is named where it stands', () => {
		expect(issuesOf(form(own(0, SQUAT), ...both))).toHaveProperty(['']);
		expect(issuesOf(form(own(0, ID(99), { effort: '5' }), ...both))['']).toContain('reload');
		expect(issuesOf(form(own(0, SQUAT, { effort: '5', 'set.0.reps': '3.5' }), ...both))).toHaveProperty([
			'e.0.set.0.reps'
		]);
		expect(issuesOf(form(own(0, SQUAT, { effort: '5' }), ...both, { day: '2026-02-30' }))).toHaveProperty([
			'day'
		]);
	});
});

describe('load of a set', () => {
	const sets = (fields: Record<string, string>) => form(own(0, SQUAT, { effort: '5', ...fields }), both[0]!);
	it('less load takes its reason; with it the set keeps its own', () => {
		expect(issuesOf(sets({ 'set.1.load': '6' }))).toHaveProperty(['e.0.incompleteBecause']);
		const [log] = value(sets({ 'set.1.load': '6', incompleteBecause: 'pain' }));
		expect(log?.session.sets).toEqual([
			{ reps: 10, effort: 5 },
			{ reps: 10, effort: 5, loadKg: 6 }
		]);
		expect(value(sets({ 'set.1.load': '8' }))[0]?.session.sets[1]).toEqual({ reps: 10, effort: 5 });
	});
	it('let down in the middle: after how many, to how much, because of what', () => {
		const [log] = value(sets({ 'set.0.dropAfter': '4', 'set.0.dropTo': '4', incompleteBecause: 'tired' }));
		expect(log?.session.sets[0]).toEqual({ reps: 10, effort: 5, drop: { afterReps: 4, toKg: 4 } });
		const because = { incompleteBecause: 'tired' };
		expect(issuesOf(sets({ 'set.0.dropAfter': '4', ...because }))).toHaveProperty(['e.0.set.0.dropTo']);
		expect(issuesOf(sets({ 'set.0.dropTo': '4', ...because }))).toHaveProperty(['e.0.set.0.dropAfter']);
		expect(issuesOf(sets({ 'set.0.dropAfter': '11', 'set.0.dropTo': '4', ...because }))).toHaveProperty([
			'e.0.set.0.dropAfter'
		]);
		expect(issuesOf(sets({ 'set.0.dropAfter': '4', 'set.0.dropTo': '8', ...because }))).toHaveProperty([
			'e.0.set.0.dropTo'
		]);
	});
});

describe('both legs', () => {
	it('asks the worst of the other side too, and keeps it beside the own', () => {
		given[SQUAT] = { ...given[SQUAT]!, perSide: true };
		const one = own(0, SQUAT, { effort: '5' });
		expect(issuesOf(form(one, ...both))).toHaveProperty(['pain.knee-left.peak']);
		expect(issuesOf(form(one, ...both, { 'pain.knee-left.peak': '11' }))).toHaveProperty([
			'pain.knee-left.peak'
		]);
		const [log] = value(form(one, ...both, { 'pain.knee-left.peak': '4' }));
		expect(log?.session.pains[1]).toEqual({ region: 'knee-left', peak: 4 });
		given[SQUAT] = { ...given[SQUAT]!, perSide: false };
	});
});
