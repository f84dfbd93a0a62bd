/** Lengths and masses in the units somebody prefers; stored metric, shown either way. */
export type UnitSystem = 'metric' | 'imperial';

const CM_PER_INCH = 2.54;
const KG_PER_POUND = 0.45359237;

/** `168 cm` or `5 ft 6 in` for a body's height. */
export function lengthText(cm: number, units: UnitSystem): string {
	if (units === 'metric') return `${Math.round(cm * 10) / 10} cm`;
	const inches = Math.round(cm / CM_PER_INCH);
	return `${Math.floor(inches / 12)} ft ${inches % 12} in`;
}

/** `70 kg` or `154 lb`. */
export const massText = (kg: number, units: UnitSystem): string =>
	units === 'metric' ? `${Math.round(kg * 10) / 10} kg` : `${Math.round(kg / KG_PER_POUND)} lb`;

export const cmFrom = (feet: number, inches: number): number =>
	Math.round((feet * 12 + inches) * CM_PER_INCH * 10) / 10;
export const kgFrom = (pounds: number): number => Math.round(pounds * KG_PER_POUND * 10) / 10;
