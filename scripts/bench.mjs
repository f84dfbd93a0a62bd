/** npm run bench: installs what is missing, then prints the figures. Never a test: machines are noisy. */
import { spawnSync } from 'node:child_process';
import { ensureModules, root } from './ensure.mjs';

ensureModules();
for (const file of ['bench/bench.ts', 'bench/page.ts']) spawnSync(process.execPath, ['--import', 'tsx', file], { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] });
