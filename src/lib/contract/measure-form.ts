/**
 * The measure sheet as a form: ranges `kind.side.field`, tests `test.id[.side].field`, one total. Empty is not measured. Knee to wall
 * is read in cm; signed kinds say `-10` (lacks) or `+5` (beyond straight), and a bare number is asked about.
 */
import { z } from 'zod';
import { BRACES } from '#lib/core/exercise/family.ts';
import { SIDES, type Side } from '#lib/core/body/axis.ts';
import type { Body } from '#lib/core/body/body.ts';
import { ok, refuse, type Refusal, type Result } from '#lib/core/base/result.ts';
import type { Extras, TestSpec } from '#lib/core/measure/function-test.ts';
import { RANGE_FIELDS, type RangeInput } from '#lib/core/measure/range.ts';
import {
	METHOD_IDS,
	RANGE_IDS,
	type Stop,
	STOPS,
	type RangeId,
	type RangeKind,
	sidesRead
} from '#lib/core/measure/range-kind.ts';
import { dorsiflexionFromWall } from '#lib/core/posture/lunge-test.ts';
import { POLICY_IDS, type PolicyId } from '#lib/catalogue/policies.ts';
import { TECHNIQUES } from '#lib/core/posture/problem.ts';
import { day, text, typed, typedWhole, uuid, unparsed, type FieldIssue, type Unparsed } from './basics.ts';

export const FIELDS = [...RANGE_FIELDS, 'pain'] as const;
export type SheetField = (typeof FIELDS)[number];

export interface SheetRange {
	readonly id: string;
	readonly axis: RangeId;
	readonly side: Side;
	readonly range: RangeInput;
	readonly method: string;
	readonly rawCm?: number;
	readonly loaded: boolean;
	/** What stopped it, where that was noted. */
	readonly stop?: Stop;
}

export interface SheetTest {
	readonly id: string;
	readonly test: string;
	readonly side: Side | null;
	readonly value: number;
	readonly extras: Extras;
	readonly method: string;
}

export interface Sheet {
	readonly day: string;
	readonly ranges: readonly SheetRange[];
	readonly tests: readonly SheetTest[];
	readonly totals: readonly {
		readonly id: string;
		readonly instrument: string;
		readonly version: string;
		readonly total: number;
	}[];
	readonly confirmed: readonly RangeId[];
}

type Form = ReadonlyMap<string, string>;
const no = (field: string, message: string) => refuse<Refusal>({ reason: 'sheet', field, message });

/** The degrees of one typed value; undefined for an empty field. */
export function degreesTyped(
	kind: RangeKind,
	text_: string,
	body: Body,
	label: string = kind.name
): Result<number | undefined, string> {
	const entered = text_.trim();
	if (entered === '') return ok(undefined);
	if (kind.signed === true && /^\d/.test(entered) && Number(entered.replace(',', '.')) !== 0)
		return refuse(
			`${label}: −${entered} (lacks ${entered}°) or +${entered} (beyond straight)? Give the sign.`
		);
	const parsed = (
		kind.readCm === true
			? typed(label, -8, 25, 'cm')
			: typed(label, Math.min(0, kind.possible[0]), 180, 'degrees')
	).safeParse(entered.replace(/^\+/, '').replace('−', '-'));
	if (!parsed.success) return refuse(hinted(parsed.error.issues[0]?.message ?? label, kind, entered));
	if (parsed.data === undefined || kind.readCm !== true) return ok(parsed.data);
	const degrees = dorsiflexionFromWall(body, parsed.data);
	return Number.isNaN(degrees)
		? refuse(`${label}: ${parsed.data} cm is further than this shank reaches.`)
		: ok(Math.round(10 * degrees) / 10);
}

/** 115 for a toe to the wall is millimetres, most likely. */
const hinted = (message: string, kind: RangeKind, entered: string): string =>
	kind.readCm === true && Number(entered) > 25 && Number(entered) <= 250
		? `${message} ${entered} mm would be ${Number(entered) / 10} cm.`
		: message;

