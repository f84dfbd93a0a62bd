/** What a licensed user gives a trainer to do for a client: which ladders, until when, and when to call. One at a time for each trainer; ended at once. */
import { addDays, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { delegationsOf, trainersOn, writeDelegation, type Delegated } from '../repo/delegation-repo.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';

export type { Delegated };

/** A delegation is looked at again within a year. @source practice-setting */
const LONGEST_DAYS = 366;

export interface NewDelegation {
	readonly id: string;
	readonly clientId: string;
	readonly memberId: string;
	readonly families: readonly string[];
	readonly expires: Day;
	readonly callWhen: string;
}

export const delegate = command<NewDelegation, true>({
	verb: 'delegate',
	id: (d) => d.id,
	client: (d) => d.clientId,
	check: ({ families, expires }, { today }) =>
		families.length === 0
			? invalid('families', 'Tick at least one ladder.')
			: expires < today
				? invalid('expires', 'This day is past already.')
				: expires > addDays(today, LONGEST_DAYS)
					? invalid('expires', 'At most a year; then it is looked at again.')
					: undefined,
	run: async (d, { t, ctx, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		const unknown = d.families.find((f) => r.families[f] === undefined);
		if (unknown !== undefined) return invalid('families', `There is no ladder ${unknown} here.`);
		if (!(await trainersOn(t, ctx.today)).some((m) => m.id === d.memberId))
			return invalid('memberId', 'This is no trainer of the practice; choose from the list.');
		const stands = (await delegationsOf(t, d.clientId)).find((x) => x.memberId === d.memberId);
		const row = { ...d, replaces: stands?.id ?? null, voided: false, reason: null };
		return (await writeDelegation(t, row, recordedAt)) === 'conflict'
			? conflict('Somebody changed this delegation meanwhile; reload to see it.')
			: ok(true);
	}
});

export const endDelegation = command<
	{ readonly id: string; readonly clientId: string; readonly delegationId: string },
	true
>({
	verb: 'delegate',
	id: (d) => d.id,
	client: (d) => d.clientId,
	run: async ({ id, clientId, delegationId }, { t, recordedAt }) => {
		const stands = (await delegationsOf(t, clientId)).find((d) => d.id === delegationId);
		if (stands === undefined)
			return conflict('This delegation was ended or changed meanwhile; reload to see what stands.');
		const row = { ...stands, id, clientId, replaces: delegationId, voided: true, reason: 'ended' };
		return (await writeDelegation(t, row, recordedAt)) === 'conflict'
			? conflict('This delegation was ended or changed meanwhile; reload to see what stands.')
			: ok(true);
	}
});

/** What a client's page shows of it: what stands, and whom more can be given to. */
export const delegationShown = async (t: PracticeTransaction, clientId: string, today: Day) => ({
	stands: await delegationsOf(t, clientId),
	trainers: await trainersOn(t, today)
});
