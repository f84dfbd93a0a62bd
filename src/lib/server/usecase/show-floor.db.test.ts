/** The floor: whom it shows, as they stand, and that each look is written down. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { as, client, demoForEach, value, type TestDatabase } from '../../../../tests/database.ts';
import type { Context } from './actor.ts';
import { arrive } from './arrive.ts';
import { showFloor } from './show-floor.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
demoForEach((made) => ({ d, physio } = made));

const come = async (name: string, pain = 1) => {
	const { head } = await client(physio, name);
	const pains = Object.fromEntries(Object.keys(head.setting.usual).map((r) => [r, pain]));
	value(
		await arrive(physio, {
			...{ id: randomUUID(), clientId: head.id, day: TODAY, pains },
			...{ fever: 'no', fall: 'no', newSwelling: 'no', calf: 'no' }
		})
	);
	return head.id;
};
const looks = async () =>
	(await d.owner.query<{ n: number }>(`select count(*) as n from access_log where what = 'the floor'`))
		.rows[0]!.n;

describe('the floor', () => {
	it('shows who arrived today, in the order they came, with the pain of the door', async () => {
		expect(value(await showFloor(physio, null))).toMatchObject({ clients: [], ofToday: true });
		const [wren, bertil] = [await come('Wren'), await come('Bertil', 2)];
		const { clients, others } = value(await showFloor(physio, null));
		expect(clients.map((c) => c.clientId)).toEqual([wren, bertil]);
		expect(Object.values(clients[1]!.before)).toContain('2');
		expect(clients[0]!.arrived).toBe('go');
		expect(clients[0]!.work.some((w) => w.exerciseId !== null)).toBe(true);
		expect(others).toBeNull();
	});
	it('finds who else may come by a part of the name as it is typed, and nobody who stands on it', async () => {
		const [wren, bertil] = [(await client(physio, 'Wren')).head, (await client(physio, 'Bertil')).head];
		const asked = async (find: string) => value(await showFloor(physio, [wren.id], find)).others!;
		expect(await asked('WREN')).toEqual({ find: 'WREN', listed: [], found: 0 });
		expect((await asked(bertil.name.slice(1, 5))).listed).toContainEqual({
			...{ clientId: bertil.id, name: bertil.name }
		});
		for (const wild of ['%', '_']) expect((await asked(wild)).found).toBe(0);
		const all = await asked('');
		// With nobody on it the demo has one more than is listed.
		const everybody = value(await showFloor(physio, [], '')).others!;
		expect([everybody.listed.length, everybody.found]).toEqual([8, 9]);
		expect(all.listed.map((c) => c.name)).toEqual(all.listed.map((c) => c.name).toSorted());
		expect(all.found).toBeGreaterThan(5);
		await d.owner.query(`update client set status = 'archived' where id = $1`, [bertil.id]);
		expect((await asked(bertil.name)).found).toBe(0);
		await d.owner.query(`update client set status = 'active' where id = $1`, [bertil.id]);
	});
	it('shows whom it is asked for, in that order; a stranger is left out', async () => {
		const [a, b] = [(await client(physio, 'Wren')).head.id, (await client(physio, 'Bertil')).head.id];
		const before = await looks();
		const { clients, ofToday } = value(await showFloor(physio, [b, randomUUID(), a]));
		expect([clients.map((c) => c.clientId), ofToday]).toEqual([[b, a], false]);
		expect(clients.every((c) => c.arrived === null)).toBe(true);
		expect((await looks()) - before).toBe(2);
	});
	it('says of a red flag, and of a day that is closed, that nothing is done', async () => {
		const fergal = (await client(physio, 'Fergal')).head.id;
		const wren = await come('Wren', 9);
		const { clients } = value(await showFloor(physio, [fergal, wren]));
		expect(clients[0]!.flag).toBe(true);
		expect(clients[1]!.work.filter((w) => w.exerciseId !== null).every((w) => w.held)).toBe(true);
	});
	it('is a trainer’s too, and nobody’s who treats nobody', async () => {
		const trainer = await as(d, 'trainer');
		expect((await showFloor(trainer, [])).ok).toBe(true);
		const owner = { ...physio, actor: { ...physio.actor, licensed: false, trainer: false, owner: true } };
		expect(await showFloor(owner, [])).toMatchObject({ refusal: { why: 'not-allowed' } });
	});
});
