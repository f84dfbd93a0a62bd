/** The envelope as a page shows it: what is tolerated, from which evidence, how old, how sure, what it would unlock, when to retest. */
import { methodOf, RANGES } from '#lib/catalogue/ranges.ts';
import { ageOn, daysBetween, type Day } from '#lib/core/base/calendar-day.ts';
import { AXES, isMainAxis, MODEL_ERROR, sidesOfAxis, type Axis, type Side } from '#lib/core/body/axis.ts';
import { fitFamily, type StepFit } from '#lib/core/fit/fit.ts';
import { candidatesOf, isOpen, passes } from '#lib/core/fit/open.ts';
import { retestPlan, unlocks } from '#lib/core/fit/unlocks.ts';
import { RANGE_IDS, sideDifference, usualFor, usualSpan } from '#lib/core/measure/range-kind.ts';
import { fitRulesOf } from '#lib/core/decision/policy.ts';
import type { EnvelopeRow, EnvelopeView, OtherRange } from '#lib/contract/view.ts';
import { envelopeOf, evidenceOf } from '../record/evidence-of.ts';
import { fitContextOf } from '../record/fit-of.ts';
import { protocolsOf } from '../record/context-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { laddersView } from './ladders-view.ts';

export function envelopeView(r: ClientRecord, today: Day): EnvelopeView {
	const envelope = envelopeOf(r, today);
	const rules = fitRulesOf(r.policy);
	const ctx = fitContextOf(r, today);
	// The ladders in use; with nothing prescribed yet, all there are.
	const used = Object.values(r.families).filter(
		(f) => r.exercises.length === 0 || r.exercises.some((e) => e.family === f.id)
	);
	const { now, gates } = laddersView(r, today);
	const gatesMet = (step: string): boolean => gates[step]?.every((g) => g.met) !== false;
	const candidates = used.flatMap((f) => candidatesOf(f, fitFamily(f, ctx), now[f.id]?.step, gatesMet));
	const fits = candidates.map((c): StepFit => c.fit);
	const age = ageOn(r.head.born, today);
	const known: KnownHere = {
		r,
		today,
		envelope,
		rules,
		age,
		evidence: evidenceOf(r, today),
		limits: protocolsOf(r, today).limits
	};
	const rows = AXES.filter((axis) => isMainAxis(axis) || envelope[axis] !== undefined).flatMap((axis) =>
		sidesOfAxis(axis).map((side) => rowOf(known, axis, side))
	);
	return {
		rows,
		unlocks: unlocks(fits),
		retest: retestPlan(envelope, fits, rules, today),
		steps: fits.length,
		open: candidates.filter(isOpen).length,
		allowed: fits.filter(passes).length,
		withheld: fits.filter((f) => f.withheld.length > 0).map((f) => ({ step: f.step, withheld: f.withheld })),
		base: rules.base,
		marginDeg: rules.marginDeg,
		others: otherRanges(r, age)
	};
}

interface KnownHere {
	readonly r: ClientRecord;
	readonly today: Day;
	readonly envelope: ReturnType<typeof envelopeOf>;
	readonly rules: ReturnType<typeof fitRulesOf>;
	readonly age: number;
	readonly evidence: ReturnType<typeof evidenceOf>;
	readonly limits: ReturnType<typeof protocolsOf>['limits'];
}

/** Of a movement, what is known of a side, from what, and how much of it may be used. */
function rowOf(here: KnownHere, axis: Axis, side: Side): EnvelopeRow {
	const { r, today, rules } = here;
	const known = here.envelope[axis]?.[side];
	const isHere = (x: { readonly axis?: string; readonly side?: string | null }): boolean =>
		x.axis === axis && x.side === side;
	// The tightest of the protocols that name it.
	const fixed = here.limits
		.filter(isHere)
		.reduce((m, { maxDeg }) => (maxDeg === undefined ? m : Math.min(m, maxDeg)), Infinity);
	const base = known === undefined ? Infinity : known[rules.base] - rules.marginDeg;
	const usable = Math.min(base, fixed - MODEL_ERROR[axis]);
	return {
		axis,
		side,
		known: known === undefined ? null : knownRange(known, rules.staleDays, today),
		usable: Number.isFinite(usable) ? usable : null,
		protocolMax: Number.isFinite(fixed) ? fixed : null,
		...measuredHow(r.measurements.filter(isHere).pop()),
		usual: usualSpan(usualFor(RANGES[axis], here.age, r.head.sex)) ?? null,
		seen: here.evidence.filter((e) => isHere(e) && e.observed && e.settled && !e.painful).length
	};
}

type Known = NonNullable<NonNullable<ReturnType<typeof envelopeOf>[Axis]>[Side]>;

const knownRange = (known: Known, staleDays: number, today: Day): NonNullable<EnvelopeRow['known']> => {
	const ageDays = daysBetween(known.date, today);
	const { painFree, tolerable, end, from = 'measured', date: day } = known;
	return { painFree, tolerable, end, from, day, ageDays, stale: ageDays > staleDays };
};

/** How the latest reading was made, where there is one. */
function measuredHow(
	last: ClientRecord['measurements'][number] | undefined
): Pick<EnvelopeRow, 'method' | 'rawCm' | 'pain'> {
	if (last === undefined) return { method: null, rawCm: null, pain: null };
	const { name, errorDeg, source } = methodOf(last.method);
	return { method: { name, errorDeg, source }, rawCm: last.rawCm ?? null, pain: last.pain ?? null };
}

/** The latest of the movements that no set-up is solved on, side by side. */
function otherRanges(r: ClientRecord, age: number): readonly OtherRange[] {
	return RANGE_IDS.filter((id) => RANGES[id].axis === null).flatMap((id): OtherRange[] => {
		const of = (side: 'left' | 'right') =>
			r.measurements.filter((m) => m.axis === id && m.side === side).pop();
		const [left, right] = [of('left'), of('right')];
		const newest = [left, right].filter((m) => m !== undefined).sort((a, b) => (a.day < b.day ? 1 : -1))[0];
		if (newest === undefined) return [];
		const difference =
			left === undefined || right === undefined
				? null
				: sideDifference(left.end, right.end, methodOf(newest.method));
		return [
			{
				id,
				left: left?.end ?? null,
				right: right?.end ?? null,
				day: newest.day,
				difference,
				usual: usualSpan(usualFor(RANGES[id], age, r.head.sex)) ?? null
			}
		];
	});
}
