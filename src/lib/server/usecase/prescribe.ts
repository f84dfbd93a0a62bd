/**
 * Prescribes a step of a family with a dose: a new exercise, or another step of one that runs. Inside fit and delegation for a
 * trainer; a licensed user may go past what is tolerated with a reason, nobody past a protocol limit.
 */
import { CATALOGUE_VERSION } from '#lib/catalogue/families.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import {
	cuesFor,
	faultsIn,
	servesOf,
	stepOf,
	type ExerciseFamily,
	type Step
} from '#lib/core/exercise/family.ts';
import type { SolvedSetup } from '#lib/core/movement/context.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { techniqueFor } from '#lib/core/movement/squat/stand.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { sideOf } from '#lib/core/body/region-side.ts';
import { asksGates, closedFor, type Closed, type ClosedFacts } from '#lib/core/safety/closed.ts';
import { gateText } from '#lib/wording/gates.ts';
import { closedText } from '#lib/wording/safety.ts';
import { flagName } from '#lib/wording/screening.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import type { Exercise, PrescriptionKind, Snapshot } from '../repo/exercise-repo.ts';
import { conflict, invalid, notFound, refuseFor, type Actor, type Context, type Outcome } from './actor.ts';
import { bolderThan } from './bolder.ts';
import { command, type Run } from './command.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { advancesToday, operationUnrecorded, reaches, treatsBack } from '../record/facts-of.ts';
import { fitContextOf, standingFactsOf } from '../record/fit-of.ts';
import { gatesOf } from '../record/gates-of.ts';
import { loadRecords, type ClientRecord } from '../record/load.ts';
import { slipOf } from '../record/slip-of.ts';

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
export const unitOf = (step: Step): Pick<PrescribedDose, 'unit'> =>
	step.counts === undefined || step.counts === 'reps' ? {} : { unit: step.counts };

/** Is this trainer delegated for this client and family today? Licensed users need none. */
export const delegated = (actor: Actor, r: ClientRecord, family: string, today: string): boolean =>
	actor.licensed ||
	r.room.delegations.some(
		(d) => d.clientId === r.head.id && d.families.includes(family) && d.expires >= today
	);

/** What was written, with the dose as it counts: repetitions, seconds, steps or breaths. */
export interface Given {
	readonly id: string;
	readonly dose: PrescribedDose;
}

export const prescribe = command<NewPrescription, Given>({
	verb: 'prescribe',
	id: (p) => p.id,
	client: (p) => p.clientId,
	run: async (p, run) => {
		const { t, ctx } = run;
		const [r] = await loadRecords(t, p.clientId);
		if (r === undefined) return notFound;
		const existing =
			r.exercises.find((e) => e.id === p.exerciseId) ??
			r.exercises.find((e) => e.family === p.family && e.region === p.region);
		if (existing !== undefined && (existing.family !== p.family || existing.region !== p.region))
			return conflict('This exercise is of another ladder or region; reload to see it.');
		const family = r.families[p.family];
		const step = family === undefined ? undefined : stepOf(family, p.step);
		if (family === undefined || step === undefined)
			return invalid('step', `There is no step ${p.step} in ${p.family}.`);
		if (step.retired !== undefined)
			return invalid(
				'step',
				`${step.title} is no longer given${step.retired.replacedBy === null ? '' : `; ${step.retired.replacedBy} took its place`}. Choose another step.`
			);
		if (r.head.setting.usual[p.region] === undefined)
			return invalid('region', `${p.region} is not under treatment for this client.`);
		// What is delegated is what the exercise is, not what the form calls it.
		if (!delegated(ctx.actor, r, existing?.family ?? family.id, ctx.today))
			return refuseFor('Prescribing for this client is not delegated to you; ask a licensed user.');
		const held = heldBy(r, p.region);
		if (held !== undefined) return invalid('step', held);
		const fit = fitContextOf(r, ctx.today, sideOf(p.region));
		const setup = p.setup ?? setupFor(step, fitStep(step, fit), fit.body);
		const wanted: Wanted = { family, step, setup, chosen: p.setup !== undefined, p, existing };
		const closed = closedOf(r, wanted, ctx.today);
		const refused = closedRefusal(ctx.actor, closed, p.reason) ?? bolderRefusal(ctx, r, wanted);
		return refused ?? write(run, r, wanted, closed);
	}
});

interface Wanted {
	readonly family: ExerciseFamily;
	readonly step: Step;
	readonly setup: SolvedSetup;
	/** The set-up was chosen by hand. */
	readonly chosen: boolean;
	readonly p: NewPrescription;
	readonly existing: Exercise | undefined;
}

/** What holds everything behind it for a region: no screening, an open red flag that reaches it, an operation without its protocol. */
export function heldBy(r: ClientRecord, region: string): string | undefined {
	const { screening, flags, surgery } = r.head;
	const flag = flags.find((f) => f.open && f.severity === 'red' && reaches(f, region));
	if (flag !== undefined)
		return `A flag is open: ${flagName(flag.code)}. Nothing is prescribed until it is closed.`;
	if (screening === null || !screening.complete)
		return 'Screen first: nothing is prescribed before every question of the screening is answered.';
	if (surgery.some((s) => !s.limitsEntered))
		return 'An operation waits for its protocol; nothing is prescribed before its limits are entered.';
	if (operationUnrecorded(r))
		return 'The screening says there was an operation: record it with its protocol first, or that no limits hold.';
	return undefined;
}

