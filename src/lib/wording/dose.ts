/** A dose in words, its load in the units that are written. */
import { doseText as metricDose } from '#lib/core/dose/dose.ts';
import { kgText } from './units.ts';

/** `3×10`, `5×45 s`, `3×10 8 kg` or `3×10 17.6 lb`, `3 rounds of 10`. */
export const doseText = (d: Parameters<typeof metricDose>[0]): string =>
	`${metricDose({ ...d, loadKg: 0 })}${d.loadKg > 0 ? ` ${kgText(d.loadKg)}` : ''}`;

/** A dose that a decision kept as text, in the units that are written: `3×10 8 kg`. */
export const keptDose = (text: string): string =>
	text.replace(/ (\d+(?:\.\d+)?) kg$/, (_, kg: string) => ` ${kgText(Number(kg))}`);
