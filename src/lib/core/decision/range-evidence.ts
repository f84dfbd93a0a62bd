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

interface After {
	readonly settled: boolean;
	readonly usual: number;
}

/** Was the next morning settled, with swelling asked and none? Sessions of one region and day are answered once. */
function settledAfter(facts: LogFacts): (w: LoggedWork) => After {
	const regions = new Map<Region, { readonly series: MorningSeries; readonly days: Map<number, After> }>();
	const { mornings, intake, policy, today } = facts;
	return ({ session, region }) => {
		let known = regions.get(region);
		if (known === undefined) {
			const series = morningSeries(mornings, region, intake[region]?.intake, policy.morningRule, today);
			regions.set(region, (known = { series, days: new Map() }));
		}
		const n = dayNumber(session.date);
		const found = known.days.get(n);
		if (found !== undefined) return found;
		const { series } = known;
		const usual = series.usualOn(n).value;
		const settled =
			series.at.get(n + 1)?.swelling === 'none' && morningKind(series, n + 1, usual, policy) === 'settled';
		const after = { settled, usual };
		known.days.set(n, after);
		return after;
	};
}

/** What is the same for all sessions in one set-up of a step. */
interface Alike {
	/** What it asks at least, on the axis of each region. */
	readonly least: Demand;
	readonly like: string;
}

/** Many sessions were done in one set-up: what holds of it is worked out once. */
function alikeOnce({ ctx }: LogFacts): (w: LoggedWork) => Alike {
	const known = new Map<SolvedSetup | null, Map<Step, Alike>>();
	return ({ step, setup }) => {
		let bySteps = known.get(setup);
		if (bySteps === undefined) known.set(setup, (bySteps = new Map()));
		const found = bySteps.get(step);
		if (found !== undefined) return found;
		const technique = techniqueFor(step, ctx.technique, ctx.teach) ?? 'ordinary';
		const alike = {
			least: leastAsked(step, ctx, setup),
			like: `${step.posture.movement}|${technique}|${step.posture.load === undefined ? 'free' : 'loaded'}`
		};
		bySteps.set(step, alike);
		return alike;
	};
}

/** What one session says of range, by facts that many share. */
export function evidenceBy(facts: LogFacts): (w: LoggedWork) => readonly RangeEvidence[] {
	const after = settledAfter(facts);
	const alike = alikeOnce(facts);
	return (w) => {
		const axis = axisOfRegion(w.region);
		// Nobody saw the shank: a set-up shows no more than the most sparing way of it.
		const { least, like } = alike(w);
		const demand = least[axis];
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
			like
		};
		return sidesOf(w.region).map((side) => ({ ...evidence, side }));
	};
}

/** Seen doing it, safe by the policy and settled: overrides the model, never a protocol limit. */
export function seenBy(facts: LogFacts): (w: LoggedWork) => readonly Observed[] {
	const after = settledAfter(facts);
	return (w) => {
		const { settled, usual } = after(w);
		const peak = painIn(w.session, w.region)?.peak;
		const safe = facts.policy.safeWithinUsual ? Math.min(facts.policy.safeMax, usual) : facts.policy.safeMax;
		if (!w.session.observed || !settled || peak === undefined || peak > safe) return [];
		const done = lengthIn(w.setup);
		return [{ step: w.step.id, date: w.session.date, setup: done === null ? {} : { [done.of]: done.value } }];
	};
}
