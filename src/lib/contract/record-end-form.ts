/** The end of a record as forms: asked for with a reason, agreed to or taken back. */
import { z } from 'zod';
import { ERASE_BECAUSE } from '#lib/core/client/erasure.ts';
import { text, uuid } from './basics.ts';

export const askErasureForm = z.object({
	id: uuid,
	because: z.enum(ERASE_BECAUSE, 'Choose from the list.'),
	why: text(300).min(5, 'Who asks for it, and why, in a few words.')
});

/** Of a list, which client it is about goes with the form. */
export const askErasureOfForm = askErasureForm.extend({ clientId: uuid });

export const answerErasureForm = z.object({
	id: uuid,
	requestId: uuid,
	sure: z.enum(['', 'on']).default('')
});
