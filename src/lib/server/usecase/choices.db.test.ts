/** Choices and doses through the record: prescribed, named, bound, turned by a slip, and what is not there refused. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { advancesToday } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { decideInputOf, hashOf, slipOf } from '../record/slip-of.ts';
import type { Chosen } from '#lib/core/exercise/family.ts';
import { setupText } from '#lib/wording/setup.ts';
import type { Context } from './actor.ts';
import { prescribe, type NewPrescription } from './prescribe.ts';
import { signDecision } from './sign-decision.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ physio, trainer } = made));

const asked = (r: ClientRecord, patch: Partial<NewPrescription>): NewPrescription => ({
	id: randomUUID(),
	exerciseId: randomUUID(),
	endId: randomUUID(),
	clientId: r.head.id,
	family: 'bridge',
	step: 'far-feet-bridge',
	region: 'knee-left',
	sets: 1,
	reps: 8,
	loadKg: 0,
	reason: 'did it here',
	...patch
});
const given = (r: ClientRecord, id: string) =>
	effectiveChain(r.exercises.find((e) => e.prescriptions.some((p) => p.id === id))!.prescriptions).head;
async function prescribed(patch: Partial<NewPrescription>, who = 'Nerys') {
	const r = await client(physio, who);
	const p = asked(r, patch);
	value(await prescribe(physio, p));
	const after = await reloaded(physio, r.head.id);
	return { after, head: given(after, p.id), exerciseId: p.exerciseId };
}

describe('a choice', () => {
	it('goes with the set-up, is named, and is solved for where its length was left out', async () => {
		const { head } = await prescribed({
			family: 'squat',
			step: 'counter-squat',
			setup: { chosen: { pause: '2' } }
		});
		expect(head.setup).toMatchObject({ thighDeg: expect.any(Number) as number, chosen: { pause: '2' } });
		expect(setupText(head.setup)).toMatch(/^thigh \d+°, pause 2 s$/);
	});
	it('that the step has not is refused; one at its usual place is not written', async () => {
		const r = await client(physio, 'Nerys');
		for (const chosen of [{ pause: '9' }, { wedge: '3' }, JSON.parse('{"__proto__":"2"}') as object])
			expect(await prescribe(physio, asked(r, { setup: { chosen } as never }))).toMatchObject({ ok: false });
		const { head } = await prescribed({ step: 'arms-up-bridge', setup: { chosen: { pause: '0' } } });
		expect(head.setup).not.toHaveProperty('chosen');
	});
	it('is offered one place either way by the slip, as far as it would stand', async () => {
		const { after, exerciseId } = await prescribed({ setup: { chosen: { pause: '2' } } });
		const e = after.exercises.find((x) => x.id === exerciseId)!;
		const { exercise } = decideInputOf(after, e, TODAY, advancesToday(after, TODAY)).input;
		expect(exercise.harder).toMatchObject([{ choice: 'pause', to: '5' }]);
		expect(exercise.gentler?.find((n) => n.choice === 'pause')).toMatchObject({ to: '0' });
	});
	it('farther than the slip goes takes a licensed user and a reason', async () => {
		const { after, exerciseId, head } = await prescribed({ setup: { chosen: { pause: '2' } } });
		const farther: NewPrescription = {
			...asked(after, { setup: { ...head.setup, chosen: { pause: '5' } }, inPlaceOf: exerciseId }),
			exerciseId
		};
		const { reason: _, ...silent } = farther;
		expect(await prescribe(physio, { ...silent, id: randomUUID() })).toMatchObject({
			ok: false,
			refusal: { message: expect.stringContaining('pause 5 s is harder than what is proposed') as string }
		});
		expect(await prescribe(trainer, { ...farther, id: randomUUID() })).toMatchObject({ ok: false });
		expect(await prescribe(physio, { ...farther, id: randomUUID() })).toMatchObject({ ok: true });
	});
	it('is set gentler with a slip by its own word; what is not named stays, and harder is refused', async () => {
		const { after, exerciseId, head } = await prescribed({ setup: { chosen: { pause: '2' } } });
		const sign = async (r: ClientRecord, chosen: Chosen | undefined) => {
			const e = r.exercises.find((x) => x.id === exerciseId)!;
			const slip = slipOf(r, e, TODAY, advancesToday(r, TODAY));
			const { sets, reps, loadKg } = head.dose;
			return signDecision(physio, {
				...{ id: randomUUID(), prescriptionId: randomUUID(), clientId: r.head.id, exerciseId },
				...{ basedOn: effectiveChain(e.prescriptions).head.id, hash: hashOf(slip), answer: 'altered' },
				instead: {
					...{ step: head.step, sets, reps, loadKg },
					...(chosen === undefined ? {} : { setup: { chosen } })
				}
			});
		};
		const now = (r: ClientRecord) =>
			effectiveChain(r.exercises.find((x) => x.id === exerciseId)!.prescriptions).head.setup;
		expect(await sign(after, { pause: '5' })).toMatchObject({ refusal: { field: 'instead' } });
		value(await sign(after, { pause: '0' }));
		const gentler = await reloaded(physio, after.head.id);
		expect(now(gentler)).not.toHaveProperty('chosen');
	});
	it('is left as it stands where a slip names none', async () => {
		const { after, exerciseId } = await prescribed({ setup: { chosen: { pause: '2' } } });
		const e = after.exercises.find((x) => x.id === exerciseId)!;
		const slip = slipOf(after, e, TODAY, advancesToday(after, TODAY));
		const { head } = effectiveChain(e.prescriptions);
		value(
			await signDecision(physio, {
				...{ id: randomUUID(), prescriptionId: randomUUID(), clientId: after.head.id, exerciseId },
				...{ basedOn: head.id, hash: hashOf(slip), answer: 'altered' as const },
				instead: { step: head.step, sets: 1, reps: 6, loadKg: 0, setup: {} }
			})
		);
		const left = (await reloaded(physio, after.head.id)).exercises.find((x) => x.id === exerciseId)!;
		expect(effectiveChain(left.prescriptions).head.setup).toMatchObject({ chosen: { pause: '2' } });
	});
});

describe('a dose past sets and repetitions', () => {
	it('begins with how the step is usually done', async () => {
		const { head } = await prescribed({ family: 'adduction', step: 'pillow-squeeze' });
		expect(head.particulars).toMatchObject({ holdSec: 4, effortPct: 55, daysPerWeek: 3 });
	});
	it('in rounds: the school goes with it', async () => {
		const { head } = await prescribed({ rounds: true });
		expect(head.dose).toMatchObject({ school: 'rounds', sets: 1 });
	});
});