/** Parses a sheet; the first thing that is wrong is refused with its field. */
export function parseSheet(
	form: Form,
	body: Body,
	kinds: Readonly<Record<RangeId, RangeKind>>,
	tests: readonly TestSpec[]
): { readonly ok: true; readonly value: Sheet } | Unparsed {
	const issues: FieldIssue[] = [];
	/** Keeps what is wrong and goes on, so that everything is said at once. */
	const taken = <T>(r: Result<T | undefined, Refusal>): readonly T[] => {
		if (!r.ok) issues.push({ field: r.refusal.field ?? '', message: r.refusal.message });
		return r.ok && r.value !== undefined ? [r.value] : [];
	};
	const when = day.safeParse(form.get('day') ?? '');
	if (!when.success) issues.push({ field: 'day', message: 'Give a calendar day, YYYY-MM-DD.' });
	const ranges = RANGE_IDS.flatMap((id) =>
		sidesRead(kinds[id]).flatMap((side) => taken(parseRange(form, kinds[id], side, body)))
	);
	const done = tests.flatMap((spec) =>
		(spec.sided ? SIDES : [null]).flatMap((side) => taken(parseTest(form, spec, side)))
	);
	const totals = taken(parseTotal(form)).flat();
	if (issues.length > 0 || !when.success) return unparsed(issues);
	return ok({
		day: when.data,
		ranges,
		tests: done,
		totals,
		confirmed: RANGE_IDS.filter((id) => form.get(`confirm.${id}`) === 'on')
	});
}

type TypedRange = { onset?: number; tolerable?: number; end?: number; pain?: number };

/** What was typed of one range: its degrees, and the pain there. */
function rangeTyped(
	form: Form,
	kind: RangeKind,
	side: Side,
	body: Body,
	at: (f: SheetField) => string
): Result<TypedRange, Refusal> {
	const range: TypedRange = {};
	for (const field of RANGE_FIELDS) {
		const label = `${kind.name}, ${kind.midline === true ? '' : `${side} `}${field}`;
		const d = degreesTyped(kind, form.get(at(field)) ?? '', body, label);
		if (!d.ok) return no(at(field), d.refusal);
		if (d.value !== undefined) range[field] = d.value;
	}
	const pain = typedWhole(`${kind.name} ${side} pain`, 0, 10).safeParse(form.get(at('pain')) ?? '');
	if (!pain.success) return no(at('pain'), pain.error.issues[0]?.message ?? '');
	if (pain.data !== undefined) range.pain = pain.data;
	return ok(range);
}

/** Centimetres as they were read, of what is measured in them: the farthest that was given. */
const readIn = (form: Form, at: (f: SheetField) => string): number =>
	Number((form.get(at('end')) || form.get(at('tolerable')) || form.get(at('onset')) || '').replace(',', '.'));

/** How it was measured: as chosen, or the first of its ways. */
const methodIn = (form: Form, kind: RangeKind): SheetRange['method'] =>
	METHOD_IDS.find((m) => m === form.get(`${kind.id}.method`) && kind.methods.includes(m)) ??
	kind.methods[0] ??
	'goniometer';

function parseRange(
	form: Form,
	kind: RangeKind,
	side: Side,
	body: Body
): Result<SheetRange | undefined, Refusal> {
	const at = (f: SheetField): string => `${kind.id}.${side}.${f}`;
	const typedHere = rangeTyped(form, kind, side, body, at);
	if (!typedHere.ok) return typedHere;
	const range = typedHere.value;
	if (RANGE_FIELDS.every((f) => range[f] === undefined))
		return range.pain === undefined
			? ok(undefined)
			: no(
					at('end'),
					`${kind.name} ${side}: pain ${range.pain} without a range; give at least one of onset, tolerable, end.`
				);
	const id = uuid.safeParse(form.get(`${kind.id}.${side}.id`));
	if (!id.success) return no('day', 'The form has lost its ids; reload the page.');
	const inCm = kind.readCm === true;
	const stop = STOPS.find((s) => s === form.get(`${kind.id}.stop`));
	return ok({
		id: id.data,
		axis: kind.id,
		side,
		range,
		method: methodIn(form, kind),
		...(inCm ? { rawCm: readIn(form, at) } : {}),
		loaded: inCm,
		...(stop === undefined ? {} : { stop })
	});
}

