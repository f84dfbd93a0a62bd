/** An exercise, or a step alone, as work of a session: what orders it is read from its step, its ladder and what it is given for. */
import type { Side } from '../body/axis.ts';
import { SIDES } from '../body/axis.ts';
import type { PrescribedDose } from '../dose/dose.ts';
import type { Particulars } from '../dose/particulars.ts';
import { servesOf, type ExerciseFamily, type Step } from '../exercise/family.ts';
import { isOneSided } from '../movement/of-step.ts';
import type { JointMoments } from '../movement/movement.ts';
import { musclesOf, roleOf, type Stretched, type Work } from './work.ts';

/** What the catalogue says beside the ladders: which stretch stretches what, which ladders move one joint. */
export interface Placings {
	readonly stretches: Readonly<Record<string, readonly Stretched[]>>;
	readonly isolated: ReadonlySet<string>;
}

export interface WorkAsked {
	readonly id: string;
	readonly title: string;
	readonly family: ExerciseFamily;
	readonly step: Step;
	readonly purpose: string;
	/** The leg it is for; null where both. */
	readonly side: Side | null;
	readonly dose: PrescribedDose;
	readonly particulars: Particulars;
	readonly moments: JointMoments;
}

/** One leg at a time is done on both: the treated one first. @source common-practice each side, the weaker first */
const sidesOf = (step: Step, side: Side | null): Work['sides'] =>
	isOneSided(step.posture) ? (side === 'right' ? [...SIDES].reverse() : SIDES) : 'both-at-once';

export function workOf(a: WorkAsked, placings: Placings): Work {
	const serves = servesOf(a.family, a.step);
	const isolated = placings.isolated.has(a.family.id);
	const stretches = placings.stretches[a.step.id] ?? [];
	return {
		id: a.id,
		title: a.title,
		step: a.step,
		role: roleOf({ step: a.step, purpose: a.purpose, serves, isolated }),
		muscles: musclesOf(serves),
		stretches,
		dose: a.dose,
		particulars: a.particulars,
		sides: sidesOf(a.step, a.side),
		moments: a.moments
	};
}
