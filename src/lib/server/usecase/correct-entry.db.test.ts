/** Put right in its place: the new value binds, the old one stays, a signed slip says that its record changed. Common practice. */
import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { parseCorrection } from '#lib/contract/entry.ts';
import type { EntryKind } from '#lib/core/client/entry-kind.ts';
import { envelopeOf } from '../record/evidence-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { hashOf } from '../record/slip-of.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { saveGoal } from './ask.ts';
import { decisions } from '../repo/decision-repo.ts';
import { slipsByNeed } from '../view/slips-by-need.ts';
import { invalid, type Context } from './actor.ts';
import { arrive, openDay } from './arrive.ts';
import { correctEntry, type Correction } from './correct-entry.ts';
import { readAttachment } from './attach.ts';
import { signDecision } from './sign-decision.ts';
import { entryViews } from './show-entries.ts';
import { takeOutEntry } from './take-out.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ physio, trainer } = made));
let wren: ClientRecord;
beforeEach(async () => {
	wren = await client(physio, 'Wren');
});

const right = (
	kind: EntryKind,
	entryId: string,
	values: Readonly<Record<string, string>>,
	patch: Partial<Correction> = {},
	ctx = physio,
	r = wren
) => {
	const parsed = parseCorrection(kind, new Map(Object.entries(values)));
	if (!parsed.ok) return Promise.resolve(invalid(parsed.field, parsed.message));
	return correctEntry(ctx, {
		id: randomUUID(),
		clientId: r.head.id,
		kind,
		entryId,
		reason: 'a digit was left out',
		values: parsed.value,
		sure: false,
		...patch
	});
};
const views = async (only: EntryKind, r = wren) =>
	(await physio.inPractice((t) => entryViews(t, r.head.id, physio.actor, { from: 0, only }))).entries;
const knee = () => wren.measurements.filter((m) => m.axis === 'kneeFlexion' && m.side === 'right').at(-1)!;
const field = (name: string) => ({ ok: false, refusal: { why: 'invalid', field: name } });

describe('a range', () => {
	it('binds with its new value; the slip moves; the old one stays with the reason', async () => {
		const [slip] = slipsByNeed(wren, TODAY);
		const last = knee();
		value(
			await right('range', last.id, {
				tolerable_tenths: String(last.tolerable - 6),
				onset_tenths: String(last.onset - 6)
			})
		);
		const after = await reloaded(physio, wren.head.id);
		expect(after.measurements).toHaveLength(wren.measurements.length);
		expect(envelopeOf(after, TODAY).kneeFlexion?.right?.tolerable).toBe(last.tolerable - 6);
		const moved = slipsByNeed(after, TODAY).find((s) => s.exercise.id === slip!.exercise.id);
		expect(hashOf(moved!)).not.toBe(hashOf(slip!));
		const [old] = (await views('range')).filter((e) => e.id === last.id);
		expect(old).toMatchObject({ state: 'replaced', fields: [] });
		expect(old?.after).toContain('a digit was left out');
	});
	it('refuses what could not be entered, at its field, and nothing that changes nothing', async () => {
		const last = knee();
		expect(await right('range', last.id, { end_tenths: 'many' })).toMatchObject(field('end_tenths'));
		expect(await right('range', last.id, { tolerable_tenths: String(last.end + 5) })).toMatchObject(
			field('end_tenths')
		);
		expect(await right('range', last.id, { pain: '2.5' })).toMatchObject(field('pain'));
		expect(await right('range', last.id, {})).toMatchObject(field('reason'));
		expect(await right('range', last.id, { end_tenths: String(last.end) })).toMatchObject(field('reason'));
		// Of what is no column of its kind nothing is read.
		expect(await right('range', last.id, { axis: 'hipFlexion', voided: 'true' })).toMatchObject(
			field('reason')
		);
	});
	it('far from all others is asked about, and kept once it is confirmed', async () => {
		const last = knee();
		const low = { onset_tenths: '14', tolerable_tenths: '14', end_tenths: '14' };
		expect(await right('range', last.id, low)).toMatchObject(field('sure'));
		value(await right('range', last.id, low, { sure: true }));
	});
	it('twice is told, and so is one that was taken out meanwhile', async () => {
		const last = knee();
		const id = randomUUID();
		const values = { pain: '7' };
		value(await right('range', last.id, values, { id }));
		value(await right('range', last.id, values, { id }));
		expect(await right('range', last.id, { pain: '6' })).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
		const [now] = (await views('range')).filter((e) => e.state === 'stands');
		value(
			await takeOutEntry(physio, {
				id: randomUUID(),
				clientId: wren.head.id,
				kind: 'range',
				entryId: now!.id,
				reason: 'wrong leg'
			})
		);
		expect(await right('range', now!.id, { pain: '5' })).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
	});
	it('of a colleague only by a licensed user', async () => {
		expect(await right('range', knee().id, { pain: '7' }, {}, trainer)).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
	});
});

