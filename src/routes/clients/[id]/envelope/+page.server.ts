import { clientPage } from '#lib/server/http/client-page.ts';
import { envelopeView } from '#lib/server/usecase/envelope-view.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'envelope', (r, _, ctx) => ({ view: envelopeView(r, ctx.today) }));
