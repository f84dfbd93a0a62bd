/**
 * Throws away what Today keeps and judges every client of every practice from the record alone. A process of its own, run by `npm run standing` with
 * the owner role; the application role sees one practice at a time.
 */
import { recordDay } from '#lib/core/base/zone-day.ts';
import { open } from '../db/connect.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import { unjudge } from '../repo/standing-repo.ts';
import { judgeOld } from '../usecase/judge-anew.ts';

/** The practice's day, or the day that is given. */
const dayIn = (tz: string): string => process.env.BOLSTER_TODAY || recordDay(tz, new Date());

export interface Rebuilt {
	readonly practice: string;
	readonly clients: number;
	readonly ms: number;
}

interface Practice {
	readonly id: string;
	readonly name: string;
	readonly tz: string;
	/** Anybody of it: nothing is written in their name. */
	readonly member: string;
}

export async function rebuild(
	ownerUrl: string,
	dayOf: (tz: string) => string = dayIn
): Promise<readonly Rebuilt[]> {
	const { db, pool } = open(ownerUrl, 2);
	try {
		const { rows } = await pool.query<Practice>(
			'select p.id, p.name, p.tz, (select m.id from member m where m.practice_id = p.id limit 1) as member from practice p order by p.name'
		);
		const out: Rebuilt[] = [];
		for (const p of rows) {
			const began = performance.now();
			const inPractice = inPracticeOf(db, p.id, p.member);
			const today = dayOf(p.tz);
			await inPractice((t) => unjudge(t));
			const clients = await judgeOld(inPractice, today);
			out.push({ practice: p.name, clients, ms: performance.now() - began });
		}
		return out;
	} finally {
		await pool.end();
	}
}

const url = process.env.MIGRATE_URL;
if (url !== undefined && process.env.BOLSTER_REBUILD === '1')
	for (const r of await rebuild(url))
		console.log(`${r.practice}: ${r.clients} clients judged in ${(r.ms / 1000).toFixed(1)} s`);
