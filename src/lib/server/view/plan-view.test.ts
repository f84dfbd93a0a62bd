/** The plan as it is read off the record: what is held first, what was tried and how it ended, what an undo took away not at all. */
import { describe, expect, it } from 'vitest';
import { clientOf, PLAIN, TODAY } from '../../../../tests/clients.ts';
import type { Exercise, Prescription } from '../repo/exercise-repo.ts';
import type { ClientRecord } from '../record/load.ts';
import { inSession, planView } from './plan-view.ts';
import { slipsByNeed } from './slips-by-need.ts';

const base = clientOf(PLAIN);
const own = base.exercises[0] as Exercise;
const head = own.prescriptions.at(-1) as Prescription;
const given = (id: string, patch: Partial<Prescription>): Prescription => ({ ...head, id, ...patch });
const withChain = (prescriptions: readonly Prescription[], more: readonly Exercise[] = []): ClientRecord => ({
	...base,
	exercises: [{ ...own, prescriptions }, ...more],
	everGiven: [{ ...own, prescriptions }, ...more]
});
const plan = (r: ClientRecord) => planView(r, slipsByNeed(r, TODAY), TODAY, ['f1', 'f2']);

describe('the plan', () => {
	it('has what stands with the day it has stood since, and what it waits for', () => {
		const [w] = inSession(plan(withChain([given('a', { kind: 'start', day: '2026-02-01' })])));
		expect(w).toMatchObject({ state: 'stands', since: '2026-02-01', heldBy: null, tried: [] });
		expect(w?.sentence).not.toBe('');
	});
	it('says what was given before, the latest first, and how it ended; what an undo took away is not there', () => {
		const chain = [
			given('a', { kind: 'start', day: '2026-02-01', dose: { ...head.dose, sets: 1 } }),
			given('b', { kind: 'advance', day: '2026-02-08', dose: { ...head.dose, sets: 2 } }),
			given('c', { kind: 'regress', day: '2026-02-15', dose: { ...head.dose, sets: 1 } }),
			given('d', { kind: 'advance', day: '2026-02-20', dose: { ...head.dose, sets: 3 } })
		];
		const ends = (c: readonly Prescription[]) =>
			inSession(plan(withChain(c)))[0]?.tried.map((t) => [t.until, t.ended]);
		expect(ends(chain)).toEqual([
			['2026-02-20', 'went on from it'],
			['2026-02-15', 'stepped back from it'],
			['2026-02-08', 'went on from it']
		]);
		const undone = [...chain, given('e', { kind: 'undo', restores: 'c', day: '2026-02-21' })];
		expect(ends(undone)?.map(([day]) => day)).toEqual(['2026-02-15', '2026-02-08']);
	});
	it('what is held comes first, what has ended last', () => {
		const other = (id: string, state: Prescription['state']): Exercise => ({
			...own,
			id,
			prescriptions: [given(`p-${id}`, { state, kind: state === 'active' ? 'start' : 'stop' })]
		});
		const r = withChain([given('a', { kind: 'start' })], [other('stopped', 'stopped')]);
		expect(inSession(plan(r)).map((w) => w.state)).toEqual(['stands', 'stopped']);
		const limit = {
			id: '1',
			axis: 'kneeFlexion' as const,
			side: 'right' as const,
			maxDeg: 20,
			when: 'always' as const,
			source: 'x',
			reviewOn: null,
			since: '2026-03-01'
		};
		const both = (['right', 'left'] as const).map((side) => ({ ...limit, side }));
		const held = inSession(plan({ ...r, head: { ...r.head, limits: both } }));
		expect(held.map((w) => w.state)).toEqual(['held', 'stopped']);
		expect(held[0]?.heldBy).toContain('knee');
	});
	it('a client without exercises has an empty plan, and still what to stop for', () => {
		const empty = plan({ ...base, exercises: [] });
		expect(inSession(empty)).toEqual([]);
		expect(empty.stop).toContain('Stop');
	});
});
