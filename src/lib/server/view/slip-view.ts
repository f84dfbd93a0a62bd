/** A slip in words, for its page. */
import type { SlipSession, SlipView } from '#lib/contract/slip-view.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { agreedTogether, tickedAlready } from '#lib/core/decision/together.ts';
import { hardestEffort, painAround } from '#lib/core/session/work.ts';
import {
	alternativeText,
	changeText,
	decisionSentence,
	flipText,
	outlookText,
	reasonText
} from '#lib/wording/decision.ts';
import { hashOf } from '../record/slip-of.ts';
import type { NeededSlip } from './slips-by-need.ts';

const SESSIONS_SHOWN = 5;
const REASONS_SHOWN = 4;

const sessionsOf = ({ input, exercise }: NeededSlip): readonly SlipSession[] =>
	input.sessions
		.slice(-SESSIONS_SHOWN)
		.reverse()
		.map((s) => ({
			date: s.date,
			counts: s.sinceChange === true,
			work: `${s.sets.length}×${s.sets[0]?.reps ?? 0}`,
			effort: hardestEffort(s) ?? null,
			...painAround(s, exercise.region, input.mornings),
			seen: s.observed
		}));

/** `ids` are for its answer; `last` is what was signed last of this exercise; `closed` says why whoever looks cannot sign. */
export function slipView(
	slip: NeededSlip,
	today: Day,
	ids: SlipView['ids'],
	last: SlipView['answered'] | undefined,
	closed: string | null = null
): SlipView {
	const { exercise, trace, chain } = slip;
	const { head } = chain;
	const { decision, rule, provisional, usual, policy, change } = trace;
	return {
		exerciseId: exercise.id,
		region: exercise.region,
		hash: hashOf(slip),
		basedOn: head.id,
		state: head.state,
		ids,
		title: head.snapshot.title,
		passedOver: head.passedOver.length === 0 ? null : head.reason,
		now: { step: head.step, dose: head.dose, setup: head.setup },
		next: change === null ? null : change.result,
		mend: change?.kind === 'mend',
		together: !slip.answered && closed === null && agreedTogether(trace),
		quiet: tickedAlready(trace),
		...{ decision, rule, provisional, usual, policy },
		sentence: decisionSentence(trace, today),
		change: change === null ? null : changeText(change),
		flip: trace.nearestFlip === null ? null : flipText(trace.nearestFlip),
		outlook: outlookText(trace),
		alternatives: trace.alternatives.map(alternativeText),
		reasons: trace.reasons.map((x) => ({ text: reasonText(x, today), source: x.source, met: x.met })),
		considered: trace.considered.map((c) => ({
			rule: c.rule,
			fired: c.fired,
			why: c.why
				.slice(0, REASONS_SHOWN)
				.map((x) => reasonText(x, today))
				.join('; ')
		})),
		sessions: sessionsOf(slip),
		answered: slip.answered && last !== undefined ? last : null,
		closed
	};
}
