import { contextIn } from '#lib/server/http/client-page.ts';
import { pdfFile } from '#lib/server/http/files.ts';
import { orError } from '#lib/server/http/respond.ts';
import { printHandout } from '#lib/server/usecase/hand-out.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) =>
	pdfFile(orError(await printHandout(contextIn(locals), params.id)), 'exercises.pdf');
