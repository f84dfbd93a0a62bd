/**
 * The arrival card, before a session: go, lighter, or not today. Not a decision about an exercise: it is about this one session.
 * What was not answered is asked; it is never taken for good news.
 * @source practice-setting
 */
import type { Region, YesNoUnknown } from '../session/record.ts';

export interface ArrivalInput {
	/** Pain now against usual, by region under treatment; absent is not asked yet. */
	readonly pains: readonly { readonly region: Region; readonly now?: number; readonly usual: number }[];
	/** An open red flag, by its code: nothing is done today. */
	readonly flag?: string;
	readonly fever: YesNoUnknown;
	readonly fall: YesNoUnknown;
	readonly newSwelling: YesNoUnknown;
}

export const ARRIVALS = ['go', 'lighter', 'not-today', 'ask'] as const;
export type ArrivalAnswer = (typeof ARRIVALS)[number];

export interface ArrivalReason {
	readonly code: 'pain' | 'flag' | 'fever' | 'fall' | 'new-swelling' | 'no-regions';
	readonly region?: Region;
	readonly flag?: string;
	readonly value?: number;
	readonly usual?: number;
}

export interface Arrival {
	readonly answer: ArrivalAnswer;
	/** Share of the sets that is done today. */
	readonly setsShare: number;
	readonly reasons: readonly ArrivalReason[];
}

const LIGHTER_OVER = 1;
const NOT_TODAY_OVER = 3;
const LIGHTER_SHARE = 0.6;

export function arrival(input: ArrivalInput): Arrival {
	const asked = [
		['fever', input.fever],
		['fall', input.fall],
		['new-swelling', input.newSwelling]
	] as const;
	const over = (p: ArrivalInput['pains'][number]): number => (p.now ?? p.usual) - p.usual;
	const pain = (p: ArrivalInput['pains'][number]): ArrivalReason => ({ code: 'pain', region: p.region, usual: p.usual, ...(p.now === undefined ? {} : { value: p.now }) });
	const stop: ArrivalReason[] = [...(input.flag === undefined ? [] : [{ code: 'flag' as const, flag: input.flag }]), ...asked.filter(([, a]) => a === 'yes').map(([code]) => ({ code })), ...input.pains.filter((p) => over(p) >= NOT_TODAY_OVER).map(pain)];
	if (stop.length > 0) return { answer: 'not-today', setsShare: 0, reasons: stop };
	const open = [...asked.filter(([, a]) => a === 'unknown').map(([code]) => ({ code })), ...input.pains.filter((p) => p.now === undefined).map(pain)];
	if (open.length > 0) return { answer: 'ask', setsShare: 0, reasons: open };
	if (input.pains.length === 0) return { answer: 'ask', setsShare: 0, reasons: [{ code: 'no-regions' }] };
	const more = input.pains.filter((p) => over(p) > LIGHTER_OVER).map(pain);
	return more.length > 0 ? { answer: 'lighter', setsShare: LIGHTER_SHARE, reasons: more } : { answer: 'go', setsShare: 1, reasons: [] };
}

/** Sets of a lighter day: at least one. */
export const lighterSets = (sets: number, share = LIGHTER_SHARE): number => Math.max(1, Math.round(sets * share));
