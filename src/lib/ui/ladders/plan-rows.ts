/** Rows of a list of steps to be taken. */
import type { FromPattern } from '#lib/core/fit/as-pattern.ts';
import type { Candidate } from '#lib/core/fit/open.ts';
import type { Planned } from '#lib/core/fit/substitutes.ts';
import { PURPOSE_NAME } from '#lib/wording/names.ts';

export interface PlanRow {
	readonly key: string;
	readonly label: string;
	readonly pick: Candidate | null;
}

export const rowsByPurpose = (plan: readonly Planned[]): readonly PlanRow[] =>
	plan.map((p) => ({ key: p.purpose, label: PURPOSE_NAME[p.purpose] ?? p.purpose, pick: p.pick }));

/** Each step once, with what it stands for there; where another stands in, what it was. */
export function rowsByPattern(
	found: readonly FromPattern[],
	titles: ReadonlyMap<string, string>
): readonly PlanRow[] {
	const seen = new Set<string>();
	return found.flatMap((p): PlanRow[] => {
		const key = p.pick?.step.id ?? p.step;
		if (seen.has(key)) return [];
		seen.add(key);
		const title = titles.get(p.step) ?? p.step;
		const same = p.pick?.step.id === p.step;
		return [
			{
				key,
				label: same ? 'as there' : p.pick === null ? title : `instead of ${title}, not open here`,
				pick: p.pick
			}
		];
	});
}
