/** Refusals as answers: the right status, the field, and everything that was typed. */
import { describe, expect, it } from 'vitest';
import { ok, refuse } from '../../core/base/result.ts';
import { allow, conflict, invalid, notFound, unreadable, type Actor } from '../usecase/actor.ts';
import { refusedText } from '../../ui/wrong.ts';
import { orError, refusal, refuseAll, refuseField } from './respond.ts';

const form = (): FormData => {
	const f = new FormData();
	f.set('kneeFlexion.right.end', 'stiff');
	f.set('day', '2026-03-12');
	return f;
};

describe('a refused form', () => {
	it('that could not be read comes out of its command with all that is wrong, each at its field', () => {
		const wrong = [
			{ field: 'effort', message: 'Effort: choose 0 to 10.' },
			{ field: 'peak', message: 'Worst pain: choose 0 to 10.' }
		];
		const r = unreadable(wrong);
		if (r.ok) throw new Error('ok');
		expect(refusal(form(), r.refusal)).toMatchObject({
			status: 400,
			data: { ...wrong[0], all: { effort: wrong[0]!.message, peak: wrong[1]!.message } }
		});
		expect(unreadable([])).toMatchObject({ refusal: { field: '', message: 'Check the form.' } });
	});
	it('keeps what was typed and names the field', () => {
		const r = invalid('day', 'The day is in the future.');
		if (r.ok) throw new Error('ok');
		expect(refusal(form(), r.refusal)).toMatchObject({
			status: 422,
			data: {
				field: 'day',
				message: 'The day is in the future.',
				typed: { 'kneeFlexion.right.end': 'stiff', day: '2026-03-12' }
			}
		});
		expect(refuseField(form(), 'x', 'y')).toMatchObject({
			status: 400,
			data: { field: 'x', typed: { day: '2026-03-12' } }
		});
	});
	it('gives no password back', () => {
		const f = form();
		for (const name of ['password', 'again', 'current']) f.set(name, 'salt on the rail');
		expect(refuseField(f, 'again', 'no').data.typed).toEqual({
			'kneeFlexion.right.end': 'stiff',
			day: '2026-03-12'
		});
	});
	it('says everything at once: the first thing by itself, all by their fields, of one field its first', () => {
		const issues = [
			{ field: 'day', message: 'no day' },
			{ field: 'peak', message: 'no number' },
			{ field: 'peak', message: 'out of bounds' }
		];
		expect(refuseAll(form(), issues)).toMatchObject({
			status: 400,
			data: { field: 'day', message: 'no day', all: { day: 'no day', peak: 'no number' } }
		});
		expect(refusedText({ message: 'no day', all: { day: 'no day', peak: 'no number' } })).toBe(
			'no day And 1 more, each beside its field.'
		);
		expect(refusedText({ message: 'no day', all: { day: 'no day' } })).toBe('no day');
		expect(refusedText({ done: 'x' })).toBeUndefined();
	});
	it('conflicts are 409, foreign clients 404, missing roles 403', () => {
		const status = (r: { ok: boolean; refusal?: { why: 'invalid'; message: string } }): number =>
			refusal(form(), r.refusal as never).status;
		expect(status(conflict('x') as never)).toBe(409);
		expect(status(notFound as never)).toBe(404);
		expect(status(refuse({ why: 'not-allowed', message: 'x' }) as never)).toBe(403);
	});
	it('an allowed value comes through, a refused page says why', () => {
		expect(orError(ok(7))).toBe(7);
		expect(() => orError(notFound)).toThrow();
	});
});

describe('roles', () => {
	const actor = (patch: Partial<Actor>): Actor => ({
		memberId: 'm',
		practiceId: 'p',
		name: 'n',
		practice: 'x',
		licensed: false,
		trainer: false,
		owner: false,
		...patch
	});
	it('an owner is not licensed by being owner; a trainer closes no flag; nobody without a role does anything', () => {
		expect(allow(actor({ owner: true }), 'sign').ok).toBe(false);
		expect(allow(actor({ owner: true }), 'replay decision').ok).toBe(true);
		expect(allow(actor({ trainer: true }), 'close flag').ok).toBe(false);
		expect(allow(actor({ trainer: true }), 'sign').ok).toBe(true);
		expect(allow(actor({ licensed: true }), 'override').ok).toBe(true);
		const none = allow(actor({}), 'show client');
		expect(none.ok ? '' : none.refusal.message).toBe(
			'To show client takes a trainer or licensed user; you are signed in as a member without a role.'
		);
	});
});
