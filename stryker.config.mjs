/** Mutants of the pure core: what a test is worth is what it would catch. `npm run mutate -- FOLDER`. Strings and object literals are words, not guards. */
const folder = process.env.MUTATE ?? 'src/lib/core/safety';

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
	mutate: folder
		.split(',')
		.flatMap((f) => (f.endsWith('.ts') || f.includes(':') ? [f] : [`${f}/**/*.ts`, `!${f}/**/*.test.ts`])),
	testRunner: 'vitest',
	vitest: { configFile: 'vitest.mutants.config.ts' },
	coverageAnalysis: 'perTest',
	// Tests share their modules, so what a module does as it is read is not changed under them.
	ignoreStatic: true,
	mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral'] },
	// The framework's own tsconfig is read from here.
	ignorePatterns: ['!.svelte-kit', 'build', '.bolster', 'docs', 'test-results', '.shots'],
	incremental: process.env.MUTATE_FRESH === undefined,
	incrementalFile: 'test-results/mutants.json',
	tempDirName: '.stryker-tmp',
	reporters: ['clear-text', 'progress'],
	clearTextReporter: { allowColor: false, reportTests: false, logTests: false },
	concurrency: 2,
	timeoutMS: 20_000,
	disableTypeChecks: false
};
