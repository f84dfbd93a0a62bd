/**
 * The advance condition: the last sessions on different days, each with all work done, at ease, safe, settled, clean and confident
 * enough. Every condition comes back with what it saw, so that a hold can name the first one not met. A missing value is never
 * met.
 */
import { dayNumber } from '../base/calendar-day.ts';
import type { Session } from '../session/record.ts';
import { worstOf } from '../session/told.ts';
import { cleanShare, hardestEffort, painIn, shareDone } from '../session/work.ts';
import { nextMorning, type Facts } from './facts.ts';
import { zonesOf } from './pain-zones.ts';
import { morningKind } from './region.ts';
import type { Reason } from './trace.ts';

const INJECTION_DAYS = 14;
const PAINKILLER_DAYS = 2;
/** A streak does not span this long away. @source practice-setting */
const AWAY_DAYS = 14;
/** Mornings given from memory that may count in one streak. @source practice-setting */
const RECALLED_ALLOWED = 1;

type Judge = (f: Facts, s: Session) => Omit<Reason, 'day'>;

const PER_SESSION: readonly Judge[] = [
	(_, s) => {
		const done = shareDone(s);
		return {
			code: 'work.done',
			met: done >= 1 && s.sets.length > 0,
			value: Math.round(100 * done),
			threshold: 100,
			source: 'practice-setting'
		};
	},
	(f, s) => {
		if (f.policy.easeMax === null)
			return { code: 'ease', met: true, value: null, threshold: null, source: 'practice-setting' };
		const effort = hardestEffort(s);
		return {
			code: 'ease',
			met: effort !== undefined && effort <= f.policy.easeMax,
			value: effort ?? null,
			threshold: f.policy.easeMax,
			source: 'practice-setting'
		};
	},
	(f, s) => {
		const own = painIn(s, f.region);
		const zones = zonesOf(f, f.region);
		const peak = own?.peak === undefined || own.after === undefined ? undefined : worstOf(own);
		const met = peak !== undefined && peak <= zones.safe;
		return {
			code: 'pain.safe',
			met,
			value: peak ?? null,
			threshold: zones.safe,
			source: 'thomee-1997',
			region: f.region
		};
	},
	(f, s) => {
		const over = s.pains.find((p) => p.region !== f.region && (worstOf(p) ?? 0) > zonesOf(f, p.region).safe);
		return {
			code: 'pain.elsewhere',
			met: over === undefined,
			value: over === undefined ? null : (worstOf(over) ?? 0),
			threshold: over === undefined ? null : zonesOf(f, over.region).safe,
			source: 'practice-setting',
			...(over === undefined ? {} : { region: over.region })
		};
	},
	(f, s) => {
		const n = dayNumber(s.date);
		const usual = f.series.usualOn(n).value;
		const morning = nextMorning(f, s);
		const met =
			morning?.swelling !== undefined && morningKind(f.series, n + 1, usual, f.policy) === 'settled';
		return {
			code: 'morning.settled',
			met,
			value: f.series.valueAt(n + 1) ?? null,
			threshold: usual,
			source: 'ageberg-2010',
			region: f.region
		};
	},
	(f, s) => {
		if (f.policy.cleanShare === null || !s.observed)
			return {
				code: 'clean',
				met: true,
				value: null,
				threshold: f.policy.cleanShare,
				source: 'practice-setting'
			};
		const share = cleanShare(s);
		return {
			code: 'clean',
			met: share !== undefined && share >= f.policy.cleanShare - 1e-9 && s.faults !== undefined,
			value: share === undefined ? null : Math.round(100 * share),
			threshold: Math.round(100 * f.policy.cleanShare),
			source: 'practice-setting'
		};
	},
	(f, s) => {
		if (f.policy.confidenceMin === null)
			return { code: 'confidence', met: true, value: null, threshold: null, source: 'practice-setting' };
		return {
			code: 'confidence',
			met: s.confidence !== undefined && s.confidence >= f.policy.confidenceMin,
			value: s.confidence ?? null,
			threshold: f.policy.confidenceMin,
			source: 'practice-setting'
		};
	},
	(f, s) => ({
		code: 'soreness.known',
		met: s.soreness !== undefined && s.soreness < f.policy.sorenessHold && s.sorenessOver72h !== true,
		value: s.soreness ?? null,
		threshold: f.policy.sorenessHold,
		source: 'cheung-2003'
	}),
	(_, s) => ({
		code: 'as-advised',
		met: s.againstAdvice !== true,
		value: s.againstAdvice === true ? 'against' : null,
		source: 'practice-setting'
	}),
	(_, s) => ({
		code: 'felt.joint',
		met: s.felt?.joint === undefined || s.felt.joint === 'none',
		value: s.felt?.joint ?? null,
		source: 'common-practice'
	}),
	(_, s) => ({
		code: 'symptoms.none',
		met: s.symptoms !== undefined && s.symptoms.length === 0,
		value: s.symptoms === undefined ? null : (s.symptoms[0] ?? 'none'),
		threshold: 'none',
		source: 'practice-setting'
	})
];

