/** Ids are of their kind, of their time, and each another. @source rfc-9562 version 7 */
import { expect, it } from 'vitest';
import { uuidv7 } from '#lib/core/base/uuid.ts';
import { newId } from './new-id.ts';

it('makes as many as are asked for, no two alike, also past what is asked of chance at once', () => {
	const now = new Date('2026-03-12T09:00:00Z');
	const ids = Array.from({ length: 3000 }, () => newId(now));
	expect(new Set(ids).size).toBe(ids.length);
	for (const id of ids) {
		expect(id).toMatch(uuidv7);
		expect(parseInt(id.slice(0, 8) + id.slice(9, 13), 16)).toBe(now.getTime());
	}
});
