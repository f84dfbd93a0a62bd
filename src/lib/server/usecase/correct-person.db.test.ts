/** Who a client is, put right; what stood before stays to be read. Common practice. */
import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { personForm } from '#lib/contract/note-form.ts';
import type { Context } from './actor.ts';
import { correctPerson, type PersonCorrection } from './correct-person.ts';
import { entryViews } from './show-entries.ts';

let physio: Context;
demoForEach((made) => ({ physio } = made));

it('a name with a digit too few, a birth in the wrong century: right from now on, the old one in a note with its reason', async () => {
	const wren = await client(physio, 'Wren');
	const { name, born, sex, occupation } = wren.head;
	const right = (patch: Partial<PersonCorrection>, id = randomUUID()) =>
		correctPerson(physio, {
			id,
			clientId: wren.head.id,
			...{ name, born, sex, occupation },
			reason: 'read off the passport',
			...patch
		});
	expect(await right({})).toMatchObject({ ok: false, refusal: { field: 'name' } });
	expect(await right({ born: '2015-01-01' })).toMatchObject({ ok: false, refusal: { field: 'born' } });
	expect(await right({ born: '1867-09-14' })).toMatchObject({ ok: false, refusal: { field: 'born' } });
	const id = randomUUID();
	value(await right({ name: 'Wren Holliss', born: '1976-09-14', occupation: null }, id));
	value(await right({ name: 'Wren Holliss', born: '1976-09-14', occupation: null }, id));
	const after = await reloaded(physio, wren.head.id);
	expect(after.head).toMatchObject({ name: 'Wren Holliss', born: '1976-09-14', sex, occupation: null });
	const notes = await physio.inPractice((t) =>
		entryViews(t, wren.head.id, physio.actor, { from: 0, only: 'note' })
	);
	expect(notes.entries).toHaveLength(1);
	expect(notes.entries[0]?.text).toBe(
		`Put right: name from “${name}” to “Wren Holliss”; born from “${born}” to “1976-09-14”; work from “${occupation}” to nothing. read off the passport`
	);
	expect((await client(physio, 'Amos')).head.name).toBe('Amos Tarrant-Ley');
	const gone = {
		id: randomUUID(),
		clientId: randomUUID(),
		name,
		born,
		sex,
		occupation,
		reason: 'another client'
	};
	expect(await correctPerson(physio, gone)).toMatchObject({ ok: false });
});
it('the form asks for a name, a real day and the reason', () => {
	const issues = personForm.safeParse({
		id: randomUUID(),
		name: 'W',
		born: '2026-02-30',
		sex: 'x',
		occupation: '',
		reason: 'no'
	});
	expect(issues.success ? [] : issues.error.issues.map((i) => i.path[0])).toEqual([
		'name',
		'born',
		'sex',
		'reason'
	]);
});
