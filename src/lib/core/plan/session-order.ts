/**
 * The order of a session: an exact search for the shortest one that keeps the order of roles. Two exercises of the main work that share no muscle may be
 * done in turn, set by set; the same muscles are never paired; what is done in rounds is one block (circuit.ts). What is equally short stays as it was given.
 *
 * Dynamic programming over sets of what is done, one role after another (Held and Karp 1962, from memory): 2^n · n states of a role with n exercises.
 */
import { blocksOf, circuitSec } from './circuit.ts';
import { gapSec, isInterval, pairSec, soloSec } from './seconds.ts';
import { placeOf, share, type Role, type Work } from './work.ts';

export const ORDER_SCHOOLS = [
	'usual',
	'isolated-first',
	'rolling-first',
	'standing-then-floor',
	'as-given'
] as const;
export type OrderSchool = (typeof ORDER_SCHOOLS)[number];

type Ranks = Readonly<Record<Role, number>>;
const USUAL: Ranks = {
	...{ 'warm-up': 0, balance: 1, power: 2, main: 3, accessory: 4, finisher: 5 },
	...{ stretch: 6, relief: 6, rolling: 7 }
};
/** @source common-practice the schools of order */
const RANKS: Readonly<Record<Exclude<OrderSchool, 'as-given'>, Ranks>> = {
	usual: USUAL,
	'isolated-first': { ...USUAL, accessory: 3, main: 4 },
	'rolling-first': {
		...USUAL,
		rolling: 0,
		'warm-up': 1,
		balance: 2,
		power: 3,
		accessory: 4,
		finisher: 5,
		main: 5.5
	},
	'standing-then-floor': USUAL
};
const DOWN = { standing: 0, seated: 0.1, floor: 0.2 } as const;
const WORKS: ReadonlySet<Role> = new Set<Role>(['main', 'accessory', 'finisher']);

/** Where an exercise comes in a school; lower is earlier. */
export function rankOf(w: Work, school: OrderSchool): number {
	if (school === 'as-given') return 0;
	const rank = RANKS[school][w.role];
	if (school !== 'standing-then-floor' || !WORKS.has(w.role)) return rank;
	// All work standing, then sitting, then on the floor; within a place as usual.
	return USUAL.main + DOWN[placeOf(w.step)] * 10 + rank / 10;
}

/** Roles that may be done in turn. */
const IN_TURN: ReadonlySet<Role> = new Set<Role>(['main', 'accessory', 'finisher']);

/** Two may be done in turn: both of the work, several sets, no muscle in common, neither by the clock. */
export const pairs = (a: Work, b: Work): boolean =>
	IN_TURN.has(a.role) &&
	IN_TURN.has(b.role) &&
	Math.min(a.dose.sets, b.dose.sets) > 1 &&
	![a, b].some((w) => isInterval(w) || w.particulars.blockMin !== undefined || w.dose.school === 'rounds') &&
	!share(a.muscles, b.muscles);

export interface Ordered {
	/** As they are done: one alone, two in turn, or a circuit. */
	readonly turns: readonly (readonly Work[])[];
	readonly seconds: number;
	/** False where a role held more than can be searched whole: then it was searched part by part, as given. */
	readonly exact: boolean;
}

/** Exercises of one role that are searched whole while somebody waits; beside the page, in some seconds and 100 MB, more. */
export const SEARCHED = 14;
export const SEARCHED_ASIDE = 18;

export interface Search {
	readonly searched?: number;
	/** Told the share that is done, 0 to 1, now and then. */
	readonly progress?: (share: number) => void;
}

const NOBODY = -1;
/** What a role begins with: the last exercise before it, with the way there. */
interface Way {
	readonly last: number;
	readonly seconds: number;
	readonly turns: readonly (readonly number[])[];
}

