/** A new id, for a writer that has none of its own. */
import { randomBytes } from 'node:crypto';
import { uuid7 } from '#lib/core/base/uuid.ts';

const BYTES = 10;
/** A page of many fields takes a hundred ids: chance is asked for at once, each part of it used once. */
const AT_ONCE = 512;
let chance = randomBytes(0);
let used = 0;

export function newId(now: Date): string {
	if (used === chance.length) [chance, used] = [randomBytes(BYTES * AT_ONCE), 0];
	return uuid7(now.getTime(), chance.subarray(used, (used += BYTES)));
}
