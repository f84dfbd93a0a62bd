/** A practice, its people and its rooms in words. */
import { bandOf } from '#lib/core/dose/band.ts';
import type { DateOrder } from '../core/base/calendar-day.ts';
import { isSized, type RackKind, type RackUnit } from '../core/dose/rack-kind.ts';
import type { TrainerSigns } from '../core/decision/trainer-signs.ts';
import { longDay } from './typed-day.ts';
import { BAND_NAME } from './plan.ts';
import { EQUIPMENT_NAME } from './names.ts';

export const ROLE_NAME: Readonly<Record<string, string>> = {
	physiotherapist: 'licensed physiotherapist',
	trainer: 'trainer',
	owner: 'owner'
};
export const rolesText = (roles: readonly string[]): string =>
	roles.map((r) => ROLE_NAME[r] ?? r).join(' and ');

export const UNITS_NAME = { metric: 'cm, kg', imperial: 'ft in, lb' } as const;

export const WEEK_NAME = { 1: 'Monday', 0: 'Sunday' } as const;
export const DATE_ORDER_NAME = {
	'day-month': 'the day first: 12 Mar, 12/3',
	'month-day': 'the month first: Mar 12, 3/12'
} as const satisfies Record<DateOrder, string>;
export const TRAINER_SIGNS_NAME = {
	delegated: 'all of it',
	gentler: 'what goes on or is gentler, no advance',
	nothing: 'nothing'
} as const satisfies Record<TrainerSigns, string>;

const KIND_NAME: Readonly<Partial<Record<RackKind, string>>> = {
	seat: 'seat',
	pad: 'pad or block to raise a seat',
	wedge: 'heel wedge',
	step: 'step',
	weight: 'weight'
};
export const rackKindName = (kind: RackKind): string =>
	KIND_NAME[kind] ?? (EQUIPMENT_NAME as Readonly<Record<string, string>>)[kind] ?? kind;

/** "46 cm", as printed; nothing where the size decides nothing. */
export const sizeText = (i: {
	readonly kind: RackKind;
	readonly value: number;
	readonly unit: RackUnit;
}): string => {
	if (i.unit === 'rank') return BAND_NAME[bandOf(i.value) ?? 'medium'];
	// A band from before bands were ranked is there, of a tension nobody said.
	return isSized(i.kind) && i.kind !== 'band' ? `${i.value} ${i.unit}` : '–';
};

export const UNIT_NAME: Readonly<Record<RackUnit, string>> = {
	...{ cm: 'cm', in: 'in', kg: 'kg', lb: 'lb' },
	rank: 'of 5, 1 the lightest band'
};

/** A licence with its end, and whether it still signs. */
export function licenceText(
	m: { readonly licenceNo: string | null; readonly licensedUntil: string | null },
	today: string
): string {
	if (m.licenceNo === null || m.licensedUntil === null) return '–';
	return m.licensedUntil < today
		? `${m.licenceNo}, ended ${longDay(m.licensedUntil)}: signs nothing`
		: `${m.licenceNo}, to ${longDay(m.licensedUntil)}`;
}
