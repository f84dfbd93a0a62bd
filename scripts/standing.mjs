/**
 * npm run standing: judges what Today keeps of every client of every practice anew, from the record alone. For the night, after an update, or when in doubt.
 * Takes MIGRATE_URL (the owner role); without it, the demo's database, which must be running.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { startCluster } from './cluster.mjs';
import { ensureModules, root } from './ensure.mjs';

ensureModules();
const home = process.env.BOLSTER_HOME ?? join(root, '.bolster');
const settings = join(home, 'demo.json');
const demo = process.env.MIGRATE_URL === undefined;
if (demo && !existsSync(settings)) {
	console.error('There is no demo yet: npm run demo makes one. For another database give MIGRATE_URL.');
	process.exit(1);
}
const cluster = demo ? await startCluster(home) : undefined;
const env = {
	...process.env,
	BOLSTER_REBUILD: '1',
	...(cluster === undefined
		? {}
		: {
				MIGRATE_URL: cluster.ownerUrl('bolster'),
				BOLSTER_TODAY: existsSync(join(home, 'day'))
					? readFileSync(join(home, 'day'), 'utf8')
					: JSON.parse(readFileSync(settings, 'utf8')).today
			})
};
const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'src/lib/server/thread/rebuild.ts'], {
	cwd: root,
	env,
	stdio: ['ignore', 'inherit', 'inherit']
});
// A demo that is not serving had its database started for this.
if (cluster !== undefined && !existsSync(`/proc/${JSON.parse(readFileSync(settings, 'utf8')).pid}`))
	cluster.stop();
process.exit(status ?? 1);
