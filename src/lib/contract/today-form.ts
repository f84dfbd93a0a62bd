/** What an address asks of Today: part of a name, what is shown, of which part of the body, in which order. What is not known asks for all. */
import { DUE } from '#lib/core/client/due.ts';
import { DECISIONS } from '#lib/core/decision/trace.ts';

export const SHOWN = ['waiting', ...DECISIONS, 'quiet'] as const;
export const PARTS_SHOWN = ['knee', 'hip', 'ankle', 'foot', 'back'] as const;
export const ORDERS = ['need', 'name', 'silent'] as const;
export type Order = (typeof ORDERS)[number];

export interface TodayAsked {
	readonly search: string;
	readonly show: string;
	readonly part: string;
	/** Those with whom this is due. */
	readonly due: string;
	readonly order: Order;
	/** Counted from 1. */
	readonly page: number;
}

/** Longest part of a name that is looked for. */
const SEARCH = 60;
const LAST_PAGE = 1000;

const oneOf = <T extends string, F extends string>(of: readonly T[], text: string | null, none: F): T | F =>
	of.find((x) => x === text) ?? none;

export function todayAsked(params: URLSearchParams): TodayAsked {
	const page = Number(params.get('page') ?? '1');
	return {
		search: (params.get('name') ?? '').replaceAll('\0', '').trim().slice(0, SEARCH),
		show: oneOf(SHOWN, params.get('show'), ''),
		part: oneOf(PARTS_SHOWN, params.get('part'), ''),
		due: oneOf(DUE, params.get('due'), ''),
		order: oneOf(ORDERS, params.get('order'), 'need'),
		page: Number.isInteger(page) && page >= 1 && page <= LAST_PAGE ? page : 1
	};
}

/** The address of a page of the same choice. */
export const todayAddress = ({ search, show, part, due, order, page }: TodayAsked): string =>
	`?${new URLSearchParams({
		...(search === '' ? {} : { name: search }),
		...(show === '' ? {} : { show }),
		...(part === '' ? {} : { part }),
		...(due === '' ? {} : { due }),
		...(order === 'need' ? {} : { order }),
		...(page === 1 ? {} : { page: String(page) })
	})}`;
