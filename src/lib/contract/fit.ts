/** What `fit` takes: body, policy, family, envelope, limits, furniture, what was seen. */
import { z } from 'zod';
import { AXES, POSSIBLE_RANGE, SIDES, type Axis } from '#lib/core/body/axis.ts';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { PROTOCOL_WHEN } from '#lib/core/client/envelope.ts';
import { CLEARANCES, EQUIPMENT, POSITIONS, TAGS } from '#lib/core/exercise/family.ts';
import { TECHNIQUES } from '#lib/core/posture/problem.ts';
import { day, text } from './basics.ts';
import { setup } from './decide.ts';
import { policySchema } from './policy.ts';
import { bodySchema, furnitureSchema } from './posture.ts';

function tolerated(axis: Axis) {
	const [low, high] = POSSIBLE_RANGE[axis];
	const deg = z.number().min(low).max(high);
	return z
		.strictObject({
			painFree: deg,
			tolerable: deg,
			end: deg,
			date: day,
			loaded: z.boolean(),
			endHurts: z.boolean().exactOptional(),
			realChangeDeg: z.number().min(0).max(60).exactOptional(),
			from: z.enum(['measured', 'observed', 'painful-set']).exactOptional()
		})
		.refine((t) => t.painFree <= t.tolerable && t.tolerable <= t.end, 'Ordered painFree ≤ tolerable ≤ end.');
}

const sides = (axis: Axis) =>
	z.strictObject({ left: tolerated(axis).exactOptional(), right: tolerated(axis).exactOptional() });

const windowSchema = z
	.strictObject({
		axis: z.enum(AXES),
		side: z.enum(SIDES),
		minDeg: z.number().min(-60).max(180).exactOptional(),
		maxDeg: z.number().min(-60).max(180).exactOptional(),
		when: z.enum(PROTOCOL_WHEN).exactOptional()
	})
	.refine((w) => w.minDeg !== undefined || w.maxDeg !== undefined, 'A window needs minDeg or maxDeg.')
	.refine(
		(w) => w.minDeg === undefined || w.maxDeg === undefined || w.minDeg <= w.maxDeg,
		'minDeg is above maxDeg.'
	);
const CAUTIONS = SCREENING.map((c) => c.id);

export const fitInput = z.strictObject({
	body: bodySchema,
	technique: z.enum(TECHNIQUES).exactOptional(),
	teach: z.boolean().exactOptional(),
	policy: policySchema,
	/** Left out, every family. */
	family: text(40).exactOptional(),
	equipment: z.array(z.enum(EQUIPMENT)).max(40).exactOptional(),
	withheld: z.array(z.enum(TAGS)).max(40).exactOptional(),
	/** Cautions of the screening that are open, by id. */
	cautions: z.array(z.enum(CAUTIONS)).max(40).exactOptional(),
	/** A protocol's windows; they bind whether or not the axis was measured. */
	protocol: z.array(windowSchema).max(40).exactOptional(),
	clearances: z.array(z.enum(CLEARANCES)).max(10).exactOptional(),
	shoeHeelCm: z.number().min(0).max(12).exactOptional(),
	today: day,
	side: z.enum(SIDES).exactOptional(),
	envelope: z.strictObject({
		kneeFlexion: sides('kneeFlexion').exactOptional(),
		thighTrunkFlexion: sides('thighTrunkFlexion').exactOptional(),
		weightBearingDorsiflexion: sides('weightBearingDorsiflexion').exactOptional(),
		straightLegRaise: sides('straightLegRaise').exactOptional(),
		hipExtension: sides('hipExtension').exactOptional(),
		bigToeExtension: sides('bigToeExtension').exactOptional(),
		positions: z.partialRecord(z.enum(POSITIONS), z.enum(['yes', 'no', 'unknown'])).exactOptional()
	}),
	protocolLimits: z
		.array(
			z.strictObject({
				axis: z.enum(AXES),
				side: z.enum(SIDES),
				maxDeg: z.number().min(0).max(180),
				source: text(200).exactOptional(),
				reviewOn: day.exactOptional()
			})
		)
		.exactOptional(),
	furniture: furnitureSchema.exactOptional(),
	observed: z
		.array(
			z.strictObject({
				step: text(80),
				setup: z.strictObject({
					seatCm: z.number().exactOptional(),
					thighDeg: z.number().exactOptional(),
					stepCm: z.number().exactOptional(),
					bowDeg: z.number().exactOptional(),
					handleCm: z.number().exactOptional(),
					sledCm: z.number().exactOptional(),
					feetCm: z.number().exactOptional()
				}),
				date: day
			})
		)
		.exactOptional()
});

const prescribedSchema = z.strictObject({
	id: text(80).min(1),
	family: text(40).exactOptional(),
	step: text(80),
	setup: setup.exactOptional(),
	dose: z
		.strictObject({
			sets: z.number().int().min(1).max(50),
			reps: z.number().int().min(1).max(600),
			loadKg: z.number().min(0).max(400)
		})
		.exactOptional(),
	/** Day it was given; a measurement of that day or later can break it. */
	since: day.exactOptional(),
	passedOver: z.array(text(80)).max(40).exactOptional()
});

/** What `standing` takes: fit's input, and what is prescribed. */
export const standingInput = z.strictObject({
	...fitInput.omit({ family: true }).shape,
	prescriptions: z.array(prescribedSchema).min(1).max(100)
});
