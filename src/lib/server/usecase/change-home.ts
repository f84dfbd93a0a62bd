/**
 * What there is at home, when there is time, and what the client agrees to: anew whenever it changes. Fits at home follow at once; what was agreed to
 * before stays in the record with its day. Consent to keep the record is not withdrawn here: without it there is nothing to change.
 */
import { agreedTo, WITHDRAWABLE, type ConsentPurpose } from '#lib/core/client/consent.ts';
import { ok } from '#lib/core/base/result.ts';
import type { HomeHeights } from '#lib/core/movement/furniture.ts';
import { append } from '../db/append.ts';
import { clientHeads, moveClient } from '../repo/client-repo.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { conflict, notFound } from './actor.ts';
import { replaceSetting } from './change-setting.ts';
import { command } from './command.ts';
import { newId } from './new-id.ts';

export interface HomeChange {
	readonly id: string;
	readonly clientId: string;
	readonly homeKit: readonly string[];
	readonly homeHeights: HomeHeights;
	/** Where they live: their day counts. */
	readonly tz: string;
	readonly days: readonly number[];
	readonly minutes: number | null;
	/** Of what can be withdrawn, what is agreed to from now on. */
	readonly agreed: readonly ConsentPurpose[];
}

export const changeHome = command<HomeChange, true>({
	verb: 'ask',
	id: (x) => x.id,
	client: (x) => x.clientId,
	run: async ({ id, clientId, homeKit, homeHeights, tz, days, minutes, agreed }, { t, ctx, recordedAt }) => {
		const [head] = await clientHeads(t, clientId);
		if (head === undefined) return notFound;
		const before = agreedTo((await intakeOf(t, clientId)).consents);
		for (const purpose of WITHDRAWABLE) {
			const given = agreed.includes(purpose);
			if (given === before.has(purpose)) continue;
			const said = {
				id: newId(ctx.now),
				client_id: clientId,
				purpose,
				given,
				local_day: ctx.today
			};
			await append(t, 'consent', said, recordedAt);
		}
		if (tz !== head.tz) await moveClient(t, clientId, tz);
		const next = { ...head.setting, homeKit, homeHeights, days, minutes };
		return (await replaceSetting(t, head, id, next, recordedAt)) === 'conflict'
			? conflict('Somebody changed these settings meanwhile; reload to see them.')
			: ok(true);
	}
});
