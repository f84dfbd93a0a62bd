/** Signing in by a passkey: an empty body asks what the device is to sign, a body with its response signs in. */
import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { beginKeySignIn, signInByKey } from '#lib/server/http/passkey.ts';
import { returnTo } from '#lib/server/http/return-to.ts';
import type { RequestHandler } from './$types';

const sent = z.object({
	response: z
		.object({ id: z.string().max(2000) })
		.loose()
		.optional()
});
const STATUS = { wrong: 401, 'too-many': 429 } as const;
const SAID = {
	wrong: 'This device does not sign anybody in here. Sign in with the password.',
	'too-many': 'Too many attempts. Wait a minute, then try again.'
} as const;

export const POST: RequestHandler = async (event) => {
	const parsed = sent.safeParse(await event.request.json().catch(() => undefined));
	if (!parsed.success) error(422, 'This is no answer of a passkey.');
	const { response } = parsed.data;
	if (response === undefined) {
		const options = await beginKeySignIn(event);
		if (options === undefined) error(429, SAID['too-many']);
		return json({ options });
	}
	const answer = await signInByKey(event, response);
	if (answer !== 'in') error(STATUS[answer], SAID[answer]);
	return json({ to: returnTo(event.url) });
};
