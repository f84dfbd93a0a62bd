/**
 * Holds a family to its invariants: ids exist, no ladder loops, every edge turns exactly the one dial it names harder (others may
 * only become gentler), gates point at steps below, a set-up lies where the model can go, sources are named.
 * Answers every fault found, each with its place and the mend; an empty list is a valid family.
 */
import { harderDials } from './dial.ts';
import type { ExerciseFamily, Gate, Step } from './family.ts';

export interface CatalogueFault {
	readonly place: string;
	readonly message: string;
}

export function validateFamily(family: ExerciseFamily, knownSources: ReadonlySet<string>): readonly CatalogueFault[] {
	const faults: CatalogueFault[] = [];
	const say = (place: string, message: string): void => void faults.push({ place, message });
	const byId = new Map<string, Step>(family.steps.map((s) => [s.id, s]));
	if (byId.size !== family.steps.length) say(family.id, 'two steps share an id; rename one');
	const faultIds = new Set(family.faults.map((f) => f.id));
	for (const step of family.steps) {
		const place = `${family.id}/${step.id}`;
		for (const edge of step.next) {
			const to = byId.get(edge.to);
			if (to === undefined) {
				say(place, `next step ${edge.to} does not exist; add it or drop the edge`);
				continue;
			}
			const harder = harderDials(step.dials, to.dials);
			const turned = harder.length === 0 ? 'no dial' : harder.join(' and ');
			if (harder.length !== 1 || harder[0] !== edge.dial)
				say(place, `the edge to ${edge.to} says it turns ${edge.dial} but turns ${turned} harder; one dial an edge`);
		}
		if (step.easier !== null && !byId.has(step.easier)) say(place, `easier step ${step.easier} does not exist`);
		for (const gate of step.gates) for (const message of gateFaults(gate, step, byId)) say(place, message);
		for (const f of step.faults) if (!faultIds.has(f)) say(place, `fault ${f} is not one of the family's`);
		for (const s of step.sources) if (!knownSources.has(s)) say(place, `source ${s} is not in docs/sources.md`);
		if (step.sources.length === 0) say(place, 'no source; name one or say common-practice');
		const { depth } = step.posture;
		if ('seatCm' in depth && !(depth.seatCm >= 20 && depth.seatCm <= 80)) say(place, `seat ${depth.seatCm} cm is outside 20–80`);
		if ('thighDeg' in depth && !(depth.thighDeg >= 10 && depth.thighDeg <= 130)) say(place, `thigh ${depth.thighDeg}° is outside 10–130`);
	}
	for (const loop of loops(family)) say(`${family.id}/${loop}`, 'the ladder loops back to this step; drop an edge');
	return faults;
}

function gateFaults(gate: Gate, step: Step, byId: ReadonlyMap<string, Step>): string[] {
	if (gate.kind === 'technique') return [];
	const out: string[] = [];
	const shown = byId.get(gate.step);
	if (shown === undefined) return [`gate names ${gate.step}, which does not exist`];
	if (gate.step === step.id) out.push('gate asks for the step itself; it could never open');
	if (gate.kind === 'clean-reps') {
		const { target } = shown.usualDose;
		if (gate.sets > target.sets || gate.reps > target.reps)
			out.push(`gate asks ${gate.sets}×${gate.reps} of ${gate.step}, whose dose ends at ${target.sets}×${target.reps}; it could never open`);
	}
	if (gate.kind === 'sides-within' && !(gate.share > 0 && gate.share <= 1)) out.push(`share ${gate.share} is not between 0 and 1`);
	return out;
}

/** Steps that can be reached from themselves along edges. */
function loops(family: ExerciseFamily): string[] {
	const next = new Map<string, string[]>(family.steps.map((s) => [s.id, s.next.map((e) => e.to)]));
	return family.steps
		.filter((s) => {
			const seen = new Set<string>();
			const todo = [...(next.get(s.id) ?? [])];
			for (let id = todo.pop(); id !== undefined; id = todo.pop()) {
				if (id === s.id) return true;
				if (seen.has(id)) continue;
				seen.add(id);
				todo.push(...(next.get(id) ?? []));
			}
			return false;
		})
		.map((s) => s.id);
}
