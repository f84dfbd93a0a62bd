/** What a day does to a piece of work: closes it, with why, or lets less of it be done. One judge for the log, the session, and a client's own page. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { closedToday, type Asked } from '#lib/core/decision/closed-today.ts';
import { boundOn } from './facts-of.ts';
import type { ClientRecord } from './load.ts';

export interface WorkOn {
	readonly closed: ReturnType<typeof closedToday>;
	/** Of the dose; 1 on a day as any other, and of what is closed: it is logged as it was given. */
	readonly share: number;
}

export function workOn(r: ClientRecord, asked: Asked, day: Day): WorkOn {
	const bound = boundOn(r, day);
	const closed = closedToday(bound, asked);
	return { closed, share: closed.length > 0 ? 1 : (bound?.setsShare ?? 1) };
}
