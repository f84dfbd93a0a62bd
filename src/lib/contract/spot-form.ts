/** "That hurts" or "too easy", of one exercise, as a form. */
import { z } from 'zod';
import { PAIN_AT } from '#lib/core/session/record.ts';
import { typedWhole, uuid } from './basics.ts';

export const spotForm = z
	.object({
		exerciseId: uuid,
		easy: z.literal('on').optional(),
		pain: z
			.string()
			.default('')
			.pipe(typedWhole('Pain', 0, 10)),
		painAt: z.union([z.literal(''), z.enum(PAIN_AT)]).default('')
	})
	.refine((v) => v.easy === 'on' || v.pain !== undefined, {
		path: ['pain'],
		message: 'Say how much it hurts, 0 to 10.'
	});
