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
import type { Exercise } from '../repo/exercise-repo.ts';
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
		const stands = standingOf(r, e, today);
		const day = workOn(r, { region: e.region, tags: step?.tags ?? [] }, today);
		const known = r.head.known.filter((k) => k.region === e.region && k.until >= today).map((k) => k.symptom);
		return {
			known,
			now: card?.pains.find((p) => p.region === e.region)?.now ?? null,
			needs: neededBy(r, e, today),
			held: heldNow(r, e.region, stands, day),
			today: head === undefined ? null : lighterDose(head.dose, day.share),
			lighter: day.share < 1,
			...shapeOf(r, e, today, step, head),
			id: e.id,
			region: e.region,
			purpose: e.purpose,
			views: byView(head?.snapshot.faults ?? [], r.families[e.family]?.faults ?? []),
			head: head === undefined ? null : standsAs(r, e.id, head),
			ids: { id: id as string, visitId: visitId as string }
		};
	});
}

type Head = Exercise['prescriptions'][number];

/** What the next step still needs of a session. */
const neededBy = (r: ClientRecord, e: Exercise, today: Day): readonly string[] => {
	const { considered } = slipOf(r, e, today, advancesToday(r, today)).trace;
	return stillNeeded(considered.find((c) => c.rule === 'advance')?.why ?? [], today);
};

/** What its step asks of the page: legs apart, a stretch's own questions, what is said of the trunk. */
function shapeOf(r: ClientRecord, e: Exercise, today: Day, step: Step | undefined, head: Head | undefined) {
	if (step === undefined || head === undefined) return { legs: null, stretch: false, upright: '' };
	return {
		// Where one leg works at a time the other is logged beside it: gates compare the two.
		legs: isOneSided(step.posture) ? legsOf(e.side) : null,
		stretch: stretched(r, e.family, step),
		upright: uprightText(moreUprightDeg(step, fitContextOf(r, today, e.side), head.setup))
	};
}

/** What stands of a prescription, as it is logged against. */
const standsAs = (r: ClientRecord, exerciseId: string, head: Head) => {
	const { id, step, dose, setup, snapshot, particulars, state } = head;
	return { id, step, dose, setup, snapshot, particulars, how: howOf(r, exerciseId, particulars), state };
};
