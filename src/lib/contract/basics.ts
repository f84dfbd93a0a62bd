/** Shared pieces of every contract: days, bounded numbers, safe text. Refusals say what is wrong and what would be right. */
import { z } from 'zod';
import { isDay } from '#lib/core/base/calendar-day.ts';
import { inUnits, unitName } from '#lib/wording/units.ts';

/** Free text: no NUL (the database cannot hold one), trimmed, bounded. */
export const text = (max: number) =>
	z
		.string()
		.trim()
		.max(max, `At most ${max} characters.`)
		.refine((s) => !s.includes('\0'), 'Text may not hold a NUL character.');

/** A reason says something: this many letters at least. */
export const LEAST_REASON = 5;
export const reasonGiven = (message: string) => text(300).refine((s) => s.length >= LEAST_REASON, message);

/** Nobody here was born before the first year, and nothing is planned past the last. */
const YEARS = ['1900', '2199'] as const;
const isNear = (s: string): boolean => isDay(s) && s.slice(0, 4) >= YEARS[0] && s.slice(0, 4) <= YEARS[1];
export const day = z.string().refine(isNear, 'A calendar day, YYYY-MM-DD, that exists.');
export const score = z.number().min(0, '0 to 10.').max(10, '0 to 10.');
export const uuid = z.uuid('An id is missing or not a UUID; reload the page.');
export const region = z
	.string()
	.regex(
		/^(knee|hip|ankle|foot|thigh|shin|groin|buttock|shoulder|elbow|wrist|neck|back|other)(-(left|right))?$/,
		'A region such as knee-right or back.'
	);

const isMeasured = (unit: string): unit is 'cm' | 'kg' => unit === 'cm' || unit === 'kg';
const shownIn = (n: number, unit: string): number => (isMeasured(unit) ? inUnits(n, unit) : n);
/** `30 to 75 cm`, in the units of whoever reads it: asked when it is said. */
const boundsOf = (low: number, high: number, unit: string) => (): string =>
	`${shownIn(low, unit)} to ${shownIn(high, unit)}${unit === '' ? '' : ` ${isMeasured(unit) ? unitName(unit) : unit}`}`;

/** A number typed into a form: empty is absent; text is refused with the bounds. */
export function typed(label: string, low: number, high: number, unit = '') {
	const bounds = boundsOf(low, high, unit);
	return z
		.string()
		.trim()
		.transform((s, ctx) => {
			if (s === '') return undefined;
			const n = Number(s.replace(',', '.'));
			if (!Number.isFinite(n) || !/^-?\d+([.,]\d+)?$/.test(s)) {
				ctx.addIssue({
					code: 'custom',
					message: `${label}: “${s.slice(0, 20)}” is not a number; give ${bounds()}.`
				});
				return z.NEVER;
			}
			if (n < low || n > high) {
				ctx.addIssue({ code: 'custom', message: `${label}: ${shownIn(n, unit)} is outside ${bounds()}.` });
				return z.NEVER;
			}
			return n;
		});
}

/** A whole number typed into a form: minutes, scores, counts. */
export const typedWhole = (label: string, low: number, high: number, unit = '') =>
	typed(label, low, high, unit).refine(
		(n) => n === undefined || Number.isInteger(n),
		`${label}: give a whole number, ${low} to ${high}${unit === '' ? '' : ` ${unit}`}.`
	);

/** One field and what is wrong with it; without a name, of the form as a whole. */
export interface FieldIssue {
	readonly field: string;
	readonly message: string;
}

/** A form that was not accepted: the first thing, and everything. */
export interface Unparsed extends FieldIssue {
	readonly ok: false;
	readonly issues: readonly FieldIssue[];
}

export const unparsed = (issues: readonly FieldIssue[]): Unparsed => ({
	ok: false,
	field: issues[0]?.field ?? '',
	message: issues[0]?.message ?? 'Check the form.',
	issues
});

/** The issues of a shape, each at its field. */
export const issuesOf = (error: z.ZodError): readonly FieldIssue[] =>
	error.issues.map((i) => ({ field: i.path.map(String).join('.'), message: i.message }));

/** Drops absent keys, so that optional and undefined mean the same to the core. */
export function present<T extends object>(o: T): { [K in keyof T]: Exclude<T[K], undefined> } {
	return Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as {
		[K in keyof T]: Exclude<T[K], undefined>;
	};
}

type Issue = z.core.$ZodIssue;

/** The issues of the shape that was meant: of several that did not fit, the one with the fewest. */
const meant = (issues: readonly Issue[]): readonly Issue[] =>
	issues.flatMap((i) =>
		i.code === 'invalid_union' && i.errors.length > 0
			? meant([...i.errors].sort((a, b) => a.length - b.length)[0] ?? []).map((x) => ({
					...x,
					// Inside a union the path begins anew.
					path: [...i.path, ...x.path]
				}))
			: [i]
	);

/** First refusal as a field and a sentence; unknown keys are named. */
export function firstIssue(error: z.ZodError): { code: string; path: string; message: string } {
	const issues = meant(error.issues);
	const issue = issues.find((i) => i.code === 'unrecognized_keys') ?? issues[0];
	if (issue === undefined) return { code: 'invalid', path: '', message: 'Invalid input.' };
	if (issue.code === 'unrecognized_keys') {
		const at = issue.path.join('.');
		return {
			code: 'unknown-key',
			path: [...issue.path, issue.keys[0]].join('.'),
			message: `Unknown key ${issue.keys.map((k) => `"${k}"`).join(', ')}${at ? ` in ${at}` : ''}.`
		};
	}
	return { code: issue.code, path: issue.path.join('.'), message: issue.message };
}

/** A time zone by its name in the zone database, as this machine knows it. */
export function isZone(tz: string): boolean {
	if (tz === 'UTC') return true;
	// Other short names mean one thing here and another there.
	if (!tz.includes('/')) return false;
	try {
		return new Intl.DateTimeFormat('en', { timeZone: tz }).resolvedOptions().timeZone !== '';
	} catch {
		return false;
	}
}
/** A zone as it is typed. */
export const zone = text(60).refine(isZone, 'A time zone by its name, such as Europe/London.');
