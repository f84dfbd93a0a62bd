/** Registering as a form: in either unit system, adults, consents as ticks. */
import { z } from 'zod';
import { WITHDRAWABLE, type ConsentPurpose } from '#lib/core/client/consent.ts';
import { CM_PER_INCH, KG_PER_POUND } from '#lib/core/base/imperial.ts';
import { cmText, inUnits, typedMetric } from '#lib/wording/units.ts';
import { day, text, typed, typedWhole, uuid, zone } from './basics.ts';

export const HOME_KIT = [
	'chair',
	'counter',
	'step',
	'band',
	'book-bag',
	'bottles',
	'towel',
	'pillow',
	'stick',
	'bed'
] as const;

/** Ticks of one name, those that are known. */
const ticked = <T extends string>(form: FormData, name: string, known: readonly T[]): T[] =>
	known.filter((k) => form.getAll(name).includes(k));

/** What there is at home, and the weekdays with time (0 is Sunday). */
export const kitIn = (form: FormData): readonly string[] => ticked(form, 'kit', HOME_KIT);
export const daysIn = (form: FormData): readonly number[] =>
	ticked(form, 'days', ['0', '1', '2', '3', '4', '5', '6']).map(Number);
export const agreedIn = (form: FormData): readonly ConsentPurpose[] => ticked(form, 'agreed', WITHDRAWABLE);

const minutes = typedWhole('Minutes a day', 5, 180, 'min');

const tenth = (n: number): number => Math.round(n * 10) / 10;

/** Heights as they are written down, "43, 47.5; 18 in": as the practice writes unless a unit is said; in cm, lowest first, each once. Null where one is none. */
export function heightsIn(typed: string, [least, most]: readonly [number, number]): readonly number[] | null {
	const parts = typed
		.replace(/(\d),(\d)/g, '$1.$2')
		.split(/[;,]|\s+(?=\d)/)
		.map((p) => p.trim())
		.filter((p) => p !== '');
	const out = new Set<number>();
	for (const part of parts) {
		const read = /^(\d{1,3}(?:\.\d{1,2})?)\s*(cm|in)?$/.exec(part.toLowerCase());
		// With its unit said, or as the practice writes.
		const cm =
			read === null
				? NaN
				: read[2] === undefined
					? Number(typedMetric(read[1] ?? '', 'cm'))
					: Number(read[1]) * (read[2] === 'in' ? CM_PER_INCH : 1);
		if (!(tenth(cm) >= least && tenth(cm) <= most)) return null;
		out.add(tenth(cm));
	}
	return [...out].sort((a, b) => a - b);
}

const MOST_HEIGHTS = 12;
/** Seats and steps of a home are believed between these, cm. @source common-practice */
const SEAT_CM = [25, 80] as const;
const STEP_CM = [3, 50] as const;
const heights = (bounds: readonly [number, number], what: string) =>
	text(120).transform((s, ctx) => {
		const read = heightsIn(s, bounds);
		if (read !== null && read.length <= MOST_HEIGHTS) return read;
		ctx.addIssue({
			code: 'custom',
			message: `${what} between ${inUnits(bounds[0], 'cm')} and ${cmText(bounds[1])}, apart by a comma and a space: ${inUnits(43, 'cm')}, ${inUnits(47, 'cm')}.`
		});
		return z.NEVER;
	});

/** What changes at home: beside its ticks, the minutes, what was measured there, and the zone they live in. */
export const homeForm = z.object({
	id: uuid,
	minutes,
	seats: heights(SEAT_CM, 'Seats'),
	steps: heights(STEP_CM, 'Steps'),
	tz: zone
});

export const LANGUAGES = ['en'] as const;

const metric = z.object({
	heightCm: typed('Height', 120, 230, 'cm').refine((v) => v !== undefined, 'Height is needed.'),
	massKg: typed('Mass', 30, 300, 'kg').refine((v) => v !== undefined, 'Mass is needed.')
});
const imperial = z.object({
	feet: typed('Height, feet', 3, 7, 'ft').refine((v) => v !== undefined, 'Height is needed.'),
	inches: typed('Height, inches', 0, 11.9, 'in'),
	pounds: typed('Mass', 66, 660, 'lb').refine((v) => v !== undefined, 'Mass is needed.')
});

export interface Build {
	readonly heightCm: number;
	readonly massKg: number;
}

/** Height and mass in the units of the form, as metric. A height of 1.68 is refused with its bounds: it is not in cm. */
export function parseBuild(form: Readonly<Record<string, unknown>>): z.ZodSafeParseResult<Build> {
	return form.units === 'imperial'
		? imperial
				.transform((f) => ({
					heightCm: tenth(((f.feet as number) * 12 + (f.inches ?? 0)) * CM_PER_INCH),
					massKg: tenth((f.pounds as number) * KG_PER_POUND)
				}))
				.safeParse(form)
		: metric
				.transform((f) => ({ heightCm: f.heightCm as number, massKg: f.massKg as number }))
				.safeParse(form);
}

export const registerForm = z.object({
	id: uuid,
	personId: uuid,
	settingId: uuid,
	name: text(120).min(2, 'A name is needed.'),
	born: day,
	sex: z.enum(['', 'female', 'male']),
	occupation: text(120),
	units: z.enum(['metric', 'imperial']),
	language: z.enum(LANGUAGES),
	minutes
});
