/** A statement is prepared once it comes again, and not more of them than are remembered. */
import { describe, expect, it } from 'vitest';
import { namesOf } from './prepared.ts';

describe('statements that come again', () => {
	it('have a name from the second time on, the same each time, one of their own', () => {
		const nameOf = namesOf();
		expect(nameOf('select $1')).toBeUndefined();
		const name = nameOf('select $1');
		expect(name).toMatch(/^[0-9a-f]{40}$/);
		expect(nameOf('select $1')).toBe(name);
		nameOf('select $2');
		expect(nameOf('select $2')).not.toBe(name);
	});
	it('are at most so many: what comes after is asked plainly', () => {
		const nameOf = namesOf(1);
		nameOf('a');
		nameOf('b');
		expect(nameOf('b')).toBeUndefined();
		expect(nameOf('a')).toBeDefined();
	});
});
