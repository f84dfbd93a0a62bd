/**
 * What a session is made of: the exercises of a client as they are done, each with what orders it. What an exercise is for its place in a session
 * comes from its family, its purpose and its tags; an own ladder is placed by the same facts.
 */
import type { Side } from '../body/axis.ts';
import type { PrescribedDose } from '../dose/dose.ts';
import type { Particulars } from '../dose/particulars.ts';
import { type Muscle, MUSCLES } from '../body/muscle.ts';
import type { Equipment, Purpose, Step } from '../exercise/family.ts';
import type { JointMoments } from '../movement/movement.ts';

/** Stretched groups; the front of the hip is stretched and not trained here. */
export type Stretched = Muscle | 'hip-front';

export const ROLES = [
	'warm-up',
	'balance',
	'power',
	'main',
	'accessory',
	'finisher',
	'stretch',
	'relief',
	'rolling'
] as const;
export type Role = (typeof ROLES)[number];

export interface Work {
	/** Of the exercise, or of a step that warms up or cools down. */
	readonly id: string;
	readonly title: string;
	readonly step: Step;
	readonly role: Role;
	readonly muscles: readonly Muscle[];
	readonly stretches: readonly Stretched[];
	readonly dose: PrescribedDose;
	readonly particulars: Particulars;
	/** The legs it is done on one after the other; both where it names neither side. */
	readonly sides: readonly Side[] | 'both-at-once';
	/** Of one repetition at its hard point, N·m; what the movement does not solve is not counted. */
	readonly moments: JointMoments;
}

const ACCESSORY: ReadonlySet<Purpose> = new Set<Purpose>(['hip-side', 'hip-inner', 'calf', 'trunk']);

interface Placing {
	readonly step: Pick<Step, 'tags' | 'equipment'>;
	/** What it is given for; what its ladder or step serves, first first. */
	readonly purpose: string;
	readonly serves: readonly Purpose[];
	/** One joint moves, the rest is still: curls, extensions, raises. */
	readonly isolated: boolean;
}

/** @source common-practice warm-up, balance and skill, power, main work, accessory, knees-forward finisher, stretches */
export function roleOf({ step, purpose, serves, isolated }: Placing): Role {
	const [first] = serves;
	const isFor = (what: Purpose): boolean => first === what || purpose === what;
	if (isFor('warm-up')) return 'warm-up';
	if (first === 'relief' && (step.equipment ?? []).flat().includes('roller')) return 'rolling';
	if (isFor('mobility')) return 'stretch';
	if (isFor('relief')) return 'relief';
	if (first === 'balance') return 'balance';
	if (isFor('power')) return 'power';
	if (step.tags.includes('knee-over-toe') && !isolated) return 'finisher';
	return isolated || (first !== undefined && ACCESSORY.has(first)) ? 'accessory' : 'main';
}

export const musclesOf = (serves: readonly Purpose[]): readonly Muscle[] =>
	MUSCLES.filter((m) => serves.includes(m));

/** The muscle that works most, by which two exercises are told apart. */
export const share = (a: readonly string[], b: readonly string[]): boolean => a.some((m) => b.includes(m));

export const PLACES = ['standing', 'seated', 'floor'] as const;
export type Place = (typeof PLACES)[number];
export type Lie = Place | 'kneeling' | 'supine' | 'prone' | 'side-lying';

/** How the body is placed: what a change of position is counted by. */
export function lieOf({ tags, dials }: Pick<Step, 'tags' | 'dials'>): Lie {
	for (const tag of ['supine', 'prone', 'side-lying'] as const) if (tags.includes(tag)) return tag;
	if (dials.position === 'plank') return 'prone';
	if (tags.includes('kneeling')) return 'kneeling';
	return dials.position === 'seated' ? 'seated' : 'standing';
}

export const placeOf = (step: Pick<Step, 'tags' | 'dials'>): Place => {
	const lie = lieOf(step);
	return lie === 'standing' || lie === 'seated' ? lie : 'floor';
};

/** What has to be fetched for it: of what can stand in for each other, the first. */
export const kitOf = ({ equipment = [] }: Pick<Step, 'equipment'>): readonly Equipment[] =>
	equipment.map((e) => (typeof e === 'string' ? e : (e[0] as Equipment)));
