/** The fit context of a client, and whether what stands still holds in it. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Side } from '#lib/core/body/axis.ts';
import { type ExerciseFamily, type Step, stepOf } from '#lib/core/exercise/family.ts';
import type { FitContext, SolvedSetup } from '#lib/core/movement/context.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { samePurpose } from '#lib/core/safety/same-purpose.ts';
import {
	type Break,
	breaksOf,
	type Standing,
	standing,
	type StandingFacts
} from '#lib/core/safety/standing.ts';
import type { Exercise } from '../repo/exercise-repo.ts';
import { contextOf } from './context-of.ts';
import { effectiveChain } from './effective-chain.ts';
import { envelopeOf, seenOf } from './evidence-of.ts';
import { oncePerDay } from './found-once.ts';
import type { ClientRecord } from './load.ts';

const contextWithout = oncePerDay((r, today): FitContext => ({
	...contextOf(r, envelopeOf(r, today), today, r.head.setting.technique),
	observed: seenOf(r, today)
}));
const contextOfSide = oncePerDay(
	(r, today, side: Side): FitContext => ({ ...contextWithout(r, today), side }),
	(side) => side
);

/** The fit context of a record today; for the work of one side, that side. Made once: what is remembered with a context is found again. */
export const fitContextOf = (r: ClientRecord, today: Day, side?: Side | null): FitContext =>
	side === undefined || side === null ? contextWithout(r, today) : contextOfSide(r, today, side);

/** What standing work is judged in, for one side. */
export const standingFactsOf = (
	r: ClientRecord,
	today: Day,
	family: ExerciseFamily,
	step: Step,
	side: Side | null | undefined
): StandingFacts => {
	const ctx = fitContextOf(r, today, side);
	return {
		ctx,
		clearances: r.head.setting.clearances,
		substitutes: () => samePurpose(family, step, Object.values(r.families), ctx)
	};
};

const standingOn = oncePerDay(
	(r, today, exercise: Exercise): Standing | null => {
		const { head } = effectiveChain(exercise.prescriptions);
		const family = r.families[exercise.family];
		const step = family === undefined ? undefined : stepOf(family, head.step);
		if (family === undefined || step === undefined) return null;
		const { setup, dose, day: since, passedOver } = head;
		return standing(
			{ family, step, setup, loadKg: dose.loadKg, since, passedOver },
			standingFactsOf(r, today, family, step, exercise.side)
		);
	},
	(exercise) => exercise.id
);

/** Does what stands of an exercise still hold? Null where its step is no longer known. Judged once a record and day. */
export const standingOf = (r: ClientRecord, exercise: Exercise, today: Day): Standing | null =>
	standingOn(r, today, exercise);

/** What would break a prescription of this exercise, what was passed over left out. */
export function breaksIn(
	r: ClientRecord,
	exercise: Exercise,
	today: Day,
	to: { readonly step: string; readonly dose: { readonly loadKg: number }; readonly setup?: SolvedSetup }
): readonly Break[] {
	const family = r.families[exercise.family];
	const step = family === undefined ? undefined : stepOf(family, to.step);
	if (family === undefined || step === undefined) return [];
	const { head } = effectiveChain(exercise.prescriptions);
	return breaksOf(
		{
			family,
			step,
			setup: to.setup ?? null,
			loadKg: to.dose.loadKg,
			since: head.day,
			passedOver: head.passedOver
		},
		standingFactsOf(r, today, family, step, exercise.side)
	).breaks;
}

/** Would a prescription of this exercise stand: this step, this set-up, this load? */
export function wouldStand(
	r: ClientRecord,
	exercise: Exercise,
	today: Day,
	to: { readonly step: Step; readonly setup: SolvedSetup | null; readonly loadKg: number }
): boolean {
	const family = r.families[exercise.family];
	if (family === undefined) return false;
	const { head } = effectiveChain(exercise.prescriptions);
	const facts = standingFactsOf(r, today, family, to.step, exercise.side);
	if (breaksOf({ family, ...to, since: head.day, passedOver: head.passedOver }, facts).breaks.length > 0)
		return false;
	return to.step.id === head.step || fitStep(to.step, facts.ctx).verdict !== 'blocked';
}
