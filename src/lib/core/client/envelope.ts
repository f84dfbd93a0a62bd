/**
 * The envelope: what the client tolerates now, by axis and side, each value with its date and where it came from. Built from the
 * latest measurement, protocol limits and what the log itself showed. Degrees.
 */
import type { Axis, Side } from '../body/axis.ts';
import { AXES, SIDES } from '../body/axis.ts';
import { daysBetween, type Day } from '../base/calendar-day.ts';

export interface Tolerated {
	readonly painFree: number;
	readonly tolerable: number;
	readonly end: number;
	readonly date: Day;
	/** Measured under the load it is used for; an unloaded value takes a wider margin in loaded work. */
	readonly loaded: boolean;
	readonly from?: 'measured' | 'observed' | 'painful-set';
	/** The end itself hurt; left out, it did only where pain starts before it. */
	readonly endHurts?: boolean;
	/** A change of the method that is more than its error; left out, a goniometer's. */
	readonly realChangeDeg?: number;
}

export type Envelope = { readonly [A in Axis]?: { readonly [S in Side]?: Tolerated } };

/** In which work a window of a protocol holds; left out, always. */
export const PROTOCOL_WHEN = ['always', 'loaded', 'open-chain', 'weight-bearing'] as const;
export type ProtocolWhen = (typeof PROTOCOL_WHEN)[number];

/** A protocol's window on an axis: it binds whether or not the axis was measured. */
export interface ProtocolLimit {
	readonly axis: Axis;
	readonly side: Side;
	readonly minDeg?: number;
	readonly maxDeg?: number;
	readonly when?: ProtocolWhen;
	readonly source?: string;
	readonly reviewOn?: Day;
}

/** One logged set-up as evidence on an axis: the demand at the gentle edge of its band, less the margin. */
export interface RangeEvidence {
	readonly axis: Axis;
	readonly side: Side;
	readonly date: Day;
	/** Demand of that set-up on this axis, degrees, and its ± band. */
	readonly demand: number;
	readonly band: number;
	readonly observed: boolean;
	readonly settled: boolean;
	readonly painful: boolean;
	/** Position, technique and load class: evidence is only credited among its like. */
	readonly like: string;
}

/**
 * Raises or lowers a measured base by evidence newer than it. Raised only when the same like was observed, settled and not
 * painful on two different days, to the low edge of the band less the margin, never past `end`; one painful set lowers it at once,
 * to that set's low edge.
 */
export function withEvidence(
	base: Tolerated,
	evidence: readonly RangeEvidence[],
	marginDeg: number
): Tolerated {
	const newer = evidence.filter((e) => daysBetween(base.date, e.date) >= 0);
	const painful = newer.filter((e) => e.painful).sort((a, b) => daysBetween(b.date, a.date));
	const lastPainful = painful[0];
	let tolerated = base;
	for (const like of new Set(newer.map((e) => e.like))) {
		const good = newer.filter(
			(e) =>
				e.like === like &&
				e.observed &&
				e.settled &&
				!e.painful &&
				(lastPainful === undefined || daysBetween(lastPainful.date, e.date) > 0)
		);
		const days = [...new Set(good.map((e) => e.date))].sort();
		if (days.length < 2) continue;
		const credited = Math.min(...good.map((e) => e.demand - e.band - marginDeg), base.end);
		if (credited > tolerated.painFree)
			tolerated = {
				...tolerated,
				painFree: credited,
				tolerable: Math.max(tolerated.tolerable, credited),
				date: days[days.length - 1] as Day,
				from: 'observed'
			};
	}
	if (lastPainful === undefined) return tolerated;
	const lowered = lastPainful.demand - lastPainful.band;
	if (lowered >= tolerated.tolerable && lowered >= tolerated.painFree) return tolerated;
	return {
		...tolerated,
		painFree: Math.min(tolerated.painFree, lowered),
		tolerable: Math.min(tolerated.tolerable, lowered),
		date: lastPainful.date,
		from: 'painful-set'
	};
}

/** The envelope with all evidence taken in. */
export function envelopeWith(
	measured: Envelope,
	evidence: readonly RangeEvidence[],
	marginDeg: number
): Envelope {
	const out: { [A in Axis]?: { [S in Side]?: Tolerated } } = {};
	for (const axis of AXES)
		for (const side of SIDES) {
			const base = measured[axis]?.[side];
			if (base === undefined) continue;
			const on = evidence.filter((e) => e.axis === axis && e.side === side);
			out[axis] = { ...out[axis], [side]: withEvidence(base, on, marginDeg) };
		}
	return out;
}

/** The same envelope with one value tried out: tolerable and free of pain to there, as if measured on that day; the end is never before it. */
export function envelopeTrying(envelope: Envelope, axis: Axis, side: Side, deg: number, date: Day): Envelope {
	const known = envelope[axis]?.[side];
	return {
		...envelope,
		[axis]: {
			...envelope[axis],
			[side]: {
				painFree: deg,
				tolerable: deg,
				end: Math.max(deg, known?.end ?? deg),
				date,
				loaded: known?.loaded ?? false
			}
		}
	};
}
