import { endLinkForm, giveLinkForm } from '#lib/contract/link-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { handOver } from '#lib/server/http/give-link.ts';
import { refusal, refuseShape } from '#lib/server/http/respond.ts';
import { hashOf, linkTokenFor } from '#lib/server/http/token.ts';
import { endLink, giveLink, linkShown } from '#lib/server/usecase/client-link.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'what is handed out', async (r, t, ctx) => {
		const { link, agreed } = await linkShown(t, params.id);
		return {
			agreed,
			week: r.head.week?.day ?? null,
			link:
				link === null
					? null
					: {
							...link,
							until: link.until.toISOString(),
							lastOpened: link.lastOpened?.toISOString() ?? null
						},
			ids: formIds(ctx, 2)
		};
	});

export const actions: Actions = {
	give: async ({ request, locals, params, url }) => {
		const form = await formOf(request);
		const ctx = contextIn(locals);
		const parsed = giveLinkForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, days, email, phone, basedOn } = parsed.data;
		const token = linkTokenFor(id);
		const done = await giveLink(ctx, {
			...{ id, days, email, phone, clientId: params.id, tokenHash: hashOf(token) },
			basedOn: basedOn === '' ? null : basedOn
		});
		if (!done.ok) return refusal(form, done.refusal);
		const to = { email, phone, name: done.value.name, practice: ctx.actor.practice };
		return {
			done: `Given, until ${done.value.until.slice(0, 10)}.`,
			handed: await handOver(`${url.origin}/mine/open/${token}`, to)
		};
	},
	end: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = endLinkForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await endLink(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok ? { done: 'Taken back: no device opens it any more.' } : refusal(form, done.refusal);
	}
};
