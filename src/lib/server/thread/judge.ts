/** The thread that judges old rows of one practice: reads what is old, judges, keeps, ends. Started by `usecase/judge-aside.ts`. */
import { workerData } from 'node:worker_threads';
import { open } from '../db/connect.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import { unjudged } from '../repo/standing-repo.ts';
import type { JudgeTask } from '../usecase/judge-aside.ts';
import { judgeAnew, judgedBy } from '../usecase/judge-anew.ts';
import { writing } from '../usecase/writing.ts';

const { url, practiceId, memberId, today, written } = workerData as JudgeTask;
const { pool, db } = open(url, 1);
try {
	const inPractice = inPracticeOf(db, practiceId, memberId);
	await writing(written, async () =>
		judgeAnew(inPractice, await inPractice((t) => unjudged(t, today, judgedBy())), today)
	);
} finally {
	await pool.end();
}
