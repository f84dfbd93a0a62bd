/** A session as it is run: what is closed is passed over, less is said to be less, and what was done is what is sent. */
import { describe, expect, it } from 'vitest';
import type { MineWork } from '#lib/contract/mine.ts';
import { parseWholeSession } from '#lib/contract/whole-session-form.ts';
import { begin, didOf, fieldsOf, isClosed, onward, doseOf, withDid, type Run } from './run.ts';

let n = 0;
const fresh = (): string => `00000000-0000-7000-8000-${String(++n).padStart(12, '0')}`;
const work = (more: Partial<MineWork> = {}): MineWork => ({
	...{
		exerciseId: fresh(),
		prescriptionId: fresh(),
		title: `w${n}`,
		what: '',
		cues: [],
		cautions: [],
		how: []
	},
	...{
		note: null,
		region: 'knee-right',
		mirror: false,
		sides: 1,
		sets: 3,
		reps: 10,
		unit: 'reps',
		loadKg: 0
	},
	...{ doseText: '3×10', lighter: false, held: false, tags: [], frames: [], tempo: [2, 0, 2], setSec: 40 },
	...{ restSec: 60, hurts: [], easy: '', loggedToday: false },
	...more
});
const PAINS = { 'knee-right.before': '1', 'knee-right.peak': '2', 'knee-right.after': '1' };
function sent(run: Run, all: readonly MineWork[]) {
	const made = fieldsOf(run, all);
	if ('missing' in made) throw new Error(made.missing);
	const form = new FormData();
	for (const [k, v] of made.fields) form.append(k, v);
	form.set('id', run.id);
	return parseWholeSession(form, (id) => {
		const w = all.find((x) => x.prescriptionId === id);
		return w === undefined
			? undefined
			: { sets: w.sets, reps: w.reps, loadKg: 0, region: 'knee-right', perSide: false };
	});
}

describe('a run', () => {
	it('done as given is a whole session of its form', () => {
		const all = [work({ exerciseId: null }), work(), work()];
		let run = begin(all, '2026-03-12', fresh);
		run = onward({ ...run, pains: PAINS }, all, -1);
		expect([run.phase, run.at]).toEqual(['work', 0]);
		for (const w of all) {
			run = withDid(run, w, { sets: 3, effort: '5' });
			run = onward(run, all);
		}
		expect(run.phase).toBe('after');
		const parsed = sent(run, all);
		if (!parsed.ok) throw new Error(JSON.stringify(parsed.issues));
		expect(parsed.logs).toHaveLength(2);
		expect(parsed.logs[0]?.session.sets.map((s) => s.reps)).toEqual([10, 10, 10]);
		expect(parsed.logs[0]?.session).toMatchObject({ date: '2026-03-12', observed: false });
	});
	it('less is less, with why; a set that was broken off counts what was done of it; what hurt is its own worst', () => {
		const w = work();
		let run: Run = { ...begin([w], '2026-03-12', fresh), pains: PAINS };
		run = withDid(run, w, { sets: 1, lastReps: 4, because: 'pain', effort: '7', hurt: 5 });
		const parsed = sent(run, [w]);
		if (!parsed.ok) throw new Error(JSON.stringify(parsed.issues));
		const { session } = parsed.logs[0]!;
		expect(session.sets.map((s) => s.reps)).toEqual([10, 4, 0]);
		expect(session.incompleteBecause).toBe('pain');
		expect(session.pains[0]?.peak).toBe(5);
	});
	it('what hurt before a repetition was done of it is logged, with its pain and none done', () => {
		const w = work();
		const run = withDid({ ...begin([w], '2026-03-12', fresh), pains: PAINS }, w, {
			...{ sets: 0, lastReps: 0, because: 'pain', effort: '6', hurt: 8 }
		});
		const parsed = sent(run, [w]);
		if (!parsed.ok) throw new Error(JSON.stringify(parsed.issues));
		expect(parsed.logs[0]?.session.sets.map((s) => s.reps)).toEqual([0, 0, 0]);
		expect(parsed.logs[0]?.session).toMatchObject({ incompleteBecause: 'pain', pains: [{ peak: 8 }] });
	});
	it('asks what is missing: how hard it was, pain before, worst and after', () => {
		const w = work();
		const run = withDid(begin([w], '2026-03-12', fresh), w, { sets: 3 });
		expect(fieldsOf(run, [w])).toEqual({ missing: 'effort' });
		expect(fieldsOf(withDid(run, w, { effort: '5' }), [w])).toEqual({ missing: 'pain' });
	});
	it('passes over what is held, and what coming in closed; a day that is closed closes all', () => {
		const [a, b, c] = [work({ held: true }), work({ region: 'hip-left' }), work()];
		const run = { ...begin([a, b, c], '2026-03-12', fresh), closes: ['hip-left'] };
		expect(onward(run, [a, b, c], -1).at).toBe(2);
		expect(
			onward({ ...run, closes: 'day' }, [a, b, c, work({ exerciseId: null, region: null })], -1).phase
		).toBe('after');
		expect(isClosed({ ...run, closes: [] }, b)).toBe(false);
	});
	it('a lighter day is 60 % of the sets, once', () => {
		const run = { ...begin([], '2026-03-12', fresh), lighter: true };
		expect([work(), work({ sets: 5 }), work({ sets: 1 })].map((w) => doseOf(run, w))).toEqual([
			{ sets: 2, reps: 10 },
			{ sets: 3, reps: 10 },
			{ sets: 1, reps: 6 }
		]);
		expect(doseOf(run, work({ lighter: true })).sets).toBe(3);
		expect(doseOf({ ...run, lighter: false }, work()).sets).toBe(3);
	});
	it('what was left out is not logged', () => {
		const [a, b] = [work(), work()];
		let run: Run = { ...begin([a, b], '2026-03-12', fresh), pains: PAINS };
		run = withDid(withDid(run, a, { left: true }), b, { sets: 3, effort: '5' });
		expect(didOf(run, a).left).toBe(true);
		const parsed = sent(run, [a, b]);
		expect(parsed.ok && parsed.logs).toHaveLength(1);
	});
});
