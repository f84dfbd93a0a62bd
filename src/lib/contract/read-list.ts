/** A file of data of one's own, one thing or a list of them as JSON: all of it holds, or each fault has its line, its place and its mend. */
import type { z } from 'zod';
import { firstIssue } from './basics.ts';

export interface ReadFault {
	/** Line of the file, from 1; null where it cannot be told. */
	readonly line: number | null;
	readonly place: string;
	readonly message: string;
}

/** More than a practice writes; a longer list is something else. */
const MOST = 60;
/** Shown at once; the rest comes when these are mended. */
export const MOST_FAULTS = 40;

export type ReadList<T> =
	| { readonly ok: true; readonly list: readonly T[] }
	| { readonly ok: false; readonly faults: readonly ReadFault[] };

const refused = (line: number, message: string): ReadList<never> => ({
	ok: false,
	faults: [{ line, place: '', message }]
});

/**
 * Reads a file of one or a list; everything must hold, or nothing is taken.
 * @param named what one and several are called
 * @param placeOf where a path of keys lies, as whoever wrote it would say
 */
export function readList<T>(
	file: string,
	shape: z.ZodType,
	named: readonly [one: string, several: string],
	placeOf: (one: unknown, keys: readonly string[]) => string
): ReadList<T> {
	let value: unknown;
	try {
		value = JSON.parse(file);
	} catch (e) {
		const at = /position (\d+)/.exec(String(e));
		const message = 'This is not JSON: a bracket, quote or comma is missing or too many near here.';
		return {
			ok: false,
			faults: [{ line: at === null ? null : lineAt(file, Number(at[1])), place: '', message }]
		};
	}
	const list = Array.isArray(value) ? value : [value];
	if (list.length === 0) return refused(1, `There is no ${named[0]} in this file.`);
	if (list.length > MOST) return refused(1, `${list.length} ${named[1]} in one file; at most ${MOST}.`);
	const faults: ReadFault[] = [];
	const read: T[] = [];
	for (const [i, one] of list.entries()) {
		if (faults.length >= MOST_FAULTS) break;
		const parsed = shape.safeParse(one);
		if (parsed.success) {
			read.push(parsed.data as T);
			continue;
		}
		const issue = firstIssue(parsed.error);
		const keys = issue.path === '' ? [] : issue.path.split('.');
		faults.push({
			line: lineOf(file, Array.isArray(value) ? [String(i), ...keys] : keys),
			place: placeOf(one, keys),
			message: issue.message
		});
	}
	return faults.length === 0 ? { ok: true, list: read } : { ok: false, faults };
}

/** The id of something that was written; "?" where it has none. */
export const idOf = (v: unknown): string =>
	typeof v === 'object' && v !== null && typeof (v as { id?: unknown }).id === 'string'
		? (v as { id: string }).id
		: '?';

/** "own-sofa/own-sofa-rise: posture.seatCm": the thing, its part where it has an id, and the keys inside. */
export const placeIn =
	(parts: string) =>
	(one: unknown, keys: readonly string[]): string => {
		const part =
			keys[0] === parts && keys[1] !== undefined
				? (one as Record<string, unknown[] | undefined>)[parts]?.[Number(keys[1])]
				: undefined;
		return part === undefined
			? `${idOf(one)}: ${keys.join('.')}`
			: `${idOf(one)}/${idOf(part)}: ${keys.slice(2).join('.')}`;
	};

/** The line where a thing of the list, or one of its parts, begins: "own-sofa/own-sofa-rise". */
export function lineOfPlace(
	file: string,
	list: readonly { readonly id: string }[],
	parts: string,
	place: string
): number {
	const [id, part] = place.split('/');
	const at = list.findIndex((x) => x.id === id);
	const within = (list[at] as Record<string, unknown> | undefined)?.[parts] as
		readonly { id: string }[] | undefined;
	const own = within?.findIndex((x) => x.id === part) ?? -1;
	const path = file.trimStart().startsWith('[') ? [String(at)] : [];
	return lineOf(file, own < 0 ? path : [...path, parts, String(own)]);
}

const lineAt = (file: string, position: number): number => file.slice(0, position).split('\n').length;

/**
 * Line of a path in JSON text: walks keys and items at their own depth. A key that is not in the text answers the line of what should
 * hold it.
 */
export function lineOf(file: string, path: readonly string[]): number {
	let position = 0;
	for (const key of path) {
		const found = childAt(file, position, key);
		if (found === null) break;
		position = found;
	}
	return lineAt(file, position);
}

/** Where the value of a key, or the item of an index, begins inside the value at a position. */
function childAt(file: string, from: number, key: string): number | null {
	const start = past(/\s*/y, file, from);
	if (file[start] === '[') return key === '0' ? start + 1 : itemAt(file, start, key);
	return file[start] === '{' ? valueAt(file, start, key) : null;
}

/** Where what a sticky pattern finds at a position ends; the position itself where it finds nothing. */
function past(pattern: RegExp, text: string, at: number): number {
	pattern.lastIndex = at;
	return pattern.test(text) ? pattern.lastIndex : at;
}

const OPENS = '{[';
const CLOSES = '}]';

/** Walks what stands at the first depth of a list or an object, strings as one piece, until `found` answers or it ends. */
function firstDepth(
	file: string,
	start: number,
	found: (at: number, end: number) => number | null
): number | null {
	let depth = 0;
	for (let i = start; i < file.length; i++) {
		const c = file[i] as string;
		const end = c === '"' ? stringEnd(file, i) : i;
		if (OPENS.includes(c)) depth++;
		if (CLOSES.includes(c) && --depth === 0) return null;
		const answer = depth === 1 ? found(i, end) : null;
		if (answer !== null) return answer;
		i = end;
	}
	return null;
}

/** Where the value of a key begins: a string that a colon follows. */
const valueAt = (file: string, start: number, key: string): number | null =>
	firstDepth(file, start, (at, end) => {
		if (file[at] !== '"' || file.slice(at + 1, end) !== key) return null;
		const value = past(/\s*:\s*/y, file, end + 1);
		return value > end + 1 ? value : null;
	});

/** Where the item of an index begins: past as many commas. */
function itemAt(file: string, start: number, key: string): number | null {
	let item = 0;
	return firstDepth(file, start, (at) =>
		file[at] === ',' && String(++item) === key ? past(/\s*/y, file, at + 1) : null
	);
}

function stringEnd(file: string, start: number): number {
	for (let i = start + 1; i < file.length; i++) {
		if (file[i] === '\\') i++;
		else if (file[i] === '"') return i;
	}
	return file.length;
}
