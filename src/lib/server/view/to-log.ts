/** The exercises of a client as a session is logged from: what is given today, what holds it, what an advance still needs. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { legsOf } from '#lib/core/body/axis.ts';
import { lighterDose } from '#lib/core/decision/arrival.ts';
import type { Reason } from '#lib/core/decision/trace.ts';
import { byView } from '#lib/core/exercise/by-view.ts';
import { isStretch, type Step, stepAnywhere } from '#lib/core/exercise/family.ts';
import { moreUprightDeg } from '#lib/core/fit/more-upright.ts';
import { isOneSided } from '#lib/core/movement/of-step.ts';
import { reasonText } from '#lib/wording/decision.ts';
import { uprightText } from '#lib/wording/setup.ts';
import { advancesToday, cardOn } from '../record/facts-of.ts';
import { fitContextOf, standingOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { slipOf } from '../record/slip-of.ts';
import { workOn } from '../record/work-on.ts';
import { heldNow } from './held-now.ts';
import { howOf } from './how-of.ts';

/** What an advance still needs, said before logging: what this session can still give. */
const GIVEN_BY_A_SESSION = new Set([
	'observed',
	'streak.days',
	'clean',
	'confidence',
	'soreness.known',
	'ease'
]);
const stillNeeded = (why: readonly Reason[], today: string): readonly string[] =>
	[
		...new Set(why.filter((w) => !w.met && GIVEN_BY_A_SESSION.has(w.code)).map((w) => reasonText(w, today)))
	].slice(0, 3);

const stretched = (r: ClientRecord, familyId: string, step: Step): boolean => {
	const family = r.families[familyId];
	return family !== undefined && isStretch(family, step);
};

/** `ids` are for its forms: two for each exercise, of the log and of the visit. */
export function toLog(r: ClientRecord, today: Day, ids: readonly string[]) {
	const card = cardOn(r, today);
	return r.exercises.map((e, at) => {
		const head = e.prescriptions[e.prescriptions.length - 1];
		const [id, visitId] = ids.slice(2 * at);
		const step = head === undefined ? undefined : stepAnywhere(r.families, head.step);
		// Where one leg works at a time the other is logged beside it: gates compare the two.
		const legs = step === undefined || !isOneSided(step.posture) ? null : legsOf(e.side);
		const stands = standingOf(r, e, today);
		const day = workOn(r, { region: e.region, tags: step?.tags ?? [] }, today);
		const needs = slipOf(r, e, today, advancesToday(r, today)).trace.considered.find(
			(c) => c.rule === 'advance'
		);
		const known = r.head.known.filter((k) => k.region === e.region && k.until >= today).map((k) => k.symptom);
		const now = card?.pains.find((p) => p.region === e.region)?.now;
		return {
			known,
			now: now ?? null,
			needs: stillNeeded(needs?.why ?? [], today),
			held: heldNow(r, e.region, stands, day),
			today: head === undefined ? null : lighterDose(head.dose, day.share),
			lighter: day.share < 1,
			upright:
				step === undefined || head === undefined
					? ''
					: uprightText(moreUprightDeg(step, fitContextOf(r, today, e.side), head.setup)),
			stretch: step !== undefined && stretched(r, e.family, step),
			id: e.id,
			region: e.region,
			purpose: e.purpose,
			legs,
			views: byView(head?.snapshot.faults ?? [], r.families[e.family]?.faults ?? []),
			head:
				head === undefined
					? null
					: {
							id: head.id,
							step: head.step,
							dose: head.dose,
							setup: head.setup,
							snapshot: head.snapshot,
							particulars: head.particulars,
							how: howOf(r, e.id, head.particulars),
							state: head.state
						},
			ids: { id: id as string, visitId: visitId as string }
		};
	});
}