/** Shortest orders of `work` in a school, by exact search. @param inTurn false where nothing is to be done in turn */
export function sessionOrder(
	work: readonly Work[],
	school: OrderSchool,
	inTurn = true,
	{ searched = SEARCHED, progress }: Search = {}
): Ordered {
	if (work.length === 0) return { turns: [], seconds: 0, exact: true };
	const roles = byRank(work, school).map((role) => role.map((i) => work[i] as Work));
	const blocked = roles.map((role) =>
		inTurn && school !== 'as-given' ? blocksOf(role) : role.map((w) => [w])
	);
	const blocks = blocked.flat();
	const facts = factsOf(blocks, inTurn);
	const numbers = numbered(blocked);
	let ways: readonly Way[] = [{ last: NOBODY, seconds: 0, turns: [] }];
	let exact = true;
	let done = 0;
	const whole = numbers.flatMap((role) => partsOf(role, searched)).reduce((n, part) => n + costOf(part), 0);
	for (const role of numbers) {
		if (school === 'as-given') {
			ways = [asGiven(role, facts)];
			continue;
		}
		exact &&= role.length <= searched;
		for (const part of partsOf(role, searched)) {
			ways = through(part, ways, facts, (share) => progress?.((done + share * costOf(part)) / whole));
			done += costOf(part);
		}
	}
	const best = ways.reduce((a, b) => (b.seconds <= a.seconds + SAME ? b : a));
	return {
		turns: best.turns.map((t) => t.flatMap((i) => blocks[i] as readonly Work[])),
		seconds: best.seconds,
		exact
	};
}

/** A role in parts that are searched whole, as given. */
const partsOf = (role: readonly number[], most: number): readonly (readonly number[])[] =>
	Array.from({ length: Math.ceil(role.length / most) }, (_, i) => role.slice(i * most, (i + 1) * most));
const costOf = (part: readonly number[]): number => 2 ** part.length;

function byRank(work: readonly Work[], school: OrderSchool): readonly (readonly number[])[] {
	const ranks = new Map<number, number[]>();
	for (const [i, w] of work.entries()) {
		const rank = rankOf(w, school);
		ranks.set(rank, [...(ranks.get(rank) ?? []), i]);
	}
	return [...ranks].sort(([a], [b]) => a - b).map(([, of]) => of);
}

interface Facts {
	readonly solo: readonly number[];
	readonly gap: readonly (readonly number[])[];
	/** Seconds of two in turn, where it is shorter than one after the other; Infinity where it is not, or may not be. */
	readonly pair: readonly (readonly number[])[];
}

/** The blocks of each role by their place among all. */
function numbered(roles: readonly (readonly (readonly Work[])[])[]): readonly (readonly number[])[] {
	let next = 0;
	return roles.map((blocks) => blocks.map(() => next++));
}

/** Of one block alone: an exercise, or a circuit. */
const blockSec = (block: readonly Work[]): number =>
	block.length > 1 ? circuitSec(block) : soloSec(block[0] as Work);

function factsOf(blocks: readonly (readonly Work[])[], inTurn: boolean): Facts {
	const solo = blocks.map(blockSec);
	const gap = blocks.map((a) => blocks.map((b) => gapSec(a[a.length - 1] as Work, b[0] as Work)));
	return {
		solo,
		gap,
		pair: blocks.map(([a, more], i) =>
			blocks.map(([b, others], j) => {
				const single = more === undefined && others === undefined && a !== undefined && b !== undefined;
				if (!inTurn || i === j || !single || !pairs(a, b)) return Infinity;
				const seconds = pairSec(a, b);
				const apart = (solo[i] ?? 0) + (gap[i]?.[j] ?? 0) + (solo[j] ?? 0);
				return seconds < apart ? seconds : Infinity;
			})
		)
	};
}

function asGiven(role: readonly number[], { solo, gap }: Facts): Way {
	let seconds = 0;
	let last = NOBODY;
	for (const i of role) {
		seconds += (last === NOBODY ? 0 : (gap[last]?.[i] ?? 0)) + (solo[i] ?? 0);
		last = i;
	}
	return { last, seconds, turns: role.map((i) => [i]) };
}

