/**
 * Answers a slip: accept, alter to something gentler, or override with a reason (licensed). One transaction locks the client,
 * reloads, recomputes: another hash, or a prescription somebody replaced meanwhile, is a conflict and nothing is written.
 */
import { ok } from '#lib/core/base/result.ts';
import { doseText, doseVolume } from '#lib/core/dose/dose.ts';
import { stepOf, type Step } from '#lib/core/exercise/family.ts';
import { lengthIn, type SolvedSetup } from '#lib/core/fit/context.ts';
import { fitStep, shortAt } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import type { Prescribed, Trace } from '#lib/core/decision/trace.ts';
import { changeText, decisionSentence } from '#lib/wording/decision.ts';
import { setupText } from '#lib/wording/setup.ts';
import { stepTitle } from '#lib/wording/steps.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { lockClient } from '../repo/client-repo.ts';
import { answeredSlips } from '../repo/decision-repo.ts';
import type { PrescriptionKind } from '../repo/exercise-repo.ts';
import { allow, ConflictError, conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';
import { delegated, unitOf, writePrescription } from './prescribe.ts';
import { advancesToday, fitContextOf, loadRecords, slipOf, versions, type ClientRecord, type Slip } from './record.ts';

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
	readonly instead?: { readonly step: string; readonly sets: number; readonly reps: number; readonly loadKg: number; readonly setup?: SolvedSetup };
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

export async function signDecision(ctx: Context, a: Answer, recordedAt?: Date): Promise<Outcome<Signed>> {
	const may = allow(ctx.actor, a.answer === 'overridden' ? 'override' : 'sign');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, a.clientId))) return notFound;
		const [r] = await loadRecords(t, a.clientId);
		const exercise = r?.exercises.find((e) => e.id === a.exerciseId);
		if (r === undefined || exercise === undefined) return notFound;
		const repeated = await t.trx.selectFrom('decision').select(['id', 'outcome']).where('id', '=', a.id).executeTakeFirst();
		if (repeated !== undefined) return ok({ text: (repeated.outcome as { text: string }).text, changed: false });
		const slip = slipOf(r, exercise, ctx.today, advancesToday(r, ctx.today), true);
		const stale = await staleness(t, a, slip);
		if (stale !== undefined) return stale;
		if (!delegated(ctx.actor, r, exercise.family, ctx.today)) return { ok: false, refusal: { why: 'not-allowed', message: 'Signing for this client is not delegated to you; ask a licensed user.' } };
		if (slip.trace.decision === 'wait' && a.answer === 'accepted') return invalid('answer', 'Nothing to sign yet: what the slip waits for comes first.');
		const next = nextOf(ctx, r, slip, a);
		return next.ok ? write(t, ctx, r, slip, a, next.value, recordedAt) : next;
	});
}

/** Somebody else was first, or the record moved since the slip was shown. */
async function staleness(t: PracticeTransaction, a: Answer, slip: Slip): Promise<Outcome<never> | undefined> {
	const other = (await answeredSlips(t, a.clientId)).get(a.exerciseId);
	if (other !== undefined && other.hash === a.hash) return conflict(`${other.by} answered this slip already. Reload to see what stands.`);
	if (slip.hash === a.hash && slip.chain.head.id === a.basedOn) return undefined;
	return conflict(
		other !== undefined && slip.chain.head.id !== a.basedOn
			? `${other.by} signed a decision on this exercise meanwhile. Reload to see what stands.`
			: 'The record changed since this slip was shown. Reload to see the slip as it is now.'
	);
}

function nextOf(ctx: Context, r: ClientRecord, slip: Slip, a: Answer): Outcome<NextPrescription | null> {
	const { trace } = slip;
	if (a.answer === 'accepted') return ok(acceptedOf(trace, slip));
	if (a.instead === undefined) return invalid('instead', 'Say what is prescribed instead.');
	const family = r.families[slip.exercise.family];
	const step = family === undefined ? undefined : stepOf(family, a.instead.step);
	if (step === undefined) return invalid('step', `There is no step ${a.instead.step} in this family.`);
	const { sets, reps, loadKg, setup } = a.instead;
	const now = slip.chain.head;
	const { unit: _, ...kept } = now.dose;
	const dose = { ...kept, ...unitOf(step), sets, reps, loadKg, target: step.usualDose.target };
	const prescribed: Prescribed = { step: step.id, dose, setup: settledSetup(ctx, r, slip, step, setup) };
	if (a.answer === 'altered') {
		if (trace.decision === 'stop' || trace.decision === 'refer') return invalid('answer', 'After a stop or a referral nothing gentler is prescribed here; a licensed user clears it first.');
		const refused = bolderThan(prescribed, trace.change?.result ?? slip.input.exercise, [now.step, trace.change?.result.step ?? now.step]);
		return refused === undefined ? ok({ prescribed, kind: 'alter', state: 'active' }) : invalid('instead', refused);
	}
	if ((a.reason ?? '').trim().length < 5) return invalid('reason', 'An override needs its reason in a few words.');
	if (trace.rule === 'refer.emergency' || trace.rule === 'refer.red-flag') return invalid('answer', 'A red flag is open; it is closed first, on the client’s page.');
	if (shortAt(step, fitContextOf(r, ctx.today), prescribed.setup ?? null).some((l) => l.by === 'protocol')) return invalid('step', 'A protocol limit blocks this step; it comes first until it is lifted.');
	return ok({ prescribed, kind: trace.decision === 'stop' ? 'resume' : 'alter', state: 'active' });
}

