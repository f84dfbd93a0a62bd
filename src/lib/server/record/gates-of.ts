/** What a client has shown, the gates it meets, and the next edges of a step. */
import { loadsItself, startLoad } from '#lib/core/dose/racks.ts';
import { TEST_SHOWS } from '#lib/catalogue/test-shows.ts';
import type { NextStep } from '#lib/core/decision/input.ts';
import { type Step, stepAnywhere, stepOf } from '#lib/core/exercise/family.ts';
import type { FitContext } from '#lib/core/movement/context.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { type GateFacts, gateState, type GateState, type Shown } from '#lib/core/fit/gate.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { shownIn } from '#lib/core/session/shown.ts';
import { gateText } from '#lib/wording/gates.ts';
import { racksOf, usualNow } from './facts-of.ts';
import { givenUnder, oncePerRecord } from './found-once.ts';
import type { ClientRecord } from './load.ts';

/** What the function tests show of steps: seconds of a stance. */
const shownByTests = (r: ClientRecord): readonly Shown[] =>
	r.tests.flatMap((x) =>
		TEST_SHOWS.filter((s) => s.test === x.test).flatMap((s): Shown[] => {
			const seconds = s.from === 'value' ? x.value : x.extras[s.from];
			return seconds === undefined
				? []
				: [{ step: s.step, side: x.side ?? 'both', cleanReps: [seconds], effortMax: undefined }];
		})
	);

/** What has been shown on each step, for gates: in sessions that were seen, and in tests. */
export const shownOf = oncePerRecord((r): readonly Shown[] => shownByTests(r).concat(shownInSessions(r)));

const shownInSessions = (r: ClientRecord): readonly Shown[] =>
	r.logs.flatMap((l) => {
		const found = givenUnder(r, l);
		if (found === undefined) return [];
		const { region, side } = found.exercise;
		const most = Math.max(usualNow(r, region, l.session.date), r.policy.safeMax);
		return shownIn(found.prescription.step, side, l.session, { region, most });
	});

/** What gates are judged in: technique, clearances, doses of the catalogue. */
export const gateFactsOf = (r: ClientRecord): GateFacts => ({
	...(r.head.setting.technique === null ? {} : { technique: r.head.setting.technique }),
	clearances: r.head.setting.clearances,
	targetOf: (step) => stepAnywhere(r.families, step)?.usualDose.target
});

export const gatesOf = (r: ClientRecord, step: Step, shown = shownOf(r)): readonly GateState[] =>
	step.gates.map((g) => gateState(g, shown, gateFactsOf(r)));

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
		const gates = gatesOf(r, to, shown);
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
