/** Another's plan as a start: found by a part of the name as it is typed, never all of a practice; nobody's own, and nobody with nothing in use. */
import { afterAll, beforeAll, expect, it } from 'vitest';
import { as, client, cloneOf, value, type TestDatabase } from '../../../../tests/database.ts';
import type { Context } from './actor.ts';
import { patternsFor, planOf } from './plan-of.ts';

let d: TestDatabase;
let physio: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
});
afterAll(() => d.close());

const named = (but: string, name: string) => physio.inPractice((t) => patternsFor(t, but, name));

it('is found by a part of a name, whatever its case, with how many exercises are in use', async () => {
	const lotte = (await client(physio, 'Lotte')).head;
	const wren = (await client(physio, 'Wren')).head;
	const { listed, found } = await named(lotte.id, wren.name.slice(1, 4).toUpperCase());
	expect(found).toBe(listed.length);
	expect(listed).toContainEqual({
		...{ clientId: wren.id, name: wren.name },
		exercises: value(await planOf(physio, wren.id)).work.length
	});
	expect((await named(wren.id, wren.name)).listed).toEqual([]);
	await d.owner.query(`update client set status = 'archived' where id = $1`, [wren.id]);
	expect((await named(lotte.id, wren.name)).found).toBe(0);
	await d.owner.query(`update client set status = 'active' where id = $1`, [wren.id]);
	expect((await named(lotte.id, wren.name)).found).toBe(1);
	expect((await named(lotte.id, '%')).found).toBe(0);
	expect((await named(lotte.id, '_')).found).toBe(0);
});

it('lists the first by name and says how many there are; the others are found by more of theirs', async () => {
	const lotte = (await client(physio, 'Lotte')).head;
	const all = await named(lotte.id, '');
	expect(all.listed.map((p) => p.name)).toEqual(all.listed.map((p) => p.name).toSorted());
	expect(all.found).toBeGreaterThan(2);
	const two = await physio.inPractice((t) => patternsFor(t, lotte.id, '', 2));
	expect(two).toEqual({ find: '', listed: all.listed.slice(0, 2), found: all.found });
});
