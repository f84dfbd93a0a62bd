import { defineConfig } from '@playwright/test';

const chromium = [
	'--headless',
	'--no-sandbox',
	'--disable-gpu',
	'--disable-quic',
	'--no-first-run',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync'
];

/** The flow of an own practice brings its own server and database: it runs beside the others, by OWN_PRACTICE=1. */
const own = process.env.OWN_PRACTICE === '1';

export default defineConfig({
	testDir: 'tests/flows',
	testMatch: own ? '**/9-own-practice.e2e.ts' : '**/[1-8]-*.e2e.ts',
	...(own ? {} : { globalSetup: './tests/flows/global-server.ts' }),
	outputDir: own ? 'test-results/own' : 'test-results/demo',
	// Wide, for a machine that is busy with something else: a page that answers late is not a page that answers wrong.
	timeout: 150_000,
	expect: { timeout: 20_000 },
	fullyParallel: false,
	// One server and one demo: the files run in the order of their numbers.
	workers: 1,
	reporter: [['list'], ['json']],
	use: {
		baseURL: process.env.BOLSTER_FLOW_ORIGIN ?? 'http://127.0.0.1:4399',
		launchOptions: { executablePath: '/usr/bin/chromium', args: chromium },
		viewport: { width: 1280, height: 800 },
		locale: 'en-GB',
		screenshot: 'only-on-failure'
	}
});
