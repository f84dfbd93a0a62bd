/** Hands a session in: to the practice's server, and where none answers to this device. */
import type { Waiting } from './box.ts';
import { KEPT_TEXT, NO_ROOM } from './context.ts';
import type { Posted, Said } from './send.ts';

export type HandedIn = Said & { readonly ok: boolean; readonly away: boolean };

export async function handIn(
	session: Omit<Waiting, 'parked'>,
	post: (clientId: string, fields: Waiting['fields']) => Promise<Posted>,
	keep: (w: Omit<Waiting, 'parked'>) => Promise<void>
): Promise<HandedIn> {
	const posted = await post(session.clientId, session.fields);
	if (posted.state === 'kept') return { ok: true, away: false, text: posted.text, alarms: posted.alarms };
	if (posted.state === 'refused') return { ok: false, away: false, text: posted.why, alarms: [] };
	try {
		await keep(session);
		return { ok: true, away: true, text: KEPT_TEXT, alarms: [] };
	} catch {
		return { ok: false, away: false, text: NO_ROOM, alarms: [] };
	}
}
