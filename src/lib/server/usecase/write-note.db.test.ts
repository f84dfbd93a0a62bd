/** Dated notes and whom to call. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, value } from '../../../../tests/database.ts';
import { contactForm, noteForm } from '#lib/contract/note-form.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { shortDay } from '#lib/wording/days.ts';
import { flagName } from '#lib/wording/screening.ts';
import { visitsOf } from '../view/visits.ts';
import { contactsOf, entryViews, visitNotes } from './show-entries.ts';
import { takeOutEntry } from './take-out.ts';
import { setContact, writeNote, type NewNote } from './write-note.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ physio, trainer } = made));

const note = (r: ClientRecord, patch: Partial<NewNote> = {}): NewNote => ({
	id: randomUUID(),
	clientId: r.head.id,
	day: TODAY,
	body: 'Slept badly; the stairs were worse.',
	about: {},
	...patch
});
const notesOf = async (r: ClientRecord) =>
	(await physio.inPractice((t) => entryViews(t, r.head.id, physio.actor, { from: 0, only: 'note' }))).entries;

describe('notes', () => {
	it('of the client, of a sore place, of an exercise: each says what it is about', async () => {
		const r = await client(physio, 'Wren');
		const [squat] = r.exercises;
		value(await writeNote(physio, note(r)));
		value(await writeNote(trainer, note(r, { about: { region: 'knee-right' }, day: '2026-03-11' })));
		value(await writeNote(physio, note(r, { about: { exerciseId: squat!.id }, day: '2026-03-10' })));
		const title = squat!.prescriptions.at(-1)!.snapshot.title;
		expect((await notesOf(r)).map((n) => n.text)).toEqual([
			'Slept badly; the stairs were worse.',
			'Right knee: Slept badly; the stairs were worse.',
			`${title}: Slept badly; the stairs were worse.`
		]);
	});
	it('of a visit and of a flag: named by its day and by what it is, and shown with the visit', async () => {
		const r = await client(physio, 'Odile');
		const last = r.logs.at(-1)!;
		const [flag] = r.head.flags;
		value(await writeNote(physio, note(r, { about: { visitId: last.visitId }, body: 'Limped in.' })));
		value(await writeNote(physio, note(r, { about: { flagId: flag!.id }, body: 'Letter is on its way.' })));
		const texts = (await notesOf(r)).map((n) => n.text);
		expect(texts).toContain(`Session of ${shortDay(last.session.date)}: Limped in.`);
		expect(texts).toContain(
			`${flagName(flag!.code).replace(/^./, (c) => c.toUpperCase())}: Letter is on its way.`
		);
		const visits = visitsOf(r, await physio.inPractice((t) => visitNotes(t, r.head.id)));
		expect(visits.filter((v) => v.notes.length > 0)).toEqual([
			expect.objectContaining({ id: last.visitId, notes: ['Limped in.'] })
		]);
		const other = await client(physio, 'Wren');
		for (const about of [{ visitId: last.visitId }, { flagId: flag!.id }])
			expect(await writeNote(physio, note(other, { about }))).toMatchObject({
				ok: false,
				refusal: { why: 'conflict' }
			});
		const form = { id: randomUUID(), day: TODAY, body: 'x' };
		expect(noteForm.parse({ ...form, about: `flag:${flag!.id}` }).about).toEqual({ flagId: flag!.id });
		expect(noteForm.parse({ ...form, about: `visit:${last.visitId}` }).about).toEqual({
			visitId: last.visitId
		});
		expect(noteForm.safeParse({ ...form, about: 'flag:1' }).success).toBe(false);
	});
	it('not of tomorrow, not of another client’s exercise; taken out it stays to be read', async () => {
		const r = await client(physio, 'Wren');
		const other = (await client(physio, 'Amos')).exercises[0]!.id;
		expect(await writeNote(physio, note(r, { day: '2026-03-13' }))).toMatchObject({
			ok: false,
			refusal: { field: 'day' }
		});
		expect(await writeNote(physio, note(r, { about: { exerciseId: other } }))).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
		const kept = note(r);
		value(await writeNote(physio, kept));
		const out = {
			id: randomUUID(),
			clientId: r.head.id,
			kind: 'note' as const,
			entryId: kept.id,
			reason: 'the wrong client'
		};
		expect(await takeOutEntry(trainer, out)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		value(await takeOutEntry(physio, out));
		expect(await notesOf(r)).toMatchObject([{ state: 'out' }]);
	});
	it.each([
		['', {}],
		['region:knee-left', { region: 'knee-left' }],
		['exercise:0190b6c5-7a60-7000-8000-000000000001', { exerciseId: '0190b6c5-7a60-7000-8000-000000000001' }]
	])('about "%s"', (about, read) => {
		const sent = { id: '0190b6c5-7a60-7000-8000-000000000002', day: TODAY, about, body: 'x' };
		expect(noteForm.parse(sent).about).toEqual(read);
	});
	it.each(['knee-left', 'exercise:one', 'region:', 'constructor:x'])('about "%s" is refused', (about) => {
		const sent = { id: '0190b6c5-7a60-7000-8000-000000000002', day: TODAY, about, body: 'x' };
		expect(noteForm.safeParse(sent).success).toBe(false);
	});
});

describe('whom to call', () => {
	const number = (phone: string) => ({ role: 'emergency' as const, name: 'Piet, at home', phone });
	it('one of a kind: another takes its place, and the one before stays to be read', async () => {
		const r = await client(physio, 'Wren');
		const keep = (phone: string) =>
			setContact(physio, { ...number(phone), id: randomUUID(), clientId: r.head.id });
		value(await keep('01234 567890'));
		value(await keep('+44 1234 567891'));
		expect(await physio.inPractice((t) => contactsOf(t, r.head.id))).toEqual([number('+44 1234 567891')]);
		const { entries } = await physio.inPractice((t) =>
			entryViews(t, r.head.id, physio.actor, { from: 0, only: 'contact' })
		);
		expect(entries.map((e) => e.state).sort()).toEqual(['replaced', 'stands']);
	});
	it.each([
		['+44 20 7946 0000', true],
		['(01234) 567-890', true],
		['112', false],
		['call me', false],
		['1234; drop', false]
	])('%s is a number: %s', (phone, is) =>
		expect(
			contactForm.safeParse({ id: '0190b6c5-7a60-7000-8000-000000000002', ...number(phone) }).success
		).toBe(is)
	);
});
