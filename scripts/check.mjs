/**
 * npm run check: types, lint, floors, build, unit and database tests, browser flows. --fast leaves database and browser out.
 * Ends with `N passed, N failed`; exit code 1 if anything failed.
 */
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './ensure.mjs';

const fast = process.argv.includes('--fast');
const bin = (name) => join(root, 'node_modules', '.bin', name);
const out = mkdtempSync(join(tmpdir(), 'bolster-check-'));
let passed = 0;
let failed = 0;

const run = (name, args, env = {}) =>
	new Promise((done) =>
		spawn(bin(name), args, {
			cwd: root,
			stdio: ['ignore', 'inherit', 'inherit'],
			env: { ...process.env, ...env }
		})
			.on('error', () => done(1))
			.on('close', (code) => done(code ?? 1))
	);

/** A check that is one pass or one fail; what it printed comes in one piece, for another may run beside it. */
function single(title, command, args) {
	const started = Date.now();
	return new Promise((done) => {
		const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
		const printed = [];
		for (const stream of [child.stdout, child.stderr]) stream.on('data', (d) => printed.push(d));
		child.on('error', (e) => printed.push(Buffer.from(`${e.message}\n`)));
		child.on('close', (status) => {
			if (status === 0) passed++;
			else failed++;
			process.stdout.write(Buffer.concat(printed));
			console.log(
				`${status === 0 ? 'ok' : 'FAILED'}  ${title} (${((Date.now() - started) / 1000).toFixed(1)} s)`
			);
			done();
		});
	});
}

/** Checks in their order, two at a time: one for each core. */
async function inPairs(checks) {
	const left = [...checks];
	const next = async () => {
		for (let check = left.shift(); check !== undefined; check = left.shift()) await single(...check);
	};
	await Promise.all([next(), next()]);
}

/** Counts of a runner that wrote a JSON report; a runner that wrote none, or ran nothing, has failed. */
function counted(title, status, file, read) {
	const counts = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 1 };
	if (counts.passed + counts.failed === 0 || (status !== 0 && counts.failed === 0)) counts.failed++;
	passed += counts.passed;
	failed += counts.failed;
	console.log(
		`${counts.failed === 0 ? 'ok' : 'FAILED'}  ${title}: ${counts.passed} passed, ${counts.failed} failed`
	);
}

// Called by itself it may meet a machine that lacks them; `npm test` had them installed already.
if (!fast) await import('./ensure-system.mjs');
await run('svelte-kit', ['sync']);
/** The demo that the lanes of the flows begin with. */
const demo = join(out, 'demo.dump');
const served = [
	['the demo is made', process.execPath, ['--import', 'tsx', join(root, 'tests/flows/dump-demo.ts'), demo]],
	['the application builds', process.execPath, [join(root, 'scripts/build.mjs')]]
];
await inPairs([
	[
		'types of pages and server',
		bin('svelte-check'),
		['--tsgo', '--threshold', 'warning', '--output', 'human', '--fail-on-warnings']
	],
	['lint', bin('eslint'), ['.', '--max-warnings', '0']],
	...(fast ? [] : served),
	['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
	[
		'floors and cycles',
		bin('depcruise'),
		['src', 'demo', 'tests', '--config', '.dependency-cruiser.mjs', '--output-type', 'err']
	],
	['core and catalogue without DOM or Node types', bin('tsgo'), ['-p', 'tsconfig.core.json']]
]);

/** Tests wait for the database, flows for pages: beside both the planted faults go one at a time, and give way. */
const planted = fast
	? undefined
	: single('forty planted faults are noticed', 'nice', [
			'-n',
			'10',
			process.execPath,
			'--import',
			'tsx',
			join(root, 'scripts/mutants.mjs')
		]);
const unit = join(out, 'unit.json');
const tested = await run(
	'vitest',
	['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`],
	fast ? { BOLSTER_FAST: '1' } : {}
);
counted('unit, property and database tests', tested, unit, (r) => ({
	passed: r.numPassedTests,
	failed:
		r.numFailedTests +
		r.testResults.filter((f) => f.status === 'failed' && f.assertionResults.length === 0).length
}));

/** One lane of the flows in the browser; lanes have a server and a database each. */
async function flows(lane) {
	const file = join(out, `flows-${lane}.json`);
	const status = await run('playwright', ['test'], {
		FLOWS: lane,
		FLOW_DEMO: demo,
		PLAYWRIGHT_JSON_OUTPUT_NAME: file
	});
	counted(`browser flows, ${lane}`, status, file, (r) => ({
		passed: r.stats.expected + r.stats.flaky,
		failed: r.stats.unexpected
	}));
}
if (!fast) await Promise.all([flows('first').then(() => flows('own')), flows('second')]);

await planted;
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
