/** What has become of a client: pain by day, the way up the ladders, tests and totals. Common practice; change values as in `change-rules.ts`. */
import { describe, expect, it } from 'vitest';
import { clientOf, PLAIN } from '../../../../tests/clients.ts';
import { session } from '../../../../tests/records.ts';
import type { ClientRecord } from '../record/load.ts';
import type { SignedDecision } from '../repo/decision-repo.ts';
import type { TestResult, Total } from '../repo/sheet-repo.ts';
import { climbs, measuredTests, measuredTotals, painByRegion } from './trend-view.ts';

const TODAY = '2026-03-20';
const plain = clientOf(PLAIN);
const [exercise] = plain.exercises;
const region = exercise!.region;
const logged = (exerciseId: string, date: string, peak: number): ClientRecord['logs'][number] => ({
	...plain.logs[0]!,
	exerciseId,
	session: { ...session(date), pains: [{ region, before: 1, peak, after: 1 }] }
});

describe('pain by region', () => {
	const second = { ...exercise!, id: '00000000-0000-7000-8000-00000000beef' };
	const r: ClientRecord = {
		...plain,
		everGiven: [exercise!, second],
		logs: [
			logged(second.id, '2026-03-18', 4),
			logged(exercise!.id, '2026-03-18', 2),
			logged(exercise!.id, '2026-03-16', 3)
		]
	};
	it('one row a day, the worst of all exercises, oldest first', () => {
		const [own, ...others] = painByRegion(r);
		expect(others).toEqual([]);
		expect(own?.region).toBe(region);
		expect(own?.days.map((d) => [d.date, d.peak])).toEqual([
			['2026-03-16', 3],
			['2026-03-18', 4]
		]);
	});
	it('a region without an exercise has no chart', () => {
		const also = { ...r.head.setting.usual, back: { intake: 2 } };
		const wide = { ...r, head: { ...r.head, setting: { ...r.head.setting, usual: also } } };
		expect(painByRegion(wide).map((p) => p.region)).toEqual([region]);
	});
});

describe('the way up', () => {
	const decision = (day: string, undone = false) =>
		({
			exerciseId: exercise!.id,
			day,
			undone,
			answer: 'accepted',
			proposal: { decision: 'advance' }
		}) as unknown as SignedDecision;
	it('each prescription is a rung, from 1; decisions oldest first, what was undone left out', () => {
		const [climb] = climbs(plain, [
			decision('2026-03-18'),
			decision('2026-03-17', true),
			decision('2026-03-12')
		]);
		const family = plain.families[exercise!.family]!;
		expect(climb?.of).toBe(family.steps.length);
		expect(climb?.rungs).toHaveLength(exercise!.prescriptions.length);
		const at = family.steps.findIndex((s) => s.id === exercise!.prescriptions[0]!.step) + 1;
		expect(climb?.rungs[0]?.at).toBe(at);
		expect(at).toBeGreaterThan(0);
		expect(climb?.decided.map((d) => d.day)).toEqual(['2026-03-12', '2026-03-18']);
	});
	it('a ladder that is no longer there leaves its history', () => {
		const [climb] = climbs({ ...plain, families: {} }, []);
		expect(climb).toMatchObject({ of: 0, ladder: exercise!.family });
		expect(climb?.rungs.every((x) => x.at === 0)).toBe(true);
	});
});

describe('what was measured', () => {
	const result = (test: string, value: number, day: string, side: TestResult['side'] = null): TestResult => ({
		id: day,
		clientId: plain.head.id,
		test,
		side,
		value,
		extras: {},
		method: 'by hand',
		day,
		at: day
	});
	it('from the first to the last, by the published rules, against a norm', () => {
		const [stand] = measuredTests(
			plain,
			[result('chair-stand-30s', 10, '2026-03-01'), result('chair-stand-30s', 13, '2026-03-18')],
			TODAY
		);
		// Gill 2008: beyond error from 1.6; Wright 2011: clear from 2.6.
		expect(stand).toMatchObject({ title: '30-second chair stand', side: null, unit: 'reps' });
		expect(stand?.change).toContain('better by 3 reps since 10: beyond error yes, matters yes');
		expect(stand?.norm).not.toBe('');
		expect(stand?.values.map((v) => v.value)).toEqual([10, 13]);
	});
	it('sides apart; of one value no change is said; less girth is better', () => {
		const rows = measuredTests(
			plain,
			[
				result('knee-girth', 40, '2026-03-01', 'left'),
				result('knee-girth', 38.5, '2026-03-18', 'left'),
				result('knee-girth', 37, '2026-03-18', 'right')
			],
			TODAY
		);
		expect(rows.map((x) => x.side)).toEqual(['left', 'right']);
		expect(rows[0]?.change).toContain('better by 1.5 cm');
		expect(rows[1]?.change).toBe('');
	});
	it('totals of one version only are compared, each by its own direction', () => {
		const total = (version: string, value: number, day: string): Total => ({
			id: day,
			instrument: 'odi',
			version,
			total: value,
			day
		});
		const rows = measuredTotals([
			total('en 2.1', 40, '2026-02-01'),
			total('de', 30, '2026-02-10'),
			total('en 2.1', 28, '2026-03-01')
		]);
		expect(rows).toHaveLength(2);
		expect(rows[0]?.change).toContain('better by 12 points since 40');
		expect(rows[1]?.change).toBe('');
	});
});
