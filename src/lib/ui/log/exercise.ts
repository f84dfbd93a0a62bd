/** An exercise as the log page has it, once something is prescribed. */
import { setupText } from '#lib/wording/setup.ts';
import { kgText } from '#lib/wording/units.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';
import type { SolvedSetup } from '#lib/core/movement/context.ts';
import type { Symptom } from '#lib/core/session/record.ts';

/** What is prescribed of it now. */
interface Head {
	readonly id: string;
	readonly dose: PrescribedDose;
	readonly setup: SolvedSetup | null;
	readonly state: string;
	readonly particulars: Particulars;
	/** Hold, tempo and the rest of it, in words. */
	readonly how: readonly string[];
	readonly snapshot: {
		readonly title: string;
		readonly cues: readonly string[];
		readonly cautions: readonly string[];
		readonly faults: readonly { readonly id: string; readonly title: string }[];
	};
}

export interface FaultView {
	readonly from: string | null;
	readonly faults: readonly { readonly id: string; readonly title: string }[];
}

export interface ExerciseToLog {
	readonly id: string;
	readonly region: string;
	readonly purpose: string;
	readonly ids: { readonly id: string; readonly visitId: string };
	readonly head: Head;
	/** The dose of a lighter day. */
	readonly today: PrescribedDose | null;
	readonly lighter: boolean;
	/** Pain that the arrival card said. */
	readonly now: number | null;
	readonly needs: readonly string[];
	/** Faults by the place they are seen from. */
	readonly views: readonly FaultView[];
	readonly known: readonly Symptom[];
	readonly upright: string;
	/** It is a stretch. */
	readonly stretch: boolean;
	/** Which leg works and which is logged beside it. */
	readonly legs: { readonly own: string; readonly other: string } | null;
	readonly held: { readonly by: string; readonly text: string } | null;
}

export const isPrescribed = <E extends { readonly head: unknown }>(
	e: E
): e is E & { readonly head: NonNullable<E['head']> } => e.head !== null;

/** The dose of today: of a lighter day, where the arrival card says so. */
export const doseToday = (e: ExerciseToLog) => ({ ...e.head.dose, ...(e.today ?? {}) });

/** "2 × 10 · 8 kg · seat 47 cm". */
export function doseLine(e: ExerciseToLog): string {
	const { sets, reps, unit } = doseToday(e);
	const counted = unit === undefined ? '' : unit === 'sec' ? ' s' : ` ${unit}`;
	const { loadKg } = e.head.dose;
	const setup = setupText(e.head.setup);
	return [
		`${sets} × ${reps}${counted}`,
		...(loadKg > 0 ? [kgText(loadKg)] : []),
		...(setup ? [setup] : [])
	].join(' · ');
}

/** What holds an exercise today; what was done all the same is still logged. */
export const heldToday = (e: ExerciseToLog): { readonly by: string; readonly text: string } | null =>
	e.head.state === 'stopped'
		? { by: 'slip', text: 'Stopped: a licensed user clears it first.' }
		: e.head.state === 'set-aside'
			? { by: 'slip', text: 'Set aside.' }
			: e.held;
