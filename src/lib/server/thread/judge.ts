/** The thread that judges old rows of one practice: reads what is old, judges, keeps, ends. Started by `usecase/judge-aside.ts`. */
import { workerData } from 'node:worker_threads';
import { open } from '../db/connect.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import { unjudged } from '../repo/standing-repo.ts';
import type { JudgeTask } from '../usecase/judge-aside.ts';
import { judgeAnew, JUDGED_BY } from '../usecase/judge-anew.ts';

const { url, practiceId, memberId, today } = workerData as JudgeTask;
const { pool, db } = open(url, 1);
try {
	const inPractice = inPracticeOf(db, practiceId, memberId);
	await judgeAnew(inPractice, await inPractice((t) => unjudged(t, today, JUDGED_BY)), today);
} finally {
	await pool.end();
}
