/**
 * A course: ordered stages over several ladders. A stage is done when each of its steps was shown clean at the dose it begins with, on every side that was
 * asked; the next opens then. A step that does not fit this client, is withheld, or was left out gives way to the one that stands in for it, or is passed
 * over by name; what hurts now (stopped, set aside, gone back on) opens its stage again.
 * @source common-practice a course's second stage waits for every step of the first, clean
 */
import { stepAnywhere, type ExerciseFamily, type Gate, type Step, type Tag } from '../exercise/family.ts';
import type { FitContext } from '../movement/context.ts';
import { fitStep, type StepFit } from './fit.ts';
import { gateState, type GateFacts, type Shown } from './gate.ts';
import { passes } from './open.ts';

/** In which order the steps of a stage are done. */
export const COURSE_ORDERS = ['isolated-first', 'rolling-first', 'standing-then-floor', 'learning'] as const;
export type CourseOrder = (typeof COURSE_ORDERS)[number];

export interface StageStep {
	readonly step: string;
	/** What stands in where it cannot be given, first come first. */
	readonly instead?: readonly string[];
	/** Done in rounds with the others of its stage. */
	readonly rounds?: true;
}

export interface Stage {
	readonly id: string;
	readonly title: string;
	readonly steps: readonly StageStep[];
}

export interface Course {
	readonly id: string;
	readonly title: string;
	/** What it is for, in a sentence. */
	readonly what: string;
	readonly order: CourseOrder;
	readonly stages: readonly Stage[];
	/** No step of it carries one of these. */
	readonly spares?: readonly Tag[];
	readonly sources: readonly string[];
}

/** A practice's own course, as data; the trade's are never retired. */
export interface OwnCourse extends Course {
	readonly retired?: true;
}

/** What of a stage's step a client gets, and how far they are with it. */
export interface CourseStep {
	readonly asked: string;
	/** The step that is given; undefined where none of them can be. */
	readonly step: string | undefined;
	readonly family: string | undefined;
	/** Why what was asked gives way; undefined where it does not. */
	readonly because: 'left-out' | 'blocked' | 'unmeasured' | undefined;
	/** Done in rounds with the others. */
	readonly rounds: boolean;
	/** It hurts now: its stage is open again. */
	readonly hurts: boolean;
	readonly clean: boolean;
	/** What has been shown so far, for the sentence. */
	readonly shown: string;
	readonly gate: Gate | undefined;
}

export interface StageStanding {
	readonly stage: Stage;
	readonly state: 'done' | 'now' | 'ahead';
	readonly steps: readonly CourseStep[];
}

export interface CourseStanding {
	readonly stages: readonly StageStanding[];
	/** The stage that is worked on; undefined when all are done. */
	readonly now: number | undefined;
}

export interface CourseFacts {
	readonly families: Readonly<Record<string, ExerciseFamily>>;
	readonly ctx: FitContext;
	readonly shown: readonly Shown[];
	readonly gates?: GateFacts;
	/** Steps that are stopped, set aside or gone back on now. */
	readonly hurting: ReadonlySet<string>;
}

/** What a step has to have shown: its first dose, clean; seconds held on both sides where it counts them. */
export const shownOnce = (s: Step): Gate =>
	s.counts === 'sec'
		? { kind: 'held', step: s.id, sec: s.usualDose.start.reps }
		: { kind: 'clean-reps', step: s.id, ...s.usualDose.start };

const familyOf = (families: CourseFacts['families'], step: string): string | undefined =>
	Object.values(families).find((f) => f.steps.some((s) => s.id === step))?.id;

const reasonOf = (fit: StepFit | undefined): CourseStep['because'] =>
	fit === undefined ? 'left-out' : fit.verdict === 'unmeasured' ? 'unmeasured' : 'blocked';

function courseStep(asked: StageStep, facts: CourseFacts): CourseStep {
	const tried = [asked.step, ...(asked.instead ?? [])].map((id) => {
		const step = stepAnywhere(facts.families, id);
		return { step, fit: step === undefined ? undefined : fitStep(step, facts.ctx) };
	});
	const taken = tried.find(({ fit }) => fit !== undefined && passes(fit))?.step;
	const first = tried[0];
	const because = taken?.id === asked.step ? undefined : reasonOf(first?.fit);
	if (taken === undefined)
		return {
			...{ asked: asked.step, step: undefined, family: undefined, because, hurts: false },
			...{ clean: true, shown: '', gate: undefined, rounds: false }
		};
	const gate = shownOnce(taken);
	const state = gateState(gate, facts.shown, facts.gates ?? {});
	const hurts = facts.hurting.has(taken.id);
	return {
		asked: asked.step,
		step: taken.id,
		family: familyOf(facts.families, taken.id),
		because,
		rounds: asked.rounds === true,
		hurts,
		clean: state.met && !hurts,
		shown: state.shown,
		gate
	};
}

