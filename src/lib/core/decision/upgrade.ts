/**
 * Inputs of older engines as this one reads them, for replaying what was decided then. Engine 1 kept two booleans for what was felt, and took for
 * granted that what stood still held.
 */
import type { DecideInput } from './input.ts';
import type { Session } from '../session/record.ts';

type OldSession = Session & { readonly feltMuscle?: boolean; readonly feltJoint?: boolean };

function feltOf({ feltMuscle, feltJoint, ...s }: OldSession): Session {
	if (feltMuscle === undefined && feltJoint === undefined) return s;
	return {
		...s,
		felt: {
			...(feltMuscle === undefined ? {} : { muscle: feltMuscle }),
			...(feltJoint === undefined ? {} : { joint: feltJoint ? 'some' : 'none' })
		}
	};
}

export function upgraded(input: DecideInput, engine: string): DecideInput {
	if (engine !== '1') return input;
	return {
		...input,
		exercise: { ...input.exercise, standing: { verdict: 'stands', breaks: [], mend: null, retry: true } },
		sessions: input.sessions.map(feltOf)
	};
}
