/** A ladder in one row for a client: each step's mark, where the client is or would begin, and what holds it or its next step. */
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import { fitFamily } from '#lib/core/fit/fit.ts';
import { type Candidate, candidatesOf, isOpen, passes } from '#lib/core/fit/open.ts';
import type { FitContext } from '#lib/core/movement/context.ts';
import { inTheWay } from '#lib/wording/fit.ts';
import { VERDICT_WORD } from '#lib/wording/names.ts';
import { MARK, TONE } from '../verdict-marks.ts';

export interface StepMark {
	readonly id: string;
	readonly title: string;
	readonly mark: string;
	readonly word: string;
	readonly tone: string;
	readonly now: boolean;
}

export interface FamilyRowView {
	readonly family: ExerciseFamily;
	readonly steps: readonly Candidate[];
	readonly marks: readonly StepMark[];
	/** Where the client is, or the first that is open. */
	readonly shown: Candidate;
	readonly isNow: boolean;
	readonly why: string;
}

/** The first gate of a step that is not met. */
type GateOf = (step: string) => { readonly text: string; readonly asks: string } | undefined;

function markOf(c: Candidate, now: string | undefined, gateOf: GateOf): StepMark {
	const { verdict } = c.fit;
	const locked = passes(c.fit) && !c.open;
	const word = locked
		? `locked: ${gateOf(c.step.id)?.text}`
		: passes(c.fit)
			? VERDICT_WORD[verdict]
			: inTheWay(c.fit) || VERDICT_WORD[verdict];
	return {
		id: c.step.id,
		title: c.step.title,
		mark: locked ? '○' : MARK[verdict],
		word,
		tone: locked ? 'text-quiet' : TONE[verdict],
		now: c.step.id === now
	};
}

/** What holds the whole ladder, or its next step. */
function whyNot(steps: readonly Candidate[], ahead: Candidate | undefined, gateOf: GateOf): string {
	if (!steps.some(isOpen)) return steps.map((c) => inTheWay(c.fit)).find((w) => w !== '') ?? '';
	if (ahead === undefined) return '';
	return passes(ahead.fit)
		? `next waits for ${gateOf(ahead.step.id)?.asks ?? ''}`
		: `next: ${inTheWay(ahead.fit)}`;
}

export function familyRow(
	family: ExerciseFamily,
	ctx: FitContext,
	now: string | undefined,
	gateOf: GateOf
): FamilyRowView {
	const fits = fitFamily(family, ctx);
	const steps = candidatesOf(family, fits, now, (id) => gateOf(id) === undefined);
	const current = steps.find((c) => c.step.id === now);
	const shown = current ?? steps.find(isOpen) ?? steps[0];
	if (shown === undefined) throw new Error(`${family.id} has no step`);
	const ahead = shown.step.next
		.map((e) => steps.find((c) => c.step.id === e.to))
		.find((c) => c !== undefined && !isOpen(c));
	return {
		family,
		steps,
		marks: steps.map((c) => markOf(c, now, gateOf)),
		shown,
		isNow: current !== undefined,
		why: whyNot(steps, ahead, gateOf)
	};
}
