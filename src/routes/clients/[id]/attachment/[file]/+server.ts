/** One attachment as a file of its own: in its own tab, with nothing of ours around it. */
import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { endingOf, readAttachment } from '#lib/server/usecase/attach.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const file = orError(await readAttachment(contextIn(locals), params.id, params.file));
	const name = `${file.title.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'attachment'}.${endingOf(file.media)}`;
	return new Response(new Uint8Array(file.bytes), {
		headers: {
			'content-type': file.media,
			'content-length': String(file.bytes.length),
			'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(name)}`,
			'content-security-policy': "default-src 'none'; img-src 'self'; style-src 'unsafe-inline'"
		}
	});
};
