/**
 * How steps are usually done besides sets and repetitions: one table, read from the row. A prescription that is new begins with it; a practitioner changes
 * what does not suit.
 * @source common-practice every row
 */
import type { ExerciseFamily, Usually } from '../core/exercise/family.ts';

const ids = (...lines: readonly string[]): readonly string[] => lines.flatMap((l) => l.split(' '));

interface Row {
	readonly steps: readonly string[];
	readonly usually: Usually;
}

export const USUALLY: readonly Row[] = [
	{ steps: ids('pillow-squeeze hook-squeeze wall-press'), usually: { holdSec: 4, effortPct: 55 } },
	{ steps: ids('ninety-ninety'), usually: { blockMin: 10 } },
	{ steps: ids('stick-lunge-1 stick-lunge-2 stick-lunge-3'), usually: { restSec: 20 } },
	{ steps: ids('pelvic-floor-squeeze'), usually: { holdSec: 3 } },
	{
		steps: ids('leg-extension seated-curl prone-curl cuff-prone-curl machine-prone-curl standing-curl'),
		usually: { tempo: '3-1-2-0' }
	},
	{
		steps: ids('slow-heels-raised-squat heels-raised-single-leg-squat'),
		usually: { tempo: '4-0-4-0' }
	},
	{ steps: ids('arm-set'), usually: { holdSec: 4 } },
	{ steps: ids('heel-slide'), usually: { holdSec: 5 } }
];
/** Strength of the knee two or three days a week, of the hip every other day. */
const DAYS: Readonly<Record<string, number>> = {
	'knee-extension': 3,
	'knee-flexion': 3,
	abduction: 3,
	adduction: 3
};

/** A ladder whose steps say how they are usually done. */
export const usuallyIn = (family: ExerciseFamily): ExerciseFamily => ({
	...family,
	steps: family.steps.map((s) => {
		const own = USUALLY.find((r) => r.steps.includes(s.id))?.usually;
		const daysPerWeek = DAYS[family.id];
		const usually = { ...(daysPerWeek === undefined ? {} : { daysPerWeek }), ...own };
		return Object.keys(usually).length === 0 ? s : { ...s, usually };
	})
});