/** What is told beside a test's result; a tick is 1. */
function extrasTyped(form: Form, spec: TestSpec, prefix: string): Result<Record<string, number>, Refusal> {
	const extras: Record<string, number> = {};
	for (const e of spec.extras) {
		const at = `${prefix}.${e.id}`;
		if (e.tick === true) {
			if (form.get(at) === 'on') extras[e.id] = 1;
			continue;
		}
		const x = typed(`${spec.title}, ${e.label}`, e.possible[0], e.possible[1], e.unit).safeParse(
			form.get(at) ?? ''
		);
		if (!x.success) return no(at, x.error.issues[0]?.message ?? '');
		if (x.data !== undefined) extras[e.id] = x.data;
	}
	return ok(extras);
}

function parseTest(form: Form, spec: TestSpec, side: Side | null): Result<SheetTest | undefined, Refusal> {
	const prefix = side === null ? `test.${spec.id}` : `test.${spec.id}.${side}`;
	const value = typed(spec.title, spec.possible[0], spec.possible[1], spec.unit).safeParse(
		form.get(`${prefix}.value`) ?? ''
	);
	if (!value.success) return no(`${prefix}.value`, value.error.issues[0]?.message ?? '');
	const beside = extrasTyped(form, spec, prefix);
	if (!beside.ok) return beside;
	const extras = beside.value;
	if (value.data === undefined) {
		const given = spec.extras.find((e) => e.tick !== true && extras[e.id] !== undefined);
		return given === undefined
			? ok(undefined)
			: no(`${prefix}.value`, `${spec.title}: ${given.label} is there, the result is not.`);
	}
	const id = uuid.safeParse(form.get(`${prefix}.id`));
	return id.success
		? ok({
				id: id.data,
				test: spec.id,
				side,
				value: value.data,
				extras,
				method: form.get(`${prefix}.method`) === 'device' ? 'device' : 'by hand'
			})
		: no('day', 'The form has lost its ids; reload the page.');
}

function parseTotal(form: Form): Result<Sheet['totals'], Refusal> {
	const instrument = form.get('total.instrument') ?? '';
	const value = typed('Total', 0, 100).safeParse(form.get('total.value') ?? '');
	if (!value.success) return no('total.value', value.error.issues[0]?.message ?? '');
	if (instrument === '' && value.data === undefined) return ok([]);
	if (instrument === '') return no('total.instrument', 'Which questionnaire is this the total of?');
	if (value.data === undefined) return no('total.value', 'Give the total; items are not kept here.');
	const version = text(60).safeParse(form.get('total.version') ?? '');
	if (!version.success || version.data === '')
		return no('total.version', 'Name the version: language, year, subscale.');
	const id = uuid.safeParse(form.get('total.id'));
	return id.success
		? ok([{ id: id.data, instrument, version: version.data, total: value.data }])
		: no('day', 'The form has lost its ids; reload the page.');
}

/** Height, mass and the segments that may be measured. */
export const bodyForm = z.object({
	id: uuid,
	heightCm: typed('Height', 120, 230, 'cm').refine((v) => v !== undefined, 'Height is needed.'),
	massKg: typed('Mass', 30, 300, 'kg').refine((v) => v !== undefined, 'Mass is needed.'),
	shankCm: typed('Shank', 25, 65, 'cm'),
	thighCm: typed('Thigh', 25, 65, 'cm'),
	trunkCm: typed('Trunk', 30, 80, 'cm').optional(),
	footCm: typed('Foot', 15, 40, 'cm').optional(),
	shoeHeelCm: typed('Heel of the shoe', 0, 12, 'cm').optional()
});
/** Technique taught and pain policy; empty technique is the ordinary rise. */
export const wayForm = z.object({
	id: uuid,
	technique: z.union([z.literal(''), z.enum(TECHNIQUES)], 'Choose a technique from the list.'),
	brace: z.enum(BRACES, 'Choose a way of bracing from the list.').default('tuned'),
	policyId: z.enum(POLICY_IDS as [PolicyId, ...PolicyId[]], 'Choose a policy from the list.')
});
