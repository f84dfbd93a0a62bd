/** Facts of a record that are worked out once: each region, and each day, has its own. The usual pain: core/decision/usual.ts (practice setting). */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { clientOf, specs, TODAY } from '../../../../tests/clients.ts';
import { mornings } from '../../../../tests/records.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { usualNow } from './facts-of.ts';

it('the usual pain of one region and day is not that of another', () => {
	const [spec] = fc.sample(specs, { numRuns: 1, seed: 7 });
	const first = addDays(TODAY, -30);
	const of = (region: string, from: typeof first, days: number, pain: number) =>
		mornings(from, days, pain).map((m) => ({ ...m, region }));
	const r = {
		...clientOf(spec!),
		mornings: [
			...of('knee-right', first, 15, 1),
			...of('knee-right', addDays(first, 15), 15, 2),
			...of('hip-left', first, 30, 0)
		]
	};
	const asked = (): number[] => [
		usualNow(r, 'knee-right', TODAY),
		usualNow(r, 'hip-left', TODAY),
		usualNow(r, 'knee-right', addDays(first, 14))
	];
	expect(asked()).toEqual([2, 0, 1]);
	expect(asked()).toEqual([2, 0, 1]);
});
