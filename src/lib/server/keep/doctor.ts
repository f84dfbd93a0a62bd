/** What is wrong with a practice's database, disk, clock, mail, sign-in secret and backups, in words. */
import { statfs } from 'node:fs/promises';
import pg from 'pg';
import { KNOWN_MIGRATIONS } from '../db/migrate.ts';
import { mailTrouble, sendsMail, type MailEnv } from '../mail/mail.ts';
import { backupsIn } from './backup.ts';

export interface Finding {
	readonly about: 'database' | 'disk' | 'clock' | 'mail' | 'secret' | 'backup' | 'practice';
	readonly well: boolean;
	readonly text: string;
}

export interface Asked {
	readonly ownerUrl: string;
	readonly home: string;
	readonly backups: string;
	readonly secret: string;
	/** Where letters go. */
	readonly mail: MailEnv;
	readonly now: Date;
}

const LEAST_FREE_MB = 1024;
const CLOCK_SECONDS = 5;
/** Older than this, the last good backup is too old. @source practice-setting */
export const BACKUP_HOURS = 36;
const LEAST_SECRET = 32;
const MB = 1024 * 1024;
const HOUR_MS = 3_600_000;

const well = (about: Finding['about'], text: string): Finding => ({ about, well: true, text });
const ill = (about: Finding['about'], text: string): Finding => ({ about, well: false, text });

/** Hours since the last backup that was checked; undefined where there is none. */
export function hoursSinceBackup(folder: string, now: Date): number | undefined {
	const [last] = backupsIn(folder);
	return last === undefined ? undefined : (now.getTime() - new Date(last.madeAt).getTime()) / HOUR_MS;
}

async function ofDatabase(ownerUrl: string, now: Date): Promise<readonly Finding[]> {
	const client = new pg.Client({ connectionString: ownerUrl, connectionTimeoutMillis: 5000 });
	client.on('error', () => undefined);
	try {
		await client.connect();
		const { rows } = await client.query<{ now: Date; version: string; practices: number; done: string[] }>(
			`select now(), current_setting('server_version') as version, (select count(*)::int from practice) as practices,
				(select array_agg(name) from migration) as done`
		);
		const r = rows[0];
		if (r === undefined) return [ill('database', 'the database answers nothing')];
		const missing = KNOWN_MIGRATIONS.filter((m) => !r.done.includes(m));
		const foreign = r.done.filter((m) => !KNOWN_MIGRATIONS.includes(m));
		const apart = Math.abs(r.now.getTime() - now.getTime()) / 1000;
		return [
			missing.length > 0
				? ill('database', `not migrated: ${missing.join(', ')} missing; npm start does it`)
				: foreign.length > 0
					? ill('database', `of a newer version (${foreign.join(', ')}): update the program`)
					: well('database', `PostgreSQL ${r.version}, migrated to ${KNOWN_MIGRATIONS.at(-1)}`),
			apart > CLOCK_SECONDS
				? ill(
						'clock',
						`the clocks of program and database are ${Math.round(apart)} s apart; set them by the network`
					)
				: well('clock', 'program and database agree on the time'),
			r.practices === 0
				? ill('practice', 'there is no practice yet; npm start prints the address that founds one')
				: well('practice', `${r.practices} ${r.practices === 1 ? 'practice' : 'practices'}`)
		];
	} catch (e) {
		return [ill('database', `does not answer: ${(e as Error).message}`)];
	} finally {
		await client.end().catch(() => undefined);
	}
}

async function ofMail(mail: MailEnv): Promise<Finding> {
	if (!sendsMail(mail))
		return well('mail', 'no mail server is set (SMTP_URL): letters stay in the mailbox folder');
	const trouble = await mailTrouble(mail);
	return trouble === undefined
		? well('mail', 'the mail server takes letters')
		: ill('mail', `the mail server does not take letters (${trouble}); they stay in the mailbox folder`);
}

export async function examine({
	ownerUrl,
	home,
	backups,
	secret,
	mail,
	now
}: Asked): Promise<readonly Finding[]> {
	const { bavail, bsize } = await statfs(home);
	const free = Math.round((bavail * bsize) / MB);
	const hours = hoursSinceBackup(backups, now);
	return [
		...(await ofDatabase(ownerUrl, now)),
		free < LEAST_FREE_MB
			? ill(
					'disk',
					`only ${free} MB are free where the data lives; below 64 MB nothing is taken any more until there is room`
				)
			: well('disk', `${free} MB free`),
		await ofMail(mail),
		secret.length < LEAST_SECRET
			? ill('secret', 'AUTH_SECRET is missing or short; npm start makes one')
			: well('secret', 'the sign-in secret is there'),
		hours === undefined
			? ill('backup', 'there is none yet; npm run backup makes one')
			: hours > BACKUP_HOURS
				? ill('backup', `the last good one is ${Math.floor(hours)} hours old; npm run backup makes one`)
				: well('backup', `the last good one is ${Math.floor(hours)} hours old`)
	];
}
