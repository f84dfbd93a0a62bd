/** The decision input of one exercise, and its slip. */
import { createHash } from 'node:crypto';
import { RANGES } from '#lib/catalogue/ranges.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { canonical, canonicalOnce } from '#lib/core/base/canonical.ts';
import { arrivedDay } from '#lib/core/decision/arrival.ts';
import { withFlips } from '#lib/core/decision/decide.ts';
import type { Change, DecideInput } from '#lib/core/decision/input.ts';
import type { Side } from '#lib/core/body/axis.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import { judge } from '#lib/core/decision/judge.ts';
import { demandOn } from '#lib/core/decision/range-evidence.ts';
import type { Trace } from '#lib/core/decision/trace.ts';
import { type ExerciseFamily, servesOf, type Step, stepOf } from '#lib/core/exercise/family.ts';
import {
	type BackTo,
	type GentlerNotch,
	gentlerNotches,
	turnedNotches,
	waysBack
} from '#lib/core/fit/gentler.ts';
import type { FitContext, SolvedSetup } from '#lib/core/movement/context.ts';
import { flagReaches } from '#lib/core/safety/alarm.ts';
import type { Session } from '#lib/core/session/record.ts';
import { painAdded } from '#lib/core/session/work.ts';
import type { Exercise } from '../repo/exercise-repo.ts';
import type { Logged } from '../repo/log-repo.ts';
import { contextOf } from './context-of.ts';
import { type Effective, effectiveChain } from './effective-chain.ts';
import { fears, operationUnrecorded, reaches } from './facts-of.ts';
import { fitContextOf, standingOf, wouldStand } from './fit-of.ts';
import { nextStepsOf } from './gates-of.ts';
import { logsOf, morningsOf, oncePerDay, oncePerRecord, toldOf } from './found-once.ts';
import type { ClientRecord } from './load.ts';

/** Day on which the last emergency flag was closed. */
const clearedOn = (r: ClientRecord): Day | undefined =>
	r.head.flags
		.filter((f) => f.code.startsWith('emergency') && f.closedOn !== null)
		.map((f) => f.closedOn as Day)
		.sort()
		.pop();

/** What is known of the client, whatever the exercise. */
const clientOf = oncePerRecord((r): DecideInput['client'] => {
	const { screening, flags, arrivals, surgery, setting } = r.head;
	const cleared = clearedOn(r);
	return {
		...(screening === null ? {} : { screening: { date: screening.date, complete: screening.complete } }),
		flags: flags.map((f) => ({
			id: f.code,
			severity: f.severity,
			...(f.urgency === null ? {} : { urgency: f.urgency }),
			open: f.open,
			...(f.region === null ? {} : { region: f.region }),
			...(f.closedOn === null ? {} : { closedOn: f.closedOn })
		})),
		...(operationUnrecorded(r) ? { operationUnrecorded: true } : {}),
		arrivals: arrivals.map((a) => arrivedDay(a.day, a.openedBecause === null ? a.said : {})),
		surgery: surgery.map(({ region, date, limitsEntered }) => ({ region, date, limitsEntered })),
		usual: setting.usual,
		...(cleared === undefined ? {} : { clearedOn: cleared })
	};
});

/** What stands of an exercise, what could be gentler, and whether it holds. */
function exerciseOf(
	r: ClientRecord,
	exercise: Exercise,
	chain: Effective,
	today: Day
): DecideInput['exercise'] {
	const { head } = chain;
	const family = r.families[exercise.family];
	const step = family === undefined ? undefined : stepOf(family, head.step);
	const ctx = fitContextOf(r, today, exercise.side);
	const { id, family: familyId, region, purpose } = exercise;
	const capped = step?.tags.some((t) => ctx.eased?.some((e) => e.effect === 'cap' && e.tag === t));
	return {
		...{ id, family: familyId, step: head.step, region, purpose, dose: head.dose },
		// What has ended is not judged.
		state: head.state === 'ended' ? 'set-aside' : head.state,
		...(head.setup === null ? {} : { setup: head.setup }),
		rackKg: r.room.weightsKg.filter((kg) => kg <= (ctx.highestLoadKg ?? Infinity)),
		frontOfKneeSore: r.head.setting.frontOfKnee,
		gentler: step === undefined ? [] : gentlerOf(r, exercise, today, step, head.setup, ctx),
		...harderKey(r, exercise, today, step, head.setup, ctx),
		...standingKey(r, exercise, chain, today),
		...(capped === true ? { capped: true } : {}),
		...(step?.endsAbove === undefined ? {} : { endsAbove: step.endsAbove }),
		...(fears(r, familyId) ? { feared: true as const } : {}),
		...(step === undefined || family === undefined ? {} : taughtOf(family, step))
	};
}

