/** The client header, from the record. */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { fitFamily } from '#lib/core/fit/fit.ts';
import type { HeadView } from '#lib/contract/view.ts';
import { shortDay } from '#lib/wording/days.ts';
import { AXIS_NAME, JOINT_NAME, POLICY_NAME, regionName, sideWord, TECHNIQUE_NAME } from '#lib/wording/names.ts';
import type { Actor } from './actor.ts';
import { fitContextOf, type ClientRecord } from './record.ts';

export function headView(r: ClientRecord, actor: Actor, today: Day): HeadView {
	const { head } = r;
	const age = Math.floor((dayNumber(today) - dayNumber(head.born)) / 365.2425);
	return {
		id: head.id,
		name: head.name,
		age,
		occupation: head.occupation ?? '',
		regions: Object.keys(head.setting.usual).map(regionName),
		heightCm: head.setting.heightCm,
		massKg: head.setting.massKg,
		technique: head.setting.technique === null ? null : TECHNIQUE_NAME[head.setting.technique],
		policy: POLICY_NAME[head.setting.policyId] ?? head.setting.policyId,
		goal: head.setting.goal,
		flags: head.flags.filter((f) => f.open).map((f) => ({ id: f.id, code: f.code.replaceAll('-', ' '), severity: f.severity, day: f.day })),
		limits: head.limits.map((l) => ({
			text: `${sideWord(l.side)} ${AXIS_NAME[l.axis].toLowerCase()} to ${l.maxDeg}° (${l.source})`,
			review: l.reviewOn === null ? null : shortDay(l.reviewOn),
			overdue: l.reviewOn !== null && l.reviewOn < today
		})),
		limitingJoint: limitingJoint(r, today),
		screening: head.screening === null ? null : `${head.screening.complete ? 'screened' : 'screening incomplete'} ${shortDay(head.screening.date)}`,
		licensed: actor.licensed,
		today
	};
}

/** The joint and side that stands in the way of most steps of the ladder. */
function limitingJoint(r: ClientRecord, today: Day): string | null {
	const family = FAMILIES.squat;
	if (family === undefined || r.measurements.length === 0) return null;
	const count = new Map<string, number>();
	for (const f of fitFamily(family, fitContextOf(r, today))) {
		const first = f.limiting[0];
		if (first === undefined) continue;
		const key = `${sideWord(first.side).toLowerCase()} ${JOINT_NAME[first.axis]}`;
		count.set(key, (count.get(key) ?? 0) + 1);
	}
	return [...count.entries()].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}
