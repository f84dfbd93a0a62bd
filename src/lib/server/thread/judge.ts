/** The thread that judges old rows: for each practice it is told, reads what is old, judges, keeps, says so. Started by `usecase/judge-aside.ts`. */
import { constants, setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import { open } from '../db/connect.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import type { JudgeTask } from '../usecase/judge-aside.ts';
import { judgeOld } from '../usecase/judge-anew.ts';

const { pool, db } = open((workerData as { readonly url: string }).url, 1);

// Who waits for an answer goes before who looks at Today next. With no id Linux means this thread, others the whole process.
if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_BELOW_NORMAL);

const judge = ({ practiceId, memberId, today, few }: JudgeTask): Promise<number> =>
	judgeOld(inPracticeOf(db, practiceId, memberId), today, few);

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
