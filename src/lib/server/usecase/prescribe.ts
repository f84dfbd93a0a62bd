/**
 * Prescribes a step of a family with a dose: a new exercise, or another step of one that runs. Inside fit and delegation for a
 * trainer; a licensed user may go past what is tolerated with a reason, nobody past a protocol limit.
 */
import { CATALOGUE_VERSION } from '#lib/catalogue/families.ts';
import { ok } from '#lib/core/base/result.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import { cuesFor, faultsIn, servesOf, stepOf, type ExerciseFamily, type Step } from '#lib/core/exercise/family.ts';
import type { SolvedSetup } from '#lib/core/fit/context.ts';
import { fitStep, shortAt, type Limiting, type StepFit } from '#lib/core/fit/fit.ts';
import { techniqueFor } from '#lib/core/fit/squat-stand.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { lockClient } from '../repo/client-repo.ts';
import type { Exercise, PrescriptionKind, Snapshot } from '../repo/exercise-repo.ts';
import { missingText, positionsText } from '#lib/wording/fit.ts';
import { flagName, withheldText } from '#lib/wording/screening.ts';
import { allow, conflict, invalid, notFound, type Actor, type Context, type Outcome } from './actor.ts';
import { fitContextOf, loadRecords, type ClientRecord } from './record.ts';

export interface NewPrescription {
	readonly id: string;
	readonly exerciseId: string;
	readonly clientId: string;
	readonly family: string;
	readonly step: string;
	readonly region: string;
	readonly sets: number;
	readonly reps: number;
	readonly loadKg: number;
	readonly setup?: SolvedSetup;
	readonly reason?: string;
}

/** What a prescription shows for ever, from the catalogue of the day. */
export function snapshotOf(family: ExerciseFamily, step: Step, technique: Technique | null): Snapshot {
	const used = techniqueFor(step, technique ?? undefined) ?? 'ordinary';
	return {
		title: step.title,
		what: step.what,
		cues: cuesFor(family, step, used),
		cautions: [...step.cautions, ...family.cautions],
		faults: faultsIn(family, step, used).map((f) => ({ id: f.id, title: f.title })),
		catalogue: CATALOGUE_VERSION
	};
}

/** What a step counts, as its dose carries it; nothing for repetitions. */
export const unitOf = (step: Step): Pick<PrescribedDose, 'unit'> => (step.counts === undefined || step.counts === 'reps' ? {} : { unit: step.counts });

/** Is this trainer delegated for this client and family today? Licensed users need none. */
export const delegated = (actor: Actor, r: ClientRecord, family: string, today: string): boolean =>
	actor.licensed || r.room.delegations.some((d) => d.clientId === r.head.id && d.families.includes(family) && d.expires >= today);

/** What was written, with the dose as it counts: repetitions, seconds, steps or breaths. */
export interface Given {
	readonly id: string;
	readonly dose: PrescribedDose;
}

export async function prescribe(ctx: Context, p: NewPrescription, recordedAt?: Date): Promise<Outcome<Given>> {
	const may = allow(ctx.actor, 'prescribe');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, p.clientId))) return notFound;
		const [r] = await loadRecords(t, p.clientId);
		if (r === undefined) return notFound;
		const family = r.families[p.family];
		const step = family === undefined ? undefined : stepOf(family, p.step);
		if (family === undefined || step === undefined) return invalid('step', `There is no step ${p.step} in ${p.family}.`);
		if (step.retired !== undefined) return invalid('step', `${step.title} is no longer given${step.retired.replacedBy === null ? '' : `; ${step.retired.replacedBy} took its place`}. Choose another step.`);
		if (r.head.setting.usual[p.region] === undefined) return invalid('region', `${p.region} is not under treatment for this client.`);
		if (!delegated(ctx.actor, r, p.family, ctx.today)) return { ok: false, refusal: { why: 'not-allowed', message: 'Prescribing for this client is not delegated to you; ask a licensed user.' } };
		const held = heldBy(r);
		if (held !== undefined) return invalid('step', held);
		const existing = r.exercises.find((e) => e.id === p.exerciseId) ?? r.exercises.find((e) => e.family === p.family && e.region === p.region);
		const same = existing?.prescriptions.find((x) => x.id === p.id);
		if (same !== undefined) return ok({ id: p.id, dose: same.dose });
		const fitting = fitContextOf(r, ctx.today);
		const fit = fitStep(step, fitting);
		const setup = p.setup ?? setupFor(step, fit);
		// A set-up that was chosen is judged for itself: a wedge may open what is blocked, a lower seat close what fits.
		const chosen = p.setup === undefined ? undefined : shortAt(step, fitting, p.setup);
		const refused = fitRefusal(ctx.actor, fit, chosen, p.reason);
		if (refused !== undefined) return refused;
		return write(t, ctx, r, p, family, step, setup, existing, recordedAt);
	});
}

