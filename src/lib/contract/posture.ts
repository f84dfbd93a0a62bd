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
	kneePastToeCm: z.number().min(-30).max(40).exactOptional(),
	straightLegRaiseDeg: z.number().min(0).max(130).exactOptional(),
	hipExtensionDeg: z.number().min(-30).max(45).exactOptional(),
	bigToeExtensionDeg: z.number().min(0).max(110).exactOptional()
});

const load = z.strictObject({ kg: z.number().min(0).max(400), at: z.enum(LOAD_PLACES) });

const stand = {
	body: bodySchema,
	technique: z.enum(TECHNIQUES).exactOptional(),
	arms: z.enum(ARMS).exactOptional(),
	stance: z.enum(STANCES).exactOptional(),
	load: load.exactOptional(),
	limits: limitsSchema.exactOptional(),
	marginDeg: z.number().min(0).max(30).exactOptional(),
	/** A technique as a band of shanks, the best of it taken, as fits and cards do; left out, as it is taught. */
	techniqueBand: z.boolean().exactOptional(),
	/** Both hands on something firm. */
	hands: z.literal(true).exactOptional()
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

const squatInput = z.strictObject({
	...stand,
	movement: z.enum(MOVEMENTS),
	setup: z.strictObject({ ...depths, ...surface }).refine(oneDepth, ONE_DEPTH)
});

const cm = (low: number, high: number) => z.number().min(low).max(high);
const deg = (low: number, high: number) => z.number().min(low).max(high);
const legs = z.union([z.literal(1), z.literal(2)]).exactOptional();
const common = {
	body: bodySchema,
	load: load.exactOptional(),
	limits: limitsSchema.exactOptional(),
	marginDeg: stand.marginDeg
};

const stepSetup = { stepCm: cm(1, 60) };
const downSetup = {
	freeLegDeg: deg(0, 45).exactOptional(),
	pelvicDropCm: cm(0, 10).exactOptional(),
	heelWedgeCm: surface.heelWedgeCm
};
const splitSetup = {
	strideCm: cm(30, 130).exactOptional(),
	frontRiserCm: cm(0, 40).exactOptional(),
	rearRiserCm: cm(0, 60).exactOptional(),
	shankDeg: deg(-15, 50).exactOptional(),
	leanDeg: deg(-5, 65).exactOptional()
};
const hingeClose = {
	kneeBendDeg: deg(0, 120).exactOptional(),
	shankDeg: deg(-20, 45).exactOptional(),
	leanDeg: deg(0, 100).exactOptional(),
	bar: z.enum(['hang', 'midfoot']).exactOptional(),
	oneLeg: z.boolean().exactOptional()
};
const bridgeSetup = { shoulderCm: cm(10, 60).exactOptional(), footCm: cm(0, 60).exactOptional(), legs };
const pressSetup = {
	railDeg: deg(0, 60).exactOptional(),
	backDeg: deg(-10, 80).exactOptional(),
	offsetCm: cm(-20, 30).exactOptional(),
	legs
};
const oneClosure = (s: { kneeBendDeg?: number; shankDeg?: number; leanDeg?: number }): boolean =>
	[s.kneeBendDeg, s.shankDeg, s.leanDeg].filter((v) => v !== undefined).length <= 1;
const ONE_CLOSURE = 'Give at most one of kneeBendDeg, shankDeg, leanDeg; left out, the knee keeps 20°.';

export const movementInputs = [
	z.strictObject({
		...common,
		movement: z.literal('step-up'),
		setup: z.strictObject({ ...stepSetup, swingClearanceDeg: deg(0, 40).exactOptional() })
	}),
	z.strictObject({
		...common,
		movement: z.literal('step-down'),
		technique: stand.technique,
		techniqueBand: stand.techniqueBand,
		arms: stand.arms,
		setup: z.strictObject({ ...stepSetup, ...downSetup })
	}),
	z.strictObject({
		...common,
		movement: z.literal('split-squat'),
		technique: stand.technique,
		rearLimits: limitsSchema.exactOptional(),
		eta: z.number().min(0).max(1).exactOptional(),
		setup: z.strictObject({ ...splitSetup, thighDeg: deg(0, 130).exactOptional() })
	}),
	z.strictObject({
		...common,
		movement: z.literal('hinge'),
		setup: z.strictObject({ handleCm: cm(0, 120), ...hingeClose }).refine(oneClosure, ONE_CLOSURE)
	}),
	z.strictObject({
		...common,
		movement: z.literal('bridge'),
		setup: z.strictObject({
			footDistCm: cm(20, 200).exactOptional(),
			kneeFlexionDeg: deg(5, 150).exactOptional(),
			...bridgeSetup
		})
	}),
	z.strictObject({
		...common,
		movement: z.literal('leg-press'),
		setup: z.strictObject({ sledCm: cm(10, 120), ...pressSetup })
	}),
	z.strictObject({
		body: bodySchema,
		movement: z.literal('knee-extension'),
		setup: z.strictObject({
			kneeFlexionDeg: deg(0, 120),
			cuffKg: z.number().min(0).max(60).exactOptional(),
			machineKg: z.number().min(0).max(200).exactOptional()
		})
	}),
	z.strictObject({
		body: bodySchema,
		movement: z.literal('heel-raise'),
		load: common.load,
		setup: z.strictObject({ pitchDeg: deg(-40, 70), kneeFlexionDeg: deg(0, 90).exactOptional(), legs })
	}),
	z.strictObject({
		body: bodySchema,
		movement: z.literal('lunge-test'),
		setup: z.strictObject({ toeWallCm: cm(-5, 30) })
	})
] as const;

export const postureInput = z.discriminatedUnion('movement', [squatInput, ...movementInputs], {
	error: (issue) =>
		issue.code === 'invalid_union'
			? `Solved here: ${[...MOVEMENTS, ...OTHER_MOVEMENTS].join(', ')}.`
			: undefined
});
export type SquatInput = z.infer<typeof squatInput>;

const OTHER_MOVEMENTS = [
	'step-up',
	'step-down',
	'split-squat',
	'hinge',
	'bridge',
	'leg-press',
	'knee-extension',
	'heel-raise',
	'lunge-test'
] as const;

export const furnitureSchema = z.strictObject({
	seats: z.array(z.number().min(10).max(120)).max(50),
	pads: z
		.array(z.strictObject({ cm: z.number().min(0.5).max(30), count: z.number().int().min(0).max(10) }))
		.max(20),
	wedges: z.array(z.number().min(0.5).max(12)).max(20).exactOptional(),
	steps: z.array(z.number().min(1).max(60)).max(20).exactOptional()
});

export const SOLVES = ['lowest-seat', 'deepest-squat', 'heel-wedge'] as const;
export const MOVEMENT_SOLVES = [
	'highest-step',
	'highest-step-down',
	'lowest-handle',
	'deepest-sled',
	'lowest-split',
	'bridge-feet'
] as const;

const squatSolve = z.strictObject({
	...stand,
	solve: z.enum(SOLVES),
	movement: z.enum(MOVEMENTS).exactOptional(),
	setup: z.strictObject({ ...depths, ...surface }).exactOptional(),
	band: z.boolean().exactOptional(),
	furniture: furnitureSchema.exactOptional()
});

const band = z.boolean().exactOptional();
export const setupInput = z.discriminatedUnion(
	'solve',
	[
		squatSolve,
		z.strictObject({
			...common,
			band,
			solve: z.literal('highest-step'),
			setup: z.strictObject({ swingClearanceDeg: deg(0, 40).exactOptional() }).exactOptional()
		}),
		z.strictObject({
			...common,
			band,
			solve: z.literal('highest-step-down'),
			technique: stand.technique,
			techniqueBand: stand.techniqueBand,
			arms: stand.arms,
			setup: z.strictObject(downSetup).exactOptional()
		}),
		z.strictObject({
			...common,
			band,
			solve: z.literal('lowest-handle'),
			setup: z.strictObject(hingeClose).refine(oneClosure, ONE_CLOSURE).exactOptional()
		}),
		z.strictObject({
			...common,
			band,
			solve: z.literal('deepest-sled'),
			setup: z.strictObject(pressSetup).exactOptional()
		}),
		z.strictObject({
			...common,
			band,
			solve: z.literal('lowest-split'),
			technique: stand.technique,
			rearLimits: limitsSchema.exactOptional(),
			setup: z.strictObject(splitSetup).exactOptional()
		}),
		z.strictObject({
			...common,
			band,
			solve: z.literal('bridge-feet'),
			setup: z.strictObject({ ...bridgeSetup, kneeFlexionDeg: deg(15, 130).exactOptional() }).exactOptional()
		})
	],
	{
		error: (issue) =>
			issue.code === 'invalid_union'
				? `Solved here: ${[...SOLVES, ...MOVEMENT_SOLVES].join(', ')}.`
				: undefined
	}
);
export type SquatSolve = z.infer<typeof squatSolve>;

export type PostureInput = z.infer<typeof postureInput>;
export type MovementInput = Exclude<PostureInput, SquatInput>;
export type SetupInput = z.infer<typeof setupInput>;
export type MovementSolve = Exclude<SetupInput, SquatSolve>;
