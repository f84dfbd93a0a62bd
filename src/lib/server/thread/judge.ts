/** The thread that judges old rows: for each practice it is told, reads what is old, judges, keeps, says so. Started by `usecase/judge-aside.ts`. */
import { parentPort, workerData } from 'node:worker_threads';
import { open } from '../db/connect.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import type { JudgeTask } from '../usecase/judge-aside.ts';
import { judgeOld } from '../usecase/judge-anew.ts';

const { pool, db } = open((workerData as { readonly url: string }).url, 1);

const judge = ({ practiceId, memberId, today }: JudgeTask): Promise<number> =>
	judgeOld(inPracticeOf(db, practiceId, memberId), today);

parentPort?.on('message', (task: JudgeTask | 'end') => {
	if (task === 'end') {
		parentPort?.close();
		void pool.end();
		return;
	}
	// One that fails leaves its rows old: whoever looks judges them.
	void judge(task)
		.catch(() => undefined)
		.then(() => parentPort?.postMessage('done'));
});
