/** Next-morning check-in as a form: one block a region under treatment. */
import { z } from 'zod';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { EVENTS, SWELLING, type DayEvent, type Morning, type Swelling } from '#lib/core/session/record.ts';
import { day, present, typed, typedWhole, unparsed, uuid, type FieldIssue, type Unparsed } from './basics.ts';

export interface MorningInput {
	readonly id: string;
	readonly day: string;
	readonly fever: boolean;
	/** Of the muscles, 0–10, after what was done the day before. */
	readonly soreness?: number;
	readonly regions: readonly {
		readonly id: string;
		readonly region: string;
		readonly pain: number;
		readonly swelling: Swelling;
		readonly stiffnessMin?: number;
		readonly provocation?: number;
		readonly calf?: boolean;
		readonly cannotStand?: boolean;
		/** Pain of the evening before, told with the morning; its row has an id of its own. */
		readonly evening?: { readonly id: string; readonly pain: number };
	}[];
	readonly events: readonly { readonly id: string; readonly kind: DayEvent }[];
	/** Whether what stands of the day was shown where this was typed; undefined where nobody was asked. */
	readonly saw?: boolean;
}

export type MorningParsed = { readonly ok: true; readonly value: MorningInput } | Unparsed;

type Block = MorningInput['regions'][number];

/**
 * What stands of a day as its form would have been typed, field by field: a correction begins from it, for what is sent replaces the whole morning. Where
 * nothing stands nothing is typed. The evening before and what the day was are rows of their own, which a correction leaves alone.
 */
export function typedMorning(
	day: Day,
	mornings: readonly Morning[],
	soreness?: number
): Readonly<Record<string, string>> {
	const stands = mornings.filter((m) => m.date === day);
	if (stands.length === 0) return {};
	return present({
		...Object.fromEntries(stands.flatMap((m) => Object.entries(typedRegion(m)))),
		fever: stands.some((m) => m.fever === true) ? 'on' : undefined,
		soreness: soreness?.toString()
	});
}

const typedRegion = ({ region, ...m }: Morning): Readonly<Record<string, string>> =>
	present({
		[`${region}.pain`]: m.pain?.toString(),
		[`${region}.swelling`]: m.swelling,
		[`${region}.stiffness`]: m.stiffnessMin?.toString(),
		[`${region}.provocation`]: m.provocation?.toString(),
		[`${region}.calf`]: m.calf === true ? 'on' : undefined,
		// Asked of a hot joint alone, where it was not answered it counted as yes.
		[`${region}.cannotStand`]: m.swelling === 'hot' ? (m.cannotStand === false ? 'no' : 'yes') : undefined
	});

/** The block of one region, or what is wrong with it. */
function blockOf(form: FormData, region: string, name: string): Block | readonly FieldIssue[] {
	const at = (k: string): string => String(form.get(`${region}.${k}`) ?? '');
	const issues: FieldIssue[] = [];
	const wrong = (k: string, message: string): undefined =>
		void issues.push({ field: `${region}.${k}`, message });
	const number = (k: string, label: string, high: number, unit = ''): number | undefined => {
		const r = typed(label, 0, high, unit).safeParse(at(k));
		return r.success ? r.data : wrong(k, r.error.issues[0]?.message ?? '');
	};
	const id = uuid.safeParse(at('id'));
	if (!id.success) return [{ field: 'day', message: LOST_ID }];
	const pain = number('pain', `Pain, ${name}`, 10);
	if (pain === undefined && issues.length === 0)
		wrong('pain', `Pain of the ${name} this morning is needed, 0 to 10.`);
	const swelling = z.enum(SWELLING).safeParse(at('swelling'));
	if (!swelling.success)
		wrong('swelling', `Swelling of the ${name} against usual is needed: none is an answer too.`);
	const stiffness = number('stiffness', 'Stiffness', 1440, 'minutes');
	const provocation = number('provocation', 'Provocation test', 10);
	const evening = number('evening', `Yesterday evening, ${name}`, 10);
	const eveningId = uuid.safeParse(at('eveningId'));
	if (evening !== undefined && !eveningId.success) wrong('evening', LOST_ID);
	if (issues.length > 0 || pain === undefined || !swelling.success) return issues;
	return present({
		id: id.data,
		region,
		pain: Math.round(pain),
		swelling: swelling.data,
		stiffnessMin: rounded(stiffness),
		provocation: rounded(provocation),
		evening: toldOf(eveningId.data, rounded(evening)),
		calf: at('calf') === 'on' ? true : undefined,
		// Of a hot joint it is asked; not answered counts as yes.
		cannotStand: swelling.data === 'hot' ? at('cannotStand') !== 'no' : undefined
	});
}

const rounded = (n: number | undefined): number | undefined => (n === undefined ? undefined : Math.round(n));
const toldOf = (id: string | undefined, pain: number | undefined): Block['evening'] =>
	id === undefined || pain === undefined ? undefined : { id, pain };

const LOST_ID = 'The form has lost its id; reload the page.';
const isBlock = (b: Block | readonly FieldIssue[]): b is Block => 'region' in b;

/** Parses the blocks of the named regions; every region needs pain and swelling. Everything that is wrong is said at once. */
export function parseMorning(
	form: FormData,
	regions: readonly string[],
	nameOf: (region: string) => string
): MorningParsed {
	const when = day.safeParse(String(form.get('day') ?? ''));
	const blocks = regions.map((region) => blockOf(form, region, nameOf(region)));
	const issues: FieldIssue[] = [
		...(when.success ? [] : [{ field: 'day', message: 'Give the day of the morning, YYYY-MM-DD.' }]),
		...blocks.flatMap((b) => (isBlock(b) ? [] : b))
	];
	const id = uuid.safeParse(String(form.get('id') ?? ''));
	if (!id.success) issues.push({ field: 'day', message: LOST_ID });
	const events = eventIn(form, issues);
	const soreness = typedWhole('Muscle soreness', 0, 10).safeParse(String(form.get('soreness') ?? ''));
	if (!soreness.success) issues.push({ field: 'soreness', message: soreness.error.issues[0]?.message ?? '' });
	if (issues.length > 0 || !when.success || !id.success) return unparsed(issues);
	return {
		ok: true,
		value: {
			id: id.data,
			day: when.data,
			fever: form.get('fever') === 'on',
			...present({ soreness: soreness.data, saw: form.has('saw') ? form.get('saw') === 'yes' : undefined }),
			regions: blocks.filter(isBlock),
			events
		}
	};
}

/** What happened, where something did: one of the list, with its id. */
function eventIn(form: FormData, issues: FieldIssue[]): MorningInput['events'] {
	const kind = form
		.getAll('events')
		.map(String)
		.find((k) => k !== '');
	if (kind === undefined) return [];
	const known = z.enum(EVENTS).safeParse(kind);
	const id = uuid.safeParse(String(form.get('eventId') ?? ''));
	if (known.success && id.success) return [{ id: id.data, kind: known.data }];
	issues.push({ field: 'events', message: `${kind} is not on the list.` });
	return [];
}
