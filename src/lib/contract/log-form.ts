/** A logged session as a form: as prescribed by default, per set and by exception where it was not. */
import { z } from 'zod';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import { SYMPTOMS, type Session } from '#lib/core/session/record.ts';
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

const bad = (field: string, message: string): LogParsed => unparsed([{ field, message }]);

/** The most of one set that is believed: a hold of ten minutes, a hundred of anything else. */
const mostOf = (unit: PrescribedDose['unit'] | undefined): number => (unit === 'sec' ? 600 : 100);

interface TypedSet {
	readonly reps: number | undefined;
	readonly effort: number | undefined;
	readonly clean: number | undefined;
	readonly other: number | undefined;
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
		issues
	};
}

/** Parses a log form against what was prescribed; everything that is wrong is said at once. */
export function parseLog(
	form: FormData,
	prescribed: { sets: number; reps: number; loadKg: number; unit?: PrescribedDose['unit'] }
): LogParsed {
	const parsed = base.safeParse(
		Object.fromEntries([...form].filter(([k]) => k !== 'symptoms' && k !== 'asUsual'))
	);
	const most = mostOf(prescribed.unit);
	const typedSets = Array.from({ length: prescribed.sets }, (_, i) =>
		typedSet(form, i, most, prescribed.unit)
	);
	const issues = [...(parsed.success ? [] : issuesOf(parsed.error)), ...typedSets.flatMap((t) => t.issues)];
	if (!parsed.success || issues.length > 0) return unparsed(issues);
	const v = parsed.data;
	const sets: { reps: number; effort?: number; cleanReps?: number; otherClean?: number }[] = [];
	for (const [i, { reps, effort, clean, other }] of typedSets.entries()) {
		const done = reps ?? prescribed.reps;
		if (!Number.isInteger(done))
			return bad(
				`set.${i}.reps`,
				`Set ${i + 1}: whole ${prescribed.unit === 'sec' ? 'seconds' : 'repetitions'} only.`
			);
		const cleanReps = clean ?? (v.observed && v.cleanThroughout ? done : undefined);
		if (cleanReps !== undefined && cleanReps > done)
			return bad(`set.${i}.clean`, `Set ${i + 1}: ${cleanReps} clean of ${done} done is not possible.`);
		if (other !== undefined && !v.observed)
			return bad(
				`set.${i}.other`,
				'What the other leg did clean counts only when it was seen; tick “seen by me”.'
			);
		sets.push(
			present({
				reps: done,
				effort: effort ?? v.effort,
				cleanReps,
				otherClean: other ?? (v.observed && v.otherSame ? cleanReps : undefined)
			})
		);
	}
	const symptoms = form.getAll('symptoms').map(String);
	const unknown = symptoms.find((s) => !(SYMPTOMS as readonly string[]).includes(s));
	if (unknown !== undefined) return bad('symptoms', `${unknown} is not a symptom on the list.`);
	const asUsual = form
		.getAll('asUsual')
		.map(String)
		.filter((s) => symptoms.includes(s)) as NonNullable<Session['asUsual']>;
	const faults: Record<string, number> = {};
	for (const [k, x] of form) {
		if (!k.startsWith('fault.') || x === '') continue;
		const share = Number(x);
		if (!(share >= 0 && share <= 1)) return bad(k, 'A fault is seen in none, some, half or all of the sets.');
		if (share > 0) faults[k.slice(6)] = share;
	}
	if (v.peak < v.before && v.peak < v.after)
		return bad(
			'peak',
			`Worst pain (${v.peak}) is below both before (${v.before}) and after (${v.after}); the worst is at least one of them.`
		);
	const pains = [
		{ region: v.region, before: v.before, peak: v.peak, after: v.after },
		...(v.elseRegion ? [{ region: v.elseRegion, peak: v.elsePeak ?? 0, after: v.elsePeak ?? 0 }] : [])
	];
	if (v.elseRegion && v.elsePeak === undefined)
		return bad('elsePeak', 'Say how much it hurt there, 0 to 10.');
	const session = present({
		date: v.day,
		observed: v.observed === 'on',
		prescribed: { sets: prescribed.sets, reps: prescribed.reps, loadKg: prescribed.loadKg },
		sets,
		pains,
		...chosenIn(v),
		symptoms: symptoms as Session['symptoms'],
		faults,
		soreness: v.soreness,
		confidence: v.confidence,
		asUsual: asUsual.length === 0 ? undefined : asUsual
	}) as Session;
	return {
		ok: true,
		value: {
			id: v.id,
			visitId: v.visitId,
			exerciseId: v.exerciseId,
			prescriptionId: v.prescriptionId,
			session
		}
	};
}
