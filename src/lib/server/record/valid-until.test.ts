/** Until when the calendar leaves a row alone: random clients, moved into the past, read on every day before that one. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, isDay, type Day } from '#lib/core/base/calendar-day.ts';
import { clientOf, specs, TODAY, type Spec } from '../../../../tests/clients.ts';
import { readRow, todayRow } from '../view/today-row.ts';
import type { ClientRecord } from './load.ts';
import { validUntil } from './valid-until.ts';
import { reached } from '../../../../tests/cases.ts';

/** The same client some days earlier. */
function earlier<T>(value: T, days: number): T {
	if (typeof value === 'string') return (isDay(value) ? addDays(value, -days) : value) as T;
	if (Array.isArray(value)) return value.map((v: unknown) => earlier(v, days)) as T;
	if (value === null || typeof value !== 'object' || value instanceof Map) return value;
	return Object.fromEntries(
		Object.entries(value).map(([k, v]) => [
			k,
			k === 'families' || k === 'policy' || k === 'body' || k === 'room' ? v : earlier(v as unknown, days)
		])
	) as T;
}

const at = (s: Spec, days: number): ClientRecord => earlier(clientOf(s), days);

describe('until when a kept row holds', () => {
	it('is tomorrow for whoever did anything in the last two months, and never later than a rule counts', () => {
		let long = 0;
		fc.assert(
			fc.property(
				specs,
				fc.integer({ min: 0, max: 420 }),
				fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }),
				(s, days, picks) => {
					const r = at(s, days);
					const until = validUntil(r, TODAY);
					expect(until > TODAY).toBe(true);
					if (days < 50) expect(until).toBe(addDays(TODAY, 1));
					const row = todayRow(r, TODAY);
					const read = (kept: typeof row, day: Day) => ({
						...readRow(kept, day),
						rank: kept.rank,
						awayFrom: null
					});
					const span =
						until === '9999-12-31' ? 400 : Math.round((Date.parse(until) - Date.parse(TODAY)) / 86_400_000);
					if (span > 1) long++;
					// Any day before it says the same, the last one above all.
					for (const day of [
						...picks.map((p) => addDays(TODAY, Math.floor(p * span))),
						addDays(TODAY, span - 1)
					])
						expect(read(row, day), `${day}, kept until ${until}`).toEqual(read(todayRow(r, day), day));
				}
			),
			{ seed: 71, numRuns: 250 }
		);
		expect(long).toBeGreaterThan(reached(60));
	});
	it('is the day a screening is spoken of, and the day it is due', () => {
		const r = at(fc.sample(specs, { seed: 5, numRuns: 1 })[0] as Spec, 100);
		const due = addDays(r.head.screening?.date as Day, r.policy.screeningDays);
		const notes = (day: Day) => todayRow(r, day).notes.some((n) => n.startsWith('screening due'));
		const spoken = addDays(due, -7);
		expect([notes(addDays(spoken, -1)), notes(spoken)]).toEqual([false, true]);
		expect(validUntil(r, addDays(spoken, -2)) <= spoken).toBe(true);
	});
	const longAgo = (seed: number): ClientRecord => at(fc.sample(specs, { seed, numRuns: 1 })[0] as Spec, 200);
	/** A row that is kept says on each day what judging anew would. */
	function holds(r: ClientRecord, from: Day, days: number): void {
		let kept = from;
		for (let n = 0; n < days; n++) {
			const day = addDays(from, n);
			if (day >= validUntil(r, kept)) kept = day;
			expect([day, readRow(todayRow(r, kept), day).notes]).toEqual([day, todayNotes(r, day)]);
		}
	}
	const todayNotes = (r: ClientRecord, day: Day) => readRow(todayRow(r, day), day).notes;
	it('is the days a link begins to be looked after, and ends', () => {
		const r = longAgo(5);
		const link = { day: addDays(TODAY, -100), until: addDays(TODAY, 20), opened: true };
		const linked = { ...r, head: { ...r.head, link } };
		expect(todayNotes(linked, addDays(TODAY, 14)).join()).toContain('link to their page ends');
		holds(linked, TODAY, 30);
	});
	it('is the day after an evening that is spoken of, of whoever did nothing else for months', () => {
		const r = longAgo(5);
		const [region] = Object.keys(r.head.setting.usual) as [string];
		const told = [{ date: TODAY, moment: 'evening' as const, region, pain: 10 }];
		const sore = { ...r, told };
		expect(todayNotes(sore, TODAY).join()).toContain('10 this evening');
		holds(sore, TODAY, 5);
	});
});
