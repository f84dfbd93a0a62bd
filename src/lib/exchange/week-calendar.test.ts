/** The week as iCalendar, read back by independent readers (packages `ical.js`, RFC 5545, and `rrule`), wherever the server stands. */
import ICAL from 'ical.js';
import rrule from 'rrule';
import { afterEach, describe, expect, it } from 'vitest';
import { weekCalendar, type CalendarAsked } from './week-calendar.ts';

const was = process.env.TZ;
afterEach(() => void (process.env.TZ = was));

const asked = (more: Partial<CalendarAsked> = {}): CalendarAsked => ({
	...{ id: 'c1', title: 'Exercises', practice: 'Tidewater; Rooms, “demo”', from: '2026-03-27' },
	days: [
		{ weekday: 1, titles: ['Standard seat', 'Ünder, the; roof\\ of'], minutes: 19 },
		{ weekday: 3, titles: [], minutes: 0 },
		{ weekday: 5, titles: ['Wall press'], minutes: 7 },
		{ weekday: 0, titles: ['Calf stretch'], minutes: 3 }
	],
	stamp: new Date('2026-03-12T10:00:00Z'),
	minutesText: (n) => `${n} min`,
	...more
});
const events = (text: string) =>
	new ICAL.Component(ICAL.parse(text) as unknown as string)
		.getAllSubcomponents('vevent')
		.map((v) => new ICAL.Event(v));

describe('a week as a calendar', () => {
	it('is whole days, on the first of each weekday from the day it holds, a day off left out', () => {
		// Across the change to summer time (29 March 2026 in Europe), from both sides of the date line.
		for (const tz of ['Europe/London', 'Pacific/Auckland', 'America/Los_Angeles', 'UTC']) {
			process.env.TZ = tz;
			const all = events(weekCalendar(asked()));
			expect(
				all.map((e) => [e.startDate.toString(), e.startDate.isDate]),
				tz
			).toEqual([
				['2026-03-30', true],
				['2026-03-27', true],
				['2026-03-29', true]
			]);
		}
	});
	it('comes again each week on its day: the reader’s own rule says so', () => {
		const text = weekCalendar(asked());
		const [monday] = events(text);
		const iterator = monday!.iterator();
		expect([iterator.next().toString(), iterator.next().toString(), iterator.next().toString()]).toEqual([
			...['2026-03-30', '2026-04-06', '2026-04-13']
		]);
		const line = /RRULE:(.*)\r\n/.exec(text)?.[1] ?? '';
		const rule = rrule.rrulestr(`DTSTART:20260330T000000Z\nRRULE:${line}`);
		expect(rule.all((_, i) => i < 3).map((d) => d.toISOString().slice(0, 10))).toEqual([
			...['2026-03-30', '2026-04-06', '2026-04-13']
		]);
	});
	it('gives words back as they were, keeps its lines short and ends them by the book', () => {
		const text = weekCalendar(asked());
		const [monday] = events(text);
		expect(monday!.summary).toBe('Exercises, 19 min');
		expect(monday!.description).toBe('Standard seat\nÜnder, the; roof\\ of\n\nTidewater; Rooms, “demo”');
		expect(text.split('\r\n').every((l) => Buffer.byteLength(l) <= 75)).toBe(true);
		expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
	});
	it('names its events by the client and the day: another week of theirs takes their place', () => {
		const uids = (text: string): string[] => events(text).map((e) => e.uid);
		const next = asked({ stamp: new Date('2026-04-01T10:00:00Z'), from: '2026-04-01' });
		expect(uids(weekCalendar(next)).sort()).toEqual([...uids(weekCalendar(asked()))].sort());
	});
});
