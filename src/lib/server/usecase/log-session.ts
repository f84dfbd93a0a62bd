/** Logs the exercises of one session together: one visit, each exercise as if alone, all of them or none. */
import { parseWholeSession } from '#lib/contract/whole-session-form.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Raised } from '#lib/core/safety/alarm.ts';
import { givenOn } from '../record/given-on.ts';
import { notFound } from './actor.ts';
import { logIn, logTrouble, type LogAnswer, type NewLog } from './log-visit.ts';
import { toldCommand } from './told-command.ts';

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

export const { told: logSession, typed: sessionTyped } = toldCommand<WholeSession, WholeAnswer>({
	verb: 'log visit',
	id: (s) => s.id,
	check: ({ clientId, logs }, ctx) => {
		for (const log of logs) {
			const refused = logTrouble({ ...log, clientId }, ctx);
			if (refused !== undefined) return refused;
		}
		return undefined;
	},
	read: (form, r) => {
		const day = String(form.get('day') ?? '');
		const parsed = parseWholeSession(form, (id) => givenOn(r, id, day));
		return parsed.ok ? ok({ id: parsed.id, logs: parsed.logs }) : parsed;
	},
	run: async ({ clientId, logs }, run, before) => {
		const answers: LogAnswer[] = [];
		for (const [i, log] of logs.entries()) {
			// What one exercise raised binds those after it.
			const r = i === 0 ? before : await run.record();
			if (r === undefined) return notFound;
			const one = await logIn(run, { ...log, clientId }, r);
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
