/** Fields of a form that begin with what stands of something: when that is another, they begin with the other, and what was typed by hand stays. */
type Fields = Readonly<Record<string, string>>;

export const begunAnew = (said: Fields, began: Fields, now: Fields): Record<string, string> => ({
	...now,
	...Object.fromEntries(Object.entries(said).filter(([k, v]) => v !== (began[k] ?? '')))
});
