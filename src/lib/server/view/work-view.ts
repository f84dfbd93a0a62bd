/**
 * The work on a client in its order, each part with where it stands, and the one thing to do next. Four groups: know, plan, do, judge. What is
 * missing, due, held or waiting to be signed is said beside the name of the place where it is done.
 */
import { SCREENING } from '#lib/catalogue/screening.ts';
import { addDays, type Day } from '#lib/core/base/calendar-day.ts';
import { changedSince } from '#lib/core/plan/signed-week.ts';
import { screenDue, unanswered } from '#lib/core/client/screening.ts';
import type { WorkEntry, WorkPlace, WorkView } from '#lib/contract/view.ts';
import { ago, shortDay } from '#lib/wording/days.ts';
import { flagName } from '#lib/wording/screening.ts';
import { answerOn, cardOn, lastSessionDay, regionsOf, staleRanges } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { SCREEN_SOON_DAYS } from '../record/valid-until.ts';
import { standingAs } from '../record/week-of.ts';
import type { HeldWork } from './held-work.ts';
import { waitsForAnswer, type NeededSlip } from './slips-by-need.ts';

type State = Pick<WorkEntry, 'state' | 'tone'>;

const plain = (state: string): State => ({ state, tone: 'plain' });
const due = (state: string): State => ({ state, tone: 'due' });
const stop = (state: string): State => ({ state, tone: 'stop' });
const act = (state: string): State => ({ state, tone: 'act' });
const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** What the states are made of, worked out once. */
interface Standing {
	readonly r: ClientRecord;
	readonly today: Day;
	readonly held: readonly HeldWork[];
	readonly slips: readonly NeededSlip[];
}

function screenState({ r, today }: Standing): State {
	const { screening, flags, surgery } = r.head;
	if (screening === null) return due('not yet');
	const open = unanswered(SCREENING, screening.answers).length;
	if (!screening.complete && open > 0) return due(`${open} unanswered`);
	const red = flags.filter((f) => f.open && f.severity !== 'caution').length;
	if (red > 0) return stop(counted(red, 'flag'));
	if (surgery.some((s) => !s.limitsEntered)) return stop('no protocol');
	const until = screenDue(screening.date, r.policy.screeningDays);
	return until < addDays(today, SCREEN_SOON_DAYS)
		? due(`due ${shortDay(until)}`)
		: plain(`done ${shortDay(screening.date)}`);
}

function askState({ r }: Standing): State {
	const n = regionsOf(r).length;
	return n === 0 ? due('not yet') : plain(counted(n, 'region'));
}

function measureState(s: Standing): State {
	const { measurements } = s.r;
	const last = measurements[measurements.length - 1];
	if (last === undefined) return due('not yet');
	const old = staleRanges(s.r, s.today).length;
	return old > 0 ? due(`${old} due`) : plain(shortDay(last.day));
}

function planState({ r, held }: Standing): State {
	if (held.length > 0) return stop(`${held.length} held`);
	return r.exercises.length === 0 ? plain('') : plain(counted(r.exercises.length, 'exercise'));
}

function weekState({ r, today }: Standing): State {
	const { week } = r.head;
	const standing = standingAs(r, today);
	if (Object.keys(standing).length === 0) return plain('');
	if (week === null) return act('to sign');
	return changedSince(week, standing).length > 0 ? due('plan changed') : plain(shortDay(week.day));
}

function arriveState({ r, today }: Standing): State {
	const card = cardOn(r, today);
	const binds = answerOn(r, today);
	if (binds === 'not-today') return stop('not today');
	if (card === undefined) return plain(binds ?? '');
	return plain(card.openedBecause === null ? (binds ?? card.answer) : 'opened');
}

function logState({ r, today }: Standing): State {
	const last = lastSessionDay(r);
	return last === undefined ? plain('') : plain(last === today ? 'done today' : ago(last, today));
}

/** Treated regions whose morning of today is not in, where there was a session yesterday. */
function missingMornings({ r, today }: Standing): number {
	const after = new Set(r.logs.filter((l) => l.session.date === addDays(today, -1)).map((l) => l.exerciseId));
	const regions = new Set(r.exercises.filter((e) => after.has(e.id)).map((e) => e.region));
	return [...regions].filter((region) => !r.mornings.some((m) => m.region === region && m.date === today))
		.length;
}

