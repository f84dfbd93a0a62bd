/**
 * What closes a step before its button is pressed, and who may open it. One function for the ladder's card, prescribing and signing, so that a
 * page never offers what the next screen refuses.
 *
 * A protocol opens to nobody until it is lifted or its next phase is confirmed. Everything else opens to a licensed user with a reason, which is
 * kept as passed over and shown until the reason for it is gone.
 */
import type { FitContext, SolvedSetup } from '../movement/context.ts';
import { fitStep, shortAt, type StepFit } from '../fit/fit.ts';
import { asChosen } from '../exercise/choice.ts';
import type { Clearance, ExerciseFamily, Gate, Step } from '../exercise/family.ts';
import { beginsSmaller } from './feared.ts';
import { breakKey, breaksOf, type Break, type Prescribed, type StandingFacts } from './standing.ts';

export type ClosedBy = Break['by'] | 'range' | 'unmeasured' | 'gate' | 'loaded-spine' | 'feared';

export interface Closed {
	readonly by: ClosedBy;
	/** What is kept when a licensed user passes it over. */
	readonly key: string;
	/** `nobody` opens a protocol here; a licensed user the rest. */
	readonly who: 'licensed' | 'nobody';
	readonly found?: Break;
	/** The gate in words, as the page has it; of a feared ladder, the step it begins with. */
	readonly text?: string;
}

export interface ClosedFacts extends StandingFacts {
	/** Gates of the step that are not met; those of a step that was reached already are not asked. */
	readonly unmet: readonly { readonly gate: Gate; readonly text: string }[];
	/** A back is under treatment: work that loads the spine waits to be cleared. */
	readonly treatsBack: boolean;
	/** The ladder is feared: it begins at its smallest step. `reached`, the farthest of it that was given. */
	readonly feared?: { readonly reached: string | undefined };
}

/** A gate by what it asks. */
export const gateKey = (g: Gate): string => `gate:${g.kind}:${askedOf(g)}`;

function askedOf(g: Gate): string {
	switch (g.kind) {
		case 'any-of':
			return g.gates.map((x) => `${x.kind}/${x.step}`).join('+');
		case 'clearance':
			return g.what;
		case 'stage':
			return `${g.course}/${g.stage}`;
		case 'technique':
			return g.technique;
		// Two muscles asked of one step are two gates.
		case 'felt':
			return g.muscle === undefined ? g.step : `${g.step}/${g.muscle}`;
		default:
			return g.step;
	}
}

/** A step that was reached already asks its gates no more; only one farther on the ladder does. */
export function asksGates(family: ExerciseFamily, step: string, reached: string | undefined): boolean {
	const at = (id: string | undefined): number => family.steps.findIndex((s) => s.id === id);
	return at(step) > at(reached);
}

/** The farthest of some steps of a ladder; undefined of none. */
export const farthestOn = (family: ExerciseFamily, steps: readonly string[]): string | undefined =>
	family.steps.filter((s) => steps.includes(s.id)).pop()?.id;

/** Beyond what is usable, not seen done: as solved nothing helps, or the set-up that was chosen goes past it. */
function rangeClosed(
	step: Step,
	setup: SolvedSetup | null,
	chosen: boolean,
	fit: StepFit,
	ctx: FitContext
): boolean {
	if (fit.verdict === 'fits' && fit.seen !== null) return false;
	return chosen ? shortAt(step, ctx, setup).some((l) => l.by === 'tolerated') : fit.verdict === 'blocked';
}

/** All that closes a prescription, worst first. `chosen`: the set-up was chosen by hand, and is judged for itself. */
export function closedFor(given: Prescribed, chosen: boolean, facts: ClosedFacts): readonly Closed[] {
	const p = { ...given, step: asChosen(given.step, given.setup?.chosen) };
	const fit = fitStep(p.step, facts.ctx);
	const { breaks } = breaksOf({ ...p, since: '9999-12-31', passedOver: [] }, facts);
	const out: Closed[] = breaks.map((found) => ({
		by: found.by,
		key: breakKey(found),
		who: found.by === 'protocol' ? 'nobody' : 'licensed',
		found
	}));
	const stands = breaks.length === 0;
	if (stands && rangeClosed(p.step, p.setup, chosen, fit, facts.ctx))
		out.push({ by: 'range', key: 'tolerated', who: 'licensed' });
	if (stands && fit.verdict === 'unmeasured')
		out.push({ by: 'unmeasured', key: 'unmeasured', who: 'licensed' });
	for (const g of facts.unmet)
		if (g.gate.kind !== 'clearance')
			out.push({ by: 'gate', key: gateKey(g.gate), who: 'licensed', text: g.text });
	const smaller =
		facts.feared === undefined ? undefined : beginsSmaller(p.family, p.step, facts.feared.reached, facts.ctx);
	if (smaller !== undefined) out.push({ by: 'feared', key: 'feared', who: 'licensed', text: smaller.title });
	const loadsSpine = p.step.tags.includes('spine-load') && !p.step.tags.includes('hanging-load');
	if (facts.treatsBack && loadsSpine && !cleared(facts.clearances, 'loaded-spine'))
		out.push({ by: 'loaded-spine', key: 'clearance:loaded-spine', who: 'licensed' });
	return out;
}

const cleared = (has: readonly Clearance[], what: Clearance): boolean => has.includes(what);
