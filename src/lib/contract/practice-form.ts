/** A practice of one's own as forms: founding it, joining it, its people, its settings, its racks. */
import { z } from 'zod';
import { POLICY_IDS } from '#lib/catalogue/policies.ts';
import { DATE_ORDERS } from '#lib/core/base/calendar-day.ts';
import { TRAINER_SIGNS } from '#lib/core/decision/trainer-signs.ts';
import { BRACES } from '#lib/core/exercise/family.ts';
import { isSized, RACK_KINDS, RACK_UNITS } from '#lib/core/dose/rack-kind.ts';
import { TECHNIQUES } from '#lib/core/posture/problem.ts';
import { day, text, typed, typedWhole, uuid, zone } from './basics.ts';

export const ROLES = ['physiotherapist', 'trainer', 'owner'] as const;
export type Role = (typeof ROLES)[number];

/** Ticked roles, in the order of the list. */
export const rolesIn = (form: FormData): readonly Role[] =>
	ROLES.filter((r) => form.getAll('roles').includes(r));

/** Where somebody can be written to; sign-in asks for it again. */
const email = text(200)
	.transform((s) => s.toLowerCase())
	.refine((s) => /^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(s), 'An e-mail address, such as name@practice.example.');

export const SHORTEST_PASSWORD = 10;
const password = z
	.string()
	.min(SHORTEST_PASSWORD, `At least ${SHORTEST_PASSWORD} characters; a few words are good.`)
	.max(128, 'At most 128 characters.')
	.refine((s) => !s.includes('\0'), 'A password may not hold a NUL character.');

const twice = <T extends { readonly password: string; readonly again: string }>(
	v: T,
	ctx: z.RefinementCtx
): void => {
	if (v.password !== v.again)
		ctx.addIssue({
			code: 'custom',
			path: ['again'],
			message: 'The two are not the same; type it once more.'
		});
};

const licence = {
	licenceNo: text(40),
	licensedUntil: z.union([z.literal(''), day], 'The last day it is valid, or nothing.')
};

/** A physiotherapist signs by a licence, and a licence has an end. */
export function licenceTrouble(
	roles: readonly Role[],
	v: { readonly licenceNo: string; readonly licensedUntil: string }
): { readonly field: string; readonly message: string } | undefined {
	if (roles.length === 0) return { field: 'roles', message: 'Tick at least one.' };
	if (!roles.includes('physiotherapist')) return undefined;
	if (v.licenceNo === '')
		return { field: 'licenceNo', message: 'A physiotherapist signs under a licence: give its number.' };
	return v.licensedUntil === '' ? { field: 'licensedUntil', message: 'Until when is it valid?' } : undefined;
}

export const foundForm = z
	.object({
		id: uuid,
		memberId: uuid,
		practice: text(80).min(2, 'What is the practice called?'),
		tz: zone,
		units: z.enum(['metric', 'imperial'], 'Choose from the list.'),
		name: text(120).min(2, 'Your name is needed.'),
		email,
		password,
		again: z.string(),
		...licence
	})
	.superRefine(twice);

export const joinForm = z.object({ memberId: uuid, password, again: z.string() }).superRefine(twice);

export const inviteForm = z.object({
	id: uuid,
	name: text(120).min(2, 'A name is needed.'),
	email,
	...licence
});

export const memberForm = z.object({
	id: uuid,
	memberId: uuid,
	name: text(120).min(2, 'A name is needed.'),
	...licence,
	ended: z.enum(['', 'on'])
});

/** Left empty, as the client's policy says. */
const weeks = (what: string, least: number, most: number) =>
	typedWhole(what, least, most, 'weeks').transform((v) => v ?? null);

/** An hour on the wall. */
const hour = (what: string) =>
	typedWhole(what, 0, 23).transform((v, ctx) => {
		if (v !== undefined) return v;
		ctx.addIssue({ code: 'custom', message: `${what}: an hour, 0 to 23.` });
		return z.NEVER;
	});

export const settingsForm = z.object({
	quietFrom: hour('Quiet from'),
	quietTo: hour('Quiet until'),
	id: uuid,
	name: text(80).min(2, 'What is the practice called?'),
	tz: zone,
	units: z.enum(['metric', 'imperial'], 'Choose from the list.'),
	emergency: text(40).refine(
		(s) => s === '' || /^[+()\d][\d\s()/.-]{1,}$/.test(s),
		'A number to call, such as 112.'
	),
	policy: z.enum(POLICY_IDS, 'Choose from the list.'),
	technique: z.enum(['', ...TECHNIQUES], 'Choose from the list.'),
	emergencyWords: text(200),
	weekStart: z.enum(['1', '0'], 'Choose from the list.').transform(Number),
	dateOrder: z.enum(DATE_ORDERS, 'Choose from the list.'),
	screeningWeeks: weeks('Weeks a screening holds', 4, 52),
	retestWeeks: weeks('Weeks a measured range holds', 1, 12),
	brace: z.enum(BRACES, 'Choose from the list.'),
	trainerSigns: z.enum(TRAINER_SIGNS, 'Choose from the list.'),
	retentionYears: typedWhole('Years a record is kept', 1, 50, 'years').transform((v, ctx) => {
		if (v !== undefined) return v;
		ctx.addIssue({ code: 'custom', message: 'How many years is a record kept?' });
		return z.NEVER;
	})
});

export const resetForm = z.object({ password, again: z.string() }).superRefine(twice);

export const passwordForm = z
	.object({ current: z.string().min(1, 'Your password of now.'), password, again: z.string() })
	.superRefine(twice);

/** What stands in the rooms, as it is printed on it. */
export const itemForm = z
	.object({
		id: uuid,
		itemId: uuid,
		kind: z.enum(RACK_KINDS, 'Choose what it is.'),
		label: text(60).min(1, 'What is it called?'),
		value: typed('How high or heavy', 0.1, 500),
		unit: z.enum(RACK_UNITS, 'Choose from the list.'),
		count: typedWhole('How many', 0, 200).refine((v) => v !== undefined, 'How many are there?'),
		room: text(40),
		outOfOrder: z.enum(['', 'on'])
	})
	.transform((v, ctx) => {
		if (v.value !== undefined) return { ...v, value: v.value };
		// Of what is there or not, the size says nothing.
		if (!isSized(v.kind)) return { ...v, value: 1 };
		ctx.addIssue({ code: 'custom', path: ['value'], message: 'How high, heavy or strong is it?' });
		return z.NEVER;
	});
