/** The use-cases of the walk on a real database: signing, undoing, logging, correcting, and what each refuses. */
import { CLIENTS } from '../../../../demo/people.ts';
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { as, client, demoForEach, type TestDatabase } from '../../../../tests/database.ts';
import type { Session } from '#lib/core/session/record.ts';
import type { Context } from './actor.ts';
import { changeSetting } from './change-setting.ts';
import { checkIn } from './check-in.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { logVisit } from './log-visit.ts';
import { prescribe } from './prescribe.ts';
import { decisions } from '../repo/decision-repo.ts';
import { advancesToday } from '../record/facts-of.ts';
import { loadRecords, type ClientRecord } from '../record/load.ts';
import { flipped, hashOf, slipOf, type Slip } from '../record/slip-of.ts';
import { replay } from './replay-decision.ts';
import { closeFlag } from './flags.ts';
import { saveMeasurements } from './save-sheet.ts';
import { showClient } from './show-client.ts';
import { showToday } from './show-today.ts';
import { signDecision, type Answer } from './sign-decision.ts';
import { undoDecision } from './undo-decision.ts';
import { voidLog } from './void-log.ts';

let d: TestDatabase;
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ d, physio, trainer } = made));

function slip(r: ClientRecord): Slip {
	const exercise = r.exercises[0];
	if (exercise === undefined) throw new Error('no exercise');
	return flipped(slipOf(r, exercise, '2026-03-12', advancesToday(r, '2026-03-12')));
}

const answerTo = (r: ClientRecord, s: Slip, patch: Partial<Answer> = {}): Answer => ({
	id: randomUUID(),
	prescriptionId: randomUUID(),
	clientId: r.head.id,
	exerciseId: s.exercise.id,
	hash: hashOf(s),
	basedOn: s.chain.head.id,
	answer: 'accepted',
	...patch
});

describe('today', () => {
	it('orders the practice by need, and every kind of decision occurs', async () => {
		const today = await showToday(physio);
		if (!today.ok) throw new Error('refused');
		expect(new Set(today.value.rows.map((r) => r.decision))).toEqual(
			new Set(['refer', 'stop', 'regress', 'advance', 'wait', 'hold'])
		);
		expect(today.value.rows.map((r) => r.decision).slice(0, 3)).toEqual(['refer', 'stop', 'regress']);
		expect(today.value.rows.find((r) => r.name.startsWith('Wren'))?.sentence).toBe(
			'Hold: right knee was 3 this morning, above its usual 2.'
		);
	});
	it('an owner who is neither licensed nor trainer sees no client', async () => {
		expect(await showToday(await as(d, 'owner'))).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
	});
	it('costs six queries for all clients together, none per row', async () => {
		let queries = 0;
		await physio.inPractice(async (t) => {
			const counted = {
				...t,
				trx: t.trx.withPlugin({
					transformQuery: (a) => (queries++, a.node),
					transformResult: async (a) => a.result
				}) as typeof t.trx
			};
			expect((await loadRecords(counted)).length).toBe(CLIENTS.length);
		});
		expect(queries).toBe(6);
	});
});

