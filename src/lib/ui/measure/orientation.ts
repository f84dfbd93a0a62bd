/** The device's own orientation, where it has one and may be asked. */
import { upOf, type Direction } from '#lib/core/measure/tilt.ts';

type Asks = { readonly requestPermission?: () => Promise<string> };

const hasOrientation = (): boolean => typeof DeviceOrientationEvent !== 'undefined';

/** A browser that has the interface and no sensor behind it sends one empty event, or none. */
export const SILENT_MS = 2000;

export const NO_SENSOR =
	'This device gives no orientation: it has no such sensor, or its browser gives it to secure addresses (https) alone.';
const REFUSED = 'The device was not allowed to give its orientation.';

/** Asks, where the browser wants to be asked. @throws where there is no sensor, or it may not be used */
export async function mayAsk(): Promise<void> {
	if (!hasOrientation()) throw new Error(NO_SENSOR);
	const asks = DeviceOrientationEvent as unknown as Asks;
	if (asks.requestPermission !== undefined && (await asks.requestPermission()) !== 'granted')
		throw new Error(REFUSED);
}

/** Tells where up is, each time it changes; answers how to stop. */
export function onUp(heard: (up: Direction) => void): () => void {
	const listen = (e: DeviceOrientationEvent): void => {
		if (e.beta !== null && e.gamma !== null) heard(upOf({ betaDeg: e.beta, gammaDeg: e.gamma }));
	};
	addEventListener('deviceorientation', listen);
	return () => removeEventListener('deviceorientation', listen);
}
