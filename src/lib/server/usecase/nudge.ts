/**
 * Reminds clients of a morning that is missing after a session, over all practices of this server. Who is due is written down together with the job that sends it, so
 * that it is one letter whatever happens between; who is written to is asked when it is sent, and what was withdrawn or answered meanwhile is not sent.
 */
import type pg from 'pg';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { wallClock } from '#lib/core/base/zone-day.ts';
import { nudgeAt } from '#lib/core/plan/nudge.ts';
import { nudgeLetter } from '#lib/wording/mine/letters.ts';
import { languageOf } from '#lib/wording/mine/names.ts';
import type { Letter } from '../mail/mail.ts';

/** Of whom, and of which morning: a job holds no more. */
export interface Reminder {
	readonly practiceId: string;
	readonly clientId: string;
	readonly day: Day;
}

interface Due {
	readonly practice_id: string;
	readonly client_id: string;
	readonly tz: string;
	readonly quiet_from: number;
	readonly quiet_to: number;
	readonly local_day: Day;
}

interface Addressed extends Pick<Due, 'tz' | 'quiet_from' | 'quiet_to'> {
	readonly email: string;
	readonly phone: string;
	readonly name: string;
	readonly practice: string;
	readonly language: string | null;
}

const mayNow = (d: Pick<Due, 'tz' | 'quiet_from' | 'quiet_to'>, now: Date): boolean =>
	nudgeAt(wallClock(d.tz, now).hour, { from: d.quiet_from, to: d.quiet_to });

/**
 * @param fixed the day a demo stands still at
 * @param enqueue puts the job into its queue, in the transaction that writes the reminder down
 * @returns how many were queued
 */
export async function queueReminders(
	pool: pg.Pool,
	at: { readonly now: Date; readonly fixed: Day | undefined },
	enqueue: (job: Reminder, t: pg.PoolClient) => Promise<unknown>
): Promise<number> {
	const { rows } = await pool.query<Due>('select * from nudges_due($1)', [at.fixed ?? null]);
	let queued = 0;
	for (const d of rows.filter((row) => mayNow(row, at.now))) {
		const t = await pool.connect();
		try {
			await t.query('begin');
			const job = { practiceId: d.practice_id, clientId: d.client_id, day: d.local_day };
			const noted = await t.query<{ done: boolean }>('select note_nudge($1, $2, $3) as done', [
				...[job.practiceId, job.clientId, job.day]
			]);
			if (noted.rows[0]?.done === true) {
				await enqueue(job, t);
				queued++;
			}
			await t.query('commit');
		} catch (e) {
			await t.query('rollback').catch(() => undefined);
			throw e;
		} finally {
			t.release();
		}
	}
	return queued;
}

export type Reminded = 'sent' | 'not wanted any more' | 'too late';

/** @param post answers whether it was taken, or nothing is there to take it; otherwise it is tried again. @throws where it was not taken */
export async function sendReminder(
	pool: pg.Pool,
	{ practiceId, clientId, day }: Reminder,
	at: { readonly now: Date; readonly origin: string },
	post: (letter: Letter) => Promise<boolean>
): Promise<Reminded> {
	const { rows } = await pool.query<Addressed>('select * from reminder_to($1, $2, $3)', [
		...[practiceId, clientId, day]
	]);
	const to = rows[0];
	if (to === undefined) return 'not wanted any more';
	if (!mayNow(to, at.now)) return 'too late';
	const letter = nudgeLetter(
		languageOf(to.language ?? 'en'),
		to.name.split(' ')[0] ?? '',
		to.practice,
		`${at.origin}/mine/morning`
	);
	const taken = await post(
		to.email === '' ? { to: to.phone, by: 'text', ...letter } : { to: to.email, ...letter }
	);
	if (!taken) throw new Error('the mail server did not take it');
	return 'sent';
}
