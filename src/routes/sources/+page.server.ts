import { SOURCE_ROWS } from './source-rows.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ rows: SOURCE_ROWS });
