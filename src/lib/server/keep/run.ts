/**
 * What the scripts of a practice run with its database up: prepare (roles, a backup before migrating, migrations, the founding address), backup,
 * restore FILE, doctor. Answers as one line of JSON on standard output, or in words on standard error with exit code 1.
 */
import { bootstrap, migrate } from '../db/migrate.ts';
import { separateSignIn } from '../db/sign-in-role.ts';
import { backUp, BackupFailed, restore, tidy, type Where } from './backup.ts';
import { examine, hoursSinceBackup } from './doctor.ts';
import { replayErasures } from './erasures.ts';
import { foundingToken } from './founding.ts';

const env = (name: string): string => {
	const v = process.env[name];
	if (v === undefined || v === '') throw new BackupFailed(`${name} is not set`);
	return v;
};
const now = new Date();
const where = (): Where => ({
	superUrl: env('BACKUP_URL'),
	database: decodeURIComponent(new URL(env('MIGRATE_URL')).pathname.slice(1)),
	owner: decodeURIComponent(new URL(env('MIGRATE_URL')).username),
	bin: env('PG_BIN'),
	folder: env('BOLSTER_BACKUPS')
});
const say = (answer: object): void => console.log(JSON.stringify(answer));

/** Of a server of one's own the roles are there; it is dumped first where a role that may do so is named (BACKUP_URL). */
async function prepare(): Promise<object> {
	const own = process.env.SUPER_URL === undefined;
	if (!own)
		await bootstrap(env('SUPER_URL'), where().database, {
			owner: env('OWNER_PASSWORD'),
			app: env('APP_PASSWORD'),
			signin: env('SIGNIN_PASSWORD')
		});
	const ownerUrl = env('MIGRATE_URL');
	const applied = await migrate(ownerUrl, async () => {
		if (process.env.BACKUP_URL === undefined) return;
		const { file } = await backUp(where(), now);
		console.error(`Backed up before migrating: ${file}`);
	});
	await separateSignIn(ownerUrl, process.env.AUTH_DATABASE_URL !== undefined);
	const erased = await replayErasures(ownerUrl, env('BOLSTER_ERASURES'));
	if (erased > 0) console.error(`Erased anew, as it had been before: ${erased}`);
	const token = await foundingToken(ownerUrl);
	return { applied, ...(token === undefined ? {} : { token }) };
}

const TASKS: Readonly<Record<string, () => Promise<object>>> = {
	prepare,
	backup: async () => {
		const older = process.env.BOLSTER_IF_OLDER;
		const hours = hoursSinceBackup(where().folder, now);
		if (older !== undefined && hours !== undefined && hours < Number(older)) return { young: true };
		const { file, bytes, tables } = await backUp(where(), now);
		const rows = Object.values(tables).reduce((sum, t) => sum + t.rows, 0);
		return { file, bytes, tables: Object.keys(tables).length, rows, gone: tidy(where().folder).length };
	},
	restore: () => restore(where(), env('BOLSTER_RESTORE'), now),
	doctor: async () => ({
		findings: await examine({
			ownerUrl: env('MIGRATE_URL'),
			home: env('BOLSTER_HOME'),
			backups: env('BOLSTER_BACKUPS'),
			secret: process.env.AUTH_SECRET ?? '',
			mail: process.env,
			now
		})
	})
};

const task = TASKS[process.argv[2] ?? ''];
try {
	if (task === undefined) throw new BackupFailed(`one of ${Object.keys(TASKS).join(', ')}`);
	say(await task());
} catch (e) {
	console.error((e as Error).message);
	process.exitCode = 1;
}
