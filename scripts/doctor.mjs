/** npm run doctor: what is wrong with database, disk, clock, mail, secret and backups, in words; exit code 1 if anything is. */
import { existsSync } from 'node:fs';
import { ensureModules } from './ensure.mjs';
import { backups, databaseOf, home, isServing, stateFile, task } from './practice.mjs';

ensureModules();
if (!existsSync(stateFile)) {
	console.error('There is no practice here yet; npm start makes one.');
	process.exit(1);
}
const serving = isServing();
const database = await databaseOf();
const found = task('doctor', database.env);
if (!serving) database.stop();
if (found === undefined) process.exit(1);
console.log(
	`The data lives in ${home}, its backups in ${backups}. ${serving ? 'It is serving.' : 'It is not serving.'}`
);
// A server of one's own may be backed up where it runs.
const findings = found.findings.filter((f) => !(!database.backedUp && f.about === 'backup'));
for (const f of findings) console.log(`${f.well ? 'well ' : 'WRONG'} ${f.about.padEnd(9)} ${f.text}`);
process.exit(findings.every((f) => f.well) ? 0 : 1);
