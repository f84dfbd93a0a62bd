/**
 * Prescribes a step of a family with a dose: a new exercise, or another step of one that runs. Inside fit and delegation for a
 * trainer; a licensed user may go past what is tolerated with a reason, nobody past a protocol limit.
 */
import { CATALOGUE_VERSION } from '#lib/catalogue/families.ts';
import { LEAST_REASON } from '#lib/contract/basics.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';
import {
	cuesFor,
	faultsIn,
	servesOf,
	stepOf,
	type ExerciseFamily,
	type Step
} from '#lib/core/exercise/family.ts';
import { lengthIn, type SolvedSetup } from '#lib/core/movement/context.ts';
import { lengthOf } from '#lib/core/movement/of-step.ts';
import { techniqueFor } from '#lib/core/movement/squat/stand.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { sideOf } from '#lib/core/body/region-side.ts';
import { besideBinds } from '#lib/core/safety/beside.ts';
import { closedFor, farthestOn, type Closed } from '#lib/core/safety/closed.ts';
import { LENGTH_NAME } from '#lib/wording/setup.ts';
import { besideText, closedText } from '#lib/wording/safety.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import type { Exercise, PrescriptionKind, PrescriptionState, Snapshot } from '../repo/exercise-repo.ts';
import { conflict, invalid, notFound, refuseFor, type Actor, type Context, type Outcome } from './actor.ts';
import { bolderThan } from './bolder.ts';
import { notHere, particularsFor } from './not-here.ts';
import { command, type Run } from './command.ts';
import { endFor, endTrouble } from './end-exercise.ts';
import { delegated, NOT_DELEGATED } from './delegated.ts';
import { heldBy } from '../record/held-by.ts';
import { advancesToday, fears, stepsOn, treatsBack } from '../record/facts-of.ts';
import { fitContextOf, standingFactsOf } from '../record/fit-of.ts';
import { unmetGates } from '../record/gates-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { slipOf } from '../record/slip-of.ts';
import { setupGiven } from './setup-given.ts';

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
	/** Its sets are rounds of a circuit: 1 → 3 → 5. */
	readonly rounds?: true;
	readonly setup?: SolvedSetup;
	readonly particulars?: Particulars;
	/**
	 * The exercise this takes the place of: of the same ladder and region it goes on under its own history; of another it is ended, under `endId`.
	 * Left out, this is a further exercise.
	 */
	readonly inPlaceOf?: string;
	readonly endId?: string;
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

/** What was written, with the dose as it counts: repetitions, seconds, steps or breaths. */
export interface Given {
	readonly id: string;
	readonly dose: PrescribedDose;
}

export const prescribe = command<NewPrescription, Given>({
	verb: 'prescribe',
	id: (p) => p.id,
	client: (p) => p.clientId,
	run: (p, run) => prescribeIn(run, p)
});

/** Prescribes inside a command: alone, or one of several. */
export async function prescribeIn(run: Run, p: NewPrescription): Promise<Outcome<Given>> {
	const { ctx } = run;
	const r = await run.record();
	if (r === undefined) return notFound;
	const named = namedIn(r, p);
	if (!named.ok) return named;
	const { existing, replaced } = named.value;
	const asked = stepAsked(r, p);
	if (!asked.ok) return asked;
	const { family, step } = asked.value;
	const particulars = particularsFor(r, p, step, existing);
	const trouble =
		foreignLength(step, p.setup) ??
		notAllowed(ctx, r, p, existing?.family ?? family.id) ??
		notHere(r, p, step, particulars);
	if (trouble !== undefined) return trouble;
	const fit = fitContextOf(r, ctx.today, sideOf(p.region));
	const setup = setupGiven(step, p.setup, fit);
	if (setup === undefined)
		return invalid('chosen', `${step.title} cannot be set so any more; reload to see how it can.`);
	const wanted: Wanted = { family, step, setup, chosen: p.setup !== undefined, p, existing, particulars };
	const closed = closedOf(r, wanted, ctx.today);
	const refused =
		replacedTrouble(ctx, r, replaced) ??
		closedRefusal(ctx.actor, closed, p.reason) ??
		bolderRefusal(ctx, r, wanted);
	if (refused !== undefined) return refused;
	const ended = replaced === undefined ? undefined : await endFor(run, replaced, step, p);
	return ended ?? write(run, r, wanted, closed);
}

