/** A session as it is run: what is closed is passed over, less is said to be less, and what was done is what is sent. */
import { describe, expect, it } from 'vitest';
import type { MineWork } from '#lib/contract/mine.ts';
import { parseWholeSession } from '#lib/contract/whole-session-form.ts';
import {
	begin,
	didOf,
	doseOf,
	fieldsOf,
	inTurnWith,
	isClosed,
	lessFrom,
	NOTHING,
	onward,
	regionsOf,
	setDone,
	withDid,
	type Did,
	type Run
} from './run.ts';

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
		other: null,
		mirror: false,
		sides: 1,
		sets: 3,
		reps: 10,
		unit: 'reps',
		loadKg: 0
	},
	...{ doseText: '3×10', lighter: false, held: false, tags: [], frames: [], tempo: [2, 0, 2], setSec: 40 },
	...{ restSec: 60, hurts: [], easy: '', loggedToday: false, turn: -1 },
	...more
});
const PAINS = { 'knee-right.before': '1', 'knee-right.peak': '2', 'knee-right.after': '1' };
function sent(run: Run, all: readonly MineWork[], loadKg = 0) {
	const made = fieldsOf(run, all);
	if ('missing' in made) throw new Error(made.missing);
	const form = new FormData();
	for (const [k, v] of made.fields) form.append(k, v);
	form.set('id', run.id);
	return parseWholeSession(form, (id) => {
		const w = all.find((x) => x.prescriptionId === id);
		return w === undefined
			? undefined
			: { sets: w.sets, reps: w.reps, loadKg, region: w.region ?? '', perSide: w.other !== null };
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
	it('a weight that was let down stays down for the sets after it, with why', () => {
		const w = work({ loadKg: 12 });
		let run: Run = { ...begin([w], '2026-03-12', fresh), pains: PAINS };
		run = withDid(run, w, { sets: 1 });
		run = withDid(run, w, lessFrom(w, { sets: 3, reps: 10 }, didOf(run, w), 4, '8'));
		run = withDid(run, w, { sets: 3, effort: '7', because: 'tired' });
		const parsed = sent(run, [w], 12);
		if (!parsed.ok) throw new Error(JSON.stringify(parsed.issues));
		const { session } = parsed.logs[0]!;
		expect(session.sets.map((s) => [s.reps, s.loadKg, s.drop])).toEqual([
			[10, undefined, undefined],
			[10, undefined, { afterReps: 4, toKg: 8 }],
			[10, 8, undefined]
		]);
		expect(session.incompleteBecause).toBe('tired');
	});
	it('let down after more than was then done of the set, it was let down at its end: the session is taken', () => {
		const w = work({ loadKg: 12 });
		const less = { set: 1, after: 6, toKg: 8 };
		const of = (more: Partial<Did>) => {
			const run: Run = { ...begin([w], '2026-03-12', fresh), pains: PAINS };
			const parsed = sent(withDid(run, w, { effort: '7', because: 'pain', less, ...more }), [w], 12);
			if (!parsed.ok) throw new Error(JSON.stringify(parsed.issues));
			return parsed.logs[0]?.session.sets.map((s) => [s.reps, s.loadKg, s.drop]);
		};
		expect(of({ sets: 1, lastReps: 4 })).toEqual([
			[10, undefined, undefined],
			[4, undefined, { afterReps: 4, toKg: 8 }],
			[0, 8, undefined]
		]);
		expect(of({ sets: 1, lastReps: 0 })?.[1]).toEqual([0, 8, undefined]);
		expect(of({ sets: 1, lastReps: null })?.[1]).toEqual([0, 8, undefined]);
	});
	it('let down before a set began it is that set’s weight; no less, or no number, is nothing let down', () => {
		const w = work({ loadKg: 12 });
		const dose = { sets: 3, reps: 10 };
		expect(lessFrom(w, dose, NOTHING, 0, '6.5')).toEqual({ less: { set: 0, after: 0, toKg: 6.5 } });
		for (const kg of ['12', '14', '-1', 'x', '', ' '])
			expect(lessFrom(w, dose, NOTHING, 3, kg), kg).toEqual({ less: null });
		expect(lessFrom(w, dose, NOTHING, 10, '6').less?.after).toBe(9);
		let run: Run = { ...begin([w], '2026-03-12', fresh), pains: PAINS };
		run = withDid(run, w, { sets: 3, effort: '5', ...lessFrom(w, dose, NOTHING, 0, '6.5') });
		const parsed = sent(run, [w], 12);
		expect(parsed.ok && parsed.logs[0]?.session.sets.map((s) => s.loadKg)).toEqual([6.5, 6.5, 6.5]);
		expect(parsed.ok && parsed.logs[0]?.session.incompleteBecause).toBe('other');
	});
	it('done in turn, a set of each comes, with a rest where the round is over; what has more sets goes on alone', () => {
		const [a, b] = [work({ turn: 1, restSec: 60 }), work({ turn: 1, sets: 2, restSec: 45 })];
		const all = [work({ turn: 0 }), a, b, work({ turn: 2 })];
		let run: Run = { ...begin(all, '2026-03-12', fresh), phase: 'work', at: 1 };
		const seen: [number, number | null][] = [];
		for (let i = 0; i < 4; i++) {
			const done = setDone(run, all, 1000);
			run = done.run;
			seen.push([run.at, done.restUntil]);
		}
		// To b at once; back to a after the longer rest; to b; its last set waits for how hard it was.
		expect(seen).toEqual([
			[2, null],
			[1, 61_000],
			[2, null],
			[2, null]
		]);
		expect([didOf(run, a).sets, didOf(run, b).sets]).toEqual([2, 2]);
		run = onward(withDid(run, b, { effort: '5' }), all);
		expect(run.at).toBe(1);
		expect(inTurnWith(all, 1)).toEqual([b]);
		const last = setDone(run, all, 1000);
		expect([last.run.at, last.restUntil]).toEqual([1, null]);
		// b is finished and said: it is passed over.
		expect(onward(last.run, all).at).toBe(3);
		// One of which nobody said how hard it was is asked.
		expect(onward(withDid(last.run, b, { effort: '' }), all).at).toBe(2);
	});
	it('alone, its rest comes after a set and none after the last', () => {
		const w = work({ sets: 2 });
		const one = setDone({ ...begin([w], '2026-03-12', fresh), phase: 'work' }, [w], 1000);
		expect(one).toMatchObject({ restUntil: 61_000, run: { at: 0 } });
		expect(setDone(one.run, [w], 1000).restUntil).toBeNull();
		const unrested = work({ restSec: 0 });
		expect(
			setDone({ ...begin([unrested], '2026-03-12', fresh), phase: 'work' }, [unrested], 1000).restUntil
		).toBeNull();
	});
	it('what was left out of a turn is not come back to', () => {
		const [a, b] = [work({ turn: 1 }), work({ turn: 1 })];
		let run: Run = { ...begin([a, b], '2026-03-12', fresh), phase: 'work', at: 1 };
		run = withDid(run, a, { left: true });
		expect(setDone(run, [a, b], 0).run.at).toBe(1);
	});
	it('where both legs work at once, the other side is asked too, and goes along', () => {
		const w = work({ other: 'knee-left' });
		let run: Run = { ...begin([w], '2026-03-12', fresh), pains: PAINS };
		run = withDid(run, w, { sets: 3, effort: '5' });
		expect(regionsOf(run, [w])).toEqual(['knee-right', 'knee-left']);
		expect(fieldsOf(run, [w])).toEqual({ missing: 'pain' });
		const left = { 'knee-left.before': '0', 'knee-left.peak': '3', 'knee-left.after': '0' };
		const parsed = sent({ ...run, pains: { ...PAINS, ...left } }, [w]);
		if (!parsed.ok) throw new Error(JSON.stringify(parsed.issues));
		expect(parsed.logs[0]?.session.pains.map((p) => [p.region, p.peak])).toEqual([
			['knee-right', 2],
			['knee-left', 3]
		]);
	});
	it('where it was felt, and how sure they are, go along; not asked is not no', () => {
		const all = [work(), work({ region: 'thigh-left' })];
		const [a, b] = all as [MineWork, MineWork];
		const pains = { ...PAINS, 'thigh-left.before': '1', 'thigh-left.peak': '1', 'thigh-left.after': '1' };
		let run: Run = { ...begin(all, '2026-03-12', fresh), pains };
		run = withDid(run, a, { sets: 3, effort: '5', felt: 'muscle' });
		run = withDid(run, b, { sets: 3, effort: '5', felt: 'joint' });
		const felt = (of: Run) => {
			const parsed = sent(of, all);
			if (!parsed.ok) throw new Error(JSON.stringify(parsed.issues));
			return parsed.logs.map((l) => [l.session.felt, l.session.confidence]);
		};
		expect(felt(run)).toEqual([
			[{ muscle: true, joint: 'none' }, undefined],
			[{ muscle: false, joint: 'other' }, undefined]
		]);
		run = withDid({ ...run, sure: '4' }, a, { felt: 'both' });
		expect(felt(withDid(run, b, { felt: '' }))).toEqual([
			[{ muscle: true, joint: 'knee' }, 4],
			[undefined, 4]
		]);
	});
	it('one that was begun before the page knew more goes on', () => {
		const w = work();
		const old = { ...begin([w], '2026-03-12', fresh), pains: PAINS };
		const did = { sets: 3, lastReps: null, because: '', effort: '5', hurt: null, left: false };
		const parsed = sent({ ...old, did: { [w.exerciseId as string]: did as Did } }, [w]);
		expect(parsed.ok).toBe(true);
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
