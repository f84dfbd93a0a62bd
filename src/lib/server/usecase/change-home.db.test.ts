/** What is at home, and what was agreed to, changes after registering; what is offered at home follows. Common practice. */
import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { agreedIn, daysIn, homeForm, kitIn } from '#lib/contract/register-form.ts';
import { agreedTo } from '#lib/core/client/consent.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { atHand } from '../record/context-of.ts';
import { fitContextOf } from '../record/fit-of.ts';
import { recordDay } from '#lib/core/base/zone-day.ts';
import type { Context } from './actor.ts';
import { checkIn } from './check-in.ts';
import { showClientPage } from './show-client-page.ts';
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
		homeHeights: { seats: [43, 47.5], steps: [18] },
		tz: 'Europe/London',
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
		homeHeights: { seats: [43, 47.5], steps: [18] },
		days: [1, 4],
		minutes: 20
	});
	expect(fitContextOf(after, '2026-03-12').home).toEqual({ seats: [43, 47.5], steps: [18] });
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
	const { homeKit, homeHeights, days, minutes } = wren.head.setting;
	const said = (agreed: HomeChange['agreed']) =>
		changeHome(physio, {
			id: randomUUID(),
			clientId: wren.head.id,
			tz: wren.head.tz,
			...{ homeKit, homeHeights, days, minutes, agreed }
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
	const at = (minutes: string) =>
		homeForm.safeParse({ id: randomUUID(), minutes, seats: '', steps: '', tz: 'UTC' }).success;
	for (const minutes of ['4', '181', '7.5', 'ten']) expect(at(minutes)).toBe(false);
	expect([at(''), at('5'), at('180')]).toEqual([true, true, true]);
});

it('what was measured at home is read as it is written down, and refused when it is no chair', () => {
	const form = (seats: string, steps = '', tz = 'Europe/London') =>
		homeForm.safeParse({ id: randomUUID(), minutes: '', seats, steps, tz });
	expect(form('47.5, 43', '18').data).toMatchObject({ seats: [43, 47.5], steps: [18] });
	expect(form('43,5; 18 in 47 cm').data?.seats).toEqual([43.5, 45.7, 47]);
	expect(form('43 43').data?.seats).toEqual([43]);
	expect(form('25 80', '3 50').success).toBe(true);
	for (const wrong of [
		'24.9',
		'80.1',
		'low',
		'4x',
		'-43',
		Array.from({ length: 13 }, (_, i) => 30 + i).join(' ')
	])
		expect(form(wrong).success, wrong).toBe(false);
	for (const wrong of ['2.9', '50.1']) expect(form('', wrong).success, wrong).toBe(false);
	expect(form('', '', 'Mars/Base').success).toBe(false);
});

it('where a client lives, it is their day: a session of theirs today is not in the future, and no licence is longer for it', async () => {
	const wren = await client(physio, 'Wren');
	const { homeKit, homeHeights, days, minutes } = wren.head.setting;
	const move = (tz: string) =>
		changeHome(physio, {
			...{ id: randomUUID(), clientId: wren.head.id, homeKit, homeHeights, days, minutes },
			agreed: ['letters'],
			tz
		});
	// Evening in London is the next day in Kiritimati.
	const now = new Date('2026-03-12T20:00:00Z');
	const there: Context = { ...physio, now, dayIn: (tz) => recordDay(tz, now) };
	const checked = (day: string) =>
		checkIn(there, {
			id: randomUUID(),
			clientId: wren.head.id,
			day,
			regions: [{ id: randomUUID(), region: 'knee-right', pain: 2, swelling: 'none' }],
			events: []
		});
	expect(await checked('2026-03-13')).toMatchObject({ ok: false, refusal: { field: 'day' } });
	value(await move('Pacific/Kiritimati'));
	expect((await reloaded(physio, wren.head.id)).head.tz).toBe('Pacific/Kiritimati');
	value(await checked('2026-03-13'));
	expect(await checked('2026-03-14')).toMatchObject({ ok: false, refusal: { field: 'day' } });
	const page = value(await showClientPage(there, wren.head.id, 'test', (_, __, ctx) => ({ day: ctx.today })));
	expect(page).toMatchObject({
		day: '2026-03-13',
		head: { today: '2026-03-13', away: { tz: 'Pacific/Kiritimati', today: '2026-03-13' } }
	});
	const amos = await client(physio, 'Amos');
	const home = value(await showClientPage(there, amos.head.id, 'test', () => ({})));
	expect(home.head.away).toBeUndefined();
});
