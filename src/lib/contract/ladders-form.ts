/** Positions a client tolerates, and what a licensed user clears them for, as forms. */
import { z } from 'zod';
import { CLEARANCES, POSITIONS, type Position } from '#lib/core/exercise/family.ts';
import { uuid } from './basics.ts';

const answer = z.enum(['yes', 'no', 'unknown'], 'Yes, no, or not asked.');

export const positionsForm = z.object({
	id: uuid,
	...(Object.fromEntries(POSITIONS.map((p) => [p, answer])) as Record<Position, typeof answer>)
});
export const clearedForm = z.object({ id: uuid, clearances: z.array(z.enum(CLEARANCES)) });
