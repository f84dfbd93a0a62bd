/** A form that begins with what stands: of another day it begins anew, and loses nothing that was typed. */
import { expect, it } from 'vitest';
import { begunAnew } from './begun-anew.ts';

it('begins with what stands now; what was typed, or emptied, by hand stays, and nothing else of before', () => {
	const began = { pain: '2', stiffness: '20', fever: 'on' };
	const said = { ...began, pain: '5', stiffness: '', soreness: '3', calf: '' };
	expect(begunAnew(said, began, { pain: '1', stiffness: '10', swelling: 'hot' })).toEqual({
		...{ pain: '5', stiffness: '', soreness: '3', swelling: 'hot' }
	});
	expect(begunAnew(began, began, {})).toEqual({});
	expect(begunAnew({ pain: '4' }, {}, { pain: '1', fever: 'on' })).toEqual({ pain: '4', fever: 'on' });
});
