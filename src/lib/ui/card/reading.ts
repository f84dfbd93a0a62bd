/** What the set-up card reads off a step's fit: the set-up in force, what it asks and what is usable, in numbers and short words. */
import { cuesFor, faultsIn, type ExerciseFamily, type Step } from '#lib/core/exercise/family.ts';
import type { Axis } from '#lib/core/body/axis.ts';
import { shortAt, type StepFit } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { boundsOf, limitsFor } from '#lib/core/fit/limits-for.ts';
import type { Limiting } from '#lib/core/fit/shortages.ts';
import { moreUprightDeg } from '#lib/core/fit/more-upright.ts';
import { lengthIn, type FitContext, type SolvedSetup } from '#lib/core/movement/context.ts';
import { type Build, buildSeat, homeSeat, homeStep } from '#lib/core/movement/furniture.ts';
import { usableOf } from '#lib/core/movement/limits.ts';
import type { Asked } from '#lib/core/movement/movement.ts';
import { askedBy, axesOf, errorOf } from '#lib/core/movement/of-step.ts';
import { isSquatStep, techniqueFor } from '#lib/core/movement/squat/stand.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { rangeIn, TECHNIQUE_NAME } from '#lib/wording/names.ts';
import { atHomeText, uprightText } from '#lib/wording/setup.ts';

export interface CardSubject {
	readonly family: ExerciseFamily;
	readonly step: Step;
	readonly fit: StepFit;
	readonly ctx: FitContext;
	/** The set-up in force: as solved, or with the wedge or length that was chosen. */
	readonly setup: SolvedSetup | null;
	/** Chosen rather than solved: by a dial or a wedge. */
	readonly byHand: boolean;
}

export interface CardReading {
	readonly given: SolvedSetup;
	readonly length: ReturnType<typeof lengthIn>;
	readonly asked: Asked;
	readonly limiting: readonly Axis[];
	/** What the set-up that is shown asks beyond what is usable; by hand it may be more than was solved. */
	readonly shorts: readonly Limiting[];
	readonly build: Build | undefined;
	readonly technique: Technique | 'ordinary';
	readonly upright: string;
	/** How the height is met at the client's home; empty where there is nothing to say. */
	readonly atHome: string;
	/** One row an axis: degrees asked, of both legs where they differ, and usable. */
	readonly axes: readonly { readonly axis: Axis; readonly asks: string; readonly usable: string }[];
	readonly cues: readonly string[];
	readonly faults: ReturnType<typeof faultsIn>;
	readonly contradicts: string;
}

function degreesOf({ demand, other }: Asked, axis: Axis): string {
	const [own, beside] = [demand[axis], other?.[axis]];
	const both = own !== undefined && beside !== undefined;
	return [
		...(own === undefined ? [] : [`${both ? 'front ' : ''}${Math.round(own)}°`]),
		...(beside === undefined ? [] : [`${both ? 'rear ' : ''}${Math.round(beside)}°`])
	].join(', ');
}

function usableOn(axis: Axis, step: Step, ctx: FitContext): string {
	const known = limitsFor(step, ctx)
		.filter((l) => l.axis === axis)
		.flatMap((l) => usableOf(l, errorOf(axis, step, ctx))?.deg ?? []);
	return known.length === 0 ? 'not measured' : `${Math.round(Math.min(...known))}°`;
}

/** A step taught in one way only, for a client who is taught another. */
function contradiction(step: Step, { technique }: FitContext): string {
	const own = isSquatStep(step) ? step.posture.technique : undefined;
	return own === undefined || technique === undefined || own === technique
		? ''
		: `This step is taught ${TECHNIQUE_NAME[own].toLowerCase()}, this client ${TECHNIQUE_NAME[technique].toLowerCase()}: the two contradict. Say which counts here.`;
}

/** How the given height is met at home; empty where nothing was measured there, or nothing is asked. */
function homeTextOf({ seatCm, stepCm }: SolvedSetup, { home }: FitContext): string {
	if (home === undefined) return '';
	const seat = seatCm === undefined ? undefined : homeSeat(seatCm, home);
	if (seat !== undefined) return atHomeText('seat', seat);
	const step = stepCm === undefined ? undefined : homeStep(stepCm, home);
	return step === undefined ? '' : atHomeText('step', step);
}

export function readCard({ family, step, fit, ctx, setup, byHand }: CardSubject): CardReading {
	const given = setup ?? setupFor(step, fit, ctx.body);
	const asked = askedBy(step, ctx, given, boundsOf(step, ctx));
	const over = fit.limiting.filter((l) => l.short > 0);
	const technique = techniqueFor(step, ctx.technique, ctx.teach) ?? 'ordinary';
	return {
		given,
		length: lengthIn(given),
		asked,
		limiting: [...new Set((over.length > 0 ? over : fit.limiting).map((l) => l.axis))],
		shorts: byHand ? shortAt(step, ctx, given) : [],
		build:
			given.seatCm !== undefined && ctx.furniture
				? (fit.setup?.build ?? buildSeat(given.seatCm, ctx.furniture))
				: undefined,
		atHome: homeTextOf(given, ctx),
		technique,
		upright: uprightText(moreUprightDeg(step, ctx, given)),
		axes: axesOf(step)
			.map((axis) => ({ axis, asks: degreesOf(asked, axis), usable: usableOn(axis, step, ctx) }))
			.filter(({ asks }) => asks !== ''),
		cues: cuesFor(family, step, technique),
		faults: faultsIn(family, step, technique),
		contradicts: contradiction(step, ctx)
	};
}

/** The degrees a step asks, as a clause. */
export const demandText = ({ axes }: CardReading): string =>
	axes.map(({ axis, asks }) => `${rangeIn(axis)} ${asks}`).join(', ');
