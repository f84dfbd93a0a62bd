/** Setting an exercise aside, ending it, or taking it up again, as a form. */
import { z } from 'zod';
import { day, text, uuid, reasonGiven } from './basics.ts';

export const pauseForm = z.object({
	id: uuid,
	exerciseId: uuid,
	basedOn: uuid,
	to: z.enum(['active', 'set-aside', 'ended'], 'Set it aside, end it or take it up again.'),
	reason: reasonGiven('Give the reason in a few words.')
});
const ids = z
	.string()
	.max(4000)
	.transform((s) => (s === '' ? [] : s.split(',')))
	.pipe(z.array(uuid).max(100));

/** The order of a plan: ids of exercises by group, with commas between. */
export const orderForm = z.object({
	id: uuid,
	basedOn: z.union([z.literal(''), uuid]),
	warmUp: ids,
	main: ids,
	finish: ids
});

export type Pause = z.infer<typeof pauseForm>;

/** What is given to a trainer: ladders as ticks, until when, and when to call. */
export const delegationForm = z.object({
	id: uuid,
	memberId: uuid,
	expires: day,
	callWhen: text(200)
});
/** Ladders that were ticked; which there are, the use-case knows. */
export const familiesIn = (form: FormData): readonly string[] => [
	...new Set(form.getAll('families').map(String))
];
