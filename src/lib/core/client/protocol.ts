/**
 * Protocols: a surgeon's or local protocol's windows on movements, weight, load and what is forbidden, in phases counted in weeks since the
 * operation. They come before everything and are never filled in from what is typical. Degrees, weeks, kilograms.
 *
 * The calendar alone opens nothing: a phase whose time has come but that nobody confirmed adds what it holds tighter, and the old one
 * stays. A limit of hip bending also caps the sitting fold, which is never less than the bend of the hip in it. A movement that has no
 * axis withholds the steps that carry its tag.
 */
import { sidesOf } from '../body/region-side.ts';
import { addDays, daysBetween, type Day } from '../base/calendar-day.ts';
import { isMidline, SIDES, type Axis, type Side } from '../body/axis.ts';
import { RANGE_IDS, type RangeId } from '../measure/range-kind.ts';
import type { Tag } from '../exercise/family.ts';
import type { ProtocolLimit, ProtocolWhen } from './envelope.ts';
import type { Withheld } from './screening.ts';

/** Every movement that is measured can have a window, but for bending sideways, which no step is held against. */
export type LimitAxis = Exclude<RangeId, 'spineSideBend'>;
export const LIMIT_AXES = RANGE_IDS.filter((id): id is LimitAxis => id !== 'spineSideBend');

/** From–to on a movement of a side, as the protocol gives it. */
export interface EnteredLimit {
	readonly axis: LimitAxis;
	readonly side: Side;
	readonly minDeg?: number | undefined;
	readonly maxDeg?: number | undefined;
	/** Left out, always. */
	readonly when?: ProtocolWhen | undefined;
}

export const WEIGHT_BEARING = ['none', 'touch', 'partial', 'as-tolerated', 'full'] as const;
export type WeightBearing = (typeof WEIGHT_BEARING)[number];

export interface Phase {
	/** Weeks since the operation: from the first day of week `fromWeek` until the day before week `toWeek`; null goes on. */
	readonly fromWeek: number;
	readonly toWeek: number | null;
	readonly weightBearing: WeightBearing;
	readonly partialKg?: number;
	readonly windows: readonly EnteredLimit[];
	/** A brace in its own words; its stops are windows. */
	readonly brace?: string;
	readonly highestLoadKg?: number;
	readonly forbidden: readonly Tag[];
	/** Day a licensed user confirmed that it may begin; the first is confirmed by entering the protocol. */
	readonly confirmedOn?: Day;
}

export interface Operated {
	readonly region: string;
	readonly date: Day;
	readonly phases: readonly Phase[];
}

/** What protocols hold on a day. */
export interface Bindings {
	readonly limits: readonly ProtocolLimit[];
	readonly withheld: readonly Withheld[];
	/** Legs on which no weight is taken, and those that take part of it. */
	readonly noWeight: readonly Side[];
	readonly partial: readonly Side[];
	/** The lowest of the highest loads; undefined where none is given. */
	readonly highestLoadKg?: number;
}

export const PROTOCOL = 'protocol';

/**
 * The axis that a window caps, the tags that it withholds, or both: where not every step that goes that way says by how much, those that are known to
 * are closed whatever the angle.
 */
const SOLVED_AS: Readonly<Record<LimitAxis, { readonly axis?: Axis; readonly tags?: readonly Tag[] }>> = {
	kneeFlexion: { axis: 'kneeFlexion' },
	kneeExtension: { axis: 'kneeFlexion' },
	thighTrunkFlexion: { axis: 'thighTrunkFlexion' },
	hipFlexion: { axis: 'thighTrunkFlexion' },
	hipExtension: { axis: 'hipExtension' },
	straightLegRaise: { axis: 'straightLegRaise' },
	weightBearingDorsiflexion: { axis: 'weightBearingDorsiflexion' },
	ankleDorsiflexion: { axis: 'weightBearingDorsiflexion' },
	bigToeExtension: { axis: 'bigToeExtension' },
	anklePlantarflexion: { tags: ['heel-raised'] },
	hipAbduction: { axis: 'hipAbduction', tags: ['hip-out'] },
	hipAdduction: { tags: ['adduction-past-midline'] },
	hipInternalRotation: { axis: 'hipInternalRotation', tags: ['end-range-rotation'] },
	hipExternalRotation: { axis: 'hipExternalRotation', tags: ['end-range-rotation'] },
	forwardBow: { axis: 'forwardBow' },
	spineFlexion: { axis: 'forwardBow', tags: ['spine-end-bend', 'loaded-spine-bending'] },
	spineExtension: { tags: ['spine-backward'] },
	spineRotation: { tags: ['loaded-twist'] }
};

/** A window as the axes that set-ups are solved on; empty where the movement has none. */
function solvedLimit({ axis, side, minDeg, maxDeg, when }: EnteredLimit): readonly ProtocolLimit[] {
	const { axis: solved } = SOLVED_AS[axis];
	if (solved === undefined) return [];
	const also = when === undefined || when === 'always' ? {} : { when };
	// "Knee straight to −10" is a knee that stays bent 10° or more.
	if (axis === 'kneeExtension')
		return maxDeg === undefined ? [] : [{ axis: solved, side, minDeg: -maxDeg, ...also }];
	// Of the bow there is one, not one a side.
	return (isMidline(solved) ? SIDES : [side]).map((on) => ({
		axis: solved,
		side: on,
		...(minDeg === undefined ? {} : { minDeg }),
		...(maxDeg === undefined ? {} : { maxDeg }),
		...also
	}));
}

