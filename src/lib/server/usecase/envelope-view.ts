/** The envelope as a page shows it: what is tolerated, from which evidence, how old, how sure, what it would unlock, when to retest. */
import { methodOf, RANGES } from '#lib/catalogue/ranges.ts';
import { ageOn, daysBetween, type Day } from '#lib/core/base/calendar-day.ts';
import { AXES, isMainAxis, MODEL_ERROR, sidesOfAxis } from '#lib/core/body/axis.ts';
import { fitFamily, type StepFit } from '#lib/core/fit/fit.ts';
import { retestPlan, unlocks } from '#lib/core/fit/unlocks.ts';
import { RANGE_IDS, sideDifference, usualFor, usualSpan } from '#lib/core/measure/range-kind.ts';
import { fitRulesOf } from '#lib/core/decision/policy.ts';
import type { EnvelopeRow, EnvelopeView, OtherRange } from '#lib/contract/view.ts';
import { envelopeOf, evidenceOf } from '../record/evidence-of.ts';
import { fitContextOf } from '../record/fit-of.ts';
import { protocolsOf } from '../record/context-of.ts';
import type { ClientRecord } from '../record/load.ts';

export function envelopeView(r: ClientRecord, today: Day): EnvelopeView {
	const envelope = envelopeOf(r, today);
	const rules = fitRulesOf(r.policy);
	const evidence = evidenceOf(r, today);
	const ctx = fitContextOf(r, today);
	// The ladders in use; with nothing prescribed yet, all there are.
	const used = Object.values(r.families).filter(
		(f) => r.exercises.length === 0 || r.exercises.some((e) => e.family === f.id)
	);
	const fits = used.flatMap((f): StepFit[] => fitFamily(f, ctx).map((x) => x));
	const age = ageOn(r.head.born, today);
	const { limits } = protocolsOf(r, today);
	const rows = AXES.filter((axis) => isMainAxis(axis) || envelope[axis] !== undefined).flatMap((axis) =>
		sidesOfAxis(axis).map((side): EnvelopeRow => {
			const known = envelope[axis]?.[side];
			const last = r.measurements.filter((m) => m.axis === axis && m.side === side).pop();
			const fixed = limits
				.filter((l) => l.axis === axis && l.side === side)
				.reduce<number | null>(
					(m, l) => (l.maxDeg === undefined ? m : m === null ? l.maxDeg : Math.min(m, l.maxDeg)),
					null
				);
			const method = last === undefined ? null : methodOf(last.method);
			const base = known === undefined ? null : known[rules.base];
			return {
				axis,
				side,
				known:
					known === undefined
						? null
						: {
								painFree: known.painFree,
								tolerable: known.tolerable,
								end: known.end,
								from: known.from ?? 'measured',
								day: known.date,
								ageDays: daysBetween(known.date, today),
								stale: daysBetween(known.date, today) > rules.staleDays
							},
				usable:
					base === null
						? fixed === null
							? null
							: fixed - MODEL_ERROR[axis]
						: Math.min(base - rules.marginDeg, (fixed ?? Infinity) - MODEL_ERROR[axis]),
				protocolMax: fixed,
				method:
					method === null ? null : { name: method.name, errorDeg: method.errorDeg, source: method.source },
				rawCm: last?.rawCm ?? null,
				pain: last?.pain ?? null,
				usual: usualSpan(usualFor(RANGES[axis], age, r.head.sex)) ?? null,
				seen: evidence.filter(
					(e) => e.axis === axis && e.side === side && e.observed && e.settled && !e.painful
				).length
			};
		})
	);
	return {
		rows,
		unlocks: unlocks(fits),
		retest: retestPlan(envelope, fits, rules, today),
		steps: fits.length,
		open: fits.filter((f) => f.verdict === 'fits' || f.verdict === 'set-up').length,
		withheld: fits.filter((f) => f.withheld.length > 0).map((f) => ({ step: f.step, withheld: f.withheld })),
		base: rules.base,
		marginDeg: rules.marginDeg,
		others: otherRanges(r, age)
	};
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
