/** Today: the practice's clients by need, each with its reason in words. */
import { addDays, daysBetween, type Day } from '#lib/core/base/calendar-day.ts';
import { MAIN_AXES, SIDES } from '#lib/core/body/axis.ts';
import { ok } from '#lib/core/base/result.ts';
import { screenDue } from '#lib/core/client/screening.ts';
import type { ArrivalAnswer } from '#lib/core/decision/arrival.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import { shortDay } from '#lib/wording/days.ts';
import { flagAction, flagName } from '#lib/wording/screening.ts';
import { decisionSentence } from '#lib/wording/decision.ts';
import { regionName } from '#lib/wording/names.ts';
import { stepTitle } from '#lib/wording/steps.ts';
import { answeredSlips } from '../repo/decision-repo.ts';
import { arrivalsOn } from '../repo/intake-repo.ts';
import { allow, type Context, type Outcome } from './actor.ts';
import { advancesToday, lastSessionDay, loadRecords, slipOf, type ClientRecord, regionsOf } from './record.ts';

export interface TodayRow {
	readonly clientId: string;
	readonly name: string;
	readonly regions: string;
	readonly step: string;
	readonly decision: Decision | 'quiet';
	readonly sentence: string;
	/** Signed already; nothing waits. */
	readonly answered: boolean;
	readonly notes: readonly string[];
	readonly lastSession: Day | null;
	readonly rank: number;
	readonly to: string;
}

const RANK: Readonly<Record<Decision, number>> = { refer: 0, stop: 1, regress: 2, wait: 5, hold: 6, advance: 4 };
const FLARE_RANK = 2.5;
const SILENT_DAYS = 7;
const SILENT_RANK = 4.5;
const ANSWERED = 10;
const SCREEN_SOON_DAYS = 8;

export async function showToday(ctx: Context): Promise<Outcome<readonly TodayRow[]>> {
	const may = allow(ctx.actor, 'show today');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		const records = await loadRecords(t);
		const answered = await answeredSlips(t);
		const arrived = await arrivalsOn(t, ctx.today);
		const rows = records.flatMap((r) => rowsOf(r, ctx.today, answered, arrived.get(r.head.id)));
		return ok(rows.sort((a, b) => a.rank - b.rank || (a.name < b.name ? -1 : 1)));
	});
}

function rowsOf(r: ClientRecord, today: Day, answered: ReadonlyMap<string, { readonly hash: string }>, arrived: ArrivalAnswer | undefined): TodayRow[] {
	const last = lastSessionDay(r) ?? null;
	const notes = [...(arrived === 'not-today' ? ['not today, by the arrival card'] : arrived === 'lighter' ? ['lighter today, by the arrival card'] : []), ...notesOf(r, today)];
	const base = { clientId: r.head.id, name: r.head.name, lastSession: last };
	const red = r.head.flags.some((f) => f.open && f.severity === 'red');
	if (r.exercises.length === 0)
		return [{ ...base, regions: regionsOf(r).map(regionName).join(', '), step: '', decision: red ? 'refer' : 'quiet', ...startOf(r), answered: false, notes, rank: red ? 0 : 3 }];
	const used = advancesToday(r, today);
	const slips = r.exercises.map((e) => slipOf(r, e, today, used, false));
	const rank = (s: (typeof slips)[number]): number => {
		const done = answered.get(s.exercise.id)?.hash === s.hash;
		const silent = last !== null && daysBetween(last, today) > SILENT_DAYS;
		const own = s.trace.rule === 'hold.flare' ? FLARE_RANK : s.trace.rule === 'wait.review' ? 2.2 : silent ? Math.min(SILENT_RANK, RANK[s.trace.decision]) : RANK[s.trace.decision];
		return done && s.trace.decision !== 'refer' ? ANSWERED + own : own;
	};
	return [...slips]
		.sort((a, b) => rank(a) - rank(b))
		.slice(0, 1)
		.map((s) => ({
			...base,
			regions: regionName(s.exercise.region),
			step: stepTitle(s.chain.head.step),
			decision: s.trace.decision,
			sentence: decisionSentence(s.trace, today),
			answered: answered.get(s.exercise.id)?.hash === s.hash,
			notes,
			rank: rank(s),
			to: s.trace.rule === 'wait.measure' ? 'measure' : s.trace.rule === 'wait.morning' ? 'morning' : 'decide'
		}));
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
	const last = lastSessionDay(r);
	if (last !== undefined && daysBetween(last, today) > SILENT_DAYS) out.push(`silent ${daysBetween(last, today)} days`);
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
