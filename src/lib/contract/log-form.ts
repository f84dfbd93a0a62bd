/** A logged session as a form: as prescribed by default, per set and by exception where it was not. */
import { z } from 'zod';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import { MUSCLES } from '#lib/core/body/muscle.ts';
import { SYMPTOMS, type Session } from '#lib/core/session/record.ts';
import { kgText } from '#lib/wording/units.ts';
import {
	day,
	issuesOf,
	present,
	region,
	typed,
	unparsed,
	uuid,
	type FieldIssue,
	type Unparsed
} from './basics.ts';
import { chosenIn, sessionShape } from './session-fields.ts';

const base = z.object({
	id: uuid,
	visitId: uuid,
	exerciseId: uuid,
	prescriptionId: uuid,
	day,
	observed: z.literal('on').optional(),
	cleanThroughout: z.literal('on').optional(),
	otherSame: z.literal('on').optional(),
	region,
	...sessionShape,
	elseRegion: z.union([z.literal(''), region]).optional()
});

export interface LogInput {
	readonly id: string;
	readonly visitId: string;
	readonly exerciseId: string;
	readonly prescriptionId: string;
	readonly session: Session;
}

export type LogParsed = { readonly ok: true; readonly value: LogInput } | Unparsed;

const MOST_KG = 200;
/** The most of one set that is believed: a hold of ten minutes, a hundred of anything else. */
const mostOf = (unit: PrescribedDose['unit'] | undefined): number => (unit === 'sec' ? 600 : 100);

interface TypedSet {
	readonly reps: number | undefined;
	readonly effort: number | undefined;
	readonly clean: number | undefined;
	readonly other: number | undefined;
	readonly load: number | undefined;
	readonly dropAfter: number | undefined;
	readonly dropTo: number | undefined;
	readonly issues: readonly FieldIssue[];
}

/** The fields of one set, and what is wrong with each. */
function typedSet(
	form: FormData,
	i: number,
	most: number,
	unit: PrescribedDose['unit'] | undefined
): TypedSet {
	const issues: FieldIssue[] = [];
	const read = (field: string, label: string, high: number): number | undefined => {
		const r = typed(`Set ${i + 1} ${label}`, 0, high).safeParse(String(form.get(`set.${i}.${field}`) ?? ''));
		if (r.success) return r.data;
		issues.push({ field: `set.${i}.${field}`, message: r.error.issues[0]?.message ?? '' });
		return undefined;
	};
	const reps = read('reps', unit ?? 'reps', most);
	return {
		reps,
		effort: read('effort', 'effort', 10),
		clean: read('clean', 'clean', most),
		other: read('other', 'other leg', most),
		load: read('load', 'load', MOST_KG),
		dropAfter: read('dropAfter', 'repetitions before the load was let down', most),
		dropTo: read('dropTo', 'load it was let down to', MOST_KG),
		issues
	};
}

type Prescribed = { sets: number; reps: number; loadKg: number; unit?: PrescribedDose['unit'] };
type Base = z.infer<typeof base>;
type Issues = FieldIssue[];

/** A set as it was done: as prescribed where nothing else was typed; what cannot be goes to the issues. */
function setDone(
	v: Base,
	i: number,
	{ reps, effort, clean, other, load, dropAfter, dropTo }: TypedSet,
	prescribed: Prescribed,
	issues: Issues
): Session['sets'][number] {
	const say = (field: string, message: string): void =>
		void issues.push({ field: `set.${i}.${field}`, message });
	const done = reps ?? prescribed.reps;
	const counted = prescribed.unit === 'sec' ? 'seconds' : 'repetitions';
	if (!Number.isInteger(done)) say('reps', `Set ${i + 1}: whole ${counted} only.`);
	const seen = cleanIn(v, i, { clean, other }, done, say);
	const drop = dropIn({ load, dropAfter, dropTo }, done, prescribed, say);
	const less = (load ?? prescribed.loadKg) < prescribed.loadKg || drop !== undefined;
	if (less && !v.incompleteBecause && !issues.some((x) => x.field === 'incompleteBecause'))
		issues.push({ field: 'incompleteBecause', message: 'Less load than prescribed: say because of what.' });
	return present({
		reps: done,
		effort: effort ?? v.effort,
		...seen,
		loadKg: load === prescribed.loadKg ? undefined : load,
		drop
	});
}

/** What was clean, and what of it the other leg did: as typed, or as the ticks of the whole session say. */
function cleanIn(
	v: Base,
	i: number,
	{ clean, other }: Pick<TypedSet, 'clean' | 'other'>,
	done: number,
	say: (field: string, message: string) => void
): { readonly cleanReps: number | undefined; readonly otherClean: number | undefined } {
	const cleanReps = clean ?? (v.observed && v.cleanThroughout ? done : undefined);
	if (cleanReps !== undefined && cleanReps > done)
		say('clean', `Set ${i + 1}: ${cleanReps} clean of ${done} done is not possible.`);
	if (other !== undefined && !v.observed)
		say('other', 'What the other leg did clean counts only when it was seen; tick “seen by me”.');
	return { cleanReps, otherClean: other ?? (v.observed && v.otherSame ? cleanReps : undefined) };
}

