/**
 * A client's whole record as the core reads it, and the questions asked of it: envelope, fit, decision input. Loading is one query
 * a table, for one client or for all of a practice; everything after that is pure.
 */
import { createHash } from 'node:crypto';
import { usable } from '#lib/catalogue/check-own.ts';
import { CATALOGUE_VERSION, FAMILIES } from '#lib/catalogue/families.ts';
import { TEST_SHOWS } from '#lib/catalogue/test-shows.ts';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { POLICIES } from '#lib/catalogue/policies.ts';
import { canonical } from '#lib/core/base/canonical.ts';
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { bodyOf, type Body } from '#lib/core/body/body.ts';
import { solvedLimits } from '#lib/core/client/protocol.ts';
import { withheldTags } from '#lib/core/client/screening.ts';
import { envelopeWith, type Envelope, type RangeEvidence } from '#lib/core/client/envelope.ts';
import { decide } from '#lib/core/decision/decide.ts';
import type { DecideInput, NextStep } from '#lib/core/decision/input.ts';
import { judge } from '#lib/core/decision/judge.ts';
import { demandOn, rangeEvidence, seenDoing, type LogFacts, type LoggedWork } from '#lib/core/decision/range-evidence.ts';
import { morningSeries } from '#lib/core/decision/usual.ts';
import { fitRulesOf, type Policy } from '#lib/core/decision/policy.ts';
import { ENGINE_VERSION, type Trace } from '#lib/core/decision/trace.ts';
import { EQUIPMENT, stepAnywhere, stepOf, type Equipment, type ExerciseFamily, type Step } from '#lib/core/exercise/family.ts';
import type { FitContext } from '#lib/core/fit/context.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { gentlerNotches, setupFor } from '#lib/core/fit/gentler.ts';
import { gateState, type GateFacts, type GateState, type Shown } from '#lib/core/fit/gate.ts';
import type { Morning, RecordedEvent } from '#lib/core/session/record.ts';
import { shownIn } from '#lib/core/session/shown.ts';
import { painAdded } from '#lib/core/session/work.ts';
import { gateText } from '#lib/wording/gates.ts';
import { withoutNulls } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { clientHeads, type ClientHead } from '../repo/client-repo.ts';
import { days } from '../repo/day-repo.ts';
import { room, type Room } from '../repo/equipment-repo.ts';
import { exercises, type Exercise, type Prescription } from '../repo/exercise-repo.ts';
import { logs, type Logged } from '../repo/log-repo.ts';
import { measuredEnvelope, sheet, type Measurement, type TestResult } from '../repo/sheet-repo.ts';
import { effectiveChain, type Effective } from './effective-chain.ts';

export interface ClientRecord {
	readonly head: ClientHead;
	readonly body: Body;
	readonly policy: Policy;
	readonly measurements: readonly Measurement[];
	readonly exercises: readonly Exercise[];
	readonly logs: readonly Logged[];
	readonly tests: readonly TestResult[];
	readonly mornings: readonly Morning[];
	readonly checkins: ReadonlyMap<string, string>;
	readonly events: readonly RecordedEvent[];
	readonly room: Room;
	/** The catalogue's families and the practice's own. */
	readonly families: Readonly<Record<string, ExerciseFamily>>;
}

/** Six queries, whatever the number of clients. */
export async function loadRecords(t: PracticeTransaction, clientId?: string): Promise<readonly ClientRecord[]> {
	const heads = await clientHeads(t, clientId);
	if (heads.length === 0) return [];
	const measured = await sheet(t, clientId);
	const prescribed = await exercises(t, clientId);
	const logged = await logs(t, clientId);
	const dayRecords = await days(t, clientId);
	const here = await room(t);
	const own = usable(here.own);
	const families = own.length === 0 ? FAMILIES : { ...FAMILIES, ...Object.fromEntries(own.map((f) => [f.id, f])) };
	return heads.map((head): ClientRecord => {
		const ownDays = dayRecords.filter((d) => d.clientId === head.id);
		return {
			head,
			body: bodyFor(head),
			policy: POLICIES[head.setting.policyId],
			measurements: measured.ranges.filter((m) => m.clientId === head.id),
			exercises: prescribed.filter((e) => e.clientId === head.id && e.prescriptions.length > 0),
			logs: logged.filter((l) => l.clientId === head.id),
			tests: measured.tests.filter((x) => x.clientId === head.id),
			mornings: ownDays.flatMap((d) => (d.morning === null ? [] : [d.morning])),
			checkins: new Map(ownDays.flatMap((d) => (d.morning === null || d.checkinId === null ? [] : [[`${d.morning.date}|${d.morning.region}`, d.checkinId] as const]))),
			events: ownDays.flatMap((d) => (d.event === null ? [] : [d.event])),
			room: here,
			families
		};
	});
}

