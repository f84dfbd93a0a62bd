/** What is at home, and what was agreed to, changes after registering; what is offered at home follows. Common practice. */
import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { agreedIn, daysIn, homeForm, kitIn } from '#lib/contract/register-form.ts';
import { agreedTo } from '#lib/core/client/consent.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { atHand } from '../record/context-of.ts';
import type { Context } from './actor.ts';
import { changeHome, type HomeChange } from './change-home.ts';

let physio: Context;
let trainer: Context;
demoForEach((made) => ({ physio, trainer } = made));

const consents = (id: string) => physio.inPractice(async (t) => (await intakeOf(t, id)).consents);

it('a band that was bought is at hand at home; the rest of what is set stands', async () => {
	const wren = await client(physio, 'Wren');
	const { setting } = wren.head;
	const change: HomeChange = {
		id: randomUUID(),
		clientId: wren.head.id,
		homeKit: ['chair', 'band'],
		days: [1, 4],
		minutes: 20,
		agreed: []
	};
	value(await changeHome(trainer, change));
	value(await changeHome(trainer, change));
	const after = await reloaded(physio, wren.head.id);
	expect(after.head.setting).toEqual({
		...setting,
		id: change.id,
		homeKit: ['chair', 'band'],
		days: [1, 4],
		minutes: 20
	});
	expect(atHand(after, 'home')).toContain('band');
	expect(await changeHome(trainer, { ...change, minutes: 25 })).toMatchObject({
		ok: false,
		refusal: { why: 'conflict' }
	});
	expect(await changeHome(trainer, { ...change, id: randomUUID(), clientId: randomUUID() })).toMatchObject({
		ok: false,
		refusal: { why: 'not-found' }
	});
});

it('what is withdrawn is no longer agreed to, and says so once; the record is kept on', async () => {
	const wren = await client(physio, 'Wren');
	const { homeKit, days, minutes } = wren.head.setting;
	const said = (agreed: HomeChange['agreed']) =>
		changeHome(physio, {
			id: randomUUID(),
			clientId: wren.head.id,
			...{ homeKit, days, minutes, agreed }
		});
	value(await said(['letters', 'phone-link']));
	expect([...agreedTo(await consents(wren.head.id))].sort()).toEqual([
		'keep-record',
		'letters',
		'phone-link'
	]);
	const rows = (await consents(wren.head.id)).length;
	value(await said(['letters', 'phone-link']));
	expect(await consents(wren.head.id)).toHaveLength(rows);
	value(await said(['letters']));
	expect([...agreedTo(await consents(wren.head.id))].sort()).toEqual(['keep-record', 'letters']);
	expect(await consents(wren.head.id)).toHaveLength(rows + 1);
});

it('the form keeps what is known of its ticks, and refuses minutes that are no day', () => {
	const form = new FormData();
	for (const [k, v] of [
		['kit', 'band'],
		['kit', 'rocket'],
		['days', '0'],
		['days', '7'],
		['agreed', 'letters'],
		['agreed', 'keep-record']
	] as const)
		form.append(k, v);
	expect([kitIn(form), daysIn(form), agreedIn(form)]).toEqual([['band'], [0], ['letters']]);
	for (const minutes of ['4', '181', '7.5', 'ten'])
		expect(homeForm.safeParse({ id: randomUUID(), minutes }).success).toBe(false);
	expect(homeForm.safeParse({ id: randomUUID(), minutes: '' }).success).toBe(true);
});
