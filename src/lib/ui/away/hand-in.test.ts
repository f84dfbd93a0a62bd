/** A session is handed to the server, and to the device only where none answers. */
import { expect, it, vi } from 'vitest';
import { KEPT_TEXT, NO_ROOM } from './context.ts';
import { handIn } from './hand-in.ts';
import type { Posted } from './send.ts';

const SESSION = {
	...{ id: 's', member: 'm', clientId: 'c', client: 'Wren', day: '2026-03-12', at: 1 },
	fields: [['id', 's']] as const
};
const handed = (posted: Posted, keep: () => Promise<void> = () => Promise.resolve()) => {
	const kept = vi.fn(keep);
	return handIn(SESSION, () => Promise.resolve(posted), kept).then((said) => ({ said, kept }));
};

it('what the server took is not kept here, and its alarms are said', async () => {
	const { said, kept } = await handed({ state: 'kept', text: 'Logged.', alarms: ['chest pain'] });
	expect(said).toEqual({ ok: true, away: false, text: 'Logged.', alarms: ['chest pain'] });
	expect(kept).not.toHaveBeenCalled();
});
it('what it refused is not kept either: it says why', async () => {
	const { said, kept } = await handed({ state: 'refused', why: 'The plan was changed.' });
	expect(said).toMatchObject({ ok: false, text: 'The plan was changed.' });
	expect(kept).not.toHaveBeenCalled();
});
it.each([{ state: 'no-network' }, { state: 'signed-out' }] as const)(
	'$state: kept here, whole, and called kept only then',
	async (posted) => {
		const { said, kept } = await handed(posted);
		expect(said).toEqual({ ok: true, away: true, text: KEPT_TEXT, alarms: [] });
		expect(kept).toHaveBeenCalledWith(SESSION);
		const full = await handed(posted, () => Promise.reject(new Error('full')));
		expect(full.said).toMatchObject({ ok: false, away: false, text: NO_ROOM });
	}
);
