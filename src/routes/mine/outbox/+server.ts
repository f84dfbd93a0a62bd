import { json } from '@sveltejs/kit';
import { outboxForm } from '#lib/contract/mine.ts';
import { takeInAll } from '#lib/server/usecase/take-in.ts';
import type { RequestHandler } from './$types';

/** What a client's device kept. Each is answered for itself: taken, or parked with why. */
export const POST: RequestHandler = async ({ request, locals }) => {
	if (locals.context === undefined) return json({ message: 'This page is not open here.' }, { status: 401 });
	const parsed = outboxForm.safeParse(await request.json().catch(() => undefined));
	if (!parsed.success) return json({ message: 'This cannot be read.' }, { status: 422 });
	const sent = await takeInAll(locals.context, parsed.data.items);
	return sent.ok ? json({ sent: sent.value }) : json({ message: sent.refusal.message }, { status: 404 });
};
