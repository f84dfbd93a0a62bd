/** Prescribing and answering slips as forms. */
import { z } from 'zod';
import { present, text, typed, uuid } from './basics.ts';

const needed = (label: string, low: number, high: number, unit = '') => typed(label, low, high, unit).refine((v) => v !== undefined, `${label} is needed: ${low} to ${high}.`).transform((v) => v as number);
const whole = (label: string, low: number, high: number) => needed(label, low, high).refine(Number.isInteger, `${label} is a whole number.`);

/** A field the page may leave out altogether. */
const absent = (field: ReturnType<typeof typed>) => z.string().default('').pipe(field);

export const doseFields = {
	sets: whole('Sets', 1, 10),
	reps: whole('Reps', 1, 30),
	loadKg: absent(typed('Load', 0, 200, 'kg'))
};

/** Set-up fields: absent when empty. */
export const setupFields = {
	seatCm: absent(typed('Seat', 20, 90, 'cm')),
	thighDeg: absent(typed('Thigh', 20, 130, 'degrees')),
	heelWedgeCm: absent(typed('Wedge', 0, 10, 'cm'))
};

export const prescribeForm = z.object({
	id: uuid,
	exerciseId: uuid,
	step: text(60).min(1, 'Choose a step.'),
	region: text(40).min(1, 'Choose the region it is for.'),
	...doseFields,
	...setupFields,
	reason: text(300).optional()
});

export const answerForm = z.object({
	id: uuid,
	prescriptionId: uuid,
	exerciseId: uuid,
	basedOn: uuid,
	hash: text(64).min(8),
	answer: z.enum(['accepted', 'altered', 'overridden'], 'Accept, alter or override.'),
	reason: text(300).optional()
});

export const insteadForm = z.object({ step: text(60).min(1), ...doseFields, ...setupFields });

export const setupOf = (v: { seatCm?: number | undefined; thighDeg?: number | undefined; heelWedgeCm?: number | undefined }) => present({ seatCm: v.seatCm, thighDeg: v.thighDeg, heelWedgeCm: v.heelWedgeCm });