/** What could be gentler: notches of its own set-up, the easier step, and the ways back that are this client's. */
function gentlerOf(
	r: ClientRecord,
	exercise: Exercise,
	today: Day,
	step: Step,
	setup: SolvedSetup | null,
	ctx: FitContext
): NonNullable<DecideInput['exercise']['gentler']> {
	const family = r.families[exercise.family];
	const easier = family === undefined || step.easier === null ? undefined : stepOf(family, step.easier);
	return fittedNotches(r, exercise, today, step, [
		...gentlerNotches(step, setup, easier, ctx),
		...waysBack(step, wayOf(r), (to) => backTo(r, exercise.family, to), ctx)
	]);
}

/** What the catalogue says of a step: its faults by name, and whether it is there to relieve. */
const taughtOf = (
	family: ExerciseFamily,
	step: Step
): Pick<DecideInput['exercise'], 'faults' | 'relief'> => ({
	faults: faultsNamed(family, step),
	...(servesOf(family, step).includes('relief') ? { relief: true } : {})
});

/** Everything a decision about one exercise is made from. */
export function decideInputOf(
	r: ClientRecord,
	exercise: Exercise,
	today: Day,
	advancesUsed: number
): { input: DecideInput; chain: Effective } {
	const chain = effectiveChain(exercise.prescriptions);
	const { head } = chain;
	const family = r.families[exercise.family];
	const step = family === undefined ? undefined : stepOf(family, head.step);
	const ctx = fitContextOf(r, today, exercise.side);
	const input: DecideInput = {
		policy: r.policy,
		client: clientOf(r),
		exercise: exerciseOf(r, exercise, chain, today),
		changes: [...chain.changes, ...restartsOf(r, exercise.region)],
		sessions: logsOf(r, exercise.id).map((l) =>
			asRead(toldOf(r, l), chain.currentIds.has(l.prescriptionId) && inForce(exercise, l))
		),
		mornings: morningsOf(r, exercise.region),
		events: r.events,
		others: othersOf(r, exercise),
		...(step === undefined ? {} : { nextSteps: nextStepsOf(r, step, exercise.family, ctx) }),
		demand: demandOf(r, exercise),
		advancesUsed,
		today
	};
	return { input, chain };
}

type Read = DecideInput['sessions'][number];
const READ = { since: new WeakMap<Session, Read>(), before: new WeakMap<Session, Read>() };

/** A session as a decision reads it: the same from one record to the next, so that what is worked out of it is found again. */
function asRead(session: Session, sinceChange: boolean): Read {
	const known = READ[sinceChange ? 'since' : 'before'];
	const read = known.get(session) ?? { ...session, sinceChange };
	known.set(session, read);
	return read;
}

/** A session of a day before its prescription was given is history. */
const inForce = (exercise: Exercise, l: Logged): boolean =>
	(exercise.prescriptions.find((p) => p.id === l.prescriptionId)?.day ?? '') <= l.session.date;

/** Each ranked choice one place harder, as far as it would stand; left out where there is none. */
function harderKey(
	r: ClientRecord,
	exercise: Exercise,
	today: Day,
	step: Step | undefined,
	setup: SolvedSetup | null,
	ctx: FitContext
): Pick<DecideInput['exercise'], 'harder'> {
	if (step?.choices === undefined) return {};
	const up = fittedNotches(r, exercise, today, step, turnedNotches(step, setup, ctx, 1));
	return up.length === 0 ? {} : { harder: up };
}

