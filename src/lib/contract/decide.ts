/** What `decide` takes. Unknown keys are refused by name. */
import { z } from 'zod';
import { MUSCLES } from '#lib/core/body/muscle.ts';
import { AXES, SIDES } from '#lib/core/body/axis.ts';
import { URGENCIES } from '#lib/core/client/screening.ts';
import { DOSE_SCHOOLS } from '#lib/core/dose/dose.ts';
import { DIALS, type Dial } from '#lib/core/exercise/dial.ts';
import { CAUSES, CLEARANCES, POSITIONS, TAGS } from '#lib/core/exercise/family.ts';
import { RESTARTS } from '#lib/core/decision/input.ts';
import { BREAK_BY, STANDING_VERDICTS } from '#lib/core/safety/standing.ts';
import { VERDICTS } from '#lib/core/fit/fit.ts';
import {
	EVENTS,
	INCOMPLETE,
	PAIN_AT,
	STOPS_A_STRETCH,
	SWELLING,
	SYMPTOMS,
	TIGHTER
} from '#lib/core/session/record.ts';
import { day, region, score, text } from './basics.ts';
import { policySchema } from './policy.ts';

const id = text(80).min(1);
/** Repetitions, or seconds of a hold. */
const reps = z.number().int().min(0).max(600);
const sets = z.number().int().min(0).max(50);
const kg = z.number().min(0).max(400);
const dials = z.enum(DIALS as [Dial, ...Dial[]]);

export const setup = z.strictObject({
	seatCm: z.number().min(0).max(120).exactOptional(),
	thighDeg: z.number().min(0).max(150).exactOptional(),
	stepCm: z.number().min(0).max(60).exactOptional(),
	bowDeg: z.number().min(5).max(120).exactOptional(),
	handleCm: z.number().min(0).max(120).exactOptional(),
	sledCm: z.number().min(0).max(120).exactOptional(),
	feetCm: z.number().min(0).max(200).exactOptional(),
	heelWedgeCm: z.number().min(0).max(12).exactOptional(),
	/** What is set otherwise than usual inside the step: place by choice. */
	chosen: z.record(z.string().max(30), z.string().max(30)).exactOptional(),
	build: z
		.strictObject({ seat: z.number(), pads: z.array(z.number()), reaches: z.number(), short: z.number() })
		.exactOptional()
});

export const doseSchema = z.strictObject({
	school: z.enum(DOSE_SCHOOLS, `Dosing schools here: ${DOSE_SCHOOLS.join(', ')}.`),
	sets: sets.min(1),
	reps: reps.min(1),
	loadKg: kg,
	target: z.strictObject({ sets: sets.min(1), reps: reps.min(1) }),
	unit: z.enum(['sec', 'steps', 'breaths']).exactOptional(),
	repsLow: reps.exactOptional()
});

const sessionSchema = z.strictObject({
	date: day,
	observed: z.boolean(),
	prescribed: z.strictObject({ sets, reps, loadKg: kg.exactOptional() }),
	sets: z
		.array(
			z.strictObject({
				reps,
				effort: score.exactOptional(),
				cleanReps: reps.exactOptional(),
				otherClean: reps.exactOptional(),
				loadKg: kg.exactOptional(),
				drop: z.strictObject({ afterReps: reps, toKg: kg }).exactOptional()
			})
		)
		.max(50),
	pains: z
		.array(
			z.strictObject({
				region,
				before: score.exactOptional(),
				peak: score.exactOptional(),
				after: score.exactOptional(),
				evening: score.exactOptional()
			})
		)
		.max(20),
	painAt: z.enum(PAIN_AT).exactOptional(),
	painOnlyLoaded: z.boolean().exactOptional(),
	symptoms: z.array(z.enum(SYMPTOMS)).max(20).exactOptional(),
	radiatingLower: z.boolean().exactOptional(),
	caudaEquina: z.enum(['yes', 'no', 'unknown']).exactOptional(),
	faults: z.record(text(40), z.number().min(0).max(1)).exactOptional(),
	incompleteBecause: z.enum(INCOMPLETE).exactOptional(),
	soreness: score.exactOptional(),
	sorenessOver72h: z.boolean().exactOptional(),
	confidence: score.exactOptional(),
	felt: z
		.strictObject({
			muscle: z.boolean().exactOptional(),
			joint: text(40).exactOptional(),
			in: z.array(z.enum(MUSCLES)).max(7).exactOptional()
		})
		.exactOptional(),
	tighter: z.enum(TIGHTER).exactOptional(),
	stoppedBy: z.enum(STOPS_A_STRETCH).exactOptional(),
	asUsual: z.array(z.enum(SYMPTOMS)).max(20).exactOptional(),
	againstAdvice: z.boolean().exactOptional(),
	lighter: z.boolean().exactOptional(),
	sinceChange: z.boolean().exactOptional()
});