describe('signing', () => {
	it('accepting an advance makes the new prescription; undo restores the identical one', async () => {
		const r = await client(physio, 'Tamsin');
		const s = slip(r);
		expect(s.trace.decision).toBe('advance');
		const a = answerTo(r, s);
		expect(await signDecision(physio, a)).toMatchObject({ ok: true, value: { changed: true } });
		const after = slip(await client(physio, 'Tamsin'));
		expect(after.chain.head.dose).toEqual(s.trace.change?.result.dose);
		expect(after.trace.rule).toBe('wait.no-sessions');
		expect(
			await undoDecision(physio, {
				id: randomUUID(),
				prescriptionId: randomUUID(),
				clientId: r.head.id,
				decisionId: a.id
			})
		).toMatchObject({ ok: true });
		const undone = slip(await client(physio, 'Tamsin'));
		for (const key of ['step', 'dose', 'setup', 'snapshot', 'state'] as const)
			expect(undone.chain.head[key]).toEqual(s.chain.head[key]);
		expect(undone.trace).toEqual(s.trace);
	});
	it('two people signing the same slip: one wins, the other is told who', async () => {
		const r = await client(physio, 'Tamsin');
		const s = slip(r);
		const [one, two] = await Promise.all([
			signDecision(physio, answerTo(r, s)),
			signDecision(trainer, answerTo(r, s))
		]);
		expect([one.ok, two.ok].filter(Boolean)).toHaveLength(1);
		const lost = one.ok ? two : one;
		expect(lost).toMatchObject({ ok: false, refusal: { why: 'conflict' } });
		expect(lost.ok ? '' : lost.refusal.message).toMatch(/Ines Quarrel|Joss Bellwether/);
		expect(
			(await client(physio, 'Tamsin')).exercises[0]?.prescriptions.filter((p) => p.day === '2026-03-12')
		).toHaveLength(1);
	});
	it('the same answer sent twice is one decision', async () => {
		const r = await client(physio, 'Wren');
		const a = answerTo(r, slip(r));
		const [one, two] = [await signDecision(physio, a), await signDecision(physio, a)];
		expect([one.ok, two.ok]).toEqual([true, true]);
		expect(
			(await d.owner.query('select count(*)::int as n from decision where id = $1', [a.id])).rows[0]
		).toEqual({ n: 1 });
	});
	it('a slip whose record moved meanwhile is not signed', async () => {
		const r = await client(physio, 'Wren');
		const s = slip(r);
		await checkIn(physio, {
			id: randomUUID(),
			clientId: r.head.id,
			day: '2026-03-12',
			regions: [{ id: randomUUID(), region: 'knee-right', pain: 2, swelling: 'none' }],
			events: []
		});
		expect(await signDecision(physio, answerTo(r, s))).toMatchObject({
			ok: false,
			refusal: { why: 'conflict', message: expect.stringContaining('record changed') as string }
		});
	});
	it('gentler is taken from a trainer, bolder is not, and an override takes a licensed user and a reason', async () => {
		const r = await client(physio, 'Tamsin');
		const s = slip(r);
		const { step, dose, setup } = s.chain.head;
		const instead = (sets: number, reps: number) => ({
			step,
			sets,
			reps,
			loadKg: dose.loadKg,
			...(setup === null ? {} : { setup })
		});
		expect(
			await signDecision(trainer, answerTo(r, s, { answer: 'altered', instead: instead(5, 10) }))
		).toMatchObject({ ok: false, refusal: { field: 'instead' } });
		expect(
			await signDecision(
				trainer,
				answerTo(r, s, { answer: 'overridden', instead: instead(5, 10), reason: 'because I say so' })
			)
		).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(
			await signDecision(physio, answerTo(r, s, { answer: 'overridden', instead: instead(5, 10) }))
		).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		expect(
			await signDecision(
				trainer,
				answerTo(r, s, { answer: 'altered', instead: instead(dose.sets, dose.reps - 2) })
			)
		).toMatchObject({ ok: true });
		expect((await client(physio, 'Tamsin')).exercises[0]?.prescriptions.at(-1)?.dose.reps).toBe(
			dose.reps - 2
		);
	});
	it('a seat that was cleared keeps what is proposed, and a lower one is bolder', async () => {
		const r = await client(physio, 'Bertil');
		const s = slip(r);
		expect(s.trace.change).toMatchObject({ kind: 'dial', dial: 'surface' });
		const { step, dose } = s.chain.head;
		const instead = { step, sets: 1, reps: Math.max(3, dose.reps - 4), loadKg: 0 };
		expect(
			await signDecision(
				trainer,
				answerTo(r, s, { answer: 'altered', instead: { ...instead, setup: { seatCm: 40 } } })
			)
		).toMatchObject({
			ok: false,
			refusal: { field: 'instead', message: expect.stringContaining('lower than the proposed') as string }
		});
		expect(
			await signDecision(trainer, answerTo(r, s, { answer: 'altered', instead: { ...instead, setup: {} } }))
		).toMatchObject({ ok: true });
		expect((await client(physio, 'Bertil')).exercises[0]?.prescriptions.at(-1)?.setup?.seatCm).toBe(
			s.trace.change?.result.setup?.seatCm
		);
	});
	it('overriding to another step takes that step’s own solved length, not the old seat', async () => {
		const r = await client(physio, 'Tamsin');
		const s = slip(r);
		const over = answerTo(r, s, {
			answer: 'overridden',
			reason: 'squats well in the gym',
			instead: { step: 'free-squat', sets: 1, reps: 5, loadKg: 0, setup: { seatCm: 46 } }
		});
		expect(await signDecision(physio, over)).toMatchObject({ ok: true });
		const setup = (await client(physio, 'Tamsin')).exercises[0]?.prescriptions.at(-1)?.setup;
		expect(setup?.seatCm).toBeUndefined();
		expect(setup?.thighDeg).toBeGreaterThan(29);
	});
	it('a stop is accepted, holds until a licensed override resumes it', async () => {
		const r = await client(physio, 'Odile');
		const s = slip(r);
		expect(s.trace.rule).toBe('stop.symptom');
		expect(await signDecision(trainer, answerTo(r, s))).toMatchObject({ ok: true });
		const stopped = await client(physio, 'Odile');
		expect(stopped.exercises[0]?.prescriptions.at(-1)?.state).toBe('stopped');
		const again = slip(stopped);
		expect(again.trace.decision).toBe('stop');
		const { step, dose } = again.chain.head;
		const resume = answerTo(stopped, again, {
			answer: 'overridden',
			reason: 'assessed, meniscal tests clear',
			instead: { step, sets: 1, reps: dose.reps, loadKg: 0 }
		});
		expect(await signDecision(physio, resume)).toMatchObject({ ok: true });
		// Locking opened a flag for review; what it says is closed by a licensed user too.
		const resumed = await client(physio, 'Odile');
		expect(slip(resumed).trace.rule).toBe('wait.review');
		const flagId = resumed.head.flags.find((f) => f.open && f.code === 'joint-symptom')?.id ?? '';
		expect(
			await closeFlag(physio, { id: randomUUID(), clientId: r.head.id, flagId, note: 'seen, tests clear' })
		).toMatchObject({ ok: true });
		expect(slip(await client(physio, 'Odile')).trace.rule).toBe('wait.no-sessions');
	});
	it('every stored decision replays to the same trace', async () => {
		const all = await physio.inPractice((t) => decisions(t));
		expect(all.length).toBeGreaterThan(10);
		for (const x of all) expect(replay(x), `${x.day} ${x.proposal.rule}`).toEqual({ same: true });
		const tampered = {
			...all[0]!,
			proposal: { ...all[0]!.proposal, usual: 9 },
			versions: { ...all[0]!.versions, engine: '0' }
		};
		expect(replay(tampered)).toEqual({ same: false, since: 'engine 0' });
	});
});