const replacedTrouble = (ctx: Context, r: ClientRecord, replaced: Exercise | undefined) =>
	replaced === undefined ? undefined : endTrouble(r, replaced, ctx);

/** The step that is asked for, where there is one and it is still given. */
function stepAsked(
	r: ClientRecord,
	p: NewPrescription
): Outcome<{ readonly family: ExerciseFamily; readonly step: Step }> {
	const family = r.families[p.family];
	const step = family === undefined ? undefined : stepOf(family, p.step);
	if (family === undefined || step === undefined)
		return invalid('step', `There is no step ${p.step} in ${p.family}.`);
	if (step.retired === undefined) return ok({ family, step });
	const { replacedBy } = step.retired;
	const instead = replacedBy === null ? '' : `; ${replacedBy} took its place`;
	return invalid('step', `${step.title} is no longer given${instead}. Choose another step.`);
}

/** A region that is not treated, a ladder that is not delegated, or something that holds the region. */
function notAllowed(
	ctx: Context,
	r: ClientRecord,
	{ region }: NewPrescription,
	/** What is delegated is what the exercise is, not what the form calls it. */
	family: string
): Outcome<never> | undefined {
	if (r.head.setting.usual[region] === undefined)
		return invalid('region', `${region} is not under treatment for this client.`);
	if (!delegated(ctx.actor, r, family, ctx.today)) return refuseFor(NOT_DELEGATED);
	const held = heldBy(r, region);
	return held === undefined ? undefined : invalid('step', held);
}

/** A step is set up by its own length: one of another kind could not be held against what the slip proposes. */
function foreignLength(step: Step, setup: SolvedSetup | undefined): Outcome<never> | undefined {
	const given = lengthIn(setup);
	return given === null || given.of === lengthOf(step.posture)
		? undefined
		: invalid(
				given.of,
				`${step.title} is not set up by its ${LENGTH_NAME[given.of]}; reload to see how it is.`
			);
}

interface Wanted {
	readonly family: ExerciseFamily;
	readonly step: Step;
	readonly setup: SolvedSetup;
	/** The set-up was chosen by hand. */
	readonly chosen: boolean;
	readonly particulars: Particulars;
	readonly p: NewPrescription;
	readonly existing: Exercise | undefined;
}

/** The exercise that is changed, and the one that is ended for it; refused where what is named is gone or is not what is wanted. */
function namedIn(
	r: ClientRecord,
	p: NewPrescription
): Outcome<{ readonly existing: Exercise | undefined; readonly replaced: Exercise | undefined }> {
	const stood = p.inPlaceOf === undefined ? undefined : r.exercises.find((e) => e.id === p.inPlaceOf);
	if (p.inPlaceOf !== undefined && stood === undefined)
		return conflict('What this takes the place of has ended meanwhile; reload to see the plan.');
	const goesOn = stood?.family === p.family && stood.region === p.region;
	const existing = goesOn ? stood : r.exercises.find((e) => e.id === p.exerciseId);
	if (existing === undefined && r.everGiven.some((e) => e.id === p.exerciseId))
		return conflict('This exercise has ended; take it up again on the plan, or begin another.');
	if (existing !== undefined && (existing.family !== p.family || existing.region !== p.region))
		return conflict('This exercise is of another ladder or region; reload to see it.');
	return ok({ existing, replaced: goesOn ? undefined : stood });
}

const saysWhy = (reason: string | undefined): boolean => (reason ?? '').trim().length >= LEAST_REASON;

