/** Screening, closing a flag, an operation and its protocol as forms. */
import { z } from 'zod';
import { SIDES } from '#lib/core/body/axis.ts';
import { LIMIT_AXES } from '#lib/core/client/protocol.ts';
import { ANSWERS, type ScreenAnswer, type ScreenCategory } from '#lib/core/client/screening.ts';
import { ok, refuse, type Refusal, type Result } from '#lib/core/base/result.ts';
import { day, region, text, typed, uuid } from './basics.ts';

/** Answers of the categories that were answered; an empty one is left out, so that it stays unanswered. */
export function parseAnswers(form: ReadonlyMap<string, string>, categories: readonly ScreenCategory[]): Result<Record<string, ScreenAnswer>, Refusal> {
	const answers: Record<string, ScreenAnswer> = {};
	for (const { id } of categories) {
		const given = form.get(`answer.${id}`);
		if (given === undefined || given === '') continue;
		const answer = ANSWERS.find((a) => a === given);
		if (answer === undefined) return refuse({ reason: 'answer', field: `answer.${id}`, message: 'Answer yes, no or unknown.' });
		answers[id] = answer;
	}
	if (Object.keys(answers).length === 0) return refuse({ reason: 'empty', field: '', message: 'Nothing was answered yet.' });
	return ok(answers);
}

export const closeFlagForm = z.object({
	id: uuid,
	flagId: uuid,
	how: z.enum(['licensed', 'external']),
	note: text(300).default(''),
	clearedBy: text(160).default(''),
	clearedOn: z.string().default(''),
	document: text(160).default('')
});

export const surgeryForm = z.object({ id: uuid, region, operatedOn: z.union([day, z.literal('')], 'Give the day of the operation, YYYY-MM-DD.') });

export const MOST_LIMITS = 3;

const limitForm = z.object({ id: uuid, axis: z.enum(['', ...LIMIT_AXES]), side: z.enum(SIDES), maxDeg: typed('Limit', 0, 165, 'degrees') });
export const protocolForm = z.object({ id: uuid, surgeryId: uuid, source: text(200), reviewOn: z.union([day, z.literal('')]) });

export type LimitEntry = { readonly id: string; readonly axis: (typeof LIMIT_AXES)[number]; readonly side: (typeof SIDES)[number]; readonly maxDeg: number };

/** The limits of a protocol: rows without a movement are left out, a movement without its degrees is refused. */
export function parseLimits(form: ReadonlyMap<string, string>): Result<readonly LimitEntry[], Refusal> {
	const limits: LimitEntry[] = [];
	for (let i = 0; i < MOST_LIMITS; i++) {
		const parsed = limitForm.safeParse(Object.fromEntries(['id', 'axis', 'side', 'maxDeg'].map((k) => [k, form.get(`limit.${i}.${k}`) ?? ''])));
		if (!parsed.success) return refuse({ reason: 'limit', field: `limit.${i}.${String(parsed.error.issues[0]?.path[0] ?? '')}`, message: parsed.error.issues[0]?.message ?? '' });
		const { id, axis, side, maxDeg } = parsed.data;
		if (axis === '' && maxDeg === undefined) continue;
		if (axis === '') return refuse({ reason: 'limit', field: `limit.${i}.axis`, message: 'Which movement does this limit hold?' });
		if (maxDeg === undefined) return refuse({ reason: 'limit', field: `limit.${i}.maxDeg`, message: 'How many degrees does the protocol allow? None are assumed.' });
		limits.push({ id, axis, side, maxDeg });
	}
	return ok(limits);
}
