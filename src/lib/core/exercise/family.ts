/**
 * Exercise nouns: a family is a ladder of steps; a step is a setting of the dials with a posture, gates, a usual dose, faults,
 * cues and cautions. Judgements (does it fit, is a gate met) live higher up.
 */
import type { Depth, LoadPlace, Movement, Stance, Technique } from '../posture/problem.ts';
import type { Dial, Dials } from './dial.ts';

/** What must be shown before a step is opened. */
export type Gate =
	| { readonly kind: 'clean-reps'; readonly step: string; readonly sets: number; readonly reps: number }
	| { readonly kind: 'easy-reps'; readonly step: string; readonly reps: number; readonly effortMax: number }
	| { readonly kind: 'sides-within'; readonly step: string; readonly share: number }
	| { readonly kind: 'technique'; readonly technique: Technique };

export interface Edge {
	readonly to: string;
	readonly dial: Dial;
}

export interface Dose {
	readonly sets: number;
	readonly reps: number;
}

/** How a step stands in the posture model. `adjust` names the length that may be solved for a client. */
export interface StepPosture {
	readonly movement: Movement;
	readonly stance: Stance;
	readonly depth: Depth;
	readonly adjust: 'seat' | 'depth';
	readonly heelWedgeCm?: number;
	readonly toeOutDeg?: number;
	readonly load?: { readonly kg: number; readonly at: LoadPlace };
	/** The only technique this step is taught in; else the client's own. */
	readonly technique?: Technique;
	/** Seat steps for daily life are solved for the ordinary rise when no technique is being taught. */
	readonly everyday?: boolean;
}

export const TAGS = [
	'one-leg',
	'spine-load',
	'impact',
	'arms-overhead',
	'breath-holding',
	'toes-bent',
	'end-range-rotation',
	'adduction-past-midline'
] as const;
export type Tag = (typeof TAGS)[number];

export interface Step {
	readonly id: string;
	readonly title: string;
	/** For the foot of a narrow column. */
	readonly short: string;
	readonly what: string;
	readonly dials: Dials;
	readonly posture: StepPosture;
	readonly gates: readonly Gate[];
	readonly usualDose: { readonly start: Dose; readonly target: Dose };
	readonly easier: string | null;
	readonly next: readonly Edge[];
	readonly tags: readonly Tag[];
	readonly cautions: readonly string[];
	readonly faults: readonly string[];
	readonly sources: readonly string[];
}

export interface Fault {
	readonly id: string;
	readonly title: string;
	readonly seenFrom: string;
	/** The dial to turn first when it is seen. */
	readonly dial: Dial | 'cue' | 'dose';
	/** Only a fault in these techniques; absent is all. */
	readonly techniques?: readonly (Technique | 'ordinary')[];
}

export interface ExerciseFamily {
	readonly id: string;
	readonly title: string;
	readonly purposes: readonly string[];
	readonly steps: readonly Step[];
	readonly faults: readonly Fault[];
	/** Two or three essentials for each technique. */
	readonly cues: Readonly<Record<Technique | 'ordinary', readonly string[]>>;
	readonly cautions: readonly string[];
}

export const stepOf = (family: ExerciseFamily, id: string): Step | undefined => family.steps.find((s) => s.id === id);

/** Faults that count in a technique, of those a step names. */
export const faultsIn = (family: ExerciseFamily, step: Step, technique: Technique | 'ordinary'): readonly Fault[] =>
	family.faults.filter((f) => step.faults.includes(f.id) && (f.techniques === undefined || f.techniques.includes(technique)));
