/** A step that one client is never given: nothing proposes it, edges pass over it, and it comes back when it is taken back. Common practice. */
import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { fitContextOf } from '../record/fit-of.ts';
import { usualNow } from '../record/facts-of.ts';
import { nextStepsOf } from '../record/gates-of.ts';
import { shownOf } from '../record/shown-of.ts';
import { slipOf } from '../record/slip-of.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { leaveOut, takeStepBack, type LeftOut } from './leave-out.ts';
import { prescribe } from './prescribe.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ physio, trainer } = made));

const leave = (r: ClientRecord, step: string, patch: Partial<LeftOut> = {}, ctx = physio) =>
	leaveOut(ctx, {
		...{ id: randomUUID(), clientId: r.head.id, step, because: 'the forward step hurts' },
		...patch
	});
const nexts = (r: ClientRecord, family: string, step: string): readonly string[] => {
	const at = r.families[family]!.steps.find((s) => s.id === step)!;
	return nextStepsOf(r, at, family, fitContextOf(r, TODAY)).map((n) => n.step);
};

it('is proposed by nothing, passed over, and prescribed by nobody, until it is taken back', async () => {
	const wren = await client(physio, 'Wren');
	expect(nexts(wren, 'squat', 'standard-seat')).toContain('counter-squat');
	const x = { id: randomUUID() };
	value(await leave(wren, 'counter-squat', x));
	value(await leave(wren, 'counter-squat', x));
	const after = await reloaded(physio, wren.head.id);
	expect(after.head.leftOut).toEqual([{ ...x, step: 'counter-squat', because: 'the forward step hurts' }]);
	expect(fitContextOf(after, TODAY).leftOut).toEqual(['counter-squat']);
	// Where it led, by its own edges: their gates are theirs.
	expect(nexts(after, 'squat', 'standard-seat')).toEqual(
		expect.arrayContaining(['free-squat', 'stacked-hold'])
	);
	expect(nexts(after, 'squat', 'standard-seat')).not.toContain('counter-squat');
	expect(after.families.squat!.steps.find((s) => s.id === 'free-squat')?.easier).toBe('standard-seat');
	const give = () =>
		prescribe(physio, {
			...{ id: randomUUID(), exerciseId: randomUUID(), clientId: wren.head.id, family: 'squat' },
			...{
				step: 'counter-squat',
				region: 'knee-right',
				sets: 1,
				reps: 5,
				loadKg: 0,
				reason: 'to try it once'
			}
		});
	expect(await give()).toMatchObject({ ok: false, refusal: { field: 'step' } });
	expect(await leave(after, 'counter-squat')).toMatchObject({ refusal: { field: 'step' } });
	const back = { id: randomUUID(), clientId: wren.head.id, leftOutId: x.id };
	expect(await takeStepBack(trainer, back)).toMatchObject({ refusal: { why: 'not-allowed' } });
	value(await takeStepBack(physio, back));
	expect(await takeStepBack(physio, { ...back, id: randomUUID() })).toMatchObject({
		refusal: { why: 'conflict' }
	});
	const again = await reloaded(physio, wren.head.id);
	expect(again.head.leftOut).toEqual([]);
	expect(nexts(again, 'squat', 'standard-seat')).toContain('counter-squat');
});

it('is a licensed user’s word, of a step there is, and never of what is in the plan', async () => {
	const wren = await client(physio, 'Wren');
	expect(await leave(wren, 'counter-squat', {}, trainer)).toMatchObject({ refusal: { why: 'not-allowed' } });
	for (const step of ['no-such-step', 'constructor', '__proto__'])
		expect(await leave(wren, step)).toMatchObject({ refusal: { field: 'step' } });
	const inPlan = wren.exercises[0]!.prescriptions.at(-1)!.step;
	expect(await leave(wren, inPlan)).toMatchObject({
		refusal: { message: expect.stringContaining('is in the plan') as string }
	});
	const amos = await client(physio, 'Amos');
	value(await leave(wren, 'goblet-squat'));
	// Another client's ladder is whole.
	expect((await reloaded(physio, amos.head.id)).families.squat!.steps.map((s) => s.id)).toContain(
		'goblet-squat'
	);
});

it('what the slip and the gates are made of carries what a step and a session say of pain', async () => {
	const wren = await client(physio, 'Wren');
	const e = wren.exercises[0]!;
	const curl = {
		...e,
		family: 'knee-flexion',
		prescriptions: [{ ...e.prescriptions.at(-1)!, step: 'standing-curl' }]
	};
	expect(slipOf({ ...wren, exercises: [curl] }, curl, TODAY, 0).input.exercise.endsAbove).toBe(0);
	expect(slipOf(wren, e, TODAY, 0).input.exercise).not.toHaveProperty('endsAbove');
	const seen = wren.logs.find(
		(l) => l.session.observed && l.session.pains.some((p) => p.region === e.region && p.peak !== undefined)
	)!;
	const told = seen.session.pains.find((p) => p.region === e.region)!.peak;
	const usual = usualNow(wren, e.region, seen.session.date);
	expect(shownOf(wren)).toContainEqual(
		expect.objectContaining({ pain: told, calm: Math.max(usual, wren.policy.safeMax) }) as object
	);
	// Where safe is less than usual, usual is calm.
	const strict = { ...wren, policy: { ...wren.policy, safeMax: 0 } };
	expect(shownOf(strict)).toContainEqual(expect.objectContaining({ pain: told, calm: usual }) as object);
});
