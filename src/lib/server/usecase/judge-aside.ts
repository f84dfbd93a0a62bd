/**
 * Judging aside: in a thread of its own, so that the thread that answers requests goes on answering. The built server ships the thread's file beside
 * itself; where there is none (development, tests) the caller judges while it waits.
 *
 * The thread is started when there is much to judge, or when readings of Today find old rows again and again (a morning's check-ins coming in). While it stands,
 * every command puts its client to it, so that the next reading finds the row judged: a second after the first, for a session, a morning and an answered slip of one
 * client come together and are judged once. After two minutes with nothing to do it ends.
 */
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Actor } from './actor.ts';
import { Queue } from './judge-queue.ts';
import { Soon } from './soon.ts';

/** What the thread is told. */
export interface JudgeTask {
	readonly practiceId: string;
	readonly memberId: string;
	readonly today: Day;
	/** Those that changed just now; what changes while they are judged is asked for anew. */
	readonly few?: true;
}

/** The thread's file stands beside the built server. */
function threadFile(): string | undefined {
	const started = process.argv[1] ?? '';
	return [started, dirname(started)]
		.map((at) => join(at, 'thread', 'judge.js'))
		.find((file) => existsSync(file));
}

const IDLE_MS = 120_000;
let thread: Worker | undefined;
let idle: NodeJS.Timeout | undefined;
const queue = new Queue<JudgeTask>((task) => {
	thread?.postMessage(task);
	return thread !== undefined;
});

function started(): boolean {
	if (thread !== undefined) return true;
	const file = threadFile();
	const url = process.env.DATABASE_URL;
	if (file === undefined || url === undefined) return false;
	const worker = new Worker(file, { workerData: { url } });
	// A thread that fails leaves its rows old: the next reading starts another.
	const ended = (): void => {
		if (thread !== worker) return;
		thread = undefined;
		queue.broken();
	};
	worker.on('message', () => {
		queue.done();
		clearTimeout(idle);
		idle = setTimeout(() => {
			worker.postMessage('end');
			ended();
		}, IDLE_MS).unref();
	});
	worker.on('error', ended);
	worker.on('exit', ended);
	worker.unref();
	thread = worker;
	return true;
}

const taskOf = ({ practiceId, memberId }: Actor, today: Day): JudgeTask => ({
	...{ practiceId, memberId, today }
});

/** What is asked together: a reading that wants all rows does not wait with the few that changed just now. */
export const keyOf = ({ practiceId, few }: JudgeTask): string =>
	few === true ? `${practiceId} few` : practiceId;
const ask = (task: JudgeTask): Promise<void> => queue.ask(keyOf(task), task);

/** Judges a practice's old rows aside; what is answered ends when they are. Undefined where there is no thread to do it. */
export const judgeAside = (actor: Actor, today: Day): Promise<void> | undefined =>
	started() ? ask(taskOf(actor, today)) : undefined;

/** Does the thread stand, and has it judged before? */
export const isJudgingAside = (): boolean => thread !== undefined && queue.proven;

const soon = new Soon(1000);
/** A client's record changed: judged in a moment where the thread stands, else when somebody looks. */
export function judgeSoon(actor: Actor, today: Day): void {
	if (!isJudgingAside()) return;
	const task = { ...taskOf(actor, today), few: true } as const;
	soon.ask(keyOf(task), () => void ask(task));
}

const AGAIN_MS = 10_000;
let last = -Infinity;
/** A reading judged old rows itself; the second within ten seconds has the thread started for those to come. */
export function readingJudged(actor: Actor, today: Day, now = performance.now()): void {
	if (now - last < AGAIN_MS) void judgeAside(actor, today);
	last = now;
}
