/**
 * A session of several exercises as one form: day and who saw it once, pains once a region ("pain.knee-right.peak"), and for each exercise its own
 * fields under "e.0.", "e.1.", … An exercise of which nothing was said is left out. A worst pain that is
 * said with an exercise is that exercise's; otherwise the region's holds for each of its exercises.
 */
import { z } from 'zod';
import { mirrored } from '#lib/core/body/region-side.ts';
import {
	day,
	issuesOf,
	present,
	typedWhole,
	unparsed,
	uuid,
	type FieldIssue,
	type Unparsed
} from './basics.ts';
import { parseLog, type LogInput } from './log-form.ts';

/** Exercises of one session at most. */
export const MOST_EXERCISES = 24;

/** What was given, by the id of its prescription. */
export interface GivenToday {
	readonly sets: number;
	readonly reps: number;
	readonly loadKg: number;
	readonly unit?: 'sec' | 'steps' | 'breaths';
	readonly region: string;
	/** Pain is asked for the other side too. */
	readonly perSide: boolean;
}

const head = z.object({ id: uuid, visitId: uuid, day, observed: z.literal('on').optional() });
export type WholeParsed =
	| {
			readonly ok: true;
			readonly id: string;
			readonly logs: readonly LogInput[];
	  }
	| Unparsed;

const SHARED = ['before', 'peak', 'after'] as const;

/** The fields of one exercise, by their own names, with what it shares with the rest. */
function alone(form: FormData, at: number, region: string): FormData {
	const own = new FormData();
	const prefix = `e.${at}.`;
	for (const [key, value] of form)
		if (key.startsWith(prefix) && value !== '') own.append(key.slice(prefix.length), value);
	for (const key of ['visitId', 'day', 'observed'] as const) {
		const value = form.get(key);
		if (value !== null) own.set(key, value);
	}
	for (const key of SHARED) if (!own.has(key)) own.set(key, form.get(`pain.${region}.${key}`) ?? '');
	own.set('region', region);
	return own;
}

/** Where the refusal of one exercise belongs on the page: shared pains to their region, the rest to the exercise. */
const fieldOf = (form: FormData, at: number, region: string, field: string): string =>
	(SHARED as readonly string[]).includes(field) && (form.get(`e.${at}.${field}`) ?? '') === ''
		? `pain.${region}.${field}`
		: field === 'day'
			? 'day'
			: `e.${at}.${field}`;

const IDS = ['id', 'exerciseId', 'prescriptionId'];
/** Anything was said of it: then it was begun, and what is missing is asked for rather than the rest dropped. */
const isDone = (form: FormData, at: number): boolean =>
	[...form].some(
		([key, value]) =>
			key.startsWith(`e.${at}.`) && value !== '' && !IDS.includes(key.slice(`e.${at}.`.length))
	);

/** Pain of the other side, which is asked for where both legs work at once; its worst must be said. */
function otherSide(form: FormData, region: string, issues: FieldIssue[]): LogInput['session']['pains'] {
	const other = mirrored(region);
	if (other === undefined) return [];
	const read = (key: (typeof SHARED)[number]): number | undefined => {
		const field = `pain.${other}.${key}`;
		const r = typedWhole('Pain', 0, 10).safeParse(String(form.get(field) ?? ''));
		if (!r.success) issues.push({ field, message: r.error.issues[0]?.message ?? '' });
		return r.success ? r.data : undefined;
	};
	const [before, peak, after] = SHARED.map(read);
	if (peak === undefined && !issues.some((i) => i.field === `pain.${other}.peak`))
		issues.push({ field: `pain.${other}.peak`, message: 'Both legs work: say the worst of this side too.' });
	return [{ region: other, ...present({ before, peak: peak ?? 0, after }) }];
}

/** Parses against what was given; everything that is wrong is said at once. */
export function parseWholeSession(
	form: FormData,
	givenBy: (prescriptionId: string) => GivenToday | undefined
): WholeParsed {
	const parsed = head.safeParse(Object.fromEntries(form));
	const issues: FieldIssue[] = parsed.success ? [] : [...issuesOf(parsed.error)];
	const logs: LogInput[] = [];
	for (let at = 0; at < MOST_EXERCISES; at++) {
		if (!isDone(form, at)) continue;
		const given = givenBy(String(form.get(`e.${at}.prescriptionId`) ?? ''));
		if (given === undefined) {
			issues.push({
				field: '',
				message: 'The plan was changed meanwhile; reload the page. What you typed stays.'
			});
			continue;
		}
		const one = parseLog(alone(form, at, given.region), given);
		if (!one.ok) {
			issues.push(...one.issues.map((i) => ({ ...i, field: fieldOf(form, at, given.region, i.field) })));
			continue;
		}
		const { session } = one.value;
		const pains = given.perSide
			? [...session.pains, ...otherSide(form, given.region, issues)]
			: session.pains;
		logs.push({ ...one.value, session: { ...session, pains } });
	}
	if (!parsed.success || issues.length > 0) return unparsed(once(issues));
	if (logs.length === 0)
		return unparsed([{ field: '', message: 'Nothing was done yet: say the effort of one exercise.' }]);
	return { ok: true, id: parsed.data.id, logs };
}

/** Two exercises of one region are refused for the same pain; it is said once. */
const once = (issues: readonly FieldIssue[]): readonly FieldIssue[] =>
	issues.filter((i, at) => issues.findIndex((x) => x.field === i.field && x.message === i.message) === at);
