/** Works something out once for each of what never changes. */
export function onceFor<K extends object, T>(work: (of: K) => T): (of: K) => T {
	const known = new WeakMap<K, { readonly value: T }>();
	return (of) => {
		const found = known.get(of);
		if (found !== undefined) return found.value;
		const value = work(of);
		known.set(of, { value });
		return value;
	};
}
