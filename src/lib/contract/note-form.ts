/** A dated note, and whom to call, as forms. */
import { z } from 'zod';
import { day, reasonGiven, region, text, uuid } from './basics.ts';
import { WHAT_WAS_WRONG } from './entry.ts';

const MOST_NOTE = 2000;

export const noteForm = z.object({
	id: uuid,
	day,
	/** What it is about: the client, "region:knee-left", "exercise:ID", "visit:ID" or "flag:ID". */
	about: z
		.string()
		.default('')
		.transform((s) => s.split(':', 2))
		.pipe(
			z.union(
				[
					z.tuple([z.literal('')]).transform(() => ({})),
					z.tuple([z.literal('region'), region]).transform(([, r]) => ({ region: r })),
					z.tuple([z.literal('exercise'), uuid]).transform(([, e]) => ({ exerciseId: e })),
					z.tuple([z.literal('visit'), uuid]).transform(([, v]) => ({ visitId: v })),
					z.tuple([z.literal('flag'), uuid]).transform(([, f]) => ({ flagId: f }))
				],
				'Choose what the note is about.'
			)
		),
	body: text(MOST_NOTE).min(1, 'Write the note first.')
});

/** Who a client is, put right. */
export const personForm = z.object({
	id: uuid,
	name: text(120).min(2, 'A name is needed.'),
	born: day,
	sex: z.enum(['', 'female', 'male'], 'Choose from the list.'),
	occupation: text(120),
	reason: reasonGiven(WHAT_WAS_WRONG)
});

export const CONTACT_ROLES = ['own', 'emergency', 'referrer', 'doctor'] as const;

export const contactForm = z.object({
	id: uuid,
	role: z.enum(CONTACT_ROLES, 'Choose whose number this is.'),
	name: text(80).min(1, 'Whose number is it?'),
	phone: text(40).regex(/^[+()\d][\d\s()/.-]{3,}$/, 'Give the number in digits, such as +44 20 7946 0000.')
});
export type Contact = Omit<z.infer<typeof contactForm>, 'id'>;
