/** Gates while they are written: their kinds, which fields each has, and what one begins as. */
import { MUSCLES } from '#lib/core/body/muscle.ts';
import { CLEARANCES, type Gate, type ShownGate } from '#lib/core/exercise/family.ts';
import { TECHNIQUES } from '#lib/core/posture/problem.ts';

/** A stage comes with a client's course, never with a step. */
export type OwnGate = Exclude<Gate, { readonly kind: 'stage' }>;

export const SHOWN_NAME = {
	'clean-reps': 'clean repetitions of',
	'easy-reps': 'easy repetitions of',
	held: 'held, both sides:',
	mastered: 'the full dose, clean, of',
	'sides-within': 'the weaker side near the stronger in',
	'fault-free': 'free of a fault in',
	felt: 'the right muscle felt in',
	'pain-at-most': 'little pain in',
	confidence: 'confidence in'
} as const satisfies Record<ShownGate['kind'], string>;

export const GATE_NAME = {
	...SHOWN_NAME,
	'any-of': 'any one of',
	clearance: 'cleared by a licensed user for',
	technique: 'the technique'
} as const satisfies Record<OwnGate['kind'], string>;

export interface GateNumber {
	readonly key: string;
	readonly label: string;
	/** Left empty it is left out. */
	readonly optional?: true;
}

/** The numbers of a kind, in the order they are read. */
export const GATE_NUMBERS: Readonly<Record<OwnGate['kind'], readonly GateNumber[]>> = {
	'clean-reps': [
		{ key: 'sets', label: 'sets' },
		{ key: 'reps', label: 'reps' }
	],
	'easy-reps': [
		{ key: 'reps', label: 'reps' },
		{ key: 'effortMax', label: 'effort at most' }
	],
	held: [{ key: 'sec', label: 'seconds' }],
	mastered: [],
	'sides-within': [{ key: 'share', label: 'share, 0 to 1' }],
	'fault-free': [],
	felt: [],
	'pain-at-most': [{ key: 'most', label: 'at most', optional: true }],
	confidence: [{ key: 'least', label: 'at least' }],
	'any-of': [],
	clearance: [],
	technique: []
};

/** A gate of a kind as it begins: of that step, with what is usual. */
export function shownGate(kind: ShownGate['kind'], step: string, fault: string): ShownGate {
	switch (kind) {
		case 'clean-reps':
			return { kind, step, sets: 2, reps: 10 };
		case 'easy-reps':
			return { kind, step, reps: 10, effortMax: 5 };
		case 'held':
			return { kind, step, sec: 20 };
		case 'sides-within':
			return { kind, step, share: 0.9 };
		case 'fault-free':
			return { kind, step, fault };
		case 'confidence':
			return { kind, step, least: 7 };
		case 'mastered':
		case 'felt':
		case 'pain-at-most':
			return { kind, step };
	}
}

/** Another kind of the same gate: the step it was of stays. */
export function gateOf(
	kind: OwnGate['kind'],
	before: OwnGate | undefined,
	step: string,
	fault: string
): OwnGate {
	const of = before !== undefined && 'step' in before ? before.step : step;
	if (kind === 'any-of')
		return { kind, gates: [shownGate('mastered', of, fault), shownGate('clean-reps', of, fault)] };
	if (kind === 'clearance') return { kind, what: CLEARANCES[0] };
	if (kind === 'technique') return { kind, technique: TECHNIQUES[0] };
	return shownGate(kind, of, fault);
}

/** One number of a gate changed; an optional one that is emptied is left out. */
export function withNumber(gate: OwnGate, { key, optional }: GateNumber, value: number | string): OwnGate {
	const { [key]: _, ...rest } = gate as unknown as Record<string, unknown>;
	return (value === '' && optional === true ? rest : { ...rest, [key]: value }) as unknown as OwnGate;
}

type Felt = OwnGate & { readonly kind: 'felt' };

/** A gate of what is felt with its muscle or its joints changed; an empty muscle is the one the step is for. */
export function feltGate(
	{ step, muscle, jointFree }: Felt,
	to: { readonly muscle?: string; readonly jointFree?: boolean }
): Felt {
	const named = to.muscle === undefined ? muscle : MUSCLES.find((m) => m === to.muscle);
	const free = to.jointFree ?? jointFree === true;
	return {
		kind: 'felt',
		step,
		...(named === undefined ? {} : { muscle: named }),
		...(free ? { jointFree: true as const } : {})
	};
}
