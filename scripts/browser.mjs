/**
 * The browser of flows and pictures: Debian's Chromium without its windows, which draws the same pages with less of the processor.
 * What it has not is a phone's sensors.
 */
export const CHROMIUM = '/usr/bin/chromium-headless-shell';
export const CHROMIUM_PACKAGE = 'chromium-headless-shell';
export const CHROMIUM_ARGS = [
	'--headless',
	'--no-sandbox',
	'--disable-gpu',
	'--disable-quic',
	'--no-first-run',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync'
];
