/** What a fresh machine lacks: node_modules, Chromium, a fresh build. No packages: this runs before anything is installed. */
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { CHROMIUM, CHROMIUM_PACKAGE } from './browser.mjs';

export const root = resolve(import.meta.dirname, '..');
const quiet = { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] };

const hashOf = (files) => {
	const h = createHash('sha256');
	for (const f of files) h.update(f).update(readFileSync(f));
	return h.digest('hex');
};

/** `npm ci` when node_modules is missing or the lock file has changed since. */
export function ensureModules() {
	const stamp = join(root, 'node_modules', '.bolster-lock');
	const want = hashOf([join(root, 'package-lock.json')]);
	if (existsSync(stamp) && readFileSync(stamp, 'utf8') === want) return;
	console.log('Installing packages…');
	execFileSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], quiet);
	writeFileSync(stamp, want);
}

const INSTALL = `apt-get update && apt-get install -y --no-install-recommends ${CHROMIUM_PACKAGE}`;

/** Debian's Chromium for the browser flows; installed when absent and we are root. */
export function ensureChromium() {
	if (existsSync(CHROMIUM)) return;
	const apt = spawnSync('sh', ['-c', 'command -v apt-get']).status === 0;
	if (process.getuid?.() !== 0 || !apt) {
		console.error(
			`Chromium is not installed. Run this line, then start again:\n\n  sudo sh -c '${INSTALL}'\n`
		);
		process.exit(1);
	}
	console.log('Installing Chromium from Debian…');
	execFileSync('sh', ['-c', INSTALL], {
		stdio: ['ignore', 'ignore', 'inherit'],
		env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
	});
}

function filesUnder(dir) {
	return readdirSync(dir, { withFileTypes: true }).flatMap((e) => {
		const path = join(dir, e.name);
		return e.isDirectory() ? filesUnder(path) : /\.test\.ts$/.test(e.name) ? [] : [path];
	});
}

/** Builds the application when any source is newer in content than the last build. */
export function ensureBuild() {
	const files = [
		...filesUnder(join(root, 'src')),
		...filesUnder(join(root, 'static')),
		join(root, 'vite.config.ts'),
		join(root, 'vite.thread.config.ts'),
		join(root, 'package-lock.json')
	]
		.filter((f) => statSync(f).isFile())
		.sort();
	const want = hashOf(files);
	const stamp = join(root, 'build', '.stamp');
	if (
		existsSync(stamp) &&
		readFileSync(stamp, 'utf8') === want &&
		existsSync(join(root, 'build', 'index.js'))
	)
		return;
	console.log('Building…');
	execFileSync('npx', ['vite', 'build', '--logLevel', 'warn'], quiet);
	execFileSync('npx', ['vite', 'build', '--config', 'vite.thread.config.ts', '--logLevel', 'warn'], quiet);
	mkdirSync(join(root, 'build'), { recursive: true });
	writeFileSync(stamp, want);
}
