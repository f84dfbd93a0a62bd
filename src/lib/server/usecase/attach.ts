/**
 * A letter, a protocol, an image or a photo of a client, kept with its record. Its type was told by its content, not by its name; the same file sent
 * twice is one. Reading one is entered in the access log like any page.
 */
import { createHash } from 'node:crypto';
import type { ATTACHMENT_KINDS } from '#lib/contract/history-form.ts';
import { ok } from '#lib/core/base/result.ts';
import { append } from '../db/append.ts';
import { attachmentOf, type StoredFile } from '../repo/attachment-repo.ts';
import { conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { isUuid, showClient } from './show-client.ts';

export const MOST_BYTES = 10 * 1024 * 1024;
export const MEDIA = ['application/pdf', 'image/jpeg', 'image/png'] as const;

export interface NewAttachment {
	readonly id: string;
	readonly clientId: string;
	readonly day: string;
	readonly kind: (typeof ATTACHMENT_KINDS)[number];
	readonly title: string;
	/** As the content says; undefined where it says nothing. */
	readonly media: string | undefined;
	readonly bytes: Buffer;
}

export function attach(
	ctx: Context,
	{ bytes, ...meta }: NewAttachment,
	recordedAt?: Date
): Promise<Outcome<true>> {
	const sha256 = createHash('sha256').update(bytes).digest('hex');
	return command<Omit<NewAttachment, 'bytes'> & { readonly sha256: string }, true>({
		verb: 'put right',
		id: (a) => a.id,
		client: (a) => a.clientId,
		check: (a, { today }) =>
			a.day > today
				? invalid('day', `The day ${a.day} is in the future; today is ${today}.`)
				: bytes.length === 0
					? invalid('file', 'Choose a file; this one is empty.')
					: bytes.length > MOST_BYTES
						? invalid('file', 'The file is larger than 10 MB.')
						: MEDIA.some((m) => m === a.media)
							? undefined
							: invalid(
									'file',
									a.media === undefined
										? 'This is no PDF, JPEG or PNG by its content, whatever it is called.'
										: `By its content this is ${a.media}, whatever it is called; PDF, JPEG and PNG are kept.`
								),
		run: async (a, { t }) =>
			(await append(
				t,
				'attachment',
				{
					id: a.id,
					client_id: a.clientId,
					local_day: a.day,
					kind: a.kind,
					title: a.title,
					media: a.media as string,
					size: bytes.length,
					sha256: a.sha256,
					bytes
				},
				recordedAt
			)) === 'conflict'
				? conflict('This was already kept with another file; reload to see it.')
				: ok(true)
	})(ctx, { ...meta, sha256 }, recordedAt);
}

/** A file that stands in the record; one that was taken out is not shown. */
export async function readAttachment(
	ctx: Context,
	clientId: string,
	id: string
): Promise<Outcome<StoredFile>> {
	if (!isUuid(id)) return notFound;
	const shown = await showClient(ctx, clientId, 'attachment', (t) => attachmentOf(t, clientId, id));
	if (!shown.ok) return shown;
	return shown.value.more === undefined ? notFound : ok(shown.value.more);
}

const ENDING: Readonly<Record<string, string>> = {
	'application/pdf': 'pdf',
	'image/jpeg': 'jpg',
	'image/png': 'png'
};
/** How a file of this kind ends. */
export const endingOf = (media: string): string => ENDING[media] ?? 'bin';
