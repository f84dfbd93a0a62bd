/** What stands in the way of a step beside its ranges: tags that are withheld, weight by protocol, equipment that is gone, positions that are not tolerated. */
import { oppositeSide, type Side } from '../body/axis.ts';
import { PROTOCOL } from '../client/protocol.ts';
import type { Eased, Withheld } from '../client/screening.ts';
import { POSITIONS, type Equipment, type Position, type Step, type Tag } from '../exercise/family.ts';
import { type FitContext } from '../movement/context.ts';

/** Positions a step needs that the client cannot take, or was not asked about. */
export type PositionNeeds = readonly { readonly position: Position; readonly answer: 'no' | 'unknown' }[];

const NONE: readonly Withheld[] = [];
export const NOT_EASED: readonly Eased[] = [];
const NO_KIT: readonly (readonly Equipment[])[] = [];
const NO_POSITIONS: PositionNeeds = [];

/** The side a step lies on, where it lies on one: null where either may be meant. */
const liesOn = (step: Step, ctx: FitContext): Side | null =>
	step.liesOn === undefined || ctx.side === undefined
		? null
		: step.liesOn === 'own'
			? ctx.side
			: oppositeSide(ctx.side);

/** Is it done on a bed or couch that is at hand? Then nobody gets down to the floor for it. */
export const onBedIn = (step: Step, ctx: FitContext): boolean =>
	step.onBed === true && ctx.equipment?.includes('bed') === true;

/** Does a tag hold of a step here? */
export const carries = (tag: Tag, step: Step, ctx: FitContext): boolean =>
	step.tags.includes(tag) && !(tag === 'floor-transfer' && onBedIn(step, ctx));

/** Does what is withheld meet this step? Lying on a side is judged for the side that is lain on. */
function meets(w: Withheld, step: Step, ctx: FitContext): boolean {
	if (w.tag === 'over-load' || !carries(w.tag, step, ctx)) return false;
	return w.tag !== 'side-lying' || w.side === undefined || (liesOn(step, ctx) ?? w.side) === w.side;
}

/** What a protocol's weight leaves: none of it, or part of it on both feet. */
function weightWithheld(
	step: Step,
	{ noWeight = NOBODY, partialWeight = NOBODY, side }: FitContext
): readonly Withheld[] {
	const stands = step.tags.includes('one-leg');
	const free = step.tags.includes('no-weight');
	// In standing, a leg without weight may move while the other carries.
	const moves = side !== undefined && noWeight.includes(side) && noWeight.length === 1;
	const asksNone = noWeight.length > 0 && (!free || (stands && !moves));
	const heavy = stands || step.tags.includes('impact') || step.posture.load !== undefined;
	const asksPart = partialWeight.length > 0 && heavy && !free;
	return asksNone || asksPart ? [{ tag: 'no-weight', because: PROTOCOL }] : NONE;
}

const NOBODY: readonly Side[] = [];

/** More than the protocol lets anybody hold. */
const loadWithheld = ({ posture }: Step, { highestLoadKg = Infinity }: FitContext): readonly Withheld[] =>
	(posture.load?.kg ?? 0) > highestLoadKg ? [{ tag: 'over-load', because: PROTOCOL }] : NONE;

export function withheldFrom(step: Step, ctx: FitContext): readonly Withheld[] {
	const tags =
		ctx.withheld === undefined || ctx.withheld.length === 0
			? NONE
			: ctx.withheld.filter((w) => meets(w, step, ctx));
	const weight =
		ctx.noWeight === undefined && ctx.partialWeight === undefined && ctx.highestLoadKg === undefined
			? NONE
			: [...weightWithheld(step, ctx), ...loadWithheld(step, ctx)];
	return weight.length === 0 ? tags : [...tags, ...weight];
}

/** Equipment a step needs and the client has not. */
export function missingFor(step: Step, ctx: FitContext): readonly (readonly Equipment[])[] {
	const { equipment } = ctx;
	if (
		equipment === undefined ||
		step.equipment === undefined ||
		step.equipment.every((e) =>
			typeof e === 'string' ? equipment.includes(e) : e.some((x) => equipment.includes(x))
		)
	)
		return NO_KIT;
	return step.equipment
		.map((e): readonly Equipment[] => (typeof e === 'string' ? [e] : e))
		.filter((any) => !any.some((e) => equipment.includes(e)));
}

export function positionsFor(step: Step, ctx: FitContext): PositionNeeds {
	if (ctx.positions === undefined || step.tags.length === 0) return NO_POSITIONS;
	const out: { position: Position; answer: 'no' | 'unknown' }[] = [];
	for (const position of POSITIONS) {
		if (!carries(position, step, ctx)) continue;
		const answer = ctx.positions[position] ?? 'unknown';
		if (answer !== 'yes') out.push({ position, answer });
	}
	return out;
}
