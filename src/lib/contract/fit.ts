/** What `fit` takes: body, policy, family, envelope, limits, furniture, what was seen. */
import { z } from 'zod';
import { AXES, POSSIBLE_RANGE, SIDES, type Axis } from '#lib/core/body/axis.ts';
import { EQUIPMENT, POSITIONS, TAGS } from '#lib/core/exercise/family.ts';
import { TECHNIQUES } from '#lib/core/posture/problem.ts';
import { day, text } from './basics.ts';
import { policySchema } from './policy.ts';
import { bodySchema, furnitureSchema } from './posture.ts';

function tolerated(axis: Axis) {
	const [low, high] = POSSIBLE_RANGE[axis];
	const deg = z.number().min(low).max(high);
	return z
		.strictObject({ painFree: deg, tolerable: deg, end: deg, date: day, loaded: z.boolean(), from: z.enum(['measured', 'observed', 'painful-set']).exactOptional() })
		.refine((t) => t.painFree <= t.tolerable && t.tolerable <= t.end, 'Ordered painFree ≤ tolerable ≤ end.');
}

const sides = (axis: Axis) => z.strictObject({ left: tolerated(axis).exactOptional(), right: tolerated(axis).exactOptional() });

export const fitInput = z.strictObject({
	body: bodySchema,
	technique: z.enum(TECHNIQUES).exactOptional(),
	teach: z.boolean().exactOptional(),
	policy: policySchema,
	/** Left out, every family. */
	family: text(40).exactOptional(),
	equipment: z.array(z.enum(EQUIPMENT)).max(40).exactOptional(),
	withheld: z.array(z.enum(TAGS)).max(20).exactOptional(),
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
	protocolLimits: z.array(z.strictObject({ axis: z.enum(AXES), side: z.enum(SIDES), maxDeg: z.number().min(0).max(180), source: text(200).exactOptional(), reviewOn: day.exactOptional() })).exactOptional(),
	furniture: furnitureSchema.exactOptional(),
	observed: z
		.array(z.strictObject({ step: text(80), setup: z.strictObject({ seatCm: z.number().exactOptional(), thighDeg: z.number().exactOptional(), stepCm: z.number().exactOptional(), handleCm: z.number().exactOptional(), sledCm: z.number().exactOptional(), feetCm: z.number().exactOptional() }), date: day }))
		.exactOptional()
});
