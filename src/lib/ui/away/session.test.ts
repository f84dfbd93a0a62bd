/** A session written while nothing answered: by the rules of its form, with its alarms at once. */
import { describe, expect, it, vi } from 'vitest';
import type { ExerciseToLog } from '../log/exercise.ts';
import { NO_ROOM } from './context.ts';
import { givenHere, keepSession } from './session.ts';

const ID = '01890a5d-ac96-774b-bcce-b302099a8057';
const exercise = (more: Partial<ExerciseToLog> = {}): ExerciseToLog =>
	({
		id: ID,
		region: 'knee-right',
		today: null,
		head: {
			id: ID,
			dose: { school: 'sets-first', sets: 2, reps: 10, loadKg: 4, target: { sets: 3, reps: 10 } },
			particulars: {}
		},
		...more
	}) as unknown as ExerciseToLog;
const WHOSE = { member: 'm', clientId: ID, client: 'Wren', treatsBack: false };
const { treatsBack: _, ...WRITTEN } = WHOSE;

function typed(own: Readonly<Record<string, string>> = {}): FormData {
	const form = new FormData();
	for (const [k, v] of Object.entries({
		id: ID,
		visitId: ID,
		day: '2026-03-12',
		'e.0.id': ID,
		'e.0.exerciseId': ID,
		'e.0.prescriptionId': ID,
		'e.0.effort': '5',
		'pain.knee-right.before': '1',
		'pain.knee-right.peak': '2',
		'pain.knee-right.after': '1',
		...own
	}))
		form.append(k, v);
	return form;
}

describe('a session kept on the device', () => {
	it('is written as it was typed, under its own id, and raises nothing where nothing was told', async () => {
		const keep = vi.fn(() => Promise.resolve());
		expect(await keepSession(typed(), WHOSE, [exercise()], keep)).toEqual({ ok: true, raised: [] });
		expect(keep).toHaveBeenCalledWith(expect.objectContaining({ ...WRITTEN, id: ID, day: '2026-03-12' }));
	});
	it('says an alarm at once', async () => {
		const done = await keepSession(typed({ 'e.0.symptoms': 'chest-pain' }), WHOSE, [exercise()], () =>
			Promise.resolve()
		);
		expect(done.ok && done.raised.map((r) => [r.alarm, r.now])).toEqual([
			['emergency-chest-pain', 'emergency']
		]);
	});
	it('new leakage in whoever is treated for the back is an emergency, though only a knee is trained', async () => {
		const told = async (treatsBack: boolean): Promise<readonly string[]> => {
			const form = typed({ 'e.0.symptoms': 'leakage' });
			const done = await keepSession(form, { ...WHOSE, treatsBack }, [exercise()], () => Promise.resolve());
			return done.ok ? done.raised.map((r) => r.alarm) : [];
		};
		expect(await told(true)).toContain('emergency-saddle-area');
		expect(await told(false)).not.toContain('emergency-saddle-area');
	});
	it('what the form refuses is not kept, and says what', async () => {
		const keep = vi.fn(() => Promise.resolve());
		const bad = await keepSession(typed({ 'pain.knee-right.peak': '' }), WHOSE, [exercise()], keep);
		expect(bad).toMatchObject({ ok: false, text: expect.stringContaining('Nothing was kept.') as string });
		expect(await keepSession(typed(), WHOSE, [], keep)).toMatchObject({ ok: false });
		expect(keep).not.toHaveBeenCalled();
	});
	it('a device without room says so', async () => {
		const full = (): Promise<void> => Promise.reject(new DOMException('full', 'QuotaExceededError'));
		expect(await keepSession(typed(), WHOSE, [exercise()], full)).toEqual({ ok: false, text: NO_ROOM });
	});
	it('what was given is the dose of today, of a lighter day too', () => {
		expect(givenHere([exercise()])(ID)).toEqual({
			...{ sets: 2, reps: 10, loadKg: 4, region: 'knee-right', perSide: false }
		});
		const lighter = exercise({ today: { sets: 1, reps: 10 } as never });
		expect(givenHere([lighter])(ID)).toMatchObject({ sets: 1 });
		expect(givenHere([exercise()])('another')).toBeUndefined();
	});
});
