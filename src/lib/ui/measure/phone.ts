/**
 * The phone's own orientation as a device of the open protocol: the first still second is where it starts, every moment after says how far it turned since. It ends when
 * it is stopped. Says plainly where there is no sensor.
 */
import { PROTOCOL, type DeviceLine } from '#lib/contract/device.ts';
import { stillAt, turnedDeg, upOf, type Direction, type Held } from '#lib/core/measure/tilt.ts';

type Asks = { readonly requestPermission?: () => Promise<string> };

export const hasOrientation = (): boolean => typeof DeviceOrientationEvent !== 'undefined';
const HZ = 50;
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
		let up: Direction | undefined;
		const silent = setTimeout(() => (up === undefined ? end(new Error(NO_SENSOR)) : undefined), SILENT_MS);
		/** The page's own beat: a sensor that reports only changes is held at what it said last. */
		const beat = setInterval(() => {
			if (up === undefined) return;
			const now = performance.now();
			if (start === undefined) {
				held.push({ tMs: now, up });
				start = stillAt(held);
				if (start !== undefined) {
					began = now;
					told('now move, and come back');
				}
				return;
			}
			const n = Math.floor(((now - began) / 1000) * HZ);
			if (n <= sent) return;
			sent = n;
			take({ n, t: Math.round(now - began), v: Math.round(turnedDeg(start, up) * 10) / 10 });
		}, 1000 / HZ);
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