const wayOf = ({ head }: ClientRecord) => ({
	technique: head.setting.technique ?? undefined,
	frontOfKnee: head.setting.frontOfKnee
});

/** A step of the exercise's own ladder, or of another; what is left out for this client is in neither. */
function backTo(r: ClientRecord, family: string, id: string): BackTo | undefined {
	const own = stepOf(r.families[family] as ExerciseFamily, id);
	if (own !== undefined) return { step: own };
	const other = Object.values(r.families).find((f) => stepOf(f, id) !== undefined);
	return other === undefined ? undefined : { step: stepOf(other, id) as Step, family: other.id };
}

/** The notches that would stand. */
const fittedNotches = (
	r: ClientRecord,
	exercise: Exercise,
	today: Day,
	step: Step,
	notches: readonly GentlerNotch[]
): readonly GentlerNotch[] =>
	notches.filter((n) => {
		const to =
			n.step === undefined ? step : stepOf(r.families[n.family ?? exercise.family] as ExerciseFamily, n.step);
		return to !== undefined && wouldStand(r, exercise, today, { step: to, setup: n.setup, loadKg: 0 });
	});

/** Does what stands hold, and would what was left by a regression? */
function standingKey(
	r: ClientRecord,
	exercise: Exercise,
	chain: Effective,
	today: Day
): Pick<DecideInput['exercise'], 'standing'> {
	const now = standingOf(r, exercise, today);
	if (now === null) return {};
	const left = chain.changes[chain.changes.length - 1]?.from;
	const family = r.families[exercise.family];
	const step = left === undefined || family === undefined ? undefined : stepOf(family, left.step);
	const retry =
		left === undefined || step === undefined
			? false
			: wouldStand(r, exercise, today, { step, setup: left.setup ?? null, loadKg: left.dose.loadKg });
	return { standing: { ...now, retry } };
}

const faultsNamed = (family: ExerciseFamily, step: Step): NonNullable<DecideInput['exercise']['faults']> =>
	Object.fromEntries(
		family.faults
			.filter((f) => step.faults.includes(f.id))
			.map((f) => [f.id, { cause: f.cause, dial: f.dial }])
	);

const JOINT_REGION: Readonly<Record<string, string>> = {
	knee: 'knee',
	hip: 'hip',
	'hip and trunk': 'hip',
	ankle: 'ankle',
	'big toe': 'foot',
	back: 'back'
};

/** The region a window is on; a back has no sides. */
function regionOfLimit(axis: RangeId, side: Side): string {
	const at = JOINT_REGION[RANGES[axis].joint] ?? 'knee';
	return at === 'back' ? at : `${at}-${side}`;
}

/** What restarts the streaks of a region: limits, operations, injections, and flags that were closed and not mistaken. */
function restartsOf(r: ClientRecord, region: string): readonly Change[] {
	const near = (other: string): boolean =>
		other === region || flagReaches({ id: 'limit', region: other }, region);
	return [
		...r.head.limits
			.filter((l) => l.since !== null && near(regionOfLimit(l.axis, l.side)))
			.map((l): Change => ({ date: l.since as Day, kind: 'limit' })),
		...r.head.surgery
			.filter((s) => s.enteredOn !== null && near(s.region))
			.map((s): Change => ({ date: s.enteredOn as Day, kind: 'operation' })),
		...r.events
			.filter((e) => e.kind === 'injection')
			.map((e): Change => ({ date: e.date, kind: 'injection' })),
		...r.head.flags
			.filter(
				(f) =>
					f.closedOn !== null &&
					f.severity !== 'caution' &&
					f.closing?.mistaken !== true &&
					reaches(f, region)
			)
			.map((f): Change => ({ date: f.closedOn as Day, kind: 'flag-closed' }))
	];
}

