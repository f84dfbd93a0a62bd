/** Every emergency answer of the screening stops everything, below the pages: nothing is prescribed, nobody trains, each slip refers. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { as, client, cloneOf, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { slipsByNeed } from '../view/slips-by-need.ts';
import type { Context } from './actor.ts';
import { arrive } from './arrive.ts';
import { closeFlag } from './flags.ts';
import { prescribe } from './prescribe.ts';
import { screenClient } from './screen-client.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
});
afterAll(() => d.close());

describe('an emergency answer', () => {
	it.each(SCREENING.filter((c) => c.urgency === 'emergency').map((c) => c.id))(
		'%s: refer, nothing prescribed, not today, until a licensed user closes it',
		async (code) => {
			const r = await client(physio, 'Tamsin');
			const clientId = r.head.id;
			const answers = Object.fromEntries(
				SCREENING.map((c) => [c.id, c.id === code ? ('yes' as const) : ('no' as const)])
			);
			value(await screenClient(physio, { id: randomUUID(), clientId, day: TODAY, answers }));
			const now = await reloaded(physio, clientId);
			const slips = slipsByNeed(now, TODAY);
			expect(slips.length).toBeGreaterThan(0);
			expect(slips.every((s) => s.trace.decision === 'refer')).toBe(true);
			const given = await prescribe(physio, {
				...{ id: randomUUID(), exerciseId: randomUUID(), clientId, family: 'squat', step: 'raised-seat' },
				...{ region: Object.keys(r.head.setting.usual)[0]!, sets: 1, reps: 5, loadKg: 0 }
			});
			expect(given).toMatchObject({ ok: false });
			const pains = Object.fromEntries(Object.keys(r.head.setting.usual).map((x) => [x, 0]));
			const card = { id: randomUUID(), clientId, day: TODAY, pains };
			const came = await arrive(physio, {
				...card,
				...{ fever: 'no', fall: 'no', newSwelling: 'no', calf: 'no' }
			});
			expect(value(came)).toMatchObject({ answer: 'not-today' });
			const flag = now.head.flags.find((f) => f.open && f.code === code)!;
			expect(flag).toMatchObject({ severity: 'red', urgency: 'emergency' });
			const close = { clientId, flagId: flag.id, note: 'ruled out in hospital', mistaken: true };
			expect(await closeFlag(await as(d, 'trainer'), { id: randomUUID(), ...close })).toMatchObject({
				ok: false
			});
			value(await closeFlag(physio, { id: randomUUID(), ...close }));
			const after = slipsByNeed(await reloaded(physio, clientId), TODAY);
			expect(after.some((s) => s.trace.decision === 'refer')).toBe(false);
		}
	);
});
