/**
 * Canonical text of a plain value: keys sorted, absent keys dropped. Two equal values give the same text, whatever order they
 * were written in; hashes and replays rest on it.
 */
import { onceFor } from './once-for.ts';

export function canonical(value: unknown): string {
	if (value === null || typeof value !== 'object') return JSON.stringify(value) ?? 'null';
	if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
	const of = value as Readonly<Record<string, unknown>>;
	let text = '';
	for (const key of Object.keys(of).sort()) {
		const v = of[key];
		if (v !== undefined) text += `${text === '' ? '' : ','}${JSON.stringify(key)}:${canonical(v)}`;
	}
	return `{${text}}`;
}

/** The same text, made once: of what nobody changes any more. */
export const canonicalOnce = onceFor<object, string>(canonical);
