/**
 * Puts right who a client is: name, birth, sex, work. What stood before stays in the record, as a dated note with the reason; norms and ages follow what is
 * right from now on.
 */
import { ok } from '#lib/core/base/result.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Sex } from '#lib/core/measure/range-kind.ts';
import { append } from '../db/append.ts';
import { clientHeads, replacePerson, type ClientHead } from '../repo/client-repo.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';
import { ageTrouble } from './register-client.ts';

export interface PersonCorrection {
	readonly id: string;
	readonly clientId: string;
	readonly name: string;
	readonly born: Day;
	readonly sex: Sex | null;
	readonly occupation: string | null;
	readonly reason: string;
}

const FIELDS = ['name', 'born', 'sex', 'occupation'] as const;
const said = (v: string | null): string => (v === null || v === '' ? 'nothing' : `“${v}”`);

/** What is changed, in words; empty where nothing is. */
const changesOf = (before: ClientHead, after: PersonCorrection): readonly string[] =>
	FIELDS.filter((f) => before[f] !== after[f]).map(
		(f) => `${f === 'occupation' ? 'work' : f} from ${said(before[f])} to ${said(after[f])}`
	);

export const correctPerson = command<PersonCorrection, true>({
	verb: 'put right',
	id: (x) => x.id,
	client: (x) => x.clientId,
	check: ({ born }, { today }) => ageTrouble(born, today),
	run: async (x, { t, ctx, recordedAt }) => {
		const [head] = await clientHeads(t, x.clientId);
		if (head === undefined) return notFound;
		const changes = changesOf(head, x);
		if (changes.length === 0) return invalid('name', 'Nothing is changed: type what is right.');
		const { name, born, sex, occupation } = x;
		await replacePerson(t, x.clientId, { name, born, sex, occupation });
		const note = {
			id: x.id,
			client_id: x.clientId,
			region: null,
			exercise_id: null,
			local_day: ctx.today,
			body: `Put right: ${changes.join('; ')}. ${x.reason}`
		};
		return (await append(t, 'note', note, recordedAt)) === 'conflict'
			? conflict('This was already put right with other words; reload to see it.')
			: ok(true);
	}
});
