/** The demo's day: it stands still, goes on by one, survives a restart, and is none in a practice. */
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { demoDayIn } from './demo-day.ts';

const file = (): string => join(mkdtempSync(join(tmpdir(), 'day-')), 'day');

it('stands still until it is moved on by one, over the end of a month too', () => {
	const demo = demoDayIn({ BOLSTER_TODAY: '2026-02-28' });
	expect([demo.today(), demo.today(), demo.next(), demo.today()]).toEqual([
		'2026-02-28',
		'2026-02-28',
		'2026-03-01',
		'2026-03-01'
	]);
});
it('stays where it was after a restart, and never before the day it was made for', () => {
	const BOLSTER_DAY_FILE = file();
	demoDayIn({ BOLSTER_TODAY: '2026-03-12', BOLSTER_DAY_FILE }).next();
	expect(readFileSync(BOLSTER_DAY_FILE, 'utf8')).toBe('2026-03-13');
	expect(demoDayIn({ BOLSTER_TODAY: '2026-03-12', BOLSTER_DAY_FILE }).today()).toBe('2026-03-13');
	expect(demoDayIn({ BOLSTER_TODAY: '2026-04-01', BOLSTER_DAY_FILE }).today()).toBe('2026-04-01');
	writeFileSync(BOLSTER_DAY_FILE, 'not a day');
	expect(demoDayIn({ BOLSTER_TODAY: '2026-03-12', BOLSTER_DAY_FILE }).today()).toBe('2026-03-12');
});
it.each([undefined, '', 'tomorrow'])('in a practice there is none: %s', (BOLSTER_TODAY) => {
	const none = demoDayIn({ BOLSTER_TODAY });
	expect([none.today(), none.next(), none.today()]).toEqual([undefined, undefined, undefined]);
});
