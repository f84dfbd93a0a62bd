import { fail, redirect } from '@sveltejs/kit';
import { openMine } from '#lib/server/http/mine.ts';
import type { Actions } from './$types';

/** Looking changes nothing, and tells nothing of the link; opening swaps it for a cookie of this device. */
export const actions: Actions = {
	default: async (event) => {
		const done = await openMine(event, event.params.token);
		if (done === 'open') redirect(303, '/mine');
		return fail(done === 'none' ? 404 : 429, { why: done });
	}
};
