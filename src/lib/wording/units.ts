/** Lengths and masses in the units a practice writes; kept and computed metric, shown and typed either way. */
import { CM_PER_INCH, KG_PER_POUND } from '#lib/core/base/imperial.ts';
import { written } from './written-as.ts';

export type Unit = 'cm' | 'kg';
const METRIC_IN = { cm: CM_PER_INCH, kg: KG_PER_POUND } as const;
const IMPERIAL_NAME = { cm: 'in', kg: 'lb' } as const;

const metric = (): boolean => written().units === 'metric';
const tenths = (n: number): number => Math.round(n * 10) / 10;

/** `cm` or `in`, `kg` or `lb`. */
export const unitName = (unit: Unit): string => (metric() ? unit : IMPERIAL_NAME[unit]);

/** A length in cm or a mass in kg as the number that is written: metric as it is, to a hundredth; else to a tenth of an inch or pound. */
export const inUnits = (value: number, unit: Unit): number =>
	metric() ? Math.round(value * 100) / 100 : tenths(value / METRIC_IN[unit]);

/** `47 cm` or `18.5 in`. */
export const cmText = (cm: number): string => `${inUnits(tenths(cm), 'cm')} ${unitName('cm')}`;
/** `8 kg` or `17.6 lb`. */
export const kgText = (kg: number): string => `${inUnits(kg, 'kg')} ${unitName('kg')}`;

/** `2–3 cm` or `1 in`: a width of tolerance, no nearer than it was meant. */
export const aboutText = (low: number, high: number): string => {
	if (metric()) return `${low}–${high} cm`;
	const [a, b] = [Math.round(low / CM_PER_INCH), Math.round(high / CM_PER_INCH)];
	return `${a === b ? a : `${a}–${b}`} in`;
};

/** Prose of the catalogue, which is written in cm and kg: `on 5 cm`, `an ordinary chair, 42–46 cm`. */
export const inProse = (text: string): string =>
	metric()
		? text
		: text.replace(
				/(\d+(?:\.\d+)?)(?:–(\d+(?:\.\d+)?))? (cm|kg)\b/g,
				(_, low: string, high: string | undefined, unit: Unit) =>
					`${[low, ...(high === undefined ? [] : [high])].map((n) => inUnits(Number(n), unit)).join('–')} ${unitName(unit)}`
			);

/** What was typed in the units that are written, as metric text: hundredths, a whole cm where it was meant. Undefined where it is no number. */
export function typedMetric(text: string, unit: Unit): string | undefined {
	const plain = text.trim().replace(',', '.');
	if (!/^-?\d+(\.\d*)?$/.test(plain)) return undefined;
	if (metric()) return plain;
	const value = Number(plain) * METRIC_IN[unit];
	// A tenth of an inch is a quarter of a centimetre: 18.5 in is the seat of 47 cm that was written so.
	const whole = Math.round(value);
	const near = unit === 'cm' && inUnits(whole, 'cm') === Number(plain) ? whole : value;
	return String(Math.round(near * 100) / 100);
}

/** `168 cm` or `5 ft 6 in` for a body's height. */
export function lengthText(cm: number): string {
	if (metric()) return `${tenths(cm)} cm`;
	const inches = Math.round(cm / CM_PER_INCH);
	return `${Math.floor(inches / 12)} ft ${inches % 12} in`;
}

/** `70 kg` or `154 lb`. */
export const massText = (kg: number): string =>
	metric() ? `${tenths(kg)} kg` : `${Math.round(kg / KG_PER_POUND)} lb`;
