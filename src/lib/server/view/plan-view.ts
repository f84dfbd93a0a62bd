/** The plan of a client, from the record: no second store of what stands. */
import { GROUPS, inGroups } from '#lib/core/exercise/plan-order.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { doseText } from '#lib/wording/dose.ts';
import { moreUprightDeg } from '#lib/core/fit/more-upright.ts';
import type { EndedWork, PlannedWork, PlanView, Tried } from '#lib/contract/plan-view.ts';
import { decisionSentence } from '#lib/wording/decision.ts';
import { handout } from '#lib/wording/intake.ts';
import { ENDED_BY } from '#lib/wording/plan.ts';
import { standingSentence } from '#lib/wording/safety.ts';
import { setupText, uprightText } from '#lib/wording/setup.ts';
import type { Effective } from '../record/effective-chain.ts';
import { fitContextOf, standingOf } from '../record/fit-of.ts';
import { logsOf } from '../record/found-once.ts';
import type { ClientRecord } from '../record/load.ts';
import { howOf } from './how-of.ts';
import type { NeededSlip } from './slips-by-need.ts';

const TRIED_SHOWN = 6;

/** What was given before, latest first; the title is the one it was given under. */
const triedOf = ({ changes }: Effective, titleOf: (step: string) => string): readonly Tried[] =>
	changes
		.flatMap(({ date, kind, from }): Tried[] =>
			from === undefined
				? []
				: [
						{
							title: titleOf(from.step),
							dose: doseText(from.dose),
							setup: setupText(from.setup),
							until: date,
							ended: ENDED_BY[kind]
						}
					]
		)
		.reverse()
		.slice(0, TRIED_SHOWN);

function lastOf(r: ClientRecord, exerciseId: string, region: string): PlannedWork['last'] {
	const log = logsOf(r, exerciseId).at(-1);
	if (log === undefined) return null;
	const { date, pains } = log.session;
	return { day: date, worst: pains.find((p) => p.region === region)?.peak ?? null };
}

function plannedOf(r: ClientRecord, slip: NeededSlip, today: Day, formId: string): PlannedWork {
	const { exercise: e, chain, trace, answered } = slip;
	const { head } = chain;
	const step = stepAnywhere(r.families, head.step);
	const stands = head.state === 'active' ? standingOf(r, e, today) : null;
	const held = stands?.verdict === 'suspended' ? standingSentence(stands) : null;
	const titles = new Map(e.prescriptions.map((p) => [p.step, p.snapshot.title]));
	return {
		exerciseId: e.id,
		basedOn: head.id,
		formId,
		family: e.family,
		purpose: e.purpose,
		region: e.region,
		title: head.snapshot.title,
		given: { step: head.step, dose: head.dose, setup: head.setup },
		how: howOf(r, e.id, head.particulars),
		note: head.particulars.note ?? null,
		since: chain.changes.at(-1)?.date ?? head.day,
		state:
			head.state === 'stopped' || head.state === 'set-aside' ? head.state : held === null ? 'stands' : 'held',
		heldBy: held,
		passedOver: head.passedOver.length === 0 ? null : head.reason,
		because: head.state === 'set-aside' ? head.reason : null,
		upright:
			step === undefined ? '' : uprightText(moreUprightDeg(step, fitContextOf(r, today, e.side), head.setup)),
		decision: trace.decision,
		sentence: decisionSentence(trace, today),
		answered,
		last: lastOf(r, e.id, e.region),
		tried: triedOf(chain, (id) => titles.get(id) ?? id)
	};
}

/** What has ended, latest first. */
const endedOf = (r: ClientRecord, formIds: readonly string[]): readonly EndedWork[] =>
	r.everGiven
		.flatMap((e): Omit<EndedWork, 'formId'>[] => {
			const last = e.prescriptions.at(-1);
			const first = e.prescriptions[0];
			if (last?.state !== 'ended' || first === undefined) return [];
			return [
				{
					exerciseId: e.id,
					basedOn: last.id,
					region: e.region,
					title: last.snapshot.title,
					dose: doseText(last.dose),
					from: first.day,
					until: last.day,
					reason: last.reason ?? '',
					sessions: logsOf(r, e.id).length
				}
			];
		})
		.sort((a, b) => (a.until < b.until ? 1 : -1))
		.map((e, i) => ({ ...e, formId: formIds[i] ?? '' }));

const ORDER: readonly PlannedWork['state'][] = ['held', 'stands', 'stopped', 'set-aside'];

/** What is held comes first, then what stands, the most pressing first, then what has ended. */
export function planView(
	r: ClientRecord,
	slips: readonly NeededSlip[],
	today: Day,
	formIds: readonly string[]
): PlanView {
	const work = slips.map((s, i) => plannedOf(r, s, today, formIds[i] ?? ''));
	const told = handout(r.head.setting.language);
	return {
		groups: inGroups(
			[...work].sort((a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state)),
			r.head.planOrder?.groups ?? null
		),
		order: r.head.planOrder?.id ?? null,
		ended: endedOf(r, formIds.slice(slips.length)),
		stop: told?.stop ?? '',
		call: told?.call ?? ''
	};
}

/** All of a plan, as it is done. */
export const inSession = ({ groups }: PlanView): readonly PlannedWork[] => GROUPS.flatMap((g) => groups[g]);
