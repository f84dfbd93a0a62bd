/**
 * npm run bench: installs what is missing, then prints the figures. Never a test: machines are noisy. The core is bundled as it
 * ships; run from its sources, every inner function would carry a name that the loader gives it, at a third of the time.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureModules, root } from './ensure.mjs';

ensureModules();
const outDir = join(root, 'node_modules', '.bolster-bench');
const { build } = await import('vite');
await build({
	configFile: false,
	root,
	logLevel: 'warn',
	build: {
		ssr: join(root, 'bench/bench.ts'),
		outDir,
		minify: false,
		rolldownOptions: { output: { entryFileNames: 'bench.mjs' } }
	}
});
for (const args of [[join(outDir, 'bench.mjs')], ['--import', 'tsx', 'bench/page.ts']])
	spawnSync(process.execPath, args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] });
