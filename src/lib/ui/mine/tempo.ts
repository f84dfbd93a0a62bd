/** A movement at its tempo: where it is at a moment, and which part it is in. Pure. */
export type Tempo = readonly [down: number, pause: number, up: number];

/** Between two repetitions, seconds. */
export const BETWEEN = 0.6;

export type Part = 'down' | 'pause' | 'up' | 'between';

const within = (sec: number, [down, pause, up]: Tempo): number => sec % (down + pause + up + BETWEEN);

/** @param sec since it began; 0 at the easy end, 1 at the hard point */
export function momentAt(sec: number, tempo: Tempo): number {
	const [down, pause, up] = tempo;
	const s = within(sec, tempo);
	if (s < down) return s / Math.max(0.1, down);
	if (s < down + pause) return 1;
	return Math.max(0, 1 - (s - down - pause) / Math.max(0.1, up));
}

export function partAt(sec: number, tempo: Tempo): Part {
	const [down, pause, up] = tempo;
	const s = within(sec, tempo);
	if (s < down) return 'down';
	if (s < down + pause) return 'pause';
	return s < down + pause + up ? 'up' : 'between';
}
