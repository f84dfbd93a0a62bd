/** Screening and closing a flag as forms. */
import { z } from 'zod';
import { ANSWERS, type ScreenAnswer, type ScreenCategory } from '#lib/core/client/screening.ts';
import { ok, refuse, type Refusal, type Result } from '#lib/core/base/result.ts';
import { SYMPTOMS } from '#lib/core/session/record.ts';
import { day, region, text, uuid } from './basics.ts';

/** Answers of the categories that were answered; an empty one is left out, so that it stays unanswered. */
export function parseAnswers(
	form: ReadonlyMap<string, string>,
	categories: readonly ScreenCategory[]
): Result<Record<string, ScreenAnswer>, Refusal> {
	const answers: Record<string, ScreenAnswer> = {};
	for (const { id } of categories) {
		const given = form.get(`answer.${id}`);
		if (given === undefined || given === '') continue;
		const answer = ANSWERS.find((a) => a === given);
		if (answer === undefined)
			return refuse({ reason: 'answer', field: `answer.${id}`, message: 'Answer yes, no or unknown.' });
		answers[id] = answer;
	}
	if (Object.keys(answers).length === 0)
		return refuse({ reason: 'empty', field: '', message: 'Nothing was answered yet.' });
	return ok(answers);
}

export const closeFlagForm = z.object({
	id: uuid,
	flagId: uuid,
	how: z.enum(['licensed', 'external', 'mistaken']),
	note: text(300).default(''),
	clearedBy: text(160).default(''),
	clearedOn: z.string().default(''),
	document: text(160).default('')
});

export const knownForm = z.object({
	id: uuid,
	region,
	symptom: z.enum(SYMPTOMS, 'Choose a symptom.'),
	until: z.union([day, z.literal('')], 'Known until which day, YYYY-MM-DD?')
});
