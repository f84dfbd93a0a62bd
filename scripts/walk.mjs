/** npm run walk: counts the modules that a request enters from its route to the rows and back: signing, prescribing, logging, two pages of a client. Core and catalogue apart. */
import { spawnSync } from 'node:child_process';
import { ensureModules, root } from './ensure.mjs';

ensureModules();
const { status } = spawnSync(
	process.execPath,
	['--import', 'tsx', 'bench/walk.ts', ...process.argv.slice(2)],
	{
		cwd: root,
		stdio: ['ignore', 'inherit', 'inherit']
	}
);
process.exit(status ?? 1);
