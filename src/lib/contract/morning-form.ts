/** Next-morning check-in as a form: one block a region under treatment. */
import { z } from 'zod';
import { EVENTS, SWELLING, type DayEvent, type Swelling } from '#lib/core/session/record.ts';
import { day, typed, uuid } from './basics.ts';

export interface MorningInput {
	readonly id: string;
	readonly day: string;
	readonly fever: boolean;
	readonly regions: readonly {
		readonly id: string;
		readonly region: string;
		readonly pain: number;
		readonly swelling: Swelling;
		readonly stiffnessMin?: number;
		readonly provocation?: number;
		readonly calf?: boolean;
		readonly cannotStand?: boolean;
	}[];
	readonly events: readonly { readonly id: string; readonly kind: DayEvent }[];
}

export type MorningParsed =
	| { readonly ok: true; readonly value: MorningInput }
	| { readonly ok: false; readonly field: string; readonly message: string };

/** Parses the blocks of the named regions; every region needs pain and swelling. */
export function parseMorning(
	form: FormData,
	regions: readonly string[],
	nameOf: (region: string) => string
): MorningParsed {
	const bad = (field: string, message: string): MorningParsed => ({ ok: false, field, message });
	const when = day.safeParse(String(form.get('day') ?? ''));
	if (!when.success) return bad('day', 'Give the day of the morning, YYYY-MM-DD.');
	const out: MorningInput['regions'][number][] = [];
	for (const region of regions) {
		const at = (k: string): string => String(form.get(`${region}.${k}`) ?? '');
		const name = nameOf(region);
		const id = uuid.safeParse(at('id'));
		if (!id.success) return bad('day', 'The form has lost its id; reload the page.');
		const pain = typed(`Pain, ${name}`, 0, 10).safeParse(at('pain'));
		if (!pain.success) return bad(`${region}.pain`, pain.error.issues[0]?.message ?? '');
		if (pain.data === undefined)
			return bad(`${region}.pain`, `Pain of the ${name} this morning is needed, 0 to 10.`);
		const swelling = z.enum(SWELLING).safeParse(at('swelling'));
		if (!swelling.success)
			return bad(
				`${region}.swelling`,
				`Swelling of the ${name} against usual is needed: none is an answer too.`
			);
		const stiffness = typed('Stiffness', 0, 1440, 'minutes').safeParse(at('stiffness'));
		if (!stiffness.success) return bad(`${region}.stiffness`, stiffness.error.issues[0]?.message ?? '');
		const provocation = typed('Provocation test', 0, 10).safeParse(at('provocation'));
		if (!provocation.success) return bad(`${region}.provocation`, provocation.error.issues[0]?.message ?? '');
		out.push({
			id: id.data,
			region,
			pain: Math.round(pain.data),
			swelling: swelling.data,
			...(stiffness.data === undefined ? {} : { stiffnessMin: Math.round(stiffness.data) }),
			...(provocation.data === undefined ? {} : { provocation: Math.round(provocation.data) }),
			...(at('calf') === 'on' ? { calf: true } : {}),
			// Of a hot joint it is asked; not answered counts as yes.
			...(swelling.data === 'hot' ? { cannotStand: at('cannotStand') !== 'no' } : {})
		});
	}
	const kinds = form
		.getAll('events')
		.map(String)
		.filter((k) => k !== '');
	const eventId = uuid.safeParse(String(form.get('eventId') ?? ''));
	const id = uuid.safeParse(String(form.get('id') ?? ''));
	if (!id.success) return bad('day', 'The form has lost its id; reload the page.');
	const events: MorningInput['events'][number][] = [];
	for (const kind of kinds.slice(0, 1)) {
		const known = z.enum(EVENTS).safeParse(kind);
		if (!known.success || !eventId.success) return bad('events', `${kind} is not on the list.`);
		events.push({ id: eventId.data, kind: known.data });
	}
	return {
		ok: true,
		value: { id: id.data, day: when.data, fever: form.get('fever') === 'on', regions: out, events }
	};
}
