/** Facts of a record that are worked out once: each region, and each day, has its own. The usual pain: core/decision/usual.ts (practice setting). */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { clientOf, specs, TODAY } from '../../../../tests/clients.ts';
import { mornings } from '../../../../tests/records.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import type { MorningRule } from '#lib/core/decision/policy.ts';
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

it('the usual pain is another by another intake or rule, of the same mornings', () => {
	const [spec] = fc.sample(specs, { numRuns: 1, seed: 7 });
	const few = mornings(addDays(TODAY, -2), 2, 5).map((m) => ({ ...m, region: 'knee-right', provocation: 1 }));
	const r = { ...clientOf(spec!), mornings: few };
	const by = (intake: number) => ({
		...r,
		head: { ...r.head, setting: { ...r.head.setting, usual: { 'knee-right': { intake } } } }
	});
	expect([by(2), by(3), by(2)].map((x) => usualNow(x, 'knee-right', TODAY))).toEqual([2, 3, 2]);
	const week = mornings(addDays(TODAY, -8), 8, 2).map((m) => ({
		...m,
		region: 'knee-right',
		provocation: 0
	}));
	const ruled = (morningRule: MorningRule) => ({
		...by(1),
		mornings: week,
		policy: { ...r.policy, morningRule }
	});
	expect(
		[ruled('up-to-five'), ruled('provocation'), ruled('up-to-five')].map((x) =>
			usualNow(x, 'knee-right', TODAY)
		)
	).toEqual([2, 0, 2]);
});
