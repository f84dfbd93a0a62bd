/** Each command-line topic: its schema and the pure function that answers it. */
import { z } from 'zod';
import { FAMILIES, CATALOGUE_VERSION, findStep } from '#lib/catalogue/families.ts';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { easedTags, withheldTags, withoutWeight } from '#lib/core/client/screening.ts';
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import type { FitContext } from '#lib/core/movement/context.ts';
import { samePurpose } from '#lib/core/safety/same-purpose.ts';
import { standing } from '#lib/core/safety/standing.ts';
import { POLICIES } from '#lib/catalogue/policies.ts';
import { decideInput } from '#lib/contract/decide.ts';
import { fitInput, standingInput } from '#lib/contract/fit.ts';
import {
	postureInput,
	setupInput,
	SOLVES,
	type PostureInput,
	type SetupInput,
	type SquatInput,
	type SquatSolve
} from '#lib/contract/posture.ts';
import { tableOf } from '#lib/core/base/table.ts';
import { bodyOf, type Body, type BodyInput } from '#lib/core/body/body.ts';
import { decide } from '#lib/core/decision/decide.ts';
import { fitRulesOf } from '#lib/core/decision/policy.ts';
import { fitFamily } from '#lib/core/fit/fit.ts';
import { buildSeat } from '#lib/core/movement/furniture.ts';
import { bandOf } from '#lib/core/posture/band.ts';
import { deepestSquat, heelWedge, lowestSeat, type Solution } from '#lib/core/posture/inverse.ts';
import { postureInBand, seatInBand, squatInBand, wedgeInBand } from '#lib/core/posture/inverse-in-band.ts';
import { posture } from '#lib/core/posture/posture.ts';
import { TECHNIQUES, type Depth, type SquatProblem, type Stand } from '#lib/core/posture/problem.ts';
import { measureInput } from '#lib/contract/measure.ts';
import { changeText, decisionSentence, reasonText } from '#lib/wording/decision.ts';
import { answerMeasure } from './measure.ts';
import { answerMovement, answerMovementSetup } from './movement.ts';
import { Refused } from './refused.ts';

function bodyFrom(input: BodyInput): Body {
	const body = bodyOf(input);
	if (!body.ok)
		throw new Refused({
			code: body.refusal.reason,
			path: body.refusal.field ?? '',
			message: body.refusal.message
		});
	return body.value;
}

const depthFrom = (s: { thighDeg?: number; kneeFlexionDeg?: number; seatCm?: number }): Depth =>
	s.thighDeg !== undefined
		? { thighDeg: s.thighDeg }
		: s.kneeFlexionDeg !== undefined
			? { kneeFlexionDeg: s.kneeFlexionDeg }
			: { seatCm: s.seatCm as number };

/** Deep copy without float noise: five decimals are more than any error allows. */
export const rounded = (v: unknown): unknown =>
	typeof v === 'number'
		? Number.isFinite(v)
			? Math.round(v * 1e5) / 1e5
			: null
		: Array.isArray(v)
			? v.map(rounded)
			: v !== null && typeof v === 'object'
				? Object.fromEntries(Object.entries(v).map(([k, x]) => [k, rounded(x)]))
				: v;

const isSquat = (input: PostureInput): input is SquatInput =>
	input.movement === 'squat' || input.movement === 'sit-to-stand';
const isSquatSolve = (input: SetupInput): input is SquatSolve =>
	(SOLVES as readonly string[]).includes(input.solve);

function answerPosture(input: PostureInput): unknown {
	if (!isSquat(input)) return answerMovement(input, bodyFrom);
	const { body, setup, techniqueBand, ...rest } = input;
	const { heelWedgeCm, toeOutDeg, cushionSinkCm, ...depth } = setup;
	const solve =
		techniqueBand === true
			? (problem: SquatProblem) => postureInBand(problem, [problem.limits ?? {}])
			: posture;
	const p = solve({
		...rest,
		body: bodyFrom(body),
		depth: depthFrom(depth),
		...(heelWedgeCm === undefined ? {} : { heelWedgeCm }),
		...(toeOutDeg === undefined ? {} : { toeOutDeg }),
		...(cushionSinkCm === undefined ? {} : { cushionSinkCm })
	});
	return { ...p, points: Object.fromEntries(Object.entries(p.points).map(([k, v]) => [k, [v.x, v.y]])) };
}

function solveFor(input: SquatSolve): (stand: Stand) => Solution {
	const inBand = input.techniqueBand === true;
	if (input.solve === 'lowest-seat') return inBand ? seatInBand : lowestSeat;
	if (input.solve === 'deepest-squat') return inBand ? squatInBand : deepestSquat;
	const depth = input.setup;
	const given = [depth?.thighDeg, depth?.kneeFlexionDeg, depth?.seatCm].filter((v) => v !== undefined).length;
	if (depth === undefined || given !== 1)
		throw new Refused({
			code: 'depth-needed',
			path: 'setup',
			message: 'heel-wedge needs the depth to keep: exactly one of thighDeg, kneeFlexionDeg, seatCm.'
		});
	return (stand) => (inBand ? wedgeInBand : heelWedge)(stand, depthFrom(depth));
}

