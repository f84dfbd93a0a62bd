/** Opens the flags of alarms that were reported, wherever that was: each once, with how far it reaches. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ALARMS, type Raised } from '#lib/core/safety/alarm.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import type { Flag } from '../repo/client-repo.ts';
import type { Context } from './actor.ts';
import { newId } from './new-id.ts';

/** A flag that reaches the whole plan has no region. */
const regionOf = ({ alarm, region }: Raised): string | null =>
	ALARMS[alarm].scope === 'plan' || ALARMS[alarm].scope === 'tags' ? null : (region ?? null);

export async function openAlarms(
	t: PracticeTransaction,
	ctx: Context,
	about: { readonly clientId: string; readonly day: Day; readonly flags: readonly Flag[] },
	raised: readonly Raised[],
	recordedAt?: Date
): Promise<void> {
	for (const r of raised) {
		const { opens } = ALARMS[r.alarm];
		const region = regionOf(r);
		if (opens === null || about.flags.some((f) => f.open && f.code === r.alarm && f.region === region))
			continue;
		const row = {
			id: newId(ctx.now),
			client_id: about.clientId,
			local_day: about.day,
			code: r.alarm,
			region,
			severity: opens.severity,
			urgency: opens.urgency
		};
		await append(t, 'flag', row, recordedAt);
	}
}
