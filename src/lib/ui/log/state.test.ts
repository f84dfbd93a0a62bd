/** What is typed of a session belongs to that session: nothing of it is there for the next, but who saw it. Common practice. */
import { expect, it, vi } from 'vitest';
import { SessionState } from './state.svelte.ts';

// Plain values do where nothing is drawn.
vi.stubGlobal('$state', (value: unknown) => value);

it('begins empty, and is empty again once it is cleared: nothing is ticked beforehand', () => {
	const s = new SessionState();
	expect(s.said).toBe(false);
	Object.assign(s.v, { effort: '5', before: '1' });
	[s.observed, s.clean, s.otherSame, s.opened] = [true, true, true, true];
	[s.symptoms, s.usual, s.feltIn] = [['locking'], ['locking'], ['calf']];
	[s.sets, s.faults] = [{ 'set.0.reps': '4' }, { valgus: '1' }];
	expect(s.said).toBe(true);
	s.clear();
	expect(s.said).toBe(false);
	const fresh = new SessionState();
	fresh.observed = true;
	expect({ ...s, said: s.said }).toEqual({ ...fresh, said: fresh.said });
});
