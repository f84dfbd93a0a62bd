/** What a first prescription says by itself. Common practice. */
import { expect, it } from 'vitest';
import { firstParticulars } from './particulars.ts';

it('work of both legs asks each side where both are sore; of one leg, of one sore side and of a back it does not', () => {
	const both = ['knee-left', 'knee-right'];
	expect(firstParticulars(true, 'knee-right', both)).toEqual({ painPerSide: true });
	expect(firstParticulars(false, 'knee-right', both)).toEqual({});
	expect(firstParticulars(true, 'knee-right', ['knee-right', 'hip-left'])).toEqual({});
	expect(firstParticulars(true, 'back', ['back', 'knee-left'])).toEqual({});
	expect(firstParticulars(true, 'knee-right', both, { holdSec: 4 })).toEqual({
		holdSec: 4,
		painPerSide: true
	});
	expect(firstParticulars(false, 'knee-right', both, { holdSec: 4 })).toEqual({ holdSec: 4 });
});
