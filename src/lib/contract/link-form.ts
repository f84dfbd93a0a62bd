/** What is handed out: the forms that give and end the link of a client's own page, and the words of a letter. */
import { z } from 'zod';
import { text, uuid } from './basics.ts';

export const LINK_DAYS = [7, 30, 90, 180] as const;
const days = LINK_DAYS.map(String) as [string, ...string[]];

export const giveLinkForm = z.object({
	id: uuid,
	basedOn: z.union([z.literal(''), uuid]).default(''),
	days: z
		.enum(days, 'Choose for how long from the list.')
		.transform((d) => Number(d) as (typeof LINK_DAYS)[number]),
	email: z
		.union([
			z.literal(''),
			z.email('This is no e-mail address; leave it empty to hand the link over here.').max(200)
		])
		.default(''),
	phone: z
		.string()
		.trim()
		.max(30)
		.regex(
			/^(\+?[0-9][0-9 ()/.-]{4,})?$/,
			'This is no telephone number; leave it empty to hand the link over here.'
		)
		.default('')
});
export const endLinkForm = z.object({ id: uuid, basedOn: uuid });

/** The practitioner's own words of a letter. */
export const letterForm = z.object({ words: text(1500).default('') });
