/** Setting an exercise aside and taking it up again: who may, what holds it back, what is kept. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { headOf, logOf } from '../../../../tests/log-of.ts';
import { inSession, planView } from '../view/plan-view.ts';
import { slipsByNeed } from '../view/slips-by-need.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { openFlag } from './flags.ts';
import { logVisit } from './log-visit.ts';
import { pauseExercise } from './pause-exercise.ts';
import { setLimit } from './protocols.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
let d: TestDatabase;
demoForEach((made) => ({ d, physio, trainer } = made));

const asked = (r: ClientRecord, to: 'active' | 'set-aside', patch: object = {}) => ({
	id: randomUUID(),
	clientId: r.head.id,
	exerciseId: r.exercises[0]!.id,
	basedOn: headOf(r).id,
	to,
	reason: 'away for two weeks',
	...patch
});
const setAside = async (name = 'Wren') => {
	const r = await client(physio, name);
	value(await pauseExercise(physio, asked(r, 'set-aside')));
	return reloaded(physio, r.head.id);
};

describe('set aside', () => {
	it('it is no longer in use, with its reason on the plan; what is done all the same is against advice', async () => {
		const r = await setAside();
		expect(headOf(r)).toMatchObject({ state: 'set-aside', kind: 'set-aside', reason: 'away for two weeks' });
		const [w] = inSession(planView(r, slipsByNeed(r, TODAY), TODAY, ['f']));
		expect(w).toMatchObject({ state: 'set-aside', because: 'away for two weeks' });
		expect(value(await logVisit(physio, logOf(r, TODAY))).againstAdvice).toBe(true);
	});
	it('once is enough, and what was changed meanwhile is said', async () => {
		const r = await setAside();
		expect(await pauseExercise(physio, asked(r, 'set-aside'))).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
		const old = asked(r, 'active', { basedOn: randomUUID() });
		expect(await pauseExercise(physio, old)).toMatchObject({ ok: false, refusal: { why: 'conflict' } });
	});
	it('sent twice it is done once; the same id with another reason is refused', async () => {
		const r = await client(physio, 'Wren');
		const form = asked(r, 'set-aside');
		expect(value(await pauseExercise(physio, form))).toBe('set-aside');
		expect(value(await pauseExercise(physio, form))).toBe('set-aside');
		expect((await reloaded(physio, r.head.id)).exercises[0]?.prescriptions).toHaveLength(
			(r.exercises[0]?.prescriptions.length ?? 0) + 1
		);
		expect(await pauseExercise(physio, { ...form, reason: 'something else' })).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
	});
	it('a trainer without a delegation may not, nor for an exercise that is not there', async () => {
		const r = await client(physio, 'Wren');
		await d.owner.query('delete from delegation');
		expect(await pauseExercise(trainer, asked(r, 'set-aside'))).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
		expect(await pauseExercise(physio, asked(r, 'set-aside', { exerciseId: randomUUID() }))).toMatchObject({
			ok: false,
			refusal: { why: 'not-found' }
		});
	});
});

describe('taken up again', () => {
	it('where it was left: step, dose and set-up as before, its streak begun anew', async () => {
		const r = await setAside();
		const before = headOf(r);
		expect(value(await pauseExercise(physio, asked(r, 'active')))).toBe('active');
		const again = await reloaded(physio, r.head.id);
		expect(headOf(again)).toMatchObject({
			state: 'active',
			kind: 'resume',
			step: before.step,
			dose: before.dose,
			setup: before.setup
		});
		const [slip] = slipsByNeed(again, TODAY);
		expect(slip?.trace.decision).not.toBe('advance');
		expect(await pauseExercise(physio, asked(again, 'active'))).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
	});
	it('not while a flag is open, and not past a limit that came meanwhile', async () => {
		const r = await setAside();
		const limit: Parameters<typeof setLimit>[1] = {
			id: randomUUID(),
			clientId: r.head.id,
			axis: 'kneeFlexion',
			side: 'right',
			maxDeg: 40,
			when: 'always',
			source: 'surgeon, by letter'
		};
		value(await setLimit(physio, limit));
		const limited = await reloaded(physio, r.head.id);
		const past = await pauseExercise(physio, asked(limited, 'active'));
		expect(past).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		expect(past.ok ? '' : past.refusal.message).toContain('would not stand any more');
		const other = await setAside('Bertil');
		value(
			await openFlag(physio, {
				id: randomUUID(),
				clientId: other.head.id,
				day: TODAY,
				code: 'night-pain',
				region: 'knee-left',
				severity: 'red',
				urgency: 'urgent'
			})
		);
		expect(await pauseExercise(physio, asked(await reloaded(physio, other.head.id), 'active'))).toMatchObject(
			{
				ok: false,
				refusal: { field: 'reason', message: expect.stringContaining('A flag is open') as string }
			}
		);
	});
	it('what was stopped is cleared on its slip; what a signed slip set aside is a licensed user’s to give back', async () => {
		const r = await client(physio, 'Wren');
		/** As if a slip had been signed for it: the state, and the decision it came from. */
		const become = async (state: 'stopped' | 'set-aside') => {
			value(await pauseExercise(physio, asked(await reloaded(physio, r.head.id), 'set-aside')));
			await d.owner.query(
				`update prescription set state = $1, decision_id = (select id from decision where client_id = $2 limit 1) where id = $3`,
				[state, r.head.id, headOf(await reloaded(physio, r.head.id)).id]
			);
			return reloaded(physio, r.head.id);
		};
		const aside = await become('set-aside');
		expect(headOf(aside).decisionId).not.toBeNull();
		expect(await pauseExercise(trainer, asked(aside, 'active'))).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed', message: expect.stringContaining('signed slip') as string }
		});
		expect(value(await pauseExercise(physio, asked(aside, 'active')))).toBe('active');
		const stopped = await become('stopped');
		expect(await pauseExercise(physio, asked(stopped, 'active'))).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed', message: expect.stringContaining('cleared on its slip') as string }
		});
	});
	it('a trainer who is delegated takes up what was set aside by hand', async () => {
		const r = await setAside();
		expect(value(await pauseExercise(trainer, asked(r, 'active')))).toBe('active');
	});
});
