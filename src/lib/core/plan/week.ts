/**
 * A week from what is prescribed, the days there are and the minutes: each day's session in its order with a warm-up and a cool-down to match, what had
 * to give way for want of time, and what it asks of the body in all. A proposal: somebody signs it, or moves things first.
 */
import { circuitOf, circuitSec } from './circuit.ts';
import { budgetOf, type Budget } from './budget.ts';
import { gapSec, pairSec, soloSec } from './seconds.ts';
import { sessionOrder, type Ordered, type OrderSchool } from './session-order.ts';
import { daysOf, type SpreadAsked } from './spread.ts';
import type { Muscle } from '../body/muscle.ts';
import type { Role, Stretched, Work } from './work.ts';

export interface WeekAsked extends SpreadAsked {
	readonly work: readonly Work[];
	/** Of a session, with warm-up and cool-down; null where nobody said. */
	readonly minutes: number | null;
	readonly school: OrderSchool;
	readonly inTurn: boolean;
	/** Steps to warm up with, each open to this client, first come first. */
	readonly warmUps: readonly Work[];
	/** Stretches that fit this client. */
	readonly coolDowns: readonly Work[];
}

export interface WeekDay {
	/** 0 to 6 from the first of the week. */
	readonly day: number;
	readonly turns: readonly (readonly Work[])[];
	readonly seconds: number;
	readonly exact: boolean;
}

/** An exercise that is done less often than it wants, or not at all, for want of time. */
export interface GivenWay {
	readonly work: Work;
	readonly wanted: number;
	readonly kept: number;
}

export interface Week {
	readonly days: readonly WeekDay[];
	readonly gaveWay: readonly GivenWay[];
	/** Strength that wants more days than there are with a day between. */
	readonly tooFewDays: boolean;
	readonly asNeeded: readonly Work[];
	readonly budget: Budget;
}

const BUILDS: ReadonlySet<Role> = new Set<Role>(['power', 'main', 'accessory', 'finisher']);
const WARM_UP_SEC = 180;
const COOL_DOWNS = 2;
/** What gives way first. */
const GIVES_WAY: readonly Role[] = [
	'rolling',
	'stretch',
	'relief',
	'finisher',
	'accessory',
	'warm-up',
	'power',
	'balance',
	'main'
];

const musclesIn = (work: readonly Work[]): ReadonlySet<string> => new Set(work.flatMap((w) => w.muscles));

/** About three minutes: what moves the whole body first, then what moves what will work. @source common-practice */
export function warmUpFor(work: readonly Work[], warmUps: readonly Work[]): readonly Work[] {
	if (!work.some((w) => BUILDS.has(w.role)) || work.some((w) => w.role === 'warm-up')) return [];
	const works = musclesIn(work);
	const out: Work[] = [];
	let seconds = 0;
	for (const w of warmUps) {
		const suits = w.muscles.length === 0 || w.muscles.some((m) => works.has(m));
		if (!suits || seconds + soloSec(w) > WARM_UP_SEC) continue;
		out.push(w);
		seconds += soloSec(w);
	}
	return out;
}

/** Stretches of what worked, that are not in the session already. @source common-practice while it is warm */
export function coolDownFor(work: readonly Work[], coolDowns: readonly Work[]): readonly Work[] {
	const works = musclesIn(work.filter((w) => BUILDS.has(w.role)));
	const stretched = new Set<Stretched>(work.flatMap((w) => w.stretches));
	const out: Work[] = [];
	for (const w of coolDowns) {
		if (out.length === COOL_DOWNS) break;
		if (!w.stretches.some((m) => works.has(m as Muscle)) || w.stretches.some((m) => stretched.has(m)))
			continue;
		out.push(w);
		for (const m of w.stretches) stretched.add(m);
	}
	return out;
}

interface Session {
	readonly work: readonly Work[];
	readonly order: Ordered;
	readonly seconds: number;
}

/** A session with what is built round it, in seconds. */
function sessionOf(work: readonly Work[], a: WeekAsked): Session {
	const whole = [...warmUpFor(work, a.warmUps), ...work, ...coolDownFor(work, a.coolDowns)];
	const order = sessionOrder(whole, a.school, a.inTurn);
	return { work, order, seconds: order.seconds };
}

/** Which of a day's exercises gives way: one that is done on other days too goes before one that is not, then by role, the last of the plan first. */
function givesWay(work: readonly Work[], left: ReadonlyMap<string, number>): Work | undefined {
	const once = (w: Work): number => ((left.get(w.id) ?? 0) > 1 ? 0 : 1);
	return [...work]
		.reverse()
		.sort((a, b) => once(a) - once(b) || GIVES_WAY.indexOf(a.role) - GIVES_WAY.indexOf(b.role))[0];
}

export function weekOf(a: WeekAsked): Week {
	const asked = daysOf(a.work, a);
	const left = new Map([...asked].map(([id, days]) => [id, days.length]));
	const remember = new Map<string, Session>();
	const session = (work: readonly Work[]): Session => {
		const key = work.map((w) => w.id).join(' ');
		const known = remember.get(key) ?? sessionOf(work, a);
		remember.set(key, known);
		return known;
	};
	const days = [...a.days]
		.sort((x, y) => x - y)
		.flatMap((day): (WeekDay & { readonly work: readonly Work[] })[] => {
			let work = a.work.filter((w) => asked.get(w.id)?.includes(day));
			const most = (a.minutes ?? Infinity) * 60;
			while (work.length > 1 && session(work).seconds > most) {
				const gone = givesWay(work, left);
				if (gone === undefined) break;
				left.set(gone.id, (left.get(gone.id) ?? 1) - 1);
				work = work.filter((w) => w !== gone);
			}
			if (work.length === 0) return [];
			const { order, seconds } = session(work);
			return [{ day, turns: order.turns, seconds, exact: order.exact, work }];
		});
	return {
		days: days.map(({ day, turns, seconds, exact }) => ({ day, turns, seconds, exact })),
		gaveWay: a.work.flatMap((work): GivenWay[] => {
			const wanted = asked.get(work.id)?.length ?? 0;
			const kept = days.filter((d) => d.work.includes(work)).length;
			return kept < wanted ? [{ work, wanted, kept }] : [];
		}),
		tooFewDays: a.work.some((w) => BUILDS.has(w.role) && asked.get(w.id)?.length === 0),
		asNeeded: a.work.filter((w) => w.particulars.asNeeded === true),
		budget: budgetOfDays(days)
	};
}

/** What the days of a week ask in all, warm-up and cool-down with them. */
export function budgetOfDays(days: readonly Pick<WeekDay, 'turns'>[]): Budget {
	const times = new Map<string, { work: Work; times: number }>();
	for (const work of days.flatMap((d) => d.turns.flat()))
		times.set(work.id, { work, times: (times.get(work.id)?.times ?? 0) + 1 });
	return budgetOf([...times.values()]);
}

/** Seconds of a session as somebody arranged it: turn after turn, nothing searched. */
export const arrangedSec = (turns: readonly (readonly Work[])[]): number =>
	turns.reduce((sum, turn, i) => {
		const [a, b] = turn;
		const before = turns[i - 1]?.at(-1);
		if (a === undefined) return sum;
		const own =
			b === undefined
				? soloSec(a)
				: circuitOf(a) === null && turn.length === 2
					? pairSec(a, b)
					: circuitSec(turn);
		return sum + own + (before === undefined ? 0 : gapSec(before, a));
	}, 0);

/** … in whole minutes. */
export const arrangedMin = (turns: readonly (readonly Work[])[]): number =>
	Math.round(arrangedSec(turns) / 60);
