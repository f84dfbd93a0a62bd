/**
 * The phone's own orientation as a device of the open protocol: the first still second is where it starts, every moment after says how far it turned since. It ends when
 * it is stopped. Says plainly where there is no sensor.
 */
import { PROTOCOL, type DeviceLine } from '#lib/contract/device.ts';
import { stillAt, turnedDeg, upOf, type Direction, type Held } from '#lib/core/measure/tilt.ts';

type Asks = { readonly requestPermission?: () => Promise<string> };

export const hasOrientation = (): boolean => typeof DeviceOrientationEvent !== 'undefined';
/** Slow enough that a busy page misses none, fast enough for a limb. */
const HZ = 25;
const BEAT_MS = 10;
const BRIDGED_MS = 200;
/** Three seconds of them: only the last one is asked. */
const BEATS_KEPT = 300;
/** A browser that has the interface and no sensor behind it sends one empty event, or none. */
const SILENT_MS = 2000;

export const NO_SENSOR =
	'This device gives no orientation: it has no such sensor, or its browser gives it to secure addresses (https) alone.';
const REFUSED = 'The device was not allowed to give its orientation.';

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
	if (!hasOrientation()) throw new Error(NO_SENSOR);
	const asks = DeviceOrientationEvent as unknown as Asks;
	if (asks.requestPermission !== undefined && (await asks.requestPermission()) !== 'granted')
		throw new Error(REFUSED);
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
		const heard = (e: DeviceOrientationEvent): void => {
			if (e.beta !== null && e.gamma !== null) up = upOf({ betaDeg: e.beta, gammaDeg: e.gamma });
		};
		function end(error?: Error): void {
			clearTimeout(silent);
			clearInterval(beat);
			removeEventListener('deviceorientation', heard);
			if (error !== undefined) {
				fail(error);
				return;
			}
			take({ end: { samples: sent + 1 } });
			done();
		}
		addEventListener('deviceorientation', heard);
		signal.addEventListener('abort', () => end());
	});
}
