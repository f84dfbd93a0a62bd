/** One fixed mutant in place, by its number in MUTANT; the tests that must notice it run against it. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { defineConfig, type Plugin } from 'vitest/config';
import { FIXED_MUTANTS } from './tests/fixed-mutants.ts';

const mutant = FIXED_MUTANTS[Number(process.env.MUTANT)];
if (mutant === undefined) throw new Error(`no mutant ${process.env.MUTANT}`);
const path = join(import.meta.dirname, mutant.file);
if (readFileSync(path, 'utf8').split(mutant.was).length !== 2)
	throw new Error(`not found once in ${mutant.file}: ${mutant.was}`);

const planted: Plugin = {
	name: 'fixed-mutant',
	enforce: 'pre',
	transform: (code, id) =>
		id.split('?')[0] === path ? code.replace(mutant.was, () => mutant.now) : undefined
};

export default defineConfig({
	plugins: [planted],
	test: { include: [mutant.by], setupFiles: ['tests/fewer-cases.ts'], testTimeout: 60_000, bail: 1 }
});
