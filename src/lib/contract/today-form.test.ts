/** What an address may ask of Today; what is not known asks for all, and an address made of a choice asks for the same. */
import { describe, expect, it } from 'vitest';
import { todayAddress, todayAsked } from './today-form.ts';

const asked = (query: string) => todayAsked(new URLSearchParams(query));

describe('what an address asks of Today', () => {
	it('nothing asks for everyone, by need, the first page', () =>
		expect(asked('')).toEqual({ search: '', show: '', part: '', due: '', order: 'need', page: 1 }));
	it.each([
		'show=everything',
		'part=elbow',
		'due=rent',
		'order=random',
		'page=0',
		'page=1.5',
		'page=1001',
		'page=x'
	])('%s asks for no more than nothing does', (query) => expect(asked(query)).toEqual(asked('')));
	it('a name is trimmed and bounded, without what a database cannot hold', () => {
		expect(asked('name=%20Wren%00%20').search).toBe('Wren');
		expect(asked(`name=${'x'.repeat(80)}`).search).toHaveLength(60);
	});
	it('comes back from the address it is put into', () => {
		const whole = {
			search: 'a&b',
			show: 'stop',
			part: 'hip',
			due: 'week',
			order: 'silent',
			page: 3
		} as const;
		expect(asked(todayAddress(whole).slice(1))).toEqual(whole);
		expect(todayAddress(asked(''))).toBe('?');
	});
});
