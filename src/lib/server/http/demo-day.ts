/**
 * The day that a demo stands at. It stands still until somebody moves it on by one; kept in a file where one is named, so that a restart stays there.
 * Without BOLSTER_TODAY this is no demo: the day is the practice's own, and nothing moves it.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { addDays, isDay, type Day } from '#lib/core/base/calendar-day.ts';

interface Env {
	readonly BOLSTER_TODAY?: string | undefined;
	readonly BOLSTER_DAY_FILE?: string | undefined;
}

export interface DemoDay {
	/** Undefined in a practice. */
	readonly today: () => Day | undefined;
	/** Moves it on by one; undefined in a practice. */
	readonly next: () => Day | undefined;
}

export function demoDayIn({ BOLSTER_TODAY: first, BOLSTER_DAY_FILE: file }: Env): DemoDay {
	if (first === undefined || !isDay(first)) return { today: () => undefined, next: () => undefined };
	const kept = file !== undefined && existsSync(file) ? readFileSync(file, 'utf8').trim() : '';
	// Never before the day it was made for.
	let day: Day = isDay(kept) && kept > first ? kept : first;
	return {
		today: () => day,
		next: () => {
			day = addDays(day, 1);
			if (file !== undefined) writeFileSync(file, day);
			return day;
		}
	};
}

export const demoDay: DemoDay = demoDayIn(process.env);
