/**
 * What Today says of one client: the most pressing exercise with its reason in words, the others, and what else is due. Pure; the name is put to
 * it when it is read.
 */
import { addDays, daysBetween, type Day } from '#lib/core/base/calendar-day.ts';
import type { Due } from '#lib/core/client/due.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import { decisionSentence } from '#lib/wording/decision.ts';
import { regionName } from '#lib/wording/names.ts';
import { flagAction, flagName } from '#lib/wording/screening.ts';
import { answerOn, lastSessionDay, regionsOf } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { validUntil } from '../record/valid-until.ts';
import type { Judged } from '../repo/standing-repo.ts';
import { dueOf } from './due-of.ts';
import { SILENT_DAYS, slipsByNeed, waitsForAnswer } from './slips-by-need.ts';

export interface TodayRow {
	readonly regions: string;
	readonly step: string;
	readonly decision: Decision | 'quiet';
	readonly sentence: string;
	/** The client's other exercises, by need. */
	readonly others: readonly { readonly step: string; readonly decision: Decision }[];
	/** Signed already; nothing waits. */
	readonly answered: boolean;
	/** What is due besides; how long a client has been silent is said from the last session when it is read. */
	readonly notes: readonly string[];
	/** What it is that is due, to be counted and chosen by; a silence is counted when it is read. */
	readonly due: readonly Due[];
	readonly lastSession: Day | null;
	/** From when the days are counted that the sentence leaves open; null where it counts none. */
	readonly awayFrom: Day | null;
	readonly to: string;
}

/** Stands in a kept sentence for the number of days until it is read. */
const DAYS = '{days}';
const COUNTED: ReadonlySet<string> = new Set(['away.long', 'streak.away']);

/** A kept row as it reads on a day: how long somebody has been away is said as of then. */
export function readRow(row: TodayRow, today: Day): TodayRow {
	const silent = row.lastSession === null ? 0 : daysBetween(row.lastSession, today);
	return {
		...row,
		sentence:
			row.awayFrom === null
				? row.sentence
				: row.sentence.replaceAll(DAYS, String(daysBetween(row.awayFrom, today))),
		notes: silent > SILENT_DAYS ? [`silent ${silent} days`, ...row.notes] : row.notes
	};
}

/** A row with its place among the others. */
export interface RankedRow extends TodayRow {
	readonly rank: number;
}

/** The row of a client on a day, and until when the calendar leaves it alone. */
export function judgedRow(r: ClientRecord, today: Day): Judged {
	const { rank, ...row } = todayRow(r, today);
	return {
		rank,
		waiting: row.decision !== 'quiet' && waitsForAnswer(row.answered, row.decision),
		validUntil: validUntil(r, today),
		row
	};
}

export function todayRow(r: ClientRecord, today: Day): RankedRow {
	const arrived = answerOn(r, today);
	const due = dueOf(r, today);
	const notes = [
		...(arrived === 'not-today' ? ['not today'] : arrived === 'lighter' ? ['lighter today'] : []),
		...due.map((d) => d.text)
	];
	const base = { lastSession: lastSessionDay(r) ?? null, notes, due: [...new Set(due.map((d) => d.what))] };
	const [first, ...others] = slipsByNeed(r, today);
	if (first === undefined) {
		const red = r.head.flags.some((f) => f.open && f.severity === 'red');
		return {
			...base,
			awayFrom: null,
			regions: regionsOf(r).map(regionName).join(', '),
			step: '',
			decision: red ? 'refer' : 'quiet',
			...startOf(r),
			others: [],
			answered: false,
			rank: red ? 0 : 3
		};
	}
	const { trace } = first;
	const counted =
		trace.decision === 'advance' ? undefined : trace.reasons.slice(0, 2).find((x) => COUNTED.has(x.code));
	const away = typeof counted?.value === 'number' ? counted.value : null;
	const sentence = decisionSentence(trace, today);
	return {
		...base,
		awayFrom: away === null ? null : addDays(today, -away),
		regions: regionName(first.exercise.region),
		step: first.chain.head.snapshot.title,
		decision: trace.decision,
		sentence: away === null ? sentence : sentence.replace(`${away} days without`, `${DAYS} days without`),
		others: others.map((s) => ({ step: s.chain.head.snapshot.title, decision: s.trace.decision })),
		answered: first.answered,
		rank: first.rank,
		to: trace.rule === 'wait.measure' ? 'measure' : trace.rule === 'wait.morning' ? 'morning' : 'decide'
	};
}

/** What a client without an exercise needs first, in the order of the work. */
function startOf(r: ClientRecord): { readonly sentence: string; readonly to: string } {
	const { flags, screening, surgery, setting } = r.head;
	const flag = flags.find((f) => f.open && f.severity !== 'caution');
	if (flag !== undefined)
		return { sentence: `A flag is open: ${flagName(flag.code)}. ${flagAction(flag.code)}`, to: 'screen' };
	if (screening === null || !screening.complete)
		return {
			sentence:
				screening === null
					? 'Nothing prescribed yet: screen first.'
					: 'The screening has unanswered questions; unknown is not no.',
			to: 'screen'
		};
	if (surgery.some((s) => !s.limitsEntered))
		return { sentence: 'An operation waits for its protocol.', to: 'screen' };
	if (Object.keys(setting.usual).length === 0)
		return { sentence: 'Nothing prescribed yet: ask what hurts.', to: 'ask' };
	return r.measurements.length === 0
		? { sentence: 'Nothing prescribed yet: measure, then choose a step.', to: 'measure' }
		: { sentence: 'Measured; choose a step.', to: 'ladder' };
}
