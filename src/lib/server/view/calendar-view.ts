/** The signed week of a client as a calendar file; undefined where none is signed. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { arrangedMin } from '#lib/core/plan/week.ts';
import { weekCalendar } from '#lib/exchange/week-calendar.ts';
import { titleIn } from '#lib/wording/mine/how.ts';
import { languageOf } from '#lib/wording/mine/names.ts';
import { clockText } from '#lib/wording/week.ts';
import type { ClientRecord } from '../record/load.ts';
import { coolDownsOf, signedTurns, warmUpsOf, workIn } from '../record/week-of.ts';

export function calendarOf(r: ClientRecord, today: Day, practice: string): string | undefined {
	const { week } = r.head;
	if (week === null) return undefined;
	const language = languageOf(r.head.setting.language);
	const work = new Map(
		[...workIn(r, today), ...warmUpsOf(r, today), ...coolDownsOf(r, today)].map((w) => [w.id, w])
	);
	return weekCalendar({
		id: r.head.id,
		title: language === 'de' ? 'Übungen' : 'Exercises',
		practice,
		from: today,
		days: signedTurns(week, work).map(({ weekday, turns }) => ({
			weekday,
			titles: turns.flat().map((w) => titleIn(language, w.step.id, w.title)),
			minutes: arrangedMin(turns)
		})),
		stamp: new Date(`${week.day}T12:00:00Z`),
		minutesText: (minutes) => clockText(minutes * 60)
	});
}
