/** What a trainer was given to do for a client. */
import type { ClientRecord } from '../record/load.ts';
import type { Actor } from './actor.ts';

/** Said before the button and when it is pressed. */
export const NOT_DELEGATED = 'Prescribing for this client is not delegated to you; ask a licensed user.';

/** Is this trainer delegated for this client and family today? Licensed users need none. */
export const delegated = (actor: Actor, r: ClientRecord, family: string, today: string): boolean =>
	actor.licensed ||
	r.room.delegations.some(
		(d) =>
			d.memberId === actor.memberId &&
			d.clientId === r.head.id &&
			d.families.includes(family) &&
			d.expires >= today
	);
