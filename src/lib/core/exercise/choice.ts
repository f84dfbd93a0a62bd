/**
 * Choices inside a step: what a practitioner sets without leaving it. A ranked choice goes from gentle to hard along one dial, and a rule turns it one
 * place as it turns a dial; a free one is taste. A place is a patch on the step, so that a step as it is chosen is a step like any other: fitted, drawn,
 * withheld and named by the same code.
 */
import { harderDials } from './dial.ts';
import type { Choice, Chosen, Place, Step } from './family.ts';
import type { StepPosture } from './step-posture.ts';

const placeIn = (c: Choice, id: string | undefined): Place | undefined => c.of.find((p) => p.id === id);

/** Where a choice stands; a place that this version does not know is its usual one. */
export const placeOf = (c: Choice, chosen: Chosen | undefined): Place =>
	placeIn(c, chosen?.[c.id]) ?? (placeIn(c, c.usual) as Place);

/** A step's choices with where each stands, in their order. */
export const placesOf = (step: Step): readonly (readonly [choice: Choice, place: Place])[] =>
	(step.choices ?? []).map((c) => [c, placeOf(c, step.chosen)]);

/** What is not at its usual place. */
export const unusual = (step: Step, chosen: Chosen | undefined): readonly (readonly [Choice, Place])[] =>
	(step.choices ?? []).map((c) => [c, placeOf(c, chosen)] as const).filter(([c, p]) => p.id !== c.usual);

/** Only what the step knows and what is not usual; undefined where nothing is left. */
export function settled(step: Step, chosen: Chosen | undefined): Chosen | undefined {
	const left = unusual(step, chosen);
	return left.length === 0 ? undefined : Object.fromEntries(left.map(([c, p]) => [c.id, p.id]));
}

/** One place harder or gentler; undefined at its end, or where the choice is free. */
export function turned(step: Step, c: Choice, by: 1 | -1): Chosen | undefined {
	if (!c.ranked) return undefined;
	const to = c.of[c.of.indexOf(placeOf(c, step.chosen)) + by];
	return to === undefined ? undefined : { ...step.chosen, [c.id]: to.id };
}

/** The first ranked choice that stands harder than it does elsewhere, with its place; undefined where none does. */
export const fartherChoice = (
	step: Step,
	own: Chosen | undefined,
	other: Chosen | undefined
): readonly [Choice, Place] | undefined => {
	const c = step.choices?.find(
		(x) => x.ranked && x.of.indexOf(placeOf(x, own)) > x.of.indexOf(placeOf(x, other))
	);
	return c === undefined ? undefined : [c, placeOf(c, own)];
};

/** Was what was done at least as hard as what is asked: each ranked choice as far, each free one that changes the posture the same? */
export function asHardChosen(step: Step, done: Chosen | undefined, asked: Chosen | undefined): boolean {
	return (
		fartherChoice(step, asked, done) === undefined &&
		(step.choices ?? []).every((c) => {
			const at = placeOf(c, asked).id;
			return c.ranked || at === c.usual || placeOf(c, done).id === at;
		})
	);
}

const NO_PATCH = {} as const;
const bases = new WeakMap<Step, Step>();
const made = new WeakMap<Step, Map<string, Step>>();

/** The step as it is written, whatever was chosen. */
export const asWritten = (step: Step): Step => bases.get(step) ?? step;

const keyOf = (chosen: Chosen | undefined): string => JSON.stringify(Object.entries(chosen ?? {}));

/** The step as it is chosen: the same object each time, so that what is worked out for it is found again. Without a choice it is the step itself. */
export function asChosen(step: Step, chosen: Chosen | undefined): Step {
	if (chosen === undefined || chosen === step.chosen) return step;
	const base = asWritten(step);
	const kept = settled(base, chosen);
	const key = keyOf(kept);
	// A step that was changed otherwise since, by its load say, is as it is chosen already.
	if (key === keyOf(step.chosen)) return step;
	if (kept === undefined) return base;
	const known = made.get(base) ?? new Map<string, Step>();
	made.set(base, known);
	const found = known.get(key);
	if (found !== undefined) return found;
	const as = { ...unusual(base, kept).reduce<Step>((s, [, p]) => patched(s, p), base), chosen: kept };
	known.set(key, as);
	bases.set(as, base);
	return as;
}

