import { error, redirect } from '@sveltejs/kit';
import { letterForm } from '#lib/contract/link-form.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { pdfFile } from '#lib/server/http/files.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { orError } from '#lib/server/http/respond.ts';
import { printLetter } from '#lib/server/usecase/hand-out.ts';
import { showClient } from '#lib/server/usecase/show-client.ts';
import type { RequestHandler } from './$types';

/** Where its words are written. */
export const GET: RequestHandler = async ({ locals, params }) => {
	orError(await showClient(contextIn(locals), params.id, 'what is handed out', () => null));
	redirect(303, `/clients/${params.id}/hand`);
};

/** Sent as a form, since its words may be long; answered with the letter. */
export const POST: RequestHandler = async ({ locals, params, request }) => {
	const parsed = letterForm.safeParse(Object.fromEntries(await formOf(request)));
	if (!parsed.success) error(422, parsed.error.issues[0]?.message ?? 'This cannot be read.');
	return pdfFile(orError(await printLetter(contextIn(locals), params.id, parsed.data.words)), 'letter.pdf');
};
