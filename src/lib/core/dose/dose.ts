/**
 * Dosing schools of this version: what the next dose is, once the decision is advance. Pure tables; pain, form and readiness are
 * judged elsewhere.
 *
 * Sets first: reps to their target, then one set at a time (1×10 → 2×10 → 3×10). @source common-practice
 * Double progression: reps to the top of the range on every set, then the nearest load 2–10 % heavier with reps back at the
 * bottom; where the rack has none, reps go on. @source acsm-2009 the 2–10 % step (from memory)
 * Rounds: small exercises done one after the other as a round, reps to their target, then rounds 1 → 3 → 5. @source common-practice
 */
export const DOSE_SCHOOLS = ['sets-first', 'double-progression', 'rounds'] as const;
export type DoseSchool = (typeof DOSE_SCHOOLS)[number];

export interface PrescribedDose {
	readonly school: DoseSchool;
	/** Of the rounds school, rounds. */
	readonly sets: number;
	readonly reps: number;
	readonly loadKg: number;
	readonly target: { readonly sets: number; readonly reps: number };
	/** What is counted, where it is not repetitions. */
	readonly unit?: 'sec' | 'steps' | 'breaths';
	/** Bottom of the rep range, double progression only; default 8. */
	readonly repsLow?: number;
}

const REP_NOTCHES = [3, 5, 8, 10, 12, 15, 20] as const;
/** Reps may go this far past their target where the rack has no next load. */
const REPS_PAST_TARGET = 5;

/** The next dose, or null when this step's dose is complete. */
export function nextDose(dose: PrescribedDose, rackKg: readonly number[] = []): PrescribedDose | null {
	switch (dose.school) {
		case 'sets-first':
			return setsFirst(dose);
		case 'double-progression':
			return doubleProgression(dose, rackKg);
		case 'rounds':
			return moreRounds(dose);
	}
}

const ROUND_NOTCHES = [1, 3, 5] as const;
/** Rounds go to five, whatever the step's usual sets. */
const MOST_ROUNDS = 5;

function moreRounds(dose: PrescribedDose): PrescribedDose | null {
	if (dose.reps < dose.target.reps) return nextReps(dose);
	const sets = ROUND_NOTCHES.find((n) => n > dose.sets);
	return sets === undefined || sets > MOST_ROUNDS ? null : { ...dose, sets };
}

function nextReps(dose: PrescribedDose): PrescribedDose {
	const { target } = dose;
	const reps = Math.min(REP_NOTCHES.find((n) => n > dose.reps) ?? target.reps, target.reps);
	// Many short sets grow into fewer longer ones: 5×2, 4×3, 3×5.
	const spread = Math.ceil(doseVolume(dose) / reps);
	const sets = dose.sets <= target.sets ? dose.sets : Math.max(target.sets, Math.min(dose.sets, spread));
	return { ...dose, sets, reps };
}

function setsFirst(dose: PrescribedDose): PrescribedDose | null {
	const { target } = dose;
	if (dose.reps < target.reps) return nextReps(dose);
	return dose.sets < target.sets ? { ...dose, sets: dose.sets + 1 } : null;
}

function doubleProgression(dose: PrescribedDose, rackKg: readonly number[]): PrescribedDose | null {
	if (dose.sets < dose.target.sets) return { ...dose, sets: dose.sets + 1 };
	if (dose.reps < dose.target.reps) return { ...dose, reps: dose.reps + 1 };
	if (dose.loadKg <= 0) return null;
	const heavier = nextLoad(dose.loadKg, rackKg);
	if (heavier !== undefined)
		return { ...dose, loadKg: heavier, reps: Math.min(dose.repsLow ?? 8, dose.target.reps) };
	return dose.reps < dose.target.reps + REPS_PAST_TARGET ? { ...dose, reps: dose.reps + 1 } : null;
}

/** The lightest item 2–10 % above; undefined where the rack has none. 6 kg with a 7 kg neighbour has none (+16.7 %). */
export function nextLoad(kg: number, rackKg: readonly number[]): number | undefined {
	return [...rackKg]
		.sort((a, b) => a - b)
		.find((item) => item >= kg * 1.02 - 1e-9 && item <= kg * 1.1 + 1e-9);
}

/** One notch gentler: a set fewer, or the rounds before, else about 60 % of the reps; null when nothing is left to take away. */
export function gentlerDose(dose: PrescribedDose): PrescribedDose | null {
	if (dose.school === 'rounds' && dose.sets > 1)
		return { ...dose, sets: ROUND_NOTCHES.findLast((n) => n < dose.sets) ?? 1 };
	if (dose.sets > 1) return { ...dose, sets: dose.sets - 1 };
	const reps = Math.max(3, Math.round(dose.reps * 0.6));
	return reps < dose.reps ? { ...dose, reps } : null;
}

/** A retry of a step that was left starts at 60 % of its dose. @source common-practice */
export function retryDose(dose: PrescribedDose): PrescribedDose {
	const work = Math.max(3, Math.round(dose.sets * dose.reps * 0.6));
	const sets = Math.max(1, Math.min(dose.sets, Math.floor(work / dose.reps) || 1));
	return { ...dose, sets, reps: Math.min(dose.reps, Math.max(3, Math.round(work / sets))) };
}

/** How much work a dose is, for comparing ambition: reps in all. */
export const doseVolume = (dose: { readonly sets: number; readonly reps: number }): number =>
	dose.sets * dose.reps;

const UNIT_SHORT = { sec: ' s', steps: ' steps', breaths: ' breaths' } as const;

/** "3×10", "5×45 s", "3×10 8 kg", "3 rounds of 10". */
export const doseText = (
	d: Pick<PrescribedDose, 'sets' | 'reps' | 'loadKg' | 'unit'> & Partial<Pick<PrescribedDose, 'school'>>
): string =>
	`${d.school === 'rounds' ? `${d.sets} ${d.sets === 1 ? 'round' : 'rounds'} of ` : `${d.sets}×`}${d.reps}${d.unit === undefined ? '' : UNIT_SHORT[d.unit]}${d.loadKg > 0 ? ` ${d.loadKg} kg` : ''}`;