/** Stopped, and the last session before told of a symptom that stops: nobody has resumed it since. */
const symptomStopped = (r: ClientRecord, e: Exercise, state: string): boolean => {
	const last = logsOf(r, e.id).at(-1);
	const told =
		last?.session.symptoms?.some((x) => STOPPING.has(x) && last.session.asUsual?.includes(x) !== true) ===
		true;
	return (
		told &&
		(state === 'stopped' || effectiveChain(e.prescriptions).currentIds.has(last?.prescriptionId ?? ''))
	);
};
const STOPPING: ReadonlySet<string> = new Set([
	'locking',
	'giving-way',
	'sharp-with-loss',
	'numbness',
	'weakness'
]);

function demandOf(r: ClientRecord, e: Exercise): number {
	const head = e.prescriptions[e.prescriptions.length - 1];
	const family = r.families[e.family];
	const step = family === undefined || head === undefined ? undefined : stepOf(family, head.step);
	return step === undefined || head === undefined
		? 0
		: Math.round(
				demandOn(e.region, step, head.setup, contextOf(r, {}, head.day, r.head.setting.technique)) ?? 0
			);
}

function othersOf(r: ClientRecord, exercise: Exercise): DecideInput['others'] {
	return r.exercises
		.filter((e) => e.id !== exercise.id && e.region === exercise.region)
		.map((e) => {
			const chain = effectiveChain(e.prescriptions);
			const last = logsOf(r, e.id).at(-1);
			return {
				...(symptomStopped(r, e, chain.head.state) ? { symptomStop: true } : {}),
				id: e.id,
				changedOn: chain.changes[chain.changes.length - 1]?.date ?? chain.head.day,
				peakMinusBefore: last === undefined ? 0 : painAdded(last.session, e.region),
				demand: demandOf(r, e)
			};
		});
}

/** What the slips of one record share: written once, for all its exercises; and of sessions each by itself, for all the records it is in. */
const SHARED: ReadonlySet<string> = new Set(['policy', 'client', 'mornings', 'events']);
const textOf = (key: string, part: unknown): string =>
	key === 'sessions'
		? `[${(part as DecideInput['sessions']).map(canonicalOnce).join(',')}]`
		: SHARED.has(key) && part !== null && typeof part === 'object'
			? canonicalOnce(part)
			: canonical(part);

/** Hash of what a slip rests on: the record without the day it is read on, and the rule that fired. The text is the canonical one, made of its parts. */
function slipHash(input: DecideInput, rule: string): string {
	const { today: _, ...rest } = input;
	const parts = Object.entries(rest)
		.filter(([, part]) => part !== undefined)
		.sort(([a], [b]) => (a < b ? -1 : 1))
		.map(([key, part]) => `${JSON.stringify(key)}:${textOf(key, part)}`);
	return createHash('sha256')
		.update(`{"rest":{${parts.join(',')}},"rule":${JSON.stringify(rule)}}`)
		.digest('hex')
		.slice(0, 32);
}

export interface Slip {
	readonly exercise: Exercise;
	readonly chain: Effective;
	readonly input: DecideInput;
	readonly trace: Trace;
}

const hashes = new WeakMap<DecideInput, string>();

/** What a slip rests on, as a text to compare. */
export function hashOf({ input, trace }: Slip): string {
	const hash = hashes.get(input) ?? slipHash(input, trace.rule);
	hashes.set(input, hash);
	return hash;
}

const slipOn = oncePerDay(
	(r, today, exercise: Exercise, advancesUsed: number): Slip => {
		const { input, chain } = decideInputOf(r, exercise, today, advancesUsed);
		return { exercise, chain, input, trace: judge(input) };
	},
	(exercise, advancesUsed) => `${exercise.id}|${advancesUsed}`
);

/** The slip of one exercise, without what would change it. Judged once: header, table and page ask for the same slips. */
export const slipOf = (r: ClientRecord, exercise: Exercise, today: Day, advancesUsed: number): Slip =>
	slipOn(r, today, exercise, advancesUsed);

const flips = new WeakMap<DecideInput, Trace>();

/** With the nearest flip and the outlook: for the slip that lies open. */
export function flipped<S extends Slip>(slip: S): S {
	const trace = flips.get(slip.input) ?? withFlips(slip.input, slip.trace);
	flips.set(slip.input, trace);
	return { ...slip, trace };
}
