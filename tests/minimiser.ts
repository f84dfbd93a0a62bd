/**
 * The reference library's general minimiser (fmin). Its package says it is a module and ships a script, so that, by loader, its
 * functions come as exports or on the global object; both are looked for.
 */
type Objective = (x: number[]) => number;
interface Library {
	nelderMead(
		f: Objective,
		start: number[],
		options?: { minErrorDelta?: number; minTolerance?: number; maxIterations?: number }
	): { x: number[] };
}

// @ts-expect-error the package ships no types
const loaded = (await import('fmin')) as Partial<Library> & { default?: Partial<Library> };
const library = [loaded, loaded.default, (globalThis as { fmin?: Partial<Library> }).fmin].find(
	(m): m is Library => typeof m?.nelderMead === 'function'
);

/** Nelder–Mead, restarted: a simplex that has shrunk onto a ridge is spread out again. */
export function minimise(f: Objective, start: number[], restarts = 4, tolerance = 1e-12): number[] {
	// Its shrink step counts in a variable it never declares; in a module that throws unless there is one.
	(globalThis as { i?: number }).i ??= 0;
	if (library === undefined) throw new Error('fmin gave no nelderMead');
	let x = start;
	for (let i = 0; i < restarts; i++)
		x = library.nelderMead(f, x, {
			minErrorDelta: tolerance ** 2,
			minTolerance: tolerance,
			maxIterations: 4000
		}).x;
	return x;
}
