/** A form of plain fields: what was refused of it, and what it begins with. Common practice. */
import { describe, expect, it, vi } from 'vitest';
import { leaving } from './leaving.svelte.ts';

vi.mock('sveltekit-superforms/client', () => ({ superForm: () => ({}) }));
const { errorsIn, typedOver } = await import('./typed-form.ts');

const fields = { name: 'Rooms', weeks: '6' };

describe('a form of plain fields', () => {
	it('takes the refusals of its own fields, each as the library asks for it', () => {
		expect(errorsIn({ all: { name: 'A name.', other: 'Not here.' } }, fields)).toEqual({ name: ['A name.'] });
		expect(errorsIn(null, fields)).toEqual({});
		expect(errorsIn({ done: 'Kept.' }, fields)).toEqual({});
	});
	it('begins with what was typed and refused, else with what stands; nothing is added', () => {
		expect(typedOver({ typed: { name: '', foreign: 'x' } }, fields)).toEqual({ name: '', weeks: '6' });
		expect(typedOver(undefined, fields)).toEqual(fields);
	});
});

describe('leaving', () => {
	it('is asked once at a time: an earlier question is answered with staying', async () => {
		expect(leaving.asked).toBe(false);
		const first = leaving.ask();
		const second = leaving.ask();
		expect(leaving.asked).toBe(true);
		leaving.answer(true);
		expect(await Promise.all([first, second])).toEqual([false, true]);
		expect(leaving.asked).toBe(false);
		// Nobody asks: nothing happens.
		leaving.answer(true);
	});
});
