/**
 * Building a seat height from what the room has: one chair and any pads, none twice more than there are.
 */
export interface Pad {
	readonly cm: number;
	readonly count: number;
}

export interface Furniture {
	readonly seats: readonly number[];
	readonly pads: readonly Pad[];
	readonly wedges?: readonly number[];
	/** Steps and blocks to stand on, cm. */
	readonly steps?: readonly number[];
}

export interface Build {
	readonly seat: number;
	readonly pads: readonly number[];
	readonly reaches: number;
	/** How far the tallest build stays below what is needed, cm; 0 when it reaches. */
	readonly short: number;
}

/** A pad that can be left out is worth this many cm of extra height: fewer pads stand firmer. @source common-practice */
const PAD_WORTH_CM = 1.5;

/**
 * The lowest build at or above the height, fewer pads counting for a little height; where none reaches, the tallest with
 * `short` > 0. Undefined when there is no seat at all.
 * @example buildSeat(51, { seats: [42, 46], pads: [{ cm: 3, count: 2 }] }) → 46 + 3 + 3 = 52
 */
export function buildSeat(neededCm: number, furniture: Furniture): Build | undefined {
	let best: Build | undefined;
	const cost = (b: Build): number => b.reaches + PAD_WORTH_CM * b.pads.length;
	const better = (b: Build): boolean => {
		if (best === undefined) return true;
		if (b.short !== best.short) return b.short < best.short;
		return cost(b) < cost(best);
	};
	for (const { pads, cm } of stacksOf(furniture.pads))
		for (const seat of furniture.seats) {
			const reaches = seat + cm;
			const build = { seat, pads, reaches, short: Math.max(0, Math.round((neededCm - reaches) * 10) / 10) };
			if (better(build)) best = build;
		}
	return best;
}

interface Stack {
	readonly pads: readonly number[];
	/** All of them together. */
	readonly cm: number;
}

/** A room's pads stay the same from step to step: worked out once. */
const known = new WeakMap<readonly Pad[], readonly Stack[]>();

/** Every way to stack the pads, at most four high: taller stacks are not stable. */
function stacksOf(pads: readonly Pad[]): readonly Stack[] {
	const found = known.get(pads);
	if (found !== undefined) return found;
	let stacks: Stack[] = [{ pads: [], cm: 0 }];
	for (const { cm, count } of pads)
		stacks = stacks.flatMap((s) =>
			Array.from({ length: Math.min(count, 4 - s.pads.length) + 1 }, (_, k): Stack => ({
				pads: [...s.pads, ...Array.from({ length: k }, () => cm)],
				cm: s.cm + k * cm
			}))
		);
	known.set(pads, stacks);
	return stacks;
}

/** What a client has at home as it was measured, cm: seats to rise from and steps to go up, lowest first. */
export interface HomeHeights {
	readonly seats: readonly number[];
	readonly steps: readonly number[];
}

/** How a prescribed height is met at home. */
export interface AtHome {
	/** The seat or step that serves, or the nearest where none does. */
	readonly cm: number;
	/** Higher seats and lower steps ask less, and serve. */
	readonly serves: boolean;
	/** How far from what is prescribed, cm, never negative. */
	readonly by: number;
}

const tenthCm = (x: number): number => Math.round(x * 10) / 10;

/**
 * The home seat for a prescribed seat: the lowest that is as high or higher, else the highest there is. Undefined where none was measured.
 * @example homeSeat(47, { seats: [43, 50], steps: [] }) → { cm: 50, serves: true, by: 3 }
 */
export function homeSeat(prescribedCm: number, { seats }: HomeHeights): AtHome | undefined {
	const high = seats.filter((cm) => cm >= prescribedCm);
	const cm = high.length > 0 ? Math.min(...high) : Math.max(...seats);
	return seats.length === 0
		? undefined
		: { cm, serves: high.length > 0, by: tenthCm(Math.abs(cm - prescribedCm)) };
}

/** The home step for a prescribed step: the highest that is as low or lower, else the lowest there is. Undefined where none was measured. */
export function homeStep(prescribedCm: number, { steps }: HomeHeights): AtHome | undefined {
	const low = steps.filter((cm) => cm <= prescribedCm);
	const cm = low.length > 0 ? Math.max(...low) : Math.min(...steps);
	return steps.length === 0
		? undefined
		: { cm, serves: low.length > 0, by: tenthCm(Math.abs(cm - prescribedCm)) };
}
