/**
 * Exercise level: the rules, judged in order; the first that fires wins. Only sessions after the last change count, except a
 * late morning. A rule answers its reasons, met or not, so that every "why not" can be opened.
 */
import { dayNumber } from '../base/calendar-day.ts';
import { isUsual } from '../safety/alarm.ts';
import type { StandingVerdict } from '../safety/standing.ts';
import type { Session } from '../session/record.ts';
import { shareDone } from '../session/work.ts';
import { waysToAdvance, type Ways } from './advance.ts';
import { nextMorningValue, type Facts } from './facts.ts';
import { zonesOf } from './pain-zones.ts';
import { mendAsChange } from './mend-change.ts';
import { causeOfFault, causeOfPain, type Cause } from './regress.ts';
import { streakConditions } from './streak.ts';
import type { Decision, ProposedChange, Reason } from './trace.ts';

export interface Judged extends Facts {
	readonly streak: readonly Reason[];
	readonly ready: boolean;
	readonly ways: Ways;
	readonly paced: Reason | undefined;
}

export interface Finding {
	readonly fired: boolean;
	readonly why: readonly Reason[];
	readonly cause?: Cause;
	readonly decision?: Decision;
	/** The dial to turn first, where the record names one. */
	readonly dial?: string;
	/** The change itself, where it is known already: the mend of what stands. */
	readonly change?: ProposedChange | null;
	readonly alternatives?: readonly { readonly code: string; readonly value?: string | number }[];
}

export interface ExerciseRule {
	readonly rule: string;
	readonly decision: Decision;
	readonly judge: (j: Judged) => Finding;
}

const STOP_SYMPTOMS = ['locking', 'giving-way', 'sharp-with-loss', 'numbness', 'weakness'] as const;
const OWN_REASONS = ['pain', 'tired', 'form'] as const;
const INCOMPLETE_SHARE = 0.7;
const GUARDING = 4;
const MORNING_HOURS_DAYS = 3;
/** Away for so long, the first session back is gentler; for longer, a step back. @source practice-setting */
const AWAY_DAYS = 14;
const LONG_AWAY_DAYS = 28;
const PS = 'practice-setting';

const no = (...why: Reason[]): Finding => ({ fired: false, why });
const yes = (cause: Cause | undefined, ...why: Reason[]): Finding => ({ fired: true, why, ...(cause === undefined ? {} : { cause }) });

export function judgedOf(f: Facts): Judged {
	const streak = streakConditions(f);
	const ready = streak.every((r) => r.met);
	return { ...f, streak, ready, ways: waysToAdvance(f), paced: paceOf(f) };
}

function paceOf(f: Facts): Reason | undefined {
	const { policy, input } = f;
	if (input.advancesUsed >= policy.advancesPerReview)
		return { code: 'pace.review', met: true, value: input.advancesUsed, threshold: policy.advancesPerReview, source: PS };
	const last = input.changes.filter((c) => c.kind === 'advance').reduce((m, c) => Math.max(m, dayNumber(c.date)), -Infinity);
	const days = f.todayN - last;
	return days < policy.minDaysBetweenAdvances ? { code: 'pace.days', met: true, value: days, threshold: policy.minDaysBetweenAdvances, source: PS } : undefined;
}

/** The last n sessions since the change, or undefined when there are fewer. */
const lastOf = (j: Judged, n: number): readonly Session[] | undefined => (j.since.length < n ? undefined : j.since.slice(-n));

function stopSymptom(j: Judged): Finding {
	const found = j.since.flatMap((s) =>
		(s.symptoms ?? [])
			.filter((x) => ((STOP_SYMPTOMS as readonly string[]).includes(x) && !isUsual(s, x)) || (x === 'radiating' && s.radiatingLower !== false))
			.map((x): Reason => ({ code: `symptom.${x}`, met: true, value: x, source: 'red-flags-common', day: s.date }))
	);
	const stopped = j.input.exercise.state === 'stopped';
	if (stopped) found.push({ code: 'state.stopped', met: true, source: PS });
	return found.length > 0 ? yes(undefined, ...found) : no({ code: 'symptoms.none', met: false, source: PS });
}

