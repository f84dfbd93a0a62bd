/** Rooms and settings of a practice: what stands there binds what is set up, at once; by the owner alone. Common practice. */
import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { as, client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { fitContextOf } from '../record/fit-of.ts';
import { racksOf } from '../record/facts-of.ts';
import type { Context } from './actor.ts';
import { beginsWith, changePractice, markOf, showSettings } from './practice-settings.ts';
import {
	changeItem,
	importItems,
	mayChangeRooms,
	showRooms,
	type ItemChange,
	type RackItemKept
} from './rooms.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
let owner: Context;
demoForEach((made) => ({ d, physio } = made));
beforeEach(async () => {
	owner = await as(d, 'owner');
});
const rooms = async () => value(await showRooms(owner));
const itemOf = async (kind: string): Promise<RackItemKept> => (await rooms()).find((i) => i.kind === kind)!;
const change = (item: RackItemKept, patch: Partial<ItemChange> = {}, ctx = owner) => {
	const { id: itemId, ...rest } = item;
	return changeItem(ctx, { ...rest, itemId, id: randomUUID(), ...patch });
};

describe('the rooms', () => {
	it('a seat that is out of order is set up no more, and again once it is mended', async () => {
		const wren = await client(physio, 'Wren');
		const seats = async () =>
			fitContextOf(await reloaded(physio, wren.head.id), TODAY).furniture?.seats ?? [];
		const before = await seats();
		const seat = await itemOf('seat');
		value(await change(seat, { outOfOrder: true }));
		expect(await seats()).toEqual(before.filter((cm) => cm !== seat.value));
		value(await change({ ...seat, outOfOrder: true }, { outOfOrder: false }));
		expect(await seats()).toEqual(before);
		value(await change(seat, { count: 0 }));
		expect(await seats()).toEqual(before.filter((cm) => cm !== seat.value));
	});
	it('a bell in pounds is a load there is; its printed size stays as it is printed', async () => {
		const wren = await client(physio, 'Wren');
		const bell = await itemOf('weight');
		value(
			await change({ ...bell, id: randomUUID() }, { label: 'Ship’s bell', value: 25, unit: 'lb', count: 1 })
		);
		const kg = racksOf(await reloaded(physio, wren.head.id)).items.map((i) => i.kg);
		expect(kg).toContain(11.34);
		expect((await rooms()).find((i) => i.label === 'Ship’s bell')).toMatchObject({ value: 25, unit: 'lb' });
	});
	it('is not what cannot be, nor anybody else’s to change; sent twice is once', async () => {
		const seat = await itemOf('seat');
		expect(await change(seat, { unit: 'kg' })).toMatchObject({ refusal: { field: 'unit' } });
		expect(await change(seat, { value: 400 })).toMatchObject({ refusal: { field: 'value' } });
		expect(await change(seat, { count: 9 }, physio)).toMatchObject({ refusal: { why: 'not-allowed' } });
		expect([mayChangeRooms(owner), mayChangeRooms(physio)]).toEqual([true, false]);
		const id = randomUUID();
		value(await change(seat, { id, count: 9 }));
		value(await change(seat, { id, count: 9 }));
		expect(await change(seat, { id, count: 8 })).toMatchObject({ refusal: { why: 'conflict' } });
		const changes = await d.owner.query(`select what from practice_change where what like '%9 ×%'`);
		expect(changes.rows).toHaveLength(1);
	});
	it('from a file: all of it or nothing; the same thing in the same room is that thing, changed', async () => {
		const before = await rooms();
		const seat = { ...before[0]!, kind: 'seat', label: 'Stool', value: 55, unit: 'cm' } as const;
		const take = (...items: RackItemKept[]) =>
			importItems(owner, { id: randomUUID(), items: items.map(({ id: _, ...row }) => row) });
		expect(await take(seat, { ...seat, unit: 'kg' })).toMatchObject({ refusal: { field: 'unit' } });
		expect(await rooms()).toEqual(before);
		value(await take(seat));
		value(await take({ ...seat, count: 7 }));
		const after = await rooms();
		expect(after).toHaveLength(before.length + 1);
		expect(after.find((i) => i.label === 'Stool')?.count).toBe(7);
	});
});

describe('the settings', () => {
	it('say what was changed, and refuse what somebody else changed meanwhile', async () => {
		const now = value(await showSettings(owner));
		const before = markOf(now);
		const next = { ...now, emergency: '112', policy: 'pain-free' };
		const id = randomUUID();
		expect(value(await changePractice(owner, { ...next, id, before })).changed).toEqual([
			'emergency number',
			'policy of new clients'
		]);
		expect(await changePractice(owner, { ...now, id: randomUUID(), before })).toMatchObject({
			refusal: { why: 'conflict' }
		});
		expect(await changePractice(owner, { ...next, id: randomUUID(), before: markOf(next) })).toMatchObject({
			refusal: { why: 'invalid' }
		});
		expect(await changePractice(physio, { ...now, id: randomUUID(), before: markOf(next) })).toMatchObject({
			refusal: { why: 'not-allowed' }
		});
		expect(await showSettings(physio)).toMatchObject({ refusal: { why: 'not-allowed' } });
		const { rows } = await d.owner.query(
			'select what from practice_change order by recorded_at desc limit 1'
		);
		expect(rows[0]).toEqual({
			what: 'emergency number from “” to “112”; policy of new clients from “pain-monitored” to “pain-free”'
		});
	});
	it('are what a new client begins with; a choice this version does not know is the usual one', async () => {
		const now = value(await showSettings(owner));
		const set = async (patch: object) => {
			const at = value(await showSettings(owner));
			value(await changePractice(owner, { ...at, ...patch, id: randomUUID(), before: markOf(at) }));
		};
		expect(await beginsWith(physio)).toEqual({ policyId: now.policy, technique: null, brace: 'tuned' });
		await set({ policy: 'pain-free', technique: 'sit-back', brace: 'hug' });
		expect(await beginsWith(physio)).toEqual({ policyId: 'pain-free', technique: 'sit-back', brace: 'hug' });
		await set({ policy: 'of-tomorrow', technique: 'upside-down', brace: 'none' });
		expect(await beginsWith(physio)).toEqual({ policyId: 'pain-monitored', technique: null, brace: 'tuned' });
	});
});
