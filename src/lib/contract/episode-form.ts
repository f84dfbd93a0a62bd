/** Ending an episode and taking a client back, as forms; and the list of all clients as its address asks for it. */
import { z } from 'zod';
import { uuid, reasonGiven } from './basics.ts';

const reason = reasonGiven('Give the reason in a few words.');

export const endEpisodeForm = z.object({ id: uuid, reason });
export const takeBackForm = z.object({ id: uuid, clientId: uuid, reason });

export const STATUSES = ['active', 'archived', 'all'] as const;
/** By name; by the last session, the first day or what is in use, most first. */
export const CLIENT_ORDERS = ['name', 'since', 'lately', 'use'] as const;
export interface ClientsAsked {
	readonly search: string;
	readonly status: (typeof STATUSES)[number];
	readonly order: (typeof CLIENT_ORDERS)[number];
	/** Counted from 1. */
	readonly page: number;
}

const SEARCH = 60;
const LAST_PAGE = 1000;

/** What is not known asks for the first page of those who come. */
export function clientsAsked(params: URLSearchParams): ClientsAsked {
	const page = Number(params.get('page') ?? '1');
	return {
		search: (params.get('name') ?? '').replaceAll('\0', '').trim().slice(0, SEARCH),
		status: STATUSES.find((s) => s === params.get('status')) ?? 'active',
		order: CLIENT_ORDERS.find((o) => o === params.get('order')) ?? 'name',
		page: Number.isInteger(page) && page >= 1 && page <= LAST_PAGE ? page : 1
	};
}

export interface ClientRow {
	readonly clientId: string;
	readonly name: string;
	readonly occupation: string;
	readonly status: 'active' | 'archived';
	readonly openedOn: string;
	readonly lastSession: string | null;
	readonly inUse: number;
	/** Why the last episode ended, and how the goals stood; null where none has. */
	readonly ended: { readonly day: string; readonly reason: string; readonly goals: readonly string[] } | null;
}
