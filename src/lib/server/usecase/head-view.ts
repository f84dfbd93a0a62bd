/** The client header, from the record. */
import { RANGES } from '#lib/catalogue/ranges.ts';
import { ageOn, type Day } from '#lib/core/base/calendar-day.ts';
import { fitSteps } from '#lib/core/fit/fit.ts';
import { URGENCIES } from '#lib/core/client/screening.ts';
import type { HeadView } from '#lib/contract/view.ts';
import { shortDay } from '#lib/wording/days.ts';
import { flagAction, flagName } from '#lib/wording/screening.ts';
import { lengthText, massText } from '#lib/wording/units.ts';
import { JOINT_NAME, POLICY_NAME, regionName, sideWord, TECHNIQUE_NAME } from '#lib/wording/names.ts';
import type { Actor } from './actor.ts';
import { fitContextOf, type ClientRecord, regionsOf } from './record.ts';

export function headView(r: ClientRecord, actor: Actor, today: Day): HeadView {
	const { head } = r;
	return {
		id: head.id,
		name: head.name,
		age: ageOn(head.born, today),
		occupation: head.occupation ?? '',
		regions: regionsOf(r).map(regionName),
		build: `${lengthText(head.setting.heightCm, head.setting.units)}, ${massText(head.setting.massKg, head.setting.units)}`,
		technique: head.setting.technique === null ? null : TECHNIQUE_NAME[head.setting.technique],
		policy: POLICY_NAME[head.setting.policyId] ?? head.setting.policyId,
		goal: head.setting.goal,
		flags: openFlags(r),
		limits: head.limits.map((l) => ({
			text: `${sideWord(l.side)} ${RANGES[l.axis].name.toLowerCase()} to ${l.maxDeg}° (${l.source})`,
			review: l.reviewOn === null ? null : shortDay(l.reviewOn),
			overdue: l.reviewOn !== null && l.reviewOn < today
		})),
		limitingJoint: limitingJoint(r, today),
		screening: head.screening === null ? null : `${head.screening.complete ? 'screened' : 'screening incomplete'} ${shortDay(head.screening.date)}`,
		licensed: actor.licensed,
		today
	};
}

/** Open flags in words, most urgent first. */
function openFlags(r: ClientRecord): HeadView['flags'] {
	return r.head.flags
		.filter((f) => f.open)
		.map((f) => ({ id: f.id, name: flagName(f.code), action: flagAction(f.code), severity: f.severity, urgency: f.urgency ?? (f.severity === 'red' ? ('urgent' as const) : ('caution' as const)), day: f.day }))
		.sort((a, b) => URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency));
}

/** The joint and side that stands in the way of most steps of the ladders in use; of the squat's, before there is one. */
function limitingJoint(r: ClientRecord, today: Day): string | null {
	if (r.measurements.length === 0) return null;
	const inUse = [...new Set(r.exercises.length === 0 ? ['squat'] : r.exercises.map((e) => e.family))].flatMap((id) => r.families[id]?.steps ?? []);
	const count = new Map<string, number>();
	for (const f of fitSteps(inUse, fitContextOf(r, today))) {
		const first = f.limiting[0];
		if (first === undefined) continue;
		const key = `${sideWord(first.side).toLowerCase()} ${JOINT_NAME[first.axis]}`;
		count.set(key, (count.get(key) ?? 0) + 1);
	}
	return [...count.entries()].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}
