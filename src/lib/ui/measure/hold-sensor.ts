/** Watches one hold with the device's own orientation: says once, in whole seconds, when the position was lost. */
import { heldSeconds, NOT_YET, watched } from '#lib/core/measure/hold-watch.ts';
import type { Direction } from '#lib/core/measure/tilt.ts';
import { mayAsk, NO_SENSOR, onUp, SILENT_MS } from './orientation.ts';

/** A sensor that reports only changes is held at what it said last. */
const BEAT_MS = 50;

/**
 * @param lost seconds that were held; the hold goes on being timed, or not, as whoever asked likes
 * @param none there is no sensor, and why
 * @returns how to stop watching
 */
export function watchHold(lost: (seconds: number) => void, none: (why: string) => void): () => void {
	const began = performance.now();
	let up: Direction | undefined;
	let watch = NOT_YET;
	let ended = false;
	const deaf = onUp((now) => (up = now));
	const beat = setInterval(() => {
		if (up === undefined || watch.lostAt !== null) return;
		watch = watched(watch, { tMs: performance.now() - began, up });
		const seconds = heldSeconds(watch);
		if (seconds !== undefined) lost(seconds);
	}, BEAT_MS);
	const silent = setTimeout(() => (up === undefined ? none(NO_SENSOR) : undefined), SILENT_MS);
	mayAsk().catch((e: unknown) => (ended ? undefined : none((e as Error).message)));
	return () => {
		ended = true;
		deaf();
		clearInterval(beat);
		clearTimeout(silent);
	};
}
