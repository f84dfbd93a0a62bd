import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { showBackups } from '#lib/server/usecase/show-backups.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => orError(showBackups(contextIn(locals)));
