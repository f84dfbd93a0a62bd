/** Faults by the place they are seen from, so that one look takes in all of it. */
import type { Fault } from './family.ts';

/** Faults by the place they are seen from: the catalogue's order within a view, those without a view last. */
export function byView<F extends { readonly id: string }>(
	seen: readonly F[],
	faults: readonly Fault[]
): readonly { readonly from: string | null; readonly faults: readonly F[] }[] {
	const views = new Map<string | null, F[]>();
	for (const f of seen) {
		const from = faults.find((x) => x.id === f.id)?.seenFrom.split(/[:,]/, 1)[0] ?? null;
		views.set(from, [...(views.get(from) ?? []), f]);
	}
	const named = [...views].filter(([from]) => from !== null);
	return [...named, ...[...views].filter(([from]) => from === null)].map(([from, of]) => ({
		from,
		faults: of
	}));
}
