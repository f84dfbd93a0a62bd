/**
 * Answers a slip: accept, alter to something gentler, or override with a reason (licensed). One transaction locks the client,
 * reloads, recomputes: another hash, or a prescription somebody replaced meanwhile, is a conflict and nothing is written.
 */
import { LEAST_REASON, present } from '#lib/contract/basics.ts';
import { settled } from '#lib/core/exercise/choice.ts';
import { ok } from '#lib/core/base/result.ts';
import { doseText } from '#lib/wording/dose.ts';
import { stepOf, type Step } from '#lib/core/exercise/family.ts';
import { lengthIn, type SolvedSetup } from '#lib/core/movement/context.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { breakKey } from '#lib/core/safety/standing.ts';
import { breakText } from '#lib/wording/safety.ts';
import type { Prescribed, Trace } from '#lib/core/decision/trace.ts';
import { changeText, decisionSentence } from '#lib/wording/decision.ts';
import { setupText } from '#lib/wording/setup.ts';
import { stepTitle } from '#lib/wording/steps.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { answeredSlips } from '../repo/decision-repo.ts';
import type { PrescriptionKind } from '../repo/exercise-repo.ts';
import { conflict, invalid, notFound, refuseFor, type Context, type Outcome } from './actor.ts';
import { command, type Run } from './command.ts';
import { bolderThan } from './bolder.ts';
import { signingClosed } from './may-sign.ts';
import { unitOf, writePrescription } from './prescribe.ts';
import { heldBy } from '../record/held-by.ts';
import { advancesToday, versions } from '../record/facts-of.ts';
import { breaksIn, fitContextOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { flipped, hashOf, slipOf, type Slip } from '../record/slip-of.ts';

export interface Answer {
	readonly id: string;
	readonly prescriptionId: string;
	readonly clientId: string;
	readonly exerciseId: string;
	/** Hash of the slip that was shown, and the prescription it was about. */
	readonly hash: string;
	readonly basedOn: string;
	readonly answer: 'accepted' | 'altered' | 'overridden';
	/** What is prescribed instead, for altered and overridden. */
	readonly instead?: {
		readonly step: string;
		readonly sets: number;
		readonly reps: number;
		readonly loadKg: number;
		readonly setup?: SolvedSetup;
	};
	readonly reason?: string;
}

export interface Signed {
	readonly text: string;
	readonly changed: boolean;
}

interface NextPrescription {
	readonly prescribed: Prescribed;
	readonly kind: PrescriptionKind;
	readonly state: 'active' | 'stopped' | 'set-aside';
}

export const signDecision = command<Answer, Signed>({
	verb: (a) => (a.answer === 'overridden' ? 'override' : 'sign'),
	id: (a) => a.id,
	client: (a) => a.clientId,
	run: (a, run) => signIn(run, a)
});

/** Signs inside a command: one slip alone, or one of several. */
export async function signIn({ t, ctx, recordedAt, record }: Run, a: Answer): Promise<Outcome<Signed>> {
	const r = await record();
	const exercise = r?.exercises.find((e) => e.id === a.exerciseId);
	if (r === undefined || exercise === undefined) return notFound;
	const slip = flipped(slipOf(r, exercise, ctx.today, advancesToday(r, ctx.today)));
	const stale = await staleness(t, a, slip);
	if (stale !== undefined) return stale;
	const { decision } = slip.trace;
	const closed = signingClosed(ctx.actor, r, { family: exercise.family, decision }, ctx.today);
	if (closed !== null) return refuseFor(closed);
	if (slip.trace.decision === 'wait' && a.answer === 'accepted')
		return invalid('answer', 'Nothing to sign yet: what the slip waits for comes first.');
	const next = nextOf(ctx, r, slip, a);
	if (!next.ok) return next;
	const bound = boundBy(ctx, r, slip, next.value, a.answer);
	return bound.ok ? write(t, ctx, r, slip, a, next.value, bound.value, recordedAt) : bound;
}

/**
 * Nothing is signed that would not stand: a protocol binds everybody; what else breaks it only an override passes over, and it is kept which. Answers
 * the keys that were passed over.
 */
function boundBy(
	ctx: Context,
	r: ClientRecord,
	slip: Slip,
	next: NextPrescription | null,
	answer: Answer['answer']
): Outcome<readonly string[]> {
	if (next === null || next.state !== 'active') return ok(slip.chain.head.passedOver);
	const breaks = breaksIn(r, slip.exercise, ctx.today, next.prescribed);
	const first = breaks.find((b) => b.by === 'protocol') ?? (answer === 'overridden' ? undefined : breaks[0]);
	if (first !== undefined) return invalid('step', `${breakText(first)}: this would not stand.`);
	return ok([...new Set([...slip.chain.head.passedOver, ...breaks.map(breakKey)])]);
}

/** Somebody else was first, or the record moved since the slip was shown. */
export async function staleness(
	t: PracticeTransaction,
	a: Answer,
	slip: Slip
): Promise<Outcome<never> | undefined> {
	const other = (await answeredSlips(t, a.clientId)).get(a.exerciseId);
	if (other !== undefined && other.hash === a.hash)
		return conflict(`${other.by} answered this slip already. Reload to see what stands.`);
	if (hashOf(slip) === a.hash && slip.chain.head.id === a.basedOn) return undefined;
	return conflict(
		other !== undefined && slip.chain.head.id !== a.basedOn
			? `${other.by} signed a decision on this exercise meanwhile. Reload to see what stands.`
			: 'The record changed since this slip was shown. Reload to see the slip as it is now.'
	);
}

function nextOf(ctx: Context, r: ClientRecord, slip: Slip, a: Answer): Outcome<NextPrescription | null> {
	if (a.answer === 'accepted') return ok(acceptedOf(slip.trace, slip));
	if (a.instead === undefined) return invalid('instead', 'Say what is prescribed instead.');
	const family = r.families[slip.exercise.family];
	const step = family === undefined ? undefined : stepOf(family, a.instead.step);
	if (step === undefined) return invalid('step', `There is no step ${a.instead.step} in this family.`);
	const { sets, reps, loadKg, setup } = a.instead;
	const { unit: _, ...kept } = slip.chain.head.dose;
	const dose = { ...kept, ...unitOf(step), sets, reps, loadKg, target: step.usualDose.target };
	const prescribed: Prescribed = { step: step.id, dose, setup: settledSetup(ctx, r, slip, step, setup) };
	return a.answer === 'altered' ? altered(slip, prescribed, step) : overridden(r, slip, a, prescribed);
}

/** Something gentler than what is proposed. */
function altered(
	{ trace, chain, input }: Slip,
	prescribed: Prescribed,
	step: Step
): Outcome<NextPrescription> {
	const mended = trace.change?.kind === 'mend';
	if (trace.decision === 'refer' || (trace.decision === 'stop' && !mended))
		return invalid(
			'answer',
			'After a stop or a referral nothing gentler is prescribed here; a licensed user clears it first.'
		);
	const proposal = trace.change?.result ?? input.exercise;
	const refused = bolderThan(prescribed, proposal, [chain.head.step, proposal.step], step);
	return refused === undefined
		? ok({ prescribed, kind: 'alter', state: 'active' })
		: invalid('instead', refused);
}

/** Something else than what is proposed, with its reason; not while the region is held, or something reported waits to be cleared. */
function overridden(
	r: ClientRecord,
	{ trace, chain, exercise }: Slip,
	a: Answer,
	prescribed: Prescribed
): Outcome<NextPrescription> {
	if ((a.reason ?? '').trim().length < LEAST_REASON)
		return invalid('reason', 'An override needs its reason in a few words.');
	const held =
		heldBy(r, exercise.region) ??
		(trace.decision === 'refer' ? 'What was reported is cleared first, on the client’s page.' : undefined);
	if (held !== undefined) return invalid('answer', held);
	const resumes = chain.head.state === 'stopped' || trace.decision === 'stop';
	return ok({ prescribed, kind: resumes ? 'resume' : 'alter', state: 'active' });
}

/**
 * The whole set-up of what is prescribed instead: what was typed, on top of what is proposed or stands for that step, else as
 * solved. Only the lengths that belong to the step are kept, so that a cleared field never means "as low as you like".
 */
function settledSetup(
	ctx: Context,
	r: ClientRecord,
	slip: Slip,
	step: Step,
	typed: SolvedSetup | undefined
): SolvedSetup {
	const fit = fitContextOf(r, ctx.today);
	const own = standsFor(slip, step) ?? setupFor(step, fitStep(step, fit), fit.body);
	const length = lengthIn(own);
	const chosen = settled(step, typed?.chosen ?? own.chosen);
	const heelWedgeCm = typed?.heelWedgeCm ?? own.heelWedgeCm;
	return {
		...(length === null ? {} : { [length.of]: typed?.[length.of] ?? length.value }),
		...(length?.of === 'seatCm' ? builtAsIs(own, typed) : present({ heelWedgeCm })),
		...present({ chosen })
	};
}

/** What is proposed or stands for a step, as it is set up. */
function standsFor({ trace, chain: { head } }: Slip, step: Step): SolvedSetup | null | undefined {
	const proposed = trace.change?.result;
	if (proposed?.step === step.id) return proposed.setup;
	return head.step === step.id ? head.setup : undefined;
}

/** How a seat is built holds for its own height alone. */
const builtAsIs = (own: SolvedSetup, typed: SolvedSetup | undefined): Pick<SolvedSetup, 'build'> =>
	own.build !== undefined && (typed?.seatCm ?? own.seatCm) === own.seatCm ? { build: own.build } : {};

function acceptedOf(trace: Trace, slip: Slip): NextPrescription | null {
	const { head } = slip.chain;
	const now: Prescribed = {
		step: head.step,
		dose: head.dose,
		...(head.setup === null ? {} : { setup: head.setup })
	};
	const { change, decision } = trace;
	if (decision === 'stop' && change?.kind !== 'mend')
		return head.state === 'stopped' ? null : { prescribed: now, kind: 'stop', state: 'stopped' };
	if (change === null) return null;
	if (change.kind === 'set-aside') return { prescribed: now, kind: 'set-aside', state: 'set-aside' };
	const ahead = change.kind === 'mend' ? 'alter' : change.kind === 'retry' ? 'retry' : 'advance';
	return { prescribed: change.result, kind: decision === 'regress' ? 'regress' : ahead, state: 'active' };
}

async function write(
	t: PracticeTransaction,
	ctx: Context,
	r: ClientRecord,
	slip: Slip,
	a: Answer,
	next: NextPrescription | null,
	passedOver: readonly string[],
	recordedAt?: Date
): Promise<Outcome<Signed>> {
	const { exercise, trace, input } = slip;
	const text = textOf(slip, a, next, ctx.today);
	const row = {
		id: a.id,
		exercise_id: exercise.id,
		client_id: a.clientId,
		local_day: ctx.today,
		based_on: slip.chain.head.id,
		inputs: JSON.stringify(input),
		inputs_hash: hashOf(slip),
		versions: JSON.stringify(versions(r.policy)),
		proposal: JSON.stringify(trace),
		answer: a.answer,
		outcome: JSON.stringify({ prescriptionId: next === null ? null : a.prescriptionId, text }),
		reason: a.reason ?? null
	};
	if ((await append(t, 'decision', row, recordedAt)) === 'conflict')
		return conflict('This slip was already answered.');
	if (next === null) return ok({ text, changed: false });
	const family = r.families[exercise.family];
	const step = family === undefined ? undefined : stepOf(family, next.prescribed.step);
	if (family === undefined || step === undefined)
		return invalid('step', 'This step is no longer in the catalogue; choose another.');
	const written = await writePrescription(
		t,
		{
			id: a.prescriptionId,
			exerciseId: exercise.id,
			clientId: a.clientId,
			day: ctx.today,
			family,
			step,
			technique: r.head.setting.technique,
			dose: next.prescribed.dose,
			setup: next.prescribed.setup ?? null,
			state: next.state,
			kind: next.kind,
			replaces: slip.chain.head.id,
			restores: null,
			decisionId: a.id,
			passedOver,
			particulars: slip.chain.head.particulars,
			reason: a.reason ?? null
		},
		recordedAt
	);
	return written === 'conflict'
		? conflict('Somebody changed this exercise meanwhile; reload to see it.')
		: ok({ text, changed: true });
}

function textOf(slip: Slip, a: Answer, next: NextPrescription | null, today: string): string {
	if (a.answer === 'accepted')
		return slip.trace.change === null
			? decisionSentence(slip.trace, today)
			: `${slip.trace.change.kind === 'mend' ? 'Mended' : slip.trace.decision === 'regress' ? 'Regress' : 'Advance'}: ${changeText(slip.trace.change)}.`;
	if (next === null) return 'No change.';
	const { step, dose, setup } = next.prescribed;
	const where = setupText(setup);
	return `${a.answer === 'altered' ? 'Gentler' : 'Overridden'}: ${stepTitle(step)} ${doseText(dose)}${where === '' ? '' : `, ${where}`}.`;
}
