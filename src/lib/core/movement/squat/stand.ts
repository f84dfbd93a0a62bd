/** A squat or rise of a client as a stand problem: technique, wedge and shoes, toe-out, load. */
import type { Step } from '../../exercise/family.ts';
import { isSquat, type SquatPosture } from '../../exercise/step-posture.ts';
import type { Depth, Limits, Stand, Technique } from '../../posture/problem.ts';
import type { FitContext, SolvedSetup } from '../context.ts';

/** A step that is solved as a squat or a rise. */
export type SquatStep = Step & { readonly posture: SquatPosture };
export const isSquatStep = (step: Step): step is SquatStep => isSquat(step.posture);

/** The technique a step is done in by this client; undefined is the ordinary rise, or a movement in which none is taught. */
export function techniqueFor(
	step: Step,
	technique: Technique | undefined,
	teach = false
): Technique | undefined {
	const p = step.posture;
	if (isSquat(p)) {
		if (p.technique !== undefined) return p.technique;
		if (p.momentum !== undefined || (p.everyday === true && !teach)) return undefined;
		return technique ?? 'parallel';
	}
	if (p.movement === 'split-squat') return p.technique ?? technique ?? 'parallel';
	return p.movement === 'step-down' || p.movement === 'lateral-step-up'
		? (technique ?? 'parallel')
		: technique;
}

/** A raised shoe heel works as a wedge, on top of one underfoot. */
export const wedgeWith = (wedgeCm: number | undefined, shoeCm = 0): number | undefined =>
	wedgeCm === undefined && shoeCm === 0 ? undefined : (wedgeCm ?? 0) + shoeCm;

/** The stand problem of a step for a client, without depth or limits. */
export function standOf(step: SquatStep, ctx: FitContext): Stand {
	const p = step.posture;
	const technique = techniqueFor(step, ctx.technique, ctx.teach);
	const wedge = wedgeWith(p.heelWedgeCm, ctx.shoeHeelCm);
	return {
		body: ctx.body,
		movement: p.movement,
		stance: p.stance,
		...(technique === undefined ? {} : { technique }),
		...(wedge === undefined ? {} : { heelWedgeCm: wedge }),
		...(p.toeOutDeg === undefined ? {} : { toeOutDeg: p.toeOutDeg }),
		...(p.momentum === undefined ? {} : { momentum: p.momentum }),
		...(p.load === undefined ? {} : { load: p.load }),
		...(step.dials.support === 'two-hands' ? { hands: true } : {})
	};
}

/** The stand problem of a step in a given set-up: its own wedge, or the set-up's. */
export function standAt(step: SquatStep, ctx: FitContext, setup: SolvedSetup | null): Stand {
	const stand = standOf(step, ctx);
	const wedge = setup?.heelWedgeCm === undefined ? undefined : wedgeWith(setup.heelWedgeCm, ctx.shoeHeelCm);
	return wedge === undefined ? stand : { ...stand, heelWedgeCm: wedge };
}

/** The depth of a step once set up. */
export const depthFor = (step: SquatStep, setup: SolvedSetup | null): Depth =>
	setup?.seatCm !== undefined
		? { seatCm: setup.seatCm }
		: setup?.thighDeg !== undefined
			? { thighDeg: setup.thighDeg }
			: step.posture.depth;

/** Only the ankle steers a technique; the other limits are judged, not steered by. */
export const ankleCap = ({ weightBearingDorsiflexionDeg: ankle }: Limits): Limits =>
	ankle === undefined ? {} : { weightBearingDorsiflexionDeg: Math.max(0, ankle) };
