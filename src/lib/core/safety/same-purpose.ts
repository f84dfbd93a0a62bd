/**
 * Other ways of the same purpose that fit now and stand at an entry of their ladder, or near it: what is offered by name when nothing of the own
 * ladder fits. Gentler ones first, so that a substitute is never a leap.
 */
import { servesOf, type ExerciseFamily, type Step } from '../exercise/family.ts';
import type { FitContext } from '../movement/context.ts';
import { fitSteps, type StepFit } from '../fit/fit.ts';
import { passes } from '../fit/open.ts';
import { hardness } from '../fit/substitutes.ts';

export interface OtherWay {
	readonly family: string;
	readonly step: Step;
	readonly fit: StepFit;
}

/** Steps without gates ask for nothing that was not shown yet; best match of what it is mainly for first, then the nearest from below. */
export function samePurpose(
	family: ExerciseFamily,
	step: Step,
	families: readonly ExerciseFamily[],
	ctx: FitContext
): readonly OtherWay[] {
	const wanted = servesOf(family, step);
	const level = hardness(step);
	const rank = (f: ExerciseFamily, s: Step): number => wanted.findIndex((p) => servesOf(f, s).includes(p));
	return families
		.filter((f) => f.id !== family.id)
		.flatMap((f) => {
			const entries = f.steps.filter(
				(s) =>
					s.gates.length === 0 && s.retired === undefined && rank(f, s) >= 0 && hardness(s) <= level + 1e-9
			);
			return fitSteps(entries, ctx).flatMap((fit) => {
				const found = f.steps.find((s) => s.id === fit.step);
				return found === undefined || !passes(fit)
					? []
					: [{ family: f.id, step: found, fit, rank: rank(f, found), gap: level - hardness(found) }];
			});
		})
		.sort((a, b) => a.rank - b.rank || a.gap - b.gap || (a.step.id < b.step.id ? -1 : 1));
}
