/** A command that a form tells, which only the record can read: read where it is done, refused for all that is wrong, the same form however late it comes again. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it, vi } from 'vitest';
import {
	client,
	counted,
	demoForEach,
	reloaded,
	value,
	waiting,
	type TestDatabase
} from '../../../../tests/database.ts';
import { headOf } from '../../../../tests/log-of.ts';
import { regionsOf } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { arrive } from './arrive.ts';
import { changeSetting } from './change-setting.ts';
import { morningTyped } from './check-in.ts';
import { append } from '../db/append.ts';
import { command } from './command.ts';
import { logTyped } from './log-visit.ts';
import { newId } from './new-id.ts';
import { ok } from '#lib/core/base/result.ts';
import { sheetTyped } from './save-sheet.ts';
import { typedForm, type TypedForm } from './told-command.ts';

let d: TestDatabase;
let physio: Context;
demoForEach((made) => ({ d, physio } = made));

const typed = (
	r: ClientRecord,
	fields: Readonly<Record<string, string>>,
	id: string = randomUUID()
): TypedForm => ({
	...{ id, clientId: r.head.id },
	fields: Object.entries({ id, ...fields })
});
/** A session of the first exercise as its form sends it. */
const sessionTyped = (
	r: ClientRecord,
	more: Readonly<Record<string, string>> = {}
): Record<string, string> => ({
	...{ visitId: randomUUID(), exerciseId: r.exercises[0]!.id, prescriptionId: headOf(r).id },
	...{ day: physio.today, region: r.exercises[0]!.region, effort: '5', before: '1', peak: '2', after: '1' },
	...more
});
const loggedToday = async (r: ClientRecord) =>
	(await reloaded(physio, r.head.id)).logs.filter((l) => l.session.date === physio.today);

