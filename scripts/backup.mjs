/** npm run backup: dumps the practice's database, checks the dump by restoring it, and keeps it. --if-older HOURS makes one only where the last good one is. */
import { existsSync } from 'node:fs';
import { ensureModules } from './ensure.mjs';
import { databaseOf, isServing, stateFile, task } from './practice.mjs';
import { option } from './serve.mjs';

ensureModules();
if (!existsSync(stateFile)) {
	console.error('There is no practice here yet; npm start makes one.');
	process.exit(1);
}
const serving = isServing();
const database = await databaseOf();
if (!database.backedUp) {
	console.error(
		'A server of your own is backed up from here where BACKUP_URL names a role that may: docs/running.md. Else back it up where it runs.'
	);
	process.exit(1);
}
const older = option('if-older');
const made = task('backup', {
	...database.env,
	...(older === undefined ? {} : { BOLSTER_IF_OLDER: older })
});
if (!serving) database.stop();
if (made === undefined) process.exit(1);
if (made.young === true) process.exit(0);
console.log(
	`Backed up and checked: ${made.file}, ${made.rows} rows of ${made.tables} tables, ${(made.bytes / 1e6).toFixed(1)} MB.${made.gone > 0 ? ` ${made.gone} older ones went.` : ''}`
);
