import sources from '../../../docs/sources.md?raw';
import type { PageServerLoad } from './$types';

/** The table of docs/sources.md, so that every number on a slip can be opened to its source. */
export const load: PageServerLoad = () => ({
	rows: [...sources.matchAll(/^\| `([a-z0-9-]+)` \| (.+?) \| (.+?) \|$/gm)].map((m) => ({
		key: m[1] as string,
		what: m[2] as string,
		grade: m[3] as string
	}))
});
