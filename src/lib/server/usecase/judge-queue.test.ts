/** One at a time; asked meanwhile it is done once more; broken, nobody waits for ever. */
import { expect, it } from 'vitest';
import { keyOf } from './judge-aside.ts';
import { Queue } from './judge-queue.ts';

const ended = async (p: Promise<void>): Promise<boolean> => {
	let done = false;
	void p.then(() => (done = true));
	await new Promise((r) => setTimeout(r, 0));
	return done;
};

it('posts one task at a time, and answers each when it is done', async () => {
	const posted: string[] = [];
	const q = new Queue<string>((t) => posted.push(t) > 0);
	const [a, b] = [q.ask('a', 'A'), q.ask('b', 'B')];
	expect(posted).toEqual(['A']);
	expect([await ended(a), q.proven]).toEqual([false, false]);
	q.done();
	expect([await ended(a), await ended(b), q.proven]).toEqual([true, false, true]);
	expect(posted).toEqual(['A', 'B']);
	q.done();
	expect(await ended(b)).toBe(true);
	q.done();
	expect(posted).toEqual(['A', 'B']);
});
it('what is asked of a practice that is being judged is judged once more, once for all who asked', async () => {
	const posted: string[] = [];
	const q = new Queue<string>((t) => posted.push(t) > 0);
	const first = q.ask('a', '1');
	const [second, third] = [q.ask('a', '2'), q.ask('a', '3')];
	q.done();
	expect([await ended(first), await ended(second)]).toEqual([true, false]);
	expect(posted).toEqual(['1', '2']);
	q.done();
	expect([await ended(second), await ended(third)]).toEqual([true, true]);
});
it('broken, all who wait go on, and it begins anew', async () => {
	const posted: string[] = [];
	const q = new Queue<string>((t) => posted.push(t) > 0);
	const waiting = [q.ask('a', 'A'), q.ask('a', 'A2'), q.ask('b', 'B')];
	q.done();
	q.broken();
	expect(await Promise.all(waiting.map(ended))).toEqual([true, true, true]);
	expect(q.proven).toBe(false);
	void q.ask('c', 'C');
	expect(posted).toEqual(['A', 'A2', 'C']);
});
it('where nobody takes a task who asked goes on without, and the next is taken', async () => {
	let there = false;
	const q = new Queue<string>(() => there);
	expect(await ended(q.ask('a', 'A'))).toBe(true);
	there = true;
	const next = q.ask('a', 'A');
	expect(await ended(next)).toBe(false);
	q.done();
	expect(await ended(next)).toBe(true);
});
it('all that is old is asked by itself, not with the few that changed just now', () => {
	const task = { practiceId: 'p', memberId: 'm', today: '2026-03-12' };
	expect(keyOf({ ...task, few: true })).not.toBe(keyOf(task));
	expect(keyOf({ ...task, few: true })).not.toBe(keyOf({ ...task, practiceId: 'q', few: true }));
});
