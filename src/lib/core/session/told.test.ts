/** What is told at home of a session. Muscle soreness appears hours later and peaks a day or more after (Cheung 2003, from memory): the next morning counts. */
import { describe, expect, it } from 'vitest';
import type { Session } from './record.ts';
import { puttingTold, worstOf, type Told } from './told.ts';

const withTold = (s: Session, told: readonly Told[]): Session => puttingTold(told)(s);

const session: Session = {
	date: '2026-03-10',
	observed: false,
	prescribed: { sets: 2, reps: 10 },
	sets: [{ reps: 10 }, { reps: 10 }],
	pains: [{ region: 'knee-right', before: 1, peak: 2, after: 2 }]
};
const evening = (pain: number, more: Partial<Told> = {}): Told => ({
	...{ date: '2026-03-10', moment: 'evening', region: 'knee-right', pain },
	...more
});

describe('told of a session', () => {
	it('pain of its own evening is put beside what was said after it', () =>
		expect(withTold(session, [evening(6)]).pains).toEqual([
			{ region: 'knee-right', before: 1, peak: 2, after: 2, evening: 6 }
		]));
	it('the evening before and the evening after are of other days', () => {
		expect(withTold(session, [evening(6, { date: '2026-03-09' })])).toBe(session);
		expect(withTold(session, [evening(6, { date: '2026-03-11' })])).toBe(session);
	});
	it('a place that was not asked at the session is known from the evening', () =>
		expect(withTold(session, [evening(4, { region: 'hip-left' })]).pains[1]).toEqual({
			region: 'hip-left',
			evening: 4
		}));
	it('soreness is the worst of the session, its evening and the next morning; the morning of the day itself is of the day before', () => {
		const told: readonly Told[] = [
			{ date: '2026-03-10', moment: 'evening', region: 'knee-right', soreness: 3 },
			{ date: '2026-03-11', moment: 'morning', region: 'knee-right', soreness: 7 },
			{ date: '2026-03-10', moment: 'morning', region: 'knee-right', soreness: 9 }
		];
		expect(withTold(session, told).soreness).toBe(7);
		expect(withTold({ ...session, soreness: 8 }, told).soreness).toBe(8);
		expect(withTold(session, told).pains).toEqual(session.pains);
	});
	it('whatever was told of one day counts, in whatever order it was told', () => {
		const told: readonly Told[] = [
			evening(6, { soreness: 7 }),
			evening(4, { region: 'hip-left' }),
			{ date: '2026-03-11', moment: 'morning', region: 'knee-right', soreness: 3 }
		];
		for (const all of [told, [...told].reverse()])
			expect(withTold(session, all)).toMatchObject({
				soreness: 7,
				pains: [
					{ region: 'knee-right', evening: 6 },
					{ region: 'hip-left', evening: 4 }
				]
			});
	});
	it('what was not told leaves nothing behind: no pain of an evening, no soreness', () => {
		const sore: Told = { date: '2026-03-10', moment: 'evening', region: 'knee-right', soreness: 2 };
		expect(withTold(session, [sore])).toStrictEqual({ ...session, soreness: 2 });
		expect(withTold(session, [{ ...sore, region: 'hip-left' }]).pains).toStrictEqual(session.pains);
		const [pain] = session.pains;
		expect(withTold(session, [evening(3)])).toStrictEqual({ ...session, pains: [{ ...pain, evening: 3 }] });
		const other = evening(3, { region: 'hip-left' });
		expect(withTold(session, [other]).pains).toStrictEqual([pain, { region: 'hip-left', evening: 3 }]);
	});
	it('a morning that says nothing of soreness says nothing of the session', () =>
		expect(
			withTold(session, [{ date: '2026-03-11', moment: 'morning', region: 'knee-right', pain: 5 }]).pains
		).toEqual(session.pains));
	it('the worst is of what was said; nothing said is not nought', () => {
		expect(worstOf({ region: 'back', evening: 4, peak: 2 })).toBe(4);
		expect(worstOf({ region: 'back', before: 9 })).toBeUndefined();
		expect(worstOf({ region: 'back', after: 0 })).toBe(0);
	});
});
