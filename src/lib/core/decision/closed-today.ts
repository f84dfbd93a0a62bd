/**
 * What is closed on one day: by its arrival card, and by blood pressure at rest wherever it was written down that day. Pressure that is raised
 * holds what is heavy or held; past the line for tests it closes the day.
 * @source acsm-2015 180/110 and 200/110 (from memory)
 */
import { resistanceGate, type RestingSigns, testGate } from '../client/acute.ts';
import type { Tag } from '../exercise/family.ts';
import type { Region } from '../session/record.ts';
import type { ArrivalKept, ArrivalReason } from './arrival.ts';

/** Tags of work that is heavy or held: where the breath is held, long holds, the head low. */
export const HEAVY_OR_HELD: readonly Tag[] = ['breath-holding', 'long-hold', 'head-low'];

/** A piece of work, as a closed day asks for it. */
export interface Asked {
	readonly region: Region;
	readonly tags: readonly Tag[];
}

const pressure = ({ systolic }: RestingSigns): ArrivalReason => ({
	code: 'pressure',
	...(systolic === undefined ? {} : { value: systolic })
});

/** What binds of a day whose pressure was measured: never less than the card said. The latest reading of the day is the one that counts. */
export function withPressure<K extends Partial<ArrivalKept>>(
	kept: K | undefined,
	signs: RestingSigns
): K | Partial<ArrivalKept> | undefined {
	const reason = pressure(signs);
	if (!testGate(signs).allowed)
		return {
			...kept,
			closes: 'day',
			setsShare: 0,
			easyOnly: true,
			clean: false,
			reasons: [...(kept?.reasons ?? []), reason]
		};
	if (!resistanceGate(signs).allowed)
		return { ...kept, easyOnly: true, reasons: [...(kept?.reasons ?? []), reason] };
	return kept;
}

/** What a day closes of a piece of work: the reasons, or nothing. */
export function closedToday(
	kept: Partial<ArrivalKept> | undefined,
	{ region, tags }: Asked
): readonly ArrivalReason[] {
	if (kept === undefined) return [];
	const { closes = [], reasons = [] } = kept;
	if (closes === 'day' || closes.includes(region)) return reasons;
	if (kept.easyOnly === true && tags.some((t) => HEAVY_OR_HELD.includes(t)))
		return reasons.filter((r) => r.code === 'pressure');
	return [];
}

/** What binds of a day in one word: nothing is done, or less; undefined where it is a day as any other. */
export function answerOf(
	kept: Partial<ArrivalKept> | undefined,
	regions: readonly Region[]
): 'not-today' | 'lighter' | undefined {
	if (kept === undefined) return undefined;
	const { closes = [], setsShare = 1, easyOnly = false } = kept;
	if (closes === 'day') return 'not-today';
	if (closes.length > 0) return regions.every((x) => closes.includes(x)) ? 'not-today' : 'lighter';
	return setsShare < 1 || easyOnly ? 'lighter' : undefined;
}
