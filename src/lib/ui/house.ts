/** How the practice's pages are made: whom to call, where its week begins, which of two typed numbers is the day. */
import { page } from '$app/state';
import type { DateOrder } from '#lib/core/base/calendar-day.ts';

export interface House {
	readonly emergency: string;
	readonly emergencyWords: string;
	readonly weekStart: number;
	readonly dateOrder: DateOrder;
	/** The server's clock when the page was made, ms. */
	readonly now: number;
}

const NOBODYS: House = { emergency: '', emergencyWords: '', weekStart: 1, dateOrder: 'day-month', now: 0 };

/** Read inside a component, so that it follows the page. */
export const house = (): House => ({ ...NOBODYS, ...(page.data.me as Partial<House> | null) });
