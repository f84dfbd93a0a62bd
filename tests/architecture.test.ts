/** The house holds: floors are checked by machine, and the machine is checked by planting a fault. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { STAFF } from '../demo/people.ts';
import { STAFF as PRINTED } from '../scripts/sign-ins.mjs';

const root = join(import.meta.dirname, '..');
const bin = (name: string): string => join(root, 'node_modules/.bin', name);

function files(dir: string): string[] {
	return readdirSync(dir).flatMap((n) => {
		const path = join(dir, n);
		return statSync(path).isDirectory() ? files(path) : [path];
	});
}

/** Writes a file for the length of a check. */
function planted<T>(path: string, text: string, check: () => T): T {
	const full = join(root, path);
	mkdirSync(join(full, '..'), { recursive: true });
	writeFileSync(full, text);
	try {
		return check();
	} finally {
		rmSync(full);
	}
}

const cruise = (path: string): string =>
	spawnSync(bin('depcruise'), [path, '--config', '.dependency-cruiser.mjs', '--output-type', 'err'], {
		cwd: root,
		encoding: 'utf8'
	}).stdout;

describe('the machine that holds the floors finds planted faults', () => {
	it('a core file that imports wording by its alias', () => {
		const path = 'src/lib/core/base/planted-a.ts';
		expect(
			planted(
				path,
				`import { regionName } from '#lib/wording/names.ts';\nexport const x = regionName;\n`,
				() => cruise(path)
			)
		).toContain('floor-core-base');
	});
	it('a core file that looks upstairs, and one that takes a package', () => {
		const up = 'src/lib/core/body/planted-b.ts';
		expect(planted(up, `export { posture } from '../posture/posture.ts';\n`, () => cruise(up))).toContain(
			'floor-core-body'
		);
		const pkg = 'src/lib/core/fit/planted-c.ts';
		expect(planted(pkg, `import { z } from 'zod';\nexport const x = z;\n`, () => cruise(pkg))).toContain(
			'pure-core-fit'
		);
	});
	it('a route that opens the database', () => {
		const path = 'src/routes/planted-d.ts';
		expect(
			planted(
				path,
				`import { database } from '#lib/server/db/connect.ts';\nexport const x = database;\n`,
				() => cruise(path)
			)
		).toContain('floor-routes');
	});
	it('a clock, chance or a class in the core is a lint error', () => {
		const path = 'src/lib/core/base/planted-e.ts';
		const text =
			'export class Clock {\n\tnow = Date.now();\n\tday = new Date();\n\tluck = Math.random();\n}\n';
		const out = planted(
			path,
			text,
			() => spawnSync(bin('eslint'), [path], { cwd: root, encoding: 'utf8' }).stdout
		);
		for (const message of [
			'No classes in the core',
			'The day comes in as an argument',
			'Chance comes in as a seed'
		])
			expect(out).toContain(message);
	});
});

describe('habits', () => {
	const sources = files(join(root, 'src')).filter((f) => /\.(ts|svelte)$/.test(f));
	/** Counted as formatted, at 110 columns. The catalogue's rows and the migrations are data; a test file is a list of facts. */
	const most = (f: string): number =>
		/\/(catalogue|migrations)\//.test(f)
			? Infinity
			: f.endsWith('.test.ts')
				? 700
				: f.endsWith('.svelte')
					? 270
					: 420;
	it('no file grows past what one can hold in the head, and every core file says what it is', () => {
		for (const f of sources) expect(readFileSync(f, 'utf8').split('\n').length, f).toBeLessThan(most(f));
		for (const f of sources.filter((x) => x.includes('/core/') && !x.endsWith('.test.ts')))
			expect(readFileSync(f, 'utf8').trimStart().startsWith('/**'), f).toBe(true);
	});
	it('no barrels, no utils', () => {
		expect(sources.filter((f) => /\/(index|utils?|helpers?|types|manager)\.ts$/.test(f))).toEqual([]);
	});
	it('the sign-ins that are printed are the demo’s own', () => {
		expect(PRINTED.map((s: { email: string; password: string }) => [s.email, s.password])).toEqual(
			STAFF.map((s) => [s.email, s.password])
		);
	});
});
