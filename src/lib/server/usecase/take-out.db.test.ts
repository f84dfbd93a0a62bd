/** What was entered is taken out with its reason, stays to be read, and what rested on it is judged anew. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { headOf } from '../../../../tests/log-of.ts';
import type { EntryView } from '#lib/contract/entry.ts';
import { ENTRY_KINDS, type EntryKind } from '#lib/core/client/entry-kind.ts';
import { entryText } from '#lib/wording/entries.ts';
import { envelopeOf } from '../record/evidence-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { hashOf } from '../record/slip-of.ts';
import { slipsByNeed } from '../view/slips-by-need.ts';
import type { Context } from './actor.ts';
import { pauseExercise } from './pause-exercise.ts';
import { entryViews, PAGE_SIZE } from './show-entries.ts';
import { saveSheet } from './save-sheet.ts';
import { takeOutEntry } from './take-out.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
let d: TestDatabase;
demoForEach((made) => ({ d, physio, trainer } = made));

const all = async (r: ClientRecord, ctx = physio, only?: EntryKind): Promise<readonly EntryView[]> => {
	const found: EntryView[] = [];
	for (let from = 0; ; from += PAGE_SIZE) {
		const page = await ctx.inPractice((t) =>
			entryViews(t, r.head.id, ctx.actor, { from, ...(only === undefined ? {} : { only }) })
		);
		found.push(...page.entries);
		if (!page.more) return found;
	}
};
const out = (r: ClientRecord, e: Pick<EntryView, 'kind' | 'id'>, ctx = physio, patch: object = {}) =>
	takeOutEntry(ctx, {
		id: randomUUID(),
		clientId: r.head.id,
		kind: e.kind,
		entryId: e.id,
		reason: 'read off the wrong leg',
		...patch
	});
const NOT_ALLOWED = { ok: false, refusal: { why: 'not-allowed' } };
const CONFLICT = { ok: false, refusal: { why: 'conflict' } };

describe('the record as it was entered', () => {
	it('every entry of the demo in one line, latest day first, without a gap between its pages', async () => {
		const seen = new Set<EntryKind>();
		for (const name of ['Wren', 'Amos', 'Saskia', 'Tamsin', 'Nerys']) {
			const list = await all(await client(physio, name));
			for (const e of list) {
				seen.add(e.kind);
				expect(e.text).not.toMatch(/undefined|NaN|null|\[object/);
			}
			expect(list.map((e) => e.day)).toEqual([...list.map((e) => e.day)].sort().reverse());
			expect(new Set(list.map((e) => e.id)).size).toBe(list.length);
		}
		// What the demo has none of is read from rows as they would be kept.
		expect(ENTRY_KINDS.filter((k) => !seen.has(k))).toEqual(['total', 'event', 'limit', 'arrival']);
	});
	it('one kind alone, and none that is not the client’s', async () => {
		const r = await client(physio, 'Wren');
		const ranges = await all(r, physio, 'range');
		expect(ranges.length).toBe(r.measurements.length);
		expect(ranges.every((e) => e.kind === 'range')).toBe(true);
		const other = (await all(await client(physio, 'Amos'), physio, 'range'))[0]!;
		expect(await out(r, other)).toMatchObject({ ok: false, refusal: { why: 'not-found' } });
	});
});

it.each([
	['total', { instrument: 'oks', total_hundredths: 3150 }, 'Oxford Knee: 31.5'],
	['event', { kind: 'unusual-activity' }, 'Unusual activity'],
	[
		'limit',
		{
			axis: 'kneeFlexion',
			side: 'left',
			min_tenths: null,
			max_tenths: 900,
			applies: 'loaded',
			source: 'letter',
			lifted: true
		},
		'Left knee bend to 90°, loaded work, lifted (letter)'
	],
	['arrival', { answer: 'not-today', pains: [{ region: 'knee-left', now: 7 }] }, 'Not today, left knee 7']
] as const)('%s in one line', (kind, row, line) => expect(entryText(kind, row)).toBe(line));

describe('taken out', () => {
	it('a range: the one before it stands again, the slip moves, and the entry stays with its reason', async () => {
		const r = await client(physio, 'Wren');
		const knee = r.measurements.filter((m) => m.axis === 'kneeFlexion' && m.side === 'right');
		const [before, latest] = knee.slice(-2);
		const [slip] = slipsByNeed(r, TODAY);
		value(await out(r, { kind: 'range', id: latest!.id }));
		const after = await reloaded(physio, r.head.id);
		expect(after.measurements).toHaveLength(r.measurements.length - 1);
		expect(envelopeOf(after, TODAY).kneeFlexion?.right?.tolerable).not.toBe(latest!.tolerable);
		expect(envelopeOf(after, TODAY).kneeFlexion?.right?.tolerable).toBe(before!.tolerable);
		const moved = slipsByNeed(after, TODAY).find((s) => s.exercise.id === slip!.exercise.id);
		expect(hashOf(moved!)).not.toBe(hashOf(slip!));
		const entry = (await all(after, physio, 'range')).find((e) => e.id === latest!.id);
		expect(entry).toMatchObject({ state: 'out', closed: null });
		expect(entry?.after).toContain('taken out, by Ines Quarrel: read off the wrong leg');
	});
	it('once: a second taking out is told, and so is one sent twice as one', async () => {
		const r = await client(physio, 'Wren');
		const e = { kind: 'range' as const, id: r.measurements.at(-1)!.id };
		const id = randomUUID();
		value(await out(r, e, physio, { id }));
		value(await out(r, e, physio, { id }));
		expect(await out(r, e)).toMatchObject(CONFLICT);
	});
	it('of every kind there is in the demo', async () => {
		for (const name of ['Wren', 'Amos']) {
			const r = await client(physio, name);
			const kinds = new Map((await all(r)).filter((e) => e.state === 'stands').map((e) => [e.kind, e]));
			kinds.delete('complaint');
			for (const e of kinds.values()) expect(await out(r, e), e.kind).toMatchObject({ ok: true });
			const after = await all(r);
			for (const e of kinds.values()) expect(after.find((x) => x.id === e.id)?.state).toBe('out');
		}
	});
	it('a session and a morning no longer count', async () => {
		const r = await client(physio, 'Wren');
		value(await out(r, { kind: 'session', id: r.logs.at(-1)!.id }));
		const [morning] = await all(r, physio, 'morning');
		value(await out(r, morning!));
		const after = await reloaded(physio, r.head.id);
		expect(after.logs).toHaveLength(r.logs.length - 1);
		expect(after.mornings).toHaveLength(r.mornings.length - 1);
	});
	it('a sore place only when nothing in the plan is for it; then it is treated no more', async () => {
		const r = await client(physio, 'Wren');
		const place = (await all(r, physio, 'complaint')).find((e) => e.state === 'stands')!;
		const refused = await out(r, place);
		expect(refused).toMatchObject(CONFLICT);
		expect(refused.ok ? '' : refused.refusal.message).toContain(headOf(r).snapshot.title);
		for (const e of r.exercises)
			value(
				await pauseExercise(physio, {
					id: randomUUID(),
					clientId: r.head.id,
					exerciseId: e.id,
					basedOn: e.prescriptions.at(-1)!.id,
					to: 'ended',
					reason: 'the knee is well'
				})
			);
		value(await out(r, place));
		expect((await reloaded(physio, r.head.id)).head.setting.usual).not.toHaveProperty(['knee-right']);
	});
});

describe('who may', () => {
	it('a pressure that closes the day is taken out by a licensed user, whoever wrote it', async () => {
		const r = await client(physio, 'Wren');
		const id = randomUUID();
		value(
			await saveSheet(trainer, r.head.id, {
				day: TODAY,
				ranges: [],
				tests: [
					{ id, test: 'resting-pressure', side: null, value: 190, extras: { diastolic: 95 }, method: 'typed' }
				],
				totals: []
			})
		);
		expect(await out(r, { kind: 'test', id }, trainer)).toMatchObject(NOT_ALLOWED);
		expect(await out(r, { kind: 'test', id })).toMatchObject({ ok: true });
	});
	it('a trainer takes out what is their own; of a colleague, and what a licensed user alone enters, they do not', async () => {
		const r = await client(physio, 'Amos');
		const list = await all(r, trainer);
		const limit = list.find((e) => e.kind === 'operation' && e.state === 'stands')!;
		expect(limit.closed).not.toBeNull();
		await d.owner.query('update surgery set written_by = $1 where id = $2', [
			trainer.actor.memberId,
			limit.id
		]);
		expect(await out(r, limit, trainer)).toMatchObject(NOT_ALLOWED);
		const range = list.find((e) => e.kind === 'range')!;
		expect(range.closed).toContain('colleague');
		expect(await out(r, range, trainer)).toMatchObject(NOT_ALLOWED);
		await d.owner.query('update measurement set written_by = $1 where id = $2', [
			trainer.actor.memberId,
			range.id
		]);
		expect(await out(r, range, trainer)).toMatchObject({ ok: true });
	});
});
