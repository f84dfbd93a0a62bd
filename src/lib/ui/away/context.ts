/** Says to the bar of the page that something was kept on the device. */
export const KEPT_AWAY = 'bolster-kept-away';

export const sayKept = (): void => void dispatchEvent(new Event(KEPT_AWAY));

export const KEPT_TEXT = 'Kept on this device; it goes by itself when the network is back.';
export const NO_ROOM =
	'This device has no room left: nothing was kept. Leave the page open, and send it again.';
