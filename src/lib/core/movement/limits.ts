/**
 * The limit on one axis of one side: what is tolerated, less a margin, or the named reason why it is not known; and beside it what a
 * protocol allows, which binds whether or not the axis was measured.
 *
 * A margin is kept where pain limits: it starts before the end, or the end hurts. A range free to its end is limited by the end itself. Work under load
 * keeps the wider margin against a range that was measured without, until it was seen done.
 *
 * Against a protocol no margin is taken, but the model's error always comes off.
 */
import { daysBetween, type Day } from '../base/calendar-day.ts';
import type { Axis, Side } from '../body/axis.ts';
import type { Envelope, ProtocolLimit, ProtocolWhen, Tolerated } from '../client/envelope.ts';
import type { FitRules } from './rules.ts';

/** From–to of a protocol on an axis; infinite where it is open. */
export interface Allowed {
	readonly minDeg: number;
	readonly maxDeg: number;
}

export type AxisLimit =
	| {
			readonly kind: 'known';
			readonly axis: Axis;
			readonly side: Side;
			/** Before the margin. */
			readonly limit: number;
			readonly margin: number;
			readonly tolerated: Tolerated;
			readonly allowed: Allowed | undefined;
	  }
	| {
			readonly kind: 'unknown';
			readonly axis: Axis;
			readonly side: Side;
			readonly reason: 'missing' | 'stale';
			readonly date?: Day;
			readonly allowed: Allowed | undefined;
	  };

/** What kind of work a step is, for windows that hold in some work only. */
export interface WorkKind {
	readonly loaded: boolean;
	readonly openChain: boolean;
	readonly weightBearing: boolean;
}

function holdsIn(when: ProtocolWhen | undefined, work: WorkKind): boolean {
	switch (when) {
		case 'loaded':
			return work.loaded;
		case 'open-chain':
			return work.openChain;
		case 'weight-bearing':
			return work.weightBearing;
		default:
			return true;
	}
}

/** The strictest of a protocol's windows on an axis and side in this kind of work; undefined where there is none. */
export function allowedOn(
	axis: Axis,
	side: Side,
	protocol: readonly ProtocolLimit[],
	work: WorkKind
): Allowed | undefined {
	let minDeg = -Infinity;
	let maxDeg = Infinity;
	for (const p of protocol) {
		if (p.axis !== axis || p.side !== side || !holdsIn(p.when, work)) continue;
		minDeg = Math.max(minDeg, p.minDeg ?? -Infinity);
		maxDeg = Math.min(maxDeg, p.maxDeg ?? Infinity);
	}
	return minDeg === -Infinity && maxDeg === Infinity ? undefined : { minDeg, maxDeg };
}

/** What can be used of an axis: the tolerated range less its margin, or what a protocol allows less the model's error, whichever is less. */
export function usableOf(
	l: AxisLimit,
	errorDeg: number
): { readonly deg: number; readonly by: 'tolerated' | 'protocol' } | null {
	const tolerated = l.kind === 'known' ? l.limit - l.margin : Infinity;
	const allowed = (l.allowed?.maxDeg ?? Infinity) - errorDeg;
	if (tolerated === Infinity && allowed === Infinity) return null;
	return allowed < tolerated ? { deg: allowed, by: 'protocol' } : { deg: tolerated, by: 'tolerated' };
}

export function axisLimit(
	axis: Axis,
	side: Side,
	envelope: Envelope,
	protocol: readonly ProtocolLimit[],
	rules: FitRules,
	today: Day,
	work: WorkKind
): AxisLimit {
	const allowed = protocol.length === 0 ? undefined : allowedOn(axis, side, protocol, work);
	const tolerated = envelope[axis]?.[side];
	if (tolerated === undefined) return { kind: 'unknown', axis, side, reason: 'missing', allowed };
	if (daysBetween(tolerated.date, today) > rules.staleDays)
		return { kind: 'unknown', axis, side, reason: 'stale', date: tolerated.date, allowed };
	// A weight-bearing value is loaded by the way it is taken.
	const measuredLoaded = tolerated.loaded || axis === 'weightBearingDorsiflexion';
	const free = tolerated.painFree >= tolerated.end - 1e-9 && tolerated.endHurts !== true;
	const margin = work.loaded && !measuredLoaded ? rules.loadedMarginDeg : free ? 0 : rules.marginDeg;
	return { kind: 'known', axis, side, limit: tolerated[rules.base], margin, tolerated, allowed };
}
