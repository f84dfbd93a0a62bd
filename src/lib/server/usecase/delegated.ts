/** What a trainer was given to do for a client. */
import type { ClientRecord } from '../record/load.ts';
import type { Actor } from './actor.ts';

/** Is this trainer delegated for this client and family today? Licensed users need none. */
export const delegated = (actor: Actor, r: ClientRecord, family: string, today: string): boolean =>
	actor.licensed ||
	r.room.delegations.some(
		(d) => d.clientId === r.head.id && d.families.includes(family) && d.expires >= today
	);
