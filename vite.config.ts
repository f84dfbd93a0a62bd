import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import adapter from '@sveltejs/adapter-node';
import { defineConfig } from 'vitest/config';

/** Without database: for check:fast. */
const fast = process.env.BOLSTER_FAST === '1';

/** Tests of what has no state of its own. */
const PURE = ['core', 'catalogue', 'wording', 'contract'].map((folder) => `src/lib/${folder}/**/*.test.ts`);

export default defineConfig(({ isSsrBuild }) => ({
	plugins: [
		tailwindcss(),
		sveltekit({
			adapter: adapter(),
			// The package names it; the native compiler follows it to a component only where it is told so here.
			alias: { '#lib/*': 'src/lib/*' },
			// A client's own page registers it, for itself alone.
			serviceWorker: { register: false },
			csp: {
				mode: 'nonce',
				directives: {
					'default-src': ['self'],
					'script-src': ['self'],
					'style-src': ['self'],
					// The library places what it opens by style attributes.
					'style-src-attr': ['unsafe-inline'],
					'img-src': ['self', 'data:'],
					'object-src': ['none'],
					'base-uri': ['none'],
					'frame-ancestors': ['none'],
					'form-action': ['self']
				}
			}
		})
	],
	build: {
		rollupOptions: {
			// What most pages need comes in one piece: thirty small ones cost each page more than they save it.
			...(isSsrBuild === true
				? {}
				: { output: { codeSplitting: { groups: [{ name: 'shared', minShareCount: 32 }] } } }),
			treeshake: {
				// Each piece of the library names the dress of all of them: what a page does not wear is left at home.
				moduleSideEffects: [{ test: /node_modules\/(flowbite-svelte|date-fns)\//, sideEffects: false }]
			}
		}
	},
	worker: { format: 'es' },
	test: {
		// What is pure shares its modules from file to file; what touches a database, a clock or a browser's globals has each file to itself.
		projects: [
			{
				extends: true,
				test: {
					name: 'pure',
					include: PURE,
					exclude: ['**/node_modules/**', '**/*.db.test.ts'],
					isolate: false
				}
			},
			{
				extends: true,
				test: {
					name: 'rest',
					include: ['src/**/*.test.ts', 'tests/**/*.test.ts'],
					exclude: ['**/node_modules/**', '**/*.db.test.ts', ...PURE]
				}
			},
			{
				extends: true,
				test: {
					name: 'database',
					include: fast ? [] : ['src/**/*.db.test.ts', 'tests/**/*.db.test.ts'],
					globalSetup: fast ? [] : ['tests/global-database.ts'],
					isolate: false
				}
			}
		],
		// One for each core of a small machine; the default leaves one idle.
		maxWorkers: 2,
		testTimeout: 120_000,
		hookTimeout: 120_000
	}
}));