/** All that closes what is wanted, gates included; a step that was reached already asks no gate. */
function closedOf(
	r: ClientRecord,
	{ family, step, setup, chosen, p }: Wanted,
	today: Day
): readonly Closed[] {
	const facts = {
		...standingFactsOf(r, today, family, step, sideOf(p.region)),
		unmet: unmetGates(r, family, step, p.region, today),
		treatsBack: treatsBack(r),
		...(fears(r, family.id)
			? { feared: { reached: farthestOn(family, stepsOn(r, family.id, p.region)) } }
			: {})
	};
	return closedFor({ family, step, setup, loadKg: p.loadKg, since: today }, chosen, facts);
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
	return saysWhy(reason)
		? undefined
		: invalid('reason', `This step is closed: ${why}. Give the reason for prescribing it all the same.`);
}

/** A dose or step bolder than the slips go is a licensed user's, with a reason. */
function bolderRefusal(ctx: Context, r: ClientRecord, wanted: Wanted): Outcome<never> | undefined {
	const { existing, p } = wanted;
	const beside = existing === undefined ? besideIn(ctx, r, wanted) : undefined;
	const said = beside === undefined ? undefined : besideText(beside.answer, beside.by.title);
	if (beside?.answer === 'given' && said !== undefined) return conflict(said);
	const why = existing === undefined ? said : bolderThanSlip(ctx, r, existing, wanted);
	if (why === undefined) return undefined;
	if (!ctx.actor.licensed)
		return refuseFor(`${why} Only a licensed user may prescribe it, with a reason.`, 'step');
	return saysWhy(p.reason)
		? undefined
		: invalid('reason', `${why} Give the reason for prescribing it all the same.`);
}

/** Why a change of an exercise goes past its own slip. */
function bolderThanSlip(
	ctx: Context,
	r: ClientRecord,
	existing: Exercise,
	{ family, step, setup, p }: Wanted
): string | undefined {
	const slip = slipOf(r, existing, ctx.today, advancesToday(r, ctx.today));
	const { head } = slip.chain;
	if (head.state === 'stopped') return 'The exercise is stopped.';
	if (head.state === 'set-aside' && head.decisionId !== null) return 'A signed slip set it aside.';
	const proposed = slip.trace.change?.result ?? {
		step: head.step,
		dose: head.dose,
		...(head.setup === null ? {} : { setup: head.setup })
	};
	const at = (id: string): number => family.steps.findIndex((s) => s.id === id);
	if (at(step.id) > Math.max(at(head.step), at(proposed.step)))
		return `${step.title} is farther than the slip goes.`;
	const dose = { ...proposed.dose, sets: p.sets, reps: p.reps, loadKg: p.loadKg };
	return step.id === proposed.step
		? bolderThan({ step: step.id, dose, setup }, proposed, [step.id], step)
		: undefined;
}

/** What stands on the same ladder for the same region, as a further exercise beside it is bound by. */
function besideIn(ctx: Context, r: ClientRecord, { family, step, p }: Wanted) {
	const standing = r.exercises
		.filter((e) => e.family === family.id && e.region === p.region)
		.map((e) => {
			const { chain, trace } = slipOf(r, e, ctx.today, advancesToday(r, ctx.today));
			const { step: stands, state, decisionId, snapshot } = chain.head;
			return {
				step: stands,
				state,
				bySlip: decisionId !== null,
				goesBack: GOES_BACK.has(trace.decision),
				title: snapshot.title
			};
		});
	return besideBinds(family, step.id, standing);
}
const GOES_BACK: ReadonlySet<string> = new Set(['stop', 'refer', 'regress']);

async function write(
	{ t, ctx, recordedAt }: Run,
	r: ClientRecord,
	{ family, step, setup, p, existing, particulars }: Wanted,
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
		school: p.rounds === true ? 'rounds' : p.loadKg > 0 ? 'double-progression' : 'sets-first',
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
		kind: head === undefined ? 'start' : head.state === 'active' ? 'alter' : 'resume',
		replaces: head?.id ?? null,
		restores: null,
		decisionId: null,
		reason: p.reason ?? null,
		particulars,
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
	readonly state: PrescriptionState;
	readonly kind: PrescriptionKind;
	readonly replaces: string | null;
	readonly restores: string | null;
	readonly decisionId: string | null;
	readonly reason: string | null;
	readonly particulars: Particulars;
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
			particulars: JSON.stringify(p.particulars),
			replaces_id: p.replaces,
			reason: p.reason
		},
		recordedAt
	);
}
