/**
 * The limit on one axis of one side: the smaller of protocol limit and what is tolerated, less the margin; or the named reason why
 * there is none.
 */
import type { Axis, Side } from '../body/axis.ts';
import { daysBetween, type Day } from '../base/calendar-day.ts';
import type { Envelope, ProtocolLimit, Tolerated } from '../client/envelope.ts';
import type { FitRules } from './rules.ts';

export type AxisLimit =
	| {
			readonly kind: 'known';
			readonly axis: Axis;
			readonly side: Side;
			/** Before the margin. */
			readonly limit: number;
			readonly margin: number;
			readonly by: 'tolerated' | 'protocol';
			readonly tolerated: Tolerated;
	  }
	| { readonly kind: 'unknown'; readonly axis: Axis; readonly side: Side; readonly reason: 'missing' | 'stale'; readonly date?: Day };

export function axisLimit(
	axis: Axis,
	side: Side,
	envelope: Envelope,
	protocol: readonly ProtocolLimit[],
	rules: FitRules,
	today: Day,
	loadedWork: boolean
): AxisLimit {
	const tolerated = envelope[axis]?.[side];
	if (tolerated === undefined) return { kind: 'unknown', axis, side, reason: 'missing' };
	if (daysBetween(tolerated.date, today) > rules.staleDays) return { kind: 'unknown', axis, side, reason: 'stale', date: tolerated.date };
	const base = tolerated[rules.base];
	let fixed = Infinity;
	for (const p of protocol) if (p.axis === axis && p.side === side && p.maxDeg < fixed) fixed = p.maxDeg;
	// A weight-bearing value is loaded by the way it is taken.
	const loaded = tolerated.loaded || axis === 'weightBearingDorsiflexion';
	const margin = loadedWork && !loaded ? rules.loadedMarginDeg : rules.marginDeg;
	return { kind: 'known', axis, side, limit: Math.min(base, fixed), margin, by: fixed < base ? 'protocol' : 'tolerated', tolerated };
}
