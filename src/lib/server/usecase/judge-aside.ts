/**
 * Judging many clients aside: in a thread of its own, so that the thread that answers requests goes on answering. The built server ships the thread's
 * file beside itself; where there is none (development, tests) the caller judges while it waits.
 */
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { written, type WrittenAs } from '#lib/wording/written-as.ts';

/** What the thread is told. */
export interface JudgeTask {
	readonly url: string;
	readonly practiceId: string;
	readonly memberId: string;
	readonly today: Day;
	/** As the practice writes. */
	readonly written: WrittenAs;
}

/** The thread's file stands beside the built server. */
function threadFile(): string | undefined {
	const started = process.argv[1] ?? '';
	return [started, dirname(started)]
		.map((at) => join(at, 'thread', 'judge.js'))
		.find((file) => existsSync(file));
}

const running = new Set<string>();

/** Starts judging a practice's old rows aside, unless that is under way; false where there is no thread to do it. */
export function judgeAside(practiceId: string, memberId: string, today: Day): boolean {
	const file = threadFile();
	const url = process.env.DATABASE_URL;
	if (file === undefined || url === undefined) return false;
	if (running.has(practiceId)) return true;
	running.add(practiceId);
	const task: JudgeTask = { url, practiceId, memberId, today, written: written() };
	const thread = new Worker(file, { workerData: task });
	const ended = (): void => void running.delete(practiceId);
	// A thread that fails leaves its rows old: the next reading starts another.
	thread.on('error', ended);
	thread.on('exit', ended);
	thread.unref();
	return true;
}
