/**
 * What the log itself says of range: the demand of each logged set-up on the axis of the sore region, whether it was seen, whether
 * the next morning was settled by the policy (against usual as it was that day, not against the intake), and whether it hurt late in
 * the movement past the acceptable line.
 */
import { sidesOf } from '../body/region-side.ts';
import { dayNumber, type Day } from '../base/calendar-day.ts';
import type { Axis } from '../body/axis.ts';
import type { RangeEvidence } from '../client/envelope.ts';
import type { Step } from '../exercise/family.ts';
import { askedBy, errorOf, leastAsked } from '../movement/of-step.ts';
import { lengthIn, type FitContext, type Observed, type SolvedSetup } from '../movement/context.ts';
import type { Demand } from '../posture/verdict.ts';
import { techniqueFor } from '../movement/squat/stand.ts';
import type { Morning, Region, Session } from '../session/record.ts';
import { painIn } from '../session/work.ts';
import type { Policy } from './policy.ts';
import { morningKind } from './region.ts';
import { morningSeries, type MorningSeries } from './usual.ts';

/** One logged session with the step and set-up it was done in. */
export interface LoggedWork {
	readonly session: Session;
	readonly region: Region;
	readonly step: Step;
	readonly setup: SolvedSetup | null;
}

export interface LogFacts {
	readonly policy: Policy;
	readonly mornings: readonly Morning[];
	readonly intake: Readonly<Record<Region, { readonly intake?: number }>>;
	readonly today: Day;
	readonly ctx: FitContext;
}

const REGION_AXIS: Readonly<Record<string, Axis>> = {
	knee: 'kneeFlexion',
	hip: 'thighTrunkFlexion',
	back: 'thighTrunkFlexion',
	ankle: 'weightBearingDorsiflexion'
};

/** The axis a region's pain speaks of; the knee's where a region has none of its own. */
export const axisOfRegion = (region: Region): Axis =>
	REGION_AXIS[region.split('-')[0] as string] ?? 'kneeFlexion';

/** Degrees a set-up asks on the axis of a region, as it is taught; undefined where it asks nothing of it. */
export const demandOn = (
	region: Region,
	step: Step,
	setup: SolvedSetup | null,
	ctx: FitContext
): number | undefined => askedBy(step, ctx, setup).demand[axisOfRegion(region)];

/** Was the next morning settled, with swelling asked and none? */
function settledAfter(facts: LogFacts): (w: LoggedWork) => { settled: boolean; usual: number } {
	const series = new Map<Region, MorningSeries>();
	return ({ session, region }) => {
		let known = series.get(region);
		if (known === undefined)
			series.set(
				region,
				(known = morningSeries(
					facts.mornings,
					region,
					facts.intake[region]?.intake,
					facts.policy.morningRule,
					facts.today
				))
			);
		const n = dayNumber(session.date);
		const usual = known.usualOn(n).value;
		const settled =
			known.at.get(n + 1)?.swelling === 'none' &&
			morningKind(known, n + 1, usual, facts.policy) === 'settled';
		return { settled, usual };
	};
}

/** Many sessions were done in one set-up: what it asks at least is worked out once. */
function leastOnce(ctx: FitContext): (w: LoggedWork) => Demand {
	const known = new Map<SolvedSetup | null, Map<Step, Demand>>();
	return ({ step, setup }) => {
		let bySteps = known.get(setup);
		if (bySteps === undefined) known.set(setup, (bySteps = new Map()));
		const found = bySteps.get(step);
		if (found !== undefined) return found;
		const least = leastAsked(step, ctx, setup);
		bySteps.set(step, least);
		return least;
	};
}

export function rangeEvidence(work: readonly LoggedWork[], facts: LogFacts): readonly RangeEvidence[] {
	const after = settledAfter(facts);
	const least = leastOnce(facts.ctx);
	return work.flatMap((w): RangeEvidence[] => {
		const axis = axisOfRegion(w.region);
		// Nobody saw the shank: a set-up shows no more than the most sparing way of it.
		const demand = least(w)[axis];
		if (demand === undefined) return [];
		const evidence = {
			axis,
			date: w.session.date,
			demand,
			band: errorOf(axis, w.step, facts.ctx),
			observed: w.session.observed,
			settled: after(w).settled,
			painful:
				(painIn(w.session, w.region)?.peak ?? 0) > facts.policy.acceptableMax && w.session.painAt === 'late',
			like: `${w.step.posture.movement}|${techniqueFor(w.step, facts.ctx.technique, facts.ctx.teach) ?? 'ordinary'}|${w.step.posture.load === undefined ? 'free' : 'loaded'}`
		};
		return sidesOf(w.region).map((side) => ({ ...evidence, side }));
	});
}

/** Seen doing it, safe by the policy and settled: overrides the model, never a protocol limit. */
export function seenDoing(work: readonly LoggedWork[], facts: LogFacts): readonly Observed[] {
	const after = settledAfter(facts);
	return work.flatMap((w): Observed[] => {
		const { settled, usual } = after(w);
		const peak = painIn(w.session, w.region)?.peak;
		const safe = facts.policy.safeWithinUsual ? Math.min(facts.policy.safeMax, usual) : facts.policy.safeMax;
		if (!w.session.observed || !settled || peak === undefined || peak > safe) return [];
		const done = lengthIn(w.setup);
		return [{ step: w.step.id, date: w.session.date, setup: done === null ? {} : { [done.of]: done.value } }];
	});
}