/** A step with one place applied. */
export function patched(step: Step, p: Place): Step {
	const pause = p.pauseSec === undefined ? NO_PATCH : { tempo: pausedTempo(step, p.pauseSec) };
	const needs =
		p.needs === undefined || step.needs === undefined
			? NO_PATCH
			: { needs: { ...step.needs, working: { ...step.needs.working, ...p.needs } } };
	return {
		...step,
		...(p.posture === undefined && p.pose === undefined && p.loadAt === undefined
			? NO_PATCH
			: { posture: posed(step.posture, p) }),
		...(p.dials === undefined ? NO_PATCH : { dials: { ...step.dials, ...p.dials } }),
		...(p.tags === undefined && p.without === undefined
			? NO_PATCH
			: {
					tags: [...new Set([...step.tags, ...(p.tags ?? [])])].filter((t) => p.without?.includes(t) !== true)
				}),
		...(p.kit === undefined ? NO_PATCH : { equipment: [...(step.equipment ?? []), ...p.kit] }),
		...(p.feet === undefined ? NO_PATCH : { feet: { ...step.feet, ...p.feet } }),
		...(p.seat === undefined ? NO_PATCH : { seat: { ...step.seat, ...p.seat } }),
		...needs,
		...pause
	};
}

const ORDINARY_TEMPO = [2, 0, 2] as const;
function pausedTempo(step: Step, sec: number): readonly [number, number, number] {
	const [down, , up] = step.tempo ?? ORDINARY_TEMPO;
	return [down, sec, up];
}

const carriedAt = (p: StepPosture, at: Place['loadAt']): StepPosture =>
	at === undefined || !('load' in p) || p.load === undefined ? p : { ...p, load: { ...p.load, at } };

function posed(posture: StepPosture, { posture: numbers, pose, loadAt }: Place): StepPosture {
	const { kneeDeg } = numbers ?? {};
	const closed = posture.movement === 'hinge' && kneeDeg !== undefined ? { close: { kneeDeg } } : numbers;
	const moved = carriedAt({ ...posture, ...closed } as StepPosture, loadAt);
	if (pose === undefined || moved.movement !== 'pose') return moved;
	const { props, thigh, shank, ...limbs } = pose;
	const leg = {
		...(thigh === undefined ? NO_PATCH : { thigh }),
		...(shank === undefined ? NO_PATCH : { shank })
	};
	// A band elsewhere takes the place of the band that was drawn.
	const kind = (x: string): string => x.split('-', 1)[0] as string;
	const kept = (x: string): boolean => props?.some((p) => kind(p) === kind(x)) !== true;
	const of = (k: typeof moved.from): typeof moved.from => ({
		...k,
		...limbs,
		...(Object.keys(leg).length === 0 ? NO_PATCH : { near: { ...k.near, ...leg } }),
		...(props === undefined ? NO_PATCH : { props: [...(k.props ?? []).filter(kept), ...props] })
	});
	return { ...moved, from: of(moved.from), to: of(moved.to) };
}

/** What is wrong with a step's choices, in words, with the mend. */
export function choiceFaults(step: Step, postureFaults: (p: StepPosture) => readonly string[]): string[] {
	const out: string[] = [];
	const seen = new Set<string>();
	for (const c of step.choices ?? []) {
		const say = (text: string): void => void out.push(`choice ${c.id}: ${text}`);
		if (seen.has(c.id)) say('stands twice; rename one');
		seen.add(c.id);
		if (c.of.length < 2) say('has one place; a choice has two or more');
		if (new Set(c.of.map((p) => p.id)).size !== c.of.length) say('two places share an id; rename one');
		if (placeIn(c, c.usual) === undefined) say(`its usual place ${c.usual} is none of its places`);
		c.of.forEach((p, i) => {
			const as = patched(step, p);
			for (const key of Object.keys(p.posture ?? {}))
				if (!POSTURE_NUMBERS[step.posture.movement].includes(key))
					say(`${p.id} sets ${key}, which a ${step.posture.movement} does not have`);
			for (const message of postureFaults(as.posture)) say(`${p.id}: ${message}`);
			const before = c.of[i - 1];
			if (!c.ranked || before === undefined) return;
			const from = patched(step, before).dials;
			if (harderDials(as.dials, from).includes(c.dial)) say(`${p.id} turns ${c.dial} back; gentle to hard`);
			const harder = harderDials(from, as.dials).filter((d) => d !== c.dial);
			if (harder.length > 0)
				say(`from ${before.id} to ${p.id} turns ${[c.dial, ...harder].join(' and ')}; one dial a choice`);
		});
	}
	return out;
}

/** The numbers of each posture that a place may set; a length that is solved is no choice. */
const POSTURE_NUMBERS: Readonly<Record<StepPosture['movement'], readonly string[]>> = {
	squat: ['heelWedgeCm', 'toeOutDeg'],
	'sit-to-stand': ['heelWedgeCm', 'toeOutDeg'],
	'step-up': [],
	'step-down': ['heelWedgeCm', 'freeLegDeg'],
	'lateral-step-up': ['heelWedgeCm'],
	'split-squat': ['frontElevationCm', 'stride'],
	/** The knee it closes at. */
	hinge: ['kneeDeg'],
	bridge: ['kneeDeg', 'footCm'],
	'knee-extension': ['fromDeg', 'toDeg'],
	'leg-press': ['railDeg', 'backDeg'],
	'heel-raise': ['pitchDeg', 'kneeDeg', 'dropDeg'],
	pose: []
};
