/** Guards on a real database: sent twice, half, or by somebody who may not; and what binds between one command and the next. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { headOf, logOf as loggedOn } from '../../../../tests/log-of.ts';
import type { Session } from '#lib/core/session/record.ts';
import { standingOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { hashOf, slipOf } from '../record/slip-of.ts';
import type { Context, Outcome } from './actor.ts';
import { arrive, openDay, type NewArrival } from './arrive.ts';
import { dropGoal, saveComplaint, saveGoal } from './ask.ts';
import { changeSetting } from './change-setting.ts';
import { checkIn } from './check-in.ts';
import { closeFlag } from './flags.ts';
import { knowSymptom } from './known-symptom.ts';
import { logVisit, type NewLog } from './log-visit.ts';
import { prescribe } from './prescribe.ts';
import { enterProtocol, recordSurgery, setLimit } from './protocols.ts';
import { registerClient } from './register-client.ts';
import { showToday } from './show-today.ts';
import { signDecision } from './sign-decision.ts';
import { undoDecision } from './undo-decision.ts';
import { voidLog } from './void-log.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ d, physio, trainer } = made));

const logOf = (r: ClientRecord, patch: Partial<Session> = {}) => loggedOn(r, TODAY, patch);
const slip = (r: ClientRecord, at = 0) => slipOf(r, r.exercises[at]!, TODAY, 0);
const sign = async (ctx: Context, r: ClientRecord, at = 0) => {
	const s = slip(r, at);
	const id = randomUUID();
	return {
		id,
		outcome: await signDecision(ctx, {
			id,
			prescriptionId: randomUUID(),
			clientId: r.head.id,
			exerciseId: s.exercise.id,
			hash: hashOf(s),
			basedOn: s.chain.head.id,
			answer: 'accepted'
		})
	};
};
const card = (clientId: string, patch: Partial<NewArrival> = {}): NewArrival => ({
	id: randomUUID(),
	clientId,
	day: TODAY,
	pains: { 'knee-right': 1 },
	fever: 'no',
	fall: 'no',
	newSwelling: 'no',
	calf: 'no',
	...patch
});
const CONFLICT = { ok: false, refusal: { why: 'conflict' } };

describe('the same id with other content is never "saved"', () => {
	/** Sends a command, sends it again, sends it with other content: kept once, answered twice, refused once. */
	async function twice<I extends { readonly id: string }, T>(
		run: (input: I) => Promise<Outcome<T>>,
		input: I,
		other: Partial<I>
	): Promise<void> {
		const first = value(await run(input));
		expect(value(await run(input))).toEqual(first);
		expect(await run({ ...input, ...other })).toMatchObject(CONFLICT);
	}
	it('in arrival, morning, complaint, goal, setting, log, protocol, limit and known symptoms', async () => {
		const r = await client(physio, 'Wren');
		const clientId = r.head.id;
		await twice((a: NewArrival) => arrive(trainer, a), card(clientId), { fever: 'yes' });
		const region = { id: randomUUID(), region: 'knee-right', pain: 2, swelling: 'none' as const };
		await twice(
			(c: Parameters<typeof checkIn>[1]) => checkIn(trainer, c),
			{
				id: randomUUID(),
				clientId,
				day: '2026-03-05',
				regions: [region],
				events: [{ id: randomUUID(), kind: 'illness' }]
			},
			{ fever: true }
		);
		await twice(
			(c: Parameters<typeof saveComplaint>[1]) => saveComplaint(trainer, c),
			{
				id: randomUUID(),
				settingId: randomUUID(),
				clientId,
				region: 'knee-right',
				spot: 'front',
				usualMorning: 2,
				worst: 5,
				loaded: 'yes'
			},
			{ worst: 9 }
		);
		const goal = { id: randomUUID(), clientId, activity: 'low-chair', label: 'sofa', score: 4 };
		await twice((g: Parameters<typeof saveGoal>[1]) => saveGoal(trainer, g), goal, { score: 9 });
		await twice(
			(g: Parameters<typeof dropGoal>[1]) => dropGoal(trainer, g),
			{ id: randomUUID(), clientId, goalId: goal.id },
			{ goalId: randomUUID() }
		);
		await twice(
			({ id, massKg }: { id: string; massKg: number }) => changeSetting(trainer, clientId, id, { massKg }),
			{ id: randomUUID(), massKg: 71 },
			{ massKg: 75 }
		);
		const log = logOf(r);
		await twice((l: NewLog) => logVisit(trainer, l), log, {
			session: { ...log.session, symptoms: ['chest-pain'] }
		});
		await twice(
			(l: Parameters<typeof setLimit>[1]) => setLimit(physio, l),
			{ id: randomUUID(), clientId, axis: 'kneeFlexion', side: 'left', maxDeg: 120, source: 'letter' },
			{ maxDeg: 140 }
		);
		const surgery = { id: randomUUID(), clientId, region: 'knee-left', operatedOn: '2026-02-01' };
		await twice((s: Parameters<typeof recordSurgery>[1]) => recordSurgery(trainer, s), surgery, {
			operatedOn: '2026-02-02'
		});
		const phases = [
			{ fromWeek: 0, toWeek: null, weightBearing: 'full' as const, windows: [], forbidden: [] }
		];
		await twice(
			(p: Parameters<typeof enterProtocol>[1]) => enterProtocol(physio, p),
			{ id: randomUUID(), clientId, surgeryId: surgery.id, source: 'sheet', phases },
			{ source: 'another sheet' }
		);
		await twice(
			(k: Parameters<typeof knowSymptom>[1]) => knowSymptom(physio, k),
			{ id: randomUUID(), clientId, region: 'knee-right', symptom: 'giving-way', until: '2026-04-01' },
			{ until: '2026-05-01' }
		);
		await twice(
			(v: Parameters<typeof voidLog>[1]) => voidLog(physio, v),
			{ id: randomUUID(), clientId, logId: log.id, reason: 'wrong client' },
			{ reason: 'another reason' }
		);
		expect(await arrive(physio, { ...card(clientId), id: log.id })).toMatchObject(CONFLICT);
	});
	it('sent by somebody else it is a conflict too, and a fever that was corrected is kept under its own id', async () => {
		const { id: clientId } = (await client(physio, 'Wren')).head;
		const first = card(clientId);
		value(await arrive(trainer, first));
		expect(await arrive(physio, first)).toMatchObject(CONFLICT);
		expect(value(await arrive(trainer, card(clientId, { fever: 'yes' }))).closes).toBe('day');
		expect((await reloaded(physio, clientId)).head.arrivals).toMatchObject([{ answer: 'not-today' }]);
	});
	it('ids that are none are refused before the database sees them', async () => {
		const { id: clientId } = (await client(physio, 'Wren')).head;
		expect(await arrive(trainer, { ...card(clientId), id: 'x' })).toMatchObject({
			ok: false,
			refusal: { why: 'invalid' }
		});
		expect(await arrive(trainer, card('nonsense'))).toMatchObject({
			ok: false,
			refusal: { why: 'not-found' }
		});
	});
});

