/** A short tone and a tremble at the end of a time; silence where the device has neither. */
let audio: AudioContext | undefined;

export function endOfTime(sound: boolean): void {
	navigator.vibrate?.(200);
	if (!sound) return;
	try {
		audio ??= new AudioContext();
		const tone = audio.createOscillator();
		const loud = audio.createGain();
		tone.frequency.value = 660;
		loud.gain.setValueAtTime(0.2, audio.currentTime);
		loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.4);
		tone.connect(loud).connect(audio.destination);
		tone.start();
		tone.stop(audio.currentTime + 0.4);
	} catch {
		// No sound here: the number says it too.
	}
}

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
