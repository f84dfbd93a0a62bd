/** The newest word on each purpose stands. Common practice. */
import { expect, it } from 'vitest';
import { agreedTo, WITHDRAWABLE } from './consent.ts';

it('what was agreed to and withdrawn is not agreed to, whatever came before', () => {
	const said = [
		{ purpose: 'keep-record', given: true },
		{ purpose: 'letters', given: true },
		{ purpose: 'phone-link', given: false },
		{ purpose: 'letters', given: false },
		{ purpose: 'phone-link', given: true }
	];
	expect([...agreedTo(said)].sort()).toEqual(['keep-record', 'phone-link']);
	expect(agreedTo([]).size).toBe(0);
});

it('keeping the record is not withdrawn beside the others', () => {
	expect(WITHDRAWABLE).toEqual(['phone-link', 'letters', 'teaching']);
});
