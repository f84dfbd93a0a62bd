/**
 * Plants each of the fixed mutants in turn and sees that its tests notice. One process for all of them: each run meets the one file changed. Prints those that nobody
 * noticed; one that cannot be planted fails too, and so does a file of tests that fails without a mutant, before or after them.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createVitest } from 'vitest/node';
import { ensureModules, root } from './ensure.mjs';

ensureModules();
process.env.FC_RUNS ??= '30';
const { FIXED_MUTANTS } = await import('../tests/fixed-mutants.ts');

/** The one that is planted now; none in a control. */
let planted;
const plant = {
	name: 'fixed-mutant',
	enforce: 'pre',
	transform: (code, id) =>
		planted !== undefined && id.split('?')[0] === join(root, planted.file)
			? code.replace(planted.was, () => planted.now)
			: undefined
};
const vitest = await createVitest(
	'test',
	{
		...{ root, config: false, watch: false, reporters: [{}], pool: 'forks', maxWorkers: 1, bail: 1 },
		...{ include: ['src/lib/**/*.test.ts'], setupFiles: ['tests/fewer-cases.ts'], testTimeout: 60_000 }
	},
	{ plugins: [plant] }
);

const changed = [...new Set(FIXED_MUTANTS.map((m) => join(root, m.file)))];

/** Runs a file of tests with a mutant in place, or none: did it fail as tests do, pass, or neither? */
async function ran(by, mutant) {
	planted = mutant;
	// The one that was planted before has to go as well, wherever it stood.
	for (const file of changed) vitest.invalidateFile(file);
	const [spec] = await vitest.globTestSpecifications([by]);
	if (spec === undefined) return 'neither';
	const { testModules } = await vitest.runTestSpecifications([spec], false);
	// Those that ran before are told again; only this one was run now.
	const own = testModules.find((m) => m.moduleId === join(root, by));
	const failed = [...(own?.children.allTests() ?? [])].some((t) => t.result().state === 'failed');
	return failed ? 'failed' : own?.state() === 'passed' ? 'passed' : 'neither';
}

let wrong = 0;
const say = (text) => {
	wrong++;
	console.log(text);
};
const files = [...new Set(FIXED_MUTANTS.map((m) => m.by))];
async function controls() {
	for (const by of files)
		if ((await ran(by)) !== 'passed') say(`without a mutant these tests do not pass: ${by}`);
}
await controls();
let missed = 0;
for (const m of FIXED_MUTANTS) {
	if (readFileSync(join(root, m.file), 'utf8').split(m.was).length !== 2)
		say(`not found once in ${m.file}: ${m.was}`);
	else if ((await ran(m.by, m)) !== 'failed') {
		missed++;
		say(`not noticed: ${m.file}\n  - ${m.was}\n  + ${m.now}`);
	}
}
// What failed failed by its mutant, and not because something was left behind.
await controls();
console.log(`${FIXED_MUTANTS.length - missed} of ${FIXED_MUTANTS.length} fixed mutants noticed`);
await vitest.close();
process.exit(wrong === 0 ? 0 : 1);
