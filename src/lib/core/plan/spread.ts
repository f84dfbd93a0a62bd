/**
 * Which days: strength with a day between, what is daily on every day there is, nothing that is done as needed. Days are the seven from the first of a
 * week, counted 0 to 6; in a week that comes again the last and the first are neighbours, in a learning week they are not.
 * @source common-practice strength every other day or 2–3 days a week; a learning week is four days with a day off between; stretches daily
 */
import type { Role, Work } from './work.ts';

export interface SpreadAsked {
	/** Days with time for it, 0 to 6 from the first of the week. */
	readonly days: readonly number[];
	/** The first week: four days are possible, for the next week begins anew. */
	readonly learning: boolean;
}

const DAILY: ReadonlySet<Role> = new Set<Role>(['warm-up', 'balance', 'stretch', 'relief', 'rolling']);
/** Days a week where nobody said. */
const STRENGTH_DAYS = 3;
const LEARNING_DAYS = 4;

export const isDaily = (w: Work): boolean => DAILY.has(w.role);

export const timesOf = (w: Work, learning: boolean): number =>
	w.particulars.daysPerWeek ?? (isDaily(w) ? 7 : learning ? LEARNING_DAYS : STRENGTH_DAYS);

const subsets = (days: readonly number[]): readonly (readonly number[])[] =>
	days.reduce<readonly (readonly number[])[]>((all, d) => [...all, ...all.map((s) => [...s, d])], [[]]);

/** Days between neighbours, the last and the first of the next week among them where the week comes again. */
function gapsOf(days: readonly number[], learning: boolean): readonly number[] {
	return days.flatMap((d, i) => {
		const next = days[i + 1];
		if (next !== undefined) return [next - d];
		return learning ? [] : [(days[0] as number) + 7 - d];
	});
}

/**
 * Days for something that wants `times` days and at least `apart` days from one to the next: as many as there are, spread evenest, earliest first.
 * Every subset is tried. @param days 0 to 6, ascending
 */
export function spread(
	days: readonly number[],
	times: number,
	apart: 1 | 2,
	learning: boolean
): readonly number[] {
	let best: readonly number[] = [];
	let unevenest = Infinity;
	for (const s of subsets([...days].sort((a, b) => a - b))) {
		if (s.length > times || s.length < best.length) continue;
		const gaps = gapsOf(s, learning);
		if (s.length > 1 && gaps.some((g) => g < apart)) continue;
		const uneven = gaps.reduce((sum, g) => sum + g * g, 0);
		if (s.length > best.length || uneven < unevenest - 1e-9) {
			best = s;
			unevenest = uneven;
		}
	}
	return best;
}

/** Days of each exercise; what is done as needed has none. Strength stands on the same days, that days off are days off. */
export function daysOf(
	work: readonly Work[],
	{ days, learning }: SpreadAsked
): ReadonlyMap<string, readonly number[]> {
	const planned = work.filter((w) => w.particulars.asNeeded !== true);
	const most = Math.max(0, ...planned.filter((w) => !isDaily(w)).map((w) => timesOf(w, learning)));
	const strength = spread(days, most, 2, learning);
	return new Map(
		planned.map((w) => {
			const times = timesOf(w, learning);
			return [w.id, isDaily(w) ? spread(days, times, 1, learning) : spread(strength, times, 2, learning)];
		})
	);
}

/**
 * Strength work that stands on two days running, by id: 48 hours are usual. The last day of a week that comes again is beside the first of the next; of a learning
 * week it is not. @param days all seven, in their order
 */
export function tooClose(days: readonly (readonly Work[])[], learning: boolean): readonly Work[] {
	const strength = days.map((work) => work.filter((w) => !isDaily(w)));
	const close = strength.flatMap((work, i) => {
		const next = i + 1 < strength.length ? strength[i + 1] : learning ? [] : strength[0];
		return work.filter((w) => next?.some((x) => x.id === w.id));
	});
	return [...new Map(close.map((w) => [w.id, w])).values()];
}
