/** Today: the practice's clients by need, each with its reason in words. */
import { addDays, daysBetween, type Day } from '#lib/core/base/calendar-day.ts';
import { MAIN_AXES, SIDES } from '#lib/core/body/axis.ts';
import { ok } from '#lib/core/base/result.ts';
import { screenDue } from '#lib/core/client/screening.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import { shortDay } from '#lib/wording/days.ts';
import { flagAction, flagName } from '#lib/wording/screening.ts';
import { decisionSentence } from '#lib/wording/decision.ts';
import { regionName } from '#lib/wording/names.ts';
import { answeredSlips } from '../repo/decision-repo.ts';
import { allow, type Context, type Outcome } from './actor.ts';
import { arrivedOn, lastSessionDay, regionsOf } from '../record/facts-of.ts';
import { loadRecords, type ClientRecord } from '../record/load.ts';
import { SILENT_DAYS, silentDays, slipsByNeed } from './slips-by-need.ts';

export interface TodayRow {
	readonly clientId: string;
	readonly name: string;
	readonly regions: string;
	readonly step: string;
	readonly decision: Decision | 'quiet';
	readonly sentence: string;
	/** The client's other exercises, by need. */
	readonly others: readonly { readonly step: string; readonly decision: Decision }[];
	/** Signed already; nothing waits. */
	readonly answered: boolean;
	readonly notes: readonly string[];
	readonly lastSession: Day | null;
	readonly rank: number;
	readonly to: string;
}

const SCREEN_SOON_DAYS = 8;

export async function showToday(ctx: Context): Promise<Outcome<readonly TodayRow[]>> {
	const may = allow(ctx.actor, 'show today');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		const records = await loadRecords(t);
		const answered = await answeredSlips(t);
		const rows = records.flatMap((r) => rowsOf(r, ctx.today, answered));
		return ok(rows.sort((a, b) => a.rank - b.rank || (a.name < b.name ? -1 : 1)));
	});
}

function rowsOf(r: ClientRecord, today: Day, answered: ReadonlyMap<string, { readonly hash: string }>): TodayRow[] {
	const arrived = arrivedOn(r, today)?.answer;
	const last = lastSessionDay(r) ?? null;
	const notes = [...(arrived === 'not-today' ? ['not today, by the arrival card'] : arrived === 'lighter' ? ['lighter today, by the arrival card'] : []), ...notesOf(r, today)];
	const base = { clientId: r.head.id, name: r.head.name, lastSession: last };
	const red = r.head.flags.some((f) => f.open && f.severity === 'red');
	if (r.exercises.length === 0)
		return [{ ...base, regions: regionsOf(r).map(regionName).join(', '), step: '', decision: red ? 'refer' : 'quiet', ...startOf(r), others: [], answered: false, notes, rank: red ? 0 : 3 }];
	const [first, ...others] = slipsByNeed(r, today, answered, false);
	if (first === undefined) return [];
	const { trace } = first;
	return [
		{
			...base,
			regions: regionName(first.exercise.region),
			step: first.chain.head.snapshot.title,
			decision: trace.decision,
			sentence: decisionSentence(trace, today),
			others: others.map((s) => ({ step: s.chain.head.snapshot.title, decision: s.trace.decision })),
			answered: first.answered,
			notes,
			rank: first.rank,
			to: trace.rule === 'wait.measure' ? 'measure' : trace.rule === 'wait.morning' ? 'morning' : 'decide'
		}
	];
}

/** What a client without an exercise needs first, in the order of the work. */
function startOf(r: ClientRecord): { readonly sentence: string; readonly to: string } {
	const { flags, screening, surgery, setting } = r.head;
	const flag = flags.find((f) => f.open && f.severity !== 'caution');
	if (flag !== undefined) return { sentence: `A flag is open: ${flagName(flag.code)}. ${flagAction(flag.code)}`, to: 'screen' };
	if (screening === null || !screening.complete) return { sentence: screening === null ? 'Nothing prescribed yet: screen first.' : 'The screening has unanswered questions; unknown is not no.', to: 'screen' };
	if (surgery.some((s) => !s.limitsEntered)) return { sentence: 'An operation waits for its protocol.', to: 'screen' };
	if (Object.keys(setting.usual).length === 0) return { sentence: 'Nothing prescribed yet: ask what hurts.', to: 'ask' };
	return r.measurements.length === 0 ? { sentence: 'Nothing prescribed yet: measure, then choose a step.', to: 'measure' } : { sentence: 'Measured; choose a step.', to: 'ladder' };
}

function notesOf(r: ClientRecord, today: Day): string[] {
	const out: string[] = [];
	const silent = silentDays(r, today);
	if (silent > SILENT_DAYS) out.push(`silent ${silent} days`);
	const stale = MAIN_AXES.filter((axis) =>
		SIDES.some((side) => {
			const m = r.measurements.filter((x) => x.axis === axis && x.side === side).pop();
			return m !== undefined && daysBetween(m.day, today) > r.policy.rangeStaleDays;
		})
	);
	if (stale.length > 0) out.push('retest due');
	if (r.head.screening !== null && screenDue(r.head.screening.date, r.policy.screeningDays) < addDays(today, SCREEN_SOON_DAYS)) out.push(`screening due ${shortDay(screenDue(r.head.screening.date, r.policy.screeningDays))}`);
	for (const l of r.head.limits) if (l.reviewOn !== null && l.reviewOn <= today) out.push('protocol limit up for review');
	return [...new Set(out)];
}
