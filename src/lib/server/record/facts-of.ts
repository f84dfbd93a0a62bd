/** Small facts of a record that several pages and commands ask for. */
import { CATALOGUE_VERSION, FAMILIES } from '#lib/catalogue/families.ts';
import { type Day, dayNumber, daysBetween } from '#lib/core/base/calendar-day.ts';
import { onceFor } from '#lib/core/base/once-for.ts';
import { MAIN_AXES, SIDES } from '#lib/core/body/axis.ts';
import { type RestingSigns, signsOf } from '#lib/core/client/acute.ts';
import type { Policy } from '#lib/core/decision/policy.ts';
import type { Racks } from '#lib/core/dose/racks.ts';
import { answerOf, withPressure } from '#lib/core/decision/closed-today.ts';
import { ENGINE_VERSION } from '#lib/core/decision/trace.ts';
import { morningSeries } from '#lib/core/decision/usual.ts';
import { fearedLadders } from '#lib/core/client/story.ts';
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import type { Morning } from '#lib/core/session/record.ts';
import { flagReaches } from '#lib/core/safety/alarm.ts';
import type { Arrived, ArrivalSaid, Flag } from '../repo/client-repo.ts';
import type { Prescription } from '../repo/exercise-repo.ts';
import type { Measurement } from '../repo/sheet-repo.ts';
import { atHand } from './context-of.ts';
import { effectiveChain } from './effective-chain.ts';
import type { ClientRecord } from './load.ts';

/** A back is under treatment. */
export const treatsBack = (r: ClientRecord): boolean =>
	Object.keys(r.head.setting.usual).some((x) => x.startsWith('back')) ||
	r.exercises.some((e) => e.region.startsWith('back'));

/** The latest reading of each main range that is too old to rest on, by axis and side. */
export const staleRanges = (r: ClientRecord, today: Day): readonly Measurement[] =>
	MAIN_AXES.flatMap((axis) =>
		SIDES.map((side) => r.measurements.filter((m) => m.axis === axis && m.side === side).pop())
	).filter((m): m is Measurement => m !== undefined && daysBetween(m.day, today) > r.policy.rangeStaleDays);

/** Does a flag of the record reach a region? */
export const reaches = (f: Flag, region: string): boolean =>
	flagReaches(
		{
			id: f.code,
			...(f.region === null ? {} : { region: f.region }),
			...(f.urgency === null ? {} : { urgency: f.urgency })
		},
		region
	);

/** The arrival card of a day, the last one. */
export const cardOn = (r: ClientRecord, day: Day): Arrived | undefined =>
	r.head.arrivals.filter((a) => a.day === day).pop();

/** Blood pressure at rest as it was last written down on a day, on its own or before a walk. */
function pressureOn(r: ClientRecord, day: Day): (RestingSigns & { readonly at: string }) | undefined {
	const last = r.tests.filter((t) => t.day === day && signsOf(t.test, t.value, t.extras) !== undefined).pop();
	return last === undefined ? undefined : { ...signsOf(last.test, last.value, last.extras), at: last.at };
}

/** What binds of a day: its card, not one that a licensed user opened, and the pressure that was measured since. */
export function boundOn(r: ClientRecord, day: Day): ArrivalSaid | undefined {
	const card = cardOn(r, day);
	const signs = pressureOn(r, day);
	const said = card?.openedBecause === null ? card.said : undefined;
	const opened = card !== undefined && card.openedBecause !== null;
	return signs === undefined || (opened && card.at >= signs.at) ? said : withPressure(said, signs);
}

/** The answer of a day in one word, as far as it binds. */
export function answerOn(r: ClientRecord, day: Day): ReturnType<typeof answerOf> {
	const card = cardOn(r, day);
	if (card?.openedBecause === null && card.answer === 'not-today') return 'not-today';
	return answerOf(boundOn(r, day), regionsOf(r));
}

/** The screening says there was an operation, and none stands recorded. */
export const operationUnrecorded = (r: ClientRecord): boolean =>
	r.head.screening?.answers['recent-surgery'] === 'yes' && r.head.surgery.length === 0;

/** Advances that one day still takes. */
export const advancesLeft = (r: ClientRecord, today: Day): number =>
	Math.max(0, r.policy.advancesPerReview - advancesToday(r, today));

/** Advances already given in today's review of this client. */
export const advancesToday = (r: ClientRecord, today: Day): number =>
	r.everGiven.reduce(
		(n, e) =>
			n +
			effectiveChain(e.prescriptions).changes.filter((c) => c.kind === 'advance' && c.date === today).length,
		0
	);

/** The practice's own ladders among those of a record. */
export const ownLaddersOf = (r: ClientRecord): readonly ExerciseFamily[] =>
	Object.values(r.families).filter((f) => FAMILIES[f.id] === undefined);

const usualsOf = onceFor((_: readonly Morning[]) => new Map<string, number>());

/**
 * Usual pain of a region as of a day: its mornings, or the intake where there are too few. Asked for each session of a day and by every page, and
 * worked out once until there is another morning.
 */
export function usualNow(r: ClientRecord, region: string, today: Day): number {
	const intake = r.head.setting.usual[region]?.intake;
	const rule = r.policy.morningRule;
	const known = usualsOf(r.mornings);
	const at = `${region}|${today}|${rule}|${intake ?? ''}`;
	const usual =
		known.get(at) ?? morningSeries(r.mornings, region, intake, rule, today).usualOn(dayNumber(today)).value;
	known.set(at, usual);
	return usual;
}

/** The policy's lines for pain at rest. */
export const linesOf = (r: ClientRecord): { readonly acceptable: number; readonly stop: number } => ({
	acceptable: r.policy.acceptableMax,
	stop: r.policy.stopAt
});

export const versions = (policy: Policy) => ({
	engine: ENGINE_VERSION,
	catalogue: CATALOGUE_VERSION,
	policy: `${policy.id}@${policy.version}`,
	schema: '0001'
});

export const lastSessionDay = (r: ClientRecord): Day | undefined =>
	r.logs.reduce<Day | undefined>(
		(m, l) => (m === undefined || dayNumber(l.session.date) > dayNumber(m) ? l.session.date : m),
		undefined
	);

/** The regions under treatment, the sorest first. */
export const regionsOf = (r: ClientRecord): readonly string[] =>
	Object.entries(r.head.setting.usual)
		.sort(([a, x], [b, y]) => (y.intake ?? 0) - (x.intake ?? 0) || (a < b ? -1 : 1))
		.map(([region]) => region);

/** The steps that stand on a ladder for a region, in use or not. */
export const stepsOn = (r: ClientRecord, family: string, region: string): readonly string[] =>
	r.exercises
		.filter((e) => e.family === family && e.region === region)
		.map((e) => effectiveChain(e.prescriptions).head.step);

/** Is a ladder feared, by what was told? */
export const fears = (r: ClientRecord, family: string): boolean =>
	fearedLadders(r.head.stories).some((f) => f.family === family);

/** Weights of the practice, and whether something at home is filled to weigh. */
export const racksOf = (r: ClientRecord): Racks => ({
	items: r.room.weights,
	household: atHand(r, 'home').includes('household-weight')
});

/** What is prescribed and active now, whether or not it holds. */
export const activeWork = (r: ClientRecord): readonly Prescription[] =>
	r.exercises.map((e) => effectiveChain(e.prescriptions).head).filter((p) => p.state === 'active');
