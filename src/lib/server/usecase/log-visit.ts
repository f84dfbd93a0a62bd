/**
 * Logs one exercise of a session. Chest pain, faintness, new breathlessness, or numbness or leakage with a sore back open a red
 * flag in the same transaction. Logs against superseded prescriptions are accepted: the work was done.
 */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Session } from '#lib/core/session/record.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { lockClient } from '../repo/client-repo.ts';
import { allow, conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';
import { newId } from './new-id.ts';

export interface NewLog {
	readonly id: string;
	readonly visitId: string;
	readonly clientId: string;
	readonly exerciseId: string;
	readonly prescriptionId: string;
	readonly session: Session;
}

export interface LogAnswer {
	/** Show the emergency text at once. */
	readonly emergency: boolean;
}

const EMERGENCY = ['chest-pain', 'faintness', 'breathless'] as const;
const EARLIEST_DAYS = 60;

export async function logVisit(ctx: Context, log: NewLog, recordedAt?: Date): Promise<Outcome<LogAnswer>> {
	const may = allow(ctx.actor, 'log visit');
	if (!may.ok) return may;
	const { session } = log;
	const age = dayNumber(ctx.today) - dayNumber(session.date);
	if (age < 0) return invalid('day', `The day ${session.date} is in the future; today is ${ctx.today}.`);
	if (age > EARLIEST_DAYS && recordedAt === undefined) return invalid('day', `The day ${session.date} is ${age} days ago; a session can be logged up to ${EARLIEST_DAYS} days back.`);
	for (const [i, s] of session.sets.entries())
		if (s.cleanReps !== undefined && s.cleanReps > s.reps) return invalid(`sets.${i}.clean`, `Set ${i + 1}: ${s.cleanReps} clean of ${s.reps} done is not possible.`);
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, log.clientId))) return notFound;
		const known = await t.trx.selectFrom('prescription').select(['id', 'exercise_id']).where('id', '=', log.prescriptionId).where('client_id', '=', log.clientId).executeTakeFirst();
		if (known === undefined || known.exercise_id !== log.exerciseId) return notFound;
		const back = await treatsBack(t, log.clientId);
		const emergency = isEmergency(session, back);
		const written = await writeLog(t, ctx, log, recordedAt);
		if (written === 'conflict') return conflict('This session was already logged with other values; reload to see it.');
		if (emergency !== null && written === 'written') {
			const row = { id: newId(ctx.now), client_id: log.clientId, local_day: session.date, code: emergency, region: null, severity: 'red', urgency: 'emergency' };
			await append(t, 'flag', row, recordedAt);
		}
		return ok({ emergency: emergency !== null });
	});
}

async function treatsBack(t: PracticeTransaction, clientId: string): Promise<boolean> {
	const row = await t.trx.selectFrom('exercise').select('id').where('client_id', '=', clientId).where('region', 'like', 'back%').executeTakeFirst();
	return row !== undefined;
}

function isEmergency(s: Session, back: boolean): string | null {
	const found = s.symptoms?.find((x) => (EMERGENCY as readonly string[]).includes(x));
	if (found !== undefined) return `emergency-${found}`;
	const cauda = back && s.symptoms?.some((x) => x === 'numbness' || x === 'leakage') === true && s.caudaEquina !== 'no';
	return cauda ? 'emergency-saddle-area' : null;
}

async function writeLog(t: PracticeTransaction, ctx: Context, log: NewLog, recordedAt?: Date) {
	const { session } = log;
	const visit = await append(t, 'visit', { id: log.visitId, client_id: log.clientId, local_day: session.date, tz: ctx.tz, started_at: recordedAt ?? startOf(session.date), observed: session.observed }, recordedAt);
	if (visit === 'conflict') return 'conflict' as const;
	return append(
		t,
		'exercise_log',
		{
			id: log.id,
			visit_id: log.visitId,
			client_id: log.clientId,
			exercise_id: log.exerciseId,
			prescription_id: log.prescriptionId,
			prescribed: JSON.stringify(session.prescribed),
			sets: JSON.stringify(session.sets),
			pains: JSON.stringify(session.pains),
			pain_at: session.painAt ?? null,
			pain_only_loaded: session.painOnlyLoaded ?? null,
			symptoms: session.symptoms === undefined ? null : JSON.stringify(session.symptoms),
			radiating_lower: session.radiatingLower ?? null,
			cauda_equina: session.caudaEquina ?? null,
			faults: session.faults === undefined ? null : JSON.stringify(session.faults),
			incomplete_because: session.incompleteBecause ?? null,
			soreness: session.soreness ?? null,
			confidence: session.confidence ?? null
		},
		recordedAt
	);
}

/** Noon of the day, UTC: the hour is not asked. Depends on the day alone, so that the same form twice is the same row. */
const startOf = (day: Day): Date => new Date(`${day}T12:00:00Z`);
