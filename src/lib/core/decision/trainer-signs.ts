/** What a practice lets a trainer sign of what was delegated to them: all of it, only what goes on or is gentler, or nothing. */
import { AMBITION, type Decision } from './trace.ts';

export const TRAINER_SIGNS = ['delegated', 'gentler', 'nothing'] as const;
export type TrainerSigns = (typeof TRAINER_SIGNS)[number];

/** May a trainer sign this decision here? A licensed user is not asked. */
export const trainerMaySign = (signs: TrainerSigns, decision: Decision): boolean =>
	signs === 'delegated' || (signs === 'gentler' && AMBITION[decision] <= AMBITION.hold);
