/** A new id, for a writer that has none of its own. */
import { randomBytes } from 'node:crypto';
import { uuid7 } from '#lib/core/base/uuid.ts';

export const newId = (now: Date): string => uuid7(now.getTime(), randomBytes(10));
