/** The tests that mutants of the core run against: those that need no database. */
import { defineConfig } from 'vitest/config';

/** TESTS names some of them, with commas: near what is changed, a mutant costs a third. What survives them is asked again of all. */
const some = process.env.TESTS?.split(',');

export default defineConfig({
	test: {
		include: some ?? [
			'src/lib/core/**/*.test.ts',
			'src/lib/catalogue/**/*.test.ts',
			'src/lib/server/record/*.test.ts',
			'src/lib/server/view/*.test.ts'
		],
		setupFiles: ['tests/fewer-cases.ts'],
		exclude: ['**/*.db.test.ts', '**/node_modules/**'],
		// What is pure shares its modules from file to file: a mutant costs its tests, not their imports.
		isolate: false,
		testTimeout: 60_000
	}
});
