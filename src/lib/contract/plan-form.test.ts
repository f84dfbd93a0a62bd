/** A reason is at least a few words; spaces are none. */
import { expect, it } from 'vitest';
import { pauseForm } from './plan-form.ts';

it('setting aside and taking up take a reason of five letters or more, and know no other state', () => {
	const id = '019b3154-ce00-71c2-83ab-75d79c0044c3';
	const ok = (patch: object) =>
		pauseForm.safeParse({ id, exerciseId: id, basedOn: id, to: 'active', reason: 'ache!', ...patch }).success;
	expect([
		ok({}),
		ok({ reason: 'ache' }),
		ok({ reason: '  ache  ' }),
		ok({ to: 'stopped' }),
		ok({ basedOn: '' })
	]).toEqual([true, false, false, false, false]);
});
