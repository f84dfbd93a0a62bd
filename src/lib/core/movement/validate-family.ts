/**
 * Holds families to their invariants: ids exist, no ladder loops, every edge turns exactly the one dial it names harder (others may
 * only become gentler), gates name steps that exist and can be met, a set-up lies where the model can go, sources are named.
 * Answers every fault found, each with its place and the mend; an empty list is a valid family. Steps of other families, which gates may
 * name, are handed in.
 */
import { poseFaults } from '../figure/key-pose.ts';
import { choiceFaults } from '../exercise/choice.ts';
import { harderDials } from '../exercise/dial.ts';
import type { ExerciseFamily, Gate, Step } from '../exercise/family.ts';
import { movementOf } from './movements.ts';

export interface CatalogueFault {
	readonly place: string;
	readonly message: string;
}

export interface Known {
	readonly sources: ReadonlySet<string>;
	/** Steps of the other families. */
	readonly elsewhere?: ReadonlyMap<string, Step>;
}

export function validateFamily(family: ExerciseFamily, known: Known): readonly CatalogueFault[] {
	const faults: CatalogueFault[] = [];
	const say = (place: string, message: string): void => void faults.push({ place, message });
	const byId = new Map<string, Step>(family.steps.map((s) => [s.id, s]));
	const anywhere = new Map<string, Step>([...(known.elsewhere ?? []), ...byId]);
	if (byId.size !== family.steps.length) say(family.id, 'two steps share an id; rename one');
	for (const s of family.steps)
		if (known.elsewhere?.has(s.id) === true)
			say(`${family.id}/${s.id}`, 'another family has a step of this id; rename one');
	const faultIds = new Set(family.faults.map((f) => f.id));
	for (const step of family.steps) {
		const place = `${family.id}/${step.id}`;
		for (const message of edgeFaults(step, byId)) say(place, message);
		if (step.easier !== null && !byId.has(step.easier))
			say(place, `easier step ${step.easier} does not exist`);
		for (const message of backFaults(step, family, anywhere)) say(place, message);
		for (const gate of step.gates)
			for (const message of gateFaults(gate, step, anywhere)) say(place, message);
		for (const f of step.faults) if (!faultIds.has(f)) say(place, `fault ${f} is not one of the family's`);
		for (const s of step.sources)
			if (!known.sources.has(s))
				say(
					place,
					`source ${s} is not known; name ${known.sources.size <= 3 ? [...known.sources].join(' or ') : 'one of docs/sources.md'}`
				);
		if (step.sources.length === 0) say(place, 'no source; name one or say common-practice');
		if (step.cues !== undefined && (step.cues.length < 2 || step.cues.length > 3))
			say(place, `${step.cues.length} cues; a card carries two or three essentials`);
		for (const message of movementOf(step.posture).faults(step.posture)) say(place, message);
		for (const message of choiceFaults(step, (p) => movementOf(p).faults(p))) say(place, message);
		if (step.drawn !== undefined)
			for (const pose of [step.drawn.from, step.drawn.to])
				for (const message of poseFaults(pose)) say(place, message);
		if (
			step.retired !== undefined &&
			step.retired.replacedBy !== null &&
			!anywhere.has(step.retired.replacedBy)
		)
			say(place, `replaced by ${step.retired.replacedBy}, which does not exist`);
	}
	for (const loop of loops(family))
		say(`${family.id}/${loop}`, 'the ladder loops back to this step; drop an edge');
	return faults;
}

/** A way back leads to a step there is, gentler where it is of the same ladder. */
function backFaults(step: Step, family: ExerciseFamily, anywhere: ReadonlyMap<string, Step>): string[] {
	const at = (id: string): number => family.steps.findIndex((s) => s.id === id);
	return (step.back ?? []).flatMap(({ to }) =>
		!anywhere.has(to)
			? [`way back to ${to}, which does not exist`]
			: at(to) >= at(step.id)
				? [`way back to ${to}, which stands no earlier on the ladder`]
				: []
	);
}

function edgeFaults(step: Step, byId: ReadonlyMap<string, Step>): string[] {
	return step.next.flatMap((edge) => {
		const to = byId.get(edge.to);
		if (to === undefined) return [`next step ${edge.to} does not exist; add it or drop the edge`];
		const harder = harderDials(step.dials, to.dials);
		const turned = harder.length === 0 ? 'no dial' : harder.join(' and ');
		return harder.length !== 1 || harder[0] !== edge.dial
			? [`the edge to ${edge.to} says it turns ${edge.dial} but turns ${turned} harder; one dial an edge`]
			: [];
	});
}

function gateFaults(gate: Gate, step: Step, byId: ReadonlyMap<string, Step>): string[] {
	if (gate.kind === 'stage') return ['a stage is asked by a course, never by a step'];
	if (gate.kind === 'technique' || gate.kind === 'clearance') return [];
	if (gate.kind === 'any-of') {
		const none = gate.gates.length < 2 ? ['an any-of of fewer than two gates is a plain gate'] : [];
		return [...none, ...gate.gates.flatMap((g) => gateFaults(g, step, byId))];
	}
	const out: string[] = [];
	const shown = byId.get(gate.step);
	if (shown === undefined) return [`gate names ${gate.step}, which does not exist`];
	if (gate.step === step.id) out.push('gate asks for the step itself; it could never open');
	const { target } = shown.usualDose;
	const counts = shown.counts ?? 'reps';
	if (gate.kind === 'clean-reps') {
		if (counts === 'sec')
			out.push(`gate asks repetitions of ${gate.step}, which counts seconds; ask for a hold`);
		if (gate.sets > target.sets || gate.reps > target.reps)
			out.push(
				`gate asks ${gate.sets}×${gate.reps} of ${gate.step}, whose dose ends at ${target.sets}×${target.reps}; it could never open`
			);
	}
	if (gate.kind === 'easy-reps' && gate.reps > target.reps)
		out.push(
			`gate asks ${gate.reps} of ${gate.step}, whose dose ends at ${target.reps}; it could never open`
		);
	if (gate.kind === 'held') {
		if (counts !== 'sec')
			out.push(`gate asks a hold of ${gate.step}, which counts ${counts}; ask for repetitions`);
		else if (gate.sec > target.reps)
			out.push(
				`gate asks ${gate.sec} s of ${gate.step}, whose dose ends at ${target.reps} s; it could never open`
			);
	}
	if (gate.kind === 'sides-within' && !(gate.share > 0 && gate.share <= 1))
		out.push(`share ${gate.share} is not between 0 and 1`);
	if (gate.kind === 'fault-free' && !shown.faults.includes(gate.fault))
		out.push(`gate asks ${gate.step} free of ${gate.fault}, which is not watched for there`);
	if (gate.kind === 'confidence' && !(gate.least >= 0 && gate.least <= 10))
		out.push(`confidence ${gate.least} is not between 0 and 10`);
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
