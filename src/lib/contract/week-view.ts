/** A client's week as its page shows it: the signed one, or a proposal; with the work itself, so that clock and budgets follow what is moved. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Load } from '#lib/core/plan/budget.ts';
import type { Work } from '#lib/core/plan/work.ts';
import type { WeekAskedFor } from './week-form.ts';

export interface WeekDayView {
	/** 0 is Sunday. */
	readonly weekday: number;
	/** Ids of the work, one, two in turn, or a circuit. */
	readonly turns: readonly (readonly string[])[];
}

export interface WeekView {
	readonly signed: {
		readonly id: string;
		readonly day: Day;
		/** What stands otherwise since: given anew, gone or come. */
		readonly changed: readonly string[];
	} | null;
	/** A proposal is shown, not what is signed. */
	readonly proposed: boolean;
	readonly asked: WeekAskedFor;
	/** All seven, from the first of the week. */
	readonly days: readonly WeekDayView[];
	readonly work: readonly Work[];
	readonly gaveWay: readonly { readonly title: string; readonly wanted: number; readonly kept: number }[];
	readonly tooFewDays: boolean;
	/** Held, stopped or set aside: not in the week, with why. */
	readonly heldOut: readonly { readonly title: string; readonly because: string }[];
	/** What the last seven days asked. */
	readonly lastWeek: Load;
	/** A role held more exercises than are searched whole. */
	readonly inParts: boolean;
}