function painOver(j: Judged, line: 'stop' | 'acceptable'): { s: Session; reason: Reason; over: boolean } | undefined {
	const sessions = line === 'stop' ? j.since : j.since.slice(-1);
	let worst: { s: Session; reason: Reason; over: boolean } | undefined;
	for (const s of sessions)
		for (const p of s.pains) {
			const value = line === 'stop' ? (p.peak ?? -1) : Math.max(p.peak ?? -1, p.after ?? -1);
			const limit = zonesOf(j, p.region)[line];
			const over = line === 'stop' ? value >= limit : value > limit;
			if (value < 0 || (worst !== undefined && (worst.over || !over) && value <= (worst.reason.value as number))) continue;
			worst = { s, over, reason: { code: `pain.${line}`, met: over, value, threshold: limit, source: line === 'stop' ? PS : 'thomee-1997', day: s.date, region: p.region } };
		}
	return worst;
}

function regionReason(j: Judged): Reason {
	const { state } = j;
	return {
		code: `region.${state.kind}`,
		met: state.kind !== 'settled' && state.kind !== 'unknown',
		value: state.morning?.value ?? null,
		threshold: state.usual,
		source: 'ageberg-2010',
		region: j.region,
		...(state.morning === undefined ? {} : { day: dayFrom(j, state.morning.day) })
	};
}

const dayFrom = (j: Judged, n: number): string => j.series.at.get(n)?.date ?? j.input.today;

const suspectReason = (j: Judged): Reason => ({ code: 'suspect', met: j.suspect, value: j.suspect ? 'this' : 'other', source: PS });

function incomplete(j: Judged): Finding {
	const two = lastOf(j, 2);
	if (two === undefined) return no();
	const why = two.map((s): Reason => {
		const share = shareDone(s);
		const own = s.incompleteBecause !== undefined && (OWN_REASONS as readonly string[]).includes(s.incompleteBecause);
		return { code: 'work.incomplete', met: share < INCOMPLETE_SHARE && own, value: Math.round(100 * share), threshold: 70, source: PS, day: s.date };
	});
	if (!why.every((r) => r.met)) return no(...why);
	const last = two[1] as Session;
	return yes(last.incompleteBecause === 'pain' ? causeOfPain(last) : last.incompleteBecause === 'form' ? 'form' : 'tired', ...why);
}

function repeatedFault(j: Judged): Finding {
	const seen = j.since.filter((s) => s.observed).slice(-2);
	if (seen.length < 2) return no();
	const [a, b] = seen as [Session, Session];
	const shared = Object.entries(a.faults ?? {})
		.filter(([id, share]) => share >= 0.5 && (b.faults?.[id] ?? 0) >= 0.5)
		.sort((x, y) => y[1] - x[1] || (x[0] < y[0] ? -1 : 1));
	const first = shared[0];
	if (first === undefined) return no({ code: 'fault.repeated', met: false, source: PS });
	const named = j.input.exercise.faults?.[first[0]];
	return { ...yes(named?.cause ?? causeOfFault(first[0]), { code: 'fault.repeated', met: true, value: first[0], threshold: 50, source: PS, day: b.date }), ...(named === undefined ? {} : { dial: named.dial }) };
}

function guarding(j: Judged): Finding {
	const two = lastOf(j, 2);
	if (two === undefined || j.policy.confidenceMin === null) return no();
	const why = two.map(
		(s): Reason => ({ code: 'confidence.low', met: s.confidence !== undefined && s.confidence <= GUARDING, value: s.confidence ?? null, threshold: GUARDING, source: PS, day: s.date })
	);
	return why.every((r) => r.met) ? yes('guarding', ...why) : no(...why);
}

/** What stands is broken: its reasons, and the mend as the change to sign where the own ladder has one. */
function broken(j: Judged, verdict: StandingVerdict): Finding {
	const { standing } = j.input.exercise;
	if (standing === undefined) return no({ code: 'standing.unknown', met: false, source: PS });
	if (standing.verdict !== verdict) return no({ code: 'standing.holds', met: false, value: standing.verdict, source: PS });
	const why = standing.breaks.map((b): Reason => ({ code: `break.${b.by}`, met: true, value: b.demandDeg ?? b.tag ?? b.clearance ?? b.position ?? b.equipment ?? null, threshold: b.limitDeg ?? b.flag ?? null, source: b.by === 'protocol' ? 'local-protocol' : PS, ...(b.axis === undefined ? {} : { axis: b.axis }), ...(b.side === undefined ? {} : { side: b.side }) }));
	const { change, alternatives } = mendAsChange(j, standing.mend);
	return { fired: true, why, change, alternatives };
}

function regionStop(j: Judged): Finding {
	const stopped = j.input.others.some((o) => o.symptomStop === true);
	const why: Reason = { code: 'region.symptom-stop', met: stopped, source: PS, region: j.region };
	return stopped && j.input.exercise.relief !== true ? yes(undefined, why) : no(why);
}

