/** Writing a step in few lines: what most steps share is filled in here, and nowhere guessed. */
import type { Dials, Dial } from '../core/exercise/dial.ts';
import type {
	Counts,
	Dose,
	Equipment,
	Fault,
	Gate,
	Purpose,
	ShownGate,
	Step,
	Tag
} from '../core/exercise/family.ts';
import type { StepPosture } from '../core/exercise/step-posture.ts';
import { FAULTS } from './faults.ts';

export interface Bare {
	readonly dials: Dials;
	readonly posture: StepPosture;
	readonly gates?: readonly Gate[];
	/** Start and end of the usual dose. */
	readonly dose: readonly [start: Dose, target: Dose];
	readonly counts?: Counts;
	readonly easier?: string;
	readonly next?: Readonly<Record<string, Dial>>;
	readonly tags?: readonly Tag[];
	readonly kit?: readonly (Equipment | readonly Equipment[])[];
	readonly serves?: readonly Purpose[];
	readonly cautions?: readonly string[];
	readonly faults: readonly string[];
	readonly cues?: readonly string[];
	readonly tempo?: readonly [down: number, pause: number, up: number];
	readonly sources?: readonly string[];
	readonly drawn?: Step['drawn'];
	readonly endsAbove?: number;
}

export const step = (id: string, title: string, short: string, what: string, b: Bare): Step => ({
	id,
	title,
	short,
	what,
	dials: b.dials,
	posture: b.posture,
	gates: b.gates ?? [],
	usualDose: { start: b.dose[0], target: b.dose[1] },
	...(b.counts === undefined ? {} : { counts: b.counts }),
	easier: b.easier ?? null,
	next: Object.entries(b.next ?? {}).map(([to, dial]) => ({ to, dial })),
	tags: b.tags ?? [],
	...(b.kit === undefined ? {} : { equipment: b.kit }),
	...(b.serves === undefined ? {} : { serves: b.serves }),
	cautions: b.cautions ?? [],
	faults: b.faults,
	...(b.cues === undefined ? {} : { cues: b.cues }),
	...(b.tempo === undefined ? {} : { tempo: b.tempo }),
	...(b.drawn === undefined ? {} : { drawn: b.drawn }),
	...(b.endsAbove === undefined ? {} : { endsAbove: b.endsAbove }),
	sources: b.sources ?? ['common-practice']
});

const dose = (sets: number, reps: number): Dose => ({ sets, reps });
/** Doses as habit has them: five when learning, ten to three tens. */
export const DOSE = {
	learning: [dose(1, 5), dose(3, 10)],
	ten: [dose(1, 10), dose(3, 10)],
	eachSide: [dose(1, 5), dose(2, 10)],
	eight: [dose(1, 8), dose(3, 10)],
	squeeze: [dose(1, 8), dose(2, 20)],
	high: [dose(2, 12), dose(4, 15)],
	calf: [dose(2, 10), dose(3, 20)],
	stance: [dose(2, 10), dose(3, 20)],
	isometric: [dose(3, 30), dose(5, 45)],
	hold: [dose(2, 10), dose(3, 30)],
	stretch: [dose(2, 30), dose(4, 45)],
	walk: [dose(2, 10), dose(5, 15)],
	power: [dose(1, 5), dose(3, 8)],
	drill: [dose(1, 4), dose(2, 6)],
	minutes: [dose(1, 60), dose(3, 60)],
	breaths: [dose(1, 5), dose(2, 10)],
	/** Three full breaths at the end of the range, a side. */
	threeBreaths: [dose(1, 3), dose(3, 3)],
	/** Three rounds with a shake between. */
	dips: [dose(1, 2), dose(3, 2)],
	/** A set for each of three directions. */
	directions: [dose(3, 3), dose(3, 4)],
	/** Each foot ahead in turn. */
	passes: [dose(1, 10), dose(1, 20)]
} as const satisfies Readonly<Record<string, readonly [Dose, Dose]>>;

export const clean = (step: string, sets: number, reps: number): ShownGate => ({
	kind: 'clean-reps',
	step,
	sets,
	reps
});
export const held = (step: string, sec: number): ShownGate => ({ kind: 'held', step, sec });
export const mastered = (step: string): ShownGate => ({ kind: 'mastered', step });
export const sides = (step: string, share: number): ShownGate => ({ kind: 'sides-within', step, share });
export const faultFree = (step: string, fault: string): ShownGate => ({ kind: 'fault-free', step, fault });
export const felt = (step: string): ShownGate => ({ kind: 'felt', step });
/** Buttock and front of the thigh felt and nothing in a joint, all of it asked. */
export const feltClear = (step: string): readonly ShownGate[] => [
	{ kind: 'felt', step, muscle: 'buttock', jointFree: true },
	{ kind: 'felt', step, muscle: 'thigh-front' }
];
/** Pain at its worst no more than usual, or than is safe. */
export const calm = (step: string): ShownGate => ({ kind: 'pain-at-most', step });
export const easy = (step: string, reps: number, effortMax: number): ShownGate => ({
	kind: 'easy-reps',
	step,
	reps,
	effortMax
});
/** One of several ways is enough. */
export const anyOf = (...gates: readonly ShownGate[]): Gate => ({ kind: 'any-of', gates });
export const confident = (step: string, least: number): ShownGate => ({ kind: 'confidence', step, least });

/** The faults a family watches for, from the one list. */
export const watch = (...ids: readonly string[]): readonly Fault[] =>
	ids.map((id) => {
		const fault = FAULTS.find((f) => f.id === id);
		if (fault === undefined) throw new Error(`no fault ${id}`);
		return fault;
	});
/** Those that any of the steps names. */
export const faultsOf = (steps: readonly Step[]): readonly Fault[] =>
	watch(...new Set(steps.flatMap((s) => s.faults)));
