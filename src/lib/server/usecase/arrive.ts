/**
 * The arrival card of a day, and opening a day that it closed. The card binds: what it closes is closed on every page of that day, until a licensed
 * user opens it with a reason. Filling it in again replaces it. An open question is asked, not saved.
 */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { arrival, keptOf, type Arrival, type ArrivalInput } from '#lib/core/decision/arrival.ts';
import type { AfterFall } from '#lib/core/safety/alarm.ts';
import type { YesNoUnknown } from '#lib/core/session/record.ts';
import { append } from '../db/append.ts';
import { arrivalRow } from '../repo/client-repo.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';
import { openAlarms } from './open-alarms.ts';
import { cardOn, linesOf, reaches, regionsOf, usualNow } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';

export interface NewArrival {
	readonly id: string;
	readonly clientId: string;
	/** Left out, the client's day now. */
	readonly day?: Day;
	readonly pains: Readonly<Record<string, number | undefined>>;
	readonly fever: YesNoUnknown | 'cold';
	readonly fall: YesNoUnknown;
	readonly afterFall?: AfterFall;
	readonly newSwelling: YesNoUnknown;
	readonly swollen?: NonNullable<ArrivalInput['swollen']>;
	readonly calf: YesNoUnknown;
	readonly systolic?: number;
	readonly diastolic?: number;
}

const CHANGED = 'The arrival card of today was filled in meanwhile; reload to see it.';

/** A red flag that reaches every region under treatment, or has none: nothing is done today. */
const flagOfAll = (r: ClientRecord): string | undefined =>
	r.head.flags.find(
		(f) => f.open && f.severity === 'red' && regionsOf(r).every((region) => reaches(f, region))
	)?.code;

function inputOf(r: ClientRecord, a: NewArrival, day: Day): ArrivalInput {
	const { id: _, clientId: __, day: ___, pains, ...said } = a;
	const flag = flagOfAll(r);
	const lines = linesOf(r);
	return {
		...said,
		...(flag === undefined ? {} : { flag }),
		pains: regionsOf(r).map((region) => ({
			region,
			usual: usualNow(r, region, day),
			...lines,
			...(pains[region] === undefined ? {} : { now: pains[region] })
		}))
	};
}

export const arrive = command<NewArrival, Arrival>({
	verb: 'log visit',
	id: (a) => a.id,
	client: (a) => a.clientId,
	keeps: (answer) => answer.answer !== 'ask' || answer.raised.some((x) => x.now !== 'note'),
	run: async (a, { t, ctx, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		const day = a.day ?? ctx.today;
		const input = inputOf(r, a, day);
		const answer = arrival(input);
		if (answer.answer === 'ask' && !answer.raised.some((x) => x.now !== 'note')) return ok(answer);
		const before = cardOn(r, day);
		const row = {
			id: a.id,
			client_id: a.clientId,
			local_day: day,
			pains: JSON.stringify(input.pains),
			fever: a.fever,
			fall: a.fall,
			new_swelling: a.newSwelling,
			answer: answer.answer === 'ask' ? 'not-today' : answer.answer,
			said: JSON.stringify(keptOf(input, answer)),
			...(before === undefined ? {} : { replaces_id: before.id, reason: 'asked again' })
		};
		if ((await append(t, 'arrival', row, recordedAt)) === 'conflict') return conflict(CHANGED);
		await openAlarms(t, ctx, { clientId: a.clientId, day, flags: r.head.flags }, answer.raised, recordedAt);
		return ok(answer);
	}
});

export interface Opening {
	readonly id: string;
	readonly clientId: string;
	/** Left out, the client's day now. */
	readonly day?: Day;
	readonly reason: string;
}

/** Opens a day that its arrival card closed, in part or whole; the card stays, with who opened it and why. */
export const openDay = command<Opening, true>({
	verb: 'open a closed day',
	id: (o) => o.id,
	client: (o) => o.clientId,
	check: (o) =>
		o.reason.trim().length < 5
			? invalid('reason', 'Give the reason for opening the day in a few words.')
			: undefined,
	run: async (o, { t, ctx, record }) => {
		const day = o.day ?? ctx.today;
		const r = await record();
		const card = r === undefined ? undefined : cardOn(r, day);
		if (card === undefined)
			return invalid('reason', 'Fill in the arrival card first; then the day can be opened.');
		if (card.openedBecause !== null) return conflict('This day is open already.');
		const stored = await arrivalRow(t, card.id);
		const { pains, fever, fall, new_swelling, answer, said } = stored;
		const row = {
			id: o.id,
			client_id: o.clientId,
			local_day: day,
			pains: JSON.stringify(pains),
			fever,
			fall,
			new_swelling,
			answer,
			said: JSON.stringify(said ?? {}),
			opened_by: o.reason.trim(),
			replaces_id: card.id,
			reason: 'opened'
		};
		return (await append(t, 'arrival', row)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});
