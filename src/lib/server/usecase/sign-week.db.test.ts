/** A signed week: refused where it holds what it may not, kept until another, changed when the plan is. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { as, client, cloneOf, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { addDays, weekday } from '#lib/core/base/calendar-day.ts';
import { changedSince, signedOn } from '#lib/core/plan/signed-week.ts';
import type { WeekSigned } from '#lib/contract/week-form.ts';
import { weekAsked } from '#lib/contract/week-form.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { standingAs, warmUpsOf, workIn } from '../record/week-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { weekView } from '../view/week-view.ts';
import type { Context } from './actor.ts';
import { pauseExercise } from './pause-exercise.ts';
import { signWeek } from './sign-week.ts';

let d: TestDatabase;
let physio: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
});
afterAll(() => d.close());

const NOTHING_ASKED = { minutes: null, days: [1, 3, 5] };
const seen = (r: ClientRecord, address = '') =>
	weekView(r, physio.today, weekAsked(new URLSearchParams(address), NOTHING_ASKED), 1);
const weekWith = (turns: WeekSigned['days'][number]['turns'], weekdays = [1]): WeekSigned => ({
	...{ school: 'usual', inTurn: true, learning: false, minutes: null },
	days: weekdays.map((day) => ({ weekday: day, turns }))
});
const sign = (r: ClientRecord, week: WeekSigned, more: object = {}) =>
	signWeek(physio, {
		id: randomUUID(),
		clientId: r.head.id,
		basedOn: r.head.week?.id ?? null,
		week,
		...more
	});
const why = async (p: ReturnType<typeof sign>): Promise<string> => {
	const o = await p;
	return o.ok ? 'signed' : o.refusal.why;
};

describe('a week', () => {
	it('is proposed from the plan: work on the days there are, a warm-up that is open to the client', async () => {
		const r = await client(physio, 'Nerys');
		const week = seen(r);
		expect([week.signed, week.proposed]).toEqual([null, true]);
		expect(week.days.map((x) => x.weekday)).toEqual([1, 2, 3, 4, 5, 6, 0]);
		expect(week.days.filter((x) => x.turns.length > 0).map((x) => x.weekday)).toEqual([1, 3, 5]);
		const ids = new Set(week.days.flatMap((x) => x.turns.flat()));
		for (const w of workIn(r, physio.today)) expect(ids.has(w.id), w.title).toBe(true);
		// Nobody cleared for impact jogs to warm up.
		expect(r.head.setting.clearances).not.toContain('impact');
		expect(warmUpsOf(r, physio.today).map((w) => w.step.id)).toContain('march');
		expect(warmUpsOf(r, physio.today).some((w) => w.step.tags.includes('impact'))).toBe(false);
	});
	it('is signed, holds on its days and no other, and until another is; two who sign at once: the second is told', async () => {
		let r = await client(physio, 'Nerys');
		const [e] = r.exercises;
		const week = weekWith([[{ exerciseId: e!.id }]], [weekday(physio.today)]);
		value(await sign(r, week));
		r = await reloaded(physio, r.head.id);
		expect(signedOn(r.head.week!, physio.today)).toEqual([[{ exerciseId: e!.id }]]);
		expect(signedOn(r.head.week!, addDays(physio.today, 1))).toBeNull();
		expect(seen(r)).toMatchObject({ proposed: false, signed: { changed: [] } });
		expect(seen(r, 'anew=on').proposed).toBe(true);
		expect(await why(sign(r, week, { basedOn: null }))).toBe('conflict');
		value(await sign(r, weekWith([[{ exerciseId: e!.id }]], [2, 4])));
		expect(await why(sign(r, week))).toBe('conflict');
		r = await reloaded(physio, r.head.id);
		expect(r.head.week?.days.map((x) => x.weekday)).toEqual([2, 4]);
		// The page says the days that were signed, not those of the client's record.
		expect(seen(r).asked.days).toEqual([2, 4]);
	});
	it('sent twice is signed once', async () => {
		const r = await client(physio, 'Wren');
		const id = randomUUID();
		const week = weekWith([[{ exerciseId: r.exercises[0]!.id }]]);
		value(await sign(r, week, { id }));
		value(await sign(r, week, { id }));
		const { rows } = await d.owner.query('select id from client_week where client_id = $1', [r.head.id]);
		expect(rows).toHaveLength(1);
	});
	it('holds nothing that is not in the plan, is not open, stands twice in a day, or is nothing at all', async () => {
		const r = await client(physio, 'Bertil');
		const own = { exerciseId: r.exercises[0]!.id };
		const other = { exerciseId: (await client(physio, 'Wren')).exercises[0]!.id };
		expect(await why(sign(r, weekWith([[other]])))).toBe('conflict');
		expect(await why(sign(r, weekWith([[{ family: 'impact', step: 'split-jump' }]])))).toBe('invalid');
		expect(await why(sign(r, weekWith([[{ family: 'nothing', step: 'no-such' }]])))).toBe('invalid');
		expect(await why(sign(r, weekWith([[own], [own]])))).toBe('invalid');
		expect(await why(sign(r, weekWith([[own]], [1, 1])))).toBe('invalid');
		expect(await why(sign(r, weekWith([], [1])))).toBe('invalid');
		const march = warmUpsOf(r, physio.today)[0]!;
		expect(await why(sign(r, weekWith([[{ family: 'impact', step: march.step.id }], [own]])))).toBe('signed');
	});
	it('what is set aside since, or given anew, is out of it and said; held work cannot be put into it', async () => {
		let r = await client(physio, 'Saskia');
		const e = r.exercises[0]!;
		const { head } = effectiveChain(e.prescriptions);
		value(await sign(r, weekWith([[{ exerciseId: e.id }]], [1, 3])));
		value(
			await pauseExercise(physio, {
				...{ id: randomUUID(), clientId: r.head.id, exerciseId: e.id, basedOn: head.id },
				...{ to: 'set-aside' as const, reason: 'away for two weeks' }
			})
		);
		r = await reloaded(physio, r.head.id);
		expect(changedSince(r.head.week!, standingAs(r, physio.today))).toEqual([e.id]);
		const week = seen(r);
		expect(week.days.flatMap((x) => x.turns)).toEqual([]);
		expect(week.heldOut.map((h) => h.because)).toContain('set aside');
		expect(await why(sign(r, weekWith([[{ exerciseId: e.id }]])))).toBe('conflict');
	});
	it('asks days and minutes of the address, and takes what it cannot read from the record', () => {
		const asked = (q: string) => weekAsked(new URLSearchParams(q), { minutes: 25, days: [2, 6] });
		expect(asked('')).toMatchObject({
			minutes: 25,
			days: [2, 6],
			school: 'usual',
			inTurn: true,
			anew: false
		});
		expect(asked('minutes=4')).toMatchObject({ minutes: 25 });
		expect(asked('minutes=181')).toMatchObject({ minutes: 25 });
		expect(asked('minutes=5&days=0&days=0&days=7&days=x&school=nonsense')).toMatchObject({
			...{ minutes: 5, days: [0], school: 'usual' }
		});
		expect(asked('apart=on&learning=on&school=rolling-first')).toMatchObject({
			...{ inTurn: false, learning: true, school: 'rolling-first' }
		});
	});
});
