/** The table of docs/sources.md, so that every number on a slip can be opened to its source. */
import sources from '../../../docs/sources.md?raw';

export interface SourceRow {
	readonly key: string;
	readonly what: string;
	readonly grade: string;
}

export const SOURCE_ROWS: readonly SourceRow[] = [
	...sources.matchAll(/^\| `([a-z0-9-]+)` \| (.+?) \| (.+?) \|$/gm)
].map((m) => ({ key: m[1] as string, what: m[2] as string, grade: m[3] as string }));
