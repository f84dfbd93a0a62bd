/** Several slips in one sitting: what was shown is what is signed, all or none. Common practice. */
import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { agreedTogether, tickedAlready } from '#lib/core/decision/together.ts';
import { decisions } from '../repo/decision-repo.ts';
import type { ClientRecord } from '../record/load.ts';
import { hashOf } from '../record/slip-of.ts';
import { slipsByNeed, type NeededSlip } from '../view/slips-by-need.ts';
import type { Context } from './actor.ts';
import { checkIn } from './check-in.ts';
import { signDecision } from './sign-decision.ts';
import { signSeveral } from './sign-several.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ physio, trainer } = made));

const open = (r: ClientRecord): readonly NeededSlip[] => slipsByNeed(r, TODAY).filter((s) => !s.answered);
const goesOn = (r: ClientRecord) => open(r).filter((s) => agreedTogether(s.trace));
const shown = (slips: readonly NeededSlip[]) =>
	slips.map((s) => ({
		id: randomUUID(),
		prescriptionId: randomUUID(),
		exerciseId: s.exercise.id,
		basedOn: s.chain.head.id,
		hash: hashOf(s)
	}));
const sign = (r: ClientRecord, slips: ReturnType<typeof shown>, ctx = physio, id = randomUUID()) =>
	signSeveral(ctx, { id, clientId: r.head.id, slips });
const signedOf = (r: ClientRecord) => physio.inPractice((t) => decisions(t, r.head.id));

/** Of the demo: five advances and more in one day, and a hold beside a regression. */
let several: ClientRecord[] = [];
beforeEach(async () => {
	several = [await client(physio, 'Nerys'), await client(physio, 'Bertil')];
});

describe('several slips', () => {
	it('are signed as if alone: each with its decision, and what it proposed', async () => {
		const [r] = several;
		const slips = goesOn(r!);
		const before = (await signedOf(r!)).length;
		const sent = shown(slips);
		const id = randomUUID();
		const done = value(await sign(r!, sent, physio, id));
		expect(done.signed.length + done.left.length).toBe(slips.length);
		expect(done.signed.length).toBeGreaterThan(0);
		expect(await signedOf(r!)).toHaveLength(before + done.signed.length);
		// Twice is once.
		expect(value(await sign(r!, sent, physio, id))).toEqual(done);
		expect(await signedOf(r!)).toHaveLength(before + done.signed.length);
		const after = await reloaded(physio, r!.head.id);
		for (const slip of slips.filter((s) => done.signed.includes(s.chain.head.snapshot.title))) {
			const now = after.exercises.find((e) => e.id === slip.exercise.id);
			const head = now?.prescriptions.at(-1);
			if (slip.trace.change !== null)
				expect([head?.step, head?.dose]).toEqual([
					slip.trace.change.result.step,
					slip.trace.change.result.dose
				]);
			else expect(head?.id).toBe(slip.chain.head.id);
		}
	});
	it('an advance past what one day allows is left, not signed as something else', async () => {
		const advancing = several.find(
			(r) => goesOn(r).filter((s) => s.trace.decision === 'advance').length > r.policy.advancesPerReview
		);
		expect(advancing, 'a client with more advances than a day allows').toBeDefined();
		const slips = goesOn(advancing!);
		const done = value(await sign(advancing!, shown(slips)));
		expect(done.left.length).toBeGreaterThan(0);
		expect(done.signed).toHaveLength(advancing!.policy.advancesPerReview);
		for (const s of slips.filter((x) => done.left.includes(x.chain.head.snapshot.title)))
			expect(
				(await signedOf(advancing!)).filter((d) => d.exerciseId === s.exercise.id && d.day === TODAY)
			).toEqual([]);
	});
	it('one that moved, one answered, one that stops: none is signed, and it is named', async () => {
		const [r] = several;
		const slips = shown(goesOn(r!));
		const before = (await signedOf(r!)).length;
		const moved = [...slips.slice(0, -1), { ...slips.at(-1)!, hash: 'another' }];
		const stale = await sign(r!, moved);
		expect(stale).toMatchObject({ ok: false, refusal: { why: 'conflict' } });
		expect(stale.ok ? '' : stale.refusal.message).toContain('Nothing was signed.');
		expect(await signedOf(r!)).toHaveLength(before);
		value(await signDecision(physio, { ...slips[0]!, clientId: r!.head.id, answer: 'accepted' }));
		const twice = await sign(r!, slips);
		expect(twice).toMatchObject({ ok: false, refusal: { why: 'conflict' } });
		expect(await signedOf(r!)).toHaveLength(before + 1);
		expect(await sign(r!, [{ ...slips[0]!, exerciseId: randomUUID() }])).toMatchObject({
			refusal: { why: 'not-found' }
		});
	});
	it('a morning that stops or waits is not agreed to with the others', async () => {
		const [r] = several;
		const [first] = goesOn(r!);
		value(
			await checkIn(physio, {
				id: randomUUID(),
				clientId: r!.head.id,
				day: TODAY,
				regions: [{ id: randomUUID(), region: first!.exercise.region, pain: 10, swelling: 'hot' }],
				events: []
			})
		);
		const now = await reloaded(physio, r!.head.id);
		const alone = open(now).find((s) => !agreedTogether(s.trace));
		expect(alone, 'a slip that does not go on').toBeDefined();
		expect(await sign(now, shown([alone!]))).toMatchObject({ ok: false, refusal: { why: 'invalid' } });
	});
	it('only what is delegated: a trainer signs nothing of a back that is not', async () => {
		const [nerys] = several;
		const back = goesOn(nerys!).filter((s) => s.exercise.region === 'back');
		const before = (await signedOf(nerys!)).length;
		const done = await sign(nerys!, shown(back), trainer);
		expect(done).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(await signedOf(nerys!)).toHaveLength(before);
	});
});

it('what changes nothing is ticked already; what stops, refers, mends or waits is not on the list', () => {
	const of = (decision: string, kind?: string) =>
		({ decision, change: kind === undefined ? null : { kind } }) as unknown as Parameters<
			typeof agreedTogether
		>[0];
	const list = [
		of('hold'),
		of('hold', 'dose'),
		of('advance', 'step'),
		of('regress', 'dial'),
		of('regress', 'mend'),
		of('hold', 'set-aside'),
		of('stop'),
		of('refer'),
		of('wait')
	];
	expect(list.map(agreedTogether)).toEqual([true, true, true, true, false, false, false, false, false]);
	expect(list.map(tickedAlready)).toEqual([true, false, false, false, false, false, false, false, false]);
});
