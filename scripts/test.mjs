/** npm test: installs what is missing, then runs every check. */
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureModules, root } from './ensure.mjs';

const args = process.argv.slice(2);
/** Debian's packages come while npm's do; what could not be had is said once, by itself. */
const system = args.includes('--fast')
	? Promise.resolve(0)
	: new Promise((done) =>
			spawn(process.execPath, [join(root, 'scripts/ensure-system.mjs')], { cwd: root, stdio: 'inherit' })
				.on('error', () => done(1))
				.on('close', (code) => done(code ?? 1))
		);
ensureModules();
if ((await system) !== 0) process.exit(1);
const { status } = spawnSync(process.execPath, [join(root, 'scripts/check.mjs'), ...args], {
	cwd: root,
	stdio: 'inherit'
});
process.exit(status ?? 1);
