/** A dated note of a client, of one sore place, exercise, visit or flag; and whom to call, one of each kind. */
import { ok } from '#lib/core/base/result.ts';
import type { Contact } from '#lib/contract/note-form.ts';
import { append } from '../db/append.ts';
import type { ClientRecord } from '../record/load.ts';
import { entries } from '../repo/entry-repo.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';

export interface NewNote {
	readonly id: string;
	readonly clientId: string;
	readonly day: string;
	readonly body: string;
	readonly about: {
		readonly region?: string;
		readonly exerciseId?: string;
		readonly visitId?: string;
		readonly flagId?: string;
	};
}

/** What a note is about and this client does not have. */
function strangeTo(r: ClientRecord, { exerciseId, visitId, flagId }: NewNote['about']): string | undefined {
	if (exerciseId !== undefined && !r.everGiven.some((e) => e.id === exerciseId)) return 'exercise';
	if (visitId !== undefined && !r.logs.some((l) => l.visitId === visitId)) return 'visit';
	return flagId !== undefined && !r.head.flags.some((f) => f.id === flagId) ? 'flag' : undefined;
}

export const writeNote = command<NewNote, true>({
	verb: 'put right',
	id: (n) => n.id,
	client: (n) => n.clientId,
	check: ({ day }, { today }) =>
		day > today ? invalid('day', `The day ${day} is in the future; today is ${today}.`) : undefined,
	run: async ({ id, clientId, day, body, about }, { t, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		const strange = strangeTo(r, about);
		if (strange !== undefined) return conflict(`This ${strange} is not this client’s; reload the page.`);
		const row = {
			id,
			client_id: clientId,
			region: about.region ?? null,
			exercise_id: about.exerciseId ?? null,
			visit_id: about.visitId ?? null,
			flag_id: about.flagId ?? null,
			local_day: day,
			body
		};
		return (await append(t, 'note', row, recordedAt)) === 'conflict'
			? conflict('This note was written with other words; reload to see it.')
			: ok(true);
	}
});

/** One of a kind: another takes the place of the one that stands. */
export const setContact = command<Contact & { readonly id: string; readonly clientId: string }, true>({
	verb: 'put right',
	id: (c) => c.id,
	client: (c) => c.clientId,
	run: async ({ id, clientId, role, name, phone }, { t, ctx, recordedAt }) => {
		const standing = (await entries(t, clientId, { only: 'contact', size: 1000 })).find(
			(e) => e.after === null && e.content.role === role
		);
		const row = {
			id,
			client_id: clientId,
			role,
			name,
			phone,
			local_day: ctx.today,
			replaces_id: standing?.id ?? null
		};
		return (await append(t, 'contact', row, recordedAt)) === 'conflict'
			? conflict('Somebody changed this number meanwhile; reload to see it.')
			: ok(true);
	}
});
