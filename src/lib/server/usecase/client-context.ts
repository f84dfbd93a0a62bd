/** Who acts on a client's own page: the client, by their link, in a transaction that sees nobody else. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { database } from '../db/connect.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import type { Context } from './actor.ts';
import type { ClientAt } from './client-link.ts';

export interface ClientHere {
	readonly context: Context;
	readonly house: Pick<ClientAt, 'emergency' | 'emergencyWords' | 'weekStart' | 'dateOrder'>;
}

export function clientContext(at: ClientAt, now: Date, dayIn: (tz: string) => Day): ClientHere {
	const { practiceId, clientId, linkId, name, practice, tz, clientTz, units } = at;
	const { emergency, emergencyWords, weekStart, dateOrder } = at;
	return {
		context: {
			actor: {
				...{ memberId: linkId, practiceId, name, practice, client: clientId },
				...{ licensed: false, trainer: false, owner: false }
			},
			inPractice: inPracticeOf(database().db, practiceId, linkId, { client: clientId }),
			today: dayIn(clientTz),
			dayIn,
			now,
			tz,
			units
		},
		house: { emergency, emergencyWords, weekStart, dateOrder }
	};
}
