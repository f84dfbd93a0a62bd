/** A practice's own ladder while it is written: JSON as the one text, fields that read from it and write into it. */
import type { ExerciseFamily, Step } from '#lib/core/exercise/family.ts';
import { slug } from './slug.ts';

const isRow = (s: unknown): boolean => {
	const { posture, usualDose, gates, next, tags } = (s ?? {}) as Partial<Step>;
	return (
		[gates, next, tags].every(Array.isArray) &&
		typeof posture === 'object' &&
		posture !== null &&
		typeof usualDose?.start === 'object' &&
		typeof usualDose.target === 'object'
	);
};

/** The first family as it is written, held or not; null where the text has none that fields could show. */
export function firstWritten(content: string): ExerciseFamily | null {
	try {
		const value = JSON.parse(content) as unknown;
		const first = (Array.isArray(value) ? value[0] : value) as ExerciseFamily | null;
		const whole =
			first !== null && typeof first === 'object' && Array.isArray(first.steps) && first.steps.every(isRow);
		return whole ? first : null;
	} catch {
		return null;
	}
}

export const written = (f: unknown): string => JSON.stringify(f, null, 2);

/** The text with one field of its first family changed. */
export function withField(content: string, path: readonly (string | number)[], value: unknown): string {
	const copy = JSON.parse(content) as Record<string, unknown> | Record<string, unknown>[];
	let o = (Array.isArray(copy) ? copy[0] : copy) as Record<string | number, unknown>;
	for (const key of path.slice(0, -1)) o = o[key] as Record<string, unknown>;
	o[path[path.length - 1] as string] = value;
	return written(copy);
}

const SHORT = 16;

/** A new family of one step, begun from a step of the catalogue. */
export function begunFrom(family: ExerciseFamily, step: Step, title: string): ExerciseFamily {
	const { gates: _, next: __, easier: ___, ...kept } = step;
	const name = title.trim() === '' ? `Our ${step.title.toLowerCase()}` : title.trim();
	const own: Step = {
		...kept,
		id: slug(name),
		title: name,
		short: name.slice(0, SHORT).trim(),
		gates: [],
		next: [],
		easier: null,
		sources: ['practice-setting']
	};
	return {
		id: `${slug(name)}-ladder`,
		title: `${name}: our ladder`,
		purposes: family.purposes,
		steps: [own],
		faults: [],
		cues: family.cues,
		cautions: family.cautions
	};
}

/** The first family of the text with one step more, begun from one of the catalogue: harder than those that stand, nothing leads to it yet. */
export function withAnother(content: string, family: ExerciseFamily, step: Step, title: string): string {
	const first = firstWritten(content);
	const [one] = begunFrom(family, step, title).steps;
	if (first === null || one === undefined) return content;
	const taken = new Set(first.steps.map((s) => s.id));
	let id = one.id;
	for (let n = 2; taken.has(id); n++) id = `${one.id}-${n}`;
	return withField(content, ['steps'], [...first.steps, { ...one, id }]);
}

/** A number where there is one; what was typed otherwise, so that the refusal names it. */
export const numberOr = (v: string): number | string =>
	v.trim() === '' || Number.isNaN(Number(v.replace(',', '.'))) ? v : Number(v.replace(',', '.'));

/** The lengths and angles of a posture, or of its depth. */
export const numbersOf = (o: object): readonly (readonly [string, number | string])[] =>
	Object.entries(o).filter(
		(e): e is [string, number | string] => typeof e[1] === 'number' || /(Cm|Deg)$/.test(e[0])
	);
