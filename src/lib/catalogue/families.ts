/** The families this version knows. */
import type { ExerciseFamily } from '../core/exercise/family.ts';
import { squat } from './squat.ts';

export const FAMILIES: Readonly<Record<string, ExerciseFamily>> = { squat };

/** Catalogue version: raised whenever a step, gate or policy that ships changes; decisions record it. */
export const CATALOGUE_VERSION = '2026.1';
