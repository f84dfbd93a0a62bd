import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { CHROMIUM, CHROMIUM_ARGS } from './scripts/browser.mjs';

/**
 * The flows go in lanes that can run side by side, each with a server and a database of its own: FLOWS names one. Without it the demo's flows run one after another. In a lane
 * the files run in the order of their numbers: what one leaves the next one finds.
 */
const LANES: Readonly<Record<string, { readonly files: string; readonly port: number }>> = {
	first: { files: '**/[1236]*-*.e2e.ts', port: 4399 },
	second: { files: '**/[4578]*-*.e2e.ts', port: 4397 },
	own: { files: '**/9[a-e]-*.e2e.ts', port: 4398 }
};
const lane = process.env.FLOWS ?? '';
const { files, port } = LANES[lane] ?? { files: '**/[1-8]*-*.e2e.ts', port: 4399 };
process.env.FLOW_PORT ??= String(port);
// Of the practice that its own flows found; told to every process of theirs.
process.env.OWN_HOME ??= join(tmpdir(), `bolster-own-${process.pid}`);

export default defineConfig({
	testDir: 'tests/flows',
	testMatch: files,
	// The flows of an own practice bring their own server.
	globalSetup: lane === 'own' ? './tests/flows/global-own.ts' : './tests/flows/global-server.ts',
	outputDir: `test-results/${lane || 'demo'}`,
	// Wide, for a machine that is busy with something else: a page that answers late is not a page that answers wrong.
	timeout: 150_000,
	expect: { timeout: 20_000 },
	fullyParallel: false,
	// One server and one demo: the files run in the order of their numbers.
	workers: 1,
	reporter: [['list'], ['json']],
	use: {
		baseURL: process.env.BOLSTER_FLOW_ORIGIN ?? `http://127.0.0.1:${port}`,
		launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_ARGS },
		viewport: { width: 1280, height: 800 },
		locale: 'en-GB',
		screenshot: 'only-on-failure'
	}
});
