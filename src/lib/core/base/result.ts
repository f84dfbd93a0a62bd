/**
 * Result: an expected "no" is a value that carries its reason and numbers; only bugs and broken infrastructure throw.
 */
export type Result<T, E> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: E };

/** A refusal a person can act on: which field, what is wrong, what would be right. */
export interface Refusal {
	readonly reason: string;
	readonly field?: string;
	readonly message: string;
}

export const ok = <T>(value: T): { readonly ok: true; readonly value: T } => ({ ok: true, value });
export const refuse = <E>(refusal: E): { readonly ok: false; readonly refusal: E } => ({
	ok: false,
	refusal
});

/** For exhaustive switches: the compiler proves this line is never reached. */
export function unreachable(x: never): never {
	throw new Error(`unreachable: ${JSON.stringify(x)}`);
}
