/** The visits of a client, from the log. Common practice. */
import { expect, it } from 'vitest';
import { clientOf, PLAIN } from '../../../../tests/clients.ts';
import { session } from '../../../../tests/records.ts';
import { visitsOf } from './visits.ts';

const plain = clientOf(PLAIN);
const [e] = plain.exercises;
const log = (visitId: string, date: string, peak: number, observed = true) => ({
	...plain.logs[0]!,
	visitId,
	prescriptionId: e!.prescriptions[0]!.id,
	session: { ...session(date), observed, pains: [{ region: e!.region, peak }] }
});

it('one line a visit, latest first, with the worst of each region over all that was done', () => {
	const [late, early, ...none] = visitsOf({
		...plain,
		logs: [log('a', '2026-03-10', 3), log('b', '2026-03-12', 1, false), log('a', '2026-03-10', 5)]
	});
	expect(none).toEqual([]);
	expect(late).toMatchObject({ id: 'b', day: '2026-03-12', observed: false });
	expect(early).toMatchObject({ id: 'a', day: '2026-03-10', observed: true });
	expect(early?.done).toHaveLength(2);
	expect(early?.done[0]).toBe(`${e!.prescriptions[0]!.snapshot.title} 10 + 10`);
	expect(early?.worst).toHaveLength(1);
	expect(early?.worst[0]).toMatch(/ 5$/);
	expect(visitsOf({ ...plain, logs: [] })).toEqual([]);
});