/** A load that was let down in the middle of a set: from what, after how many, to what. */
function dropIn(
	{ load, dropAfter, dropTo }: Pick<TypedSet, 'load' | 'dropAfter' | 'dropTo'>,
	done: number,
	prescribed: Prescribed,
	say: (field: string, message: string) => void
): Session['sets'][number]['drop'] {
	if (dropAfter === undefined && dropTo === undefined) return undefined;
	if (dropAfter === undefined || dropTo === undefined) {
		say(
			dropAfter === undefined ? 'dropAfter' : 'dropTo',
			'A load that was let down: after how many, and to how much.'
		);
		return undefined;
	}
	const from = load ?? prescribed.loadKg;
	if (!Number.isInteger(dropAfter) || dropAfter > done)
		say('dropAfter', `The load was let down after ${dropAfter} of ${done}: not possible.`);
	if (dropTo >= from) say('dropTo', `Let down to ${kgText(dropTo)} from ${kgText(from)}: that is no less.`);
	return { afterReps: dropAfter, toKg: dropTo };
}

/** Fields that may be said more than once. */
const LISTS: ReadonlySet<string> = new Set(['symptoms', 'asUsual', 'feltIn']);

/** The muscles it was felt in. */
function feltIn(form: FormData, felt: Session['felt'], issues: Issues): Pick<Session, 'felt'> {
	const named = form.getAll('feltIn').map(String);
	const muscles = MUSCLES.filter((m) => named.includes(m));
	const unknown = named.find((m) => !(MUSCLES as readonly string[]).includes(m));
	if (unknown !== undefined)
		issues.push({ field: 'feltIn', message: `${unknown} is not a muscle on the list.` });
	if (named.length === 0) return felt === undefined ? {} : { felt };
	return { felt: { ...felt, in: muscles } };
}

/** What was told beyond pain, and what of it is as usual. */
function symptomsIn(form: FormData, issues: Issues): Pick<Session, 'symptoms' | 'asUsual'> {
	const told = form.getAll('symptoms').map(String);
	const unknown = told.find((s) => !(SYMPTOMS as readonly string[]).includes(s));
	if (unknown !== undefined)
		issues.push({ field: 'symptoms', message: `${unknown} is not a symptom on the list.` });
	const usual = form
		.getAll('asUsual')
		.map(String)
		.filter((s) => told.includes(s));
	return present({ symptoms: told, asUsual: usual.length === 0 ? undefined : usual }) as Pick<
		Session,
		'symptoms' | 'asUsual'
	>;
}

/** The share of sets in which each fault was seen. */
function faultsIn(form: FormData, issues: Issues): NonNullable<Session['faults']> {
	const shares = [...form]
		.filter(([k, x]) => k.startsWith('fault.') && x !== '')
		.map(([k, x]) => [k.slice('fault.'.length), Number(x)] as const);
	for (const [fault, share] of shares)
		if (!(share >= 0 && share <= 1))
			issues.push({
				field: `fault.${fault}`,
				message: 'A fault is seen in none, some, half or all of the sets.'
			});
	return Object.fromEntries(shares.filter(([, share]) => share > 0));
}

/** Pain of the region worked, and of another where it hurt there too. */
function painsIn(v: Base, issues: Issues): Session['pains'] {
	if (v.peak < v.before && v.peak < v.after)
		issues.push({
			field: 'peak',
			message: `Worst pain (${v.peak}) is below both before (${v.before}) and after (${v.after}); the worst is at least one of them.`
		});
	const own = { region: v.region, before: v.before, peak: v.peak, after: v.after };
	if (!v.elseRegion) return [own];
	if (v.elsePeak === undefined)
		issues.push({ field: 'elsePeak', message: 'Say how much it hurt there, 0 to 10.' });
	const there = v.elsePeak ?? 0;
	return [own, { region: v.elseRegion, peak: there, after: there }];
}

/** Parses a log form against what was prescribed; everything that is wrong is said at once. */
export function parseLog(form: FormData, prescribed: Prescribed): LogParsed {
	const parsed = base.safeParse(Object.fromEntries([...form].filter(([k]) => !LISTS.has(k))));
	const { sets: count, reps, loadKg, unit } = prescribed;
	const typedSets = Array.from({ length: count }, (_, i) => typedSet(form, i, mostOf(unit), unit));
	const issues = [...(parsed.success ? [] : issuesOf(parsed.error)), ...typedSets.flatMap((t) => t.issues)];
	if (!parsed.success || issues.length > 0) return unparsed(issues);
	const v = parsed.data;
	const chosen = chosenIn(v);
	const session = present({
		date: v.day,
		observed: v.observed === 'on',
		prescribed: { sets: count, reps, loadKg },
		sets: typedSets.map((t, i) => setDone(v, i, t, prescribed, issues)),
		pains: painsIn(v, issues),
		...chosen,
		...feltIn(form, chosen.felt, issues),
		...symptomsIn(form, issues),
		faults: faultsIn(form, issues),
		soreness: v.soreness,
		confidence: v.confidence
	}) as Session;
	if (issues.length > 0) return unparsed(issues);
	const { id, visitId, exerciseId, prescriptionId } = v;
	return { ok: true, value: { id, visitId, exerciseId, prescriptionId, session } };
}
