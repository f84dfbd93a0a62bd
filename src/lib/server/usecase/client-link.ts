/**
 * A client's own page: its link is given where the client agreed to it, ends on its day, is taken back, or gives way to another. What the link opens is read by
 * narrow doors, before any practice is known.
 */
import type { LINK_DAYS } from '#lib/contract/link-form.ts';
import { agreedTo } from '#lib/core/client/consent.ts';
import { ok } from '#lib/core/base/result.ts';
import { append } from '../db/append.ts';
import { database } from '../db/connect.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { linkOf, nameOf, type Link } from '../repo/link-repo.ts';
import { conflict, invalid } from './actor.ts';
import { command } from './command.ts';

const DAY_MS = 86_400_000;

interface NewLink {
	readonly id: string;
	readonly clientId: string;
	readonly tokenHash: string;
	readonly days: (typeof LINK_DAYS)[number];
	/** Where reminders go; empty, none are sent. */
	readonly email?: string;
	/** Where texts go; used where there is no address. */
	readonly phone?: string;
	/** The link that the page showed, which ends; null where there was none. */
	readonly basedOn: string | null;
}

const CHANGED = 'Somebody changed the link meanwhile; reload to see it.';
const NOT_AGREED =
	'The client has not agreed to a page of their own. Write down that they do, under consent on Record; then give the link.';

export const giveLink = command<NewLink, { readonly until: string; readonly name: string }>({
	verb: 'give a link',
	id: (l) => l.id,
	client: (l) => l.clientId,
	run: async ({ id, clientId, tokenHash, days, basedOn, email = '', phone = '' }, { t, ctx, recordedAt }) => {
		const { consents } = await intakeOf(t, clientId);
		if (!agreedTo(consents).has('phone-link')) return invalid('', NOT_AGREED);
		if (((await linkOf(t, clientId))?.id ?? null) !== basedOn) return conflict(CHANGED);
		const until = new Date(ctx.now.getTime() + days * DAY_MS);
		const row = {
			...{
				id,
				client_id: clientId,
				local_day: ctx.today,
				token_hash: tokenHash,
				expires_at: until,
				email,
				phone
			},
			...(basedOn === null ? {} : { replaces_id: basedOn, reason: 'another link' })
		};
		return (await append(t, 'client_link', row, recordedAt)) === 'conflict'
			? conflict(CHANGED)
			: ok({ until: until.toISOString(), name: (await nameOf(t, clientId)).split(' ')[0] ?? '' });
	}
});

export const endLink = command<
	{ readonly id: string; readonly clientId: string; readonly basedOn: string },
	true
>({
	verb: 'give a link',
	id: (l) => l.id,
	client: (l) => l.clientId,
	run: async ({ id, clientId, basedOn }, { t, ctx, recordedAt }) => {
		const link = await linkOf(t, clientId);
		if (link === null || link.id !== basedOn) return conflict(CHANGED);
		const row = {
			...{ id, client_id: clientId, local_day: ctx.today, token_hash: '', expires_at: ctx.now },
			...{ replaces_id: basedOn, voided: true, reason: 'taken back' }
		};
		return (await append(t, 'client_link', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});

export interface LinkShown {
	readonly link: Link | null;
	/** Without it no link is given, and one that was given opens nothing. */
	readonly agreed: boolean;
}

export async function linkShown(t: PracticeTransaction, clientId: string): Promise<LinkShown> {
	const { consents } = await intakeOf(t, clientId);
	return { link: await linkOf(t, clientId), agreed: agreedTo(consents).has('phone-link') };
}

/** A device of a link that is good; false where it is none. */
export async function openDevice(tokenHash: string, deviceHash: string, id: string): Promise<boolean> {
	const { rows } = await database().pool.query<{ done: boolean }>('select open_device($1, $2, $3) as done', [
		...[tokenHash, deviceHash, id]
	]);
	return rows[0]?.done === true;
}

/** Whose page a device shows. */
export interface ClientAt {
	readonly practiceId: string;
	readonly clientId: string;
	readonly linkId: string;
	readonly name: string;
	readonly clientTz: string;
	readonly practice: string;
	readonly tz: string;
	readonly units: string;
	readonly emergency: string;
	readonly emergencyWords: string;
	readonly weekStart: number;
	readonly dateOrder: string;
}

export async function clientAt(deviceHash: string): Promise<ClientAt | undefined> {
	const { rows } = await database().pool.query<ClientAt>(
		`select practice_id as "practiceId", client_id as "clientId", link_id as "linkId", name, client_tz as "clientTz", practice, tz, units, emergency,
		emergency_words as "emergencyWords", week_start as "weekStart", date_order as "dateOrder" from client_at($1)`,
		[deviceHash]
	);
	return rows[0];
}
