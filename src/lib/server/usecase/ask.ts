/** Asking: what hurts and where, what the client wants to do again, and the arrival card before a session. */
import { ACTIVITIES } from '#lib/catalogue/activities.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Side } from '#lib/core/body/axis.ts';
import type { LadderPoint } from '#lib/core/client/goal.ts';
import { arrival, type Arrival, type ArrivalInput } from '#lib/core/decision/arrival.ts';
import { stepOf, type ExerciseFamily } from '#lib/core/exercise/family.ts';
import type { PainAt, YesNoUnknown } from '#lib/core/session/record.ts';
import { append } from '../db/append.ts';
import { clientHeads, lockClient } from '../repo/client-repo.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { ownFamilyRows } from '../repo/own-family-repo.ts';
import { allow, conflict, ConflictError, invalid, notFound, type Context, type Outcome } from './actor.ts';
import { replaceSetting } from './change-setting.ts';
import { loadRecords, usualNow, regionsOf } from './record.ts';

const CHANGED = 'This was already saved with other values; reload to see it.';

export interface NewComplaint {
	readonly id: string;
	readonly settingId: string;
	readonly clientId: string;
	readonly region: string;
	readonly spot: string;
	readonly usualMorning: number;
	readonly worst: number;
	readonly easing?: string;
	readonly stiffnessMin?: number;
	readonly painAt?: PainAt;
	readonly loaded: YesNoUnknown;
	readonly position?: string;
}

/** Saves what hurts in a region; its usual morning is what decisions begin from. A second one for the region replaces the first. */
export async function saveComplaint(ctx: Context, c: NewComplaint, recordedAt?: Date): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'ask');
	if (!may.ok) return may;
	if (c.usualMorning > c.worst) return invalid('usualMorning', `A usual morning of ${c.usualMorning} above the worst of ${c.worst} cannot be; one of the two is mistyped.`);
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, c.clientId))) return notFound;
		const [head] = await clientHeads(t, c.clientId);
		if (head === undefined) return notFound;
		const { complaints } = await intakeOf(t, c.clientId);
		if (complaints.some((x) => x.id === c.id)) return ok(true);
		const before = complaints.find((x) => x.region === c.region);
		const row = {
			id: c.id,
			client_id: c.clientId,
			region: c.region,
			spot: c.spot,
			local_day: ctx.today,
			usual_morning: c.usualMorning,
			worst: c.worst,
			easing: c.easing ?? null,
			stiffness_min: c.stiffnessMin ?? null,
			pain_at: c.painAt ?? null,
			loaded: c.loaded,
			position: c.position ?? null,
			...(before === undefined ? {} : { replaces_id: before.id, reason: 'asked again' })
		};
		if ((await append(t, 'complaint', row, recordedAt)) === 'conflict') return conflict(CHANGED);
		const usual = { ...head.setting.usual, [c.region]: { ...head.setting.usual[c.region], intake: c.usualMorning } };
		const front = c.region.startsWith('knee') ? c.spot === 'front' || complaints.some((x) => x.region !== c.region && x.region.startsWith('knee') && x.spot === 'front') : head.setting.frontOfKnee;
		// Thrown: the complaint is not kept without the usual it sets.
		if ((await replaceSetting(t, head, c.settingId, { ...head.setting, usual, frontOfKnee: front }, recordedAt)) === 'conflict') throw new ConflictError(CHANGED);
		return ok(true);
	});
}

export interface NewGoal {
	readonly id: string;
	readonly clientId: string;
	readonly activity: string;
	readonly label: string;
	readonly score: number;
	readonly confidence?: number;
	readonly side?: Side;
	readonly point?: LadderPoint;
	/** The goal whose new scoring this is. */
	readonly replaces?: string;
}

const MOST_GOALS = 5;

