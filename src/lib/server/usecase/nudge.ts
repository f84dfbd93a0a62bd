/**
 * Reminds clients of a morning that is missing after a session, over all practices of this server: written down first, then sent, so that it is one letter whatever
 * happens between. Where there is no mail server it stands in the mailbox.
 */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { wallClock } from '#lib/core/base/zone-day.ts';
import { nudgeAt } from '#lib/core/plan/nudge.ts';
import { nudgeLetter } from '#lib/wording/mine/letters.ts';
import { languageOf } from '#lib/wording/mine/names.ts';
import { database } from '../db/connect.ts';
import { sendLetter, type Letter } from '../mail/mail.ts';

interface Due {
	readonly practice_id: string;
	readonly client_id: string;
	readonly email: string;
	readonly name: string;
	readonly practice: string;
	readonly tz: string;
	readonly language: string | null;
	readonly quiet_from: number;
	readonly quiet_to: number;
	readonly local_day: Day;
}

/**
 * @param fixed the day a demo stands still at
 * @returns how many were reminded
 */
export async function sendNudges(
	at: { readonly now: Date; readonly fixed: Day | undefined; readonly origin: string },
	pool = database().pool,
	send: (letter: Letter) => Promise<boolean> = sendLetter
): Promise<number> {
	const { rows } = await pool.query<Due>('select * from nudges_due($1)', [at.fixed ?? null]);
	let sent = 0;
	for (const d of rows) {
		const { hour } = wallClock(d.tz, at.now);
		if (!nudgeAt(hour, { from: d.quiet_from, to: d.quiet_to })) continue;
		const noted = await pool.query<{ done: boolean }>('select note_nudge($1, $2, $3) as done', [
			...[d.practice_id, d.client_id, d.local_day]
		]);
		if (noted.rows[0]?.done !== true) continue;
		await send({
			to: d.email,
			...nudgeLetter(
				languageOf(d.language ?? 'en'),
				d.name.split(' ')[0] ?? '',
				d.practice,
				`${at.origin}/mine/morning`
			)
		});
		sent++;
	}
	return sent;
}
