/**
 * A measured range: where the movement starts to hurt (onset), where it becomes too much (tolerable) and where it ends, degrees,
 * with the pain there. Refuses what cannot be.
 */
import { POSSIBLE_RANGE, type Axis } from '../body/axis.ts';
import { refuse, ok, type Refusal, type Result } from '../base/result.ts';

export interface RangeInput {
	readonly onset?: number;
	readonly tolerable?: number;
	readonly end?: number;
	readonly pain?: number;
}

export interface MeasuredRange {
	readonly painFree: number;
	readonly tolerable: number;
	readonly end: number;
	readonly pain: number;
}

/** What a joint action is called on the sheet. */
const LABEL: Readonly<Record<Axis, string>> = {
	kneeFlexion: 'Knee bend',
	thighTrunkFlexion: 'Sitting fold',
	weightBearingDorsiflexion: 'Ankle, weight on'
};

/**
 * Completes a range: a missing onset means no pain up to the tolerable end; a missing tolerable means up to the end. At least one
 * of the three is needed.
 * @example measuredRange('kneeFlexion', { onset: 80, end: 120 }) → painFree 80, tolerable 120, end 120
 */
export function measuredRange(axis: Axis, input: RangeInput): Result<MeasuredRange, Refusal> {
	const [low, high] = POSSIBLE_RANGE[axis];
	for (const field of ['onset', 'tolerable', 'end'] as const) {
		const v = input[field];
		if (v !== undefined && !(v >= low && v <= high))
			return refuse({ reason: 'impossible-angle', field, message: `${LABEL[axis]} ${field} of ${v}° is outside what a joint does (${low} to ${high}°).` });
	}
	const pain = input.pain ?? 0;
	if (!(pain >= 0 && pain <= 10)) return refuse({ reason: 'pain-scale', field: 'pain', message: `Pain is 0 to 10; ${pain} is not.` });
	const end = input.end ?? input.tolerable ?? input.onset;
	if (end === undefined) return refuse({ reason: 'empty', field: 'end', message: `${LABEL[axis]}: give at least one of onset, tolerable, end.` });
	const tolerable = input.tolerable ?? end;
	const painFree = input.onset ?? tolerable;
	if (tolerable > end) return refuse({ reason: 'order', field: 'end', message: `${LABEL[axis]}: the end (${end}°) comes before tolerable (${tolerable}°); it should be ${tolerable}° or more.` });
	if (painFree > tolerable)
		return refuse({ reason: 'order', field: 'tolerable', message: `${LABEL[axis]}: tolerable (${tolerable}°) comes before the onset (${painFree}°); it should be ${painFree}° or more.` });
	return ok({ painFree, tolerable, end, pain });
}
