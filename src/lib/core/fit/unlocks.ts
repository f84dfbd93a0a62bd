/**
 * What a range would unlock: for each axis, the steps of the ladders in use that wait for its measurement or stand just
 * above it, and by how many degrees; and when each range is to be taken again.
 */
import { AXES, isMainAxis, SIDES, sidesOfAxis, type Axis, type Side } from '../body/axis.ts';
import { addDays, daysBetween, type Day } from '../base/calendar-day.ts';
import type { Envelope } from '../client/envelope.ts';
import type { FitRules } from '../movement/rules.ts';
import type { StepFit } from './fit.ts';

export interface Unlock {
	readonly axis: Axis;
	/** Steps that wait only for values of this axis, and the sides that have none, or only stale ones. */
	readonly byMeasuring: readonly string[];
	readonly sidesToMeasure: readonly Side[];
	/** Steps that would fit as they stand with so many degrees more on each side named, and nothing else in the way. */
	readonly byDegrees: readonly {
		readonly step: string;
		readonly degrees: { readonly [S in Side]?: number };
	}[];
}

/** One entry an axis that has something to give, most steps first. */
export function unlocks(fits: readonly StepFit[]): readonly Unlock[] {
	const open = fits.filter((f) => f.withheld.length === 0);
	const gives = (u: Unlock): number => u.byMeasuring.length + u.byDegrees.length;
	return AXES.map((axis) => unlockOf(axis, open))
		.filter((u) => gives(u) > 0)
		.sort((a, b) => gives(b) - gives(a));
}

function unlockOf(axis: Axis, fits: readonly StepFit[]): Unlock {
	const waiting = fits.filter((f) => f.unmeasured.length > 0 && f.unmeasured.every((u) => u.axis === axis));
	return {
		axis,
		byMeasuring: waiting.map((f) => f.step),
		sidesToMeasure: SIDES.filter((side) => waiting.some((f) => f.unmeasured.some((u) => u.side === side))),
		byDegrees: fits.flatMap((f) => {
			const over = f.limiting.filter((l) => l.short > 0);
			if (over.length === 0 || f.unmeasured.length > 0 || !over.every((l) => l.axis === axis)) return [];
			return [{ step: f.step, degrees: Object.fromEntries(over.map((l) => [l.side, Math.ceil(l.short)])) }];
		})
	};
}

export interface Retest {
	readonly axis: Axis;
	readonly side: Side;
	readonly due: Day;
	readonly overdueDays: number;
	readonly why: 'missing' | 'stale' | 'limiting' | 'routine';
}

/** Ranges that stand in the way are taken at half the time a range stays good. @source practice-setting */
const LIMITING_SHARE = 0.5;

/** When each range is to be taken again, soonest first. */
export function retestPlan(
	envelope: Envelope,
	fits: readonly StepFit[],
	rules: FitRules,
	today: Day
): readonly Retest[] {
	const limiting = new Set(
		fits.flatMap((f) => f.limiting.filter((l) => l.short > 0).map((l) => `${l.axis}|${l.side}`))
	);
	const asked = AXES.filter((axis) => isMainAxis(axis) || envelope[axis] !== undefined);
	return asked
		.flatMap((axis) =>
			sidesOfAxis(axis).map((side): Retest => {
				const known = envelope[axis]?.[side];
				if (known === undefined) return { axis, side, due: today, overdueDays: 0, why: 'missing' };
				const last = addDays(known.date, rules.staleDays);
				if (daysBetween(last, today) > 0)
					return { axis, side, due: last, overdueDays: daysBetween(last, today), why: 'stale' };
				const isLimiting = limiting.has(`${axis}|${side}`);
				const due = isLimiting ? addDays(known.date, Math.floor(rules.staleDays * LIMITING_SHARE)) : last;
				return {
					axis,
					side,
					due,
					overdueDays: Math.max(0, daysBetween(due, today)),
					why: isLimiting ? 'limiting' : 'routine'
				};
			})
		)
		.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0));
}
