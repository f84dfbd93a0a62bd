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
import type { GateOfStep } from '../exercise/gate-of-step.ts';
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
	for (const step of family.steps)
		for (const message of stepFaults(step, family, byId, anywhere, known))
			say(`${family.id}/${step.id}`, message);
	for (const loop of loops(family))
		say(`${family.id}/${loop}`, 'the ladder loops back to this step; drop an edge');
	return faults;
}

/** Everything that is wrong with one step. */
function stepFaults(
	step: Step,
	family: ExerciseFamily,
	byId: ReadonlyMap<string, Step>,
	anywhere: ReadonlyMap<string, Step>,
	known: Known
): readonly string[] {
	const { cues, drawn, retired } = step;
	const replacement = retired?.replacedBy ?? null;
	const unless = (fine: boolean, message: string): readonly string[] => (fine ? [] : [message]);
	return [
		...edgeFaults(step, byId),
		...unless(step.easier === null || byId.has(step.easier), `easier step ${step.easier} does not exist`),
		...backFaults(step, family, anywhere),
		...step.gates.flatMap((gate) => gateFaults(gate, step, anywhere)),
		...step.faults
			.filter((f) => !family.faults.some(({ id }) => id === f))
			.map((f) => `fault ${f} is not one of the family's`),
		...step.sources.filter((s) => !known.sources.has(s)).map((s) => unknownSource(s, known)),
		...unless(step.sources.length > 0, 'no source; name one or say common-practice'),
		...unless(
			cues === undefined || cues.length === 2 || cues.length === 3,
			`${cues?.length} cues; a card carries two or three essentials`
		),
		...movementOf(step.posture).faults(step.posture),
		...choiceFaults(step, (p) => movementOf(p).faults(p)),
		...(drawn === undefined ? [] : [drawn.from, drawn.to].flatMap(poseFaults)),
		...unless(
			replacement === null || anywhere.has(replacement),
			`replaced by ${replacement}, which does not exist`
		)
	];
}

const FEW_SOURCES = 3;
const unknownSource = (s: string, { sources }: Known): string =>
	`source ${s} is not known; name ${sources.size <= FEW_SOURCES ? [...sources].join(' or ') : 'one of docs/sources.md'}`;

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
	const shown = byId.get(gate.step);
	if (shown === undefined) return [`gate names ${gate.step}, which does not exist`];
	const itself = gate.step === step.id ? ['gate asks for the step itself; it could never open'] : [];
	return [...itself, ...neverMet(gate, shown)];
}

/** What of a gate could never be shown on the step that it names. */
function neverMet(gate: GateOfStep, shown: Step): readonly string[] {
	const { target } = shown.usualDose;
	const counts = shown.counts ?? 'reps';
	switch (gate.kind) {
		case 'clean-reps':
			return [
				...(counts === 'sec'
					? [`gate asks repetitions of ${gate.step}, which counts seconds; ask for a hold`]
					: []),
				...(gate.sets > target.sets || gate.reps > target.reps
					? [
							`gate asks ${gate.sets}×${gate.reps} of ${gate.step}, whose dose ends at ${target.sets}×${target.reps}; it could never open`
						]
					: [])
			];
		case 'easy-reps':
			return gate.reps > target.reps
				? [`gate asks ${gate.reps} of ${gate.step}, whose dose ends at ${target.reps}; it could never open`]
				: [];
		case 'held':
			if (counts !== 'sec')
				return [`gate asks a hold of ${gate.step}, which counts ${counts}; ask for repetitions`];
			return gate.sec > target.reps
				? [
						`gate asks ${gate.sec} s of ${gate.step}, whose dose ends at ${target.reps} s; it could never open`
					]
				: [];
		case 'sides-within':
			return gate.share > 0 && gate.share <= 1 ? [] : [`share ${gate.share} is not between 0 and 1`];
		case 'fault-free':
			return shown.faults.includes(gate.fault)
				? []
				: [`gate asks ${gate.step} free of ${gate.fault}, which is not watched for there`];
		case 'confidence':
			return gate.least >= 0 && gate.least <= 10 ? [] : [`confidence ${gate.least} is not between 0 and 10`];
		case 'mastered':
		case 'felt':
		case 'pain-at-most':
			return [];
	}
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
