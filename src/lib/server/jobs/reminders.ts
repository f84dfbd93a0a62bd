/** The queue of reminders (package `pg-boss`): what was queued before a restart is sent after it, and what a mail server did not take is tried again. */
import PgBoss from 'pg-boss';
import type pg from 'pg';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { open } from '../db/connect.ts';
import { post, type Letter } from '../mail/mail.ts';
import { queueReminders, sendReminder, type Reminder } from '../usecase/nudge.ts';

/** Of several processes the first alone is told to; one that is told nothing is alone. */
export const remindsHere = (said = process.env.BOLSTER_REMINDERS): boolean => said !== '0';

const QUEUE = 'reminder';
const DAY_SEC = 86_400;

export interface Reminders {
	/** Who is due now is queued. */
	readonly tick: () => Promise<number>;
	readonly stop: () => Promise<void>;
}

interface Options {
	readonly url: string;
	readonly now: () => Date;
	readonly fixed: () => Day | undefined;
	readonly origin: string;
	readonly said: (what: { readonly reminder: string }) => void;
	readonly send?: (letter: Letter) => Promise<boolean>;
	readonly everySec?: number;
	readonly retrySec?: number;
}

/** Starts the worker; the tables are there since their migration. */
export async function startReminders(o: Options): Promise<Reminders> {
	const { pool } = open(o.url, 2);
	const run = (on: pg.Pool | pg.PoolClient) => ({
		executeSql: async (text: string, values?: unknown[]) =>
			on.query(text, values) as Promise<{ rows: unknown[] }>
	});
	const boss = new PgBoss({
		...{ db: run(pool), schema: 'job', migrate: false, schedule: false },
		// What was sent is forgotten within the day.
		...{ archiveCompletedAfterSeconds: DAY_SEC, deleteAfterDays: 1 }
	});
	boss.on('error', (e) => o.said({ reminder: (e as { code?: string }).code ?? 'the queue failed' }));
	await boss.start().catch(async (e: unknown) => {
		await pool.end();
		throw e;
	});
	const send = o.send ?? post;
	await boss.work<Reminder>(
		QUEUE,
		{ batchSize: 1, pollingIntervalSeconds: o.everySec ?? 30 },
		async ([job]) => {
			if (job === undefined) return;
			const done = await sendReminder(pool, job.data, { now: o.now(), origin: o.origin }, send);
			o.said({ reminder: done });
		}
	);
	const enqueue = (job: Reminder, t: pg.PoolClient): Promise<unknown> =>
		boss.send(QUEUE, job, {
			...{ singletonKey: `${job.clientId}|${job.day}`, db: run(t) },
			...(o.retrySec === undefined ? {} : { retryDelay: o.retrySec, retryBackoff: false })
		});
	return {
		tick: () => queueReminders(pool, { now: o.now(), fixed: o.fixed() }, enqueue),
		stop: async () => {
			await boss.stop({ graceful: true, timeout: 5000, wait: true });
			await pool.end();
		}
	};
}
