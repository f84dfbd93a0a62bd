/**
 * Exercise nouns: a family is a ladder of steps; a step is a setting of the dials with a posture, gates, a usual dose, faults,
 * cues and cautions. Judgements (does it fit, is a gate met) live higher up. Step ids are unique over all families, so that a gate may
 * name a step of another ladder.
 */
import type { Axis } from '../body/axis.ts';
import { type Muscle, MUSCLES } from '../body/muscle.ts';
import type { KeyPose, PoseProp } from '../figure/key-pose.ts';
import type { LoadPlace, Technique } from '../posture/problem.ts';
import type { Dial, Dials } from './dial.ts';
import type { StepPosture } from './step-posture.ts';

/** One thing that a step must have shown. */
export type ShownGate =
	| { readonly kind: 'clean-reps'; readonly step: string; readonly sets: number; readonly reps: number }
	| { readonly kind: 'easy-reps'; readonly step: string; readonly reps: number; readonly effortMax: number }
	| { readonly kind: 'held'; readonly step: string; readonly sec: number }
	| { readonly kind: 'mastered'; readonly step: string }
	| { readonly kind: 'sides-within'; readonly step: string; readonly share: number }
	| { readonly kind: 'fault-free'; readonly step: string; readonly fault: string }
	/**
	 * The muscle it is for felt; where one is named, that one, which has to have been asked; where `jointFree`, nothing in a joint besides, asked too.
	 */
	| { readonly kind: 'felt'; readonly step: string; readonly muscle?: Muscle; readonly jointFree?: true }
	/** Pain at its worst in the last session; without a number, the larger of what is usual and what the policy calls safe. */
	| { readonly kind: 'pain-at-most'; readonly step: string; readonly most?: number }
	| { readonly kind: 'confidence'; readonly step: string; readonly least: number };

/** What must be shown before a step is opened: all of its gates, and of an any-of one. What is cleared or taught has no other way. */
export type Gate =
	| ShownGate
	| { readonly kind: 'any-of'; readonly gates: readonly ShownGate[] }
	| { readonly kind: 'clearance'; readonly what: Clearance }
	| { readonly kind: 'technique'; readonly technique: Technique }
	/** Every step of a course's stage, clean; it comes with the client's course, never with the step. */
	| { readonly kind: 'stage'; readonly course: string; readonly stage: string };

/** The steps a gate asks about. */
export const stepsAsked = (g: Gate): readonly string[] =>
	g.kind === 'any-of' ? g.gates.flatMap(stepsAsked) : 'step' in g ? [g.step] : [];

/** What a licensed user clears a client for. */
export const CLEARANCES = ['impact', 'machine-extension', 'loaded-spine'] as const;
export type Clearance = (typeof CLEARANCES)[number];

/** Ways of bracing that are taught. */
export const BRACES = ['tuned', 'hug', 'hard'] as const;
export type Brace = (typeof BRACES)[number];

export interface Edge {
	readonly to: string;
	readonly dial: Dial;
}

/** Counted in what the step counts: repetitions, seconds of hold, steps walked. */
export interface Dose {
	readonly sets: number;
	readonly reps: number;
}
/** How a dose is done besides: what a step is usually given with, and a prescription begins with. */
export interface Usually {
	/** Seconds each repetition is held at its end. */
	readonly holdSec?: number;
	/** Down, pause, up, pause, in seconds: "3-1-2-0". */
	readonly tempo?: string;
	/** Seconds between sets, or between the items of a circuit. */
	readonly restSec?: number;
	/** Seconds of work of each item of a circuit. */
	readonly workSec?: number;
	/** Share of what one could push, per cent: of squeezes and holds. */
	readonly effortPct?: number;
	/** Minutes the whole takes, done for as long rather than counted. */
	readonly blockMin?: number;
	readonly daysPerWeek?: number;
}
export const COUNTS = ['reps', 'sec', 'steps', 'breaths'] as const;
export type Counts = (typeof COUNTS)[number];

export const TAGS = [
	'one-leg',
	'unsteady',
	'narrow-base',
	'spine-load',
	'hanging-load',
	'loaded-spine-bending',
	'spine-end-bend',
	'spine-backward',
	'loaded-twist',
	'trunk-strain',
	'impact',
	'high-impact',
	'arms-overhead',
	'breath-holding',
	'long-hold',
	'head-low',
	'toes-bent',
	'heel-raised',
	'end-range-rotation',
	'adduction-past-midline',
	'hip-out',
	'end-stretch',
	'locks-out',
	'kneeling',
	'prone',
	'supine',
	'side-lying',
	'floor-transfer',
	'weight-on-hands',
	'knee-over-toe',
	'open-chain-knee',
	'no-weight'
] as const;
export type Tag = (typeof TAGS)[number];

