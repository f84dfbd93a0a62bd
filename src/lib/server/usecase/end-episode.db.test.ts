/** An episode ends with its outcome and its reason, and another can begin; all clients are found by name. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { CLIENTS } from '../../../../demo/people.ts';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { logOf } from '../../../../tests/log-of.ts';
import { clientsAsked } from '#lib/contract/episode-form.ts';
import type { Context } from './actor.ts';
import { endEpisode, takeBack } from './end-episode.ts';
import { listClients } from './list-clients.ts';
import { logVisit } from './log-visit.ts';
import { showClient } from './show-client.ts';
import { showToday } from './show-today.ts';

let physio: Context;
let trainer: Context;
let d: TestDatabase;
demoForEach((made) => ({ d, physio, trainer } = made));

const list = async (address: string, ctx = physio) =>
	value(await listClients(ctx, clientsAsked(new URLSearchParams(address))));
const end = (clientId: string, ctx = physio, id = randomUUID()) =>
	endEpisode(ctx, { id, clientId, reason: 'reached what she came for' });
const back = (clientId: string, ctx = physio) =>
	takeBack(ctx, { id: randomUUID(), clientId, reason: 'the other knee' });

describe('the end of an episode', () => {
	it('ends what is in use, keeps how the goals stand, and puts the client away', async () => {
		const r = await client(physio, 'Wren');
		expect(value(await end(r.head.id))).toEqual({ ended: r.exercises.length });
		expect(value(await showToday(physio)).rows.map((x) => x.clientId)).not.toContain(r.head.id);
		const [row] = (await list('status=archived')).rows;
		expect(row).toMatchObject({
			name: 'Wren Hollis',
			status: 'archived',
			inUse: 0,
			ended: { reason: 'reached what she came for' }
		});
		// As they were scored first, and as they stand.
		expect([...(row?.ended?.goals ?? [])].sort()).toEqual([
			'Engine-room stairs: 5 to 5 of 10',
			'Galley bench without hands: 4 to 4 of 10'
		]);
		const { rows } = await d.owner.query(
			`select distinct p.state from prescription p where client_id = $1 and not exists (select 1 from prescription x where x.replaces_id = p.id)`,
			[r.head.id]
		);
		expect(rows).toEqual([{ state: 'ended' }]);
	});
	it('a link to somebody who was put away says so; nothing is logged of them', async () => {
		const r = await client(physio, 'Wren');
		value(await end(r.head.id));
		const looks = async () =>
			(await d.owner.query(`select 1 from access_log where client_id = $1`, [r.head.id])).rows.length;
		const before = await looks();
		const shown = await showClient(physio, r.head.id, 'plan', () => null);
		expect(shown).toMatchObject({ ok: false, refusal: { why: 'not-found' } });
		// Nobody saw anything.
		expect(await looks()).toBe(before);
		expect(shown.ok ? '' : shown.refusal.message).toContain('Wren Hollis was put away');
		expect(await logVisit(physio, logOf(r, '2026-03-12'))).toMatchObject({ ok: false });
		expect(await showClient(physio, randomUUID(), 'plan', () => null)).toMatchObject({
			ok: false,
			refusal: { message: 'There is no such client in this practice.' }
		});
	});
	it('not while a flag is open, not by a trainer, and once', async () => {
		const red = CLIENTS.find((c) => c.ending === 'red-flag')!;
		const flagged = await client(physio, red.name.split(' ')[0]!);
		expect(await end(flagged.head.id)).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		const r = await client(physio, 'Wren');
		expect(await end(r.head.id, trainer)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		const id = randomUUID();
		value(await end(r.head.id, physio, id));
		value(await end(r.head.id, physio, id));
		expect(await end(r.head.id)).toMatchObject({ ok: false, refusal: { why: 'not-found' } });
	});
	it('taken back the record is there, and nothing is in use', async () => {
		const r = await client(physio, 'Wren');
		value(await end(r.head.id));
		expect(await back(r.head.id, trainer)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		value(await back(r.head.id));
		expect(await back(r.head.id)).toMatchObject({ ok: false, refusal: { why: 'conflict' } });
		const again = await reloaded(physio, r.head.id);
		expect(again.exercises).toEqual([]);
		expect(again.everGiven).toHaveLength(r.everGiven.length);
		expect(again.logs).toHaveLength(r.logs.length);
		expect(value(await showToday(physio)).rows.map((x) => x.clientId)).toContain(r.head.id);
	});
});

describe('all clients', () => {
	it('by name, by a part of it as it is typed, and by a column, most first', async () => {
		const all = await list('status=all');
		expect(all.found).toBe(CLIENTS.length);
		expect(all.rows.map((c) => c.name)).toEqual([...all.rows.map((c) => c.name)].sort());
		expect((await list('name=WREN')).rows.map((c) => c.name)).toEqual(['Wren Hollis']);
		expect((await list('name=%25')).found).toBe(0);
		expect((await list('name=_')).found).toBe(0);
		const lately = (await list('order=lately')).rows.map((c) => c.lastSession ?? '');
		expect(lately).toEqual([...lately].sort().reverse());
		// Two of them from another time: the latest first, whatever their names.
		await d.owner.query(`update client set opened_on = '2020-01-01' where id = $1`, [all.rows[0]!.clientId]);
		await d.owner.query(`update client set opened_on = '2026-03-11' where id = $1`, [all.rows[4]!.clientId]);
		const since = (await list('status=all&order=since')).rows.map((c) => c.clientId);
		expect([since[0], since.at(-1)]).toEqual([all.rows[4]!.clientId, all.rows[0]!.clientId]);
		const use = (await list('order=use')).rows;
		expect(use.map((c) => c.inUse)).toEqual(use.map((c) => c.inUse).sort((a, b) => b - a));
		expect(new Set(use.map((c) => c.inUse)).size).toBeGreaterThan(2);
	});
	it('a page past the end is empty, and the owner of the practice alone reads no names', async () => {
		expect((await list('page=9')).rows).toEqual([]);
		const owner = { ...physio, actor: { ...physio.actor, licensed: false, trainer: false, owner: true } };
		expect(await listClients(owner, clientsAsked(new URLSearchParams()))).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
	});
});
