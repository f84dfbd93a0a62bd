/** A short tone and a tremble at the end of a time; silence where the device has neither. */
let audio: AudioContext | undefined;

function tone(hz: number, sec: number): void {
	try {
		audio ??= new AudioContext();
		const sounds = audio.createOscillator();
		const loud = audio.createGain();
		sounds.frequency.value = hz;
		loud.gain.setValueAtTime(0.2, audio.currentTime);
		loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + sec);
		sounds.connect(loud).connect(audio.destination);
		sounds.start();
		sounds.stop(audio.currentTime + sec);
	} catch {
		// No sound here: the number, or the figure, says it too.
	}
}

export function endOfTime(sound: boolean): void {
	navigator.vibrate?.(200);
	if (sound) tone(660, 0.4);
}

/** The beat of a movement: low where it goes down, high where it comes up. */
export const beat = (part: 'down' | 'up'): void => tone(part === 'down' ? 330 : 495, 0.08);

/** Keeps the screen awake while a session runs; lets go again. */
export function stayAwake(): () => void {
	let lock: WakeLockSentinel | undefined;
	let gone = false;
	const ask = (): void =>
		void navigator.wakeLock
			?.request('screen')
			.then((l) => {
				if (gone) void l.release();
				else lock = l;
			})
			.catch(() => undefined);
	const again = (): void => void (document.visibilityState === 'visible' && ask());
	ask();
	document.addEventListener('visibilitychange', again);
	return () => {
		gone = true;
		document.removeEventListener('visibilitychange', again);
		void lock?.release().catch(() => undefined);
	};
}
