/** An operation and its protocol as forms: phases with their windows, as the protocol gives them and never filled in. */
import { z } from 'zod';
import { ok, refuse, type Refusal, type Result } from '#lib/core/base/result.ts';
import { SIDES, type Side } from '#lib/core/body/axis.ts';
import { PROTOCOL_WHEN } from '#lib/core/client/envelope.ts';
import {
	LIMIT_AXES,
	type LimitAxis,
	WEIGHT_BEARING,
	type EnteredLimit,
	type Phase
} from '#lib/core/client/protocol.ts';
import { TAGS, type Tag } from '#lib/core/exercise/family.ts';
import { day, text, typed, uuid, region } from './basics.ts';

export const surgeryForm = z.object({
	id: uuid,
	region,
	operation: text(120).default(''),
	operatedOn: z.union([day, z.literal('')], 'Give the day of the operation, YYYY-MM-DD.')
});
export const protocolForm = z.object({
	id: uuid,
	surgeryId: uuid,
	source: text(200),
	reviewOn: z.union([day, z.literal('')], 'A calendar day, YYYY-MM-DD, that exists.')
});
export const noLimitsForm = z.object({
	id: uuid,
	surgeryId: uuid,
	by: text(160),
	on: z.union([day, z.literal('')], 'On which day it was said, YYYY-MM-DD.')
});
export const confirmForm = z.object({ id: uuid, surgeryId: uuid, phase: z.enum(['1', '2', '3', '4']) });
export const withdrawForm = z.object({ id: uuid, surgeryId: uuid, reason: text(300) });

export const MOST_PHASES = 4;
export const MOST_WINDOWS = 4;

const degrees = (label: string) => typed(label, -60, 180, 'degrees');
const windowForm = z.object({
	axis: z.enum(['', ...LIMIT_AXES] as ['', ...LimitAxis[]]),
	side: z.enum(SIDES),
	minDeg: degrees('From'),
	maxDeg: degrees('To'),
	when: z.enum(PROTOCOL_WHEN)
});
export const limitForm = z.object({
	id: uuid,
	source: text(200),
	reviewOn: z.union([day, z.literal('')]),
	...windowForm.shape
});

type Fields = ReadonlyMap<string, string>;

/** What a form refused, at the place where it was typed. */
function refused(error: z.ZodError, at: string): Result<never, Refusal> {
	const issue = error.issues[0];
	return refuse({
		reason: 'protocol',
		field: `${at}.${String(issue?.path[0] ?? '')}`,
		message: issue?.message ?? ''
	});
}

/** A window as it was typed: a row without a movement is left out, a movement without degrees is refused. */
export function windowOf(
	w: {
		readonly axis: string;
		readonly side: Side;
		readonly minDeg?: number | undefined;
		readonly maxDeg?: number | undefined;
		readonly when: EnteredLimit['when'];
	},
	at: string
): Result<EnteredLimit | null, Refusal> {
	const { axis, side, minDeg, maxDeg, when } = w;
	const none = minDeg === undefined && maxDeg === undefined;
	if (axis === '' && none) return ok(null);
	if (axis === '')
		return refuse({ reason: 'limit', field: `${at}.axis`, message: 'Which movement does this window hold?' });
	if (none)
		return refuse({
			reason: 'limit',
			field: `${at}.maxDeg`,
			message: 'How many degrees does the protocol allow? None are assumed.'
		});
	if (minDeg !== undefined && maxDeg !== undefined && minDeg > maxDeg)
		return refuse({
			reason: 'limit',
			field: `${at}.minDeg`,
			message: `A window from ${minDeg}° to ${maxDeg}° is empty.`
		});
	return ok({
		axis: axis as EnteredLimit['axis'],
		side,
		...(minDeg === undefined ? {} : { minDeg }),
		...(maxDeg === undefined ? {} : { maxDeg }),
		when
	});
}

function windowsOf(form: Fields, phase: string): Result<readonly EnteredLimit[], Refusal> {
	const windows: EnteredLimit[] = [];
	for (let i = 0; i < MOST_WINDOWS; i++) {
		const at = `${phase}.window.${i}`;
		const get = (k: string): string => form.get(`${at}.${k}`) ?? '';
		const parsed = windowForm.safeParse({
			axis: get('axis'),
			side: get('side') || 'left',
			minDeg: get('minDeg'),
			maxDeg: get('maxDeg'),
			when: get('when') || 'always'
		});
		if (!parsed.success) return refused(parsed.error, at);
		const window = windowOf(parsed.data, at);
		if (!window.ok) return window;
		if (window.value !== null) windows.push(window.value);
	}
	return ok(windows);
}

const phaseForm = z.object({
	fromWeek: typed('From week', 1, 104),
	toWeek: typed('To week', 1, 104),
	weightBearing: z.enum(WEIGHT_BEARING, 'How much weight may the leg take? As the protocol says.'),
	partialKg: typed('Kilograms on the leg', 1, 150, 'kg'),
	highestLoadKg: typed('Highest load', 0, 300, 'kg'),
	brace: text(120)
});

const PHASE_KEYS = ['fromWeek', 'toWeek', 'weightBearing', 'partialKg', 'highestLoadKg', 'brace'] as const;

/** One phase; null where nothing of it was filled in. Weeks are counted from 1, as protocols print them. */
function phaseOf(form: Fields, forbidden: readonly string[], at: string): Result<Phase | null, Refusal> {
	const typedIn = Object.fromEntries(PHASE_KEYS.map((k) => [k, form.get(`${at}.${k}`) ?? '']));
	const windows = windowsOf(form, at);
	if (!windows.ok) return windows;
	if (windows.value.length === 0 && forbidden.length === 0 && Object.values(typedIn).every((v) => v === ''))
		return ok(null);
	const parsed = phaseForm.safeParse(typedIn);
	if (!parsed.success) return refused(parsed.error, at);
	const { fromWeek, toWeek, weightBearing, partialKg, highestLoadKg, brace } = parsed.data;
	if (fromWeek === undefined)
		return refuse({
			reason: 'phase',
			field: `${at}.fromWeek`,
			message: 'From which week after the operation, counted from 1?'
		});
	if (!Number.isInteger(fromWeek) || (toWeek !== undefined && !Number.isInteger(toWeek)))
		return refuse({ reason: 'phase', field: `${at}.fromWeek`, message: 'Weeks are whole.' });
	const unknown = forbidden.find((t) => !(TAGS as readonly string[]).includes(t));
	if (unknown !== undefined)
		return refuse({ reason: 'phase', field: `${at}.forbidden`, message: `${unknown} is not on the list.` });
	return ok({
		fromWeek: fromWeek - 1,
		toWeek: toWeek ?? null,
		weightBearing,
		...(partialKg === undefined ? {} : { partialKg }),
		...(highestLoadKg === undefined ? {} : { highestLoadKg }),
		...(brace === '' ? {} : { brace }),
		windows: windows.value,
		forbidden: forbidden as readonly Tag[]
	});
}

/** The phases that were filled in, in order. */
export function parsePhases(form: FormData): Result<readonly Phase[], Refusal> {
	const fields: Fields = new Map([...form].map(([k, v]) => [k, String(v)]));
	const phases: Phase[] = [];
	for (let i = 0; i < MOST_PHASES; i++) {
		const at = `phase.${i}`;
		const phase = phaseOf(fields, form.getAll(`${at}.forbidden`).map(String), at);
		if (!phase.ok) return phase;
		if (phase.value !== null) phases.push(phase.value);
	}
	return ok(phases);
}