describe('a form that the record reads', () => {
	it('is the same form when it comes again, though the day became lighter meanwhile', async () => {
		const r = await client(physio, 'Wren');
		const sent = typed(r, sessionTyped(r));
		const first = value(await logTyped(physio, sent));
		const pains = { [r.exercises[0]!.region]: 1 };
		const cold = { fever: 'cold', fall: 'no', newSwelling: 'no', calf: 'no' } as const;
		const came = value(await arrive(physio, { id: randomUUID(), clientId: r.head.id, pains, ...cold }));
		expect(came.answer).toBe('lighter');
		expect(value(await logTyped(physio, sent))).toEqual(first);
		expect(await loggedToday(r)).toHaveLength(1);
		// What was asked for when it came first, not what the day asks for now.
		expect((await loggedToday(r))[0]?.session.prescribed?.sets).toBe(headOf(r).dose.sets);
		const other = { ...sent, fields: sent.fields.map(([k, v]) => [k, k === 'effort' ? '9' : v] as const) };
		expect(await logTyped(physio, other)).toMatchObject({ refusal: { why: 'conflict' } });
	});
	it('of a lighter day is read against the lighter dose', async () => {
		const r = await client(physio, 'Wren');
		const pains = { [r.exercises[0]!.region]: 1 };
		const cold = { fever: 'cold', fall: 'no', newSwelling: 'no', calf: 'no' } as const;
		value(await arrive(physio, { id: randomUUID(), clientId: r.head.id, pains, ...cold }));
		value(await logTyped(physio, typed(r, sessionTyped(r))));
		const [kept] = await loggedToday(r);
		const { sets, reps } = headOf(r).dose;
		expect(kept?.session.sets.length).toBeLessThanOrEqual(sets);
		expect((kept?.session.sets ?? []).reduce((n, s) => n + s.reps, 0)).toBeLessThan(sets * reps);
	});
	it('is refused for all that is wrong with it, keeps nothing, and is taken when it is put right', async () => {
		const r = await client(physio, 'Wren');
		const id = randomUUID();
		const wrong = typed(r, sessionTyped(r, { peak: '11', after: '-1', effort: 'hard' }), id);
		const refused = await logTyped(physio, wrong);
		expect(refused).toMatchObject({ ok: false, refusal: { why: 'unreadable' } });
		const { all = [], field, message } = refused.ok ? {} : refused.refusal;
		expect(new Set(all.map((i) => i.field))).toEqual(new Set(['peak', 'after', 'effort']));
		expect({ field, message }).toEqual(all[0]);
		expect(await loggedToday(r)).toHaveLength(0);
		value(await logTyped(physio, typed(r, sessionTyped(r), id)));
		expect(await loggedToday(r)).toHaveLength(1);
	});
	it('says what is wrong of its fields from above; what was not answered behind what is said before it', async () => {
		const r = await client(physio, 'Wren');
		const { effort: _, peak, after, ...rest } = sessionTyped(r, { peak: '11', after: '-1' });
		const said = async (more: Readonly<Record<string, string>>) => {
			const refused = await logTyped(physio, typed(r, { ...rest, after: after!, peak: peak!, ...more }));
			return (refused.ok ? [] : (refused.refusal.all ?? [])).map((i) => i.field);
		};
		expect(await said({})).toEqual(['effort', 'after', 'peak']);
		expect(await said({ day: 'the 40th' })).toEqual(['day', 'effort', 'after', 'peak']);
	});
	it('of a sheet names the movement, the side and which of its values is wrong', async () => {
		const r = await client(physio, 'Wren');
		const ends = {
			'forwardBow.left.end': '-1',
			'hipAbduction.right.onset': 'abc',
			'kneeFlexion.left.end': '999'
		};
		const refused = await sheetTyped(physio, typed(r, { day: physio.today, ...ends }));
		const said = refused.ok ? [] : (refused.refusal.all ?? []).map((i) => `${i.field}: ${i.message}`);
		// In the order of the form, whatever the catalogue's is: the first is where the keyboard goes.
		expect(said.map((x) => x.split(':')[0])).toEqual(Object.keys(ends));
		expect(said).toContain('kneeFlexion.left.end: Knee bend, left end: 999 is outside 0 to 180 degrees.');
		expect(said.join()).toContain('Hip out, right onset: “abc” is not a number');
		// There is one of it, not one a side.
		expect(said.join()).not.toMatch(/bow, left/i);
	});
	it('is refused as what it says would be: of a day to come, of another’s prescription, without its id, by whom it is not for', async () => {
		const [r, other] = [await client(physio, 'Wren'), await client(physio, 'Bertil')];
		const refused = async (form: TypedForm, ctx = physio) => {
			const done = await logTyped(ctx, form);
			return done.ok ? 'kept' : done.refusal;
		};
		const late = typed(r, sessionTyped(r, { day: '2099-01-01' }));
		expect(await refused(late)).toMatchObject({ why: 'invalid', field: 'day' });
		const theirs = typed(r, sessionTyped(r, { prescriptionId: headOf(other).id }));
		expect(await refused(theirs)).toMatchObject({ why: 'unreadable', field: 'prescriptionId' });
		expect(await refused(typed(r, sessionTyped(r), ''))).toMatchObject({ why: 'invalid' });
		const nobody = { ...typed(r, sessionTyped(r)), clientId: randomUUID() };
		expect(await refused(nobody)).toMatchObject({ why: 'not-found' });
		const owner = { ...physio, actor: { ...physio.actor, licensed: false, trainer: false, owner: true } };
		expect(await refused(typed(r, sessionTyped(r)), owner)).toMatchObject({ why: 'not-allowed' });
		expect(await loggedToday(r)).toHaveLength(0);
	});
	it('of a sheet is the same sheet when the body was measured anew meanwhile', async () => {
		const r = await client(physio, 'Wren');
		const sheet = typed(r, {
			...{
				day: physio.today,
				'weightBearingDorsiflexion.left.id': randomUUID(),
				'weightBearingDorsiflexion.left.end': '9'
			}
		});
		expect(value(await sheetTyped(physio, sheet))).toBe(1);
		value(await changeSetting(physio, r.head.id, randomUUID(), { shankCm: 47 }));
		expect(value(await sheetTyped(physio, sheet))).toBe(1);
		const read = (await reloaded(physio, r.head.id)).measurements.filter((m) => m.day === physio.today);
		expect(read).toHaveLength(1);
	});
	it('is what was typed, in its order; a file in it is no part of it', () => {
		const form = new FormData();
		for (const [k, v] of [
			['b', '1'],
			['id', 'x'],
			['b', '2']
		] as const)
			form.append(k, v);
		form.append('a', new File(['bytes'], 'photo.png'));
		expect(typedForm('c', form)).toEqual({
			...{ id: 'x', clientId: 'c' },
			fields: [
				['b', '1'],
				['id', 'x'],
				['b', '2']
			]
		});
		expect(typedForm('c', new FormData()).id).toBe('');
	});
	it('enters nobody as one who looked: what they wrote names them', async () => {
		const r = await client(physio, 'Wren');
		const looked = async () =>
			(await d.owner.query('select 1 from access_log where client_id = $1', [r.head.id])).rowCount;
		const before = await looked();
		value(await logTyped(physio, typed(r, sessionTyped(r))));
		expect(await looked()).toBe(before);
	});
	it('asks the database three times, of a record that is kept', async () => {
		const r = await client(physio, 'Wren');
		// What tests hold it against is asked besides.
		vi.stubEnv('VITEST', undefined);
		const asks = counted(physio);
		value(await logTyped(asks.ctx, typed(r, sessionTyped(r))));
		vi.unstubAllEnvs();
		// How it begins, the session, the receipt.
		expect(asks.questions()).toBe(3);
	});
	it('reads the one session that was logged since, however many there are', async () => {
		const r = await client(physio, 'Saskia');
		expect(r.logs.length).toBeGreaterThan(8);
		value(await logTyped(physio, typed(r, sessionTyped(r))));
		vi.stubEnv('VITEST', undefined);
		const asks = counted(physio);
		value(await logTyped(asks.ctx, typed(r, sessionTyped(r))));
		vi.unstubAllEnvs();
		expect(asks.questions()).toBe(4);
		expect(asks.rows()).toBeLessThan(6);
	});
	it('is not read by the number it began with once something was written: where tests run that is a fault', async () => {
		const r = await client(physio, 'Wren');
		const writes = (first: 'read' | 'write') =>
			command<{ readonly id: string }, number>({
				verb: 'check in',
				id: (x) => x.id,
				client: () => r.head.id,
				run: async (_, run) => {
					if (first === 'read') await run.record();
					const event = { id: randomUUID(), client_id: r.head.id, local_day: '2026-03-01', kind: 'illness' };
					await append(run.t, 'day_event', event);
					return ok((await run.record())?.events.length ?? 0);
				}
			});
		const id = () => ({ id: newId(new Date()) });
		expect(value(await writes('read')(physio, id()))).toBe(r.events.length + 1);
		await expect(writes('write')(physio, id())).rejects.toThrow('written before the record was read');
	});
	it('that waited for another sees what that one kept: the same form answers the same, another reads the record as it is by then', async () => {
		const r = await client(physio, 'Wren');
		const sent = typed(r, sessionTyped(r));
		const both = await whileLocked(r, 2, () => [logTyped(physio, sent), logTyped(physio, sent)]);
		expect(both[0]?.ok).toBe(true);
		expect(both[1]).toEqual(both[0]);

		const morning = () =>
			typed(r, {
				...{ day: '2025-06-01', saw: 'no' },
				...Object.fromEntries(
					regionsOf(r).flatMap((region) => [
						...[
							[`${region}.id`, randomUUID()],
							[`${region}.pain`, '2']
						],
						[`${region}.swelling`, 'none']
					])
				)
			});
		const two = await whileLocked(r, 2, () => [
			morningTyped(physio, morning()),
			morningTyped(physio, morning())
		]);
		const refused = two.filter((x) => !x.ok);
		expect(refused).toMatchObject([{ refusal: { message: expect.stringContaining('not on the page') } }]);
	});
});

/** Begins what is asked while somebody holds the client, lets go when all of it waits, and answers what came of it. */
async function whileLocked<T>(r: ClientRecord, many: number, begin: () => Promise<T>[]): Promise<T[]> {
	const holds = await d.owner.connect();
	try {
		await holds.query('begin');
		await holds.query('select 1 from client where id = $1 for update', [r.head.id]);
		const asked = begin();
		await waiting(d, many);
		await holds.query('commit');
		return await Promise.all(asked);
	} finally {
		holds.release();
	}
}
