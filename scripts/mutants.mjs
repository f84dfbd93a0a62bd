/** Plants each of the fixed mutants in turn, two at a time, and sees that its tests notice. Prints those that nobody noticed; one that cannot be planted fails too. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureModules, root } from './ensure.mjs';

ensureModules();
const AT_ONCE = process.argv.includes('--one-at-a-time') ? 1 : 2;
const vitest = join(root, 'node_modules/vitest/vitest.mjs');
const { FIXED_MUTANTS } = await import('../tests/fixed-mutants.ts');

/** What the tests said of a mutant: its tests failed, and failed as tests do. */
const tried = (n) =>
	new Promise((done) => {
		const child = spawn(
			process.execPath,
			[vitest, 'run', '--config', 'vitest.fixed.config.ts', '--reporter=dot'],
			{
				cwd: root,
				stdio: ['ignore', 'pipe', 'pipe'],
				env: { ...process.env, MUTANT: String(n), FC_RUNS: process.env.FC_RUNS ?? '30' }
			}
		);
		let said = '';
		for (const stream of [child.stdout, child.stderr]) stream.on('data', (d) => (said += d));
		child.on('close', (status) =>
			done({ n, noticed: status !== 0 && /Tests .*failed/.test(said), said, status })
		);
	});

const waiting = FIXED_MUTANTS.map((_, n) => n);
let missed = 0;
async function worker() {
	for (let n = waiting.shift(); n !== undefined; n = waiting.shift()) {
		const { noticed, said, status } = await tried(n);
		if (noticed) continue;
		missed++;
		const { file, was, now } = FIXED_MUTANTS[n];
		console.log(`not noticed: ${file}\n  - ${was}\n  + ${now}${status === 0 ? '' : `\n${said.slice(-600)}`}`);
	}
}
await Promise.all(Array.from({ length: AT_ONCE }, worker));
console.log(`${FIXED_MUTANTS.length - missed} of ${FIXED_MUTANTS.length} fixed mutants noticed`);
process.exit(missed === 0 ? 0 : 1);
