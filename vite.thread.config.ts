/** Builds the thread that judges clients aside; it ships beside the server. */
import { defineConfig } from 'vite';

export default defineConfig({
	build: {
		ssr: 'src/lib/server/thread/judge.ts',
		outDir: 'build/thread',
		emptyOutDir: true,
		rollupOptions: { output: { entryFileNames: 'judge.js' } }
	},
	publicDir: false
});