const morningSchema = z.strictObject({
	date: day,
	region,
	pain: score.exactOptional(),
	swelling: z.enum(SWELLING).exactOptional(),
	stiffnessMin: z.number().min(0).max(1440).exactOptional(),
	provocation: score.exactOptional(),
	recalled: z.boolean().exactOptional(),
	fever: z.boolean().exactOptional(),
	calf: z.boolean().exactOptional(),
	cannotStand: z.boolean().exactOptional()
});

const axis = z.enum(AXES);
const side = z.enum(SIDES);

const nextStep = z.strictObject({
	step: id,
	dial: dials,
	verdict: z.enum(VERDICTS),
	gateOpen: z.boolean(),
	gate: text(200).exactOptional(),
	start: z.strictObject({ sets, reps }).exactOptional(),
	target: z.strictObject({ sets, reps }).exactOptional(),
	unit: z.enum(['sec', 'steps', 'breaths']).exactOptional(),
	loadKg: kg.exactOptional(),
	setup: setup.nullable().exactOptional(),
	measure: z.array(axis).exactOptional(),
	limiting: z.array(z.strictObject({ axis, side, short: z.number() })).exactOptional()
});

/** Does what stands still hold, as `standing` answers it. */
const standingSchema = z.strictObject({
	verdict: z.enum(STANDING_VERDICTS),
	breaks: z
		.array(
			z.strictObject({
				by: z.enum(BREAK_BY),
				axis: axis.exactOptional(),
				side: side.exactOptional(),
				demandDeg: z.number().exactOptional(),
				limitDeg: z.number().exactOptional(),
				tag: z.enum([...TAGS, 'over-load']).exactOptional(),
				flag: id.exactOptional(),
				clearance: z.enum(CLEARANCES).exactOptional(),
				position: z.enum(POSITIONS).exactOptional(),
				equipment: text(80).exactOptional()
			})
		)
		.max(40),
	mend: z
		.strictObject({
			kind: z.enum(['set-up', 'notch', 'substitute']),
			family: id,
			step: id,
			setup,
			loadKg: kg.exactOptional()
		})
		.nullable(),
	retry: z.boolean().exactOptional()
});

export const decideInput = z.strictObject({
	policy: policySchema,
	client: z.strictObject({
		screening: z.strictObject({ date: day, complete: z.boolean() }).exactOptional(),
		flags: z.array(
			z.strictObject({
				id,
				severity: z.enum(['red', 'review', 'caution']),
				urgency: z.enum(URGENCIES).exactOptional(),
				region: region.exactOptional(),
				open: z.boolean(),
				closedOn: day.exactOptional()
			})
		),
		surgery: z.array(z.strictObject({ region, date: day, limitsEntered: z.boolean() })),
		usual: z.record(
			region,
			z.strictObject({ intake: score.exactOptional(), longStanding: z.boolean().exactOptional() })
		),
		clearedOn: day.exactOptional(),
		operationUnrecorded: z.boolean().exactOptional(),
		arrivals: z
			.array(
				z.strictObject({
					date: day,
					clean: z.boolean(),
					unwell: z.boolean(),
					fell: z.boolean(),
					closed: z.array(region).max(20)
				})
			)
			.max(2000)
			.exactOptional()
	}),
	exercise: z.strictObject({
		id,
		family: id,
		step: id,
		region,
		purpose: text(80),
		dose: doseSchema,
		setup: setup.exactOptional(),
		state: z.enum(['active', 'stopped', 'set-aside']),
		goalKept: z.boolean().exactOptional(),
		rackKg: z.array(kg).max(100).exactOptional(),
		frontOfKneeSore: z.boolean().exactOptional(),
		gentler: z
			.array(
				z.strictObject({
					dial: dials,
					to: z.union([z.string(), z.number()]),
					step: id.exactOptional(),
					setup: setup.exactOptional()
				})
			)
			.exactOptional(),
		standing: standingSchema.exactOptional(),
		faults: z.record(text(40), z.strictObject({ cause: z.enum(CAUSES), dial: text(20) })).exactOptional(),
		capped: z.boolean().exactOptional(),
		endsAbove: z.number().min(0).max(10).exactOptional(),
		feared: z.literal(true).exactOptional(),
		relief: z.boolean().exactOptional()
	}),
	changes: z.array(
		z.strictObject({
			date: day,
			kind: z.enum(['start', 'advance', 'regress', 'retry', 'set-aside', 'alter', ...RESTARTS]),
			from: z.strictObject({ step: id, dose: doseSchema, setup: setup.exactOptional() }).exactOptional()
		})
	),
	sessions: z.array(sessionSchema).max(2000),
	mornings: z.array(morningSchema).max(10_000),
	events: z.array(z.strictObject({ date: day, kind: z.enum(EVENTS) })).exactOptional(),
	others: z.array(
		z.strictObject({
			id: id.exactOptional(),
			changedOn: day,
			peakMinusBefore: z.number().min(-10).max(10),
			demand: z.number(),
			symptomStop: z.boolean().exactOptional()
		})
	),
	nextSteps: z.array(nextStep).exactOptional(),
	demand: z.number().exactOptional(),
	advancesUsed: z.number().int().min(0),
	today: day
});
