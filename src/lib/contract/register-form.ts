/** Registering as a form: in either unit system, adults, consents as ticks. */
import { z } from 'zod';
import { WITHDRAWABLE, type ConsentPurpose } from '#lib/core/client/consent.ts';
import { day, text, typed, typedWhole, uuid } from './basics.ts';

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
/** What changes at home: beside its ticks, the minutes. */
export const homeForm = z.object({ id: uuid, minutes });

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

const CM_PER_INCH = 2.54;
const KG_PER_POUND = 0.45359237;
const tenth = (n: number): number => Math.round(n * 10) / 10;

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
