/** A practice's own course while it is written: the text is the one thing, fields read from it and write into it. */
import type { OwnCourse, Stage, StageStep } from '#lib/core/fit/course.ts';
import { SPARED } from '#lib/core/exercise/suits.ts';
import type { Tag } from '#lib/core/exercise/family.ts';
import { replaced } from './lists.ts';
import { slug } from './slug.ts';

const isStage = (s: unknown): boolean => Array.isArray((s as Partial<Stage> | null)?.steps);

/** The first course as it is written, held or not; null where the text has none that fields could show. */
export function firstCourse(content: string): OwnCourse | null {
	try {
		const value = JSON.parse(content) as unknown;
		const first = (Array.isArray(value) ? value[0] : value) as OwnCourse | null;
		const whole =
			first !== null &&
			typeof first === 'object' &&
			Array.isArray(first.stages) &&
			first.stages.every(isStage);
		return whole ? first : null;
	} catch {
		return null;
	}
}

/** The text with its first course changed; what else is in it stays. */
export function withCourse(content: string, course: OwnCourse): string {
	const value = JSON.parse(content) as unknown;
	return JSON.stringify(Array.isArray(value) ? [course, ...value.slice(1)] : course, null, 2);
}

/** A new one of a stage that asks nothing yet, or begun from one there is. */
export function begunCourse(title: string, from?: OwnCourse): OwnCourse {
	const name = title.trim() === '' ? `Our ${(from?.title ?? 'course').toLowerCase()}` : title.trim();
	const { retired: _, ...kept } = from ?? {
		what: 'What it is for, in a sentence.',
		order: 'standing-then-floor' as const,
		stages: [{ id: 'first', title: 'First', steps: [] }]
	};
	return { ...kept, id: slug(name), title: name, sources: ['practice-setting'] };
}

export const withStage = (c: OwnCourse, at: number, by: Stage | null): OwnCourse => ({
	...c,
	stages: replaced(c.stages, at, by)
});

/** Another stage behind those there are, of an id that none of them has. */
export function oneStageMore(c: OwnCourse): OwnCourse {
	const taken = new Set(c.stages.map((s) => s.id));
	let n = c.stages.length + 1;
	while (taken.has(`stage-${n}`)) n++;
	return { ...c, stages: [...c.stages, { id: `stage-${n}`, title: `Stage ${n}`, steps: [] }] };
}

export const withStep = (s: Stage, at: number, by: StageStep | null): Stage => ({
	...s,
	steps: replaced(s.steps, at, by)
});

/** What stands in for a step; none where it is empty. */
export function withInstead(s: StageStep, instead: string): StageStep {
	const { instead: _, ...rest } = s;
	return instead === '' ? rest : { ...rest, instead: [instead, ...(s.instead ?? []).slice(1)] };
}

export const withRounds = ({ rounds: _, ...s }: StageStep, rounds: boolean): StageStep =>
	rounds ? { ...s, rounds: true } : s;

export const SPARABLE = Object.keys(SPARED) as readonly (keyof typeof SPARED)[];
const tagsOf = (part: keyof typeof SPARED): readonly Tag[] => SPARED[part];

export const spares = (c: OwnCourse, part: keyof typeof SPARED): boolean =>
	tagsOf(part).every((t) => c.spares?.includes(t) === true);

/** Sparing a part is carrying nothing that strains it. */
export function withSpared(c: OwnCourse, part: keyof typeof SPARED, on: boolean): OwnCourse {
	const { spares: before = [], ...rest } = c;
	const kept = before.filter((t) => !tagsOf(part).includes(t));
	const now = on ? [...kept, ...tagsOf(part)] : kept;
	return now.length === 0 ? rest : { ...rest, spares: now };
}
