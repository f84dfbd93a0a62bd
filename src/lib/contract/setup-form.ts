/** Prescribing and answering slips as forms. */
import { z } from 'zod';
import type { Chosen } from '#lib/core/exercise/family.ts';
import { findStep } from '#lib/catalogue/families.ts';
import { type Length, lengthKind } from '#lib/core/movement/set-up-length.ts';
import { present, text, typed, uuid } from './basics.ts';
import { particularFields } from './particulars.ts';

const needed = (label: string, low: number, high: number, unit = '') =>
	typed(label, low, high, unit)
		.refine((v) => v !== undefined, `${label} is needed: ${low} to ${high}.`)
		.transform((v) => v as number);
const whole = (label: string, low: number, high: number) =>
	needed(label, low, high).refine(Number.isInteger, `${label} is a whole number.`);

/** A field the page may leave out altogether. */
const absent = (field: ReturnType<typeof typed>) => z.string().default('').pipe(field);

export const doseFields = {
	sets: whole('Sets', 1, 10),
	/** In what the step counts: repetitions, seconds, steps, breaths. */
	reps: whole('Reps', 1, 180),
	loadKg: absent(typed('Load', 0, 200, 'kg'))
};

const length = (name: string, of: Length) => {
	const { possible, unit } = lengthKind(of);
	return absent(typed(name, ...possible, unit === 'deg' ? 'degrees' : unit));
};

const chosenIn = (text: string): Chosen | undefined =>
	text === ''
		? undefined
		: Object.fromEntries(text.split(',').map((pair) => pair.split(':') as [string, string]));
/** The same, for the form. */
export const chosenField = (chosen: Chosen | undefined): string =>
	Object.entries(chosen ?? {})
		.map((pair) => pair.join(':'))
		.join(',');

/** Set-up fields: absent when empty. */
export const setupFields = {
	seatCm: length('Seat', 'seatCm'),
	thighDeg: length('Thigh', 'thighDeg'),
	stepCm: length('Step', 'stepCm'),
	bowDeg: length('Bow', 'bowDeg'),
	handleCm: length('Handle', 'handleCm'),
	sledCm: length('Sled', 'sledCm'),
	feetCm: length('Feet', 'feetCm'),
	heelWedgeCm: absent(typed('Wedge', 0, 10, 'cm')),
	/** "pause:2,toes:25"; empty where everything is as usual. */
	chosen: z
		.string()
		.max(300)
		.regex(
			/^(?:[a-z0-9-]{1,30}:[a-z0-9.-]{1,30}(?:,(?=.)|$))*$/,
			'The choices of the step are not readable; reload.'
		)
		.default('')
		.transform(chosenIn)
};

/** Thirty repetitions are the most; seconds and steps may be more. */
const MOST_REPS = 30;
function countedRight(v: { readonly step: string; readonly reps: number }, ctx: z.RefinementCtx): void {
	// A practice's own step may count anything; the use-case knows it.
	const counts = v.step.startsWith('own-') ? 'sec' : (findStep(v.step)?.step.counts ?? 'reps');
	if (counts === 'reps' && v.reps > MOST_REPS)
		ctx.addIssue({ code: 'custom', path: ['reps'], message: `Reps is ${v.reps}; 1 to ${MOST_REPS}.` });
}

export const prescribeForm = z
	.object({
		id: uuid,
		exerciseId: uuid,
		family: text(40).min(1, 'Choose a family.'),
		step: text(60).min(1, 'Choose a step.'),
		region: text(40).min(1, 'Choose the region it is for.'),
		...doseFields,
		...setupFields,
		...particularFields,
		/** Its sets are rounds of a circuit. */
		rounds: z.enum(['', 'on']).default(''),
		/** The exercise it takes the place of; empty for a further one. */
		inPlaceOf: z.union([z.literal(''), uuid]).default(''),
		endId: uuid.optional(),
		reason: text(300).optional()
	})
	.superRefine(countedRight);

export const answerForm = z.object({
	id: uuid,
	prescriptionId: uuid,
	exerciseId: uuid,
	basedOn: uuid,
	hash: text(64).min(8),
	answer: z.enum(['accepted', 'altered', 'overridden'], 'Accept, alter or override.'),
	reason: text(300).optional()
});

export const insteadForm = z
	.object({ step: text(60).min(1), ...doseFields, ...setupFields })
	.superRefine(countedRight);

type Lengths = { readonly [K in Exclude<keyof typeof setupFields, 'chosen'>]?: number | undefined } & {
	readonly chosen?: Chosen | undefined;
};
export const setupOf = (v: Lengths) =>
	present({
		seatCm: v.seatCm,
		thighDeg: v.thighDeg,
		stepCm: v.stepCm,
		bowDeg: v.bowDeg,
		handleCm: v.handleCm,
		sledCm: v.sledCm,
		feetCm: v.feetCm,
		heelWedgeCm: v.heelWedgeCm,
		chosen: v.chosen
	});
