/** A throwaway database with the whole demo, for what is measured on it, and a physiotherapist of its practice. */
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { loadDemo } from '../demo/load.ts';
import { startCluster } from '../scripts/cluster.mjs';
import { open, type Database } from '#lib/server/db/connect.ts';
import { bootstrap, migrate } from '#lib/server/db/migrate.ts';
import { separateSignIn } from '#lib/server/db/sign-in-role.ts';
import type { Context } from '#lib/server/usecase/actor.ts';

export const TODAY = '2026-03-12';

export interface DemoDatabase {
	readonly db: Database['db'];
	readonly owner: pg.Client;
	readonly ownerUrl: string;
	/** All but the way to the record, which each opens as it measures. */
	readonly physio: Omit<Context, 'inPractice'>;
}

/** Opens one, works on it, and takes it away. */
export async function withDemo(name: string, work: (d: DemoDatabase) => Promise<void>): Promise<void> {
	const cluster = await startCluster(join(tmpdir(), `bolster-${name}-${process.pid}`), { fast: true });
	try {
		const ownerUrl = cluster.ownerUrl('bolster');
		await bootstrap(cluster.superUrl, 'bolster', cluster.passwords);
		await migrate(ownerUrl);
		await separateSignIn(ownerUrl, true);
		await loadDemo({
			ownerUrl,
			appUrl: cluster.appUrl('bolster'),
			signInUrl: cluster.signInUrl('bolster'),
			secret: 'x'.repeat(40),
			origin: 'http://127.0.0.1:1',
			today: TODAY
		});
		const owner = new pg.Client({ connectionString: ownerUrl });
		await owner.connect();
		const { rows } = await owner.query<{ practice_id: string; id: string }>(
			`select practice_id, id from member where 'physiotherapist' = any(roles)`
		);
		const [member] = rows;
		if (member === undefined) throw new Error('the demo has no physiotherapist');
		const { db, pool } = open(cluster.appUrl('bolster'));
		const actor = {
			...{ memberId: member.id, practiceId: member.practice_id, name, practice: '' },
			...{ licensed: true, trainer: false, owner: false }
		};
		await work({
			...{ db, owner, ownerUrl },
			physio: { actor, today: TODAY, now: new Date(), tz: 'UTC', units: 'metric' }
		});
		await pool.end();
		await owner.end();
	} finally {
		cluster.stop();
		cluster.remove();
	}
}
