/**
 * Work in rounds: what is given in rounds, or by the same clock, is done one after another, a set of each, and then again. A circuit is one block of a session; within
 * it the order is the one with the least changing over, found among all of them. @source common-practice band work in rounds of 1, 3, 5; intervals of 45 s on and 15 s off
 */
import { changeSec, gapSec, isInterval, restSec, setSec } from './seconds.ts';
import type { Role, Work } from './work.ts';

/** More than this is two circuits. @source common-practice */
export const MOST_IN_CIRCUIT = 6;
const IN_ROUNDS: ReadonlySet<Role> = new Set<Role>(['main', 'accessory', 'finisher']);

/** What it is done in one circuit with: alike keys belong together; null of what is done in none. */
export function circuitOf(w: Work): string | null {
	const { blockMin, workSec } = w.particulars;
	if (blockMin !== undefined || !IN_ROUNDS.has(w.role)) return null;
	if (workSec !== undefined) return w.dose.sets > 1 ? `clock ${workSec} ${restSec(w)} ${w.dose.sets}` : null;
	return w.dose.school === 'rounds' ? 'rounds' : null;
}

/** Seconds of a circuit in an order: every round the sets that are left, with what lies between; then the longest rest of them, or the way back, whichever is longer. */
export function circuitSec(order: readonly Work[]): number {
	const [first] = order;
	if (first === undefined) return 0;
	// By the clock each work has its rest, and the rest takes the change-over.
	if (isInterval(first)) return order.reduce((sum, w) => sum + w.dose.sets * (setSec(w) + restSec(w)), 0);
	const rounds = Math.max(...order.map((w) => w.dose.sets));
	let seconds = 0;
	for (let round = 1; round <= rounds; round++) {
		const now = order.filter((w) => w.dose.sets >= round);
		for (const [i, w] of now.entries()) {
			const before = now[i - 1];
			seconds += setSec(w) + (before === undefined ? 0 : gapSec(before, w));
		}
		const [head, last] = [now[0] as Work, now[now.length - 1] as Work];
		if (round < rounds) seconds += Math.max(changeSec(last, head), ...now.map(restSec));
	}
	return seconds;
}

function* orders(left: readonly Work[], done: readonly Work[] = []): Generator<readonly Work[]> {
	if (left.length === 0) yield done;
	for (const w of left)
		yield* orders(
			left.filter((x) => x !== w),
			[...done, w]
		);
}

/** The order with the fewest seconds; of what is equally short, as it was given. */
export function circuitOrder(work: readonly Work[]): readonly Work[] {
	let best = work;
	let least = circuitSec(work);
	for (const order of orders(work)) {
		const seconds = circuitSec(order);
		if (seconds >= least - 1e-9) continue;
		best = order;
		least = seconds;
	}
	return best;
}

/** Some work as blocks: circuits of what belongs together, the rest alone; each stands where its first stood. */
export function blocksOf(work: readonly Work[]): readonly (readonly Work[])[] {
	const blocks: Work[][] = [];
	const open = new Map<string, Work[]>();
	for (const w of work) {
		const key = circuitOf(w);
		const circuit = key === null ? undefined : open.get(key);
		if (circuit !== undefined && circuit.length < MOST_IN_CIRCUIT) circuit.push(w);
		else {
			const block = [w];
			blocks.push(block);
			if (key !== null) open.set(key, block);
		}
	}
	return blocks.map((b) => (b.length > 1 ? circuitOrder(b) : b));
}