/** Positions a client may not tolerate; asked yes, no or unknown. */
export const POSITIONS = [
	'kneeling',
	'prone',
	'side-lying',
	'floor-transfer',
	'weight-on-hands'
] as const satisfies readonly Tag[];
export type Position = (typeof POSITIONS)[number];

export const EQUIPMENT = [
	'chair',
	'counter',
	'wall',
	'step',
	'band',
	'weight',
	'household-weight',
	'wedge',
	'pillow',
	'towel',
	'stick',
	'bench',
	'bolster',
	'ball',
	'roller',
	'bar',
	'cuff',
	'extension-machine',
	'curl-machine',
	'leg-press',
	'straps',
	'block',
	'vest',
	'toe-wedge',
	'bed'
] as const;
export type Equipment = (typeof EQUIPMENT)[number];

/** What an exercise is for: muscles it works, and daily activities it serves. */
export const PURPOSES = [
	...MUSCLES,
	'balance',
	'power',
	'mobility',
	'warm-up',
	'relief',
	'sit-to-stand',
	'stairs',
	'lifting',
	'floor',
	'walking',
	'running'
] as const;
export type Purpose = (typeof PURPOSES)[number];

/** What a step needs by axis and leg where it is not solved, degrees. */
export interface Needs {
	readonly working: Readonly<Partial<Record<Axis, number>>>;
	readonly other: Readonly<Partial<Record<Axis, number>>>;
	/** Axes that the working leg takes to the client's own end, and those of the other; a protocol window on one closes the step. */
	readonly end: readonly Axis[];
	readonly otherEnd: readonly Axis[];
	/** Axes on which a smaller movement counts, down to the need. */
	readonly scales: readonly Axis[];
}

/** What was written before each leg had an end of its own says whether both go to the same one. */
export const otherEndOf = (n: {
	readonly end: readonly Axis[];
	readonly otherEnd?: readonly Axis[] | undefined;
	readonly bothEnd?: boolean | undefined;
}): readonly Axis[] => n.otherEnd ?? (n.bothEnd === true ? n.end : []);

/** Feet from above: how far apart, in widths of the hips, and how far the toes turn out. */
export interface Feet {
	readonly widths?: number;
	readonly outDeg?: number;
}

/** How a seat is drawn besides its height, cm: how far below whoever hovers, how much farther behind than usual. */
export interface SeatDrawn {
	readonly below?: number;
	readonly behind?: number;
}

export interface Place {
	readonly id: string;
	/** Behind the choice's own name: "2 s", "hip-wide". */
	readonly title: string;
	/** Numbers of the posture it is solved with. */
	readonly posture?: Readonly<Record<string, number>>;
	/** What of the two key poses it changes, where it is posed. */
	readonly pose?: {
		readonly arm?: number;
		readonly forearm?: number;
		readonly trunk?: number;
		/** Of both legs where they do the same, else of the near one. */
		readonly thigh?: number;
		readonly shank?: number;
		readonly props?: readonly PoseProp[];
	};
	readonly dials?: Dials;
	readonly tags?: readonly Tag[];
	readonly without?: readonly Tag[];
	readonly kit?: readonly (Equipment | readonly Equipment[])[];
	/** What the working leg needs besides, degrees. */
	readonly needs?: Readonly<Partial<Record<Axis, number>>>;
	/** Where its load is carried. */
	readonly loadAt?: LoadPlace;
	/** Seconds at the hard point. */
	readonly pauseSec?: number;
	readonly feet?: Feet;
	readonly seat?: SeatDrawn;
}

export interface Choice {
	readonly id: string;
	readonly title: string;
	/** The dial a ranked choice turns. */
	readonly dial: Dial;
	readonly ranked: boolean;
	/** Gentle to hard where ranked. */
	readonly of: readonly Place[];
	/** The place it is usually given at. */
	readonly usual: string;
	/** It goes before a step that turns this dial: a hold at the hard point before more depth. */
	readonly before?: Dial;
}

/** Place by choice; what is not named stands at its usual place. */
export type Chosen = Readonly<Record<string, string>>;

/** A way back, and when it suits; what is left out is not asked. */
export interface Back {
	readonly to: string;
	/** What it comes from. */
	readonly for?: readonly Cause[];
	readonly technique?: Technique;
	/** Whether the front of the knee is sore. */
	readonly frontOfKnee?: boolean;
}

