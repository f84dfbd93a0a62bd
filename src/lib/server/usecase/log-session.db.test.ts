/** A session of several exercises: one visit, all or none, what binds each binds it here too. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { logOf } from '../../../../tests/log-of.ts';
import type { Session } from '#lib/core/session/record.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { logSession, type WholeSession } from './log-session.ts';
import { onTheSpot } from './on-the-spot.ts';
import { prescribeSeveral } from './prescribe-several.ts';

const TODAY = '2026-03-12';
let physio: Context;
let d: TestDatabase;
demoForEach((made) => ({ d, physio } = made));

/** Tamsin with a clamshell beside her squat. */
async function withTwo(): Promise<ClientRecord> {
	const r = await client(physio, 'Tamsin');
	const item = { family: 'abduction', step: 'clamshell', region: 'hip-left' };
	const items = [{ id: randomUUID(), exerciseId: randomUUID(), ...item }];
	value(await prescribeSeveral(physio, { id: randomUUID(), clientId: r.head.id, items }));
	return reloaded(physio, r.head.id);
}
function sessionOf(r: ClientRecord, ...patches: Partial<Session>[]): WholeSession {
	const visitId = randomUUID();
	return {
		id: randomUUID(),
		clientId: r.head.id,
		logs: r.exercises.map((e, i) => ({
			...logOf({ ...r, exercises: [e] }, TODAY, patches[i]),
			visitId
		}))
	};
}

describe('a session of several', () => {
	it('is one visit with a log for each exercise; sent twice it is one', async () => {
		const r = await withTwo();
		const sent = sessionOf(r, { sets: [{ reps: 10, effort: 5, loadKg: 4 }] });
		expect(value(await logSession(physio, sent))).toMatchObject({ logged: 2, raised: [], againstAdvice: 0 });
		value(await logSession(physio, sent));
		const after = await reloaded(physio, r.head.id);
		const today = after.logs.filter((l) => l.session.date === TODAY);
		expect(today.map((l) => l.exerciseId).sort()).toEqual(r.exercises.map((e) => e.id).sort());
		expect(new Set(today.map((l) => l.visitId)).size).toBe(1);
		expect(today.flatMap((l) => l.session.sets)).toContainEqual({ reps: 10, effort: 5, loadKg: 4 });
	});
	it('one that is refused keeps the others out too', async () => {
		const r = await withTwo();
		const sent = sessionOf(r);
		const broken = { ...sent, logs: [sent.logs[0]!, { ...sent.logs[1]!, prescriptionId: randomUUID() }] };
		expect(await logSession(physio, broken)).toMatchObject({ ok: false, refusal: { why: 'not-found' } });
		const late = {
			...sent,
			logs: sent.logs.map((l) => ({ ...l, session: { ...l.session, date: '2026-03-13' } }))
		};
		expect(await logSession(physio, late)).toMatchObject({ ok: false, refusal: { field: 'day' } });
		expect((await reloaded(physio, r.head.id)).logs).toHaveLength(r.logs.length);
	});
	it('an alarm of one exercise opens its flag, said once though two of them tell it', async () => {
		const r = await withTwo();
		const answer = value(
			await logSession(physio, sessionOf(r, { symptoms: ['chest-pain'] }, { symptoms: ['chest-pain'] }))
		);
		expect(answer.raised).toHaveLength(1);
		const { flags } = (await reloaded(physio, r.head.id)).head;
		expect(flags.filter((f) => f.open && f.code.startsWith('emergency'))).toHaveLength(1);
	});
});

describe('on the spot', () => {
	it('asks the record as it stands, writes nothing, and is entered in the access log', async () => {
		const r = await client(physio, 'Wren');
		const [squat] = r.exercises;
		const hurts = value(await onTheSpot(physio, r.head.id, squat!.id, { pain: 6 }));
		expect(hurts).toMatchObject({ answer: 'gentler', rule: 'regress.pain', acceptable: 5 });
		const easy = value(await onTheSpot(physio, r.head.id, squat!.id, { easy: true }));
		expect(easy).toMatchObject({ change: null });
		expect((await reloaded(physio, r.head.id)).logs).toEqual(r.logs);
		const { rows } = await d.owner.query(`select 1 from access_log where what like '%on the spot'`);
		expect(rows).toHaveLength(2);
	});
	it('of an exercise that is not there it says so', async () => {
		const r = await client(physio, 'Wren');
		expect(await onTheSpot(physio, r.head.id, randomUUID(), { pain: 3 })).toMatchObject({
			ok: false,
			refusal: { why: 'not-found' }
		});
	});
});
