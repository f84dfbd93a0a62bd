/**
 * Courses: each runs from entry to its last stage on a simulated client, goes back when it hurts, spares what it says it spares, and never waits for
 * itself. Common practice.
 */
import { describe, expect, it } from 'vitest';
import { stepAnywhere, type ExerciseFamily, type Gate } from '../core/exercise/family.ts';
import { laddersWithout } from '../core/exercise/left-out.ts';
import {
	courseFaults,
	courseStanding,
	inOrder,
	shownOnce,
	waitsForStage,
	type Course,
	type CourseFacts
} from '../core/fit/course.ts';
import type { Shown } from '../core/fit/gate.ts';
import { unlimited } from '../core/fit/stands.ts';
import { COURSES, courseAmong } from './courses.ts';
import { FAMILIES, findStep } from './families.ts';

/** A body without limits. */
const FREE = unlimited();
const facts = (patch: Partial<CourseFacts> = {}): CourseFacts => ({
	families: FAMILIES,
	ctx: FREE,
	shown: [],
	hurting: new Set(),
	...patch
});
const sidesOf = (gate: Gate): readonly ('left' | 'right' | 'both')[] =>
	gate.kind === 'held' ? ['left', 'right'] : ['both'];
/** A session that shows a step at exactly the dose its stage asks. */
function shows(step: string, less = 0): readonly Shown[] {
	const s = findStep(step)!.step;
	const { sets, reps } = s.usualDose.start;
	return sidesOf(shownOnce(s)).map((side) => ({
		step,
		side,
		cleanReps: Array.from({ length: sets }, () => reps - less),
		effortMax: 4
	}));
}

describe('every shipped course', () => {
	it('holds to what a course is', () => {
		expect(COURSES.length).toBeGreaterThanOrEqual(10);
		expect(new Set(COURSES.map((c) => c.id)).size).toBe(COURSES.length);
		for (const c of COURSES) expect(courseFaults(c, FAMILIES, FREE), c.id).toEqual([]);
	});
	it.each(COURSES.map((c) => [c.id, c] as const))(
		'%s: from entry to its last stage, and back when it hurts',
		(_, course) => {
			let shown: readonly Shown[] = [];
			for (let i = 0; i < course.stages.length; i++) {
				const at = courseStanding(course, facts({ shown }));
				expect(at.now, `stage ${i}`).toBe(i);
				expect(at.stages.map((s) => s.state)).toEqual(
					course.stages.map((_, j) => (j < i ? 'done' : j === i ? 'now' : 'ahead'))
				);
				const own = at.stages[i]!.steps.map((s) => s.step).filter((s) => s !== undefined);
				expect(own.length).toBeGreaterThan(0);
				const fresh = own.filter((s) => !shown.some((x) => x.step === s));
				// A repetition short of the last one is not there yet.
				const last = fresh.at(-1);
				if (last !== undefined) {
					const nearly = [...shown, ...fresh.slice(0, -1).flatMap((s) => shows(s)), ...shows(last, 1)];
					expect(courseStanding(course, facts({ shown: nearly })).now).toBe(i);
				}
				shown = [...shown, ...fresh.flatMap((s) => shows(s))];
			}
			expect(courseStanding(course, facts({ shown })).now).toBeUndefined();
			// What hurts opens its stage again, whatever was reached.
			course.stages.forEach((_, i) => {
				const step = courseStanding(course, facts({ shown })).stages[i]!.steps.find(
					(s) => s.step !== undefined
				)!.step!;
				const back = courseStanding(course, facts({ shown, hurting: new Set([step]) }));
				expect(back.now).toBeLessThanOrEqual(i);
				expect(back.stages[back.now!]!.steps.find((s) => s.step === step)).toMatchObject({
					hurts: true,
					clean: false
				});
			});
		}
	);
	it('what spares something is given without it, whatever stands in', () => {
		for (const c of COURSES)
			for (const s of c.stages.flatMap((x) => x.steps))
				for (const id of [s.step, ...(s.instead ?? [])])
					for (const t of c.spares ?? []) expect(findStep(id)!.step.tags, `${c.id} ${id}`).not.toContain(t);
		expect(courseAmong([], 'toes-spared')!.spares).toEqual(['toes-bent']);
		expect(courseAmong([], 'back-spared-legs')!.spares).toContain('spine-load');
	});
});

