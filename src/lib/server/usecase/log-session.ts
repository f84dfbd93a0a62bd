/** Logs the exercises of one session together: one visit, each exercise as if alone, all of them or none. */
import { ok } from '#lib/core/base/result.ts';
import type { Raised } from '#lib/core/safety/alarm.ts';
import { command } from './command.ts';
import { logIn, logTrouble, type LogAnswer, type NewLog } from './log-visit.ts';

export interface WholeSession {
	readonly id: string;
	readonly clientId: string;
	readonly logs: readonly Omit<NewLog, 'clientId'>[];
}

export interface WholeAnswer {
	readonly logged: number;
	/** Gravest first within each exercise; what two of them raise stands once. */
	readonly raised: readonly Raised[];
	readonly againstAdvice: number;
}

export const logSession = command<WholeSession, WholeAnswer>({
	verb: 'log visit',
	id: (s) => s.id,
	client: (s) => s.clientId,
	check: ({ clientId, logs }, ctx) => {
		for (const log of logs) {
			const refused = logTrouble({ ...log, clientId }, ctx);
			if (refused !== undefined) return refused;
		}
		return undefined;
	},
	run: async ({ clientId, logs }, run) => {
		const answers: LogAnswer[] = [];
		for (const log of logs) {
			const one = await logIn(run, { ...log, clientId });
			if (!one.ok) return one;
			answers.push(one.value);
		}
		const raised = new Map(answers.flatMap((a) => a.raised).map((a) => [JSON.stringify(a), a]));
		return ok({
			logged: answers.length,
			raised: [...raised.values()],
			againstAdvice: answers.filter((a) => a.againstAdvice).length
		});
	}
});
