/** The measure sheet as a form: `axis.side.field`, empty is not measured. Knee to wall is read in cm. */
import { z } from 'zod';
import { AXES, SIDES, type Axis, type Side } from '#lib/core/body/axis.ts';
import { dorsiflexionFromWall } from '#lib/core/posture/lunge-test.ts';
import type { Body } from '#lib/core/body/body.ts';
import { POLICY_IDS, type PolicyId } from '#lib/catalogue/policies.ts';
import { TECHNIQUES } from '#lib/core/posture/problem.ts';
import { ok, refuse, type Refusal, type Result } from '#lib/core/base/result.ts';
import { day, typed, uuid } from './basics.ts';

export const FIELDS = ['onset', 'tolerable', 'end', 'pain'] as const;
export type SheetField = (typeof FIELDS)[number];

export interface SheetValue {
	readonly id: string;
	readonly axis: Axis;
	readonly side: Side;
	readonly range: { onset?: number; tolerable?: number; end?: number; pain?: number };
	readonly method: string;
	readonly rawCm?: number;
	readonly loaded: boolean;
}

export interface Sheet {
	readonly day: string;
	readonly values: readonly SheetValue[];
}

const WALL = 'weightBearingDorsiflexion';
const parseField = (label: string, field: SheetField, axis: Axis, text: string) =>
	(field === 'pain' ? typed(label, 0, 10) : axis === WALL ? typed(label, -8, 25, 'cm') : typed(label, 0, 180, 'degrees')).safeParse(text);

/** Parses a sheet; the first thing that is wrong is refused with its field. The body turns knee-to-wall cm into degrees. */
export function parseSheet(form: ReadonlyMap<string, string>, body: Body, names: Readonly<Record<Axis, string>>): Result<Sheet, Refusal> {
	const when = day.safeParse(form.get('day') ?? '');
	if (!when.success) return refuse({ reason: 'day', field: 'day', message: 'Give a calendar day, YYYY-MM-DD.' });
	const values: SheetValue[] = [];
	for (const axis of AXES)
		for (const side of SIDES) {
			const range: { onset?: number; tolerable?: number; end?: number; pain?: number } = {};
			for (const field of FIELDS) {
				const name = `${axis}.${side}.${field}`;
				const label = `${names[axis]} ${side} ${field}`;
				const parsed = parseField(label, field, axis, form.get(name) ?? '');
				if (!parsed.success) return refuse({ reason: 'number', field: name, message: parsed.error.issues[0]?.message ?? label });
				if (parsed.data === undefined) continue;
				const value = axis === WALL && field !== 'pain' ? Math.round(10 * dorsiflexionFromWall(body, parsed.data)) / 10 : parsed.data;
				if (Number.isNaN(value)) return refuse({ reason: 'reach', field: name, message: `${label}: ${parsed.data} cm is further than this shank reaches.` });
				range[field] = value;
			}
			if (range.onset === undefined && range.tolerable === undefined && range.end === undefined) {
				if (range.pain !== undefined) return refuse({ reason: 'empty', field: `${axis}.${side}.end`, message: `${names[axis]} ${side}: pain ${range.pain} without a range; give at least one of onset, tolerable, end.` });
				continue;
			}
			const id = uuid.safeParse(form.get(`${axis}.${side}.id`));
			if (!id.success) return refuse({ reason: 'id', field: 'day', message: id.error.issues[0]?.message ?? 'id' });
			const raw = axis === WALL ? Number((form.get(`${axis}.${side}.end`) || form.get(`${axis}.${side}.tolerable`) || form.get(`${axis}.${side}.onset`) || '').replace(',', '.')) : undefined;
			values.push({ id: id.data, axis, side, range, method: axis === WALL ? 'knee to wall' : axis === 'thighTrunkFlexion' ? 'inclinometer, sitting' : 'goniometer', ...(raw === undefined ? {} : { rawCm: raw }), loaded: axis === WALL });
		}
	return ok({ day: when.data, values });
}

/** Height, mass and the segments that may be measured. */
export const bodyForm = z.object({
	id: uuid,
	heightCm: typed('Height', 120, 230, 'cm').refine((v) => v !== undefined, 'Height is needed.'),
	massKg: typed('Mass', 30, 300, 'kg').refine((v) => v !== undefined, 'Mass is needed.'),
	shankCm: typed('Shank', 25, 65, 'cm'),
	thighCm: typed('Thigh', 25, 65, 'cm')
});
/** Technique taught and pain policy; empty technique is the ordinary rise. */
export const wayForm = z.object({
	id: uuid,
	technique: z.union([z.literal(''), z.enum(TECHNIQUES)], 'Choose a technique from the list.'),
	policyId: z.enum(POLICY_IDS as [PolicyId, ...PolicyId[]], 'Choose a policy from the list.')
});
