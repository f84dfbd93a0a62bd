/** A context with what is at hand in one place. */
import type { Equipment } from '../exercise/family.ts';
import type { FitContext } from '../movement/context.ts';

const known = new WeakMap<FitContext, WeakMap<readonly Equipment[], FitContext>>();

/** Made once for each list: what is remembered with a context is found again. */
export function equippedWith(ctx: FitContext, equipment: readonly Equipment[]): FitContext {
	const ways = known.get(ctx) ?? new WeakMap<readonly Equipment[], FitContext>();
	known.set(ctx, ways);
	const made = ways.get(equipment) ?? { ...ctx, equipment };
	ways.set(equipment, made);
	return made;
}