function bodyFor(head: ClientHead): Body {
	const { heightCm, massKg, shankCm, thighCm, trunkCm, footCm } = head.setting;
	const body = bodyOf({ heightCm, massKg, segments: withoutNulls({ shankCm, thighCm, trunkCm, footCm }) });
	if (!body.ok) throw new Error(`stored body refused: ${body.refusal.message}`);
	return body.value;
}

function prescriptionOf(r: ClientRecord, l: Logged): { exercise: Exercise; prescription: Prescription } | undefined {
	const exercise = r.exercises.find((e) => e.id === l.exerciseId);
	const prescription = exercise?.prescriptions.find((p) => p.id === l.prescriptionId);
	return exercise === undefined || prescription === undefined ? undefined : { exercise, prescription };
}

/** The logged sessions with step and set-up, as the core reads them; a step no longer known says nothing. */
function workOf(r: ClientRecord): readonly LoggedWork[] {
	return r.logs.flatMap((l): LoggedWork[] => {
		const found = prescriptionOf(r, l);
		const family = found === undefined ? undefined : r.families[found.exercise.family];
		const step = family === undefined || found === undefined ? undefined : stepOf(family, found.prescription.step);
		return found === undefined || step === undefined ? [] : [{ session: l.session, region: found.exercise.region, step, setup: found.prescription.setup }];
	});
}

const factsOf = (r: ClientRecord, today: Day): LogFacts => ({ policy: r.policy, mornings: r.mornings, intake: r.head.setting.usual, today, ctx: contextOf(r, {}, today, r.head.setting.technique) });

export const evidenceOf = (r: ClientRecord, today: Day): readonly RangeEvidence[] => rangeEvidence(workOf(r), factsOf(r, today));

/** Worked out once a record: a page asks for it several times. */
const envelopes = new WeakMap<ClientRecord, Envelope>();

export function envelopeOf(r: ClientRecord, today: Day): Envelope {
	const known = envelopes.get(r) ?? envelopeWith(measuredEnvelope(r.measurements), evidenceOf(r, today), r.policy.marginDeg);
	envelopes.set(r, known);
	return known;
}

function contextOf(r: ClientRecord, envelope: Envelope, today: Day, technique: FitContext['technique'] | null): FitContext {
	return {
		body: r.body,
		...(technique === null || technique === undefined ? {} : { technique }),
		rules: fitRulesOf(r.policy),
		today,
		envelope,
		protocolLimits: solvedLimits(r.head.limits),
		...(r.head.setting.shoeHeelCm === null ? {} : { shoeHeelCm: r.head.setting.shoeHeelCm }),
		withheld: withheldTags(SCREENING, r.head.flags.filter((f) => f.open).map((f) => f.code)),
		furniture: r.room.furniture,
		equipment: atHand(r, 'both'),
		positions: r.head.setting.positions
	};
}

export const PLACES = ['both', 'practice', 'home'] as const;
export type Place = (typeof PLACES)[number];

const HOME: Readonly<Record<string, Equipment>> = { 'book-bag': 'household-weight', bottles: 'household-weight' };

/** What is at hand: in the practice, at home, or in either. */
export function atHand(r: ClientRecord, place: Place): readonly Equipment[] {
	const home = ['wall', ...r.head.setting.homeKit.map((k) => HOME[k] ?? k)].filter((k): k is Equipment => (EQUIPMENT as readonly string[]).includes(k));
	return place === 'practice' ? r.room.equipment : place === 'home' ? home : [...new Set([...r.room.equipment, ...home])];
}

/** The fit context of a record today. */
export function fitContextOf(r: ClientRecord, today: Day): FitContext {
	return { ...contextOf(r, envelopeOf(r, today), today, r.head.setting.technique), observed: seenDoing(workOf(r), factsOf(r, today)) };
}

