/** The client header, from the record. */
import { ageOn, type Day } from '#lib/core/base/calendar-day.ts';
import { fitSteps } from '#lib/core/fit/fit.ts';
import { URGENCIES } from '#lib/core/client/screening.ts';
import { phaseNow, phasesHolding, weekOf } from '#lib/core/client/protocol.ts';
import type { HeadView } from '#lib/contract/view.ts';
import { shortDay } from '#lib/wording/days.ts';
import { flagAction, flagName } from '#lib/wording/screening.ts';
import { lengthText, massText } from '#lib/wording/units.ts';
import { JOINT_NAME, POLICY_NAME, regionName, sideWord, TECHNIQUE_NAME } from '#lib/wording/names.ts';
import { holdsText, limitText, phaseText } from '#lib/wording/protocol.ts';
import type { Surgery } from '../repo/client-repo.ts';
import { fitContextOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { regionsOf } from '../record/facts-of.ts';
import { oncePerDay } from '../record/found-once.ts';
import { heldWork } from './held-work.ts';
import { slipsByNeed } from './slips-by-need.ts';
import { workView } from './work-view.ts';

/** Made once for each page of a client that stands: it is the same on all of them. */
export const headView = (r: ClientRecord, licensed: boolean, today: Day): HeadView =>
	headOn(r, today, licensed);

function headMade(r: ClientRecord, today: Day, licensed: boolean): HeadView {
	const { head } = r;
	const held = heldWork(r, today);
	return {
		id: head.id,
		name: head.name,
		age: ageOn(head.born, today),
		occupation: head.occupation ?? '',
		regions: regionsOf(r).map(regionName),
		build: `${lengthText(head.setting.heightCm)}, ${massText(head.setting.massKg)}`,
		technique: head.setting.technique === null ? null : TECHNIQUE_NAME[head.setting.technique],
		policy: POLICY_NAME[head.setting.policyId] ?? head.setting.policyId,
		goal: head.setting.goal,
		flags: openFlags(r),
		limits: head.limits.map((l) => ({
			id: l.id,
			text: `${limitText(l)} (${l.source})`,
			review: l.reviewOn === null ? null : shortDay(l.reviewOn),
			overdue: l.reviewOn !== null && l.reviewOn < today
		})),
		operations: head.surgery.map((s) => operationView(s, today)),
		held,
		work: workView(r, today, held, slipsByNeed(r, today)),
		limitingJoint: limitingJoint(r, today),
		screening:
			head.screening === null
				? null
				: `${head.screening.complete ? 'screened' : 'screening incomplete'} ${shortDay(head.screening.date)}`,
		licensed,
		today
	};
}

const headOn = oncePerDay(headMade, String);

function operationView(s: Surgery, today: Day): HeadView['operations'][number] {
	const what = `${regionName(s.region)}${s.operation ? `, ${s.operation}` : ''}`;
	if (s.protocol !== null) {
		const { phases } = s.protocol;
		return {
			id: s.id,
			text: `${what}: ${phaseText(phaseNow({ region: s.region, date: s.date, phases }, today))}${holdsText(phasesHolding(phases, weekOf(s.date, today)))}`,
			waits: false
		};
	}
	return {
		id: s.id,
		text: s.limitsEntered
			? `${what}, operated ${shortDay(s.date)}${s.noLimits === null ? '' : `: no limits (${s.noLimits})`}`
			: `${what}, operated ${shortDay(s.date)}: waits for its protocol; nothing is decided or prescribed`,
		waits: !s.limitsEntered
	};
}

/** Open flags in words, most urgent first. */
function openFlags(r: ClientRecord): HeadView['flags'] {
	return r.head.flags
		.filter((f) => f.open)
		.map((f) => ({
			id: f.id,
			name: flagName(f.code),
			action: flagAction(f.code),
			severity: f.severity,
			urgency: f.urgency ?? (f.severity === 'red' ? ('urgent' as const) : ('caution' as const)),
			day: f.day
		}))
		.sort((a, b) => URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency));
}

/** The joint and side that stands in the way of most steps of the ladders in use; of the squat's, before there is one. */
function limitingJoint(r: ClientRecord, today: Day): string | null {
	if (r.measurements.length === 0) return null;
	const inUse = [...new Set(r.exercises.length === 0 ? ['squat'] : r.exercises.map((e) => e.family))].flatMap(
		(id) => r.families[id]?.steps ?? []
	);
	const count = new Map<string, number>();
	for (const f of fitSteps(inUse, fitContextOf(r, today))) {
		const first = f.limiting[0];
		if (first === undefined) continue;
		const key = `${sideWord(first.side).toLowerCase()} ${JOINT_NAME[first.axis]}`;
		count.set(key, (count.get(key) ?? 0) + 1);
	}
	return [...count.entries()].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}
