import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import adapter from '@sveltejs/adapter-node';
import { defineConfig } from 'vitest/config';

/** Without database: for check:fast. */
const fast = process.env.BOLSTER_FAST === '1';

export default defineConfig({
	plugins: [
		tailwindcss(),
		sveltekit({
			adapter: adapter(),
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
	worker: { format: 'es' },
	test: {
		include: ['src/**/*.test.ts', 'tests/**/*.test.ts'],
		exclude: ['**/node_modules/**', ...(fast ? ['**/*.db.test.ts'] : [])],
		globalSetup: fast ? [] : ['tests/global-database.ts'],
		// One for each core of a small machine; the default leaves one idle.
		maxWorkers: 2,
		testTimeout: 120_000,
		hookTimeout: 120_000
	}
});