describe('a step that cannot be given', () => {
	const course = courseAmong([], 'knee-two-phases')!;
	it('left out for this client gives way to what stands in', () => {
		const families = laddersWithout(FAMILIES, ['clamshell']);
		const found = courseStanding(course, facts({ families })).stages[0]!.steps.find(
			(s) => s.asked === 'clamshell'
		);
		expect(found).toMatchObject({ step: 'wall-press', because: 'left-out' });
	});
	it('with nothing in its place is passed over by name, and does not hold the stage', () => {
		const families = laddersWithout(FAMILIES, ['clamshell', 'wall-press']);
		const at = courseStanding(course, facts({ families }));
		expect(at.stages[0]!.steps.find((s) => s.asked === 'clamshell')).toMatchObject({
			step: undefined,
			because: 'left-out',
			clean: true
		});
		expect(at.now).toBe(0);
	});
	it('withheld by a flag gives way too', () => {
		const ctx = { ...FREE, withheld: [{ tag: 'side-lying' as const, because: 'sore-side' }] };
		const found = courseStanding(course, facts({ ctx })).stages[0]!.steps.find(
			(s) => s.asked === 'clamshell'
		);
		expect(found).toMatchObject({ step: 'wall-press', because: 'blocked' });
	});
	it('not measured is said as that', () => {
		const { kneeFlexion: _, ...envelope } = FREE.envelope;
		const found = courseStanding(course, facts({ ctx: { ...FREE, envelope } })).stages[0]!.steps;
		expect(found.some((s) => s.because === 'unmeasured')).toBe(true);
	});
});

describe('a later stage waits', () => {
	const course = courseAmong([], 'knee-two-phases')!;
	it('for the one that is worked on, by name; what is reached, or of no stage, does not', () => {
		const at = courseStanding(course, facts());
		expect(waitsForStage(at, 'standard-seat')?.title).toBe('Quiet and awake');
		expect(waitsForStage(at, 'quad-set')).toBeUndefined();
		expect(waitsForStage(at, 'goblet-squat')).toBeUndefined();
		const shown = at.stages[0]!.steps.flatMap((s) => shows(s.step!));
		expect(waitsForStage(courseStanding(course, facts({ shown })), 'standard-seat')).toBeUndefined();
	});
});

describe('orders of the schools', () => {
	const ordered = (id: string, stage: number): readonly (string | undefined)[] => {
		const c = courseAmong([], id)!;
		const { stages } = courseStanding(c, facts());
		return inOrder(c, stages[stage]!.steps, FAMILIES).map((s) => s.step);
	};
	it('isolated first: curl, extension, then the rest', () => {
		expect(ordered('back-spared-legs', 0)).toEqual(['seated-curl', 'long-arc', 'bridge']);
	});
	it('rolling first: rolls, calf, then the big lift', () => {
		expect(ordered('heels-raised', 0)).toEqual(['roll-front-thigh', 'heel-raise', 'counter-squat']);
		expect(ordered('heels-raised', 1)).toEqual(['step-down-tap', 'free-squat']);
	});
	it('standing, then the floor: nobody gets down twice', () => {
		for (const c of COURSES.filter((x) => x.order === 'standing-then-floor'))
			for (const s of courseStanding(c, facts()).stages) {
				const floor = inOrder(c, s.steps, FAMILIES).map((x) =>
					stepAnywhere(FAMILIES, x.step!)!.tags.includes('floor-transfer')
				);
				expect(floor, c.id).toEqual([...floor].sort((a, b) => Number(a) - Number(b)));
			}
	});
});

describe('what is wrong with a course is said with its place and the mend', () => {
	const good = courseAmong([], 'knee-two-phases')!;
	const faults = (
		patch: Partial<Course>,
		families: Readonly<Record<string, ExerciseFamily>> = FAMILIES
	): string =>
		courseFaults({ ...good, ...patch }, families, FREE)
			.map((f) => `${f.place}: ${f.message}`)
			.join(' | ');
	const stage = (id: string, ...steps: string[]) => ({
		id,
		title: id,
		steps: steps.map((step) => ({ step }))
	});
	it('no stage, an empty one, a step there is not, two of one id', () => {
		expect(faults({ stages: [] })).toContain('has no stage');
		expect(faults({ stages: [stage('a')] })).toContain('has no step');
		expect(faults({ stages: [stage('a', 'nope')] })).toContain('knee-two-phases/a: nope is no step');
		expect(faults({ stages: [stage('a', 'bridge'), stage('a', 'clamshell')] })).toContain('share an id');
	});
	it('one that loops: a stage that waits for a later one', () => {
		// A goblet squat waits for the free squat, which comes later here.
		expect(faults({ stages: [stage('a', 'goblet-squat'), stage('b', 'free-squat')] })).toContain(
			'goblet-squat waits for free-squat, which comes in a later stage: the course loops'
		);
		expect(faults({ stages: [stage('a', 'free-squat'), stage('b', 'goblet-squat')] })).toBe('');
	});
	it('a stage nobody can meet, and a step that it should spare', () => {
		const families = {
			...FAMILIES,
			own: {
				...FAMILIES.squat!,
				id: 'own',
				steps: [
					{
						...findStep('clamshell')!.step,
						id: 'own-impossible',
						needs: { working: { kneeFlexion: 175 }, other: {}, end: [], otherEnd: [], scales: [] }
					}
				]
			}
		};
		expect(faults({ stages: [stage('a', 'own-impossible')] }, families)).toContain('nobody can meet it');
		expect(faults({ spares: ['supine'], stages: [stage('a', 'bridge')] })).toContain('carries supine');
	});
});
