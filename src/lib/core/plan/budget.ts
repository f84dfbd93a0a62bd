/**
 * What a week asks of the body: seconds of stretch for each muscle group and side, sets for each muscle, and what its repetitions ask of knee, hip and
 * back; and how the last of these has changed. What a movement does not solve has no moment and is not counted, and is said to be missing.
 * @source common-practice 300 s of stretching a week for each muscle group
 */
import { SIDES, type Side } from '../body/axis.ts';
import { type Muscle, MUSCLES } from '../body/muscle.ts';
import type { Stretched, Work } from './work.ts';

/** A week's stretch of one muscle group. */
export const STRETCH_SEC = 300;

export interface Load {
	/** N·m of the hard point, times repetitions; of both legs at once, of one. */
	readonly knee: number;
	readonly hip: number;
	readonly back: number;
}

export interface Budget {
	readonly stretch: readonly {
		readonly muscle: Stretched;
		readonly seconds: Readonly<Record<Side, number>>;
	}[];
	readonly sets: readonly { readonly muscle: Muscle; readonly sets: number }[];
	readonly load: Load;
	/** Exercises whose movement is not solved. */
	readonly uncounted: readonly string[];
}

/** An exercise with how often it is done. */
export interface Done {
	readonly work: Work;
	readonly times: number;
}

const sidesOf = ({ sides }: Work): readonly Side[] => (sides === 'both-at-once' ? SIDES : sides);
const STRENGTH: ReadonlySet<Work['role']> = new Set<Work['role']>(['power', 'main', 'accessory', 'finisher']);
const SOLVED = ['knee', 'hip', 'back'] as const;

/** Seconds one doing stretches each side; breaths are counted as six seconds. */
function stretchSec({ dose, particulars }: Work): number {
	if (particulars.blockMin !== undefined) return (particulars.blockMin * 60) / 2;
	const each = dose.unit === 'breaths' ? 6 : dose.unit === 'sec' ? 1 : (particulars.holdSec ?? 2);
	return dose.sets * dose.reps * each;
}

export function budgetOf(done: readonly Done[]): Budget {
	const stretch = new Map<Stretched, Record<Side, number>>();
	const sets = new Map<Muscle, number>();
	const load = { knee: 0, hip: 0, back: 0 };
	const uncounted = new Set<string>();
	for (const { work, times } of done) {
		for (const m of work.stretches) {
			const seconds = stretch.get(m) ?? { left: 0, right: 0 };
			for (const side of sidesOf(work)) seconds[side] += times * stretchSec(work);
			stretch.set(m, seconds);
		}
		if (!STRENGTH.has(work.role)) continue;
		for (const m of work.muscles) sets.set(m, (sets.get(m) ?? 0) + times * work.dose.sets);
		if (SOLVED.every((j) => work.moments[j] === undefined)) uncounted.add(work.title);
		const reps = times * work.dose.sets * (work.dose.unit === 'sec' ? 1 : work.dose.reps);
		for (const j of SOLVED) load[j] += reps * (work.moments[j] ?? 0);
	}
	return {
		stretch: [...stretch].map(([muscle, seconds]) => ({ muscle, seconds })),
		sets: MUSCLES.filter((m) => sets.has(m)).map((muscle) => ({ muscle, sets: sets.get(muscle) ?? 0 })),
		load: {
			knee: Math.round(load.knee),
			hip: Math.round(load.hip),
			back: Math.round(load.back)
		},
		uncounted: [...uncounted]
	};
}

/** Change from last week in per cent; null where there was none to compare with. */
export const changePct = (now: number, before: number): number | null =>
	before <= 0 ? null : Math.round((100 * (now - before)) / before);
