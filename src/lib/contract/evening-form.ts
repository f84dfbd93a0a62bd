/** The evening of a day as a form: pain of each region under treatment, how sore the muscles are, and whether the day was an ordinary one. */
import { z } from 'zod';
import { EVENTS, type DayEvent } from '#lib/core/session/record.ts';
import { day, issuesOf, typedWhole, unparsed, uuid, type FieldIssue, type Unparsed } from './basics.ts';

export interface EveningInput {
	readonly id: string;
	readonly day: string;
	/** Of the muscles, 0–10; left out where it was not said. */
	readonly soreness?: number;
	readonly regions: readonly { readonly id: string; readonly region: string; readonly pain: number }[];
	readonly event?: { readonly id: string; readonly kind: DayEvent };
}

const head = z.object({
	id: uuid,
	day,
	soreness: typedWhole('Muscle soreness', 0, 10),
	eventId: uuid.optional(),
	events: z.enum(['', ...EVENTS]).optional()
});

export function parseEvening(
	form: FormData,
	regions: readonly string[],
	nameOf: (region: string) => string
): { readonly ok: true; readonly value: EveningInput } | Unparsed {
	const parsed = head.safeParse({ soreness: '', ...Object.fromEntries(form) });
	const issues: FieldIssue[] = parsed.success ? [] : [...issuesOf(parsed.error)];
	const told = regions.flatMap((region) => {
		const at = (k: string): string => String(form.get(`${region}.${k}`) ?? '');
		const id = uuid.safeParse(at('id'));
		const pain = typedWhole(`Pain, ${nameOf(region)}`, 0, 10).safeParse(at('pain'));
		if (pain.success && pain.data !== undefined && id.success)
			return [{ id: id.data, region, pain: pain.data }];
		const message = pain.success
			? `Pain of the ${nameOf(region)} this evening is needed, 0 to 10.`
			: (pain.error.issues[0]?.message ?? '');
		issues.push({ field: `${region}.pain`, message });
		return [];
	});
	if (!parsed.success || issues.length > 0) return unparsed(issues);
	const { id, day: when, soreness, eventId, events } = parsed.data;
	if (events !== undefined && events !== '' && eventId === undefined)
		return unparsed([{ field: 'events', message: 'The form has lost its id; reload the page.' }]);
	return {
		ok: true,
		value: {
			...{ id, day: when, regions: told },
			...(soreness === undefined ? {} : { soreness }),
			...(events === undefined || events === '' || eventId === undefined
				? {}
				: { event: { id: eventId, kind: events } })
		}
	};
}
