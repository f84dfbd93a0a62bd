/** What a client's week is made of: what stands of the plan as work, what they can warm up and cool down with, and what they did in the last seven days. */
import { COOL_DOWN, ISOLATED, STRETCHES, WARM_UPS } from '#lib/catalogue/week.ts';
import { addDays, type Day } from '#lib/core/base/calendar-day.ts';
import { asChosen } from '#lib/core/exercise/choice.ts';
import { type ExerciseFamily, servesOf, type Step, stepOf } from '#lib/core/exercise/family.ts';
import { inOrder } from '#lib/core/exercise/plan-order.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { askedBy } from '#lib/core/movement/of-step.ts';
import { budgetOf, type Load } from '#lib/core/plan/budget.ts';
import { aloneId, idOf, type SignedWeek } from '#lib/core/plan/signed-week.ts';
import { workOf } from '#lib/core/plan/work-of.ts';
import type { Work } from '#lib/core/plan/work.ts';
import { closedFor } from '#lib/core/safety/closed.ts';
import type { Exercise } from '../repo/exercise-repo.ts';
import { effectiveChain } from './effective-chain.ts';
import { treatsBack } from './facts-of.ts';
import { fitContextOf, standingFactsOf, standingOf } from './fit-of.ts';
import { givenUnder } from './found-once.ts';
import { unmetGates } from './gates-of.ts';
import type { ClientRecord } from './load.ts';

const PLACINGS = { stretches: STRETCHES, isolated: ISOLATED };

/** The work of a prescription of an exercise; undefined where its step is no longer known. */
function workOfGiven(
	r: ClientRecord,
	e: Exercise,
	given: Pick<Exercise['prescriptions'][number], 'step' | 'setup' | 'dose' | 'particulars' | 'snapshot'>,
	today: Day
): Work | undefined {
	const family = r.families[e.family];
	const step = family === undefined ? undefined : stepOf(family, given.step);
	if (family === undefined || step === undefined) return undefined;
	const chosen = asChosen(step, given.setup?.chosen);
	const { dose, particulars, snapshot, setup } = given;
	return workOf(
		{
			...{ id: e.id, title: snapshot.title, family, step: chosen, purpose: e.purpose, side: e.side },
			...{ dose, particulars, moments: askedBy(chosen, fitContextOf(r, today, e.side), setup).moments }
		},
		PLACINGS
	);
}

/** Exercises that are done: in use, and not held. */
export const doneNow = (r: ClientRecord, today: Day): readonly Exercise[] =>
	r.exercises.filter(
		(e) =>
			effectiveChain(e.prescriptions).head.state === 'active' &&
			standingOf(r, e, today)?.verdict !== 'suspended'
	);

/** In the order of the plan, as far as it was arranged by hand. */
export const workIn = (r: ClientRecord, today: Day): readonly Work[] =>
	inOrder(
		doneNow(r, today).map((e) => ({ ...e, exerciseId: e.id })),
		r.head.planOrder?.groups ?? null
	).flatMap((e) => workOfGiven(r, e, effectiveChain(e.prescriptions).head, today) ?? []);

/** Nothing closes it, and it fits as it is: what may be done without being prescribed. */
function isOpen(r: ClientRecord, family: ExerciseFamily, step: Step, today: Day): boolean {
	const fit = fitStep(step, fitContextOf(r, today));
	if (fit.verdict !== 'fits' && fit.verdict !== 'set-up') return false;
	const given = { family, step, setup: setupFor(step, fit, r.body), loadKg: 0, since: today };
	const unmet = unmetGates(r, family, step, '', today);
	return (
		closedFor(given, false, {
			...standingFactsOf(r, today, family, step, null),
			unmet,
			treatsBack: treatsBack(r)
		}).length === 0
	);
}

function aloneOf(r: ClientRecord, id: string, seconds: number | undefined, today: Day): Work | undefined {
	const family = Object.values(r.families).find((f) => stepOf(f, id) !== undefined);
	const step = family === undefined ? undefined : stepOf(family, id);
	if (family === undefined || step === undefined || !isOpen(r, family, step, today)) return undefined;
	const counted = step.counts === undefined || step.counts === 'reps' ? {} : { unit: step.counts };
	const amount = { sets: 1, reps: seconds ?? step.usualDose.start.reps };
	return workOf(
		{
			...{ id: aloneId(family.id, step.id), title: step.title, family, step, side: null, particulars: {} },
			purpose: servesOf(family, step)[0] ?? family.id,
			dose: { school: 'sets-first', ...amount, loadKg: 0, target: amount, ...counted },
			moments: {}
		},
		PLACINGS
	);
}

/** What this client may warm up with: of each, the first that is open to them, which is the one without impact where they are not cleared. */
export const warmUpsOf = (r: ClientRecord, today: Day): readonly Work[] =>
	WARM_UPS.flatMap(({ steps, seconds }) => {
		for (const id of steps) {
			const work = aloneOf(r, id, seconds, today);
			if (work !== undefined) return [{ ...work, role: 'warm-up' as const }];
		}
		return [];
	});

const COOL_DOWN_SEC = 30;
export const coolDownsOf = (r: ClientRecord, today: Day): readonly Work[] =>
	COOL_DOWN.flatMap((id) => aloneOf(r, id, COOL_DOWN_SEC, today) ?? []);

/** What the sessions of the last seven days asked of knee, hip and back, as they were done. */
export function lastWeekLoad(r: ClientRecord, today: Day): Load {
	const from = addDays(today, -6);
	return budgetOf(
		r.logs.flatMap((l) => {
			if (l.session.date < from || l.session.date > today) return [];
			const found = givenUnder(r, l);
			const work =
				found === undefined ? undefined : workOfGiven(r, found.exercise, found.prescription, today);
			if (work === undefined) return [];
			const { sets } = l.session;
			const reps = sets.reduce((sum, s) => sum + s.reps, 0) / Math.max(1, sets.length);
			return [{ work: { ...work, dose: { ...work.dose, sets: sets.length, reps } }, times: 1 }];
		})
	).load;
}

/** What each exercise that is done stands as: by its prescription. */
export const standingAs = (r: ClientRecord, today: Day): Readonly<Record<string, string>> =>
	Object.fromEntries(doneNow(r, today).map((e) => [e.id, effectiveChain(e.prescriptions).head.id]));

/** The signed week as work: what has gone from the plan, or is no longer open, is passed over. */
export function signedTurns(
	week: Pick<SignedWeek, 'days'>,
	work: ReadonlyMap<string, Work>
): readonly { readonly weekday: number; readonly turns: readonly (readonly Work[])[] }[] {
	return week.days.map(({ weekday, turns }) => ({
		weekday,
		turns: turns.map((turn) => turn.flatMap((x) => work.get(idOf(x)) ?? [])).filter((turn) => turn.length > 0)
	}));
}
