import { SOURCE_ROWS } from '#lib/server/http/source-rows.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ rows: SOURCE_ROWS });
