/**
 * npm run mutate [-- FOLDER…]: changes the pure core one place at a time and sees whether a test notices. Properties run a tenth of their cases, or
 * it takes all day. Without a folder: safety and the rules of decision. TESTS narrows the tests that are asked (see vitest.mutants.config.ts).
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureModules, root } from './ensure.mjs';

ensureModules();
const folders = process.argv.slice(2);
const MUTATE = (folders.length === 0 ? ['src/lib/core/safety', 'src/lib/core/decision/rule'] : folders).join(
	','
);
const { status } = spawnSync(join(root, 'node_modules/.bin/stryker'), ['run'], {
	cwd: root,
	stdio: 'inherit',
	env: { ...process.env, MUTATE, FC_RUNS: process.env.FC_RUNS ?? '30' }
});
process.exit(status ?? 1);