/** Felt in the joint and not in the muscle, in each of the last two sessions that said so. */
function feltInJoint(j: Judged): Finding {
	const told = j.since.filter((s) => s.felt?.joint !== undefined).slice(-2);
	const why = told.map((s): Reason => ({ code: 'felt.joint', met: s.felt?.joint !== 'none', value: s.felt?.joint ?? null, source: 'common-practice', day: s.date }));
	return told.length === 2 && why.every((r) => r.met) ? yes('joint', ...why) : no(...why);
}

/** Back after two weeks or more: one set and a fifth of the load fewer; after four, a step back and the limiting range again. */
function away(j: Judged): Finding {
	if (j.last === undefined) return no();
	const days = j.todayN - dayNumber(j.last.date);
	const why: Reason = { code: 'away', met: days >= AWAY_DAYS, value: days, threshold: AWAY_DAYS, source: PS, day: j.last.date };
	if (days < AWAY_DAYS) return no(why);
	return days < LONG_AWAY_DAYS ? yes('away', why) : { ...yes('away-long', why), alternatives: [{ code: 'retest' }] };
}

function asUsual(j: Judged): Finding {
	const told = (j.last?.symptoms ?? []).filter((x) => (STOP_SYMPTOMS as readonly string[]).includes(x));
	const why = told.map((x): Reason => ({ code: 'symptom.as-usual', met: true, value: x, source: PS, day: j.last?.date ?? j.input.today }));
	return told.length > 0 ? { ...yes(undefined, ...why), alternatives: [{ code: 'support' }] } : no();
}

function waitMorning(j: Judged): Finding {
	const { last } = j;
	if (last === undefined) return no();
	const missing = nextMorningValue(j, last) === undefined;
	const age = j.todayN - dayNumber(last.date);
	const why: Reason = { code: 'morning.missing', met: missing, value: age, threshold: MORNING_HOURS_DAYS, source: PS, day: last.date, region: j.region };
	return missing ? { fired: true, why: [why], decision: age > MORNING_HOURS_DAYS ? 'hold' : 'wait' } : no(why);
}

const unmet = (j: Judged): readonly Reason[] => j.streak.filter((r) => !r.met);

function closedEdges(j: Judged): readonly Reason[] {
	return j.ways.edges.map(
		(e): Reason => ({ code: e.gateOpen ? `edge.${e.verdict}` : 'edge.gate', met: false, value: e.step, threshold: e.gate ?? null, source: PS })
	);
}

function needsMeasure(j: Judged): boolean {
	return j.ways.unknown || j.ways.edges.some((e) => e.verdict === 'unmeasured');
}

