/**
 * Signs a client's week: which of the plan is done on which day, in which order. What is not in the plan, is held, or is not open to be done without being
 * prescribed is refused by name; two who sign at once: the second is told. The week gives nothing new, and what holds an exercise holds it in the week too.
 */
import { ok } from '#lib/core/base/result.ts';
import type { WeekSigned } from '#lib/contract/week-form.ts';
import { idOf, type InTurn } from '#lib/core/plan/signed-week.ts';
import { append } from '../db/append.ts';
import { coolDownsOf, standingAs, warmUpsOf } from '../record/week-of.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';

export interface NewWeek {
	readonly id: string;
	readonly clientId: string;
	/** The week that the page showed; null where none was signed. */
	readonly basedOn: string | null;
	readonly week: WeekSigned;
}

const CHANGED = 'The plan or the week was changed meanwhile; reload to sign it as it is now.';

export const signWeek = command<NewWeek, true>({
	verb: 'prescribe',
	id: (w) => w.id,
	client: (w) => w.clientId,
	check: ({ week }) => {
		const days = week.days.map((d) => d.weekday);
		if (new Set(days).size !== days.length) return invalid('week', 'A day stands in the week twice.');
		const twice = week.days.some((d) => {
			const ids = d.turns.flat().map(idOf);
			return new Set(ids).size !== ids.length;
		});
		return twice ? invalid('week', 'An exercise stands in one day twice; take one of them out.') : undefined;
	},
	run: async ({ id, clientId, basedOn, week }, { t, ctx, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		if ((r.head.week?.id ?? null) !== basedOn) return conflict(CHANGED);
		const standing = standingAs(r, ctx.today);
		const named = week.days.flatMap((d) => d.turns.flat());
		if (named.some((x) => 'exerciseId' in x && standing[x.exerciseId] === undefined))
			return conflict(CHANGED);
		const open = new Set([...warmUpsOf(r, ctx.today), ...coolDownsOf(r, ctx.today)].map((w) => w.id));
		const closed = named.find((x: InTurn) => 'step' in x && !open.has(idOf(x)));
		if (closed !== undefined)
			return invalid(
				'week',
				`${'step' in closed ? closed.step : ''} is not open to this client without being prescribed; take it out of the week.`
			);
		if (named.length === 0) return invalid('week', 'Put at least one exercise into the week.');
		const content = JSON.stringify({ ...week, basedOn: standing });
		const row = {
			...{ id, client_id: clientId, local_day: ctx.today, content },
			...(basedOn === null ? {} : { replaces_id: basedOn, reason: 'signed anew' })
		};
		return (await append(t, 'client_week', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});