/** What the function tests show of steps: seconds of a stance. */
const shownByTests = (r: ClientRecord): readonly Shown[] =>
	r.tests.flatMap((x) =>
		TEST_SHOWS.filter((s) => s.test === x.test).flatMap((s): Shown[] => {
			const seconds = s.from === 'value' ? x.value : x.extras[s.from];
			return seconds === undefined ? [] : [{ step: s.step, side: x.side ?? 'both', cleanReps: [seconds], effortMax: undefined }];
		})
	);

/** What has been shown on each step, for gates: in sessions that were seen, and in tests. */
export function shownOf(r: ClientRecord): readonly Shown[] {
	return shownByTests(r).concat(shownInSessions(r));
}

const shownInSessions = (r: ClientRecord): readonly Shown[] =>
	r.logs.flatMap((l) => {
		const found = prescriptionOf(r, l);
		return found === undefined ? [] : shownIn(found.prescription.step, found.exercise.side, l.session);
	});

/** What gates are judged in: technique, clearances, doses of the catalogue. */
export const gateFactsOf = (r: ClientRecord): GateFacts => ({
	...(r.head.setting.technique === null ? {} : { technique: r.head.setting.technique }),
	clearances: r.head.setting.clearances,
	targetOf: (step) => stepAnywhere(r.families, step)?.usualDose.target
});

export const gatesOf = (r: ClientRecord, step: Step, shown = shownOf(r)): readonly GateState[] => step.gates.map((g) => gateState(g, shown, gateFactsOf(r)));

/** The next edges of a step, each with its fit and its gates. */
export function nextStepsOf(r: ClientRecord, step: Step, family: string, ctx: FitContext): readonly NextStep[] {
	const ladder = r.families[family];
	if (ladder === undefined) return [];
	const shown = shownOf(r);
	return step.next.flatMap((e): NextStep[] => {
		const to = stepOf(ladder, e.to);
		if (to === undefined) return [];
		const fit = fitStep(to, ctx);
		const gates = gatesOf(r, to, shown);
		const closed = gates.find((g) => !g.met);
		return [
			{
				step: to.id,
				dial: e.dial,
				verdict: fit.verdict,
				gateOpen: closed === undefined,
				...(closed === undefined ? {} : { gate: gateText(closed) }),
				start: to.usualDose.start,
				target: to.usualDose.target,
				...(to.counts === undefined || to.counts === 'reps' ? {} : { unit: to.counts }),
				loadKg: to.posture.load?.kg ?? 0,
				setup: setupFor(to, fit),
				...(fit.unlock !== null && 'measure' in fit.unlock ? { measure: fit.unlock.measure } : {}),
				limiting: fit.limiting.map(({ axis, side, short }) => ({ axis, side, short }))
			}
		];
	});
}

/** Everything a decision about one exercise is made from. */
export function decideInputOf(r: ClientRecord, exercise: Exercise, today: Day, advancesUsed: number): { input: DecideInput; chain: Effective } {
	const chain = effectiveChain(exercise.prescriptions);
	const { head } = chain;
	const family = r.families[exercise.family];
	const step = family === undefined ? undefined : stepOf(family, head.step);
	const ctx = { ...fitContextOf(r, today), ...(exercise.side === null ? {} : { side: exercise.side }) };
	const easier = family === undefined || step === undefined || step.easier === null ? undefined : stepOf(family, step.easier);
	const cleared = r.head.flags.filter((f) => f.code.startsWith('emergency') && f.closedOn !== null).map((f) => f.closedOn as Day).sort().pop();
	const input: DecideInput = {
		policy: r.policy,
		client: {
			...(r.head.screening === null ? {} : { screening: { date: r.head.screening.date, complete: r.head.screening.complete } }),
			flags: r.head.flags.map((f) => ({ id: f.code, severity: f.severity, ...(f.urgency === null ? {} : { urgency: f.urgency }), open: f.open, ...(f.region === null ? {} : { region: f.region }) })),
			surgery: r.head.surgery.map(({ region, date, limitsEntered }) => ({ region, date, limitsEntered })),
			usual: r.head.setting.usual,
			...(cleared === undefined ? {} : { clearedOn: cleared })
		},
		exercise: {
			id: exercise.id,
			family: exercise.family,
			step: head.step,
			region: exercise.region,
			purpose: exercise.purpose,
			dose: head.dose,
			...(head.setup === null ? {} : { setup: head.setup }),
			state: head.state,
			rackKg: r.room.weightsKg,
			frontOfKneeSore: r.head.setting.frontOfKnee,
			gentler: step === undefined ? [] : gentlerNotches(head.setup, easier, ctx)
		},
		changes: chain.changes,
		sessions: r.logs.filter((l) => l.exerciseId === exercise.id).map((l) => ({ ...l.session, sinceChange: chain.currentIds.has(l.prescriptionId) })),
		mornings: r.mornings.filter((m) => m.region === exercise.region),
		events: r.events,
		others: othersOf(r, exercise),
		...(step === undefined ? {} : { nextSteps: nextStepsOf(r, step, exercise.family, ctx) }),
		demand: demandOf(r, exercise),
		advancesUsed,
		today
	};
	return { input, chain };
}

