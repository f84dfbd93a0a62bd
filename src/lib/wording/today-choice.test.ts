/** What is chosen on Today is said in a line, and each that can be chosen has its word. Common practice. */
import { expect, it } from 'vitest';
import { ORDERS, SHOWN } from '#lib/contract/today-form.ts';
import { chosenText, foundText, ORDER_WORD, SHOW_WORD } from './today-choice.ts';

it('says what was chosen, and of what was not only that it is everyone', () => {
	expect(chosenText({ search: '', show: '', part: '', order: 'need' })).toBe('Everyone · by need');
	expect(chosenText({ search: 'lin', show: 'hold', part: 'knee', order: 'silent' })).toBe(
		'Hold · knee · “lin” · longest silent'
	);
});
it('has a word for each', () => {
	expect(SHOWN.filter((s) => SHOW_WORD[s] === undefined)).toEqual([]);
	expect(ORDERS.filter((o) => ORDER_WORD[o] === undefined)).toEqual([]);
});
it('says what a choice comes to', () =>
	expect([0, 1, 12].map(foundText)).toEqual(['Nobody now', 'Show 1 client', 'Show 12 clients']));