/** Where a client stands on a course. A stage of which nothing can be given is passed over. */
export function courseStanding(course: Course, facts: CourseFacts): CourseStanding {
	const judged = course.stages.map((stage) => ({
		stage,
		steps: stage.steps.map((s) => courseStep(s, facts))
	}));
	const at = judged.findIndex(({ steps }) => steps.some((s) => !s.clean));
	const now = at < 0 ? undefined : at;
	return {
		now,
		stages: judged.map(({ stage, steps }, i): StageStanding => ({
			stage,
			steps,
			state: now === undefined || i < now ? 'done' : i === now ? 'now' : 'ahead'
		}))
	};
}

/** The stage that a step still waits for; undefined where it is reached, or no stage names it. */
export function waitsForStage(standing: CourseStanding, step: string): Stage | undefined {
	const own = standing.stages.findIndex((s) => s.steps.some((x) => x.step === step));
	const now = standing.now;
	return now === undefined || own <= now ? undefined : standing.stages[now]?.stage;
}

export interface CourseFault {
	readonly place: string;
	readonly message: string;
}

/** Does any step behind this one, along gates, wait for it? */
function asksFor(
	step: Step,
	find: (id: string) => Step | undefined,
	seen = new Set<string>()
): ReadonlySet<string> {
	for (const g of step.gates) {
		const asked = 'step' in g ? [g.step] : [];
		for (const id of asked) {
			if (seen.has(id)) continue;
			seen.add(id);
			const to = find(id);
			if (to !== undefined) asksFor(to, find, seen);
		}
	}
	return seen;
}

/** What is wrong with a course, each with its place and the mend; an empty list holds. `free` is a body without limits and with everything at hand. */
export function courseFaults(
	course: Course,
	families: Readonly<Record<string, ExerciseFamily>>,
	free: FitContext
): readonly CourseFault[] {
	const faults: CourseFault[] = [];
	const find = (id: string): Step | undefined => stepAnywhere(families, id);
	const say = (place: string, message: string): void => void faults.push({ place, message });
	if (course.stages.length === 0) say(course.id, 'has no stage; give it one');
	if (new Set(course.stages.map((s) => s.id)).size !== course.stages.length)
		say(course.id, 'two stages share an id; rename one');
	course.stages.forEach((stage, i) => {
		const place = `${course.id}/${stage.id}`;
		if (stage.steps.length === 0) say(place, 'has no step; a stage that asks nothing is none');
		const named = stage.steps.flatMap((s) => [s.step, ...(s.instead ?? [])]);
		for (const id of named) {
			const step = find(id);
			if (step === undefined) {
				say(place, `${id} is no step; name one of a ladder`);
				continue;
			}
			const spared = course.spares?.find((t) => step.tags.includes(t));
			if (spared !== undefined) say(place, `${id} carries ${spared}, which this course spares; take another`);
			const later = course.stages.slice(i + 1).flatMap((x) => x.steps.map((s) => s.step));
			const loop = [...asksFor(step, find)].find(
				(g) => later.includes(g) && !earlierOf(course, i).includes(g)
			);
			if (loop !== undefined)
				say(place, `${id} waits for ${loop}, which comes in a later stage: the course loops; put it first`);
		}
		const can = stage.steps.some((s) =>
			[s.step, ...(s.instead ?? [])].some((id) => {
				const step = find(id);
				return step !== undefined && passes(fitStep(step, free));
			})
		);
		if (!can) say(place, 'nobody can meet it: none of its steps fits even a body without limits');
	});
	return faults;
}

const earlierOf = (course: Course, at: number): readonly string[] =>
	course.stages.slice(0, at + 1).flatMap((s) => s.steps.map((x) => x.step));

/** Ladders by the order of a school: what comes first, rank by rank; what is not named comes last. */
const RANKS: Readonly<Record<CourseOrder, readonly (readonly string[])[]>> = {
	'isolated-first': [
		['knee-flexion'],
		['knee-extension'],
		['leg-press'],
		['lunge', 'squat', 'step'],
		['bridge', 'abduction', 'adduction', 'hinge']
	],
	'rolling-first': [['tissue'], ['calf'], ['step'], ['squat'], ['lunge', 'hinge', 'bridge']],
	'standing-then-floor': [],
	learning: [
		['balance', 'squat'],
		['hinge'],
		['isometrics'],
		['trunk'],
		['adduction', 'abduction'],
		['bridge']
	]
};

/** The steps of a stage as they are done, by the course's school; equals keep their place. */
export function inOrder(
	course: Course,
	steps: readonly CourseStep[],
	families: Readonly<Record<string, ExerciseFamily>>
): readonly CourseStep[] {
	const rank = (s: CourseStep): number => {
		const step = s.step === undefined ? undefined : stepAnywhere(families, s.step);
		if (course.order === 'standing-then-floor') return step?.tags.includes('floor-transfer') === true ? 1 : 0;
		const at = RANKS[course.order].findIndex((r) => r.includes(s.family ?? ''));
		return at < 0 ? RANKS[course.order].length : at;
	};
	return steps
		.map((s, i) => ({ s, i, rank: rank(s) }))
		.sort((a, b) => a.rank - b.rank || a.i - b.i)
		.map(({ s }) => s);
}