describe('refused is rolled back whole', () => {
	it('a check-in with one region that is not treated stores no pain of the others', async () => {
		const r = await client(physio, 'Wren');
		const before = r.mornings.length;
		const morning = (region: string) => ({ id: randomUUID(), region, pain: 9, swelling: 'none' as const });
		expect(
			await checkIn(trainer, {
				id: randomUUID(),
				clientId: r.head.id,
				day: '2026-03-01',
				regions: [morning('knee-right'), morning('hip-left')],
				events: []
			})
		).toMatchObject({ ok: false, refusal: { field: 'region' } });
		expect((await reloaded(physio, r.head.id)).mornings).toHaveLength(before);
		expect((await d.owner.query(`select count(*)::int as n from checkin where pain = 9`)).rows[0]).toEqual({
			n: 0
		});
	});
	it('a registration whose consent is taken by another id keeps neither client nor person', async () => {
		const { rows } = await d.owner.query<{ id: string }>('select id from consent limit 1');
		const registration = {
			id: randomUUID(),
			personId: randomUUID(),
			settingId: randomUUID(),
			name: 'Half Person',
			born: '1980-01-01',
			heightCm: 170,
			massKg: 70,
			technique: null,
			policyId: 'pain-monitored' as const,
			frontOfKnee: false,
			usual: {},
			consents: [{ id: rows[0]!.id, purpose: 'keep-record' as const, given: true }]
		};
		expect(await registerClient(physio, registration)).toMatchObject(CONFLICT);
		expect(
			(await d.owner.query(`select count(*)::int as n from person where name = 'Half Person'`)).rows[0]
		).toEqual({ n: 0 });
		expect(
			(await d.owner.query('select count(*)::int as n from receipt where id = $1', [registration.id])).rows[0]
		).toEqual({ n: 0 });
	});
	it('a refused form may be sent again under its id, corrected', async () => {
		const r = await client(physio, 'Wren');
		const bad = { id: randomUUID(), clientId: r.head.id, logId: randomUUID(), reason: 'wrong' };
		expect(await voidLog(physio, bad)).toMatchObject(CONFLICT);
		expect(await voidLog(physio, { ...bad, logId: r.logs[0]!.id })).toMatchObject({ ok: true });
	});
});

