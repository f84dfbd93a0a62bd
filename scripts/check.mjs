/**
 * npm run check: types, lint, floors, unit and database tests, browser flows. --fast leaves database and browser out.
 * Ends with `N passed, N failed`; exit code 1 if anything failed.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, root } from './ensure.mjs';
import { ensurePostgres } from './cluster.mjs';

const fast = process.argv.includes('--fast');
const bin = (name) => join(root, 'node_modules', '.bin', name);
const out = mkdtempSync(join(tmpdir(), 'bolster-check-'));
let passed = 0;
let failed = 0;

const run = (name, args, env = {}) => spawnSync(bin(name), args, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });

/** A check that is one pass or one fail. */
function single(title, name, args) {
	const started = Date.now();
	const ok = run(name, args).status === 0;
	if (ok) passed++;
	else failed++;
	console.log(`${ok ? 'ok' : 'FAILED'}  ${title} (${((Date.now() - started) / 1000).toFixed(1)} s)`);
}

/** Counts of a runner that wrote a JSON report; a runner that wrote none, or ran nothing, has failed. */
function counted(title, status, file, read) {
	const counts = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 1 };
	if (counts.passed + counts.failed === 0 || (status !== 0 && counts.failed === 0)) counts.failed++;
	passed += counts.passed;
	failed += counts.failed;
	console.log(`${counts.failed === 0 ? 'ok' : 'FAILED'}  ${title}: ${counts.passed} passed, ${counts.failed} failed`);
}

if (!fast) {
	ensurePostgres();
	ensureChromium();
}
run('svelte-kit', ['sync']);
single('core and catalogue without DOM or Node types', 'tsc', ['-p', 'tsconfig.core.json']);
single('types of pages and server', 'svelte-check', ['--threshold', 'warning', '--output', 'human', '--fail-on-warnings']);
single('lint', 'eslint', ['.', '--max-warnings', '0']);
single('floors and cycles', 'depcruise', ['src', 'demo', 'tests', '--config', '.dependency-cruiser.mjs', '--output-type', 'err']);

const unit = join(out, 'unit.json');
const tests = run('vitest', ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`], fast ? { BOLSTER_FAST: '1' } : {});
counted('unit, property and database tests', tests.status, unit, (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests + r.testResults.filter((f) => f.status === 'failed' && f.assertionResults.length === 0).length }));

if (!fast) {
	ensureBuild();
	const flows = join(out, 'flows.json');
	const e2e = run('playwright', ['test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: flows });
	counted('browser flows', e2e.status, flows, (r) => ({ passed: r.stats.expected + r.stats.flaky, failed: r.stats.unexpected }));
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