describe('other kinds', () => {
	it('a complaint moves the usual morning that decisions begin from, and keeps to its worst', async () => {
		const [place] = (await views('complaint')).filter((e) => e.state === 'stands');
		expect(await right('complaint', place!.id, { usual_morning: '10' })).toMatchObject(
			field('usual_morning')
		);
		value(await right('complaint', place!.id, { usual_morning: '1' }));
		expect((await reloaded(physio, wren.head.id)).head.setting.usual['knee-right']?.intake).toBe(1);
	});
	it('a test inside what is possible, in whole numbers where it is counted; a morning; a title without its file', async () => {
		const amos = await client(physio, 'Amos');
		const test = amos.tests.find((t) => t.test === 'chair-stand-30s') ?? amos.tests[0]!;
		expect(await right('test', test.id, { value_hundredths: '9999' }, {}, physio, amos)).toMatchObject(
			field('value_hundredths')
		);
		value(await right('test', test.id, { value_hundredths: String(test.value + 1) }, {}, physio, amos));
		const [morning] = (await views('morning')).filter((e) => e.state === 'stands');
		value(await right('morning', morning!.id, { pain: '9' }));
		expect((await reloaded(physio, wren.head.id)).mornings.some((m) => m.pain === 9)).toBe(true);
		const nerys = await client(physio, 'Nerys');
		const [letter] = await views('attachment', nerys);
		const id = randomUUID();
		value(await right('attachment', letter!.id, { title: 'Letter of the doctor' }, { id }, physio, nerys));
		const file = value(await readAttachment(physio, nerys.head.id, id));
		expect(file.title).toBe('Letter of the doctor');
		expect(file.bytes.subarray(0, 5).toString()).toBe('%PDF-');
	});
	it('a goal that was mistyped is no new scoring: what it began from and how far it came are as they were', async () => {
		const goals = async () => (await physio.inPractice((t) => intakeOf(t, wren.head.id))).goals;
		const before = (await goals())[0]!;
		const goalOf = async () => (await goals()).find((g) => g.label === before.label)!;
		value(await right('goal', before.id, { score: '9' }));
		const after = await goalOf();
		expect(after.score).toBe(9);
		expect(after.scores.map((s) => s.score)).toEqual([...before.scores.slice(0, -1).map((s) => s.score), 9]);
		// Scored again after that: one more.
		const { activity, label } = after;
		value(
			await saveGoal(physio, {
				id: randomUUID(),
				clientId: wren.head.id,
				activity,
				label,
				score: 10,
				replaces: after.id
			})
		);
		expect((await goalOf()).scores.map((s) => s.score).slice(-2)).toEqual([9, 10]);
		expect((await goalOf()).scores).toHaveLength(before.scores.length + 1);
	});
	it('a session with a worst pain and a set that were mistyped: the slip reads what is right', async () => {
		const logOf = async () => (await reloaded(physio, wren.head.id)).logs.at(-1)!;
		const before = (await logOf()).session;
		const [entry] = (await views('session')).filter((e) => e.state === 'stands');
		const at = (column: string) => entry!.fields.find((f) => f.column === column);
		expect(at('pains.0.peak')).toMatchObject({
			label: 'Pain worst, right knee',
			value: String(before.pains[0]!.peak)
		});
		expect(at('sets.0.reps')).toMatchObject({ label: 'Set 1', value: String(before.sets[0]!.reps) });
		const high = { 'pains.0.before': '4', 'pains.0.after': '4', 'pains.0.peak': '3' };
		expect(await right('session', entry!.id, high)).toMatchObject(field('pains.0.peak'));
		// What was seen clean is not more than what was done.
		const fewer = { 'sets.0.reps': String((before.sets[0]!.cleanReps ?? 1) - 1) };
		expect(await right('session', entry!.id, fewer)).toMatchObject(field('sets.0.reps'));
		expect(await right('session', entry!.id, { 'sets.9.reps': '8' })).toMatchObject({
			refusal: { why: 'conflict' }
		});
		const more = { 'pains.0.peak': '9', 'sets.0.reps': String(before.sets[0]!.reps + 1) };
		value(await right('session', entry!.id, more));
		const after = (await logOf()).session;
		expect(after.pains).toEqual([{ ...before.pains[0], peak: 9 }]);
		expect(after.sets).toEqual([
			{ ...before.sets[0], reps: before.sets[0]!.reps + 1 },
			...before.sets.slice(1)
		]);
		expect(slipsByNeed(await reloaded(physio, wren.head.id), TODAY)[0]?.trace.rule).not.toBe(
			slipsByNeed(wren, TODAY)[0]?.trace.rule
		);
	});
	it('every kind that can be put right offers its fields, filled with what stands', async () => {
		for (const name of ['Wren', 'Amos', 'Nerys']) {
			const r = await client(physio, name);
			for (const kind of ['range', 'test', 'morning', 'complaint', 'goal', 'session', 'note'] as const)
				for (const e of (await views(kind, r)).filter((x) => x.state === 'stands')) {
					expect(e.fields.length, kind).toBeGreaterThan(0);
					for (const f of e.fields) expect(f.value, `${kind} ${f.column}`).not.toMatch(/NaN|undefined|null/);
				}
		}
	});
});

it('a signed slip says that its record changed, for a range as for a session', async () => {
	const { id: clientId } = wren.head;
	const said = { fever: 'no', fall: 'no', newSwelling: 'no', calf: 'no' } as const;
	const pains = { 'knee-right': 4 };
	expect(value(await arrive(physio, { id: randomUUID(), clientId, day: TODAY, pains, ...said })).answer).toBe(
		'lighter'
	);
	const [slip] = slipsByNeed(await reloaded(physio, clientId), TODAY);
	const changed = async () => (await physio.inPractice((t) => decisions(t, wren.head.id)))[0]?.recordChanged;
	value(
		await signDecision(physio, {
			id: randomUUID(),
			prescriptionId: randomUUID(),
			clientId: wren.head.id,
			exerciseId: slip!.exercise.id,
			basedOn: slip!.chain.head.id,
			hash: hashOf(slip!),
			answer: 'accepted'
		})
	);
	expect(await changed()).toBe(false);
	// A day that is opened after all is no correction.
	value(
		await openDay(physio, { id: randomUUID(), clientId, day: TODAY, reason: 'the walk here, gone by now' })
	);
	expect(await changed()).toBe(false);
	value(await right('range', knee().id, { pain: '6' }));
	expect(await changed()).toBe(true);
});
