/**
 * The record a decision is made from: sessions of one exercise, mornings by region and day, events by day. Field for field what
 * is asked of client and practitioner; nothing derived. Pain, effort and confidence 0–10.
 */
import type { Day } from '../base/calendar-day.ts';
import type { Muscle } from '../body/muscle.ts';

/** `knee-right`, `hip-left`, `back` … */
export type Region = string;

export const SYMPTOMS = [
	'locking',
	'catching',
	'giving-way',
	'sharp-with-loss',
	'radiating',
	'numbness',
	'weakness',
	'leakage',
	'dizziness',
	'faintness',
	'chest-pain',
	'breathless',
	'tingling',
	'face-arm-speech',
	'cold-limb',
	'calf-swelling',
	'pop-and-swelling',
	'no-straight-raise',
	'wound',
	'pregnancy-stop'
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

export const PAIN_AT = ['early', 'middle', 'late', 'return', 'throughout'] as const;
export type PainAt = (typeof PAIN_AT)[number];
export const INCOMPLETE = ['pain', 'tired', 'form', 'time', 'other'] as const;
export type IncompleteBecause = (typeof INCOMPLETE)[number];
export const TIGHTER = ['left', 'right', 'alike'] as const;
export const STOPS_A_STRETCH = ['ankle', 'thigh', 'hip', 'back'] as const;
export const SWELLING = ['none', 'a-little', 'clearly-more', 'hot'] as const;
export type Swelling = (typeof SWELLING)[number];
export const EVENTS = ['unusual-activity', 'illness', 'injection', 'painkiller', 'missed'] as const;
export type DayEvent = (typeof EVENTS)[number];
export type YesNoUnknown = 'yes' | 'no' | 'unknown';

export interface PainEntry {
	readonly region: Region;
	readonly before?: number;
	readonly peak?: number;
	readonly after?: number;
	/** Told at home, on the evening of that day. */
	readonly evening?: number;
}

export interface SetEntry {
	readonly reps: number;
	readonly effort?: number;
	/** Reps before the first fault. */
	readonly cleanReps?: number;
	/** Clean reps (or seconds) of the other leg in the same set, in a step of one leg at a time. */
	readonly otherClean?: number;
	/** Load of this set where it was another than prescribed, in kg. */
	readonly loadKg?: number;
	/** The load was let down in the middle of the set: after so many repetitions, to so many kg. */
	readonly drop?: { readonly afterReps: number; readonly toKg: number };
}

export interface Session {
	readonly date: Day;
	readonly observed: boolean;
	readonly prescribed: { readonly sets: number; readonly reps: number; readonly loadKg?: number };
	readonly sets: readonly SetEntry[];
	readonly pains: readonly PainEntry[];
	readonly painAt?: PainAt;
	readonly painOnlyLoaded?: boolean;
	readonly symptoms?: readonly Symptom[];
	/** How far down the leg it reached against usual: only lower than usual, or new, stops. */
	readonly radiatingLower?: boolean;
	/** In a back client, asked when numbness or leakage is reported: saddle numbness, retention, bowel, both legs. */
	readonly caudaEquina?: YesNoUnknown;
	/** Share of sets in which a fault was seen, by catalogue id. */
	readonly faults?: Readonly<Record<string, number>>;
	readonly incompleteBecause?: IncompleteBecause;
	readonly soreness?: number;
	readonly sorenessOver72h?: boolean;
	readonly confidence?: number;
	/** Was the work felt in the muscle it is meant for, and in which joint if in one: `none` where it was asked and in none. */
	readonly felt?: {
		readonly muscle?: boolean;
		readonly joint?: string;
		/** The muscles it was felt in, where that was asked. */
		readonly in?: readonly Muscle[];
	};
	/** Of a stretch: the tighter side, and what stops it. */
	readonly tighter?: (typeof TIGHTER)[number];
	readonly stoppedBy?: (typeof STOPS_A_STRETCH)[number];
	/** Of the symptoms, those that are as usual: agreed by a licensed user. One that is not named is new. */
	readonly asUsual?: readonly Symptom[];
	/** Done while it was suspended, or past a limit: counts for pain and alarms, never for a streak. */
	readonly againstAdvice?: boolean;
	/** Done at the dose of a lighter day: never incomplete, outside the streak. */
	readonly lighter?: boolean;
	/** Known from the prescription it was logged under; left out, dates decide. */
	readonly sinceChange?: boolean;
}

export interface Morning {
	readonly date: Day;
	readonly region: Region;
	readonly pain?: number;
	readonly swelling?: Swelling;
	readonly stiffnessMin?: number;
	/** Tendons: pain of the same provocation test. */
	readonly provocation?: number;
	readonly recalled?: boolean;
	/** Fever or feeling ill that day. */
	readonly fever?: boolean;
	/** One calf newly swollen, tender or warm. */
	readonly calf?: boolean;
	/** Asked of a hot joint: it can hardly be moved or stood on. */
	readonly cannotStand?: boolean;
}

/** What an arrival card said, as far as decisions ask. */
export interface ArrivedDay {
	readonly date: Day;
	/** Nothing but pain at its usual was reported. */
	readonly clean: boolean;
	readonly unwell: boolean;
	readonly fell: boolean;
	/** Regions with new swelling, or pain that closed them for the day. */
	readonly closed: readonly Region[];
}

export interface RecordedEvent {
	readonly date: Day;
	readonly kind: DayEvent;
}
