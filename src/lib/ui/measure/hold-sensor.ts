/** Holds by the device's own orientation: one that is watched, and two that are read against each other. */
import { heldSeconds, NOT_YET, watched } from '#lib/core/measure/hold-watch.ts';
import { nextHold, NO_HOLD, readHolds } from '#lib/core/measure/two-holds.ts';
import type { Direction } from '#lib/core/measure/tilt.ts';
import { mayAsk, NO_SENSOR, onUp, SILENT_MS } from './orientation.ts';

/** A sensor that reports only changes is held at what it said last. */
const BEAT_MS = 50;

/**
 * Watches one hold: says once, in whole seconds, when the position was lost.
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

/**
 * Reads two holds: where it starts and where it ends.
 * @param told what is to be done now, for whoever holds it
 * @returns undefined where it was stopped before both were there
 * @throws where there is no sensor, or it may not be used
 */
export async function readTwoHolds(
	signal: AbortSignal,
	told: (text: string) => void
): Promise<ReturnType<typeof readHolds>> {
	await mayAsk();
	told('at the start: lay it along the limb, and hold still');
	return new Promise((done, fail) => {
		let up: Direction | undefined;
		let holds = NO_HOLD;
		const deaf = onUp((now) => (up = now));
		const end = (): void => {
			deaf();
			clearInterval(beat);
			clearTimeout(silent);
		};
		const beat = setInterval(() => {
			if (up === undefined) return;
			const before = holds.start;
			holds = nextHold(holds, { tMs: performance.now(), up });
			if (before === undefined && holds.start !== undefined) told('now to the end, and hold still');
			const read = readHolds(holds);
			if (read === undefined) return;
			end();
			done(read);
		}, BEAT_MS);
		const silent = setTimeout(() => {
			if (up !== undefined) return;
			end();
			fail(new Error(NO_SENSOR));
		}, SILENT_MS);
		signal.addEventListener('abort', () => {
			end();
			done(undefined);
		});
	});
}
