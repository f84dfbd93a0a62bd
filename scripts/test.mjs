/** npm test: installs what is missing, then runs every check. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureModules, root } from './ensure.mjs';

ensureModules();
const { status } = spawnSync(process.execPath, [join(root, 'scripts/check.mjs'), ...process.argv.slice(2)], {
	cwd: root,
	stdio: 'inherit'
});
process.exit(status ?? 1);
