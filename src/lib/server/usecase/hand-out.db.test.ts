/** What leaves on paper: what is done now and nothing that is held; a letter by a licensed user alone; each kept in the access log. */
import { STEPS_DE } from '#lib/wording/mine/steps-de.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { as, client, cloneOf, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { handoutOf, letterOf } from '../view/hand-out.ts';
import type { Context } from './actor.ts';
import { printHandout, printLetter } from './hand-out.ts';
import { pauseExercise } from './pause-exercise.ts';

let d: TestDatabase;
let physio: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
});
afterAll(() => d.close());

it('a handout holds what is done now, drawn, in their order; what is set aside is not on it', async () => {
	const r = await client(physio, 'Nerys');
	const before = handoutOf(r, physio.today, 'Tidewater');
	expect(before.exercises.length).toBeGreaterThan(2);
	expect(before.exercises.every((e) => e.figure !== undefined && e.cues.length <= 3)).toBe(true);
	expect(before.stop.join(' ')).toContain('chest pain');
	const e = r.exercises[0]!;
	const { head } = effectiveChain(e.prescriptions);
	value(
		await pauseExercise(physio, {
			...{ id: randomUUID(), clientId: r.head.id, exerciseId: e.id, basedOn: head.id },
			...{ to: 'set-aside' as const, reason: 'away for two weeks' }
		})
	);
	const after = handoutOf(await reloaded(physio, r.head.id), physio.today, 'Tidewater');
	expect(after.exercises).toHaveLength(before.exercises.length - 1);
});

it('in the language of the client, where there is one', async () => {
	const r = await client(physio, 'Wren');
	const de = { ...r, head: { ...r.head, setting: { ...r.head.setting, language: 'de' } } };
	expect(handoutOf(de, physio.today, 'x')).toMatchObject({ language: 'de', title: 'Meine Übungen' });
	const german = new Set(Object.values(STEPS_DE));
	expect(handoutOf(de, physio.today, 'x').exercises.every((e) => german.has(e.title))).toBe(true);
	expect(handoutOf(r, physio.today, 'x').exercises.some((e) => german.has(e.title))).toBe(false);
	const other = { ...r, head: { ...r.head, setting: { ...r.head.setting, language: 'xx' } } };
	expect(handoutOf(other, physio.today, 'x')).toMatchObject({ language: 'en', title: 'My exercises' });
});

it('a letter says of each range whether its change is more than the method’s own', async () => {
	const r = await client(physio, 'Wren');
	const asked = {
		today: physio.today,
		practice: 'x',
		signedBy: 'y',
		words: 'One.\n\nTwo.',
		tests: [],
		goals: []
	};
	const [m] = r.measurements;
	const at = (tolerable: number, day: string) => ({ ...m!, tolerable, day });
	const changed = (by: number) =>
		letterOf({ ...r, measurements: [at(90, '2026-01-01'), at(90 + by, '2026-02-01')] }, asked)
			.measured[0]?.[3];
	// Goniometer: a real change is more than 6° (boone-1978, as in the table of methods).
	const real = 20;
	expect(changed(real)).toContain('more by 20°, beyond');
	expect(changed(-real)).toContain('less by 20°, beyond');
	expect(changed(1)).toContain('inside');
	expect(letterOf(r, asked).words).toEqual(['One.', 'Two.']);
});

it('is made by who may, and kept in the access log', async () => {
	const r = await client(physio, 'Wren');
	const trainer = await as(d, 'trainer');
	expect(await printLetter(trainer, r.head.id, '')).toMatchObject({ refusal: { why: 'not-allowed' } });
	const pdf = value(await printHandout(trainer, r.head.id));
	expect(Buffer.from(pdf.slice(0, 5)).toString()).toBe('%PDF-');
	value(await printLetter(physio, r.head.id, 'Please look at the knee.'));
	const { rows } = await d.owner.query<{ what: string }>('select what from access_log where client_id = $1', [
		r.head.id
	]);
	expect(rows.map((x) => x.what)).toEqual(
		expect.arrayContaining(['a handout, printed', 'a letter to whoever referred, printed'])
	);
});
