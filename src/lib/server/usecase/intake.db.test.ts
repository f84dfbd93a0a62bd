/** Registering, screening, flags, limits, delegation: who may, what is refused, what a decision sees of it. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { as, client, cloneOf, type TestDatabase } from '../../../../tests/database.ts';
import { append } from '../db/append.ts';
import type { Context } from './actor.ts';
import { logVisit } from './log-visit.ts';
import { delegated } from './delegated.ts';
import { prescribe } from './prescribe.ts';
import { advancesToday } from '../record/facts-of.ts';
import { envelopeOf, evidenceOf } from '../record/evidence-of.ts';
import { slipOf } from '../record/slip-of.ts';
import { registerClient, type Registration } from './register-client.ts';
import { openFlag } from './flags.ts';
import { setLimit } from './protocols.ts';
import { screenClient } from './screen-client.ts';
import { saveMeasurements } from './save-sheet.ts';
import { showToday } from './show-today.ts';

let d: TestDatabase;
let physio: Context;
let trainer: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	[physio, trainer] = [await as(d, 'physiotherapist'), await as(d, 'trainer')];
});
afterAll(() => d.close());

const registration = (patch: Partial<Registration> = {}): Registration => ({
	id: randomUUID(),
	personId: randomUUID(),
	settingId: randomUUID(),
	name: 'Nils Farrow',
	born: '1980-05-05',
	heightCm: 175,
	massKg: 80,
	technique: null,
	policyId: 'pain-monitored',
	frontOfKnee: false,
	usual: { 'knee-left': { intake: 2 } },
	consents: [{ id: randomUUID(), purpose: 'keep-record', given: true }],
	...patch
});

const ALL_NO: Readonly<Record<string, 'yes' | 'no' | 'unknown'>> = Object.fromEntries(
	SCREENING.map((c) => [c.id, 'no'])
);

const screenNo = (id: string) =>
	screenClient(trainer, { id: randomUUID(), clientId: id, day: '2026-03-12', answers: ALL_NO });

async function newcomer(): Promise<string> {
	const r = await registerClient(physio, registration({ name: `Zed ${randomUUID().slice(0, 8)}` }));
	if (!r.ok) throw new Error(r.refusal.message);
	return r.value;
}

const measureAll = (id: string) =>
	saveMeasurements(
		physio,
		id,
		'2026-03-12',
		(['kneeFlexion', 'thighTrunkFlexion', 'weightBearingDorsiflexion'] as const).flatMap((axis) =>
			(['left', 'right'] as const).map((side) => ({
				id: randomUUID(),
				axis,
				side,
				range: { end: axis === 'weightBearingDorsiflexion' ? 40 : 135 },
				method: 'test',
				loaded: axis === 'weightBearingDorsiflexion'
			}))
		)
	);

describe('registering', () => {
	it('takes adults only, to the day', async () => {
		expect(await registerClient(physio, registration({ born: '2008-03-13' }))).toMatchObject({
			ok: false,
			refusal: { field: 'born' }
		});
		expect(await registerClient(physio, registration({ born: '2008-03-12' }))).toMatchObject({ ok: true });
	});
	it('refuses a body no adult has, and the same client twice is one', async () => {
		expect(await registerClient(physio, registration({ heightCm: 1.75 }))).toMatchObject({
			ok: false,
			refusal: { field: 'heightCm' }
		});
		const once = registration();
		expect([await registerClient(physio, once), await registerClient(physio, once)]).toMatchObject([
			{ ok: true },
			{ ok: true }
		]);
	});
	it('a newcomer stands on Today with what to do first', async () => {
		const id = await newcomer();
		const today = await showToday(physio);
		if (!today.ok) throw new Error('refused');
		expect(today.value.rows.find((r) => r.clientId === id)).toMatchObject({
			decision: 'quiet',
			to: 'screen',
			sentence: expect.stringContaining('screen first') as string
		});
	});
});

describe('screening comes first', () => {
	async function running(): Promise<string> {
		const id = await newcomer();
		await measureAll(id);
		await screenNo(id);
		const given = await prescribe(physio, {
			id: randomUUID(),
			exerciseId: randomUUID(),
			clientId: id,
			family: 'squat',
			step: 'raised-seat',
			region: 'knee-left',
			sets: 1,
			reps: 8,
			loadKg: 0,
			reason: 'rises like this at home'
		});
		if (!given.ok) throw new Error(given.refusal.message);
		return id;
	}
	const ruleOf = async (id: string): Promise<string> => {
		const name =
			(await d.owner.query<{ name: string }>('select name from person where client_id = $1', [id])).rows[0]
				?.name ?? '';
		const r = await client(physio, name);
		const e = r.exercises[0];
		return e === undefined ? 'none' : slipOf(r, e, '2026-03-12', advancesToday(r, '2026-03-12')).trace.rule;
	};
	it('nothing is prescribed before the screening, with a red flag open, or before an operation’s protocol', async () => {
		const id = await newcomer();
		await measureAll(id);
		const give = () =>
			prescribe(physio, {
				id: randomUUID(),
				exerciseId: randomUUID(),
				clientId: id,
				family: 'squat',
				step: 'raised-seat',
				region: 'knee-left',
				sets: 1,
				reps: 8,
				loadKg: 0
			});
		expect(await give()).toMatchObject({
			ok: false,
			refusal: { field: 'step', message: expect.stringContaining('Screen first') as string }
		});
		await screenNo(id);
		await openFlag(trainer, {
			id: randomUUID(),
			clientId: id,
			day: '2026-03-12',
			code: 'locked-knee',
			severity: 'red',
			urgency: 'urgent'
		});
		expect(await give()).toMatchObject({
			ok: false,
			refusal: { message: expect.stringContaining('A flag is open: knee that will not straighten') as string }
		});
	});
	it('unknown is not no; complete goes on; a limit-less surgery waits again', async () => {
		const id = await running();
		expect(await ruleOf(id)).toBe('wait.no-sessions');
		const answer = (saddle: 'no' | 'unknown') =>
			screenClient(trainer, {
				id: randomUUID(),
				clientId: id,
				day: '2026-03-12',
				answers: { ...ALL_NO, 'saddle-or-bladder-change': saddle }
			});
		await answer('unknown');
		expect(await ruleOf(id)).toBe('wait.screen');
		await answer('no');
		expect(await ruleOf(id)).toBe('wait.no-sessions');
		await physio.inPractice((t) =>
			append(t, 'surgery', {
				id: randomUUID(),
				client_id: id,
				region: 'knee-left',
				local_day: '2026-02-01',
				limits_entered: false
			})
		);
		expect(await ruleOf(id)).toBe('wait.protocol');
	});
	it('a red flag opened by anyone refers', async () => {
		const id = await running();
		await screenClient(trainer, { id: randomUUID(), clientId: id, day: '2026-03-12', answers: ALL_NO });
		expect(
			await openFlag(trainer, {
				id: randomUUID(),
				clientId: id,
				day: '2026-03-12',
				code: 'calf-swelling',
				severity: 'red'
			})
		).toMatchObject({ ok: true });
		expect(await ruleOf(id)).toBe('refer.calf');
	});
	it('only a licensed user sets a protocol limit; the future is refused', async () => {
		const id = await running();
		const limit = {
			id: randomUUID(),
			clientId: id,
			axis: 'kneeFlexion' as const,
			side: 'left' as const,
			maxDeg: 90,
			source: 'protocol sheet'
		};
		expect(await setLimit(trainer, limit)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(await setLimit(physio, limit)).toMatchObject({ ok: true });
		expect(
			await screenClient(physio, { id: randomUUID(), clientId: id, day: '2026-03-20', answers: {} })
		).toMatchObject({ ok: false, refusal: { field: 'day' } });
	});
});

describe('delegation', () => {
	it('a trainer prescribes only where it was delegated, and until it expires', async () => {
		const wren = await client(trainer, 'Wren');
		expect(delegated(trainer.actor, wren, 'squat', '2026-03-12')).toBe(true);
		expect(delegated(trainer.actor, wren, 'hinge', '2026-03-12')).toBe(false);
		expect(delegated(trainer.actor, wren, 'squat', '2026-12-31')).toBe(false);
		const id = await newcomer();
		const given = await prescribe(trainer, {
			id: randomUUID(),
			exerciseId: randomUUID(),
			clientId: id,
			family: 'squat',
			step: 'raised-seat',
			region: 'knee-left',
			sets: 1,
			reps: 8,
			loadKg: 0
		});
		expect(given).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
	});
});

describe('evidence from the log', () => {
	it('a painful set, late in the movement, lowers the knee at once; nothing else does', async () => {
		const before = await client(physio, 'Wren');
		const knee = envelopeOf(before, '2026-03-12').kneeFlexion?.right;
		const e = before.exercises[0];
		const head = e?.prescriptions.at(-1);
		if (e === undefined || head === undefined) throw new Error('none');
		const log = (painAt: 'late' | 'early') => ({
			id: randomUUID(),
			visitId: randomUUID(),
			clientId: before.head.id,
			exerciseId: e.id,
			prescriptionId: head.id,
			session: {
				date: '2026-03-12',
				observed: true,
				prescribed: { sets: 1, reps: 8 },
				sets: [{ reps: 8, effort: 6, cleanReps: 8 }],
				pains: [{ region: 'knee-right', before: 2, peak: 6, after: 3 }],
				painAt,
				symptoms: [],
				faults: {},
				soreness: 1,
				confidence: 7
			}
		});
		await logVisit(trainer, log('early'));
		expect(envelopeOf(await client(physio, 'Wren'), '2026-03-12').kneeFlexion?.right).toEqual(knee);
		await logVisit(trainer, log('late'));
		const after = await client(physio, 'Wren');
		expect(envelopeOf(after, '2026-03-12').kneeFlexion?.right).toMatchObject({ from: 'painful-set' });
		expect(envelopeOf(after, '2026-03-12').kneeFlexion?.right?.tolerable).toBeLessThan(knee?.tolerable ?? 0);
		expect(envelopeOf(after, '2026-03-12').kneeFlexion?.left).toEqual(
			envelopeOf(before, '2026-03-12').kneeFlexion?.left
		);
		expect(evidenceOf(after, '2026-03-12').every((x) => x.axis === 'kneeFlexion' && x.side === 'right')).toBe(
			true
		);
	});
});

describe('the demo', () => {
	it('has gaps, corrections and late mornings, as real records do', async () => {
		const count = async (sql: string): Promise<number> =>
			((await d.owner.query<{ n: number }>(`select count(*)::int as n from ${sql}`)).rows[0] as { n: number })
				.n;
		expect(await count('checkin where recalled')).toBeGreaterThan(0);
		expect(await count('checkin where replaces_id is not null')).toBeGreaterThan(0);
		const days = await count(`(select distinct client_id, local_day from checkin) x`);
		expect(days).toBeLessThan(8 * 28);
		expect(days).toBeGreaterThan(8 * 15);
	});
	it('is made from a fixed seed: another loading gives the same clients, word for word', async () => {
		const again = await cloneOf('template_empty');
		const { loadDemo } = await import('../../../../demo/load.ts');
		await loadDemo({
			ownerUrl: again.ownerUrl,
			appUrl: again.appUrl,
			signInUrl: again.signInUrl,
			secret: 'y'.repeat(40),
			origin: 'http://127.0.0.1:1',
			today: '2026-03-12',
			weeks: 4,
			only: ['wren']
		});
		const fresh = await client(await as(again, 'physiotherapist'), 'Wren');
		const pristine = await cloneOf('template_demo');
		const known = await client(await as(pristine, 'physiotherapist'), 'Wren');
		expect(fresh.mornings).toEqual(known.mornings);
		expect(fresh.logs.map((l) => l.session)).toEqual(known.logs.map((l) => l.session));
		await again.close();
		await pristine.close();
	});
});