export interface Step {
	readonly id: string;
	readonly title: string;
	/** For the foot of a narrow column. */
	readonly short: string;
	readonly what: string;
	readonly dials: Dials;
	readonly posture: StepPosture;
	/** Two key poses to draw it by, where the solved posture is not the picture (a side lunge is seen from the front). */
	readonly drawn?: { readonly from: KeyPose; readonly to: KeyPose };
	readonly gates: readonly Gate[];
	readonly usualDose: { readonly start: Dose; readonly target: Dose };
	/** How it is usually done besides: hold, tempo, effort, days. */
	readonly usually?: Usually;
	/** What can be set without leaving the step; left out, nothing. */
	readonly choices?: readonly Choice[];
	/** What is set otherwise than usual; on a step as it is chosen. */
	readonly chosen?: Chosen;
	/** The feet from above, where it matters how they stand. */
	readonly feet?: Feet;
	readonly seat?: SeatDrawn;
	/** Left out, repetitions. */
	readonly counts?: Counts;
	readonly easier: string | null;
	/** Ways back that go before the easier step where they suit, first come first; some lead to another ladder. */
	readonly back?: readonly Back[];
	readonly next: readonly Edge[];
	readonly tags: readonly Tag[];
	/** Where it is posed or a stretch: what it truly needs; left out, what its poses are drawn with. */
	readonly needs?: Needs;
	/** Of lying on the side: on the side of the leg that works, or on the other. */
	readonly liesOn?: 'own' | 'other';
	/** It can be done lying on a bed or couch, where one is at hand: nobody has to get down to the floor for it. */
	readonly onBed?: boolean;
	/** All of these are needed; a slash in one means either. */
	readonly equipment?: readonly (Equipment | readonly Equipment[])[];
	/** More pain than this ends it for the day, whatever the policy accepts elsewhere: 0 is any pain. */
	readonly endsAbove?: number;
	/** Where it serves something else than its family. */
	readonly serves?: readonly Purpose[];
	readonly cautions: readonly string[];
	readonly faults: readonly string[];
	/** Of these, those that count where no technique is taught too. */
	readonly faultsUntaught?: readonly string[];
	/** Instead of the family's, where they would not fit. */
	readonly cues?: readonly string[];
	/** Seconds down, at the hard point, up; for the moving picture. */
	readonly tempo?: readonly [down: number, pause: number, up: number];
	readonly sources: readonly string[];
	/** A step that is no longer given; prescriptions of it still render, and it asks for a new choice. */
	readonly retired?: { readonly replacedBy: string | null };
}

/** What a fault, or a painful set, comes from; it decides which dial is turned. */
export const CAUSES = [
	'pain-late',
	'pain-early',
	'pain-loaded',
	'pain',
	'morning',
	'leakage',
	'form',
	'tired',
	'guarding',
	'wobble',
	'knee-drift',
	'heel',
	'back',
	'arching',
	'trunk',
	'landing',
	'joint',
	'away',
	'away-long'
] as const;
export type Cause = (typeof CAUSES)[number];

export interface Fault {
	readonly id: string;
	readonly title: string;
	readonly seenFrom: string;
	/** The dial to turn first when it is seen. */
	readonly dial: Dial | 'cue' | 'dose';
	readonly cause: Cause;
	/** Only a fault in these techniques; absent is all. */
	readonly techniques?: readonly (Technique | 'ordinary')[];
}

export interface ExerciseFamily {
	readonly id: string;
	readonly title: string;
	readonly purposes: readonly Purpose[];
	readonly steps: readonly Step[];
	readonly faults: readonly Fault[];
	/** Two or three essentials, for each technique where they differ. */
	readonly cues: Readonly<Partial<Record<Technique, readonly string[]>>> & {
		readonly ordinary: readonly string[];
	};
	readonly cautions: readonly string[];
}

export const stepOf = (family: ExerciseFamily, id: string): Step | undefined =>
	family.steps.find((s) => s.id === id);

/** A step by id in any of the families. */
export function stepAnywhere(
	families: Readonly<Record<string, ExerciseFamily>>,
	id: string
): Step | undefined {
	for (const f of Object.values(families)) {
		const step = stepOf(f, id);
		if (step !== undefined) return step;
	}
	return undefined;
}

export const servesOf = (family: ExerciseFamily, step: Step): readonly Purpose[] =>
	step.serves ?? family.purposes;

/** Is it done for the range alone? */
export const isStretch = (family: ExerciseFamily, step: Step): boolean =>
	servesOf(family, step)[0] === 'mobility';

/** The essentials of a step's card. */
export const cuesFor = (
	family: ExerciseFamily,
	step: Step,
	technique: Technique | 'ordinary'
): readonly string[] => step.cues ?? family.cues[technique] ?? family.cues.ordinary;

/** Faults that count in a technique, of those a step names. */
export const faultsIn = (
	family: ExerciseFamily,
	step: Step,
	technique: Technique | 'ordinary'
): readonly Fault[] =>
	family.faults.filter(
		(f) =>
			step.faults.includes(f.id) &&
			(f.techniques === undefined ||
				f.techniques.includes(technique) ||
				(technique === 'ordinary' && step.faultsUntaught?.includes(f.id) === true))
	);
