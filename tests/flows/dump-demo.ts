/** Makes the demo once for the lanes of the flows, each of which begins with it: its dump goes into the file that is named. */
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoCluster, dumpDemo } from './demo-database.ts';

const file = process.argv[2];
if (file === undefined) throw new Error('dump-demo takes the file to write');
const { cluster } = await demoCluster(join(tmpdir(), `bolster-dump-${process.pid}`), 'http://127.0.0.1:1');
try {
	dumpDemo(cluster, file);
} finally {
	cluster.stop();
	cluster.remove();
}
