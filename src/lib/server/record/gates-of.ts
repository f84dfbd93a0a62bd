/** The gates a client meets, and the next edges of a step. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { loadsItself, startLoad } from '#lib/core/dose/racks.ts';
import type { NextStep } from '#lib/core/decision/input.ts';
import { type ExerciseFamily, type Step, stepOf } from '#lib/core/exercise/family.ts';
import type { FitContext } from '#lib/core/movement/context.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { gateState, type GateState } from '#lib/core/fit/gate.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { asksGates, type ClosedFacts, farthestOn } from '#lib/core/safety/closed.ts';
import { gateText } from '#lib/wording/gates.ts';
import { stageBefore } from './course-of.ts';
import { racksOf, stepsOn } from './facts-of.ts';
import type { ClientRecord } from './load.ts';
import { gateFactsOf, shownOf } from './shown-of.ts';

/** The gates of a step with whether they are met; a stage of the client's course that comes before it is one of them. */
export function gatesOf(r: ClientRecord, step: Step, today: Day, shown = shownOf(r)): readonly GateState[] {
	const own = step.gates.map((g) => gateState(g, shown, gateFactsOf(r)));
	const before = stageBefore(r, today, step.id);
	if (before === undefined) return own;
	const { course, stage } = before;
	const gate = { kind: 'stage', course: course.title, stage: stage.title } as const;
	return [...own, { gate, met: false, shown: 'not every step of it clean' }];
}

/** The load a step begins with: its own, or the next lighter that there is. */
function firstLoad(to: Step, r: ClientRecord): number {
	const kg = to.posture.load?.kg ?? 0;
	return loadsItself(to.equipment) ? kg : startLoad(kg, racksOf(r));
}

/** The next edges of a step, each with its fit and its gates. */
export function nextStepsOf(
	r: ClientRecord,
	step: Step,
	family: string,
	ctx: FitContext
): readonly NextStep[] {
	const ladder = r.families[family];
	if (ladder === undefined) return [];
	const shown = shownOf(r);
	return step.next.flatMap((e): NextStep[] => {
		const to = stepOf(ladder, e.to);
		if (to === undefined) return [];
		const fit = fitStep(to, ctx);
		const gates = gatesOf(r, to, ctx.today, shown);
		const closed = gates.find((g) => !g.met);
		return [
			{
				step: to.id,
				dial: e.dial,
				verdict: fit.verdict,
				gateOpen: closed === undefined,
				...(closed === undefined ? {} : { gate: gateText(closed) }),
				start: to.usualDose.start,
				target: to.usualDose.target,
				...(to.counts === undefined || to.counts === 'reps' ? {} : { unit: to.counts }),
				loadKg: firstLoad(to, r),
				setup: setupFor(to, fit, ctx.body),
				...(fit.unlock !== null && 'measure' in fit.unlock ? { measure: fit.unlock.measure } : {}),
				limiting: fit.limiting.map(({ axis, side, short }) => ({ axis, side, short }))
			}
		];
	});
}

/** Gates that are not met, of a step farther than what the region has reached on this ladder. */
export function unmetGates(
	r: ClientRecord,
	family: ExerciseFamily,
	step: Step,
	region: string,
	today: Day
): ClosedFacts['unmet'] {
	if (!asksGates(family, step.id, farthestOn(family, stepsOn(r, family.id, region)))) return [];
	return gatesOf(r, step, today)
		.filter((g) => !g.met)
		.map((g) => ({ gate: g.gate, text: gateText(g) }));
}
