/** npm run fuzz [-- REQUESTS-A-FORM]: ten thousand requests of any shape at the built application; none may be answered with a fault of ours. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensureModules, root } from './ensure.mjs';

ensureModules();
ensureBuild();
ensureChromium();
const { status } = spawnSync(join(root, 'node_modules/.bin/playwright'), ['test', '7-any-shape'], {
	cwd: root,
	stdio: 'inherit',
	env: { ...process.env, FUZZ_EACH: process.argv[2] ?? '180' }
});
process.exit(status ?? 1);
