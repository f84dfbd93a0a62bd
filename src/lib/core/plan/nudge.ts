/**
 * When a client is reminded of a morning that is missing: once, by day, never in the practice's quiet hours. One nudge and no second one: whoever does not answer is
 * seen on Today. @source practice-setting the hours; common-practice one reminder
 */
/** The morning has had its time by then; later it is no longer about the morning. */
const FROM = 10;
const UNTIL = 16;

/** Hours of the day, 0 to 23; from 20 to 9 goes over midnight; from and to alike, none are quiet. */
export const isQuiet = (hour: number, from: number, to: number): boolean =>
	from <= to ? hour >= from && hour < to : hour >= from || hour < to;

/** @param hour on the client's wall */
export const nudgeAt = (hour: number, quiet: { readonly from: number; readonly to: number }): boolean =>
	hour >= FROM && hour < UNTIL && !isQuiet(hour, quiet.from, quiet.to);