export const EXERCISE_RULES: readonly ExerciseRule[] = [
	{ rule: 'stop.symptom', decision: 'stop', judge: stopSymptom },
	{ rule: 'stop.limit', decision: 'stop', judge: (j) => broken(j, 'suspended') },
	{ rule: 'stop.region', decision: 'stop', judge: regionStop },
	{
		rule: 'stop.pain',
		decision: 'stop',
		judge: (j) => {
			const p = painOver(j, 'stop');
			if (p === undefined) return no();
			return p.over ? { ...yes(undefined, p.reason), alternatives: [{ code: 'substitute', value: j.input.exercise.purpose }] } : no(p.reason);
		}
	},
	{
		rule: 'hold.flare',
		decision: 'hold',
		judge: (j) => (j.state.kind === 'flare' ? { ...yes(undefined, regionReason(j)), alternatives: [{ code: 'flare-plan' }] } : no(regionReason(j)))
	},
	{ rule: 'regress.range', decision: 'regress', judge: (j) => broken(j, 'short') },
	{ rule: 'swap', decision: 'hold', judge: (j) => broken(j, 'swap') },
	{
		rule: 'wait.no-sessions',
		decision: 'wait',
		judge: (j) => {
			const none = j.since.length === 0 && !(j.late !== undefined && j.state.kind === 'unsettled');
			// A limit makes earlier sessions history for an advance; what asks for less in them still asks for it.
			const restarted = j.since.length > 0 && j.fresh.length === 0 && !EXERCISE_RULES.some((r) => r.decision === 'regress' && r.rule !== 'regress.range' && r.judge(j).fired);
			const why: Reason = { code: 'sessions.none', met: none || restarted, value: j.fresh.length, threshold: 1, source: PS };
			return none || restarted ? yes(undefined, why) : no(why);
		}
	},
	{
		rule: 'regress.pain',
		decision: 'regress',
		judge: (j) => {
			const p = painOver(j, 'acceptable');
			if (p === undefined) return no();
			return p.over ? yes(causeOfPain(p.s), p.reason) : no(p.reason);
		}
	},
	{
		rule: 'regress.morning',
		decision: 'regress',
		judge: (j) => {
			const why = [regionReason(j), suspectReason(j)];
			if (j.state.kind !== 'unsettled' || !j.suspect) return no(...why);
			return { ...yes('morning', ...why), ...(j.state.again ? { alternatives: [{ code: 'region-sets', value: 0.6 }] } : {}) };
		}
	},
	{
		rule: 'regress.trend',
		decision: 'regress',
		judge: (j) => {
			const [now, last] = j.state.medians;
			const why: Reason[] = [{ code: 'region.rising', met: j.state.kind === 'rising', value: now ?? null, threshold: last ?? null, source: 'silbernagel-2007', region: j.region }, suspectReason(j)];
			return j.state.kind === 'rising' && j.suspect ? yes('morning', ...why) : no(...why);
		}
	},
	{
		rule: 'regress.leakage',
		decision: 'regress',
		judge: (j) => {
			const leaked = j.last?.symptoms?.includes('leakage') === true;
			const why: Reason = { code: 'symptom.leakage', met: leaked, source: 'common-practice', ...(j.last ? { day: j.last.date } : {}) };
			return leaked ? { ...yes('leakage', why), alternatives: [{ code: 'pelvic-health-review' }, { code: 'technique', value: 'stacked' }] } : no(why);
		}
	},
	{ rule: 'regress.incomplete', decision: 'regress', judge: incomplete },
	{ rule: 'regress.fault', decision: 'regress', judge: repeatedFault },
	{ rule: 'regress.felt', decision: 'regress', judge: feltInJoint },
	{ rule: 'regress.guarding', decision: 'regress', judge: guarding },
	{ rule: 'regress.away', decision: 'regress', judge: away },
	{ rule: 'wait.morning', decision: 'wait', judge: waitMorning },
	{ rule: 'hold.as-usual', decision: 'hold', judge: asUsual },
	{
		rule: 'hold.region',
		decision: 'hold',
		judge: (j) => {
			const other = (j.state.kind === 'unsettled' || j.state.kind === 'rising') && !j.suspect;
			return j.state.kind === 'up' || other ? yes(undefined, regionReason(j), ...(other ? [suspectReason(j)] : [])) : no(regionReason(j));
		}
	},
	{
		rule: 'hold.soreness',
		decision: 'hold',
		judge: (j) => {
			const soreness = j.last?.soreness;
			const over = soreness !== undefined && soreness >= j.policy.sorenessHold;
			const why: Reason = { code: 'soreness', met: over || j.last?.sorenessOver72h === true, value: soreness ?? null, threshold: j.policy.sorenessHold, source: 'cheung-2003' };
			return why.met ? yes(undefined, why) : no(why);
		}
	},
	{
		rule: 'hold.pace',
		decision: 'hold',
		judge: (j) => (j.ready && j.paced !== undefined && j.ways.open?.kind !== 'retry' ? yes(undefined, j.paced) : no(...(j.paced ? [j.paced] : [])))
	},
	{
		rule: 'advance',
		decision: 'advance',
		judge: (j) => (j.ready && j.ways.open !== null ? yes(undefined, ...j.streak) : no(...(j.ready ? closedEdges(j) : unmet(j))))
	},
	{
		rule: 'wait.measure',
		decision: 'wait',
		judge: (j) => {
			const measure = j.ways.edges.filter((e) => e.verdict === 'unmeasured');
			const why = measure.map((e): Reason => ({ code: 'edge.unmeasured', met: true, value: e.step, threshold: (e.measure ?? []).join(','), source: PS }));
			return j.ready && needsMeasure(j) ? yes(undefined, ...(why.length > 0 ? why : [{ code: 'edges.unknown', met: true, source: PS }])) : no(...why);
		}
	},
	{
		rule: 'hold.gate',
		decision: 'hold',
		judge: (j) => (j.ready && j.ways.edges.length > 0 && j.input.exercise.goalKept !== true ? yes(undefined, ...closedEdges(j)) : no(...closedEdges(j)))
	},
	{
		rule: 'hold.complete',
		decision: 'hold',
		judge: (j) => (j.ready ? yes(undefined, { code: 'ladder.complete', met: true, source: PS }) : no())
	},
	{ rule: 'hold.building', decision: 'hold', judge: (j) => yes(undefined, ...unmet(j)) }
];
