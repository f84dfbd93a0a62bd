/** A symptom that a licensed user agrees is as usual for a client, in a region, until a day: it holds the work and raises no alarm. */
import { addDays, dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Symptom } from '#lib/core/session/record.ts';
import { append } from '../db/append.ts';
import { conflict, invalid } from './actor.ts';
import { command } from './command.ts';

export interface NewKnown {
	readonly id: string;
	readonly clientId: string;
	readonly region: string;
	readonly symptom: Symptom;
	readonly until: Day;
}

/** What may be known at all: an emergency, or a sign that is always seen, never is. */
export const MAY_BE_KNOWN: readonly Symptom[] = [
	'locking',
	'catching',
	'giving-way',
	'sharp-with-loss',
	'numbness',
	'weakness',
	'leakage',
	'tingling',
	'dizziness'
];

/** Nothing is known for ever. @source practice-setting */
const LONGEST_DAYS = 183;

export const knowSymptom = command<NewKnown, true>({
	verb: 'agree a known symptom',
	id: (k) => k.id,
	client: (k) => k.clientId,
	check: (k, { today }) => {
		if (!MAY_BE_KNOWN.includes(k.symptom))
			return invalid('symptom', 'This is never as usual: it is seen each time.');
		if (Number.isNaN(dayNumber(k.until)) || k.until <= today)
			return invalid('until', 'Known until which day, after today?');
		return k.until > addDays(today, LONGEST_DAYS)
			? invalid('until', 'At most half a year; then it is looked at again.')
			: undefined;
	},
	run: async (k, { t, ctx }) => {
		const row = {
			id: k.id,
			client_id: k.clientId,
			region: k.region,
			symptom: k.symptom,
			until: k.until,
			local_day: ctx.today
		};
		return (await append(t, 'known_symptom', row)) === 'conflict'
			? conflict('This was entered already; reload to see it.')
			: ok(true);
	}
});