describe('logging', () => {
	const logOf = (r: ClientRecord, patch: Partial<Session> = {}) => {
		const exercise = r.exercises[0];
		const head = exercise?.prescriptions.at(-1);
		if (exercise === undefined || head === undefined) throw new Error('none');
		const { sets, reps } = head.dose;
		const session: Session = {
			date: '2026-03-12',
			observed: true,
			prescribed: { sets, reps, loadKg: 0 },
			sets: Array.from({ length: sets }, () => ({ reps, effort: 5, cleanReps: reps })),
			pains: [{ region: exercise.region, before: 1, peak: 1, after: 1 }],
			symptoms: [],
			faults: {},
			soreness: 1,
			confidence: 8,
			...patch
		};
		return {
			id: randomUUID(),
			visitId: randomUUID(),
			clientId: r.head.id,
			exerciseId: exercise.id,
			prescriptionId: head.id,
			session
		};
	};
	it('a double submit is one record', async () => {
		const r = await client(trainer, 'Tamsin');
		const log = logOf(r);
		const both = await Promise.all([logVisit(trainer, log), logVisit(trainer, log)]);
		expect(both.map((x) => x.ok)).toEqual([true, true]);
		expect((await client(trainer, 'Tamsin')).logs.filter((l) => l.id === log.id)).toHaveLength(1);
	});
	it('the same id with other values is a conflict and keeps the first', async () => {
		const r = await client(trainer, 'Tamsin');
		const log = logOf(r);
		await logVisit(trainer, log);
		const other = { ...log, session: { ...log.session, confidence: 2 } };
		expect(await logVisit(trainer, other)).toMatchObject({ ok: false, refusal: { why: 'conflict' } });
	});
	it('chest pain answers at once, opens a red flag, and every decision refers until a licensed user closes it', async () => {
		const r = await client(trainer, 'Tamsin');
		expect(await logVisit(trainer, logOf(r, { symptoms: ['chest-pain'] }))).toMatchObject({
			ok: true,
			value: { raised: [{ alarm: 'emergency-chest-pain', now: 'emergency' }] }
		});
		const flagged = await client(trainer, 'Tamsin');
		expect(slip(flagged).trace.decision).toBe('refer');
		const flag = flagged.head.flags.find((f) => f.open);
		const close = {
			id: randomUUID(),
			clientId: r.head.id,
			flagId: flag?.id ?? '',
			note: 'cleared by the cardiac clinic'
		};
		expect(await closeFlag(trainer, close)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(await closeFlag(physio, close)).toMatchObject({ ok: true });
		expect(slip(await client(trainer, 'Tamsin')).trace.decision).not.toBe('refer');
	});
	it('a session logged by mistake can be taken out by its writer or a licensed user; decisions on it say so', async () => {
		const r = await client(trainer, 'Tamsin');
		const before = slip(r);
		const log = logOf(r, { pains: [{ region: 'hip-left', before: 1, peak: 9, after: 8 }] });
		await logVisit(physio, log);
		const bad = await client(trainer, 'Tamsin');
		expect(slip(bad).trace.rule).toBe('stop.pain');
		expect(await signDecision(physio, answerTo(bad, slip(bad)))).toMatchObject({ ok: true });
		const out = { id: randomUUID(), clientId: r.head.id, logId: log.id, reason: 'meant another client' };
		expect(await voidLog(trainer, out)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(await voidLog(physio, { ...out, reason: ' ' })).toMatchObject({
			ok: false,
			refusal: { field: 'reason' }
		});
		expect(await voidLog(physio, out)).toMatchObject({ ok: true });
		expect(await voidLog(physio, out)).toMatchObject({ ok: true });
		expect(await voidLog(physio, { ...out, id: randomUUID() })).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
		const mended = await client(trainer, 'Tamsin');
		expect(mended.logs.map((l) => l.id)).toEqual(r.logs.map((l) => l.id));
		const signed = await physio.inPractice((t) => decisions(t, r.head.id));
		expect(signed[0]).toMatchObject({ recordChanged: true });
		expect(replay(signed[0]!)).toEqual({ same: true });
		const undone = await undoDecision(physio, {
			id: randomUUID(),
			prescriptionId: randomUUID(),
			clientId: r.head.id,
			decisionId: signed[0]!.id
		});
		expect(undone).toMatchObject({ ok: true });
		expect(slip(await client(trainer, 'Tamsin')).trace).toEqual(before.trace);
	});
	it('refuses the future, a foreign prescription, and more clean than done', async () => {
		const r = await client(trainer, 'Tamsin');
		const other = await client(trainer, 'Wren');
		expect(await logVisit(trainer, logOf(r, { date: '2026-03-13' }))).toMatchObject({
			ok: false,
			refusal: { field: 'day' }
		});
		expect(
			await logVisit(trainer, { ...logOf(r), prescriptionId: other.exercises[0]?.prescriptions[0]?.id ?? '' })
		).toMatchObject({ ok: false, refusal: { why: 'not-found' } });
		expect(await logVisit(trainer, logOf(r, { sets: [{ reps: 5, effort: 5, cleanReps: 6 }] }))).toMatchObject(
			{ ok: false, refusal: { field: 'sets.0.clean' } }
		);
	});
	it('a morning entered twice corrects the first and keeps both rows', async () => {
		const r = await client(trainer, 'Saskia');
		const enter = (pain: number) =>
			checkIn(trainer, {
				id: randomUUID(),
				clientId: r.head.id,
				day: '2026-03-12',
				regions: [{ id: randomUUID(), region: 'knee-left', pain, swelling: 'none' }],
				events: []
			});
		expect(await enter(1)).toMatchObject({ ok: true, value: { corrected: false } });
		expect(await enter(3)).toMatchObject({ ok: true, value: { corrected: true } });
		const now = await client(trainer, 'Saskia');
		expect(now.mornings.filter((m) => m.date === '2026-03-12')).toMatchObject([{ pain: 3 }]);
		expect(
			(
				await d.owner.query(
					`select count(*)::int as n from checkin where client_id = $1 and local_day = '2026-03-12'`,
					[r.head.id]
				)
			).rows[0]
		).toEqual({ n: 2 });
	});
	it('a morning of a region nobody treats, or one to come, is refused', async () => {
		const r = await client(trainer, 'Saskia');
		const enter = (day: string, region: string) =>
			checkIn(trainer, {
				id: randomUUID(),
				clientId: r.head.id,
				day,
				regions: [{ id: randomUUID(), region, pain: 1, swelling: 'none' }],
				events: []
			});
		expect(await enter('2026-03-12', 'hip-left')).toMatchObject({ ok: false, refusal: { field: 'region' } });
		expect(await enter('2026-03-13', 'knee-left')).toMatchObject({ ok: false, refusal: { field: 'day' } });
	});
});

describe('measuring and prescribing', () => {
	it('a sheet is saved whole or not at all: end before onset is named with its side', async () => {
		const r = await client(physio, 'Wren');
		const value = (range: object, side: 'left' | 'right') => ({
			id: randomUUID(),
			axis: 'kneeFlexion' as const,
			side,
			range,
			method: 'goniometer',
			loaded: false
		});
		const saved = await saveMeasurements(physio, r.head.id, '2026-03-12', [
			value({ tolerable: 110 }, 'left'),
			value({ onset: 100, end: 80 }, 'right')
		]);
		expect(saved).toMatchObject({
			ok: false,
			refusal: { field: 'kneeFlexion.right.tolerable', message: expect.stringContaining('Right') as string }
		});
		expect((await client(physio, 'Wren')).measurements).toHaveLength(r.measurements.length);
	});
	it('a new knee range moves the set-up of the next prescription', async () => {
		const r = await client(physio, 'Wren');
		const give = async () => {
			const id = randomUUID();
			expect(
				await prescribe(physio, {
					id,
					exerciseId: r.exercises[0]!.id,
					clientId: r.head.id,
					family: 'squat',
					step: 'standard-seat',
					region: 'knee-right',
					sets: 1,
					reps: 8,
					loadKg: 0,
					reason: 'asked for at work'
				})
			).toMatchObject({ ok: true });
			return (await client(physio, 'Wren')).exercises[0]?.prescriptions.at(-1)?.setup?.seatCm ?? NaN;
		};
		const before = await give();
		await saveMeasurements(physio, r.head.id, '2026-03-12', [
			{
				id: randomUUID(),
				axis: 'kneeFlexion',
				side: 'right',
				range: { onset: 80, tolerable: 90, end: 110 },
				method: 'goniometer',
				loaded: false
			}
		]);
		expect(await give()).toBeGreaterThan(before);
	});
	it('nobody prescribes past a protocol limit, and what is given is solved inside it; past tolerance takes a licence and a reason', async () => {
		const wren = await client(physio, 'Wren');
		const to = (ctx: Context, r: ClientRecord, step: string, reason?: string, family = 'squat') =>
			prescribe(ctx, {
				id: randomUUID(),
				exerciseId: randomUUID(),
				clientId: r.head.id,
				family,
				step,
				region: 'knee-right',
				sets: 1,
				reps: 5,
				loadKg: 0,
				...(reason ? { reason } : {})
			});
		await saveMeasurements(
			physio,
			wren.head.id,
			'2026-03-12',
			['kneeFlexion', 'thighTrunkFlexion', 'weightBearingDorsiflexion'].map((axis) => ({
				id: randomUUID(),
				axis: axis as 'kneeFlexion',
				side: 'right' as const,
				range: { tolerable: axis === 'weightBearingDorsiflexion' ? 4 : 40 },
				method: 'x',
				loaded: true
			}))
		);
		expect(await to(trainer, wren, 'free-squat')).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
		expect(await to(physio, wren, 'free-squat')).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		expect(await to(physio, wren, 'free-squat', 'trial in the parallel bars')).toMatchObject({ ok: true });
		const amos = await client(physio, 'Amos');
		expect(await to(physio, amos, 'quad-stretch', 'the client insists', 'mobility')).toMatchObject({
			ok: false,
			refusal: { why: 'invalid', field: 'step' }
		});
		// At 100° the whole free squat, 105°, is closed; a shallower one is not.
		expect(await to(physio, amos, 'free-squat', 'begins shallow')).toMatchObject({ ok: true });
		expect(
			(await client(physio, 'Amos')).exercises.flatMap((e) => e.prescriptions).at(-1)?.setup?.thighDeg
		).toBeLessThan(70);
	});
	it('a set-up that was typed is judged for itself: a seat below the protocol limit is refused, to everybody', async () => {
		const amos = await client(physio, 'Amos');
		const give = (ctx: Context, setup: { seatCm: number }, reason?: string) =>
			prescribe(ctx, {
				id: randomUUID(),
				exerciseId: amos.exercises.find((e) => e.family === 'squat')!.id,
				clientId: amos.head.id,
				family: 'squat',
				step: 'raised-seat',
				region: 'knee-right',
				sets: 1,
				reps: 5,
				loadKg: 0,
				setup,
				...(reason ? { reason } : {})
			});
		expect(await give(physio, { seatCm: 40 }, 'the client insists')).toMatchObject({
			ok: false,
			refusal: { message: expect.stringContaining('the protocol allows 100°') as string }
		});
		expect(await give(physio, { seatCm: 62 }, 'begins higher')).toMatchObject({ ok: true });
	});
	it('the pain-free policy is not offered above a usual of 1, and policy is a licensed choice', async () => {
		const r = await client(physio, 'Wren');
		expect(await changeSetting(physio, r.head.id, randomUUID(), { policyId: 'pain-free' })).toMatchObject({
			ok: false,
			refusal: { field: 'policyId' }
		});
		expect(await changeSetting(trainer, r.head.id, randomUUID(), { policyId: 'tendon' })).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
		expect(await changeSetting(physio, r.head.id, randomUUID(), { technique: 'stacked' })).toMatchObject({
			ok: true
		});
		expect((await client(physio, 'Wren')).head.setting.technique).toBe('stacked');
	});
	it('reading a record enters the access log', async () => {
		const r = await client(physio, 'Wren');
		await showClient(trainer, r.head.id, 'ladder', () => null);
		const { rows } = await d.owner.query('select what, written_by from access_log where client_id = $1', [
			r.head.id
		]);
		expect(rows).toEqual([{ what: 'ladder', written_by: trainer.actor.memberId }]);
	});
});

describe('the standing chain', () => {
	it('an undo takes its successors away and keeps the sessions of what it restores', async () => {
		const r = await client(physio, 'Tamsin');
		const ps = r.exercises[0]?.prescriptions ?? [];
		const root = ps[0];
		if (root === undefined) throw new Error('none');
		const p = (id: string, kind: 'advance' | 'undo', restores: string | null) => ({
			...root,
			id,
			kind,
			restores,
			replaces: root.id
		});
		const chain = effectiveChain([
			root,
			p('b', 'advance', null),
			p('c', 'undo', root.id),
			p('d', 'advance', null)
		]);
		expect(chain.changes.map((c) => c.kind)).toEqual(['start', 'advance']);
		expect(effectiveChain([root, p('b', 'advance', null), p('c', 'undo', root.id)]).currentIds).toEqual(
			new Set([root.id, 'c'])
		);
	});
});