/** The limits as the axes that set-ups are solved on. */
export const solvedLimits = (limits: readonly EnteredLimit[]): readonly ProtocolLimit[] =>
	limits.flatMap(solvedLimit);

const tagsOf = ({ axis }: EnteredLimit): readonly Tag[] => SOLVED_AS[axis].tags ?? [];

/** Full weeks since the operation. */
export const weekOf = (operated: Day, today: Day): number => Math.floor(daysBetween(operated, today) / 7);

export interface PhaseNow {
	/** Week counted from 1, as people say it. */
	readonly week: number;
	readonly lastWeek: number | null;
	/** Number of the phase that is confirmed, counted from 1; null before the first. */
	readonly phase: number | null;
	/** Last day of that phase by the calendar. */
	readonly until: Day | null;
	/** A later phase has come by the calendar and waits to be confirmed: its number. */
	readonly overdue: number | null;
}

/** The latest confirmed phase that has begun; −1 where there is none. */
function confirmedAt(phases: readonly Phase[], week: number): number {
	let at = -1;
	phases.forEach((p, i) => {
		if (p.fromWeek <= week && (i === 0 || p.confirmedOn !== undefined)) at = i;
	});
	return at;
}

/**
 * The phases that hold in a week: the confirmed one, those before it that overlap, and those after it whose time has come, since what
 * nobody confirmed may tighten and never open. Before the first begins, the first holds.
 */
export function phasesHolding(phases: readonly Phase[], week: number): readonly Phase[] {
	const at = Math.max(0, confirmedAt(phases, week));
	return phases.filter(
		(p, i) => i === at || (p.fromWeek <= week && (i > at || (p.toWeek !== null && p.toWeek > week)))
	);
}

export function phaseNow({ date, phases }: Operated, today: Day): PhaseNow {
	const week = weekOf(date, today);
	const at = confirmedAt(phases, week);
	const now = phases[at];
	const next = phases.findIndex((p, i) => i > at && p.fromWeek <= week);
	const ends = phases.map((p) => p.toWeek);
	return {
		week: week + 1,
		lastWeek: ends.length === 0 || ends.includes(null) ? null : Math.max(...(ends as number[])),
		phase: at < 0 ? null : at + 1,
		until: now === undefined || now.toWeek === null ? null : addDays(date, 7 * now.toWeek - 1),
		overdue: next < 0 ? null : next + 1
	};
}

/** All that protocols hold today: windows outside any phase, and the phases of each operation. Where they overlap the stricter holds. */
export function bindingsOn(
	operated: readonly Operated[],
	limits: readonly EnteredLimit[],
	today: Day
): Bindings {
	const windows: EnteredLimit[] = [...limits];
	const tags = new Set<Tag>();
	const [noWeight, partial] = [new Set<Side>(), new Set<Side>()];
	let highestLoadKg = Infinity;
	for (const o of operated)
		for (const p of phasesHolding(o.phases, weekOf(o.date, today))) {
			windows.push(...p.windows);
			for (const tag of p.forbidden) tags.add(tag);
			if (p.weightBearing === 'none' || p.weightBearing === 'touch')
				for (const side of sidesOf(o.region)) noWeight.add(side);
			if (p.weightBearing === 'partial') for (const side of sidesOf(o.region)) partial.add(side);
			highestLoadKg = Math.min(highestLoadKg, p.highestLoadKg ?? Infinity);
		}
	for (const w of windows) for (const tag of tagsOf(w)) tags.add(tag);
	return {
		limits: solvedLimits(windows),
		withheld: [...tags].map((tag) => ({ tag, because: PROTOCOL })),
		noWeight: [...noWeight],
		partial: [...partial],
		...(highestLoadKg === Infinity ? {} : { highestLoadKg })
	};
}

/** What is wrong with phases as they were typed; undefined where they hold together. */
export function phaseFault(
	phases: readonly Phase[]
): { readonly phase: number; readonly message: string } | undefined {
	for (const [i, p] of phases.entries()) {
		const at = (message: string) => ({ phase: i, message });
		if (p.toWeek !== null && p.toWeek <= p.fromWeek)
			return at(`It ends in week ${p.toWeek}, before or as it begins in week ${p.fromWeek}.`);
		const before = phases[i - 1];
		if (before !== undefined && p.fromWeek <= before.fromWeek)
			return at('It begins no later than the phase before it.');
		if (before !== undefined && before.toWeek !== null && before.toWeek < p.fromWeek)
			return at(
				`Nothing is said for weeks ${before.toWeek} to ${p.fromWeek}; phases follow one another or overlap.`
			);
		if (p.weightBearing === 'partial' && p.partialKg === undefined)
			return at('How many kilograms may be put on the leg?');
		const window = p.windows.find((w) => w.minDeg === undefined && w.maxDeg === undefined);
		if (window !== undefined) return at('A window needs a lowest or a highest angle.');
		const crossed = p.windows.find(
			(w) => w.minDeg !== undefined && w.maxDeg !== undefined && w.minDeg > w.maxDeg
		);
		if (crossed !== undefined) return at(`A window from ${crossed.minDeg}° to ${crossed.maxDeg}° is empty.`);
	}
	return undefined;
}
