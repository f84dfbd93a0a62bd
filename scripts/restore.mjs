/** npm run restore FILE: puts a backup in the place of what stands, once it was read back whole; what stood is kept beside it. */
import { resolve } from 'node:path';
import { ensureModules } from './ensure.mjs';
import { databaseOf, isServing, task } from './practice.mjs';

ensureModules();
const file = process.argv[2];
if (file === undefined) {
	console.error('Which one? npm run restore FILE; npm run doctor says where backups are.');
	process.exit(1);
}
if (isServing()) {
	console.error('The practice is serving just now: stop it first, then restore.');
	process.exit(1);
}
const database = await databaseOf();
if (!database.backedUp) {
	console.error(
		'A server of your own is restored from here where BACKUP_URL names a role that may: docs/running.md. Else pg_restore into an empty database, then npm start.'
	);
	process.exit(1);
}
// On an empty machine there are no roles yet.
const prepared = task('prepare', database.env);
const done =
	prepared === undefined ? undefined : task('restore', { ...database.env, BOLSTER_RESTORE: resolve(file) });
const migrated = done === undefined ? undefined : task('prepare', database.env);
database.stop();
if (migrated === undefined) {
	console.error('Nothing was changed.');
	process.exit(1);
}
console.log(`Restored. What stood before is kept as the database ${done.before}. npm start serves it.`);
