/** What keeps somebody from signing a slip at all, said before a button is pressed and asked again when it is. */
import type { Decision } from '#lib/core/decision/trace.ts';
import { trainerMaySign, type TrainerSigns } from '#lib/core/decision/trainer-signs.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Actor } from './actor.ts';
import { delegated } from './delegated.ts';

const TRAINER_MAY: Readonly<Record<TrainerSigns, string>> = {
	delegated: '',
	gentler: 'In this practice an advance is signed by a licensed user; what holds or eases you may sign.',
	nothing: 'In this practice a licensed user signs every decision.'
};

/** In words; null where nothing does. */
export function signingClosed(
	actor: Actor,
	r: ClientRecord,
	slip: { readonly family: string; readonly decision: Decision },
	today: Day
): string | null {
	if (!delegated(actor, r, slip.family, today))
		return 'Signing for this client is not delegated to you; ask a licensed user.';
	const { trainerSigns } = r.room.practice;
	return actor.licensed || trainerMaySign(trainerSigns, slip.decision) ? null : TRAINER_MAY[trainerSigns];
}
