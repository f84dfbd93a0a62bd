/** What `posture` and `setup` take: body, movement, technique, set-up, load, limits. Unknown keys are refused by name. */
import { z } from 'zod';
import { ARMS, LOAD_PLACES, MOVEMENTS, STANCES, TECHNIQUES } from '#lib/core/posture/problem.ts';

export const bodySchema = z.strictObject({
	heightCm: z.number().min(120).max(230),
	massKg: z.number().min(30).max(300),
	segments: z
		.strictObject({
			shankCm: z.number().min(25).max(65).exactOptional(),
			thighCm: z.number().min(25).max(65).exactOptional(),
			trunkCm: z.number().min(30).max(80).exactOptional(),
			footCm: z.number().min(15).max(40).exactOptional()
		})
		.exactOptional()
});

export const limitsSchema = z.strictObject({
	kneeFlexionDeg: z.number().min(0).max(165).exactOptional(),
	thighTrunkFlexionDeg: z.number().min(0).max(160).exactOptional(),
	weightBearingDorsiflexionDeg: z.number().min(-10).max(50).exactOptional(),
	trunkLeanDeg: z.number().min(0).max(90).exactOptional(),
	kneePastToeCm: z.number().min(-30).max(40).exactOptional()
});

const load = z.strictObject({ kg: z.number().min(0).max(400), at: z.enum(LOAD_PLACES) });

const stand = {
	body: bodySchema,
	technique: z.enum(TECHNIQUES).exactOptional(),
	arms: z.enum(ARMS).exactOptional(),
	stance: z.enum(STANCES).exactOptional(),
	load: load.exactOptional(),
	limits: limitsSchema.exactOptional(),
	marginDeg: z.number().min(0).max(30).exactOptional()
};

const surface = {
	heelWedgeCm: z.number().min(0).max(12).exactOptional(),
	toeOutDeg: z.number().min(0).max(45).exactOptional(),
	cushionSinkCm: z.number().min(0).max(15).exactOptional()
};

const depths = {
	thighDeg: z.number().min(0).max(150).exactOptional(),
	kneeFlexionDeg: z.number().min(0).max(165).exactOptional(),
	seatCm: z.number().min(0).max(120).exactOptional()
};

const oneDepth = (s: { thighDeg?: number; kneeFlexionDeg?: number; seatCm?: number }): boolean =>
	[s.thighDeg, s.kneeFlexionDeg, s.seatCm].filter((v) => v !== undefined).length === 1;
const ONE_DEPTH = 'Give exactly one of thighDeg, kneeFlexionDeg, seatCm.';

export const postureInput = z.strictObject({
	...stand,
	movement: z.enum(MOVEMENTS, `Solved here: ${MOVEMENTS.join(', ')}.`),
	setup: z.strictObject({ ...depths, ...surface }).refine(oneDepth, ONE_DEPTH)
});

export const furnitureSchema = z.strictObject({
	seats: z.array(z.number().min(10).max(120)).max(50),
	pads: z.array(z.strictObject({ cm: z.number().min(0.5).max(30), count: z.number().int().min(0).max(10) })).max(20),
	wedges: z.array(z.number().min(0.5).max(12)).max(20).exactOptional()
});

export const SOLVES = ['lowest-seat', 'deepest-squat', 'heel-wedge'] as const;

export const setupInput = z.strictObject({
	...stand,
	solve: z.enum(SOLVES, `Solved here: ${SOLVES.join(', ')}.`),
	movement: z.enum(MOVEMENTS).exactOptional(),
	setup: z.strictObject({ ...depths, ...surface }).exactOptional(),
	band: z.boolean().exactOptional(),
	furniture: furnitureSchema.exactOptional()
});

export type PostureInput = z.infer<typeof postureInput>;
export type SetupInput = z.infer<typeof setupInput>;
