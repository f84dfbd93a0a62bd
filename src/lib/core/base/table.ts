/** A table by key in which only its own keys are found: asked for "constructor" or "__proto__" it answers undefined. */
export const tableOf = <T>(entries: Iterable<readonly [string, T]>): Readonly<Record<string, T>> => {
	const out = Object.create(null) as Record<string, T>;
	for (const [k, v] of entries) out[k] = v;
	return out;
};
