/**
 * The decision with its nearest flip: single inputs of the last session moved, smallest first, until the answer changes. Shown
 * only after the log is locked, and never to clients, so that it does not invite a kinder number.
 */
import { addDays, dayNumber } from '../base/calendar-day.ts';
import type { Morning, Session } from '../session/record.ts';
import { judge } from './judge.ts';
import type { DecideInput } from './input.ts';
import { AMBITION, type Decision, type Flip, type Trace } from './trace.ts';

/** `judge` with the nearest flip, and for a missing morning the answer each value would give. */
export const decide = (input: DecideInput): Trace => withFlips(input, judge(input));

/** What `judge` answered, with what would change it. */
export function withFlips(input: DecideInput, trace: Trace): Trace {
	const last = lastSession(input);
	const outlook = trace.rule === 'wait.morning' && last !== undefined ? outlookOf(input, last) : [];
	return {
		...trace,
		nearestFlip: trace.level === 'client' ? null : nearestFlip(input, trace, last),
		outlook
	};
}

function lastSession(input: DecideInput): Session | undefined {
	const until = dayNumber(input.today);
	return input.sessions
		.filter((s) => dayNumber(s.date) <= until)
		.reduce<Session | undefined>((m, s) => (m === undefined || s.date >= m.date ? s : m), undefined);
}

function outlookOf(input: DecideInput, last: Session): Trace['outlook'] {
	return Array.from({ length: 11 }, (_, morning) => {
		const { decision, rule } = judge(withMorning(input, last, morning));
		return { morning, decision, rule };
	});
}

/** The record as it would be with another next morning of a session. */
export function withMorning(input: DecideInput, session: Session, value: number): DecideInput {
	const date = addDays(session.date, 1);
	const { region } = input.exercise;
	const known = input.mornings.find((m) => m.date === date && m.region === region);
	const moved: Morning = {
		swelling: 'none',
		...known,
		date,
		region,
		pain: value,
		...(input.policy.morningRule === 'provocation' ? { provocation: value } : {})
	};
	const today = dayNumber(date) > dayNumber(input.today) ? date : input.today;
	return {
		...input,
		today,
		mornings: [...input.mornings.filter((m) => !(m.date === date && m.region === region)), moved]
	};
}

interface Lever {
	readonly input: string;
	readonly now: number | undefined;
	readonly low: number;
	readonly high: number;
	readonly set: (value: number) => DecideInput;
}

const FURTHEST = 5;

/** The smallest single move that changes the decision; towards more ambition when two are as small. */
export function nearestFlip(input: DecideInput, trace: Trace, last: Session | undefined): Flip | null {
	if (last === undefined) return null;
	const levers = leversOf(input, last);
	for (let step = 1; step <= FURTHEST; step++) {
		let found: Flip | null = null;
		for (const lever of levers) {
			if (lever.now === undefined) continue;
			for (const to of [lever.now - step, lever.now + step]) {
				if (to < lever.low || to > lever.high) continue;
				const { decision, rule } = judge(lever.set(to));
				if (decision === trace.decision) continue;
				const flip: Flip = { input: lever.input, from: lever.now, to, decision, rule };
				if (found === null || bolder(flip.decision, found.decision)) found = flip;
			}
		}
		if (found !== null) return found;
	}
	return null;
}

const bolder = (a: Decision, b: Decision): boolean => AMBITION[a] > AMBITION[b];

/** Every single number of the last session that can be moved. */
function leversOf(input: DecideInput, last: Session): readonly Lever[] {
	const { region } = input.exercise;
	const replace = (s: Session): DecideInput => ({
		...input,
		sessions: input.sessions.map((x) => (x === last ? s : x))
	});
	const own = last.pains.find((p) => p.region === region);
	const morning = input.mornings.find((m) => m.date === addDays(last.date, 1) && m.region === region);
	const pain = (key: 'peak' | 'after' | 'evening'): Lever => ({
		input: key,
		now: own?.[key],
		low: 0,
		high: 10,
		set: (v) => replace({ ...last, pains: last.pains.map((p) => (p === own ? { ...p, [key]: v } : p)) })
	});
	const efforts = last.sets.map((s) => s.effort);
	const known = efforts.every((e) => e !== undefined);
	return [
		{
			input: 'morning',
			now: input.policy.morningRule === 'provocation' ? morning?.provocation : morning?.pain,
			low: 0,
			high: 10,
			set: (v) => withMorning(input, last, v)
		},
		pain('peak'),
		pain('after'),
		pain('evening'),
		{
			input: 'effort',
			now: known && efforts.length > 0 ? Math.max(...(efforts as number[])) : undefined,
			low: 0,
			high: 10,
			set: (v) => replace({ ...last, sets: last.sets.map((s) => ({ ...s, effort: v })) })
		},
		{
			input: 'confidence',
			now: last.confidence,
			low: 0,
			high: 10,
			set: (v) => replace({ ...last, confidence: v })
		},
		{ input: 'soreness', now: last.soreness, low: 0, high: 10, set: (v) => replace({ ...last, soreness: v }) }
	];
}
