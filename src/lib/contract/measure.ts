/** What `measure` takes on the command line: a test with its person, both sides, a change, a total. Unknown keys are refused by name. */
import { z } from 'zod';
import { SIDES } from '#lib/core/body/axis.ts';
import { CLOT_ITEMS } from '#lib/core/client/acute.ts';
import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
import { QUESTIONNAIRES } from '#lib/catalogue/questionnaires.ts';
import { text } from './basics.ts';

const number = z.number().min(-1000).max(10_000);
const id = z
	.string()
	.refine(
		(t) => FUNCTION_TESTS.some((x) => x.id === t),
		`Tests here: ${FUNCTION_TESTS.map((t) => t.id).join(', ')}, knee-to-wall, clot-points.`
	);
const extras = z.record(text(40), number).exactOptional();
const person = {
	age: z.number().int().min(18, 'Adults only: 18 years or more.').max(120),
	sex: z.enum(['female', 'male']).exactOptional(),
	heightCm: z.number().min(120).max(230).exactOptional(),
	massKg: z.number().min(30).max(300).exactOptional()
};

export const measureInput = z.union([
	z.strictObject({
		test: z.literal('knee-to-wall'),
		left: z.number().min(-8).max(25),
		right: z.number().min(-8).max(25),
		testers: z.enum(['one', 'two']).exactOptional()
	}),
	z.strictObject({
		test: z.literal('clot-points'),
		items: z.array(z.enum(CLOT_ITEMS)),
		version: z.enum(['1997', '2003']).exactOptional()
	}),
	z.strictObject({ test: id, value: number, extras, ...person }),
	z.strictObject({
		test: id,
		left: number,
		right: number,
		sore: z.enum(SIDES).exactOptional(),
		before: number.exactOptional()
	}),
	z.strictObject({
		change: z.enum(['nprs', 'psfs', 'psfs-item', ...FUNCTION_TESTS.map((t) => t.id)]),
		from: number,
		to: number,
		population: text(60).exactOptional()
	}),
	z.strictObject({
		questionnaire: z.enum(QUESTIONNAIRES.map((q) => q.id)),
		to: number,
		from: number.exactOptional()
	})
]);
export type MeasureInput = z.infer<typeof measureInput>;
