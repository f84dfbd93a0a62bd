/**
 * The phone's own orientation as a device of the open protocol: the first still second is where it starts, every moment after says how far it turned since. It ends when
 * it is stopped. Says plainly where there is no sensor.
 */
import { PROTOCOL, type DeviceLine } from '#lib/contract/device.ts';
import { stillAt, turnedDeg, type Direction, type Held } from '#lib/core/measure/tilt.ts';
import { mayAsk, NO_SENSOR, onUp, SILENT_MS } from './orientation.ts';

/** Slow enough that a busy page misses none, fast enough for a limb. */
const HZ = 25;
const BEAT_MS = 10;
const BRIDGED_MS = 200;
/** Three seconds of them: only the last one is asked. */
const BEATS_KEPT = 300;
/**
 * @param take a line of the protocol
 * @param told what is happening, for whoever holds it
 * @throws where there is no sensor, or it may not be used
 */
export async function phoneLines(
	signal: AbortSignal,
	take: (line: DeviceLine) => void,
	told: (text: string) => void
): Promise<void> {
	await mayAsk();
	take({ hello: { protocol: PROTOCOL, device: 'this phone', quantity: 'angle', unit: 'deg', hz: HZ } });
	told('lay it along the limb, and hold still');
	await new Promise<void>((done, fail) => {
		const held: Held[] = [];
		let start: Direction | undefined;
		let began = 0;
		let sent = -1;
		let read: { readonly at: number; readonly deg: number } | undefined;
		let up: Direction | undefined;
		const silent = setTimeout(() => (up === undefined ? end(new Error(NO_SENSOR)) : undefined), SILENT_MS);
		/** The page's own beat: a sensor that reports only changes is held at what it said last. */
		const beat = setInterval(() => {
			if (up === undefined) return;
			const now = performance.now();
			if (start === undefined) {
				held.push({ tMs: now, up });
				if (held.length > BEATS_KEPT) held.shift();
				start = stillAt(held);
				if (start !== undefined) {
					began = now;
					told('now move, and come back');
				}
				return;
			}
			const at = now - began;
			const deg = turnedDeg(start, up);
			const last = read ?? { at, deg };
			read = { at, deg };
			// A busy page reads unevenly: within a fifth of a second the limb moved evenly enough, past it the samples are lost.
			for (let n = sent + 1; n <= Math.floor((at / 1000) * HZ); n++) {
				const t = (n * 1000) / HZ;
				sent = n;
				if (at - last.at > BRIDGED_MS) continue;
				const share = at === last.at ? 1 : (t - last.at) / (at - last.at);
				const v = last.deg + (deg - last.deg) * Math.min(1, Math.max(0, share));
				take({ n, t: Math.round(t), v: Math.round(v * 10) / 10 });
			}
		}, BEAT_MS);
		const deaf = onUp((now) => (up = now));
		function end(error?: Error): void {
			clearTimeout(silent);
			clearInterval(beat);
			deaf();
			if (error !== undefined) {
				fail(error);
				return;
			}
			take({ end: { samples: sent + 1 } });
			done();
		}
		signal.addEventListener('abort', () => end());
	});
}
