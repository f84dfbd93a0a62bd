/** The families this version knows, and ways to find a step in them. */
import { tableOf } from '../core/base/table.ts';
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';
import { chosenIn } from './choices.ts';
import { usuallyIn } from './doses.ts';
import { balance, impact, isometrics, mobility, tissue, trunk, warmUp } from './floor-ladders.ts';
import { watchedFor } from './further-faults.ts';
import { furthered } from './furthered.ts';
import { bridgeFamily, hingeFamily } from './hip-ladders.ts';
import { calf, kneeExtensionFamily, kneeFlexion, legPressFamily } from './knee-ladders.ts';
import { lunge, stepFamily } from './lower-ladders.ts';
import { abduction, adduction } from './side-ladders.ts';
import { squat } from './squat.ts';
import { needed } from './needs.ts';
import { tagged } from './tags.ts';
import { backIn } from './ways-back.ts';

/** Tags and needs are in tables of their own. */
const completed = (f: ExerciseFamily): ExerciseFamily => ({
	...f,
	steps: f.steps.map((s) => needed(tagged(s)))
});

const WRITTEN: readonly ExerciseFamily[] = [
	squat,
	stepFamily,
	lunge,
	hingeFamily,
	bridgeFamily,
	abduction,
	adduction,
	kneeExtensionFamily,
	kneeFlexion,
	legPressFamily,
	calf,
	balance,
	impact,
	isometrics,
	mobility,
	trunk,
	tissue,
	warmUp
];
const ALL = WRITTEN.map(furthered).map(watchedFor).map(chosenIn).map(usuallyIn).map(backIn).map(completed);

export const FAMILIES: Readonly<Record<string, ExerciseFamily>> = tableOf(ALL.map((f) => [f.id, f]));

const BY_STEP: ReadonlyMap<string, { readonly family: ExerciseFamily; readonly step: Step }> = new Map(
	ALL.flatMap((family) => family.steps.map((step) => [step.id, { family, step }] as const))
);

/** A step by its id, with its family; undefined where this version does not know it. */
export const findStep = (id: string): { readonly family: ExerciseFamily; readonly step: Step } | undefined =>
	BY_STEP.get(id);

/** Catalogue version: raised whenever a step, gate or policy that ships changes; decisions record it. */
export const CATALOGUE_VERSION = '2026.9';