/** A goal with its score of today; three to five are usual. */
export async function saveGoal(ctx: Context, g: NewGoal, recordedAt?: Date): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'set goal');
	if (!may.ok) return may;
	if (!ACTIVITIES.some((a) => a.id === g.activity)) return invalid('activity', 'Choose an activity from the list, or “something of the client’s own”.');
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, g.clientId))) return notFound;
		const wrong = g.point === undefined ? undefined : pointTrouble(g.point, (await ownFamilyRows(t)).map((r) => r.family));
		if (wrong !== undefined) return invalid('height', wrong);
		const { goals } = await intakeOf(t, g.clientId);
		if (goals.some((x) => x.id === g.id)) return ok(true);
		const before = goals.find((x) => x.id === g.replaces);
		if (g.replaces !== undefined && before === undefined) return conflict('Somebody changed this goal meanwhile; reload to see it.');
		if (before === undefined && goals.length >= MOST_GOALS) return invalid('activity', `There are ${MOST_GOALS} goals already; drop one first.`);
		const row = { id: g.id, client_id: g.clientId, activity: g.activity, label: g.label, local_day: ctx.today, score: g.score, confidence: g.confidence ?? null, side: g.side ?? null, point: g.point === undefined ? null : JSON.stringify(g.point), ...(before === undefined ? {} : { replaces_id: before.id, reason: 'scored again' }) };
		return (await append(t, 'goal', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	});
}

/** A step of a family that is here must exist; a family that is not here yet keeps the point for when it is. */
function pointTrouble(p: LadderPoint, own: readonly ExerciseFamily[]): string | undefined {
	const family = FAMILIES[p.family] ?? own.find((f) => f.id === p.family);
	if (family !== undefined && stepOf(family, p.step) === undefined) return `There is no step ${p.step} on that ladder.`;
	if (p.heightCm !== undefined && !(p.heightCm >= 5 && p.heightCm <= 80)) return `A height of ${p.heightCm} cm is outside 5 to 80 cm.`;
	return undefined;
}

/** Drops a goal: it stays in the record, voided, with why. */
export async function dropGoal(ctx: Context, g: { id: string; clientId: string; goalId: string }): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'set goal');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, g.clientId))) return notFound;
		const goal = (await intakeOf(t, g.clientId)).goals.find((x) => x.id === g.goalId);
		if (goal === undefined) return notFound;
		const row = { id: g.id, client_id: g.clientId, activity: goal.activity, label: goal.label, local_day: ctx.today, score: goal.score, confidence: goal.confidence, side: goal.side, point: goal.point === null ? null : JSON.stringify(goal.point), replaces_id: goal.id, voided: true, reason: 'dropped' };
		return (await append(t, 'goal', row)) === 'conflict' ? conflict(CHANGED) : ok(true);
	});
}

export interface NewArrival {
	readonly id: string;
	readonly clientId: string;
	readonly day: Day;
	readonly pains: Readonly<Record<string, number | undefined>>;
	readonly fever: YesNoUnknown;
	readonly fall: YesNoUnknown;
	readonly newSwelling: YesNoUnknown;
}

/** The arrival card of today; filling it in again replaces it. An open question is asked, not saved. */
export async function arrive(ctx: Context, a: NewArrival, recordedAt?: Date): Promise<Outcome<Arrival>> {
	const may = allow(ctx.actor, 'log visit');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, a.clientId))) return notFound;
		const [record] = await loadRecords(t, a.clientId);
		if (record === undefined) return notFound;
		const flag = record.head.flags.find((f) => f.open && f.severity === 'red')?.code;
		const input: ArrivalInput = {
			...(flag === undefined ? {} : { flag }),
			pains: regionsOf(record).map((region) => ({ region, usual: usualNow(record, region, ctx.today), ...(a.pains[region] === undefined ? {} : { now: a.pains[region] }) })),
			fever: a.fever,
			fall: a.fall,
			newSwelling: a.newSwelling
		};
		const answer = arrival(input);
		if (answer.answer === 'ask') return ok(answer);
		const before = (await intakeOf(t, a.clientId)).arrivals.filter((x) => x.day === a.day).pop();
		if (before?.id === a.id) return ok(answer);
		const row = { id: a.id, client_id: a.clientId, local_day: a.day, pains: JSON.stringify(input.pains), fever: a.fever, fall: a.fall, new_swelling: a.newSwelling, answer: answer.answer, ...(before === undefined ? {} : { replaces_id: before.id, reason: 'asked again' }) };
		return (await append(t, 'arrival', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(answer);
	});
}