describe('who may', () => {
	/** Takes a signed decision back, as whoever tries. */
	const undoing = (r: ClientRecord, decisionId: string) => (ctx: Context) =>
		undoDecision(ctx, { id: randomUUID(), prescriptionId: randomUUID(), clientId: r.head.id, decisionId });
	it('a trainer cannot undo a physiotherapist’s signed stop, with or without delegation; a licensed user can', async () => {
		const odile = await client(physio, 'Odile');
		const { id: decisionId, outcome } = await sign(physio, odile);
		value(outcome);
		const undo = undoing(odile, decisionId);
		expect(await undo(trainer)).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed', message: expect.stringContaining('licensed user') as string }
		});
		await d.owner.query('delete from delegation');
		expect(await undo(trainer)).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed', message: expect.stringContaining('not delegated') as string }
		});
		expect(await undo(physio)).toMatchObject({ ok: true });
	});
	it('a stop is not taken back by the trainer who signed it today: what it took away is for a licensed user to give', async () => {
		const odile = await client(physio, 'Odile');
		expect(slip(odile).trace.decision).toBe('stop');
		const { id: decisionId, outcome } = await sign(trainer, odile);
		value(outcome);
		const undo = undoing(odile, decisionId);
		expect(await undo(trainer)).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed', message: expect.stringContaining('licensed user') as string }
		});
		expect(headOf(await reloaded(physio, odile.head.id))).toMatchObject({ state: 'stopped' });
		expect(await undo(physio)).toMatchObject({ ok: true });
	});
	it('a trainer takes back their own regression of today, not a colleague’s', async () => {
		const bertil = await client(physio, 'Bertil');
		const regress = bertil.exercises.findIndex(
			(e) => slipOf(bertil, e, TODAY, 0).trace.decision === 'regress'
		);
		const own = await sign(trainer, bertil, regress);
		value(own.outcome);
		const undo = (decisionId: string) =>
			undoDecision(trainer, {
				id: randomUUID(),
				prescriptionId: randomUUID(),
				clientId: bertil.head.id,
				decisionId
			});
		expect(await undo(own.id)).toMatchObject({ ok: true });
		const theirs = await sign(physio, await reloaded(physio, bertil.head.id), regress);
		value(theirs.outcome);
		expect(await undo(theirs.id)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
	});
	it('a revoked delegation signs and prescribes nothing', async () => {
		const wren = await client(trainer, 'Wren');
		await d.owner.query(
			`insert into delegation (practice_id, id, client_id, member_id, families, expires, written_by, content_hash, replaces_id, voided, reason) select practice_id, gen_random_uuid(), client_id, member_id, families, expires, written_by, 'revoked', id, true, 'revoked' from delegation where client_id = $1`,
			[wren.head.id]
		);
		expect((await sign(trainer, await client(trainer, 'Wren'))).outcome).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
	});
	it('a delegation is of what the exercise is, not of what the form calls it', async () => {
		const wren = await client(physio, 'Wren');
		const asked = {
			id: randomUUID(),
			exerciseId: wren.exercises[0]!.id,
			clientId: wren.head.id,
			family: 'hinge',
			step: 'seated-hinge',
			region: 'knee-right',
			sets: 1,
			reps: 5,
			loadKg: 0
		};
		expect(await prescribe(trainer, asked)).toMatchObject(CONFLICT);
		expect(await prescribe(trainer, { ...asked, id: randomUUID(), exerciseId: randomUUID() })).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
	});
	it('a trainer prescribes past no gate, and no bolder dose than the slip; a licensed user says why, and it is kept', async () => {
		const r = await client(physio, 'Tamsin');
		const give = (ctx: Context, step: string, sets: number, reason?: string) =>
			prescribe(ctx, {
				id: randomUUID(),
				exerciseId: r.exercises[0]!.id,
				clientId: r.head.id,
				family: 'squat',
				step,
				region: 'hip-left',
				sets,
				reps: 5,
				loadKg: 0,
				...(reason === undefined ? {} : { reason })
			});
		expect(await give(trainer, 'goblet-squat', 1)).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed', message: expect.stringContaining('gate is not met') as string }
		});
		expect(await give(trainer, headOf(r).step, 9)).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed', message: expect.stringContaining('more than the proposed') as string }
		});
		expect(await give(physio, 'goblet-squat', 1)).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		expect(await give(physio, 'goblet-squat', 1, 'lifts more than this at work')).toMatchObject({ ok: true });
		expect(headOf(await reloaded(physio, r.head.id)).passedOver).toContain('gate:clean-reps:free-squat');
	});
	it('opening a closed day and agreeing a known symptom take a licence and their words', async () => {
		const { id: clientId } = (await client(physio, 'Wren')).head;
		value(await arrive(trainer, card(clientId, { fever: 'yes' })));
		const open = (ctx: Context, reason: string) =>
			openDay(ctx, { id: randomUUID(), clientId, day: TODAY, reason });
		expect(await open(trainer, 'felt fine')).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(await open(physio, 'no')).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		const notesToday = async () =>
			value(await showToday(physio)).rows.find((x) => x.clientId === clientId)?.notes ?? [];
		expect(await notesToday()).toContain('not today');
		expect(await open(physio, 'no fever when measured')).toMatchObject({ ok: true });
		expect(await notesToday()).not.toContain('not today');
		expect(await open(physio, 'no fever when measured')).toMatchObject(CONFLICT);
		const known = (symptom: 'giving-way' | 'chest-pain', until: string, ctx = physio) =>
			knowSymptom(ctx, { id: randomUUID(), clientId, region: 'knee-right', symptom, until });
		expect(await known('giving-way', '2026-04-01', trainer)).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
		expect(await known('chest-pain', '2026-04-01')).toMatchObject({
			ok: false,
			refusal: { field: 'symptom' }
		});
		expect(await known('giving-way', TODAY)).toMatchObject({ ok: false, refusal: { field: 'until' } });
		expect(await known('giving-way', '2027-01-01')).toMatchObject({ ok: false, refusal: { field: 'until' } });
		expect(await known('giving-way', '2026-04-01')).toMatchObject({ ok: true });
	});
});