function demandOf(r: ClientRecord, e: Exercise): number {
	const head = e.prescriptions[e.prescriptions.length - 1];
	const family = r.families[e.family];
	const step = family === undefined || head === undefined ? undefined : stepOf(family, head.step);
	return step === undefined || head === undefined ? 0 : Math.round(demandOn(e.region, step, head.setup, contextOf(r, {}, head.day, r.head.setting.technique)) ?? 0);
}

function othersOf(r: ClientRecord, exercise: Exercise): DecideInput['others'] {
	return r.exercises
		.filter((e) => e.id !== exercise.id && e.region === exercise.region)
		.map((e) => {
			const chain = effectiveChain(e.prescriptions);
			const last = r.logs.filter((l) => l.exerciseId === e.id).pop();
			return { id: e.id, changedOn: chain.changes[chain.changes.length - 1]?.date ?? chain.head.day, peakMinusBefore: last === undefined ? 0 : painAdded(last.session, e.region), demand: demandOf(r, e) };
		});
}

/** Hash of what a slip rests on: the record without the day it is read on, and the rule that fired. */
export function slipHash(input: DecideInput, rule: string): string {
	const { today: _, ...rest } = input;
	return createHash('sha256').update(canonical({ rest, rule })).digest('hex').slice(0, 32);
}

export interface Slip {
	readonly exercise: Exercise;
	readonly chain: Effective;
	readonly input: DecideInput;
	readonly trace: Trace;
	readonly hash: string;
}

/** The slip of one exercise; `withFlip` also looks for the nearest flip. */
export function slipOf(r: ClientRecord, exercise: Exercise, today: Day, advancesUsed: number, withFlip: boolean): Slip {
	const { input, chain } = decideInputOf(r, exercise, today, advancesUsed);
	const trace = withFlip ? decide(input) : judge(input);
	return { exercise, chain, input, trace, hash: slipHash(input, trace.rule) };
}

/** Advances already given in today's review of this client. */
export const advancesToday = (r: ClientRecord, today: Day): number =>
	r.exercises.reduce((n, e) => n + effectiveChain(e.prescriptions).changes.filter((c) => c.kind === 'advance' && c.date === today).length, 0);

/** The practice's own ladders among those of a record. */
export const ownLaddersOf = (r: ClientRecord): readonly ExerciseFamily[] => Object.values(r.families).filter((f) => FAMILIES[f.id] === undefined);

/** Usual pain of a region as of a day: its mornings, or the intake where there are too few. */
export const usualNow = (r: ClientRecord, region: string, today: Day): number =>
	morningSeries(r.mornings, region, r.head.setting.usual[region]?.intake, r.policy.morningRule, today).usualOn(dayNumber(today)).value;

export const versions = (policy: Policy) => ({ engine: ENGINE_VERSION, catalogue: CATALOGUE_VERSION, policy: `${policy.id}@${policy.version}`, schema: '0001' });

export const lastSessionDay = (r: ClientRecord): Day | undefined => r.logs.reduce<Day | undefined>((m, l) => (m === undefined || dayNumber(l.session.date) > dayNumber(m) ? l.session.date : m), undefined);

/** The regions under treatment, the sorest first. */
export const regionsOf = (r: ClientRecord): readonly string[] =>
	Object.entries(r.head.setting.usual)
		.sort(([a, x], [b, y]) => (y.intake ?? 0) - (x.intake ?? 0) || (a < b ? -1 : 1))
		.map(([region]) => region);

/** What stands prescribed and active now. */
export const standing = (r: ClientRecord): readonly Prescription[] => r.exercises.map((e) => effectiveChain(e.prescriptions).head).filter((p) => p.state === 'active');
