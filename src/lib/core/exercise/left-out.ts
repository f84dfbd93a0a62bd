/**
 * Steps that are left out for one client: their ladders without them. An edge to one passes over it to where it leads, by the dial it would have turned
 * next; the way back passes over it too. What the steps behind it ask stays as it is: their gates are theirs.
 */
import type { Edge, ExerciseFamily, Step } from './family.ts';

/** A step with its edges over what is left out. */
function past(step: Step, byId: ReadonlyMap<string, Step>, out: ReadonlySet<string>): Step {
	const seen = new Set<string>([step.id]);
	const reach = (edges: readonly Edge[]): readonly Edge[] =>
		edges.flatMap((e): readonly Edge[] => {
			if (!out.has(e.to)) return [e];
			if (seen.has(e.to)) return [];
			seen.add(e.to);
			return reach(byId.get(e.to)?.next ?? []);
		});
	const next = new Map(reach(step.next).map((e) => [e.to, e]));
	let easier = step.easier;
	for (const back = new Set<string>(); easier !== null && out.has(easier) && !back.has(easier);) {
		back.add(easier);
		easier = byId.get(easier)?.easier ?? null;
	}
	return { ...step, next: [...next.values()], easier: easier !== null && out.has(easier) ? null : easier };
}

/** The ladder as this client climbs it; itself where nothing of it is left out. */
export function withoutLeftOut(family: ExerciseFamily, leftOut: readonly string[]): ExerciseFamily {
	const out = new Set(leftOut);
	if (!family.steps.some((s) => out.has(s.id))) return family;
	const byId = new Map(family.steps.map((s) => [s.id, s]));
	return { ...family, steps: family.steps.filter((s) => !out.has(s.id)).map((s) => past(s, byId, out)) };
}

/** All ladders of a client. */
export const laddersWithout = (
	families: Readonly<Record<string, ExerciseFamily>>,
	leftOut: readonly string[]
): Readonly<Record<string, ExerciseFamily>> =>
	leftOut.length === 0
		? families
		: Object.fromEntries(Object.entries(families).map(([id, f]) => [id, withoutLeftOut(f, leftOut)]));
