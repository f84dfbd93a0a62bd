/** npm run load [-- CLIENTS]: builds what is missing, makes a practice of that many clients (2000) in a database of its own, and prints how it holds under load. */
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureModules, root } from './ensure.mjs';

ensureModules();
ensureBuild();
spawnSync(process.execPath, ['--import', 'tsx', 'bench/load.ts', ...process.argv.slice(2)], {
	cwd: root,
	stdio: ['ignore', 'inherit', 'inherit']
});