function answerSetup(input: SetupInput): unknown {
	if (!isSquatSolve(input)) return answerMovementSetup(input, bodyFrom);
	const { body, solve, setup = {}, band, furniture, movement, techniqueBand: _, ...rest } = input;
	const stand: Stand = {
		...rest,
		body: bodyFrom(body),
		movement: movement ?? (solve === 'lowest-seat' ? 'sit-to-stand' : 'squat'),
		...(setup.heelWedgeCm === undefined ? {} : { heelWedgeCm: setup.heelWedgeCm }),
		...(setup.toeOutDeg === undefined ? {} : { toeOutDeg: setup.toeOutDeg }),
		...(setup.cushionSinkCm === undefined ? {} : { cushionSinkCm: setup.cushionSinkCm })
	};
	const solver = solveFor(input);
	const solution = solver(stand);
	const techniques = Object.fromEntries(
		TECHNIQUES.map((technique) => [technique, solver({ ...stand, technique }).value])
	);
	const build =
		furniture !== undefined && solve === 'lowest-seat' && Number.isFinite(solution.value)
			? buildSeat(solution.value, furniture)
			: undefined;
	const { points, ...at } = solution.at;
	return {
		...solution,
		at: { ...at, points: Object.fromEntries(Object.entries(points).map(([k, v]) => [k, [v.x, v.y]])) },
		...(band === true ? { band: bandOf(stand, (s) => solver(s).value) } : {}),
		...(build === undefined ? {} : { build }),
		techniques
	};
}

type FitInput = Omit<z.infer<typeof fitInput>, 'family'>;

/** The context of a fit or of standing work: cautions as the tags they withhold, windows of a protocol beside older limits. */
function contextFrom(input: FitInput): FitContext {
	const {
		body,
		policy,
		envelope,
		withheld = [],
		cautions = [],
		protocol = [],
		protocolLimits = [],
		clearances = [],
		...rest
	} = input;
	const { positions, ...axes } = envelope;
	const open = cautions.map((code) => ({ code }));
	const noWeight = withoutWeight(SCREENING, open);
	return {
		...rest,
		body: bodyFrom(body),
		rules: fitRulesOf(policy),
		envelope: axes,
		protocolLimits: [...protocolLimits, ...protocol],
		withheld: [
			...withheld.map((tag) => ({ tag, because: 'withheld' })),
			...withheldTags(SCREENING, open, clearances)
		],
		eased: easedTags(SCREENING, open),
		...(noWeight.length === 0 ? {} : { noWeight }),
		...(positions === undefined ? {} : { positions })
	};
}

function answerFit({ family: name, ...input }: z.infer<typeof fitInput>): unknown {
	const family = name === undefined ? undefined : FAMILIES[name];
	if (name !== undefined && family === undefined)
		throw new Refused({
			code: 'unknown-family',
			path: 'family',
			message: `Families here: ${Object.keys(FAMILIES).join(', ')}.`
		});
	const ctx = contextFrom(input);
	const fitted = (f: ExerciseFamily): unknown =>
		fitFamily(f, ctx).map((fit, i) => ({
			...fit,
			...(f.steps[i]?.needs === undefined ? {} : { needs: f.steps[i].needs })
		}));
	return family === undefined
		? Object.fromEntries(Object.values(FAMILIES).map((f) => [f.id, fitted(f)]))
		: fitted(family);
}

/** One answer for each prescription: does it stand, what breaks it, and the gentlest change that fits. */
function answerStanding({ prescriptions, ...input }: z.infer<typeof standingInput>): unknown {
	const ctx = contextFrom(input);
	const facts = { ctx, clearances: input.clearances ?? [] };
	return prescriptions.map((p) => {
		const found = findStep(p.step);
		if (found === undefined)
			throw new Refused({
				code: 'unknown-step',
				path: 'prescriptions',
				message: `There is no step ${p.step}.`
			});
		const { family, step } = found;
		const given = {
			family,
			step,
			setup: p.setup ?? null,
			loadKg: p.dose?.loadKg ?? 0,
			since: p.since ?? '0001-01-01',
			...(p.passedOver === undefined ? {} : { passedOver: p.passedOver })
		};
		return {
			id: p.id,
			...standing(given, {
				...facts,
				substitutes: () => samePurpose(family, step, Object.values(FAMILIES), ctx)
			})
		};
	});
}

function answerDecide(input: z.infer<typeof decideInput>): unknown {
	const trace = decide(input);
	const { today } = input;
	return {
		...trace,
		title: decisionSentence(trace, today),
		...(trace.change === null ? {} : { changeTitle: changeText(trace.change) }),
		reasons: trace.reasons.map((r) => ({ text: reasonText(r, today), ...r })),
		considered: trace.considered.map((c) => ({
			...c,
			why: c.why.map((r) => ({ text: reasonText(r, today), ...r }))
		}))
	};
}

function answerCatalogue(input: { family?: string }): unknown {
	const family = input.family;
	if (family === undefined) return { version: CATALOGUE_VERSION, families: FAMILIES, policies: POLICIES };
	const found = FAMILIES[family];
	if (found === undefined)
		throw new Refused({
			code: 'unknown-family',
			path: 'family',
			message: `Families here: ${Object.keys(FAMILIES).join(', ')}.`
		});
	return found;
}

export interface Topic {
	readonly schema: z.ZodType;
	readonly answer: (input: never) => unknown;
}

export const TOPICS = tableOf<Topic>(
	Object.entries({
		posture: { schema: postureInput, answer: answerPosture },
		setup: { schema: setupInput, answer: answerSetup },
		fit: { schema: fitInput, answer: answerFit },
		decide: { schema: decideInput, answer: answerDecide },
		standing: { schema: standingInput, answer: answerStanding },
		measure: { schema: measureInput, answer: answerMeasure },
		catalogue: { schema: z.strictObject({ family: z.string().exactOptional() }), answer: answerCatalogue }
	}) as [string, Topic][]
);
