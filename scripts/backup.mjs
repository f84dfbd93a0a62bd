/** npm run backup: dumps the practice's database, checks the dump by restoring it, and keeps it. --if-older HOURS makes one only where the last good one is. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureModules } from './ensure.mjs';
import { backups, databaseOf, isServing, stateFile, task } from './practice.mjs';
import { option } from './serve.mjs';

ensureModules();
const HOUR_MS = 3_600_000;
const older = option('if-older');
if (older !== undefined && existsSync(backups)) {
	const made = readdirSync(backups)
		.filter((n) => n.endsWith('.dump.json'))
		.map((n) => Date.parse(JSON.parse(readFileSync(join(backups, n), 'utf8')).madeAt));
	if (Date.now() - Math.max(0, ...made) < Number(older) * HOUR_MS) process.exit(0);
}
if (!existsSync(stateFile)) {
	console.error('There is no practice here yet; npm start makes one.');
	process.exit(1);
}
const serving = isServing();
const database = await databaseOf();
if (database.own) {
	console.error(
		'A server of your own is backed up where it runs: pg_dump -Fc of its database, checked by restoring it.'
	);
	process.exit(1);
}
const made = task('backup', database.env);
if (!serving) database.stop();
if (made === undefined) process.exit(1);
console.log(
	`Backed up and checked: ${made.file}, ${made.rows} rows of ${made.tables} tables, ${(made.bytes / 1e6).toFixed(1)} MB.${made.gone > 0 ? ` ${made.gone} older ones went.` : ''}`
);
