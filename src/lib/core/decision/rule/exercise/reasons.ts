/** Reasons that several rules of an exercise give. */
import type { PainEntry, Session } from '../../../session/record.ts';
import { worstOf } from '../../../session/told.ts';
import { zonesOf } from '../../pain-zones.ts';
import type { Reason } from '../../trace.ts';
import { PS, type Judged } from '../finding.ts';

export const STOP_SYMPTOMS = ['locking', 'giving-way', 'sharp-with-loss', 'numbness', 'weakness'] as const;

/** The last n sessions since the change, or undefined when there are fewer. */
export const lastOf = (j: Judged, n: number): readonly Session[] | undefined =>
	j.since.length < n ? undefined : j.since.slice(-n);

/** It only grew that much once the session was over, at home. */
const isOfEvening = ({ peak, after, evening }: PainEntry): boolean =>
	evening !== undefined && evening > Math.max(peak ?? -1, after ?? -1);

/** The worst pain against the stop line or the acceptable one; undefined where none was told. */
export function painOver(
	j: Judged,
	line: 'stop' | 'acceptable'
): { s: Session; reason: Reason; over: boolean } | undefined {
	const sessions = line === 'stop' ? j.since : j.since.slice(-1);
	let worst: { s: Session; reason: Reason; over: boolean } | undefined;
	for (const s of sessions)
		for (const p of s.pains) {
			const value = (line === 'stop' ? p.peak : worstOf(p)) ?? -1;
			const limit = zonesOf(j, p.region)[line];
			const over = line === 'stop' ? value >= limit : value > limit;
			if (
				value < 0 ||
				(worst !== undefined && (worst.over || !over) && value <= (worst.reason.value as number))
			)
				continue;
			worst = {
				s,
				over,
				reason: {
					code: line === 'acceptable' && isOfEvening(p) ? 'pain.evening' : `pain.${line}`,
					met: over,
					value,
					threshold: limit,
					source: line === 'stop' ? PS : 'thomee-1997',
					day: s.date,
					region: p.region
				}
			};
		}
	return worst;
}

export function regionReason(j: Judged): Reason {
	const { state } = j;
	return {
		code: `region.${state.kind}`,
		met: state.kind !== 'settled' && state.kind !== 'unknown',
		value: state.morning?.value ?? null,
		threshold: state.usual,
		source: 'ageberg-2010',
		region: j.region,
		...(state.morning === undefined ? {} : { day: dayFrom(j, state.morning.day) })
	};
}

const dayFrom = (j: Judged, n: number): string => j.series.at.get(n)?.date ?? j.input.today;

export const suspectReason = (j: Judged): Reason => ({
	code: 'suspect',
	met: j.suspect,
	value: j.suspect ? 'this' : 'other',
	source: PS
});

export const unmet = (j: Judged): readonly Reason[] => j.streak.filter((r) => !r.met);

export function closedEdges(j: Judged): readonly Reason[] {
	return j.ways.edges.map((e): Reason => ({
		code: e.gateOpen ? `edge.${e.verdict}` : 'edge.gate',
		met: false,
		value: e.step,
		threshold: e.gate ?? null,
		source: PS
	}));
}