/** All that closes what is wanted, gates included; a step that was reached already asks no gate. */
function closedOf(
	r: ClientRecord,
	{ family, step, setup, chosen, p, existing }: Wanted,
	today: Day
): readonly Closed[] {
	const facts = {
		...standingFactsOf(r, today, family, step, sideOf(p.region)),
		unmet: unmetGates(r, family, step, existing),
		treatsBack: treatsBack(r)
	};
	return closedFor({ family, step, setup, loadKg: p.loadKg, since: today }, chosen, facts);
}

/** Gates that are not met, of a step farther than the one that stands. */
export function unmetGates(
	r: ClientRecord,
	family: ExerciseFamily,
	step: Step,
	existing: Exercise | undefined
): ClosedFacts['unmet'] {
	if (
		!asksGates(
			family,
			step.id,
			existing === undefined ? undefined : effectiveChain(existing.prescriptions).head.step
		)
	)
		return [];
	return gatesOf(r, step)
		.filter((g) => !g.met)
		.map((g) => ({ gate: g.gate, text: gateText(g) }));
}

function closedRefusal(
	actor: Actor,
	closed: readonly Closed[],
	reason: string | undefined
): Outcome<never> | undefined {
	const first = closed[0];
	if (first === undefined) return undefined;
	const never = closed.find((c) => c.who === 'nobody');
	if (never !== undefined)
		return invalid(
			'step',
			`${closedText(never)}. A protocol comes first until a licensed user lifts it or confirms its next phase.`
		);
	const why = [...new Set(closed.map(closedText))].join('; ');
	if (!actor.licensed)
		return refuseFor(
			`This step is closed: ${why}. Only a licensed user may prescribe it, with a reason.`,
			'step'
		);
	return (reason ?? '').trim().length < 5
		? invalid('reason', `This step is closed: ${why}. Give the reason for prescribing it all the same.`)
		: undefined;
}

/** A dose or step bolder than the slip is a licensed user's, with a reason. */
function bolderRefusal(
	ctx: Context,
	r: ClientRecord,
	{ family, step, setup, p, existing }: Wanted
): Outcome<never> | undefined {
	if (existing === undefined) return undefined;
	const slip = slipOf(r, existing, ctx.today, advancesToday(r, ctx.today));
	const { head } = slip.chain;
	const proposed = slip.trace.change?.result ?? {
		step: head.step,
		dose: head.dose,
		...(head.setup === null ? {} : { setup: head.setup })
	};
	const at = (id: string): number => family.steps.findIndex((s) => s.id === id);
	const most = Math.max(at(head.step), at(proposed.step));
	const dose = { ...proposed.dose, sets: p.sets, reps: p.reps, loadKg: p.loadKg };
	const bolder =
		at(step.id) > most
			? `${step.title} is farther than the slip goes.`
			: step.id === proposed.step
				? bolderThan({ step: step.id, dose, setup }, proposed, [step.id])
				: undefined;
	const stopped = head.state === 'stopped' ? 'The exercise is stopped.' : undefined;
	const why = stopped ?? bolder;
	if (why === undefined) return undefined;
	if (!ctx.actor.licensed)
		return refuseFor(`${why} Only a licensed user may prescribe it, with a reason.`, 'step');
	return (p.reason ?? '').trim().length < 5
		? invalid('reason', `${why} Give the reason for prescribing it all the same.`)
		: undefined;
}

async function write(
	{ t, ctx, recordedAt }: Run,
	r: ClientRecord,
	{ family, step, setup, p, existing }: Wanted,
	closed: readonly Closed[]
): Promise<Outcome<Given>> {
	const exerciseId = existing?.id ?? p.exerciseId;
	if (existing === undefined)
		await t.trx
			.insertInto('exercise')
			.values({
				practice_id: t.practiceId,
				id: exerciseId,
				client_id: p.clientId,
				family: family.id,
				region: p.region,
				side: sideOf(p.region) ?? null,
				purpose: servesOf(family, step)[0] ?? family.id
			})
			.execute();
	const head = existing?.prescriptions[existing.prescriptions.length - 1];
	const dose: PrescribedDose = {
		school: p.loadKg > 0 ? 'double-progression' : 'sets-first',
		sets: p.sets,
		reps: p.reps,
		loadKg: p.loadKg,
		target: step.usualDose.target,
		...unitOf(step)
	};
	const row = {
		id: p.id,
		exerciseId,
		clientId: p.clientId,
		day: ctx.today,
		step,
		family,
		technique: r.head.setting.technique,
		dose,
		setup,
		state: 'active',
		kind: head === undefined ? 'start' : head.state === 'stopped' ? 'resume' : 'alter',
		replaces: head?.id ?? null,
		restores: null,
		decisionId: null,
		reason: p.reason ?? null,
		passedOver: closed.map((c) => c.key)
	} as const;
	return (await writePrescription(t, row, recordedAt)) === 'conflict'
		? conflict('Somebody changed this exercise meanwhile; reload to see it.')
		: ok({ id: p.id, dose });
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
	readonly passedOver?: readonly string[];
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
			passed_over: JSON.stringify(p.passedOver ?? []),
			replaces_id: p.replaces,
			reason: p.reason
		},
		recordedAt
	);
}
