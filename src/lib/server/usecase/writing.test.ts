/** Requests of two practices run between each other; each is written as its own practice writes. */
import { expect, it } from 'vitest';
import { typed } from '#lib/contract/basics.ts';
import { heightsIn } from '#lib/contract/register-form.ts';
import { cmText } from '#lib/wording/units.ts';
import { AS_USUAL, written } from '#lib/wording/written-as.ts';
import { judgedBy } from './judge-anew.ts';
import { writing } from './writing.ts';

const inches = { units: 'imperial', dateOrder: 'month-day' } as const;
const later = (): Promise<void> => new Promise((r) => setTimeout(r, 5));

it('each request keeps its own, over what it waits for; outside of one it is as usual', async () => {
	const seen = (as: typeof inches | typeof AS_USUAL) =>
		writing(as, async () => {
			const first = cmText(47);
			await later();
			return [first, cmText(47)];
		});
	expect(await Promise.all([seen(inches), seen(AS_USUAL), seen(inches)])).toEqual([
		['18.5 in', '18.5 in'],
		['47 cm', '47 cm'],
		['18.5 in', '18.5 in']
	]);
	expect(written()).toEqual(AS_USUAL);
});

it('rows of Today are judged anew where a practice writes otherwise from now on', () => {
	expect(writing(inches, judgedBy)).not.toBe(judgedBy());
	expect(writing({ ...AS_USUAL, dateOrder: 'month-day' }, judgedBy)).not.toBe(judgedBy());
});

it('a refusal gives its bounds as they are typed, and heights without a unit are as the practice writes', () => {
	const refusal = (text: string): string | undefined =>
		typed('Height', 5, 80, 'cm').safeParse(text).error?.issues[0]?.message;
	expect(refusal('254')).toBe('Height: 254 is outside 5 to 80 cm.');
	expect(writing(inches, () => refusal('254'))).toBe('Height: 100 is outside 2 to 31.5 in.');
	expect([
		heightsIn('18, 47 cm', [10, 80]),
		writing(inches, () => heightsIn('18.5; 47 cm', [25, 80]))
	]).toEqual([[18, 47], [47]]);
	expect(writing(inches, () => heightsIn('7', [3, 50]))).toEqual([17.8]);
});