/** The sessions of the streak: those of the last `streak` different days, newest first. */
function streakSessions(f: Facts): readonly Session[] {
	const days: string[] = [];
	const out: Session[] = [];
	for (let i = f.fresh.length - 1; i >= 0; i--) {
		const s = f.fresh[i] as Session;
		// A lighter day is no part of it, for or against.
		if (s.lighter === true) continue;
		if (!days.includes(s.date)) {
			if (days.length === f.policy.streak) break;
			days.push(s.date);
		}
		out.push(s);
	}
	return out;
}

/** The longest time without a session inside the streak, and from its last one until today, days. */
function gapDays(f: Facts, newestFirst: readonly Session[]): number {
	const days = [f.todayN, ...newestFirst.map((s) => dayNumber(s.date))];
	return days.reduce((m, d, i) => (i === 0 ? m : Math.max(m, (days[i - 1] as number) - d)), 0);
}

/** All advance conditions, newest session first; advance needs every one met. */
export function streakConditions(f: Facts): readonly Reason[] {
	const sessions = streakSessions(f);
	const days = new Set(sessions.map((s) => s.date)).size;
	const oldest = sessions[sessions.length - 1];
	const span = oldest === undefined ? 0 : f.todayN - dayNumber(oldest.date);
	const observed = new Set(sessions.filter((s) => s.observed).map((s) => s.date)).size;
	const away = gapDays(f, sessions);
	const recalled = new Set(sessions.filter((s) => nextMorning(f, s)?.recalled === true).map((s) => s.date))
		.size;
	const { streak, streakDays, observedNeeded } = f.policy;
	const source = 'practice-setting';
	return [
		...sessions.flatMap((s) => PER_SESSION.map((judge) => ({ ...judge(f, s), day: s.date }))),
		{ code: 'streak.days', met: days >= streak, value: days, threshold: streak, source },
		{ code: 'streak.recent', met: span <= streakDays, value: span, threshold: streakDays, source },
		{ code: 'observed', met: observed >= observedNeeded, value: observed, threshold: observedNeeded, source },
		{ code: 'streak.away', met: away < AWAY_DAYS, value: away, threshold: AWAY_DAYS, source },
		{
			code: 'morning.recalled',
			met: recalled <= RECALLED_ALLOWED,
			value: recalled,
			threshold: RECALLED_ALLOWED,
			source
		},
		{
			code: 'standing.known',
			met: f.input.exercise.standing !== undefined,
			value: f.input.exercise.standing?.verdict ?? null,
			source
		},
		...masked(f)
	];
}

/** While an injection or a painkiller works, pain says less than it did. */
function masked(f: Facts): readonly Reason[] {
	return (f.input.events ?? []).flatMap(({ kind, date }): readonly Reason[] => {
		if (kind !== 'injection' && kind !== 'painkiller') return [];
		const age = f.todayN - dayNumber(date);
		const threshold = kind === 'injection' ? INJECTION_DAYS : PAINKILLER_DAYS;
		return age >= 0 && age < threshold
			? [{ code: `event.${kind}`, met: false, value: age, threshold, source: 'practice-setting', day: date }]
			: [];
	});
}