function morningState(s: Standing): State {
	const missing = missingMornings(s);
	if (missing > 0) return due(`${missing} missing`);
	return s.r.mornings.some((m) => m.date === s.today) ? plain('in') : plain('');
}

/** What waits for a signature: not answered, and no mere waiting. */
const toSign = ({ slips }: Standing): readonly NeededSlip[] =>
	slips.filter((s) => waitsForAnswer(s.answered, s.trace.decision) && s.chain.head.state === 'active');

function decideState(s: Standing): State {
	const n = toSign(s).length;
	return n > 0 ? act(`${n} to sign`) : plain('');
}

const PLACES = [
	['screen', 'Screen', '1', 'know', screenState],
	['ask', 'Ask', '2', 'know', askState],
	['measure', 'Measure', '3', 'know', measureState],
	['envelope', 'Envelope', '4', 'know', () => plain('')],
	['plan', 'Plan', 'h', 'plan', planState],
	['ladders', 'Ladders', '5', 'plan', () => plain('')],
	['week', 'Week', 'w', 'plan', weekState],
	['hand', 'Hand out', 'x', 'plan', () => plain('')],
	['arrive', 'Arrive', '6', 'do', arriveState],
	['session', 'Session', 'v', 'do', () => plain('')],
	['log', 'Log', '7', 'do', logState],
	['morning', 'Morning', '8', 'do', morningState],
	['decide', 'Decide', '9', 'judge', decideState],
	['trend', 'Trend', '0', 'judge', () => plain('')],
	['record', 'Record', 'r', 'judge', () => plain('')]
] as const satisfies readonly (readonly [
	WorkPlace,
	string,
	string,
	WorkEntry['group'],
	(s: Standing) => State
])[];

export function workView(
	r: ClientRecord,
	today: Day,
	held: readonly HeldWork[],
	slips: readonly NeededSlip[]
): WorkView {
	const s: Standing = { r, today, held, slips };
	return {
		entries: PLACES.map(([to, label, key, group, state]): WorkEntry => ({
			to,
			label,
			key,
			group,
			...state(s)
		})),
		first: firstVisit(s),
		next: nextOf(s)
	};
}

/** What a first visit is made of, in its order, and how far it has come. */
function firstVisit({ r }: Standing): WorkView['first'] {
	if (r.everGiven.length > 0) return null;
	const parts = [
		['screen', 'Screen', r.head.screening?.complete === true],
		['ask', 'Ask', regionsOf(r).length > 0],
		['measure', 'Measure', r.measurements.length > 0],
		['ladders', 'First exercise', false]
	] as const;
	const at = parts.findIndex(([, , done]) => !done);
	return parts.map(([to, label, done], i) => ({
		...{ to, label },
		status: done ? 'completed' : i === at ? 'current' : 'pending'
	}));
}

/** The one thing to do next, in the order in which one thing holds back another; null where nothing waits. */
function nextOf(s: Standing): WorkView['next'] {
	const { r, held } = s;
	const { flags, screening, surgery, setting } = r.head;
	const red = flags.find((f) => f.open && f.severity !== 'caution');
	if (red !== undefined) return { to: 'screen', text: `Look at the open flag: ${flagName(red.code)}` };
	if (screening === null || !screening.complete)
		return {
			to: 'screen',
			text: screening === null ? 'Screen first' : 'Answer what the screening left open'
		};
	if (surgery.some((x) => !x.limitsEntered))
		return { to: 'screen', text: 'Enter the protocol of the operation' };
	if (Object.keys(setting.usual).length === 0) return { to: 'ask', text: 'Ask what hurts' };
	if (r.measurements.length === 0) return { to: 'measure', text: 'Measure what the work will need' };
	if (r.exercises.length === 0) return { to: 'ladders', text: 'Choose the first exercise' };
	const [first] = held;
	if (first !== undefined)
		return { to: `decide?exercise=${first.exerciseId}`, text: `Sign the mend for ${first.title}` };
	const [sign] = toSign(s);
	if (sign !== undefined)
		return {
			to: `decide?exercise=${sign.exercise.id}`,
			text: `Sign the slip for ${sign.chain.head.snapshot.title}`
		};
	if (missingMornings(s) > 0) return { to: 'morning', text: 'Ask how this morning was' };
	const old = staleRanges(s.r, s.today).length;
	return old > 0 ? { to: 'measure', text: `Measure again: ${counted(old, 'range')} too old` } : null;
}
