/** Blood pressure at rest, written down on the measure sheet, binds that day: on Today, when logging, until a later reading or an opening. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { logOf } from '../../../../tests/log-of.ts';
import { answerOn, boundOn } from '../record/facts-of.ts';
import type { Context } from './actor.ts';
import { arrive, openDay } from './arrive.ts';
import { logVisit } from './log-visit.ts';
import { saveSheet } from './save-sheet.ts';
import { showToday } from './show-today.ts';

const TODAY = '2026-03-12';
let physio: Context;
demoForEach((made) => ({ physio } = made));

let minute = 0;
/** Readings of a day come one after the other. */
const next = (): Date => new Date(Date.parse(`${TODAY}T08:00:00Z`) + 60_000 * ++minute);
const pressure = (ctx: Context, clientId: string, systolic: number, diastolic: number, day = TODAY) =>
	saveSheet(
		ctx,
		clientId,
		{
			day,
			ranges: [],
			totals: [],
			tests: [
				{
					id: randomUUID(),
					test: 'resting-pressure',
					side: null,
					value: systolic,
					extras: { diastolic },
					method: 'typed'
				}
			]
		},
		next()
	);

describe('pressure on the measure sheet', () => {
	it('closes the day, and a lower reading of the same day opens it', async () => {
		const r = await client(physio, 'Wren');
		const id = r.head.id;
		value(await pressure(physio, id, 205, 95));
		expect(answerOn(await reloaded(physio, id), TODAY)).toBe('not-today');
		const notes = async () => value(await showToday(physio)).rows.find((x) => x.clientId === id)?.notes ?? [];
		expect(await notes()).toContain('not today');
		const done = value(await logVisit(physio, logOf(r, TODAY)));
		expect(done.againstAdvice).toBe(true);
		value(await pressure(physio, id, 150, 85));
		expect(answerOn(await reloaded(physio, id), TODAY)).toBeUndefined();
		expect(await notes()).not.toContain('not today');
	});
	it('does not bind another day, and without its lower value it is refused', async () => {
		const { head } = await client(physio, 'Wren');
		value(await pressure(physio, head.id, 205, 95, '2026-01-05'));
		expect(boundOn(await reloaded(physio, head.id), TODAY)).toBeUndefined();
		const half = await saveSheet(physio, head.id, {
			day: TODAY,
			ranges: [],
			totals: [],
			tests: [
				{ id: randomUUID(), test: 'resting-pressure', side: null, value: 190, extras: {}, method: 'typed' }
			]
		});
		expect(half).toMatchObject({ ok: false, refusal: { field: 'test.resting-pressure.diastolic' } });
	});
	it('an opening lifts what was measured before it, not what is measured after', async () => {
		const { head } = await client(physio, 'Wren');
		value(await pressure(physio, head.id, 205, 95));
		const open = () =>
			openDay(physio, {
				id: randomUUID(),
				clientId: head.id,
				day: TODAY,
				reason: 'own doctor agreed by phone'
			});
		expect(await open()).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		value(
			await arrive(physio, {
				id: randomUUID(),
				clientId: head.id,
				day: TODAY,
				pains: { 'knee-right': 1 },
				fever: 'no',
				fall: 'no',
				newSwelling: 'no',
				calf: 'no'
			})
		);
		expect(answerOn(await reloaded(physio, head.id), TODAY)).toBe('not-today');
		value(await open());
		expect(answerOn(await reloaded(physio, head.id), TODAY)).toBeUndefined();
		minute += 60 * 24 * 400;
		value(await pressure(physio, head.id, 210, 95));
		expect(answerOn(await reloaded(physio, head.id), TODAY)).toBe('not-today');
	});
});