describe('what is known binds the next command', () => {
	it('a limit suspends what asks more: the slip stops with the mend, accepting it prescribes the mend, and the streak is history', async () => {
		const r = await client(physio, 'Tamsin');
		expect(slip(r).trace.decision).toBe('advance');
		value(
			await setLimit(physio, {
				id: randomUUID(),
				clientId: r.head.id,
				axis: 'kneeFlexion',
				side: 'left',
				maxDeg: 70,
				source: 'letter'
			})
		);
		const bound = await reloaded(physio, r.head.id);
		expect(standingOf(bound, bound.exercises[0]!, TODAY)?.verdict).toBe('suspended');
		expect(slip(bound).trace).toMatchObject({
			decision: 'stop',
			rule: 'stop.limit',
			change: { kind: 'mend' }
		});
		value((await sign(trainer, bound)).outcome);
		const mended = await reloaded(physio, r.head.id);
		expect(headOf(mended)).toMatchObject({ state: 'active', kind: 'alter' });
		expect(headOf(mended).setup?.seatCm).toBeGreaterThan(headOf(r).setup?.seatCm ?? Infinity);
		expect(slip(mended).trace.rule).toBe('wait.no-sessions');
	});
	it('an override never passes a protocol, whatever its reason', async () => {
		const r = await client(physio, 'Tamsin');
		value(
			await setLimit(physio, {
				id: randomUUID(),
				clientId: r.head.id,
				axis: 'kneeFlexion',
				side: 'left',
				maxDeg: 70,
				source: 'letter'
			})
		);
		const s = slip(await reloaded(physio, r.head.id));
		const { step, dose, setup } = s.chain.head;
		const over = {
			id: randomUUID(),
			prescriptionId: randomUUID(),
			clientId: r.head.id,
			exerciseId: s.exercise.id,
			hash: hashOf(s),
			basedOn: s.chain.head.id,
			answer: 'overridden' as const,
			instead: { step, sets: dose.sets, reps: dose.reps, loadKg: 0, ...(setup === null ? {} : { setup }) },
			reason: 'the client insists'
		};
		expect(await signDecision(physio, over)).toMatchObject({
			ok: false,
			refusal: { message: expect.stringContaining('the protocol allows 70°') as string }
		});
	});
	it('what was done while it was held is kept against advice, and never counts for an advance', async () => {
		const r = await client(physio, 'Tamsin');
		value(
			await setLimit(physio, {
				id: randomUUID(),
				clientId: r.head.id,
				axis: 'kneeFlexion',
				side: 'left',
				maxDeg: 70,
				source: 'letter'
			})
		);
		expect(value(await logVisit(trainer, logOf(r)))).toMatchObject({ againstAdvice: true });
		expect((await reloaded(physio, r.head.id)).logs.at(-1)?.session.againstAdvice).toBe(true);
	});
	it('a day that arrival closed is against advice, opened it is not; a lighter day says so', async () => {
		const r = await client(physio, 'Wren');
		value(await arrive(trainer, card(r.head.id, { fever: 'yes' })));
		expect(value(await logVisit(trainer, logOf(r))).againstAdvice).toBe(true);
		value(
			await openDay(physio, {
				id: randomUUID(),
				clientId: r.head.id,
				day: TODAY,
				reason: 'no fever when measured'
			})
		);
		expect(value(await logVisit(trainer, logOf(r))).againstAdvice).toBe(false);
		value(await arrive(trainer, card(r.head.id, { fever: 'cold' })));
		value(await logVisit(trainer, logOf(r)));
		expect((await reloaded(physio, r.head.id)).logs.at(-1)?.session.lighter).toBe(true);
	});
	it('as usual counts only where a licensed user agreed it, and until its day', async () => {
		const r = await client(physio, 'Wren');
		const told = { symptoms: ['giving-way' as const], asUsual: ['giving-way' as const] };
		expect(value(await logVisit(trainer, logOf(r, told))).raised).toMatchObject([
			{ alarm: 'joint-symptom', region: 'knee-right' }
		]);
		value(
			await knowSymptom(physio, {
				id: randomUUID(),
				clientId: r.head.id,
				region: 'knee-right',
				symptom: 'giving-way',
				until: '2026-04-01'
			})
		);
		expect(value(await logVisit(trainer, logOf(r, told))).raised).toEqual([]);
	});
	it('a hot joint told in the morning opens a flag that reaches its limb, once, and refers', async () => {
		const r = await client(physio, 'Wren');
		const hot = (id = randomUUID()) =>
			checkIn(trainer, {
				id: randomUUID(),
				clientId: r.head.id,
				day: TODAY,
				regions: [{ id, region: 'knee-right', pain: 8, swelling: 'hot' }],
				events: []
			});
		expect(value(await hot())).toMatchObject({ raised: [{ alarm: 'hot-joint' }], closes: ['knee-right'] });
		value(await hot());
		const flagged = await reloaded(physio, r.head.id);
		expect(flagged.head.flags.filter((f) => f.code === 'hot-joint')).toMatchObject([
			{ region: 'knee-right', severity: 'red', urgency: 'urgent', open: true }
		]);
		expect(slip(flagged).trace.rule).toBe('refer.hot-joint');
		const flagId = flagged.head.flags.find((f) => f.code === 'hot-joint')!.id;
		expect(
			await closeFlag(trainer, {
				id: randomUUID(),
				clientId: r.head.id,
				flagId,
				note: 'fine',
				mistaken: true
			})
		).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		value(
			await closeFlag(physio, {
				id: randomUUID(),
				clientId: r.head.id,
				flagId,
				note: 'warm from the hot-water bottle',
				mistaken: true
			})
		);
		expect(
			(await reloaded(physio, r.head.id)).head.flags.find((f) => f.id === flagId)?.closing
		).toMatchObject({ mistaken: true });
		expect(slip(await reloaded(physio, r.head.id)).trace.rule).not.toBe('refer.hot-joint');
	});
	it('a session of a day before the exercise was given is history; two on one day are two', async () => {
		const r = await client(physio, 'Wren');
		const given = headOf(r);
		const early = logOf(r, { date: '2026-02-10' });
		value(await logVisit(trainer, early));
		value(await logVisit(trainer, logOf(r)));
		value(await logVisit(trainer, logOf(r)));
		const after = await reloaded(physio, r.head.id);
		const { input } = slip(after);
		expect(input.sessions.find((s) => s.date === '2026-02-10')?.sinceChange).toBe(given.day <= '2026-02-10');
		expect(input.sessions.filter((s) => s.date === TODAY)).toHaveLength(2);
	});
	it('an operation that the screening names and nobody recorded holds prescribing', async () => {
		const r = await client(physio, 'Wren');
		await d.owner.query(
			`update screening set answers = answers || '{"recent-surgery":"yes"}' where client_id = $1`,
			[r.head.id]
		);
		expect(slip(await reloaded(physio, r.head.id)).trace).toMatchObject({
			rule: 'wait.protocol',
			reasons: [{ code: 'surgery.unrecorded' }]
		});
		expect(
			await prescribe(physio, {
				id: randomUUID(),
				exerciseId: randomUUID(),
				clientId: r.head.id,
				family: 'balance',
				step: 'side-by-side-stance',
				region: 'knee-right',
				sets: 1,
				reps: 10,
				loadKg: 0
			})
		).toMatchObject({ ok: false, refusal: { message: expect.stringContaining('operation') as string } });
	});
});
