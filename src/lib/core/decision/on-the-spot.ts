/**
 * Answers while the client is at it, by the same rules as a slip: what pain in a set means now, and what "too easy" would take. A set that hurts is
 * put to the rules as a session of today; what they answer for a stop or a way back is done at once, and anything else lets the set go on.
 */
import type { PainAt, Session } from '../session/record.ts';
import { factsOf } from './facts.ts';
import type { DecideInput } from './input.ts';
import { judge } from './judge.ts';
import { zonesOf } from './pain-zones.ts';
import type { RuleId } from './rule-id.ts';
import { YIELDING_WAITS, type ProposedChange, type Reason, type Trace } from './trace.ts';

export interface Hurts {
	/** Pain in the region of the exercise, 0 to 10. */
	readonly pain: number;
	readonly painAt?: PainAt;
	readonly onlyLoaded?: boolean;
}

export interface OnTheSpot {
	/** Stop the exercise; make it gentler; go on. */
	readonly answer: 'stop' | 'gentler' | 'go-on';
	readonly rule: RuleId;
	readonly trace: Trace;
	/** What to change for the sets that are left; null where nothing is solved, or it stops. */
	readonly change: ProposedChange | null;
	/** What the policy accepts of this client in the region, 0 to 10; less where the exercise itself says so. */
	readonly acceptable: number;
	/** The exercise is one that is left at less pain than the policy accepts. */
	readonly endsAbove?: number;
}

const WAITS: ReadonlySet<string> = new Set(YIELDING_WAITS);

/** What pain in a set of today means. */
export function whenItHurts(input: DecideInput, hurts: Hurts): OnTheSpot {
	const { dose, region, endsAbove } = input.exercise;
	const { sets, reps, loadKg } = dose;
	const session: Session = {
		date: input.today,
		observed: true,
		prescribed: { sets, reps, loadKg },
		sets: Array.from({ length: sets }, () => ({ reps })),
		pains: [{ region, peak: hurts.pain }],
		...(hurts.painAt === undefined ? {} : { painAt: hurts.painAt }),
		...(hurts.onlyLoaded === true ? { painOnlyLoaded: true } : {}),
		sinceChange: true
	};
	const trace = judge({ ...input, sessions: [...input.sessions, session] });
	const { decision, rule, change } = trace;
	const { acceptable } = zonesOf(factsOf(input), region);
	// Some exercises are left at any pain: nothing is made gentler about them.
	if (endsAbove !== undefined && hurts.pain > endsAbove)
		return { answer: 'stop', rule, trace, change: null, acceptable, endsAbove };
	if (decision === 'stop' || decision === 'refer' || change?.kind === 'set-aside')
		return { answer: 'stop', rule, trace, change, acceptable };
	// A review or an unwell day answers before the pain does, and where the rules go back all the same it still waits: nothing is set up by itself.
	const waits =
		(trace.level === 'client' && decision === 'wait') || trace.alternatives.some((a) => WAITS.has(a.code));
	if (decision === 'regress' && !waits) return { answer: 'gentler', rule, trace, change, acceptable };
	// In a flare what is more than acceptable ends the exercise for today.
	const tooMuch = hurts.pain > acceptable;
	return { answer: waits || tooMuch ? 'stop' : 'go-on', rule, trace, change: null, acceptable };
}

export interface TooEasy {
	/** What an advance would be, where one is open now. */
	readonly change: ProposedChange | null;
	/** What an advance still needs; empty where it is open. */
	readonly needs: readonly Reason[];
	readonly trace: Trace;
}

/** What "too easy" would take: nothing harder is given in the middle of a session that the rules would not give at its review. */
export function whenTooEasy(input: DecideInput): TooEasy {
	const trace = judge(input);
	if (trace.decision === 'advance') return { change: trace.change, needs: [], trace };
	const advance = trace.considered.find((c) => c.rule === 'advance');
	return { change: null, needs: (advance?.why ?? []).filter((w) => !w.met), trace };
}
