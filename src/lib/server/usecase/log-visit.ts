/**
 * Logs one exercise of a session. Work closes, recording never: what was done is kept though it was suspended, stopped or closed for the day, marked
 * against advice, and then counts for pain and alarms and never for a streak. Alarms open their flags in the same transaction.
 *
 * A session belongs to the prescription that was in force on its day; one of a day before the exercise was given is history.
 */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { unparsed } from '#lib/contract/basics.ts';
import { parseLog } from '#lib/contract/log-form.ts';
import { ok } from '#lib/core/base/result.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import { closedToday } from '#lib/core/decision/closed-today.ts';
import { alarmsInSession, type Raised } from '#lib/core/safety/alarm.ts';
import type { Session } from '#lib/core/session/record.ts';
import { appendAll, type Append } from '../db/append.ts';
import type { Exercise, Prescription } from '../repo/exercise-repo.ts';
import { columnsOf } from '../repo/log-repo.ts';
import { conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';
import type { Run } from './command.ts';
import { openAlarms } from './open-alarms.ts';
import type { ClientRecord } from '../record/load.ts';
import { standingOf } from '../record/fit-of.ts';
import { boundOn, treatsBack } from '../record/facts-of.ts';
import { givenOn } from '../record/given-on.ts';
import { toldCommand } from './told-command.ts';

export interface NewLog {
	readonly id: string;
	readonly visitId: string;
	readonly clientId: string;
	readonly exerciseId: string;
	readonly prescriptionId: string;
	readonly session: Session;
}

export interface LogAnswer {
	/** What was reported that is acted on at once, gravest first. */
	readonly raised: readonly Raised[];
	/** It was done while it was held: kept so, and why. */
	readonly againstAdvice: boolean;
}

const EARLIEST_DAYS = 60;

export const { told: logVisit, typed: logTyped } = toldCommand<NewLog, LogAnswer>({
	verb: 'log visit',
	id: (l) => l.id,
	check: logTrouble,
	read: (form, r) => {
		const given = givenOn(r, String(form.get('prescriptionId') ?? ''), String(form.get('day') ?? ''));
		return given === undefined ? unparsed([NOT_THEIRS]) : parseLog(form, given);
	},
	run: (log, run, r) => logIn(run, log, r)
});

const NOT_THEIRS = {
	field: 'prescriptionId',
	message: 'This prescription is not this client’s; reload the page.'
};

/** Logs inside a command: one exercise alone, or one of a session. */
export async function logIn(run: Run, log: NewLog, r: ClientRecord): Promise<Outcome<LogAnswer>> {
	const { t, ctx, recordedAt } = run;
	const exercise = r.everGiven.find((e) => e.id === log.exerciseId);
	const given = exercise?.prescriptions.find((p) => p.id === log.prescriptionId);
	if (exercise === undefined || given === undefined) return notFound;
	// What a client tells of themselves nobody has seen.
	const told = ctx.actor.client === undefined ? log.session : { ...log.session, observed: false };
	const session = asKept(r, exercise, given, told);
	const belongs = inForceOn(exercise, given, session.date);
	if ((await write(run, { ...log, prescriptionId: belongs.id, session })) === 'conflict')
		return conflict('This session was already logged with other values; reload to see it.');
	const raised = alarmsInSession(session, exercise.region, treatsBack(r));
	await openAlarms(
		t,
		ctx,
		{ clientId: log.clientId, day: session.date, flags: r.head.flags },
		raised,
		recordedAt
	);
	return ok({ raised, againstAdvice: session.againstAdvice === true });
}

/** The prescription of the exercise that was in force on a day: the newest of that day or before; the given one where there was none. */
function inForceOn(exercise: Exercise, given: Prescription, day: Day): Prescription {
	if (given.day <= day) return given;
	return exercise.prescriptions.filter((p) => p.day <= day).pop() ?? given;
}

/** The session as it is kept: as usual only what a licensed user agreed, against advice where the work was held, lighter where the day was. */
function asKept(r: ClientRecord, exercise: Exercise, given: Prescription, s: Session): Session {
	const { asUsual: said = [], againstAdvice: _, lighter: __, ...rest } = s;
	const asUsual = said.filter((x) =>
		r.head.known.some((k) => k.symptom === x && k.region === exercise.region && k.until >= s.date)
	);
	const bound = boundOn(r, s.date);
	const step = stepAnywhere(r.families, given.step);
	const held =
		given.state !== 'active' ||
		standingOf(r, exercise, s.date)?.verdict === 'suspended' ||
		closedToday(bound, { region: exercise.region, tags: step?.tags ?? [] }).length > 0;
	const lighter = (bound?.setsShare ?? 1) < 1 && !held;
	return {
		...rest,
		...(asUsual.length === 0 ? {} : { asUsual }),
		...(held ? { againstAdvice: true } : {}),
		...(lighter ? { lighter: true } : {})
	};
}

export function logTrouble({ session }: NewLog, ctx: Context): Outcome<never> | undefined {
	const age = dayNumber(ctx.today) - dayNumber(session.date);
	if (!(age >= 0)) return invalid('day', `The day ${session.date} is in the future; today is ${ctx.today}.`);
	if (age > EARLIEST_DAYS)
		return invalid(
			'day',
			`The day ${session.date} is ${age} days ago; a session can be logged up to ${EARLIEST_DAYS} days back.`
		);
	for (const [i, s] of session.sets.entries())
		if (s.cleanReps !== undefined && s.cleanReps > s.reps)
			return invalid(
				`sets.${i}.clean`,
				`Set ${i + 1}: ${s.cleanReps} clean of ${s.reps} done is not possible.`
			);
	return undefined;
}

/** The exercise, with the visit it belongs to; of a session the first one makes it. */
function write({ t, ctx, recordedAt }: Run, log: NewLog): Promise<Append> {
	const { clientId, visitId, session } = log;
	const visit = {
		id: visitId,
		client_id: clientId,
		local_day: session.date,
		tz: ctx.tz,
		started_at: recordedAt ?? startOf(session.date),
		observed: session.observed
	};
	const row = {
		...{ id: log.id, visit_id: visitId, client_id: clientId },
		...{ exercise_id: log.exerciseId, prescription_id: log.prescriptionId },
		...columnsOf(session)
	};
	return appendAll(
		t,
		[
			['visit', visit],
			['exercise_log', row]
		],
		recordedAt
	);
}

/** Noon of the day, UTC: the hour is not asked. Depends on the day alone, so that the same form twice is the same row. */
const startOf = (day: Day): Date => new Date(`${day}T12:00:00Z`);