/** What holds everything behind it: no screening, an open red flag, an operation without its protocol. */
function heldBy(r: ClientRecord): string | undefined {
	const { screening, flags, surgery } = r.head;
	const flag = flags.find((f) => f.open && f.severity === 'red');
	if (flag !== undefined) return `A flag is open: ${flagName(flag.code)}. Nothing is prescribed until it is closed.`;
	if (screening === null || !screening.complete) return 'Screen first: nothing is prescribed before every question of the screening is answered.';
	if (surgery.some((s) => !s.limitsEntered)) return 'An operation waits for its protocol; nothing is prescribed before its limits are entered.';
	return undefined;
}

function fitRefusal(actor: Actor, fit: StepFit, chosen: readonly Limiting[] | undefined, reason: string | undefined): Outcome<never> | undefined {
	const seen = fit.verdict === 'fits' && fit.seen !== null;
	const over = chosen === undefined ? (fit.verdict === 'blocked' ? fit.limiting : []) : seen ? chosen.filter((l) => l.by === 'protocol') : chosen;
	if (over.some((l) => l.by === 'protocol')) return invalid('step', 'A protocol limit blocks this step; it comes first until a licensed user lifts it.');
	const blocked = over.length > 0 || (chosen === undefined && fit.verdict === 'blocked');
	if (!blocked && fit.verdict !== 'unmeasured' && fit.withheld.length === 0 && fit.missing.length === 0 && fit.positions.every((x) => x.answer !== 'no')) return undefined;
	const what = fit.missing.length > 0 ? `needs what is not at hand (${missingText(fit)})` : fit.positions.some((x) => x.answer === 'no') ? `needs a position that is not tolerated (${positionsText(fit, 'no')})` : fit.withheld.length > 0 ? `is withheld while a flag is open (${withheldText(fit.withheld)})` : blocked ? 'asks for more range than is tolerated now' : 'needs a measurement first';
	if (!actor.licensed) return { ok: false, refusal: { why: 'not-allowed', field: 'step', message: `This step ${what}; only a licensed user may prescribe it, with a reason.` } };
	return (reason ?? '').trim().length < 5 ? invalid('reason', `This step ${what}; give the reason for prescribing it all the same.`) : undefined;
}

async function write(
	t: PracticeTransaction,
	ctx: Context,
	r: ClientRecord,
	p: NewPrescription,
	family: ExerciseFamily,
	step: Step,
	setup: SolvedSetup,
	existing: Exercise | undefined,
	recordedAt?: Date
): Promise<Outcome<Given>> {
	const exerciseId = existing?.id ?? p.exerciseId;
	if (existing === undefined) {
		const side = p.region.endsWith('-left') ? 'left' : p.region.endsWith('-right') ? 'right' : null;
		await t.trx.insertInto('exercise').values({ practice_id: t.practiceId, id: exerciseId, client_id: p.clientId, family: p.family, region: p.region, side, purpose: servesOf(family, step)[0] ?? p.family }).execute();
	}
	const head = existing?.prescriptions[existing.prescriptions.length - 1];
	const dose: PrescribedDose = { school: p.loadKg > 0 ? 'double-progression' : 'sets-first', sets: p.sets, reps: p.reps, loadKg: p.loadKg, target: step.usualDose.target, ...unitOf(step) };
	const written = await writePrescription(t, { id: p.id, exerciseId, clientId: p.clientId, day: ctx.today, step, family, technique: r.head.setting.technique, dose, setup, state: 'active', kind: head === undefined ? 'start' : 'alter', replaces: head?.id ?? null, restores: null, decisionId: null, reason: p.reason ?? null }, recordedAt);
	return written === 'conflict' ? conflict('Somebody changed this exercise meanwhile; reload to see it.') : ok({ id: p.id, dose });
}

export interface PrescriptionRow {
	readonly id: string;
	readonly exerciseId: string;
	readonly clientId: string;
	readonly day: string;
	readonly family: ExerciseFamily;
	readonly step: Step;
	readonly technique: Technique | null;
	readonly dose: PrescribedDose;
	readonly setup: SolvedSetup | null;
	readonly state: 'active' | 'stopped' | 'set-aside';
	readonly kind: PrescriptionKind;
	readonly replaces: string | null;
	readonly restores: string | null;
	readonly decisionId: string | null;
	readonly reason: string | null;
}

/** Appends a prescription after the head it replaces; a second successor of the same head is a conflict. */
export function writePrescription(t: PracticeTransaction, p: PrescriptionRow, recordedAt?: Date) {
	return append(
		t,
		'prescription',
		{
			id: p.id,
			exercise_id: p.exerciseId,
			client_id: p.clientId,
			local_day: p.day,
			step: p.step.id,
			dose: JSON.stringify(p.dose),
			setup: p.setup === null ? null : JSON.stringify(p.setup),
			snapshot: JSON.stringify(snapshotOf(p.family, p.step, p.technique)),
			state: p.state,
			kind: p.kind,
			restores_id: p.restores,
			decision_id: p.decisionId,
			replaces_id: p.replaces,
			reason: p.reason
		},
		recordedAt
	);
}
