import { showMine } from '#lib/server/usecase/show-mine.ts';
import { orError } from '#lib/server/http/respond.ts';
import type { LayoutServerLoad } from './$types';

const MONDAY = 1;

/** Read once for all its pages: they go from one to another without a network. */
export const load: LayoutServerLoad = async ({ locals }) => {
	const { context, house } = locals;
	if (context === undefined) return { mine: null };
	const { emergency = '', emergencyWords = '', weekStart = MONDAY } = house ?? {};
	return { mine: orError(await showMine(context, { emergency, emergencyWords, weekStart })) };
};