/**
 * The whole set-up of what is prescribed instead: what was typed, on top of what is proposed or stands for that step, else as
 * solved. Only the lengths that belong to the step are kept, so that a cleared field never means "as low as you like".
 */
function settledSetup(ctx: Context, r: ClientRecord, slip: Slip, step: Step, typed: SolvedSetup | undefined): SolvedSetup {
	const proposed = slip.trace.change?.result;
	const { head } = slip.chain;
	const base = proposed?.step === step.id ? proposed.setup : head.step === step.id ? head.setup : undefined;
	const own = base ?? setupFor(step, fitStep(step, fitContextOf(r, ctx.today)));
	const length = lengthIn(own);
	const chosen = length === null ? undefined : (typed?.[length.of] ?? length.value);
	const heelWedgeCm = length?.of === 'seatCm' ? undefined : (typed?.heelWedgeCm ?? own.heelWedgeCm);
	return {
		...(length === null || chosen === undefined ? {} : { [length.of]: chosen }),
		...(length?.of === 'seatCm' && chosen === own.seatCm && own.build !== undefined ? { build: own.build } : {}),
		...(heelWedgeCm === undefined ? {} : { heelWedgeCm })
	};
}

/** Why something is bolder than what was proposed; undefined when it is gentler or equal. */
export function bolderThan(p: Prescribed, proposal: Prescribed, steps: readonly string[]): string | undefined {
	if (!steps.includes(p.step)) return `${stepTitle(p.step)} is another step; gentler stays with ${[...new Set(steps)].map(stepTitle).join(' or ')}.`;
	if (doseVolume(p.dose) > doseVolume(proposal.dose)) return `${p.dose.sets}×${p.dose.reps} is more than the proposed ${proposal.dose.sets}×${proposal.dose.reps}; gentler is less or equal. Bolder takes an override.`;
	if (p.dose.loadKg > proposal.dose.loadKg) return `${p.dose.loadKg} kg is more than the proposed ${proposal.dose.loadKg} kg.`;
	const [own, proposed] = [lengthIn(p.setup), lengthIn(proposal.setup)];
	if (p.step === proposal.step && own !== null && proposed !== null && own.of === proposed.of && (own.value - proposed.value) * own.harder > 0)
		return own.of === 'seatCm' ? `A ${own.value} cm seat is lower than the proposed ${proposed.value} cm; gentler is higher or equal.` : own.of === 'thighDeg' ? `A depth of ${own.value}° is deeper than the proposed ${proposed.value}°.` : `${setupText(p.setup)} is harder than the proposed ${setupText(proposal.setup)}.`;
	return undefined;
}

function acceptedOf(trace: Trace, slip: Slip): NextPrescription | null {
	const { head } = slip.chain;
	const now: Prescribed = { step: head.step, dose: head.dose, ...(head.setup === null ? {} : { setup: head.setup }) };
	if (trace.decision === 'stop') return head.state === 'stopped' ? null : { prescribed: now, kind: 'stop', state: 'stopped' };
	if (trace.change === null) return null;
	if (trace.change.kind === 'set-aside') return { prescribed: now, kind: 'set-aside', state: 'set-aside' };
	return { prescribed: trace.change.result, kind: trace.decision === 'regress' ? 'regress' : trace.change.kind === 'retry' ? 'retry' : 'advance', state: 'active' };
}

async function write(t: PracticeTransaction, ctx: Context, r: ClientRecord, slip: Slip, a: Answer, next: NextPrescription | null, recordedAt?: Date): Promise<Outcome<Signed>> {
	const { exercise, trace, input } = slip;
	const text = textOf(slip, a, next, ctx.today);
	const row = {
		id: a.id,
		exercise_id: exercise.id,
		client_id: a.clientId,
		local_day: ctx.today,
		based_on: slip.chain.head.id,
		inputs: JSON.stringify(input),
		inputs_hash: slip.hash,
		versions: JSON.stringify(versions(r.policy)),
		proposal: JSON.stringify(trace),
		answer: a.answer,
		outcome: JSON.stringify({ prescriptionId: next === null ? null : a.prescriptionId, text }),
		reason: a.reason ?? null
	};
	if ((await append(t, 'decision', row, recordedAt)) === 'conflict') return conflict('This slip was already answered.');
	if (next === null) return ok({ text, changed: false });
	const family = r.families[exercise.family];
	const step = family === undefined ? undefined : stepOf(family, next.prescribed.step);
	if (family === undefined || step === undefined) return invalid('step', 'This step is no longer in the catalogue; choose another.');
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
			reason: a.reason ?? null
		},
		recordedAt
	);
	// Thrown, so that the decision row goes with it.
	if (written === 'conflict') throw new ConflictError('Somebody changed this exercise meanwhile; reload to see it.');
	return ok({ text, changed: true });
}

/** A conflict found after something was written: rolls the transaction back. */
function textOf(slip: Slip, a: Answer, next: NextPrescription | null, today: string): string {
	if (a.answer === 'accepted') return slip.trace.change === null ? decisionSentence(slip.trace, today) : `${slip.trace.decision === 'regress' ? 'Regress' : 'Advance'}: ${changeText(slip.trace.change)}.`;
	if (next === null) return 'No change.';
	const { step, dose, setup } = next.prescribed;
	const where = setupText(setup);
	return `${a.answer === 'altered' ? 'Gentler' : 'Overridden'}: ${stepTitle(step)} ${doseText(dose)}${where === '' ? '' : `, ${where}`}.`;
}
