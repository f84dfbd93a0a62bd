import { contextIn } from '#lib/server/http/client-page.ts';
import { letters, mailLeaves } from '#lib/server/http/mailbox.ts';
import { orError } from '#lib/server/http/respond.ts';
import { allow } from '#lib/server/usecase/actor.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	orError(allow(contextIn(locals).actor, 'change the practice'));
	return { leaves: mailLeaves(), letters: letters() };
};
