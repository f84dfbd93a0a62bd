/** Today: the practice's clients by need, each with its reason in words. Read from what is kept; what is old is judged anew first. */
import { addDays } from '#lib/core/base/calendar-day.ts';
import { DUE, type Due } from '#lib/core/client/due.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Order } from '#lib/contract/today-form.ts';
import { type Chosen, counted, dueCounts, keptRows, unjudged } from '../repo/standing-repo.ts';
import { readRow, type TodayRow } from '../view/today-row.ts';
import { SILENT_DAYS } from '../view/slips-by-need.ts';
import { allow, type Context, type Outcome } from './actor.ts';
import { judgeAnew, judgedBy } from './judge-anew.ts';
import { isJudgingAside, judgeAside, readingJudged } from './judge-aside.ts';

export interface TodayClient extends TodayRow {
	readonly clientId: string;
	readonly name: string;
	/** Said of an earlier day, or before a change: it is being judged. */
	readonly old: boolean;
}

export interface Today {
	readonly rows: readonly TodayClient[];
	readonly all: number;
	readonly found: number;
	readonly waiting: number;
	/** What is due, with how many clients, in one order. */
	readonly dueNow: readonly { readonly what: Due; readonly clients: number }[];
	/** Clients that are being judged while this is read; the list is asked for again soon. */
	readonly judging: number;
}

/** Clients on one page of Today. */
export const TODAY_SIZE = 60;
/** So many are judged while the page waits; more are judged aside. */
const WHILE_WAITING = 12;
/** A reading waits for few that are judged aside, and no longer than this: what is not done then fills in by itself. */
const MOST_WAIT_MS = 1000;

export async function showToday(
	ctx: Context,
	asked: Partial<Omit<Chosen, 'silentBefore'>> & { readonly order?: Order; readonly from?: number } = {}
): Promise<Outcome<Today>> {
	const may = allow(ctx.actor, 'show today');
	if (!may.ok) return may;
	const { search = '', show = '', part = '', due = '', order = 'need', from = 0 } = asked;
	const chosen: Chosen = { search, show, part, due, silentBefore: addDays(ctx.today, -SILENT_DAYS) };
	const old = await ctx.inPractice((t) => unjudged(t, ctx.today, judgedBy()));
	const many = old.length > WHILE_WAITING;
	const judging = many || (old.length > 0 && isJudgingAside()) ? judgeAside(ctx.actor, ctx.today) : undefined;
	if (judging === undefined) {
		await judgeAnew(ctx.inPractice, old, ctx.today);
		if (old.length > 0) readingJudged(ctx.actor, ctx.today);
	} else if (!many) await Promise.race([judging, new Promise((r) => setTimeout(r, MOST_WAIT_MS))]);
	return ctx.inPractice(async (t) => {
		const kept = await keptRows(t, {
			...chosen,
			today: ctx.today,
			judgedBy: judgedBy(),
			order,
			from,
			size: TODAY_SIZE
		});
		const rows = kept.map(({ clientId, name, row, old: stale }): TodayClient => ({
			...readRow(row as TodayRow, ctx.today),
			clientId,
			name,
			old: stale
		}));
		const counts = new Map((await dueCounts(t, chosen.silentBefore)).map((c) => [c.what, c.clients]));
		const dueNow = DUE.flatMap((what) => {
			const clients = counts.get(what) ?? 0;
			return clients === 0 ? [] : [{ what, clients }];
		});
		return ok({
			rows,
			dueNow,
			...(await counted(t, chosen)),
			judging: many && judging !== undefined ? old.length : rows.filter((r) => r.old).length
		});
	});
}
