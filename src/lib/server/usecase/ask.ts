/** Asking: what hurts and where, and what the client wants to do again. */
import { ACTIVITIES } from '#lib/catalogue/activities.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Side } from '#lib/core/body/axis.ts';
import { type LadderPoint, SCORED_AGAIN } from '#lib/core/client/goal.ts';
import { stepOf, type ExerciseFamily } from '#lib/core/exercise/family.ts';
import type { PainAt, YesNoUnknown } from '#lib/core/session/record.ts';
import { cmText, inUnits } from '#lib/wording/units.ts';
import { append } from '../db/append.ts';
import { clientHeads } from '../repo/client-repo.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { ownFamilyRows } from '../repo/own-family-repo.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';
import { replaceSetting } from './change-setting.ts';

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
export const saveComplaint = command<NewComplaint, true>({
	verb: 'ask',
	id: (c) => c.id,
	client: (c) => c.clientId,
	check: (c) =>
		c.usualMorning > c.worst
			? invalid(
					'usualMorning',
					`A usual morning of ${c.usualMorning} above the worst of ${c.worst} cannot be; one of the two is mistyped.`
				)
			: undefined,
	run: async (c, { t, ctx, recordedAt }) => {
		const [head] = await clientHeads(t, c.clientId);
		if (head === undefined) return notFound;
		const { complaints } = await intakeOf(t, c.clientId);
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
		const usual = {
			...head.setting.usual,
			[c.region]: { ...head.setting.usual[c.region], intake: c.usualMorning }
		};
		const front = c.region.startsWith('knee')
			? c.spot === 'front' ||
				complaints.some((x) => x.region !== c.region && x.region.startsWith('knee') && x.spot === 'front')
			: head.setting.frontOfKnee;
		// The complaint is not kept without the usual it sets: a conflict rolls both back.
		return (await replaceSetting(
			t,
			head,
			c.settingId,
			{ ...head.setting, usual, frontOfKnee: front },
			recordedAt
		)) === 'conflict'
			? conflict(CHANGED)
			: ok(true);
	}
});

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
export const saveGoal = command<NewGoal, true>({
	verb: 'set goal',
	id: (g) => g.id,
	client: (g) => g.clientId,
	check: (g) =>
		ACTIVITIES.some((a) => a.id === g.activity)
			? undefined
			: invalid('activity', 'Choose an activity from the list, or “something of the client’s own”.'),
	run: async (g, { t, ctx, recordedAt }) => {
		const wrong =
			g.point === undefined
				? undefined
				: pointTrouble(
						g.point,
						(await ownFamilyRows(t)).map((r) => r.family)
					);
		if (wrong !== undefined) return invalid('height', wrong);
		const { goals } = await intakeOf(t, g.clientId);
		const before = goals.find((x) => x.id === g.replaces);
		if (g.replaces !== undefined && before === undefined)
			return conflict('Somebody changed this goal meanwhile; reload to see it.');
		if (before === undefined && goals.length >= MOST_GOALS)
			return invalid('activity', `There are ${MOST_GOALS} goals already; drop one first.`);
		const row = {
			id: g.id,
			client_id: g.clientId,
			activity: g.activity,
			label: g.label,
			local_day: ctx.today,
			score: g.score,
			confidence: g.confidence ?? null,
			side: g.side ?? null,
			point: g.point === undefined ? null : JSON.stringify(g.point),
			...(before === undefined ? {} : { replaces_id: before.id, reason: SCORED_AGAIN })
		};
		return (await append(t, 'goal', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});

/** A step of a family that is here must exist; a family that is not here yet keeps the point for when it is. */
function pointTrouble(p: LadderPoint, own: readonly ExerciseFamily[]): string | undefined {
	const family = FAMILIES[p.family] ?? own.find((f) => f.id === p.family);
	if (family !== undefined && stepOf(family, p.step) === undefined)
		return `There is no step ${p.step} on that ladder.`;
	if (p.heightCm !== undefined && !(p.heightCm >= 5 && p.heightCm <= 80))
		return `A height of ${cmText(p.heightCm)} is outside ${inUnits(5, 'cm')} to ${cmText(80)}.`;
	return undefined;
}

/** Drops a goal: it stays in the record, voided, with why. */
export const dropGoal = command<
	{ readonly id: string; readonly clientId: string; readonly goalId: string },
	true
>({
	verb: 'set goal',
	id: (g) => g.id,
	client: (g) => g.clientId,
	run: async (g, { t, ctx }) => {
		const goal = (await intakeOf(t, g.clientId)).goals.find((x) => x.id === g.goalId);
		if (goal === undefined) return notFound;
		const row = {
			id: g.id,
			client_id: g.clientId,
			activity: goal.activity,
			label: goal.label,
			local_day: ctx.today,
			score: goal.score,
			confidence: goal.confidence,
			side: goal.side,
			point: goal.point === null ? null : JSON.stringify(goal.point),
			replaces_id: goal.id,
			voided: true,
			reason: 'dropped'
		};
		return (await append(t, 'goal', row)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});