/** Where the seconds of a cell came from: what is done so far (a set, as bits), and the last of it. */
interface Cells {
	readonly n: number;
	/** Begun: its last exercise is being placed, alone or as the first of two. From the done cell before it, or a way in as −2 − its number. */
	readonly begunFrom: Int32Array;
	/** Done: −1 where the last was alone, else the first of the two. */
	readonly opener: Int8Array;
}

/** From each way into a role, the shortest way out of it for each exercise that can be its last. */
function through(
	role: readonly number[],
	ways: readonly Way[],
	f: Facts,
	progress: (share: number) => void
): readonly Way[] {
	const n = role.length;
	const size = (1 << n) * n;
	const begun = new Float64Array(size).fill(Infinity);
	const done = new Float64Array(size).fill(Infinity);
	const cells: Cells = { n, begunFrom: new Int32Array(size), opener: new Int8Array(size) };
	const gap = Float64Array.from(role.flatMap((i) => role.map((j) => f.gap[i]?.[j] ?? 0)));
	const pair = Float64Array.from(role.flatMap((i) => role.map((j) => f.pair[i]?.[j] ?? Infinity)));
	const solo = Float64Array.from(role.map((i) => f.solo[i] ?? 0));
	// Of what is equally short, the later in the plan stands later.
	const begin = (mask: number, j: number, seconds: number, came: number): void => {
		const cell = (mask | (1 << j)) * n + j;
		if (seconds > (begun[cell] as number) + SAME) return;
		begun[cell] = seconds;
		cells.begunFrom[cell] = came;
	};
	const finish = (cell: number, seconds: number, opener: number): void => {
		if (seconds > (done[cell] as number) + SAME) return;
		done[cell] = seconds;
		cells.opener[cell] = opener;
	};
	for (const [w, { last, seconds }] of ways.entries())
		for (const [j, item] of role.entries())
			begin(0, j, seconds + (last === NOBODY ? 0 : (f.gap[last]?.[item] ?? 0)), -2 - w);
	/** Those begun in a set are done, alone or with a partner that is not in it yet. */
	const finishAll = (mask: number): void => {
		for (let j = 0; j < n; j++) {
			const at = begun[mask * n + j] as number;
			if (at === Infinity) continue;
			finish(mask * n + j, at + (solo[j] as number), -1);
			for (let k = 0; k < n; k++) {
				const inTurn = pair[j * n + k] as number;
				if (inTurn !== Infinity && (mask & (1 << k)) === 0) finish((mask | (1 << k)) * n + k, at + inTurn, j);
			}
		}
	};
	/** After those done in a set, whatever is not in it begins. */
	const beginAll = (mask: number): void => {
		for (let last = 0; last < n; last++) {
			const at = done[mask * n + last] as number;
			if (at === Infinity) continue;
			for (let j = 0; j < n; j++)
				if ((mask & (1 << j)) === 0) begin(mask, j, at + (gap[last * n + j] as number), mask * n + last);
		}
	};
	for (let mask = 1; mask < 1 << n; mask++) {
		if (mask % TOLD_EVERY === 0) progress(mask / (1 << n));
		finishAll(mask);
		beginAll(mask);
	}
	const full = ((1 << n) - 1) * n;
	return role.flatMap((item, last) => {
		const seconds = done[full + last] as number;
		return seconds === Infinity
			? []
			: [{ last: item, seconds, turns: traced(full + last, role, ways, cells) }];
	});
}

const SAME = 1e-9;
const TOLD_EVERY = 1 << 12;

/** The turns of a way, read back from its last cell. */
function traced(
	end: number,
	role: readonly number[],
	ways: readonly Way[],
	{ n, begunFrom, opener }: Cells
): Way['turns'] {
	const turns: (readonly number[])[] = [];
	let cell = end;
	for (;;) {
		const [mask, last] = [Math.floor(cell / n), cell % n];
		const first = opener[cell] as number;
		const item = (i: number): number => role[i] as number;
		turns.unshift(first < 0 ? [item(last)] : [item(first), item(last)]);
		const before = begunFrom[first < 0 ? cell : (mask ^ (1 << last)) * n + first] as number;
		if (before < -1) return [...(ways[-2 - before] as Way).turns, ...turns];
		cell = before;
	}
}
