/**
 * Where a sore bend is begun. Bending is built, never taken away for good: the position it hurts in is the place to enter, one step gentler. Pain only late
 * in the way leaves the position and stops short of it; pain from the start, or with a weight, takes the step before that fits.
 * @source common-practice
 */
import { stepOf, type ExerciseFamily } from '../exercise/family.ts';
import type { FitContext, SolvedSetup } from '../movement/context.ts';
import { fitStep, type StepFit } from './fit.ts';
import { gentlerNotches, setupFor } from './gentler.ts';
import { passes } from './open.ts';

/** A ladder most of whose steps bend from the hips: a practice's own too. */
export const isOfBending = (family: ExerciseFamily): boolean =>
	family.steps.filter((s) => s.posture.movement === 'hinge').length > family.steps.length / 2;

export const BEND_HURTS = ['early', 'late'] as const;

export interface SoreBend {
	/** The step it hurts in. */
	readonly at: string;
	readonly when: (typeof BEND_HURTS)[number];
}

export interface Entry {
	readonly step: string;
	readonly setup: SolvedSetup;
	/** The same step stopped short, the step before, or where nothing before it fits the gentlest there is. */
	readonly by: 'shorter' | 'step-before' | 'gentlest';
}

/** Null where no step of the ladder fits this client, or where it hurts is no step of it. */
export function enterSoreBend(family: ExerciseFamily, { at, when }: SoreBend, ctx: FitContext): Entry | null {
	const sore = stepOf(family, at);
	if (sore === undefined) return null;
	const own = fitStep(sore, ctx);
	const unloaded = sore.posture.load === undefined;
	if (when === 'late' && unloaded && passes(own)) {
		const shorter = gentlerNotches(sore, setupFor(sore, own, ctx.body), undefined, ctx).find(
			(n) => n.choice === undefined
		);
		if (shorter !== undefined) return { step: sore.id, setup: shorter.setup, by: 'shorter' };
	}
	const before = stepsBefore(family, sore.easier).map((s) => [s, fitStep(s, ctx)] as const);
	const entry = before.find(([, fit]) => passes(fit));
	if (entry !== undefined)
		return { step: entry[0].id, setup: setupFor(entry[0], entry[1], ctx.body), by: 'step-before' };
	const gentlest = family.steps
		.map((s) => [s, fitStep(s, ctx)] as const)
		.find(([s, fit]: readonly [(typeof family.steps)[number], StepFit]) => s.easier === null && passes(fit));
	return gentlest === undefined
		? null
		: { step: gentlest[0].id, setup: setupFor(gentlest[0], gentlest[1], ctx.body), by: 'gentlest' };
}

/** The steps before one, nearest first. */
function stepsBefore(family: ExerciseFamily, first: string | null): ExerciseFamily['steps'] {
	const out: ExerciseFamily['steps'][number][] = [];
	for (let id = first; id !== null;) {
		const s = stepOf(family, id);
		if (s === undefined || out.includes(s)) break;
		out.push(s);
		id = s.easier;
	}
	return out;
}
