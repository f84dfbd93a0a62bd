/**
 * Ways back that are not simply the step before: by what it comes from, by technique, by a sore front of the knee; some lead to another ladder. One table,
 * read from the row. The first that suits and fits goes before the easier step.
 * @source common-practice every row
 */
import type { Back, Cause, ExerciseFamily } from '../core/exercise/family.ts';

const ids = (...lines: readonly string[]): readonly string[] => lines.flatMap((l) => l.split(' '));

const PAIN: readonly Cause[] = ['pain-late', 'pain-early', 'pain-loaded', 'pain', 'joint', 'guarding'];

interface Row {
	readonly steps: readonly string[];
	readonly back: Back;
}

export const WAYS_BACK: readonly Row[] = [
	// A sore side lunge goes to the held one, never to a stride with bent toes.
	{ steps: ids('side-lunge goblet-side-lunge'), back: { to: 'held-side-lunge', for: PAIN } },
	{ steps: ids('long-arc cuff-long-arc leg-extension'), back: { to: 'short-arc', frontOfKnee: false } },
	{ steps: ids('long-arc cuff-long-arc leg-extension'), back: { to: 'mid-arc', frontOfKnee: true } },
	// Whose planted leg wobbles stands first: balance, then the calf.
	{
		steps: ids('standing-abduction banded-standing-abduction standing-hip-extension standing-curl'),
		back: { to: 'single-leg-stance', for: ['wobble'] }
	},
	{
		steps: ids('standing-abduction banded-standing-abduction standing-hip-extension standing-curl'),
		back: { to: 'heel-raise', for: ['wobble'] }
	},
	{
		steps: ids('free-squat goblet-squat shoulder-loaded-squat'),
		back: { to: 'stacked-short-squat', technique: 'stacked', for: ['back', 'arching', 'trunk'] }
	},
	{
		steps: ids('hinge-loaded straight-knee-hinge-loaded'),
		back: { to: 'hands-on-thighs-hinge', for: ['back'] }
	},
	{ steps: ids('squat-jump split-jump'), back: { to: 'jog', for: ['landing'] } },
	{ steps: ids('machine-prone-curl'), back: { to: 'seated-curl' } }
];

/** A ladder whose steps know their ways back. */
export const backIn = (family: ExerciseFamily): ExerciseFamily => ({
	...family,
	steps: family.steps.map((s) => {
		const back = WAYS_BACK.filter((r) => r.steps.includes(s.id)).map((r) => r.back);
		return back.length === 0 ? s : { ...s, back };
	})
});
