/** What the ladder page reads off its inputs: ranges tried, a load or length turned by hand, what comes next and what closes it. */
import { POSSIBLE_RANGE, type Axis, type Side } from '#lib/core/body/axis.ts';
import type { Body } from '#lib/core/body/body.ts';
import { envelopeTrying } from '#lib/core/client/envelope.ts';
import {
	type Clearance,
	type ExerciseFamily,
	type Gate,
	type Step,
	stepOf
} from '#lib/core/exercise/family.ts';
import { sideOf } from '#lib/core/body/region-side.ts';
import type { Feared } from '#lib/core/client/story.ts';
import { asksGates, type Closed, closedFor, farthestOn } from '#lib/core/safety/closed.ts';
import type { StepFit } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { candidatesOf } from '#lib/core/fit/open.ts';
import { type FitContext, lengthIn, type SolvedSetup } from '#lib/core/movement/context.ts';
import { axisLimit, type AxisLimit } from '#lib/core/movement/limits.ts';
import { axesOf } from '#lib/core/movement/of-step.ts';
import { isSquatStep } from '#lib/core/movement/squat/stand.ts';
import { VERDICT_WORD } from '#lib/wording/names.ts';

/** A number as it is typed, with a comma or a point. */
export const typedNumber = (text: string): number => Number(text.replace(',', '.'));

export const axesOfFamily = (family: ExerciseFamily): readonly Axis[] => [
	...new Set(family.steps.flatMap((s) => axesOf(s)))
];

/** The joint action to begin with: the sore place's own where this family asks it. */
export function firstAxis(family: ExerciseFamily, sore: string): Axis {
	const own: Axis = /^(hip|back)/.test(sore)
		? 'thighTrunkFlexion'
		: /^ankle/.test(sore)
			? 'weightBearingDorsiflexion'
			: 'kneeFlexion';
	const asks = axesOfFamily(family);
	return asks.includes(own) ? own : (asks[0] ?? own);
}

/** The context with ranges that are tried out, degrees tolerable by `axis.side`; what cannot be is not tried. */
export function contextTrying(
	ctx: FitContext,
	tried: Readonly<Record<string, string>>,
	today: string
): FitContext {
	let { envelope } = ctx;
	for (const [key, text] of Object.entries(tried)) {
		const value = typedNumber(text);
		const [axis, side] = key.split('.') as [Axis, Side];
		const [low, high] = POSSIBLE_RANGE[axis];
		if (text.trim() !== '' && value >= low && value <= high)
			envelope = envelopeTrying(envelope, axis, side, value, today);
	}
	return { ...ctx, envelope };
}

/** Load turned by hand is the step with that load. */
export function withLoad(step: Step | undefined, text: string): Step | undefined {
	const load = step?.posture.load;
	const kg = typedNumber(text);
	if (step === undefined || load === undefined || !(kg >= 0 && kg <= 200) || kg === load.kg) return step;
	return { ...step, posture: { ...step.posture, load: { ...load, kg } } } as Step;
}

/** The set-up in force: as solved, on the wedge that was chosen, with the length that was turned. */
export function setupInForce(
	step: Step,
	fit: StepFit,
	body: Body,
	wedgeCm: number | null,
	dialled: number | null
): SolvedSetup | null {
	const wedge =
		wedgeCm !== null && isSquatStep(step) && 'thighDeg' in step.posture.depth
			? { thighDeg: step.posture.depth.thighDeg, heelWedgeCm: wedgeCm }
			: null;
	const base = wedge ?? fit.setup;
	const given = base ?? setupFor(step, fit, body);
	const own = lengthIn(given);
	if (dialled === null || own === null) return base;
	const { build: _, ...rest }: SolvedSetup = given;
	return { ...rest, [own.of]: dialled };
}

type GatesOf = (step: string) => readonly { readonly met: boolean; readonly text: string }[];

/** The edges from a step, each with what it waits for. */
export const edgesFrom = (
	step: Step | undefined,
	family: ExerciseFamily,
	fits: readonly StepFit[],
	gatesOf: GatesOf
) =>
	(step?.next ?? []).flatMap((e) => {
		const to = stepOf(family, e.to);
		const fit = fits.find((x) => x.step === e.to);
		if (to === undefined || fit === undefined) return [];
		const shut = gatesOf(e.to)
			.filter((g) => !g.met)
			.map((g) => g.text);
		const verdict =
			fit.verdict === 'blocked' || fit.verdict === 'unmeasured' ? [VERDICT_WORD[fit.verdict]] : [];
		return [{ id: e.to, title: to.title, dial: e.dial, waits: [...verdict, ...shut].join('; ') }];
	});

interface Held {
	readonly ctx: FitContext;
	readonly clearances: readonly Clearance[];
	readonly treatsBack: boolean;
	readonly feared: readonly Feared[];
	readonly gates: Readonly<
		Record<string, readonly { readonly met: boolean; readonly gate: Gate; readonly text: string }[]>
	>;
	readonly head: { readonly today: string };
}

/** All that closes a step for a region, from what the page holds of the client. */
export function closedAsMeasured(
	of: Held,
	family: ExerciseFamily,
	step: Step,
	setup: SolvedSetup,
	wanted: {
		readonly region: string;
		readonly loadKg: number;
		/** The set-up was chosen by hand. */
		readonly chosen: boolean;
		/** The steps that stand on this ladder for the region. */
		readonly standing: readonly string[];
	}
): readonly Closed[] {
	const side = sideOf(wanted.region);
	const asks = asksGates(family, step.id, farthestOn(family, wanted.standing));
	const loadKg = wanted.loadKg >= 0 ? wanted.loadKg : 0;
	return closedFor({ family, step, setup, loadKg, since: of.head.today }, wanted.chosen, {
		ctx: { ...of.ctx, ...(side === undefined ? {} : { side }) },
		clearances: of.clearances,
		substitutes: () => [],
		unmet: asks ? (of.gates[step.id] ?? []).filter((g) => !g.met) : [],
		treatsBack: of.treatsBack,
		...(of.feared.some((f) => f.family === family.id)
			? { feared: { reached: farthestOn(family, wanted.standing) } }
			: {})
	});
}

/** The step so many places along the ladder; its ends hold. */
export function stepBeside({ steps }: ExerciseFamily, id: string, by: number): string {
	const at = steps.findIndex((s) => s.id === id) + by;
	return steps[Math.max(0, Math.min(steps.length - 1, at))]?.id ?? id;
}

/** Ids of the steps that are not open: by what was measured, or tried, or by a gate. */
export const lockedSteps = (
	family: ExerciseFamily,
	fits: readonly StepFit[],
	standing: string | undefined,
	gatesMet: (step: string) => boolean
): ReadonlySet<string> =>
	new Set(
		candidatesOf(family, fits, standing, gatesMet)
			.filter((c) => !c.open)
			.map((c) => c.step.id)
	);

/** How far a joint action may go, as one stands and nothing weighs on it. */
export const standingLimit = (ctx: FitContext, axis: Axis, side: Side): AxisLimit =>
	axisLimit(axis, side, ctx.envelope, ctx.protocolLimits ?? [], ctx.rules, ctx.today, {
		loaded: false,
		openChain: false,
		weightBearing: true
	});
